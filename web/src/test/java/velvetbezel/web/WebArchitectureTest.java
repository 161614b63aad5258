package velvetbezel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Every station is its own room: it knows the job and the shell, and no other station. */
class WebArchitectureTest {
    private static final String[] STATIONS = {
        "board",
        "arrive",
        "match",
        "fit",
        "open",
        "wire",
        "controls",
        "prove",
        "handover",
        "detective",
        "practice",
        "library",
        "workshop",
        "devices"
    };
    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("velvetbezel.web");

    /** jOOQ's types stay in the store, but for the handle that Spring makes. */
    @Test
    void pagesDoNotKnowTheDatabase() {
        noClasses()
                .that()
                .resideInAPackage("velvetbezel.web.*..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.jooq..", "java.sql..", "velvetbezel.store.rows..")
                .check(WEB);
    }

    @Test
    void noStationKnowsAnother() {
        for (String one : STATIONS)
            for (String other : STATIONS)
                if (!one.equals(other))
                    noClasses()
                            .that()
                            .resideInAPackage("velvetbezel.web." + one + "..")
                            .should()
                            .dependOnClassesThat()
                            .resideInAPackage("velvetbezel.web." + other + "..")
                            .allowEmptyShould(true)
                            .check(WEB);
    }

    @Test
    void shellKnowsNoJobAndTheJobNoStation() {
        String[] stations = new String[STATIONS.length];
        for (int i = 0; i < stations.length; i++) stations[i] = "velvetbezel.web." + STATIONS[i] + "..";
        noClasses()
                .that()
                .resideInAPackage("velvetbezel.web.shell..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("velvetbezel.web.job..")
                .check(WEB);
        noClasses()
                .that()
                .resideInAnyPackage("velvetbezel.web.shell..", "velvetbezel.web.job..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(stations)
                .check(WEB);
    }

    @Test
    void packagesFormNoCycle() {
        slices().matching("velvetbezel.web.(*)..").should().beFreeOfCycles().check(WEB);
        noClasses()
                .that()
                .resideInAPackage("velvetbezel.web.*..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("velvetbezel.web")
                .check(WEB);
    }
}
