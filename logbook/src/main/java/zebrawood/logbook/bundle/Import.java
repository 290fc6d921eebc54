package zebrawood.logbook.bundle;

import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongConsumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Signs;
import zebrawood.json.Binder;
import zebrawood.json.StrictJson;
import zebrawood.logbook.store.EmptyShop;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.NamesOnRecord;
import zebrawood.logbook.store.PrivateFiles;
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
    /** bytes of entries a transaction: some long ones fill the memory as many short ones do */
    private static final long BATCH_BYTES = 8_000_000;
    /** more files than a shop collects; a bundle made to fill the memory ends here */
    private static final int MOST_NAMES = 200_000;
    /** bytes of the zip's own list of files: what so many names need */
    private static final long MOST_LISTED = 40_000_000;
    /** a line is an entry as a text within a text: each quotation mark and backslash takes two bytes there */
    private static final int LONGEST_LINE = 2 * StoredEntry.LONGEST_BYTES + 1_000;
    /** bytes on the disk for each byte of an entry: the entry, its columns and its places in indexes */
    private static final long ON_DISK = 3;

    private static final String REFUSED = "the bundle was refused and nothing was taken: ";

    /** bytes that stay free on the disk */
    private static final long SPARE = 50_000_000;
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
        if (!Files.isRegularFile(file)) {
            throw refused(Files.exists(file) ? "it is not a plain file" : "there is no file " + file);
        }
        boolean isNew = !Files.exists(folder);
        PrivateFiles.createFolder(folder);
        Path making = Files.createTempDirectory(folder, "importing-");
        boolean taken = false;
        try {
            EmptyShop.check(folder, procedures);
            mustBeListedShortly(file);
            Verification found;
            try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
                Bundle bundle = manifest(zip);
                mustHaveRoom(bundle, folder);
                try (Logbook logbook = Logbook.open(making, procedures)) {
                    new Import(zip, bundle, logbook, progress).run();
                    found = logbook.verify(List.of(bundle.head()));
                }
            } catch (ZipException | EOFException damaged) {
                throw refused("it is not a zip file, or it is damaged");
            } catch (IllegalArgumentException badNames) {
                throw refused("a name in it cannot be read");
            }
            if (!found.holds()) {
                throw refused(found.flaws().get(0).toString());
            }
            EmptyShop.replace(folder, making, procedures);
            taken = true;
            return found;
        } finally {
            PrivateFiles.delete(making);
            if (isNew && !taken) {
                PrivateFiles.delete(folder);
            }
        }
    }

    /** Reads how long the zip's list of files is before anything takes it into the memory. */
    private static void mustBeListedShortly(Path file) throws IOException {
        long listed = ZipList.length(file).orElseThrow(() -> refused("it is not a zip file, or it is damaged"));
        if (listed > MOST_LISTED) {
            throw refused("it holds more than " + MOST_NAMES + " files");
        }
    }

    /** Looks whether what the bundle says of itself fits on the disk, before work begins. */
    private static void mustHaveRoom(Bundle bundle, Path folder) throws IOException {
        long needed = SPARE;
        for (Bundle.File each : bundle.files()) {
            if (each.bytes() < 0
                    || each.name().startsWith(Bundle.ATTACHMENTS) && each.bytes() > NewAttachment.LONGEST_BYTES) {
                throw refused(shortened(each.name()) + " is said to be " + each.bytes() + " bytes long");
            }
            long factor =
                    each.name().equals(Bundle.ENTRIES) ? ON_DISK : each.name().startsWith(Bundle.ATTACHMENTS) ? 1 : 0;
            needed = Math.addExact(needed, Math.multiplyExact(factor, Math.min(each.bytes(), Long.MAX_VALUE / 8)));
        }
        long free = Files.getFileStore(folder).getUsableSpace();
        if (needed > free) {
            throw refused("it needs about " + (needed / 1_000_000) + " MB on the disk, and " + (free / 1_000_000)
                    + " MB are free; free some space, or name a folder on another disk with --data");
        }
    }

    private static LogbookException refused(String why) {
        return new LogbookException(REFUSED + why);
    }

    /** Looks at every name before anything else is read. */
    private static Bundle manifest(ZipFile zip) throws IOException {
        Set<String> names = new HashSet<>();
        var entries = zip.entries();
        while (entries.hasMoreElements()) {
            String name = entries.nextElement().getName();
            if (!Bundle.NAMES.matcher(name).matches()) {
                throw refused("\"" + shortened(name) + "\" does not belong in a bundle");
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
            Lines lines = new Lines(in, LONGEST_LINE, true);
            List<StoredEntry> batch = new ArrayList<>();
            long held = 0;
            for (var line = lines.next(); line.isPresent(); line = lines.next()) {
                if (line.get().problem().isPresent()) {
                    throw refused(Bundle.ENTRIES + ": " + line.get().problem().get());
                }
                StoredEntry entry = entry(line.get().text());
                batch.add(entry);
                held += entry.bytes().length;
                if (batch.size() == BATCH || held > BATCH_BYTES) {
                    take(batch);
                    taken += batch.size();
                    batch.clear();
                    held = 0;
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
        for (String name : List.of("README.txt", "entries.csv", "attachments.csv")) {
            mustBeAsSaid(name);
        }
    }

    /** What stands in it for people is as it was written too. */
    private void mustBeAsSaid(String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        Optional<Bundle.File> said = bundle.findFile(name);
        if (entry == null && said.isEmpty()) {
            return;
        } else if (entry == null || said.isEmpty()) {
            throw refused(name + (entry == null ? " is not in it" : " is not named in " + Bundle.MANIFEST));
        }
        MessageDigest digest = sha256();
        long length = 0;
        try (InputStream in = new AtMost(zip.getInputStream(entry), said.get().bytes(), name)) {
            byte[] buffer = new byte[1 << 16];
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                digest.update(buffer, 0, read);
                length += read;
            }
        }
        if (length != said.get().bytes()
                || !HexFormat.of().formatHex(digest.digest()).equals(said.get().sha256())) {
            throw refused(name + " does not have the hash that stands in " + Bundle.MANIFEST);
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
            batch.forEach(this::mustBeSayable);
            logbook.together(() -> batch.forEach(stored -> logbook.takeBack(stored, file -> () -> attachment(file))));
        } catch (LogbookException wrong) {
            String why = wrong.getMessage();
            throw why.startsWith(REFUSED) ? wrong : new LogbookException(REFUSED + why, wrong);
        }
    }

    /** An entry that is no longer than what is recorded here, with a name and initials that can be seen. */
    private void mustBeSayable(StoredEntry stored) {
        if (stored.bytes().length > StoredEntry.LONGEST_BYTES) {
            throw refused("an entry in it is longer than " + (StoredEntry.LONGEST_BYTES >> 20) + " MB");
        }
        Entry entry = logbook.read(stored);
        NamesOnRecord.check(entry.place().machineId(), entry.stamp(), entry.body())
                .ifPresent(wrong -> {
                    throw refused("in entry " + entry.number() + " of a machine " + wrong);
                });
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
        String plain =
                Signs.shown(name.length() > 200 ? name.substring(0, 200) : name).replace('\n', ' ');
        return plain.length() > 80 ? plain.substring(0, 80) + "..." : plain;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
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
