package zebrawood.core.level;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.fit.Quantile;
import zebrawood.core.level.BedFinding.Place;
import zebrawood.core.level.BedFinding.Screw;
import zebrawood.core.level.BedFinding.Shape;
import zebrawood.core.level.BedReadings.Point;
import zebrawood.core.level.BedReadings.Raises;
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
import zebrawood.core.units.TurnWords;
import zebrawood.core.units.UnitChoice;

/**
 * Levels a bed by its screws in one pass: a least-squares plane through the gaps says how far each screw is to raise or
 * lower it, and what is left says whether screws can do it at all.
 */
public final class BedLevel implements Procedure<BedReadings, BedFinding> {

    /** probability with which a tilt or a twist is no play of the gauge, where the gauge's error is known */
    private static final double SURE_OF_TILT = 0.95;

    private static final double SURE_OF_TWIST = 0.99;
    /** standard errors by which two gaps may differ with nothing between them but the gauge: 1.96 times root 2 */
    private static final double APART = 2.772;

    private static final Card CARD = new Card(
            "bed-level",
            1,
            "Bed level",
            Card.OnRoute.in(Phase.FOCUS, 10),
            Set.of(Change.MOVED, Change.KNOCKED, Change.PART_FITTED, Change.BED_CHANGED),
            List.of(Hazard.MOVING_AXES),
            20,
            180,
            new Help(
                    List.of(
                            "A gauge that reads the gap: calliper, dial or stepped wedge. Or a block and feelers.",
                            "A key for the screws of the bed, and what one turn moves (the pitch of the thread)."),
                    List.of(
                            "Beam off, source off at the key. Clean the bed and put nothing on it.",
                            "Drive the head to a corner. Read the gap from the focus datum down to the bed.",
                            "Read all corners and the middle, without touching the height in between.",
                            "Turn each screw as it is said, in the order in which it is said. Then read all gaps again."),
                    "Focus set at one corner is lost at the other one where the bed is not level: engraving fades towards "
                            + "one side. What the depth of focus of the lens allows is the tolerance.",
                    List.of(
                            "Hands out of the machine before anything moves.",
                            "Loosen a lock nut before a screw is turned, and hold the screw while it is tightened.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<BedReadings> readingsType() {
        return BedReadings.class;
    }

    @Override
    public Class<BedFinding> findingType() {
        return BedFinding.class;
    }

    /** A galvo's table stands still under its lens: there the head is shimmed. */
    @Override
    public boolean appliesTo(Plate plate) {
        return !plate.family().isGalvo();
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.bed().isPresent() ? List.of() : List.of("bed.xMm", "bed.yMm");
    }

    @Override
    public Outcome<BedFinding> evaluate(BedReadings read) {
        double[] x = read.points().stream().mapToDouble(Point::xMm).toArray();
        double[] y = read.points().stream().mapToDouble(Point::yMm).toArray();
        double[] gaps = read.points().stream()
                .mapToDouble(point -> point.meanMm(read.blockMm()))
                .toArray();
        Plane plane =
                Plane.through(x, y, gaps).orElseThrow(() -> new ReadingException("points", Evaluation.TOO_EXTREME));
        BedFinding finding = finding(read, plane, gaps);
        double tolerance = finding.tolerances().toleranceMm();
        Noise noise = new Noise(read, plane, gaps);
        if (noise.hides(tolerance) && !noise.allTwice()) {
            return unclear(finding, noise);
        }
        if (Limits.atMost(finding.rangeMm(), tolerance)) {
            return noise.hides(tolerance)
                    ? unclear(finding, noise)
                    : new Outcome<>(
                            finding,
                            Verdict.PASS,
                            List.of(Instruction.of("bed", Said.of("Leave the screws alone: the bed is level."))));
        }
        if (!Limits.atMost(finding.expectedRangeMm(), tolerance)) {
            return noise.mayBeTheTwist()
                    ? unclear(finding, noise)
                    : new Outcome<>(finding, Verdict.FAIL, List.of(cannot(finding)));
        }
        return noise.mayBeTheTilt()
                ? unclear(finding, noise)
                : new Outcome<>(finding, Verdict.ADJUST, turns(finding, read));
    }

    private static BedFinding finding(BedReadings read, Plane plane, double[] gaps) {
        double tolerance = read.toleranceMm().orElse(BedReadings.TOLERANCE_MM);
        Place[] places = new Place[gaps.length];
        for (int i = 0; i < gaps.length; i++) {
            Point point = read.points().get(i);
            places[i] = new Place(point.name(), point.xMm(), point.yMm(), gaps[i], plane.at(point.xMm(), point.yMm()));
        }
        double target = read.fixedScrew()
                .map(name -> read.screws().stream()
                        .filter(screw -> screw.name().equals(name))
                        .mapToDouble(screw -> plane.at(screw.xMm(), screw.yMm()))
                        .findFirst()
                        .orElseThrow())
                .orElseGet(() -> read.screws().stream()
                        .mapToDouble(screw -> plane.at(screw.xMm(), screw.yMm()))
                        .average()
                        .orElseThrow());
        List<Screw> screws = new ArrayList<>();
        for (BedReadings.Screw screw : read.screws()) {
            boolean fixed = read.fixedScrew().filter(screw.name()::equals).isPresent();
            double raise = fixed ? 0 : plane.at(screw.xMm(), screw.yMm()) - target;
            screws.add(new Screw(screw.name(), screw.xMm(), screw.yMm(), raise, raise / screw.pitchMm()));
        }
        double[] off = plane.residuals();
        double expected = range(off);
        boolean several = plane.degreesOfFreedom() > 0;
        return new BedFinding(
                1000 * plane.slopeX(),
                1000 * plane.slopeY(),
                several ? OptionalDouble.of(1000 * plane.slopeXStdErr(plane.variance())) : OptionalDouble.empty(),
                several ? OptionalDouble.of(1000 * plane.slopeYStdErr(plane.variance())) : OptionalDouble.empty(),
                range(gaps),
                several ? largest(off) : 0,
                screws,
                several ? expected : 0,
                Limits.atMost(several ? expected : 0, tolerance) ? Shape.FLAT : BedShape.of(places, plane.misfit()),
                List.of(places),
                Noise.readingError(read),
                new BedFinding.Tolerances(tolerance));
    }

    private static double range(double[] values) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double value : values) {
            least = Math.min(least, value);
            most = Math.max(most, value);
        }
        return most - least;
    }

    private static double largest(double[] values) {
        double most = 0;
        for (double value : values) {
            most = Math.max(most, Math.abs(value));
        }
        return most;
    }

    /** What the gauge alone can make of gaps, where its error is known. */
    private record Noise(OptionalDouble error, boolean allTwice, double tilt, double twist, int degrees) {

        Noise(BedReadings read, Plane plane, double[] gaps) {
            this(
                    readingError(read),
                    read.points().stream().allMatch(point -> point.apartMm().isPresent()),
                    aboutMean(gaps) - plane.misfit(),
                    plane.misfit(),
                    plane.degreesOfFreedom());
        }

        private static double aboutMean(double[] values) {
            double mean = 0;
            for (double value : values) {
                mean += value / values.length;
            }
            double sum = 0;
            for (double value : values) {
                sum += (value - mean) * (value - mean);
            }
            return sum;
        }

        /**
         * As typed, or from gaps read twice: half the mean square of how far two readings of one gap are apart is the
         * variance of one; of the means of two it is half of that.
         */
        static OptionalDouble readingError(BedReadings read) {
            double[] apart = read.points().stream()
                    .map(Point::apartMm)
                    .filter(OptionalDouble::isPresent)
                    .mapToDouble(OptionalDouble::getAsDouble)
                    .toArray();
            double squares = 0;
            for (double difference : apart) {
                squares += difference * difference;
            }
            boolean allTwice = apart.length == read.points().size();
            OptionalDouble one = read.gaugeErrorMm();
            if (one.isEmpty() && apart.length >= 3) {
                one = OptionalDouble.of(Math.sqrt(squares / (2.0 * apart.length)));
            }
            return one.isPresent()
                    ? OptionalDouble.of(one.getAsDouble() / (allTwice ? Math.sqrt(2) : 1))
                    : OptionalDouble.empty();
        }

        private boolean isKnown() {
            return error.isPresent() && error.getAsDouble() > 0;
        }

        /** Whether a gauge as rough as this cannot tell a tolerance. */
        boolean hides(double tolerance) {
            return isKnown() && !Limits.atMost(APART * error.getAsDouble(), tolerance);
        }

        boolean mayBeTheTilt() {
            return isKnown() && tilt / (error.getAsDouble() * error.getAsDouble()) <= Quantile.chi2(SURE_OF_TILT, 2);
        }

        boolean mayBeTheTwist() {
            return isKnown()
                    && degrees > 0
                    && twist / (error.getAsDouble() * error.getAsDouble()) <= Quantile.chi2(SURE_OF_TWIST, degrees);
        }
    }

    /** The gauge reads too roughly to say. */
    private static Outcome<BedFinding> unclear(BedFinding finding, Noise noise) {
        Said why = Said.of(
                "One gap is read to {0} here, and gaps may differ by {1}. Turn no screw yet.",
                Amount.mm(1.96 * noise.error().getAsDouble(), 2).least(),
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
        Instruction next = noise.allTwice()
                ? Instruction.of("gauge", Said.of("Read all gaps again with a finer gauge: this one is too rough."))
                : Instruction.of("gauge", Said.of("Read every gap a second time, and type it beside the first."));
        return new Outcome<>(finding, Verdict.UNCLEAR, List.of(next.byHand(why)));
    }

    private static Instruction cannot(BedFinding finding) {
        Place worst = finding.points().stream()
                .max(Comparator.comparingDouble(place -> Math.abs(place.offMm())))
                .orElseThrow();
        String words = switch (finding.shape()) {
            case TWISTED -> "The bed is twisted: two corners across from each other lie lower than the other two.";
            case HOLLOW -> "The bed is lower in the middle: worn, or it sags.";
            case ARCHED -> "The bed is higher in the middle.";
            case FLAT, UNEVEN -> "The bed is uneven.";
        };
        return Instruction.of(
                        "bed",
                        Said.of(
                                "Leave the screws alone: the bed is not flat by {0}, and screws cannot mend that.",
                                Amount.mm(finding.expectedRangeMm(), 2)))
                .byHand(Said.of(
                        words + " Farthest off is " + Said.quoted(worst.name()) + ", {0} too "
                                + (worst.offMm() > 0 ? "low" : "high")
                                + ". Read all gaps again. Are they the same, put shims under the bed where it is low, "
                                + "or have it made flat or changed.",
                        Amount.mm(Math.abs(worst.offMm()), 2)))
                .expecting(Said.of("Then read all gaps again."));
    }

    private static List<Instruction> turns(BedFinding finding, BedReadings read) {
        List<Instruction> said = new ArrayList<>();
        for (Screw screw : finding.turned()) {
            boolean up = screw.raiseMm() > 0;
            Amount turns = Amount.plain(Math.abs(screw.turns()), Math.abs(screw.turns()) < 0.1 ? 3 : 2);
            Amount raise = Amount.mm(Math.abs(screw.raiseMm()), Math.abs(screw.raiseMm()) < 0.1 ? 3 : 2);
            String name = Said.quoted(screw.name());
            String by = "1".equals(turns.number(UnitChoice.METRIC)) ? "turn" : "turns";
            Instruction turn = Instruction.of(
                            screw.name(),
                            Said.of("Turn screw " + name + " by {0} " + by + way(read.raises(), up), turns))
                    .byHand(Said.of(
                            "That is " + TurnWords.of(screw.turns()) + "; the bed " + (up ? "rises" : "sinks")
                                    + " there by {0}.",
                            raise));
            said.add(
                    said.isEmpty()
                            ? turn.expecting(Said.of("Until then engraving fades towards "
                                    + Said.quoted(finding.lowest().name())
                                    + ". With all screws turned, read all gaps again."))
                            : turn);
        }
        if (said.isEmpty()) {
            said.add(
                    Instruction.of("bed", Said.of("Look again where the screws stand: none of them moves this tilt.")));
        }
        return said;
    }

    private static String way(Optional<Raises> raises, boolean up) {
        if (raises.isEmpty()) {
            return up ? ", so that the bed rises." : ", so that the bed sinks.";
        }
        boolean clockwise = raises.get() == Raises.CLOCKWISE == up;
        return clockwise ? " clockwise, seen from above." : " anticlockwise, seen from above.";
    }

    @Override
    public Said keyFigure(BedFinding finding) {
        return Said.of("{0}", Amount.mm(finding.rangeMm(), 2));
    }

    @Override
    public List<Evidence> evidence(BedFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("gaps differ by", Said.of("{0}", Amount.mm(finding.rangeMm(), 2))));
        evidence.add(new Evidence("lowest", Said.verbatim(finding.lowest().name())));
        evidence.add(new Evidence("tilt along X", slope(finding.slopeXMmPerM(), finding.slopeXStdErrMmPerM())));
        evidence.add(new Evidence("tilt along Y", slope(finding.slopeYMmPerM(), finding.slopeYStdErrMmPerM())));
        evidence.add(new Evidence("off a plane", Said.of("{0}", Amount.mm(finding.residualMm(), 2))));
        evidence.add(new Evidence("left by screws", Said.of("{0}", Amount.mm(finding.expectedRangeMm(), 2))));
        finding.readingErrorMm()
                .ifPresent(error ->
                        evidence.add(new Evidence("a gap is read to", Said.of("± {0}", Amount.mm(1.96 * error, 2)))));
        return evidence;
    }

    /** A slope with its 95 % interval where there is one; mm a metre is mrad. */
    private static Said slope(double mmPerM, OptionalDouble stdErr) {
        Amount slope = new Amount(Quantity.DIVERGENCE, mmPerM, 2);
        return stdErr.isPresent()
                ? Said.of("{0#} ± {1}", slope, new Amount(Quantity.DIVERGENCE, 1.96 * stdErr.getAsDouble(), 2))
                : Said.of("{0}", slope);
    }

    @Override
    public Said judgedBy(BedFinding finding) {
        return Said.of(
                "gaps over the bed at most {0} apart",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
