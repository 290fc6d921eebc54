package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;

/**
 * What a plate does not say yet, and which stop needs it.
 *
 * @param path the field in which it is typed
 * @param what in words
 * @param neededBy the stop
 */
record StillUnknown(String path, String what, String neededBy) {

    static List<StillUnknown> of(Plate plate) {
        List<StillUnknown> unknown = new ArrayList<>();
        add(unknown, plate.size().isEmpty(), "size.widthMm", "outer size", "Way in");
        add(
                unknown,
                plate.size().isPresent() && plate.size().get().massKg().isEmpty(),
                "size.massKg",
                "mass",
                "Way in");
        add(unknown, plate.climate().isEmpty(), "climate.minTemperatureC", "limits of the room's air", "Climate");
        add(unknown, plate.wavelengthNm().isEmpty(), "source.wavelengthsNm[0]", "wavelength", "First light, Ramp line");
        add(unknown, plate, Plate.Part.WATER, "services.cooling", "how the source is cooled");
        add(unknown, plate, Plate.Part.INTERLOCK, "services.enclosure", "whether covers have switches");
        add(unknown, plate, Plate.Part.AIR, "services.airAssist", "whether air is blown");
        add(unknown, plate, Plate.Part.FIBRE, "services.deliveryFibre", "whether there is a delivery fibre");
        boolean gantry = plate.family() == Family.GANTRY_CO2 || plate.family() == Family.GANTRY_DIODE;
        add(unknown, gantry && plate.control().isEmpty(), "control.kind", "what sort of controller", "Settings");
        add(
                unknown,
                gantry
                        && plate.control()
                                .filter(c -> c.kind() == Plate.ControllerKind.NUMBERED
                                        && c.need().isEmpty())
                                .isPresent(),
                "control.need.tool",
                "what the machine needs of it",
                "Settings");
        add(
                unknown,
                plate.optics().flatMap(Plate.Optics::focusDatum).isEmpty(),
                "optics.focusDatum",
                "from where gaps are measured",
                "Ramp line");
        return unknown;
    }

    private static void add(List<StillUnknown> unknown, boolean lacks, String path, String what, String neededBy) {
        if (lacks) {
            unknown.add(new StillUnknown(path, what, neededBy));
        }
    }

    private static void add(List<StillUnknown> unknown, Plate plate, Plate.Part part, String path, String what) {
        add(unknown, plate.presence(part) == Plate.Presence.UNKNOWN, path, what, "First light");
    }
}
