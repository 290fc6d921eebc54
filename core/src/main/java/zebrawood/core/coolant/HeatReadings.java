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
 * @param reservoirL of a bucket or tank, l, above 0, where it is one
 * @param chillerW what a chiller carries away, W, above 0, where there is one
 */
public record HeatReadings(
        double electricalInputW,
        double opticalOutputW,
        double flowLMin,
        Optional<Glycol> glycol,
        OptionalDouble glycolPct,
        double startC,
        double maxC,
        OptionalDouble reservoirL,
        OptionalDouble chillerW) {
    public HeatReadings {
        new Checks()
                .above("electricalInputW", electricalInputW, 0)
                .atLeast("opticalOutputW", opticalOutputW, 0)
                .above("flowLMin", flowLMin, 0)
                .within("glycolPct", glycolPct, 0, 60)
                .within("startC", startC, -60, 150)
                .within("maxC", maxC, -60, 150)
                .above("reservoirL", reservoirL, 0)
                .above("chillerW", chillerW, 0)
                .tie(
                        () -> opticalOutputW < electricalInputW,
                        "opticalOutputW",
                        "no source gives more light than power goes in")
                .tie(
                        () -> glycolPct.orElse(0) == 0 || glycol.orElse(Glycol.NONE) != Glycol.NONE,
                        "glycolPct",
                        "plain water has a share of 0 %: say which glycol it is")
                .done();
    }
}
