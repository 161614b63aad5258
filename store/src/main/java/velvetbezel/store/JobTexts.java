package velvetbezel.store;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Stream;
import velvetbezel.controls.SetUpFile;
import velvetbezel.job.DoneStep;
import velvetbezel.match.Filling;
import velvetbezel.match.KitNeed;
import velvetbezel.prove.Meter;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Trait;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.Extension;
import velvetbezel.worksheet.JointKind;

/** How values of a job are typed and written. */
final class JobTexts {
    /**
     * One value's text.
     *
     * @param read throws {@link InvalidInput} with what was given and what is allowed
     */
    record Text<V>(Function<String, V> read, Function<V, String> write) {}

    private static final double TENTHS_OF_MILLIVOLTS = 1e4;

    static final Text<String> PLAIN = new Text<>(t -> t, t -> t);
    /** Hundredths of the currency: "450", "450.5" or "450,50". */
    static final Text<Long> MONEY =
            new Text<>(JobTexts::cents, c -> BigDecimal.valueOf(c, 2).toPlainString());
    /** Whole minutes, "90" or "90 min". */
    static final Text<Integer> MINUTES = new Text<>(JobTexts::minutes, String::valueOf);
    /** "-1,5", "2" or "2 mm". */
    static final Text<Double> MILLIMETRES = new Text<>(JobTexts::millimetres, JobTexts::tenths);
    /** "12,4", "12.4 V" or "80 mV". */
    static final Text<Volts> VOLTS = new Text<>(
            JobTexts::volts, v -> String.valueOf(Math.round(v.value() * TENTHS_OF_MILLIVOLTS) / TENTHS_OF_MILLIVOLTS));

    /** A whole number that starts a sequence of chance. */
    static final Text<Long> SEED = new Text<>(
            t -> {
                if (!t.matches("\\d{1,18}")) throw refused("\"%s\" is no whole number such as 4711.", t);
                return Long.parseLong(t);
            },
            String::valueOf);

    /** As ISO 8601 writes it. */
    static final Text<LocalDate> DAY = new Text<>(JobTexts::day, LocalDate::toString);

    static final Text<JointKind> JOINT_KIND = new Text<>(JobTexts::jointKind, JointKind::label);
    static final Text<Extension> EXTENSION = new Text<>(JobTexts::extension, Extension::toString);
    static final Text<List<String>> IDS = new Text<>(JobTexts::ids, ids -> String.join(",", ids));

    /** "loosen fascia @ 1764288000": the step, and when in seconds since 1970. */
    static final Text<DoneStep> DONE_STEP = new Text<>(JobTexts::doneStep, JobTexts::words);

    private JobTexts() {}

    private static DoneStep doneStep(String text) {
        int at = text.lastIndexOf(" @ ");
        boolean timed = at > 0 && text.substring(at + 3).matches("\\d{1,12}");
        StripStep step = StepText.read(timed ? text.substring(0, at) : text);
        return new DoneStep(
                step, timed ? OptionalLong.of(Long.parseLong(text.substring(at + 3))) : OptionalLong.empty());
    }

    private static String words(DoneStep done) {
        return StepText.write(done.step())
                + (done.at().isPresent() ? " @ " + done.at().getAsLong() : "");
    }

    private static InvalidInput refused(String message, Object... values) {
        return new InvalidInput("", message.formatted(values));
    }

    /** One of some words. */
    static <V> Text<V> oneOf(Map<String, V> byWord) {
        Map<V, String> words = new LinkedHashMap<>();
        byWord.forEach((w, v) -> words.put(v, w));
        return new Text<>(
                t -> Optional.ofNullable(byWord.get(t))
                        .orElseThrow(() ->
                                refused("\"%s\" is not allowed; one of %s.", t, String.join(", ", byWord.keySet()))),
                words::get);
    }

    /** One of some values, each under its word. */
    static <V> Text<V> oneOf(V[] values, Function<V, String> word) {
        Map<String, V> byWord = new LinkedHashMap<>();
        for (V v : values) byWord.put(word.apply(v), v);
        return oneOf(byWord);
    }

    /** A constant's name as people write it: "must stay". */
    static String plain(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A role, or the word for none. */
    static Text<Optional<LeadRole>> roleOr(String none) {
        Map<String, Optional<LeadRole>> byWord = new LinkedHashMap<>();
        byWord.put(none, Optional.empty());
        for (LeadRole r : LeadRole.values()) byWord.put(r.label(), Optional.of(r));
        return oneOf(byWord);
    }

    static Text<Filling.By> filling(KitNeed need) {
        return oneOf(
                Arrays.stream(Filling.By.values()).filter(need::allows).toArray(Filling.By[]::new), Filling.By::label);
    }

    static final Text<String> INTERFACE_SERIAL = new Text<>(
            t -> {
                if (!t.matches(SetUpFile.SERIAL))
                    throw refused(
                            "\"%s\" is no serial of an interface; capital letters, digits and hyphens are expected, such as AD-20417.",
                            t);
                return t;
            },
            t -> t);

    static Text<String> trait(Trait trait) {
        return new Text<>(
                t -> {
                    if (trait == Trait.BUILT && !t.matches("(19|20)\\d\\d-(0[1-9]|1[0-2])"))
                        throw refused("\"%s\" is no month; type year and month as 2016-11.", t);
                    return t;
                },
                t -> t);
    }

    private static long cents(String text) {
        String number = text.replace(',', '.');
        if (!number.matches("\\d{1,6}(\\.\\d{1,2})?"))
            throw refused("\"%s\" is no amount; type a number such as 450 or 450.00.", text);
        return new BigDecimal(number).movePointRight(2).longValueExact();
    }

    private static int minutes(String text) {
        String number = text.replaceAll("\\s*min$", "");
        if (!number.matches("\\d{1,4}")) throw refused("\"%s\" is no time; type whole minutes such as 90.", text);
        return Integer.parseInt(number);
    }

    private static double millimetres(String text) {
        String number = text.replaceAll("\\s*mm$", "").replace(',', '.');
        if (!number.matches("-?\\d{1,3}(\\.\\d{1,2})?"))
            throw refused("\"%s\" is no length; type a number of mm such as 2 or -1.5.", text);
        return Double.parseDouble(number);
    }

    private static String tenths(double mm) {
        return BigDecimal.valueOf(mm).stripTrailingZeros().toPlainString();
    }

    private static Volts volts(String text) {
        return new Volts(MeterText.read(Meter.VOLTS, text).shown().orElseThrow());
    }

    private static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw refused("\"%s\" is no day; type it as 2026-11-28.", text);
        }
    }

    private static JointKind jointKind(String text) {
        for (JointKind.Refused r : JointKind.Refused.values())
            if (r.label().equals(text))
                throw refused("cannot be \"%s\". %s Choose one of %s.", text, r.why(), JointKind.all());
        return JointKind.find(text)
                .orElseThrow(() -> refused("\"%s\" is no kind of joint; one of %s.", text, JointKind.all()));
    }

    private static Extension extension(String text) {
        return Extension.read(text)
                .orElseThrow(() -> refused(
                        "\"%s\" is no piece of lead; type its length and gauge as 1.5 m, 18 AWG (up to 20 m, AWG 4 to 24).",
                        text));
    }

    private static List<String> ids(String text) {
        return Stream.of(text.split(","))
                .map(String::strip)
                .filter(id -> !id.isEmpty())
                .toList();
    }
}
