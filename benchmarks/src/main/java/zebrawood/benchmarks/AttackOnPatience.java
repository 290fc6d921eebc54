package zebrawood.benchmarks;

import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.kit.view.Thumbnail;
import zebrawood.logbook.store.FileToAttach;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.TapeFilter;

/** What takes long or much: one entry, one picture, one file never stops the rest. */
final class AttackOnPatience {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    private static final double MOST_SECONDS = 2;
    private static final String[] SIGNS = {
        "\u0000", "\u001b[31m", "\u202e", "\u2066", "\u200b", "\u0007", "\u009b", "\u2028", "\r", "\ufeff"
    };

    private final Path template;

    AttackOnPatience(Path folder) throws IOException {
        template = folder;
        new LargeShop(5, 1).fill(folder, 40);
    }

    private Logbook open(Path folder) throws IOException {
        Files.copy(template.resolve("logbook.db"), folder.resolve("logbook.db"));
        return Logbook.open(folder, Catalogue.procedures());
    }

    private static double seconds(Runnable work) {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e9;
    }

    List<String> entry(int n, Path folder) throws IOException {
        List<String> texts = List.of(
                String.join(",", Collections.nCopies(3_000, "1")),
                String.join(".", Collections.nCopies(200_000, "9")),
                " ".repeat(300_000),
                "a".repeat(300_000),
                "aA".repeat(150_000),
                "\u00bd".repeat(100_000),
                "(".repeat(100_000),
                "\"*' OR 1=1 --".repeat(1_000),
                "\u0301".repeat(100_000),
                "\ud83d\ude00".repeat(50_000),
                "x".repeat(2_000_000),
                "NEAR(a b) AND".repeat(2_000));
        try (Logbook logbook = open(folder)) {
            String text = texts.get(n % texts.size());
            logbook.append(SmallShop.ID, new Body.Happened(Change.KNOCKED, text), LargeShop.stamp(NOW));
            logbook.append(SmallShop.ID, new Body.Happened(Change.KNOCKED, "seen after it"), LargeShop.stamp(NOW));
            int[] found = new int[2];
            double took = seconds(() -> {
                found[0] = found(logbook, "seen after it");
                found(logbook, text.length() > 2_000 ? text.substring(0, 2_000) : text);
                found[1] = logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 100).size();
            });
            return found[0] == 1 && found[1] > 2 && took < MOST_SECONDS
                    ? List.of()
                    : List.of(String.format(Locale.ROOT, "found %d, shown %d, %.1f s", found[0], found[1], took));
        }
    }

    private static int found(Logbook logbook, String words) {
        return logbook.tape(
                        new TapeFilter(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(words)),
                        Long.MAX_VALUE,
                        100)
                .size();
    }

    List<String> picture(int n, Path folder) throws IOException {
        Path file = folder.resolve(n % 2 == 0 ? "wide.png" : "many.jpg");
        if (n % 2 == 0) {
            png(file, n == 0 ? 1 : 20_000, n == 0 ? 400_000_000 : 20_000);
        } else {
            jpeg(file, 20_000);
        }
        Runtime runtime = Runtime.getRuntime();
        long before = runtime.totalMemory() - runtime.freeMemory();
        Thumbnail[] small = new Thumbnail[1];
        double took =
                seconds(() -> small[0] = Thumbnail.of(file.getFileName().toString(), () -> Files.newInputStream(file)));
        long more = (runtime.totalMemory() - runtime.freeMemory() - before) / 1_000_000;
        boolean said =
                small[0].warning().filter(words -> words.contains("pixels")).isPresent();
        return said && took < MOST_SECONDS && more < 100
                ? List.of()
                : List.of(String.format(
                        Locale.ROOT, "%s: %s, %.1f s, %d MB", file.getFileName(), small[0].warning(), took, more));
    }

    /** A picture of nothing, as small a file as its size allows. */
    private static void png(Path file, int width, int height) throws IOException {
        try (DataOutputStream out = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(file)))) {
            out.writeLong(0x89504E470D0A1A0AL);
            ByteArrayOutputStream head = new ByteArrayOutputStream();
            DataOutputStream said = new DataOutputStream(head);
            said.writeInt(width);
            said.writeInt(height);
            said.write(new byte[] {1, 0, 0, 0, 0});
            chunk(out, "IHDR", head.toByteArray());
            ByteArrayOutputStream packed = new ByteArrayOutputStream();
            try (OutputStream rows = new DeflaterOutputStream(packed)) {
                byte[] row = new byte[1 + (width + 7) / 8];
                for (int y = 0; y < Math.min(height, 2_000_000); y++) {
                    rows.write(row);
                }
            }
            chunk(out, "IDAT", packed.toByteArray());
            chunk(out, "IEND", new byte[0]);
        }
    }

    private static void chunk(DataOutputStream out, String name, byte[] bytes) throws IOException {
        byte[] type = name.getBytes(StandardCharsets.US_ASCII);
        CRC32 check = new CRC32();
        check.update(type);
        check.update(bytes);
        out.writeInt(bytes.length);
        out.write(type);
        out.write(bytes);
        out.writeInt((int) check.getValue());
    }

    /** A small picture whose head says that it is large and comes in passes. */
    private static void jpeg(Path file, int side) throws IOException {
        ByteArrayOutputStream small = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(16, 16, BufferedImage.TYPE_INT_RGB), "jpg", small);
        byte[] bytes = small.toByteArray();
        for (int i = 0; i + 8 < bytes.length; i++) {
            if ((bytes[i] & 0xFF) == 0xFF && (bytes[i + 1] & 0xFF) == 0xC0) {
                bytes[i + 1] = (byte) 0xC2;
                bytes[i + 5] = bytes[i + 7] = (byte) (side >> 8);
                bytes[i + 6] = bytes[i + 8] = (byte) side;
                break;
            }
        }
        Files.write(file, bytes);
    }

    List<String> attach(int n, Path folder) throws IOException, InterruptedException {
        try (Logbook logbook = open(folder)) {
            NewAttachment taken;
            Path growing = Files.write(folder.resolve("growing.csv"), new byte[1_000]);
            try {
                if (n == 0) {
                    Path pipe = folder.resolve("pipe");
                    new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor();
                    taken = FileToAttach.of(pipe);
                } else if (n == 1) {
                    taken = FileToAttach.of(Path.of("/dev/zero"));
                } else {
                    taken = FileToAttach.of(growing);
                    Files.write(growing, new byte[n == 2 ? 1 : 0], StandardOpenOption.APPEND);
                    if (n == 3) {
                        Files.write(growing, new byte[10]);
                    }
                }
                logbook.append(
                        SmallShop.ID,
                        new Body.Happened(Change.KNOCKED, ""),
                        Optional.empty(),
                        List.of(taken),
                        LargeShop.stamp(NOW));
            } catch (LogbookException refused) {
                return logbook.verify(List.of()).holds() ? List.of() : List.of("the logbook is not whole after it");
            }
            return List.of("was taken");
        }
    }

    List<String> longWorksheets(int n, Path folder) throws Exception {
        Files.copy(template.resolve("logbook.db"), folder.resolve("logbook.db"));
        // many short remarks make an entry that is too long, and is told so; long ones make one that is recorded
        String remark = "; " + (n == 0 ? "a remark" : "r".repeat(1_000)) + "\\n";
        String settings = remark.repeat(3_600_000 / remark.length());
        try (Child child = Child.record(folder)) {
            int answered = 0;
            for (int i = 0; i < 5; i++) {
                child.in()
                        .write(("{\"procedure\":\"controller-settings\",\"readings\":{\"settingsText\":\"" + settings
                                        + "$30=1000\\n$32=1\\n\",\"need\":{\"tool\":\"laser\",\"travelMm\":{\"x\":610,\"y\":430},"
                                        + "\"homeCorner\":\"front-left\",\"limitSwitches\":true,\"senderMaxS\":1000,"
                                        + "\"maxS\":1000,\"maxRateMmMin\":12000,\"accelerationMmS2\":1200}}}\n")
                                .getBytes(StandardCharsets.UTF_8));
                child.in().write(SmallShop.worksheet(i).getBytes(StandardCharsets.UTF_8));
            }
            child.in().close();
            for (String line : child.out().lines().toList()) {
                answered += SmallShop.confirmed(line).isPresent()
                                || n == 0 && line.contains("nothing was recorded: the entry would be")
                        ? 1
                        : 0;
            }
            child.end();
            return answered == 10 && !child.errors().contains("OutOfMemory")
                    ? List.of()
                    : List.of(answered + " of 10 were answered: " + child.errors());
        }
    }

    List<String> names(int n, Path folder) throws IOException {
        String sign = SIGNS[n % SIGNS.length];
        List<String> wrong = new ArrayList<>();
        try (Logbook logbook = open(folder)) {
            Entry.Stamp plain = LargeShop.stamp(NOW);
            Entry.Stamp by = n < 2 * SIGNS.length
                    ? new Entry.Stamp(
                            plain.at(), plain.zone(), n < SIGNS.length ? "R" + sign + "V" : "R".repeat(100_000), "")
                    : plain;
            Body body = n < 2 * SIGNS.length
                    ? new Body.Happened(Change.KNOCKED, "")
                    : new Body.PlateSet(bare("Unit" + sign + "000"), Map.of());
            logbook.append(n < 2 * SIGNS.length ? SmallShop.ID : "another", body, by);
            wrong.add("was recorded");
        } catch (LogbookException refused) {
            if (!refused.getMessage().startsWith("nothing was recorded: ")) {
                wrong.add(refused.getMessage());
            }
        }
        return wrong;
    }

    private static Plate bare(String name) {
        return new Plate(
                name,
                Family.GALVO_UV,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
