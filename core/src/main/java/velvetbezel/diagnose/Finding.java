package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import velvetbezel.prove.Meter;

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

    /** Whether it is what a meter shows; nothing of a check is. @param shown empty where it shows nothing at all */
    default boolean holds(OptionalDouble shown) {
        return false;
    }

    /** Of a meter: a value between these, in its unit, its error included. */
    record Between(Meter meter, double low, double high) implements Finding {
        @Override
        public boolean holds(OptionalDouble shown) {
            return shown.isPresent() && shown.getAsDouble() >= low && shown.getAsDouble() <= high;
        }
    }

    /**
     * Of a voltmeter: not connected, or near 0 V, which it does not tell apart. Of an ohmmeter: open. Of an ammeter: as
     * good as no current.
     */
    record Nothing(Meter meter) implements Finding {
        @Override
        public boolean holds(OptionalDouble shown) {
            return shown.isEmpty() || Math.abs(shown.getAsDouble()) < meter.least();
        }
    }
}
