package velvetbezel.web.library;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import velvetbezel.store.Imports;

/**
 * Something brought in: what would become of each line, and whether it is taken in.
 *
 * @param whose supplier whose headings it was read with, where it can be read otherwise; else empty
 */
public record ImportView(
        UUID id,
        String shelf,
        String name,
        String heading,
        String verdict,
        boolean running,
        boolean ready,
        String whose,
        long done,
        long total,
        List<Group> groups) {
    private static final int SHOWN = 100;
    private static final String REFUSED = "refused";
    private static final List<String> ORDER = List.of(REFUSED, "added", "changed", "unchanged");

    /** Lines of one verdict. @param more how many are not shown */
    public record Group(String verdict, int count, int more, List<Imports.Row> rows) {}

    static ImportView of(Imports.Import intake, Imports intakes, boolean again) {
        Map<String, Integer> counts = intakes.counts(intake.id());
        boolean running = intake.state() == Imports.State.READING || intake.state() == Imports.State.TAKING;
        List<Group> groups = running
                ? List.of()
                : ORDER.stream()
                        .filter(counts::containsKey)
                        .map(v -> group(intake.id(), v, counts.get(v), intakes))
                        .toList();
        return new ImportView(
                intake.id(),
                intake.ofSheets() ? "vehicles" : "parts",
                intake.name(),
                heading(intake, counts),
                verdict(intake, counts.containsKey(REFUSED)),
                running,
                intake.takes(counts),
                again && intake.state() == Imports.State.READ ? intake.supplier() : "",
                intake.done(),
                intake.total(),
                groups);
    }

    private static Group group(UUID id, String verdict, int count, Imports intakes) {
        List<Imports.Row> rows = intakes.rows(id, verdict, SHOWN);
        return new Group(verdict, count, count - rows.size(), rows);
    }

    private static String heading(Imports.Import intake, Map<String, Integer> counts) {
        String sums = sums(counts, ORDER);
        return switch (intake.state()) {
            case READING -> "Reading: %,d of %s lines"
                    .formatted(intake.done(), intake.total() == 0 ? "its" : "%,d".formatted(intake.total()));
            case HEADINGS -> "What do its headings stand for?";
            case READ -> "If it is taken in: " + sums;
            case TAKING -> "Taking it in: %,d of %,d lines".formatted(intake.done(), intake.total());
            case TAKEN -> "Taken in: " + taken(counts);
            case CANCELLED -> "Cancelled; nothing was changed";
            case FAILED -> "It could not be taken in; nothing was changed";
        };
    }

    private static String taken(Map<String, Integer> counts) {
        int refused = counts.getOrDefault(REFUSED, 0);
        String rest = sums(counts, ORDER.subList(1, ORDER.size()));
        return refused == 0 ? rest : "%s; left out: %,d".formatted(rest, refused);
    }

    private static String sums(Map<String, Integer> counts, List<String> verdicts) {
        return verdicts.stream()
                .filter(counts::containsKey)
                .map(v -> "%,d %s".formatted(counts.get(v), v))
                .reduce((a, b) -> a + ", " + b)
                .orElse("nothing in it");
    }

    private static String verdict(Imports.Import intake, boolean refused) {
        return switch (intake.state()) {
            case READ -> refused ? held(intake) : "Nothing has been changed yet.";
            case TAKEN -> refused ? "The refused lines were left out; correct them and bring them in again." : "";
            case FAILED -> intake.note();
            case HEADINGS -> "They are asked once per supplier. What is left out is not read.";
            case READING, TAKING -> "It can be cancelled at any moment and leaves nothing behind.";
            default -> "";
        };
    }

    private static String held(Imports.Import intake) {
        return intake.ofSheets()
                ? "Nothing can be taken in before the refused lines are corrected. Correct them in the file and bring it in again."
                : "Nothing has been changed yet. The refused lines will be left out.";
    }
}
