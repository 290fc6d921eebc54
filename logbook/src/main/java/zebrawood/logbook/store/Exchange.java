package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;

/**
 * Puts a fresh file in the place of a logbook's own, which is put aside. What is to be done is written down first:
 * where it is interrupted, the next start does the rest, so that at no moment anything is neither in its place nor
 * aside.
 */
final class Exchange {

    /** written when the fresh file is whole, deleted when it stands in its place: the name of the folder aside */
    static final String JOURNAL = "restoring.txt";
    /** the folder in which the fresh file is made, a logbook of its own */
    static final String FRESH = "restoring";

    private static final List<String> PARTS = List.of("-wal", "-shm", "");

    private Exchange() {}

    /** Whether one was begun here and not finished. */
    static boolean isBegun(Path folder) {
        return Files.exists(folder.resolve(JOURNAL));
    }

    /**
     * Exchanges the file; the fresh one stands in {@link #FRESH}, closed and checked.
     *
     * @param aside where the old file goes, a folder in this one
     */
    static void run(Path folder, Path aside) throws IOException {
        PrivateFiles.createFolder(aside);
        PrivateFiles.sync(folder.resolve(FRESH).resolve(Database.NAME));
        PrivateFiles.sync(folder.resolve(FRESH));
        Path making = folder.resolve(JOURNAL + ".part");
        Files.writeString(making, aside.getFileName() + "\n", StandardCharsets.UTF_8);
        PrivateFiles.sync(making);
        Files.move(making, folder.resolve(JOURNAL), StandardCopyOption.ATOMIC_MOVE);
        PrivateFiles.sync(folder);
        finish(folder);
    }

    /** Does what is left of one that was begun; each step may have been done already. */
    static void finish(Path folder) throws IOException {
        String name = Files.readString(folder.resolve(JOURNAL), StandardCharsets.UTF_8)
                .strip();
        Path aside = folder.resolve(Path.of(name).getFileName());
        Path fresh = folder.resolve(FRESH).resolve(Database.NAME);
        Path place = folder.resolve(Database.NAME);
        if (Files.exists(fresh)) {
            PrivateFiles.createFolder(aside);
            for (String part : PARTS) {
                Path old = folder.resolve(Database.NAME + part);
                if (Files.exists(old)) {
                    Files.move(old, free(aside, Database.NAME + part), StandardCopyOption.ATOMIC_MOVE);
                }
            }
            Files.move(fresh, place, StandardCopyOption.ATOMIC_MOVE);
            PrivateFiles.sync(folder);
        } else if (!Files.exists(place) && Files.exists(aside.resolve(Database.NAME))) {
            // the fresh file was taken away: what was there comes back
            for (String part : PARTS) {
                if (Files.exists(aside.resolve(Database.NAME + part))) {
                    Files.move(
                            aside.resolve(Database.NAME + part),
                            folder.resolve(Database.NAME + part),
                            StandardCopyOption.ATOMIC_MOVE);
                }
            }
        }
        Files.deleteIfExists(folder.resolve(Opening.FOUND_DAMAGED));
        Files.deleteIfExists(folder.resolve(Flaws.NAME));
        Files.delete(folder.resolve(JOURNAL));
        PrivateFiles.delete(folder.resolve(FRESH));
    }

    /** A name that nothing in a folder has yet: what was put aside before is not written over. */
    private static Path free(Path aside, String name) {
        Path file = aside.resolve(name);
        for (int n = 2; Files.exists(file); n++) {
            file = aside.resolve(n + "-" + name);
        }
        return file;
    }
}
