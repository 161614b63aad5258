package velvetbezel.strip;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One hazard of taking a dash apart. Rules are data, the same for every car.
 *
 * @param on     kinds of step at which it is looked for
 * @param when   all of these hold
 * @param reason one sentence with places such as {item}
 * @param wayOut one sentence of what can be done from here
 */
public record HazardRule(
        String id, Set<StepKind> on, List<StripGuard> when, Severity severity, String reason, String wayOut) {
    private static final Pattern PLACE = Pattern.compile("\\{([a-z -]+)}");

    public HazardRule {
        on = Set.copyOf(on);
        when = List.copyOf(when);
    }

    HazardRule as(Severity other) {
        return new HazardRule(id, on, when, other, reason, wayOut);
    }

    /** Names of the places in its sentences. */
    Set<String> places() {
        Set<String> places = new LinkedHashSet<>();
        Matcher m = PLACE.matcher(reason + " " + wayOut);
        while (m.find()) places.add(m.group(1));
        return places;
    }

    static String fill(String sentence, Map<String, String> of) {
        return PLACE.matcher(sentence)
                .replaceAll(m -> Matcher.quoteReplacement(of.getOrDefault(m.group(1), m.group(1))));
    }
}
