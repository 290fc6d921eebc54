package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.locks.LockSupport;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Restore;

/** A restore that is killed, raced or called for: at no moment is anything lost. */
final class AttackOnRestore {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    /** a restore of so small a shop is done by then */
    private static final long LONGEST_NANOS = 1_400_000_000L;

    private final Path cut;
    private final Path bent;
    private final Path whole;
    private final long ofCut;
    private final long ofWhole;

    AttackOnRestore(Path folder) throws IOException, SQLException {
        whole = folder.resolve("whole");
        new LargeShop(5, 3).fill(whole, 700);
        new Backups(whole).make(NOW);
        try (Logbook logbook = Logbook.open(whole, Catalogue.procedures())) {
            new LargeShop(9, 3).append(logbook, 1, LargeShop.stamp(NOW));
            ofWhole = logbook.head().entries();
        }
        cut = copy(whole, folder.resolve("cut"));
        try (RandomAccessFile file =
                new RandomAccessFile(cut.resolve("logbook.db").toFile(), "rw")) {
            file.setLength(file.length() * 2 / 3);
        }
        bent = copy(whole, folder.resolve("bent"));
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + bent.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.executeUpdate("drop index entry_by_stop");
        }
        Path tried = copy(cut, folder.resolve("tried"));
        Restore restore = new Restore(tried, Catalogue.procedures());
        ofCut = restore.run(restore.offer().orElseThrow(), NOW).entries();
    }

    private static Path copy(Path from, Path to) throws IOException {
        Files.createDirectories(to.resolve("backups"));
        Files.copy(from.resolve("logbook.db"), to.resolve("logbook.db"));
        for (Backups.Backup backup : new Backups(from).list()) {
            Files.copy(
                    backup.file(), to.resolve("backups").resolve(backup.file().getFileName()));
        }
        return to;
    }

    List<String> killed(int n, Path folder) throws Exception {
        boolean ofIndex = n % 2 == 0;
        long wanted = ofIndex ? ofWhole : ofCut;
        Path shop = copy(ofIndex ? bent : cut, folder.resolve("shop"));
        long until = System.nanoTime() + new SplittableRandom(n).nextLong(LONGEST_NANOS);
        try (Child child = Child.start(Map.of(), Child.COMMANDS, "restore", "--yes", "--data", shop.toString())) {
            while (System.nanoTime() < until) {
                LockSupport.parkNanos(1_000_000);
            }
            child.kill();
            child.end();
        }
        try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
            if (logbook.head().entries() == wanted && logbook.verify(List.of()).holds()) {
                return List.of();
            }
        } catch (DamagedLogbookException notBegun) {
            // then it is done again below
        }
        Restore restore = new Restore(shop, Catalogue.procedures());
        Restore.Done done = restore.run(restore.offer().orElseThrow(), NOW);
        try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
            return done.entries() == wanted && logbook.verify(List.of()).holds()
                    ? List.of()
                    : List.of("holds " + done.entries() + " of " + wanted + " entries");
        }
    }

    /** What was confirmed is there afterwards, whichever of the two came first. */
    List<String> whileRecorded(int n, Path folder) throws Exception {
        Path shop = copy(bent, folder.resolve("shop"));
        try (Child child = Child.record(shop)) {
            BufferedReader answers = child.out();
            int confirmed = 0;
            String refusal = "";
            for (int i = 0; i < 10 + n; i++) {
                child.in().write(SmallShop.worksheet(i).getBytes(StandardCharsets.UTF_8));
                child.in().flush();
                String answer = answers.readLine();
                confirmed += answer != null && SmallShop.confirmed(answer).isPresent() ? 1 : 0;
                if (i == 5) {
                    Restore restore = new Restore(shop, Catalogue.procedures());
                    try {
                        restore.run(restore.offer().orElseThrow(), NOW);
                    } catch (LogbookException refused) {
                        refusal = refused.getMessage();
                    }
                }
            }
            child.in().close();
            child.end();
            if (!refusal.contains("zebrawood record (process ")) {
                return List.of("a restore beside a recording said: " + refusal);
            }
            try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
                long there = logbook.head().entries() - ofWhole;
                return confirmed == 10 + n && there == confirmed
                        ? List.of()
                        : List.of(confirmed + " were confirmed, " + there + " are there");
            }
        }
    }

    List<String> missing(int n, Path folder) throws IOException {
        Path shop = copy(whole, folder.resolve("shop"));
        Files.delete(shop.resolve("logbook.db"));
        if (n % 2 == 0) {
            Files.createFile(shop.resolve("logbook.db"));
        }
        try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
            return List.of("taken for a new shop");
        } catch (DamagedLogbookException told) {
            Restore restore = new Restore(shop, Catalogue.procedures());
            Optional<Restore.Offer> offer = restore.offer();
            return offer.isPresent() && restore.run(offer.get(), NOW).entries() == ofWhole - 1
                    ? List.of()
                    : List.of("its backup was not put back");
        }
    }

    List<String> wrongClock(int n, Path folder) throws IOException {
        Path shop = copy(whole, folder.resolve("shop"));
        Backups backups = new Backups(shop);
        for (int day = 1; day < 8; day++) {
            backups.daily(NOW.plus(Duration.ofDays(day)));
        }
        int before = backups.list().size();
        Instant wrong = NOW.plus(Duration.ofDays(400L * (n + 1)));
        backups.daily(wrong);
        boolean kept = backups.list().size() >= before;
        boolean again = backups.daily(NOW.plus(Duration.ofDays(9))).isPresent();
        return kept && again ? List.of() : List.of(kept ? "no backup is made any more" : "good ones were thinned");
    }
}
