package zebrawood.core.power;

import java.util.OptionalDouble;

/**
 * The same energy otherwise.
 *
 * @param energyJMm2 on the area, the same on both sides
 * @param lineEnergyJMm along a line before, one pass
 * @param to the settings, complete
 * @param lineEnergyToJMm along a line then, one pass
 * @param pulseEnergyRatio energy of a pulse then, of that before; for pulsed sources
 * @param pulseLengthRatio length of a pulse then, of that before
 * @param tolerances beyond which equal energy is not the same result
 */
public record EnergyFinding(
        double energyJMm2,
        double lineEnergyJMm,
        Settings to,
        double lineEnergyToJMm,
        OptionalDouble pulseEnergyRatio,
        OptionalDouble pulseLengthRatio,
        Tolerances tolerances) {

    /** W, mm/s, mm and passes. */
    public record Settings(double powerW, double speedMmS, double intervalMm, int passes) {}

    /** Factors, either way, of energy along a line and of a pulse. */
    public record Tolerances(double lineEnergyFactor, double pulseEnergyFactor) {}
}
