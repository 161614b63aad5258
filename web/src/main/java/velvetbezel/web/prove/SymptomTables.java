package velvetbezel.web.prove;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.job.Design;
import velvetbezel.prove.Check;
import velvetbezel.store.FaultsFound;

/** What every fault of a kit would show, worked out beside the pages, one kit after the other. */
@Service
class SymptomTables implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(SymptomTables.class);
    private static final int KEPT = 6;

    private final ExecutorService bench = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "faults");
        t.setDaemon(true);
        t.setPriority(Thread.MIN_PRIORITY);
        return t;
    });
    /** By the very design: a kit that is built anew is another. */
    private final Cache<Design, Work> works =
            Caffeine.newBuilder().weakKeys().maximumSize(KEPT).build();

    private final FaultsFound faults;
    private volatile boolean ended;

    SymptomTables(FaultsFound faults) {
        this.faults = faults;
    }

    /** How far it is. */
    static final class Work {
        private final AtomicInteger done = new AtomicInteger();
        private volatile Optional<SymptomTable> table = Optional.empty();
        private volatile boolean whole;
        private volatile boolean failed;

        /** Empty while it is being worked out; of the likeliest faults alone until it is whole. */
        Optional<SymptomTable> table() {
            return table;
        }

        boolean whole() {
            return whole;
        }

        /** Faults run so far. */
        int done() {
            return done.get();
        }

        boolean failed() {
            return failed;
        }
    }

    Work of(Design design) {
        return works.get(design, d -> {
            Work work = new Work();
            bench.submit(() -> run(d, work));
            return work;
        });
    }

    private void run(Design design, Work work) {
        try {
            SymptomTable whole = SymptomTable.of(
                    design.installation(),
                    design.plan().checks().stream()
                            .filter(c -> c.outcome().works())
                            .map(Check::function)
                            .toList(),
                    faults.rates(),
                    n -> work.done.updateAndGet(m -> Math.max(m, n)),
                    early -> work.table = Optional.of(early),
                    () -> ended);
            work.table = Optional.of(whole);
            work.whole = true;
        } catch (RuntimeException e) {
            LOG.error("What the faults of a kit would show was not worked out", e);
            work.failed = true;
        }
    }

    @Override
    public void destroy() {
        ended = true;
        bench.shutdownNow();
    }
}
