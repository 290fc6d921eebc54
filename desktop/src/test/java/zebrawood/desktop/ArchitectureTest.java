package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import javafx.scene.Node;
import javafx.scene.paint.Color;

@AnalyzeClasses(packages = "zebrawood", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule dependenciesPointDownwards = noClasses()
            .that()
            .resideInAPackage("zebrawood.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("zebrawood.logbook..", "zebrawood.desktop..");

    @ArchTest
    static final ArchRule theLogbookKnowsNoWindow = noClasses()
            .that()
            .resideInAPackage("zebrawood.logbook..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("zebrawood.desktop..", "javafx..", "java.awt..");

    @ArchTest
    static final ArchRule benchesDoNotTouchTheDatabase = noClasses()
            .that()
            .resideInAPackage("zebrawood.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.sqlite..", "org.jdbi..", "org.flywaydb..");

    @ArchTest
    static final ArchRule noColourStandsInJava = noClasses()
            .that()
            .resideOutsideOfPackage("zebrawood.desktop.theme..")
            .should()
            .callMethod(Node.class, "setStyle", String.class)
            .orShould()
            .callMethod(Color.class, "web", String.class);

    @ArchTest
    static final ArchRule noPackageCyclesInTheDesktop = slices().matching("zebrawood.desktop.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule noPackageCyclesInTheLogbook = slices().matching("zebrawood.logbook.(*)..").should().beFreeOfCycles();
}
