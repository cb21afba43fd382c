package plainlantern;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.EditReader;

/** The packages of the core in the order of the design: each may use those before it, never those after it. */
class ArchitectureTest {
    private static final List<String> ORDER = List.of("asking", "geometry", "lettering", "outline", "pattern", "sheet",
            "fitting", "arranging",
            "editing", "checking", "series", "treating", "picture", "scene", "rendering", "incoming", "bundle");
    /** The subjects of edits, likewise. */
    private static final List<String> SUBJECTS = List.of("dressing", "filling", "toning", "placing", "forms", "vistas", "mounting", "words",
            "glazing", "veiling", "sheet", "reading");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("plainlantern");

    @Test
    void arrowsPointOneWay() {
        oneWay("plainlantern.", ORDER);
        oneWay("plainlantern.editing.", SUBJECTS);
        String[] subjects = SUBJECTS.stream().map(s -> "plainlantern.editing." + s).toArray(String[]::new);
        noClasses().that().resideInAPackage("plainlantern.editing").should().dependOnClassesThat(resideInAnyPackage(subjects)).check(CORE);
    }

    private static void oneWay(String root, List<String> order) {
        for (int i = 0; i < order.size() - 1; i++) {
            String[] later = order.subList(i + 1, order.size()).stream().map(p -> root + p + "..").toArray(String[]::new);
            noClasses().that().resideInAPackage(root + order.get(i) + "..").should()
                    .dependOnClassesThat(resideInAnyPackage(later)).check(CORE);
        }
    }

    /** Every edit is a record of a family that the reader knows. */
    @Test
    void everyEditHasAFamily() {
        Set<String> known = EditReader.kinds().map(Class::getName).collect(Collectors.toSet());
        Set<String> edits = CORE.stream().filter(c -> c.isAssignableTo(Edit.class) && !c.isInterface()).map(JavaClass::getName)
                .collect(Collectors.toSet());
        assertThat(edits).isEqualTo(known).hasSizeGreaterThan(80);
    }

    /** What a document is made of is told by a few named parts: no public record has more than eight. */
    @Test
    void noRecordHasMoreThanEightParts() {
        assertThat(CORE.stream().filter(c -> c.isRecord() && c.getModifiers().contains(JavaModifier.PUBLIC))
                .filter(c -> c.reflect().getRecordComponents().length > 8).map(JavaClass::getName)).isEmpty();
    }

    @Test
    void theCoreKnowsNoWebNoDatabaseAndNoFramework() {
        noClasses().should().dependOnClassesThat(resideInAnyPackage("org.springframework..", "jakarta.servlet..", "java.sql..",
                "org.thymeleaf.."))
                .check(CORE);
    }
}
