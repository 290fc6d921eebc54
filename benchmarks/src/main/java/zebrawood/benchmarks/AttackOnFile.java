package zebrawood.benchmarks;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Change;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Restore;

/** Somebody, or a disk, changes the file itself: it is told, or it changes nothing that is shown. */
final class AttackOnFile {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    private static final String NEVER_CHANGED = "CREATE TRIGGER entry_never_changed before update on entry begin select"
            + " raise(abort, 'entries are never changed'); end";
    private static final List<String> COLUMNS = List.of(
            "machine_id",
            "number",
            "position",
            "stands_at",
            "corrects",
            "kind",
            "stop",
            "verdict",
            "fired",
            "initials",
            "recorded_at",
            "previous",
            "hash");
    private static final List<String> OBJECTS = List.of(
            "create trigger t before insert on entry begin select raise(ignore); end",
            "create trigger t after insert on entry begin insert into draft values ('a', 'b', 'c', 'd'); end",
            "create trigger t before insert on shop_chain begin select raise(ignore); end",
            "create view v as select * from entry where verdict <> 'FAIL'",
            "create table other (a integer)",
            "create index i on entry (initials)",
            "drop index entry_by_stop",
            "drop index entry_by_stop_verdict",
            "drop index entry_by_machine_position",
            "drop trigger entry_never_deleted",
            "drop trigger shop_chain_never_changed",
            "drop index entry_by_use; create index entry_by_use on entry (machine_id)");

    private final Path template;
    private final String shown;
    private final long entries;
    private int refused;
    private int told;
    private int harmless;

    AttackOnFile(Path folder) throws IOException {
        template = folder;
        new LargeShop(5, 3).fill(folder, 300);
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            SplittableRandom random = new SplittableRandom(4);
            for (int i = 0; i < 6; i++) {
                byte[] photo = new byte[1_500 + random.nextInt(9_000)];
                random.nextBytes(photo);
                logbook.append(
                        "machine-0001",
                        new Body.Happened(Change.KNOCKED, "photo " + i),
                        Optional.empty(),
                        List.of(new NewAttachment("photo.jpg", photo)),
                        LargeShop.stamp(NOW));
            }
            // what was half typed and dropped leaves free pages behind
            for (int i = 0; i < 5; i++) {
                logbook.keepDraft("machine-0001", "stop-" + i, new Logbook.Draft("x".repeat(9_000), NOW));
            }
            for (int i = 0; i < 5; i++) {
                logbook.dropDraft("machine-0001", "stop-" + i);
            }
            shown = Shown.of(logbook);
            entries = logbook.head().entries();
        }
    }

    private Path copy(Path folder) throws IOException {
        Files.copy(template.resolve("logbook.db"), folder.resolve("logbook.db"));
        return folder;
    }

    private static void change(Path folder, String... statements) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.executeUpdate(each);
            }
        }
    }

    /** Told by verify, put right by restore from the entries themselves, and then all is shown as it was. */
    private List<String> isToldAndPutRight(Path folder) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            if (logbook.verify(List.of()).holds()) {
                return List.of("verify says whole");
            }
        }
        Restore restore = new Restore(folder, Catalogue.procedures());
        Optional<Restore.Offer> offer = restore.offer();
        if (offer.isEmpty()) {
            return List.of("nothing can be restored");
        }
        Restore.Done done = restore.run(offer.get(), NOW);
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            return done.entries() != entries
                    ? List.of("restored " + done.entries() + " of " + entries + " entries")
                    : Shown.of(logbook).equals(shown) ? List.of() : List.of("another state is shown after it");
        }
    }

    List<String> column(int n, Path folder) throws IOException, SQLException {
        SplittableRandom random = new SplittableRandom(n + 17L);
        String column = COLUMNS.get(n % COLUMNS.size());
        List<String> changes = List.of(
                "cast(" + column + " as blob)",
                "coalesce(" + column + ", '') || char(0)",
                "'-1' || coalesce(" + column + ", '')",
                "cast('' as blob)",
                "coalesce(" + column + ", 'x') || 'x'");
        String change = changes.get(random.nextInt(changes.size()));
        long row = 1 + random.nextLong(entries);
        copy(folder);
        String before = stored(folder, column, row);
        change(
                folder,
                "drop trigger entry_never_changed",
                "update entry set " + column + " = " + change + " where rowid = " + row,
                NEVER_CHANGED);
        // a number with something that the database takes off again is the same number
        return stored(folder, column, row).equals(before)
                ? List.of()
                : isToldAndPutRight(folder).stream()
                        .map(why -> why + ": " + column + " = " + change + " at " + row)
                        .toList();
    }

    private static String stored(Path folder, String column, long row) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select typeof(" + column + ") || hex(" + column
                        + ") from entry not indexed where rowid = " + row)) {
            return found.next() ? found.getString(1) : "";
        }
    }

    List<String> object(int n, Path folder) throws IOException, SQLException {
        copy(folder);
        change(folder, OBJECTS.get(n % OBJECTS.size()));
        return isToldAndPutRight(folder);
    }

    /** A flipped byte, some random ones, or a page of nothing, anywhere in the file. */
    List<String> anywhere(int n, Path folder) throws IOException {
        copy(folder);
        SplittableRandom random = new SplittableRandom(20310314L + n);
        try (RandomAccessFile file =
                new RandomAccessFile(folder.resolve("logbook.db").toFile(), "rw")) {
            int kind = random.nextInt(10);
            byte[] damage = new byte[kind < 7 ? 1 : kind < 9 ? 64 : 4_096];
            long at = random.nextLong(file.length() - damage.length);
            at -= damage.length == 4_096 ? at % 4_096 : 0;
            file.seek(at);
            file.readFully(damage);
            if (damage.length == 4_096) {
                damage = new byte[4_096];
            } else {
                for (int i = 0; i < damage.length; i++) {
                    damage[i] ^= (byte) (1 + random.nextInt(255));
                }
            }
            file.seek(at);
            file.write(damage);
        }
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            if (!logbook.verify(List.of()).holds()) {
                told++;
                return List.of();
            }
            if (!Shown.of(logbook).equals(shown)) {
                return List.of("verify says whole, and another state is shown");
            }
            harmless++;
            return List.of();
        } catch (LogbookException damaged) {
            refused++;
            return List.of();
        } catch (RuntimeException foreign) {
            return List.of("ended in " + foreign);
        }
    }

    String anywhereInWords() {
        return "of those damages " + refused + " told at the start, " + told + " by verify, " + harmless
                + " changed nothing that is shown";
    }
}
