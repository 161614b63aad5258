package velvetbezel.web.openup;

import java.util.List;
import velvetbezel.strip.HazardFinding;
import velvetbezel.strip.Severity;
import velvetbezel.strip.StripStep;

/**
 * One step in the list.
 *
 * @param sets whether it sets something of the vehicle
 */
public record StepLine(
        int number, String what, List<String> how, String tool, boolean done, boolean sets, List<Hazard> hazards) {
    /** @param word how bad it is */
    public record Hazard(String word, boolean caution, String reason, String wayOut) {
        static Hazard of(HazardFinding f) {
            return new Hazard(f.severity().word(), f.severity() == Severity.CAUTION, f.reason(), f.wayOut());
        }
    }

    static StepLine of(int index, StripStep step, boolean done, StepWords words, List<HazardFinding> findings) {
        return new StepLine(
                index + 1,
                words.what(step),
                words.how(step),
                words.tool(step),
                done,
                step instanceof StripStep.SetState,
                findings.stream().filter(f -> f.step() == index).map(Hazard::of).toList());
    }
}
