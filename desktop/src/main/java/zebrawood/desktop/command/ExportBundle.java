package zebrawood.desktop.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.bundle.Bundle;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.store.Logbook;

/** The whole logbook as an open bundle. */
@Command(
        name = "export",
        description = "Writes the whole logbook as an open bundle: a zip of JSON Lines, CSV and attachments.")
final class ExportBundle implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    @Parameters(paramLabel = "FILE", description = "where the bundle goes")
    private Path file;

    @Option(names = "--force", description = "write over a file that is there")
    private boolean force;

    @Override
    public Integer call() throws IOException {
        if (!data.holdsLogbook()) {
            return Exit.REFUSED;
        }
        try (Logbook logbook = Logbook.open(data.folder(), Catalogue.procedures())) {
            Bundle bundle =
                    Export.to(file, force, logbook, Version.TEXT, today.clock().get(), Progress.onError("exported"));
            System.out.println("Exported " + bundle.entries() + " entries and "
                    + (bundle.files().size() - 4) + " attachments to " + file + ". The shop chain ends on "
                    + bundle.head() + ".");
            return Exit.DONE;
        }
    }
}
