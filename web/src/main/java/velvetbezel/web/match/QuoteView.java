package velvetbezel.web.match;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.job.Entry;
import velvetbezel.match.Cost;
import velvetbezel.match.Kit;
import velvetbezel.match.Labour;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.Goods;
import velvetbezel.web.job.JobLabour;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Rates;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.Materials;

/** Alternatives that a customer can take home: parts, labour, tax, and in plain words what would be lost. */
public record QuoteView(
        int number,
        String title,
        String customer,
        String vehicle,
        String date,
        String until,
        List<Alternative> alternatives,
        String rate,
        String currency,
        String back,
        String pdf) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    /** Somebody who does it for the first time takes two to four times as long (common practice, no source). */
    private static final int FIRST_TIMER_LEAST = 2;

    private static final int FIRST_TIMER_MOST = 4;

    /** What becomes of a function, as a customer would say it. */
    public record Change(String name, String words) {}

    /**
     * @param own     what it costs to do it oneself
     * @param ownTime how long that takes
     */
    public record Alternative(
            String letter,
            String name,
            String how,
            List<Goods.Item> items,
            String parts,
            String time,
            String work,
            String labour,
            String total,
            String tax,
            String own,
            String ownTime,
            String waiting,
            String cuts,
            List<Change> lost,
            List<String> changed,
            List<String> gained,
            List<String> remarks) {}

    static QuoteView of(OpenJob open, KitSearch search, Rates rates, List<String> letters, LocalDate today) {
        KitSearch.Answer answer = search.allKits(open);
        List<Alternative> alternatives = new ArrayList<>();
        for (String letter : letters)
            InsteadView.kit(open, search, answer, letter)
                    .ifPresent(k -> alternatives.add(alternative(open, search, answer, rates, letter, k)));
        String query = "?kits=" + String.join(",", letters);
        return new QuoteView(
                open.job().number(),
                open.job().title(),
                open.text(new Entry.CustomerNamed()),
                open.vehicle().map(Sheet::name).orElse(""),
                DAY.format(today),
                DAY.format(today.plusDays(rates.validDays())),
                alternatives,
                Words.money(rates.hourCents()),
                rates.currency(),
                open.path(Station.MATCH) + query,
                "/jobs/" + open.job().number() + "/quote.pdf" + query);
    }

    private static Alternative alternative(
            OpenJob open, KitSearch search, KitSearch.Answer answer, Rates rates, String letter, Kit kit) {
        Sheet.Vehicle vehicle = open.vehicle().orElseThrow();
        Materials materials = open.design()
                .filter(d -> letter.equals(MatchView.CHOSEN))
                .map(d -> Goods.materials(open, d))
                .orElseGet(() -> Goods.materials(open, kit.build(vehicle)));
        Goods goods = Goods.of(open, kit.radio(), kit.parts(), answer.market(), materials);
        Labour labour =
                letter.equals(MatchView.CHOSEN) ? JobLabour.chosen(open, kit) : search.labour(open, answer, kit);
        Cost cost = labour.in(kit.cost());
        int minutes = labour.minutes();
        long labourCents = rates.labour(minutes);
        long total = goods.cents() + labourCents;
        return new Alternative(
                letter.equals(MatchView.CHOSEN) ? "Your kit" : "Kit " + letter,
                kit.radio().device().name(),
                MatchView.how(kit),
                goods.items(),
                goods.total(),
                Words.time(cost),
                LabourWords.groups(labour),
                Words.money(labourCents),
                Words.price(total, cost.missing()),
                Words.money(rates.contained(total)),
                goods.total(),
                "%s to %s"
                        .formatted(
                                Words.minutes(FIRST_TIMER_LEAST * minutes), Words.minutes(FIRST_TIMER_MOST * minutes)),
                kit.cost().days() == 0
                        ? "Everything is here."
                        : "All of it is here in %s."
                                .formatted(Words.days(kit.cost().days())),
                kit.cost().cuts() == 0
                        ? "Nothing in the car is cut."
                        : "%s in the car that cannot be undone."
                                .formatted(Words.sentence(Words.count(kit.cost().cuts(), "cut"))),
                having(open, kit, Kind.LOST).stream().map(f -> lost(open, f)).toList(),
                names(open, having(open, kit, Kind.CHANGED)),
                names(open, having(open, kit, Kind.GAINED)),
                kit.remarks(vehicle));
    }

    private static Change lost(OpenJob open, FunctionId f) {
        return new Change(
                open.functionName(f),
                open.catalogue()
                        .find(f)
                        .map(x -> "No longer: " + Words.small(x.expected()))
                        .orElse(""));
    }

    private static List<FunctionId> having(OpenJob open, Kit kit, Kind kind) {
        return open.catalogue().functions().stream()
                .map(x -> x.id())
                .filter(f -> kit.kinds().get(f) == kind)
                .toList();
    }

    private static List<String> names(OpenJob open, List<FunctionId> functions) {
        return functions.stream().map(open::functionName).toList();
    }
}
