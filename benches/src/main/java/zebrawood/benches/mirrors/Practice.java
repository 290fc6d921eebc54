package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import zebrawood.core.beam.Spot;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Flaw;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;

/**
 * A pretend machine, as large as the real one, to shoot at and to turn screws of; the same number is the same machine.
 */
final class Practice {

    /** where a draft keeps the number of the machine; empty where nobody practises */
    static final String FIELD = "practice";
    /** where a draft says that the pretend card was shot at, and its mark is to be read */
    static final String SHOT = "practiceShot";

    /** as often as this a pretend machine has a fault */
    private static final int FLAWED = 5;
    /** the plan ends before */
    private static final int MOST_STEPS = 200;

    private final long number;
    private final PlanReadings.Run run;

    /**
     * What came of practising.
     *
     * @param spreadMm how far apart the marks at the worst corners truly are
     * @param planShots how many shots the plan itself takes on this machine
     * @param flaw what was wrong with it
     */
    record Score(double spreadMm, int planShots, Flaw flaw) {}

    Practice(long number, PlanReadings.Run run) {
        this.number = number;
        this.run = run;
    }

    private Flaw flaw() {
        Flaw[] all = Flaw.values();
        return number % FLAWED == 0 ? all[1 + (int) Math.floorMod(number / FLAWED, (long) all.length - 1)] : Flaw.NONE;
    }

    private Gantry machine() {
        Build usual = Build.USUAL;
        Build sized = new Build(
                run.xFarMm() - run.xNearMm(),
                run.yFarMm() - run.yNearMm(),
                run.xNearMm(),
                usual.mirrorMrad(),
                usual.tubeMm(),
                usual.tubeMrad(),
                usual.markErrorMm(),
                usual.gainShare(),
                usual.crossTalk(),
                usual.playTurns(),
                flaw());
        return new Gantry(new SplittableRandom(number), sized);
    }

    /** The machine after these steps. */
    private Gantry after(List<Steps.Made> steps) {
        Gantry machine = machine();
        for (Steps.Made step : steps) {
            step.turn()
                    .ifPresent(turn -> machine.turn(turn.mirror(), turn.screw().ordinal(), turn.turns()));
            step.shot().ifPresent(at -> shoot(machine, at));
        }
        return machine;
    }

    /** Where the mark sits on a card that is shot at after these steps. */
    Spot shoot(List<Steps.Made> steps, Steps.At at) {
        return shoot(after(steps), at);
    }

    private static Spot shoot(Gantry machine, Steps.At at) {
        double[] mark =
                machine.shoot(at.mirror(), at.gantryMm(), at.carriageMm().orElse(0));
        return new Spot(mark[0], mark[1]);
    }

    /** How it came out; takes as long as an alignment has shots to be planned. */
    Score score(List<Steps.Made> steps) {
        return new Score(after(steps).spreadMm(), planShots(), flaw());
    }

    private int planShots() {
        Gantry machine = machine();
        List<PlanReadings.Step> steps = new ArrayList<>();
        int shots = 0;
        while (steps.size() < MOST_STEPS) {
            PlanFinding.Next next = new MirrorPlan()
                    .evaluate(new PlanReadings(run, List.of(), steps, OptionalDouble.empty(), OptionalDouble.empty()))
                    .finding()
                    .next();
            if (next.act() == PlanFinding.Act.TURN) {
                next.turns().forEach(turn -> {
                    machine.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
                    steps.add(PlanReadings.Step.of(turn));
                });
            } else if (next.act() == PlanFinding.Act.SHOOT) {
                Steps.At at = new Steps.At(
                        next.mirror().orElseThrow(), next.gantryMm().orElseThrow(), next.carriageMm());
                Spot mark = shoot(machine, at);
                steps.add(PlanReadings.Step.of(
                        new PlanReadings.Shot(at.mirror(), at.gantryMm(), at.carriageMm(), mark.xMm(), mark.yMm())));
                shots++;
            } else {
                return shots;
            }
        }
        return shots;
    }

    /** In words what was wrong with it; empty where nothing was. */
    static Optional<String> words(Flaw flaw) {
        return switch (flaw) {
            case NONE -> Optional.empty();
            case BENT_RAIL -> Optional.of("Its rails are bent.");
            case LOOSE_MIRROR -> Optional.of("One of its mirrors is loose.");
            case MISPLACED_MIRROR -> Optional.of("One of its mirrors stands beside its place.");
            case CLIPPING -> Optional.of("Something cuts its beam off.");
        };
    }
}
