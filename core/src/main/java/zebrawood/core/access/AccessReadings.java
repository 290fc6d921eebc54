package zebrawood.core.access;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.reading.Checks;

/**
 * A machine and the way to its place. All lengths in mm.
 *
 * @param machine outer size and mass as it is moved
 * @param marginMm what is to be spare at every opening and corner, at least 0; 20 where absent
 * @param openings doors and gates, at least one, in the order of the way
 * @param corners right-angled ones, in the order of the way
 * @param feet 3 or more; 4 where absent
 * @param walls around its place
 * @param floorRatingKPa what the floor is rated for, above 0, where that is known
 * @param footRatingN what the floor bears under one foot, N, above 0, where that is known
 * @param other another way to compare with
 */
public record AccessReadings(
        Machine machine,
        OptionalDouble marginMm,
        List<Opening> openings,
        List<Turn> corners,
        OptionalInt feet,
        List<Wall> walls,
        OptionalDouble floorRatingKPa,
        OptionalDouble footRatingN,
        Optional<Other> other) {

    /** With nothing said of what the floor bears under one foot. */
    public AccessReadings(
            Machine machine,
            OptionalDouble marginMm,
            List<Opening> openings,
            List<Turn> corners,
            OptionalInt feet,
            List<Wall> walls,
            OptionalDouble floorRatingKPa,
            Optional<Other> other) {
        this(machine, marginMm, openings, corners, feet, walls, floorRatingKPa, OptionalDouble.empty(), other);
    }

    /** Outer size, mm, and mass, kg; all above 0. */
    public record Machine(double widthMm, double depthMm, double heightMm, double massKg) {
        public Machine {
            new Checks()
                    .above("widthMm", widthMm, 0)
                    .above("depthMm", depthMm, 0)
                    .above("heightMm", heightMm, 0)
                    .above("massKg", massKg, 0)
                    .done();
        }

        /** The smaller size in plan. */
        public double breadthMm() {
            return Math.min(widthMm, depthMm);
        }

        /** The larger size in plan. */
        public double lengthMm() {
            return Math.max(widthMm, depthMm);
        }
    }

    /**
     * A door or a gate.
     *
     * @param name what it is called
     * @param widthMm clear width, above 0
     * @param heightMm clear height, above 0
     * @param leafOffMm its clear width with the leaf off its hinges, above 0, where that was read
     */
    public record Opening(String name, double widthMm, double heightMm, OptionalDouble leafOffMm) {
        public Opening {
            new Checks()
                    .text("name", name)
                    .above("widthMm", widthMm, 0)
                    .above("heightMm", heightMm, 0)
                    .above("leafOffMm", leafOffMm, 0)
                    .done();
        }
    }

    /**
     * A right-angled corner.
     *
     * @param name what it is called
     * @param approachWidthMm width of the passage before it, above 0
     * @param exitWidthMm width of the passage after it, above 0
     * @param openingsBefore how many of the openings are passed before it, at least 0; all of them where absent
     */
    public record Turn(String name, double approachWidthMm, double exitWidthMm, OptionalInt openingsBefore) {
        public Turn {
            new Checks()
                    .text("name", name)
                    .above("approachWidthMm", approachWidthMm, 0)
                    .above("exitWidthMm", exitWidthMm, 0)
                    .atLeast("openingsBefore", openingsBefore, 0)
                    .done();
        }

        Corner of(Machine machine) {
            return new Corner(approachWidthMm, exitWidthMm, machine.breadthMm(), machine.lengthMm());
        }
    }

    /**
     * A wall beside its place.
     *
     * @param side of the machine: rear, left, right, front
     * @param availableMm between them, at least 0
     * @param neededMm what the machine's manual asks for there, at least 0
     */
    public record Wall(String side, double availableMm, double neededMm) {
        public Wall {
            new Checks()
                    .text("side", side)
                    .atLeast("availableMm", availableMm, 0)
                    .atLeast("neededMm", neededMm, 0)
                    .done();
        }
    }

    /** Another way; openings and corners as above, at least one of both. */
    public record Other(String name, List<Opening> openings, List<Turn> corners) {
        public Other {
            openings = Checks.copy(openings);
            corners = Checks.copy(corners);
            new Checks()
                    .text("name", name)
                    .entries("openings", openings, 0)
                    .entries("corners", corners, 0)
                    .that(openings.size() + corners.size() > 0, "openings", "needs an opening or a corner")
                    .done();
        }
    }

    public AccessReadings {
        openings = Checks.copy(openings);
        corners = Checks.copy(corners);
        walls = Checks.copy(walls);
        new Checks()
                .present("machine", machine)
                .atLeast("marginMm", marginMm, 0)
                .entries("openings", openings, 1)
                .entries("corners", corners, 0)
                .atLeast("feet", feet, 3)
                .entries("walls", walls, 0)
                .above("floorRatingKPa", floorRatingKPa, 0)
                .above("footRatingN", footRatingN, 0)
                .done();
    }
}
