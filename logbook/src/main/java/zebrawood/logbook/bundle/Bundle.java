package zebrawood.logbook.bundle;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What stands in a bundle.
 *
 * @param format of the bundle, 1
 * @param program that made it
 * @param made when, UTC
 * @param entries how many there are
 * @param head hash of the shop chain's last row
 * @param files hash and length of each file but this one
 */
public record Bundle(int format, String program, String made, long entries, String head, List<File> files) {

    /** raised when an older program could not read it */
    static final int FORMAT = 1;

    static final String MANIFEST = "manifest.json";
    static final String ENTRIES = "entries.jsonl";
    static final String ATTACHMENTS = "attachments/";
    static final Pattern NAMES = Pattern.compile(
            "README\\.txt|manifest\\.json|entries\\.jsonl|entries\\.csv|attachments\\.csv|attachments/[0-9a-f]{64}");

    /** One file of the bundle: name, SHA-256 in hex, length in bytes. */
    public record File(String name, String sha256, long bytes) {}

    /** A line of {@code entries.jsonl}. */
    public record Line(long position, String machine, int number, String hash, String bytes) {}

    public Bundle {
        files = List.copyOf(files);
    }

    Optional<File> findFile(String name) {
        return files.stream().filter(file -> file.name().equals(name)).findFirst();
    }
}
