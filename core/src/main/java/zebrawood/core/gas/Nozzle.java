package zebrawood.core.gas;

/**
 * Ideal gas through a bore: isentropic flow with a discharge coefficient, choked where the pressure behind it no longer
 * matters.
 *
 * <p>Source: the equations of compressible flow of A. J. C. B. de Saint-Venant and L. Wantzel (1839), as in every
 * textbook of gas dynamics: {@code m = C A p0 sqrt(k / (R T0)) (2 / (k + 1))^((k + 1) / (2 (k - 1)))} where {@code p /
 * p0 <= (2 / (k + 1))^(k / (k - 1))}, else {@code m = C A p0 sqrt(2 k / ((k - 1) R T0) (r^(2/k) - r^((k + 1)/k)))} with
 * {@code r = p / p0}. Pressures are absolute.
 *
 * @param boreMm diameter, above 0
 * @param coefficient share of the bore that the jet fills, above 0, up to 1
 * @param temperatureC of the gas before the nozzle, °C
 * @param ambientKPa pressure behind the nozzle, absolute
 */
record Nozzle(double boreMm, double coefficient, double temperatureC, double ambientKPa) {

    Nozzle withBore(double otherMm) {
        return new Nozzle(otherMm, coefficient, temperatureC, ambientKPa);
    }

    private double before(double pressureBar) {
        return pressureBar * 1e5 + ambientKPa * 1e3;
    }

    /** Whether the jet runs at the speed of sound in the bore. */
    boolean isChoked(Gas gas, double pressureBar) {
        double k = gas.ratio();
        return ambientKPa * 1e3 / before(pressureBar) <= Math.pow(2 / (k + 1), k / (k - 1));
    }

    /** Mass flow, g/s, at a gauge pressure before the nozzle. */
    double massFlowGS(Gas gas, double pressureBar) {
        double k = gas.ratio();
        double area = Math.PI / 4 * boreMm * boreMm * 1e-6;
        double p0 = before(pressureBar);
        double rt = gas.constant() * (temperatureC + 273.15);
        double full = coefficient * area * p0;
        if (isChoked(gas, pressureBar)) {
            return 1000 * full * Math.sqrt(k / rt) * Math.pow(2 / (k + 1), (k + 1) / (2 * (k - 1)));
        }
        double r = ambientKPa * 1e3 / p0;
        return 1000 * full * Math.sqrt(2 * k / ((k - 1) * rt) * (Math.pow(r, 2 / k) - Math.pow(r, (k + 1) / k)));
    }

    /** The same as normal litres a minute. */
    double flowNlMin(Gas gas, double pressureBar) {
        return massFlowGS(gas, pressureBar) / gas.normalDensity() * 60;
    }
}
