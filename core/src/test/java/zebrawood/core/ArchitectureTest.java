package zebrawood.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("zebrawood.core");

    @Test
    void coreHasNoInterfaceNoDatabaseAndNoFiles() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "javafx..",
                        "java.awt..",
                        "javax.swing..",
                        "java.sql..",
                        "javax.sql..",
                        "java.nio.file..",
                        "java.net..",
                        "com.fasterxml..")
                .orShould()
                .dependOnClassesThat()
                .belongToAnyOf(java.io.File.class, java.io.FileInputStream.class, java.io.FileReader.class)
                .check(CORE);
    }

    @Test
    void coreHasNoClockAndNoChanceOfItsOwn() {
        noClasses()
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
                .callMethod(Math.class, "random")
                .check(CORE);
    }

    @Test
    void noPackageCycles() {
        slices().matching("zebrawood.core.(*)..").should().beFreeOfCycles().check(CORE);
    }
}
