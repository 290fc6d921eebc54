/**
 * Power: the ceiling of a tube, percent to watts, the trend of a source, the same energy otherwise, pulses, beam hours.
 */
package zebrawood.benches.power;
