package zebrawood.desktop.command;

import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Restore;
import zebrawood.logbook.store.Verification;

/** Checks every hash chain. */
@Command(
        name = "verify",
        description = "Checks every entry, chain and attachment. Exit status 1 when one does not hold.")
final class Verify implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Option(
            names = "--expect",
            paramLabel = "HASH",
            description = "a hash printed on a certificate; may be given more than once")
    private List<String> expected = List.of();

    @Override
    public Integer call() {
        if (!data.holdsLogbook()) {
            return Exit.REFUSED;
        }
        try (Logbook logbook = Logbook.open(data.folder(), Catalogue.procedures())) {
            Verification found = logbook.verify(expected, Progress.onError("checked"));
            found.flaws().forEach(System.out::println);
            System.out.println(
                    found.inWords() + (found.holds() ? ". The shop chain ends on " + found.head() : "") + ".");
            Restore.putAside(data.folder()).forEach(System.out::println);
            return found.holds() ? Exit.DONE : Exit.WRONG;
        }
    }
}
