package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.procedure.Outcome;

/** Somebody who does to the letter what the plan says, on a machine that the plan does not know. */
final class Follower {

    static final PlanReadings.Run RUN = new PlanReadings.Run(120, 620, 120, 820);
    private static final int GIVEN_UP = 40;

    final List<PlanReadings.Step> steps = new ArrayList<>();
    final List<PlanFinding> findings = new ArrayList<>();
    private final Gantry gantry;
    private final List<PlanReadings.Mount> mounts;
    private final double errorMm;
    private final double toleranceMm;
    private Optional<Boolean> cardAtMirror2 = Optional.empty();

    Follower(Gantry gantry, List<PlanReadings.Mount> mounts, double errorMm, double toleranceMm) {
        this.gantry = gantry;
        this.mounts = mounts;
        this.errorMm = errorMm;
        this.toleranceMm = toleranceMm;
    }

    static PlanReadings.Mount mount(double gainPct) {
        return new PlanReadings.Mount(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(gainPct),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    PlanReadings readings() {
        return new PlanReadings(
                RUN,
                mounts,
                steps,
                OptionalDouble.of(errorMm),
                OptionalDouble.of(toleranceMm),
                Optional.empty(),
                cardAtMirror2,
                OptionalInt.empty(),
                Optional.empty());
    }

    /** The same on a machine before whose mirror 2 no card goes. */
    Follower withoutCardAtMirror2() {
        cardAtMirror2 = Optional.of(false);
        return this;
    }

    long shots() {
        return steps.stream().filter(step -> step.shot().isPresent()).count();
    }

    /** Goes on until the plan has nothing more to shoot or to turn. */
    Outcome<PlanFinding> follow() {
        while (true) {
            Outcome<PlanFinding> outcome = new MirrorPlan().evaluate(readings());
            findings.add(outcome.finding());
            PlanFinding.Next next = outcome.finding().next();
            boolean goesOn = next.act() == PlanFinding.Act.SHOOT || next.act() == PlanFinding.Act.TURN;
            if (!goesOn || shots() > GIVEN_UP) {
                return outcome;
            }
            for (PlanReadings.Turn turn : next.turns()) {
                gantry.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
                steps.add(PlanReadings.Step.of(turn));
            }
            if (next.turns().isEmpty()) {
                steps.add(PlanReadings.Step.of(shoot(next)));
            }
        }
    }

    private PlanReadings.Shot shoot(PlanFinding.Next next) {
        int mirror = next.mirror().orElseThrow();
        double[] mark = gantry.shoot(
                mirror, next.gantryMm().orElseThrow(), next.carriageMm().orElse(0));
        return new PlanReadings.Shot(mirror, next.gantryMm().orElseThrow(), next.carriageMm(), mark[0], mark[1]);
    }

    /** The same steps with every shot and turn changed in some way. */
    static List<PlanReadings.Step> changed(
            List<PlanReadings.Step> steps,
            UnaryOperator<PlanReadings.Shot> shots,
            UnaryOperator<PlanReadings.Turn> turns) {
        return steps.stream()
                .map(step -> new PlanReadings.Step(
                        step.shot().map(shots), step.turn().map(turns)))
                .toList();
    }
}
