package zebrawood.core.coolant;

import java.util.OptionalDouble;

/**
 * How warm the water gets.
 *
 * @param heatW into the water, W
 * @param riseC from inlet to outlet, °C
 * @param outletC as the work begins, °C
 * @param bucketMinutes until the outlet is too warm, min, 0 where it is from the beginning; absent without a bucket
 * @param chillerMarginPct what the chiller carries beyond the heat, %; absent without one
 * @param coldestC the coldest that the water may be, °C: the maker's limit, or a little over the dew point; absent in
 *     findings of earlier programs
 * @param densityKgM3 of the mixture
 * @param specificHeatJKgK of the mixture
 * @param startC of the water, °C
 * @param reservoirL of the bucket, l; absent without one
 * @param hourL the volume that lasts an hour, l; absent where none does
 * @param iceMinutesPerKg what a kilogram of ice in the bucket adds, min; absent where ice is of no use
 * @param leastFlowLMin the flow at which the outlet is just cool enough, l/min; absent where none is
 * @param tolerances what it was judged by
 */
public record HeatFinding(
        double heatW,
        double riseC,
        double outletC,
        OptionalDouble bucketMinutes,
        OptionalDouble chillerMarginPct,
        OptionalDouble coldestC,
        double densityKgM3,
        double specificHeatJKgK,
        double startC,
        OptionalDouble reservoirL,
        OptionalDouble hourL,
        OptionalDouble iceMinutesPerKg,
        OptionalDouble leastFlowLMin,
        Tolerances tolerances) {

    /**
     * The limits of the day: the hottest outlet, °C, how long a bucket is to last, min, the coldest water, °C, and the
     * chiller's reserve, %.
     */
    public record Tolerances(
            double maxC, double bucketMinutes, OptionalDouble minC, OptionalDouble chillerReservePct) {}

    /** Temperature of a mixed bucket after so many minutes, °C, no loss to the room. */
    public double bucketC(double minutes) {
        return startC + heatW * minutes * 60 / (reservoirL.orElseThrow() / 1000 * densityKgM3 * specificHeatJKgK);
    }
}
