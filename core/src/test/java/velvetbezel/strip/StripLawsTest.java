package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.StripLines;

/** Laws of taking apart and putting together, on cars by seed. */
class StripLawsTest {
    private static final Planner PLANNER = new Planner();
    private static final int CARS = 40;

    private static StripPlan plan(StripDown car, Wanted wanted) {
        return PLANNER.plan(car, wanted, CarState.CLOSED, false);
    }

    /** A plan for a car by seed of which every part comes out; empty where there is none. */
    private static List<StripStep> steps(StripDown car) {
        return plan(car, Cars.allOff(car)).found().map(StripPlan.Order::steps).orElse(List.of());
    }

    private static int changes(StripPlan plan) {
        return plan.found().map(StripPlan.Order::changes).orElse(-1);
    }

    private static Simulation.Ran ran(StripDown car, Wanted wanted, List<StripStep> steps) {
        List<StripStep> all = new ArrayList<>(steps);
        all.add(new StripStep.End());
        return new Simulation(car, wanted, Cars.rules()).run(CarState.CLOSED, all);
    }

    @Test
    void planHasNoHazard() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 4 + seed % 30, 15);
            for (Wanted w : List.of(Cars.allOff(car), Cars.wanted(car))) {
                List<StripStep> steps =
                        plan(car, w).found().map(StripPlan.Order::steps).orElse(List.of());
                if (!steps.isEmpty()) assertEquals(List.of(), ran(car, w, steps).hazards(), "seed " + seed);
            }
        }
    }

    @Test
    void planHasAsFewChangesAsTheBestOfAllOrders() {
        int without = 0;
        for (int seed = 0; seed < 60; seed++) {
            StripDown car = Cars.seeded(seed, 3 + seed % 3, 40);
            OptionalInt best = BruteForce.changes(car, Cars.allOff(car));
            assertEquals(best.orElse(-1), changes(plan(car, Cars.allOff(car))), "seed " + seed);
            if (best.isEmpty()) without++;
        }
        assertTrue(without > 3 && without < 30, "cars without an order: " + without);
    }

    @Test
    void deadEndSeenWithoutASearchIsOneForEveryOrder() {
        int seen = 0;
        for (int seed = 100; seed < 160; seed++) {
            StripDown car = Cars.seeded(seed, 4, 60);
            boolean dead = plan(car, Cars.allOff(car)) instanceof StripPlan.NoOrder n
                    && !n.deadEnds().isEmpty();
            if (!dead) continue;
            seen++;
            assertTrue(BruteForce.changes(car, Cars.allOff(car)).isEmpty(), "seed " + seed);
        }
        assertTrue(seen > 2, "dead ends met: " + seen);
    }

    @Test
    void plannedAnewHalfWayTheWholeHasAsManyChanges() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 6, 25);
            if (!(plan(car, Cars.allOff(car)) instanceof StripPlan.Least least)) continue;
            List<StripStep> steps = least.order().steps();
            List<CarState> states = ran(car, Cars.allOff(car), steps).states();
            int sofar = 0;
            for (int i = 0; i < steps.size(); i++) {
                StripPlan rest = PLANNER.plan(car, Cars.allOff(car), states.get(i), false);
                assertEquals(least.order().changes(), sofar + changes(rest), "seed " + seed + " before step " + i);
                boolean set = steps.get(i) instanceof StripStep.SetState;
                if (set || steps.get(i) instanceof StripStep.PlugIn p && p.forNow()) sofar++;
            }
        }
    }

    @Test
    void partThatIsNotInTheWayChangesNothing() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 8, 20);
            List<DashItem> more = new ArrayList<>(car.items());
            more.add(Cars.of("{'items': [{'id': 'sun visor', 'clear': {'gear': ['low']}, 'leads': [{'id': 'lamp'}]}]}")
                    .items()
                    .get(0));
            Wanted wanted = Cars.wanted(car);
            assertEquals(changes(plan(car, wanted)), changes(plan(car.withItems(more), wanted)), "seed " + seed);
        }
    }

    @Test
    void mechanicalReleaseNeverCostsAChange() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 7, 30);
            int now = changes(plan(car, Cars.allOff(car)));
            StripDown released = Cars.released(car);
            int then = changes(plan(released, Cars.allOff(car)));
            if (now >= 0) assertTrue(then >= 0 && then <= now, "seed %d: %d, then %d".formatted(seed, now, then));
        }
    }

    @Test
    void partThatAsksForMoreNeverMakesItCheaper() {
        int compared = 0;
        for (int seed = 0; seed < 2 * CARS; seed++) {
            StripDown car = Cars.seeded(seed, 6, 15);
            List<String> lines =
                    new ArrayList<>(StripLines.write(car.items()).lines().toList());
            int of = new Random(seed).nextInt(lines.size());
            if (lines.get(of).contains("lever low")) continue;
            lines.set(of, lines.get(of) + ", lever low");
            Object items = StripLines.read(String.join("\n", lines)).items();
            StripDown asks = car.withItems(Cars.read(Map.of("items", items)).items());
            int now = changes(plan(car, Cars.allOff(car)));
            int then = changes(plan(asks, Cars.allOff(asks)));
            if (now < 0) assertTrue(then < 0, "seed " + seed);
            else if (then >= 0) assertTrue(then >= now, "seed %d: %d, then %d".formatted(seed, now, then));
            compared++;
        }
        assertTrue(compared > CARS, "cars compared: " + compared);
    }

    @Test
    void orderOfPartsOnTheSheetDoesNotChangeTheCost() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 7, 30);
            List<DashItem> shuffled = new ArrayList<>(car.items());
            Collections.shuffle(shuffled, new Random(seed));
            assertEquals(
                    changes(plan(car, Cars.allOff(car))),
                    changes(plan(car.withItems(shuffled), Cars.allOff(car))),
                    "seed " + seed);
        }
    }

    @Test
    void takingThePositivesOffAsWellIsNeverFewerChanges() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 7, 20);
            int one = changes(plan(car, Cars.allOff(car)));
            int both = changes(plan(car, Cars.allOff(car).with(new School(true, true, false))));
            assertTrue(one < 0 ? both < 0 : both >= one, "seed %d: %d, then %d".formatted(seed, one, both));
        }
    }

    @Test
    void everyPartIsLoosenedUnpluggedLiftedExchangedPutInPluggedAndFastenedInThisOrder() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 12, 15);
            List<StripStep> steps = steps(car);
            if (steps.isEmpty()) continue;
            Map<String, Integer> last = new HashMap<>();
            for (int i = 0; i < steps.size(); i++) last.put(StepText.write(steps.get(i)), i);
            for (DashItem item : car.items()) {
                List<Integer> order = new ArrayList<>(List.of(last.get("loosen " + item.id())));
                for (ItemConnector c : item.connectors())
                    assertRises(order, last, "unplug " + c.id(), "lift " + item.id());
                for (String s : List.of("lift ", "put in ")) order.add(last.get(s + item.id()));
                order.add(2, last.get("exchange"));
                for (ItemConnector c : item.connectors())
                    assertRises(order, last, "plug in " + c.id(), "fasten " + item.id());
                order.add(last.get("fasten " + item.id()));
                assertEquals(order.stream().sorted().toList(), order, item.id() + " of seed " + seed);
            }
        }
    }

    private static void assertRises(List<Integer> after, Map<String, Integer> last, String step, String before) {
        assertTrue(last.get(step) > after.get(0), step);
        assertTrue(last.get(step) < last.get(before), step);
    }

    @Test
    void plugThatIsForgottenIsFoundWhenItsPartIsClosedOrTested() {
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 6, 10);
            List<StripStep> steps = steps(car);
            for (int i = 0; i < steps.size(); i++) {
                if (!(steps.get(i) instanceof StripStep.PlugIn p) || p.forNow()) continue;
                List<StripStep> without = new ArrayList<>(steps);
                without.remove(i);
                int by = closing(without, p);
                assertTrue(
                        ran(car, Cars.allOff(car), without).hazards().stream().anyMatch(f -> f.step() <= by),
                        "%s of seed %d".formatted(p, seed));
            }
        }
    }

    private static int closing(List<StripStep> steps, StripStep.PlugIn plug) {
        int fasten = steps.indexOf(new StripStep.Fasten(plug.connector().item()));
        int test = steps.indexOf(new StripStep.FunctionTest());
        return Math.max(fasten, test);
    }

    @Test
    void fastenersThatCameOutAndWentInHoweverSplitLeaveNothing() {
        StripDown car = Cars.leverAgainstLamp();
        Random random = new Random(5);
        for (int n = 0; n < 50; n++) {
            List<StripStep> steps = new ArrayList<>();
            var group = GroupOf.read("fascia/clips").orElseThrow();
            int out = 1 + random.nextInt(9);
            for (int left = out; left > 0; ) {
                int some = 1 + random.nextInt(left);
                steps.add(new StripStep.Undo(group, some));
                left -= some;
            }
            for (int left = out; left > 0; ) {
                int some = 1 + random.nextInt(left);
                steps.add(new StripStep.DoUp(group, some));
                left -= some;
            }
            assertEquals(0, ran(car, Wanted.away("radio"), steps).end().trays().left());
        }
    }

    @Test
    void extraBehindWhatIsOpenAnywaySavesMinutes() {
        StripDown car = Cars.leverAgainstLamp();
        for (Openings.Saving s : new Openings(PLANNER, car, Wanted.away("radio")).all())
            assertTrue(s.saves() >= 0, s::toString);
        assertFalse(new Openings(PLANNER, car, Wanted.away("radio")).all().isEmpty());
    }

    @Test
    void anyOrderOfAnyKnownStepsCanBeSimulated() {
        Random random = new Random(11);
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 8, 30);
            List<StripStep> steps = new ArrayList<>(steps(car));
            Collections.shuffle(steps, random);
            if (steps.size() > 3) steps.subList(0, 3).clear();
            assertFalse(ran(car, Cars.allOff(car), steps).states().isEmpty());
        }
    }

    @Test
    void sheetMadeFromARecordingPlansAnOrderThatIsGoodForTheTrueCar() {
        int tried = 0;
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = Cars.seeded(seed, 7, 0);
            List<StripStep> steps = steps(car);
            if (steps.isEmpty()) continue;
            StripDown recorded = Cars.read(new Recorder(List.of(steps), airbags(car), Set.of()).tree());
            Wanted all = Cars.allOff(recorded);
            List<StripStep> again = plan(recorded, all).found().orElseThrow().steps();
            List<HazardFinding> hazards =
                    ran(car, Cars.allOff(car), again.subList(0, again.indexOf(new StripStep.Exchange())))
                            .hazards()
                            .stream()
                            .filter(f -> !(f.at() instanceof StripStep.End))
                            .toList();
            assertEquals(List.of(), hazards, "seed " + seed);
            tried++;
        }
        assertTrue(tried > 20, "cars recorded: " + tried);
    }

    private static Set<String> airbags(StripDown car) {
        return car.items().stream()
                .flatMap(i -> i.connectors().stream())
                .filter(c -> c.circuit() == Circuit.AIRBAG)
                .map(c -> c.id().toString())
                .collect(Collectors.toSet());
    }
}
