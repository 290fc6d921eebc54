package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import zebrawood.core.procedure.Procedure;

/** A shop without an entry, into which a whole logbook may be put. */
public final class EmptyShop {

    private EmptyShop() {}

    /** @throws LogbookException where the shop in a folder holds entries, or lost them */
    public static void check(Path folder, List<Procedure<?, ?>> procedures) {
        if (!new Backups(folder).whole().isEmpty() || Files.exists(folder.resolve(Database.NAME))) {
            try (Logbook there = Logbook.open(folder, procedures)) {
                if (there.head().entries() > 0) {
                    throw new LogbookException("the shop in " + folder + " holds "
                            + there.head().inWords()
                            + "; a bundle goes into an empty shop only, name another folder with --data");
                }
            }
        }
    }

    /**
     * Puts a whole logbook in its place, with no other program there.
     *
     * @param made the folder with it, closed
     * @throws LogbookException where somebody has the shop open or recorded in it meanwhile
     */
    public static void replace(Path folder, Path made, List<Procedure<?, ?>> procedures) throws IOException {
        check(folder, procedures);
        try (InUse alone = InUse.alone(folder)) {
            for (String end : List.of("-wal", "-shm")) {
                Files.deleteIfExists(folder.resolve(Database.NAME + end));
            }
            PrivateFiles.sync(made.resolve(Database.NAME));
            Files.move(
                    made.resolve(Database.NAME),
                    folder.resolve(Database.NAME),
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.ATOMIC_MOVE);
            PrivateFiles.sync(folder);
        }
    }
}
