package zebrawood.core.evenness;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.evenness.NineFinding.Axis;
import zebrawood.core.evenness.NineFinding.Gap;
import zebrawood.core.evenness.NineFinding.Likeliest;
import zebrawood.core.evenness.NineFinding.Next;
import zebrawood.core.evenness.NineFinding.Pattern;
import zebrawood.core.evenness.NineFinding.Scatter;
import zebrawood.core.evenness.NineReadings.Kind;
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

/** Tells from one test piece burned all over the bed what comes out differently, and what most likely makes it so. */
public final class BedNine implements Procedure<NineReadings, NineFinding> {

    /** share of the weights from which one acts on a pattern */
    private static final double SURE_PCT = 80;
    /** share of the mean width that does no harm */
    private static final double WIDTH_SHARE = 0.1;

    private static final Card CARD = new Card(
            "bed-nine",
            1,
            "Nine places",
            Card.OnRoute.in(Phase.FOCUS, 70).firing().asWanted(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.LENS_CHANGED, Change.KNOCKED),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE),
            25,
            180,
            new Help(
                    List.of("One sheet of even stock over the whole bed, flat and from one batch."),
                    List.of(
                            "Burn one small test piece at nine places in one go: same power, speed and height.",
                            "Read each: the width of its line, a score from 0 to 10, or the passes until it was through.",
                            "Read the gap at each place too, where you can: then the height is told from the beam."),
                    "What goes wrong over the bed has a shape: a bed out of level slopes, mirrors get worse along the beam, "
                            + "a worn middle is a bowl, dirt is one place. What is the same everywhere is not seen here.",
                    List.of("Stay with it from the first piece to the last.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<NineReadings> readingsType() {
        return NineReadings.class;
    }

    @Override
    public Class<NineFinding> findingType() {
        return NineFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.bed().isPresent() ? List.of() : List.of("bed.xMm", "bed.yMm");
    }

    @Override
    public Outcome<NineFinding> evaluate(NineReadings read) {
        NineWorking working = new NineWorking(read);
        double tolerance =
                read.tolerance().orElseGet(() -> read.quantity() == Kind.WIDTH ? WIDTH_SHARE * working.meanValue() : 1);
        Optional<Gap> gap = working.gap();
        Optional<Scatter> scatter = working.scatter();
        Likeliest likeliest = working.named(gap, scatter);
        NineFinding plain = new NineFinding(
                likeliest,
                working.surePct(),
                working.runnerUp(),
                working.found(),
                gap,
                scatter,
                working.spread(),
                working.noise(),
                working.places(),
                working.worst(),
                working.passesEnough(likeliest),
                OptionalInt.empty(),
                Optional.empty(),
                new NineFinding.Tolerances(tolerance, working.valueError(), read.quantity()));
        if (Limits.atMost(plain.spread(), tolerance)) {
            return new Outcome<>(plain, Verdict.PASS, List.of(even(plain)));
        }
        if (gap.map(Gap::seen).orElse(false) && !Limits.atMost(gap.get().spread(), tolerance)) {
            return ended(plain, Verdict.ADJUST, Next.BED_LEVEL, OptionalInt.empty());
        }
        Optional<Pattern> pattern = plain.pattern();
        if (pattern.isPresent() && !Limits.atMost(pattern.get().spread(), tolerance)) {
            boolean sure = plain.surePct().getAsDouble() >= SURE_PCT;
            return ended(
                    plain,
                    sure ? Verdict.ADJUST : Verdict.UNCLEAR,
                    sure ? next(likeliest, read) : whenUnsure(plain, read),
                    OptionalInt.empty());
        }
        return ended(
                plain,
                Verdict.UNCLEAR,
                Next.REPEAT,
                likeliest == Likeliest.EVEN ? OptionalInt.of(working.repeatsNeeded(tolerance)) : OptionalInt.empty());
    }

    private static Next next(Likeliest likeliest, NineReadings read) {
        if (likeliest == Likeliest.ODD_PLACE) {
            return Next.REPEAT_PLACE;
        } else if (!read.hasGaps()) {
            return Next.BED_LEVEL;
        }
        return read.sourceCorner().isPresent() ? Next.HEAD_CORNERS : Next.TURN_STOCK;
    }

    private static Next whenUnsure(NineFinding finding, NineReadings read) {
        boolean odd = finding.likeliest() == Likeliest.ODD_PLACE
                || finding.runnerUp().filter(Likeliest.ODD_PLACE::equals).isPresent();
        return odd ? Next.REPEAT_PLACE : read.hasGaps() ? Next.MORE_PLACES : Next.BED_LEVEL;
    }

    private static Outcome<NineFinding> ended(NineFinding plain, Verdict verdict, Next next, OptionalInt repeats) {
        NineFinding finding = new NineFinding(
                plain.likeliest(),
                plain.surePct(),
                plain.runnerUp(),
                plain.patterns(),
                plain.gap(),
                plain.scatter(),
                plain.spread(),
                plain.noise(),
                plain.places(),
                plain.worst(),
                plain.passesEnough(),
                repeats,
                Optional.of(next),
                plain.tolerances());
        return new Outcome<>(finding, verdict, List.of(act(finding, next)));
    }

    private static Instruction even(NineFinding finding) {
        Said hand = finding.passesEnough().isPresent()
                ? Said.of(
                        "Use {0} passes: enough at every place.",
                        Amount.plain(finding.passesEnough().getAsInt(), 0))
                : Said.of("What is the same everywhere, as a dirty lens, is not seen here.");
        return Instruction.of("bed", Said.of("Leave it as it is: it comes out alike all over the bed."))
                .byHand(hand);
    }

    private static Instruction act(NineFinding finding, Next next) {
        String worst = Said.quoted(finding.worst().name());
        String what = switch (next) {
            case BED_LEVEL ->
                finding.likeliest() == Likeliest.GAP
                                || finding.gap().map(Gap::seen).orElse(false)
                        ? "Level the bed, or set the focus again: the gaps explain it. Then burn all again."
                        : "Read the bed level next, with the gap at each place. Then burn all again.";
            case REPEAT_PLACE ->
                "Clean and look at " + Said.quoted(odd(finding)) + ", then burn it and its neighbours again.";
            case HEAD_CORNERS -> "Shoot the corners next: it is not the height. Then burn all again.";
            case TURN_STOCK -> "Turn the stock by half a turn, then burn all again.";
            case MORE_PLACES -> "Burn again at more places: two causes look alike here.";
            case REPEAT ->
                finding.repeatsNeeded().isPresent()
                        ? "Burn each place again, {0} times or more."
                        : "Look for what is not steady, then burn all again.";
        };
        Said action = finding.repeatsNeeded().isPresent()
                ? Said.of(what, Amount.plain(finding.repeatsNeeded().getAsInt(), 0))
                : Said.of(what);
        List<Amount> amounts = new ArrayList<>();
        String hand = because(finding, next) + " Worst is " + worst + ".";
        if (finding.passesEnough().isPresent()) {
            amounts.add(Amount.plain(finding.passesEnough().getAsInt(), 0));
            hand += " Until then use {0} passes everywhere.";
        }
        return Instruction.of("bed", action).byHand(new Said(hand, amounts));
    }

    private static String odd(NineFinding finding) {
        return finding.patterns().stream()
                .flatMap(pattern -> pattern.place().stream())
                .findFirst()
                .orElse(finding.worst().name());
    }

    private static String because(NineFinding finding, Next next) {
        String seen = switch (finding.likeliest()) {
            case SLOPE -> "It changes evenly " + along(finding) + ": bed or head may be out of level.";
            case PATH -> "It gets worse the longer the beam's way is: mirrors, or a beam that widens.";
            case BOWL -> "The middle differs from the edges: a worn middle, or a tilt with the height set there.";
            case ODD_PLACE -> "One place differs from all others: dirt, or the stock.";
            case GAP -> "It follows the gap from place to place.";
            case SCATTER -> "Places differ, and no pattern is in it: water, supply, belts or stock may not be steady.";
            case EVEN -> "The values are too rough to say.";
        };
        boolean unsure = finding.surePct().isPresent() && finding.surePct().getAsDouble() < SURE_PCT;
        if (unsure && finding.runnerUp().isPresent()) {
            seen += " It is not sure: " + second(finding.runnerUp().get()) + " would look much alike.";
        }
        return next == Next.TURN_STOCK ? seen + " What turns with the stock is the stock's." : seen;
    }

    private static String along(NineFinding finding) {
        Axis axis = finding.pattern().flatMap(Pattern::axis).orElse(Axis.BOTH);
        return axis == Axis.BOTH ? "from one side to the other" : "along " + (axis == Axis.x ? "X" : "Y");
    }

    private static String second(Likeliest runnerUp) {
        return switch (runnerUp) {
            case SLOPE -> "a bed out of level";
            case PATH -> "mirrors";
            case BOWL -> "a worn middle";
            default -> "one odd place";
        };
    }

    @Override
    public Said keyFigure(NineFinding finding) {
        return Said.of(
                switch (finding.likeliest()) {
                    case SLOPE -> "slopes";
                    case PATH -> "worse along the beam";
                    case BOWL -> "middle differs";
                    case ODD_PLACE -> "one odd place";
                    case GAP -> "follows the gap";
                    case SCATTER -> "scatters";
                    case EVEN -> "even";
                });
    }

    private static Amount value(NineFinding finding, double value) {
        return finding.tolerances().quantity() == Kind.WIDTH
                ? Amount.mm(value, 3)
                : new Amount(Quantity.PLAIN, value, 1);
    }

    @Override
    public List<Evidence> evidence(NineFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("differs by", Said.of("{0}", value(finding, finding.spread()))));
        evidence.add(new Evidence(
                "worst",
                Said.of(
                        Said.quoted(finding.worst().name()) + ", {0}",
                        value(finding, finding.worst().value()))));
        finding.surePct()
                .ifPresent(sure -> evidence.add(new Evidence("sure to", Said.of("{0}", Amount.percent(sure, 0)))));
        finding.runnerUp()
                .filter(second -> finding.surePct().isPresent())
                .ifPresent(second -> evidence.add(new Evidence("else", Said.of(second(second)))));
        evidence.add(new Evidence("noise of a place", Said.of("{0}", value(finding, finding.noise()))));
        finding.passesEnough()
                .ifPresent(passes ->
                        evidence.add(new Evidence("passes to use", Said.of("{0}", Amount.plain(passes, 0)))));
        return evidence;
    }

    @Override
    public Said judgedBy(NineFinding finding) {
        return Said.of(
                "values at most {0} apart",
                value(finding, finding.tolerances().tolerance()).most());
    }
}
