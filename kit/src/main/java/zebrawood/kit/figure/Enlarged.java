package zebrawood.kit.figure;

/**
 * By how much small offsets are drawn larger than what they stand on: a round number that is said under the drawing.
 */
public final class Enlarged {

    private Enlarged() {}

    /**
     * The largest round factor with which a length still fits.
     *
     * @param mm the largest length to draw, mm
     * @param pxPerMm of what it stands on
     * @param room px that it may take
     */
    public static double factor(double mm, double pxPerMm, double room) {
        double fits = mm <= 0 ? 1000 : Math.min(1000, room / (mm * pxPerMm));
        double power = Math.pow(10, Math.floor(Math.log10(fits)));
        double mantissa = fits / power;
        return power * (mantissa >= 5 ? 5 : mantissa >= 2 ? 2 : 1);
    }
}
