package zebrawood.core.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeSet;
import zebrawood.core.controller.SettingsFinding.Issue;
import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.controller.SettingsFinding.Side;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.ControllerNeed.Tool;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;

/** The checks of the controller-settings sheet, in its order. All but the last three pass over what the text lacks. */
final class SettingsChecks {

    /** numbers by which the controller itself calls its settings, from here on */
    private static final int SOFT_LIMITS = 20;

    private static final int HARD_LIMITS = 21;
    private static final int HOMING = 22;
    private static final int HOMES_TOWARD = 23;
    static final int FULL_POWER_S = 30;
    private static final int LEAST_POWER_S = 31;
    private static final int LASER_MODE = 32;
    private static final int INCHES = 13;
    private static final int TRAVEL_X = 130;
    private static final int TRAVEL_Y = 131;
    private static final int TRAVEL_Z = 132;
    private static final List<Integer> ALWAYS_NEEDED =
            List.of(SOFT_LIMITS, HOMING, LASER_MODE, 100, 101, 110, 111, 120, 121, TRAVEL_X, TRAVEL_Y);
    private static final List<Integer> NEEDED_FOR_Z = List.of(102, 112, 122, TRAVEL_Z);

    private final SettingsText text;
    private final SortedMap<Integer, Double> settings;
    private final ControllerNeed need;
    private final List<Issue> issues = new ArrayList<>();

    private final Optional<SettingsReadings.Cap> cap;

    SettingsChecks(SettingsText text, ControllerNeed need, Optional<SettingsReadings.Cap> cap) {
        this.cap = cap;
        this.text = text;
        this.settings = text.settings();
        this.need = need;
    }

    List<Issue> run(Optional<SettingsText> baseline) {
        tool();
        limits();
        travel();
        power();
        homeCorner();
        motion();
        inches();
        notReported();
        baseline.ifPresent(this::comparedWith);
        repeats();
        return issues;
    }

    private void tool() {
        boolean laser = need.tool() == Tool.LASER;
        mustBe(
                LASER_MODE,
                laser ? 1 : 0,
                laser ? "the beam stays lit when the head stops" : "laser mode lets a spindle stop between moves");
    }

    private void limits() {
        if (need.limitSwitches()) {
            boolean unhomedSoftLimits = is(SOFT_LIMITS, 1) && is(HOMING, 0);
            mustBe(
                    HOMING,
                    1,
                    unhomedSoftLimits
                            ? "soft limits mean nothing without a home"
                            : "the controller does not know where the head is");
            shouldBe(HARD_LIMITS, 1, "a limit switch that is hit does not stop it");
            shouldBe(SOFT_LIMITS, 1, "the gantry can drive into its end");
        } else {
            boolean unhomedSoftLimits = is(SOFT_LIMITS, 1) && is(HOMING, 0);
            mustBe(
                    HOMING,
                    0,
                    "without switches it drives into its end when it homes"
                            + (unhomedSoftLimits ? "; soft limits mean nothing without a home" : ""));
            mustBe(HARD_LIMITS, 0, "without switches a disturbance on the line stops a job");
            mustBe(
                    SOFT_LIMITS,
                    0,
                    unhomedSoftLimits
                            ? "soft limits mean nothing without a home"
                            : "without switches there is no home to measure limits from");
        }
    }

    private void travel() {
        travel(TRAVEL_X, OptionalDouble.of(need.travelMm().x()));
        travel(TRAVEL_Y, OptionalDouble.of(need.travelMm().y()));
        travel(TRAVEL_Z, need.travelMm().z());
    }

    private void travel(int number, OptionalDouble wanted) {
        if (wanted.isPresent()
                && settings.containsKey(number)
                && !Limits.atMost(Math.abs(settings.get(number) - wanted.getAsDouble()), need.toleranceMm())) {
            add(number, Severity.MUST, wanted, "soft limits are in the wrong place", Side.CONTROLLER);
        }
    }

    /** The largest S that the tube bears once the controller is set; empty where that is all of its power. */
    OptionalDouble capS() {
        OptionalDouble full = fullPowerS();
        return cap.isPresent() && full.isPresent() && cap.get().at(full.getAsDouble()) < full.getAsDouble()
                ? OptionalDouble.of(cap.get().at(full.getAsDouble()))
                : OptionalDouble.empty();
    }

    /** What the controller takes for all of its power after what is changed; empty where it does not say. */
    private OptionalDouble fullPowerS() {
        return settings.containsKey(FULL_POWER_S)
                ? OptionalDouble.of(need.maxS().orElse(settings.get(FULL_POWER_S)))
                : OptionalDouble.empty();
    }

    private void power() {
        if (settings.containsKey(FULL_POWER_S)) {
            need.maxS()
                    .ifPresent(max -> mustBe(FULL_POWER_S, max, "the machine's maker wants another S for full power"));
            double after = fullPowerS().orElseThrow();
            if (!(after > 0)) {
                add(
                        FULL_POWER_S,
                        Severity.MUST,
                        OptionalDouble.empty(),
                        "must be above 0 for any power",
                        Side.CONTROLLER);
            } else if (capS().isPresent()) {
                capped(capS().getAsDouble());
            } else if (need.senderMaxS().isPresent() && need.senderMaxS().getAsDouble() != after) {
                double sent = need.senderMaxS().getAsDouble();
                issues.add(new Issue(
                        FULL_POWER_S,
                        Severity.MUST,
                        OptionalDouble.of(sent),
                        OptionalDouble.of(after),
                        sent < after
                                ? "the job software never sends full power"
                                : "above some percentage all of the power comes out already",
                        Side.SENDER));
            }
        }
        if (need.tool() == Tool.LASER && settings.containsKey(LEAST_POWER_S) && settings.get(LEAST_POWER_S) > 0) {
            add(LEAST_POWER_S, Severity.SHOULD, OptionalDouble.of(0), "the beam cannot go fully down", Side.CONTROLLER);
        }
    }

    /** A sender that stays under the cap is as it should be. */
    private void capped(double capS) {
        OptionalDouble sent = need.senderMaxS();
        if (sent.isEmpty() || sent.getAsDouble() > capS) {
            issues.add(new Issue(
                    FULL_POWER_S,
                    sent.isEmpty() ? Severity.NOTE : Severity.MUST,
                    sent,
                    OptionalDouble.of(capS),
                    "the tube bears no more: its ceiling was measured",
                    Side.SENDER));
        }
    }

    private void homeCorner() {
        if (need.homeCorner().isEmpty() || !settings.containsKey(HOMES_TOWARD)) {
            return;
        }
        ControllerNeed.HomeCorner corner = need.homeCorner().get();
        int bits = (corner.left() ? 1 : 0) | (corner.front() ? 2 : 0);
        double found = settings.get(HOMES_TOWARD);
        boolean whole = found >= 0 && found == Math.rint(found) && found < (1L << 53);
        double wanted = whole ? ((long) found & ~3L) | bits : bits;
        if (found != wanted) {
            add(
                    HOMES_TOWARD,
                    Severity.MUST,
                    OptionalDouble.of(wanted),
                    "it homes away from " + corner.words(),
                    Side.CONTROLLER);
        }
    }

    private void motion() {
        for (int n : List.of(100, 101, 102, 110, 111, 112, 120, 121, 122)) {
            if (!settings.containsKey(n)) {
                continue;
            }
            double found = settings.get(n);
            OptionalDouble limit = switch (n) {
                case 110, 111 -> need.maxRateMmMin();
                case 120, 121 -> need.accelerationMmS2();
                default -> OptionalDouble.empty();
            };
            if (!(found > 0)) {
                add(n, Severity.MUST, OptionalDouble.empty(), "must be above 0", Side.CONTROLLER);
            } else if (limit.isPresent() && !Limits.atMost(found, limit.getAsDouble())) {
                add(n, Severity.SHOULD, limit, "faster than this machine bears; it may lose steps", Side.CONTROLLER);
            }
        }
    }

    private void inches() {
        if (is(INCHES, 1)) {
            add(
                    INCHES,
                    Severity.NOTE,
                    OptionalDouble.empty(),
                    "reports lengths in inches; nothing else changes",
                    Side.CONTROLLER);
        }
    }

    private void notReported() {
        SortedSet<Integer> needed = new TreeSet<>(ALWAYS_NEEDED);
        if (need.limitSwitches()) {
            needed.add(HARD_LIMITS);
        }
        if (need.homeCorner().isPresent()) {
            needed.add(HOMES_TOWARD);
        }
        if (need.maxS().isPresent() || need.senderMaxS().isPresent()) {
            needed.add(FULL_POWER_S);
        }
        if (need.tool() == Tool.LASER) {
            needed.add(LEAST_POWER_S);
        }
        if (need.travelMm().z().isPresent()) {
            needed.addAll(NEEDED_FOR_Z);
        }
        needed.removeAll(settings.keySet());
        for (int n : needed) {
            issues.add(new Issue(
                    n, Severity.MUST, OptionalDouble.empty(), OptionalDouble.empty(), "not reported", Side.CONTROLLER));
        }
    }

    private void comparedWith(SettingsText baseline) {
        SortedSet<Integer> numbers = new TreeSet<>(settings.keySet());
        numbers.addAll(baseline.settings().keySet());
        for (int n : numbers) {
            OptionalDouble now = value(settings, n);
            OptionalDouble then = value(baseline.settings(), n);
            if (!now.equals(then)) {
                issues.add(new Issue(
                        n,
                        Severity.NOTE,
                        now,
                        then,
                        then.isPresent()
                                ? "was " + Amount.exact(then.getAsDouble()) + " in the saved text"
                                : "not in the saved text",
                        Side.CONTROLLER));
            }
        }
    }

    private void repeats() {
        for (int n : text.repeated()) {
            add(
                    n,
                    Severity.NOTE,
                    OptionalDouble.empty(),
                    "stands more than once; the last one counts",
                    Side.CONTROLLER);
        }
    }

    private void mustBe(int number, double wanted, String why) {
        check(number, wanted, Severity.MUST, why);
    }

    private void shouldBe(int number, double wanted, String why) {
        check(number, wanted, Severity.SHOULD, why);
    }

    private void check(int number, double wanted, Severity severity, String why) {
        if (settings.containsKey(number) && settings.get(number) != wanted) {
            add(number, severity, OptionalDouble.of(wanted), why, Side.CONTROLLER);
        }
    }

    private void add(int number, Severity severity, OptionalDouble wanted, String why, Side side) {
        issues.add(new Issue(number, severity, value(settings, number), wanted, why, side));
    }

    private boolean is(int number, double value) {
        return settings.containsKey(number) && settings.get(number) == value;
    }

    private static OptionalDouble value(Map<Integer, Double> settings, int number) {
        Double value = settings.get(number);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
