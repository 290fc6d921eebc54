package zebrawood.core.mains;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
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
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/**
 * Whether a circuit with one phase carries all that is plugged into it, what is lost along the cable, and what must not
 * be plugged in. A sheet cutter hangs on three phases: its circuit is an electrician's from the beginning.
 */
public final class SiteCircuit implements Procedure<CircuitReadings, CircuitFinding> {

    /** how far supplies differ from what is written on them, where the plate does not say */
    private static final double TOLERANCE_PCT = 10;
    /** of a breaker for what runs for hours: a breaker warms up; the local code decides */
    private static final double FRACTION = 0.8;
    /** along the cable, a usual limit; the local code decides */
    private static final double DROP_PCT = 3;

    /** A: a breaker's rating is a round figure */
    private static final double A_LITTLE = 0.01;
    /** A: design currents that differ by less are the same */
    private static final double SAME = 1e-12;

    private static final Card CARD = new Card(
            "site-circuit",
            1,
            "Circuit",
            Card.OnRoute.in(Phase.PLACE, 30).holdingTheGate(),
            Set.of(Change.MOVED, Change.MAINS_WORK),
            List.of(Hazard.MAINS, Hazard.HIGH_VOLTAGE),
            10,
            1460,
            new Help(
                    List.of(
                            "The plate of each thing on the circuit: watts, volts.",
                            "What is printed on the breaker, and length and section of the cable."),
                    List.of(
                            "Count all sockets of the circuit, not only those in use: somebody plugs in a kettle later.",
                            "A load that runs for hours warms the breaker; type it as such.",
                            "Look at plug and socket: brown edges, a loose hold, a smell mean an electrician first.",
                            "Protective earth of receptacle and machine: measured by a licensed electrician; type "
                                    + "who, and the figure."),
                    "A breaker that trips in the middle of a cut spoils the cut; a cable that is too thin gets "
                            + "warm where nobody"
                            + " looks; and a machine for another voltage does not survive the plug.",
                    List.of("This is arithmetic for a talk with a licensed electrician. The local code decides.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<CircuitReadings> readingsType() {
        return CircuitReadings.class;
    }

    @Override
    public Class<CircuitFinding> findingType() {
        return CircuitFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<CircuitFinding> evaluate(CircuitReadings read) {
        double fraction = read.continuousFraction().orElse(FRACTION);
        double tolerance = read.voltageTolerancePct().orElse(TOLERANCE_PCT);
        double most = read.maxDropPct().orElse(DROP_PCT);
        List<CircuitFinding.Share> shares = read.loads().stream()
                .map(load -> new CircuitFinding.Share(
                        load.name(),
                        load.designA(read.supplyV(), fraction),
                        load.continuous().orElse(true)))
                .toList();
        double current = read.loads().stream()
                .mapToDouble(load -> load.currentA(read.supplyV()))
                .sum();
        double design =
                shares.stream().mapToDouble(CircuitFinding.Share::designA).sum();
        OptionalDouble drop = read.cable().isPresent()
                ? OptionalDouble.of(read.cable().get().dropV(current))
                : OptionalDouble.empty();
        List<String> wrongVoltage = named(read, load -> load.isWrongFor(read.supplyV(), tolerance));
        List<String> wrongFrequency = named(read, load -> load.isWrongFor(read.supplyHz()));
        CircuitFinding finding = new CircuitFinding(
                current,
                design,
                100 * design / read.circuitA(),
                drop,
                drop.isPresent()
                        ? OptionalDouble.of(100 * drop.getAsDouble() / read.supplyV())
                        : OptionalDouble.empty(),
                read.cable().map(cable -> OptionalDouble.of(cable.carries())).orElse(OptionalDouble.empty()),
                read.cable().map(cable -> read.circuitA() <= cable.carries() + A_LITTLE),
                wrongVoltage,
                wrongFrequency,
                shares,
                wrongVoltage.isEmpty() && wrongFrequency.isEmpty()
                        ? move(read, shares, current, design, most)
                        : Optional.empty(),
                unsound(read),
                read.earthTestedBy(),
                read.supplyV(),
                read.circuitA(),
                new CircuitFinding.Tolerances(most, tolerance, fraction));
        boolean passes = !finding.isOverloaded()
                && !finding.dropsTooFar()
                && !finding.isUnprotected()
                && wrongVoltage.isEmpty()
                && wrongFrequency.isEmpty()
                && finding.unsound().isEmpty();
        return new Outcome<>(finding, passes ? Verdict.PASS : Verdict.FAIL, instructions(read, finding, passes));
    }

    private static List<String> named(CircuitReadings read, Predicate<CircuitReadings.Load> which) {
        return read.loads().stream()
                .filter(which)
                .map(CircuitReadings.Load::name)
                .toList();
    }

    private static List<String> unsound(CircuitReadings read) {
        List<String> unsound = new ArrayList<>();
        read.inletSound().filter(sound -> !sound).ifPresent(sound -> unsound.add("inlet"));
        read.receptacleSound().filter(sound -> !sound).ifPresent(sound -> unsound.add("receptacle"));
        return unsound;
    }

    /**
     * Of those loads that do not belong to the machine the one with the smallest design current whose going alone cures
     * breaker and cable.
     */
    private static Optional<String> move(
            CircuitReadings read, List<CircuitFinding.Share> shares, double current, double design, double most) {
        if (carried(read, design, current, most) || shares.size() == 1) {
            return Optional.empty();
        }
        int found = -1;
        for (int i = 0; i < shares.size(); i++) {
            double left = current - read.loads().get(i).currentA(read.supplyV());
            boolean smaller =
                    found < 0 || shares.get(i).designA() < shares.get(found).designA() - SAME;
            if (!read.loads().get(i).isOfMachine()
                    && smaller
                    && carried(read, design - shares.get(i).designA(), left, most)) {
                found = i;
            }
        }
        return found < 0 ? Optional.empty() : Optional.of(shares.get(found).name());
    }

    private static boolean carried(CircuitReadings read, double design, double current, double most) {
        return Limits.atMost(100 * design / read.circuitA(), 100)
                && read.cable()
                        .map(cable -> Limits.atMost(100 * cable.dropV(current) / read.supplyV(), most))
                        .orElse(true);
    }

    private static List<Instruction> instructions(CircuitReadings read, CircuitFinding finding, boolean passes) {
        if (passes) {
            return List.of(Instruction.of("circuit", Said.of("The circuit carries this."))
                    .byHand(Said.of(
                            "Of {0} on the breaker it takes {1}. An estimate, to bring to a licensed electrician; "
                                    + "protective earth is theirs to measure.",
                            amperes(finding.circuitA()), amperes(finding.designCurrentA()))));
        }
        List<Instruction> instructions = new ArrayList<>();
        if (!finding.wrongVoltage().isEmpty()) {
            instructions.add(
                    Instruction.of("plug", Said.of("Do not plug in " + listed(finding.wrongVoltage()) + " here."))
                            .byHand(Said.of(
                                    "It is made for another voltage than {0}. Ask its maker for a supply or a transformer "
                                            + "that fits.",
                                    volts(finding.supplyV()))));
        }
        List<String> wrongHz = finding.wrongFrequency().stream()
                .filter(name -> !finding.wrongVoltage().contains(name))
                .toList();
        if (!wrongHz.isEmpty()) {
            instructions.add(Instruction.of("plug", Said.of("Do not plug in " + listed(wrongHz) + " here."))
                    .byHand(Said.of(
                            "It is made for another frequency than {0} Hz: motors and pumps run wrong and get hot. Ask "
                                    + "its maker.",
                            Amount.plain(read.supplyHz().orElse(0), 0))));
        }
        if (!finding.unsound().isEmpty()) {
            instructions.add(Instruction.of(
                            "plug",
                            Said.of("Leave it unplugged: have a licensed electrician replace the "
                                    + String.join(" and the ", finding.unsound()) + "."))
                    .byHand(Said.of("Brown edges, play and a smell are heat that nobody saw.")));
        }
        if (finding.isUnprotected()) {
            instructions.add(Instruction.of(
                            "circuit",
                            Said.of("Do not use this cable on this breaker: have an electrician change one."))
                    .byHand(Said.of(
                            "The breaker lets {0} through, and the cable carries {1}: it would burn before the breaker "
                                    + "trips. A thicker cable, or a smaller breaker; the local code decides.",
                            amperes(finding.circuitA()),
                            amperes(finding.cableCarriesA().orElse(0)).most())));
        }
        boolean isHeavy = finding.isOverloaded() || finding.dropsTooFar();
        if (isHeavy
                && finding.wrongVoltage().isEmpty()
                && finding.wrongFrequency().isEmpty()) {
            instructions.add(relief(finding));
        } else if (isHeavy) {
            instructions.add(Instruction.of(
                            "circuit", Said.of("Then type the loads again without it: the circuit is too small, too."))
                    .byHand(tooMuch(finding)));
        }
        return instructions;
    }

    private static Said tooMuch(CircuitFinding finding) {
        String why = finding.isOverloaded() && finding.dropsTooFar()
                ? "With the continuous-load allowance the loads need {0} and the cable loses {1}."
                : finding.isOverloaded()
                        ? "With the continuous-load allowance the loads need {0}."
                        : "The cable loses {1}.";
        return new Said(
                why + " An estimate, to bring to a licensed electrician.",
                List.of(
                        amperes(finding.designCurrentA()).least(),
                        Amount.percent(finding.dropPct().orElse(0), 1).least()));
    }

    /** What to take off the circuit, where that is enough; else a circuit of its own. */
    private static Instruction relief(CircuitFinding finding) {
        return finding.move()
                .map(name -> Instruction.of("circuit", Said.of("Move " + Said.quoted(name) + " to another circuit.")))
                .orElseGet(() -> Instruction.of(
                        "circuit",
                        Said.of(
                                finding.shares().size() == 1
                                        ? "Ask an electrician for a circuit that carries it."
                                        : "Ask an electrician for a circuit of its own for the machine: to move one load"
                                                + " is not enough.")))
                .byHand(tooMuch(finding));
    }

    private static String listed(List<String> names) {
        return Said.quoted(String.join(", ", names.stream().distinct().toList()));
    }

    private static Amount amperes(double amperes) {
        return new Amount(Quantity.AMPERE, amperes, 1);
    }

    private static Amount volts(double volts) {
        return new Amount(Quantity.VOLTAGE, volts, 0);
    }

    @Override
    public Said keyFigure(CircuitFinding finding) {
        return Said.of("{0}", Amount.percent(finding.loadPct(), 0));
    }

    @Override
    public List<Evidence> evidence(CircuitFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("all together", Said.of("{0}", amperes(finding.currentA()))),
                new Evidence("with the continuous-load allowance", Said.of("{0}", amperes(finding.designCurrentA()))),
                new Evidence("of the breaker", Said.of("{0}", Amount.percent(finding.loadPct(), 0)))));
        finding.dropV()
                .ifPresent(drop -> evidence.add(new Evidence(
                        "lost in the cable",
                        Said.of(
                                "{0}, {1}",
                                new Amount(Quantity.VOLTAGE, drop, 1),
                                Amount.percent(finding.dropPct().orElseThrow(), 1)))));
        finding.cableCarriesA()
                .ifPresent(carries -> evidence.add(new Evidence(
                        "cable carries", Said.of("{0}", amperes(carries).most()))));
        evidence.add(new Evidence(
                "earth",
                Said.of(finding.earth()
                        .map(who -> "tested, " + Said.quoted(who))
                        .orElse("not on record"))));
        return evidence;
    }

    @Override
    public Said judgedBy(CircuitFinding finding) {
        return Said.of(
                "{0} on the breaker, a drop of {1}, voltages within {2}",
                amperes(finding.circuitA()),
                Amount.percent(finding.tolerances().maxDropPct(), 1),
                Amount.percent(finding.tolerances().voltageTolerancePct(), 0));
    }
}
