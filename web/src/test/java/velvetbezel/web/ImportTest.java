package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import velvetbezel.Demo;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** A sheet taken in again changes every answer that rests on it. */
@ExtendWith(TestApp.class)
class ImportTest {
    private static final String ID = "corrick-ferryman-copy";
    private Site site;
    private int job;

    @BeforeEach
    void open() throws IOException {
        site = new Site(TestApp.url(), "wren");
        take(minibus());
        job = TestApp.bean(Jobs.class)
                .create(
                        "Minibus copy",
                        "Wren",
                        JobCodec.changes(
                                Map.of("vehicle", ID, "radio", "pebblefen-p2", "parts", "thornlea-iso-steering")))
                .number();
    }

    private static String minibus() {
        return Demo.text("corrick-ferryman-2006").replace("\"corrick-ferryman-2006\"", "\"" + ID + "\"");
    }

    private void take(String sheet) throws IOException {
        String page = Site.words(
                site.takeIn("/sheets/import", "sheets", Map.of("sheet.json", sheet.getBytes(StandardCharsets.UTF_8))));
        assertTrue(page.contains("Taken in:") || page.contains("1 unchanged"), page);
    }

    private String wire() {
        return Site.words(site.get("/jobs/%d/wire".formatted(job)));
    }

    @Test
    void withA4AndA7TheNormalWayRoundTheExceptionAndItsReadingDisappear() throws IOException {
        String exchanged = wire();
        assertTrue(exchanged.contains("Fourteen joints; going by colour would miss four"), exchanged);
        assertTrue(exchanged.contains("A7, key off 12.6 ± 0.5 V"), exchanged);
        take(minibus()
                .replace(
                        "{\"position\": 4, \"role\": \"accessory\", \"to\": \"ignition switch.acc\"",
                        "{\"position\": 4, \"role\": \"constant\", \"to\": \"radio fuse.out\"")
                .replace(
                        "{\"position\": 7, \"role\": \"constant\", \"to\": \"radio fuse.out\"",
                        "{\"position\": 7, \"role\": \"accessory\", \"to\": \"ignition switch.acc\""));
        String normal = wire();
        assertTrue(normal.contains("Fourteen joints; going by colour would miss two"), normal);
        assertFalse(normal.contains("A7, key off"), normal);
        take(minibus());
        assertEquals(exchanged, wire());
    }

    @Test
    void exportedSheetComesBackAsTheSame() throws IOException {
        String json = site.get("/sheets/%s.json".formatted(ID)).body();
        String page = Site.words(
                site.preview("/sheets/import", "sheets", Map.of("back.json", json.getBytes(StandardCharsets.UTF_8))));
        assertTrue(page.contains("If it is taken in: 1 unchanged"), page);
    }

    @Test
    void partKnownOnlyFromAListIsFoundAndSaysWhatItLacks() throws IOException {
        String list =
                "number,name,maker,kind,price,stock,days,plug,opening\nkelfax-trim-9,Kelfax trim ring,Kelfax,dash kit,4.90,0,3,,two-DIN\n";
        String taken = Site.words(
                site.takeIn("/price-lists/import", "list", Map.of("list.csv", list.getBytes(StandardCharsets.UTF_8))));
        assertTrue(taken.contains("Taken in: 1 added"), taken);
        String found = Site.words(site.get("/parts?q=ring+kelfax"));
        assertTrue(
                found.contains("1 part answers") && found.contains("not yet buildable") && found.contains("0, 3 days"),
                found);
        String part = Site.words(site.get("/sheets/kelfax-trim-9"));
        assertTrue(
                part.contains(
                        "It lacks a sheet that says which opening it fills, which radio it takes, and for which vehicles."),
                part);
        assertTrue(Site.words(site.get("/find?q=kelfax")).contains("Kelfax trim ring"));
        assertTrue(site.get("/parts.csv")
                .body()
                .contains("kelfax-trim-9,Kelfax trim ring,Kelfax,dash kit,4.90,0,3,,two-DIN"));
    }

    @Test
    void sheetPageShowsEveryPositionWithItsProvenance() {
        String page = Site.words(site.get("/sheets/meridale-plover-2019-amplified"));
        assertTrue(page.contains("blue/white or blue/yellow"), page);
        assertTrue(page.contains("catalogue against printed by label on the radio's chassis"), page);
        assertTrue(Site.words(site.get("/sheets/corrick-ferryman-2006")).contains("assumed by the 2003 sister model"));
    }
}
