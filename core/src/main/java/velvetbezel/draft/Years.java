package velvetbezel.draft;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Model years as people and papers write them: "2004-2009", "05/2018", "2018 on", "2017-02 to 2020-06".
 *
 * @param built with months, where some were given; empty text otherwise
 */
public record Years(int first, int last, String built) {
    private static final String DATE = "(?:(?:(\\d{1,2})[/.])?((?:19|20)\\d\\d)|((?:19|20)\\d\\d)-(\\d{2}))";
    private static final Pattern SPAN =
            Pattern.compile(DATE + "(?:\\s*(?:-|–|to|until)\\s*(?:" + DATE + ")|\\s*(on|onwards|-|–))?");
    /** How long a model is built whose end nobody knows: until the sheet says otherwise. */
    public static final int OPEN_END = 2100;

    /** @return empty where a text is no such span, or ends before it begins */
    public static Optional<Years> read(String text) {
        Matcher m = SPAN.matcher(text.strip());
        if (!m.matches() || !month(m, 1) || !month(m, 5)) return Optional.empty();
        int first = year(m, 1).orElseThrow();
        int last = m.group(9) != null ? OPEN_END : year(m, 5).orElse(first);
        if (last < first) return Optional.empty();
        String begins = date(m, 1);
        String ends = year(m, 5).isPresent() ? " to " + date(m, 5) : "";
        boolean months = (begins + ends).contains("-");
        return Optional.of(new Years(first, last, months ? begins + ends : ""));
    }

    private static Optional<Integer> year(Matcher m, int group) {
        return Optional.ofNullable(m.group(group + 1) != null ? m.group(group + 1) : m.group(group + 2))
                .map(Integer::valueOf);
    }

    private static Optional<Integer> monthOf(Matcher m, int group) {
        return Optional.ofNullable(m.group(group) != null ? m.group(group) : m.group(group + 3))
                .map(Integer::valueOf);
    }

    private static boolean month(Matcher m, int group) {
        return monthOf(m, group).filter(n -> n < 1 || n > 12).isEmpty();
    }

    private static String date(Matcher m, int group) {
        return year(m, group).orElseThrow()
                + monthOf(m, group).map("-%02d"::formatted).orElse("");
    }
}
