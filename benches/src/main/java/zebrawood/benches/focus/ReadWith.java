package zebrawood.benches.focus;

import java.util.OptionalDouble;
import zebrawood.core.machine.Plate;
import zebrawood.kit.form.Draft;

/** What widths are read with, and how surely: one standard error, mm. */
enum ReadWith {
    CALLIPER("calliper", 0.05),
    LOUPE("loupe", 0.02),
    MICROSCOPE("microscope", 0.005);

    private final String word;
    private final double errorMm;

    ReadWith(String word, double errorMm) {
        this.word = word;
        this.errorMm = errorMm;
    }

    double errorMm() {
        return errorMm;
    }

    /** As it is chosen: {@code loupe, ± 0.02 mm}. */
    @Override
    public String toString() {
        return word + ", ± " + errorMm + " mm";
    }

    /** As chosen in the draft, else what the plate says, else the loupe. */
    static ReadWith of(Draft draft, Plate plate) {
        for (ReadWith tool : values()) {
            if (tool.name().equals(draft.text(RampBench.TOOL))) {
                return tool;
            }
        }
        OptionalDouble usual = plate.optics().map(Plate.Optics::widthErrorMm).orElse(OptionalDouble.empty());
        return usual.isPresent() ? nearest(usual.getAsDouble()) : LOUPE;
    }

    /** The finest one that is not surer than an error, mm. */
    static ReadWith noSurerThan(double errorMm) {
        return errorMm <= MICROSCOPE.errorMm ? MICROSCOPE : errorMm <= LOUPE.errorMm ? LOUPE : CALLIPER;
    }

    static ReadWith nearest(double errorMm) {
        ReadWith nearest = LOUPE;
        for (ReadWith tool : values()) {
            if (Math.abs(Math.log(tool.errorMm / errorMm)) < Math.abs(Math.log(nearest.errorMm / errorMm))) {
                nearest = tool;
            }
        }
        return nearest;
    }
}
