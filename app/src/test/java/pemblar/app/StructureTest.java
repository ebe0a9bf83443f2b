package pemblar.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class StructureTest {
    /** Read once for all tests of structure: it takes seconds. */
    static final JavaClasses OURS = new ClassFileImporter()
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

    /** From the top: each knows only what stands below it. Packages of one area know each other without cycles. */
    private static final List<Set<String>> AREAS = List.of(
            Set.of("demo", "archive", "program"),
            Set.of("coach"),
            Set.of("today"),
            Set.of("progress", "prediction"),
            Set.of("adjust"),
            Set.of("ribbon"),
            Set.of("review", "compare", "others"),
            Set.of("evidence", "zones"),
            Set.of("bench", "hour"),
            Set.of("plan", "planner", "season", "calendar", "template"),
            Set.of("workout"),
            Set.of("strength"),
            Set.of("session", "exchange"),
            Set.of("recording", "effort"),
            Set.of("checkin"),
            Set.of("threshold", "sky"),
            Set.of("load"),
            Set.of("note", "undo"),
            Set.of("people", "account", "athlete", "sharing"),
            Set.of("frame", "mail", "operator"),
            Set.of("objects", "replica", "seal"));

    private static int height(String packageName) {
        String area = packageName.substring("pemblar.app.".length()).replaceFirst("\\..*", "");
        for (int i = 0; i < AREAS.size(); i++) if (AREAS.get(i).contains(area)) return AREAS.size() - i;
        throw new AssertionError("no place among the areas: " + packageName);
    }

    @Test
    void anAreaKnowsOnlyWhatStandsBelowIt() {
        Set<String> upward = new TreeSet<>();
        int seen = 0;
        for (JavaClass from : OURS)
            for (Dependency d : from.getDirectDependenciesFromSelf()) {
                JavaClass to = d.getTargetClass();
                if (!isOfAnArea(from) || !isOfAnArea(to)) continue;
                seen++;
                if (height(to.getPackageName()) > height(from.getPackageName()))
                    upward.add(from.getName() + " knows " + to.getName());
            }
        assertThat(seen).as("arrows looked at").isGreaterThan(1000);
        assertThat(upward).isEmpty();
    }

    private static final int MOST_LINES = 1500;

    @Test
    void aPackageCanBeLookedThrough() throws IOException {
        Path root = Path.of("src", "main", "java", "pemblar", "app");
        Set<String> longer = new TreeSet<>();
        int packages = 0;
        try (Stream<Path> folders = Files.walk(root).filter(Files::isDirectory)) {
            for (Path folder : folders.toList()) {
                packages++;
                if (lines(folder) > MOST_LINES)
                    longer.add(root.relativize(folder).toString());
            }
        }
        assertThat(packages).isGreaterThan(60);
        assertThat(longer).isEmpty();
    }

    /** {@code -Dgroups=unit} is what takes seconds: no application, no database, no browser. */
    @Test
    void aTestSaysWhatItNeeds() throws IOException {
        Set<String> wrong = new TreeSet<>();
        int tests = 0;
        try (Stream<Path> files = Files.walk(Path.of("src", "test", "java"))) {
            for (Path file : files.filter(f -> f.toString().matches(".*(?<!Structure)Test\\.java"))
                    .toList()) {
                String text = Files.readString(file);
                tests++;
                boolean running = Stream.of("Running.", "PrivateDatabase", "new Browser(", "Person.demo(")
                        .anyMatch(text::contains);
                boolean isUnit = text.contains("\n@Tag(\"unit\")");
                if (running == isUnit || !text.contains("\n@Tag(\""))
                    wrong.add(file.getFileName().toString());
            }
        }
        assertThat(tests).isGreaterThan(150);
        assertThat(wrong).isEmpty();
    }

    private static int lines(Path folder) throws IOException {
        int lines = 0;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList())
                lines += Files.readAllLines(file).size();
        }
        return lines;
    }

    private static boolean isOfAnArea(JavaClass of) {
        return of.getPackageName().startsWith("pemblar.app.");
    }

    /**
     * Rows of an area that is several packages are seen by all of them, by methods; by nobody outside (decision 46).
     */
    private static final Set<String> OF_AN_AREA = Set.of(
            "pemblar.app.session.SessionRow",
            "pemblar.app.session.RecordedRow",
            "pemblar.app.session.TrainingSessionRepository");

    @Test
    void rowsStayInTheirFeature() {
        classes()
                .that(are("rows or repositories", c -> isOfRows(c) && !OF_AN_AREA.contains(c.getName())))
                .should()
                .bePackagePrivate()
                .check(OURS);
        classes()
                .that(are("rows of an area", c -> OF_AN_AREA.contains(c.getName())))
                .should()
                .onlyHaveDependentClassesThat()
                .resideInAPackage("pemblar.app.session..")
                .check(OURS);
        fields().that()
                .areDeclaredInClassesThat(are("rows of an area", c -> OF_AN_AREA.contains(c.getName())))
                .should()
                .notBePublic()
                .check(OURS);
    }

    private static boolean isOfRows(JavaClass of) {
        return of.getSimpleName().endsWith("Repository")
                || of.getSimpleName().endsWith("Row") && of.isAnnotatedWith(jakarta.persistence.Entity.class);
    }

    private static DescribedPredicate<JavaClass> are(String what, Predicate<JavaClass> test) {
        return DescribedPredicate.describe(what, test);
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
