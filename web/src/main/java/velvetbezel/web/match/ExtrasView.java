package velvetbezel.web.match;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.match.ExtraWork;
import velvetbezel.match.Kit;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Rates;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;

/** What is worth doing while the dash is open, priced now against later. */
public record ExtrasView(Frame frame, String heading, String verdict, List<Line> lines, String back) {
    /**
     * @param parts the parts of the chosen kit with this one, comma-separated; empty where it is no part of the
     *     library
     */
    public record Line(
            String name,
            String brings,
            String material,
            String now,
            String later,
            String saved,
            String radio,
            String parts) {}

    static ExtrasView of(OpenJob open, KitSearch search, Rates rates) {
        Frame frame = Frame.of(open, Station.MATCH, Frame.Trouble.NONE);
        KitSearch.Answer answer = search.allKits(open);
        return search.chosen(open, answer)
                .map(
                        k -> {
                            List<Line> lines = ExtraWork.of(
                                            k,
                                            search.additions(answer, k),
                                            answer.market(),
                                            open.dash().openings())
                                    .stream()
                                    .map(e -> line(open, rates, k, e))
                                    .toList();
                            return new ExtrasView(
                                    frame,
                                    "%s worth doing while the dash is open"
                                            .formatted(Words.sentence(Words.count(lines.size(), "thing"))),
                                    "Later the dash comes out again; at %s an hour that is the difference."
                                            .formatted(Words.money(rates.hourCents())),
                                    lines,
                                    open.path(Station.MATCH));
                        })
                .orElseGet(() -> new ExtrasView(
                        frame,
                        "Extras need a kit first",
                        "Choose one at Match; what it leaves undone is worked out for it.",
                        List.of(),
                        open.path(Station.MATCH)));
    }

    private static String done(ExtraWork e, int minutes, Rates rates) {
        String sum = e.cents()
                .map(c -> Words.money(c + rates.labour(minutes)))
                .orElseGet(() -> Words.money(rates.labour(minutes)) + " and the part");
        return "%s, %s".formatted(Words.minutes(minutes), sum);
    }

    private static Line line(OpenJob open, Rates rates, Kit kit, ExtraWork e) {
        String brings = e.brings().stream().map(open::functionName).collect(Collectors.joining(", "));
        String parts = e.part()
                .map(p -> Stream.concat(kit.parts().stream(), Stream.of(p))
                        .map(Sheet::id)
                        .collect(Collectors.joining(",")))
                .orElse("");
        return new Line(
                e.name(),
                brings,
                Words.price(e.cents()),
                done(e, e.now(), rates),
                done(e, e.later(), rates),
                Words.money(rates.labour(e.later()) - rates.labour(e.now())),
                kit.radio().id(),
                parts);
    }
}
