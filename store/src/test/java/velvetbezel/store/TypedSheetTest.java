package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.SheetTree;

/** Sheets that were typed short: what was typed is kept beside what the catalogue made of it. */
class TypedSheetTest {
    private static final String ID = "corrick-tern-van";
    private Library library;
    private DSLContext db;

    @BeforeEach
    void fresh() throws SQLException {
        db = TestDatabase.fresh();
        library = new Library(db);
    }

    private static Map<String, Object> typed() {
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put("second", "1-8 speakers rr fr fl rl");
        plugs.put("first", "4 acc violet/white, 6 lamps grey, 7 constant red, 8 ground brown");
        Map<String, Object> typed = new LinkedHashMap<>(
                Map.of("format", "velvet-bezel/short", "version", 1, "kind", "vehicle", "name", "Corrick Tern, van"));
        typed.put("years", List.of(2007, 2011));
        typed.put("plugs", plugs);
        typed.put("numbers", Map.of("radio fuse", 10));
        return typed;
    }

    private void take() {
        library.take(Map.of("typed", Json.write(typed())), "Ines");
    }

    private Map<?, ?> kept() {
        return (Map<?, ?>) library.typed(ID);
    }

    @Test
    void whatWasTypedIsKeptInItsOrderBesideTheLongSheet() {
        take();
        assertEquals(List.of("second", "first"), List.copyOf(((Map<?, ?>) kept().get("plugs")).keySet()));
        String body = library.find(ID).orElseThrow().body();
        assertTrue(body.contains("radio fuse, 10 A"), body);
        assertEquals(
                List.of(),
                library.take(Map.of("again", Json.write(typed())), "Ines").changed());
    }

    /** A fact measured on the long sheet does not undo what was typed. */
    @Test
    void changeOfTheLongSheetStandsByHandAndTheAnswersStay() {
        take();
        library.change(
                ID,
                "Ines",
                "Measured",
                1,
                tree -> SheetTree.measured(tree, "plugs[first].positions[position 6].colour", "grey/red", "Ines"));
        assertEquals(Map.of("radio fuse", 10), kept().get("numbers"));
        assertTrue(kept().get("by hand").toString().contains("grey/red"), kept()::toString);
        assertTrue(library.find(ID).orElseThrow().body().contains("grey/red"));
        library.bringBack(ID, "Ines", 2, 1);
        assertFalse(kept().containsKey("by hand"), kept()::toString);
    }

    /** What is exported is what was typed, and taking it in again changes nothing. */
    @Test
    void exportHoldsWhatWasTyped() {
        take();
        Map<String, String> files = Imports.unzip(library.zip("vehicle"));
        assertTrue(files.get(ID + ".json").contains("velvet-bezel/short"));
        assertEquals(List.of("Corrick Tern, van"), library.take(files, "Ines").unchanged());
    }

    /** A sheet that another revision of the catalogue expanded stands as it did until today's is taken. */
    @Test
    void newRevisionOfTheCatalogueChangesNothingBeforeItIsTaken() {
        take();
        db.execute("update sheet set catalogue = '2026-01-01', body = jsonb_set(body, '{buttons}', '[\"next\"]')");
        library = new Library(db);
        assertEquals(1, library.outdatedCount());
        Library.Outdated old = library.outdated().get(0);
        assertFalse(old.changesNothing());
        assertEquals("2026-01-01", old.catalogue());
        assertTrue(library.find(ID).orElseThrow().body().contains("next"));
        assertEquals(1, library.takeCatalogue(List.of(ID), "Ines"));
        assertEquals(0, library.outdatedCount());
        assertFalse(library.find(ID).orElseThrow().body().contains("\"next\""));
        assertEquals(
                "Catalogue " + StandardArchetypes.all().revision(),
                library.history(ID).get(0).what());
    }

    @Test
    void sheetThatNewCatalogueLeavesAloneIsTakenWithoutAChange() {
        take();
        db.execute("update sheet set catalogue = '2026-01-01'");
        assertTrue(library.outdated().get(0).changesNothing());
        assertEquals(0, library.takeCatalogue(List.of(ID), "Ines"));
        assertEquals(0, library.outdatedCount());
        assertEquals(Optional.empty(), library.history(ID).stream().findFirst());
    }

    @Test
    void sheetThatWasWrittenOutIsRecognisedWhenItIsLookedAtInLines() {
        take();
        String body = library.find(ID).orElseThrow().body();
        db.execute("delete from sheet");
        library = new Library(db);
        library.take(Map.of("long", body), "Ines");
        assertTrue(kept().get("plugs").toString().contains("7 constant red"), kept()::toString);
        assertEquals(0, library.outdatedCount());
    }
}
