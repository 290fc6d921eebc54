package zebrawood.core.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.beam.Spot;
import zebrawood.core.reading.Checks;

/**
 * An alignment so far.
 *
 * @param run how far the beam runs
 * @param mounts nothing, or what is known of the mounts of mirror 1 and mirror 2, in this order
 * @param steps what was shot and turned, in the order in which it was done
 * @param markErrorMm standard deviation of a coordinate of a mark as read, mm, above 0; 0.1 where absent
 * @param toleranceMm largest distance allowed between the marks at any two corners of the bed, at the head, mm, above
 *     0; 0.7 where absent
 * @param looked what was looked at before the first shot, as it makes a beam look bad too
 * @param cardAtMirror2 whether a card goes before mirror 2; so where absent
 * @param mirrors 3, or 2 on a machine whose tube fires along the gantry's travel: there the tube's holder is turned in
 *     the place of mirror 1; 3 where absent
 * @param pointer where the pointer's spot sits on the card of the last shot, read last; nothing is judged by it
 */
public record PlanReadings(
        Run run,
        List<Mount> mounts,
        List<Step> steps,
        OptionalDouble markErrorMm,
        OptionalDouble toleranceMm,
        Optional<Looked> looked,
        Optional<Boolean> cardAtMirror2,
        OptionalInt mirrors,
        Optional<Spot> pointer) {

    /** An alignment of which no more is known than its shots and turns. */
    public PlanReadings(
            Run run, List<Mount> mounts, List<Step> steps, OptionalDouble markErrorMm, OptionalDouble toleranceMm) {
        this(
                run,
                mounts,
                steps,
                markErrorMm,
                toleranceMm,
                Optional.empty(),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty());
    }

    /** How mirrors and lens looked: a dirty one looks like a bad beam. */
    public enum Optics {
        CLEAN,
        DIRTY
    }

    /** How the bed lies: one that leans looks like a bad beam. */
    public enum BedLies {
        LEVEL,
        LEANS
    }

    /** What was looked at before the first shot. */
    public record Looked(Optics optics, BedLies bed) {
        public Looked {
            new Checks().present("optics", optics).present("bed", bed).done();
        }
    }

    /** what a person with a loupe reads */
    public static final double MARK_ERROR_MM = 0.1;
    /** what a lens and a nozzle bear without loss */
    public static final double TOLERANCE_MM = 0.7;

    /** ten times what an alignment takes: what is longer is two of them, or no alignment at all */
    private static final int MOST_STEPS = 400;

    /**
     * How far the beam runs, mm: from mirror 1 to the card at mirror 2 with the gantry nearest (0 or more) and
     * farthest, from mirror 2 to the card at the head likewise.
     */
    public record Run(double yNearMm, double yFarMm, double xNearMm, double xFarMm) {
        public Run {
            new Checks()
                    .atLeast("yNearMm", yNearMm, 0)
                    .finite("yFarMm", yFarMm)
                    .atLeast("xNearMm", xNearMm, 0)
                    .finite("xFarMm", xFarMm)
                    .tie(() -> yFarMm > yNearMm, "yFarMm", "far must be farther than near")
                    .tie(() -> xFarMm > xNearMm, "xFarMm", "far must be farther than near")
                    .done();
        }
    }

    /**
     * What is known of a mount before a screw of it is turned. A turn of a screw turns the beam by about twice its
     * pitch over its lever arm; which way is not assumed.
     *
     * @param armMm lever arm of a screw, mm, above 0; 40 where absent
     * @param pitchMm pitch of a screw, mm, above 0; 0.5 where absent
     * @param gainErrorPct standard deviation of a screw's effect, % of it, above 0, up to 300; 100 where absent
     * @param crossTalkPct standard deviation of what goes to the other side, % of a screw's effect, 0 or more; 5 where
     *     absent
     * @param playTurns backlash, turns, 0 or more; 0.03 where absent
     * @param learned what an earlier visit found
     */
    public record Mount(
            OptionalDouble armMm,
            OptionalDouble pitchMm,
            OptionalDouble gainErrorPct,
            OptionalDouble crossTalkPct,
            OptionalDouble playTurns,
            Optional<Learned> learned) {

        /** One of which nothing is known but what is usual. */
        public static final Mount UNKNOWN = new Mount(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());

        public Mount {
            new Checks()
                    .above("armMm", armMm, 0)
                    .above("pitchMm", pitchMm, 0)
                    .above("gainErrorPct", gainErrorPct, 0)
                    .that(!(gainErrorPct.orElse(1) > 300), "gainErrorPct", "cannot be more than 300 %")
                    .atLeast("crossTalkPct", crossTalkPct, 0)
                    .atLeast("playTurns", playTurns, 0)
                    .done();
        }

        /** About how far a turn turns the beam, mrad a turn. */
        double usualMradPerTurn() {
            return 2000 * pitchMm.orElse(0.5) / armMm.orElse(40);
        }

        double play() {
            return playTurns.orElse(0.03);
        }
    }

    /**
     * How a mount answers its screws.
     *
     * @param mradPerTurn {@code [[xA, xB], [yA, yB]]}: how far a turn clockwise turns the beam to the right and up,
     *     seen on the card that this mirror's beam meets, mrad a turn
     * @param errorPct standard deviation of it, % of a screw's effect, 0 or more
     */
    public record Learned(List<List<Double>> mradPerTurn, double errorPct) {
        public Learned {
            mradPerTurn = mradPerTurn == null
                    ? null
                    : mradPerTurn.stream().map(Checks::copy).toList();
            Checks checks = new Checks()
                    .present("mradPerTurn", mradPerTurn)
                    .that(
                            mradPerTurn == null
                                    || mradPerTurn.size() == 2
                                            && mradPerTurn.stream().allMatch(row -> row.size() == 2),
                            "mradPerTurn",
                            "two rows of two numbers are needed: to the right by A and B, up by A and B");
            checks.atLeast("errorPct", errorPct, 0).done();
        }
    }

    /** One thing that was done: a shot or a turn, never both. */
    public record Step(Optional<Shot> shot, Optional<Turn> turn) {
        public Step {
            new Checks()
                    .enough(shot.isPresent() || turn.isPresent(), "shot", "a step is a shot or a turn")
                    .that(shot.isEmpty() || turn.isEmpty(), "turn", "a step is a shot or a turn, not both")
                    .done();
        }

        public static Step of(Shot shot) {
            return new Step(Optional.of(shot), Optional.empty());
        }

        public static Step of(Turn turn) {
            return new Step(Optional.empty(), Optional.of(turn));
        }
    }

    /**
     * A shot and where its mark sat.
     *
     * @param mirror whose run is read: 1 on a card at mirror 2, 2 on a card at the head
     * @param gantryMm from mirror 1 to mirror 2, mm, within the run
     * @param carriageMm from mirror 2 to the head, mm, within the run; with mirror 2 only
     * @param xMm right of the card's centre, mm
     * @param yMm above it, mm
     * @param currentMa what the meter showed, mA, 0 or more; marks of other currents differ in size
     */
    public record Shot(
            int mirror, double gantryMm, OptionalDouble carriageMm, double xMm, double yMm, OptionalDouble currentMa) {

        /** One without a meter. */
        public Shot(int mirror, double gantryMm, OptionalDouble carriageMm, double xMm, double yMm) {
            this(mirror, gantryMm, carriageMm, xMm, yMm, OptionalDouble.empty());
        }

        public Shot {
            new Checks()
                    .that(mirror == 1 || mirror == 2, "mirror", mirror + " must be 1 or 2")
                    .finite("gantryMm", gantryMm)
                    .finite("carriageMm", carriageMm)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .atLeast("currentMa", currentMa, 0)
                    .tie(() -> mirror == 1 || carriageMm.isPresent(), "carriageMm", "is missing: where stood the head?")
                    .tie(
                            () -> mirror == 2 || carriageMm.isEmpty(),
                            "carriageMm",
                            "a card at mirror 2 is before the head: leave it out")
                    .done();
        }

        /** Its mark. */
        public Spot spot() {
            return new Spot(xMm, yMm);
        }
    }

    /** A screw that was turned, clockwise positive, turns. */
    public record Turn(int mirror, Screw screw, double turns) {
        public Turn {
            new Checks()
                    .that(mirror == 1 || mirror == 2, "mirror", mirror + " must be 1 or 2")
                    .present("screw", screw)
                    .finite("turns", turns)
                    .done();
        }
    }

    public PlanReadings {
        mounts = Checks.copy(mounts);
        steps = Checks.copy(steps);
        Checks checks = new Checks()
                .present("run", run)
                .that(
                        mounts == null || mounts.isEmpty() || mounts.size() == 2,
                        "mounts",
                        "leave it out, or give mirror 1 and then mirror 2")
                .that(
                        steps == null || steps.size() <= MOST_STEPS,
                        "steps",
                        "more than " + MOST_STEPS + " steps: begin a new alignment")
                .that(
                        mirrors.isEmpty() || mirrors.getAsInt() == 2 || mirrors.getAsInt() == 3,
                        "mirrors",
                        "must be 2 or 3")
                .above("markErrorMm", markErrorMm, 0)
                .above("toleranceMm", toleranceMm, 0);
        for (int i = 0; run != null && steps != null && i < steps.size(); i++) {
            if (steps.get(i).shot().isPresent()) {
                Shot shot = steps.get(i).shot().get();
                String at = "steps[" + i + "].shot.";
                checks.tie(() -> isWithin(shot.gantryMm, run.yNearMm, run.yFarMm), at + "gantryMm", OUTSIDE);
                checks.tie(
                        () -> shot.carriageMm.isEmpty()
                                || isWithin(shot.carriageMm.getAsDouble(), run.xNearMm, run.xFarMm),
                        at + "carriageMm",
                        OUTSIDE);
            }
        }
        checks.done();
    }

    private static final String OUTSIDE = "is outside the run, from near to far";

    private static boolean isWithin(double value, double least, double most) {
        return value >= least && value <= most;
    }

    double markError() {
        return markErrorMm.orElse(MARK_ERROR_MM);
    }

    double tolerance() {
        return toleranceMm.orElse(TOLERANCE_MM);
    }

    /** What is known of a mount, mirror 1 or 2. */
    Mount mount(int mirror) {
        return mounts.isEmpty() ? Mount.UNKNOWN : mounts.get(mirror - 1);
    }

    /**
     * Whether the marks show that something is to be turned: what may be true already is left alone. So it is where two
     * marks on cards at one mirror or at the head are surely farther apart than is allowed, and wherever a screw was
     * turned.
     */
    boolean isSurelyOff() {
        if (steps.stream().anyMatch(step -> step.turn().isPresent())) {
            return true;
        }
        List<Shot> shots = steps.stream().flatMap(step -> step.shot().stream()).toList();
        double doubt = 3 * Math.sqrt(2) * markError();
        return shots.stream()
                .anyMatch(one -> shots.stream()
                        .anyMatch(other -> one.mirror() == other.mirror()
                                && one.spot().distanceMm(other.spot()) > tolerance() + doubt));
    }

    /** The same, of which only the first steps were done. */
    PlanReadings upTo(int many) {
        return new PlanReadings(
                run,
                mounts,
                steps.subList(0, many),
                markErrorMm,
                toleranceMm,
                looked,
                cardAtMirror2,
                mirrors,
                Optional.empty());
    }

    /** Whether the tube fires along the gantry's travel, with no mirror before that. */
    boolean startsAtTheTube() {
        return mirrors.orElse(3) == 2;
    }

    /** Whether a card can be shot at before mirror 2. */
    boolean takesCardAtMirror2() {
        return cardAtMirror2.orElse(true);
    }

    /** Whether an earlier visit found how a mount answers. */
    boolean isLearned() {
        return mounts.stream().anyMatch(mount -> mount.learned().isPresent());
    }

    /** How many shots there were. */
    int shots() {
        return (int) steps.stream().filter(step -> step.shot().isPresent()).count();
    }
}
