package zebrawood.desktop.command;

import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.store.Restore;

/** Puts a backup in the place of a damaged logbook. */
@Command(
        name = "restore",
        description = "Says what the newest whole backup brings back and what it lacks; with --yes puts it in place of "
                + "the logbook.")
final class RestoreBackup implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    @Option(names = "--yes", description = "do it; the damaged file is kept beside it")
    private boolean yes;

    @Override
    public Integer call() {
        if (!data.holdsLogbook()) {
            return Exit.REFUSED;
        }
        Path folder = data.folder();
        Restore restore = new Restore(folder, Catalogue.procedures());
        Optional<Long> whole = restore.wholeEntries();
        if (whole.isPresent()) {
            System.out.println("The logbook is whole: " + whole.get() + " entries. There is nothing to restore.");
            Restore.putAside(folder).forEach(System.out::println);
            return Exit.DONE;
        }
        Optional<Restore.Offer> offer = restore.offer();
        if (offer.isEmpty()) {
            System.err.println("There is no whole backup in " + folder.resolve("backups") + ".");
            return Exit.WRONG;
        }
        Instant now = today.clock().get();
        System.out.println(offer.get().inWords(today.zone().getRules().getOffset(now)));
        Restore.putAside(folder).forEach(System.out::println);
        System.out.println(
                yes ? restore.run(offer.get(), now).inWords() : "Nothing was changed. Add --yes to restore it.");
        return Exit.DONE;
    }
}
