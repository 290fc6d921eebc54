package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("zebrawood");

    @Test
    void dependenciesPointDownwards() {
        noClasses()
                .that()
                .resideInAPackage("zebrawood.core..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("zebrawood.logbook..", "zebrawood.desktop..").check(ALL);
    }

    @Test
    void theLogbookKnowsNoWindow() {
        noClasses()
                .that()
                .resideInAPackage("zebrawood.logbook..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("zebrawood.desktop..", "javafx..", "java.awt..").check(ALL);
    }

    @Test
    void benchesDoNotTouchTheDatabase() {
        noClasses()
                .that()
                .resideInAPackage("zebrawood.desktop..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.sqlite..", "org.flywaydb..").check(ALL);
    }

    @Test
    void noColourStandsInJava() {
        noClasses()
                .that()
                .resideOutsideOfPackage("zebrawood.desktop.theme..")
                .should()
                .callMethod(Node.class, "setStyle", String.class)
                .orShould()
                .callMethod(Color.class, "web", String.class).check(ALL);
    }

    @Test
    void noPackageCyclesInTheDesktop() {
        slices().matching("zebrawood.desktop.(*)..").should().beFreeOfCycles().check(ALL);
    }

    @Test
    void noPackageCyclesInTheLogbook() {
        slices().matching("zebrawood.logbook.(*)..").should().beFreeOfCycles().check(ALL);
    }
}
