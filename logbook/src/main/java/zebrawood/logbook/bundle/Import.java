package zebrawood.logbook.bundle;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.function.LongConsumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.reading.ReadingException;
import zebrawood.json.Binder;
import zebrawood.json.StrictJson;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.StoredEntry;
import zebrawood.logbook.store.Verification;
import zebrawood.logbook.worksheet.Lines;

/**
 * Takes a bundle back into an empty shop. It trusts nothing in it: only names it knows, no file is unpacked by its
 * name, every entry must follow the one before it with the hash it says, every attachment must be named by an entry and
 * have its hash and length, and nothing is read further than it said it was long. The shop is made beside its place and
 * moved there when all of it holds.
 */
public final class Import {

    /** entries a transaction: fast, and little is held */
    private static final int BATCH = 500;
    /** more files than a shop collects; a bundle made to fill the memory ends here */
    private static final int MOST_NAMES = 2_000_000;
    /** What a manifest needs at the most for each file that it names, bytes, and besides. */
    private static final long MANIFEST_PER_FILE = 400;
    /** bytes of a manifest beside its names */
    private static final long MANIFEST_BESIDES = 10_000;

    private final ZipFile zip;
    private final Bundle bundle;
    private final Logbook logbook;
    private final LongConsumer progress;

    private Import(ZipFile zip, Bundle bundle, Logbook logbook, LongConsumer progress) {
        this.zip = zip;
        this.bundle = bundle;
        this.logbook = logbook;
        this.progress = progress;
    }

    /**
     * @param folder of the shop, empty or without an entry
     * @param progress hears how many entries are taken; what it throws ends the import
     * @throws LogbookException with one sentence where the bundle is refused; the shop is then as it was
     */
    public static Verification from(Path file, Path folder, List<Procedure<?, ?>> procedures, LongConsumer progress)
            throws IOException {
        Path making = folder.resolve("importing");
        mustBeEmpty(folder, procedures);
        delete(making);
        Verification found;
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            Bundle bundle = manifest(zip);
            try (Logbook logbook = Logbook.open(making, procedures)) {
                new Import(zip, bundle, logbook, progress).run();
                found = logbook.verify(List.of(bundle.head()));
            }
            if (!found.holds()) {
                throw refused(found.flaws().get(0).toString());
            }
            Files.createDirectories(folder);
            for (String end : List.of("-wal", "-shm")) {
                Files.deleteIfExists(folder.resolve("logbook.db" + end));
            }
            Files.move(
                    making.resolve("logbook.db"),
                    folder.resolve("logbook.db"),
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.ATOMIC_MOVE);
            return found;
        } catch (ZipException damaged) {
            throw refused("it is no zip file, or a damaged one");
        } catch (IllegalArgumentException badNames) {
            throw refused("a name in it cannot be read");
        } finally {
            delete(making);
        }
    }

    private static void mustBeEmpty(Path folder, List<Procedure<?, ?>> procedures) {
        if (Files.exists(folder.resolve("logbook.db"))) {
            try (Logbook there = Logbook.open(folder, procedures)) {
                if (there.head().entries() > 0) {
                    throw new LogbookException(
                            "the shop in " + folder + " holds " + there.head().entries()
                                    + " entries; a bundle goes into an empty shop only, name another folder with "
                                    + "--data");
                }
            }
        }
    }

    private static LogbookException refused(String why) {
        return new LogbookException("the bundle was refused and nothing was taken: " + why);
    }

    /** Looks at every name before anything else is read. */
    private static Bundle manifest(ZipFile zip) throws IOException {
        Set<String> names = new HashSet<>();
        var entries = zip.entries();
        while (entries.hasMoreElements()) {
            String name = entries.nextElement().getName();
            if (!Bundle.NAMES.matcher(name).matches()) {
                throw refused("\"" + shortened(name) + "\" does not belong into a bundle");
            }
            if (!names.add(name)) {
                throw refused(name + " stands in it twice");
            }
            if (names.size() > MOST_NAMES) {
                throw refused("it holds more than " + MOST_NAMES + " files");
            }
        }
        ZipEntry manifest = zip.getEntry(Bundle.MANIFEST);
        if (manifest == null || zip.getEntry(Bundle.ENTRIES) == null) {
            throw refused("it has no " + (manifest == null ? Bundle.MANIFEST : Bundle.ENTRIES));
        }
        try (InputStream in = zip.getInputStream(manifest)) {
            int longest = (int) (MANIFEST_BESIDES + MANIFEST_PER_FILE * names.size());
            byte[] text = in.readNBytes(longest + 1);
            if (text.length > longest) {
                throw refused(Bundle.MANIFEST + " is far too long");
            }
            Bundle bundle = Binder.bind(
                    StrictJson.read(new String(text, StandardCharsets.UTF_8)).root(), Bundle.class);
            if (bundle.format() != Bundle.FORMAT) {
                throw refused("it is of format " + bundle.format() + ", this program knows " + Bundle.FORMAT);
            }
            return bundle;
        } catch (ReadingException unreadable) {
            throw refused(Bundle.MANIFEST + " cannot be read: " + unreadable.getMessage());
        }
    }

    private void run() throws IOException {
        Bundle.File said = bundle.findFile(Bundle.ENTRIES)
                .orElseThrow(() -> refused(Bundle.MANIFEST + " does not name " + Bundle.ENTRIES));
        MessageDigest digest = sha256();
        long taken = 0;
        try (InputStream in = new AtMost(
                new DigestInputStream(zip.getInputStream(zip.getEntry(Bundle.ENTRIES)), digest),
                said.bytes(),
                Bundle.ENTRIES)) {
            Lines lines = new Lines(in);
            List<StoredEntry> batch = new ArrayList<>();
            for (var line = lines.next(); line.isPresent(); line = lines.next()) {
                if (line.get().problem().isPresent()) {
                    throw refused(Bundle.ENTRIES + ": " + line.get().problem().get());
                }
                batch.add(entry(line.get().text()));
                if (batch.size() == BATCH) {
                    take(batch);
                    taken += batch.size();
                    batch.clear();
                    progress.accept(taken);
                }
            }
            take(batch);
            taken += batch.size();
        }
        if (taken != bundle.entries()) {
            throw refused("it holds " + taken + " entries, but should hold " + bundle.entries());
        }
        if (!HexFormat.of().formatHex(digest.digest()).equals(said.sha256())) {
            throw refused(Bundle.ENTRIES + " does not have the hash that stands in " + Bundle.MANIFEST);
        }
    }

    private static StoredEntry entry(String text) {
        try {
            Bundle.Line line = Binder.bind(StrictJson.read(text).root(), Bundle.Line.class);
            return new StoredEntry(line.position(), line.hash(), line.bytes().getBytes(StandardCharsets.UTF_8));
        } catch (ReadingException unreadable) {
            throw refused("a line of " + Bundle.ENTRIES + " cannot be read: " + unreadable.getMessage());
        }
    }

    private void take(List<StoredEntry> batch) {
        try {
            logbook.together(() -> batch.forEach(stored -> logbook.takeBack(stored, file -> () -> attachment(file))));
        } catch (LogbookException wrong) {
            throw new LogbookException(refused(wrong.getMessage()).getMessage(), wrong);
        }
    }

    private InputStream attachment(Entry.Attachment file) throws IOException {
        ZipEntry entry = zip.getEntry(Bundle.ATTACHMENTS + file.sha256());
        if (entry == null) {
            throw refused("the attachment " + shortened(file.name()) + " is not in it");
        }
        return new AtMost(
                zip.getInputStream(entry),
                Math.min(file.bytes(), NewAttachment.LONGEST_BYTES),
                "the attachment " + shortened(file.name()));
    }

    private static String shortened(String name) {
        String plain = name.replaceAll("\\p{Cntrl}", "?");
        return plain.length() > 80 ? plain.substring(0, 80) + "..." : plain;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void delete(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> inside = Files.walk(folder)) {
            for (Path each : inside.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(each);
            }
        }
    }

    /** Refuses to read further than it was said to go. */
    private static final class AtMost extends FilterInputStream {
        private final String what;
        private long left;

        AtMost(InputStream in, long most, String what) {
            super(in);
            this.left = most;
            this.what = what;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
        }

        @Override
        public int read(byte[] bytes, int from, int count) throws IOException {
            int read = super.read(bytes, from, count);
            left -= Math.max(0, read);
            if (left < 0) {
                throw refused(what + " is longer than it says");
            }
            return read;
        }
    }
}
