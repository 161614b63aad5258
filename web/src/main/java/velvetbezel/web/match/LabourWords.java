package velvetbezel.web.match;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import velvetbezel.match.Labour;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** Lines of labour in words. */
final class LabourWords {
    private LabourWords() {}

    static String what(Labour.Line l) {
        return Say.it("labour." + code(l), l.of(), l.count());
    }

    /** "dash 56 min, parts 2 h 25, joints and caps 20 min". */
    static String groups(Labour labour) {
        Map<String, Double> groups = new LinkedHashMap<>();
        for (Labour.Line l : labour.lines()) groups.merge(Say.it("labour.group." + code(l)), l.minutes(), Double::sum);
        return groups.entrySet().stream()
                .map(e -> "%s %s".formatted(e.getKey(), Words.minutes((int) Math.round(e.getValue()))))
                .collect(Collectors.joining(", "));
    }

    private static String code(Labour.Line l) {
        return l.source().name().toLowerCase(Locale.ROOT);
    }

    /** Where the minutes come from. */
    static String source(Labour.Line l) {
        return Say.it("labour.from." + code(l), l.of());
    }

    static String minutes(Labour.Line l) {
        return l.missing() ? "time not stated" : Words.minutes((int) Math.round(l.minutes()));
    }
}
