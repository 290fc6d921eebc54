package zebrawood.logbook.store;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.core.procedure.Procedure;

/**
 * The way out of a damaged logbook. Where everything that was recorded can still be read from it, all that finds it is
 * made anew and nothing is lost; else the newest whole backup is put in its place, and what was recorded since is taken
 * back from the damaged file as far as it can be read and its chain holds. The fresh file is made and checked beside
 * the old one and exchanged in one step; the old one is kept.
 */
public final class Restore {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);
    /** entries taken back in one transaction: fast, and little is held */
    private static final int BATCH = 1_000;

    private static final String ASIDE = "damaged-";
    /** in a folder put aside: entries that could be read there but do not stand in the logbook */
    private static final String LEFT_OVER = "left-over.jsonl";

    private final Path folder;
    private final Path file;
    private final List<Procedure<?, ?>> procedures;

    /**
     * What can be had back.
     *
     * @param backup which copy is put back; empty where the damaged file itself has all
     * @param entries how many entries the copy holds; without one, how many the damaged file has
     * @param back how many more can still be read from the damaged file
     * @param lacking how many entries are known to be lost; empty where the damaged file does not even tell
     * @param flawed how many newer copies are flawed
     */
    public record Offer(Optional<Backups.Backup> backup, long entries, long back, Optional<Long> lacking, long flawed) {

        /** What it brings and what it lacks, in words. */
        public String inWords(ZoneOffset zone) {
            if (backup.isEmpty()) {
                return "Every one of " + entries + " entries can still be read. All that finds them is made anew from "
                        + "them; nothing is lost, and no backup is needed.";
            }
            String made = WHEN.format(backup.get().at().atOffset(zone));
            String more = back == 0
                    ? ""
                    : " " + back + (back == 1 ? " entry" : " entries")
                            + " recorded after it can still be read from the damaged file and come back too.";
            String lost = lacking.isEmpty()
                    ? " What was recorded after it may be lost: nothing tells how much that is."
                    : lacking.get() == 0
                            ? " Nothing that is known of is lost."
                            : " " + lacking.get() + (lacking.get() == 1 ? " entry" : " entries")
                                    + " recorded after it cannot be read any more and are lost.";
            String passedOver = flawed == 0
                    ? ""
                    : flawed == 1
                            ? " A newer copy is flawed and is left alone."
                            : " " + flawed + " newer copies are flawed and are left alone.";
            return "The newest whole backup was made on " + made + " and holds " + entries + " entries." + passedOver
                    + more + lost;
        }
    }

    /**
     * What was done.
     *
     * @param entries how many the logbook holds now
     * @param back how many of them were taken from the damaged file
     * @param damaged where that lies now
     * @param leftOver how many entries could be read there and did not come back, as the chain has a gap before them
     */
    public record Done(long entries, long back, Path damaged, long leftOver) {
        /** In words. */
        public String inWords() {
            return "Restored: the logbook holds " + entries + (entries == 1 ? " entry" : " entries") + ", " + back
                    + " of them taken from the damaged file, which lies in " + damaged + " now."
                    + (leftOver == 0 ? "" : " " + leftOverInWords(damaged, leftOver));
        }
    }

    private static String leftOverInWords(Path aside, long leftOver) {
        return leftOver + (leftOver == 1 ? " entry" : " entries")
                + " of it could be read but did not come back, as some before them are lost: they stand in "
                + aside.resolve(LEFT_OVER) + ". Record what still counts of them again, then delete that file.";
    }

    /**
     * Looks at a folder; nothing is opened or changed before it is asked.
     *
     * @param folder the one with the damaged logbook
     * @param procedures what can be judged
     */
    public Restore(Path folder, List<Procedure<?, ?>> procedures) {
        this.folder = folder;
        this.file = folder.resolve(Database.NAME);
        this.procedures = procedures;
    }

    /** What lies in files put aside and was not recorded again yet, a sentence each. */
    public static List<String> putAside(Path folder) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        List<String> told = new ArrayList<>();
        try (Stream<Path> inside = Files.list(folder)) {
            for (Path aside : inside.filter(
                            each -> each.getFileName().toString().startsWith(ASIDE))
                    .sorted()
                    .toList()) {
                Path leftOver = aside.resolve(LEFT_OVER);
                if (Files.exists(leftOver)) {
                    try (Stream<String> lines = Files.lines(leftOver, StandardCharsets.UTF_8)) {
                        told.add(leftOverInWords(aside, lines.count()));
                    }
                }
            }
        } catch (IOException unreadable) {
            told.add("A file that was put aside in " + folder + " cannot be read.");
        }
        return told;
    }

    /** How many entries the logbook holds where nothing is wrong with it; empty where something is. */
    public Optional<Long> wholeEntries() {
        if (!Files.exists(file) || Files.exists(folder.resolve(Opening.FOUND_DAMAGED))) {
            return Optional.empty();
        }
        try (Logbook logbook = Logbook.open(folder, procedures)) {
            Verification found = logbook.verify(List.of());
            return found.holds() ? Optional.of(found.entries()) : Optional.empty();
        } catch (LogbookException damaged) {
            return Optional.empty();
        }
    }

    /** What can be had back; empty where there is nothing to have it back from. */
    public Optional<Offer> offer() {
        Salvage damaged = new Salvage(file);
        Salvage.Readable all = damaged.readable(0, Hashes.NONE);
        if (all.entries() > 0 && all.isAll()) {
            return Optional.of(new Offer(Optional.empty(), all.entries(), 0, Optional.of(0L), 0));
        }
        List<Backups.Backup> copies = new Backups(folder).list();
        for (Backups.Backup backup : new Backups(folder).whole()) {
            try {
                Verification found = Verification.of(Database.readOnly(backup.file()), List.of(), checked -> {});
                if (found.holds()) {
                    Salvage.Readable more = damaged.readable(found.entries(), found.head());
                    long flawed = copies.stream()
                            .filter(copy -> copy.at().isAfter(backup.at())
                                    && !copy.file().equals(backup.file()))
                            .count();
                    return Optional.of(new Offer(
                            Optional.of(backup),
                            found.entries(),
                            more.entries(),
                            more.reached().map(newest -> Math.max(0, newest - found.entries() - more.entries())),
                            flawed));
                }
            } catch (SQLException damagedToo) {
                // the one before it may be whole
            }
        }
        return Optional.empty();
    }

    /**
     * Puts it right, with no other program at the logbook.
     *
     * @throws LogbookException where that cannot be done; then everything lies as before
     */
    public Done run(Offer offer, Instant now) {
        try (InUse alone = InUse.alone(folder)) {
            if (Exchange.isBegun(folder)) {
                Exchange.finish(folder);
            }
            Path fresh = folder.resolve(Exchange.FRESH);
            PrivateFiles.delete(fresh);
            PrivateFiles.createFolder(fresh);
            Path aside = aside(now);
            try {
                Made made = made(offer, fresh);
                long leftOver = keepLeftOver(made.verified(), aside);
                Exchange.run(folder, aside);
                return new Done(made.verified().entries(), made.back(), aside, leftOver);
            } finally {
                if (!Exchange.isBegun(folder)) {
                    PrivateFiles.delete(fresh);
                }
            }
        } catch (IOException | SQLException e) {
            throw new LogbookException(
                    "the logbook could not be restored: is there room on the disk for another copy, and may " + folder
                            + " be written to?",
                    e);
        }
    }

    private Path aside(Instant now) {
        Path aside = folder.resolve(ASIDE + STAMP.format(now));
        for (int n = 2; Files.exists(aside); n++) {
            aside = folder.resolve(ASIDE + STAMP.format(now) + "-" + n);
        }
        return aside;
    }

    private record Made(Verification verified, long back) {}

    /** Makes the fresh file and checks it as a whole. */
    private Made made(Offer offer, Path fresh) throws IOException, SQLException {
        if (offer.backup().isPresent()) {
            Path place = fresh.resolve(Database.NAME);
            PrivateFiles.createIfMissing(place);
            try (var out = Files.newOutputStream(place)) {
                Files.copy(offer.backup().get().file(), out);
            }
        }
        long back;
        Verification verified;
        try (Logbook logbook = Logbook.open(fresh, procedures)) {
            Salvage damaged = new Salvage(file);
            back = damaged.takeBackInto(logbook, BATCH);
            damaged.draftsInto(logbook);
            verified = logbook.verify(List.of());
        }
        long promised = offer.entries() + offer.back();
        if (!verified.holds() || verified.entries() < promised) {
            throw new LogbookException("nothing was changed: what could be put back is not whole ("
                    + verified.entries() + " of " + promised + " entries"
                    + (verified.holds() ? "" : ", " + verified.flaws().get(0)) + ")");
        }
        return new Made(verified, back);
    }

    /** Entries of the damaged file that can be read but do not follow the last one that came back, kept to be read. */
    private long keepLeftOver(Verification verified, Path aside) throws IOException {
        Path making = folder.resolve(Exchange.FRESH).resolve(LEFT_OVER);
        long[] count = {0};
        PrivateFiles.createIfMissing(making);
        try (Writer out = Files.newBufferedWriter(making, StandardCharsets.UTF_8)) {
            new Salvage(file).each(verified.entries(), stored -> {
                out.write(new String(stored.bytes(), StandardCharsets.UTF_8).replace('\n', ' ') + "\n");
                count[0]++;
            });
        }
        if (count[0] > 0) {
            PrivateFiles.createFolder(aside);
            Files.move(making, aside.resolve(LEFT_OVER));
        }
        return count[0];
    }
}
