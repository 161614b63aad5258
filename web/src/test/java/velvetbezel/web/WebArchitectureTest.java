package velvetbezel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** jOOQ's types stay in the store, but for the handle that Spring makes. */
class WebArchitectureTest {
    @Test
    void pagesDoNotKnowTheDatabase() {
        noClasses()
                .that()
                .resideInAnyPackage("velvetbezel.web.job..", "velvetbezel.web.library..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.jooq..", "java.sql..", "velvetbezel.store.rows..")
                .check(new ClassFileImporter()
                        .withImportOption(new ImportOption.DoNotIncludeTests())
                        .importPackages("velvetbezel.web"));
    }
}
