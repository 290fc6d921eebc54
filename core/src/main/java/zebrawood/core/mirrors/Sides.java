package zebrawood.core.mirrors;

import zebrawood.core.beam.Spot;
import zebrawood.core.units.Amount;

/** Where a mark sits on a card, said without a sign: to the left is not minus to the right. */
final class Sides {

    private Sides() {}

    /** {@code {0} to the right and {1} up}, whichever it is, for amounts in these two places. */
    static String words(Spot spot, int first) {
        return "{" + first + "} to the " + (spot.xMm() < 0 ? "left" : "right") + " and {" + (first + 1) + "} "
                + (spot.yMm() < 0 ? "down" : "up");
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
