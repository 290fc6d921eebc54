/**
 * Does the head stand square over the bed? Gaps typed where they are read, over a bed or round a lens ring. Start at
 * {@link zebrawood.benches.level.BedBench}; {@link zebrawood.benches.level.BedPlan} is a bed from above, to scale.
 */
package zebrawood.benches.level;
