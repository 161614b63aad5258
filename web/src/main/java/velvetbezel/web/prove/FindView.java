package velvetbezel.web.prove;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Explanation;
import velvetbezel.diagnose.Fault;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.job.Entry;
import velvetbezel.prove.Meter;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.job.SymptomWords;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Finding what is wrong: the one next thing to do, then what is likely.
 *
 * @param working how many faults have been run, the likeliest first; empty where all are
 * @param ask     the one next thing; empty where there is nothing to do
 * @param rest    what else has a share
 * @param doubted what the car's sheet may say wrongly
 * @param silent  faults that nothing here would show
 * @param worked  whether it is worked out what each fault shows
 * @param hidden  of a job for practice only
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
        List<String> doubted,
        String silent,
        boolean worked,
        Optional<Hidden> hidden) {
    /**
     * A fault that is hidden for practice.
     *
     * @param asks whether there is something to ask the car
     */
    record Hidden(String words, boolean asks) {}

    private static final int MOST_ALIKE = 3;
    private static final int MOST_CHAINS = 2;
    private static final double LIKELY = 0.5;
    private static final double POSSIBLE = 0.1;

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
        if (open.design().isEmpty())
            return plain(frame, Say.it("find.no.kit"), Say.it("find.no.kit.verdict"), Optional.empty());
        SymptomTables.Work work = tables.of(open.design().get());
        if (work.failed()) return plain(frame, Say.it("find.failed"), Say.it("find.failed.verdict"), Optional.empty());
        Optional<Integer> working = work.whole() ? Optional.empty() : Optional.of(work.done());
        return work.table()
                .map(t -> new Shown(open, frame, new Search(open, t), working).view())
                .orElseGet(() -> plain(frame, Say.it("find.working"), Say.it("find.working.verdict"), working));
    }

    /** A page without anything to say but why. */
    private static FindView plain(Frame frame, String heading, String verdict, Optional<Integer> working) {
        return new FindView(
                frame,
                heading,
                verdict,
                working,
                Optional.empty(),
                List.of(),
                "",
                List.of(),
                List.of(),
                "",
                false,
                Optional.empty());
    }

    /** Puts one search into words. */
    private static final class Shown {
        private final OpenJob open;
        private final Frame frame;
        private final Search search;
        private final SymptomTable table;
        private final SymptomWords words;
        /** Faults that were run, while the rarer ones still are. */
        private final Optional<Integer> working;

        Shown(OpenJob open, Frame frame, Search search, Optional<Integer> working) {
            this.working = working;
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
                        Say.it(found() ? "practice.found.heading" : "find.nothing"),
                        Say.it("find.nothing.verdict"),
                        working,
                        Optional.empty(),
                        List.of(),
                        "",
                        seen(),
                        List.of(),
                        silent(),
                        working.isEmpty(),
                        hidden(false));
            Diagnosis d = search.diagnosis();
            Optional<Ask> ask = new NextThing(open, search).of(d);
            return new FindView(
                    frame,
                    ask.map(Ask::title).orElse(Say.it("find.none.fits")),
                    ask.map(Ask::why).orElse(Say.it("find.none.fits.verdict")),
                    working,
                    ask,
                    IntStream.range(0, d.likeliest().size())
                            .mapToObj(i -> likely(d.likeliest().get(i), i == 0))
                            .toList(),
                    rest(d),
                    seen(),
                    d.doubted().stream()
                            .map(t -> Say.it("find.sheet.doubted", t.words(), Say.it("find.state." + t.in())))
                            .toList(),
                    silent(),
                    working.isEmpty(),
                    hidden(ask.isPresent()));
        }

        /** It hides its fault in the whole table. */
        private Optional<PracticeSearch> practice() {
            return working.isPresent() ? Optional.empty() : PracticeSearch.of(open, search);
        }

        private boolean found() {
            return practice().filter(PracticeSearch::mended).isPresent();
        }

        private Optional<Hidden> hidden(boolean asks) {
            return practice()
                    .map(p -> p.mended()
                            ? new Hidden(
                                    Say.it("practice.found", p.car().hidden().words()), false)
                            : new Hidden(Say.it("practice.hidden"), asks));
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
            // a place that was looked at twice is one line
            Set<Seen> seen = new LinkedHashSet<>();
            search.seen().forEach(o -> said(o).ifPresent(seen::add));
            search.measured().forEach((m, reading) -> {
                if (!reading.possible()) seen.add(reading(m, Say.it("find.not.possible")));
            });
            return List.copyOf(seen);
        }

        private Optional<Seen> said(Observation o) {
            if (o instanceof Observation.MeterProved)
                return Optional.of(
                        new Seen(Say.it("find.meter"), Say.it("find.meter.proved"), key(new Entry.MeterProved())));
            if (o instanceof Observation.OfLook l) return Optional.of(look(l));
            if (!(o instanceof Observation.OfTest t)) return Optional.empty();
            if (t.test() instanceof Trial.Measured m)
                return Optional.of(reading(m, t.finding() < 0 ? Say.it("find.nothing.predicts") : ""));
            if (t.test() instanceof Trial.OfSwap s)
                return Optional.of(new Seen(
                        Say.it("find.swapped", open.functionName(s.again()), s.words()),
                        found(t),
                        key(Search.entry(s))));
            FunctionId f = ((Trial.OfCheck) t.test()).function();
            return Optional.of(new Seen(open.functionName(f), found(t), key(new Entry.ResultGiven(f))));
        }

        private Seen look(Observation.OfLook l) {
            Entry.PlaceLooked entry = new Entry.PlaceLooked(l.place().name());
            boolean mended = open.state().says(entry, Entry.Look.MENDED);
            return new Seen(
                    Words.sentence(l.place().words()),
                    Say.it(mended ? "find.mended" : "find.nothing.there"),
                    key(entry));
        }

        private Seen reading(Trial.Measured m, String remark) {
            Entry<?> entry = Search.entry(m);
            String unit = m.meter() == Meter.VOLTS ? " V" : "";
            return new Seen(
                    "%s, %s".formatted(Words.sentence(m.words()), NextThing.state(m)),
                    open.text(entry) + unit + remark,
                    key(entry));
        }

        private String found(Observation.OfTest t) {
            int i = table.indexOf(t.test());
            if (t.finding() >= 0 && i >= 0)
                return words.of(table.findings().get(i).get(t.finding()));
            return Say.it(
                    switch (t.finding()) {
                        case Observation.NOT_RIGHT -> "find.not.right";
                        case Observation.SOMETIMES -> "find.sometimes";
                        default -> "find.something.else";
                    });
        }
    }
}
