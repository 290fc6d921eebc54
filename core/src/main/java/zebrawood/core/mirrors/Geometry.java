package zebrawood.core.mirrors;

import java.util.List;

/** The runs of a gantry, m, and the places on them where shots are worth it. */
record Geometry(double yNearM, double yFarM, double xNearM, double xFarM) {

    static Geometry of(PlanReadings.Run run) {
        return new Geometry(run.yNearMm() / 1000, run.yFarMm() / 1000, run.xNearMm() / 1000, run.xFarMm() / 1000);
    }

    /** -1 at the near end of the gantry's travel, 1 at its far end. */
    double gantryShare(double gantryM) {
        return 2 * (gantryM - yNearM) / (yFarM - yNearM) - 1;
    }

    /** -1 at the near end of the carriage's travel, 1 at its far end. */
    double carriageShare(double carriageM) {
        return 2 * (carriageM - xNearM) / (xFarM - xNearM) - 1;
    }

    /** The four corners of the bed, at the head. */
    List<Place> corners() {
        return List.of(
                new Place(2, yNearM, xNearM),
                new Place(2, yFarM, xNearM),
                new Place(2, yNearM, xFarM),
                new Place(2, yFarM, xFarM));
    }

    /** The middle of the bed, at the head. */
    Place middle() {
        return new Place(2, (yNearM + yFarM) / 2, (xNearM + xFarM) / 2);
    }

    Place firstMirrorNear() {
        return new Place(1, yNearM, 0);
    }

    Place firstMirrorFar() {
        return new Place(1, yFarM, 0);
    }
}
