package velvetbezel.web;

import java.nio.file.Path;
import java.time.Clock;
import org.jooq.DSLContext;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;

/** Starts the application; its surroundings come from the environment (see application.properties). */
@SpringBootApplication
public class Application {
    public static void main(String[] args) { SpringApplication.run(Application.class, args); }

    @Bean Clock clock() { return Clock.systemUTC(); }

    @Bean Library library(DSLContext db) { return new Library(db); }

    @Bean Jobs jobs(DSLContext db, Clock clock) { return new Jobs(db, clock); }

    @Bean JobArchive archive(Jobs jobs, Library library) { return new JobArchive(jobs, library); }

    /** Loads the demo once, into an empty workshop, before the first page is served. */
    @Bean SmartInitializingSingleton demo(@Value("${vb.demo}") String folder, Library library, Jobs jobs) {
        return () -> {
            if (!folder.isEmpty() && jobs.empty() && library.radios().isEmpty()) new Demo(Path.of(folder), library, jobs).load();
        };
    }
}
