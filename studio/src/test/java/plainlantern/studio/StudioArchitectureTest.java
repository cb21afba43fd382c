package plainlantern.studio;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;

class StudioArchitectureTest {
    private static final JavaClasses STUDIO = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("plainlantern.studio");

    @Test
    void featuresDoNotLeanOnEachOtherInACircle() {
        SlicesRuleDefinition.slices().matching("plainlantern.studio.(*)..").should().beFreeOfCycles().check(STUDIO);
    }

    /** SQL stands in one class a table. */
    @Test
    void onlyStoresTalkToTheDatabase() {
        noClasses().that().haveSimpleNameNotEndingWith("Store").should().dependOnClassesThat()
                .areAssignableTo(JdbcClient.class).check(STUDIO);
    }

    /** Nothing of the application's pages knows the demo: without it, it is not there. */
    @Test
    void nobodyNeedsTheDemo() {
        noClasses().that().resideOutsideOfPackage("..demo..").should().dependOnClassesThat().resideInAPackage("..demo..").check(STUDIO);
    }
}
