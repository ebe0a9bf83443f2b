package pemblar.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;

class StructureTest {
    private static final JavaClasses OURS = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("pemblar");

    @Test
    void arrowsGoOneWay() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("core")
                .definedBy("pemblar.core..")
                .layer("formats")
                .definedBy("pemblar.formats..")
                .layer("benchunit")
                .definedBy("pemblar.benchunit..")
                .layer("app")
                .definedBy("pemblar.app..")
                .whereLayer("app")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("benchunit")
                .mayOnlyBeAccessedByLayers("app")
                .whereLayer("formats")
                .mayOnlyBeAccessedByLayers("app", "benchunit")
                .check(OURS);
    }

    @Test
    void theCoreKnowsOnlyJavaAndItsModelANumericalLibrary() {
        classes()
                .that()
                .resideInAPackage("pemblar.core..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("pemblar.core..", "java..", "org.hipparchus..", "org.ojalgo..")
                .check(OURS);
        noClasses()
                .that()
                .resideInAPackage("pemblar.core..")
                .and()
                .resideOutsideOfPackages("pemblar.core.model", "pemblar.core.comparison", "pemblar.core.aerobic")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.hipparchus..")
                .check(OURS);
    }

    @Test
    void noFeatureReachesBackIntoAnother() {
        slices().matching("pemblar.app.(*)..").should().beFreeOfCycles().check(OURS);
        slices().matching("pemblar.core.(*)..").should().beFreeOfCycles().check(OURS);
    }

    @Test
    void rowsStayInTheirFeature() {
        classes()
                .that()
                .haveSimpleNameEndingWith("Row")
                .and()
                .areAnnotatedWith(jakarta.persistence.Entity.class)
                .should()
                .bePackagePrivate()
                .check(OURS);
        classes()
                .that()
                .haveSimpleNameEndingWith("Repository")
                .should()
                .bePackagePrivate()
                .check(OURS);
    }

    @Test
    void theSystemClockIsReadInOnePlace() {
        noClasses()
                .that()
                .doNotHaveSimpleName("ClockConfiguration")
                .should()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(ZoneId.class, "systemDefault")
                .check(OURS);
    }
}
