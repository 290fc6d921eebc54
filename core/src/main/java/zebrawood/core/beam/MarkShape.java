package zebrawood.core.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
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
import zebrawood.core.units.Said;

/** Judges a mark on a card by its outline: what is in the beam's way shows there. */
public final class MarkShape implements Procedure<ShapeReadings, ShapeFinding> {

    private static final Card CARD = new Card(
            "mark-shape",
            1,
            "Marks",
            Card.OnRoute.in(Phase.BEAM, 10).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED),
            List.of(Hazard.BEAM, Hazard.FIRE),
            5,
            180,
            new Help(
                    List.of(
                            "A card square to the beam, taped flat.",
                            "A loupe or a calliper; the lowest power that marks, one short pulse."),
                    List.of(
                            "Measure the longest diameter and the one across it.",
                            "Look at the edge: smooth, a crescent, a flat side, more than one spot.",
                            "Shoot near the source first, then after each mirror: where the shape changes, there it is."),
                    "A round beam leaves a round mark. A crescent or a flat side means that something cuts the beam off "
                            + "before the card; an ellipse means a card that leans, or a tube that does not fire in one "
                            + "round mode.",
                    List.of("Paper burns on after the pulse: short pulses, an extinguisher in reach.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ShapeReadings> readingsType() {
        return ShapeReadings.class;
    }

    @Override
    public Class<ShapeFinding> findingType() {
        return ShapeFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<ShapeFinding> evaluate(ShapeReadings read) {
        double equivalent = Math.sqrt(read.majorMm()) * Math.sqrt(read.minorMm());
        double tolerance = read.roundnessTolerance().orElse(ShapeReadings.ROUNDNESS_TOLERANCE);
        ShapeFinding finding = new ShapeFinding(
                1 - read.minorMm() / read.majorMm(),
                equivalent,
                read.expectedMm().isPresent()
                        ? OptionalDouble.of(equivalent / read.expectedMm().getAsDouble())
                        : OptionalDouble.empty(),
                read.majorMm(),
                read.minorMm(),
                read.angleDeg().orElse(0),
                read.expectedMm(),
                read.outline(),
                read.place(),
                new ShapeFinding.Tolerances(tolerance));
        boolean whole = read.outline().orElse(ShapeReadings.Outline.SMOOTH) == ShapeReadings.Outline.SMOOTH;
        return whole && Limits.atMost(finding.ellipticity(), tolerance)
                ? new Outcome<>(
                        finding,
                        Verdict.PASS,
                        List.of(Instruction.of("mark", Said.of("The mark is round. Go on with the mirrors."))))
                : new Outcome<>(finding, Verdict.ADJUST, instructions(finding));
    }

    private static List<Instruction> instructions(ShapeFinding finding) {
        Instruction cut = Instruction.of("way", Said.of("Look for what cuts the beam off before this card."))
                .byHand(Said.of(
                        "Power off. Likely: an opening, a cover, the edge of a mirror. Shoot a card before each of "
                                + "them, from the source on: the first mark that is not round has it just before it."));
        Instruction leans = Instruction.of("card", Said.of("Set the card square to the beam and shoot again."))
                .byHand(Said.of("A card that leans draws the mark out. Still drawn out: shoot close to the source."));
        Instruction source = Instruction.of(
                        "source", Said.of("Shoot close to the source: is the mark drawn out there too?"))
                .byHand(
                        Said.of(
                                "Then it is likely the source: a tube that is old, too warm or run too low fires in more than "
                                        + "one spot. Its maker says what is usual. High voltage: behind covers, a licensed person's work."));
        if (finding.outline().isEmpty()) {
            Instruction edge = Instruction.of("mark", Said.of("Look at the edge of the mark and pick what it is like."))
                    .byHand(Said.of(
                            "A crescent or a flat side means that something is in the way; a smooth edge does not."));
            return List.of(edge, leans);
        }
        return switch (finding.outline().get()) {
            case CRESCENT, FLAT_SIDE -> List.of(cut);
            case SPLIT -> List.of(source);
            case SMOOTH -> List.of(leans, source);
        };
    }

    @Override
    public Said keyFigure(ShapeFinding finding) {
        return Said.of("{0} out of round", percent(finding.ellipticity()));
    }

    private static Amount percent(double share) {
        return Amount.percent(100 * share, 0);
    }

    @Override
    public List<Evidence> evidence(ShapeFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("out of round", Said.of("{0}", Amount.percent(100 * finding.ellipticity(), 1))),
                new Evidence("as a circle", Said.of("{0}", Amount.mm(finding.equivalentMm(), 2)))));
        finding.growth()
                .ifPresent(
                        growth -> evidence.add(new Evidence("of what was expected", Said.of("{0}", percent(growth)))));
        finding.outline().ifPresent(outline -> evidence.add(new Evidence("edge", Said.of(outline.words()))));
        finding.place().ifPresent(place -> evidence.add(new Evidence("shot at", Said.verbatim(place))));
        return evidence;
    }

    @Override
    public Said judgedBy(ShapeFinding finding) {
        return Said.of(
                "at most {0} out of round, edge smooth",
                Amount.percent(100 * finding.tolerances().roundnessTolerance(), 1)
                        .most());
    }
}
