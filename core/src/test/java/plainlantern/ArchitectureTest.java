package plainlantern;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The packages of the core in the order of the design: each may use those before it, never those after it. */
class ArchitectureTest {
    private static final List<String> ORDER = List.of("geometry", "lettering", "outline", "pattern", "sheet", "fitting",
            "arranging", "editing",
            "checking", "picture", "scene", "rendering", "bundle");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("plainlantern");

    @Test
    void arrowsPointOneWay() {
        for (int i = 0; i < ORDER.size() - 1; i++) {
            String[] later = ORDER.subList(i + 1, ORDER.size()).stream().map(p -> "plainlantern." + p + "..").toArray(String[]::new);
            noClasses().that().resideInAPackage("plainlantern." + ORDER.get(i) + "..")
                    .should().dependOnClassesThat(resideInAnyPackage(later)).check(CORE);
        }
    }

    @Test
    void theCoreKnowsNoWebNoDatabaseAndNoFramework() {
        noClasses().should().dependOnClassesThat(resideInAnyPackage("org.springframework..", "jakarta.servlet..", "java.sql..",
                "org.thymeleaf.."))
                .check(CORE);
    }
}
