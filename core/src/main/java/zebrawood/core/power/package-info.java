/**
 * The power of a source: the ceiling of a tube ({@link zebrawood.core.power.TubeCeiling}), percent to watts
 * ({@link zebrawood.core.power.PowerLinearity}), its fall over the hours ({@link zebrawood.core.power.PowerTrend}), the
 * same energy otherwise ({@link zebrawood.core.power.EnergyMatch}), and pulses
 * ({@link zebrawood.core.power.PulsePlan}).
 */
package zebrawood.core.power;
