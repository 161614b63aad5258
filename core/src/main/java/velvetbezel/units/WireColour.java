package velvetbezel.units;

import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Colour of a wire: base and, where there is one, stripe. An attribute of a wire, never its identity.
 */
public record WireColour(Colour base, Optional<Colour> stripe) {
    private static final String EXPECTED = "a colour or base/stripe from: "
            + Arrays.stream(Colour.values()).map(Colour::word).collect(Collectors.joining(", "))
            + ", in words or IEC 60757 codes (blue/white, BU/WH)";
    private static final Pattern BETWEEN = Pattern.compile("\\s*/\\s*|\\s+with\\s+|-");

    public WireColour {
        if (stripe.isPresent() && stripe.get() == base) stripe = Optional.empty();
    }

    public static WireColour of(Colour base) {
        return new WireColour(base, Optional.empty());
    }

    public static WireColour of(Colour base, Colour stripe) {
        return new WireColour(base, Optional.of(stripe));
    }

    /**
     * Reads "blue/white", "Blue-White", "BU/WH", "BUWH" (IEC 60757 joins two codes) or "purple".
     * "BL" and "GR" are national short forms of several colours and are not read.
     *
     * @return empty when the text names no colour
     */
    public static Optional<WireColour> read(String text) {
        String trimmed = text.strip();
        Optional<Colour> whole = Colour.find(trimmed);
        if (whole.isPresent()) return Optional.of(of(whole.get()));
        String[] halves = BETWEEN.split(trimmed, 2);
        if (halves.length == 2) return two(halves[0], halves[1]);
        return trimmed.length() == 4 ? two(trimmed.substring(0, 2), trimmed.substring(2)) : Optional.empty();
    }

    /** What a colour may look like, for messages. */
    public static String expected() {
        return EXPECTED;
    }

    private static Optional<WireColour> two(String base, String stripe) {
        return Colour.find(base).flatMap(b -> Colour.find(stripe).map(s -> of(b, s)));
    }

    public String words() {
        return base.word() + stripe.map(s -> "/" + s.word()).orElse("");
    }

    public String codes() {
        return base.code() + stripe.map(s -> "/" + s.code()).orElse("");
    }

    @Override
    public String toString() {
        return words();
    }
}
