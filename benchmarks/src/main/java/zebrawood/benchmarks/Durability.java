package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.store.Logbook;

/**
 * Programs killed while they record, power cut at seeded places, and every write or sync failing once: is every entry
 * whose recording was confirmed there afterwards, and does every chain hold?
 */
final class Durability {

    private static final int RUNS_A_SHOP = 100;
    private static final int TOLD = 20;

    private final SmallShop shop = new SmallShop();
    private final List<String> failures = new ArrayList<>();
    private final int workers;

    private Durability(int workers) throws IOException {
        this.workers = workers;
    }

    /** How much is done. */
    record Size(int recordKills, int windowKills, int cuts, int faultsApart) {
        static final Size WHOLE = new Size(1_800, 200, 200, 1);
    }

    static boolean run(String[] words) throws Exception {
        Size size = new Size(
                (int) Words.number(words, "--runs", Size.WHOLE.recordKills()),
                (int) Words.number(words, "--windows", Size.WHOLE.windowKills()),
                (int) Words.number(words, "--cuts", Size.WHOLE.cuts()),
                1);
        return measure(size, 2).isEmpty();
    }

    /** Does all of it; what went wrong. */
    static List<String> measure(Size size, int workers) throws Exception {
        Durability durability = new Durability(workers);
        try {
            durability.killRecord(size.recordKills());
            durability.killWindow(size.windowKills());
            Optional<Path> watcher = watcher();
            if (watcher.isEmpty()) {
                System.out.println(
                        "power cuts and failing writes: left out, there is no C compiler here (cc) to build the "
                                + "watcher with");
            } else {
                durability.cut(watcher.get(), size.cuts());
                durability.fail(watcher.get(), size.faultsApart());
            }
            return durability.failures;
        } finally {
            durability.shop.delete();
        }
    }

    private synchronized void failed(String what, List<String> wrong) {
        for (String why : wrong) {
            failures.add(what + ": " + why);
            if (failures.size() <= TOLD) {
                System.out.println("  " + what + ": " + why);
            }
        }
    }

    private interface Run {
        void run(int n) throws Exception;
    }

    /** Runs side by side, each with its number. */
    private void each(int runs, Run run) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(workers);
        List<Future<?>> all = new ArrayList<>();
        for (int n = 0; n < runs; n++) {
            int number = n;
            all.add(pool.submit(() -> {
                run.run(number);
                return number;
            }));
        }
        pool.shutdown();
        for (Future<?> each : all) {
            each.get();
        }
        pool.awaitTermination(1, TimeUnit.HOURS);
    }

    /** {@code record} fed and killed, again and again on the same shop. */
    private void killRecord(int runs) throws Exception {
        long start = System.nanoTime();
        AtomicLong confirmed = new AtomicLong();
        AtomicLong more = new AtomicLong();
        Map<Integer, Path> folders = new ConcurrentHashMap<>();
        each(runs, n -> {
            SplittableRandom random = new SplittableRandom(n * 31L + 5);
            Path folder;
            synchronized (folders) {
                // one shop a thread and hundred runs: what was killed once is killed again
                int key = (int) (Thread.currentThread().getId() % 1000) * 10_000 + n / RUNS_A_SHOP;
                folder = folders.computeIfAbsent(key, missing -> shop.copy());
            }
            Map<Integer, String> said = new TreeMap<>();
            long before = count(folder);
            try (Child child = Child.record(folder)) {
                Thread feeding = feed(child, random.nextInt(1000));
                int until = 1 + random.nextInt(14);
                long delay = random.nextLong(9_000_000);
                BufferedReader answers = child.out();
                int read = 0;
                for (String line = answers.readLine(); line != null; line = answers.readLine()) {
                    SmallShop.confirmed(line).ifPresent(entry -> said.put(entry.getKey(), entry.getValue()));
                    if (++read == until) {
                        LockSupport.parkNanos(delay);
                        child.kill();
                    }
                }
                child.end();
                feeding.interrupt();
            } catch (IOException pipeBroken) {
                // it was killed while it was read
            }
            confirmed.addAndGet(said.size());
            failed("record run " + n, SmallShop.wrong(folder, said));
            more.addAndGet(count(folder) - before - said.size());
        });
        folders.values().forEach(Words::delete);
        System.out.printf(
                Locale.ROOT,
                "record killed %d times while recording: %d entries confirmed, all there and whole in %d of %d "
                        + "runs; %d more were safe but not yet confirmed; %.0f s%n",
                runs,
                confirmed.get(),
                runs - failures.stream().map(f -> f.split(":")[0]).distinct().count(),
                runs,
                more.get(),
                (System.nanoTime() - start) / 1e9);
    }

    private static long count(Path folder) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            return logbook.head().entries();
        }
    }

    private static Thread feed(Child child, int from) {
        Thread feeding = new Thread(() -> {
            try (OutputStream in = child.in()) {
                for (int n = from; !Thread.currentThread().isInterrupted(); n++) {
                    in.write(SmallShop.worksheet(n).getBytes(StandardCharsets.UTF_8));
                    in.flush();
                }
            } catch (IOException killed) {
                // as was meant
            }
        });
        feeding.setDaemon(true);
        feeding.start();
        return feeding;
    }

    /** The window, typing and recording by itself, killed at any moment. */
    private void killWindow(int runs) throws Exception {
        if (runs == 0) {
            return;
        }
        long start = System.nanoTime();
        AtomicLong confirmed = new AtomicLong();
        AtomicLong drafts = new AtomicLong();
        int before = failures.size();
        each(runs, n -> {
            SplittableRandom random = new SplittableRandom(n * 17L + 3);
            Path folder = shop.copy();
            Map<Integer, String> said = new TreeMap<>();
            TreeMap<Long, Integer> typed = new TreeMap<>();
            long killedAt = Long.MAX_VALUE;
            try (Child child =
                    Child.start(Map.of(), TypingWindow.class.getName(), folder.toString(), String.valueOf(n))) {
                BufferedReader lines = child.out();
                long wait = 100L + random.nextInt(3_400);
                long readyAt = 0;
                Thread killer = null;
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    String[] parts = line.split(" ");
                    if (parts[0].equals("READY")) {
                        killer = new Thread(() -> {
                            LockSupport.parkNanos(wait * 1_000_000);
                            child.kill();
                        });
                        killer.start();
                        readyAt = System.currentTimeMillis();
                    } else if (parts[0].equals("CONFIRMED")) {
                        said.put(Integer.parseInt(parts[1]), "");
                    } else if (parts[0].equals("TYPED")) {
                        typed.put(Long.parseLong(parts[1]), Integer.parseInt(parts[2]));
                    }
                }
                child.end();
                killedAt = readyAt + wait;
                if (killer == null) {
                    failed(
                            "window run " + n,
                            List.of(
                                    child.errors().contains("Unable to open DISPLAY")
                                            ? "the virtual screen took no further window; nothing was recorded "
                                                    + "and nothing killed"
                                            : "it never opened: " + child.errors()));
                }
            } catch (IOException pipeBroken) {
                // it was killed while it was read
            }
            confirmed.addAndGet(said.size());
            List<String> wrong = new ArrayList<>(SmallShop.wrong(folder, said));
            Map.Entry<Long, Integer> last = typed.floorEntry(killedAt - 1_000);
            if (last != null) {
                drafts.incrementAndGet();
                int kept = TypingWindow.keptDraft(folder);
                if (kept < last.getValue()) {
                    wrong.add("the draft kept is no. " + kept + ", but no. " + last.getValue()
                            + " was typed more than a second before");
                }
            }
            failed("window run " + n, wrong);
            Words.delete(folder);
        });
        System.out.printf(
                Locale.ROOT,
                "window killed %d times while typing and recording: %d entries confirmed, all there and whole, %d "
                        + "drafts, none lost beyond its last second, in %d of %d runs; %.0f s%n",
                runs,
                confirmed.get(),
                drafts.get(),
                runs
                        - failures.subList(before, failures.size()).stream()
                                .map(f -> f.split(":")[0])
                                .distinct()
                                .count(),
                runs,
                (System.nanoTime() - start) / 1e9);
    }

    /** The watcher built with the C compiler, where there is one. */
    static Optional<Path> watcher() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("zebrawood-watcher");
        Path source = folder.resolve("watch.c");
        Path library = folder.resolve("watch.so");
        // the last one first
        List.of(folder, source, library).forEach(made -> made.toFile().deleteOnExit());
        try (InputStream in = Durability.class.getResourceAsStream("watch.c")) {
            Files.copy(in, source);
        }
        try {
            Process compiler = new ProcessBuilder(
                            "cc",
                            "-shared",
                            "-fPIC",
                            "-O2",
                            "-o",
                            library.toString(),
                            source.toString(),
                            "-ldl",
                            "-lpthread")
                    .inheritIO()
                    .start();
            return compiler.waitFor() == 0 ? Optional.of(library) : Optional.empty();
        } catch (IOException noCompiler) {
            return Optional.empty();
        }
    }

    /** One watched session of {@code record}: what it wrote, and what it said. */
    private WatchedLog watched(Path watcher, Path folder, int worksheets) throws IOException, InterruptedException {
        Path log = folder.resolveSibling(folder.getFileName() + ".log");
        Map<String, String> watching = Map.of(
                "LD_PRELOAD", watcher.toString(), "WATCH_LOG", log.toString(), "WATCH_FOLDER", folder.toString());
        try (Child child = Child.record(watching, folder)) {
            give(child, worksheets);
            child.out().lines().forEach(answer -> {});
            child.end();
        }
        WatchedLog read = WatchedLog.read(log);
        Files.delete(log);
        return read;
    }

    private static void give(Child child, int worksheets) throws IOException {
        try (OutputStream in = child.in()) {
            for (int n = 0; n < worksheets; n++) {
                in.write(SmallShop.worksheet(n).getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException endedEarly) {
            // it could not even be opened; what it said tells why
        }
    }

    /** Power cut at seeded places: only synced bytes survive, or synced ones and some of the others, torn. */
    private void cut(Path watcher, int cuts) throws Exception {
        Path folder = shop.copy();
        byte[] before = shop.database();
        WatchedLog log = watched(watcher, folder, 300);
        Words.delete(folder);
        List<String> unsynced = log.confirmedBeforeSynced();
        failed("order of writes", unsynced);
        System.out.printf(
                Locale.ROOT,
                "system calls of %d recordings: %d writes, %d syncs; the write-ahead log was synced after its "
                        + "last write before each confirmation in %s%n",
                log.confirmations(),
                log.count('W'),
                log.count('S'),
                unsynced.isEmpty() ? "all of them" : "all but " + unsynced.size());
        AtomicLong confirmed = new AtomicLong();
        int was = failures.size();
        for (boolean torn : new boolean[] {false, true}) {
            each(cuts, n -> {
                SplittableRandom random = new SplittableRandom(n * 7L + (torn ? 1_000_003 : 1));
                Path left = Files.createTempDirectory("zebrawood-cut");
                Map<Integer, String> said = log.cut(
                        1 + random.nextInt(log.size() - 1),
                        before,
                        left,
                        torn ? Optional.of(random) : Optional.empty());
                confirmed.addAndGet(said.size());
                failed("cut " + n + (torn ? " torn" : ""), SmallShop.wrong(left, said));
                Words.delete(left);
            });
        }
        System.out.printf(
                Locale.ROOT,
                "power cut %d times where only synced bytes survive, and %d times where some others do too, torn: "
                        + "%d confirmations before them, all there and whole in %d of %d%n",
                cuts,
                cuts,
                confirmed.get(),
                2L * cuts
                        - failures.subList(was, failures.size()).stream()
                                .map(f -> f.split(":")[0])
                                .distinct()
                                .count(),
                2 * cuts);
    }

    /** Every write, sync and cut of a recording fails once: disk full, and I/O error. */
    private void fail(Path watcher, int apart) throws Exception {
        Path probe = shop.copy();
        int places = watched(watcher, probe, 2).places();
        Words.delete(probe);
        int was = failures.size();
        AtomicLong confirmed = new AtomicLong();
        AtomicLong sentences = new AtomicLong();
        int runs = 2 * ((places + apart - 1) / apart);
        each(runs, n -> {
            int place = 1 + n / 2 * apart;
            String error = n % 2 == 0 ? "full" : "io";
            Path folder = shop.copy();
            Map<Integer, String> said = new TreeMap<>();
            List<String> wrong = new ArrayList<>();
            try (Child child = Child.start(
                    Map.of(
                            "LD_PRELOAD",
                            watcher.toString(),
                            "WATCH_FOLDER",
                            folder.toString(),
                            "WATCH_FAIL",
                            String.valueOf(place),
                            "WATCH_ERROR",
                            error),
                    Child.COMMANDS,
                    "record",
                    "-",
                    "--machine",
                    SmallShop.MACHINE,
                    "--by",
                    "RV",
                    "--data",
                    folder.toString())) {
                give(child, 2);
                List<String> answers = child.out().lines().toList();
                answers.forEach(answer ->
                        SmallShop.confirmed(answer).ifPresent(entry -> said.put(entry.getKey(), entry.getValue())));
                child.end();
                boolean sentence =
                        answers.stream().anyMatch(answer -> answer.contains("\"message\":\"nothing was recorded: "))
                                || child.errors().contains(".");
                if (sentence) {
                    sentences.incrementAndGet();
                } else if (said.size() < 2) {
                    wrong.add("an entry was not recorded and nobody was told");
                }
                if (child.errors().contains("\tat ")) {
                    wrong.add("a trace instead of a sentence: "
                            + child.errors().lines().limit(3).collect(Collectors.joining(" | ")));
                }
            }
            confirmed.addAndGet(said.size());
            wrong.addAll(SmallShop.wrong(folder, said));
            if (wrong.isEmpty()) {
                wrong.addAll(recordsAgain(folder));
            }
            failed(error + " at write " + place, wrong);
            Words.delete(folder);
        });
        System.out.printf(
                Locale.ROOT,
                "each of %d writes, syncs and cuts of a recording failed once as disk full and once as I/O error: "
                        + "%d confirmed and all there, told in a sentence %d times, recorded again after it in %d "
                        + "of %d%n",
                places,
                confirmed.get(),
                sentences.get(),
                runs
                        - failures.subList(was, failures.size()).stream()
                                .map(f -> f.split(":")[0])
                                .distinct()
                                .count(),
                runs);
    }

    private static List<String> recordsAgain(Path folder) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            long before = logbook.head().entries();
            new LargeShop(12, 1).append(logbook, 0, LargeShop.stamp(Instant.parse("2031-03-14T09:30:00Z")));
            return logbook.head().entries() == before + 1
                            && logbook.verify(List.of()).holds()
                    ? List.of()
                    : List.of("nothing could be recorded afterwards");
        }
    }
}
