/**
 * The air assist's bench: what the air goes through, and how much comes out. Start at
 * {@link zebrawood.benches.air.AirBench}.
 */
package zebrawood.benches.air;
