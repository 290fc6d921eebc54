package zebrawood.core.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.beam.Spot;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

/** What a person can check by hand: followed on beams that are known, the marks come together. */
class ByHandTest {

    private static NearFarReadings nearFar(Spot near, Spot far) {
        return new NearFarReadings(
                "second mirror",
                140,
                820,
                near,
                far,
                new NearFarReadings.Screws(38, 42, 0.5, OptionalDouble.of(45)),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static Spot at(double[] offset, double[] slope, double distance) {
        return new Spot(offset[0] + slope[0] * distance, offset[1] + slope[1] * distance);
    }

    private static PlanReadings alignment(PlanReadings.Step... steps) {
        return new PlanReadings(
                new PlanReadings.Run(120, 620, 120, 820),
                List.of(),
                List.of(steps),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static PlanReadings.Step shot(int mirror, double gantry, double carriage, double x) {
        return PlanReadings.Step.of(new PlanReadings.Shot(
                mirror, gantry, mirror == 1 ? OptionalDouble.empty() : OptionalDouble.of(carriage), x, 0.5));
    }

    /** Only marks of one run with no screw turned between them tell how a beam leans. */
    @Test
    void nearAndFarAreTheNewestPairOfOneRunWithNoTurnBetween() {
        PlanReadings.Step turn = PlanReadings.Step.of(new PlanReadings.Turn(2, Screw.A, 0.2));
        assertThat(MirrorNearFar.newest(alignment(shot(2, 620, 820, 1), turn, shot(2, 620, 120, 0))))
                .as("a screw was turned between them")
                .isEmpty();
        assertThat(MirrorNearFar.newest(alignment(shot(2, 620, 820, 1), shot(2, 120, 120, 0))))
                .as("the gantry stood elsewhere")
                .isEmpty();
        assertThat(MirrorNearFar.newest(alignment(shot(2, 620, 820, 1), shot(2, 620, 820, 1.1))))
                .as("twice at one place")
                .isEmpty();
        NearFarReadings pair = MirrorNearFar.newest(alignment(
                        shot(1, 120, 0, 9), shot(2, 620, 820, 2.1), shot(1, 620, 0, 9), shot(2, 620, 120, 0.7)))
                .orElseThrow();
        assertThat(pair.near().xMm()).isEqualTo(0.7);
        assertThat(pair.far().xMm()).isEqualTo(2.1);
        assertThat(new MirrorNearFar().evaluate(pair).finding().beamAngleXMrad())
                .isCloseTo(2, within(1e-9));
    }

    /** The screws are turned by what is said, as it is shown, to the side to which the mark is said to go. */
    @Test
    void nearAndFarComeTogetherWhenTheScrewsAreTurnedAsSaid() {
        SplittableRandom random = new SplittableRandom(6);
        for (int i = 0; i < 500; i++) {
            double[] offset = {2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1};
            double[] slope = {0.02 * random.nextDouble() - 0.01, 0.02 * random.nextDouble() - 0.01};
            Outcome<NearFarFinding> first =
                    new MirrorNearFar().evaluate(nearFar(at(offset, slope, 140), at(offset, slope, 820)));
            if (first.verdict() != Verdict.ADJUST) {
                continue;
            }
            for (Instruction instruction : first.instructions()) {
                String said = instruction.action().in(UnitChoice.METRIC);
                if (said.startsWith("Turn the ")) {
                    double turns = instruction.action().amounts().get(0).asSaid();
                    boolean side = said.startsWith("Turn the side screw");
                    double back = said.endsWith("left.") || said.endsWith("down.") ? -1 : 1;
                    double tilt = Math.atan(turns * 0.5 / (side ? 38 : 42));
                    slope[side ? 0 : 1] += back * (side ? 2 * tilt : 2 * tilt * Math.cos(Math.PI / 4));
                }
            }
            Outcome<NearFarFinding> then =
                    new MirrorNearFar().evaluate(nearFar(at(offset, slope, 140), at(offset, slope, 820)));
            assertThat(then.finding().separationMm()).isLessThan(0.5);
            assertThat(then.verdict()).isNotEqualTo(Verdict.ADJUST);
        }
    }

    /** A screw that has nothing to do is not named. */
    @Test
    void aScrewThatHasNothingToDoIsNotNamed() {
        List<String> said = new MirrorNearFar()
                .evaluate(nearFar(new Spot(0.2, -0.1), new Spot(3, -0.1))).instructions().stream()
                        .map(instruction -> instruction.sentence(UnitChoice.METRIC))
                        .toList();
        assertThat(said).hasSize(2);
        assertThat(said.get(0)).startsWith("Turn the side screw by 0.16 turn: the far mark goes 3.4 mm to the left.");
        assertThat(said.get(1))
                .isEqualTo(
                        "Then shoot near and far again. Far should sit 0.4 mm to the left and 0.1 mm down from the cross.");
    }

    /** The sides of a card exchanged exchange the screw's way and nothing else. */
    @Test
    void leftForRightTurnsTheOtherWay() {
        NearFarFinding one = new MirrorNearFar()
                .evaluate(nearFar(new Spot(0.4, -0.6), new Spot(2.9, -3.2)))
                .finding();
        NearFarFinding other = new MirrorNearFar()
                .evaluate(nearFar(new Spot(-0.4, -0.6), new Spot(-2.9, -3.2)))
                .finding();
        assertThat(other.turnsX()).isEqualTo(-one.turnsX());
        assertThat(other.turnsY()).isEqualTo(one.turnsY());
        assertThat(other.separationMm()).isEqualTo(one.separationMm());
    }

    /** Mounts of either hand, learned from two moves each: one correction brings the spot home. */
    @Test
    void aMountThatWasLearnedBringsTheSpotHome() {
        SplittableRandom random = new SplittableRandom(8);
        int followed = 0;
        for (int i = 0; i < 500; i++) {
            double[][] mount = {
                {20 * random.nextDouble() - 10, 20 * random.nextDouble() - 10},
                {20 * random.nextDouble() - 10, 20 * random.nextDouble() - 10}
            };
            List<ResponseReadings.Move> moves = new ArrayList<>();
            for (double[] turns : new double[][] {{0.25, 0}, {0, 0.25}}) {
                moves.add(new ResponseReadings.Move(
                        turns[0],
                        turns[1],
                        mount[0][0] * turns[0] + mount[0][1] * turns[1],
                        mount[1][0] * turns[0] + mount[1][1] * turns[1]));
            }
            Spot spot = new Spot(6 * random.nextDouble() - 3, 6 * random.nextDouble() - 3);
            Outcome<ResponseFinding> outcome = new MirrorResponse()
                    .evaluate(new ResponseReadings(moves, spot, new Spot(0, 0), OptionalDouble.empty()));
            if (outcome.verdict() != Verdict.ADJUST) {
                assertThat(outcome.finding().turnsA().isPresent()).isEqualTo(outcome.verdict() == Verdict.PASS);
                continue;
            }
            double[] turns = new double[2];
            for (Instruction instruction : outcome.instructions()) {
                String said = instruction.action().in(UnitChoice.METRIC);
                if (said.startsWith("Turn screw ")) {
                    double by = instruction.action().amounts().get(0).asSaid();
                    turns[said.charAt(11) - 'A'] = said.contains("anticlockwise") ? -by : by;
                }
            }
            double x = spot.xMm() + mount[0][0] * turns[0] + mount[0][1] * turns[1];
            double y = spot.yMm() + mount[1][0] * turns[0] + mount[1][1] * turns[1];
            assertThat(Math.hypot(x, y)).isLessThanOrEqualTo(0.3);
            followed++;
        }
        assertThat(followed).isGreaterThan(300);
    }

    /**
     * Both moves with both screws in one proportion teach one thing twice: the screw that was turned less is asked for.
     */
    @Test
    void twoMovesAlikeAreNotEnough() {
        Outcome<ResponseFinding> outcome = new MirrorResponse()
                .evaluate(new ResponseReadings(
                        List.of(new ResponseReadings.Move(0.2, 0.1, 1, 2), new ResponseReadings.Move(0.4, 0.2, 2, 4)),
                        new Spot(3, 3),
                        new Spot(0, 0),
                        OptionalDouble.empty()));
        assertThat(outcome.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(outcome.finding().mmPerTurn()).isEmpty();
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Turn screw B alone by 0.25 turn and shoot far again.");
    }

    /** A turn and its opposite, inches or millimetres: what is found is the same. */
    @Test
    void theUnitOfTheMarksSaysNothingOfTheTurns() {
        List<ResponseReadings.Move> moves =
                List.of(new ResponseReadings.Move(0.25, 0, 1.9, 0.3), new ResponseReadings.Move(0, 0.25, -0.2, 1.4));
        List<ResponseReadings.Move> inches = moves.stream()
                .map(move ->
                        new ResponseReadings.Move(move.screwA(), move.screwB(), move.dxMm() / 25.4, move.dyMm() / 25.4))
                .toList();
        ResponseFinding one = new MirrorResponse()
                .evaluate(new ResponseReadings(moves, new Spot(4.6, -3.1), new Spot(0, 0), OptionalDouble.of(0)))
                .finding();
        ResponseFinding other = new MirrorResponse()
                .evaluate(new ResponseReadings(
                        inches, new Spot(4.6 / 25.4, -3.1 / 25.4), new Spot(0, 0), OptionalDouble.of(0)))
                .finding();
        assertThat(other.turnsA().orElseThrow()).isCloseTo(one.turnsA().orElseThrow(), within(1e-12));
        assertThat(other.turnsB().orElseThrow()).isCloseTo(one.turnsB().orElseThrow(), within(1e-12));
    }
}
