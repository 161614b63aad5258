package velvetbezel.worksheet;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.units.Gauge;
import velvetbezel.units.Ohms;

/** A piece of lead put into a joint because the harness does not reach. @param metres its length */
public record Extension(double metres, Gauge gauge) {
    private static final Pattern TEXT = Pattern.compile(
            "(\\d{1,2}(?:[.,]\\d{1,2})?)\\s*m[ ,]*\\s*(?:of\\s*)?(?:AWG\\s*)?(\\d{1,2})(?:\\s*AWG)?",
            Pattern.CASE_INSENSITIVE);
    private static final double LONGEST = 20;
    private static final int THICKEST = 4;
    private static final int THINNEST = 24;

    /** Reads "1.5 m, 18 AWG" or "1,5 m 18". @return empty where it is not that, or beyond 20 m or AWG 4 to 24 */
    public static Optional<Extension> read(String text) {
        Matcher m = TEXT.matcher(text.strip());
        if (!m.matches()) return Optional.empty();
        double metres = Double.parseDouble(m.group(1).replace(',', '.'));
        int awg = Integer.parseInt(m.group(2));
        return metres > 0 && metres <= LONGEST && awg >= THICKEST && awg <= THINNEST
                ? Optional.of(new Extension(metres, Gauge.awg(awg)))
                : Optional.empty();
    }

    public Ohms ohms() {
        return gauge.resistance(metres);
    }

    @Override
    public String toString() {
        return "%s m, %d AWG".formatted(Tables.plain(metres), gauge.nearestAwg());
    }
}
