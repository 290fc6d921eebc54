package zebrawood.core.picture;

/** A place in a picture, px from its upper left corner. */
public record Pixel(double x, double y) {

    /** How far another place is, px. */
    public double to(Pixel other) {
        return Math.hypot(other.x - x, other.y - y);
    }

    /** A place on the way to another one, where 0 is here and 1 there; it may lie beyond. */
    public Pixel towards(Pixel other, double share) {
        return new Pixel(x + share * (other.x - x), y + share * (other.y - y));
    }
}
