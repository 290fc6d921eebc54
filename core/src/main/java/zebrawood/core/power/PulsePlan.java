package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

/** What power, frequency, pulse length and speed of a pulsed source come to on the work. */
public final class PulsePlan implements Procedure<PulseReadings, PulseFinding> {

    private static final Card CARD = new Card(
            "pulse-plan",
            1,
            "Pulses",
            Card.OnRoute.in(Phase.POWER, 50).forAJob(),
            Set.of(),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE),
            5,
            30,
            new Help(
                    List.of(
                            "Power, frequency and pulse length as they are set; the spot, from a ramp line or the lens."),
                    List.of("Type them with speed and interval, and what the source bears.", "Change one at a time."),
                    "Metal is marked by single pulses: what counts is the energy of one, and how many fall on a place.",
                    List.of(
                            "More energy in a pulse than the source bears can destroy it: its limits stand in its manual.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<PulseReadings> readingsType() {
        return PulseReadings.class;
    }

    @Override
    public Class<PulseFinding> findingType() {
        return PulseFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family().isGalvo();
    }

    @Override
    public Outcome<PulseFinding> evaluate(PulseReadings read) {
        PulseFinding finding = finding(read);
        Optional<Instruction> cannot = cannot(read, finding);
        if (cannot.isPresent()) {
            return new Outcome<>(finding, Verdict.FAIL, List.of(cannot.get()));
        }
        if (!Limits.atMost(finding.spacingMm(), read.spotMm())) {
            return new Outcome<>(finding, Verdict.ADJUST, List.of(dotted(finding)));
        }
        return new Outcome<>(
                finding,
                Verdict.PASS,
                List.of(Instruction.of("pulse", Said.of("Try it on a small piece: the spots overlap."))
                        .byHand(Said.of(
                                "{0} of a spot lies on the next one; {1} pulses fall on a place.",
                                Amount.percent(finding.pulseOverlapPct(), 0),
                                Amount.plain(finding.pulsesPerSpot(), 1)))));
    }

    private static PulseFinding finding(PulseReadings read) {
        double energy = read.averagePowerW() / read.frequencyKHz();
        double spacing = read.speedMmS() / (1000 * read.frequencyKHz());
        double spot = read.spotMm();
        return new PulseFinding(
                energy,
                read.pulseNs().isPresent()
                        ? OptionalDouble.of(1000 * energy / read.pulseNs().getAsDouble())
                        : OptionalDouble.empty(),
                spacing,
                100 * (1 - spacing / spot),
                spot / spacing,
                read.intervalMm().isPresent()
                        ? OptionalDouble.of(100 * (1 - read.intervalMm().getAsDouble() / spot))
                        : OptionalDouble.empty(),
                0.1 * energy / (Math.PI / 4 * spot * spot),
                1000 * spot * read.frequencyKHz(),
                read.speedMmS() / (1000 * spot),
                read.maxPulseEnergyMj().isPresent()
                        ? OptionalDouble.of(
                                read.averagePowerW() / read.maxPulseEnergyMj().getAsDouble())
                        : OptionalDouble.empty(),
                spot,
                new PulseFinding.Tolerances(read.minFrequencyKHz(), read.maxFrequencyKHz(), read.maxPulseEnergyMj()));
    }

    private static Amount kHz(double frequency) {
        return new Amount(Quantity.FREQUENCY, frequency, frequency < 10 ? 2 : 1);
    }

    /** What the source cannot do, with the nearest that it can. */
    private static Optional<Instruction> cannot(PulseReadings read, PulseFinding finding) {
        double frequency = read.frequencyKHz();
        double lowest = Math.max(
                read.minFrequencyKHz().orElse(0), finding.lowestFrequencyKHz().orElse(0));
        double highest = read.maxFrequencyKHz().orElse(Double.POSITIVE_INFINITY);
        if (!Limits.atMost(lowest, highest)) {
            return Optional.of(Instruction.of(
                            "power",
                            Said.of(
                                    "Lower the power to {0} or less: no frequency of this source bears it.",
                                    new Amount(
                                                    Quantity.POWER,
                                                    read.maxPulseEnergyMj().getAsDouble() * highest,
                                                    1)
                                            .most()))
                    .byHand(Said.of(
                            "A pulse would have more energy than the source bears. Type the new power: it is worked"
                                    + " out again.")));
        }
        if (!Limits.atLeast(frequency, lowest)) {
            boolean energy = finding.lowestFrequencyKHz().isPresent()
                    && finding.lowestFrequencyKHz().getAsDouble()
                            > read.minFrequencyKHz().orElse(0);
            return Optional.of(Instruction.of(
                            "frequency",
                            Said.of(
                                    "Raise the frequency to {0} or more.",
                                    kHz(lowest).least()))
                    .byHand(Said.of((energy
                                    ? "Else a pulse has more energy than the source bears."
                                    : "The source goes no lower.")
                            + " Type it: it is worked out again.")));
        }
        return Limits.atMost(frequency, highest)
                ? Optional.empty()
                : Optional.of(Instruction.of(
                                "frequency",
                                Said.of(
                                        "Lower the frequency to {0} or less.",
                                        kHz(highest).most()))
                        .byHand(Said.of("The source goes no higher. Type it: it is worked out again.")));
    }

    private static Instruction dotted(PulseFinding finding) {
        return Instruction.of(
                        "speed",
                        Said.of(
                                "Go slower, {0} or less: the line is dotted.",
                                new Amount(
                                                Quantity.MARKING,
                                                finding.touchingSpeedMmS(),
                                                finding.touchingSpeedMmS() < 10 ? 2 : 0)
                                        .most()))
                .byHand(Said.of(
                        "Or raise the frequency to {0} or more, if the source goes there: then a pulse has less energy. Type"
                                + " it: it is worked out again.",
                        kHz(finding.touchingFrequencyKHz()).least()));
    }

    @Override
    public Said keyFigure(PulseFinding finding) {
        return Said.of("{0}", new Amount(Quantity.ENERGY, finding.pulseEnergyMj(), 3));
    }

    @Override
    public List<Evidence> evidence(PulseFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence(
                "energy of a pulse", Said.of("{0}", new Amount(Quantity.ENERGY, finding.pulseEnergyMj(), 3))));
        finding.peakPowerKW()
                .ifPresent(peak -> evidence.add(
                        new Evidence("power in a pulse", Said.of("{0}", new Amount(Quantity.POWER, 1000 * peak, 0)))));
        evidence.add(new Evidence("spot to spot", Said.of("{0}", Amount.mm(finding.spacingMm(), 4))));
        evidence.add(new Evidence("spots overlap", Said.of("{0}", Amount.percent(finding.pulseOverlapPct(), 0))));
        finding.lineOverlapPct()
                .ifPresent(lines ->
                        evidence.add(new Evidence("lines overlap", Said.of("{0}", Amount.percent(lines, 0)))));
        evidence.add(new Evidence("on the spot", Said.of("{0} J/cm²", Amount.plain(finding.fluenceJCm2(), 1))));
        return evidence;
    }

    @Override
    public Said judgedBy(PulseFinding finding) {
        return Said.of("within what the source bears, and spots that overlap");
    }
}
