package zebrawood.benchmarks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.MachineStatuses;
import zebrawood.core.route.Route;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;

/** 500 machines, ten years, five million entries: what a person waits for, appending beside bare SQLite, verifying. */
final class LogbookSpeed {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    private static final double MOST_MILLIS = 100;
    private static final int ROUNDS = 5;
    private static final int COLD = 20;
    /** entries a second that verify is to manage on a large shop */
    private static final double LEAST_VERIFIED = 50_000;

    private static final int BLOCKS = 40;
    private static final int BLOCK = 100;

    private final Path folder;
    private final LargeShop shop;
    private final SplittableRandom random = new SplittableRandom(20310314);
    private boolean kept = true;

    private LogbookSpeed(Path folder, LargeShop shop) {
        this.folder = folder;
        this.shop = shop;
    }

    /** @param words {@code [--entries N] [--machines N] [--keep DIR]} */
    static boolean run(String[] words) throws IOException, SQLException, InterruptedException {
        long entries = Words.number(words, "--entries", 5_000_000);
        int machines = (int) Words.number(words, "--machines", 500);
        Optional<String> keep = Words.text(words, "--keep");
        Path folder = keep.isPresent() ? Path.of(keep.get()) : Files.createTempDirectory("zebrawood-large");
        try {
            LargeShop shop = new LargeShop(7, machines);
            long start = System.nanoTime();
            shop.fill(folder, entries);
            System.out.printf(
                    Locale.ROOT,
                    "made: %d machines, %d entries, %.0f s, %.2f GB%n",
                    machines,
                    entries,
                    (System.nanoTime() - start) / 1e9,
                    Files.size(folder.resolve("logbook.db")) / 1e9);
            return new LogbookSpeed(folder, shop).measure();
        } finally {
            if (keep.isEmpty()) {
                Words.delete(folder);
            }
        }
    }

    private boolean measure() throws IOException, SQLException, InterruptedException {
        double before = Timings.usedMb();
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            shop(logbook);
            route(logbook);
            page(logbook);
            difference(logbook);
            search(logbook);
        }
        System.out.printf(
                Locale.ROOT, "memory in use: %.0f MB before, %.0f MB after all that%n", before, Timings.usedMb());
        append();
        verify();
        return kept;
    }

    /** Drops what the machine keeps of the shop's files in its memory, as coreutils' dd can for files of one's own. */
    private void forget() {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file :
                    files.filter(each -> each.toString().contains(".db")).toList()) {
                new ProcessBuilder(
                                "dd", "of=" + file, "oflag=nocache", "conv=notrunc,fdatasync", "count=0", "status=none")
                        .inheritIO()
                        .start()
                        .waitFor();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void told(String what, double cold, Timings warm) {
        kept &= warm.percentile(95) < MOST_MILLIS;
        System.out.printf(Locale.ROOT, "%s: cold %.0f ms; warm %s%n", what, cold, warm);
        System.out.flush();
    }

    /** All machines' states; each time some other program has recorded something on one of them. */
    private void shop(Logbook logbook) {
        MachineStatuses standings = new MachineStatuses(new Route(Catalogue.procedures()));
        Runnable all = () -> {
            List<MachineStatus> read = standings.of(logbook.histories(), NOW, ZoneOffset.UTC);
            if (Route.next(read).isEmpty()) {
                throw new IllegalStateException("nothing to do in a whole shop");
            }
        };
        forget();
        double cold = new Timings().of(all);
        Timings warm = new Timings();
        try (Logbook other = Logbook.open(folder, Catalogue.procedures())) {
            for (int i = 0; i < 100; i++) {
                shop.append(other, random.nextInt(20), LargeShop.stamp(NOW));
                warm.of(all);
            }
        }
        told("Shop", cold, warm);
    }

    /** Does some once, each with nothing of the shop in the machine's memory, then all of them again and again. */
    private void each(String what, List<Runnable> all) {
        Timings cold = new Timings();
        Timings warm = new Timings();
        for (Runnable each : all.subList(0, Math.min(COLD, all.size()))) {
            forget();
            cold.of(each);
        }
        // what was cold is read again before anything warm is timed
        all.forEach(Runnable::run);
        for (int round = 0; round < ROUNDS; round++) {
            all.forEach(warm::of);
        }
        told(what, cold.percentile(95), warm);
    }

    private void route(Logbook logbook) {
        Route route = new Route(Catalogue.procedures());
        List<Runnable> all = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            String machine = shop.machines().get(random.nextInt(shop.machines().size()));
            int which = random.nextInt(3);
            all.add(() -> {
                MachineStatus status = route.status(logbook.history(machine), NOW, ZoneOffset.UTC);
                String stop =
                        status.stops().get(which % status.stops().size()).card().id();
                logbook.readings(machine, stop, 12);
                logbook.findDraft(machine, stop);
            });
        }
        each("one Route with a stop's last times", all);
    }

    private void page(Logbook logbook) {
        String[] stops = {"site-climate", "focus-ramp", "controller-settings", "first-light", "event", "work", "point"};
        List<Runnable> all = new ArrayList<>();
        long newest = logbook.head().entries();
        for (int i = 0; i < 80; i++) {
            Optional<String> machine = random.nextBoolean()
                    ? Optional.of(
                            shop.machines().get(random.nextInt(shop.machines().size())))
                    : Optional.empty();
            Optional<String> stop =
                    random.nextBoolean() ? Optional.of(stops[random.nextInt(stops.length)]) : Optional.empty();
            Optional<Verdict> verdict = random.nextInt(3) == 0
                    ? Optional.of(Verdict.values()[random.nextInt(Verdict.values().length)])
                    : Optional.empty();
            long from = random.nextBoolean() ? Long.MAX_VALUE : random.nextLong(1, newest);
            all.add(() -> logbook.tape(new TapeFilter(machine, stop, verdict), from, 80));
        }
        each("a Logbook page, any filter, any place", all);
    }

    private void difference(Logbook logbook) {
        List<Runnable> all = new ArrayList<>();
        while (all.size() < 60) {
            String machine = shop.machines().get(random.nextInt(shop.machines().size()));
            List<TapeLine> works = logbook.tape(
                    new TapeFilter(Optional.of(machine), Optional.of("work"), Optional.empty()),
                    random.nextLong(1000, logbook.head().entries()),
                    60);
            if (works.size() > 1) {
                Entry one = works.get(0).entry();
                Entry other = works.get(random.nextInt(1, works.size())).entry();
                all.add(() -> logbook.compare(one, other));
            }
        }
        each("What was different?", all);
    }

    private void search(Logbook logbook) {
        long start = System.nanoTime();
        long taken = logbook.prepareSearch(Long.MAX_VALUE);
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "search index: %d entries in %.0f s, %.3f ms an entry, apart from recording%n",
                taken,
                seconds,
                1e3 * seconds / Math.max(1, taken));
        String[] typed = {
            "gap 6.8",
            "beech",
            "unit 017 sooty",
            "poplar ply b12",
            "RV 2029-05",
            "soot lens",
            "mirror",
            "FAIL climate",
            "perfect 10",
            "acrylic black 6.5",
            "B4711",
            "ticket 99",
            "settings unit 4",
            "14 mar 2027",
            "zzz",
            "order part 7",
            "not through steel",
            "2025"
        };
        List<Runnable> all = new ArrayList<>();
        for (String words : typed) {
            for (int end = 1; end <= words.length(); end++) {
                Optional<String> begun = Optional.of(words.substring(0, end));
                all.add(() -> logbook.tape(
                        new TapeFilter(Optional.empty(), Optional.empty(), Optional.empty(), begun),
                        Long.MAX_VALUE,
                        80));
            }
        }
        each("search, a keystroke", all);
    }

    /** Ours and bare SQLite in turn, each block the same rows; one durable commit an entry. */
    private void append() throws IOException, SQLException {
        Path ours = Files.createTempDirectory("zebrawood-ours");
        Path bare = Files.createTempDirectory("zebrawood-bare");
        LargeShop small = new LargeShop(9, 20);
        small.fill(ours, 20_000);
        try (Logbook made = Logbook.open(bare, Catalogue.procedures())) {
            made.head();
        }
        List<Double> ratios = new ArrayList<>();
        double oursSeconds = 0;
        try (Logbook logbook = Logbook.open(ours, Catalogue.procedures());
                BareRows rows = new BareRows(ours, bare)) {
            rows.copyBefore();
            for (int block = 0; block < BLOCKS; block++) {
                List<Runnable> appends = new ArrayList<>();
                for (int i = 0; i < BLOCK; i++) {
                    int machine = random.nextInt(20);
                    var body = small.body(machine);
                    appends.add(() -> logbook.append(small.machines().get(machine), body, LargeShop.stamp(NOW)));
                }
                long start = System.nanoTime();
                appends.forEach(Runnable::run);
                double mine = (System.nanoTime() - start) / 1e9;
                rows.take();
                double theirs = rows.write();
                oursSeconds += mine;
                ratios.add(theirs / mine);
            }
        } finally {
            Words.delete(ours);
            Words.delete(bare);
        }
        double median = ratios.stream().sorted().toList().get(BLOCKS / 2);
        kept &= median >= 0.7;
        System.out.printf(
                Locale.ROOT,
                "append: %.0f entries a second, each durable; %.0f %% of bare SQLite's speed (median of %d blocks "
                        + "of %d, %.0f to %.0f %%)%n",
                BLOCKS * BLOCK / oursSeconds,
                100 * median,
                BLOCKS,
                BLOCK,
                100 * ratios.stream().min(Double::compare).orElseThrow(),
                100 * ratios.stream().max(Double::compare).orElseThrow());
    }

    /** As a user runs it: a process of its own, with all that it takes to begin. */
    private void verify() throws IOException, InterruptedException {
        long entries;
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            entries = logbook.head().entries();
        }
        Child.Ended ended = Child.run(line -> {}, "verify", "--data", folder.toString());
        kept &= ended.status() == 0 && entries / ended.seconds() >= LEAST_VERIFIED;
        System.out.printf(
                Locale.ROOT,
                "verify, a process of its own: %d entries, %s, %.0f s, %.0f a second, %.0f MB resident at the most%n",
                entries,
                ended.status() == 0 ? "whole" : "not whole",
                ended.seconds(),
                entries / ended.seconds(),
                ended.peakMb());
    }

    /** The rows that ours wrote, written with nothing but held statements. */
    private static final class BareRows implements AutoCloseable {
        private static final String COLUMNS =
                "machine_id, number, position, stands_at, corrects, kind, stop, verdict, fired, initials, "
                        + "recorded_at, previous, hash, bytes";
        private final Connection from;
        private final Connection to;
        private final PreparedStatement entry;
        private final PreparedStatement chain;
        private final List<Object[]> entries = new ArrayList<>();
        private final List<Object[]> rows = new ArrayList<>();
        private long taken;

        BareRows(Path ours, Path bare) throws SQLException {
            from = DriverManager.getConnection("jdbc:sqlite:" + ours.resolve("logbook.db"));
            to = DriverManager.getConnection("jdbc:sqlite:" + bare.resolve("logbook.db"));
            run("pragma journal_mode = wal", "pragma synchronous = full", "pragma cache_size = -32000");
            entry = to.prepareStatement(
                    "insert into entry (" + COLUMNS + ") values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)");
            chain = to.prepareStatement(
                    "insert into shop_chain (position, machine_id, number, hash, previous, row_hash) values (?, "
                            + "?, ?, ?, ?, ?)");
        }

        private void run(String... statements) throws SQLException {
            try (Statement statement = to.createStatement()) {
                for (String each : statements) {
                    statement.execute(each);
                }
            }
        }

        /** Brings the bare one to the same size first. */
        void copyBefore() throws SQLException {
            take();
            run("begin immediate");
            for (int i = 0; i < entries.size(); i++) {
                write(i);
            }
            run("commit");
        }

        /** Reads what ours wrote since. */
        void take() throws SQLException {
            entries.clear();
            rows.clear();
            gather("select " + COLUMNS + " from entry where position > " + taken + " order by position", 14, entries);
            gather(
                    "select position, machine_id, number, hash, previous, row_hash from shop_chain where position > "
                            + taken + " order by position",
                    6,
                    rows);
            taken += rows.size();
        }

        private void gather(String query, int columns, List<Object[]> into) throws SQLException {
            try (Statement statement = from.createStatement();
                    ResultSet row = statement.executeQuery(query)) {
                while (row.next()) {
                    Object[] values = new Object[columns];
                    for (int i = 0; i < columns; i++) {
                        values[i] = row.getObject(i + 1);
                    }
                    into.add(values);
                }
            }
        }

        /** Writes them, one durable commit each; seconds. */
        double write() throws SQLException {
            long start = System.nanoTime();
            for (int i = 0; i < entries.size(); i++) {
                run("begin immediate");
                write(i);
                run("commit");
            }
            return (System.nanoTime() - start) / 1e9;
        }

        private void write(int i) throws SQLException {
            bind(entry, entries.get(i));
            bind(chain, rows.get(i));
        }

        private static void bind(PreparedStatement statement, Object[] values) throws SQLException {
            for (int i = 0; i < values.length; i++) {
                statement.setObject(i + 1, values[i]);
            }
            statement.executeUpdate();
        }

        @Override
        public void close() throws SQLException {
            from.close();
            to.close();
        }
    }
}
