package zebrawood.core.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import zebrawood.core.controller.SettingsFinding.Issue;
import zebrawood.core.controller.SettingsFinding.OtherSchool;
import zebrawood.core.controller.SettingsFinding.PowerScales;
import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.controller.SettingsFinding.Side;
import zebrawood.core.machine.ControllerNeed;
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
import zebrawood.core.procedure.Trait;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** Reads a controller's numbered settings, compares them with what the machine needs and prepares the change. */
public final class ControllerSettings implements Procedure<SettingsReadings, SettingsFinding> {

    private static final int FULL_POWER_S = 30;
    private static final int TRAVEL_X = 130;
    private static final int TRAVEL_Z = 132;

    private static final Card CARD = new Card(
            "controller-settings",
            1,
            "Settings",
            Card.OnRoute.in(Phase.CONTROLLER, 10),
            Set.of(Change.PART_FITTED),
            List.of(Hazard.MOVING_AXES, Hazard.LASER_MODE, Hazard.BEAM, Hazard.FIRE),
            8,
            180,
            new Help(
                    List.of("The computer that runs the jobs, connected to the controller.", "A way to save text."),
                    List.of(
                            "Ask the controller for its settings and take all it prints, greeting and all.",
                            "Drop the file here, or paste the text. Nothing is sent to the controller.",
                            "Record it as found before anything is changed.",
                            "Send the change ticket yourself, then read the settings again and record that too."),
                    "When the job software and the controller disagree on what full power is, full power set in a job is a"
                            + " fraction of it, or everything above some percentage is already all of it. The "
                            + "text as it"
                            + " was is the way back.",
                    List.of("A changed setting can move axes at once: hands out of the machine."
                            + " Zebrawood never sends anything; you do.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<SettingsReadings> readingsType() {
        return SettingsReadings.class;
    }

    @Override
    public Class<SettingsFinding> findingType() {
        return SettingsFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.mayHaveNumberedSettings();
    }

    @Override
    public List<String> lacks(Plate plate) {
        if (plate.control().flatMap(Plate.Control::need).isPresent()) {
            return List.of();
        }
        return plate.control().isEmpty()
                ? List.of("control.kind")
                : List.of(
                        "control.need.tool",
                        "control.need.limitSwitches",
                        "control.need.travelMm.x",
                        "control.need.travelMm.y",
                        "control.need.senderMaxS",
                        "control.need.maxS",
                        "control.need.homeCorner");
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::settingsDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<SettingsFinding> evaluate(SettingsReadings read) {
        SettingsText text = SettingsText.parse(read.settingsText());
        ControllerNeed need = read.need();
        Dialect dialect = read.dialectOrDefault();
        SettingsChecks checks = new SettingsChecks(text, need, read.cap());
        List<Issue> issues = checks.run(read.baselineText().map(SettingsText::parse));
        SortedMap<Integer, Double> before = new TreeMap<>();
        SortedMap<Integer, Double> after = new TreeMap<>();
        for (Issue issue : issues) {
            if (issue.severity() != Severity.NOTE
                    && issue.side() == Side.CONTROLLER
                    && issue.found().isPresent()
                    && issue.wanted().isPresent()) {
                before.put(issue.setting(), issue.found().getAsDouble());
                after.put(issue.setting(), issue.wanted().getAsDouble());
            }
        }
        Optional<PowerScales> power = scales(text, need);
        SettingsFinding finding = new SettingsFinding(
                text.settings(),
                issues,
                lines(after),
                lines(before),
                power.map(p -> OptionalDouble.of(p.comesOutPct(100))).orElse(OptionalDouble.empty()),
                power.map(p -> OptionalDouble.of(Math.min(100, 100 * p.controllerMaxS() / p.senderMaxS())))
                        .orElse(OptionalDouble.empty()),
                text.unread(),
                new SettingsRows(text, need, dialect).of(issues),
                power,
                checks.capS(),
                otherSchool(issues, text, need, checks.capS()),
                new SettingsFinding.Tolerances(need.toleranceMm()));
        boolean passes = finding.toChange() == 0;
        return new Outcome<>(finding, passes ? Verdict.PASS : Verdict.ADJUST, instructions(finding));
    }

    private static Optional<PowerScales> scales(SettingsText text, ControllerNeed need) {
        Double found = text.settings().get(SettingsChecks.FULL_POWER_S);
        return found != null && found > 0 && need.senderMaxS().isPresent()
                ? Optional.of(new PowerScales(need.senderMaxS().getAsDouble(), found))
                : Optional.empty();
    }

    /** One {@code $n=v} line each, ascending, but soft limits right after homing: they need a home. */
    private static List<String> lines(SortedMap<Integer, Double> values) {
        List<Integer> order = new ArrayList<>(values.keySet());
        if (values.containsKey(20) && values.containsKey(22)) {
            order.remove(Integer.valueOf(20));
            order.add(order.indexOf(22) + 1, 20);
        }
        return order.stream().map(n -> line(n, values.get(n))).toList();
    }

    private static String line(int number, double value) {
        return "$" + number + "=" + Amount.exact(value);
    }

    /** None where the maker wants another S for full power than the cap would need. */
    private static Optional<OtherSchool> otherSchool(
            List<Issue> issues, SettingsText text, ControllerNeed need, OptionalDouble capS) {
        return issues.stream()
                .filter(issue -> issue.side() == Side.SENDER && issue.found().isPresent())
                .filter(issue ->
                        capS.isEmpty() || capS.getAsDouble() > 0 && need.maxS().isEmpty())
                .findFirst()
                .map(issue -> {
                    double sent = issue.found().getAsDouble();
                    double now = text.settings().get(SettingsChecks.FULL_POWER_S);
                    return new OtherSchool(
                            List.of(line(
                                    SettingsChecks.FULL_POWER_S,
                                    capS.isPresent() ? Math.ceil(sent * now / capS.getAsDouble() - 1e-9) : sent)),
                            List.of(line(SettingsChecks.FULL_POWER_S, now)));
                });
    }

    private static List<Instruction> instructions(SettingsFinding finding) {
        List<Instruction> instructions = new ArrayList<>(before(finding));
        for (Issue issue : finding.issues()) {
            if (issue.side() == Side.SENDER && issue.severity() != Severity.NOTE) {
                instructions.add(Instruction.of(
                                "job software",
                                Said.of(
                                        "In the job software set full power to S {0}.",
                                        Amount.plain(
                                                issue.wanted().getAsDouble(),
                                                decimals(issue.wanted().getAsDouble()))))
                        .expecting(
                                finding.capS().isPresent()
                                        ? Said.of(
                                                "Then 100 % in a job is what the tube bears. The controller keeps its own"
                                                        + " S for full power.")
                                        : Said.of("Then 100 % in a job is all of the power, no more and no less.")));
            }
        }
        int lines = finding.changes().size();
        if (lines > 0) {
            String words = lines == 1
                    ? "change one line on the controller"
                    : "change " + count(lines) + " lines on the controller";
            instructions.add(Instruction.of(
                            "controller",
                            Said.of((instructions.isEmpty() ? capital(words) : "Then " + words) + ": "
                                    + String.join(", ", finding.changes()) + "."))
                    .byHand(Said.of("Record the text as found first: it is the way back."))
                    .expecting(Said.of("Read the settings back afterwards.")));
        }
        for (Issue issue : finding.issues()) {
            boolean open = issue.severity() != Severity.NOTE && issue.wanted().isEmpty();
            if (open && issue.found().isPresent()) {
                instructions.add(Instruction.of(
                        "controller",
                        Said.of("Find out setting " + issue.setting() + " from the machine's maker: it " + issue.why()
                                + ", and " + Amount.exact(issue.found().getAsDouble()) + " stands there.")));
            }
        }
        List<String> missing = finding.issues().stream()
                .filter(issue ->
                        issue.severity() == Severity.MUST && issue.found().isEmpty())
                .map(issue -> String.valueOf(issue.setting()))
                .toList();
        if (!missing.isEmpty()) {
            instructions.add(Instruction.of(
                    "controller",
                    Said.of("Ask for the settings again and take all of the text: "
                            + (missing.size() == 1 ? "setting " : "settings ") + String.join(", ", missing)
                            + " did not come.")));
        }
        if (instructions.isEmpty()) {
            instructions.add(Instruction.of("controller", Said.of("Leave the controller as it is."))
                    .byHand(Said.of("Its settings are what this machine needs.")));
        }
        return instructions;
    }

    /** What is done before anything is set: what follows from a change can burn, or strike. */
    private static List<Instruction> before(SettingsFinding finding) {
        List<Instruction> before = new ArrayList<>();
        boolean setsPower = finding.issues().stream()
                .anyMatch(issue -> issue.setting() == FULL_POWER_S
                        && issue.wanted().isPresent()
                        && !(finding.capS().isPresent() && issue.side() == Side.SENDER));
        double fraction = finding.powerFractionPct().orElse(100);
        if (setsPower && !Limits.atLeast(fraction, 100)) {
            before.add(Instruction.of("power", Said.of("First cap the current of the source at full power."))
                    .byHand(Said.of(
                            "After the change each percentage is {0} times stronger. Look through all stored jobs and lower "
                                    + "their percentages before one of them runs: what was right before can burn or set "
                                    + "fire. Where the source has no cap, measure its current first.",
                            Amount.plain(100 / fraction, 1).least())));
        }
        boolean widens = finding.issues().stream()
                .anyMatch(issue -> issue.setting() >= TRAVEL_X
                        && issue.setting() <= TRAVEL_Z
                        && issue.wanted().isPresent()
                        && issue.found().isPresent()
                        && issue.wanted().getAsDouble() > issue.found().getAsDouble());
        if (widens) {
            before.add(Instruction.of(
                            "travel",
                            Said.of(
                                    "Move the head by hand, power off, from end to end and measure before the travel is "
                                            + "set larger."))
                    .byHand(Said.of("What is set larger than it is drives the head into its end.")));
        }
        boolean homes = finding.changes().stream().anyMatch(line -> line.startsWith("$22=") || line.startsWith("$23="));
        if (homes) {
            before.add(Instruction.of("homing", Said.of("Keep a hand on the stop at the first homing run after it."))
                    .byHand(Said.of(
                            "It may run the other way than before: clear the bed, and stop it if it does not slow "
                                    + "down at its switch.")));
        }
        return before;
    }

    private static int decimals(double value) {
        String exact = Amount.exact(value);
        return exact.contains(".") ? exact.length() - exact.indexOf('.') - 1 : 0;
    }

    private static String count(int number) {
        String[] words = {"no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"};
        return number < words.length ? words[number] : String.valueOf(number);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    @Override
    public Said keyFigure(SettingsFinding finding) {
        long toChange = finding.toChange();
        return Said.of(toChange == 0 ? "as needed" : toChange + " to change");
    }

    @Override
    public List<Evidence> evidence(SettingsFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.powerFractionPct()
                .ifPresent(pct ->
                        evidence.add(new Evidence("full power is now", Said.of("{0}", Amount.percent(pct, 0)))));
        finding.saturationPct().ifPresent(pct -> {
            if (pct < 100) {
                evidence.add(new Evidence("all of it from", Said.of("{0} on", Amount.percent(pct, 0))));
            }
        });
        evidence.add(new Evidence("to change", Said.of(String.valueOf(finding.toChange()))));
        evidence.add(new Evidence(
                "settings read", Said.of(String.valueOf(finding.settings().size()))));
        evidence.add(new Evidence(
                "lines unread", Said.of(String.valueOf(finding.unread().size()))));
        return evidence;
    }

    @Override
    public Said judgedBy(SettingsFinding finding) {
        return Said.of(
                "as the plate; travel within {0}",
                Amount.mm(finding.tolerances().travelToleranceMm(), 1));
    }

    @Override
    public List<Trait> traits(SettingsReadings readings, SettingsFinding finding, Family family) {
        List<Trait> traits = new ArrayList<>();
        finding.rows()
                .forEach(row -> row.found()
                        .ifPresent(found -> traits.add(Trait.word(
                                row.meaning()
                                        .map(words -> words.toLowerCase(Locale.ROOT))
                                        .orElse("setting " + row.setting()),
                                found,
                                matters(row.setting())))));
        return traits;
    }

    /** Scale and mode of the power, steps, then speeds; the rest hardly shows in a result. */
    private static double matters(int setting) {
        if (setting >= 30 && setting <= 32) {
            return 0.95;
        } else if (setting >= 100 && setting < 110) {
            return 0.9;
        }
        return setting >= 110 && setting < 130 ? 0.6 : 0.15;
    }
}
