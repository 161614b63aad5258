package velvetbezel.web.library;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import velvetbezel.store.Intakes;

/** Something brought in: what would become of each line, and whether it is taken in. */
public record IntakeView(
        UUID id,
        String shelf,
        String name,
        String heading,
        String verdict,
        boolean running,
        boolean ready,
        long done,
        long total,
        List<Group> groups) {
    private static final int SHOWN = 100;
    private static final List<String> ORDER = List.of("refused", "added", "changed", "unchanged");

    /** Lines of one verdict. @param more how many are not shown */
    public record Group(String verdict, int count, int more, List<Intakes.Row> rows) {}

    static IntakeView of(Intakes.Intake intake, Intakes intakes) {
        Map<String, Integer> counts = intakes.counts(intake.id());
        boolean running = intake.state() == Intakes.State.READING || intake.state() == Intakes.State.TAKING;
        boolean refused = counts.getOrDefault("refused", 0) > 0;
        List<Group> groups = running
                ? List.of()
                : ORDER.stream()
                        .filter(counts::containsKey)
                        .map(v -> group(intake.id(), v, counts.get(v), intakes))
                        .toList();
        return new IntakeView(
                intake.id(),
                intake.kind().equals("sheets") ? "vehicles" : "parts",
                intake.name(),
                heading(intake, counts),
                verdict(intake, refused),
                running,
                intake.state() == Intakes.State.READ && !refused && changes(counts),
                intake.done(),
                intake.total(),
                groups);
    }

    private static boolean changes(Map<String, Integer> counts) {
        return counts.containsKey("added") || counts.containsKey("changed");
    }

    private static Group group(UUID id, String verdict, int count, Intakes intakes) {
        List<Intakes.Row> rows = intakes.rows(id, verdict, SHOWN);
        return new Group(verdict, count, count - rows.size(), rows);
    }

    private static String heading(Intakes.Intake intake, Map<String, Integer> counts) {
        String sums = ORDER.stream()
                .filter(counts::containsKey)
                .map(v -> "%,d %s".formatted(counts.get(v), v))
                .reduce((a, b) -> a + ", " + b)
                .orElse("nothing in it");
        return switch (intake.state()) {
            case READING -> "Reading: %,d of %s lines"
                    .formatted(intake.done(), intake.total() == 0 ? "its" : "%,d".formatted(intake.total()));
            case READ -> "If it is taken in: " + sums;
            case TAKING -> "Taking it in: %,d of %,d lines".formatted(intake.done(), intake.total());
            case TAKEN -> "Taken in: " + sums;
            case CANCELLED -> "Cancelled; nothing was changed";
            case FAILED -> "It could not be taken in; nothing was changed";
        };
    }

    private static String verdict(Intakes.Intake intake, boolean refused) {
        return switch (intake.state()) {
            case READ -> refused
                    ? "Nothing can be taken in before the refused lines are corrected. Correct them in the file and bring it in again."
                    : "Nothing has been changed yet.";
            case FAILED -> intake.note();
            case READING, TAKING -> "It can be cancelled at any moment and leaves nothing behind.";
            default -> "";
        };
    }
}
