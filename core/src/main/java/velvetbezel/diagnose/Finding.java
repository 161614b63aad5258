package velvetbezel.diagnose;

import java.util.List;
import java.util.stream.Collectors;
import velvetbezel.units.Volts;

/** What a test can show. */
public sealed interface Finding {
    /** Of a check: everything that is perceived otherwise; nothing of it where all is right. */
    record Symptom(List<SceneDiff> diffs) implements Finding {
        public static final Symptom RIGHT = new Symptom(List.of());

        public Symptom {
            diffs = diffs.stream().sorted().distinct().toList();
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
