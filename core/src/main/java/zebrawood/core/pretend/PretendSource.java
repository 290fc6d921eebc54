package zebrawood.core.pretend;

import java.util.SplittableRandom;

/**
 * A glass tube behind a supply and a control on the panel: it begins to draw at a threshold, bends over towards its
 * most, ages with its hours; the optics behind it get dirty. Nobody who sets it knows these numbers.
 *
 * @param ratedMa the most that its maker allows
 * @param thresholdPct command below which nothing is drawn
 * @param fullMa what the supply gives at 100 % with the control turned up, mA
 * @param bend how much it bends over, 0 for a straight line, below 1
 * @param wattsPerMa of a new tube behind clean optics
 * @param control share of the command that the control on the panel lets through, above 0 to 1
 */
public record PretendSource(
        double ratedMa, double thresholdPct, double fullMa, double bend, double wattsPerMa, double control) {

    /** mA below which a tube does not fire */
    private static final double STRIKES_MA = 2;

    /** One that could drive itself beyond what it bears, as one finds it. */
    public static PretendSource found(SplittableRandom random) {
        double rated = 15 + 25 * random.nextDouble();
        return new PretendSource(
                rated,
                25 * random.nextDouble(),
                rated * (0.95 + 1.25 * random.nextDouble()),
                0.5 * random.nextDouble(),
                2.4 + 1.2 * random.nextDouble(),
                1);
    }

    /** The same with the control turned to let another share through. */
    public PretendSource turned(double share) {
        return new PretendSource(ratedMa, thresholdPct, fullMa, bend, wattsPerMa, share);
    }

    /** What it truly draws at a command, mA. */
    public double currentMa(double commandPct) {
        double share = Math.max(0, (commandPct * control - thresholdPct) / (100 - thresholdPct));
        return fullMa * (share + bend * share * (1 - share));
    }

    /** What it truly gives at the work at a command, W, after so many hours, behind optics that take so much. */
    public double powerW(double commandPct, double agedShare, double dirtShare) {
        double over = Math.max(0, currentMa(commandPct) - STRIKES_MA);
        // a tube gives less for each mA the more it draws
        double bent = over * (1 - 0.004 * over);
        return wattsPerMa * bent * (1 - agedShare) * (1 - dirtShare);
    }

    /** What a digital panel meter shows, mA. */
    public static double onMeterMa(double currentMa, SplittableRandom random) {
        return Math.max(0, Math.round(10 * (currentMa + 0.05 * random.nextGaussian())) / 10.0);
    }

    /** What a power meter shows, W, with a scatter of so many % of the reading. */
    public static double onMeterW(double powerW, double scatterPct, SplittableRandom random) {
        return Math.max(0, powerW * (1 + scatterPct / 100 * random.nextGaussian()));
    }
}
