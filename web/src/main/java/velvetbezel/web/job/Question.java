package velvetbezel.web.job;

import java.util.List;
import java.util.Optional;

/**
 * A missing fact, a conflict or an unproved assumption, with the one action that settles it.
 *
 * @param link   where it is settled, if elsewhere
 * @param settle how it is settled right here
 */
public record Question(Mark mark, String title, String text, Optional<Link> link, Optional<Settle> settle) {
    /** Shape, word and colour of a state. */
    public enum Mark {
        WRONG("▲", "wrong"),
        OPEN("◌", "open"),
        SETTLED("●", "settled");

        private final String shape;
        private final String word;

        Mark(String shape, String word) {
            this.shape = shape;
            this.word = word;
        }

        public String shape() {
            return shape;
        }

        public String word() {
            return word;
        }
    }

    public record Link(String label, String href) {}

    /** @param choices values offered; @param free whether another value may be typed */
    public record Settle(String field, List<String> choices, boolean free) {}

    static Question go(Mark mark, String title, String text, String label, String href) {
        return new Question(mark, title, text, Optional.of(new Link(label, href)), Optional.empty());
    }
}
