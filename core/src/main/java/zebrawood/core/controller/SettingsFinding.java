package zebrawood.core.controller;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;

/**
 * What the settings mean for this machine.
 *
 * @param settings number to value
 * @param issues what is not as needed, in the order of the checks
 * @param changes lines that put right what is wrong on the controller's side
 * @param restore lines that undo exactly those changes, in the same order
 * @param powerFractionPct what full power really is now, %
 * @param saturationPct the sender's percentage above which nothing more happens, %
 * @param unread lines that are no settings
 * @param rows every setting by meaning, the worst first
 * @param power both power scales, where the sender's is known
 * @param capS the largest S that the tube bears as the controller is set, where that is less than all of its power
 * @param otherSchool how to change the controller instead of the sender, where their scales differ
 * @param tolerances what it was judged by
 */
public record SettingsFinding(
        SortedMap<Integer, Double> settings,
        List<Issue> issues,
        List<String> changes,
        List<String> restore,
        OptionalDouble powerFractionPct,
        OptionalDouble saturationPct,
        List<SettingsText.UnreadLine> unread,
        List<Row> rows,
        Optional<PowerScales> power,
        OptionalDouble capS,
        Optional<OtherSchool> otherSchool,
        Tolerances tolerances) {

    /** How much it matters. */
    public enum Severity {
        MUST,
        SHOULD,
        NOTE
    }

    /** Where it is put right. */
    public enum Side {
        CONTROLLER,
        SENDER
    }

    /**
     * @param setting number
     * @param severity how much it matters
     * @param found value that stands there, absent where the text lacks it
     * @param wanted value that should stand there, absent where none is known
     * @param why in words
     * @param side where it is put right
     */
    public record Issue(
            int setting, Severity severity, OptionalDouble found, OptionalDouble wanted, String why, Side side) {}

    /**
     * One setting as a person reads it.
     *
     * @param setting number
     * @param meaning in words; absent where the dialect does not know the number
     * @param severity of its issue, absent where it is as it should be
     * @param side where it is put right; controller where nothing is
     * @param found in words, with unit; absent where not reported
     * @param needed in words, with unit; absent where nothing else is needed
     * @param remark what goes wrong, or with what it agrees; may be empty
     */
    public record Row(
            int setting,
            Optional<String> meaning,
            Optional<Severity> severity,
            Side side,
            Optional<String> found,
            Optional<String> needed,
            String remark) {}

    /** The S value sent for 100 %, and the S value the controller takes for all of its power. */
    public record PowerScales(double senderMaxS, double controllerMaxS) {

        /** What comes out, % of all power, when {@code askedPct} is asked for. */
        public double comesOutPct(double askedPct) {
            return Math.min(100, askedPct * senderMaxS / controllerMaxS);
        }
    }

    /** Lines that would change the controller to the sender's scale, and the lines that undo them. */
    public record OtherSchool(List<String> changes, List<String> restore) {}

    /** mm by which the set travel may differ. */
    public record Tolerances(double travelToleranceMm) {}

    public SettingsFinding {
        issues = List.copyOf(issues);
        changes = List.copyOf(changes);
        restore = List.copyOf(restore);
        unread = List.copyOf(unread);
        rows = List.copyOf(rows);
    }

    /** Issues that have to be put right, on either side. */
    public long toChange() {
        return issues.stream()
                .filter(issue -> issue.severity() != Severity.NOTE)
                .count();
    }
}
