package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.power.CeilingReadings.School;
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

/** Finds how far a glass tube may be driven, and what seals it there. */
public final class TubeCeiling implements Procedure<CeilingReadings, CeilingFinding> {

    /** readings that end below this say nothing about 100 %, % */
    private static final double FAR_ENOUGH_PCT = 60;

    private static final int RECHECK_DAYS = 90;
    /** or so many beam hours, whichever comes first */
    public static final double RECHECK_HOURS = 250;
    /** such a source has no current that a meter shows */
    private static final Pattern RADIO = Pattern.compile("\\bRF\\b");
    /** share of a current by which it may differ from how it was left: half of a turn by 5 % */
    private static final double TURNED = 0.025;

    private static final Card CARD = new Card(
            "tube-ceiling",
            1,
            "Ceiling",
            Card.OnRoute.in(Phase.POWER, 10).firing(),
            Set.of(Change.SOURCE_CHANGED, Change.PART_FITTED),
            List.of(Hazard.BEAM, Hazard.HIGH_VOLTAGE, Hazard.FIRE, Hazard.FUMES),
            20,
            RECHECK_DAYS,
            new Help(
                    List.of(
                            "The meter of the tube's current, and the tube's data sheet.",
                            "A piece of stock that may be burned, water flowing, extraction on, someone at the stop."),
                    List.of(
                            "Type the most that the tube's maker allows. A recommended working current is the ceiling.",
                            "Begin low. Fire for two or three seconds, read the meter, let go. Type command and current.",
                            "Go up in small steps. Stop before the meter shows the rated maximum.",
                            "A control on the panel: turn it to its minimum, let the sender ask for 100 %, and turn it up"
                                    + " until the meter shows the ceiling. One reading at 100 % is then enough."),
                    "A tube that is driven at what the dial allows is dead within weeks. Percent says nothing of current:"
                            + " only a meter does.",
                    List.of(
                            "No meter: it cannot be done by percent. Let a licensed person fit one; there is high voltage.",
                            "Seconds, not minutes: the tube warms up.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<CeilingReadings> readingsType() {
        return CeilingReadings.class;
    }

    @Override
    public Class<CeilingFinding> findingType() {
        return CeilingFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2
                && plate.source()
                        .filter(source -> source.ratedCurrentMa().isEmpty())
                        .flatMap(Plate.Source::kind)
                        .filter(kind -> RADIO.matcher(kind).find())
                        .isEmpty();
    }

    @Override
    public OptionalDouble recheckHours() {
        return OptionalDouble.of(RECHECK_HOURS);
    }

    @Override
    public OptionalDouble takenAtHours(CeilingReadings readings) {
        return readings.recheck().map(CeilingReadings.Recheck::beamHours).orElse(OptionalDouble.empty());
    }

    @Override
    public Outcome<CeilingFinding> evaluate(CeilingReadings read) {
        CommandCurve curve = CommandCurve.of(read.samples().stream()
                .map(sample -> new CommandCurve.At(sample.commandPct(), sample.currentMa()))
                .toList());
        CeilingFinding finding = finding(read, curve);
        Judged judged = judged(read, curve, finding);
        List<Instruction> all = new ArrayList<>(judged.first());
        finding.found().ifPresent(found -> beside(found, read).forEach(all::add));
        return new Outcome<>(finding, judged.verdict(), all);
    }

    /** How it stands now. */
    private record Judged(Verdict verdict, List<Instruction> first) {
        Judged(Verdict verdict, Instruction first) {
            this(verdict, List.of(first));
        }
    }

    private static Judged judged(CeilingReadings read, CommandCurve curve, CeilingFinding finding) {
        double rated = read.ratedMaximumMa();
        double most = Math.max(curve.largest(), finding.currentAt100Ma().orElse(0));
        if (!Limits.atMost(most, rated)) {
            boolean onlyAsked = read.by() == School.CAP && Limits.atMost(curve.largest(), rated);
            return new Judged(
                    Verdict.FAIL,
                    onlyAsked
                            ? List.of(
                                    never(finding, most),
                                    finding.nextCommandPct().isPresent()
                                                    || finding.commandAtCeilingPct()
                                                            .isEmpty()
                                            ? more(read, curve, finding, beginsOver(curve, finding))
                                            : cap(finding))
                            : List.of(stop(finding, most)));
        }
        boolean beginsOver = beginsOver(curve, finding);
        if (finding.currentAt100Ma().isEmpty() || read.by() == School.CAP && beginsOver) {
            return new Judged(Verdict.UNCLEAR, more(read, curve, finding, beginsOver));
        }
        boolean right = read.by() == School.CAP
                ? !finding.overdriven().orElseThrow()
                : Limits.atMost(
                        Math.abs(finding.headroomMa().getAsDouble()),
                        finding.tolerances().toleranceMa());
        return right
                ? new Judged(Verdict.PASS, leave(finding))
                : new Judged(
                        Verdict.ADJUST,
                        read.by() != School.CAP
                                ? List.of(dial(finding))
                                : finding.nextCommandPct().isPresent()
                                        ? List.of(next(finding), cap(finding))
                                        : List.of(cap(finding)));
    }

    private static CeilingFinding finding(CeilingReadings read, CommandCurve curve) {
        double ceiling = read.ceiling();
        double tolerance = read.toleranceMa().orElse(CeilingReadings.TOLERANCE_MA);
        OptionalDouble at100 = at100(curve);
        OptionalDouble command = commandAt(curve, ceiling, at100);
        boolean cap = read.by() == School.CAP
                && command.isPresent()
                && read.firmwareMaxS().isPresent();
        return new CeilingFinding(
                ceiling,
                at100,
                at100.isPresent() ? OptionalDouble.of(ceiling - at100.getAsDouble()) : OptionalDouble.empty(),
                command,
                cap
                        ? OptionalDouble.of(
                                Math.floor(read.firmwareMaxS().getAsDouble() * command.getAsDouble() / 100 + 1e-9))
                        : OptionalDouble.empty(),
                at100.isPresent()
                        ? Optional.of(!Limits.atMost(at100.getAsDouble(), ceiling + tolerance))
                        : Optional.empty(),
                IntStream.range(0, curve.size())
                        .mapToObj(i -> new CeilingReadings.Sample(curve.command(i), curve.pooled(i)))
                        .toList(),
                read.by(),
                read.by() == School.CAP
                        ? SafeCommand.next(curve, ceiling, read.ratedMaximumMa(), tolerance)
                        : OptionalDouble.empty(),
                read.recheck().map(TubeCeiling::found).filter(CeilingFinding.Found::tells),
                new CeilingFinding.Tolerances(read.ratedMaximumMa(), tolerance));
    }

    private static CeilingFinding.Found found(CeilingReadings.Recheck recheck) {
        boolean both = recheck.asFoundMa().isPresent() && recheck.leftMa().isPresent();
        double left = recheck.leftMa().orElse(0);
        double by = recheck.asFoundMa().orElse(0) - left;
        return new CeilingFinding.Found(
                recheck.asFoundMa(),
                both && !Limits.atMost(Math.abs(by), TURNED * left) ? OptionalDouble.of(by) : OptionalDouble.empty(),
                recheck.testSha256().flatMap(now -> recheck.lastSha256().map(now::equals)));
    }

    private static OptionalDouble at100(CommandCurve curve) {
        double last = curve.command(curve.last());
        if (Limits.atLeast(last, 100)) {
            return OptionalDouble.of(curve.largest());
        }
        return curve.size() < 2 || !Limits.atLeast(last, FAR_ENOUGH_PCT)
                ? OptionalDouble.empty()
                : OptionalDouble.of(curve.beyond(100));
    }

    private static OptionalDouble commandAt(CommandCurve curve, double ceiling, OptionalDouble at100) {
        if (!Limits.atMost(curve.pooled(0), ceiling)) {
            return OptionalDouble.empty();
        }
        OptionalDouble on = curve.smallestReaching(ceiling);
        if (on.isPresent() || at100.isEmpty() || !Limits.atLeast(at100.getAsDouble(), ceiling)) {
            return on;
        }
        return OptionalDouble.of(
                CommandCurve.between(curve.command(curve.last()), curve.largest(), 100, at100.getAsDouble(), ceiling));
    }

    private static Amount ma(double current) {
        return new Amount(Quantity.CURRENT, current, 1);
    }

    private static boolean beginsOver(CommandCurve curve, CeilingFinding finding) {
        return !Limits.atMost(curve.pooled(0), finding.ceilingMa());
    }

    /** What was read is borne; what 100 % would draw is not. */
    private static Instruction never(CeilingFinding finding, double most) {
        return Instruction.of(
                        "tube",
                        Said.of(
                                "Fire nothing at 100 % before it is capped: the tube would draw {0}, and {1} is the most that it"
                                        + " bears.",
                                ma(most),
                                ma(finding.tolerances().ratedMaximumMa()).most()))
                .byHand(Said.of("Let no job go there, not for a second."));
    }

    private static Instruction stop(CeilingFinding finding, double most) {
        return Instruction.of(
                        "tube",
                        Said.of(
                                "Stop: at 100 % the tube draws {0}, and {1} is the most that it bears.",
                                ma(most),
                                ma(finding.tolerances().ratedMaximumMa()).most()))
                .byHand(Said.of(
                        "It is being destroyed. Turn the control on the panel down, or cap the power in the job"
                                + " software, to {0} or less; begin low and read the meter again.",
                        ma(finding.ceilingMa()).most()));
    }

    /** What was found before anything was turned, as far as it asks for something. */
    private static List<Instruction> beside(CeilingFinding.Found found, CeilingReadings read) {
        List<Instruction> said = new ArrayList<>();
        if (found.sameTest().equals(Optional.of(false))) {
            said.add(Instruction.of(
                            "test",
                            Said.of("Burn the test that is kept with the last entry: this file is another one."))
                    .byHand(Said.of(
                            "Another test draws another current. Then type what was found, and what was left.")));
        }
        if (!Limits.atMost(found.asFoundMa().orElse(0), read.ratedMaximumMa())) {
            said.add(Instruction.of(
                            "tube",
                            Said.of(
                                    "Measure its power soon: as found the tube drew {0}, and {1} is the most that it bears.",
                                    ma(found.asFoundMa().getAsDouble()),
                                    ma(read.ratedMaximumMa()).most()))
                    .byHand(Said.of("It may have aged by it. Compare with earlier tests on the bench Trend.")));
        }
        found.turnedMa()
                .ifPresent(by -> said.add(Instruction.of(
                                "control",
                                Said.of(
                                        "Ask who turned the control: it was left at {0} and found at {1}.",
                                        ma(found.asFoundMa().getAsDouble() - by),
                                        ma(found.asFoundMa().getAsDouble())))
                        .byHand(Said.of(
                                "Look at its seal. If that is whole, the meter, the supply or the tube is another one than last"
                                        + " time."))));
        return said;
    }

    private static Instruction more(
            CeilingReadings read, CommandCurve curve, CeilingFinding finding, boolean beginsOver) {
        if (read.by() == School.CAP && beginsOver) {
            return Instruction.of(
                            "command",
                            Said.of(
                                    "Measure again below {0}: there the current is over the ceiling already.",
                                    Amount.percent(curve.command(0), 1)))
                    .byHand(Said.of("Begin as low as the tube fires. Seconds, not minutes."));
        }
        if (read.by() == School.DIAL) {
            return Instruction.of(
                            "dial",
                            Said.of(
                                    "Turn the control on the panel to its minimum, let the sender ask for 100 %, and turn"
                                            + " it up until the meter shows {0}.",
                                    ma(read.ceiling()).most()))
                    .byHand(Said.of(
                            "Type what the meter shows then, with 100 %. What was read so far does not tell what 100 %"
                                    + " draws. Seconds, not minutes."));
        }
        if (finding.nextCommandPct().isPresent()) {
            return next(finding);
        }
        return finding.commandAtCeilingPct().isPresent()
                ? cap(finding)
                : Instruction.of(
                                "cap",
                                Said.of(
                                        "Let no job ask for more than {0}.",
                                        Amount.percent(curve.command(curve.last()), 1)
                                                .most()))
                        .byHand(Said.of(
                                "There the tube is as near to its ceiling as can be told. Set it as the most, then measure"
                                        + " again with that as 100 %."));
    }

    private static Instruction next(CeilingFinding finding) {
        return Instruction.of(
                        "command",
                        Said.of(
                                "Read the meter next at {0}.",
                                Amount.percent(finding.nextCommandPct().getAsDouble(), 1)
                                        .most()))
                .byHand(Said.of(
                        "Seconds, not minutes. Let go at once if the meter passes {0}. Type what it shows.",
                        ma(finding.tolerances().ratedMaximumMa()).most()));
    }

    private static Instruction leave(CeilingFinding finding) {
        return finding.school() == School.CAP
                ? Instruction.of("cap", Said.of("Leave it: at 100 % the tube stays at its ceiling or under it."))
                : Instruction.of("dial", Said.of("Seal the control on the panel where it stands."))
                        .byHand(Said.of(
                                "A drop of paint, and a photo of it. At 100 % the tube draws {0}.",
                                ma(finding.currentAt100Ma().getAsDouble())));
    }

    private static Instruction dial(CeilingFinding finding) {
        boolean down = finding.headroomMa().getAsDouble() < 0;
        return Instruction.of(
                        "dial",
                        Said.of(
                                "Turn the control on the panel " + (down ? "down" : "up")
                                        + " until the meter shows {0}, with the test running at 100 %.",
                                ma(finding.ceilingMa()).most()))
                .byHand(Said.of(
                        "Seconds, not minutes; from below, in steps of 10, then 1, then 0.1 % where the panel counts so."
                                + " Then read the meter again at 100 %, type it, and seal the control."));
    }

    private static Instruction cap(CeilingFinding finding) {
        Amount command =
                Amount.percent(finding.commandAtCeilingPct().orElseThrow(), 1).most();
        return finding.capS().isPresent()
                ? Instruction.of(
                                "cap",
                                Said.of(
                                        "In the job software set full power to S {0}.",
                                        Amount.plain(finding.capS().getAsDouble(), 0)
                                                .most()))
                        .byHand(Said.of(
                                "That is {0} of what it is now. Leave the controller's own S for full power as it is: lowered,"
                                        + " it drives the tube harder. Then measure again: 100 % is another one, and so"
                                        + " is its S.",
                                command))
                : Instruction.of("cap", Said.of("Let no job ask for more than {0}.", command))
                        .byHand(Said.of(
                                "Set it as the most in the job software, then measure again with that as 100 %."));
    }

    @Override
    public Said keyFigure(CeilingFinding finding) {
        return finding.currentAt100Ma().isPresent()
                ? Said.of("{0}", ma(finding.currentAt100Ma().getAsDouble()))
                : Said.of("not known at 100 %");
    }

    @Override
    public List<Evidence> evidence(CeilingFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(
                new Evidence("ceiling", Said.of("{0}", ma(finding.ceilingMa()).most())));
        finding.currentAt100Ma().ifPresent(at -> evidence.add(new Evidence("at 100 %", Said.of("{0}", ma(at)))));
        finding.commandAtCeilingPct()
                .ifPresent(command -> evidence.add(new Evidence(
                        "ceiling reached at",
                        Said.of("{0}", Amount.percent(command, 1).most()))));
        finding.capS()
                .ifPresent(cap -> evidence.add(new Evidence(
                        "cap", Said.of("S {0}", Amount.plain(cap, 0).most()))));
        return evidence;
    }

    @Override
    public Said judgedBy(CeilingFinding finding) {
        return Said.of(
                "{0#} ± {1}, never over {2}",
                ma(finding.ceilingMa()),
                ma(finding.tolerances().toleranceMa()).most(),
                ma(finding.tolerances().ratedMaximumMa()).most());
    }
}
