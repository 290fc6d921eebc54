package zebrawood.core.reading;

/**
 * Limits as they stand in decimals: a limit includes its end value, and 236.9 is within 3 % of 230 whatever the bits of
 * those numbers are.
 */
public final class Limits {

    /** share of the larger of 1 and the numbers compared: far more than bits make, far less than anyone reads */
    private static final double SLACK = 1e-9;

    private Limits() {}

    /** Whether a value is at most a limit. */
    public static boolean atMost(double value, double limit) {
        return value <= limit + slack(value, limit);
    }

    /** Whether a value is at least a limit. */
    public static boolean atLeast(double value, double limit) {
        return value >= limit - slack(value, limit);
    }

    private static double slack(double value, double limit) {
        return SLACK * Math.max(1, Math.max(Math.abs(value), Math.abs(limit)));
    }
}
