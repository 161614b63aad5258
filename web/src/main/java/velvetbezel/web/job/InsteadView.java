package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.match.Cost;
import velvetbezel.match.Kit;
import velvetbezel.match.RadioMatch;
import velvetbezel.sheet.Sheet;

/**
 * What could stand in for one part of a kit, and what each would cost.
 *
 * @param kit letter of the kit; @param stock how long the part takes to come
 */
public record InsteadView(Frame frame, String kit, String part, String stock, List<Line> lines, String back) {
    /** @param parts ids of the parts of the kit as it would be, comma-separated */
    public record Line(
            String name,
            String money,
            String labour,
            String days,
            String cuts,
            String lost,
            String again,
            String radio,
            String parts) {}

    static Optional<InsteadView> of(OpenJob open, Matching matching, String letter, String partId) {
        Matching.Answer answer = matching.allKits(open);
        Optional<Kit> kit = kit(open, matching, answer, letter);
        Optional<Sheet.Part> part = kit.flatMap(
                k -> k.parts().stream().filter(p -> p.id().equals(partId)).findFirst());
        return part.map(p -> {
            int days = answer.market().days(p);
            List<Line> lines = matching.swaps(answer, kit.get(), p).stream()
                    .map(s -> line(open, kit.get().cost(), s))
                    .toList();
            String stock = days == 0
                    ? "It is in stock, or nobody keeps count of it."
                    : days == Prices.DAYS_UNKNOWN
                            ? "It is not in stock, and nobody says how long it takes: counted as %d days."
                                    .formatted(days)
                            : "It is not in stock: %s to wait.".formatted(Words.days(days));
            return new InsteadView(
                    Frame.of(open, Station.MATCH, Frame.Trouble.NONE),
                    letter,
                    p.name(),
                    stock,
                    lines,
                    open.path(Station.MATCH));
        });
    }

    static Optional<Kit> kit(OpenJob open, Matching matching, Matching.Answer answer, String letter) {
        List<Kit> kits = answer.matched().kits();
        for (int i = 0; i < kits.size(); i++) if (MatchView.letter(i).equals(letter)) return Optional.of(kits.get(i));
        return letter.equals(MatchView.CHOSEN) ? matching.chosen(open, answer) : Optional.empty();
    }

    private static Line line(OpenJob open, Cost before, RadioMatch.Swap s) {
        Cost after = s.kit().cost();
        return new Line(
                s.part().map(Sheet::name).orElse("Nothing in its place"),
                signed(after.cents() - before.cents(), Words.money(Math.abs(after.cents() - before.cents()))),
                signed(after.minutes() - before.minutes(), Words.minutes(Math.abs(after.minutes() - before.minutes()))),
                Words.days(after.days()),
                after.cuts() == before.cuts()
                        ? "same"
                        : signed(after.cuts() - before.cuts(), String.valueOf(Math.abs(after.cuts() - before.cuts()))),
                names(open, s.lost()),
                names(open, s.again()),
                s.kit().radio().id(),
                s.kit().parts().stream().map(Sheet::id).collect(Collectors.joining(",")));
    }

    private static String signed(long difference, String text) {
        return difference == 0 ? "same" : (difference > 0 ? "+" : "−") + text;
    }

    private static String names(OpenJob open, List<FunctionId> functions) {
        List<String> names =
                new ArrayList<>(functions.stream().map(open::functionName).toList());
        return String.join(", ", names);
    }
}
