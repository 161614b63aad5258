package velvetbezel.web.match;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Entry;
import velvetbezel.match.Cost;
import velvetbezel.match.Kit;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.KitNeed;
import velvetbezel.match.RadioMatch;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Prices;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;

/**
 * What could stand in for one part of a kit, and what each would cost.
 *
 * @param kit     how it is called; @param stock how long the part takes to come
 * @param without ways to fill its need without buying
 * @param use     field that says it is at hand already; empty for what is not bought anyway
 * @param own     whether it is
 * @param need    field that, emptied, buys a part again; empty where one is bought
 */
public record InsteadView(
        Frame frame,
        String heading,
        String kit,
        String stock,
        List<Line> lines,
        Optional<KitDecisionsView.Ways> without,
        String use,
        boolean own,
        String need,
        String back) {
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

    static Optional<InsteadView> of(OpenJob open, KitSearch search, String letter, String partId) {
        KitSearch.Answer answer = search.allKits(open);
        Optional<Kit> kit = kit(open, search, answer, letter);
        Optional<Sheet.Part> part = kit.flatMap(
                k -> k.parts().stream().filter(p -> p.id().equals(partId)).findFirst());
        return part.map(p -> {
            int days = answer.market().days(p);
            List<Line> lines = search.swaps(answer, kit.get(), p).stream()
                    .map(s -> line(open, kit.get().cost(), s))
                    .toList();
            Optional<KitNeed> filled = KitDecisions.standsIn(p.id());
            boolean own = open.state().owned().contains(p.id());
            return new InsteadView(
                    Frame.of(open, Station.MATCH, Frame.Trouble.NONE),
                    filled.isPresent() ? p.name() : "Instead of the " + p.name(),
                    letter.equals(MatchView.CHOSEN) ? "Your kit" : "Kit " + letter,
                    filled.isPresent() ? "It is not bought." : own ? "It is at hand: nothing to buy." : stock(days),
                    lines,
                    KitNeed.of(p).filter(n -> filled.isEmpty()).map(n -> KitDecisionsView.ways(open, n)),
                    filled.isPresent() ? "" : key(new Entry.PartUsed(p.id())),
                    own,
                    filled.map(n -> key(new Entry.NeedFilled(n))).orElse(""),
                    open.path(Station.MATCH));
        });
    }

    private static String stock(int days) {
        if (days == 0) return "It is in stock, or nobody keeps count of it.";
        return days == Prices.DAYS_UNKNOWN
                ? "It is not in stock, and nobody says how long it takes: counted as %d days.".formatted(days)
                : "It is not in stock: %s to wait.".formatted(Words.days(days));
    }

    static Optional<Kit> kit(OpenJob open, KitSearch search, KitSearch.Answer answer, String letter) {
        List<Kit> kits = answer.matched().kits();
        for (int i = 0; i < kits.size(); i++) if (MatchView.letter(i).equals(letter)) return Optional.of(kits.get(i));
        return letter.equals(MatchView.CHOSEN) ? search.chosen(open, answer) : Optional.empty();
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
                s.kit().bought().stream().map(Sheet::id).collect(Collectors.joining(",")));
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
