package velvetbezel.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What was measured at the plug with the reader unplugged, the wheel turned between two readings of one button.
 *
 * @param ohms by button; infinite where the meter shows an open wire
 */
public record KeyReadings(Map<String, List<Double>> ohms) {
    private static final Pattern NUMBER = Pattern.compile(
            "(-?\\d+(?:[.,]\\d+)?)\\s*(k|kohm|kΩ|m|mohm|MΩ|ohm|ohms|Ω|Ω|v|volt|volts|mv)?", Pattern.CASE_INSENSITIVE);
    private static final List<String> OPEN = List.of("open", "∞", "ol", "o.l.", "infinite");
    private static final double MOST_OHMS = 1e6;
    private static final double SLIP = 1000;
    /** How near a slipped reading is to what is expected. */
    private static final double NEAR = 0.25;

    public KeyReadings {
        ohms = new TreeMap<>(ohms);
    }

    /** Why a reading is none. @param nearest what it may have been meant as, in ohms */
    public record Refused(String given, Why why, Optional<Double> nearest) {
        /** In the order in which they are looked for. */
        public enum Why {
            NO_NUMBER,
            NEGATIVE,
            ABOVE_REFERENCE,
            TOO_LARGE,
            THOUSANDFOLD
        }
    }

    /** One typed field: readings, or the first thing wrong with it. */
    public record Typed(List<Double> ohms, Optional<Refused> refused) {}

    /**
     * Reads "104", "104 Ω; 107", "4.7k", "0.32 V", "open".
     *
     * @param reader   through whose pull-up volts were measured
     * @param expected by the sheet, in ohms; empty where it is not known
     */
    public static Typed parse(String text, KeyReader reader, Optional<Double> expected) {
        List<Double> all = new ArrayList<>();
        for (String one : text.split("[;/]|,\\s+|\\s+(?=[\\d-])")) {
            if (one.isBlank()) continue;
            Typed typed = one(one.strip(), reader, expected);
            if (typed.refused.isPresent()) return typed;
            all.addAll(typed.ohms);
        }
        return new Typed(all, Optional.empty());
    }

    private static Typed one(String given, KeyReader reader, Optional<Double> expected) {
        if (OPEN.contains(given.toLowerCase(Locale.ROOT)))
            return new Typed(List.of(Double.POSITIVE_INFINITY), Optional.empty());
        Matcher m = NUMBER.matcher(given);
        if (!m.matches()) return refused(given, Refused.Why.NO_NUMBER, Optional.empty());
        double number = Double.parseDouble(m.group(1).replace(',', '.'));
        String unit = Optional.ofNullable(m.group(2)).orElse("");
        if (number < 0) return refused(given, Refused.Why.NEGATIVE, Optional.empty());
        if (unit.toLowerCase(Locale.ROOT).startsWith("v") || unit.equalsIgnoreCase("mv")) {
            double volts = unit.equalsIgnoreCase("mv") ? number / SLIP : number;
            return volts >= reader.reference().value()
                    ? refused(given, Refused.Why.ABOVE_REFERENCE, Optional.empty())
                    : new Typed(List.of(reader.ohms(volts)), Optional.empty());
        }
        double ohms = number * factor(unit);
        if (ohms > MOST_OHMS) return refused(given, Refused.Why.TOO_LARGE, Optional.empty());
        Optional<Double> slipped = expected.filter(e -> !Double.isInfinite(e) && e > 1)
                .flatMap(e -> List.of(ohms * SLIP, ohms / SLIP).stream()
                        .filter(o -> Math.abs(o / e - 1) < NEAR)
                        .findFirst());
        return slipped.isPresent()
                ? refused(given, Refused.Why.THOUSANDFOLD, slipped)
                : new Typed(List.of(ohms), Optional.empty());
    }

    private static double factor(String unit) {
        String u = unit.toLowerCase(Locale.ROOT);
        return u.startsWith("k") ? SLIP : u.startsWith("m") ? SLIP * SLIP : 1;
    }

    private static Typed refused(String given, Refused.Why why, Optional<Double> nearest) {
        return new Typed(List.of(), Optional.of(new Refused(given, why, nearest)));
    }

    /** The least of each button's: the ring at its best. */
    Map<String, Double> least() {
        Map<String, Double> least = new TreeMap<>();
        ohms.forEach((b, all) -> all.stream().min(Double::compare).ifPresent(o -> least.put(b, o)));
        return least;
    }

    /** How far readings of one button lie apart as the wheel turns, in ohms; 0 where none was taken twice. */
    double wobble() {
        return ohms.values().stream()
                .filter(all -> all.size() > 1 && all.stream().noneMatch(o -> o.isInfinite()))
                .mapToDouble(all -> all.stream().max(Double::compare).orElseThrow()
                        - all.stream().min(Double::compare).orElseThrow())
                .max()
                .orElse(0);
    }
}
