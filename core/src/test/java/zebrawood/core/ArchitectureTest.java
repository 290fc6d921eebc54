package zebrawood.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;

@AnalyzeClasses(packages = "zebrawood.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreHasNoInterfaceNoDatabaseAndNoFiles = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..", "java.sql..", "javax.sql..", "java.nio.file..", "java.net..", "com.fasterxml..")
            .orShould()
            .dependOnClassesThat()
            .belongToAnyOf(java.io.File.class, java.io.FileInputStream.class, java.io.FileReader.class);

    @ArchTest
    static final ArchRule coreHasNoClockAndNoChanceOfItsOwn = noClasses()
            .should()
            .dependOnClassesThat()
            .belongToAnyOf(Clock.class, java.util.Random.class, java.util.UUID.class)
            .orShould()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(LocalDateTime.class, "now")
            .orShould()
            .callMethod(ZonedDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(Math.class, "random");

    @ArchTest
    static final ArchRule noPackageCycles = slices().matching("zebrawood.core.(*)..").should().beFreeOfCycles();
}
