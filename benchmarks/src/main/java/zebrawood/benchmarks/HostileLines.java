package zebrawood.benchmarks;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;
import zebrawood.benches.Catalogue;
import zebrawood.core.route.History;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.json.RecordWriter;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.worksheet.Solver;

/**
 * A million plain worksheets, then 200,000 hostile lines: one answer a line, and memory that does not grow. Then the
 * same as a user meets it: a file of every procedure's worksheets, and one of hostile lines, through {@code solve}.
 */
final class HostileLines {

    private static final String GOOD =
            "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":21.4,\"relativeHumidityPct\":46,"
                    + "\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66}}}";
    private static final int PLAIN = 1_000_000;
    private static final int HOSTILE = 200_000;
    private static final int FROM_FILE = 200_000;

    private HostileLines() {}

    static boolean run() throws IOException, InterruptedException {
        boolean plain = measure("plain", PLAIN, n -> (GOOD + "\n").getBytes(StandardCharsets.UTF_8), false);
        SplittableRandom random = new SplittableRandom(7);
        boolean hostile = measure("hostile", HOSTILE, n -> hostile(n, random), true);
        return plain && hostile && wholeProcess();
    }

    /**
     * Files through {@code solve} in a process of its own: every procedure's readings from the demo, then hostile
     * lines.
     */
    private static boolean wholeProcess() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("zebrawood-solve");
        DemoShop.make(folder.resolve("shop"), Catalogue.procedures(), LocalDate.of(2031, 3, 14), "bench");
        List<String> worksheets = worksheets(folder.resolve("shop"));
        boolean kept = file(
                "every procedure's worksheets",
                folder,
                FROM_FILE,
                n -> worksheets.get(n % worksheets.size()).getBytes(StandardCharsets.UTF_8),
                0);
        SplittableRandom random = new SplittableRandom(7);
        kept &= file("hostile lines", folder, HOSTILE, n -> hostile(n, random), 2);
        Words.delete(folder);
        return kept;
    }

    /** A worksheet from the newest reading of each stop of each machine; every procedure is among them. */
    private static List<String> worksheets(Path shop) {
        List<String> lines = new ArrayList<>();
        Set<String> procedures = new HashSet<>();
        try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
            for (History machine : logbook.histories()) {
                machine.readings()
                        .forEach((stop, readings) -> readings.get(0).measured().ifPresent(measured -> {
                            procedures.add(stop);
                            lines.add("{\"procedure\":\"" + stop + "\",\"readings\":"
                                    + RecordWriter.text(measured.readings()) + "}\n");
                        }));
            }
        }
        if (procedures.size() != Catalogue.procedures().size()) {
            throw new IllegalStateException("the demo has readings of " + procedures.size() + " procedures out of "
                    + Catalogue.procedures().size());
        }
        return lines;
    }

    private static boolean file(String what, Path folder, int lines, Lines source, int status)
            throws IOException, InterruptedException {
        Path file = folder.resolve("worksheets.jsonl");
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            for (int n = 0; n < lines; n++) {
                out.write(source.line(n));
            }
        }
        int[] answers = {0, 0};
        Child.Ended ended = Child.run(
                answer -> {
                    answers[0]++;
                    answers[1] += answer.contains("\"error\"") ? 1 : 0;
                },
                "solve",
                file.toString());
        System.out.printf(
                Locale.ROOT,
                "solve, a process of its own, %d %s from a file: exit status %d, %d answers, %d of them refusals, "
                        + "%s, %.1f s, %.0f a second, %.0f MB resident at the most%n",
                lines,
                what,
                ended.status(),
                answers[0],
                answers[1],
                ended.errors().contains("\tat ") ? "a trace" : "no trace",
                ended.seconds(),
                lines / ended.seconds(),
                ended.peakMb());
        return ended.status() == status
                && answers[0] == lines
                && answers[1] == (status == 0 ? 0 : lines)
                && !ended.errors().contains("\tat ");
    }

    private interface Lines {
        byte[] line(int n);
    }

    private static boolean measure(String name, int lines, Lines source, boolean allRefused) throws IOException {
        Counting answers = new Counting();
        long[] most = {0};
        long start = System.nanoTime();
        long refused = new Solver(Catalogue.procedures(), Throwable::printStackTrace)
                .solve(new Streaming(lines, source, most), answers);
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "%s: %d lines, %d answers, %d refused, %.1f s, %.0f a second; least memory in use after a "
                        + "collection up to %.0f MB%n",
                name,
                lines,
                answers.lines,
                refused,
                seconds,
                lines / seconds,
                most[0] / 1e6);
        return answers.lines == lines && refused == (allRefused ? lines : 0);
    }

    private static byte[] hostile(int n, SplittableRandom random) {
        String line = switch (n % 11) {
            case 0 -> GOOD.substring(0, 1 + random.nextInt(GOOD.length() - 1));
            case 1 -> "[".repeat(1 + random.nextInt(20_000));
            case 2 ->
                GOOD.replace("\"relativeHumidityPct\":46", "\"relativeHumidityPct\":46,\"relativeHumidityPct\":47");
            case 3 -> GOOD.replace("airTemperatureC", "airTemperature" + (char) ('a' + random.nextInt(26)));
            case 4 -> GOOD.replace("21.4", "1e999");
            case 5 -> GOOD.replace("21.4", "\"21.4\"");
            case 6 -> GOOD.replace("site-climate", "site-\u0000climate");
            case 7 -> GOOD.replace("site-climate", "\\ud800");
            case 8 -> GOOD.replace("21.4", "9".repeat(3 + random.nextInt(5_000)));
            case 9 ->
                "{\"procedure\":\"focus-ramp\",\"readings\":{\"marks\":[" + "{},".repeat(random.nextInt(300)) + "{}]}}";
            default -> n % 20_009 == 10 ? "x".repeat(8 * 1024 * 1024 + 5) : "";
        };
        byte[] bytes = (line + "\n").getBytes(StandardCharsets.UTF_8);
        if (n % 11 == 5 && n % 2 == 0) {
            bytes[bytes.length / 2] = (byte) 0xFF;
        }
        return bytes;
    }

    /** Lines made as they are read; looks at the memory in use now and then. */
    private static final class Streaming extends InputStream {
        private final int lines;
        private final Lines source;
        private final long[] most;
        private byte[] line = new byte[0];
        private int at;
        private int made;

        Streaming(int lines, Lines source, long[] most) {
            this.lines = lines;
            this.source = source;
            this.most = most;
        }

        @Override
        public int read() {
            if (at == line.length && !next()) {
                return -1;
            }
            return line[at++] & 0xFF;
        }

        @Override
        public int read(byte[] into, int from, int length) {
            if (at == line.length && !next()) {
                return -1;
            }
            int count = Math.min(length, line.length - at);
            System.arraycopy(line, at, into, from, count);
            at += count;
            return count;
        }

        private boolean next() {
            if (made == lines) {
                return false;
            }
            if (made % 50_000 == 49_999) {
                System.gc();
                most[0] = Math.max(
                        most[0],
                        Runtime.getRuntime().totalMemory()
                                - Runtime.getRuntime().freeMemory());
            }
            line = source.line(made++);
            at = 0;
            return true;
        }
    }

    private static final class Counting extends OutputStream {
        private long lines;

        @Override
        public void write(int b) {
            lines += b == '\n' ? 1 : 0;
        }

        @Override
        public void write(byte[] bytes, int from, int length) {
            for (int i = from; i < from + length; i++) {
                lines += bytes[i] == '\n' ? 1 : 0;
            }
        }
    }
}
