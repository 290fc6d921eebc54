package zebrawood.core.beam;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Tells from marks at the moving head which mirror still leans, or that no mirror is the cause. */
public final class HeadCorners implements Procedure<CornersReadings, CornersFinding> {

    private static final Card CARD = new Card(
            "head-corners",
            1,
            "Corners",
            Card.OnRoute.in(Phase.BEAM, 30).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED, Change.CLEANED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.FIRE),
            15,
            180,
            new Help(
                    List.of("A card over the opening of the head, its cross in the middle of the opening."),
                    List.of(
                            "Drive to each corner and to the middle; one short pulse at the lowest power that marks.",
                            "Read each mark from the cross, right and up, facing the beam."),
                    "Growth along Y travel belongs to the mirror before the Y run, growth along X to the mirror before "
                            + "the X run. The first feeds the second: set it first.",
                    List.of("Hands out before anything moves; covers shut, or the time for service.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<CornersReadings> readingsType() {
        return CornersReadings.class;
    }

    @Override
    public Class<CornersFinding> findingType() {
        return CornersFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<CornersFinding> evaluate(CornersReadings read) {
        CornersFinding finding = finding(read);
        double tolerance = finding.tolerances().toleranceMm();
        if (Limits.atMost(finding.spreadMm(), tolerance)) {
            return new Outcome<>(
                    finding,
                    Verdict.PASS,
                    List.of(Instruction.of("mirrors", Said.of("Leave the mirrors alone: the corners are true."))));
        }
        return Limits.atMost(finding.residualMm(), tolerance)
                ? new Outcome<>(finding, Verdict.ADJUST, List.of(mirror(finding)))
                : new Outcome<>(finding, Verdict.FAIL, List.of(notTheMirrors(finding)));
    }

    private static CornersFinding finding(CornersReadings read) {
        List<CornersReadings.Mark> marks = read.marks();
        double tolerance = read.toleranceMm().orElse(CornersReadings.TOLERANCE_MM);
        double meanX = marks.stream()
                .mapToDouble(CornersReadings.Mark::bedXMm)
                .average()
                .orElseThrow();
        double meanY = marks.stream()
                .mapToDouble(CornersReadings.Mark::bedYMm)
                .average()
                .orElseThrow();
        double travelX = travel(marks, CornersReadings.Mark::bedXMm);
        double travelY = travel(marks, CornersReadings.Mark::bedYMm);
        double[][] rows = marks.stream()
                .map(mark ->
                        new double[] {1, scaled(mark.bedXMm() - meanX, travelX), scaled(mark.bedYMm() - meanY, travelY)
                        })
                .toArray(double[][]::new);
        LinearFit right = fit(rows, marks, CornersReadings.Mark::xMm);
        LinearFit up = fit(rows, marks, CornersReadings.Mark::yMm);
        CornersFinding.Slope xRun = slope(right, up, 1, travelX);
        CornersFinding.Slope yRun = slope(right, up, 2, travelY);
        double spread = spread(marks);
        double residual = marks.size() == 3 ? 0 : residual(right, up);
        double growthX = Math.hypot(xRun.xMrad(), xRun.yMrad()) / 1000 * travelX;
        double growthY = Math.hypot(yRun.xMrad(), yRun.yMrad()) / 1000 * travelY;
        boolean mirrors = !Limits.atMost(spread, tolerance) && Limits.atMost(residual, tolerance);
        boolean first = !Limits.atMost(growthY, tolerance / 2) || Limits.atLeast(growthY, growthX);
        CornersFinding.Act act = first ? CornersFinding.Act.Y_RUN_MIRROR : CornersFinding.Act.X_RUN_MIRROR;
        return new CornersFinding(
                new Spot(right.coefficient(0), up.coefficient(0)),
                xRun,
                yRun,
                spread,
                residual,
                mirrors ? act : CornersFinding.Act.NONE,
                growthX,
                growthY,
                marks,
                new CornersFinding.Tolerances(tolerance));
    }

    private static double scaled(double value, double by) {
        return by == 0 ? value : value / by;
    }

    private static LinearFit fit(
            double[][] rows, List<CornersReadings.Mark> marks, ToDoubleFunction<CornersReadings.Mark> coordinate) {
        double[] weights = new double[rows.length];
        Arrays.fill(weights, 1);
        return LinearFit.of(rows, marks.stream().mapToDouble(coordinate).toArray(), weights)
                .orElseThrow(() -> new ReadingException("marks", Evaluation.TOO_EXTREME));
    }

    private static CornersFinding.Slope slope(LinearFit right, LinearFit up, int column, double travel) {
        return new CornersFinding.Slope(
                1000 * scaled(right.coefficient(column), travel), 1000 * scaled(up.coefficient(column), travel));
    }

    private static double travel(List<CornersReadings.Mark> marks, ToDoubleFunction<CornersReadings.Mark> place) {
        return marks.stream().mapToDouble(place).max().orElseThrow()
                - marks.stream().mapToDouble(place).min().orElseThrow();
    }

    private static double spread(List<CornersReadings.Mark> marks) {
        double most = 0;
        for (CornersReadings.Mark one : marks) {
            for (CornersReadings.Mark other : marks) {
                most = Math.max(most, one.spot().distanceMm(other.spot()));
            }
        }
        return most;
    }

    private static double residual(LinearFit right, LinearFit up) {
        double[] first = right.residuals();
        double[] second = up.residuals();
        double sum = 0;
        for (int i = 0; i < first.length; i++) {
            sum += first[i] * first[i] + second[i] * second[i];
        }
        return Math.sqrt(sum / (2.0 * first.length));
    }

    private static Instruction mirror(CornersFinding finding) {
        boolean first = finding.act() == CornersFinding.Act.Y_RUN_MIRROR;
        double growth = first ? finding.growthYMm() : finding.growthXMm();
        String along = first ? "Y" : "X";
        return Instruction.of(
                        first ? "mirror-1" : "mirror-2",
                        Said.of(
                                "Set the mirror before the " + along + " run: the mark moves {0} along it.",
                                Amount.mm(growth, 1)))
                .byHand(Said.of("Far along " + along + ", turn its screws until the mark sits where it sits near"
                        + (first ? "; then shoot all corners again, before the other mirror is touched." : ".")))
                .expecting(Said.of("Then shoot all corners again: more may be needed."));
    }

    private static Instruction notTheMirrors(CornersFinding finding) {
        return Instruction.of("rails", Said.of("Look at rails and mounts: the marks do not follow any mirror."))
                .byHand(Said.of(
                        "They miss a plane by {0}. Shoot one place twice: two marks apart mean a loose mirror. Else look at "
                                + "wheels, bearings and screws of the rails. Power off before hands are in the machine.",
                        Amount.mm(finding.residualMm(), 2)));
    }

    @Override
    public Said keyFigure(CornersFinding finding) {
        return Said.of("{0}", Amount.mm(finding.spreadMm(), 1));
    }

    @Override
    public List<Evidence> evidence(CornersFinding finding) {
        return List.of(
                new Evidence("farthest apart", Said.of("{0}", Amount.mm(finding.spreadMm(), 2))),
                new Evidence("moves along Y", Said.of("{0}", Amount.mm(finding.growthYMm(), 2))),
                new Evidence("moves along X", Said.of("{0}", Amount.mm(finding.growthXMm(), 2))),
                new Evidence("along Y", Said.of("{0}", lean(finding.slopeYRun()))),
                new Evidence("along X", Said.of("{0}", lean(finding.slopeXRun()))),
                new Evidence("misses a plane by", Said.of("{0}", Amount.mm(finding.residualMm(), 2))));
    }

    private static Amount lean(CornersFinding.Slope slope) {
        return new Amount(Quantity.DIVERGENCE, Math.hypot(slope.xMrad(), slope.yMrad()), 2);
    }

    @Override
    public Said judgedBy(CornersFinding finding) {
        return Said.of(
                "marks at most {0} apart anywhere on the bed",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
