package zebrawood.core.gas;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a nozzle takes.
 *
 * @param choked whether the jet runs at the speed of sound in the bore
 * @param massFlowGS g/s
 * @param flowNlMin normal litres a minute (0 °C, 101.325 kPa)
 * @param bottleMinutes how long the bottle lasts, min; absent without one
 * @param bottlesPerShift bottles for eight hours; absent without one and for one that is down already
 * @param gas which gas
 * @param nozzleMm bore, mm
 * @param pressureBar gauge, bar
 * @param beamOnPct share of the time in which gas flows, %
 * @param pressureOk whether the pressure is within what its parts are rated for; absent where that is not known
 * @param curves flow against pressure for this nozzle and for a smaller and a larger one
 * @param others the same nozzle and pressure with each gas
 * @param tolerances what it was judged by
 */
public record GasFinding(
        boolean choked,
        double massFlowGS,
        double flowNlMin,
        OptionalDouble bottleMinutes,
        OptionalDouble bottlesPerShift,
        Gas gas,
        double nozzleMm,
        double pressureBar,
        double beamOnPct,
        Optional<Boolean> pressureOk,
        List<Curve> curves,
        List<Other> others,
        Tolerances tolerances) {

    /** What the weakest part is rated for, bar; absent where that is not known, and nothing is judged. */
    public record Tolerances(OptionalDouble ratedBar) {}

    /** Flow against pressure for a nozzle; the first curve is that of the nozzle that is fitted. */
    public record Curve(double nozzleMm, List<Point> points) {
        public Curve {
            points = List.copyOf(points);
        }
    }

    /** Gauge pressure, bar, and normal litres a minute. */
    public record Point(double pressureBar, double flowNlMin) {}

    /** What another gas would take, and how long a bottle of it would last. */
    public record Other(Gas gas, double flowNlMin, OptionalDouble bottleMinutes) {}

    public GasFinding {
        curves = List.copyOf(curves);
        others = List.copyOf(others);
    }
}
