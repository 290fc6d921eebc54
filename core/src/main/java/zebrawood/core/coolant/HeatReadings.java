package zebrawood.core.coolant;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What warms the water, and what carries the warmth away.
 *
 * @param electricalInputW into the source, W, above 0
 * @param opticalOutputW light out of it, W, 0 or more, below the input
 * @param flowLMin of the water, l/min, above 0
 * @param glycol in it; none where absent
 * @param glycolPct by volume, %, 0..60, 0 without glycol; 0 where absent
 * @param startC of the water as the work begins, °C, -60..150
 * @param maxC the hottest that the outlet may be, °C, -60..150
 * @param minC the coldest that the water may be, °C, -60..150, below the hottest; 10 where absent
 * @param dewPointC of the room's air by the last climate, °C, -100..60, where it is known
 * @param reservoirL of a bucket or tank, l, above 0, where it is one
 * @param chillerW what a chiller carries away, W, above 0, where there is one
 * @param chillerReservePct what it should carry beyond the heat, %, 0 or more; 20 where absent
 */
public record HeatReadings(
        double electricalInputW,
        double opticalOutputW,
        double flowLMin,
        Optional<Glycol> glycol,
        OptionalDouble glycolPct,
        double startC,
        double maxC,
        OptionalDouble minC,
        OptionalDouble dewPointC,
        OptionalDouble reservoirL,
        OptionalDouble chillerW,
        OptionalDouble chillerReservePct) {

    /** a source that is colder cracks or sweats, where its maker says nothing */
    static final double COLDEST_C = 10;

    /** With the usual limits. */
    public HeatReadings(
            double electricalInputW,
            double opticalOutputW,
            double flowLMin,
            Optional<Glycol> glycol,
            OptionalDouble glycolPct,
            double startC,
            double maxC,
            OptionalDouble reservoirL,
            OptionalDouble chillerW) {
        this(
                electricalInputW,
                opticalOutputW,
                flowLMin,
                glycol,
                glycolPct,
                startC,
                maxC,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                reservoirL,
                chillerW,
                OptionalDouble.empty());
    }

    public HeatReadings {
        new Checks()
                .above("electricalInputW", electricalInputW, 0)
                .atLeast("opticalOutputW", opticalOutputW, 0)
                .above("flowLMin", flowLMin, 0)
                .within("glycolPct", glycolPct, 0, 60)
                .within("startC", startC, -60, 150)
                .within("maxC", maxC, -60, 150)
                .within("minC", minC, -60, 150)
                .within("dewPointC", dewPointC, -100, 60)
                .above("reservoirL", reservoirL, 0)
                .above("chillerW", chillerW, 0)
                .atLeast("chillerReservePct", chillerReservePct, 0)
                .tie(() -> maxC > minC.orElse(COLDEST_C), "maxC", "must be above the coldest that the water may be")
                .tie(
                        () -> opticalOutputW < electricalInputW,
                        "opticalOutputW",
                        "cannot be more than the power into the source")
                .tie(
                        () -> glycolPct.orElse(0) == 0 || glycol.orElse(Glycol.NONE) != Glycol.NONE,
                        "glycolPct",
                        "plain water has a share of 0 %: say which glycol it is")
                .done();
    }
}
