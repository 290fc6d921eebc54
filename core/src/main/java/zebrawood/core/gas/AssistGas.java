package zebrawood.core.gas;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Trait;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Estimates what a nozzle takes at a pressure, and how long a bottle lasts. */
public final class AssistGas implements Procedure<GasReadings, GasFinding> {

    /** eight hours */
    private static final double SHIFT_MIN = 480;
    /** the next nozzles of a set, smaller and larger */
    private static final double NEIGHBOUR = 0.25;
    /** below this what hangs on a compressor's line is made for it */
    private static final double LOW_BAR = 6;
    /** points of a drawn curve: smooth on paper, few enough for an entry */
    private static final int STEPS = 24;

    private static final Card CARD = new Card(
            "assist-gas",
            1,
            "Assist gas",
            Card.OnRoute.in(Phase.SERVICES, 60),
            Set.of(),
            List.of(Hazard.GAS_PRESSURE, Hazard.FIRE),
            5,
            365,
            new Help(
                    List.of(
                            "The bore that is stamped on the nozzle.",
                            "The gauge that is nearest to the head.",
                            "Volume and pressure from the bottle's shoulder and gauge."),
                    List.of(
                            "Let the gas flow with the beam off, and read the pressure while it flows: standing "
                                    + "still it reads higher.",
                            "Type the share of the time in which gas really flows; for cutting, half to two "
                                    + "thirds is usual."),
                    "A nozzle takes more than one thinks: flow goes with the square of its bore. A bottle that "
                            + "ends in the middle"
                            + " of a sheet costs the sheet.",
                    List.of("Regulator, hoses and fittings are a gas fitter's work; only parts that are marked "
                            + "for oxygen go into an oxygen line.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<GasReadings> readingsType() {
        return GasReadings.class;
    }

    @Override
    public Class<GasFinding> findingType() {
        return GasFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<GasFinding> evaluate(GasReadings read) {
        Nozzle nozzle = new Nozzle(
                read.nozzleMm(),
                read.dischargeCoefficient().orElse(0.85),
                read.temperatureC().orElse(20),
                read.ambientKPa().orElse(101.325));
        double flow = nozzle.flowNlMin(read.gas(), read.pressureBar());
        OptionalDouble minutes = minutes(read, flow);
        List<GasFinding.Curve> curves = Stream.of(1.0, 1 - NEIGHBOUR, 1 + NEIGHBOUR)
                .map(share -> curve(nozzle.withBore(read.nozzleMm() * share), read))
                .toList();
        List<GasFinding.Other> others = Stream.of(Gas.values())
                .filter(gas -> gas != read.gas())
                .map(gas -> {
                    double other = nozzle.flowNlMin(gas, read.pressureBar());
                    return new GasFinding.Other(gas, other, minutes(read, other));
                })
                .toList();
        GasFinding finding = new GasFinding(
                nozzle.isChoked(read.gas(), read.pressureBar()),
                nozzle.massFlowGS(read.gas(), read.pressureBar()),
                flow,
                minutes,
                minutes.orElse(0) > 0 ? OptionalDouble.of(SHIFT_MIN / minutes.getAsDouble()) : OptionalDouble.empty(),
                read.gas(),
                read.nozzleMm(),
                read.pressureBar(),
                read.beamOnPct().orElse(100),
                read.ratedBar().isPresent()
                        ? Optional.of(Limits.atMost(
                                read.pressureBar(), read.ratedBar().getAsDouble()))
                        : Optional.empty(),
                curves,
                others,
                new GasFinding.Tolerances(read.ratedBar()));
        boolean over = !finding.pressureOk().orElse(true);
        return new Outcome<>(
                finding, over ? Verdict.FAIL : Verdict.NOTE, over ? tooMuch(finding) : instructions(finding));
    }

    private static GasFinding.Curve curve(Nozzle nozzle, GasReadings read) {
        return new GasFinding.Curve(
                nozzle.boreMm(),
                IntStream.rangeClosed(0, STEPS)
                        .mapToObj(i -> 2 * read.pressureBar() * i / STEPS)
                        .map(bar -> new GasFinding.Point(bar, nozzle.flowNlMin(read.gas(), bar)))
                        .toList());
    }

    /** Ideal gas at its temperature, from the bottle's pressure down to what it keeps or what the nozzle needs. */
    private static OptionalDouble minutes(GasReadings read, double flowNlMin) {
        if (read.bottle().isEmpty()) {
            return OptionalDouble.empty();
        }
        GasReadings.Bottle bottle = read.bottle().get();
        double downToBar = Math.max(bottle.residualBar().orElse(5), read.pressureBar());
        double usableBar = Math.max(0, bottle.pressureBar() - downToBar);
        double normalLitres = bottle.volumeL()
                * usableBar
                / 1.01325
                * 273.15
                / (read.temperatureC().orElse(20) + 273.15);
        return OptionalDouble.of(normalLitres / (flowNlMin * read.beamOnPct().orElse(100) / 100));
    }

    private static List<Instruction> tooMuch(GasFinding finding) {
        return List.of(Instruction.of(
                        "gas",
                        Said.of(
                                "Do not open the valve: set the regulator to {0} or less.",
                                bar(finding.tolerances().ratedBar().orElse(0)).most()))
                .byHand(Said.of(
                        "{0} would be on parts that are rated for {1}: they can burst. A gas fitter may change them.",
                        bar(finding.pressureBar()),
                        bar(finding.tolerances().ratedBar().orElse(0)).most())));
    }

    /** What must be looked at before so much pressure, or such a gas, is let into the parts. */
    private static Optional<Instruction> parts(GasFinding finding) {
        boolean unrated = finding.pressureOk().isEmpty() && finding.pressureBar() > LOW_BAR;
        if (finding.gas() == Gas.OXYGEN) {
            return Optional.of(Instruction.of(
                            "gas",
                            Said.of("Use oxygen only with parts cleaned and rated for oxygen: no oil, no grease."))
                    .byHand(Said.of("Grease burns in oxygen by itself. "
                            + (unrated ? "Ask what pressure they are rated for. " : "")
                            + "A gas fitter looks at regulator, hose and fittings.")));
        }
        return unrated
                ? Optional.of(Instruction.of(
                                "gas",
                                Said.of(
                                        "Look up what regulator, hose, fittings and head are rated for: {0} or more.",
                                        bar(finding.pressureBar()).least()))
                        .byHand(Said.of("The lowest of the four counts. Type it here before the valve is opened.")))
                : Optional.empty();
    }

    private static List<Instruction> instructions(GasFinding finding) {
        Said hand = Said.of(
                "An estimate, for a gas supplier or fitter to check: regulator, hose and fittings must carry {0} "
                        + "at {1}.",
                flow(finding.flowNlMin()).least(), bar(finding.pressureBar()).least());
        List<Instruction> instructions = new ArrayList<>();
        parts(finding).ifPresent(instructions::add);
        if (finding.bottleMinutes().isEmpty()) {
            instructions.add(Instruction.of(
                            "gas",
                            Said.of(
                                    "Plan {0} of " + finding.gas().words() + ", in normal litres.",
                                    flow(finding.flowNlMin()).least()))
                    .byHand(hand));
        } else if (finding.bottlesPerShift().isEmpty()) {
            instructions.add(Instruction.of(
                            "gas", Said.of("Change the bottle: it no longer gives {0}.", bar(finding.pressureBar())))
                    .byHand(hand));
        } else {
            double minutes = finding.bottleMinutes().getAsDouble();
            double perShift = finding.bottlesPerShift().getAsDouble();
            instructions.add(Instruction.of(
                            "gas",
                            Said.of(
                                    "Change the bottle after {0}.",
                                    new Amount(Quantity.MINUTES, Math.floor(minutes), 0)))
                    .byHand(hand));
            if (perShift >= 0.1) {
                instructions.add(Instruction.of(
                        "gas",
                        Said.of(
                                "Eight hours like this take {0} bottles"
                                        + (perShift > 3 ? "; ask the supplier for a bundle or a tank." : "."),
                                Amount.plain(perShift, 1).least())));
            }
        }
        return instructions;
    }

    private static Amount flow(double nlMin) {
        return new Amount(Quantity.FLOW, nlMin, nlMin < 10 ? 1 : 0);
    }

    private static Amount bar(double bar) {
        return new Amount(Quantity.PRESSURE, bar, bar < 1 ? 2 : 1);
    }

    @Override
    public Said keyFigure(GasFinding finding) {
        return Said.of("{0}", flow(finding.flowNlMin()));
    }

    @Override
    public List<Evidence> evidence(GasFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("normal litres", Said.of("{0}", flow(finding.flowNlMin()))),
                new Evidence("mass flow", Said.of("{0} g/s", Amount.plain(finding.massFlowGS(), 2))),
                new Evidence("jet", Said.of(finding.choked() ? "at the speed of sound" : "below the speed of sound")),
                new Evidence("duty", Said.of("{0}", Amount.percent(finding.beamOnPct(), 0)))));
        finding.bottleMinutes()
                .ifPresent(minutes -> evidence.add(
                        new Evidence("a bottle", Said.of("{0}", new Amount(Quantity.MINUTES, minutes, 1)))));
        finding.bottlesPerShift()
                .ifPresent(bottles ->
                        evidence.add(new Evidence("bottles in 8 h", Said.of("{0}", Amount.plain(bottles, 1)))));
        return evidence;
    }

    @Override
    public Said judgedBy(GasFinding finding) {
        return Said.of("nothing, an estimate");
    }

    @Override
    public List<Trait> traits(GasReadings readings, GasFinding finding, Family family) {
        return List.of(
                Trait.word("assist gas", finding.gas().words(), 0.8),
                Trait.amount("nozzle", Said.of("{0}", Amount.mm(finding.nozzleMm(), 1)), finding.nozzleMm(), 0.2, 0.7),
                Trait.amount(
                        "gas pressure",
                        Said.of("{0}", bar(finding.pressureBar())),
                        finding.pressureBar(),
                        0.1 * finding.pressureBar() + 0.02,
                        0.7));
    }
}
