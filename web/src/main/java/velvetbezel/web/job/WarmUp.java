package velvetbezel.web.job;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import velvetbezel.job.Entry;
import velvetbezel.store.Job;
import velvetbezel.store.Jobs;

/** Works kits out before somebody waits for them: of the open jobs at the start, of a car when it is chosen. */
@Component
class WarmUp implements ApplicationRunner, DisposableBean {
    private static final int SECONDS_TO_END = 10;
    private final Jobs jobs;
    private final Desk desk;
    private final Matching matching;
    private final ExecutorService alone = Executors.newSingleThreadExecutor();

    WarmUp(Jobs jobs, Desk desk, Matching matching) {
        this.jobs = jobs;
        this.desk = desk;
        this.matching = matching;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        for (Job job : jobs.list()) soon(job.number());
    }

    void soon(int number) {
        alone.submit(() -> warm(number));
    }

    private void warm(int number) {
        OpenJob open = desk.open(number);
        if (open.vehicle().isPresent() && !open.has(new Entry.HandedOver())) matching.allKits(open);
    }

    @Override
    public void destroy() throws InterruptedException {
        alone.shutdownNow();
        alone.awaitTermination(SECONDS_TO_END, TimeUnit.SECONDS);
    }
}
