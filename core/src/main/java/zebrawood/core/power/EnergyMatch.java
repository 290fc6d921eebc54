package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
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

/** Keeps the energy on an area when power, speed, interval or passes change. */
public final class EnergyMatch implements Procedure<EnergyReadings, EnergyFinding> {

    /** beyond it heat runs away otherwise, and the result is another one */
    private static final double LINE_FACTOR = 2;
    /** metal marks by pulse */
    private static final double PULSE_FACTOR = 1.5;

    private static final Card CARD = new Card(
            "energy-match",
            1,
            "Same energy",
            Card.OnRoute.in(Phase.POWER, 40).forAJob(),
            Set.of(),
            List.of(Hazard.BEAM, Hazard.FIRE, Hazard.FUMES),
            5,
            30,
            new Help(
                    List.of("Settings that came out well, in watts at the work, not in percent."),
                    List.of(
                            "Type them, and two of what they are to become: the third follows.",
                            "Try the new ones on a small piece first."),
                    "What counts first is the energy on the area: power over speed and interval.",
                    List.of(
                            "Equal energy is not equal heat: beyond a factor of two along a line, begin anew with tests.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<EnergyReadings> readingsType() {
        return EnergyReadings.class;
    }

    @Override
    public Class<EnergyFinding> findingType() {
        return EnergyFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<EnergyFinding> evaluate(EnergyReadings read) {
        EnergyReadings.From from = read.from();
        EnergyReadings.To to = read.to();
        double line = from.powerW() / from.speedMmS();
        double energy = line * from.passes().orElse(1) / from.intervalMm();
        int passes = to.passes().orElse(1);
        double power = to.powerW()
                .orElseGet(() ->
                        energy * to.speedMmS().orElseThrow() * to.intervalMm().orElseThrow() / passes);
        double speed = to.speedMmS()
                .orElseGet(() -> power * passes / (energy * to.intervalMm().orElseThrow()));
        double interval = to.intervalMm().orElseGet(() -> power * passes / (energy * speed));
        OptionalDouble pulse = from.frequencyKHz().isPresent()
                ? OptionalDouble.of(power
                        / to.frequencyKHz().getAsDouble()
                        / (from.powerW() / from.frequencyKHz().getAsDouble()))
                : OptionalDouble.empty();
        EnergyFinding finding = new EnergyFinding(
                energy,
                line,
                new EnergyFinding.Settings(power, speed, interval, passes),
                power / speed,
                pulse,
                from.pulseNs().isPresent()
                        ? OptionalDouble.of(
                                to.pulseNs().getAsDouble() / from.pulseNs().getAsDouble())
                        : OptionalDouble.empty(),
                new EnergyFinding.Tolerances(LINE_FACTOR, PULSE_FACTOR));
        return new Outcome<>(finding, Verdict.NOTE, said(finding));
    }

    private static boolean beyond(double ratio, double factor) {
        return !Limits.atMost(Math.max(ratio, 1 / ratio), factor);
    }

    private static Amount marking(double mmS) {
        return new Amount(Quantity.MARKING, mmS, mmS < 10 ? 2 : 1);
    }

    private static Amount watts(double w) {
        return new Amount(Quantity.POWER, w, w < 10 ? 2 : 1);
    }

    private static List<Instruction> said(EnergyFinding finding) {
        List<Instruction> said = new ArrayList<>();
        double ratio = finding.lineEnergyToJMm() / finding.lineEnergyJMm();
        if (beyond(ratio, LINE_FACTOR)) {
            said.add(
                    Instruction.of("line", Said.of("Do not trust it: test anew, the heat along a line is another one."))
                            .byHand(Said.of(
                                    "Along a line there is {0} times the energy of before. Beyond twice or half of it the same energy"
                                            + " is not the same result.",
                                    Amount.plain(ratio, 2))));
        }
        finding.pulseEnergyRatio().ifPresent(pulse -> {
            if (beyond(pulse, PULSE_FACTOR)) {
                said.add(Instruction.of(
                                "pulse",
                                Said.of("Test anew: a pulse has {0} times the energy.", Amount.plain(pulse, 2)))
                        .byHand(Said.of("Metal marks by the pulse, not by the mean power. Keep the pulse length.")));
            }
        });
        finding.pulseLengthRatio().ifPresent(length -> {
            if (beyond(length, 1)) {
                said.add(Instruction.of(
                                "pulse", Said.of("Test anew: a pulse is {0} times as long.", Amount.plain(length, 2)))
                        .byHand(Said.of("Another pulse length is another mark, whatever the energy.")));
            }
        });
        EnergyFinding.Settings to = finding.to();
        said.add(Instruction.of(
                        "settings",
                        Said.of(
                                "Try {0} at {1}, lines every {2}.",
                                watts(to.powerW()), marking(to.speedMmS()), Amount.mm(to.intervalMm(), 3)))
                .byHand(Said.of(
                        "Passes: {0}. The same {1} J on each mm². A small piece first.",
                        Amount.plain(to.passes(), 0), Amount.plain(finding.energyJMm2(), 3))));
        return said;
    }

    @Override
    public Said keyFigure(EnergyFinding finding) {
        return Said.of("{0} J/mm²", Amount.plain(finding.energyJMm2(), 2));
    }

    @Override
    public List<Evidence> evidence(EnergyFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        EnergyFinding.Settings to = finding.to();
        evidence.add(new Evidence("on the area", Said.of("{0} J/mm²", Amount.plain(finding.energyJMm2(), 3))));
        evidence.add(new Evidence("power", Said.of("{0}", watts(to.powerW()))));
        evidence.add(new Evidence("speed", Said.of("{0}", marking(to.speedMmS()))));
        evidence.add(new Evidence("interval", Said.of("{0}", Amount.mm(to.intervalMm(), 3))));
        evidence.add(new Evidence("passes", Said.of("{0}", Amount.plain(to.passes(), 0))));
        evidence.add(new Evidence(
                "along a line",
                Said.of("{0} times", Amount.plain(finding.lineEnergyToJMm() / finding.lineEnergyJMm(), 2))));
        return evidence;
    }

    @Override
    public Said judgedBy(EnergyFinding finding) {
        return Said.of("the same energy on the area");
    }
}
