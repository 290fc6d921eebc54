package zebrawood.core.machine;

/** Families of laser machines, as a technician tells them apart. */
public enum Family {
    GANTRY_CO2("gantry CO2"),
    GANTRY_DIODE("gantry diode"),
    GALVO_FIBRE("galvo fibre"),
    GALVO_UV("galvo UV"),
    SHEET_FIBRE("sheet fibre");

    private final String words;

    Family(String words) {
        this.words = words;
    }

    /** As it is said: {@code gantry CO2}. */
    public String words() {
        return words;
    }

    /** Two scanning mirrors over a fixed table. */
    public boolean isGalvo() {
        return this == GALVO_FIBRE || this == GALVO_UV;
    }

    /** Air may be blown along the beam; sheet cutters have gas instead, galvos nothing. */
    public boolean hasAirAssist() {
        return this == GANTRY_CO2 || this == GANTRY_DIODE;
    }

    /** The beam may reach the head through a delivery fibre. */
    public boolean hasDeliveryFibre() {
        return this == GALVO_FIBRE || this == SHEET_FIBRE;
    }
}
