/**
 * Whether bed and head stand square to each other: {@link zebrawood.core.level.BedLevel} by the screws of a bed,
 * {@link zebrawood.core.level.HeadTilt} by shims under a head over a fixed table.
 */
package zebrawood.core.level;
