package velvetbezel.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.worksheet.Worksheet;

class HarnessDrawingTest {
    static Stream<Worksheet> worksheets() {
        return Stream.of(
                        Demo.minibusJob(),
                        Demo.crossoverJob(),
                        Demo.fit(Demo.minibus(), "pebblefen-p2", "thornlea-iso-steering", "kestwick-ladder-interface"),
                        Demo.fit(
                                Demo.crossover(),
                                "ondel-47",
                                "thornlea-plover-amplified",
                                "kestwick-bus-interface",
                                "ashdyke-bus-power",
                                "marlstone-plover-iso-fed"))
                .map(Worksheet::of);
    }

    private static HarnessDrawing draw(Worksheet w) {
        return HarnessDrawing.of(w, Set.of());
    }

    private static List<Shapes.Wire> wires(HarnessDrawing d) {
        return Stream.concat(d.lanes().stream(), d.drops().stream()).toList();
    }

    @ParameterizedTest
    @MethodSource("worksheets")
    void everyLeadOfTheWorksheetIsDrawnOnceAndNothingElse(Worksheet w) {
        List<String> expected = new ArrayList<>();
        w.joints().forEach(j -> j.leads().forEach(l -> expected.add(l.id().toString())));
        w.caps().forEach(c -> expected.add(c.lead().id().toString()));
        List<String> drawn = wires(draw(w)).stream().map(Shapes.Wire::lead).toList();
        assertEquals(
                expected.stream().sorted().toList(), drawn.stream().sorted().toList());
    }

    @ParameterizedTest
    @MethodSource("worksheets")
    void everyJointHasOneNumberAndTheFirstUndoneIsNext(Worksheet w) {
        HarnessDrawing none = draw(w);
        assertEquals(
                w.joints().stream().map(j -> String.valueOf(j.number())).toList(),
                none.dots().stream().map(Shapes.Dot::number).toList());
        assertEquals("next", none.dots().get(0).state());
        HarnessDrawing first =
                HarnessDrawing.of(w, Set.of(w.joints().get(0).id().text()));
        assertEquals(
                List.of("done", "next"),
                first.dots().stream().limit(2).map(Shapes.Dot::state).toList());
        assertEquals(
                1, first.dots().stream().filter(d -> d.state().equals("next")).count());
    }

    @ParameterizedTest
    @MethodSource("worksheets")
    void wiresRunOnlyAlongAndDownSoThatTheyCrossAtRightAngles(Worksheet w) {
        draw(w).lanes().forEach(l -> assertTrue(l.path().matches("M[\\d.]+ [\\d.]+H[\\d.]+"), l.path()));
        draw(w).drops().forEach(d -> assertTrue(d.path().matches("M[\\d.]+ [\\d.]+V[\\d.]+"), d.path()));
    }

    @ParameterizedTest
    @MethodSource("worksheets")
    void boxesDoNotOverlapAndEverythingLiesInsideTheSheet(Worksheet w) {
        HarnessDrawing d = draw(w);
        for (Shapes.Box a : d.boxes()) {
            assertTrue(
                    a.x() >= 0 && a.x() + a.width() <= d.width() && a.y() >= 0 && a.y() + a.height() <= d.height(),
                    a::toString);
            for (Shapes.Box b : d.boxes())
                assertFalse(
                        a != b
                                && a.x() < b.x() + b.width()
                                && b.x() < a.x() + a.width()
                                && a.y() + 1 < b.y() + b.height()
                                && b.y() + 1 < a.y() + a.height(),
                        a + " on " + b);
        }
        d.texts().forEach(t -> assertTrue(t.y() > 0 && t.y() < d.height(), t::toString));
    }

    @ParameterizedTest
    @MethodSource("worksheets")
    void noTwoTextsOfOneColumnStandOnEachOther(Worksheet w) {
        List<Shapes.Text> texts = draw(w).texts();
        for (Shapes.Text a : texts)
            for (Shapes.Text b : texts)
                assertFalse(
                        a != b && a.x() == b.x() && a.anchor().equals(b.anchor()) && Math.abs(a.y() - b.y()) < 11,
                        a + " on " + b);
    }

    @Test
    void wireIsDrawnWithItsStripeAndNamedInWords() {
        Shapes.Wire tail = draw(Worksheet.of(Demo.minibusJob())).lanes().stream()
                .filter(x -> x.lead().equals("thornlea-iso-steering.S.1 lead"))
                .findFirst()
                .orElseThrow();
        assertEquals("white", tail.base());
        assertEquals("green", tail.stripe());
        assertTrue(tail.label().contains("white/green"), tail.label());
    }

    @Test
    void exceptionsAreRinged() {
        Worksheet w = Worksheet.of(Demo.minibusJob());
        Set<String> ringed = draw(w).dots().stream()
                .filter(Shapes.Dot::exception)
                .map(Shapes.Dot::joint)
                .collect(Collectors.toCollection(TreeSet::new));
        assertEquals(
                w.exceptions().stream().map(r -> r.id().text()).collect(Collectors.toCollection(TreeSet::new)), ringed);
    }

    @Test
    void leadsCappedForOneReasonShareOneLineOfWords() {
        HarnessDrawing d = draw(Worksheet.of(Demo.crossoverJob()));
        assertEquals(12, d.bars().size());
        assertEquals(
                1,
                d.texts().stream()
                        .filter(t -> t.text().startsWith("8 capped one by one: the factory amplifier drives"))
                        .count());
    }
}
