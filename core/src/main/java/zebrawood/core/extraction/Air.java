package zebrawood.core.extraction;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The air that is drawn.
 *
 * @param temperatureC °C, -45..100; 20 where absent
 * @param pressureKPa absolute, kPa, 50..110; 101.325 where absent
 */
public record Air(OptionalDouble temperatureC, OptionalDouble pressureKPa) {

    static final Air USUAL = new Air(OptionalDouble.empty(), OptionalDouble.empty());

    /** of dry air, J/(kg K) */
    private static final double GAS_CONSTANT = 287.05;

    public Air {
        new Checks()
                .within("temperatureC", temperatureC, -45, 100)
                .within("pressureKPa", pressureKPa, 50, 110)
                .done();
    }

    private double kelvin() {
        return temperatureC.orElse(20) + 273.15;
    }

    /** kg/m³. */
    double density() {
        return pressureKPa.orElse(101.325) * 1000 / (GAS_CONSTANT * kelvin());
    }

    /** Pa s, after Sutherland. */
    double viscosity() {
        return 1.716e-5 * Math.pow(kelvin() / 273.15, 1.5) * (273.15 + 110.4) / (kelvin() + 110.4);
    }
}
