package zebrawood.core.gantry;

/** A beam from a point in a direction of length 1. */
record Ray(Vector from, Vector along) {

    /** Where it meets a plane through a point. */
    Vector meets(Vector point, Vector normal) {
        return from.plus(along.times(point.minus(from).dot(normal) / along.dot(normal)));
    }

    /** What a mirror through a point makes of it: {@code d - 2 (d . n) n}. */
    Ray reflected(Vector point, Vector normal) {
        return new Ray(meets(point, normal), along.minus(normal.times(2 * along.dot(normal))));
    }
}
