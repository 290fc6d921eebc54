package zebrawood.logbook.store;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * A file that somebody asked for: a bundle, a certificate, a picture. It is written beside its place and moved there
 * when it is whole; it never lands in a shop's folder, on anything that is no plain file, or unasked on a file that is
 * there.
 */
public final class OutputFile {

    private OutputFile() {}

    /** Writes the bytes. */
    public interface Writing<T> {
        T to(OutputStream out) throws IOException;
    }

    /**
     * Writes a file as a whole or not at all.
     *
     * @param over whether one that is there may be written over: the person was asked
     * @throws LogbookException with one sentence where it may not go there
     * @throws IOException where it cannot be written; then what was there is as before
     */
    public static <T> T write(Path file, boolean over, Writing<T> writing) throws IOException {
        Path place = place(file);
        mayGoTo(place, file, over);
        Path making = place.resolveSibling(
                "." + place.getFileName() + ".part-" + ProcessHandle.current().pid());
        try {
            T made;
            try (OutputStream out = Files.newOutputStream(
                    making,
                    StandardOpenOption.CREATE,
                    StandardOpenOption.TRUNCATE_EXISTING,
                    StandardOpenOption.WRITE)) {
                made = writing.to(out);
            }
            PrivateFiles.sync(making);
            mayGoTo(place, file, over);
            move(making, place, over);
            return made;
        } catch (FileAlreadyExistsException meanwhile) {
            throw new LogbookException(isThere(file), meanwhile);
        } finally {
            Files.deleteIfExists(making);
        }
    }

    /** Where it really goes, links followed. */
    private static Path place(Path file) throws IOException {
        if (Files.exists(file)) {
            return file.toRealPath();
        }
        Path absolute = file.toAbsolutePath().normalize();
        Path above = absolute.getParent();
        if (above == null || absolute.getFileName() == null) {
            throw new LogbookException(file + " is no name for a file; name one in a folder");
        }
        if (!Files.isDirectory(above)) {
            throw new NoSuchFileException(above.toString());
        }
        return above.toRealPath().resolve(absolute.getFileName());
    }

    private static void mayGoTo(Path place, Path asked, boolean over) {
        for (Path above = place.getParent(); above != null; above = above.getParent()) {
            if (Files.exists(above.resolve(Database.NAME))) {
                throw new LogbookException("nothing was written: " + asked + " lies in the folder of a shop, " + above
                        + "; name a file elsewhere");
            }
        }
        if (Files.exists(place) && !Files.isRegularFile(place)) {
            throw new LogbookException("nothing was written: " + asked + " is not a plain file; name another one");
        } else if (Files.exists(place) && !over) {
            throw new LogbookException(isThere(asked));
        }
    }

    private static String isThere(Path asked) {
        return "nothing was written: " + asked
                + " is there already; name another file, or add --force to write over it";
    }

    private static void move(Path from, Path to, boolean over) throws IOException {
        if (!over) {
            Files.move(from, to);
            return;
        }
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException across) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
