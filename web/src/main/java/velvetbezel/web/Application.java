package velvetbezel.web;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.web.job.Desk;
import velvetbezel.web.job.Matching;

/** Starts the application; its surroundings come from the environment (see application.properties). */
@SpringBootApplication
public class Application {
    public static void main(String[] args) { SpringApplication.run(Application.class, args); }

    @Bean Clock clock() { return Clock.systemUTC(); }

    @Bean Library library(DSLContext db) { return new Library(db); }

    @Bean Jobs jobs(DSLContext db, Clock clock) { return new Jobs(db, clock); }

    @Bean JobArchive archive(Jobs jobs, Library library) { return new JobArchive(jobs, library); }

    /** Loads the demo once, into an empty workshop, before the first page is served. */
    @Bean SmartInitializingSingleton demo(Library library, Jobs jobs) {
        return () -> Optional.ofNullable(System.getenv("VB_DEMO")).or(() -> Optional.ofNullable(System.getProperty("vb.demo")))
            .filter(folder -> jobs.empty() && library.radios().isEmpty()).ifPresent(folder -> new Demo(Path.of(folder), library, jobs).load());
    }

    /** Works the kits of the open jobs out before somebody waits for them. */
    @Bean ApplicationRunner warm(Jobs jobs, Desk desk, Matching matching) {
        return arguments -> {
            Thread warm = new Thread(() -> jobs.list().stream().map(j -> desk.open(j.number())).filter(o -> o.vehicle().isPresent()).forEach(matching::kits), "kits of open jobs");
            warm.setDaemon(true);
            warm.start();
        };
    }
}
