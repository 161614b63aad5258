package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
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
import java.util.stream.Stream;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Misfed;
import velvetbezel.harness.Moves;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;

/**
 * Laws of every worksheet, on seeded installations: demo cars with radios and parts drawn at random, and leads moved
 * at random.
 */
class WorksheetLawsTest {
    private static final List<Sheet.Vehicle> CARS =
            Demo.all("vehicles").stream().map(s -> (Sheet.Vehicle) s).toList();
    private static final List<Sheet.Radio> RADIOS =
            Demo.all("radios").stream().map(s -> (Sheet.Radio) s).toList();
    private static final List<Sheet.Part> PARTS = Demo.all("parts").stream()
            .map(s -> (Sheet.Part) s)
            .filter(p -> p.device().isPresent())
            .toList();

    static Stream<Long> seeds() {
        return IntStream.range(0, 60).mapToObj(Long::valueOf);
    }

    private static Installation drawn(long seed) {
        Random random = new Random(seed);
        Sheet.Vehicle car = CARS.get(random.nextInt(CARS.size()));
        List<Sheet.Part> parts = new ArrayList<>(PARTS);
        Collections.shuffle(parts, random);
        Installation plain = Builder.replacement(
                car, RADIOS.get(random.nextInt(RADIOS.size())), parts.subList(0, 1 + random.nextInt(5)));
        if (seed % 3 != 0) return plain;
        Map<TerminalId, Optional<LeadRole>> moves = new HashMap<>();
        List<TerminalId> bare = bare(plain);
        for (int i = 0; i < 3 && !bare.isEmpty(); i++)
            moves.put(
                    bare.get(random.nextInt(bare.size())),
                    random.nextBoolean() ? Optional.empty() : Optional.of(LeadRole.values()[random.nextInt(20)]));
        return Builder.replacement(
                car,
                plain.recipe().radio().orElseThrow(),
                List.copyOf(plain.recipe().parts().values()),
                new Moves(moves));
    }

    private static List<TerminalId> bare(Installation installation) {
        return installation.terminals().values().stream()
                .filter(t -> t.kind() == Terminal.Kind.BARE)
                .map(Terminal::id)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyLeadIsJoinedOrCappedExactlyOnce(long seed) {
        Installation installation = drawn(seed);
        Worksheet w = Worksheet.of(installation);
        List<TerminalId> told = Stream.concat(
                        w.joints().stream().flatMap(j -> j.leads().stream().map(LeadEnd::id)),
                        w.caps().stream().map(c -> c.lead().id()))
                .sorted()
                .toList();
        assertEquals(bare(installation).stream().sorted().toList(), told);
        assertTrue(w.joints().stream().allMatch(j -> j.leads().size() > 1), "a joint joins");
    }

    /**
     * Joints as the worksheet tells them, put in place of the graph's legs, connect the same terminals (JGraphT as
     * referee).
     */
    @ParameterizedTest
    @MethodSource("seeds")
    void worksheetConnectsWhatTheGraphConnects(long seed) {
        Installation installation = drawn(seed);
        SimpleGraph<TerminalId, DefaultEdge> graph = graph(installation, true);
        SimpleGraph<TerminalId, DefaultEdge> told = graph(installation, false);
        Worksheet.of(installation).joints().forEach(j -> {
            for (int i = 1; i < j.leads().size(); i++)
                if (!j.leads().get(0).id().equals(j.leads().get(i).id()))
                    told.addEdge(j.leads().get(0).id(), j.leads().get(i).id());
        });
        assertEquals(nets(graph), nets(told));
    }

    private static SimpleGraph<TerminalId, DefaultEdge> graph(Installation installation, boolean legs) {
        SimpleGraph<TerminalId, DefaultEdge> graph = new SimpleGraph<>(DefaultEdge.class);
        installation.terminals().keySet().forEach(graph::addVertex);
        for (Conductor c : installation.conductors()) {
            if (!c.mayBeClosed() || c.kind() == Conductor.Kind.LEG && !legs || c.a().equals(c.b())) continue;
            graph.addVertex(c.a());
            graph.addVertex(c.b());
            graph.addEdge(c.a(), c.b());
        }
        return graph;
    }

    /** Without the nodes in the middle of joints, which no worksheet names. */
    private static Set<Set<TerminalId>> nets(SimpleGraph<TerminalId, DefaultEdge> graph) {
        return new ConnectivityInspector<>(graph)
                .connectedSets().stream()
                        .map(s -> s.stream()
                                .filter(t -> !t.instance().equals("joint"))
                                .collect(Collectors.toSet()))
                        .filter(s -> !s.isEmpty())
                        .collect(Collectors.toCollection(HashSet::new));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void exchangingAPartAndExchangingItBackRestoresTheWorksheet(long seed) {
        Installation before = drawn(seed);
        Random random = new Random(seed);
        String instance = List.copyOf(before.recipe().parts().keySet())
                .get(random.nextInt(before.recipe().parts().size()));
        Sheet.Part other = PARTS.get(random.nextInt(PARTS.size()));
        Installation exchanged = before.with(new Edit.ReplacePart(instance, other));
        Installation back = exchanged.with(
                new Edit.ReplacePart(instance, before.recipe().parts().get(instance)));
        assertEquals(Worksheet.of(before), Worksheet.of(back));
        Rework there = Rework.between(
                Worksheet.of(before).joints(), Worksheet.of(exchanged).joints());
        Rework again = Rework.between(
                Worksheet.of(exchanged).joints(), Worksheet.of(before).joints());
        assertEquals(there.undo(), again.fresh());
        assertEquals(there.fresh(), again.undo());
    }

    @Test
    void exchangedAdapterUndoesItsOwnJointsAndNoOther() {
        Installation steering = Demo.minibusJob();
        Installation tails = steering.with(new Edit.ReplacePart(
                "thornlea-iso-steering", Demo.parts("thornlea-iso-tails").get(0)));
        Rework rework = Rework.between(
                Worksheet.of(steering).joints(), Worksheet.of(tails).joints());
        assertEquals(
                Worksheet.of(steering).joints().size(),
                rework.stand().size() + rework.undo().size());
        assertTrue(
                rework.undo().stream().allMatch(r -> r.leads().stream()
                        .anyMatch(l -> l.id().instance().equals("thornlea-iso-steering"))),
                rework::toString);
        assertEquals(
                "ground: black of Thornlea ISO adapter with steering tail, black of Pebblefen P2",
                Rework.words(Worksheet.of(steering).joints().get(0)));
    }

    /** What is found out about the car's own wire after it was joined takes no joint apart. */
    @Test
    void settledColourOfACutWireUndoesNothing() {
        Installation unknown = Demo.fit(Demo.vehicle("larkfen-porter-2011"), "pebblefen-p2");
        Installation settled = Demo.fit(
                Demo.vehicle(
                        "larkfen-porter-2011",
                        t -> t.replace("\"colour\": {\"missing\": true}", "\"colour\": \"violet\"")),
                "pebblefen-p2");
        assertTrue(Rework.between(
                        Worksheet.of(unknown).joints(), Worksheet.of(settled).joints())
                .undo()
                .isEmpty());
    }

    private static Installation moved(String lead, Optional<LeadRole> to) {
        Installation usual = Demo.minibusJob();
        TerminalId id = bare(usual).stream()
                .filter(t -> t.toString().equals(lead))
                .findFirst()
                .orElseThrow(() -> new AssertionError(bare(usual).toString()));
        return Builder.replacement(
                usual.recipe().vehicle(),
                usual.recipe().radio().orElseThrow(),
                List.copyOf(usual.recipe().parts().values()),
                new Moves(Map.of(id, to)));
    }

    @Test
    void accessoryLoopedToConstantIsNamedWithBothPlaces() {
        Installation looped = moved("thornlea-iso-steering.A.4 lead", Optional.of(LeadRole.CONSTANT));
        assertEquals(
                List.of(
                        "constant (A7) and accessory (A4) of the car are joined: the radio plays with the key off and the battery goes flat. Take one of them out of the joint."),
                Misfed.in(looped).stream().map(f -> f.message()).toList());
        assertTrue(Misfed.in(Demo.minibusJob()).isEmpty());
    }

    @Test
    void leadThatGoesNowhereIsNamed() {
        Installation nowhere = moved("radio.remote", Optional.of(LeadRole.MUTE));
        assertEquals(
                "radio.remote: goes nowhere: you chose mute for it, and nothing else meets it there. Choose another joint, or cap it.",
                Misfed.in(nowhere).get(0).toString());
        assertFalse(Worksheet.of(nowhere).joints().stream().anyMatch(j -> j.role() == LeadRole.MUTE));
    }

    @Test
    void fedDataLineIsNamed() {
        Installation usual = Demo.fit(Demo.crossover(), "ondel-47", "thornlea-plover-amplified", "ashdyke-bus-power");
        TerminalId line = bare(usual).stream()
                .filter(t -> Worksheet.of(usual).joints().stream()
                        .anyMatch(j -> j.role() == LeadRole.DATA_HIGH
                                && j.leads().get(0).id().equals(t)))
                .findFirst()
                .orElseThrow();
        Installation fed = Builder.replacement(
                usual.recipe().vehicle(),
                usual.recipe().radio().orElseThrow(),
                List.copyOf(usual.recipe().parts().values()),
                new Moves(Map.of(line, Optional.of(LeadRole.CONSTANT))));
        assertEquals(
                List.of(
                        "the car's data high (main 15) is joined to constant (main 12): it must never be fed 12 V, and its control units can be destroyed. Take it out of the joint and cap it."),
                Misfed.in(fed).stream().map(f -> f.message()).toList());
    }

    @Test
    void twoOutputsOnOneJointAreNamedWithTheirTerminals() {
        Installation usual = Demo.fit(Demo.crossover(), "ondel-47", "thornlea-plover-amplified", "ashdyke-bus-power");
        assertTrue(usual.faults().isEmpty());
        Installation tied = Builder.replacement(
                usual.recipe().vehicle(),
                usual.recipe().radio().orElseThrow(),
                List.copyOf(usual.recipe().parts().values()),
                new Moves(Map.of(new TerminalId("radio", "remote"), Optional.of(LeadRole.ACCESSORY))));
        assertEquals(
                "two outputs are tied together: acc of Ashdyke bus power module and remote of Ondel 47. Leave one out, or put a diode or relay between them.",
                tied.faults().get(0).message());
    }

    @Test
    void leadLeftUnusedByChoiceIsCappedAndSaysSo() {
        Worksheet w = Worksheet.of(moved("radio.lamps", Optional.empty()));
        assertEquals(
                "You chose to leave it unused.",
                w.caps().stream()
                        .filter(c -> c.lead().id().name().equals("lamps"))
                        .findFirst()
                        .orElseThrow()
                        .why());
    }
}
