package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;
import velvetbezel.worksheet.GoodsIn;

/** A part in a car that its fit list does not name: shown last, with the reason. */
class FitListTest {
    private static final Sheet.Vehicle CAR = Demo.minibus();
    private static final Sheet.Radio RADIO = (Sheet.Radio)
            SheetReader.read(SheetTree.put(Demo.tree("pebblefen-p2"), "mount", Optional.of("factory brackets")));

    private static Sheet.Part harness(String id, double price, Map<String, Object> fits) {
        Object tree = SheetTree.put(Demo.tree("thornlea-iso-steering"), "id", Optional.of(id));
        tree = SheetTree.put(tree, "price", Optional.of(price));
        return (Sheet.Part) SheetReader.read(SheetTree.put(tree, "fits", Optional.of(fits)));
    }

    private static List<Kit> kits(Sheet.Part... parts) {
        return Matcher.match(CAR, List.of(RADIO), List.of(parts), Demo.CATALOGUE)
                .kits();
    }

    @Test
    void partOutsideItsFitListComesLastThoughItIsCheaper() {
        Sheet.Part proven = harness("proven", 40, Map.of("years", List.of(CAR.fromYear(), CAR.toYear())));
        Sheet.Part cheap = harness("cheap", 15, Map.of("years", List.of(1990, 1995)));
        List<Kit> kits = kits(cheap, proven);
        assertEquals(
                List.of("proven", "cheap"),
                kits.stream().map(k -> k.parts().get(0).id()).toList());
        assertFalse(kits.get(0).unproven());
        assertTrue(
                kits.get(1)
                        .remarks(CAR)
                        .get(0)
                        .contains("Its fit list says 1990 to 1995, this car's sheet 2004 to 2008"),
                () -> kits.get(1).remarks(CAR).toString());
    }

    @Test
    void partOutsideItsFitListIsNotHiddenWhereItIsTheOnlyOne() {
        List<Kit> kits = kits(harness("only", 15, Map.of("vehicles", List.of("no-such-car"))));
        assertEquals(1, kits.size());
        assertTrue(kits.get(0).unproven());
    }

    @Test
    void dearerPartOutsideItsFitListIsBeaten() {
        Sheet.Part proven = harness("proven", 15, Map.of("years", List.of(CAR.fromYear(), CAR.toYear())));
        Sheet.Part dear = harness("dear", 40, Map.of("proven", false));
        assertEquals(
                List.of("proven"),
                kits(dear, proven).stream().map(k -> k.parts().get(0).id()).toList());
    }

    /** The car's sheet is for {@link #CAR}'s years; a list must cover them all. */
    @ParameterizedTest
    @CsvSource({"0,0,", "-3,5,", "1,0,unproven", "0,-1,unproven"})
    void listMustCoverEveryYearOfTheSheet(int later, int longer, String expected) {
        Sheet.Part part = harness("part", 15, Map.of("years", List.of(CAR.fromYear() + later, CAR.toYear() + longer)));
        assertEquals(expected != null, part.unproven(CAR).isPresent());
    }

    @Test
    void trimIsComparedByItsName() {
        assertTrue(harness("part", 1, Map.of("trims", List.of(CAR.trim().toUpperCase(Locale.ROOT))))
                .unproven(CAR)
                .isEmpty());
        assertEquals(
                Optional.of("Its fit list says Deluxe, this car is " + CAR.trim()),
                harness("part", 1, Map.of("trims", List.of("Deluxe"))).unproven(CAR));
    }

    @Test
    void partWithoutAFitListIsNoneTheWorse() {
        Sheet.Part plain = (Sheet.Part) SheetReader.read(Demo.tree("thornlea-iso-steering"));
        assertEquals(Optional.empty(), plain.unproven(CAR));
        assertEquals(0, Market.SHEETS.of(CAR, plain).missing().fits());
    }

    @Test
    void yearsThatEndBeforeTheyBeginAreRefused() {
        InvalidInput refused =
                assertThrows(InvalidInput.class, () -> harness("part", 1, Map.of("years", List.of(2010, 2004))));
        assertEquals("fits.years", refused.faults().get(0).field());
    }

    @Test
    void partOutsideItsFitListIsHeldToTheCarWhenItArrives() {
        Kit kit =
                kits(harness("only", 15, Map.of("years", List.of(1990, 1995)))).get(0);
        List<String> checks = GoodsIn.of(kit.build(CAR)).stream()
                .filter(c -> c.id().equals("fit"))
                .map(GoodsIn.Check::what)
                .toList();
        assertEquals(
                List.of(
                        "Its fit list says 1990 to 1995, this car's sheet 2004 to 2008: held to the car before the dash is opened, and it goes together."),
                checks);
    }
}
