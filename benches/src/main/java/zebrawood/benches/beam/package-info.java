/**
 * Is the beam round, upright and free all the way to the nozzle, as drawings over what is typed? Start at
 * {@link zebrawood.benches.beam.VerticalBench}.
 */
package zebrawood.benches.beam;
