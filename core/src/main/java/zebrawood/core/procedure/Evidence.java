package zebrawood.core.procedure;

import zebrawood.core.units.Said;

/** One figure that a verdict rests on: {@code best gap, 6.84 ± 0.14 mm}. */
public record Evidence(String label, Said figure) {}
