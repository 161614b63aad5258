package velvetbezel.web.shell;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import velvetbezel.match.Cost;
import velvetbezel.sheet.LeadRole;
import velvetbezel.worksheet.Reading;

/** How numbers, money, times and counts are written. */
public final class Words {
    private static final List<String> COUNT = List.of(
            "no",
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen",
            "twenty");
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private Words() {}

    public static String count(int n) {
        return n < COUNT.size() ? COUNT.get(n) : String.valueOf(n);
    }

    public static String count(int n, String thing) {
        return count(n) + " " + thing + (n == 1 ? "" : "s");
    }

    /** What comes of a switched supply that another output serves (common practice, no source). */
    public static String served(LeadRole wanted, Optional<LeadRole> source) {
        if (source.isEmpty()) return "Not fed: what hangs on it stays off.";
        String from = source.get().label();
        if (source.get() == LeadRole.ACCESSORY)
            return wanted == LeadRole.AMP_REMOTE
                    ? "Fed from accessory: the amplifier is on with the key, also with the radio off; a pop is likely."
                    : "Fed from accessory: up whenever the key is on, not only with the tuner.";
        return source.get() == LeadRole.REVERSE
                ? "Fed from reverse: on in reverse only."
                : "Fed from %s: on with the radio, whatever plays.".formatted(from);
    }

    /** "a, b and c". */
    public static String list(List<String> things) {
        if (things.size() < 2) return String.join("", things);
        return String.join(", ", things.subList(0, things.size() - 1)) + " and " + things.get(things.size() - 1);
    }

    /** Names inside a sentence; "Steering button: next" and "Steering button: source" become one. */
    public static List<String> together(List<String> names) {
        Map<String, List<String>> kinds = new LinkedHashMap<>();
        for (String n : names) {
            int colon = n.indexOf(": ");
            kinds.computeIfAbsent(colon < 0 ? n : n.substring(0, colon), k -> new ArrayList<>())
                    .add(colon < 0 ? "" : n.substring(colon + 2));
        }
        return kinds.entrySet().stream()
                .map(k -> k.getValue().size() == 1 && k.getValue().get(0).isEmpty()
                        ? small(k.getKey())
                        : "%s (%s)".formatted(small(k.getKey()), String.join(", ", k.getValue())))
                .toList();
    }

    public static String sentence(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** The same words inside a sentence. */
    public static String small(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
    }

    public static String percent(double share) {
        return share > 0.99 ? "over 99 %" : share < 0.01 ? "under 1 %" : Math.round(share * 100) + " %";
    }

    public static String money(long cents) {
        String units = Long.toString(Math.abs(cents) / 100);
        String rest = Long.toString(100 + Math.abs(cents) % 100).substring(1);
        return (cents < 0 ? "-" : "") + units + "." + rest;
    }

    public static String price(Optional<Long> cents) {
        return cents.map(Words::money).orElse("price not stated");
    }

    /** What is known of a price; a missing one is said, never counted as nothing. */
    public static String price(long cents, Cost.Missing missing) {
        return missing.prices() == 0
                ? money(cents)
                : "from %s, %s missing".formatted(money(cents), count(missing.prices(), "price"));
    }

    public static String price(Cost cost) {
        return price(cost.cents(), cost.missing());
    }

    /** What is known of the labour. */
    public static String time(Cost cost) {
        if (cost.minutes() == 0 && cost.missing().times() > 0) return "time not stated";
        return cost.missing().times() == 0
                ? minutes(cost.minutes())
                : "from %s, %s missing"
                        .formatted(minutes(cost.minutes()), count(cost.missing().times(), "time"));
    }

    public static String minutes(int minutes) {
        return minutes < 60 ? minutes + " min" : "%d h %02d".formatted(minutes / 60, minutes % 60);
    }

    public static String days(int days) {
        return days == 0 ? "none" : days == 1 ? "1 day" : days + " days";
    }

    public static String millimetres(double mm) {
        return mm == Math.rint(mm) ? "%d mm".formatted((long) mm) : "%s mm".formatted(mm);
    }

    public static String volts(double volts) {
        return String.format(Locale.ROOT, "%.1f V", Math.abs(volts) < 0.05 ? 0.0 : volts);
    }

    /** "12.6 ± 0.5 V". */
    public static String expected(Reading reading) {
        return "%s ± %s"
                .formatted(
                        volts(reading.expected().value()).replace(" V", ""),
                        volts(reading.tolerance().value()));
    }

    public static String moment(Instant at) {
        return MOMENT.format(at);
    }
}
