package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.SheetTree;

/** Bringing in sheets (whole or not at all) and lists of parts: previewed, cancelled without a trace. */
class IntakeTest extends Importing {
    private static final String HEADER = "number,name,maker,kind,price,stock,days,plug,opening\n";

    private UUID read(Reader csv) {
        UUID id = intakes.openList("list.csv", "Ines", 0, "");
        intakes.readList(id, csv);
        return id;
    }

    private UUID read(String csv) {
        return read(new StringReader(csv));
    }

    private List<String> refused(UUID id) {
        return intakes.rows(id, "refused", 99).stream()
                .map(r -> r.place() + ": " + r.note())
                .toList();
    }

    @Test
    void previewSaysOfEachLineWhatBecomesOfItAndChangesNothing() {
        UUID id = read(HEADER + "kelfax-trim-7,Kelfax trim ring,Kelfax,dash kit,4.90,12,,,two-DIN\n"
                + "thornlea-iso-tails,,,,16.50,3,,,\n"
                + "quillmoor-plover-pocket,,,,%s,,,,\n".formatted(price("quillmoor-plover-pocket")));
        assertEquals(Map.of("added", 1, "changed", 1, "unchanged", 1), intakes.counts(id));
        assertEquals(
                "not yet buildable: its positions are not known",
                intakes.rows(id, "added", 9).get(0).note());
        assertEquals(
                "price 9.90 → 16.50, stock not counted → 3",
                intakes.rows(id, "changed", 9).get(0).note());
        assertEquals(Imports.State.READ, now(id).state());
        assertTrue(shelves.listing("kelfax-trim-7").isEmpty());
    }

    private String price(String id) {
        return shelves.listing(id)
                .flatMap(Listing::priceCents)
                .map(c -> c / 100 + "." + c % 100)
                .orElseThrow();
    }

    @Test
    void takingItInChangesPriceAndStockAndThePriceOfTheSheetWithThem() {
        String revision = library.revision();
        UUID id = read(
                HEADER
                        + "kelfax-trim-7,Kelfax trim ring,Kelfax,dash kit,4.90,12,,,two-DIN\nthornlea-iso-tails,Another name,,,16.50,3,2,,\n");
        intakes.take(id);
        assertEquals(Imports.State.TAKEN, now(id).state());
        Listing ring = shelves.listing("kelfax-trim-7").orElseThrow();
        assertEquals(Optional.of(490L), ring.priceCents());
        assertFalse(ring.buildable());
        Listing tails = shelves.listing("thornlea-iso-tails").orElseThrow();
        assertEquals(Optional.of(3), tails.stock());
        assertTrue(tails.name().startsWith("Thornlea"), "a sheet's name outranks a list's");
        assertEquals(
                Optional.of(1650L),
                library.parts().stream()
                        .filter(p -> p.id().equals("thornlea-iso-tails"))
                        .findFirst()
                        .orElseThrow()
                        .priceCents());
        assertFalse(revision.equals(library.revision()), "kits are worked out anew");
        assertEquals(16, library.parts().size(), "a part without positions is in no kit");
    }

    @Test
    void emptyCellLeavesWhatIsKnown() {
        intakes.take(read(HEADER + "kelfax-trim-7,Kelfax trim ring,Kelfax,dash kit,4.90,12,5,,two-DIN\n"));
        intakes.take(read("stock,number\n0,kelfax-trim-7\n"));
        Listing ring = shelves.listing("kelfax-trim-7").orElseThrow();
        assertEquals(
                List.of(Optional.of(490L), Optional.of(0), Optional.of(5)),
                List.of(ring.priceCents(), ring.stock(), ring.days()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
        kelfax-7,Ring,Kelfax,dash kit,-4,1,,,            | line 2: price "-4" is no price; a number from 0 such as 12.50.
        kelfax-7,Ring,Kelfax,dash kit,4,1.5,,,           | line 2: stock "1.5" is no count; a whole number from 0 to 1000000.
        kelfax-7,Ring,Kelfax,trumpet,4,1,,,              | line 2: kind "trumpet" is not known; allowed: radio, dash kit, vehicle harness adapter, pass-through harness, antenna adapter, control interface, data module, amplifier bypass, camera adapter, camera, microphone, USB adapter, aux adapter, GPS antenna, satellite adapter, rear screen adapter, access lead, ground-loop isolator, amplifier, cable, relay, converter.
        kelfax-7,Ring,Kelfax,dash kit,4,1,,,three-DIN    | line 2: opening "three-DIN" is not known; allowed: one-DIN, one-and-a-half-height, two-DIN, or "shape" and the name of one of its own ("shape of the Plover").
        Kelfax 7,Ring,Kelfax,dash kit,4,1,,,             | line 2: number "Kelfax 7" is no part number; 2 to 60 letters, digits and hyphens.
        ,Ring,Kelfax,dash kit,4,1,,,                     | line 2: number is empty; every line names its part.
        kelfax-7,Ring,Kelfax                             | line 2: The line has 3 fields where the first line names 9 columns.
        kelfax-7,,,,4,1,,,                               | line 2: number "kelfax-7" is new, and a new radio or part needs a name and a kind.
        ondel-47,,,dash kit,4,1,,,                       | line 2: number "ondel-47" is a radio in the library, and here of kind "dash kit"; correct one of the two.
        meridale-plover-2019-plain,,,,4,1,,,             | line 2: number "meridale-plover-2019-plain" is a vehicle in the library; radios and parts only.
        """)
    void lineThatCannotBeTakenSaysWhatIsAllowedAndIsLeftOut(String line, String message) {
        UUID id = read(HEADER + line + "\nkelfax-8,Ring,Kelfax,dash kit,4,1,,,\n");
        assertEquals(List.of(message), refused(id));
        intakes.take(id);
        assertEquals(Imports.State.TAKEN, now(id).state());
        assertTrue(shelves.listing("kelfax-7").isEmpty());
        assertEquals("Ring", shelves.listing("kelfax-8").orElseThrow().name());
        assertEquals(List.of(message), refused(id));
    }

    /** A list from a program that writes prices with a comma. */
    @ParameterizedTest
    @ValueSource(strings = {";", "\t"})
    void listWithAnotherSeparatorAndDecimalCommasIsRead(String between) {
        UUID id = read("number,name,kind,price,stock\nkelfax-8,Ring,dash kit,4|50,1\n"
                .replace(",", between)
                .replace("|", ","));
        intakes.take(id);
        assertEquals(
                Optional.of(450L), shelves.listing("kelfax-8").orElseThrow().priceCents());
    }

    @Test
    void sameNumberTwiceNamesBothLines() {
        UUID id = read(
                HEADER
                        + "kelfax-7,Ring,Kelfax,dash kit,4,1,,,\nkelfax-8,Ring,Kelfax,dash kit,4,1,,,\nkelfax-7,Ring,Kelfax,dash kit,5,1,,,\n");
        assertEquals(List.of("line 4: number \"kelfax-7\" stands in line 2 too; keep one of them."), refused(id));
    }

    @Test
    void quoteNeverClosedAndEndlessLineStopTheReadingWithTheirLine() {
        assertTrue(now(read(HEADER + "kelfax-7,\"Ring,Kelfax,dash kit,4,1,,,\n".repeat(1) + "x".repeat(100_000)))
                .note()
                .startsWith("line 2: cannot be read from here on:"));
        UUID endless = read(HEADER + "kelfax-7,Ring,Kelfax,dash kit,4,1,,,\n" + "y".repeat(10_000_000));
        assertTrue(
                now(endless).note().startsWith("line 3: cannot be read from here on:"),
                now(endless).note());
        assertEquals(Map.of(), intakes.counts(endless));
        assertEquals(
                "line 1: The list is empty; its first line names the columns, such as number,price,stock.",
                now(read("")).note());
    }

    @Test
    void cancelledWhileItIsReadItLeavesNothingBehind() {
        UUID id = intakes.openList("list.csv", "Ines", 100_000, "");
        Reader endless = new Reader() {
            private int lines;

            @Override
            public int read(char[] into, int from, int length) {
                if (lines == 5000) assertTrue(intakes.cancel(id));
                String line = lines == 0 ? HEADER : "kelfax-%d,Ring,Kelfax,dash kit,4,1,,,\n".formatted(lines);
                lines++;
                line.getChars(0, line.length(), into, from);
                return line.length();
            }

            @Override
            public void close() {}
        };
        intakes.readList(id, endless);
        assertEquals(Imports.State.CANCELLED, now(id).state());
        assertEquals(Map.of(), intakes.counts(id));
        assertTrue(shelves.listing("kelfax-1").isEmpty());
    }

    @Test
    void cancelledAfterReadingItIsForgottenAndCannotBeTaken() {
        UUID id = read(HEADER + "kelfax-7,Ring,Kelfax,dash kit,4,1,,,\n");
        assertTrue(intakes.cancel(id));
        intakes.take(id);
        assertTrue(shelves.listing("kelfax-7").isEmpty());
        assertFalse(intakes.cancel(id));
    }

    /** Somebody corrected the sheet while the preview lay open. */
    @Test
    void sheetThatWasChangedSinceThePreviewIsNotWrittenOver() throws Exception {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("a.json", StoreTest.demo().get("ondel-47.json").replace("389.0", "399.0"));
        UUID id = intakes.openSheets("a.json", "Ines", 1);
        intakes.readSheets(id, texts);
        library.change("ondel-47", "Tomas", "Price", 1, tree -> SheetTree.put(tree, "price", Optional.of(379.0)));
        intakes.take(id);
        assertEquals(Imports.State.FAILED, now(id).state());
        assertTrue(now(id).note().contains("was changed by Tomas since this was read"), now(id)::note);
        assertEquals(
                Optional.of(37_900L), shelves.listing("ondel-47").orElseThrow().priceCents());
    }

    /** Cancelled at the last moment: either it went in, or nothing did. */
    @Test
    void cancelWhileSheetsAreTakenInLeavesAllOrNothing() throws Exception {
        Map<String, String> texts = new LinkedHashMap<>();
        String radio = StoreTest.demo().get("ondel-47.json");
        for (int i = 0; i < 200; i++) texts.put(i + ".json", radio.replace("\"ondel-47\"", "\"ondel-47-" + i + "\""));
        UUID id = intakes.openSheets("many.zip", "Ines", texts.size());
        intakes.readSheets(id, texts);
        Imports other = new Imports(TestDatabase.beside(db), Clock.systemUTC());
        Thread taking = new Thread(() -> other.take(id));
        taking.start();
        boolean cancelled = intakes.cancel(id);
        taking.join();
        int there = (int) library.entries("radio").stream()
                .filter(e -> e.id().startsWith("ondel-47-"))
                .count();
        assertEquals(now(id).state() == Imports.State.TAKEN ? 200 : 0, there);
        assertTrue(!cancelled || there == 0, "cancelled, and nothing was changed");
    }

    @Test
    void exportWipeAndImportComeOutEqual() throws Exception {
        intakes.take(
                read(HEADER + "kelfax-7,\"Ring, \"\"wide\"\"\",Kelfax,dash kit,4.05,1,3,Bramblewick 16-way,two-DIN\n"));
        StringWriter parts = new StringWriter();
        library.writeList("part", parts);
        byte[] sheets = library.zip("part");
        List<Listing> before = everything();
        DSLContext db = TestDatabase.fresh();
        library = new Library(db);
        intakes = new Imports(db, Clock.systemUTC());
        shelves = new Shelves(db);
        UUID zip = intakes.openSheets("parts.zip", "Ines", 0);
        intakes.readSheets(zip, Imports.unzip(sheets));
        assertEquals(Map.of("added", 16), intakes.counts(zip));
        intakes.take(zip);
        UUID list = read(parts.toString());
        assertEquals(Map.of("added", 1, "unchanged", 16), intakes.counts(list), () -> now(list) + " " + refused(list));
        intakes.take(list);
        assertEquals("", now(list).note());
        assertEquals(before, everything());
        StringWriter again = new StringWriter();
        library.writeList("part", again);
        assertEquals(parts.toString(), again.toString());
    }

    /** A vehicle typed from its pinout and its amplified sister: exported, wiped, brought back, and equal. */
    @Test
    void vehiclesFromPinoutsComeBackEqual() throws Exception {
        for (String system : List.of("", "line pairs ")) {
            Map<String, Object> typed = new LinkedHashMap<>(Map.of(
                    "format", "velvet-bezel/short", "version", 1, "kind", "vehicle", "years", List.of(2007, 2011)));
            typed.put("id", "corrick-tern" + (system.isEmpty() ? "" : "-amplified"));
            typed.put("name", "Corrick Tern, van");
            String power = "4 acc VT/WH, %s7 30 RD 16 AWG, 8 31 BN".formatted(system.isEmpty() ? "" : "5 rem, ");
            String sound = "1-8 %srr fr fl rl".formatted(system.isEmpty() ? "speakers " : system);
            typed.put("plugs", Map.of("ISO 10487 A", power, "ISO 10487 B", sound));
            library.take(Map.of("form", Json.write(typed)), "Ines");
        }
        byte[] vehicles = library.zip("vehicle");
        List<String> before = Stream.of("corrick-tern", "corrick-tern-amplified")
                .map(id -> library.find(id).orElseThrow().body())
                .toList();
        DSLContext db = TestDatabase.fresh();
        library = new Library(db);
        intakes = new Imports(db, Clock.systemUTC());
        UUID zip = intakes.openSheets("vehicles.zip", "Ines", 0);
        intakes.readSheets(zip, Imports.unzip(vehicles));
        intakes.take(zip);
        for (int i = 0; i < 2; i++)
            assertTrue(Json.same(
                    before.get(i),
                    library.find(i == 0 ? "corrick-tern" : "corrick-tern-amplified")
                            .orElseThrow()
                            .body()));
    }

    private List<Listing> everything() {
        return shelves.find(new Shelves.Query("part", "", "", "", "", "", false, false, Optional.empty(), 0), 500)
                .items();
    }

    @Test
    void zipWithAPathOutsideIsRefusedAndSoIsABomb() {
        assertTrue(fault(() -> Imports.unzip(Zip.write(Map.of("../evil.json", "{}"))))
                .contains("names a place outside the archive"));
        byte[] bomb = Zip.write(Map.of("a.json", " ".repeat(70_000_000)));
        assertTrue(bomb.length < 100_000);
        assertTrue(fault(() -> Imports.unzip(bomb)).contains("is larger than 60 MB or 12000 files unpacked"));
    }

    @Test
    void severalZipsOfOneRequestShareOneAllowance() {
        byte[] half = Zip.write(Map.of("a.json", " ".repeat(40_000_000)));
        byte[] other = Zip.write(Map.of("b.json", " ".repeat(40_000_000)));
        Imports.unzip(half);
        assertTrue(fault(() -> Imports.unzip(List.of(half, other))).contains("is larger than 60 MB"));
    }

    /** Names in the alphabet that the format began with (APPNOTE 6.3, appendix D): ü is 0x81 in code page 437. */
    @Test
    void zipWithNamesThatAreNotUtf8IsRead() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, Charset.forName("IBM437"))) {
            zip.putNextEntry(new ZipEntry("t\u00fcr.json"));
            zip.write("{}".getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        assertEquals(Map.of("t\u00fcr.json", "{}"), Imports.unzip(bytes.toByteArray()));
    }

    /** The first try, in UTF-8, reads up to the name; what it unpacked does not count against the second. */
    @Test
    void largeZipWithALateNameThatIsNotUtf8IsReadToo() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, Charset.forName("IBM437"))) {
            zip.putNextEntry(new ZipEntry("a.json"));
            zip.write(" ".repeat(40_000_000).getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry("t\u00fcr.json"));
            zip.write("{}".getBytes(StandardCharsets.UTF_8));
        }
        assertEquals(2, Imports.unzip(bytes.toByteArray()).size());
    }

    @Test
    void textBeyondWhatIsReadIsRefusedInWords() {
        String deep = "[".repeat(101) + "]".repeat(101);
        String named = "{\"" + "x".repeat(501) + "\": 1}";
        for (String text : List.of(deep, named))
            assertTrue(fault(() -> Json.parse(text)).contains("at most 100 levels of brackets, names of 500 letters"));
        Json.parse("[".repeat(99) + "]".repeat(99));
    }

    private static String fault(Runnable run) {
        return org.junit.jupiter.api.Assertions.assertThrows(InvalidInput.class, run::run)
                .getMessage();
    }

    @Test
    void sheetsArePreviewedWithEveryFaultAndTakenWhole() throws IOException {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("a.json", StoreTest.demo().get("ondel-47.json").replace("389.0", "399.0"));
        texts.put("b.json", StoreTest.demo().get("pebblefen-p2.json"));
        texts.put("c.json", StoreTest.demo().get("tarnlight-minor.json").replace("one-DIN", "huge"));
        UUID id = intakes.openSheets("three sheets", "Ines", 3);
        intakes.readSheets(id, texts);
        assertEquals(Map.of("changed", 1, "unchanged", 1, "refused", 1), intakes.counts(id));
        assertEquals(
                "price: 389.0 → 399.0", intakes.rows(id, "changed", 9).get(0).note());
        assertEquals(
                List.of(
                        "c.json: size: \"huge\" is not known; allowed: one-DIN, one-and-a-half-height, two-DIN, or \"shape\" and the name of one of its own (\"shape of the Plover\")."),
                refused(id));
        intakes.take(id);
        assertEquals(
                Optional.of(38900L),
                library.radios().stream()
                        .filter(r -> r.id().equals("ondel-47"))
                        .findFirst()
                        .orElseThrow()
                        .priceCents());
    }

    @Test
    void runThatEndedIsToldAndNobodyWaitsForIt() {
        UUID id = intakes.openList("list.csv", "Ines", 5, "");
        intakes.endOrphans();
        assertEquals(Imports.State.FAILED, now(id).state());
    }

    // --- shelves

    private List<String> find(String text, String family, boolean buildable) {
        return shelves
                .find(new Shelves.Query("part", text, "", family, "", "", false, buildable, Optional.empty(), 0), 50)
                .items()
                .stream()
                .map(Listing::id)
                .toList();
    }

    @Test
    void everyWordMustOccurInAnyOrderAndWildcardsAreLetters() {
        assertEquals(List.of("thornlea-plover-amplified"), find("amplified plover", "", false));
        assertEquals(List.of(), find("100%", "", false));
        assertEquals(List.of(), find("_", "", false));
    }

    @Test
    void familiesRolesAndPricesFilter() {
        assertTrue(find("", "Bramblewick 16-way", true)
                .containsAll(List.of("thornlea-plover-plain", "thornlea-plover-amplified", "ashdyke-plover-module")));
        Shelves.Query makesAccessory = new Shelves.Query(
                "part", "", "data module", "", "", "accessory", false, false, Optional.of(10_000L), 0);
        assertEquals(
                List.of("ashdyke-bus-power"),
                shelves.find(makesAccessory, 50).items().stream()
                        .map(Listing::id)
                        .toList());
        assertEquals(
                List.of("antenna adapter", "control interface", "dash kit", "data module", "vehicle harness adapter"),
                shelves.facets("part").types());
    }

    /** The index finds what reading every line would find, on seeded words. */
    @Test
    void searchAgreesWithReadingEveryLine() {
        List<Listing> all = everything();
        Random random = new Random(3);
        for (int i = 0; i < 60; i++) {
            String words = all.get(random.nextInt(all.size())).words();
            int from = random.nextInt(words.length() - 4);
            String text = words.substring(from, from + 2 + random.nextInt(3)).strip();
            List<String> expected = all.stream()
                    .filter(l -> List.of(text.split("\\s+")).stream()
                            .allMatch(w -> l.words().contains(w.length() < 3 ? " " + w : w)))
                    .map(Listing::id)
                    .sorted()
                    .toList();
            assertEquals(expected, find(text, "", false).stream().sorted().collect(Collectors.toList()), text);
        }
    }
}
