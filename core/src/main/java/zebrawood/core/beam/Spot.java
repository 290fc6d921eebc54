package zebrawood.core.beam;

import zebrawood.core.reading.Checks;

/**
 * A mark on a card, seen standing at the card and looking back to where the beam comes from.
 *
 * @param xMm to the right of the card's centre, mm
 * @param yMm above it, mm
 */
public record Spot(double xMm, double yMm) {

    public Spot {
        new Checks().finite("xMm", xMm).finite("yMm", yMm).done();
    }

    /** How far it lies from another, mm. */
    public double distanceMm(Spot other) {
        return Math.hypot(xMm - other.xMm, yMm - other.yMm);
    }

    /** How far it lies from the centre, mm. */
    public double fromCentreMm() {
        return Math.hypot(xMm, yMm);
    }
}
