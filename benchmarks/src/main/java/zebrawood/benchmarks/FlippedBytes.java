package zebrawood.benchmarks;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Change;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Verification;

/**
 * One byte flipped in the database file, at seeded places within the stored columns and bytes of entries and within
 * attachments: is it found, and is its entry named? Damage anywhere else: is it told, or does it change nothing that is
 * shown? And is a chain that was rewritten as a whole caught by a hash on paper?
 */
final class FlippedBytes {

    private static final int PLACES = 2_000;

    private FlippedBytes() {}

    /** A stretch of the file that holds one row, and what must be named when a byte of it flips. */
    private record Place(long offset, int length, String named) {}

    static boolean run(String[] words) throws IOException, SQLException {
        int flips = (int) Words.number(words, "--flips", PLACES);
        Path folder = Files.createTempDirectory("zebrawood-flips");
        try {
            new LargeShop(5, 3).fill(folder, 300);
            String head;
            try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
                SplittableRandom random = new SplittableRandom(4);
                for (int i = 0; i < 6; i++) {
                    byte[] photo = new byte[1_500 + random.nextInt(3_000)];
                    random.nextBytes(photo);
                    logbook.append(
                            "machine-0001",
                            new Body.Happened(Change.KNOCKED, "photo " + i),
                            Optional.empty(),
                            List.of(new NewAttachment("photo.jpg", photo)),
                            LargeShop.stamp(Instant.parse("2031-03-14T09:30:00Z")));
                }
                head = logbook.head().hash();
            }
            boolean found = flip(folder.resolve("logbook.db"), flips);
            return anywhere(folder, flips) & rewritten(folder, head) && found;
        } finally {
            Words.delete(folder);
        }
    }

    /** The same in whatever page of the file: entries, indexes, the schema, free space. */
    private static boolean anywhere(Path folder, int damages) throws IOException {
        AttackOnFile file = new AttackOnFile(folder.resolve("anywhere"));
        List<String> wrong = new ArrayList<>();
        for (int n = 0; n < damages; n++) {
            Path run = Files.createDirectories(folder.resolve("run"));
            wrong.addAll(file.anywhere(n, run));
            Words.delete(run);
        }
        System.out.printf(
                Locale.ROOT,
                "%d seeded damages anywhere in the file, %d of them neither told nor harmless: %s%n",
                damages,
                wrong.size(),
                file.anywhereInWords());
        return wrong.isEmpty();
    }

    private static boolean flip(Path file, int flips) throws IOException, SQLException {
        List<Place> places = places(file);
        SplittableRandom random = new SplittableRandom(20310314);
        int found = 0;
        int named = 0;
        List<String> missed = new ArrayList<>();
        for (int i = 0; i < flips; i++) {
            Place place = places.get(random.nextInt(places.size()));
            long at = place.offset() + random.nextInt(place.length());
            int flip = 1 + random.nextInt(255);
            flip(file, at, flip);
            try (Logbook logbook = Logbook.open(file.getParent(), Catalogue.procedures())) {
                Verification verification = logbook.verify(List.of());
                found += verification.holds() ? 0 : 1;
                boolean names = verification.flaws().stream()
                        .anyMatch(flaw -> flaw.toString().contains(place.named()));
                named += names ? 1 : 0;
                if (!names && missed.size() < 5) {
                    missed.add(place + " at " + (at - place.offset()) + ": "
                            + verification.flaws().stream().limit(2).toList());
                }
            }
            flip(file, at, flip);
        }
        System.out.printf(
                Locale.ROOT,
                "one byte flipped at %d seeded places in %d rows of entries and attachments: found %d times, the "
                        + "entry named %d times%n",
                flips,
                places.size(),
                found,
                named);
        missed.forEach(words -> System.out.println("  missed: " + words));
        return found == flips && named == flips;
    }

    private static void flip(Path file, long at, int by) throws IOException {
        try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "rw")) {
            bytes.seek(at);
            int old = bytes.read();
            bytes.seek(at);
            bytes.write(old ^ by);
        }
    }

    /** Where rows lie in the file: what a row's columns look like beside each other is looked for as it is. */
    private static List<Place> places(Path file) throws IOException, SQLException {
        String whole = new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
        List<Place> places = new ArrayList<>();
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = connection.createStatement()) {
            try (ResultSet row = statement.executeQuery(
                    "select e.machine_id, number, position, stands_at, corrects, kind, stop, verdict, fired, "
                            + "initials, recorded_at, previous, hash, bytes, name"
                            + " from entry e join machine m on m.id = e.machine_id")) {
                while (row.next()) {
                    ByteArrayOutputStream columns = new ByteArrayOutputStream();
                    for (int column = 1; column <= 13; column++) {
                        String text = row.getString(column);
                        if (text != null) {
                            columns.writeBytes(
                                    column >= 2 && column <= 5 || column == 9
                                            ? whole(Long.parseLong(text))
                                            : text.getBytes(StandardCharsets.UTF_8));
                        }
                    }
                    String named = row.getString(15) + " no. " + row.getInt(2);
                    add(places, whole, columns.toByteArray(), named);
                    byte[] bytes = row.getBytes(14);
                    // a page holds the beginning of a long row; what goes on elsewhere is not looked for
                    add(places, whole, Arrays.copyOf(bytes, Math.min(bytes.length, 300)), named);
                }
            }
            try (ResultSet row = statement.executeQuery("select bytes from attachment_part")) {
                while (row.next()) {
                    byte[] bytes = row.getBytes(1);
                    add(
                            places,
                            whole,
                            Arrays.copyOfRange(bytes, bytes.length - 400, bytes.length),
                            "attachment of Unit 001");
                }
            }
        }
        return places;
    }

    private static void add(List<Place> places, String whole, byte[] row, String named) {
        String looked = new String(row, StandardCharsets.ISO_8859_1);
        int at = whole.indexOf(looked);
        // what stands twice has a stale copy in a page that was divided; which of them counts cannot be told from here
        if (at >= 0 && whole.indexOf(looked, at + 1) < 0) {
            places.add(new Place(at, row.length, named));
        }
    }

    /** A whole number as it is stored: nothing for 0 and 1, else as few bytes as hold it. */
    private static byte[] whole(long number) {
        if (number == 0 || number == 1) {
            return new byte[0];
        }
        byte[] least = BigInteger.valueOf(number).toByteArray();
        return least;
    }

    /** Somebody makes the whole logbook anew with one figure changed: only a hash on paper tells. */
    private static boolean rewritten(Path folder, String head) throws IOException {
        Path forged = Files.createTempDirectory("zebrawood-forged");
        try (Logbook old = Logbook.open(folder, Catalogue.procedures());
                Logbook made = Logbook.open(forged, Catalogue.procedures())) {
            boolean[] changed = {false};
            made.together(() -> old.stored(old.head().entries(), stored -> {
                var entry = old.read(stored);
                Body body = entry.body();
                if (!changed[0] && body instanceof Body.Happened) {
                    body = new Body.Happened(Change.KNOCKED, "never happened");
                    changed[0] = true;
                }
                made.append(entry.place().machineId(), body, entry.stamp());
            }));
            boolean wholeAlone = made.verify(List.of()).holds();
            boolean caught = !made.verify(List.of(head)).holds();
            System.out.println("a chain rewritten as a whole: verify alone says " + (wholeAlone ? "whole" : "not whole")
                    + ", with the hash on paper (--expect) " + (caught ? "not whole" : "whole"));
            return wholeAlone && caught;
        } finally {
            Words.delete(forged);
        }
    }
}
