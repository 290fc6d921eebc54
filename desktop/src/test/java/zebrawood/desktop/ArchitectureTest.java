package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Formatter;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the modules do not enforce by themselves: which packages may know which, and what no class may do. */
class ArchitectureTest {

    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("zebrawood");

    @ParameterizedTest
    @CsvSource({
        "core, json kit benches logbook desktop",
        "json, kit benches logbook desktop",
        "kit, benches logbook desktop",
        "benches, logbook desktop",
        "logbook, kit benches desktop"
    })
    void dependenciesPointDownwards(String below, String above) {
        String[] packages = java.util.Arrays.stream(above.split(" "))
                .map(module -> "zebrawood." + module + "..")
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage("zebrawood." + below + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(packages)
                .check(ALL);
    }

    @Test
    void everyModuleIsLookedAt() {
        assertThat(ALL.stream()
                        .map(type -> type.getPackageName().split("\\.")[1])
                        .distinct())
                .containsExactlyInAnyOrder("core", "json", "kit", "testsupport", "benches", "logbook", "desktop");
    }

    @Test
    void theLogbookKnowsNoWindow() {
        noClasses()
                .that()
                .resideInAnyPackage("zebrawood.logbook..", "zebrawood.json..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "java.awt..")
                .check(ALL);
    }

    @Test
    void onlyTheLogbookTouchesTheDatabase() {
        noClasses()
                .that()
                .resideOutsideOfPackage("zebrawood.logbook..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.sqlite..", "org.flywaydb..")
                .check(ALL);
    }

    @Test
    void noColourStandsInJava() {
        noClasses()
                .that()
                .resideOutsideOfPackage("zebrawood.kit.theme..")
                .should()
                .callMethod(Node.class, "setStyle", String.class)
                .orShould()
                .callMethod(Color.class, "web", String.class)
                .check(ALL);
    }

    /** Where somebody has set their computer to other digits, a number said without a locale comes out in those. */
    @Test
    void nothingIsFormattedInWhateverLocaleTheMachineHas() {
        noClasses()
                .should()
                .callMethod(String.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(String.class, "formatted", Object[].class)
                .orShould()
                .callMethod(Formatter.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(String.class, "toLowerCase")
                .orShould()
                .callMethod(String.class, "toUpperCase")
                .orShould()
                .callMethod(java.time.format.DateTimeFormatter.class, "ofPattern", String.class)
                .check(ALL);
    }

    @ParameterizedTest
    @ValueSource(strings = {"kit", "benches", "logbook", "desktop"})
    void noPackageCycles(String module) {
        slices().matching("zebrawood." + module + ".(*)..")
                .should()
                .beFreeOfCycles()
                .check(ALL);
    }
}
