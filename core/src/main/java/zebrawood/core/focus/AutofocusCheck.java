package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.focus.AutofocusReadings.Kind;
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

/** Says whether a machine's own autofocus may be trusted, on which stock, and with what correction. */
public final class AutofocusCheck implements Procedure<AutofocusReadings, AutofocusFinding> {

    /** refractive index of the densest stock that an autofocus sees through: the underside seems no nearer than that */
    private static final double THROUGH = 1.6;

    private static final Card CARD = new Card(
            "autofocus-check",
            1,
            "Autofocus",
            Card.OnRoute.in(Phase.FOCUS, 60).asWanted(),
            Set.of(Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.KNOCKED, Change.PART_FITTED, Change.MOVED),
            List.of(Hazard.MOVING_AXES, Hazard.BEAM),
            20,
            180,
            new Help(
                    List.of(
                            "Light, dark, clear and uneven stock, as it is used here; the thickness of the clear one.",
                            "A gauge for the gap, or the height scale; the best gap by a ramp or a ladder."),
                    List.of(
                            "One lens at a time. Each try is a whole one: drive away, autofocus, read the gap.",
                            "Five tries on each stock, three or more on uneven stock at different places.",
                            "Type what each try came to, in one line: 7.02 7.05 6.98."),
                    "An autofocus that comes to the same gap each time can be corrected; one that scatters cannot. Some look "
                            + "through clear stock at the bed, some do not see dark stock.",
                    List.of("Pin, probe and gauge out of the way before anything moves or fires.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<AutofocusReadings> readingsType() {
        return AutofocusReadings.class;
    }

    @Override
    public Class<AutofocusFinding> findingType() {
        return AutofocusFinding.class;
    }

    /** A sheet cutter's head keeps its standoff by itself while it cuts. */
    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<AutofocusFinding> evaluate(AutofocusReadings read) {
        Tries tries = new Tries(read);
        if (tries.degrees() == 0) {
            return new Outcome<>(
                    AutofocusWorking.untold(read, tries),
                    Verdict.UNCLEAR,
                    List.of(first(
                                    read.kind(),
                                    "try",
                                    Said.of("Try it several times on one even stock: five whole tries."))
                            .byHand(Said.of(
                                    "One try on each stock does not tell how well it comes back to a gap. More may "
                                            + "be needed then."))));
        }
        AutofocusFinding finding = AutofocusWorking.finding(read, tries, THROUGH);
        double half = read.depthOfFocusMm() / 2;
        if (!Limits.atMost(1.96 * tries.repeatabilityLow(), half)) {
            return new Outcome<>(finding, Verdict.FAIL, List.of(scatters(read, finding)));
        }
        boolean sure = tries.pooled().stream()
                .allMatch(i ->
                        Limits.atMost(tries.offsetHalf(i), finding.tolerances().toleranceMm()));
        if (!Limits.atMost(1.96 * tries.repeatability(), half) || !sure) {
            return new Outcome<>(finding, Verdict.UNCLEAR, List.of(more(read, finding)));
        }
        List<AutofocusFinding.Stock> barred = finding.stocks().stream()
                .filter(AutofocusFinding.Stock::isBarred)
                .toList();
        if (2 * barred.size() > finding.stocks().size()) {
            return new Outcome<>(finding, Verdict.FAIL, List.of(byGauge(read, finding)));
        }
        List<Instruction> said = new ArrayList<>();
        double correction = finding.correctionMm().orElse(0);
        boolean correct =
                !Limits.atMost(Math.abs(correction), finding.tolerances().toleranceMm());
        if (correct) {
            said.add(first(
                            read.kind(),
                            "autofocus",
                            Said.of(
                                    "Make the gap that it comes to " + (correction > 0 ? "larger" : "smaller")
                                            + " by {0}.",
                                    Amount.mm(Math.abs(correction), 2)))
                    .byHand(Said.of("Enter that as its correction. A larger gap is farther away from the work."))
                    .expecting(Said.of("Then a few tries again.")));
        }
        barred.forEach(stock -> said.add(bar(read, stock, half, said.isEmpty())));
        if (!said.isEmpty()) {
            return new Outcome<>(finding, Verdict.ADJUST, said);
        }
        said.add(first(read.kind(), "autofocus", Said.of("Trust the autofocus on these stocks, with this lens.")));
        if (finding.stocksDiffer().orElse(false)) {
            said.add(Instruction.of(
                    "autofocus", Said.of("It comes to different gaps on these stocks, all of them in focus.")));
        }
        return new Outcome<>(finding, Verdict.PASS, said);
    }

    /** What is said first, every time. */
    private static Instruction first(Kind kind, String target, Said what) {
        String clear = switch (kind) {
            case PIN -> "Pin and gauge out of the way first. ";
            case PROBE -> "Probe and gauge out of the way first. ";
            case SENSOR -> "Gauge out of the way first. ";
        };
        return Instruction.of(target, new Said(clear + what.words(), what.amounts()));
    }

    private static Instruction scatters(AutofocusReadings read, AutofocusFinding finding) {
        String part = switch (read.kind()) {
            case PIN -> "the pin: clean it and see that it moves freely";
            case PROBE -> "the probe: clean it and see that it moves freely";
            case SENSOR -> "the window of the sensor: clean it and see that nothing is in its way";
        };
        return first(read.kind(), "autofocus", Said.of("Focus by gauge: the autofocus scatters too much."))
                .byHand(Said.of(
                        "It scatters by {0}; no correction helps. Source off at the key, then look at " + part
                                + ". Then try it again.",
                        Amount.mm(finding.repeatabilityMm().getAsDouble(), 2)));
    }

    private static Instruction more(AutofocusReadings read, AutofocusFinding finding) {
        OptionalInt needed = finding.triesNeeded();
        int most = finding.stocks().stream()
                .mapToInt(AutofocusFinding.Stock::tries)
                .max()
                .orElse(0);
        Said what = needed.isPresent()
                ? Said.of(
                        "Try it {0} times or more on each stock: it is not certain yet.",
                        Amount.plain(Math.max(needed.getAsInt(), most + 1), 0))
                : Said.of("Find the best gap more surely, by a ramp or a ladder: then try it again.");
        return first(read.kind(), "try", what)
                .byHand(Said.of(
                        "An offset is to be known to {0}. Every try is a whole one: drive away, autofocus, read the gap. "
                                + "More may be needed then.",
                        Amount.mm(finding.tolerances().toleranceMm(), 2)));
    }

    private static Instruction byGauge(AutofocusReadings read, AutofocusFinding finding) {
        String names = String.join(
                ", ",
                finding.stocks().stream()
                        .filter(AutofocusFinding.Stock::isBarred)
                        .map(stock -> Said.quoted(stock.name()))
                        .toList());
        return first(read.kind(), "autofocus", Said.of("Focus by gauge: the autofocus is right on too few stocks."))
                .byHand(Said.of("Wrong on " + names + "."));
    }

    private static Instruction bar(AutofocusReadings read, AutofocusFinding.Stock stock, double half, boolean leads) {
        String name = Said.quoted(stock.name());
        double left = stock.leftMm().orElse(0);
        boolean off = !Limits.atMost(Math.abs(left), half);
        String why = stock.seesThrough().orElse(false)
                ? "It looks through it: what it measures lies {0} deeper."
                : off
                        ? "It comes to a gap that is {0} too " + (left > 0 ? "large" : "small") + "."
                        : "It scatters there by {0}.";
        double figure = off ? Math.abs(left) : stock.sdMm().orElse(0);
        Said what = Said.of("Focus " + name + " by gauge, not by the autofocus.");
        return (leads ? first(read.kind(), "autofocus", what) : Instruction.of("autofocus", what))
                .byHand(Said.of(why, Amount.mm(figure, 2)))
                .expecting(Said.of("Autofocus on that stock stays barred; take it off this sheet, or try again."));
    }

    @Override
    public Said keyFigure(AutofocusFinding finding) {
        return finding.correctionMm().isPresent()
                ? Said.of(
                        finding.correctionMm().getAsDouble() < 0 ? "{0}" : "+{0}",
                        Amount.mm(finding.correctionMm().getAsDouble(), 2))
                : Said.of("not known yet");
    }

    @Override
    public List<Evidence> evidence(AutofocusFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.repeatabilityMm()
                .ifPresent(repeat ->
                        evidence.add(new Evidence("comes back to", Said.of("± {0}", Amount.mm(1.96 * repeat, 2)))));
        finding.correctionMm()
                .ifPresent(correction -> evidence.add(new Evidence(
                        "correction",
                        Said.of(
                                "{0#} ± {1}",
                                Amount.mm(correction, 2),
                                Amount.mm(finding.correctionHighMm().getAsDouble() - correction, 2)))));
        for (AutofocusFinding.Stock stock : finding.stocks()) {
            OptionalDouble half = stock.offsetHighMm().isPresent()
                    ? OptionalDouble.of(stock.offsetHighMm().getAsDouble() - stock.offsetMm())
                    : OptionalDouble.empty();
            evidence.add(new Evidence(
                    stock.name(),
                    half.isPresent()
                            ? Said.of("{0#} ± {1}", Amount.mm(stock.offsetMm(), 2), Amount.mm(half.getAsDouble(), 2))
                            : Said.of("{0}", Amount.mm(stock.offsetMm(), 2))));
        }
        return evidence;
    }

    @Override
    public Said judgedBy(AutofocusFinding finding) {
        return Said.of(
                "offset and correction within {0}",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
