package velvetbezel.strip;

import java.util.Locale;
import java.util.Map;

/**
 * A hazard met at a step. What is said is the rule and what it speaks of; the words are put together from both.
 *
 * @param step number of the step, from 0
 * @param of   what the rule's places stand for here: "item" is "fascia"
 */
public record HazardFinding(int step, StripStep at, HazardRule rule, Map<String, String> of) {
    public HazardFinding {
        of = Map.copyOf(of);
    }

    public Severity severity() {
        return rule.severity();
    }

    /** What is wrong, in one sentence. */
    public String reason() {
        return sentence(HazardRule.fill(rule.reason(), of));
    }

    /** What can be done about it from here. */
    public String wayOut() {
        return sentence(HazardRule.fill(rule.wayOut(), of));
    }

    private static String sentence(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    @Override
    public String toString() {
        return "%d %s: %s %s: %s".formatted(step, StepText.write(at), severity(), rule.id(), reason());
    }
}
