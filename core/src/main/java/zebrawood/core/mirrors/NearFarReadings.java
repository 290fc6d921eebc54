package zebrawood.core.mirrors;

import java.util.OptionalDouble;
import zebrawood.core.beam.Spot;
import zebrawood.core.reading.Checks;

/**
 * Two marks on the run behind a mirror.
 *
 * @param mirror its name
 * @param nearDistanceMm from the mirror to the near card, mm, 0 or more
 * @param farDistanceMm to the far card, mm, above the near one
 * @param near the near mark
 * @param far the far mark
 * @param mount its screws
 * @param angleToleranceMm largest distance between the two marks that passes, mm, 0 or more; 0.5 where absent
 * @param offsetToleranceMm largest distance of the beam from the middle, at the mirror, mm, 0 or more; 1 where absent
 */
public record NearFarReadings(
        String mirror,
        double nearDistanceMm,
        double farDistanceMm,
        Spot near,
        Spot far,
        Screws mount,
        OptionalDouble angleToleranceMm,
        OptionalDouble offsetToleranceMm) {

    public static final double ANGLE_TOLERANCE_MM = 0.5;
    public static final double OFFSET_TOLERANCE_MM = 1;

    /**
     * The screws of a mount whose making is known.
     *
     * @param armXMm lever arm from the pivot of the screw that turns the beam in the plane of incidence, mm, above 0
     * @param armYMm of the one that turns it out of that plane, mm, above 0
     * @param pitchMm of both, mm, above 0
     * @param incidenceDeg angle between beam and mirror's normal, degrees, 0 or more, below 90; 45 where absent
     */
    public record Screws(double armXMm, double armYMm, double pitchMm, OptionalDouble incidenceDeg) {
        public Screws {
            new Checks()
                    .above("armXMm", armXMm, 0)
                    .above("armYMm", armYMm, 0)
                    .above("pitchMm", pitchMm, 0)
                    .atLeast("incidenceDeg", incidenceDeg, 0)
                    .that(!(incidenceDeg.orElse(0) >= 90), "incidenceDeg", "must be below 90°")
                    .done();
        }
    }

    public NearFarReadings {
        new Checks()
                .text("mirror", mirror)
                .atLeast("nearDistanceMm", nearDistanceMm, 0)
                .finite("farDistanceMm", farDistanceMm)
                .present("near", near)
                .present("far", far)
                .present("mount", mount)
                .atLeast("angleToleranceMm", angleToleranceMm, 0)
                .atLeast("offsetToleranceMm", offsetToleranceMm, 0)
                .tie(() -> farDistanceMm > nearDistanceMm, "farDistanceMm", "must be farther than the near card")
                .done();
    }
}
