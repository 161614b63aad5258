package velvetbezel.worksheet;

import java.util.List;
import java.util.Optional;
import velvetbezel.units.Millimetres;

/**
 * How one joint is made.
 *
 * @param fit       what it is made with
 * @param strip     insulation to take off each lead; zero for a tap
 * @param tube      shrink tube over it, where its kind needs one
 * @param slideOn   what is slid on before the joint closes it in, and over which lead; empty where nothing is
 * @param choices   every kind there is, and why one cannot be chosen here
 */
public record JointMethod(
        JointKind kind, Fit fit, Millimetres strip, Optional<Cut> tube, String slideOn, List<Choice> choices) {
    public JointMethod {
        choices = List.copyOf(choices);
    }

    /** What a joint is made with. */
    public sealed interface Fit {
        /** A sleeve, cap or tap of this size, and the sum it was chosen by. */
        record Sized(Tables.Size size, String sum) implements Fit {}

        /** Any size will do. */
        record Free(String sum) implements Fit {}

        /** No size covers it. @param ways ways out, in the order in which to try them */
        record NoSize(String why, List<WayOut> ways) implements Fit {
            public NoSize {
                ways = List.copyOf(ways);
            }
        }

        /** A gauge is not known. */
        record Unknown(String what) implements Fit {}
    }

    /**
     * @param kind another kind of joint, or empty;
     * @param fold a lead to fold back, or empty; neither for two joints
     */
    public record WayOut(String text, Optional<JointKind> kind, Optional<LeadEnd> fold) {}

    /** A piece of shrink tube, cut to length before it shrinks. */
    public record Cut(Tables.Tube tube, Millimetres length) {}

    /** @param why empty where it can be chosen */
    public record Choice(String label, Optional<JointKind> kind, String why) {}

    /** Whether it can be made as it stands. */
    public boolean settled() {
        return fit instanceof Fit.Sized || fit instanceof Fit.Free;
    }

    /** The size in words: "blue", "medium". */
    public String size() {
        return fit instanceof Fit.Sized s ? s.size().name() : "";
    }
}
