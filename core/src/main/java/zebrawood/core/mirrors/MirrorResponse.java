package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;
import zebrawood.core.units.TurnWords;

/** Learns from turns that were made which way a mount's screws move the far spot, and says how to bring it home. */
public final class MirrorResponse implements Procedure<ResponseReadings, ResponseFinding> {

    /** beyond this the two screws push the spot along one line */
    private static final double MOST_CONDITION = 20;
    /** smaller over larger singular value below which a matrix is taken for singular */
    private static final double SINGULAR = 1e-9;
    /** what a hand does not make */
    private static final double LEAST_TURNS = 0.005;
    /** the turn by which a screw is tried alone */
    private static final double TRIAL_TURNS = 0.25;

    private static final Card CARD = new Card(
            "mirror-response",
            1,
            "Screws of a mount",
            Card.OnRoute.in(Phase.BEAM, 24).firing(),
            Set.of(Change.PART_FITTED, Change.KNOCKED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.FIRE),
            15,
            365,
            new Help(
                    List.of("A card at the far place; a mark beside both screws to count their turns by."),
                    List.of(
                            "Turn one screw, shoot far, write how far the mark went; then the other.",
                            "Always come to the place clockwise: that takes up the play."),
                    "No two mounts have their screws alike. Two moves that are not the same teach all of it.",
                    List.of("Small turns first: a quarter turn can move the mark by more than a card.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ResponseReadings> readingsType() {
        return ResponseReadings.class;
    }

    @Override
    public Class<ResponseFinding> findingType() {
        return ResponseFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    /** What the moves say of the mount: {@code d = M s} in the sense of least squares. */
    private record Learned(double[][] mmPerTurn, double residualMm) {

        static Optional<Learned> from(List<ResponseReadings.Move> moves) {
            double[][] turns = moves.stream()
                    .map(move -> new double[] {move.screwA(), move.screwB()})
                    .toArray(double[][]::new);
            SingularValueDecomposition svd = new SingularValueDecomposition(new Array2DRowRealMatrix(turns));
            double[] values = svd.getSingularValues();
            if (!(values[1] >= SINGULAR * values[0]) || values[0] == 0) {
                return Optional.empty();
            }
            double[][] right = moves.stream()
                    .map(move -> new double[] {move.dxMm(), move.dyMm()})
                    .toArray(double[][]::new);
            double[][] solved =
                    svd.getSolver().solve(new Array2DRowRealMatrix(right)).getData();
            double sum = 0;
            for (ResponseReadings.Move move : moves) {
                double x = move.dxMm() - solved[0][0] * move.screwA() - solved[1][0] * move.screwB();
                double y = move.dyMm() - solved[0][1] * move.screwA() - solved[1][1] * move.screwB();
                sum += x * x + y * y;
            }
            return Optional.of(new Learned(
                    new double[][] {{solved[0][0], solved[1][0]}, {solved[0][1], solved[1][1]}},
                    Math.sqrt(sum / (2.0 * moves.size()))));
        }

        OptionalDouble condition() {
            double[] values = new SingularValueDecomposition(new Array2DRowRealMatrix(mmPerTurn)).getSingularValues();
            return values[0] > 0 && values[1] >= SINGULAR * values[0]
                    ? OptionalDouble.of(values[0] / values[1])
                    : OptionalDouble.empty();
        }

        double[] turns(double x, double y) {
            double determinant = mmPerTurn[0][0] * mmPerTurn[1][1] - mmPerTurn[0][1] * mmPerTurn[1][0];
            return new double[] {
                (mmPerTurn[1][1] * x - mmPerTurn[0][1] * y) / determinant,
                (mmPerTurn[0][0] * y - mmPerTurn[1][0] * x) / determinant
            };
        }
    }

    @Override
    public Outcome<ResponseFinding> evaluate(ResponseReadings read) {
        Optional<Learned> learned = Learned.from(read.moves());
        OptionalDouble condition = learned.map(Learned::condition).orElse(OptionalDouble.empty());
        boolean followed = condition.isPresent() && Limits.atMost(condition.getAsDouble(), MOST_CONDITION);
        double[] turns = followed
                ? learned.orElseThrow()
                        .turns(
                                read.aim().xMm() - read.spot().xMm(),
                                read.aim().yMm() - read.spot().yMm())
                : new double[0];
        ResponseFinding finding = new ResponseFinding(
                learned.map(Learned::mmPerTurn).map(m -> List.of(List.of(m[0][0], m[0][1]), List.of(m[1][0], m[1][1]))),
                condition,
                followed ? OptionalDouble.of(turns[0]) : OptionalDouble.empty(),
                followed ? OptionalDouble.of(turns[1]) : OptionalDouble.empty(),
                learned.map(l -> OptionalDouble.of(l.residualMm())).orElse(OptionalDouble.empty()),
                read.spot().distanceMm(read.aim()),
                read.spot(),
                read.aim(),
                read.moves(),
                new ResponseFinding.Tolerances(
                        read.spotErrorMm().orElse(ResponseReadings.SPOT_ERROR_MM), MOST_CONDITION));
        if (Limits.atMost(finding.distanceMm(), finding.tolerances().spotErrorMm())) {
            return new Outcome<>(finding, Verdict.PASS, List.of());
        }
        return followed
                ? new Outcome<>(finding, Verdict.ADJUST, turn(finding))
                : new Outcome<>(finding, Verdict.UNCLEAR, List.of(tryAlone(finding)));
    }

    private static List<Instruction> turn(ResponseFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        for (Screw screw : Screw.values()) {
            double turns = (screw == Screw.A ? finding.turnsA() : finding.turnsB()).orElse(0);
            if (Math.abs(turns) >= LEAST_TURNS) {
                instructions.add(turn(screw.name(), turns));
            }
        }
        instructions.add(Instruction.of("card", Said.of("Then shoot far again."))
                .expecting(Said.of(
                        "The mark should sit near a place " + Sides.words(finding.aim(), 0)
                                + " from the cross; more may be needed.",
                        Sides.across(finding.aim()),
                        Sides.upright(finding.aim()))));
        return instructions;
    }

    private static Instruction turn(String screw, double turns) {
        return Instruction.of(
                        "screw-" + screw,
                        Said.of(
                                "Turn screw " + screw + (turns < 0 ? " anticlockwise" : " clockwise") + " by {0} turn.",
                                Amount.plain(Math.abs(turns), 2)))
                .byHand(Said.of("That is " + TurnWords.of(turns) + "."
                        + (turns < 0
                                ? " Go a little too far, then come back clockwise: that takes up the play."
                                : "")));
    }

    private static Instruction tryAlone(ResponseFinding finding) {
        double a = finding.moves().stream()
                .mapToDouble(move -> Math.abs(move.screwA()))
                .sum();
        double b = finding.moves().stream()
                .mapToDouble(move -> Math.abs(move.screwB()))
                .sum();
        String screw = a <= b ? "A" : "B";
        return Instruction.of(
                        "screw-" + screw,
                        Said.of(
                                "Turn screw " + screw + " alone by {0} turn and shoot far again.",
                                Amount.plain(TRIAL_TURNS, 2)))
                .byHand(Said.of(
                        finding.mmPerTurn().isEmpty()
                                ? "Turned so far was only one of the two, or both in the same proportion."
                                : "Both screws seem to move the mark along one line: was one of them loose, or is it the "
                                        + "wrong one?"))
                .expecting(Said.of("Write the move down here; then it is said how far to turn."));
    }

    @Override
    public Said keyFigure(ResponseFinding finding) {
        return Said.of("{0} off", Amount.mm(finding.distanceMm(), 1));
    }

    @Override
    public List<Evidence> evidence(ResponseFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("from its aim", Said.of("{0}", Amount.mm(finding.distanceMm(), 2))));
        finding.mmPerTurn().ifPresent(matrix -> {
            for (int screw = 0; screw < 2; screw++) {
                evidence.add(new Evidence(
                        "a turn of " + Screw.values()[screw],
                        Said.of(
                                "{0#} right, {1} up",
                                Amount.mm(matrix.get(0).get(screw), 1),
                                Amount.mm(matrix.get(1).get(screw), 1))));
            }
        });
        finding.conditionNumber()
                .ifPresent(number ->
                        evidence.add(new Evidence("condition number", Said.of("{0}", Amount.plain(number, 1)))));
        finding.residualMm()
                .ifPresent(residual ->
                        evidence.add(new Evidence("moves fit to", Said.of("{0}", Amount.mm(residual, 2)))));
        return evidence;
    }

    @Override
    public Said judgedBy(ResponseFinding finding) {
        return Said.of(
                "at most {0} from the aim",
                Amount.mm(finding.tolerances().spotErrorMm(), 2).most());
    }
}
