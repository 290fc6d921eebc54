package zebrawood.core.extraction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.extraction.ExtractionFinding.Kind;
import zebrawood.core.extraction.ExtractionFinding.Link;
import zebrawood.core.extraction.ExtractionFinding.Loss;
import zebrawood.core.extraction.ExtractionFinding.Point;
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
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/**
 * Whether an extraction draws what the machine asks for and carries its dust; duct losses after Darcy and Weisbach with
 * Colebrook's friction, the operating point where fan and run meet.
 */
public final class Extraction implements Procedure<ExtractionReadings, ExtractionFinding> {

    /** carries fine dust and smoke along a level duct; where the dust asks for more, it is typed */
    private static final double LEAST_TRANSPORT_MPS = 10;

    /** points of a drawn curve: smooth on paper, few enough for an entry */
    private static final int CURVE = 24;
    /** ten years: further ahead no straight line through a filter's gauge is believed */
    private static final int FURTHEST_DAYS = 3650;

    private static final Card CARD = new Card(
            "exhaust-duct",
            1,
            "Extraction",
            Card.OnRoute.in(Phase.SERVICES, 10).holdingTheGate(),
            Set.of(Change.MOVED, Change.PART_FITTED),
            List.of(Hazard.DUCTING, Hazard.FUMES, Hazard.FIRE),
            20,
            365,
            new Help(
                    List.of(
                            "What flow the machine's manual asks for, and the fan's curve from its data sheet.",
                            "Bore and length of every duct and hose, every bend, the cap, the filter, in the "
                                    + "order of the run.",
                            "With a filter unit: its drop when clean and when it is to be changed, and what its "
                                    + "gauge shows now."),
                    List.of(
                            "Pull hoses straight; one that hangs in folds takes two or three times as much.",
                            "The fan belongs at the outlet: what leaks then is sucked in, not blown into the room.",
                            "Start a job without the beam and see that the machine's signal starts the extraction.",
                            "Pick a bend, cap or mesh, and its usual loss counts until you type its maker's: "
                                    + usualLosses() + ".",
                            "Hold an anemometer in the middle of the port: the smaller of what it shows and what is "
                                    + "computed is believed.",
                            "A filter that returns the air to the room must be made for what is cut here."),
                    "Too little flow leaves smoke on lens and workpiece and in the lungs; too slow air leaves "
                            + "dust in the duct, which burns.",
                    List.of("An estimate for a talk with whoever builds the duct. Outlet, fire dampers and what "
                            + "may leave the building are for the local code.")));

    /** The usual losses, as the help tells them. */
    private static String usualLosses() {
        return Stream.of(UsualLoss.values())
                .map(loss -> loss.words() + " " + Amount.exact(loss.coefficient()))
                .collect(Collectors.joining(", "));
    }

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ExtractionReadings> readingsType() {
        return ExtractionReadings.class;
    }

    @Override
    public Class<ExtractionFinding> findingType() {
        return ExtractionFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<ExtractionFinding> evaluate(ExtractionReadings read) {
        Air air = read.air().orElse(Air.USUAL);
        Fan fan = new Fan(read.fanCurve(), air);
        Layout layout = read.layout();
        double least = read.minTransportMs().orElse(LEAST_TRANSPORT_MPS);
        double flow = fan.operatingFlow(layout);
        double margin = margin(flow, read);
        List<ExtractionFinding.Velocity> velocities = layout.segments().stream()
                .map(segment -> new ExtractionFinding.Velocity(segment.name(), segment.velocityMps(flow)))
                .toList();
        boolean carries = velocities.stream().allMatch(velocity -> Limits.atLeast(velocity.ms(), least));
        List<Link> chain = chain(layout, flow, air);
        ExtractionFinding finding = new ExtractionFinding(
                layout.pressurePa(read.requiredFlowM3h(), air),
                fan.pressurePa(read.requiredFlowM3h()),
                flow,
                layout.pressurePa(flow, air),
                margin,
                velocities,
                losses(layout, flow, air),
                carries,
                chain,
                curve(layout, fan, air),
                read.fanCurve().stream()
                        .map(point -> new Point(
                                point.flowM3h(), fan.pressurePa(point.flowM3h()).orElseThrow()))
                        .toList(),
                read.requiredFlowM3h(),
                read.fanAtDischargeEnd(),
                Optional.empty(),
                new SingleChange(read, fan, least).best(margin, carries),
                loaded(read, layout, fan),
                due(read),
                read.other().map(other -> other(read, other, fan, air, least)),
                Limits.atLeast(margin, 0) && !carries
                        ? layout.oneShut().flatMap(shut -> shut(read, shut, fan, least))
                        : Optional.empty(),
                read.port().map(port -> {
                    double there = port.flowM3h();
                    return new ExtractionFinding.Measured(there, margin(there, read), there < flow);
                }),
                new ExtractionFinding.Tolerances(least));
        List<Instruction> instructions = instructions(read, finding);
        boolean passes = Limits.atLeast(margin, 0)
                && finding.measured()
                        .map(measured -> Limits.atLeast(measured.marginPct(), 0))
                        .orElse(true)
                && carries
                && read.fanAtDischargeEnd()
                && read.startSignal().orElse(true);
        return new Outcome<>(finding, passes ? Verdict.PASS : Verdict.ADJUST, instructions);
    }

    private static double margin(double flow, ExtractionReadings read) {
        return 100 * (flow / read.requiredFlowM3h() - 1);
    }

    private static List<Loss> losses(Layout layout, double flow, Air air) {
        return Stream.of(
                        layout.segments().stream().map(segment -> new Loss(segment.name(), segment.lossPa(flow, air))),
                        layout.fittings().stream().map(fitting -> new Loss(fitting.name(), fitting.lossPa(flow, air))),
                        layout.filters().stream().map(filter -> new Loss(filter.name(), filter.lossPa(flow))))
                .flatMap(losses -> losses)
                .sorted(Comparator.comparingDouble(Loss::pa).reversed())
                .toList();
    }

    /** Filters before the duct that follows them, then fittings, as far as their places are known. */
    private static List<Link> chain(Layout layout, double flow, Air air) {
        List<Link> chain = new ArrayList<>();
        int last = layout.segments().size();
        for (int passed = 0; passed <= last; passed++) {
            int here = passed;
            layout.filters().stream()
                    .filter(filter -> Math.min(last, filter.segmentsBefore().orElse(0)) == here)
                    .forEach(filter -> chain.add(new Link(
                            Kind.FILTER,
                            filter.name(),
                            filter.lossPa(flow),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            1)));
            layout.fittings().stream()
                    .filter(fitting -> Math.min(last, fitting.segmentsBefore().orElse(last)) == here)
                    .forEach(fitting -> chain.add(new Link(
                            Kind.FITTING,
                            fitting.name(),
                            fitting.lossPa(flow, air),
                            OptionalDouble.of(fitting.diameterMm()),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            fitting.parallel().orElse(1))));
            if (passed < last) {
                Layout.Segment segment = layout.segments().get(passed);
                chain.add(new Link(
                        Kind.SEGMENT,
                        segment.name(),
                        segment.lossPa(flow, air),
                        OptionalDouble.of(segment.diameterMm()),
                        OptionalDouble.of(segment.lengthM()),
                        OptionalDouble.of(segment.velocityMps(flow)),
                        segment.parallel().orElse(1)));
            }
        }
        return chain;
    }

    private static List<Point> curve(Layout layout, Fan fan, Air air) {
        List<Point> curve = new ArrayList<>();
        for (int i = 0; i <= CURVE; i++) {
            double flow = fan.lastFlow() * i / CURVE;
            curve.add(new Point(flow, layout.pressurePa(flow, air)));
        }
        return curve;
    }

    private static Optional<ExtractionFinding.Loaded> loaded(ExtractionReadings read, Layout layout, Fan fan) {
        if (read.filters().stream().noneMatch(filter -> filter.loadedDropPa().isPresent())) {
            return Optional.empty();
        }
        double flow = fan.operatingFlow(layout.loaded());
        return Optional.of(new ExtractionFinding.Loaded(flow, margin(flow, read)));
    }

    /** When the straight line through what the gauge showed reaches the drop of the loaded filter. */
    private static Optional<LocalDate> due(ExtractionReadings read) {
        OptionalDouble limit = read.filters().stream()
                .flatMapToDouble(filter -> filter.loadedDropPa().stream())
                .findFirst();
        if (limit.isEmpty() || read.gauge().size() < 2) {
            return Optional.empty();
        }
        // least squares: through the mean, with the slope of the deviations from it
        double meanDay = read.gauge().stream()
                .mapToDouble(gauged -> gauged.day().toEpochDay())
                .average()
                .orElseThrow();
        double meanPa = read.gauge().stream()
                .mapToDouble(ExtractionReadings.Gauged::dropPa)
                .average()
                .orElseThrow();
        double together = read.gauge().stream()
                .mapToDouble(gauged -> (gauged.day().toEpochDay() - meanDay) * (gauged.dropPa() - meanPa))
                .sum();
        double apart = read.gauge().stream()
                .mapToDouble(gauged -> Math.pow(gauged.day().toEpochDay() - meanDay, 2))
                .sum();
        if (!(apart > 0 && together > 0)) {
            return Optional.empty();
        }
        double days = (limit.getAsDouble() - meanPa) * apart / together;
        return Math.abs(days) > FURTHEST_DAYS
                ? Optional.empty()
                : Optional.of(LocalDate.ofEpochDay((long) Math.floor(meanDay + days)));
    }

    /** What a shut port gives, where the air is then fast enough everywhere and there is still enough of it. */
    private static Optional<ExtractionFinding.Shut> shut(ExtractionReadings read, Layout shut, Fan fan, double least) {
        double flow = fan.operatingFlow(shut);
        double slowest = shut.segments().stream()
                .mapToDouble(segment -> segment.velocityMps(flow))
                .min()
                .orElseThrow();
        return Optional.of(new ExtractionFinding.Shut(slowest, margin(flow, read)))
                .filter(found -> Limits.atLeast(found.slowestMillis(), least) && Limits.atLeast(found.marginPct(), 0));
    }

    private static ExtractionFinding.OtherLayout other(
            ExtractionReadings read, Layout other, Fan fan, Air air, double least) {
        double flow = fan.operatingFlow(other);
        return new ExtractionFinding.OtherLayout(
                flow,
                other.pressurePa(flow, air),
                margin(flow, read),
                other.segments().stream().allMatch(segment -> segment.velocityMps(flow) >= least),
                curve(other, fan, air),
                chain(other, flow, air));
    }

    /** What to change for more flow, and what is still needed after it. */
    private static Instruction tooLittle(ExtractionReadings read, ExtractionFinding finding) {
        Said needed = Said.of(
                "The fan must give {0} at {1}.",
                new Amount(Quantity.PASCAL, finding.systemPressurePa(), 0).least(),
                flow(finding.requiredFlowM3h()).least());
        Optional<ExtractionFinding.Change> change =
                finding.bestChange().filter(found -> found.kind() != ExtractionFinding.Kinds.FAN_END);
        boolean never = !new SingleChange(
                        read,
                        new Fan(read.fanCurve(), read.air().orElse(Air.USUAL)),
                        finding.tolerances().minTransportMs())
                .canBeEnough();
        if (change.isEmpty() || never) {
            return Instruction.of(
                            "fan",
                            Said.of(
                                    never
                                            ? "Ask for a stronger fan: no change of the run makes this one enough."
                                            : "Ask for a stronger fan or a shorter run: no single change gives more."))
                    .byHand(needed);
        }
        ExtractionFinding.Change found = change.get();
        double then = found.marginPct().orElseThrow();
        String name = Said.quoted(found.name().orElse(""));
        String action = switch (found.kind()) {
            case WIDER -> "Make " + name + " {0} wide";
            case STRAIGHT -> "Pull " + name + " straight";
            case FILTER -> "Clean " + name + ", or fit one of twice the area";
            case NARROWER, FAN_END -> throw new IllegalStateException();
        };
        boolean flows = Limits.atLeast(then, 0);
        boolean enough = flows && found.carries().orElse(false);
        Instruction said = Instruction.of(
                "duct",
                new Said(
                        action + (enough ? "." : "; that alone is not enough."),
                        List.of(Amount.mm(found.diameterMm().orElse(0), 0))));
        if (enough) {
            return said.byHand(Said.of(
                    "It is the change that gives most: the margin over the required flow is then {0}; now it is {1}.",
                    Amount.percent(then, 1).most(), Amount.percent(finding.marginPct(), 1)));
        } else if (flows) {
            return said.byHand(Said.of(
                    "It then draws enough, with a margin of {0}, but the air is too slow in a part of the run, and dust"
                            + " lies down there. Type it again after that.",
                    Amount.percent(then, 1).most()));
        }
        return said.byHand(new Said(
                "Then {2} are still missing; now it is {3}. Type it again after that, or ask for a stronger fan: it must"
                        + " give {0} at {1} in the run as it is.",
                List.of(
                        needed.amounts().get(0),
                        needed.amounts().get(1),
                        Amount.percent(-then, 1).least(),
                        Amount.percent(-finding.marginPct(), 1).least())));
    }

    private static Instruction tooSlow(ExtractionFinding finding) {
        return finding.bestChange()
                .filter(change -> change.kind() == ExtractionFinding.Kinds.NARROWER)
                .map(change -> Instruction.of(
                                "duct",
                                Said.of(
                                        "Make " + Said.quoted(change.name().orElse("")) + " {0} wide.",
                                        Amount.mm(change.diameterMm().orElse(0), 0)))
                        .byHand(Said.of(
                                "Dust lies down in it: the air is too slow there. The margin is then {0}. Where another "
                                        + "part is too slow, it is said next.",
                                Amount.percent(change.marginPct().orElse(0), 1).most())))
                .orElseGet(() -> Instruction.of(
                        "duct",
                        Said.of("Ask whoever builds the duct: no single change of a diameter makes the air fast enough "
                                + "and leaves enough of it.")));
    }

    private static List<Instruction> instructions(ExtractionReadings read, ExtractionFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        if (!read.fanAtDischargeEnd()) {
            instructions.add(Instruction.of("fan", Said.of("Put the fan at the outlet."))
                    .byHand(Said.of("All of the duct is then below the room's pressure: what leaks is "
                            + "sucked in, not blown into the room.")));
        }
        boolean enough = Limits.atLeast(finding.marginPct(), 0);
        if (!enough) {
            instructions.add(tooLittle(read, finding));
        } else if (finding.shut().isPresent()) {
            instructions.add(Instruction.of("port", Said.of("Shut one of the ports side by side while it is not used."))
                    .byHand(Said.of(
                            "Dust lies down in the run: the air is too slow. With one shut it is {0} at the "
                                    + "slowest, and the margin is {1}.",
                            new Amount(Quantity.SPEED, finding.shut().get().slowestMillis(), 1).most(),
                            Amount.percent(finding.shut().get().marginPct(), 1).most())));
        } else if (!finding.transportOk()) {
            instructions.add(tooSlow(finding));
        }
        finding.measured()
                .filter(measured -> enough && !Limits.atLeast(measured.marginPct(), 0))
                .ifPresent(measured -> instructions.add(Instruction.of(
                                "port",
                                Said.of(
                                        "Look for a leak, a shut gate or a full filter: at the port {0} are missing.",
                                        flow(finding.requiredFlowM3h() - measured.flowM3h())
                                                .least()))
                        .byHand(Said.of(
                                "By its parts the run draws {0}, and {1} were measured: what was measured is believed."
                                        + " Measure again after that.",
                                flow(finding.operatingFlowM3h()), flow(measured.flowM3h())))));
        if (!read.startSignal().orElse(true)) {
            instructions.add(Instruction.of(
                            "start signal",
                            Said.of("Have the start signal mended: the machine does not start its extraction."))
                    .byHand(Said.of("Until then somebody switches it on by hand before every job.")));
        }
        finding.loaded()
                .filter(loaded -> loaded.marginPct() < 0 && finding.marginPct() >= 0)
                .ifPresent(loaded -> instructions.add(Instruction.of(
                                "filter", Said.of("Change the filter before it is loaded."))
                        .byHand(Said.of(
                                "When it is, {0} of the flow are missing.", Amount.percent(-loaded.marginPct(), 1)))));
        if (instructions.isEmpty()) {
            instructions.add(Instruction.of("extraction", Said.of("It draws enough."))
                    .byHand(Said.of(
                            "{0} of flow, {1} over what is required. An estimate: see that smoke goes where it "
                                    + "should, on the first job too.",
                            flow(finding.operatingFlowM3h()), Amount.percent(finding.marginPct(), 0))));
        }
        return instructions;
    }

    private static Amount flow(double m3h) {
        return new Amount(Quantity.AIR_FLOW, m3h, 0);
    }

    @Override
    public Said keyFigure(ExtractionFinding finding) {
        return Said.of("{0}", Amount.percent(finding.marginPct(), 0));
    }

    @Override
    public List<Evidence> evidence(ExtractionFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence(
                        "draws",
                        Said.of("{0} of {1}", flow(finding.operatingFlowM3h()), flow(finding.requiredFlowM3h()))),
                new Evidence(
                        "system resistance",
                        Said.of("{0}", new Amount(Quantity.PASCAL, finding.operatingPressurePa(), 0))),
                new Evidence(
                        "largest pressure loss",
                        Said.of(
                                Said.quoted(finding.losses().get(0).name()) + ", {0}",
                                new Amount(
                                        Quantity.PASCAL, finding.losses().get(0).pa(), 0)))));
        finding.measured()
                .ifPresent(measured -> evidence.add(new Evidence(
                        "measured at the port",
                        Said.of("{0}" + (measured.believed() ? ", believed" : ""), flow(measured.flowM3h())))));
        finding.velocities().stream()
                .min(Comparator.comparingDouble(ExtractionFinding.Velocity::ms))
                .ifPresent(slow -> evidence.add(new Evidence(
                        "slowest",
                        Said.of(Said.quoted(slow.name()) + ", {0}", new Amount(Quantity.SPEED, slow.ms(), 1)))));
        finding.loaded()
                .ifPresent(loaded -> evidence.add(new Evidence(
                        "loaded", Said.of("{0}, {1}", flow(loaded.flowM3h()), Amount.percent(loaded.marginPct(), 0)))));
        finding.filterDue().ifPresent(day -> evidence.add(new Evidence("filter", Said.of("loaded on " + day))));
        finding.other()
                .ifPresent(other -> evidence.add(new Evidence(
                        "other run",
                        Said.of("{0}, {1}", flow(other.flowM3h()), Amount.percent(other.marginPct(), 0)))));
        return evidence;
    }

    @Override
    public Said judgedBy(ExtractionFinding finding) {
        return Said.of(
                "{0}, {1} in every duct, the fan at the outlet",
                flow(finding.requiredFlowM3h()),
                new Amount(Quantity.SPEED, finding.tolerances().minTransportMs(), 1));
    }
}
