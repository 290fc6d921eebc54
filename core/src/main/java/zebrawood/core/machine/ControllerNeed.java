package zebrawood.core.machine;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What a machine needs of a controller with numbered settings.
 *
 * @param tool what is mounted
 * @param travelMm reach of each axis
 * @param travelToleranceMm how far the set travel may differ, mm, 1 where absent
 * @param homeCorner where the axes home to
 * @param limitSwitches whether there are limit switches
 * @param senderMaxS the S value that the job software sends for full power
 * @param maxS the S value that the machine's maker wants for full power
 * @param maxRateMmMin fastest rate the axes bear, mm/min
 * @param accelerationMmS2 highest acceleration they bear, mm/s²
 */
public record ControllerNeed(
        Tool tool,
        Travel travelMm,
        OptionalDouble travelToleranceMm,
        Optional<HomeCorner> homeCorner,
        boolean limitSwitches,
        OptionalDouble senderMaxS,
        OptionalDouble maxS,
        OptionalDouble maxRateMmMin,
        OptionalDouble accelerationMmS2) {

    /** What is mounted on the head. */
    public enum Tool {
        LASER,
        SPINDLE
    }

    /** The corner that the axes home to, seen by who stands before the machine. */
    public enum HomeCorner {
        FRONT_LEFT,
        FRONT_RIGHT,
        REAR_LEFT,
        REAR_RIGHT;

        public boolean left() {
            return this == FRONT_LEFT || this == REAR_LEFT;
        }

        public boolean front() {
            return this == FRONT_LEFT || this == FRONT_RIGHT;
        }

        /** As it is said: {@code front left}. */
        public String words() {
            return (front() ? "front " : "rear ") + (left() ? "left" : "right");
        }
    }

    /** Reach of each axis, mm; z where the machine drives it. */
    public record Travel(double x, double y, OptionalDouble z) {
        public Travel {
            new Checks().above("x", x, 0).above("y", y, 0).above("z", z, 0).done();
        }
    }

    public ControllerNeed {
        new Checks()
                .present("tool", tool)
                .present("travelMm", travelMm)
                .atLeast("travelToleranceMm", travelToleranceMm, 0)
                .above("senderMaxS", senderMaxS, 0)
                .above("maxS", maxS, 0)
                .above("maxRateMmMin", maxRateMmMin, 0)
                .above("accelerationMmS2", accelerationMmS2, 0)
                .done();
    }

    /** Travel tolerance with its default filled in, mm. */
    public double toleranceMm() {
        return travelToleranceMm.orElse(1);
    }
}
