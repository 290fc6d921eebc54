package zebrawood.desktop.demo;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;

/** The beams of the demo's machines, as their data sheets say, and the rooms they stand in. */
final class Rooms {

    private static final EyewearReadings.Room CLEAN = room(4200, 3200, 2100, 900, EyewearReadings.Wall.FRONT, 3400);
    private static final EyewearReadings.Room LOFT = room(4800, 3600, 1500, 1200, EyewearReadings.Wall.RIGHT, 2600);
    private static final EyewearReadings.Room HALL = room(14_000, 9000, 9200, 3400, EyewearReadings.Wall.LEFT, 4500);

    private Rooms() {}

    /** The bench room, with a machine's work so far from its left and its rear wall. */
    private static EyewearReadings.Room bench(double left, double rear) {
        return room(7200, 5400, left, rear, EyewearReadings.Wall.FRONT, 6300);
    }

    private static EyewearReadings.Room room(
            double wide, double deep, double left, double rear, EyewearReadings.Wall wall, double along) {
        return new EyewearReadings.Room(wide, deep, left, rear, Optional.of(wall), OptionalDouble.of(along));
    }

    /** What is read at the eyewear stop of a machine. */
    static EyewearReadings of(Plate plate) {
        return switch (plate.name()) {
            case "Wren" -> read(plate, Optional.empty(), 6, 3, lens(60, 8), 2, bench(1500, 1300));
            case "Dunlin" -> read(plate, Optional.empty(), 4, 4, lens(60, 6), 2, CLEAN);
            case "Kestrel" -> read(plate, Optional.empty(), 3.5, 6, Optional.empty(), 3, bench(3600, 1300));
            case "Heron" -> read(plate, pulses(1, 120, 30_000), 7.5, 0.4, lens(175, 7.5), 2, bench(5900, 1100));
            case "Plover" -> read(plate, pulses(0.1, 15, 40_000), 0.8, 1.1, lens(170, 5), 1, LOFT);
            default -> read(plate, Optional.empty(), 12, 0.5, lens(150, 12), 4, HALL);
        };
    }

    private static Optional<EyewearReadings.Pulse> pulses(double energyMj, double durationNs, double repetitionHz) {
        return Optional.of(new EyewearReadings.Pulse(energyMj, durationNs, repetitionHz));
    }

    private static Optional<EyewearReadings.Lens> lens(double focalMm, double beamMm) {
        return Optional.of(new EyewearReadings.Lens(focalMm, beamMm));
    }

    private static EyewearReadings read(
            Plate plate,
            Optional<EyewearReadings.Pulse> pulse,
            double beamMm,
            double divergenceMrad,
            Optional<EyewearReadings.Lens> lens,
            int people,
            EyewearReadings.Room room) {
        boolean shut = plate.services()
                .flatMap(Plate.Services::enclosure)
                .filter(enclosure -> enclosure == Plate.Enclosure.INTERLOCK)
                .isPresent();
        return new EyewearReadings(
                plate.wavelengthNm().orElseThrow(),
                plate.source().orElseThrow().ratedPowerW().orElseThrow(),
                pulse,
                beamMm,
                divergenceMrad,
                lens,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(shut ? EyewearReadings.Covers.SHUT : EyewearReadings.Covers.OPEN),
                OptionalInt.of(people),
                Optional.of(room),
                Optional.of(new EyewearReadings.Notice(Optional.of("4"), Optional.of("GA"))));
    }

    /** The same as it was typed. */
    static Map<String, String> asTyped(EyewearReadings read) {
        Map<String, String> typed = new HashMap<>(Map.of(
                "beamDiameterMm", Amount.exact(read.beamDiameterMm()),
                "divergenceMrad", Amount.exact(read.divergenceMrad())));
        read.pulse().ifPresent(pulse -> {
            typed.put("pulse.energyMj", Amount.exact(pulse.energyMj()));
            typed.put("pulse.durationNs", Amount.exact(pulse.durationNs()));
            typed.put("pulse.repetitionHz", Amount.exact(pulse.repetitionHz() / 1000) + " kHz");
        });
        read.lens().ifPresent(lens -> {
            typed.put("lens.focalLengthMm", Amount.exact(lens.focalLengthMm()));
            typed.put("lens.beamAtLensMm", Amount.exact(lens.beamAtLensMm()));
        });
        EyewearReadings.Room room = read.room().orElseThrow();
        typed.put("room.widthMm", Amount.exact(room.widthMm() / 1000) + " m");
        typed.put("room.depthMm", Amount.exact(room.depthMm() / 1000) + " m");
        typed.put("room.workFromLeftMm", Amount.exact(room.workFromLeftMm()));
        typed.put("room.workFromRearMm", Amount.exact(room.workFromRearMm()));
        room.doorAlongMm().ifPresent(along -> typed.put("room.doorAlongMm", Amount.exact(along)));
        return typed;
    }
}
