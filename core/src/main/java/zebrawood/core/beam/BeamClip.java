package zebrawood.core.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
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

/** Reckons how much of the beam an opening on its way takes away. */
public final class BeamClip implements Procedure<ClipReadings, ClipFinding> {

    /** points of a drawn curve */
    private static final int STEPS = 32;

    private static final Card CARD = new Card(
            "beam-clip",
            1,
            "Openings",
            Card.OnRoute.in(Phase.BEAM, 50).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED, Change.PART_FITTED),
            List.of(Hazard.BEAM, Hazard.FIRE),
            10,
            365,
            new Help(
                    List.of(
                            "The opening, measured with a calliper: nozzle, tube of the head, window, cover.",
                            "The beam there: the mark's diameter on a card, or what the maker states as 1/e²."),
                    List.of(
                            "Tape a card over the opening, one short pulse at the lowest power that marks.",
                            "Read how far the mark's middle sits beside the opening's middle."),
                    "A beam has no edge: an opening as wide as the beam takes 13.5 % of it, one of one and a half "
                            + "times its width 1 %. What is taken away heats the opening and spoils the focus.",
                    List.of("A mark at higher power looks wider than the beam is: use the lowest power that marks.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ClipReadings> readingsType() {
        return ClipReadings.class;
    }

    @Override
    public Class<ClipFinding> findingType() {
        return ClipFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<ClipFinding> evaluate(ClipReadings read) {
        RoundBeam beam = new RoundBeam(read.beamDiameterMm());
        double allowed = read.allowedLossPct().orElse(ClipReadings.ALLOWED_LOSS_PCT);
        double passed = 100 * beam.passed(read.apertureMm(), read.offsetMm());
        boolean fits = Limits.atMost(100 * beam.lostInTheMiddle(read.apertureMm()), allowed);
        OptionalDouble largest =
                fits ? OptionalDouble.of(beam.largestOffset(read.apertureMm(), allowed / 100)) : OptionalDouble.empty();
        double far = Math.max(read.offsetMm(), read.apertureMm() / 2 + read.beamDiameterMm() / 2);
        ClipFinding finding = new ClipFinding(
                passed,
                100 - passed,
                largest,
                beam.openingFor(allowed / 100),
                read.beamDiameterMm(),
                read.apertureMm(),
                read.offsetMm(),
                read.opening(),
                IntStream.rangeClosed(0, STEPS)
                        .mapToObj(i -> new ClipFinding.Point(
                                far * i / STEPS, 100 - 100 * beam.passed(read.apertureMm(), far * i / STEPS)))
                        .toList(),
                read.others().stream().map(other -> other(other, allowed)).toList(),
                divergence(read),
                new ClipFinding.Tolerances(allowed));
        List<ClipFinding.Other> all = finding.all();
        boolean many = all.size() > 1;
        List<Instruction> instructions = all.stream()
                .filter(each -> !Limits.atMost(each.lostPct(), allowed))
                .map(each -> each.largestOffsetMm().isPresent()
                        ? towardsTheMiddle(each, allowed, many)
                        : larger(each, allowed, many))
                .toList();
        if (instructions.isEmpty()) {
            String through = many
                    ? "Leave the openings as they are: the beam goes through each of them."
                    : "Leave the opening as it is: the beam goes through it.";
            return new Outcome<>(finding, Verdict.PASS, List.of(Instruction.of("opening", Said.of(through))));
        }
        boolean allFit = all.stream()
                .allMatch(each -> each.largestOffsetMm().isPresent() || Limits.atMost(each.lostPct(), allowed));
        return new Outcome<>(finding, allFit ? Verdict.ADJUST : Verdict.FAIL, instructions);
    }

    private static ClipFinding.Other other(ClipReadings.Other read, double allowed) {
        RoundBeam beam = new RoundBeam(read.beamDiameterMm());
        boolean fits = Limits.atMost(100 * beam.lostInTheMiddle(read.apertureMm()), allowed);
        return new ClipFinding.Other(
                read.name(),
                100 - 100 * beam.passed(read.apertureMm(), read.offsetMm()),
                fits ? OptionalDouble.of(beam.largestOffset(read.apertureMm(), allowed / 100)) : OptionalDouble.empty(),
                beam.openingFor(allowed / 100),
                read.beamDiameterMm(),
                read.apertureMm(),
                read.offsetMm());
    }

    /** Slope of diameter against distance, by least squares. */
    private static OptionalDouble divergence(ClipReadings read) {
        List<double[]> points = new ArrayList<>();
        read.distanceMm().ifPresent(at -> points.add(new double[] {at, read.beamDiameterMm()}));
        read.others()
                .forEach(other ->
                        other.distanceMm().ifPresent(at -> points.add(new double[] {at, other.beamDiameterMm()})));
        double x = points.stream().mapToDouble(point -> point[0]).average().orElse(0);
        double y = points.stream().mapToDouble(point -> point[1]).average().orElse(0);
        double xx = 0;
        double xy = 0;
        for (double[] point : points) {
            xx += (point[0] - x) * (point[0] - x);
            xy += (point[0] - x) * (point[1] - y);
        }
        double mrad = 1000 * xy / xx;
        return xx > 0 && Double.isFinite(mrad) ? OptionalDouble.of(mrad) : OptionalDouble.empty();
    }

    private static String named(ClipFinding.Other opening, boolean many) {
        return many
                ? "the opening "
                        + Said.quoted(
                                opening.name().map(name -> "\"" + name + "\"").orElse("without a name"))
                : "the opening";
    }

    private static Instruction towardsTheMiddle(ClipFinding.Other opening, double allowed, boolean many) {
        double largest = opening.largestOffsetMm().orElse(0);
        // what is kept is a tenth of a millimetre where there is room for one, else a hundredth
        Amount most = Amount.mm(largest, largest < 0.2 ? 3 : 2).most();
        return Instruction.of(
                        "opening",
                        Said.of("Bring the beam to {0} or less from the middle of " + named(opening, many) + ".", most))
                .byHand(Said.of(
                        "It passes {0} beside it now. Align the mirrors first; then move what stands aside: "
                                + "the head, the opening.",
                        Amount.mm(opening.offsetMm(), 2)))
                .expecting(Said.of("Then it loses {0} or less there.", Amount.percent(allowed, 2)));
    }

    private static Instruction larger(ClipFinding.Other opening, double allowed, boolean many) {
        return Instruction.of(
                        "opening",
                        Said.of(
                                many
                                        ? "In place of " + named(opening, true)
                                                + " fit one of {0} or more, or make the beam smaller there."
                                        : "Fit an opening of {0} or more, or make the beam smaller there.",
                                Amount.mm(opening.neededApertureMm(), 1).least()))
                .byHand(Said.of(
                        "Even in the middle this one takes more than {0}. Ask the machine's maker before an opening is "
                                + "changed: some keep smoke or air where they belong. Then shoot again, with the beam in its middle.",
                        Amount.percent(allowed, 2)));
    }

    @Override
    public Said keyFigure(ClipFinding finding) {
        return Said.of("{0} lost", Amount.percent(finding.worstPct(), 1));
    }

    @Override
    public List<Evidence> evidence(ClipFinding finding) {
        Said opening = finding.opening().map(Said::verbatim).orElse(Said.of("not named"));
        Said most = finding.largestOffsetMm().isPresent()
                ? Said.of(
                        "{0}",
                        Amount.mm(finding.largestOffsetMm().getAsDouble(), 2).most())
                : Said.of("none: the opening is too small");
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("opening", opening),
                new Evidence("passes", Said.of("{0}", Amount.percent(finding.passedPct(), 2))),
                new Evidence("beside the middle", Said.of("{0}", Amount.mm(finding.offsetMm(), 2))),
                new Evidence("may be beside it by", most)));
        for (ClipFinding.Other other : finding.others()) {
            evidence.add(new Evidence(
                    other.name().orElse("another opening"), Said.of("{0} lost", Amount.percent(other.lostPct(), 1))));
        }
        finding.divergenceMrad()
                .ifPresent(mrad ->
                        evidence.add(new Evidence("the beam grows by", Said.of("{0} mrad", Amount.plain(mrad, 2)))));
        return evidence;
    }

    @Override
    public Said judgedBy(ClipFinding finding) {
        return Said.of(
                "at most {0} lost at the opening",
                Amount.percent(finding.tolerances().allowedLossPct(), 2).most());
    }
}
