package zebrawood.core.mirrors;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.beam.Spot;
import zebrawood.core.reading.Checks;

/**
 * What was turned on a mount whose screws are not known, and what the far spot made of it.
 *
 * @param moves at least 2
 * @param spot where the far spot sits now
 * @param aim where it should sit, usually the near spot
 * @param spotErrorMm how near is there, mm, 0 or more; 0.3 where absent
 */
public record ResponseReadings(List<Move> moves, Spot spot, Spot aim, OptionalDouble spotErrorMm) {

    /** as a hurried person reads a mark */
    public static final double SPOT_ERROR_MM = 0.3;

    /** Turns of both screws, clockwise positive, and how far the far spot went to the right and up, mm. */
    public record Move(double screwA, double screwB, double dxMm, double dyMm) {
        public Move {
            new Checks()
                    .finite("screwA", screwA)
                    .finite("screwB", screwB)
                    .finite("dxMm", dxMm)
                    .finite("dyMm", dyMm)
                    .done();
        }
    }

    public ResponseReadings {
        moves = Checks.copy(moves);
        new Checks()
                .entries("moves", moves, 2)
                .present("spot", spot)
                .present("aim", aim)
                .atLeast("spotErrorMm", spotErrorMm, 0)
                .done();
    }
}
