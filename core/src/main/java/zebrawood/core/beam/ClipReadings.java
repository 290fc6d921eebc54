package zebrawood.core.beam;

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
 */
public record ClipReadings(
        double beamDiameterMm,
        double apertureMm,
        double offsetMm,
        OptionalDouble allowedLossPct,
        Optional<String> opening) {

    /** what an opening may take without being felt at the work, % */
    public static final double ALLOWED_LOSS_PCT = 1;

    public ClipReadings {
        new Checks()
                .above("beamDiameterMm", beamDiameterMm, 0)
                .above("apertureMm", apertureMm, 0)
                .atLeast("offsetMm", offsetMm, 0)
                .above("allowedLossPct", allowedLossPct, 0)
                .that(!(allowedLossPct.orElse(1) >= 100), "allowedLossPct", "must be below 100 %")
                .done();
    }
}
