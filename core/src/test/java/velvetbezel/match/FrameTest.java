package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;

/** What holds a radio, and what a price that nobody stated does to a kit. */
class FrameTest {
    private static final String SHAPE = "shape of the Ferryman";
    private static final Sheet.Vehicle SHAPED =
            (Sheet.Vehicle) changed("corrick-ferryman-2006", "opening", Optional.of(SHAPE));
    private static final Sheet.Part HARNESS = (Sheet.Part) SheetReader.read(Demo.tree("thornlea-iso-steering"));

    private static Sheet changed(String id, String field, Optional<Object> value) {
        return SheetReader.read(SheetTree.put(Demo.tree(id), field, value));
    }

    private static Sheet.Radio radio(String field, String value) {
        return (Sheet.Radio) changed("pebblefen-p2", field, Optional.of(value));
    }

    private static Matched match(Sheet.Vehicle vehicle, Sheet.Radio radio, Sheet.Part... parts) {
        Installation factory = Builder.factory(vehicle);
        return Matcher.match(
                RadioMatch.of(
                        factory,
                        vehicle,
                        List.of(radio),
                        List.of(parts),
                        Demo.CATALOGUE,
                        Outcomes.fulfilled(factory, Demo.CATALOGUE),
                        KitDecisions.NONE),
                Wishes.NONE,
                Market.SHEETS);
    }

    @Test
    void factoryBracketsOnTheNewRadioMakeAFrameNeedless() {
        Sheet.Vehicle minibus = Demo.minibus();
        assertEquals(List.of(), match(minibus, radio("mount", "frame"), HARNESS).kits());
        assertFalse(match(minibus, radio("mount", "factory brackets"), HARNESS)
                .kits()
                .isEmpty());
    }

    @Test
    void bracketsOfAnotherSizeHoldNothing() {
        Sheet.Radio two = (Sheet.Radio) SheetReader.read(SheetTree.put(
                SheetTree.put(Demo.tree("pebblefen-p2"), "mount", Optional.of("factory brackets")),
                "size",
                Optional.of("two-DIN")));
        assertEquals(List.of(), match(Demo.minibus(), two, HARNESS).kits());
    }

    @Test
    void unitMadeForOneCarsOpeningNeedsNoFrameAndFitsNoOther() {
        assertFalse(match(SHAPED, radio("size", SHAPE), HARNESS).kits().isEmpty());
        assertEquals(
                List.of(), match(Demo.minibus(), radio("size", SHAPE), HARNESS).kits());
        assertEquals(
                List.of(),
                match(SHAPED, radio("size", "shape of the Plover"), HARNESS).kits());
    }

    @Test
    void screenOnFeetNeedsNoFrameInAnyOpening() {
        assertFalse(
                match(SHAPED, radio("mount", "feet in front"), HARNESS).kits().isEmpty());
    }

    @Test
    void oneMissingThingIsNamed() {
        Sheet.Radio p2 = radio("mount", "frame");
        Lacking frame = Matcher.lacking(SHAPED, List.of(p2), List.of(HARNESS), KitDecisions.NONE, Market.SHEETS)
                .get(0);
        assertEquals(
                List.of(new Lacking.Thing(
                        Optional.of(KitNeed.DASH_KIT),
                        "dash kit here holds a one-DIN radio in the opening (shape of the Ferryman) of this vehicle")),
                frame.things());
        Lacking both = Matcher.lacking(SHAPED, List.of(p2), List.of(), KitDecisions.NONE, Market.SHEETS)
                .get(0);
        assertEquals(2, both.things().size());
    }

    @Test
    void openingThatIsNoSizeAndNoShapeIsRefusedWithWhatWouldBeTaken() {
        InvalidInput refused = assertThrows(InvalidInput.class, () -> radio("size", "tall"));
        assertTrue(refused.getMessage().contains("\"shape\" and the name of one of its own"), refused::getMessage);
    }

    @Test
    void priceThatNobodyStatedIsMissingAndNeverNothing() {
        Sheet.Part priceless = (Sheet.Part) changed("thornlea-iso-steering", "price", Optional.empty());
        Kit kit = match(Demo.minibus(), radio("mount", "factory brackets"), priceless)
                .kits()
                .get(0);
        Stream.of(kit)
                .forEach(k -> assertEquals(new Cost.Missing(1, 0, 0), k.cost().missing()));
        assertEquals(
                radio("mount", "frame").priceCents().orElseThrow(), kit.cost().cents());
    }

    /** Else what nobody priced would always look cheapest. */
    @Test
    void kitWithAMissingPriceBeatsNoneThatHasAll() {
        Cost known = new Cost(9500, 10, 0, 0);
        Cost open = new Cost(7500, 10, 0, 0, new Cost.Missing(1, 0, 0));
        assertFalse(open.covers(known));
        assertEquals(Set.of(known, open), Set.copyOf(Front.unbeaten(List.of(known, open), c -> c, c -> 0, 0)));
    }
}
