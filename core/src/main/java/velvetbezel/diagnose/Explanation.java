package velvetbezel.diagnose;

import java.util.List;

/**
 * What may be wrong.
 *
 * @param faults      one, or two that are there together; of each, all that no test here tells apart
 * @param share       of belief
 * @param contradicts observations that it does not explain
 */
public record Explanation(List<List<Fault>> faults, double share, List<Observation> contradicts) {
    /** The likeliest of each. */
    public List<Fault> first() {
        return faults.stream().map(f -> f.get(0)).toList();
    }
}
