package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.StringReader;
import java.io.StringWriter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;

/** Price lists in suppliers' own headings, of radios and parts. */
class PriceListTest extends Importing {

    private UUID read(String csv) {
        return read(csv, "");
    }

    private static final String SUPPLIERS_OWN =
            "Art.-Nr.;Bezeichnung;Art;Netto;Bestand;Farbe\n" + "KELFAX-TRIM-7;Trim ring;dash kit;1.004,90;12;black\n";

    private UUID read(String csv, String supplier) {
        UUID id = intakes.openList("list.csv", "Ines", 0, supplier);
        intakes.readList(id, new StringReader(csv));
        return id;
    }

    private static Map<String, String> meanings() {
        return Map.of(
                "art.-nr.",
                "number",
                "bezeichnung",
                "name",
                "art",
                "kind",
                "netto",
                "price",
                "bestand",
                "stock",
                "farbe",
                "");
    }

    @Test
    void headingsOfASupplierAreAskedOnceAndThenKnown() {
        UUID id = read(SUPPLIERS_OWN, "");
        assertEquals(Imports.State.HEADINGS, now(id).state());
        assertEquals(
                List.of("art.-nr.", "bezeichnung", "art", "netto", "bestand", "farbe"),
                intakes.headings(id).stream().map(Imports.Row::item).toList());
        assertEquals("1.004,90", intakes.headings(id).get(3).note(), "the first values are shown");
        intakes.learn(id, "Kelfax", meanings());
        intakes.readList(id, new StringReader(SUPPLIERS_OWN));
        assertEquals(Map.of("added", 1), intakes.counts(id));
        intakes.take(id);
        assertEquals(
                Optional.of(100_490L),
                shelves.listing("kelfax-trim-7").orElseThrow().priceCents());
        UUID again = read(SUPPLIERS_OWN.replace("12;", "11;"), "");
        assertEquals(Imports.State.READ, now(again).state(), "the one supplier who heads columns so");
        assertEquals("Kelfax", now(again).supplier());
        assertEquals("stock 12 → 11", intakes.rows(again, "changed", 9).get(0).note());
    }

    @Test
    void twoSuppliersMayMeanOtherThingsByOneHeading() {
        intakes.learn(read("no;amount\nx;1\n", ""), "Kelfax", Map.of("no", "number", "amount", "stock"));
        UUID id = read("no;amount\nthornlea-iso-tails;7\n", "Thornlea");
        assertEquals(Imports.State.HEADINGS, now(id).state(), "said by one, not by the other");
        intakes.learn(id, "Thornlea", Map.of("no", "number", "amount", "price"));
        String list = "no;amount\nthornlea-iso-tails;7\n";
        UUID stock = read(list, "kelfax");
        UUID price = read(list, "Thornlea");
        assertEquals(
                "stock not counted → 7",
                intakes.rows(stock, "changed", 9).get(0).note());
        assertTrue(intakes.rows(price, "changed", 9).get(0).note().contains("→ 7.00"));
        assertEquals(Imports.State.HEADINGS, now(read(list, "")).state(), "two head columns so: asked");
    }

    @Test
    void headingsThatNameNoNumberOrOneColumnTwiceAreRefusedAndNothingIsLearned() {
        UUID id = read("a;b;c\nx;1;2\n", "");
        InvalidInput refused = assertThrows(
                InvalidInput.class, () -> intakes.learn(id, " ", Map.of("a", "", "b", "price", "c", "price")));
        assertEquals(
                List.of("number", "price", "supplier"),
                refused.faults().stream().map(InputProblem::field).toList());
        assertEquals(List.of(), new Suppliers(db).names());
        assertEquals(Imports.State.HEADINGS, now(id).state());
    }

    /** The order in which a sheet was typed is not the list's to change. */
    @Test
    void priceGoesIntoWhatWasTypedAndNothingElseDoes() {
        List<?> before = List.copyOf(((Map<?, ?>) library.typed("thornlea-iso-tails")).keySet());
        intakes.take(read("number,price\nthornlea-iso-tails,77.70\n"));
        Map<?, ?> typed = (Map<?, ?>) library.typed("thornlea-iso-tails");
        assertEquals(before, List.copyOf(typed.keySet()));
        assertEquals(77.7, typed.get("price"));
        assertTrue(library.find("thornlea-iso-tails").orElseThrow().body().contains("77.7"));
    }

    /** Written as a text for whoever opens the list in a spreadsheet, and read back as it was. */
    @Test
    void nameThatASpreadsheetWouldRunIsWrittenAsAText() {
        intakes.take(read("number,name,maker,kind\nkelfax-f1,=1+1,@Kelfax,cable\n"));
        StringWriter written = new StringWriter();
        library.writeList("part", written);
        assertTrue(written.toString().contains("kelfax-f1,'=1+1,'@Kelfax,cable"), written::toString);
        UUID back = read(written.toString());
        assertEquals(Map.of("unchanged", 17), intakes.counts(back));
        assertEquals("=1+1", shelves.listing("kelfax-f1").orElseThrow().name());
    }

    @Test
    void radiosAreListedBesidePartsWithStockAndDays() {
        UUID id = read("number,name,kind,price,stock,days,opening\n"
                + "pebblefen-p2,,,71.00,0,4,\n"
                + "kelfax-r9,Kelfax 9,radio,99.00,1,,one-DIN\n"
                + "thornlea-iso-tails,,radio,9.00,,,\n"
                + "meridale-plover-2019-plain,,,9.00,,,\n");
        assertEquals(Map.of("added", 1, "changed", 1, "refused", 2), intakes.counts(id));
        intakes.take(id);
        Listing p2 = shelves.listing("pebblefen-p2").orElseThrow();
        assertEquals(List.of(Optional.of(0), Optional.of(4)), List.of(p2.stock(), p2.days()));
        assertEquals("radio", shelves.listing("kelfax-r9").orElseThrow().kind());
        StringWriter written = new StringWriter();
        library.writeList("radio", written);
        assertTrue(written.toString().contains("kelfax-r9,Kelfax 9,,radio,99.00,1,,,one-DIN"), written::toString);
        assertEquals(Map.of("unchanged", 4), intakes.counts(read(written.toString())), "what is written is read back");
    }
}
