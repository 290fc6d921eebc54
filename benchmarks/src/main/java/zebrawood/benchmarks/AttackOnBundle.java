package zebrawood.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.store.Logbook;

/** Bundles that were made to do harm: each is refused as a whole, soon, and with little memory. */
final class AttackOnBundle {

    private static final double MOST_MB = 256;
    private static final double MOST_SECONDS = 5;
    private static final byte[] LINE = new byte[1 << 20];

    static {
        Arrays.fill(LINE, (byte) 'x');
    }

    private final Map<String, byte[]> parts = new LinkedHashMap<>();
    private final List<Hostile> all = new ArrayList<>();
    private double mostMb;
    private double mostSeconds;

    /** Writes a bundle. */
    private interface Making {
        void to(Path file) throws IOException;
    }

    private record Hostile(String name, Making making) {}

    /** A part of a bundle that is written as it comes. */
    private interface Content {
        void to(OutputStream out) throws IOException;
    }

    AttackOnBundle(Path folder) throws IOException {
        Path file = folder.resolveSibling("plain.zip");
        new LargeShop(5, 2).fill(folder, 60);
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            Export.to(file, true, logbook, "bench", Instant.parse("2031-03-14T09:30:00Z"), done -> {});
        }
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (var entries = zip.entries(); entries.hasMoreElements(); ) {
                ZipEntry entry = entries.nextElement();
                try (InputStream in = zip.getInputStream(entry)) {
                    parts.put(entry.getName(), in.readAllBytes());
                }
            }
        }
        files(file);
        contents();
        words();
    }

    private void add(String name, Making making) {
        all.add(new Hostile(name, making));
    }

    private void files(Path plain) {
        add("no zip at all", file -> Files.write(file, LINE));
        add("cut in the middle", file -> {
            byte[] whole = Files.readAllBytes(plain);
            Files.write(file, Arrays.copyOf(whole, whole.length / 2));
        });
        add("empty", Files::createFile);
        add("a folder", Files::createDirectory);
        add("a pipe that nobody writes to", file -> {
            try {
                new ProcessBuilder("mkfifo", file.toString()).start().waitFor();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        });
        add("half a million names", file -> {
            try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
                for (int i = 0; i < 500_000; i++) {
                    zip.putNextEntry(new ZipEntry(String.format(Locale.ROOT, "attachments/%064x", i)));
                    zip.closeEntry();
                }
            }
        });
        add("a name that leads out of it", file -> zip(file, Map.of("../../evil", out -> out.write(1))));
    }

    private void contents() {
        String manifest = text("manifest.json");
        long length = parts.get("entries.jsonl").length;
        String endless = manifest.replace("\"bytes\":" + length, "\"bytes\":900000000000");
        add("a line without an end, said to be short", file -> zip(file, manifest, out -> lines(out, 400, false)));
        add("a line without an end, said to be endless", file -> zip(file, endless, out -> lines(out, 400, false)));
        add(
                "a hundred lines of 8 MB that are nothing",
                file -> zip(
                        file,
                        manifest.replace("\"bytes\":" + length, "\"bytes\":838860900"),
                        out -> lines(out, 800, true)));
        add(
                "a hundred entries of 8 MB",
                file -> zip(file, manifest.replace("\"bytes\":" + length, "\"bytes\":1700000000"), out -> {
                    String quotes = "\\\"".repeat(1 << 22);
                    for (int i = 1; i <= 100; i++) {
                        out.write(("{\"position\":" + i + ",\"machine\":\"m\",\"number\":" + i
                                        + ",\"hash\":\"00\",\"bytes\":\"" + quotes + "\"}\n")
                                .getBytes(StandardCharsets.UTF_8));
                    }
                }));
        add(
                "a manifest of 100 MB",
                file -> zip(file, Map.of("manifest.json", out -> lines(out, 100, false), "entries.jsonl", out -> {})));
        add("a manifest nested 100,000 deep", file -> zip(file, "[".repeat(100_000), out -> {}));
        add(
                "attachments of ten terabytes",
                file -> zip(
                        file,
                        manifest.replace(
                                "\"files\":[",
                                "\"files\":[{\"name\":\"attachments/" + "0".repeat(64) + "\",\"sha256\":\""
                                        + "0".repeat(64) + "\",\"bytes\":10000000000000},"),
                        out -> out.write(parts.get("entries.jsonl"))));
        add(
                "a length below nothing",
                file -> zip(
                        file,
                        manifest.replace("\"bytes\":" + length, "\"bytes\":-1"),
                        out -> out.write(parts.get("entries.jsonl"))));
    }

    private void words() {
        add(
                "initials of 100,000 characters",
                changed(text -> text.replaceFirst(
                        "\\\\\"by\\\\\":\\\\\"[^\\\\]*", "\\\\\\\\\"by\\\\\\\\\":\\\\\\\\\"" + "R".repeat(100_000))));
        add("a name that turns the words around it", changed(text -> text.replaceFirst("Unit 000", "Unit \u202e000")));
        add(
                "a zone that is none",
                changed(text -> text.replaceFirst(
                        "\\\\\"zone\\\\\":\\\\\"[^\\\\]*", "\\\\\\\\\"zone\\\\\\\\\":\\\\\\\\\"yesterday")));
        add(
                "a time that is none",
                changed(text ->
                        text.replaceFirst("\\\\\"at\\\\\":\\\\\"[^\\\\]*", "\\\\\\\\\"at\\\\\\\\\":\\\\\\\\\"soon")));
        add("an entry left out", changed(text -> text.substring(text.indexOf('\n') + 1)));
        add("a table for people that says something else", file -> {
            Map<String, Content> other = all();
            other.put("entries.csv", out -> out.write(new byte[] {'x', '\n'}));
            zip(file, other);
        });
        add("no table of its files", file -> {
            Map<String, Content> other = all();
            other.remove("manifest.json");
            zip(file, other);
        });
    }

    private String text(String name) {
        return new String(parts.get(name), StandardCharsets.UTF_8);
    }

    private Map<String, Content> all() {
        Map<String, Content> contents = new LinkedHashMap<>();
        parts.forEach((name, bytes) -> contents.put(name, out -> out.write(bytes)));
        return contents;
    }

    private Making changed(UnaryOperator<String> change) {
        return file -> {
            String before = text("entries.jsonl");
            String after = change.apply(before);
            if (after.equals(before)) {
                throw new IllegalStateException("nothing was changed");
            }
            byte[] bytes = after.getBytes(StandardCharsets.UTF_8);
            zip(
                    file,
                    text("manifest.json")
                            .replace("\"bytes\":" + parts.get("entries.jsonl").length, "\"bytes\":" + bytes.length),
                    out -> out.write(bytes));
        };
    }

    private static void lines(OutputStream out, int megabytes, boolean ended) throws IOException {
        for (int i = 0; i < megabytes; i++) {
            out.write(LINE);
            if (ended && i % 8 == 7) {
                out.write('\n');
            }
        }
    }

    private void zip(Path file, String manifest, Content entries) throws IOException {
        Map<String, Content> contents = all();
        contents.put("entries.jsonl", entries);
        contents.put("manifest.json", out -> out.write(manifest.getBytes(StandardCharsets.UTF_8)));
        zip(file, contents);
    }

    private static void zip(Path file, Map<String, Content> contents) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, Content> part : contents.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                part.getValue().to(zip);
                zip.closeEntry();
            }
        }
    }

    int count() {
        return all.size();
    }

    List<String> hostile(int n, Path folder) throws IOException, InterruptedException {
        Hostile hostile = all.get(n);
        Path file = folder.resolve("hostile.zip");
        Path shop = folder.resolve("shop");
        hostile.making().to(file);
        Child.Ended ended = Child.run(line -> {}, "import", "--data", shop.toString(), file.toString());
        mostMb = Math.max(mostMb, ended.peakMb());
        mostSeconds = Math.max(mostSeconds, ended.seconds());
        List<String> wrong = new ArrayList<>();
        if (ended.status() != 2
                || !ended.errors().contains("refused and nothing was taken")
                || ended.errors().contains("\tat ")
                || ended.errors().contains("Exception")) {
            wrong.add(hostile.name() + ": ended with " + ended.status() + ", "
                    + ended.errors().strip());
        }
        if (ended.peakMb() > MOST_MB || ended.seconds() > MOST_SECONDS) {
            wrong.add(
                    String.format(Locale.ROOT, "%s: %.0f MB, %.1f s", hostile.name(), ended.peakMb(), ended.seconds()));
        }
        if (Files.exists(shop)) {
            wrong.add(hostile.name() + ": something of it is left");
        }
        return wrong;
    }

    String inWords() {
        return String.format(Locale.ROOT, "of those at the most %.0f MB resident and %.1f s", mostMb, mostSeconds);
    }
}
