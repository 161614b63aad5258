package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** Against the plainest way to do the same: build and run every combination, and compare each with each. */
class FrontTest {
    private static final List<FunctionId> ALL =
            Demo.CATALOGUE.functions().stream().map(CarFunction::id).toList();

    /** A kit's costs and losses. */
    private record Point(Cost cost, int loss) {
        boolean beats(Point other) {
            return !equals(other) && loss <= other.loss && cost.covers(other.cost);
        }
    }

    /** A small library drawn from the demo, with prices, labour, cuts and days drawn anew; equal figures are common. */
    private record Draw(
            Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Wishes wishes, Market market) {
        static Draw of(String vehicle, String radio, int seed) {
            Random random = new Random(seed);
            Sheet.Vehicle car = Demo.vehicle(vehicle);
            Sheet.Radio head = Demo.radio(radio);
            List<Sheet.Part> all = Demo.all("parts").stream()
                    .map(s -> dealt((Sheet.Part) s, random))
                    .collect(Collectors.toCollection(ArrayList::new));
            Collections.shuffle(all, random);
            List<Sheet.Part> few = new ArrayList<>();
            KitTables whole = KitTables.of(
                    car,
                    head,
                    Slots.of(car, head, all, KitDecisions.NONE).orElseThrow(),
                    Demo.CATALOGUE,
                    new Outcomes.Against(Builder.factory(car), Demo.CATALOGUE));
            int combinations = 1;
            for (Slot s : whole.slots()) {
                List<Sheet.Part> here =
                        s.choices().stream().flatMap(c -> c.parts().stream()).toList();
                int most = Math.min(here.size(), 1 + random.nextInt(3));
                if (combinations * (most + 1) > 120) most = s.mayBeEmpty() ? 0 : 1;
                combinations *= most + (s.mayBeEmpty() ? 1 : 0);
                few.addAll(here.subList(0, most));
            }
            Map<String, Integer> days =
                    few.stream().collect(Collectors.toMap(Sheet::id, p -> random.nextInt(3) * 2, (a, b) -> a));
            Set<FunctionId> wanted =
                    ALL.stream().filter(f -> random.nextInt(4) == 0).collect(Collectors.toSet());
            return new Draw(
                    car,
                    head,
                    few.stream().distinct().toList(),
                    new Wishes(Set.of(), wanted, Optional.empty()),
                    new Market(Map.of(), days));
        }

        private static Sheet.Part dealt(Sheet.Part p, Random random) {
            return new Sheet.Part(
                    p.header(),
                    p.kind(),
                    random.nextInt(8) == 0 ? Optional.empty() : Optional.of(500L * random.nextInt(6)),
                    random.nextInt(8) == 0 ? Optional.empty() : Optional.of(5 * random.nextInt(5)),
                    random.nextInt(5) == 0 ? 1 : 0,
                    p.holds(),
                    p.device(),
                    p.vehicles(),
                    p.fits(),
                    p.finishes(),
                    p.takes(),
                    p.frame(),
                    p.thing());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "corrick-ferryman-2006,pebblefen-p2,1",
        "corrick-ferryman-2006,pebblefen-p2,2",
        "corrick-ferryman-2006,tarnlight-major,3",
        "hasterley-regent-1994,pebblefen-p2,5",
        "brindlow-quern-2013,ondel-over-9,6",
        "brindlow-quern-2013,ondel-over-9,7",
        "larkfen-porter-2011,pebblefen-p2,8",
        "meridale-plover-2019-amplified,ondel-47,10",
        "meridale-plover-2019-amplified,pebblefen-p2,11",
        "meridale-plover-2014-amplified,pebblefen-p2,12"
    })
    void frontIsWhatBruteForceLeaves(String vehicle, String radio, int seed) {
        sameAsBruteForce(Draw.of(vehicle, radio, seed));
    }

    /**
     * Tables leave loads on the supplies out; a kit whose loads blow the radio's fuse is found out when it is run as
     * built.
     */
    @Test
    void loadThatBlowsTheFuseIsFoundOut() {
        Sheet.Vehicle weak = Demo.vehicle(
                "hasterley-regent-1994",
                t -> t.replaceFirst("\"amps\": \"in\", \"min\": 14", "\"amps\": \"in\", \"min\": 2.5"));
        Sheet.Part hungry = (Sheet.Part) SheetReader.read(Demo.parse(Demo.text("kestwick-ladder-interface")
                .replace(
                        "{\"draw\": [\"acc\", \"gnd\"], \"amps\": 0.03}",
                        "{\"draw\": [\"const\", \"gnd\"], \"amps\": 1.0}")));
        List<Sheet.Part> parts = new ArrayList<>(Demo.parts(
                "hobwright-regent-two",
                "thornlea-regent",
                "thornlea-regent-basic",
                "marlstone-din-to-iso",
                "kelfax-gps-antenna"));
        parts.add(hungry);
        Draw draw = new Draw(
                weak,
                Demo.radio("ondel-47"),
                parts,
                new Wishes(Set.of(), Set.of(new FunctionId("position")), Optional.empty()),
                Market.SHEETS);
        sameAsBruteForce(draw);
        Installation factory = Builder.factory(weak);
        List<Kit> kits = RadioMatch.of(
                        factory,
                        weak,
                        List.of(draw.radio),
                        parts,
                        Demo.CATALOGUE,
                        Outcomes.fulfilled(factory, Demo.CATALOGUE),
                        KitDecisions.NONE)
                .get(0)
                .kits(draw.wishes, draw.market, () -> false)
                .kits();
        assertEquals(
                List.of(),
                kits.stream().filter(k -> k.has("kestwick-ladder-interface")).toList(),
                "it would buy the buttons with the fuse");
    }

    private static void sameAsBruteForce(Draw draw) {
        Installation factory = Builder.factory(draw.vehicle);
        Set<FunctionId> had = Outcomes.fulfilled(factory, Demo.CATALOGUE);
        RadioMatch match = RadioMatch.of(
                        factory, draw.vehicle, List.of(draw.radio), draw.parts, Demo.CATALOGUE, had, KitDecisions.NONE)
                .get(0);
        List<Point> found = match.kits(draw.wishes, draw.market, () -> false).kits().stream()
                .map(k -> new Point(k.cost(), k.loss()))
                .toList();
        Set<Point> every = everyKit(draw, factory, had);
        Set<Point> best = every.stream()
                .filter(p -> every.stream().noneMatch(q -> q.beats(p)))
                .collect(Collectors.toSet());
        assertEquals(best, new HashSet<>(found));
        assertEquals(best.size(), found.size(), "no two kits of equal figures");
    }

    private static Set<Point> everyKit(Draw draw, Installation factory, Set<FunctionId> had) {
        List<Slot> slots = Slots.of(draw.vehicle, draw.radio, draw.parts, KitDecisions.NONE)
                .orElseThrow();
        Outcomes.Against against = new Outcomes.Against(factory, Demo.CATALOGUE);
        Map<List<Integer>, Optional<Integer>> known = new HashMap<>();
        Set<Point> points = new HashSet<>();
        List<List<Sheet.Part>> kits = new ArrayList<>(List.of(List.of()));
        for (Slot s : slots) {
            List<List<Sheet.Part>> next = new ArrayList<>();
            for (List<Sheet.Part> before : kits) {
                if (s.mayBeEmpty()) next.add(before);
                s.choices().stream().flatMap(c -> c.parts().stream()).forEach(p -> {
                    List<Sheet.Part> more = new ArrayList<>(before);
                    more.add(p);
                    next.add(more);
                });
            }
            kits = next;
        }
        for (List<Sheet.Part> kit : kits) {
            List<Integer> behaviour = IntStream.range(0, slots.size())
                    .map(s -> kit.stream()
                            .mapToInt(p -> slots.get(s).choiceOf(p.id()))
                            .filter(c -> c >= 0)
                            .findFirst()
                            .orElse(0))
                    .boxed()
                    .toList();
            known.computeIfAbsent(
                            behaviour,
                            k -> loss(Builder.replacement(draw.vehicle, draw.radio, kit), against, had, draw.wishes))
                    .ifPresent(loss -> {
                        Cost cost = draw.market.of(draw.radio);
                        for (Sheet.Part p : kit)
                            cost = cost.plus(draw.market.of(draw.vehicle, p))
                                    .plus(
                                            p.holds().isPresent()
                                                    ? HolderFit.works(draw.vehicle, draw.radio, Optional.of(p))
                                                    : Cost.NOTHING);
                        points.add(new Point(cost, loss));
                    });
        }
        return points;
    }

    private static Optional<Integer> loss(
            Installation installation, Outcomes.Against against, Set<FunctionId> had, Wishes wishes) {
        if (!installation.faults().isEmpty()) return Optional.empty();
        Map<FunctionId, Kind> kinds = against.trial(installation).kinds(ALL);
        return Optional.of(ALL.stream()
                .filter(f -> !kinds.get(f).works())
                .mapToInt(f -> wishes.weight(f, had.contains(f)))
                .sum());
    }

    /** What is compiled of a kit is what building and running it gives, whatever else it has in it. */
    @ParameterizedTest
    @CsvSource({
        "corrick-ferryman-2006,pebblefen-p2,21",
        "meridale-plover-2019-amplified,ondel-47,25",
        "hasterley-regent-1994,ondel-47,22",
        "brindlow-quern-2013,ondel-over-9,23",
        "meridale-plover-2019-plain,pebblefen-p2,24"
    })
    void compiledIsAsBuilt(String vehicle, String radio, int seed) {
        Sheet.Vehicle car = Demo.vehicle(vehicle);
        Outcomes.Against against = new Outcomes.Against(Builder.factory(car), Demo.CATALOGUE);
        KitTables compiled = KitTables.of(
                car,
                Demo.radio(radio),
                Slots.of(
                                car,
                                Demo.radio(radio),
                                Demo.all("parts").stream()
                                        .map(s -> (Sheet.Part) s)
                                        .toList(),
                                KitDecisions.NONE)
                        .orElseThrow(),
                Demo.CATALOGUE,
                against);
        compiled.fill(ALL, () -> false);
        Random random = new Random(seed);
        int tried = 0;
        while (tried < 25) {
            int[] choices = compiled.slots().stream()
                    .mapToInt(s -> random.nextInt(s.choices().size()))
                    .toArray();
            List<Sheet.Part> kit = IntStream.range(0, choices.length)
                    .boxed()
                    .flatMap(s -> compiled.slots().get(s).choices().get(choices[s]).part().stream())
                    .toList();
            Installation built = Builder.replacement(car, Demo.radio(radio), kit);
            BitSet all = new BitSet();
            all.set(0, choices.length);
            assertEquals(
                    !built.faults().isEmpty(),
                    compiled.tied(choices, all),
                    () -> kit.stream().map(Sheet::id).toList() + " ties outputs");
            if (!built.faults().isEmpty()) continue;
            Map<FunctionId, Kind> asBuilt = new HashMap<>();
            against.outcomes(built).forEach((f, o) -> asBuilt.put(f, o.kind()));
            assertEquals(
                    working(asBuilt),
                    working(compiled.kinds(choices)),
                    () -> kit.stream().map(Sheet::id).toList().toString());
            tried++;
        }
    }

    private static Set<FunctionId> working(Map<FunctionId, Kind> kinds) {
        return kinds.entrySet().stream()
                .filter(k -> k.getValue().works())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    @Test
    void thinnedListStaysWithinWhatItSays() {
        Random random = new Random(31);
        List<Point> all = IntStream.range(0, 3000)
                .mapToObj(i -> new Point(
                        new Cost(
                                random.nextInt(5000),
                                random.nextInt(500),
                                random.nextInt(3),
                                random.nextInt(3),
                                new Cost.Missing(random.nextInt(2), random.nextInt(2), random.nextInt(2))),
                        random.nextInt(20)))
                .toList();
        for (int slack : new int[] {0, 5, 40}) {
            List<Point> kept = Front.unbeaten(all, Point::cost, Point::loss, slack);
            for (Point p : all)
                assertEquals(
                        true,
                        kept.stream()
                                .anyMatch(k -> k.loss <= p.loss
                                        && k.cost.cents() <= p.cost.cents()
                                        && k.cost.minutes() <= p.cost.minutes() + slack
                                        && k.cost.cuts() <= p.cost.cuts()
                                        && k.cost.days() <= p.cost.days()
                                        && k.cost.missing().covers(p.cost.missing())),
                        p::toString);
        }
    }

    /** Kits that differ in price and losses alone are not made fewer by slack of minutes. */
    @Test
    void thinningEndsWhereMinutesDoNotHelp() {
        List<Point> all = IntStream.range(0, 100)
                .mapToObj(i -> new Point(new Cost(1000 - i, 10, 0, 0), i))
                .toList();
        Front.Thinned<Point> thinned =
                Front.thinned(minutes -> Front.unbeaten(all, Point::cost, Point::loss, minutes), 50);
        assertEquals(100, thinned.list().size());
    }
}
