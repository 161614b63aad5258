package velvetbezel.web.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.drawing.PlotDrawing;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcome;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Entry;
import velvetbezel.match.GiveUp;
import velvetbezel.match.Kit;
import velvetbezel.match.Labour;
import velvetbezel.match.Lacking;
import velvetbezel.match.Market;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.Goods;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Progress;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Match: the kits that no other beats; a few side by side, what differs first; all of them in a plot and a list.
 *
 * @param progress what is still being worked out; empty when all is there
 * @param margin   by how much the list was thinned; empty where it is complete
 * @param onlyRadio the radio that the list is narrowed to; empty for all
 */
public record MatchView(
        Frame frame,
        String heading,
        String verdict,
        Optional<Progress> progress,
        String margin,
        String budget,
        List<RadioChoice> radios,
        String onlyRadio,
        Optional<PlotDrawing> plot,
        List<Column> columns,
        List<Group> groups,
        List<Line> lines,
        int more,
        List<Way> ways,
        List<Gap> gaps,
        List<KitDecisionsView.Ways> without,
        List<KitDecisionsView.Decided> decided,
        List<KitDecisionsView.Also> also,
        boolean car,
        String comparing,
        String here) {
    private static final int SIDE_BY_SIDE = 3;
    private static final int MOST_SIDE_BY_SIDE = 4;
    /** So many kits are listed at once; the best come first. */
    private static final int FIRST = 8;

    private static final int MOST_DIFFERENCES = 5;
    private static final int MOST_GAPS = 6;
    /** Stands for the letter of a chosen kit that is none of the best. */
    static final String CHOSEN = "yours";

    /**
     * What a page is asked to show.
     *
     * @param kits letters of the kits side by side;
     * @param radio only kits with it;
     * @param all every line of the list
     */
    record Asked(List<String> kits, String radio, boolean all) {
        Asked(String kits, String radio, boolean all) {
            this(letters(kits), radio, all);
        }
    }

    /** @param stopped a person stopped it */
    public record Progress(int done, int all, boolean stopped, String words) {
        static Progress of(KitSearch.Answer answer) {
            String words = answer.stopped()
                    ? Say.it("kits.stopped", answer.done(), answer.all())
                    : answer.done() < answer.all()
                            ? Say.it("kits.at", answer.done(), answer.all())
                            : Say.it("kits.least.to.give.up");
            return new Progress(answer.done(), answer.all(), answer.stopped(), words);
        }
    }

    public record RadioChoice(String id, String name) {}

    /**
     * A kit side by side with others.
     *
     * @param letter what people call it at the counter
     * @param parts  ids of the parts' sheets, comma-separated
     * @param drop   the page without it; empty where it is the last
     */
    public record Column(
            String letter,
            String name,
            String how,
            String radio,
            String parts,
            boolean chosen,
            boolean allowed,
            List<String> remarks,
            String drop) {}

    /** Lines about one thing. @param note said where the lines would only repeat themselves */
    public record Group(String name, List<Row> rows, String note) {}

    public record Row(String label, List<Cell> cells) {}

    /**
     * @param mark  "kept", "lost", "changed", "gained", "unknown", "best" or nothing
     * @param sum   what a figure is made of
     * @param why   what stops a function, and what would mend it
     * @param must  the customer insists on it
     */
    public record Cell(String text, String mark, List<Goods.Item> sum, String why, boolean must, String href) {
        static Cell plain(String text) {
            return new Cell(text, "", List.of(), "", false, "");
        }
    }

    /** A kit in the list of all. */
    public record Line(
            String letter,
            String name,
            String parts,
            String price,
            String labour,
            String days,
            int cuts,
            int losses,
            boolean shown,
            boolean chosen,
            String toggle) {}

    /** Radios that lack the same of a kit. */
    public record Gap(String radios, String lacks) {}

    /** Wishes to give up. */
    public record Way(String wishes, String then) {}

    static MatchView of(
            OpenJob open, Optional<KitSearch.Answer> answer, KitSearch search, Asked asked, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.MATCH, trouble);
        if (answer.isEmpty())
            return new MatchView(
                    frame,
                    "Kits need a car first",
                    "Choose the vehicle at Arrive; kits are worked out for its plugs, opening and functions.",
                    Optional.empty(),
                    "",
                    "",
                    List.of(),
                    "",
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of(),
                    0,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    false,
                    "",
                    frame.here());
        return new Maker(open, answer.get(), search, asked).make(frame);
    }

    private static final class Maker {
        private final OpenJob open;
        private final KitSearch.Answer answer;
        private final KitSearch search;
        private final Asked asked;
        private final Map<String, Kit> named = new LinkedHashMap<>();
        private final Map<Kit, Map<FunctionId, Outcome>> reasons = new IdentityHashMap<>();
        private final Map<Kit, Map<SettingId, String>> settings = new IdentityHashMap<>();
        /** Filled where there is no kit, whatever is given up. */
        private final List<Lacking> lacking;

        private final List<String> shown;
        private final Optional<String> chosen;

        Maker(OpenJob open, KitSearch.Answer answer, KitSearch search, Asked asked) {
            this.open = open;
            this.answer = answer;
            this.search = search;
            this.asked = asked;
            List<Kit> kits = answer.matched().kits();
            for (int i = 0; i < kits.size(); i++)
                if (asked.radio.isEmpty() || kits.get(i).radio().id().equals(asked.radio))
                    named.put(letter(i), kits.get(i));
            Optional<Kit> own = search.chosen(open, answer);
            chosen = own.map(k -> named.entrySet().stream()
                    .filter(e -> same(e.getValue(), k))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse(CHOSEN));
            own.filter(k -> chosen.get().equals(CHOSEN)
                            && (asked.radio.isEmpty() || k.radio().id().equals(asked.radio)))
                    .ifPresent(k -> named.put(CHOSEN, k));
            shown = side();
            lacking = hopeless() ? search.lacking(answer) : List.of();
        }

        /** No kit, whatever is given up. */
        private boolean hopeless() {
            return answer.complete()
                    && answer.matched().kits().isEmpty()
                    && answer.matched().giveUp().isEmpty();
        }

        private List<Gap> gaps() {
            Map<String, List<String>> radios = new LinkedHashMap<>();
            for (Lacking l : lacking)
                radios.computeIfAbsent(
                                l.things().stream()
                                        .map(t -> "No " + t.words() + ".")
                                        .collect(Collectors.joining(" ")),
                                k -> new ArrayList<>())
                        .add(l.radio().device().name());
            return radios.entrySet().stream()
                    .limit(MOST_GAPS)
                    .map(e -> new Gap(String.join(", ", e.getValue()), e.getKey()))
                    .toList();
        }

        private static boolean same(Kit a, Kit b) {
            return a.radio().id().equals(b.radio().id()) && ids(a).equals(ids(b));
        }

        private static Set<String> ids(Kit kit) {
            return kit.parts().stream().map(Sheet::id).collect(Collectors.toSet());
        }

        /** The kits asked for; else the chosen one, the one that loses least, the cheapest and the quickest. */
        private List<String> side() {
            List<String> wanted = asked.kits.stream()
                    .filter(named::containsKey)
                    .distinct()
                    .limit(MOST_SIDE_BY_SIDE)
                    .toList();
            if (!wanted.isEmpty()) return wanted;
            Set<String> usual = new LinkedHashSet<>();
            chosen.filter(named::containsKey).ifPresent(usual::add);
            named.keySet().stream().findFirst().ifPresent(usual::add);
            // the cheapest of all often only switches on: the cheapest that loses little more says more
            int least = named.values().stream().mapToInt(Kit::loss).min().orElse(0);
            List<Comparator<Map.Entry<String, Kit>>> orders = List.of(
                    Comparator.comparingLong(e -> e.getValue().cost().cents()),
                    Comparator.comparingInt(e -> e.getValue().cost().minutes()));
            for (Comparator<Map.Entry<String, Kit>> order : orders)
                named.entrySet().stream()
                        .filter(e -> e.getValue().loss() <= 2 * least + 6 && !usual.contains(e.getKey()))
                        .min(order)
                        .map(Map.Entry::getKey)
                        .ifPresent(usual::add);
            return usual.stream().limit(SIDE_BY_SIDE).toList();
        }

        MatchView make(Frame frame) {
            List<String> first = asked.all
                    ? List.copyOf(named.keySet())
                    : Stream.concat(named.keySet().stream().limit(FIRST), chosen.filter(named::containsKey).stream())
                            .distinct()
                            .toList();
            Optional<MatchView.Progress> progress =
                    answer.complete() ? Optional.empty() : Optional.of(MatchView.Progress.of(answer));
            String margin = answer.matched().slack() == 0
                    ? atLeads()
                    : "The list was thinned: a kit that is not shown is at most %s quicker than one that is, no cheaper and no better otherwise."
                                    .formatted(Words.minutes(answer.matched().slack()))
                            + " "
                            + atLeads();
            List<RadioChoice> radios = answer.matched().kits().stream()
                    .map(Kit::radio)
                    .map(r -> new RadioChoice(r.id(), r.device().name()))
                    .distinct()
                    .sorted(Comparator.comparing(RadioChoice::name))
                    .toList();
            List<Way> ways = answer.matched().giveUp().stream().map(this::way).toList();
            return new MatchView(
                    frame,
                    heading(),
                    verdict(),
                    progress,
                    margin,
                    open.text(new Entry.BudgetSet()),
                    radios,
                    asked.radio,
                    named.isEmpty() ? Optional.empty() : Optional.of(plot()),
                    columns(),
                    groups(),
                    first.stream().map(l -> line(l, named.get(l))).toList(),
                    named.size() - first.size(),
                    ways,
                    gaps(),
                    lacking.stream()
                            .filter(l -> !l.radio().screen())
                            .flatMap(l -> l.things().stream())
                            .flatMap(t -> t.need().stream())
                            .distinct()
                            .map(n -> KitDecisionsView.ways(open, n))
                            .toList(),
                    KitDecisionsView.decided(open),
                    KitDecisionsView.also(open, answer.counter().parts()),
                    true,
                    String.join(",", shown),
                    page(asked.kits));
        }

        private String heading() {
            if (named.isEmpty() && !answer.complete()) return "Working the kits out";
            if (named.isEmpty())
                return !lacking.isEmpty()
                        ? "No whole kit: no " + lacking.get(0).things().get(0).words()
                        : hopeless() ? "No radio here fits this car" : "No kit meets all of it";
            Kit best = named.values().iterator().next();
            return chosen.filter(named::containsKey)
                    .map(c -> c.equals(CHOSEN)
                            ? "Your kit is chosen: %s, %s"
                                    .formatted(named.get(c).radio().device().name(), losses(named.get(c)))
                            : "Kit %s is chosen: %s, %s"
                                    .formatted(c, named.get(c).radio().device().name(), losses(named.get(c))))
                    .orElseGet(() -> "%s; the best, %s, %s"
                            .formatted(
                                    Words.sentence(Words.count(named.size(), "kit")),
                                    best.radio().device().name(),
                                    losses(best)));
        }

        private static String losses(Kit k) {
            return k.losses() == 0 ? "loses nothing" : "loses " + Words.count(k.losses(), "function");
        }

        private String verdict() {
            if (!lacking.isEmpty())
                return "Nothing here is a whole kit. What lacks is named below, radio by radio, the fewest things first; say how it is filled, and the kits are worked out.";
            List<CarFunction> stay = open.catalogue().functions().stream()
                    .filter(f -> open.mustStay(f.id()))
                    .toList();
            List<String> musts = names(stay);
            List<String> kept = names(stay.stream()
                    .filter(f -> named.values().stream()
                            .allMatch(k -> k.kinds().get(f.id()).works()))
                    .toList());
            List<String> doubtful =
                    musts.stream().filter(m -> !kept.contains(m)).toList();
            String must = musts.isEmpty()
                    ? "No wish is marked as a must."
                    : (kept.isEmpty() ? "" : "Every kit keeps what must stay: %s.".formatted(String.join(", ", kept)))
                            + (doubtful.isEmpty()
                                    ? ""
                                    : " Not every kit shown keeps %s.".formatted(String.join(", ", doubtful)));
            if (named.isEmpty() && hopeless())
                return "Why each one is out stands below. Enter another radio, and its kits are worked out.";
            if (named.isEmpty())
                return answer.complete()
                        ? (musts.isEmpty() ? "" : "Must stay: %s. ".formatted(String.join(", ", musts)))
                                + "Below is the least that would have to be given up."
                        : "The first ones appear here in a moment.";
            Map.Entry<String, Kit> cheapest = named.entrySet().stream()
                    .min(Comparator.comparingLong(e -> e.getValue().cost().cents()))
                    .orElseThrow();
            return "%s No other kit is cheaper, quicker or keeps more without being worse in something else. Cheapest: kit %s, %s."
                    .formatted(
                            must,
                            cheapest.getKey(),
                            Words.price(cheapest.getValue().cost()));
        }

        private static List<String> names(List<CarFunction> functions) {
            return functions.stream()
                    .map(f -> f.name().toLowerCase(Locale.ROOT))
                    .toList();
        }

        private String page(List<String> kits) {
            String query = Stream.of(
                            kits.isEmpty() ? "" : "kits=" + String.join(",", kits),
                            asked.radio.isEmpty() ? "" : "radio=" + asked.radio,
                            asked.all ? "all" : "")
                    .filter(s -> !s.isEmpty())
                    .collect(Collectors.joining("&"));
            return open.path(Station.MATCH) + (query.isEmpty() ? "" : "?" + query);
        }

        /**
         * Kits are compared by the minutes of their parts: joints are not a sum over parts. A kit that is not shown has
         * at least no joint, so it saves at most the most that a shown one has.
         */
        private String atLeads() {
            double most = shown.stream()
                    .map(named::get)
                    .mapToDouble(k -> labour(k).atLeads())
                    .max()
                    .orElse(0);
            return most < 1 ? "" : Say.it("labour.bound", Math.round(most));
        }

        private String toggled(String letter) {
            List<String> kits = new ArrayList<>(shown);
            if (!kits.remove(letter)) kits.add(letter);
            while (kits.size() > MOST_SIDE_BY_SIDE) kits.remove(0);
            return page(kits);
        }

        private PlotDrawing plot() {
            return PlotDrawing.of(named.entrySet().stream()
                    .map(e -> new PlotDrawing.Point(
                            e.getKey(),
                            "Kit %s: %s, %s"
                                    .formatted(
                                            e.getKey(), Words.price(e.getValue().cost()), losses(e.getValue())),
                            e.getValue().cost().cents() / 100.0,
                            e.getValue().loss(),
                            shown.contains(e.getKey()),
                            chosen.filter(e.getKey()::equals).isPresent(),
                            toggled(e.getKey())))
                    .toList());
        }

        private Line line(String letter, Kit kit) {
            return new Line(
                    letter,
                    kit.radio().device().name(),
                    difference(kit),
                    Words.price(kit.cost()),
                    Words.time(labour(kit).in(kit.cost())),
                    Words.days(kit.cost().days()),
                    kit.cost().cuts(),
                    kit.losses(),
                    shown.contains(letter),
                    chosen.filter(letter::equals).isPresent(),
                    toggled(letter));
        }

        /** The parts, or what is otherwise than in the first kit with the same radio. */
        private String difference(Kit kit) {
            Map.Entry<String, Kit> first = named.entrySet().stream()
                    .filter(e -> e.getValue().radio().id().equals(kit.radio().id()))
                    .findFirst()
                    .orElseThrow();
            List<Sheet.Part> more = kit.parts().stream()
                    .filter(p -> !first.getValue().has(p.id()))
                    .toList();
            List<Sheet.Part> less = first.getValue().parts().stream()
                    .filter(p -> !kit.has(p.id()))
                    .toList();
            if (first.getValue() == kit || more.size() + less.size() > MOST_DIFFERENCES)
                return kit.parts().stream().map(Sheet::name).collect(Collectors.joining(" · "));
            List<String> words = new ArrayList<>();
            for (Sheet.Part p : more) words.add("with %s".formatted(p.name()));
            for (Sheet.Part p : less)
                if (more.stream().noneMatch(m -> m.kind() == p.kind()))
                    words.add("without %s".formatted(p.kind().label()));
            return "as %s, %s".formatted(first.getKey(), String.join(", ", words));
        }

        private List<Column> columns() {
            return shown.stream()
                    .map(l -> {
                        Kit k = named.get(l);
                        List<String> rest =
                                shown.stream().filter(o -> !o.equals(l)).toList();
                        return new Column(
                                l,
                                k.radio().device().name(),
                                how(k),
                                k.radio().id(),
                                k.bought().stream().map(Sheet::id).collect(Collectors.joining(",")),
                                chosen.filter(l::equals).isPresent(),
                                answer.wishes().musts().stream()
                                        .allMatch(f -> k.kinds().get(f).works()),
                                remarks(k),
                                rest.isEmpty() ? "" : page(rest));
                    })
                    .toList();
        }

        /** What must stay and does not comes before everything that it costs. */
        private List<String> remarks(Kit k) {
            List<String> remarks = new ArrayList<>();
            List<String> lost = names(open.catalogue().functions().stream()
                    .filter(f -> open.mustStay(f.id()) && !k.kinds().get(f.id()).works())
                    .toList());
            if (!lost.isEmpty()) remarks.add("Loses what must stay: %s.".formatted(String.join(", ", lost)));
            remarks.addAll(k.remarks(open.vehicle().orElseThrow()));
            return remarks;
        }

        /** What has to be set for a function to work, in words: "once selector is 7". */
        private String once(Kit kit, FunctionId f) {
            Map<SettingId, String> set =
                    settings.computeIfAbsent(kit, k -> search.settings(answer, k, open.catalogue()));
            if (set.isEmpty() || !kit.kinds().get(f).works()) return "";
            return outcome(kit, f).once().stream()
                    .filter(set::containsKey)
                    .map(id -> "%s is %s".formatted(id.setting(), set.get(id)))
                    .collect(Collectors.joining(" and "));
        }

        private Labour labour(Kit kit) {
            return search.labour(open, answer, kit);
        }

        private Outcome outcome(Kit kit, FunctionId f) {
            return reasons.computeIfAbsent(kit, k -> search.outcomes(answer, k)).get(f);
        }

        private List<Group> groups() {
            if (shown.isEmpty()) return List.of();
            List<Kit> kits = shown.stream().map(named::get).toList();
            return List.of(costs(kits), functions(kits), alike(kits), parts(kits));
        }

        private Group costs(List<Kit> kits) {
            Market market = answer.market();
            List<Row> rows = new ArrayList<>();
            rows.add(new Row(
                    "Price, tax included",
                    figures(kits, k -> k.cost().cents(), k -> Words.price(k.cost()), k -> Stream.concat(
                                    Stream.of(new Goods.Item(
                                            k.radio().device().name(), Words.price(market.cents(k.radio())), "")),
                                    k.parts().stream()
                                            .map(p -> new Goods.Item(p.name(), Words.price(market.cents(p)), "")))
                            .toList())));
            rows.add(new Row(
                    "Labour",
                    figures(
                            kits,
                            k -> labour(k).minutes(),
                            k -> Words.time(labour(k).in(k.cost())),
                            k -> labour(k).lines().stream()
                                    .map(l -> new Goods.Item(LabourWords.what(l), "", LabourWords.minutes(l)))
                                    .toList())));
            rows.add(new Row(
                    "Waiting",
                    figures(kits, k -> k.cost().days(), k -> Words.days(k.cost().days()), k -> Stream.<Sheet>concat(
                                    Stream.of(k.radio()), k.parts().stream())
                            .filter(s -> market.days(s) > 0)
                            .map(s -> new Goods.Item(s.name(), "", Words.days(market.days(s))))
                            .toList())));
            rows.add(new Row(
                    "Cuts to the car",
                    figures(
                            kits,
                            k -> k.cost().cuts(),
                            k -> k.cost().cuts() == 0
                                    ? "none"
                                    : String.valueOf(k.cost().cuts()),
                            k -> k.parts().stream()
                                    .filter(p -> p.cuts() > 0)
                                    .map(p -> new Goods.Item(p.name(), "", String.valueOf(p.cuts())))
                                    .toList())));
            return new Group("What it costs", rows, "");
        }

        private static List<Cell> figures(
                List<Kit> kits,
                ToLongFunction<Kit> value,
                java.util.function.Function<Kit, String> text,
                java.util.function.Function<Kit, List<Goods.Item>> sum) {
            long least = kits.stream().mapToLong(value).min().orElse(0);
            boolean differ = kits.stream().mapToLong(value).distinct().count() > 1;
            return kits.stream()
                    .map(k -> new Cell(
                            text.apply(k),
                            differ && value.applyAsLong(k) == least ? "best" : "",
                            sum.apply(k),
                            "",
                            false,
                            ""))
                    .toList();
        }

        private Group functions(List<Kit> kits) {
            List<FunctionId> differing = open.catalogue().functions().stream()
                    .map(CarFunction::id)
                    .filter(f ->
                            kits.stream().map(k -> k.kinds().get(f)).distinct().count() > 1)
                    .sorted(Comparator.comparing((FunctionId f) -> !open.mustStay(f))
                            .thenComparing(f -> !open.had().contains(f)))
                    .toList();
            List<Row> rows = together(differing.stream()
                    .map(f -> new Row(
                            open.functionName(f),
                            kits.stream().map(k -> cell(k, f)).toList()))
                    .toList());
            return new Group(
                    "What differs",
                    rows,
                    rows.isEmpty() ? kits.size() == 1 ? "" : "They keep, lose and gain the same." : "");
        }

        /**
         * "Steering button: next" and "Steering button: previous" that fare alike make one line; the first one's
         * reasons stand for them.
         */
        private static List<Row> together(List<Row> rows) {
            Map<String, Row> lines = new LinkedHashMap<>();
            for (Row r : rows) {
                int colon = r.label.indexOf(": ");
                String key = (colon < 0 ? r.label : r.label.substring(0, colon))
                        + r.cells.stream().map(Cell::text).toList();
                lines.merge(key, r, (a, b) -> new Row(a.label + ", " + b.label.substring(colon + 2), a.cells));
            }
            return List.copyOf(lines.values());
        }

        private Cell cell(Kit kit, FunctionId f) {
            Kind kind = kit.kinds().get(f);
            String text =
                    switch (kind) {
                        case KEPT -> "kept";
                        case CHANGED -> "changed";
                        case LOST -> "lost";
                        case GAINED -> "gained";
                        case UNKNOWN -> "not known";
                        case ABSENT -> "—";
                    };
            String mark = kind == Kind.ABSENT ? "" : kind.name().toLowerCase(Locale.ROOT);
            String once = once(kit, f);
            if (!once.isEmpty()) text += ", once " + once;
            if (kind == Kind.KEPT || kind == Kind.GAINED || kind == Kind.ABSENT)
                return new Cell(text, mark, List.of(), "", false, "");
            return new Cell(text, mark, List.of(), why(outcome(kit, f)), kind == Kind.LOST && open.mustStay(f), "");
        }

        private static String why(Outcome outcome) {
            if (outcome instanceof Outcome.Lost lost)
                return lost.at().why()
                        + lost.at()
                                .need()
                                .map(n -> " Would be mended by " + n.text() + ".")
                                .orElse("");
            if (outcome instanceof Outcome.Changed changed)
                return Words.sentence(String.join(", ", changed.how())) + ".";
            return outcome instanceof Outcome.Unknown unknown
                    ? "Nobody states %s."
                            .formatted(unknown.fields().stream()
                                    .map(Object::toString)
                                    .collect(Collectors.joining(", ")))
                    : "";
        }

        /** What is the same in every kit: losses by name with their reasons, the rest counted. */
        private Group alike(List<Kit> kits) {
            List<FunctionId> same = open.catalogue().functions().stream()
                    .map(CarFunction::id)
                    .filter(f ->
                            kits.stream().map(k -> k.kinds().get(f)).distinct().count() == 1)
                    .toList();
            Kit first = kits.get(0);
            List<Row> lost = together(same.stream()
                    .filter(f -> first.kinds().get(f) == Kind.LOST
                            || first.kinds().get(f) == Kind.CHANGED
                            || first.kinds().get(f) == Kind.UNKNOWN
                            || kits.stream().anyMatch(k -> !once(k, f).isEmpty()))
                    .map(f -> new Row(
                            open.functionName(f),
                            kits.stream().map(k -> cell(k, f)).toList()))
                    .toList());
            List<String> gained = same.stream()
                    .filter(f -> first.kinds().get(f) == Kind.GAINED)
                    .map(f -> Words.small(open.functionName(f)))
                    .toList();
            long kept =
                    same.stream().filter(f -> first.kinds().get(f) == Kind.KEPT).count();
            return new Group(
                    kits.size() == 1 ? "Kept, lost, gained" : "Alike in all",
                    lost,
                    Words.sentence(Words.count((int) kept, "function")) + " kept"
                            + (gained.isEmpty() ? "." : ". Gained: %s.".formatted(String.join(", ", gained))));
        }

        private Group parts(List<Kit> kits) {
            List<Row> rows = Arrays.stream(PartKind.values())
                    .filter(kind ->
                            kits.stream().anyMatch(k -> k.parts().stream().anyMatch(p -> p.kind() == kind)))
                    .map(kind -> new Row(
                            Words.sentence(kind.label()),
                            kits.stream().map(k -> parts(k, kind)).toList()))
                    .toList();
            return new Group("Parts", rows, "");
        }

        private Cell parts(Kit kit, PartKind kind) {
            List<Sheet.Part> here =
                    kit.parts().stream().filter(p -> p.kind() == kind).toList();
            if (here.isEmpty()) return Cell.plain("—");
            String letter = named.entrySet().stream()
                    .filter(e -> e.getValue() == kit)
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElseThrow();
            String names = here.stream()
                    .map(p -> p.name()
                            + (answer.market().days(p) > 0
                                    ? " (in %s)"
                                            .formatted(
                                                    Words.days(answer.market().days(p)))
                                    : ""))
                    .collect(Collectors.joining(" · "));
            return new Cell(
                    names,
                    "",
                    List.of(),
                    "",
                    false,
                    open.path(Station.MATCH) + "/instead?kit=" + letter + "&part="
                            + here.get(0).id());
        }

        private Way way(GiveUp g) {
            List<String> names = new ArrayList<>(g.musts().stream()
                    .map(f -> Words.small(open.functionName(f)))
                    .toList());
            if (g.budget()) names.add("the budget of %s".formatted(open.text(new Entry.BudgetSet())));
            Kit k = g.kit();
            return new Way(
                    Words.sentence(String.join(" and ", names)),
                    "then %s at %s, %s".formatted(k.radio().device().name(), Words.price(k.cost()), losses(k)));
        }
    }

    /** The three ways in which a radio is replaced (common practice). */
    static String how(Kit kit) {
        if (kit.radio().screen()) return "a screen; the factory radio stays";
        return kit.parts().stream().anyMatch(p -> p.kind() == PartKind.DATA_MODULE)
                ? "replacement with data module"
                : "plain replacement";
    }

    /** The letters in "A,C,AB". */
    static List<String> letters(String kits) {
        return kits.isBlank() ? List.of() : List.of(kits.split(","));
    }

    /** A, B, … Z, AA, AB, … */
    static String letter(int index) {
        return (index < 26 ? "" : letter(index / 26 - 1)) + (char) ('A' + index % 26);
    }
}
