package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
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
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Watts without a power meter: how much a block of metal warms up. */
public final class BlockPower implements Procedure<BlockReadings, BlockFinding> {

    private static final int DRAWN = 60;

    private static final Card CARD = new Card(
            "block-power",
            1,
            "Watts by block",
            Card.OnRoute.in(Phase.POWER, 15).firing().asWanted(),
            Set.of(),
            List.of(Hazard.BEAM, Hazard.FIRE, Hazard.FUMES),
            15,
            365,
            new Help(
                    List.of(
                            "A block of metal with a blackened face, weighed; a thermometer in a hole of it; a watch.",
                            "For this wavelength the black must take the beam in, and not burn off."),
                    List.of(
                            "Lay the block where the work lies, out of focus, on something that does not lead heat. Let it rest"
                                    + " until it is as warm as the air.",
                            "Read it at 0 s. Fire for some seconds. Let it even out for half a minute, then read it every 15 s for"
                                    + " some minutes.",
                            "Type seconds and temperature in pairs: 0 21.2; 60 25.4; 75 25.3."),
                    "The block takes the beam in and loses heat to the air. Both are fitted, so that a slow reading tells no"
                            + " less than a quick one.",
                    List.of("Metal throws a beam back: blacken the face, keep covers shut. It is hot afterwards.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<BlockReadings> readingsType() {
        return BlockReadings.class;
    }

    @Override
    public Class<BlockFinding> findingType() {
        return BlockFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<BlockFinding> evaluate(BlockReadings read) {
        Optional<Calorimeter.Watts> watts = Calorimeter.of(read);
        BlockFinding finding = new BlockFinding(
                of(watts, Calorimeter.Watts::powerW),
                of(watts, Calorimeter.Watts::halfWidthW),
                of(watts, Calorimeter.Watts::airC),
                of(watts, Calorimeter.Watts::riseC),
                watts.map(found -> curve(found, read)).orElse(List.of()),
                read.temperatures(),
                read.onS(),
                read.commandPct());
        return watts.isEmpty()
                ? new Outcome<>(
                        finding,
                        Verdict.UNCLEAR,
                        List.of(
                                Instruction.of("block", Said.of("Fire for longer: the block shows no warming."))
                                        .byHand(
                                                Said.of(
                                                        "Let it cool until it is as warm as the air, then begin anew with more seconds."))))
                : new Outcome<>(
                        finding,
                        Verdict.NOTE,
                        List.of(Instruction.of("watts", Said.of("Take it over on the bench Percent to watts."))
                                .byHand(Said.of(
                                        "{0}, known to \u00b1 {1}. More readings after the pulse, or a longer one, tell it better.",
                                        watts(watts.get().powerW()),
                                        watts(watts.get().halfWidthW()).least()))));
    }

    private static OptionalDouble of(Optional<Calorimeter.Watts> watts, ToDoubleFunction<Calorimeter.Watts> part) {
        return watts.isPresent() ? OptionalDouble.of(part.applyAsDouble(watts.get())) : OptionalDouble.empty();
    }

    private static List<BlockReadings.Temperature> curve(Calorimeter.Watts found, BlockReadings read) {
        double from = read.temperatures().stream()
                .mapToDouble(BlockReadings.Temperature::atS)
                .min()
                .orElse(0);
        double to = read.temperatures().stream()
                .mapToDouble(BlockReadings.Temperature::atS)
                .max()
                .orElse(1);
        return IntStream.rangeClosed(0, DRAWN)
                .mapToDouble(i -> from + (to - from) * i / DRAWN)
                .mapToObj(at -> new BlockReadings.Temperature(at, found.celsius(at, read)))
                .toList();
    }

    private static Amount watts(double w) {
        return new Amount(Quantity.POWER, w, w < 10 ? 2 : 1);
    }

    @Override
    public Said keyFigure(BlockFinding finding) {
        return finding.powerW().isPresent()
                ? Said.of("{0}", watts(finding.powerW().getAsDouble()))
                : Said.of("no warming");
    }

    @Override
    public List<Evidence> evidence(BlockFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.powerW().ifPresent(power -> evidence.add(new Evidence("at the block", Said.of("{0}", watts(power)))));
        finding.halfWidthW()
                .ifPresent(half -> evidence.add(new Evidence(
                        "known to", Said.of("\u00b1 {0}", watts(half).least()))));
        finding.riseC()
                .ifPresent(rise -> evidence.add(
                        new Evidence("warmer without loss", Said.of("{0}", Amount.celsiusDifference(rise, 2)))));
        return evidence;
    }

    @Override
    public Said judgedBy(BlockFinding finding) {
        return Said.of("measured, not judged");
    }
}
