package zebrawood.desktop.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import zebrawood.benches.Catalogue;
import zebrawood.kit.view.Words;
import zebrawood.logbook.bundle.Import;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Verification;

/** An open bundle back into an empty shop. */
@Command(
        name = "import",
        description = "Takes a bundle back into an empty shop and checks it; what does not hold is refused as a whole.")
final class ImportBundle implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Parameters(paramLabel = "FILE", description = "the bundle")
    private Path file;

    @Override
    public Integer call() throws IOException {
        Verification found;
        try {
            found = Import.from(file, data.folder(), Catalogue.procedures(), Progress.onError("imported"));
        } catch (LogbookException refused) {
            System.err.println(Words.sentence(refused.getMessage()));
            return Exit.REFUSED;
        }
        System.out.println("Imported and checked: " + found.entries() + " entries, " + found.attachments()
                + " attachments. The shop chain ends on " + found.head() + ".");
        return Exit.DONE;
    }
}
