package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Another Java process that runs part of the program, to be watched or killed. */
final class Child implements AutoCloseable {

    private final Process process;
    private final StringBuilder errors = new StringBuilder();
    private final Thread listening;

    private Child(Process process) {
        this.process = process;
        listening = new Thread(() -> {
            try (BufferedReader lines = new BufferedReader(new InputStreamReader(process.getErrorStream(), StandardCharsets.UTF_8))) {
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

    /** Starts a main class on this benchmark's own class path. */
    static Child start(Map<String, String> environment, String main, String... arguments) throws IOException {
        return start("-Xmx256m", environment, main, arguments);
    }

    /** The same with the memory that the window is given. */
    static Child window(Map<String, String> environment, String main, String... arguments) throws IOException {
        return start("-Xmx768m", environment, main, arguments);
    }

    /** Where the driver's library lies, so that no child unpacks one of its own, which a kill would leave behind. */
    static List<String> natives() {
        return Stream.of("org.sqlite.lib.path", "org.sqlite.tmpdir").filter(where -> System.getProperty(where) != null)
                .map(where -> "-D" + where + "=" + System.getProperty(where)).toList();
    }

    private static Child start(String heap, Map<String, String> environment, String main, String... arguments) throws IOException {
        String archive = System.getenv().getOrDefault("ZEBRAWOOD_ARCHIVE", "");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(), heap, "-Xms64m", "-Xmn40m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-XX:CICompilerCount=1", "-Xshare:auto",
                "-Dprism.order=sw", "-Dfile.encoding=UTF-8", "-cp", System.getProperty("java.class.path").replace(File.pathSeparator + File.pathSeparator, File.pathSeparator), main));
        command.addAll(1, natives());
        if (!archive.isEmpty()) {
            command.add(1, "-XX:SharedArchiveFile=" + archive);
        }
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

    long pid() {
        return process.pid();
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
