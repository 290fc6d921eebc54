package zebrawood.core.gas;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What is set at the regulator and fitted at the head.
 *
 * @param gas which one
 * @param nozzleMm bore of the nozzle, mm, above 0
 * @param pressureBar gauge pressure at the nozzle, bar, above 0
 * @param temperatureC of the gas, °C, -40..80; 20 where absent
 * @param dischargeCoefficient above 0, up to 1; 0.85 where absent
 * @param ambientKPa pressure of the air, kPa, 50..110; 101.325 where absent
 * @param bottle what it comes from, where it is a bottle
 * @param ratedBar gauge pressure that the weakest of regulator, hose, fittings and head is rated for, bar, above 0,
 *     where that is known
 * @param beamOnPct share of the time in which gas flows, %, above 0, up to 100; 100 where absent
 */
public record GasReadings(
        Gas gas,
        double nozzleMm,
        double pressureBar,
        OptionalDouble temperatureC,
        OptionalDouble dischargeCoefficient,
        OptionalDouble ambientKPa,
        Optional<Bottle> bottle,
        OptionalDouble beamOnPct,
        OptionalDouble ratedBar) {

    /** With nothing said of what its parts are rated for. */
    public GasReadings(
            Gas gas,
            double nozzleMm,
            double pressureBar,
            OptionalDouble temperatureC,
            OptionalDouble dischargeCoefficient,
            OptionalDouble ambientKPa,
            Optional<Bottle> bottle,
            OptionalDouble beamOnPct) {
        this(
                gas,
                nozzleMm,
                pressureBar,
                temperatureC,
                dischargeCoefficient,
                ambientKPa,
                bottle,
                beamOnPct,
                OptionalDouble.empty());
    }

    /**
     * A bottle.
     *
     * @param volumeL its water volume, l, above 0
     * @param pressureBar gauge pressure in it, bar, above 0
     * @param residualBar gauge pressure that is left in it, bar, 0 or more; 5 where absent
     */
    public record Bottle(double volumeL, double pressureBar, OptionalDouble residualBar) {
        public Bottle {
            new Checks()
                    .above("volumeL", volumeL, 0)
                    .above("pressureBar", pressureBar, 0)
                    .atLeast("residualBar", residualBar, 0)
                    .done();
        }
    }

    public GasReadings {
        new Checks()
                .present("gas", gas)
                .above("nozzleMm", nozzleMm, 0)
                .above("pressureBar", pressureBar, 0)
                .within("temperatureC", temperatureC, -40, 80)
                .above("dischargeCoefficient", dischargeCoefficient, 0)
                .that(
                        !(dischargeCoefficient.orElse(1) > 1),
                        "dischargeCoefficient",
                        "a jet does not fill more than its bore: 1 at the most")
                .within("ambientKPa", ambientKPa, 50, 110)
                .above("beamOnPct", beamOnPct, 0)
                .that(!(beamOnPct.orElse(100) > 100), "beamOnPct", "cannot be more than 100 % of the time")
                .above("ratedBar", ratedBar, 0)
                .done();
    }
}
