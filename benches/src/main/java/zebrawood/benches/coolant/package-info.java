/**
 * The water's benches: what to set the chiller to, how warm it gets, what goes in. Start at
 * {@link zebrawood.benches.coolant.SetpointBench}, {@link zebrawood.benches.coolant.HeatBench} and
 * {@link zebrawood.benches.coolant.MixBench}.
 */
package zebrawood.benches.coolant;
