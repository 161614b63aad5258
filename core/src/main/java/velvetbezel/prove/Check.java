package velvetbezel.prove;

import java.util.List;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Outcome;
import velvetbezel.harness.JointId;

/**
 * One check of the final test.
 *
 * @param suspects joints the function goes through, the most telling first: the one that fewest functions share
 */
public record Check(CarFunction function, Outcome outcome, String expected, List<JointId> suspects) {
    public Check {
        suspects = List.copyOf(suspects);
    }

    /** Whether the function must work: lost and absent ones are not tried. */
    public boolean due() {
        return outcome.works() || outcome instanceof Outcome.Unknown;
    }

    public Verdict verdict(Baseline before, Result result) {
        return switch (result) {
            case OPEN -> due()
                    ? new Verdict(Verdict.Kind.OPEN, "To be tried.")
                    : new Verdict(Verdict.Kind.SETTLED, "Not tried: " + outcome.word() + ".");
            case COULD_NOT_TEST -> new Verdict(Verdict.Kind.OPEN, "Could not be tested; say why in the record.");
            case RIGHT -> right(before);
            case NOT_RIGHT -> wrong(before);
        };
    }

    private Verdict right(Baseline before) {
        if (!due())
            return new Verdict(
                    Verdict.Kind.OPEN, "Works although it was computed as " + outcome.word() + ": check the sheet.");
        return new Verdict(
                Verdict.Kind.SETTLED,
                before == Baseline.FAULTY
                        ? "Works; it was faulty at arrival."
                        : before == Baseline.WORKED ? "Works as at arrival." : "Works.");
    }

    private Verdict wrong(Baseline before) {
        if (!due()) return new Verdict(Verdict.Kind.SETTLED, "Does not work, as told before the purchase.");
        if (before == Baseline.FAULTY) return new Verdict(Verdict.Kind.OPEN, "Was faulty at arrival already.");
        return new Verdict(
                Verdict.Kind.WRONG,
                suspects.isEmpty()
                        ? "Should work and does not."
                        : "Should work and does not. First suspect: the "
                                + suspects.get(0).label() + ".");
    }
}
