package zebrawood.desktop.demo;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;

/** The plates of the six invented machines. */
final class Plates {

    private Plates() {}

    private static final ClimateLimits GANTRY_CLIMATE = climate(14, 29, 22, 66);

    /** @param senderMaxS what the job software sends for full power */
    static Plate wren(double senderMaxS) {
        return new Plate(
                "Wren",
                Family.GANTRY_CO2,
                Optional.of("FH-02"),
                Optional.of("bench room"),
                size(1150, 780, 980, 212),
                bed(700, 500),
                source("glass tube", 90, OptionalDouble.of(28), 10600),
                optics(
                        List.of(lens("short", 45), lens("middle", 60), lens("long", 90)),
                        "nozzle tip",
                        7.0,
                        "block",
                        0.1,
                        "bed",
                        0.02),
                services(
                        Plate.Cooling.WATER,
                        "chiller set by hand, 6.2 l",
                        Plate.Enclosure.INTERLOCK,
                        "lid with interlock",
                        "230 V, 1000 W and chiller 780 W"),
                Optional.of(GANTRY_CLIMATE),
                Optional.of(new Plate.Control(
                        Plate.ControllerKind.NUMBERED, Optional.of(need(700, 500, senderMaxS, 30000, 4000)))),
                rhythm(60));
    }

    static Plate dunlin(String place) {
        return new Plate(
                "Dunlin",
                Family.GANTRY_CO2,
                Optional.of("FH-03"),
                Optional.of(place),
                size(820, 700, 1000, 96),
                bed(520, 320),
                source("sealed RF tube", 45, OptionalDouble.empty(), 10600),
                optics(List.of(lens("middle", 60)), "nozzle tip", 10.0, "stick", 0.5, "bed", 0.02),
                services(
                        Plate.Cooling.WATER,
                        "closed loop, 3.9 l",
                        Plate.Enclosure.INTERLOCK,
                        "shut, two doors, interlock each",
                        "230 V, 620 W"),
                Optional.of(GANTRY_CLIMATE),
                Optional.of(new Plate.Control(Plate.ControllerKind.OWN, Optional.empty())),
                rhythm(60));
    }

    static Plate kestrel() {
        return new Plate(
                "Kestrel",
                Family.GANTRY_DIODE,
                Optional.of("FH-05"),
                Optional.of("bench room"),
                size(1000, 760, 1190, 74),
                bed(640, 460),
                source("diode", 8, OptionalDouble.empty(), 450),
                optics(List.of(), "lower edge of the case", 26.0, "block", 0.1, "head", 0.005),
                services(Plate.Cooling.AIR, "fan", Plate.Enclosure.OPEN, "open", "230 V, 260 W"),
                Optional.of(climate(5, 35, 10, 80)),
                Optional.of(new Plate.Control(
                        Plate.ControllerKind.NUMBERED, Optional.of(need(610, 430, 1200, 12000, 1200)))),
                rhythm(60));
    }

    static Plate heron() {
        return new Plate(
                "Heron",
                Family.GALVO_FIBRE,
                Optional.of("FH-07"),
                Optional.of("bench room"),
                size(900, 620, 1540, 88),
                bed(200, 200),
                source("pulsed fibre", 30, OptionalDouble.empty(), 1064),
                optics(
                        List.of(lens("field 290", 290), lens("175", 175)),
                        "lens ring",
                        182.0,
                        "stick",
                        0.1,
                        "head",
                        0.005),
                services(Plate.Cooling.AIR, "fan", Plate.Enclosure.OPEN, "open, in a curtained corner", "230 V, 520 W"),
                Optional.of(climate(10, 32, 10, 75)),
                Optional.of(new Plate.Control(Plate.ControllerKind.OWN, Optional.empty())),
                rhythm(60));
    }

    static Plate plover() {
        return new Plate(
                "Plover",
                Family.GALVO_UV,
                Optional.of("FH-08"),
                Optional.of("loft"),
                size(820, 600, 1440, 71),
                bed(70, 70),
                source("pulsed UV", 4, OptionalDouble.empty(), 355),
                optics(
                        List.of(lens("field 170", 170)),
                        "lower face of the lens barrel",
                        212.0,
                        "stick",
                        0.1,
                        "head",
                        0.005),
                services(
                        Plate.Cooling.WATER,
                        "follows the room",
                        Plate.Enclosure.INTERLOCK,
                        "box with interlock",
                        "230 V, 410 W"),
                Optional.of(climate(16, 27, 20, 60)),
                Optional.of(new Plate.Control(Plate.ControllerKind.OWN, Optional.empty())),
                rhythm(60));
    }

    static Plate bittern() {
        return new Plate(
                "Bittern",
                Family.SHEET_FIBRE,
                Optional.of("FH-11"),
                Optional.of("hall"),
                size(1900, 1700, 1380, 1150),
                bed(1600, 1100),
                source("fibre", 1500, OptionalDouble.empty(), 1070),
                optics(List.of(lens("internal focus, motor", 0)), "nozzle tip", 0.9, "", 0, "head", 0.02),
                services(
                        Plate.Cooling.WATER,
                        "own chiller",
                        Plate.Enclosure.INTERLOCK,
                        "cabin, interlock, key",
                        "400 V three-phase, by an electrician"),
                Optional.of(climate(8, 36, 10, 80)),
                Optional.of(new Plate.Control(Plate.ControllerKind.OWN, Optional.empty())),
                rhythm(20));
    }

    private static ClimateLimits climate(double from, double to, double dry, double damp) {
        return new ClimateLimits(from, to, OptionalDouble.of(dry), damp);
    }

    private static Optional<Plate.Size> size(double width, double depth, double height, double kg) {
        return Optional.of(new Plate.Size(width, depth, height, OptionalDouble.of(kg)));
    }

    private static Optional<Plate.Bed> bed(double x, double y) {
        return Optional.of(new Plate.Bed(x, y, OptionalDouble.empty(), OptionalDouble.empty()));
    }

    private static Optional<Plate.Source> source(String kind, double powerW, OptionalDouble currentMa, double nm) {
        return Optional.of(new Plate.Source(
                Optional.of(kind), OptionalDouble.of(powerW), currentMa, List.of(nm), OptionalDouble.empty()));
    }

    private static Plate.Lens lens(String name, double focalMm) {
        return new Plate.Lens(name, positive(focalMm));
    }

    private static Optional<Plate.Optics> optics(
            List<Plate.Lens> lenses,
            String datum,
            double gapMm,
            String tool,
            double stepMm,
            String moves,
            double widthErrorMm) {
        return Optional.of(new Plate.Optics(
                lenses,
                Optional.of(datum),
                OptionalDouble.of(gapMm),
                Optional.of(tool).filter(t -> !t.isEmpty()),
                positive(stepMm),
                Optional.of(moves),
                OptionalDouble.empty(),
                OptionalDouble.of(widthErrorMm)));
    }

    private static OptionalDouble positive(double value) {
        return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    private static Optional<Plate.Services> services(
            Plate.Cooling cooling, String coolingNote, Plate.Enclosure enclosure, String enclosureNote, String mains) {
        return Optional.of(new Plate.Services(
                Optional.of(cooling),
                Optional.of(coolingNote),
                Optional.of(enclosure),
                Optional.of(enclosureNote),
                Optional.of("through the wall"),
                Optional.empty(),
                Optional.of(mains),
                Optional.of(Plate.Fitted.FITTED),
                Optional.of(Plate.Fitted.FITTED)));
    }

    private static ControllerNeed need(double x, double y, double senderMaxS, double rate, double acceleration) {
        return new ControllerNeed(
                ControllerNeed.Tool.LASER,
                new ControllerNeed.Travel(x, y, OptionalDouble.empty()),
                OptionalDouble.empty(),
                Optional.of(ControllerNeed.HomeCorner.FRONT_LEFT),
                true,
                OptionalDouble.of(senderMaxS),
                OptionalDouble.of(1200),
                OptionalDouble.of(rate),
                OptionalDouble.of(acceleration));
    }

    private static Optional<Plate.Rhythm> rhythm(int daysOutOfUse) {
        return Optional.of(new Plate.Rhythm(
                OptionalInt.empty(), OptionalInt.empty(), OptionalInt.empty(), OptionalInt.of(daysOutOfUse)));
    }
}
