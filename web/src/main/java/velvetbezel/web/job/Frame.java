package velvetbezel.web.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import velvetbezel.drawing.LoomDrawing;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.JobCodec;
import velvetbezel.store.LogEntry;
import velvetbezel.store.StaleEdit;
import velvetbezel.web.shell.Words;

/**
 * What stands round the work of every station: the loom, the open questions, the last change.
 *
 * @param subtitle car and radio
 * @param seq      version that edits are made against
 * @param change   names what is sent from this page
 * @param undo     what undo would take back
 * @param faults   messages by field, for what was refused
 */
public record Frame(
        int number,
        String title,
        String subtitle,
        String station,
        String stationLabel,
        LoomDrawing loom,
        List<Question> questions,
        List<Question> assumptions,
        List<Sheet.Caution> cautions,
        long seq,
        String change,
        Optional<LogEntry> undo,
        Map<String, String> faults,
        Optional<Stale> stale) {
    private static final List<String> KEPT = List.of(
            "arrive",
            "baseline",
            "baseline/ahead",
            "wire",
            "bench",
            "bench/ahead",
            "bench/ahead?read=back",
            "fit",
            "controls",
            "open-up",
            "in-car",
            "in-car/ahead",
            "trays",
            "record",
            "prove",
            "prove/ahead",
            "hand-over");

    /** Two versions of one field: what this person typed, and what somebody else saved meanwhile. */
    public record Stale(String field, String what, String mine, String theirs, String who, String when) {
        public static Stale of(StaleEdit e, OpenJob open) {
            return new Stale(
                    e.field(),
                    JobCodec.entry(e.field()).map(new Phrases(open)::entry).orElse(e.field()),
                    e.mine(),
                    e.theirs(),
                    e.who(),
                    Words.moment(e.at()));
        }
    }

    /** What went wrong with the last change, where something did. */
    public record Trouble(Map<String, String> faults, Optional<Stale> stale) {
        public static final Trouble NONE = new Trouble(Map.of(), Optional.empty());
    }

    public static Frame of(OpenJob open, Station station, Trouble trouble) {
        String car = open.vehicle()
                .map(v -> "%s %s, %s".formatted(v.make(), v.model(), v.trim()))
                .orElse("no vehicle chosen");
        String radio = open.design()
                .flatMap(d -> d.installation().recipe().radio())
                .map(r -> " → " + r.device().name())
                .orElse("");
        List<Sheet.Caution> cautions =
                open.vehicle().map(v -> Cautions.at(v, station)).orElse(List.of());
        return new Frame(
                open.job().number(),
                open.job().title(),
                car + radio,
                station.path(),
                station.label(),
                Progress.loom(open, station),
                Questions.of(open),
                Questions.assumptions(open),
                cautions,
                open.job().seq(),
                UUID.randomUUID().toString(),
                open.undoable(),
                trouble.faults(),
                trouble.stale());
    }

    public FieldNames names() {
        return FieldNames.OF_A_JOB;
    }

    public String base() {
        return "/jobs/" + number;
    }

    /** Pages of this job that a browser keeps, to go on without a connection. */
    public String keep() {
        return KEPT.stream().map(p -> base() + "/" + p).collect(Collectors.joining(" "));
    }

    public String here() {
        return base() + "/" + station;
    }

    /** Everything that was refused, for the summary at the top. */
    public List<String> refused() {
        return List.copyOf(faults.values());
    }

    public String fault(String field) {
        return faults.getOrDefault(field, "");
    }
}
