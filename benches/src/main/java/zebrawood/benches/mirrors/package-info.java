/**
 * The bench at which mirrors are aligned. {@link zebrawood.benches.mirrors.MirrorsBench} puts together what was shot
 * and turned, {@link zebrawood.benches.mirrors.MirrorsView} lays it out: the beam's way, the card, the mirrors.
 */
package zebrawood.benches.mirrors;
