package zebrawood.benchmarks;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.ref.Reference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;
import zebrawood.core.picture.BurnedLine;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendPlate;
import zebrawood.kit.view.PictureFile;

/** Widths read off pictures of lines that are known. */
final class PictureWidths {

    private static final int PLATES = 200;
    private static final double MOST_PX = 0.15;
    private static final long SEED = 20_310_316;
    private static final double LENGTH_MM = 40;

    private PictureWidths() {}

    static boolean run() {
        SplittableRandom random = new SplittableRandom(SEED);
        double sum = 0;
        double worst = 0;
        int read = 0;
        int wanted = 0;
        long took = 0;
        for (int i = 0; i < PLATES; i++) {
            PretendPlate plate = new PretendPlate(
                    14 + 10 * random.nextDouble(),
                    0.6 + 1.2 * random.nextDouble(),
                    2 + 5 * random.nextDouble(),
                    10 * (2 * random.nextDouble() - 1),
                    0.35 * random.nextDouble(),
                    0.25 * random.nextDouble());
            int width = (int) (LENGTH_MM * plate.pxPerMm() / 0.85);
            int height = (int) (0.35 * width);
            PretendFocus focus = PretendFocus.any(random);
            double gapAt = focus.bestGapMm() - 4 + 2 * random.nextDouble();
            Grey picture =
                    plate.of(width, height, LENGTH_MM, along -> focus.widthMm(gapAt + along * 8 / LENGTH_MM), random);
            List<Double> places = new ArrayList<>();
            for (int j = 0; j < 9; j++) {
                places.add(2 + j * (LENGTH_MM - 4) / 8);
            }
            // a finger is a few px beside
            BurnedLine line = new BurnedLine(
                    new Pixel(0, 0),
                    new Pixel(plate.pxPerMm() * 50, 0),
                    50,
                    beside(plate.along(width, height, 0), random),
                    beside(plate.along(width, height, LENGTH_MM), random));
            long began = System.nanoTime();
            List<Optional<BurnedLine.Width>> widths = line.widths(picture, places);
            took += System.nanoTime() - began;
            for (int j = 0; j < places.size(); j++) {
                wanted++;
                if (widths.get(j).isPresent()) {
                    double along = along(plate, width, height, widths.get(j).get());
                    double error = widths.get(j).get().widthMm() * plate.pxPerMm()
                            - focus.widthMm(gapAt + along * 8 / LENGTH_MM) * plate.pxPerMm();
                    sum += error * error;
                    worst = Math.max(worst, Math.abs(error));
                    read++;
                }
            }
        }
        double rms = Math.sqrt(sum / Math.max(1, read));
        System.out.printf(
                Locale.ROOT,
                "%d pictures of lines (blur 0.6 to 1.8 px, noise, light, halo, turned by up to 10 degrees):"
                        + " %d of %d widths read, error %.3f px rms (kept: %.2f), %.2f px at worst; %.0f ms a picture%n",
                PLATES,
                read,
                wanted,
                rms,
                MOST_PX,
                worst,
                took / 1e6 / PLATES);
        return rms < MOST_PX && read >= 0.99 * wanted & large();
    }

    /** As large as a camera's, in colour, and compressed as a camera does it. */
    private static boolean large() {
        PretendPlate plate = new PretendPlate(60, 1.4, 4, 3, 0.2, 0.2);
        PretendFocus focus = new PretendFocus(7, 0.2, 2.5, 0);
        Grey grey = plate.of(6000, 4000, 80, along -> focus.widthMm(3 + along / 10), new SplittableRandom(SEED));
        BufferedImage colour = new BufferedImage(6000, 4000, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 4000; y++) {
            for (int x = 0; x < 6000; x++) {
                int shade = grey.shade(x, y);
                colour.setRGB(x, y, shade << 16 | shade * 9 / 10 << 8 | shade * 7 / 10);
            }
        }
        List<Double> places = new ArrayList<>();
        for (int j = 0; j < 9; j++) {
            places.add(10.0 * j);
        }
        double best = Double.POSITIVE_INFINITY;
        try {
            Path file = Files.createTempFile("plate", ".jpg");
            ImageIO.write(colour, "jpg", file.toFile());
            for (int i = 0; i < 4; i++) {
                System.gc();
                long before = used();
                int[] told = {0};
                long began = System.nanoTime();
                PictureFile read = PictureFile.read(file.toFile(), share -> {
                    told[0]++;
                    return true;
                });
                long opened = System.nanoTime();
                BurnedLine line = new BurnedLine(
                        new Pixel(0, 0),
                        new Pixel(3000, 0),
                        50,
                        plate.along(6000, 4000, 0),
                        plate.along(6000, 4000, 80));
                long widths = line.widths(read.grey(), places).stream()
                        .filter(Optional::isPresent)
                        .count();
                double whole = (System.nanoTime() - began) / 1e9;
                best = Math.min(best, whole);
                System.gc();
                System.out.printf(
                        Locale.ROOT,
                        "24 MP, %.1f MB of JPEG: %.2f s to open, with %d widths %.2f s (kept: 1.5);"
                                + " progress told %d times, %.0f MB held afterwards%n",
                        Files.size(file) / 1e6,
                        (opened - began) / 1e9,
                        widths,
                        whole,
                        told[0],
                        (used() - before) / 1e6);
                Reference.reachabilityFence(read);
            }
            Files.delete(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return best < 1.5;
    }

    private static long used() {
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static double along(PretendPlate plate, int width, int height, BurnedLine.Width read) {
        Pixel start = plate.start(width, height);
        Pixel middle = read.from().towards(read.to(), 0.5);
        double turned = Math.toRadians(plate.turnedDeg());
        return ((middle.x() - start.x()) * Math.cos(turned) + (middle.y() - start.y()) * Math.sin(turned))
                / plate.pxPerMm();
    }

    private static Pixel beside(Pixel at, SplittableRandom random) {
        return new Pixel(at.x() + 4 * random.nextGaussian(), at.y() + 4 * random.nextGaussian());
    }
}
