package velvetbezel.web.job;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import velvetbezel.job.Entry;
import velvetbezel.sheet.Fault;
import velvetbezel.store.Library;

/** The board: every job with how far each station is. */
public record JobsView(
        String heading, List<Line> jobs, List<Library.Entry> vehicles, List<Fault> faults, Map<String, String> typed) {
    public record Line(
            int number,
            String title,
            String customer,
            String car,
            String radio,
            List<Stage> stages,
            int open,
            boolean handedOver) {}

    public record Stage(String name, String href, Question.Mark mark, String note) {}

    static JobsView of(
            List<OpenJob> jobs, List<Library.Entry> vehicles, List<Fault> faults, Map<String, String> typed) {
        List<Line> lines = jobs.stream().map(JobsView::line).toList();
        int running = (int) lines.stream().filter(l -> !l.handedOver).count();
        return new JobsView(
                running == 0 ? "No job is open" : "%s open".formatted(Words.sentence(Words.count(running, "job"))),
                lines,
                vehicles,
                faults,
                typed);
    }

    private static Line line(OpenJob open) {
        return new Line(
                open.job().number(),
                open.job().title(),
                open.text(new Entry.CustomerNamed()),
                open.vehicle().map(v -> v.make() + " " + v.model()).orElse("no vehicle"),
                open.design()
                        .flatMap(d -> d.installation().recipe().radio())
                        .map(r -> r.device().name())
                        .orElse("no kit"),
                Arrays.stream(Station.values()).map(s -> stage(s, open)).toList(),
                Questions.of(open).size(),
                open.has(new Entry.HandedOver()));
    }

    private static Stage stage(Station station, OpenJob open) {
        Progress p = Progress.of(station, open);
        Question.Mark mark =
                switch (p.state()) {
                    case SETTLED -> Question.Mark.SETTLED;
                    case OPEN -> Question.Mark.OPEN;
                    case WRONG -> Question.Mark.WRONG;
                };
        return new Stage(station.label(), open.path(station), mark, p.note());
    }

    /** What a person had typed before it was refused. */
    public String was(String field) {
        return typed.getOrDefault(field, "");
    }
}
