package velvetbezel.web.job;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.LogEntry;

/** Everything that was changed at a job, newest first. */
public record LogView(Frame frame, List<Line> entries) {
    /** @param undone taken back later */
    public record Line(String when, String who, String what, boolean undone, List<Change> changes) {}

    public record Change(String field, String before, String after) {}

    static LogView of(OpenJob open, Jobs jobs) {
        List<LogEntry> log = jobs.log(open.job().id());
        Set<Long> undone = log.stream().flatMap(e -> e.undoOf().stream()).collect(Collectors.toSet());
        Phrases phrases = new Phrases(open);
        return new LogView(
                Frame.of(open, Station.ARRIVE, Frame.Trouble.NONE),
                log.stream()
                        .map(e -> new Line(
                                Words.moment(e.at()),
                                e.who(),
                                e.what(),
                                undone.contains(e.seq()),
                                e.changes().stream()
                                        .map(c -> new Change(
                                                JobCodec.entry(c.field())
                                                        .map(phrases::entry)
                                                        .orElse(c.field()),
                                                c.before().orElse("—"),
                                                c.after().orElse("—")))
                                        .toList()))
                        .toList());
    }
}
