package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Remembers beside a logbook that a check found it not whole, until a later check finds it whole or it is restored:
 * windows, certificates and commands say so as long as it stands.
 */
public final class Flaws {

    static final String NAME = "not-whole.txt";
    /** flaws written down; the rest is counted */
    private static final int MOST = 100;

    private Flaws() {}

    /** Writes down what a check of the whole logbook found, or forgets what an earlier one did. */
    static void remember(Path folder, Verification found) {
        Path file = folder.resolve(NAME);
        try {
            if (found.holds()) {
                Files.deleteIfExists(file);
                return;
            }
            StringBuilder text = new StringBuilder();
            text.append(found.inWords()).append('\n');
            found.flaws().stream().limit(MOST).forEach(flaw -> text.append(flaw).append('\n'));
            PrivateFiles.createIfMissing(file);
            Files.writeString(file, text, StandardCharsets.UTF_8);
        } catch (IOException unwritable) {
            // whoever asked for the check is told what it found
        }
    }

    /** What the last check found wrong, as one sentence without its full stop; empty where nothing is known of. */
    public static Optional<String> known(Path folder) {
        Path file = folder.resolve(NAME);
        try {
            if (!Files.exists(file)) {
                return Optional.empty();
            }
            List<String> lines = Files.readAllLines(file, StandardCharsets.UTF_8);
            return Optional.of(lines.isEmpty() ? "the logbook is not whole" : lines.get(0));
        } catch (IOException unreadable) {
            return Optional.of("the logbook is not whole");
        }
    }
}
