package velvetbezel.worksheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** How leads are joined: the schools of the trade (common practice, no source). */
public enum JointKind {
    SOLDER("solder and shrink tube", "Wetted through, the strands still visible; tube tight past both ends."),
    CRIMP_CAP(
            "crimp cap",
            "One crimp over all strands, no copper below the cap; a firm pull on each lead moves nothing."),
    BUTT("heat-shrink butt splice", "Each side crimped on its copper, a pull holds; sealant just shows at both ends."),
    TAP("displacement tap", "Blade through the insulation once, latch closed, a pull holds.");

    /** Ways of joining that cannot be chosen, and why. */
    public enum Refused {
        TAPE("twisted and taped", "Tape lets go in the heat of a dash and the twist works loose: not accepted."),
        WIRE_NUT("wire nut", "Household wire nuts shake loose in a car: not accepted.");

        private final String label;
        private final String why;

        Refused(String label, String why) {
            this.label = label;
            this.why = why;
        }

        public String label() {
            return label;
        }

        public String why() {
            return why;
        }
    }

    private final String label;
    private final String doneWhen;

    JointKind(String label, String doneWhen) {
        this.label = label;
        this.doneWhen = doneWhen;
    }

    public String label() {
        return label;
    }

    /** What a good one looks like. */
    public String doneWhen() {
        return doneWhen;
    }

    public static Optional<JointKind> find(String label) {
        return Arrays.stream(values()).filter(k -> k.label.equals(label)).findFirst();
    }

    public static String all() {
        return Arrays.stream(values()).map(JointKind::label).collect(Collectors.joining(", "));
    }
}
