package zebrawood.desktop.command;

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
        Restore restore = new Restore(data.folder(), Catalogue.procedures());
        Optional<Restore.Offer> offer = restore.offer();
        if (offer.isEmpty()) {
            System.err.println("There is no whole backup in " + data.folder().resolve("backups") + ".");
            return Exit.WRONG;
        }
        Instant now = today.clock().get();
        System.out.println(offer.get().inWords(today.zone().getRules().getOffset(now)));
        if (yes) {
            Restore.Done done = restore.run(offer.get(), now);
            System.out.println("Restored " + done.entries() + " entries from the backup and " + done.back()
                    + " from the damaged file, which lies in " + done.damaged() + " now.");
        } else {
            System.out.println("Nothing was changed. Add --yes to restore it.");
        }
        return Exit.DONE;
    }
}
