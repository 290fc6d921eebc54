package zebrawood.core.lens;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The lenses there are, and what is wanted of them.
 *
 * @param wavelengthNm above 0
 * @param beamDiameterMm at the lens, where it has fallen to 1/e² of its middle, above 0
 * @param beamQualityM2 1 or more
 * @param lenses at least one
 * @param smallestFeatureMm that is to be seen, above 0
 * @param materialMm thickness of the stock, 0 or more
 * @param overlapPct of one line on the next, 0 to below 100; 0 where absent
 * @param purpose engrave where absent
 * @param allowedEdgeMm widest edge of a cut, 0.5 where absent
 * @param seated whether each lens was seen to lie flat and the right way up; absent where nobody looked
 */
public record ChoiceReadings(
        double wavelengthNm,
        double beamDiameterMm,
        double beamQualityM2,
        List<Lens> lenses,
        double smallestFeatureMm,
        double materialMm,
        OptionalDouble overlapPct,
        Optional<Purpose> purpose,
        OptionalDouble allowedEdgeMm,
        Optional<Boolean> seated) {

    public static final double ALLOWED_EDGE_MM = 0.5;
    /** the best score of a strip */
    static final double MOST_SCORE = 10;
    /** of a strip */
    static final int SCORES = 4;

    /** What the lens is wanted for. */
    public enum Purpose {
        /** thickness does not matter */
        ENGRAVE,
        CUT
    }

    /** How a lens errs; of zinc selenide at 10.6 µm, and used as it is at any wavelength. */
    public enum Aberration {
        NONE(0),
        MENISCUS(0.0187),
        PLANO_CONVEX(0.0286);

        private final double share;

        Aberration(double share) {
            this.share = share;
        }

        /** What it adds to the spot, mm: {@code k D³/f²}. */
        double addsMm(double beamMm, double focalMm) {
            return share * beamMm * (beamMm / focalMm) * (beamMm / focalMm);
        }
    }

    /**
     * A lens, and how the strip that was engraved with it looks.
     *
     * @param focalLengthMm above 0
     * @param aberration how it errs; not at all where absent
     * @param strip four scores of 0 to 10, more is better: how fine its detail is, how clean of residue, how much of
     *     the depth that is wanted, how even its ground
     */
    public record Lens(
            String name, double focalLengthMm, Optional<Aberration> aberration, Optional<List<Double>> strip) {
        /** One with which no strip was engraved yet. */
        public Lens(String name, double focalLengthMm, Optional<Aberration> aberration) {
            this(name, focalLengthMm, aberration, Optional.empty());
        }

        public Lens {
            strip = strip == null ? Optional.empty() : strip.map(List::copyOf);
            Checks checks = new Checks()
                    .text("name", name)
                    .above("focalLengthMm", focalLengthMm, 0)
                    .that(
                            strip.map(List::size).orElse(SCORES) == SCORES,
                            "strip",
                            "give four scores: detail, clean, depth, finish");
            List<Double> scores = strip.orElse(List.of());
            for (int i = 0; i < scores.size(); i++) {
                checks.within("strip[" + i + "]", scores.get(i), 0, MOST_SCORE);
            }
            checks.done();
        }
    }

    public ChoiceReadings {
        lenses = Checks.copy(lenses);
        new Checks()
                .above("wavelengthNm", wavelengthNm, 0)
                .above("beamDiameterMm", beamDiameterMm, 0)
                .atLeast("beamQualityM2", beamQualityM2, 1)
                .entries("lenses", lenses, 1)
                .distinct("lenses", lenses, "name", Lens::name)
                .above("smallestFeatureMm", smallestFeatureMm, 0)
                .atLeast("materialMm", materialMm, 0)
                .atLeast("overlapPct", overlapPct, 0)
                .that(
                        overlapPct == null || overlapPct.isEmpty() || !(overlapPct.getAsDouble() >= 100),
                        "overlapPct",
                        "must be below 100: lines that lie on each other wholly never end")
                .above("allowedEdgeMm", allowedEdgeMm, 0)
                .done();
    }

    boolean cuts() {
        return purpose.orElse(Purpose.ENGRAVE) == Purpose.CUT;
    }
}
