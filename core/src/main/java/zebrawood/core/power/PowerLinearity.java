package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.core.machine.Plate;
import zebrawood.core.power.LinearityFinding.Row;
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
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Tells what power a command gives at the work, and what to command for a wanted one. */
public final class PowerLinearity implements Procedure<LinearityReadings, LinearityFinding> {

    /** share of the maximum at which a source is taken to fire */
    private static final double FIRES = 0.01;
    /** how narrowly it is to be known where it begins, % of command */
    private static final double BEGINS_WITHIN_PCT = 4;
    /** nearer readings are near enough, % of command */
    private static final double APART_PCT = 6;
    /** share of the maximum between two neighbours from which there may be a bend between them */
    private static final double STEEP = 0.2;
    /** of one command */
    private static final double FULL_PCT = 100;

    private static final Card CARD = new Card(
            "power-linearity",
            1,
            "Percent to watts",
            Card.OnRoute.in(Phase.POWER, 20).firing().forAJob(),
            Set.of(Change.SOURCE_CHANGED, Change.LENS_CHANGED, Change.PART_FITTED),
            List.of(Hazard.BEAM, Hazard.FIRE, Hazard.FUMES),
            20,
            365,
            new Help(
                    List.of("A power meter for this wavelength and this power, or a block of metal and a thermometer."),
                    List.of(
                            "Put the meter where the work lies, out of focus, so that it is not burned.",
                            "Fire for as long as the meter needs, at commands from 0 to 100 %, in steps of ten.",
                            "Type command and watts, a row each. Repeats are averaged."),
                    "Percent means nothing between two machines. Watts at the work do.",
                    List.of("A meter gets hot: let it cool. Its rated power is not passed for a second.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<LinearityReadings> readingsType() {
        return LinearityReadings.class;
    }

    @Override
    public Class<LinearityFinding> findingType() {
        return LinearityFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<LinearityFinding> evaluate(LinearityReadings read) {
        boolean falls = read.falls();
        CommandCurve curve = CommandCurve.of(read.samples().stream()
                .map(sample -> new CommandCurve.At(turned(sample.commandPct(), falls), sample.powerW()))
                .toList());
        double maximum = curve.largest();
        OptionalDouble threshold = Limits.atMost(curve.pooled(0), FIRES * maximum)
                ? curve.smallestReaching(FIRES * maximum)
                : OptionalDouble.empty();
        double error = error(curve, threshold);
        List<Row> table = new ArrayList<>();
        double step = read.stepPct().orElse(LinearityReadings.STEP_PCT);
        for (int i = 1; !Limits.atLeast(i * step, FULL_PCT); i++) {
            table.add(row(curve, i * step, falls));
        }
        table.add(row(curve, FULL_PCT, falls));
        double tolerance = read.tolerancePct().orElse(LinearityReadings.TOLERANCE_PCT);
        LinearityFinding finding = new LinearityFinding(
                maximum,
                threshold.isPresent()
                        ? OptionalDouble.of(turned(threshold.getAsDouble(), falls))
                        : OptionalDouble.empty(),
                error,
                table,
                fires(curve).stream().map(at -> turned(at, falls)).findFirst(),
                next(curve).stream().map(at -> turned(at, falls)).findFirst(),
                read.samples().stream().flatMapToDouble(sample -> sample.halfWidthW().stream()).max().stream()
                        .map(half -> 100 * half / maximum)
                        .findFirst(),
                falls,
                IntStream.range(0, curve.size())
                        .mapToObj(i -> new LinearityReadings.Sample(turned(curve.command(i), falls), curve.pooled(i)))
                        .toList(),
                new LinearityFinding.Tolerances(tolerance));
        boolean straight = Limits.atMost(error, tolerance);
        return new Outcome<>(
                finding,
                straight ? Verdict.PASS : Verdict.ADJUST,
                Stream.of(
                                straight ? straight(finding) : byTable(finding),
                                lowest(finding),
                                finding.nextCommandPct().isPresent() ? further(finding) : null)
                        .filter(Objects::nonNull)
                        .toList());
    }

    private static double turned(double commandPct, boolean falls) {
        return falls ? FULL_PCT - commandPct : commandPct;
    }

    private static Row row(CommandCurve curve, double wantedPct, boolean falls) {
        double command =
                curve.smallestReaching(curve.largest() * wantedPct / 100).orElseThrow();
        return new Row(wantedPct, turned(command, falls));
    }

    /** The largest distance of a reading from the straight line, in shares of the maximum. */
    private static double error(CommandCurve curve, OptionalDouble threshold) {
        double maximum = curve.largest();
        double from = threshold.orElse(curve.command(0));
        double at = threshold.isPresent() ? 0 : curve.pooled(0) / maximum;
        double to = curve.command(curve.last());
        double most = 0;
        for (int i = 0; i < curve.size(); i++) {
            double command = curve.command(i);
            double reference = command < from ? 0 : to > from ? at + (1 - at) * (command - from) / (to - from) : 1;
            most = Math.max(most, Math.abs(curve.merged(i) / maximum - reference) * 100);
        }
        return most;
    }

    private static Amount watts(double w) {
        return new Amount(Quantity.POWER, w, w < 10 ? 2 : 1);
    }

    /** Where it is seen to fire first. */
    private static OptionalDouble fires(CommandCurve curve) {
        return IntStream.range(0, curve.size())
                .filter(i -> curve.pooled(i) > FIRES * curve.largest())
                .mapToDouble(curve::command)
                .findFirst();
    }

    /** Where the curve is told too roughly: where it begins, at its end, or between two readings far apart. */
    private static OptionalDouble next(CommandCurve curve) {
        if (!Limits.atLeast(curve.command(curve.last()), FULL_PCT)) {
            return OptionalDouble.of(FULL_PCT);
        }
        double most = curve.largest();
        if (curve.pooled(0) > FIRES * most && curve.command(0) > 0) {
            return OptionalDouble.of(Math.floor(curve.command(0)) / 2);
        }
        for (int i = 1; i < curve.size(); i++) {
            boolean begins = curve.pooled(i - 1) <= FIRES * most && curve.pooled(i) > FIRES * most;
            double apart = curve.command(i) - curve.command(i - 1);
            if (begins && apart > BEGINS_WITHIN_PCT
                    || apart > APART_PCT && curve.pooled(i) - curve.pooled(i - 1) > STEEP * most) {
                return OptionalDouble.of(Math.round(curve.command(i - 1) + curve.command(i)) / 2.0);
            }
        }
        return OptionalDouble.empty();
    }

    private static Instruction lowest(LinearityFinding finding) {
        double fires = finding.firesAtPct().orElseThrow();
        Amount at = Amount.percent(fires, 1);
        return Instruction.of(
                        "job",
                        Said.of(
                                finding.falls()
                                        ? "Keep the lowest power of every job at {0} or less: this scale runs backwards."
                                        : "Keep the lowest power of every job at {0} or more.",
                                finding.falls() ? at.most() : at.least()))
                .byHand(
                        Said.of(
                                "There it was seen to fire; corners go out below it. Type that command into the sender's"
                                        + " table as the one at which the source begins; the controller's own minimum stays 0."));
    }

    private static Instruction further(LinearityFinding finding) {
        return Instruction.of(
                        "reading",
                        Said.of(
                                "Measure at {0} too: there the curve is told too roughly.",
                                Amount.percent(finding.nextCommandPct().getAsDouble(), 1)))
                .byHand(Said.of("Type it as one row more: the table is worked out again."));
    }

    private static Instruction straight(LinearityFinding finding) {
        return Instruction.of("command", Said.of("Command in percent as you do: it is nearly straight."))
                .byHand(Said.of(
                        "At most {0} off a straight line. 100 % are {1} at the work.",
                        Amount.percent(finding.linearityErrorPct(), 1), watts(finding.maximumW())));
    }

    private static Instruction byTable(LinearityFinding finding) {
        return Instruction.of("command", Said.of("Command by the table, not by percent: it is not straight."))
                .byHand(Said.of(
                        "Up to {0} off a straight line. 100 % are {1} at the work.",
                        Amount.percent(finding.linearityErrorPct(), 1), watts(finding.maximumW())));
    }

    @Override
    public Said keyFigure(LinearityFinding finding) {
        return Said.of("{0}", watts(finding.maximumW()));
    }

    @Override
    public List<Evidence> evidence(LinearityFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("most at the work", Said.of("{0}", watts(finding.maximumW()))));
        finding.thresholdPct()
                .ifPresent(at ->
                        evidence.add(new Evidence("begins to fire at", Said.of("{0}", Amount.percent(at, 1)))));
        finding.firesAtPct()
                .ifPresent(at -> evidence.add(new Evidence("seen to fire at", Said.of("{0}", Amount.percent(at, 1)))));
        finding.halfWidthPct()
                .ifPresent(half -> evidence.add(new Evidence(
                        "watts known to",
                        Said.of(
                                "\u00b1 {0} of the most",
                                Amount.percent(half, 1).least()))));
        evidence.add(
                new Evidence("off a straight line", Said.of("{0}", Amount.percent(finding.linearityErrorPct(), 1))));
        return evidence;
    }

    @Override
    public Said judgedBy(LinearityFinding finding) {
        return Said.of(
                "at most {0} of the maximum off a straight line",
                Amount.percent(finding.tolerances().tolerancePct(), 1).most());
    }
}
