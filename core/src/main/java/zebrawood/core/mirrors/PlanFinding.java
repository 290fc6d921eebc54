package zebrawood.core.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.beam.Spot;

/**
 * What to do next in an alignment, and how the machine stands.
 *
 * @param next what to do
 * @param expected where the mark of the next shot should sit once that is done; absent when nothing is shot
 * @param worstSpreadMm the largest distance between the marks at two corners of the bed, estimated, mm; absent before
 *     every run was seen
 * @param worstSpreadErrorMm doubt of it, mm: with 95 % the truth is not over the sum of the two
 * @param farSpot where the beam meets the head's card at the farthest place now, with the ellipse that holds the truth
 *     with 95 %; absent before every run was seen
 * @param toGo about how many shots it still takes
 * @param mounts mirror 1 and mirror 2, with what was learned of how they answer their screws
 * @param fault what no screw mends, where there is something
 * @param run how far the beam runs
 * @param shots how many were made
 * @param before how the beam ran when it was found, absent before every run was seen
 * @param now how it runs
 * @param history each shot so far
 * @param pointerBesideMm how far the pointer's spot sits beside the last mark at the head, mm; absent where not read
 * @param current least and largest current that was read with a shot, absent where none was
 * @param cardAtMirror2 whether a card goes before mirror 2
 * @param startsAtTheTube whether the tube fires along the gantry's travel, with no mirror before that
 * @param tolerances what it was judged by
 */
public record PlanFinding(
        Next next,
        Optional<Expected> expected,
        OptionalDouble worstSpreadMm,
        OptionalDouble worstSpreadErrorMm,
        Optional<Ellipse> farSpot,
        int toGo,
        List<PlanReadings.Mount> mounts,
        Optional<Fault> fault,
        PlanReadings.Run run,
        int shots,
        Optional<Beam> before,
        Beam now,
        List<Made> history,
        OptionalDouble pointerBesideMm,
        Optional<Current> current,
        boolean cardAtMirror2,
        boolean startsAtTheTube,
        Tolerances tolerances) {

    /** Kinds of things to do. */
    public enum Act {
        SHOOT,
        TURN,
        DONE,
        MOVE,
        LOOK
    }

    /**
     * What to do.
     *
     * @param act what kind of thing
     * @param mirror whose run is shot at (1 on a card at mirror 2, 2 on a card at the head), after turning too; or
     *     which mirror is to be moved
     * @param gantryMm where the gantry stands for the shot, mm from mirror 1
     * @param carriageMm where the head stands for it, mm from mirror 2; at the head only
     * @param turns all the turns to make before it, in this order; empty unless it is to turn
     * @param moveMm how far the beam has to come, mm; to move only
     * @param beside where it sits, seen on the card of that mirror's run, mm; to move only
     */
    public record Next(
            Act act,
            Optional<Integer> mirror,
            OptionalDouble gantryMm,
            OptionalDouble carriageMm,
            List<PlanReadings.Turn> turns,
            OptionalDouble moveMm,
            Optional<Spot> beside) {
        public Next {
            turns = List.copyOf(turns);
        }
    }

    /** Where a mark should sit, mm, as it is read; 95 % sit no farther from there than the error. */
    public record Expected(double xMm, double yMm, double errorMm) {}

    /**
     * An ellipse that holds a spot with 95 %.
     *
     * @param xMm its middle to the right of the card's, mm
     * @param yMm above it, mm
     * @param majorMm its longer half axis, mm
     * @param minorMm its shorter half axis, mm
     * @param angleDeg where the longer one lies, degrees from the right, anticlockwise
     */
    public record Ellipse(double xMm, double yMm, double majorMm, double minorMm, double angleDeg) {

        /** Whether a spot lies within. */
        public boolean holds(double x, double y) {
            double angle = Math.toRadians(angleDeg);
            double along = (x - xMm) * Math.cos(angle) + (y - yMm) * Math.sin(angle);
            double across = (y - yMm) * Math.cos(angle) - (x - xMm) * Math.sin(angle);
            return Math.hypot(along / majorMm, across / minorMm) <= 1;
        }
    }

    /** Kinds of faults that no screw mends. */
    public enum Kind {
        /** rails that are not straight */
        RAILS,
        /** a mirror that does not stay where it was set */
        LOOSE_MIRROR,
        /** a mirror, or the tube before it, beside its place */
        MIRROR_PLACE,
        /** something in the beam's way */
        CLIPPING
    }

    /** A fault, and at which mirror where that can be said. */
    public record Fault(Kind kind, Optional<Integer> mirror) {}

    /**
     * How the beam runs, coordinates as seen at the head.
     *
     * @param atMirror where it meets mirror 1, mm
     * @param yRun how it leans on the run along the gantry's travel, mrad
     * @param xRun how it leans on the run along the head's travel, mrad
     * @param corners where its marks sit at the head, in the order near-near, far-near, near-far, far-far, the gantry's
     *     place first, mm
     */
    public record Beam(Spot atMirror, Lean yRun, Lean xRun, List<Spot> corners) {
        public Beam {
            corners = List.copyOf(corners);
        }

        /** Where the beam stands beside its way, so far from mirror 1, mm. */
        public Spot onYRun(double gantryMm) {
            return new Spot(
                    atMirror.xMm() + yRun.xMrad() * gantryMm / 1000, atMirror.yMm() + yRun.yMrad() * gantryMm / 1000);
        }

        /** The same on the next run, with mirror 2 so far from mirror 1, so far from mirror 2, mm. */
        public Spot onXRun(double gantryMm, double carriageMm) {
            Spot start = onYRun(gantryMm);
            return new Spot(
                    start.xMm() + xRun.xMrad() * carriageMm / 1000, start.yMm() + xRun.yMrad() * carriageMm / 1000);
        }

        /** How far it comes beside its way anywhere on these runs, mm. */
        public double farthestMm(PlanReadings.Run run) {
            return Stream.concat(
                            Stream.of(onYRun(run.yNearMm()), onYRun(run.yFarMm())),
                            Stream.of(
                                    onXRun(run.yNearMm(), run.xNearMm()),
                                    onXRun(run.yNearMm(), run.xFarMm()),
                                    onXRun(run.yFarMm(), run.xNearMm()),
                                    onXRun(run.yFarMm(), run.xFarMm())))
                    .mapToDouble(Spot::fromCentreMm)
                    .max()
                    .orElse(0);
        }

        /** The largest distance between the marks at two corners, mm. */
        public double spreadMm() {
            double most = 0;
            for (Spot one : corners) {
                for (Spot other : corners) {
                    most = Math.max(most, one.distanceMm(other));
                }
            }
            return most;
        }
    }

    /** Slopes to the right and up, mrad. */
    public record Lean(double xMrad, double yMrad) {}

    /**
     * A shot that was made.
     *
     * @param shot what was read
     * @param spreadMm the spread that was estimated then, mm; absent before every run was seen
     * @param turnsBefore how many turns had been made by then
     */
    public record Made(PlanReadings.Shot shot, OptionalDouble spreadMm, int turnsBefore) {}

    /** Least and largest current, mA. */
    public record Current(double leastMa, double mostMa) {

        /** Whether marks made with them cannot be compared in size: a fifth apart, or more. */
        public boolean isMixed() {
            return mostMa > 1.2 * leastMa;
        }
    }

    /** The largest distance between two corners' marks, and the error of a mark, mm. */
    public record Tolerances(double toleranceMm, double markErrorMm) {}

    public PlanFinding {
        mounts = List.copyOf(mounts);
        history = List.copyOf(history);
    }
}
