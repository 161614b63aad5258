package velvetbezel.drawing;

import java.util.Locale;
import java.util.Optional;
import velvetbezel.sheet.Fact;
import velvetbezel.units.Colour;
import velvetbezel.units.WireColour;

/** The few shapes that drawings are made of. Lengths are in drawing units, which are CSS pixels on screen. */
public final class Shapes {
    private Shapes() {}

    /**
     * A wire, drawn with outline, base and stripe.
     *
     * @param base   colour's word, as a CSS class suffix; "unknown" where nobody knows it
     * @param stripe empty text for none
     * @param lead   id of the lead
     */
    public record Wire(String path, String base, String stripe, String lead, String label) {
        public static Wire of(String path, Fact<WireColour> colour, String lead, String label) {
            Optional<WireColour> known = colour.known();
            return new Wire(
                    path,
                    known.map(c -> css(c.base())).orElse("unknown"),
                    known.flatMap(WireColour::stripe).map(Shapes::css).orElse(""),
                    lead,
                    label);
        }
    }

    /** A numbered joint. @param state "done", "next" or "open"; @param exception drawn with a ring */
    public record Dot(double x, double y, String number, String state, boolean exception, String joint, String label) {}

    public record Box(double x, double y, double width, double height) {}

    /** @param anchor "start", "middle" or "end"; @param style CSS class */
    public record Text(double x, double y, String anchor, String style, String text) {}

    /** The end of a capped lead: a short bar across it. */
    public record Bar(double x, double y) {}

    /** Numbers in paths have a decimal point, whatever the machine's language. */
    static String path(String format, Object... numbers) {
        return String.format(Locale.ROOT, format, numbers);
    }

    static String css(Colour colour) {
        return colour.word().replace(' ', '-');
    }
}
