package velvetbezel.drawing;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Drawing is plain Java on the core's results: no framework, no markup. */
class DrawingArchitectureTest {
    @Test
    void usesTheCoreAndTheLanguageOnly() {
        classes()
                .that()
                .resideInAPackage("velvetbezel.drawing")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java.lang..", "java.util..", "velvetbezel..")
                .check(new ClassFileImporter()
                        .withImportOption(new ImportOption.DoNotIncludeTests())
                        .importPackages("velvetbezel.drawing"));
    }
}
