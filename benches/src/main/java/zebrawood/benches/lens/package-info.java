/**
 * Which lens does what is wanted, and where does its beam meet inside glass? Start at
 * {@link zebrawood.benches.lens.LensBench} and {@link zebrawood.benches.lens.BelowBench}.
 */
package zebrawood.benches.lens;
