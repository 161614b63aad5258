package velvetbezel.cases;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.FaultRates;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;

/** The complaint of each of the ten jobs, and the causes that the paper names for it. */
class DiagnosisCasesTest {
    private static final Map<String, SymptomTable> TABLES = new HashMap<>();

    private static SymptomTable table(String id) {
        return TABLES.computeIfAbsent(id, k -> {
            CaseFile job = CaseFile.of(k, 0);
            Installation set = Builder.build(job.recipe(job.kit()));
            Map<FunctionId, Kind> kinds = new Outcomes.Against(Builder.factory(job.vehicle()), job.catalogue())
                    .trial(set)
                    .kinds(job.catalogue().functions().stream()
                            .map(CarFunction::id)
                            .toList());
            return SymptomTable.of(
                    set,
                    job.catalogue().functions().stream()
                            .filter(f -> kinds.get(f.id()).works())
                            .toList(),
                    rates(),
                    n -> {},
                    t -> {},
                    () -> false);
        });
    }

    private static FaultRates rates() {
        try {
            return FaultRates.read(
                    Demo.parse(Files.readString(Path.of("../store/src/main/resources/velvetbezel/store/faults.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SymptomTable.Row row(String id, String cause) {
        return table(id).rows().stream()
                .filter(r -> r.fault().words().contains(cause)
                        || r.fault().called().stream().anyMatch(c -> c.contains(cause)))
                .findFirst()
                .orElseThrow(() -> new AssertionError(id + " has no fault \"" + cause + "\""));
    }

    private static int shows(String id, SymptomTable.Row row, String function) {
        int i = table(id).indexOf(new Trial.OfCheck(new FunctionId(function)));
        assertTrue(i >= 0, () -> "no fault of " + id + " shows at " + function);
        return row.shows()[i];
    }

    /** It shows at the complaint, and told how each check goes and what the meter shows it is among the likeliest. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "N1 | memory | accessory lead of Brastow AB-6 and constant lead of Brastow AB-6 are exchanged",
                "N1 | memory | constant lead of Quillon D1 is joined to the accessory joint",
                "N2 | front left | the amp remote joint, leg to the amp remote lead of Aldane R7 is open",
                "N2 | front left | plug M2 of the car in M2 of Tressel LV-A is not home",
                "N3 | rear camera | the reverse joint, leg to the reverse lead of Pellow C6 is open",
                "N3 | rear camera | Pellow C6 is dead",
                "N3 | rear camera | plug R2 of the car in R2 of Pellow C6 is not home",
                "N4 | phone sound | plug jack of aux lead in AUDIO OUT of Maskell S9 is not home",
                "N4 | phone sound | plug G2 of aux lead in G2 of factory radio is not home",
                "N5 | reception | the antenna power joint, leg to the antenna power lead of Ostrow relay is open",
                "N5 | reception | the constant joint, leg to the constant lead of Ostrow relay is open",
                "N5 | reception | Ostrow relay is dead",
                "N5 | reception | the antenna power #2 joint, leg to the antenna power lead of Ostrow relay is open",
                "N5 | reception | motor mast is dead",
                "N6 | front left | the amp remote joint, leg to the amp remote lead of Corriston X4 is open",
                "N6 | front left | the amp remote at amplifier joint, leg to the amp remote lead of Ferroway 4.75",
                "N7 | reception | the accessory joint, leg to the antenna power lead of antenna adapter is open",
                "N7 | reception | plug radio of antenna adapter in antenna of Tolliver B2 is not home",
                "N8 | fader | rear out and front out are exchanged at Ellerby L8",
                "N9 | rear left | the rear left − joint, leg to the rear left − lead of Wexcombe E3 is open",
                "N9 | rear left | the rear left + at boot joint, leg to the rear left + lead of bypass lead is open",
                "N9 | rear left | rear left speaker is dead",
                "N10 | video by sequence | the parking brake joint, leg to the parking brake lead of Bramber T5 is open"
            })
    void causeOfTheComplaintIsAmongTheLikeliest(String id, String complaint, String cause) {
        SymptomTable table = table(id);
        SymptomTable.Row row = row(id, cause);
        assertFalse(shows(id, row, complaint) == 0, () -> cause + " shows nothing at " + complaint);
        List<Observation> seen = new ArrayList<>();
        IntStream.range(0, table.tests().size())
                .forEach(i -> seen.add(new Observation.OfTest(table.tests().get(i), row.shows()[i])));
        assertTrue(
                Diagnosis.of(table, seen, Map.of()).likeliest().stream()
                        .anyMatch(e -> e.faults().stream().anyMatch(f -> f.contains(row.fault()))),
                () -> Diagnosis.of(table, seen, Map.of()).likeliest().stream()
                        .map(e -> e.first().get(0).words())
                        .toList()
                        .toString());
    }

    /** What the paper names as no candidate: it would show where all is right. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "N1 | power | radio fuse is blown",
                "N7 | power | the accessory joint, leg to the the wire (accessory) at the column is open"
            })
    void causeThatWouldShowElsewhereIsNoCandidate(String id, String right, String cause) {
        assertFalse(shows(id, row(id, cause), right) == 0);
    }

    /** One voltmeter reading parts the two causes, as the paper says. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "N1 | accessory lead of Brastow AB-6 and constant lead of Brastow AB-6 are exchanged"
                        + "| constant lead of Quillon D1 is joined to the accessory joint",
                "N2 | the amp remote joint, leg to the amp remote lead of Aldane R7 is open"
                        + "| plug M2 of the car in M2 of Tressel LV-A is not home",
                "N5 | the antenna power joint, leg to the antenna power lead of Ostrow relay is open"
                        + "| the constant joint, leg to the constant lead of Ostrow relay is open",
                "N5 | Ostrow relay is dead | the antenna power joint, leg to the antenna power lead of Ostrow relay is open",
                "N7 | the accessory joint, leg to the antenna power lead of antenna adapter is open"
                        + "| plug radio of antenna adapter in antenna of Tolliver B2 is not home"
            })
    void readingPartsTwoCauses(String id, String one, String other) {
        SymptomTable table = table(id);
        int[] a = row(id, one).shows();
        int[] b = row(id, other).shows();
        assertTrue(IntStream.range(0, a.length)
                .anyMatch(i -> a[i] != b[i] && table.tests().get(i) instanceof Trial.OfReading));
    }
}
