package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import velvetbezel.units.Volts;

/** What a test can show. */
public sealed interface Finding {
    /** Of a check: everything that is perceived otherwise; nothing of it where all is right. */
    record Symptom(List<SceneDiff> diffs) implements Finding {
        private static final Pattern DIFF = Pattern.compile("(\\d{1,3}) ([A-Z_]+) (.*) @ (.*)");

        public static final Symptom RIGHT = new Symptom(List.of());

        public Symptom {
            diffs = diffs.stream().sorted().distinct().toList();
        }

        /** @return empty where a text is no key */
        public static Optional<Symptom> read(String key) {
            List<SceneDiff> diffs = new ArrayList<>();
            for (String part : key.split("; ")) {
                Matcher m = DIFF.matcher(part);
                if (!m.matches()) return Optional.empty();
                Optional<SceneDiff.Kind> kind = Arrays.stream(SceneDiff.Kind.values())
                        .filter(k -> k.name().equals(m.group(2)))
                        .findFirst();
                if (kind.isEmpty()) return Optional.empty();
                diffs.add(new SceneDiff(Integer.parseInt(m.group(1)), kind.get(), m.group(3), m.group(4)));
            }
            return Optional.of(new Symptom(diffs));
        }

        public boolean right() {
            return diffs.isEmpty();
        }

        /** As a job keeps it. */
        public String key() {
            return diffs.stream()
                    .map(d -> "%d %s %s @ %s".formatted(d.scene(), d.kind(), d.what(), d.where()))
                    .collect(Collectors.joining("; "));
        }
    }

    /** Of a voltmeter: a value between these, its error included. */
    record Between(Volts low, Volts high) implements Finding {}

    /** Not connected, or near 0 V: a voltmeter does not tell these apart. */
    record NothingSteady() implements Finding {}
}
