package zebrawood.benchmarks;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.scene.canvas.Canvas;
import zebrawood.benches.site.ClimateFile;
import zebrawood.benches.site.YearFigure;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateLog;
import zebrawood.kit.figure.CanvasPen;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Look;

/** A year of a climate logger, a line a minute: read, judged and drawn; the same with one line of a hundred damaged. */
final class ClimateSpeed {

    private static final int LINES = 525_600;
    private static final double MOST_MILLIS = 2000;
    private static final int DAMAGED_IN = 100;
    private static final double MOST_HEAP_MB = 64;
    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);

    private ClimateSpeed() {}

    static boolean run() throws IOException, InterruptedException, ClimateFile.NoClimate {
        Path folder = Files.createTempDirectory("zebrawood-climate");
        boolean kept = true;
        for (boolean damaged : new boolean[] {false, true}) {
            Path file = folder.resolve(damaged ? "damaged.csv" : "whole.csv");
            int hurt = write(file, damaged);
            long before = usedHeap();
            long start = System.nanoTime();
            ClimateFile.Read read = ClimateFile.read(
                    file, new ClimateLog(LIMITS, OptionalDouble.of(18), OptionalDouble.empty()), () -> true);
            double readMillis = (System.nanoTime() - start) / 1e6;
            double drawnMillis = draw(read);
            double heapMb = (usedHeap() - before) / 1e6;
            System.out.printf(
                    Locale.ROOT,
                    "climate, %,d lines, %d of them damaged (%.1f MB): read and judged %.0f ms, drawn %.0f ms; %d "
                            + "lines told by number; %.0f h outside, %.0f h condensing; %.1f MB kept%n",
                    LINES,
                    hurt,
                    Files.size(file) / 1e6,
                    readMillis,
                    drawnMillis,
                    read.damaged().size(),
                    read.year().hoursOutside(),
                    read.year().hoursCondensing().orElseThrow(),
                    heapMb);
            kept &= readMillis + drawnMillis < MOST_MILLIS
                    && read.damaged().size() == hurt
                    && read.year().readings() == LINES - hurt
                    && heapMb < MOST_HEAP_MB;
        }
        Words.delete(folder);
        return kept;
    }

    private static long usedHeap() {
        System.gc();
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static int write(Path file, boolean damaged) throws IOException {
        SplittableRandom random = new SplittableRandom(7);
        int hurt = 0;
        LocalDateTime at = LocalDateTime.of(2030, 1, 1, 0, 0);
        try (BufferedWriter out = Files.newBufferedWriter(file)) {
            out.write("time,temperature °C,humidity %,battery V\n");
            for (int i = 0; i < LINES; i++, at = at.plusMinutes(1)) {
                double season = Math.sin(2 * Math.PI * i / LINES - Math.PI / 2);
                double day = Math.sin(2 * Math.PI * (i % 1440) / 1440 - Math.PI / 2);
                String line = String.format(
                        Locale.ROOT,
                        "%s,%.1f,%.0f,3.%d",
                        at,
                        20 + 7 * season + 3 * day + random.nextDouble(),
                        50 + 12 * season - 8 * day + 4 * random.nextDouble(),
                        random.nextInt(10));
                if (damaged && i % DAMAGED_IN == 17) {
                    hurt++;
                    line = switch (i / DAMAGED_IN % 4) {
                        case 0 -> line.substring(0, 12);
                        case 1 -> line.replace(",", "\"#");
                        case 2 -> line.replaceFirst(",.*?,", ",---,");
                        default -> line.replaceFirst("^....", "\u0000\u0001..");
                    };
                }
                out.write(line);
                out.write('\n');
            }
        }
        return hurt;
    }

    /** ms until the map is on a canvas. */
    private static double draw(ClimateFile.Read read) throws InterruptedException {
        CountDownLatch drawn = new CountDownLatch(1);
        try {
            Platform.startup(() -> {});
        } catch (IllegalStateException running) {
            // started by the run before
        }
        long[] took = new long[1];
        Platform.runLater(() -> {
            Canvas canvas = new Canvas(640, 500);
            long start = System.nanoTime();
            YearFigure.of(read.year())
                    .draw(new CanvasPen(canvas.getGraphicsContext2D(), Look.of(Ground.values()[0])), 640, 500);
            canvas.snapshot(null, null);
            took[0] = System.nanoTime() - start;
            drawn.countDown();
        });
        drawn.await();
        return took[0] / 1e6;
    }
}
