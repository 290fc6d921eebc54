package zebrawood.core.gantry;

/** A point or a direction in the room: x to the right, y to the back, z up, seen from the front; mm. */
record Vector(double x, double y, double z) {

    Vector plus(Vector other) {
        return new Vector(x + other.x, y + other.y, z + other.z);
    }

    Vector minus(Vector other) {
        return new Vector(x - other.x, y - other.y, z - other.z);
    }

    Vector times(double factor) {
        return new Vector(factor * x, factor * y, factor * z);
    }

    double dot(Vector other) {
        return x * other.x + y * other.y + z * other.z;
    }

    Vector cross(Vector other) {
        return new Vector(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    Vector unit() {
        return times(1 / Math.sqrt(dot(this)));
    }

    /** Turned about an axis of length 1 by an angle, rad, right-handed (Rodrigues). */
    Vector turned(Vector axis, double angle) {
        return times(Math.cos(angle))
                .plus(axis.cross(this).times(Math.sin(angle)))
                .plus(axis.times(axis.dot(this) * (1 - Math.cos(angle))));
    }
}
