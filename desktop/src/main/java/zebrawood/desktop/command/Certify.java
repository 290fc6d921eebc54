package zebrawood.desktop.command;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import zebrawood.benches.Catalogue;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.certificate.Certificate;
import zebrawood.desktop.desk.Preferences;
import zebrawood.desktop.paper.FileName;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.OutputFile;

/** A machine's certificate as PDF. */
@Command(name = "certificate", description = "Writes the certificate of one machine as PDF.")
final class Certify implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    @Option(names = "--machine", required = true, paramLabel = "NAME", description = "the machine's name")
    private String machine;

    @Option(
            names = "--paper",
            paramLabel = "A4|LETTER",
            description = "what it is printed on; as in the window where not given")
    private Paper paper;

    @Option(
            names = "--out",
            paramLabel = "FILE",
            description = "where it goes; certificate-NAME.pdf here where not given")
    private Path out;

    @Option(names = "--force", description = "write over a file that is there")
    private boolean force;

    @Override
    public Integer call() throws IOException {
        if (!data.holdsLogbook()) {
            return Exit.REFUSED;
        }
        try (Logbook logbook = Logbook.open(data.folder(), Catalogue.procedures())) {
            var found = data.findMachine(logbook, machine);
            if (found.isEmpty()) {
                return Exit.WRONG;
            }
            Path file =
                    out == null ? Path.of(FileName.of("certificate", found.get().name())) : out;
            Instant now = today.clock().get();
            Preferences preferences = Preferences.in(data.folder());
            Certificate.Subject subject = Certificate.Subject.of(
                    preferences.shop(),
                    logbook,
                    found.get().id(),
                    new Certificate.Making(
                            now,
                            today.zone().getRules().getOffset(now),
                            UnitChoice.METRIC,
                            paper == null ? preferences.paper() : paper));
            OutputFile.write(file, force, pdf -> {
                Certificate.write(subject, pdf);
                return file;
            });
            System.out.println(file);
            return Exit.DONE;
        }
    }
}
