package velvetbezel.web.job;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.ProposedSettings;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Entry;
import velvetbezel.match.Kit;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.Labour;
import velvetbezel.match.Lacking;
import velvetbezel.match.Market;
import velvetbezel.match.Matched;
import velvetbezel.match.Matcher;
import velvetbezel.match.RadioMatch;
import velvetbezel.match.Wishes;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Recent;

/**
 * The kits for a job's car: one radio after the other beside the pages, which show what there is so far. Kept for each
 * state of the sheets; losing it only costs time.
 */
@Service
public class KitSearch implements DisposableBean {
    private static final int KEPT = 12;
    private static final int KEPT_REASONS = 200;
    private static final int THREADS = 2;
    private static final int SECONDS_TO_END = 10;
    /** A page waits so long for kits that are being worked out, then shows what there is. */
    private static final long PATIENCE_MILLIS = 1200;

    private final Library library;
    private final Prices prices;
    private final ExecutorService bench = Executors.newFixedThreadPool(THREADS, r -> {
        Thread t = new Thread(r, "kits");
        t.setDaemon(true);
        return t;
    });
    private final Recent<String, Counter> counters = new Recent<>(KEPT);
    private final Recent<String, Work> works = new Recent<>(4 * KEPT);
    private final Recent<String, Map<FunctionId, Outcome>> reasons = new Recent<>(KEPT_REASONS);
    private final Recent<String, Labour> labours = new Recent<>(KEPT_REASONS);
    private final Recent<String, List<Matched.Out>> outs = new Recent<>(KEPT);

    /** A car with everything that could go into it. */
    public record Counter(
            Sheet.Vehicle vehicle,
            List<RadioMatch> radios,
            List<Sheet.Part> parts,
            KitDecisions decisions,
            Outcomes.Against against) {}

    /**
     * One question about it being answered, radio by radio.
     *
     * @param whole the best of all, and where there is no kit, what to give up; empty where it was stopped before
     */
    private record Work(
            List<CompletableFuture<RadioMatch.Found>> radios,
            CompletableFuture<Optional<Matched>> whole,
            AtomicBoolean stopped) {
        List<RadioMatch.Found> done() {
            return radios.stream()
                    .filter(CompletableFuture::isDone)
                    .map(CompletableFuture::join)
                    .filter(RadioMatch.Found::complete)
                    .toList();
        }
    }

    /**
     * What there is so far.
     *
     * @param done     radios that are worked out; @param all radios in all
     * @param complete nothing is left to work out
     * @param stopped  a person stopped it
     * @param key     names the car and the state of the sheets
     */
    public record Answer(
            Matched matched,
            Wishes wishes,
            Market market,
            int done,
            int all,
            boolean complete,
            boolean stopped,
            String key,
            Counter counter) {}

    KitSearch(Library library, Prices prices) {
        this.library = library;
        this.prices = prices;
    }

    /** A colour never changes what becomes of a function. */
    private static boolean decides(Entry<?> entry) {
        boolean colour = entry instanceof Entry.FactSettled f && f.fact().path().endsWith(".colour");
        return entry instanceof Entry.VehicleChosen || entry instanceof Entry.Rebuilds && !colour;
    }

    private String counterKey(OpenJob open) {
        return library.stamp(open.vehicle().orElseThrow())
                + open.state()
                        .entries()
                        .filter(KitSearch::decides)
                        .map(e -> e + "=" + JobCodec.text(open.state(), e))
                        .toList();
    }

    private Counter counter(OpenJob open, String key) {
        return counters.get(key, () -> {
            Sheet.Vehicle vehicle = open.vehicle().orElseThrow();
            Set<FunctionId> had = new HashSet<>(open.had());
            List<Sheet.Radio> all = library.radios();
            List<Sheet.Part> parts = library.candidates(vehicle, all);
            KitDecisions decisions = open.state().decisions();
            List<RadioMatch> radios =
                    RadioMatch.of(open.factory().orElseThrow(), vehicle, all, parts, open.catalogue(), had, decisions);
            return new Counter(
                    vehicle,
                    radios,
                    parts,
                    decisions,
                    new Outcomes.Against(open.factory().orElseThrow(), open.catalogue()));
        });
    }

    static Wishes wishes(OpenJob open) {
        Set<FunctionId> musts = new HashSet<>();
        Set<FunctionId> wanted = new HashSet<>();
        for (CarFunction f : open.catalogue().functions())
            if (open.mustStay(f.id())) musts.add(f.id());
            else if (open.wanted(f.id())) wanted.add(f.id());
        return new Wishes(musts, wanted, open.state().get(new Entry.BudgetSet()));
    }

    private Market market(OpenJob open, Counter counter) {
        return prices.of(
                open,
                Stream.concat(counter.parts.stream(), counter.radios.stream().map(RadioMatch::radio)));
    }

    /** The kits so far; the page waits a moment for those that are still being worked out. */
    public Answer kits(OpenJob open) {
        return answer(open, PATIENCE_MILLIS);
    }

    /** All of them, however long it takes; what was stopped is taken up again. */
    public Answer allKits(OpenJob open) {
        Answer answer = answer(open, Long.MAX_VALUE);
        if (answer.complete()) return answer;
        goOn(open);
        return answer(open, Long.MAX_VALUE);
    }

    private Answer answer(OpenJob open, long millis) {
        String key = counterKey(open);
        Counter counter = counter(open, key);
        Wishes wishes = wishes(open);
        Market market = market(open, counter);
        Work work = work(key, counter, wishes, market);
        Optional<Matched> whole = within(millis, work.whole);
        List<RadioMatch.Found> done = work.done();
        return new Answer(
                whole.orElseGet(() -> Matcher.best(done)),
                wishes,
                market,
                done.size(),
                work.radios.size(),
                whole.isPresent(),
                work.stopped.get(),
                key,
                counter);
    }

    /** What is there after a time at most; empty where it is not. */
    private static Optional<Matched> within(long millis, CompletableFuture<Optional<Matched>> whole) {
        try {
            return whole.copy()
                    .completeOnTimeout(Optional.empty(), millis, TimeUnit.MILLISECONDS)
                    .join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw e;
        }
    }

    private static String asked(String counter, Wishes wishes, Market market) {
        return counter + wishes + market;
    }

    private Work work(String key, Counter counter, Wishes wishes, Market market) {
        return works.get(asked(key, wishes, market), () -> {
            AtomicBoolean stopped = new AtomicBoolean();
            List<CompletableFuture<RadioMatch.Found>> radios = counter.radios.stream()
                    .map(r -> CompletableFuture.supplyAsync(() -> r.kits(wishes, market, stopped::get), bench))
                    .toList();
            return new Work(
                    radios,
                    CompletableFuture.allOf(radios.toArray(CompletableFuture[]::new))
                            .thenApplyAsync(
                                    all -> whole(
                                            counter,
                                            radios.stream()
                                                    .map(CompletableFuture::join)
                                                    .toList(),
                                            wishes,
                                            market,
                                            stopped),
                                    bench),
                    stopped);
        });
    }

    private static Optional<Matched> whole(
            Counter counter, List<RadioMatch.Found> all, Wishes wishes, Market market, AtomicBoolean stopped) {
        if (!all.stream().allMatch(RadioMatch.Found::complete)) return Optional.empty();
        return Matcher.whole(counter.radios, all, wishes, market, stopped::get);
    }

    /** Stops what is still being worked out for a job; what is there stays. */
    public void stop(OpenJob open) {
        String key = counterKey(open);
        Counter counter = counter(open, key);
        work(key, counter, wishes(open), market(open, counter)).stopped.set(true);
    }

    /** Takes up again what was stopped. */
    public void goOn(OpenJob open) {
        String key = counterKey(open);
        works.forget(asked(key, wishes(open), market(open, counter(open, key))));
    }

    /** What becomes of every function in one kit, with paths and reasons. */
    public Map<FunctionId, Outcome> outcomes(Answer answer, Kit kit) {
        Counter counter = answer.counter;
        return reasons.get(
                answer.key
                        + kit.radio().id()
                        + kit.parts().stream().map(Sheet::id).toList(),
                () -> {
                    synchronized (counter.against) {
                        return counter.against.outcomes(kit.build(counter.vehicle));
                    }
                });
    }

    /** Minutes of a whole job with a kit. */
    public Labour labour(OpenJob open, Answer answer, Kit kit) {
        return labours.get(
                answer.key
                        + open.ways()
                        + open.state().extras()
                        + open.state().openUpSchool()
                        + open.tables().minutes()
                        + open.tables().school()
                        + kit.radio().id()
                        + kit.parts().stream().map(Sheet::id).toList(),
                () -> JobLabour.of(open, kit));
    }

    /** What stands between the car and a kit, where there is none: radios with what they lack. */
    public List<Lacking> lacking(Answer answer) {
        Counter counter = answer.counter;
        return Matcher.lacking(
                counter.vehicle,
                counter.radios.stream().map(RadioMatch::radio).toList(),
                counter.parts,
                counter.decisions,
                answer.market);
    }

    /** What the rules of a kit propose to set otherwise than delivered. */
    public Map<SettingId, String> settings(Answer answer, Kit kit, Catalogue catalogue) {
        return ProposedSettings.of(kit.build(answer.counter.vehicle), catalogue.settingsInUse());
    }

    /** Why each sheet is in no kit that is in none. */
    public List<Matched.Out> out(OpenJob open) {
        Answer answer = allKits(open);
        Counter counter = answer.counter;
        return outs.get(
                asked(answer.key, answer.wishes, answer.market),
                () -> Matcher.out(
                        counter.vehicle,
                        counter.radios,
                        counter.parts,
                        open.catalogue(),
                        counter.decisions,
                        answer.wishes,
                        answer.market,
                        answer.matched.kits()));
    }

    /** What could stand in for a part of a kit. */
    public List<RadioMatch.Swap> swaps(Answer answer, Kit kit, Sheet.Part part) {
        return match(answer, kit.radio().id())
                .map(r -> r.swaps(kit, part, answer.wishes, answer.market))
                .orElse(List.of());
    }

    /** What could go into the places that a kit leaves empty. */
    public List<RadioMatch.Swap> additions(Answer answer, Kit kit) {
        return match(answer, kit.radio().id())
                .map(r -> r.additions(kit, answer.wishes, answer.market))
                .orElse(List.of());
    }

    private static Optional<RadioMatch> match(Answer answer, String radio) {
        return answer.counter.radios.stream()
                .filter(r -> r.radio().id().equals(radio))
                .findFirst();
    }

    /** The kit that was chosen, whether or not it is one of the best. */
    public Optional<Kit> chosen(OpenJob open, Answer answer) {
        return open.design().flatMap(d -> d.installation().recipe().radio().flatMap(r -> match(answer, r.id())
                .map(m -> m.of(
                        List.copyOf(d.installation().recipe().parts().values()),
                        d.kinds(),
                        answer.wishes,
                        answer.market))));
    }

    @Override
    public void destroy() throws InterruptedException {
        bench.shutdownNow();
        bench.awaitTermination(SECONDS_TO_END, TimeUnit.SECONDS);
    }
}
