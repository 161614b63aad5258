package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** Sheets that were written out by hand, device by device and rule by rule, found in the catalogue. */
class RecogniseTest {
    private static final Path WRITTEN_OUT = Path.of("src", "test", "resources", "written-out");
    private static final Set<PartKind> CARRIES_MUCH = Set.of(
            PartKind.VEHICLE_HARNESS_ADAPTER,
            PartKind.DATA_MODULE,
            PartKind.PASS_THROUGH_HARNESS,
            PartKind.AMPLIFIER_BYPASS);
    private static final Archetypes CATALOGUE = Demo.archetypes();

    private static final Map<String, Recognised> FOUND = new ConcurrentHashMap<>();

    static List<String> sheets() {
        try (Stream<Path> files = Files.list(WRITTEN_OUT)) {
            return files.map(f -> f.getFileName().toString().replace(".json", ""))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Object written(String id) {
        try {
            return Demo.parse(Files.readString(WRITTEN_OUT.resolve(id + ".json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Recognised recognised(String id) {
        return FOUND.computeIfAbsent(id, i -> Recognise.in(written(i), CATALOGUE));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void expandingGivesTheSheetBack(String id) {
        Recognised found = recognised(id);
        Object again = Expander.expand(found.tree(), CATALOGUE).tree();
        assertEquals(Optional.empty(), Patch.between(Recognise.whole(again), Recognise.whole(written(id))));
    }

    /** Of 83 devices in seven cars, counting the speakers of a car as one, at least 63 need nothing by hand. */
    @Test
    void mostOfWhatWasWrittenOutIsLifted() {
        List<Recognised> all = sheets().stream()
                .map(id -> Recognise.in(written(id), CATALOGUE))
                .toList();
        int devices = all.stream().mapToInt(r -> r.devices().all()).sum();
        int lifted = all.stream().mapToInt(r -> r.devices().lifted()).sum();
        Map<String, String> rules = all.stream()
                .collect(Collectors.groupingBy(
                        r -> (String) r.tree().get("kind"),
                        Collectors.collectingAndThen(Collectors.toList(), of -> "%d of %d"
                                .formatted(
                                        of.stream()
                                                .mapToInt(r -> r.rules().lifted())
                                                .sum(),
                                        of.stream()
                                                .mapToInt(r -> r.rules().all())
                                                .sum()))));
        int speakers = 3 * 7;
        System.out.printf(
                "recognised: %d of %d vehicle devices (%d of %d with a car's speakers as one), rules %s%n",
                lifted, devices, lifted - speakers, devices - speakers, rules);
        assertEquals(83, devices - speakers);
        assertTrue(lifted - speakers >= 63, () -> all.toString());
    }

    /** Numbers and answers of a short sheet outlive a change of its long one; what was added stands by hand. */
    @Test
    void answersOutliveAChangeOfTheLongSheet() {
        Object typed = Demo.parse(Demo.file("corrick-ferryman-2006"));
        Map<String, Object> changed =
                Archetypes.object(Expander.expand(typed, CATALOGUE).tree());
        changed.put("trim", "minibus, plain audio");
        Map<String, Object> again = Recognise.again(typed, changed, CATALOGUE).tree();
        assertEquals(((Map<?, ?>) typed).get("has"), again.get("has"));
        assertEquals(((Map<?, ?>) typed).get("numbers"), again.get("numbers"));
        assertEquals("minibus, plain audio", again.get("trim"));
        assertEquals(
                Optional.empty(),
                Patch.between(Recognise.whole(Expander.expand(again, CATALOGUE).tree()), Recognise.whole(changed)));
    }

    /** The demo's cars as they are typed now do what they did when they were written out. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "brindlow-quern-2013",
                "corrick-ferryman-2006",
                "hasterley-regent-1994",
                "larkfen-porter-2011",
                "meridale-plover-2014-amplified",
                "meridale-plover-2019-amplified",
                "meridale-plover-2019-plain"
            })
    void typedCarDoesWhatTheWrittenOneDid(String id) {
        Sheet.Vehicle before = (Sheet.Vehicle) SheetReader.read(written(id));
        Sheet.Vehicle now = Demo.vehicle(id);
        assertEquals(
                Outcomes.fulfilled(Builder.factory(before), Demo.CATALOGUE),
                Outcomes.fulfilled(Builder.factory(now), Demo.CATALOGUE));
        for (Sheet radio : List.of(Demo.sheet("ondel-60"), Demo.sheet("ondel-over-9")))
            for (Sheet part : Demo.all("parts"))
                if (plugsInto((Sheet.Part) part, now))
                    assertEquals(
                            words(before, (Sheet.Radio) radio, (Sheet.Part) part),
                            words(now, (Sheet.Radio) radio, (Sheet.Part) part),
                            () -> radio.id() + " with " + part.id());
    }

    private static boolean plugsInto(Sheet.Part part, Sheet.Vehicle car) {
        return part.device().stream().flatMap(d -> d.plugs().stream()).anyMatch(p -> car.car().plugs().stream()
                .anyMatch(p::mates));
    }

    private static Map<String, String> words(Sheet.Vehicle car, Sheet.Radio radio, Sheet.Part part) {
        Installation job = Builder.replacement(car, radio, List.of(part));
        if (!job.faults().isEmpty()) return Map.of("refused", "yes");
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(Builder.factory(car), job, Demo.CATALOGUE);
        return outcomes.entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().text(), e -> e.getValue().word()));
    }
}
