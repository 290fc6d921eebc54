package zebrawood.core.coolant;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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

/** How much water and how much glycol, and how much of it before the pump has run. */
public final class CoolantMix implements Procedure<MixReadings, MixFinding> {

    /** For how long one watches for drops, min. */
    public static final int LEAK_MIN = 15;

    /** colder nights than one thinks of, and a jug read not quite right */
    private static final double MARGIN_C = 3;
    /** a thinner mixture feeds growth, and its inhibitors are too weak; the maker decides */
    private static final double LEAST_PCT = 25;

    private static final Card CARD = new Card(
            "coolant-mix",
            1,
            "Filling",
            Card.OnRoute.in(Phase.SERVICES, 30).holdingTheGate(),
            Set.of(Change.COOLANT_WORK, Change.SOURCE_CHANGED, Change.FIRED_DRY),
            List.of(Hazard.WATER_NEAR_MAINS, Hazard.HIGH_VOLTAGE),
            45,
            180,
            new Help(
                    List.of(
                            "Distilled or deionised water, and a jug that shows millilitres.",
                            "Glycol of the kind that the source's maker allows, where the room can freeze."),
                    List.of(
                            "Fill the first part into the reservoir with the source's mains off.",
                            "Run the pump alone: the hoses fill and the level falls.",
                            "Tilt the source a little and tap the hoses until no bubble is left in it.",
                            "Switch off and fill up to the mark. Look for drops after a quarter of an hour."),
                    "A bubble in the tube is a hot place that cracks it; ice does so in one night. Glycol carries "
                            + "less heat and"
                            + " conducts more: use no more than the winter needs.",
                    List.of("Tap water conducts, and algae grow in it; never pour near open high voltage.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<MixReadings> readingsType() {
        return MixReadings.class;
    }

    @Override
    public Class<MixFinding> findingType() {
        return MixFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.presence(Plate.Part.WATER) != Plate.Presence.NONE;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.presence(Plate.Part.WATER) == Plate.Presence.UNKNOWN ? List.of("services.cooling") : List.of();
    }

    @Override
    public Outcome<MixFinding> evaluate(MixReadings read) {
        double margin = read.marginC().orElse(MARGIN_C);
        double needed = read.lowestAmbientC() - margin;
        double least = read.leastGlycolPct().orElse(LEAST_PCT);
        OptionalInt share = share(read.glycol(), needed, least);
        double volume = read.circuitVolumeMl();
        boolean frost = needed < 0 && read.glycol() == Glycol.NONE;
        boolean enough = share.isPresent();
        double glycolMl = volume * share.orElse(0) / 100;
        OptionalDouble first = read.firstMl();
        MixFinding finding = new MixFinding(
                share,
                enough ? OptionalDouble.of(glycolMl) : OptionalDouble.empty(),
                enough ? OptionalDouble.of(volume - glycolMl) : OptionalDouble.empty(),
                enough ? OptionalDouble.of(read.glycol().freezingPointC(share.getAsInt())) : OptionalDouble.empty(),
                first,
                first.isPresent() ? OptionalDouble.of(volume - first.getAsDouble()) : OptionalDouble.empty(),
                read.glycol(),
                volume,
                needed,
                read.water(),
                clear(read.bubbles()),
                clear(read.leak()),
                read.additive()
                        .filter(said -> read.water()
                                .filter(MixReadings.Water.MAKERS::equals)
                                .isEmpty())
                        .map(CoolantMix::otherSchool),
                new MixFinding.Tolerances(margin, OptionalDouble.of(least)));
        List<Instruction> seen = seen(read);
        boolean leaks = read.leak().filter(watched -> !watched.clear()).isPresent();
        // where water comes out nothing is filled and no pump runs
        List<Instruction> instructions = leaks
                ? seen
                : Stream.concat(seen.stream(), instructions(finding, frost).stream())
                        .toList();
        Verdict verdict = frost || !enough || leaks ? Verdict.FAIL : seen.isEmpty() ? Verdict.PASS : Verdict.ADJUST;
        return new Outcome<>(finding, verdict, instructions);
    }

    private static OptionalDouble clear(Optional<MixReadings.Watched> watched) {
        return watched.filter(MixReadings.Watched::clear)
                .map(seen -> OptionalDouble.of(seen.minutes()))
                .orElse(OptionalDouble.empty());
    }

    /** What was seen and is not well: drops first. */
    private static List<Instruction> seen(MixReadings read) {
        List<Instruction> seen = new ArrayList<>();
        read.leak().ifPresent(leak -> {
            if (!leak.clear()) {
                seen.add(Instruction.of("leak", Said.of("Mains off: dry it and make the joint tight."))
                        .byHand(Said.of("Nothing is switched on where water came near it before it is "
                                + "dry, and a licensed person has looked at what got wet.")));
            } else if (leak.minutes() < LEAK_MIN) {
                seen.add(Instruction.of(
                                "leak", Said.of("Watch on for drops: {0} are too short.", minutes(leak.minutes())))
                        .byHand(Said.of("A joint that weeps shows it within {0}.", minutes(LEAK_MIN))));
            }
        });
        read.bubbles()
                .filter(bubbles -> !bubbles.clear())
                .ifPresent(bubbles -> seen.add(Instruction.of(
                                "bubbles", Said.of("Let the pump run on until no bubble is left."))
                        .byHand(Said.of("Tilt the source a little and tap the hoses, mains off the high voltage."))));
        read.water()
                .filter(MixReadings.Water.TAP::equals)
                .ifPresent(tap -> seen.add(Instruction.of(
                                "water", Said.of("Drain the tap water and fill with distilled or deionised water."))
                        .byHand(Said.of("It conducts, leaves lime in the source, and algae grow in it."))));
        return seen;
    }

    private static Amount minutes(double minutes) {
        return new Amount(Quantity.MINUTES, Math.floor(minutes), 0);
    }

    /** What is said for doing it another way. */
    private static String otherSchool(MixReadings.Additive additive) {
        return switch (additive) {
            case PURE ->
                "Others add a drop of surfactant, which lets bubbles go sooner, or a biocide against growth. Both "
                        + "conduct a little: only where the source's maker allows it.";
            case SURFACTANT ->
                "Others keep the water pure and let bubbles go by tilting and waiting: nothing foams, nothing "
                        + "conducts, and it is changed more often.";
            case BIOCIDE ->
                "Others keep the water pure, dark and cool, and change it every few months: what is not added "
                        + "neither conducts nor stains.";
        };
    }

    /** The smallest whole percent that keeps clean and does not freeze there. */
    private static OptionalInt share(Glycol glycol, double neededC, double leastPct) {
        return Limits.atLeast(neededC, 0) || glycol == Glycol.NONE
                ? OptionalInt.of(0)
                : IntStream.rangeClosed((int) Math.ceil(leastPct), glycol.mostPct())
                        .filter(percent -> Limits.atMost(glycol.freezingPointC(percent), neededC))
                        .findFirst();
    }

    /** Which glycols can keep it from freezing. */
    private static List<Glycol> enough(MixFinding finding) {
        return Stream.of(Glycol.ETHYLENE, Glycol.PROPYLENE)
                .filter(glycol -> share(
                                glycol,
                                finding.neededC(),
                                finding.tolerances().leastGlycolPct().orElse(0))
                        .isPresent())
                .toList();
    }

    private static List<Instruction> instructions(MixFinding finding, boolean frost) {
        if (frost) {
            List<Glycol> enough = enough(finding);
            String fill = enough.size() == 2
                    ? "Drain the circuit, heat the room, or fill in glycol."
                    : enough.isEmpty()
                            ? "Drain the circuit or heat the room: no mixture is enough."
                            : "Drain the circuit, heat the room, or fill in "
                                    + enough.get(0).words() + ".";
            return List.of(Instruction.of("water", Said.of(fill))
                    .byHand(Said.of(
                            "Plain water freezes at {0}; it may get as cold as {1} here.",
                            Amount.celsius(0, 0),
                            Amount.celsius(finding.neededC(), 1).most())));
        } else if (finding.glycolPct().isEmpty()) {
            return List.of(Instruction.of(
                            "water", Said.of("Drain the circuit or heat the room: this glycol is not enough."))
                    .byHand(Said.of(
                            "It may get as cold as {0} here, the margin taken off."
                                    + enough(finding).stream()
                                            .findFirst()
                                            .map(glycol -> " With " + glycol.words()
                                                    + " it can be done, where the maker of the source allows it.")
                                            .orElse(" No mixture is enough for that."),
                            Amount.celsius(finding.neededC(), 1).most())));
        }
        List<Instruction> instructions = new ArrayList<>();
        boolean plain = finding.glycolPct().getAsInt() == 0;
        instructions.add(Instruction.of(
                        "water",
                        plain
                                ? Said.of(
                                        "Fill with {0} of water.",
                                        millilitres(finding.waterMl().getAsDouble()))
                                : Said.of(
                                        "Mix {0} of water with {1} of "
                                                + finding.glycol().words() + ".",
                                        millilitres(rest(finding, finding.glycolMl())),
                                        millilitres(finding.glycolMl().getAsDouble())
                                                .least()))
                .byHand(
                        plain
                                ? Said.of("Distilled or deionised; it freezes at {0}.", Amount.celsius(0, 0))
                                : Said.of(
                                        "That is {0} by volume; it freezes at {1}.",
                                        Amount.percent(finding.glycolPct().getAsInt(), 0),
                                        Amount.celsius(finding.freezingPointC().getAsDouble(), 1)
                                                .least())));
        instructions.add(Instruction.of(
                "filling",
                finding.firstFillMl().isPresent()
                        ? Said.of(
                                "Fill in {0}, run the pump alone, the laser switched off, until no bubble comes, "
                                        + "switch the pump off, then top up {1}.",
                                millilitres(finding.firstFillMl().getAsDouble()).most(),
                                millilitres(rest(
                                        finding,
                                        OptionalDouble.of(
                                                Math.floor(finding.firstFillMl().getAsDouble() + 1e-6)))))
                        : Said.of("Fill to the reservoir's mark, run the pump alone, the laser switched off, until no "
                                + "bubble comes, switch the pump off, then fill to the mark again.")));
        return instructions;
    }

    /** What is left of the circuit beside a part that is rounded: the parts add up to the whole. */
    private static double rest(MixFinding finding, OptionalDouble part) {
        return Math.rint(finding.circuitVolumeMl()) - Math.ceil(part.getAsDouble() - 1e-6);
    }

    private static Amount millilitres(double ml) {
        return new Amount(Quantity.MEASURE, ml, 0);
    }

    @Override
    public Said keyFigure(MixFinding finding) {
        return finding.glycolPct().isEmpty()
                ? Said.of("no mixture")
                : finding.glycolPct().getAsInt() == 0
                        ? Said.of("plain water")
                        : Said.of(
                                "glycol {0}", Amount.percent(finding.glycolPct().getAsInt(), 0));
    }

    @Override
    public List<Evidence> evidence(MixFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("circuit", Said.of("{0}", millilitres(finding.circuitVolumeMl()))),
                new Evidence("must not freeze at", Said.of("{0}", Amount.celsius(finding.neededC(), 1)))));
        finding.freezingPointC()
                .ifPresent(freezes ->
                        evidence.add(new Evidence("freezes at", Said.of("{0}", Amount.celsius(freezes, 1)))));
        finding.glycolMl().ifPresent(ml -> evidence.add(new Evidence("glycol", Said.of("{0}", millilitres(ml)))));
        finding.waterMl().ifPresent(ml -> evidence.add(new Evidence("water", Said.of("{0}", millilitres(ml)))));
        finding.firstFillMl().ifPresent(ml -> evidence.add(new Evidence("first", Said.of("{0}", millilitres(ml)))));
        finding.water()
                .ifPresent(water -> evidence.add(new Evidence(
                        "which water",
                        Said.of(
                                water == MixReadings.Water.MAKERS
                                        ? "the maker's"
                                        : water.name().toLowerCase(Locale.ROOT)))));
        finding.bubblesMin()
                .ifPresent(min -> evidence.add(new Evidence("no bubble", Said.of("after {0}", minutes(min)))));
        finding.leakMin().ifPresent(min -> evidence.add(new Evidence("no drop", Said.of("in {0}", minutes(min)))));
        finding.topUpMl()
                .ifPresent(ml -> evidence.add(new Evidence("after the pump has run", Said.of("{0}", millilitres(ml)))));
        return evidence;
    }

    @Override
    public Said judgedBy(MixFinding finding) {
        return Said.of("no ice down to {0}", Amount.celsius(finding.neededC(), 1));
    }
}
