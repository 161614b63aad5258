package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Recipe;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.worksheet.BeforeJoining;
import velvetbezel.worksheet.GoodsIn;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.Sizing;
import velvetbezel.worksheet.Worksheet;

/** Own parts, parts made by hand, a hard-wired radio, and nothing at all: each fills a need of a kit. */
class KitDecisionsTest {
    private static final Sheet.Radio P2 = Demo.radio("pebblefen-p2");

    private static KitDecisions filled(KitNeed need, Filling filling) {
        return new KitDecisions(Map.of(need, filling), Set.of());
    }

    private static Filling made(int minutes, long cents) {
        return new Filling(Filling.By.MADE, Optional.of(minutes), Optional.of(cents));
    }

    /** The best kit for the minibus with what is filled so; its other parts by name. */
    private static Kit kit(KitDecisions decisions, String... parts) {
        Sheet.Vehicle car = Demo.minibus();
        Installation factory = Builder.factory(car);
        Set<FunctionId> had = Outcomes.fulfilled(factory, Demo.CATALOGUE);
        List<RadioMatch> radios = RadioMatch.of(
                factory, decisions.in(car), List.of(P2), Demo.parts(parts), Demo.CATALOGUE, had, decisions);
        return Matcher.match(radios, Wishes.NONE, Market.SHEETS).kits().get(0);
    }

    private static Set<FunctionId> works(String... parts) {
        return kit(KitDecisions.NONE, parts).working();
    }

    private static final String FRAME = "quillmoor-ferryman-frame";
    private static final String HARNESS = "thornlea-iso-steering";

    @Test
    void bracketsMadeByHandCostTheirHoursAndTheirMaterial() {
        Cost without = kit(KitDecisions.NONE, FRAME, HARNESS).cost();
        Cost made = kit(filled(KitNeed.DASH_KIT, made(120, 1500)), HARNESS).cost();
        Sheet.Part frame = Demo.parts(FRAME).get(0);
        assertEquals(without.cents() - frame.priceCents().orElseThrow() + 1500, made.cents());
        assertEquals(without.minutes() - frame.minutes().orElseThrow() + 120, made.minutes());
        assertEquals(
                works(FRAME, HARNESS),
                kit(filled(KitNeed.DASH_KIT, made(120, 1500)), HARNESS).working());
    }

    @Test
    void ownFrameIsNothingToBuyAndItsTimeIsMissingUntilSomebodySaysIt() {
        Cost own = kit(filled(KitNeed.DASH_KIT, Filling.of(Filling.By.OWN)), HARNESS)
                .cost();
        assertEquals(new Cost.Missing(0, 1, 0), own.missing());
    }

    @Test
    void decidedNeedLeavesOutWhatTheLibraryWouldSell() {
        Kit kit = kit(filled(KitNeed.DASH_KIT, Filling.of(Filling.By.OWN)), FRAME, HARNESS);
        assertFalse(kit.has(FRAME));
    }

    /** Each wire of the plugs that are cut off is a cut to the car. */
    @Test
    void hardWiredRadioPlaysAsWithAPlainHarnessAndEveryWireIsACut() {
        KitDecisions wired = filled(KitNeed.HARNESS, Filling.of(Filling.By.HARD_WIRED));
        Kit kit = kit(wired, FRAME);
        long wires = Demo.minibus().car().plugs().stream()
                .filter(p -> List.of("A", "B").contains(p.id()))
                .flatMap(p -> p.positions().stream())
                .filter(p -> !p.empty())
                .count();
        assertEquals(wires, kit.cost().cuts());
        assertTrue(kit.working().contains(new FunctionId("front left")));
        Installation built = kit.build(wired.in(Demo.minibus()));
        assertTrue(built.joints().stream()
                .filter(j -> j.role() == LeadRole.CONSTANT)
                .allMatch(j -> j.leads().stream().anyMatch(l -> l.instance().equals(Builder.CAR))));
    }

    /** Bare leads from the car's own plugs have the car's roles, whoever made them. */
    @Test
    void harnessMadeByHandJoinsWhatAHardWiredRadioJoins() {
        KitDecisions wired = filled(KitNeed.HARNESS, Filling.of(Filling.By.HARD_WIRED));
        KitDecisions tails = filled(KitNeed.HARNESS, made(60, 800));
        Installation cut = kit(wired, FRAME).build(wired.in(Demo.minibus()));
        Installation kept = kit(tails, FRAME).build(Demo.minibus());
        assertEquals(roles(cut), roles(kept));
        assertEquals(kit(wired, FRAME).working(), kit(tails, FRAME).working());
        assertEquals(0, kit(tails, FRAME).cost().cuts());
    }

    private static Set<String> roles(Installation i) {
        return i.joints().stream().map(j -> j.role().label()).collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void noAntennaAdapterWantedIsNoReceptionAndOneMadeByHandIs() {
        Sheet.Vehicle car = Demo.minibus();
        Sheet.Radio iso = Demo.radio("ondel-47");
        List<Sheet.Part> bought = Demo.parts("marlstone-din-to-iso", HARNESS);
        Stream.of(Filling.By.values()).filter(KitNeed.ANTENNA_ADAPTER::allows).forEach(by -> {
            KitDecisions decisions = filled(KitNeed.ANTENNA_ADAPTER, Filling.of(by));
            List<Sheet.Part> parts = decisions.applied(car, iso, bought);
            assertEquals(by == Filling.By.NONE ? 1 : 2, parts.size(), by.label());
            Installation built = Builder.replacement(car, iso, parts);
            Kind reception = Outcomes.compare(Builder.factory(car), built, Demo.CATALOGUE)
                    .get(new FunctionId("reception"))
                    .kind();
            assertEquals(by == Filling.By.NONE, reception == Kind.LOST, by.label());
        });
    }

    @Test
    void carThatNeedsNoAntennaAdapterGetsNone() {
        KitDecisions own = filled(KitNeed.ANTENNA_ADAPTER, Filling.of(Filling.By.OWN));
        List<String> parts =
                kit(own, FRAME, HARNESS).parts().stream().map(Sheet::id).toList();
        boolean fits = Slots.antenna(Demo.minibus().car())
                .orElseThrow()
                .fits(Slots.antenna(P2.device()).orElseThrow());
        assertEquals(
                !fits, parts.stream().anyMatch(id -> KitDecisions.standsIn(id).isPresent()));
    }

    @Test
    void partAtHandIsNothingToBuyAndNothingToWaitFor() {
        Market shelves = new Market(Map.of(), Map.of(FRAME, 5));
        Sheet.Part frame = Demo.parts(FRAME).get(0);
        Cost bought = shelves.of(Demo.minibus(), frame);
        Cost own = shelves.owning(Set.of(FRAME)).of(Demo.minibus(), frame);
        assertEquals(5, bought.days());
        assertEquals(new Cost(0, bought.minutes(), bought.cuts(), 0), own);
    }

    @Test
    void whatIsMadeByHandIsNotLookedAtWhenGoodsCome() {
        Sheet.Vehicle car = Demo.minibus();
        KitDecisions decisions = filled(KitNeed.DASH_KIT, made(120, 1500));
        Recipe recipe = Recipe.of(car, P2, decisions.applied(car, P2, Demo.parts(HARNESS)))
                .using(decisions.uses());
        assertEquals(
                Set.of(P2.id(), HARNESS),
                GoodsIn.of(Builder.build(recipe)).stream()
                        .map(GoodsIn.Check::sheet)
                        .collect(Collectors.toSet()));
    }

    @Test
    void wiresAreMarkedBeforeTheirPlugsAreCutOff() {
        KitDecisions wired = filled(KitNeed.HARNESS, Filling.of(Filling.By.HARD_WIRED));
        Installation cut = kit(wired, FRAME).build(wired.in(Demo.minibus()));
        Worksheet worksheet = Worksheet.of(cut);
        assertEquals(
                "Mark each wire with its position, then cut the plugs off with their ends left long.",
                BeforeJoining.of(cut, worksheet, new Sizing(Demo.tables(), JointChoices.USUAL))
                        .get(0)
                        .text());
    }

    /** A screen beside the factory radio goes between two plugs: there are none left to go between. */
    @Test
    void hardWiringLeavesNoKitForAScreenBesideTheFactoryRadio() {
        Sheet.Vehicle car = Demo.vehicle("brindlow-quern-2013");
        KitDecisions wired = filled(KitNeed.HARNESS, Filling.of(Filling.By.HARD_WIRED));
        Sheet.Radio screen = Demo.radio("ondel-over-9");
        List<Sheet.Part> parts =
                Demo.all("parts").stream().map(p -> (Sheet.Part) p).toList();
        assertTrue(Slots.of(car, screen, parts, KitDecisions.NONE).isPresent());
        assertTrue(Slots.of(wired.in(car), screen, parts, wired).isEmpty());
        assertEquals(
                List.of(Optional.of(KitNeed.HARNESS)),
                Matcher.lacking(wired.in(car), List.of(screen), parts, wired, Market.SHEETS).stream()
                        .flatMap(l -> l.things().stream())
                        .map(Lacking.Thing::need)
                        .toList());
    }
}
