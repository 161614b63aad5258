package velvetbezel.diagnose;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.function.FunctionId;
import velvetbezel.prove.Baseline;

/**
 * What is likely wrong, and what to do next. Belief is worked out as in model-based diagnosis (de Kleer and Williams,
 * "Diagnosing multiple faults", 1987) with faults as changes of the installation: the rate of each, times how well it
 * explains what was seen.
 *
 * @param likeliest   best first, at most {@value #MOST}
 * @param others      how many more have a share, {@code othersShare} what they have together
 * @param noneOfThese belief that it is something else
 * @param deadMeter   belief that the meter shows nothing whatever is there: its ground clip, leads or fuse
 * @param doubted     readings at the car's own positions that hardly anything here explains: the sheet may be wrong
 * @param next        empty where nothing was seen to be wrong
 */
public record Diagnosis(
        List<Explanation> likeliest,
        int others,
        double othersShare,
        double noneOfThese,
        double deadMeter,
        List<Trial.OfReading> doubted,
        Optional<Advice> next) {
    static final Diagnosis NOTHING_WRONG = new Diagnosis(List.of(), 0, 0, 0, 0, List.of(), Optional.empty());

    static final int MOST = 5;

    /**
     * @param seen     in any order
     * @param baseline what each function did before anything was touched
     */
    public static Diagnosis of(SymptomTable table, List<Observation> seen, Map<FunctionId, Baseline> baseline) {
        return new Beliefs(table, baseline).after(seen);
    }

    /** How likely each finding of a test is; none of a test that tells nothing. */
    public static List<Double> chances(
            SymptomTable table, Trial test, List<Observation> seen, Map<FunctionId, Baseline> baseline) {
        return new Beliefs(table, baseline).chances(test, seen);
    }
}
