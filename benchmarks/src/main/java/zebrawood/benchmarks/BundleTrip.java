package zebrawood.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.logbook.store.Logbook;

/**
 * The demo, then 100,000 entries with 2 GB of attachments, out as a bundle, back into an empty shop, and checked;
 * memory of each process.
 */
final class BundleTrip {

    private static final int FILES = 40;
    private static final int FILE_BYTES = 50_000_000;
    private static final double MOST_MB = 300;

    private boolean kept = true;

    private BundleTrip() {}

    static boolean run(String[] words) throws Exception {
        BundleTrip trip = new BundleTrip();
        Path demo = Files.createTempDirectory("zebrawood-demo");
        DemoShop.make(demo.resolve("shop"), Catalogue.procedures(), LocalDate.of(2031, 3, 14), "bench");
        trip.there("demo", demo);
        Path large = Files.createTempDirectory("zebrawood-trip");
        fill(large.resolve("shop"), Words.number(words, "--entries", 100_000), (int)
                Words.number(words, "--files", FILES));
        trip.there("large", large);
        return trip.kept;
    }

    private static void fill(Path folder, long entries, int files) {
        new LargeShop(3, 20).fill(folder, entries - files);
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (int i = 0; i < files; i++) {
                int number = i;
                NewAttachment scan = new NewAttachment("scan-" + i + ".bin", () -> new Noise(number, FILE_BYTES));
                logbook.append(
                        "machine-0000",
                        new Body.Happened(
                                Change.CLEANED, "scan", Optional.of(new Body.Cleaning("lens", "", "", false))),
                        Optional.empty(),
                        List.of(scan),
                        LargeShop.stamp(Instant.parse("2031-03-14T09:30:00Z")));
            }
        }
    }

    private void there(String name, Path work) throws Exception {
        Path bundle = work.resolve("bundle.zip");
        Run out = child(
                "export", bundle.toString(), "--data", work.resolve("shop").toString());
        Run back = child(
                "import", bundle.toString(), "--data", work.resolve("back").toString());
        Run check = child("verify", "--data", work.resolve("back").toString());
        boolean same = out.head().equals(back.head()) && back.head().equals(check.head()) && check.status() == 0;
        boolean small = Math.max(out.mb(), Math.max(back.mb(), check.mb())) < MOST_MB;
        kept &= same && small;
        System.out.printf(
                Locale.ROOT,
                "%s: export %.0f s, %.0f MB resident; import %.0f s, %.0f MB; verify %.0f s, %.0f MB; bundle %.2f "
                        + "GB; the same chain head three times: %s. %s%n",
                name,
                out.seconds(),
                out.mb(),
                back.seconds(),
                back.mb(),
                check.seconds(),
                check.mb(),
                Files.size(bundle) / 1e9,
                same ? "yes" : "no",
                check.said());
        Words.delete(work);
    }

    /** A command that was run: how long, how much memory at the most, what it said and the chain head it named. */
    private record Run(int status, double seconds, double mb, String said, String head) {}

    private static Run child(String... arguments) throws IOException, InterruptedException {
        List<String> lines = new ArrayList<>();
        Child.Ended ended = Child.run(lines::add, arguments);
        String said = String.join(" ", lines);
        Matcher head = Pattern.compile("ends on ([0-9a-f]{64})").matcher(said);
        return new Run(
                ended.status(),
                ended.seconds(),
                ended.peakMb(),
                said.replaceAll(" The shop chain.*", ""),
                head.find() ? head.group(1) : "none: " + ended.errors());
    }

    /** Bytes that cannot be made smaller, from a seed. */
    private static final class Noise extends InputStream {
        private final SplittableRandom random;
        private int left;

        Noise(int seed, int length) {
            random = new SplittableRandom(seed);
            left = length;
        }

        @Override
        public int read() {
            return left-- > 0 ? random.nextInt(256) : -1;
        }

        @Override
        public int read(byte[] bytes, int from, int count) {
            if (left <= 0) {
                return -1;
            }
            int length = Math.min(left, count);
            for (int i = 0; i < length; i += 8) {
                long value = random.nextLong();
                for (int b = 0; b < 8 && i + b < length; b++) {
                    bytes[from + i + b] = (byte) (value >>> 8 * b);
                }
            }
            left -= length;
            return length;
        }
    }
}
