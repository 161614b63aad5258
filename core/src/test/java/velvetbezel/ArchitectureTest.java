package velvetbezel;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Each package of the core uses only those above it, and none knows a framework, files, the clock or chance. */
class ArchitectureTest {
    private static final List<String> ORDER = List.of(
            "units",
            "state",
            "sheet",
            "draft",
            "harness",
            "circuit",
            "run",
            "function",
            "worksheet",
            "fit",
            "controls",
            "strip",
            "match",
            "prove",
            "diagnose",
            "identify",
            "job");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("velvetbezel");

    @Test
    void packagesUseOnlyThoseAboveThem() {
        for (int i = 0; i < ORDER.size(); i++)
            for (String below : ORDER.subList(i + 1, ORDER.size()))
                noClasses()
                        .that()
                        .resideInAPackage("velvetbezel." + ORDER.get(i))
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage("velvetbezel." + below)
                        .check(CORE);
    }

    @Test
    void coreKnowsNoFrameworkNorTheWorldOutside() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "org.jooq..",
                        "java.sql..",
                        "tools.jackson..",
                        "jakarta..",
                        "java.net..",
                        "java.io..",
                        "java.nio..",
                        "org.thymeleaf..")
                .check(CORE);
        noClasses()
                .should()
                .dependOnClassesThat()
                .belongToAnyOf(Random.class, Clock.class, Instant.class)
                .check(CORE);
        // a day that somebody said is a value; today is asked of a clock
        noClasses().should().callMethod(LocalDate.class, "now").check(CORE);
    }
}
