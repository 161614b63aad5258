package velvetbezel.diagnose;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.prove.Baseline;
import velvetbezel.run.Assumption;
import velvetbezel.run.Learned;
import velvetbezel.run.Run;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.state.VehicleState;

/** The minibus with a radio in: what each fault shows, and how it is found. */
class DiagnosisTest {
    private static FaultRates rates;
    private static Installation minibus;
    private static SymptomTable table;

    @BeforeAll
    static void workOut() throws Exception {
        rates = FaultRates.read(
                Demo.parse(Files.readString(Path.of("../store/src/main/resources/velvetbezel/store/faults.json"))));
        minibus = Demo.fit(
                Demo.vehicle("corrick-ferryman-2006"),
                "pebblefen-p2",
                "quillmoor-ferryman-frame",
                "thornlea-iso-steering",
                "kelfax-microphone");
        table = SymptomTable.of(minibus, due(minibus), rates, n -> {}, t -> {}, () -> false);
    }

    private static List<CarFunction> due(Installation kit) {
        Outcomes.Against against =
                new Outcomes.Against(Builder.factory(kit.recipe().vehicle()), Demo.CATALOGUE);
        Map<FunctionId, Kind> kinds = against.trial(kit)
                .kinds(Demo.CATALOGUE.functions().stream().map(CarFunction::id).toList());
        return Demo.CATALOGUE.functions().stream()
                .filter(f -> kinds.get(f.id()).works())
                .toList();
    }

    private static SymptomTable.Row row(FaultKind kind, String words) {
        return table.rows().stream()
                .filter(r -> r.fault().kind() == kind && r.fault().words().contains(words))
                .findFirst()
                .orElseThrow(() -> new AssertionError(table.faults().stream()
                        .filter(f -> f.kind() == kind)
                        .map(Fault::words)
                        .toList()
                        .toString()));
    }

    private static Finding.Symptom shows(SymptomTable.Row row, String function) {
        int i = table.indexOf(check(function));
        return (Finding.Symptom) table.findings().get(i).get(row.shows()[i]);
    }

    private static Trial check(String function) {
        return new Trial.OfCheck(new FunctionId(function));
    }

    private static Observation seen(int test, SymptomTable.Row row) {
        return new Observation.OfTest(table.tests().get(test), row.shows()[test]);
    }

    // --- what faults show

    @ParameterizedTest
    @CsvSource({
        "JOINT_OPEN, front left + joint, front left, MISSING",
        "LEADS_EXCHANGED, front right + lead of Pebblefen P2 and front left + lead of Pebblefen P2, front left, FROM_ELSEWHERE",
        "FUSE_BLOWN, fuse, front left, MISSING",
        "DEVICE_DEAD, Pebblefen, retained clock and settings, NOT_SHOWN",
        "PAIR_REVERSED, fl of Pebblefen, polarity, THIN"
    })
    void faultShowsWhatItDoesToTheCar(FaultKind kind, String words, String function, SceneDiff.Kind diff) {
        if (table.indexOf(check(function)) < 0) return;
        Finding.Symptom symptom = shows(row(kind, words), function);
        assertTrue(
                symptom.diffs().stream().anyMatch(d -> d.kind() == diff),
                () -> row(kind, words).fault().words() + ": " + symptom);
    }

    /** One corner alone cannot be heard reversed; two that play against each other are thin. */
    @Test
    void reversedPairIsHeardOnlyAgainstAnother() {
        SymptomTable.Row row = table.rows().stream()
                .filter(r -> r.fault().kind() == FaultKind.PAIR_REVERSED && !r.silent())
                .findFirst()
                .orElseThrow();
        for (int i = 0; i < table.tests().size(); i++)
            if (table.tests().get(i) instanceof Trial.OfCheck
                    && table.findings().get(i).get(row.shows()[i]) instanceof Finding.Symptom s)
                s.diffs().forEach(d -> assertTrue(d.kind() == SceneDiff.Kind.THIN, d.toString()));
    }

    /** A fault never shows at a check whose run it does not change. */
    @Test
    void ruleThatNothingAsksForShowsNothingAtAll() {
        Set<String> skipped = new HashSet<>();
        for (SymptomTable.Row r : table.rows())
            if (r.fault().kind() == FaultKind.OUTPUT_DEAD && r.silent())
                skipped.add(r.fault().id());
        assertFalse(skipped.isEmpty());
    }

    @Test
    void stuckSettingIsNotMovedByWhatAScenarioChooses() {
        Installation stuck = minibus.with(new Edit.Stick("radio", "fader", "fl"));
        Run run = new Run(stuck, Learned.NOTHING, Assumption.ALL_FIRST);
        VehicleState chosen = VehicleState.AT_REST.withSettings(Map.of("radio.fader", "rr"));
        assertEquals(Optional.of("fl"), run.in(chosen, run.start()).picture().setting("radio", "fader"));
    }

    @Test
    void faultsAreSortedByRateAndEqualChangesAreOne() {
        List<Fault> faults = table.faults();
        for (int i = 1; i < faults.size(); i++)
            assertTrue(faults.get(i - 1).rate() >= faults.get(i).rate());
        assertEquals(
                faults.size(),
                faults.stream().map(f -> Set.copyOf(f.edits())).distinct().count());
    }

    @Test
    void symptomIsKeptAsATextAndReadBack() {
        for (List<Finding> of : table.findings())
            for (Finding f : of)
                if (f instanceof Finding.Symptom s && !s.right())
                    assertEquals(Optional.of(s), Finding.Symptom.read(s.key()));
        assertEquals(Optional.empty(), Finding.Symptom.read("something else"));
    }

    // --- finding them

    /** Told everything that a fault shows, it is among the likeliest, and nothing that was seen speaks against it. */
    @Test
    void everythingSeenNamesTheFaultAmongTheLikeliest() {
        for (SymptomTable.Row row : table.rows()) {
            if (wrongChecks(row).isEmpty()) continue;
            List<Observation> all = IntStream.range(0, table.tests().size())
                    .mapToObj(i -> seen(i, row))
                    .toList();
            Optional<Explanation> own = Diagnosis.of(table, all, Map.of()).likeliest().stream()
                    .filter(e -> e.faults().size() == 1 && e.faults().get(0).contains(row.fault()))
                    .findFirst();
            assertTrue(own.isPresent(), () -> row.fault().words());
            assertEquals(List.of(), own.get().contradicts());
        }
    }

    private static List<Integer> wrongChecks(SymptomTable.Row row) {
        return IntStream.range(0, table.tests().size())
                .filter(i -> row.shows()[i] != 0 && table.tests().get(i) instanceof Trial.OfCheck)
                .boxed()
                .toList();
    }

    @Test
    void orderOfWhatWasSeenDoesNotMatterAndTakingBackIsNeverHavingSaid() {
        SymptomTable.Row row = row(FaultKind.JOINT_OPEN, "front left + joint");
        List<Observation> some = new ArrayList<>(
                IntStream.range(0, 12).mapToObj(i -> seen(i, row)).toList());
        some.add(0, seen(wrongChecks(row).get(0), row));
        Diagnosis first = Diagnosis.of(table, some, Map.of());
        List<Observation> other = new ArrayList<>(some);
        Collections.shuffle(other, new Random(4));
        Diagnosis second = Diagnosis.of(table, other, Map.of());
        for (int i = 0; i < first.likeliest().size(); i++)
            assertEquals(
                    first.likeliest().get(i).share(), second.likeliest().get(i).share(), 1e-9);
        other.add(new Observation.OfTest(table.tests().get(20), 0));
        other.remove(other.size() - 1);
        assertEquals(
                second.likeliest().get(0).share(),
                Diagnosis.of(table, other, Map.of()).likeliest().get(0).share(),
                1e-12);
    }

    @Test
    void beliefsAddUpAndBitsLieBetweenNothingAndAllFindings() {
        SymptomTable.Row row = row(FaultKind.JOINT_OPEN, "accessory joint");
        Diagnosis d = Diagnosis.of(table, List.of(seen(wrongChecks(row).get(0), row)), Map.of());
        double sum = d.likeliest().stream().mapToDouble(Explanation::share).sum() + d.othersShare() + d.noneOfThese();
        assertEquals(1, sum, 0.02);
        if (d.next().orElseThrow() instanceof Advice.Try t) {
            int of = table.findings().get(table.indexOf(t.test())).size();
            assertTrue(t.bits() >= 0 && t.bits() <= Math.log(of) / Math.log(2) + 1e-9);
            assertEquals(1, t.chances().stream().mapToDouble(c -> c).sum(), 1e-9);
        }
    }

    @Test
    void nothingWrongNothingToFind() {
        Diagnosis d =
                Diagnosis.of(table, List.of(new Observation.OfTest(table.tests().get(0), 0)), Map.of());
        assertEquals(Optional.empty(), d.next());
        assertEquals(List.of(), d.likeliest());
    }

    /** What worked at arrival speaks against the car's own faults. */
    @Test
    void baselineSpeaksForOrAgainstFaultsOfTheCar() {
        SymptomTable.Row row = table.rows().stream()
                .filter(r -> r.fault().ofCar() && !wrongChecks(r).isEmpty())
                .findFirst()
                .orElseThrow();
        int wrong = wrongChecks(row).get(0);
        FunctionId f = ((Trial.OfCheck) table.tests().get(wrong)).function();
        List<Observation> seen = List.of(seen(wrong, row));
        assertTrue(ofCar(seen, Map.of(f, Baseline.WORKED)) < ofCar(seen, Map.of()));
        assertTrue(ofCar(seen, Map.of()) < ofCar(seen, Map.of(f, Baseline.FAULTY)));
    }

    private static double ofCar(List<Observation> seen, Map<FunctionId, Baseline> baseline) {
        return Diagnosis.of(table, seen, baseline).likeliest().stream()
                .filter(e -> e.first().get(0).ofCar())
                .mapToDouble(Explanation::share)
                .sum();
    }

    /** A place looked at in vain is believed less, and after two looks is not advised again. */
    @Test
    void placeLookedAtInVainIsLeftAlone() {
        SymptomTable.Row row = row(FaultKind.JOINT_OPEN, "front left + joint");
        List<Observation> seen =
                new ArrayList<>(wrongChecks(row).stream().map(i -> seen(i, row)).toList());
        seen.add(new Observation.OfLook(row.fault().place(), false));
        seen.add(new Observation.OfLook(row.fault().place(), false));
        Optional<Advice> next = Diagnosis.of(table, seen, Map.of()).next();
        assertFalse(next.orElseThrow() instanceof Advice.LookAt l
                && l.place().equals(row.fault().place()));
    }

    /** What is tried again holds every check that a fault at the place can change. */
    @Test
    void mendedPlaceHasEverythingTriedAgainThatItCanTouch() {
        SymptomTable.Row row = row(FaultKind.JOINT_OPEN, "front left + joint");
        List<Trial> again = table.touchedFrom(row.fault().place().name());
        wrongChecks(row).forEach(i -> assertTrue(again.contains(table.tests().get(i))));
    }

    /** Composed of what each shows alone, a pair is right where the two touch different tests. */
    @Test
    void twoFaultsThatTouchDifferentTestsShowWhatEachDoesAlone() {
        List<SymptomTable.Row> rows = table.rows().stream()
                .filter(r -> r.fault().kind() == FaultKind.JOINT_OPEN
                        && !wrongChecks(r).isEmpty())
                .toList();
        int tried = 0;
        for (int i = 0; i < rows.size() && tried < 4; i++)
            for (int k = i + 1; k < rows.size() && tried < 4; k++) {
                int[] a = rows.get(i).shows();
                int[] b = rows.get(k).shows();
                if (IntStream.range(0, a.length).anyMatch(t -> a[t] != 0 && b[t] != 0)) continue;
                tried++;
                Installation both = minibus.with(rows.get(i).fault().edits())
                        .with(rows.get(k).fault().edits());
                assertArrayEquals(
                        IntStream.range(0, a.length)
                                .map(t -> Math.max(a[t], b[t]))
                                .toArray(),
                        shown(both));
            }
        assertTrue(tried > 0);
    }

    private static int[] shown(Installation faulty) {
        return table.shownBy(faulty, minibus, due(minibus), rates);
    }

    // --- rates

    @Test
    void ratesLearnAndNeverFallUnderAFifth() {
        double first = rates.of(FaultKind.JOINT_OPEN);
        assertEquals((first * 500 + 10) / 1000, rates.learned(jobs(10, 500)).of(FaultKind.JOINT_OPEN), 1e-12);
        assertEquals(first / 5, rates.learned(jobs(0, 100_000)).of(FaultKind.JOINT_OPEN), 1e-12);
    }

    @Test
    void rateThatIsMissingOrUnknownIsNamed() {
        String message = assertThrows(
                        InvalidInput.class, () -> FaultRates.read(Map.of("rates", Map.of("joint opne", 0.1))))
                .getMessage();
        assertTrue(message.contains("joint open") && message.contains("is no kind of fault"), message);
    }

    private static FaultTally jobs(double found, double opportunities) {
        return new FaultTally(Map.of(FaultKind.JOINT_OPEN, found), Map.of(FaultKind.JOINT_OPEN, opportunities));
    }

    /** As many opportunities as the catalogue has faults, those of the car itself a quarter each. */
    @Test
    void finishedJobCountsWhatThereWasToGoWrong() {
        FaultTally tally = FaultTally.of(minibus, rates, List.of(FaultKind.JOINT_OPEN));
        assertEquals(Map.of(FaultKind.JOINT_OPEN, 1.0), tally.found());
        assertEquals(
                table.faults().stream()
                        .filter(f -> f.kind() == FaultKind.WIRE_BROKEN)
                        .mapToDouble(f -> f.ofCar() ? 0.25 : 1)
                        .sum(),
                tally.opportunities().get(FaultKind.WIRE_BROKEN),
                1e-9);
    }

    // --- the meter

    private static int measured(Class<? extends Trial> kind, Predicate<Trial.Measured> which) {
        return IntStream.range(0, table.tests().size())
                .filter(i -> kind.isInstance(table.tests().get(i))
                        && which.test((Trial.Measured) table.tests().get(i)))
                .findFirst()
                .orElseThrow();
    }

    /** Both lines of a corner are as open to the ear; along its net the meter tells them apart. */
    @Test
    void ohmsAlongANetPartThePlusLeadFromTheMinusLead() {
        SymptomTable.Row plus = row(FaultKind.JOINT_OPEN, "front left + lead of Pebblefen P2");
        SymptomTable.Row minus = row(FaultKind.JOINT_OPEN, "front left − lead of Pebblefen P2");
        assertTrue(IntStream.range(0, table.tests().size())
                .filter(i -> table.tests().get(i) instanceof Trial.OfCheck)
                .allMatch(i -> plus.shows()[i] == minus.shows()[i]));
        assertTrue(IntStream.range(0, table.tests().size())
                .anyMatch(i -> table.tests().get(i) instanceof Trial.OfOhms && plus.shows()[i] != minus.shows()[i]));
    }

    @Test
    void speakerOfFourOhmsIsReadAcrossItsLeadsAndAnOpenOneIsOpen() {
        int across = measured(
                Trial.OfOhms.class,
                m -> table.findings().get(table.indexOf(m)).get(0).holds(OptionalDouble.of(4.1)));
        assertTrue(table.rows().stream()
                .filter(r -> table.findings().get(across).get(r.shows()[across]).holds(OptionalDouble.empty()))
                .anyMatch(r -> r.fault().kind() == FaultKind.WIRE_BROKEN));
    }

    /** Two supplies that read nothing while the radio plays: the clip is looked at before any joint. */
    @Test
    void suppliesThatReadNothingWhileEverythingPlaysSpeakAgainstTheMeter() {
        List<Observation> seen = new ArrayList<>();
        for (int i = 0; i < table.tests().size(); i++) {
            Trial t = table.tests().get(i);
            if (t instanceof Trial.OfCheck) seen.add(new Observation.OfTest(t, 0));
            if (t instanceof Trial.OfReading r
                    && r.in() == MeasuringState.ACCESSORY
                    && table.findings().get(i).get(0) instanceof Finding.Between
                    && r.at().instance().equals("radio"))
                seen.add(new Observation.OfTest(t, table.findingOf(r, OptionalDouble.of(0))));
        }
        Diagnosis d = Diagnosis.of(table, seen, Map.of());
        assertTrue(d.deadMeter() > 0.5, () -> "" + d.deadMeter());
        assertTrue(d.next().orElseThrow() instanceof Advice.ProveMeter);
        seen.add(new Observation.MeterProved());
        assertEquals(0, Diagnosis.of(table, seen, Map.of()).deadMeter());
    }

    /** What comes and goes is rather loose than broken. */
    @Test
    void whatIsWrongOnlyAtTimesIsRatherAPoorContact() {
        Trial check = check("front left");
        double always =
                loose(Diagnosis.of(table, List.of(new Observation.OfTest(check, Observation.NOT_RIGHT)), Map.of()));
        double atTimes =
                loose(Diagnosis.of(table, List.of(new Observation.OfTest(check, Observation.SOMETIMES)), Map.of()));
        assertTrue(atTimes > always, always + " " + atTimes);
    }

    private static double loose(Diagnosis d) {
        return d.likeliest().stream()
                .filter(e -> e.first().get(0).kind() == FaultKind.PLUG_NOT_HOME
                        || e.first().get(0).kind() == FaultKind.POOR_CONTACT)
                .mapToDouble(Explanation::share)
                .sum();
    }

    /** A wire of the car that is live when nothing here makes it so: rather its sheet is wrong. */
    @Test
    void voltageAtTheCarsPlugThatNoFaultGivesSpeaksAgainstTheSheet() {
        SymptomTable.Row row = row(FaultKind.JOINT_OPEN, "front left +");
        int at = measured(
                Trial.OfReading.class,
                m -> ((Trial.OfReading) m).at().instance().equals("car"));
        Trial.OfReading reading = (Trial.OfReading) table.tests().get(at);
        List<Observation> seen = List.of(
                seen(wrongChecks(row).get(0), row),
                new Observation.OfTest(reading, table.findingOf(reading, OptionalDouble.of(7.3))));
        assertEquals(List.of(reading), Diagnosis.of(table, seen, Map.of()).doubted());
        assertEquals(
                List.of(), Diagnosis.of(table, seen.subList(0, 1), Map.of()).doubted());
    }

    /** The same thing perceived in the same scene of two checks is one witness, not two. */
    @Test
    void whatIsPerceivedTwiceInOneSceneCountsOnce() {
        for (SymptomTable.Row row : table.rows())
            for (int a : wrongChecks(row))
                for (int b : wrongChecks(row))
                    if (a < b && scenes(a, row).equals(scenes(b, row))) {
                        double once = Diagnosis.of(table, List.of(seen(a, row)), Map.of())
                                .likeliest()
                                .get(0)
                                .share();
                        double twice = Diagnosis.of(table, List.of(seen(a, row), seen(b, row)), Map.of())
                                .likeliest()
                                .get(0)
                                .share();
                        assertEquals(once, twice, 1e-9);
                        return;
                    }
    }

    private static Set<List<Object>> scenes(int test, SymptomTable.Row row) {
        Finding.Symptom s = (Finding.Symptom) table.findings().get(test).get(row.shows()[test]);
        return s.diffs().stream()
                .map(d -> List.<Object>of(table.scenes().get(test).get(d.scene()), d.kind(), d.what(), d.where()))
                .collect(Collectors.toSet());
    }

    // --- exchanged for a try

    private static Finding.Symptom swapped(SymptomTable.Row row) {
        int i = IntStream.range(0, table.tests().size())
                .filter(t -> table.tests().get(t) instanceof Trial.OfSwap w
                        && w.words().contains("front"))
                .findFirst()
                .orElseThrow();
        return (Finding.Symptom) table.findings().get(i).get(row.shows()[i]);
    }

    /** A broken wire to the speaker stays with its speaker: the other one plays. A lead of the radio takes it along. */
    @Test
    void troubleThatStaysWithTheSpeakerIsTheCarsAndOneThatMovesIsTheRadios() {
        Finding.Symptom car = swapped(row(FaultKind.PIN_PUSHED_BACK, "position B5 (front left +) of the car's plug"));
        assertTrue(car.diffs().stream().anyMatch(d -> d.kind() == SceneDiff.Kind.FROM_ELSEWHERE), car::toString);
        Finding.Symptom radio = swapped(row(FaultKind.JOINT_OPEN, "front left + lead of Pebblefen P2"));
        assertTrue(radio.diffs().stream().noneMatch(d -> d.kind() == SceneDiff.Kind.FROM_ELSEWHERE), radio::toString);
    }

    // --- practice

    /** A meter that the simulated car moves shows what its fault predicts, noise and all; mended, what a sound car shows. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4711, 999_999})
    void simulatedCarShowsWhatItsFaultPredicts(long seed) {
        SimulatedCar car = SimulatedCar.of(table, seed).orElseThrow();
        assertEquals(car.hidden(), SimulatedCar.of(table, seed).orElseThrow().hidden());
        assertNotEquals(Finding.Symptom.RIGHT, car.shows(car.complaint().orElseThrow(), false));
        Random noise = new Random(seed);
        for (Trial t : table.tests())
            if (t instanceof Trial.Measured m)
                for (boolean mended : new boolean[] {false, true})
                    assertTrue(car.shows(m, mended).holds(car.reads(m, mended, noise::nextDouble)), m::words);
    }
}
