package zebrawood.core.pretend;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * A block of metal that a beam warms up and the air cools down, with a thermometer in it.
 *
 * @param massG of the block
 * @param heatJGK its heat capacity
 * @param coolsPerS rate at which it loses what it is warmer than the air
 * @param airC of the air, and of the block before
 */
public record PretendBlock(double massG, double heatJGK, double coolsPerS, double airC) {

    /** Some block of aluminium in some air. */
    public static PretendBlock some(SplittableRandom random) {
        return new PretendBlock(
                150 + 350 * random.nextDouble(),
                0.897,
                0.0008 + 0.004 * random.nextDouble(),
                16 + 10 * random.nextDouble());
    }

    /** A temperature so many seconds after the beam came on. */
    public record Read(double atS, double celsius) {}

    /** What its thermometer shows before a beam of so many watts, and once it is off and the block is warm through. */
    public List<Read> warmed(
            double powerW, double onS, int after, double everyS, double scatterC, SplittableRandom random) {
        List<Read> all = new ArrayList<>();
        for (int i = -3; i <= 0; i++) {
            all.add(read(i * everyS, powerW, onS, scatterC, random));
        }
        for (int i = 1; i <= after; i++) {
            all.add(read(onS + i * everyS, powerW, onS, scatterC, random));
        }
        return all;
    }

    private Read read(double atS, double powerW, double onS, double scatterC, SplittableRandom random) {
        double celsius = airC;
        // small steps of heat in and heat out: no formula that a fit could share
        double step = 0.05;
        for (double t = 0; t < atS; t += step) {
            double in = t < onS ? powerW / (massG * heatJGK) : 0;
            celsius += step * (in - coolsPerS * (celsius - airC));
        }
        return new Read(atS, celsius + scatterC * random.nextGaussian());
    }
}
