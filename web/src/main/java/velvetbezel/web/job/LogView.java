package velvetbezel.web.job;

import java.util.List;
import java.util.Set;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.LogEntry;
import velvetbezel.web.shell.Words;

/** Everything that was changed at a job, newest first. @param more address of the page after this one, or empty */
public record LogView(Frame frame, List<Line> entries, String more) {
    private static final int PAGE = 100;

    /** @param undone taken back later */
    public record Line(String when, String who, String what, boolean undone, List<Change> changes) {}

    public record Change(String field, String before, String after) {}

    /** @param before seq of the entry that the page before ended with */
    static LogView of(OpenJob open, Jobs jobs, long before) {
        List<LogEntry> log = jobs.log(open.job().id(), before, PAGE);
        Set<Long> undone = Set.copyOf(jobs.undone(open.job().id()));
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
                        .toList(),
                log.size() < PAGE
                        ? ""
                        : "/jobs/%d/log?before=%d"
                                .formatted(
                                        open.job().number(),
                                        log.get(log.size() - 1).seq()));
    }
}
