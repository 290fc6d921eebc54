package zebrawood.core.lens;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
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
     * A lens, and how the strip that was engraved with it looks: each score 0 to 10, more is better; all four or none.
     *
     * @param focalLengthMm above 0
     * @param aberration how it errs; not at all where absent
     * @param stripDetail how fine it is
     * @param stripResidue how clean
     * @param stripDepth how much of the depth that is wanted
     * @param stripFinish how even its ground
     */
    public record Lens(
            String name,
            double focalLengthMm,
            Optional<Aberration> aberration,
            OptionalDouble stripDetail,
            OptionalDouble stripResidue,
            OptionalDouble stripDepth,
            OptionalDouble stripFinish) {
        /** One with which no strip was engraved yet. */
        public Lens(String name, double focalLengthMm, Optional<Aberration> aberration) {
            this(
                    name,
                    focalLengthMm,
                    aberration,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty());
        }

        public Lens {
            List<String> names = List.of("stripDetail", "stripResidue", "stripDepth", "stripFinish");
            List<OptionalDouble> scores = Stream.of(stripDetail, stripResidue, stripDepth, stripFinish)
                    .map(score -> score == null ? OptionalDouble.empty() : score)
                    .toList();
            Checks checks = new Checks().text("name", name).above("focalLengthMm", focalLengthMm, 0);
            for (int i = 0; i < names.size(); i++) {
                checks.atLeast(names.get(i), scores.get(i), 0)
                        .that(!(scores.get(i).orElse(0) > MOST_SCORE), names.get(i), "must be 0 to 10");
            }
            long scored = scores.stream().filter(OptionalDouble::isPresent).count();
            for (int i = 0; i < names.size(); i++) {
                checks.that(
                        scored == 0 || scores.get(i).isPresent(),
                        names.get(i),
                        "the other scores of this strip are given; give this one too, or none");
            }
            checks.done();
        }

        /** The scores of its strip; empty where there is none. */
        List<Double> scores() {
            return Stream.of(stripDetail, stripResidue, stripDepth, stripFinish)
                    .flatMapToDouble(OptionalDouble::stream)
                    .boxed()
                    .toList();
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
