package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Objects;
import java.util.Optional;

/**
 * Which file stood at a path: a program that still writes into one that was removed, moved or exchanged would confirm
 * what nobody ever finds.
 *
 * @param key of the file itself; empty where the system tells none, and nothing can be compared
 */
record FilePlace(Path path, Optional<Object> key) {

    static FilePlace of(Path path) {
        return new FilePlace(path, keyOf(path));
    }

    private static Optional<Object> keyOf(Path path) {
        try {
            return Optional.ofNullable(
                    Files.readAttributes(path, BasicFileAttributes.class).fileKey());
        } catch (IOException gone) {
            return Optional.empty();
        }
    }

    /** @throws LogbookException where another file stands there now, or none */
    void mustBeTheSame() {
        if (key.isPresent() && !Objects.equals(key, keyOf(path))) {
            throw new LogbookException("nothing was recorded: the logbook's file " + path
                    + " was removed, moved or exchanged while it was open; look where it is, and start the program "
                    + "again");
        }
    }
}
