/**
 * What a lens does to the beam: which one to take ({@link zebrawood.core.lens.LensChoice}), and where it meets inside
 * glass ({@link zebrawood.core.lens.BelowSurface}).
 */
package zebrawood.core.lens;
