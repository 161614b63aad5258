package velvetbezel.web.job;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import velvetbezel.job.Entry;
import velvetbezel.store.Board;

/** Works out before somebody waits: what the board lacks and the kits of the next jobs at the start, those of a car when it is chosen. */
@Component
public class KitWarmUp implements ApplicationRunner, DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(KitWarmUp.class);
    private static final int SECONDS_TO_END = 10;
    /** So many jobs are in hand in a week. */
    private static final int MOST_AT_START = 20;

    private final Board board;
    private final Summaries summaries;
    private final JobOpener opener;
    private final KitSearch search;
    private final ExecutorService alone = Executors.newSingleThreadExecutor();

    KitWarmUp(Board board, Summaries summaries, JobOpener opener, KitSearch search) {
        this.board = board;
        this.summaries = summaries;
        this.opener = opener;
        this.search = search;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        alone.submit(() -> board.outdated().forEach(summaries::keep));
        board.nextOpen(MOST_AT_START).forEach(this::soon);
    }

    public void soon(int number) {
        alone.submit(() -> warm(number));
    }

    private void warm(int number) {
        try {
            OpenJob open = opener.open(number);
            if (open.vehicle().isPresent() && !open.has(new Entry.HandedOver())) search.allKits(open);
        } catch (RuntimeException e) {
            LOG.error("The kits of job {} were not worked out beforehand; its page will do it", number, e);
        }
    }

    @Override
    public void destroy() throws InterruptedException {
        alone.shutdownNow();
        alone.awaitTermination(SECONDS_TO_END, TimeUnit.SECONDS);
    }
}
