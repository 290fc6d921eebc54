package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
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

    /**
     * A copy.
     *
     * @param at when it was made
     * @param whole whether everything in it held when it was made
     */
    public record Backup(Path file, Instant at, boolean whole) {}

    /** @param folder of the logbook */
    public Backups(Path folder) {
        this.logbook = folder.resolve(Database.NAME);
        this.folder = folder.resolve("backups");
    }

    /** All there are, the newest first. */
    public List<Backup> list() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(file -> backup(file).stream())
                    .sorted(Comparator.comparing(Backup::at).reversed())
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
            return Optional.of(new Backup(file, at, !flawed));
        } catch (DateTimeException another) {
            return Optional.empty();
        }
    }

    /**
     * Makes one where the newest whole one is a day old or there is none; the old ones are thinned. A flawed one does
     * not count as the day's: another is tried after some hours, as the flaw may have been mended.
     */
    public Optional<Backup> daily(Instant now) {
        boolean recent =
                list().stream().anyMatch(backup -> backup.at().isAfter(now.minus(backup.whole() ? DAY : AFTER_A_FLAW)));
        if (recent || !Files.exists(logbook)) {
            return Optional.empty();
        }
        Backup made = make(now);
        thin(now);
        return Optional.of(made);
    }

    /**
     * Copies the logbook as it stands, checks the copy, and only then gives it its name.
     *
     * @throws LogbookException where there is no room for it, or it cannot be written
     */
    public Backup make(Instant now) {
        Path making = folder.resolve("making.db");
        try {
            Files.createDirectories(folder);
            Files.deleteIfExists(making);
            copy(making);
            boolean whole;
            try (Connection copied = Database.readOnly(making).getConnection()) {
                whole = Verification.of(copied, List.of(), checked -> {}).holds();
            }
            sync(making);
            Path file = folder.resolve(NAME.format(now) + (whole ? "" : FLAWED) + ".db");
            Files.move(making, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            return new Backup(file, now.truncatedTo(ChronoUnit.SECONDS), whole);
        } catch (IOException | SQLException e) {
            deleteQuietly(making);
            throw new LogbookException("no backup could be made in " + folder + ": " + Database.inWords(e), e);
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

    static void sync(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /**
     * Deletes those that nobody would miss. Whole ones and flawed ones are thinned apart: no whole one goes for a
     * flawed one.
     */
    void thin(Instant now) {
        List<Backup> all = list();
        List<Backup> whole = all.stream().filter(Backup::whole).toList();
        List<Backup> flawed = all.stream().filter(backup -> !backup.whole()).toList();
        whole.stream()
                .filter(backup -> !kept(whole, now).contains(backup))
                .forEach(backup -> deleteQuietly(backup.file()));
        flawed.stream().skip(NEWEST).forEach(backup -> deleteQuietly(backup.file()));
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
