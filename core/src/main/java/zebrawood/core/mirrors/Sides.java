package zebrawood.core.mirrors;

import zebrawood.core.beam.Spot;
import zebrawood.core.units.Amount;

/** Where a mark sits on a card, said without a sign: to the left is not minus to the right. */
final class Sides {

    /** what is said as 0.0 mm */
    private static final double NOTHING_MM = 0.05;

    private Sides() {}

    /**
     * {@code {0} to the right and {1} up}, whichever it is, what is nothing left out, for amounts in these two places.
     */
    static String words(Spot spot, int first) {
        String across = "{" + first + "} to the " + (spot.xMm() < 0 ? "left" : "right");
        String upright = "{" + (first + 1) + "} " + (spot.yMm() < 0 ? "down" : "up");
        if (Math.abs(spot.yMm()) < NOTHING_MM) {
            return across;
        }
        return Math.abs(spot.xMm()) < NOTHING_MM ? upright : across + " and " + upright;
    }

    /** Whether it is on the cross, to a tenth of a millimetre. */
    static boolean isOnTheCross(Spot spot) {
        return Math.abs(spot.xMm()) < NOTHING_MM && Math.abs(spot.yMm()) < NOTHING_MM;
    }

    /** What stands in the first place, to a tenth of a millimetre. */
    static Amount across(Spot spot) {
        return Amount.mm(Math.abs(spot.xMm()), 1);
    }

    /** What stands in the second. */
    static Amount upright(Spot spot) {
        return Amount.mm(Math.abs(spot.yMm()), 1);
    }
}
