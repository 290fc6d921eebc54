package zebrawood.core.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.power.TrendReadings.Point;
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

/** A source over its hours: the median of all slopes (Theil and Sen), and its interval by Sen's method. */
public final class PowerTrend implements Procedure<TrendReadings, TrendFinding> {

    /** 95 % of what scatters normally lies within so many standard deviations */
    private static final double SURE = 1.959964;
    /** fewer readings have no interval: perfect order comes by chance */
    private static final int LEAST_FOR_INTERVAL = 5;

    private static final int RECHECK_DAYS = 90;

    private static final Card CARD = new Card(
            "power-trend",
            1,
            "Trend",
            Card.OnRoute.in(Phase.POWER, 30).asWanted(),
            Set.of(Change.SOURCE_CHANGED),
            List.of(Hazard.BEAM, Hazard.FIRE),
            10,
            RECHECK_DAYS,
            new Help(
                    List.of("What one fixed test came to, each time with the beam hours at which it was done."),
                    List.of(
                            "The same test each time: same command, same place, optics cleaned, water at its set-point.",
                            "Compare the power scales of sender and controller first: a mismatch looks like age."),
                    "A source falls over its hours. A straight line through many tests tells it from chance, and says when"
                            + " the floor is reached.",
                    List.of(
                            "A replaced source begins a new life: type when that was, and what came before is left out.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<TrendReadings> readingsType() {
        return TrendReadings.class;
    }

    @Override
    public Class<TrendFinding> findingType() {
        return TrendFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<TrendFinding> evaluate(TrendReadings read) {
        List<Point> history = read.life();
        double[] slopes = slopes(history);
        double slope = median(slopes);
        double intercept = median(history.stream()
                .mapToDouble(point -> point.value() - slope * point.hours())
                .sorted()
                .toArray());
        double floor = read.floorPct().orElse(TrendReadings.FLOOR_PCT);
        Interval interval = interval(slopes, history.size());
        double first = intercept + slope * history.get(0).hours();
        double lastHours = history.get(history.size() - 1).hours();
        if (!(first > 0)) {
            TrendFinding finding =
                    finding(slope, interval, OptionalDouble.empty(), OptionalDouble.empty(), read, intercept, floor);
            return new Outcome<>(
                    finding,
                    Verdict.UNCLEAR,
                    List.of(Instruction.of("history", Said.of("Read the history again: no line fits it."))
                            .byHand(Said.of(
                                    "One or two values or hours are typed wrong, or belong to another source."))));
        }
        double now = intercept + slope * lastHours;
        double nowPct = now / first * 100;
        OptionalDouble toFloor = slope >= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(0, (first * floor / 100 - now) / slope));
        TrendFinding finding = finding(slope, interval, OptionalDouble.of(nowPct), toFloor, read, intercept, floor);
        if (Limits.atLeast(nowPct, (100 + floor) / 2)) {
            return new Outcome<>(finding, Verdict.PASS, List.of(goesOn(finding)));
        }
        if (read.scalesAgree().equals(Optional.of(false))) {
            return new Outcome<>(finding, Verdict.UNCLEAR, List.of(scales(nowPct)));
        }
        if (read.by() == TrendReadings.MeasuredBy.GRID && !Limits.atLeast(nowPct, floor)) {
            return new Outcome<>(finding, Verdict.UNCLEAR, List.of(meter(nowPct)));
        }
        return Limits.atLeast(nowPct, floor)
                ? new Outcome<>(finding, Verdict.ADJUST, List.of(comesDown(finding, nowPct)))
                : new Outcome<>(finding, Verdict.FAIL, List.of(worn(finding, nowPct)));
    }

    private static boolean isDirt(TrendFinding finding) {
        return finding.wear().isPresent() && finding.wear().get().larger() == TrendFinding.Larger.DIRT;
    }

    private static Instruction scales(double nowPct) {
        return Instruction.of("scales", Said.of("Set the power scales right first: they do not agree."))
                .byHand(Said.of(
                        "It has come down to {0}, and a mismatch of sender and controller looks just like that. See the"
                                + " bench Controller, then do the test again.",
                        Amount.percent(nowPct, 1)));
    }

    private static Instruction meter(double nowPct) {
        return Instruction.of("meter", Said.of("Measure the power with a meter or a block of metal."))
                .byHand(Said.of(
                        "The cells score {0} of what they did.  That tells that something changed, not how many watts are"
                                + " left. Begin a history in watts with it.",
                        Amount.percent(nowPct, 0)));
    }

    private static Instruction comesDown(TrendFinding finding, double nowPct) {
        if (finding.wear().isPresent() && finding.wear().get().larger() == TrendFinding.Larger.AGE) {
            TrendFinding.Wear wear = finding.wear().get();
            return Instruction.of("source", Said.of("Plan for another source: what is lost is mostly its age."))
                    .byHand(Said.of(
                            "It has come down to {0}. Cleaning would give back about {1}; the source has lost about {2}. Clean"
                                    + " as usual, and repeat the same test.",
                            Amount.percent(nowPct, 1),
                            Amount.percent(wear.cleaningGivesPct(), 1).most(),
                            Amount.percent(wear.sourceLostPct(), 1)));
        }
        if (finding.isJustCleaned()) {
            return Instruction.of("source", Said.of("Plan for another source: the optics were cleaned for this test."))
                    .byHand(Said.of(
                            "It has come down to {0}; what stays after cleaning is the source. Look at the water too. Repeat the"
                                    + " same test at its time.",
                            Amount.percent(nowPct, 1)));
        }
        return Instruction.of("optics", Said.of("Clean the optics and look at the water, then test again."))
                .byHand(
                        isDirt(finding)
                                ? Said.of(
                                        "It has come down to {0}, mostly by dirt. Cleaning should give back about {1}.",
                                        Amount.percent(nowPct, 1),
                                        Amount.percent(finding.wear().get().cleaningGivesPct(), 1)
                                                .most())
                                : Said.of(
                                        "It has come down to {0}. Dirt and warm water look like age; what stays after"
                                                + " cleaning is the source.",
                                        Amount.percent(nowPct, 1)));
    }

    private static Instruction worn(TrendFinding finding, double nowPct) {
        Amount now = Amount.percent(nowPct, 1);
        Amount floor = Amount.percent(finding.tolerances().floorPct(), 0);
        return isDirt(finding) && !finding.isJustCleaned()
                ? Instruction.of(
                                "optics",
                                Said.of(
                                        "Clean the optics and look at the water, test again, and only then judge the source."))
                        .byHand(Said.of(
                                "It has come down to {0}, mostly by dirt; {1} is the floor. If it stays below that, the source"
                                        + " is worn out.",
                                now, floor))
                : Instruction.of("source", Said.of("Replace the source, or work with what it still gives."))
                        .byHand(Said.of(
                                "It has come down to {0}; {1} is the floor. Let the maker or a licensed person replace it; then"
                                        + " a new history begins.",
                                now, floor));
    }

    /** Ends of an interval, where there is one. */
    private record Interval(OptionalDouble low, OptionalDouble high) {}

    private static TrendFinding finding(
            double slope,
            Interval interval,
            OptionalDouble nowPct,
            OptionalDouble toFloor,
            TrendReadings read,
            double intercept,
            double floor) {
        List<Point> history = read.life();
        return new TrendFinding(
                100 * slope,
                interval.low(),
                interval.high(),
                interval.low().isPresent()
                        ? Optional.of(interval.low().getAsDouble() > 0
                                || interval.high().getAsDouble() < 0)
                        : Optional.empty(),
                nowPct,
                toFloor,
                history,
                intercept,
                Wear.of(history, read.events()),
                read.history().stream()
                        .filter(point -> point.hours() < history.get(0).hours())
                        .sorted(Comparator.comparingDouble(Point::hours))
                        .toList(),
                read.events(),
                read.by(),
                new TrendFinding.Tolerances(floor));
    }

    /** The slopes of all pairs, the smallest first. */
    private static double[] slopes(List<Point> history) {
        int n = history.size();
        double[] slopes = new double[n * (n - 1) / 2];
        int at = 0;
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                slopes[at++] = (history.get(j).value() - history.get(i).value())
                        / (history.get(j).hours() - history.get(i).hours());
            }
        }
        Arrays.sort(slopes);
        return slopes;
    }

    private static double median(double[] sorted) {
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }

    /** Sen's: the slopes so many places below and above the middle one. */
    private static Interval interval(double[] slopes, int n) {
        if (n < LEAST_FOR_INTERVAL) {
            return new Interval(OptionalDouble.empty(), OptionalDouble.empty());
        }
        double pairs = slopes.length;
        double spread = SURE * Math.sqrt(n * (n - 1.0) * (2.0 * n + 5) / 18);
        return new Interval(
                OptionalDouble.of(100 * slopes[place((pairs - spread) / 2, slopes.length)]),
                OptionalDouble.of(100 * slopes[place((pairs + spread) / 2 + 1, slopes.length)]));
    }

    /** A place counted from 1, halves up, kept within the list; counted from 0. */
    private static int place(double number, int many) {
        return (int) Math.max(1, Math.min(many, Math.floor(number + 0.5))) - 1;
    }

    private static Instruction goesOn(TrendFinding finding) {
        if (finding.hoursToFloor().isEmpty()) {
            return Instruction.of("source", Said.of("Go on: it does not fall."));
        }
        if (finding.changed().equals(Optional.of(false))) {
            return Instruction.of("source", Said.of("Go on, and repeat the same test at its time."))
                    .byHand(Said.of(
                            "It stands at {0}. So little can be chance: more tests tell whether it falls.",
                            Amount.percent(finding.nowPct().getAsDouble(), 1)));
        }
        return Instruction.of("source", Said.of("Go on, and repeat the same test at its time."))
                .byHand(Said.of(
                        "It stands at {0}. By this line the floor is reached in {1} beam hours.",
                        Amount.percent(finding.nowPct().getAsDouble(), 1),
                        Amount.plain(finding.hoursToFloor().getAsDouble(), 0).most()));
    }

    @Override
    public Said keyFigure(TrendFinding finding) {
        return finding.nowPct().isPresent()
                ? Said.of("{0}", Amount.percent(finding.nowPct().getAsDouble(), 0))
                : Said.of("no line fits");
    }

    @Override
    public List<Evidence> evidence(TrendFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("in 100 h", Said.of("{0}", Amount.plain(finding.slopePer100h(), 2))));
        finding.slopeLow()
                .ifPresent(low -> evidence.add(new Evidence(
                        "within",
                        Said.of(
                                "{0} to {1}",
                                Amount.plain(low, 2),
                                Amount.plain(finding.slopeHigh().getAsDouble(), 2)))));
        finding.nowPct().ifPresent(now -> evidence.add(new Evidence("now", Said.of("{0}", Amount.percent(now, 1)))));
        finding.wear().ifPresent(wear -> {
            rate(evidence, "source", wear.age());
            rate(evidence, "dirt", wear.dirt());
            evidence.add(new Evidence(
                    "a cleaning gives back",
                    Said.of("{0}", Amount.percent(wear.cleaningGivesPct(), 1).most())));
        });
        finding.hoursToFloor()
                .ifPresent(hours -> evidence.add(new Evidence(
                        "hours to the floor",
                        Said.of("{0}", Amount.plain(hours, 0).most()))));
        return evidence;
    }

    private static void rate(List<Evidence> evidence, String what, TrendFinding.Rate rate) {
        evidence.add(new Evidence(what + ", in 100 h", Said.of("{0}", Amount.percent(-rate.pct(), 2))));
        evidence.add(new Evidence(
                what + " within",
                Said.of("{0#} to {1}", Amount.percent(-rate.highPct(), 2), Amount.percent(-rate.lowPct(), 2))));
    }

    @Override
    public Said judgedBy(TrendFinding finding) {
        return Said.of(
                "floor at {0} of the first value",
                Amount.percent(finding.tolerances().floorPct(), 0));
    }
}
