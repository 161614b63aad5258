package velvetbezel.web.job;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.match.ExtraWork;
import velvetbezel.match.Kit;
import velvetbezel.sheet.Sheet;

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

    static ExtrasView of(OpenJob open, KitSearch matching, Rates tariff) {
        Frame frame = Frame.of(open, Station.MATCH, Frame.Trouble.NONE);
        KitSearch.Answer answer = matching.allKits(open);
        return matching.chosen(open, answer)
                .map(k -> {
                    List<Line> lines = ExtraWork.of(k, matching.additions(answer, k), answer.market()).stream()
                            .map(e -> line(open, tariff, k, e))
                            .toList();
                    return new ExtrasView(
                            frame,
                            "%s worth doing while the dash is open"
                                    .formatted(Words.sentence(Words.count(lines.size(), "thing"))),
                            "Later the dash comes out again; at %s an hour that is the difference."
                                    .formatted(Words.money(tariff.hourCents())),
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

    private static String done(ExtraWork e, int minutes, Rates tariff) {
        String sum = e.cents()
                .map(c -> Words.money(c + tariff.labour(minutes)))
                .orElseGet(() -> Words.money(tariff.labour(minutes)) + " and the part");
        return "%s, %s".formatted(Words.minutes(minutes), sum);
    }

    private static Line line(OpenJob open, Rates tariff, Kit kit, ExtraWork e) {
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
                done(e, e.now(), tariff),
                done(e, e.later(), tariff),
                Words.money(tariff.labour(e.later()) - tariff.labour(e.now())),
                kit.radio().id(),
                parts);
    }
}
