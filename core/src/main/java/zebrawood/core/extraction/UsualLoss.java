package zebrawood.core.extraction;

/**
 * Losses to pick where the maker of a part states none: the usual figures of handbooks on round ducts, of the pressure
 * of the air that moves in the part, rounded up. What the maker of a part states comes first.
 */
public enum UsualLoss {
    /** 90°, radius of its middle 1.5 bores, smooth */
    SMOOTH_BEND("smooth bend", 0.3),
    /** 90°, mitred, without vanes */
    ELBOW("sharp elbow", 1.2),
    /** 45°, smooth */
    HALF_BEND("45° bend", 0.2),
    /** gradual, to the smaller bore, in which the air is taken */
    REDUCER("reducer", 0.1),
    /** a bore above the end of the duct */
    RAIN_CAP("rain cap", 1.1),
    /** two thirds of it open */
    MESH("mesh", 0.8);

    private final String words;
    private final double coefficient;

    UsualLoss(String words, double coefficient) {
        this.words = words;
        this.coefficient = coefficient;
    }

    public String words() {
        return words;
    }

    /** Of the pressure of the moving air, a pure number. */
    public double coefficient() {
        return coefficient;
    }
}
