/**
 * The water's benches: what to set the chiller to, how warm it gets, what goes in. Start at
 * {@link zebrawood.desktop.coolant.SetpointBench}, {@link zebrawood.desktop.coolant.HeatBench} and
 * {@link zebrawood.desktop.coolant.MixBench}.
 */
package zebrawood.desktop.coolant;
