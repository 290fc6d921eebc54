package zebrawood.desktop.desk;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.json.Names;

/** With what sort of machine a plate begins: the families, and a gantry with a lid apart from one in a shut cabinet. */
public enum Beginning {
    CO2_LID(Family.GANTRY_CO2, "gantry CO2", "Tube, mirrors and a moving lens over a bed, under a lid.", 1150, 980),
    CO2_CABINET(
            Family.GANTRY_CO2,
            "gantry CO2, cabinet",
            "The same in a shut cabinet with doors, mostly smaller.",
            820,
            1000),
    DIODE(Family.GANTRY_DIODE, "gantry diode", "A small diode head on a light frame; mostly open.", 1000, 1190),
    GALVO_FIBRE(Family.GALVO_FIBRE, "galvo fibre", "Two scanning mirrors over a table; marks metals.", 900, 1540),
    GALVO_UV(Family.GALVO_UV, "galvo UV", "Two scanning mirrors, ultraviolet; glass and plastics.", 820, 1440),
    SHEET_FIBRE(Family.SHEET_FIBRE, "sheet fibre", "A cutting head over sheet metal, with assist gas.", 1900, 1380);

    private final Family family;
    private final String title;
    private final String line;
    private final double widthMm;
    private final double heightMm;

    Beginning(Family family, String title, String line, double widthMm, double heightMm) {
        this.family = family;
        this.title = title;
        this.line = line;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    public String title() {
        return title;
    }

    /** What it is, in one line. */
    public String line() {
        return line;
    }

    /** What stands on its plate from the beginning, by field. */
    public Map<String, String> texts() {
        String name = Names.of(family);
        return this == CO2_CABINET
                ? Map.of("family", name, "services.enclosureNote", "shut cabinet")
                : Map.of("family", name);
    }

    /** A machine of this sort as large as is usual, to be drawn. */
    public Plate usual() {
        return sketch(
                family,
                this == CO2_CABINET,
                Optional.of(new Plate.Size(widthMm, widthMm * 0.7, heightMm, OptionalDouble.empty())));
    }

    /** A machine of which only the family and perhaps its size are known, to be drawn. */
    public static Plate sketch(Family family, boolean shut, Optional<Plate.Size> size) {
        return new Plate(
                "?",
                family,
                Optional.empty(),
                Optional.empty(),
                size,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Services(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        shut ? Optional.of("shut") : Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
