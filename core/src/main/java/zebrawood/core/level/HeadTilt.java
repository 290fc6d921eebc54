package zebrawood.core.level;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.level.TiltFinding.Shim;
import zebrawood.core.level.TiltReadings.Joint;
import zebrawood.core.level.TiltReadings.Mount;
import zebrawood.core.level.TiltReadings.Point;
import zebrawood.core.level.TiltReadings.Raises;
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

/** Sets a head over a fixed table straight by shims on its mounts, out of the drawer that the shop has. */
public final class HeadTilt implements Procedure<TiltReadings, TiltFinding> {

    private static final Card CARD = new Card(
            "head-tilt",
            1,
            "Head tilt",
            Card.OnRoute.in(Phase.FOCUS, 20),
            Set.of(Change.MOVED, Change.KNOCKED, Change.LENS_CHANGED, Change.PART_FITTED),
            List.of(Hazard.MOVING_AXES),
            25,
            180,
            new Help(
                    List.of(
                            "A height gauge or depth gauge that reads 0.02 mm, and the shims of the drawer.",
                            "A straight bar to lay on the ring where the field is wide."),
                    List.of(
                            "Source off at the key. Clean the table under the ring.",
                            "Read the gap from the ring of the lens down to the table at four places round it.",
                            "Type where each place lies from the middle of the lens.",
                            "Two joints on each other, as a tower and its bracket: say of each mount which way its joint"
                                    + " sets. In a joint on an upright face the lower mount lifts the front: type it as in"
                                    + " front of the lens, the upper one as behind, each by half the height between them.",
                            "Loosen one mount after the other, put its shims in, tighten; then read all gaps again."),
                    "The field of a head that leans is sharp along one line only. A ring is small: a small error there is a"
                            + " large one across a wide field.",
                    List.of("A head that is loose can fall: hold it, or put a block under it.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<TiltReadings> readingsType() {
        return TiltReadings.class;
    }

    @Override
    public Class<TiltFinding> findingType() {
        return TiltFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family().isGalvo();
    }

    @Override
    public Outcome<TiltFinding> evaluate(TiltReadings read) {
        TiltFinding finding = finding(read);
        double tolerance = finding.tolerances().toleranceMm();
        double across = finding.acrossFieldMm();
        double uncertainty = finding.acrossUncertaintyMm();
        if (!Limits.atMost(across, Math.max(tolerance, uncertainty))) {
            return new Outcome<>(finding, Verdict.ADJUST, shim(finding, read));
        }
        if (Limits.atMost(across, tolerance) && Limits.atMost(uncertainty, tolerance)) {
            return new Outcome<>(
                    finding,
                    Verdict.PASS,
                    List.of(Instruction.of("head", Said.of("Leave the head alone: it stands straight."))));
        }
        return new Outcome<>(finding, Verdict.UNCLEAR, List.of(wider(finding)));
    }

    private static TiltFinding finding(TiltReadings read) {
        double[] gaps = read.points().stream().mapToDouble(Point::gapMm).toArray();
        Plane plane = Plane.through(
                        read.points().stream().mapToDouble(Point::xMm).toArray(),
                        read.points().stream().mapToDouble(Point::yMm).toArray(),
                        gaps)
                .orElseThrow(() -> new ReadingException("points", Evaluation.TOO_EXTREME));
        double error = read.gapErrorMm().orElse(TiltReadings.GAP_ERROR_MM);
        double variance = plane.degreesOfFreedom() > 0 ? Math.max(plane.variance(), error * error) : error * error;
        double slopeXError = plane.slopeXStdErr(variance);
        double slopeYError = plane.slopeYStdErr(variance);
        int most = read.maxShimsPerMount().orElse(TiltReadings.MOST_PIECES);
        List<Shim> shims = shims(read, plane, most);
        return new TiltFinding(
                1000 * plane.slopeX(),
                1000 * plane.slopeY(),
                1000 * slopeXError,
                1000 * slopeYError,
                (Math.abs(plane.slopeX()) + Math.abs(plane.slopeY())) * read.fieldMm(),
                2 * read.fieldMm() * Math.hypot(slopeXError, slopeYError),
                shims,
                read.shims().isPresent() ? left(read, plane, shims) : 0,
                read.points().stream()
                        .map(point -> new TiltFinding.Place(
                                point.xMm(), point.yMm(), point.gapMm(), plane.at(point.xMm(), point.yMm())))
                        .toList(),
                read.mounts(),
                read.fieldMm(),
                new TiltFinding.Tolerances(read.toleranceMm().orElse(TiltReadings.TOLERANCE_MM), most, error));
    }

    private static boolean lifts(TiltReadings read) {
        return read.shimRaises().orElse(Raises.HEAD) == Raises.HEAD;
    }

    /** How high the plane stands at a mount, as far as the joint of that mount can change it. */
    private static double height(Plane plane, Mount mount) {
        double x = plane.slopeX() * mount.xMm();
        double y = plane.slopeY() * mount.yMm();
        return mount.joint().map(joint -> joint == Joint.X ? x : y).orElse(x + y);
    }

    private static List<Shim> shims(TiltReadings read, Plane plane, int most) {
        double[] heights = read.mounts().stream()
                .mapToDouble(mount -> height(plane, mount))
                .toArray();
        Optional<ShimDrawer> drawer = read.shims().map(thicknesses -> new ShimDrawer(thicknesses, most));
        List<Shim> shims = new ArrayList<>();
        for (int i = 0; i < heights.length; i++) {
            Optional<Joint> joint = read.mounts().get(i).joint();
            DoubleSummaryStatistics same = IntStream.range(0, heights.length)
                    .filter(other -> read.mounts().get(other).joint().equals(joint))
                    .mapToDouble(other -> heights[other])
                    .summaryStatistics();
            double exact = lifts(read) ? same.getMax() - heights[i] : heights[i] - same.getMin();
            shims.add(new Shim(read.mounts().get(i).name(), exact, drawer.map(d -> d.nearest(exact))));
        }
        return shims;
    }

    /** What is left across the field when each mount stands on its stack. */
    private static double left(TiltReadings read, Plane plane, List<Shim> shims) {
        double[] heights = new double[shims.size()];
        for (int i = 0; i < heights.length; i++) {
            double made = shims.get(i).madeMm();
            heights[i] = height(plane, read.mounts().get(i)) + (lifts(read) ? made : -made);
        }
        if (read.isStacked()) {
            return (Math.abs(slope(read.mounts(), heights, Joint.X)) + Math.abs(slope(read.mounts(), heights, Joint.Y)))
                    * read.fieldMm();
        }
        Plane shimmed = Plane.through(
                        read.mounts().stream().mapToDouble(Mount::xMm).toArray(),
                        read.mounts().stream().mapToDouble(Mount::yMm).toArray(),
                        heights)
                .orElseThrow(() -> new ReadingException("mounts", Evaluation.TOO_EXTREME));
        return (Math.abs(shimmed.slopeX()) + Math.abs(shimmed.slopeY())) * read.fieldMm();
    }

    /** The lean that a joint leaves: a straight line through the heights at its mounts. */
    private static double slope(List<Mount> mounts, double[] heights, Joint axis) {
        int[] its = IntStream.range(0, heights.length)
                .filter(i -> mounts.get(i).joint().equals(Optional.of(axis)))
                .toArray();
        return LinearFit.of(
                        Arrays.stream(its)
                                .mapToObj(i -> new double[] {1, mounts.get(i).alongMm(axis)})
                                .toArray(double[][]::new),
                        Arrays.stream(its).mapToDouble(i -> heights[i]).toArray(),
                        Arrays.stream(its).mapToDouble(i -> 1).toArray())
                .orElseThrow(() -> new ReadingException("mounts", Evaluation.TOO_EXTREME))
                .coefficients()[1];
    }

    private static List<Instruction> shim(TiltFinding finding, TiltReadings read) {
        List<Instruction> said = new ArrayList<>();
        boolean enough = Limits.atMost(
                finding.expectedAcrossFieldMm(), finding.tolerances().toleranceMm());
        if (!enough) {
            said.add(missing(finding));
        }
        String where =
                read.isStacked() ? "in the joint at " : lifts(read) ? "under the head at " : "under the table at ";
        finding.shims().stream()
                .filter(shim -> shim.stack().map(pieces -> !pieces.isEmpty()).orElse(shim.thicknessMm() >= 0.005))
                .sorted(Comparator.comparingDouble((Shim shim) -> -shim.madeMm()))
                .forEach(shim -> said.add(Instruction.of(shim.mount(), pieces(shim, where))
                        .byHand(Said.of(
                                "Loosen this mount only, hold the head, put the shims in, tighten it. Exact would be "
                                        + "{0}.",
                                Amount.mm(shim.thicknessMm(), 3)))
                        .expecting(Said.of("With all mounts done, read all gaps again."))));
        return said;
    }

    private static Said pieces(Shim shim, String where) {
        List<Double> pieces = shim.stack().orElse(List.of(shim.thicknessMm()));
        List<Amount> amounts = new ArrayList<>();
        for (double piece : pieces) {
            amounts.add(shim.stack().isPresent() ? Amount.told(Quantity.LENGTH, piece) : Amount.mm(piece, 2));
        }
        String places = IntStream.range(0, amounts.size())
                .mapToObj(i -> i == amounts.size() - 1 ? "{" + i + "}" : "{" + i + "#}")
                .collect(Collectors.joining(" + "));
        return new Said("Put " + places + " " + where + Said.quoted(shim.mount()) + ".", amounts);
    }

    /** Which mount the drawer serves worst, and what it would need. */
    private static Instruction missing(TiltFinding finding) {
        Shim worst = finding.shims().stream()
                .max(Comparator.comparingDouble(shim -> Math.abs(shim.madeMm() - shim.thicknessMm())))
                .orElseThrow();
        return Instruction.of(
                        worst.mount(),
                        Said.of(
                                "Get a shim for " + Said.quoted(worst.mount()) + ": together {0} is needed there.",
                                Amount.mm(worst.thicknessMm(), 2)))
                .byHand(Said.of(
                        "The nearest that the drawer makes is {0}. With it the field still differs by {1}: not enough.",
                        Amount.mm(worst.madeMm(), 2), Amount.mm(finding.expectedAcrossFieldMm(), 2)));
    }

    private static Instruction wider(TiltFinding finding) {
        return Instruction.of("ring", Said.of("Measure on a wider base: this ring cannot prove so wide a field."))
                .byHand(Said.of(
                        "Across the field it is {0}, give or take {1}. Lay a straight bar on the ring and read the "
                                + "gap at its ends, or find the best focus at each corner of the field.",
                        Amount.mm(finding.acrossFieldMm(), 2), Amount.mm(finding.acrossUncertaintyMm(), 2)));
    }

    @Override
    public Said keyFigure(TiltFinding finding) {
        return Said.of("{0}", Amount.mm(finding.acrossFieldMm(), 2));
    }

    @Override
    public List<Evidence> evidence(TiltFinding finding) {
        return List.of(
                new Evidence(
                        "across the field",
                        Said.of(
                                "{0#} ± {1}",
                                Amount.mm(finding.acrossFieldMm(), 2), Amount.mm(finding.acrossUncertaintyMm(), 2))),
                new Evidence("leans along X", lean(finding.tiltXMrad(), finding.tiltXStdErrMrad())),
                new Evidence("leans along Y", lean(finding.tiltYMrad(), finding.tiltYStdErrMrad())),
                new Evidence("left with shims", Said.of("{0}", Amount.mm(finding.expectedAcrossFieldMm(), 2))));
    }

    private static Said lean(double mrad, double stdErr) {
        return Said.of(
                "{0#} ± {1}",
                new Amount(Quantity.DIVERGENCE, mrad, 2), new Amount(Quantity.DIVERGENCE, 1.96 * stdErr, 2));
    }

    @Override
    public Said judgedBy(TiltFinding finding) {
        return Said.of(
                "height across the field at most {0}",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
