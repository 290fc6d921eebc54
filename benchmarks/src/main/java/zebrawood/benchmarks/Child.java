package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Another Java process that runs part of the program, to be watched or killed. */
final class Child implements AutoCloseable {

    /** the main class of all commands */
    static final String COMMANDS = "zebrawood.desktop.command.Zebrawood";

    private static final Pattern PEAK = Pattern.compile("VmHWM:\\s+(\\d+) kB");
    private static final long WATCH_NANOS = 50_000_000;

    private final Process process;
    private final StringBuilder errors = new StringBuilder();
    private final Thread listening;

    private Child(Process process) {
        this.process = process;
        listening = new Thread(() -> {
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(process.getErrorStream(), StandardCharsets.UTF_8))) {
                lines.lines().forEach(line -> {
                    synchronized (errors) {
                        errors.append(line).append('\n');
                    }
                });
            } catch (IOException | UncheckedIOException ended) {
                // the child was killed
            }
        });
        listening.start();
    }

    /** Starts a main class on this benchmark's own class path, as the launcher starts the commands that answer soon. */
    static Child start(Map<String, String> environment, String main, String... arguments) throws IOException {
        return start("record", environment, main, arguments);
    }

    /** {@code record} on a small shop's machine, that takes worksheets from its input. */
    static Child record(Path folder) throws IOException {
        return record(Map.of(), folder);
    }

    /** The same with more in its environment. */
    static Child record(Map<String, String> environment, Path folder) throws IOException {
        return start(
                environment,
                COMMANDS,
                "record",
                "-",
                "--machine",
                SmallShop.MACHINE,
                "--by",
                "RV",
                "--data",
                folder.toString());
    }

    /** The same as the launcher starts the window. */
    static Child window(Map<String, String> environment, String main, String... arguments) throws IOException {
        return start("window", environment, main, arguments);
    }

    /**
     * A command that was run to its end: how long it took, MB resident at the most, and what stood in its error stream.
     */
    record Ended(int status, double seconds, double peakMb, String errors) {}

    /**
     * Runs a command to its end as the launcher starts what goes through whole files; {@code out} takes each line it
     * says.
     */
    static Ended run(Consumer<String> out, String... arguments) throws IOException, InterruptedException {
        long start = System.nanoTime();
        AtomicReference<Double> peak = new AtomicReference<>(0.0);
        try (Child child = start("long", Map.of(), COMMANDS, arguments)) {
            Thread watching = new Thread(() -> {
                while (!Thread.currentThread().isInterrupted()) {
                    peak.accumulateAndGet(peakMb(child.process.pid()), Math::max);
                    LockSupport.parkNanos(WATCH_NANOS);
                }
            });
            watching.setDaemon(true);
            watching.start();
            child.out().lines().forEach(out);
            int status = child.end();
            watching.interrupt();
            return new Ended(status, (System.nanoTime() - start) / 1e9, peak.get(), child.errors());
        }
    }

    private static double peakMb(long pid) {
        try {
            Matcher peak = PEAK.matcher(Files.readString(Path.of("/proc/" + pid + "/status")));
            return peak.find() ? Double.parseDouble(peak.group(1)) / 1e3 : 0;
        } catch (IOException ended) {
            return 0;
        }
    }

    /**
     * What the launcher gives to Java, from its own files.
     *
     * @param kind which of them, beside those for every run
     */
    static List<String> options(String kind) {
        Path launch = Path.of(System.getProperty("zebrawood.launch"));
        List<String> options = new ArrayList<>();
        for (String file : List.of("every", kind, "virtual-screen")) {
            options.add("@" + launch.resolve(file + ".options"));
        }
        // where the driver's library lies, so that no child unpacks one of its own, which a kill would leave behind
        Stream.of("org.sqlite.lib.path", "org.sqlite.tmpdir", "zebrawood.launch")
                .filter(where -> System.getProperty(where) != null)
                .map(where -> "-D" + where + "=" + System.getProperty(where))
                .forEach(options::add);
        return options;
    }

    private static Child start(String kind, Map<String, String> environment, String main, String... arguments)
            throws IOException {
        String archive = System.getenv().getOrDefault("ZEBRAWOOD_ARCHIVE", "");
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        command.addAll(options(kind));
        if (!archive.isEmpty()) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        command.addAll(List.of(
                "-cp",
                System.getProperty("java.class.path")
                        .replace(File.pathSeparator + File.pathSeparator, File.pathSeparator),
                main));
        command.addAll(Arrays.asList(arguments));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().putAll(environment);
        return new Child(builder.start());
    }

    OutputStream in() {
        return process.getOutputStream();
    }

    BufferedReader out() {
        return new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    }

    /** SIGKILL, wherever it is. */
    void kill() {
        process.destroyForcibly();
    }

    int end() throws InterruptedException {
        int status = process.waitFor();
        listening.join();
        return status;
    }

    String errors() {
        synchronized (errors) {
            return errors.toString();
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
