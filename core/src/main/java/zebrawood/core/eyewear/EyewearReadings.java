package zebrawood.core.eyewear;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.reading.Checks;

/**
 * A beam, as its maker states it, and the room in which it is used. Widths and divergence are those at 1/e of the peak:
 * a figure at 1/e² divided by 1.414.
 *
 * @param wavelengthNm nm, 315..11000, but not between 1250 and 1400
 * @param averagePowerW W, above 0
 * @param pulse where it comes in pulses
 * @param beamDiameterMm where it leaves the source, mm, above 0
 * @param divergenceMrad full angle, mrad, above 0
 * @param lens through which it goes, where it does
 * @param exposureS how long an eye may be in the beam, s, 0.001..30000; 0.25 for what is seen, 1000 under 400 nm, else
 *     10
 * @param watchS how long somebody may watch the reflection, s, 0.001..30000; the exposure where absent, and at least
 *     100 for what is seen
 * @param diffuseReflectance share of the light that the work throws back, above 0, up to 1; 1 where absent
 * @param viewingAngleDeg from straight above the work, °, 0 to below 90; 0 where absent
 * @param covers whether covers with an interlock shut the beam in
 * @param people how many may be in the room while it runs, 1..100
 * @param room its size, and where the machine and the door are
 * @param notice what stands on the notice at the door besides
 */
public record EyewearReadings(
        double wavelengthNm,
        double averagePowerW,
        Optional<Pulse> pulse,
        double beamDiameterMm,
        double divergenceMrad,
        Optional<Lens> lens,
        OptionalDouble exposureS,
        OptionalDouble watchS,
        OptionalDouble diffuseReflectance,
        OptionalDouble viewingAngleDeg,
        Optional<Covers> covers,
        OptionalInt people,
        Optional<Room> room,
        Optional<Notice> notice) {

    private static final double LONGEST_S = 30_000;

    /** Whether the beam can come out while the machine runs. */
    public enum Covers {
        /** covers with an interlock all round */
        SHUT,
        /** it can come out */
        OPEN
    }

    /**
     * Pulses.
     *
     * @param energyMj of each, mJ, above 0
     * @param durationNs of each, ns, 1..2.5e8
     * @param repetitionHz how many a second, above 0
     */
    public record Pulse(double energyMj, double durationNs, double repetitionHz) {
        public Pulse {
            new Checks()
                    .above("energyMj", energyMj, 0)
                    .within("durationNs", durationNs, 1, 2.5e8)
                    .above("repetitionHz", repetitionHz, 0)
                    .tie(
                            () -> durationNs / 1e9 * repetitionHz <= 1 + 1e-9,
                            "durationNs",
                            "so many pulses of this length do not fit into a second")
                    .done();
        }

        double seconds() {
            return durationNs / 1e9;
        }
    }

    /** Focal length, mm, above 0, and width of the beam at the lens, mm, above 0. */
    public record Lens(double focalLengthMm, double beamAtLensMm) {
        public Lens {
            new Checks()
                    .above("focalLengthMm", focalLengthMm, 0)
                    .above("beamAtLensMm", beamAtLensMm, 0)
                    .done();
        }
    }

    /** A wall, seen from above with the rear wall at the top. */
    public enum Wall {
        FRONT,
        LEFT,
        REAR,
        RIGHT
    }

    /**
     * The room, inside, from above.
     *
     * @param widthMm from the left wall to the right one, mm, 500..200000
     * @param depthMm from the rear wall to the front one, mm, 500..200000
     * @param workFromLeftMm from the left wall to where the beam meets the work, mm, within the room
     * @param workFromRearMm from the rear wall to there, mm, within the room
     * @param door in which wall
     * @param doorAlongMm from the left end of that wall to the middle of the door, or from its rear end, mm
     */
    public record Room(
            double widthMm,
            double depthMm,
            double workFromLeftMm,
            double workFromRearMm,
            Optional<Wall> door,
            OptionalDouble doorAlongMm) {
        public Room {
            boolean across = door != null
                    && door.filter(wall -> wall == Wall.FRONT || wall == Wall.REAR)
                            .isPresent();
            double wall = across ? widthMm : depthMm;
            new Checks()
                    .within("widthMm", widthMm, 500, 200_000)
                    .within("depthMm", depthMm, 500, 200_000)
                    .atLeast("workFromLeftMm", workFromLeftMm, 0)
                    .atLeast("workFromRearMm", workFromRearMm, 0)
                    .atLeast("doorAlongMm", doorAlongMm, 0)
                    .tie(() -> workFromLeftMm <= widthMm, "workFromLeftMm", "is outside the room")
                    .tie(() -> workFromRearMm <= depthMm, "workFromRearMm", "is outside the room")
                    .tie(() -> doorAlongMm.orElse(0) <= wall, "doorAlongMm", "is beyond the end of that wall")
                    .done();
        }

        /** From the left wall to the middle of the door, mm. */
        public double doorXMm() {
            return switch (door.orElse(Wall.FRONT)) {
                case LEFT -> 0;
                case RIGHT -> widthMm;
                default -> doorAlongMm.orElse(widthMm / 2);
            };
        }

        /** From the rear wall to the middle of the door, mm. */
        public double doorYMm() {
            return switch (door.orElse(Wall.FRONT)) {
                case REAR -> 0;
                case FRONT -> depthMm;
                default -> doorAlongMm.orElse(depthMm / 2);
            };
        }
    }

    /** Class of the machine as its plate says it, and the laser safety officer, by initials or name. */
    public record Notice(Optional<String> laserClass, Optional<String> officer) {
        public Notice {
            new Checks()
                    .that(laserClass.orElse("").length() <= 8, "laserClass", "is a class such as 4, up to 8 characters")
                    .that(officer.orElse("").length() <= 40, "officer", "must be 40 characters or fewer")
                    .done();
        }
    }

    /** A beam alone, with nothing said of the room. */
    public EyewearReadings(
            double wavelengthNm,
            double averagePowerW,
            Optional<Pulse> pulse,
            double beamDiameterMm,
            double divergenceMrad,
            Optional<Lens> lens) {
        this(
                wavelengthNm,
                averagePowerW,
                pulse,
                beamDiameterMm,
                divergenceMrad,
                lens,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public EyewearReadings {
        double pulseS = pulse == null ? 0 : pulse.map(Pulse::seconds).orElse(0.0);
        new Checks()
                .within("wavelengthNm", wavelengthNm, 315, 11_000)
                .that(
                        !(wavelengthNm > 1250 && wavelengthNm < 1400),
                        "wavelengthNm",
                        "between 1250 and 1400 nm the cornea is hurt first, and this table does not say when: ask the "
                                + "laser safety officer")
                .above("averagePowerW", averagePowerW, 0)
                .above("beamDiameterMm", beamDiameterMm, 0)
                .above("divergenceMrad", divergenceMrad, 0)
                .within("exposureS", exposureS, 0.001, LONGEST_S)
                .within("watchS", watchS, 0.001, LONGEST_S)
                .above("diffuseReflectance", diffuseReflectance, 0)
                .that(!(diffuseReflectance.orElse(1) > 1), "diffuseReflectance", "cannot be more than all of it: 1")
                .atLeast("viewingAngleDeg", viewingAngleDeg, 0)
                .that(!(viewingAngleDeg.orElse(0) >= 90), "viewingAngleDeg", "must be below 90")
                .atLeast("people", people, 1)
                .that(people == null || people.orElse(1) <= 100, "people", "cannot be more than 100")
                .tie(
                        () -> pulse.isEmpty() || agrees(pulse.get(), averagePowerW),
                        "pulse.energyMj",
                        "times the repetition is not the average power: one of the three is another machine's")
                .tie(
                        () -> pulseS <= usedExposureS(wavelengthNm, exposureS) * (1 + 1e-9),
                        "pulse.durationNs",
                        "is longer than the exposure")
                .tie(
                        () -> watchS.isEmpty() || pulseS <= watchS.getAsDouble() * (1 + 1e-9),
                        "watchS",
                        "is shorter than one pulse")
                .done();
    }

    private static boolean agrees(Pulse pulse, double averagePowerW) {
        double byPulses = pulse.energyMj() / 1000 * pulse.repetitionHz();
        return Math.abs(byPulses - averagePowerW) <= 0.05 * averagePowerW + 1e-9 * Math.max(1, averagePowerW);
    }

    private static double usedExposureS(double wavelengthNm, OptionalDouble exposureS) {
        return exposureS.orElse(new EyeLimits(wavelengthNm).usualExposureS());
    }

    /** How long an eye may be in the beam, as counted, s. */
    double usedExposureS() {
        return usedExposureS(wavelengthNm, exposureS);
    }

    /** How long somebody may watch the reflection, as counted, s. */
    double usedWatchS() {
        double usual = wavelengthNm >= 400 && wavelengthNm < 700 ? Math.max(100, usedExposureS()) : usedExposureS();
        return watchS.orElse(usual);
    }
}
