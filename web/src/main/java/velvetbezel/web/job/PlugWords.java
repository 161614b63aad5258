package velvetbezel.web.job;

import velvetbezel.harness.Builder;
import velvetbezel.worksheet.PlugUps;

/** How plugs are called. */
public final class PlugWords {
    private PlugWords() {}

    /** "A of the car". */
    public static String name(PlugUps.End end) {
        return "%s of %s".formatted(end.plug().id(), end.instance().equals(Builder.CAR) ? "the car" : end.device());
    }
}
