package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import zebrawood.core.picture.BurnedLine;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendPlate;

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
            Grey picture = plate.of(
                    width, height, LENGTH_MM, along -> focus.widthMm(gapAt + along * 8 / LENGTH_MM), random);
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
        return rms < MOST_PX && read >= 0.99 * wanted;
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
