package zebrawood.core.beam;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * A beam and an opening on its way.
 *
 * @param beamDiameterMm 1/e² diameter of the beam there, mm, above 0
 * @param apertureMm diameter of the opening, mm, above 0
 * @param offsetMm how far beside the opening's middle the beam passes, mm, 0 or more
 * @param allowedLossPct what may be lost there, %, above 0, below 100; 1 where absent
 * @param opening which opening, in words
 * @param distanceMm how far along the beam it stands, mm from wherever, 0 or more; the same for all of them
 * @param others more openings on the way
 */
public record ClipReadings(
        double beamDiameterMm,
        double apertureMm,
        double offsetMm,
        OptionalDouble allowedLossPct,
        Optional<String> opening,
        OptionalDouble distanceMm,
        List<Other> others) {

    /** One opening alone. */
    public ClipReadings(
            double beamDiameterMm,
            double apertureMm,
            double offsetMm,
            OptionalDouble allowedLossPct,
            Optional<String> opening) {
        this(beamDiameterMm, apertureMm, offsetMm, allowedLossPct, opening, OptionalDouble.empty(), List.of());
    }

    /**
     * Another opening on the way.
     *
     * @param name which one
     * @param distanceMm how far along the beam it stands, mm, 0 or more
     * @param beamDiameterMm 1/e² diameter of the beam there, mm, above 0
     * @param apertureMm diameter of the opening, mm, above 0
     * @param offsetMm how far beside its middle the beam passes, mm, 0 or more
     */
    public record Other(
            Optional<String> name,
            OptionalDouble distanceMm,
            double beamDiameterMm,
            double apertureMm,
            double offsetMm) {
        public Other {
            new Checks()
                    .atLeast("distanceMm", distanceMm, 0)
                    .above("beamDiameterMm", beamDiameterMm, 0)
                    .above("apertureMm", apertureMm, 0)
                    .atLeast("offsetMm", offsetMm, 0)
                    .done();
        }
    }

    /** what an opening may take without being felt at the work, % */
    public static final double ALLOWED_LOSS_PCT = 1;

    public ClipReadings {
        others = Checks.copy(others);
        new Checks()
                .above("beamDiameterMm", beamDiameterMm, 0)
                .above("apertureMm", apertureMm, 0)
                .atLeast("offsetMm", offsetMm, 0)
                .above("allowedLossPct", allowedLossPct, 0)
                .atLeast("distanceMm", distanceMm, 0)
                .that(!(allowedLossPct.orElse(1) >= 100), "allowedLossPct", "must be below 100 %")
                .done();
    }
}
