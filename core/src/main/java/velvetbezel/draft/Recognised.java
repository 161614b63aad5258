package velvetbezel.draft;

import java.util.List;
import java.util.Map;

/**
 * A long sheet as a short one: what the catalogue has is named, the rest stands by hand.
 *
 * @param tree   the short sheet
 * @param pieces devices of a car, rules of a radio or part, that its long sheet has
 * @param lifted those of them that the catalogue gives back as they are
 * @param rules  rules of the factory radio, of a radio, or of a part
 */
public record Recognised(Map<String, Object> tree, Share devices, Share rules) {

    /** @param left ids of those that stay by hand */
    public record Share(int all, List<String> left) {
        public Share {
            left = List.copyOf(left);
        }

        public int lifted() {
            return all - left.size();
        }
    }
}
