/**
 * Is the beam round, upright and free all the way to the nozzle? What a person can read off cards and check by hand.
 * Start at {@link zebrawood.core.beam.HeadVertical}; how mirrors are aligned stands in {@code core.mirrors}.
 */
package zebrawood.core.beam;
