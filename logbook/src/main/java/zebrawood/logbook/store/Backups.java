package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Copies of a logbook in its folder {@code backups}: each is checked as a whole before it counts. The newest few are
 * kept, then one a day for a week, one a week for a month, one a month for a year.
 */
public final class Backups {

    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern(
                    "'logbook-'uuuuMMdd'T'HHmmss'Z'", Locale.ROOT)
            .withZone(ZoneOffset.UTC);
    private static final String FLAWED = "-flawed";
    /** the newest are kept whatever their age: somebody may have been away for a year */
    private static final int NEWEST = 3;
    /** one a day is lost work that can be done again */
    private static final Duration DAY = Duration.ofHours(24);
    /** a flawed copy may be the disk's fault of the moment; sooner would only wear it */
    private static final Duration AFTER_A_FLAW = Duration.ofHours(6);

    private final Path logbook;
    private final Path folder;

    private static final String MAKING = "making-";

    /** Of two copies the one with more entries is the newer, whatever the clock said when they were made. */
    private static final Comparator<Backup> NEWEST_FIRST =
            Comparator.comparing(Backup::entries).thenComparing(Backup::at).reversed();

    /**
     * A copy.
     *
     * @param at when it was made, by the clock of then
     * @param whole whether everything in it held when it was made
     * @param entries how many it holds; 0 where it cannot be read
     */
    public record Backup(Path file, Instant at, boolean whole, long entries) {}

    /** @param folder of the logbook */
    public Backups(Path folder) {
        this.logbook = folder.resolve(Database.NAME);
        this.folder = folder.resolve("backups");
    }

    /** Those that held when they were made and are not empty, the one with the most entries first. */
    List<Backup> whole() {
        return list().stream()
                .filter(backup -> backup.whole() && backup.entries() > 0)
                .toList();
    }

    /** All there are, those with the most entries first. */
    public List<Backup> list() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(file -> backup(file).stream())
                    .sorted(NEWEST_FIRST)
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    private static Optional<Backup> backup(Path file) {
        String name = file.getFileName().toString();
        if (!name.endsWith(".db")) {
            return Optional.empty();
        }
        String stem = name.substring(0, name.length() - 3);
        boolean flawed = stem.endsWith(FLAWED);
        try {
            Instant at = NAME.parse(flawed ? stem.substring(0, stem.length() - FLAWED.length()) : stem, Instant::from);
            return Optional.of(new Backup(file, at, !flawed, entries(file)));
        } catch (DateTimeException another) {
            return Optional.empty();
        }
    }

    private static long entries(Path file) {
        try (Connection copy = Database.readOnly(file).getConnection();
                PreparedStatement last = copy.prepareStatement("select max(position) from shop_chain");
                ResultSet row = last.executeQuery()) {
            return row.next() ? row.getLong(1) : 0;
        } catch (SQLException unreadable) {
            return 0;
        }
    }

    /**
     * Makes one where no whole one is of the last day; the old ones are thinned. A flawed one does not count as the
     * day's: another is tried after some hours, as the flaw may have been mended. One that a wrong clock dated into the
     * future counts for no day.
     *
     * @param now by the true clock, not one that is set for a picture or a trial
     */
    public Optional<Backup> daily(Instant now) {
        boolean recent = list().stream()
                .anyMatch(backup -> !backup.at().isAfter(now)
                        && backup.at().isAfter(now.minus(backup.whole() ? DAY : AFTER_A_FLAW)));
        if (recent || !Files.exists(logbook) || entries(logbook) == 0) {
            return Optional.empty();
        }
        Backup made = make(now);
        thin(now);
        return Optional.of(made);
    }

    /**
     * Copies the logbook as it stands, checks copy and logbook, and only then gives the copy its name.
     *
     * @throws LogbookException where there is no room for it, or it cannot be written
     */
    public Backup make(Instant now) {
        Path making =
                folder.resolve(MAKING + ProcessHandle.current().pid() + "-" + System.identityHashCode(this) + ".db");
        try {
            PrivateFiles.createFolder(folder);
            deleteLeftOver();
            Files.deleteIfExists(making);
            PrivateFiles.createIfMissing(making);
            copy(making);
            Verification copied = Verification.of(Database.readOnly(making), List.of(), checked -> {});
            Flaws.remember(logbook.getParent(), copied.with(BesideTheRecord.flaws(Database.source(logbook))));
            PrivateFiles.sync(making);
            Path file = named(making, now, copied.holds());
            PrivateFiles.sync(folder);
            return new Backup(file, now.truncatedTo(ChronoUnit.SECONDS), copied.holds(), copied.entries());
        } catch (IOException | SQLException e) {
            deleteQuietly(making);
            throw new LogbookException("no backup could be made in " + folder + ": " + Database.inWords(e), e);
        }
    }

    /** Gives a copy its name; one that another program made in the same second keeps its own. */
    private Path named(Path making, Instant now, boolean whole) throws IOException {
        for (Instant at = now; ; at = at.plusSeconds(1)) {
            Path file = folder.resolve(NAME.format(at) + (whole ? "" : FLAWED) + ".db");
            try {
                Files.createLink(file, making);
                Files.delete(making);
                return file;
            } catch (FileAlreadyExistsException taken) {
                // the next second is free
            } catch (UnsupportedOperationException noLinks) {
                return Files.move(making, file);
            }
        }
    }

    /** What a program that was killed left half made. */
    private void deleteLeftOver() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            files.filter(file -> {
                        String name = file.getFileName().toString();
                        String pid = name.startsWith(MAKING) ? name.split("-")[1] : "";
                        return name.equals("making.db")
                                || pid.matches("\\d{1,10}")
                                        && ProcessHandle.of(Long.parseLong(pid)).isEmpty();
                    })
                    .forEach(Backups::deleteQuietly);
        }
    }

    /** One reading of the whole logbook, whoever records meanwhile. */
    private void copy(Path to) throws SQLException {
        try (Connection connection = Database.source(logbook).getConnection();
                PreparedStatement copy = connection.prepareStatement("vacuum into ?")) {
            copy.setString(1, to.toString());
            copy.execute();
        }
    }

    /**
     * Deletes those that nobody would miss, of whole ones and of flawed ones one at the most: a clock that is wrong for
     * a day, or for years, cannot empty the folder. No whole one goes for a flawed one.
     */
    void thin(Instant now) {
        List<Backup> all = list();
        List<Backup> whole = all.stream()
                .filter(backup -> backup.whole() && backup.entries() > 0)
                .toList();
        List<Backup> kept = kept(whole, now);
        List<Backup> flawed = all.stream()
                .filter(backup -> !whole.contains(backup))
                .sorted(Comparator.comparing(Backup::at).reversed())
                .toList();
        Stream.concat(
                        whole.stream()
                                .filter(backup -> !kept.contains(backup))
                                .reduce((newer, older) -> older)
                                .stream(),
                        flawed.stream().skip(NEWEST).reduce((newer, older) -> older).stream())
                .forEach(backup -> deleteQuietly(backup.file()));
    }

    /**
     * Of these, the newest first: the newest few, then one a day for a week, one a week for a month, one a month for a
     * year.
     */
    private static List<Backup> kept(List<Backup> all, Instant now) {
        Set<String> filled = new HashSet<>();
        List<Backup> kept = new ArrayList<>();
        for (Backup backup : all) {
            long days = ChronoUnit.DAYS.between(backup.at(), now);
            var day = backup.at().atOffset(ZoneOffset.UTC).toLocalDate();
            String slot = days < 7
                    ? "day " + day
                    : days < 31
                            ? "week " + day.get(IsoFields.WEEK_BASED_YEAR) + " "
                                    + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR)
                            : days < 366 ? "month " + day.getYear() + " " + day.getMonthValue() : "";
            if (kept.size() < NEWEST || !slot.isEmpty() && filled.add(slot)) {
                kept.add(backup);
            }
        }
        return kept;
    }

    private static void deleteQuietly(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException stays) {
            // it is tried again next time
        }
    }
}
