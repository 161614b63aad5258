package velvetbezel.web.board;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.util.UriComponentsBuilder;
import velvetbezel.sheet.InputProblem;
import velvetbezel.store.Board;
import velvetbezel.store.Library;
import velvetbezel.web.job.Question;
import velvetbezel.web.job.Station;
import velvetbezel.web.job.Summary;
import velvetbezel.web.shell.Words;

/**
 * The board: jobs with what is next and how far each station is.
 *
 * @param which open, handed over or all of them
 * @param later address of the next page, or empty
 */
public record BoardView(
        String heading,
        String q,
        String which,
        List<Line> jobs,
        String earlier,
        String later,
        List<Library.Entry> vehicles,
        List<InputProblem> faults,
        Map<String, String> typed) {
    static final int PAGE = 50;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    /** @param due day, in words; empty where nobody said one @param late the day is past, and the car still here */
    public record Line(
            int number,
            String title,
            String customer,
            String car,
            String radio,
            String next,
            String note,
            String due,
            boolean late,
            List<Stage> stages,
            int open,
            boolean handedOver) {}

    public record Stage(String name, String href, Question.Mark mark, String note) {}

    /** What a person asked for. */
    record Asked(String q, Board.Which which, int page) {
        static final Asked NOTHING = new Asked("", Board.Which.OPEN, 0);

        Board.Query query() {
            return new Board.Query(q, which, page);
        }

        String href(int otherPage) {
            return UriComponentsBuilder.fromPath("/jobs")
                    .queryParam("q", "{q}")
                    .queryParam("which", which.name().toLowerCase(Locale.ROOT))
                    .queryParam("page", otherPage)
                    .encode()
                    .buildAndExpand(q)
                    .toUriString();
        }
    }

    static BoardView of(
            Asked asked,
            Board board,
            LocalDate today,
            List<Library.Entry> vehicles,
            List<InputProblem> faults,
            Map<String, String> typed) {
        Board.Found found = board.find(asked.query(), PAGE);
        List<Line> lines = found.lines().stream().map(l -> line(l, today)).toList();
        return new BoardView(
                heading(asked, board, lines),
                asked.q,
                asked.which.name().toLowerCase(Locale.ROOT),
                lines,
                asked.page == 0 ? "" : asked.href(asked.page - 1),
                found.more() ? asked.href(asked.page + 1) : "",
                vehicles,
                faults,
                typed);
    }

    private static String heading(Asked asked, Board board, List<Line> lines) {
        if (!asked.q.isEmpty() && lines.isEmpty()) return "No job answers this search";
        int running = board.open();
        long late = lines.stream().filter(Line::late).count();
        String open =
                running == 0 ? "No job is open" : "%s open".formatted(Words.sentence(Words.count(running, "job")));
        return late == 0 ? open : open + ", %s late".formatted(Words.count((int) late));
    }

    private static Line line(Board.Line kept, LocalDate today) {
        Optional<Summary> summary = kept.shows().map(Summary::read);
        boolean late =
                !kept.handedOver() && kept.due().filter(d -> d.isBefore(today)).isPresent();
        return new Line(
                kept.number(),
                kept.title(),
                summary.map(Summary::customer).orElse(""),
                summary.map(Summary::car).orElse("being worked out"),
                summary.map(BoardView::radio).orElse(""),
                kept.handedOver()
                        ? "handed over"
                        : summary.stream()
                                .flatMap(Summary::next)
                                .map(Station::label)
                                .findFirst()
                                .orElse(""),
                kept.handedOver() ? "" : summary.map(BoardView::note).orElse(""),
                kept.due().map(DAY::format).orElse(""),
                late,
                summary.stream().flatMap(s -> stages(kept.number(), s)).toList(),
                summary.map(Summary::open).orElse(0),
                kept.handedOver());
    }

    private static String radio(Summary summary) {
        return summary.waits() == 0
                ? summary.radio()
                : "%s, parts in %s".formatted(summary.radio(), Words.days(summary.waits()));
    }

    private static String note(Summary summary) {
        return summary.next()
                .map(s -> summary.stages().get(s.ordinal()).note())
                .findFirst()
                .orElse("");
    }

    private static Stream<Stage> stages(int number, Summary summary) {
        return Arrays.stream(Station.values())
                .filter(s -> s.ordinal() < summary.stages().size())
                .map(s -> new Stage(
                        s.label(),
                        "/jobs/%d/%s".formatted(number, s.path()),
                        summary.stages().get(s.ordinal()).mark(),
                        summary.stages().get(s.ordinal()).note()));
    }

    /** What a person had typed before it was refused. */
    public String was(String field) {
        return typed.getOrDefault(field, "");
    }
}
