package zebrawood.core.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedSet;
import java.util.TreeSet;
import zebrawood.core.controller.SettingsFinding.Issue;
import zebrawood.core.controller.SettingsFinding.Row;
import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.controller.SettingsFinding.Side;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.units.Amount;

/** Puts every setting into the user's words, the worst first. */
final class SettingsRows {

    private final SettingsText text;
    private final ControllerNeed need;
    private final Dialect dialect;

    SettingsRows(SettingsText text, ControllerNeed need, Dialect dialect) {
        this.text = text;
        this.need = need;
        this.dialect = dialect;
    }

    List<Row> of(List<Issue> issues) {
        List<Row> rows = new ArrayList<>();
        SortedSet<Integer> fine = new TreeSet<>(text.settings().keySet());
        for (Issue issue : issues) {
            rows.add(row(issue));
            if (issue.side() == Side.CONTROLLER) {
                fine.remove(issue.setting());
            }
        }
        List<Row> agreeing = new ArrayList<>();
        List<Row> others = new ArrayList<>();
        for (int n : fine) {
            Optional<String> agrees = agreement(n);
            Row row = new Row(
                    n,
                    meaning(n),
                    Optional.empty(),
                    Side.CONTROLLER,
                    Optional.of(told(n, text.settings().get(n))),
                    Optional.empty(),
                    agrees.orElse(""));
            (agrees.isPresent() ? agreeing : others).add(row);
        }
        rows.sort(Comparator.comparing(row -> row.severity().orElse(Severity.NOTE)));
        int notes = (int) rows.stream()
                .filter(row -> row.severity().orElse(Severity.NOTE) != Severity.NOTE)
                .count();
        rows.addAll(notes, agreeing);
        rows.addAll(others);
        return rows;
    }

    private Row row(Issue issue) {
        int n = issue.setting();
        boolean sender = issue.side() == Side.SENDER;
        return new Row(
                n,
                sender ? Optional.of("Job software: S for full power") : meaning(n),
                Optional.of(issue.severity()),
                issue.side(),
                told(n, issue.found()),
                issue.severity() == Severity.NOTE ? Optional.empty() : told(n, issue.wanted()),
                issue.why());
    }

    private Optional<String> meaning(int number) {
        return dialect.findMeaning(number).map(Dialect.Meaning::name);
    }

    private Optional<String> told(int number, OptionalDouble value) {
        return value.isPresent() ? Optional.of(told(number, value.getAsDouble())) : Optional.empty();
    }

    private String told(int number, double value) {
        Optional<Dialect.Meaning> meaning = dialect.findMeaning(number);
        Dialect.Kind kind = meaning.map(Dialect.Meaning::kind).orElse(Dialect.Kind.NUMBER);
        if (kind == Dialect.Kind.SWITCH && (value == 0 || value == 1)) {
            return value == 1 ? "on" : "off";
        }
        if (number == 23 && value >= 0 && value == Math.rint(value) && value < 1 << 20) {
            int bits = (int) value;
            return ((bits & 2) != 0 ? "front " : "rear ") + ((bits & 1) != 0 ? "left" : "right");
        }
        String unit = meaning.map(Dialect.Meaning::unit).orElse("");
        return Amount.exact(value) + (unit.isEmpty() ? "" : unit.startsWith("/") ? unit : " " + unit);
    }

    /** With what on the plate a setting agrees, where the plate says something of it. */
    private Optional<String> agreement(int number) {
        return switch (number) {
            case 20, 21, 22 ->
                Optional.of(
                        need.limitSwitches()
                                ? "as a machine with switches wants"
                                : "as a machine without switches wants");
            case 23 -> need.homeCorner().map(corner -> "home corner as on the plate");
            case 30 -> need.maxS().isPresent() ? Optional.of("as the machine's maker wants") : Optional.empty();
            case 32 ->
                Optional.of(need.tool() == ControllerNeed.Tool.LASER ? "a laser is mounted" : "a spindle is mounted");
            case 130, 131 -> Optional.of("agrees with the plate");
            case 132 -> need.travelMm().z().isPresent() ? Optional.of("agrees with the plate") : Optional.empty();
            case 110, 111 -> need.maxRateMmMin().isPresent() ? Optional.of("within what it bears") : Optional.empty();
            case 120, 121 ->
                need.accelerationMmS2().isPresent() ? Optional.of("within what it bears") : Optional.empty();
            default -> Optional.empty();
        };
    }
}
