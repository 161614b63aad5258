package velvetbezel.web;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import org.jooq.DSLContext;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import velvetbezel.store.Board;
import velvetbezel.store.DashRecords;
import velvetbezel.store.Devices;
import velvetbezel.store.FaultsFound;
import velvetbezel.store.Imports;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.store.Photos;
import velvetbezel.store.Shelves;
import velvetbezel.store.Suppliers;
import velvetbezel.web.demo.DemoWeek;
import velvetbezel.web.demo.DemoWorkshop;
import velvetbezel.web.shell.Today;

/** Starts the application; its surroundings come from the environment (see application.properties). */
@SpringBootApplication
public class Application {
    public static void main(String[] args) {
        SpringApplication.run(Application.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    Library library(DSLContext db) {
        return new Library(db);
    }

    @Bean
    Jobs jobs(DSLContext db, Clock clock) {
        return new Jobs(db, clock);
    }

    @Bean
    Board board(DSLContext db) {
        return new Board(db);
    }

    @Bean
    FaultsFound faultsFound(DSLContext db) {
        return new FaultsFound(db);
    }

    @Bean
    Shelves shelves(DSLContext db) {
        return new Shelves(db);
    }

    @Bean
    Suppliers suppliers(DSLContext db) {
        return new Suppliers(db);
    }

    @Bean
    Imports intakes(DSLContext db, Clock clock) {
        return new Imports(db, clock);
    }

    @Bean
    Devices devices(DSLContext db, Clock clock) {
        return new Devices(db, clock);
    }

    @Bean
    DashRecords dashRecords(DSLContext db) {
        return new DashRecords(db);
    }

    @Bean
    Photos photos(DSLContext db) {
        return new Photos(db);
    }

    @Bean
    JobArchive archive(Jobs jobs, Library library, Photos photos) {
        return new JobArchive(jobs, library, photos);
    }

    /**
     * Puts the stored data in order, and loads the demo once into an empty workshop, before the first page is served.
     */
    @Bean
    SmartInitializingSingleton demo(
            @Value("${vb.demo}") String folder,
            Library library,
            Jobs jobs,
            Shelves shelves,
            Imports intakes,
            DemoWeek week,
            Clock clock) {
        return () -> {
            shelves.relist();
            intakes.endOrphans();
            if (folder.isEmpty() || !jobs.empty() || !library.radios().isEmpty()) return;
            LocalDate today = Today.at(clock);
            new DemoWorkshop(Path.of(folder), library, jobs, intakes, today).load();
            week.load();
        };
    }
}
