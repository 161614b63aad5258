package velvetbezel.web.prove;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.diagnose.Advice;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Explanation;
import velvetbezel.diagnose.Fault;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.RepairPoint;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.job.Entry;
import velvetbezel.prove.Result;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.job.SymptomWords;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Finding what is wrong: the one next thing to do, then what is likely.
 *
 * @param working how many faults have been run; empty where all are
 * @param ask     the one next thing; empty where there is nothing to do
 * @param rest    what else has a share
 * @param silent  faults that nothing here would show
 */
record FindView(
        Frame frame,
        String heading,
        String verdict,
        Optional<Integer> working,
        Optional<Ask> ask,
        List<Likely> likely,
        String rest,
        List<Seen> seen,
        String silent) {
    private static final int MOST_ANSWERS = 8;
    private static final int MOST_ALIKE = 3;
    private static final int MOST_CHAINS = 2;
    private static final double LIKELY = 0.5;
    private static final double POSSIBLE = 0.1;
    /** A finding less likely than this is no button of its own. */
    private static final double SAID = 0.01;

    /**
     * @param how      what to do
     * @param answers  as buttons
     * @param probe    field of a reading; empty for anything else
     * @param place    name of the place that is looked at; empty for anything else
     * @param shown    what the page shows of the design, for each field
     */
    record Ask(
            String title,
            String how,
            String why,
            List<Answer> answers,
            String probe,
            String place,
            Map<String, String> shown) {}

    /** @param next whether it is the expected one */
    record Answer(String field, String value, String words, boolean next) {}

    /**
     * @param alike what no test here tells from it
     * @param chain from the fault to what is seen; of the likeliest only
     */
    record Likely(
            String words, String share, String kind, List<String> chain, List<String> alike, List<String> against) {}

    /** Something that was said, which can be taken back. @param field empty where it cannot be here */
    record Seen(String what, String said, String field) {}

    static FindView of(OpenJob open, SymptomTables tables, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.PROVE, trouble);
        if (open.design().isEmpty()) return plain(frame, Say.it("find.no.kit"), Say.it("find.no.kit.verdict"));
        SymptomTables.Work work = tables.of(open.design().get());
        if (work.failed()) return plain(frame, Say.it("find.failed"), Say.it("find.failed.verdict"));
        if (work.table().isEmpty())
            return new FindView(
                    frame,
                    Say.it("find.working"),
                    Say.it("find.working.verdict"),
                    Optional.of(work.done()),
                    Optional.empty(),
                    List.of(),
                    "",
                    List.of(),
                    "");
        return new Shown(open, frame, new Search(open, work.table().get())).view();
    }

    private static FindView plain(Frame frame, String heading, String verdict) {
        return new FindView(frame, heading, verdict, Optional.empty(), Optional.empty(), List.of(), "", List.of(), "");
    }

    /** Puts one search into words. */
    private static final class Shown {
        private final OpenJob open;
        private final Frame frame;
        private final Search search;
        private final SymptomTable table;
        private final SymptomWords words;

        Shown(OpenJob open, Frame frame, Search search) {
            this.open = open;
            this.frame = frame;
            this.search = search;
            this.table = search.table();
            this.words = new SymptomWords(open.design().orElseThrow().installation());
        }

        FindView view() {
            if (search.wrong().isEmpty())
                return new FindView(
                        frame,
                        Say.it("find.nothing"),
                        Say.it("find.nothing.verdict"),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(),
                        "",
                        seen(),
                        silent());
            Diagnosis d = search.diagnosis();
            Optional<OpenJob.Tried> unsaid = search.unsaid().stream().findFirst();
            Optional<Ask> ask = unsaid.map(t -> symptom(t.check().function()))
                    .or(() -> d.next().flatMap(this::ask));
            return new FindView(
                    frame,
                    ask.map(Ask::title).orElse(Say.it("find.none.fits")),
                    ask.map(Ask::why).orElse(Say.it("find.none.fits.verdict")),
                    Optional.empty(),
                    ask,
                    IntStream.range(0, d.likeliest().size())
                            .mapToObj(i -> likely(d.likeliest().get(i), i == 0))
                            .toList(),
                    rest(d),
                    seen(),
                    silent());
        }

        private String rest(Diagnosis d) {
            List<String> rest = new ArrayList<>();
            if (d.others() > 0) rest.add(Say.it("find.others", d.others(), Words.percent(d.othersShare())));
            rest.add(Say.it("find.none", Words.percent(d.noneOfThese())));
            return String.join(" ", rest);
        }

        private String silent() {
            int n = table.silent().size();
            return n == 0 ? "" : Say.it("find.silent", n, table.rows().size());
        }

        // --- the next thing

        private Optional<Ask> ask(Advice advice) {
            if (advice instanceof Advice.LookAt l) return Optional.of(look(l.place(), l.belief()));
            if (!(advice instanceof Advice.Try t)) return Optional.empty();
            return Optional.of(
                    t.test() instanceof Trial.OfCheck c
                            ? check(function(c.function()), t.chances(), false)
                            : reading((Trial.OfReading) t.test(), t.chances()));
        }

        private CarFunction function(FunctionId id) {
            return open.catalogue().find(id).orElseThrow();
        }

        /** A check that is known not to be right is asked for its symptom. */
        private Ask symptom(CarFunction f) {
            return check(f, search.chances(new Trial.OfCheck(f.id())), true);
        }

        private Ask check(CarFunction f, List<Double> chances, boolean wrong) {
            Entry.ResultGiven result = new Entry.ResultGiven(f.id());
            Entry.SymptomSeen symptom = new Entry.SymptomSeen(f.id());
            List<Answer> answers = new ArrayList<>();
            if (!wrong) answers.add(new Answer(key(result), Result.RIGHT.name(), Say.it("find.right"), true));
            answers.addAll(symptoms(f, chances));
            answers.add(new Answer(key(symptom), Search.SOMETHING_ELSE, Say.it("find.something.else"), false));
            answers.add(new Answer(
                    key(result),
                    wrong ? Result.OPEN.name() : Result.COULD_NOT_TEST.name(),
                    Say.it(wrong ? "find.not.wrong" : "find.could.not"),
                    false));
            return new Ask(
                    Say.it(wrong ? "find.symptom" : "find.try", f.name()),
                    f.ask(),
                    Say.it(wrong ? "find.symptom.why" : "find.try.why"),
                    answers,
                    "",
                    "",
                    open.shown(Stream.of(result)));
        }

        /** What faults would show here, the likeliest first; two that sound the same are told apart by their step. */
        private List<Answer> symptoms(CarFunction f, List<Double> chances) {
            int i = table.indexOf(new Trial.OfCheck(f.id()));
            List<Finding> findings = table.findings().get(i);
            Map<String, Integer> by = new LinkedHashMap<>();
            IntStream.range(1, findings.size())
                    .boxed()
                    .sorted(Comparator.comparingDouble((Integer k) -> -chances.get(k)))
                    .filter(k -> chances.get(k) >= SAID)
                    .limit(MOST_ANSWERS)
                    .forEach(k -> by.merge(words.of(findings.get(k)), k, (a, b) -> a));
            return by.entrySet().stream()
                    .map(e -> new Answer(
                            key(new Entry.SymptomSeen(f.id())),
                            ((Finding.Symptom) findings.get(e.getValue())).key(),
                            e.getKey(),
                            false))
                    .toList();
        }

        private Ask reading(Trial.OfReading r, List<Double> chances) {
            Entry.ProbeRead entry = new Entry.ProbeRead(r.at(), r.in());
            int i = table.indexOf(r);
            List<Finding> findings = table.findings().get(i);
            List<Answer> answers = IntStream.range(0, findings.size())
                    .boxed()
                    .filter(k -> chances.get(k) >= SAID)
                    .sorted(Comparator.comparingDouble(k -> k == 0 ? -1 : low(findings.get(k))))
                    .map(k -> new Answer(key(entry), volts(findings.get(k)), words.of(findings.get(k)), k == 0))
                    .toList();
            return new Ask(
                    Say.it("find.measure", r.words()),
                    Say.it("find.measure.how", Say.it("find.state." + r.in())),
                    Say.it("find.measure.why", words.of(findings.get(0))),
                    answers,
                    key(entry),
                    "",
                    Map.of());
        }

        private static double low(Finding finding) {
            return finding instanceof Finding.Between b ? b.low().value() : 0;
        }

        /** The middle of a band stands for it. */
        private static String volts(Finding finding) {
            return finding instanceof Finding.Between b
                    ? "%.2f V".formatted((b.low().value() + b.high().value()) / 2)
                    : "0 V";
        }

        private Ask look(RepairPoint place, double belief) {
            return new Ask(
                    Say.it("find.look", place.words()),
                    Say.it("find.look." + place.kind()),
                    Say.it("find.look.why", Words.percent(belief), Words.minutes(place.cost())),
                    List.of(new Answer(
                            key(new Entry.PlaceLooked(place.name())),
                            "nothing wrong",
                            Say.it("find.nothing.there"),
                            false)),
                    "",
                    place.name(),
                    Map.of());
        }

        // --- what is likely, and what was said

        private Likely likely(Explanation e, boolean first) {
            List<String> alike = e.faults().stream()
                    .flatMap(f -> f.stream().skip(1))
                    .limit(MOST_ALIKE)
                    .map(Fault::words)
                    .toList();
            String all = Words.list(e.first().stream().map(Fault::words).toList());
            return new Likely(
                    Words.sentence(all),
                    Words.percent(e.share()),
                    Say.it(
                            e.share() > LIKELY
                                    ? "find.likely"
                                    : e.share() >= POSSIBLE ? "find.possible" : "find.unlikely"),
                    first ? chain(e) : List.of(),
                    alike,
                    e.contradicts().stream()
                            .flatMap(o -> said(o).stream())
                            .map(Seen::what)
                            .toList());
        }

        /** How the fault comes to be noticed, by running it. */
        private List<String> chain(Explanation e) {
            Installation healthy = open.design().orElseThrow().installation();
            Installation faulty = e.first().stream().reduce(healthy, (i, f) -> i.with(f.edits()), (a, b) -> b);
            List<CarFunction> wrong = search.wrong().stream()
                    .map(t -> t.check().function())
                    .limit(MOST_CHAINS)
                    .toList();
            return Outcomes.faulty(healthy, faulty, new Catalogue("wrong", wrong)).entrySet().stream()
                    .flatMap(o -> o.getValue() instanceof Outcome.Lost l
                            ? Stream.of(Say.it("find.chain", open.functionName(o.getKey()), l.at().why()))
                            : Stream.of())
                    .toList();
        }

        private List<Seen> seen() {
            return search.seen().stream().flatMap(o -> said(o).stream()).collect(Collectors.toList());
        }

        private Optional<Seen> said(Observation o) {
            if (o instanceof Observation.OfLook l)
                return Optional.of(new Seen(
                        Words.sentence(l.place().words()),
                        Say.it(
                                open.state()
                                                .says(
                                                        new Entry.PlaceLooked(
                                                                l.place().name()),
                                                        Entry.Look.MENDED)
                                        ? "find.mended"
                                        : "find.nothing.there"),
                        key(new Entry.PlaceLooked(l.place().name()))));
            if (!(o instanceof Observation.OfTest t)) return Optional.empty();
            if (t.test() instanceof Trial.OfReading r)
                return Optional.of(new Seen(
                        "%s, %s".formatted(r.words(), Say.it("find.state." + r.in())),
                        open.text(new Entry.ProbeRead(r.at(), r.in())) + " V"
                                + (t.finding() < 0 ? Say.it("find.nothing.predicts") : ""),
                        key(new Entry.ProbeRead(r.at(), r.in()))));
            FunctionId f = ((Trial.OfCheck) t.test()).function();
            return Optional.of(new Seen(open.functionName(f), found(t), key(new Entry.ResultGiven(f))));
        }

        private String found(Observation.OfTest t) {
            int i = table.indexOf(t.test());
            if (t.finding() >= 0 && i >= 0)
                return words.of(table.findings().get(i).get(t.finding()));
            return Say.it(t.finding() == Observation.NOT_RIGHT ? "find.not.right" : "find.something.else");
        }
    }
}
