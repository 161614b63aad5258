package velvetbezel.web.match;

import java.util.List;
import java.util.Optional;
import velvetbezel.job.Entry;
import velvetbezel.match.Kit;
import velvetbezel.match.Labour;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.JobLabour;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Rates;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;

/** Labour of the chosen kit, line by line, each with where it comes from and what a person says instead. */
record LabourView(Frame frame, boolean chosen, String heading, String verdict, List<Line> lines) {
    /** @param said what a person put in its place, as typed */
    public record Line(String what, String source, String minutes, String field, String said) {}

    static LabourView of(OpenJob open, KitSearch search, Rates rates, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.MATCH, trouble);
        Optional<Kit> kit = search.chosen(open, search.kits(open));
        if (kit.isEmpty())
            return new LabourView(
                    frame,
                    false,
                    "No kit is chosen yet",
                    "Choose one at Match: its labour is counted then.",
                    List.of());
        Labour labour = JobLabour.chosen(open, kit.get());
        return new LabourView(
                frame,
                true,
                Words.time(labour.in(kit.get().cost())),
                "%s at %s an hour."
                        .formatted(Words.money(rates.labour(labour.minutes())), Words.money(rates.hourCents())),
                labour.lines().stream().map(l -> line(open, l)).toList());
    }

    private static Line line(OpenJob open, Labour.Line l) {
        Entry.MinutesSaid entry = new Entry.MinutesSaid(l.id());
        return new Line(
                LabourWords.what(l),
                LabourWords.source(l),
                l.stated().map(m -> Words.minutes((int) Math.round(m))).orElse("not stated"),
                JobCodec.key(entry),
                open.text(entry));
    }
}
