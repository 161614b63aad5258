package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/**
 * How a device reads a wire that it pulls up. Each is empty where its sheet does not state it.
 *
 * @param tolerance of the pull-up, in percent
 * @param bits      of the converter
 * @param ratio     whether it measures against the supply of its own pull-up, so that an error of that cancels
 * @param pullUps   ohms among which the pull-up can be chosen; none where it cannot
 */
public record Converter(
        Optional<Double> tolerance, Optional<Integer> bits, Optional<Boolean> ratio, List<Double> pullUps) {
    public Converter {
        pullUps = List.copyOf(pullUps);
    }
}
