package zebrawood.benches.power;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.TrendFinding;
import zebrawood.core.power.TrendReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Slip;

/** One fixed test over the life of a source: a row a test, and when things were done meanwhile. */
public final class TrendBench extends FormBench<TrendReadings, TrendFinding> {

    private static final int MOST = 30;
    private static final String BY = "measuredBy";
    private static final String CURRENT = "current";
    private static final String GRID = "grid";
    private static final String SCALES = "scalesAgree";
    private static final String UNKNOWN = "unknown";
    private static final String CLEANED = "cleanedAtH";
    /** scales that are nearer than that to each other agree, % */
    private static final double AGREE_PCT = 1;

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf(
                            BY,
                            "measured by",
                            List.of(
                                    new Choice("watts", "watts"),
                                    new Choice(CURRENT, "current, mA"),
                                    new Choice(GRID, "engraved cells"))),
                    Field.amount("floorPct", "worn out at", Quantity.SHARE).empty("80"),
                    Field.many(CLEANED, "cleaned at, h", Quantity.HOURS),
                    Field.many("alignedAtH", "aligned at, h", Quantity.HOURS),
                    Field.many("coolantAtH", "coolant at, h", Quantity.HOURS),
                    Field.many("replacedAtH", "new source, h", Quantity.HOURS))
            .rows(
                    "history",
                    MOST,
                    Field.amount("hours", "beam hours", Quantity.HOURS),
                    Field.amount("value", "test came to", Quantity.PLAIN));

    public TrendBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "one fixed test over the beam hours, with the line through all of them and what was done meanwhile");
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (text(SCALES).isEmpty()) {
            scales().ifPresent(agree -> sheet.truth(SCALES, agree));
        } else if (!text(SCALES).equals(UNKNOWN)) {
            sheet.truth(SCALES, text(SCALES).equals("true"));
        }
        if (form().filledRows().size() < 3) {
            sheet.lacks("tests");
        }
    }

    /** What an entry holds beside its fields stands in the draft while it is shown. */
    @Override
    public Map<String, Draft.Text> texts(TrendReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        if (whole) {
            Draft.put(texts, SCALES, readings.scalesAgree().map(String::valueOf).orElse(UNKNOWN));
        }
        return texts;
    }

    /** Whether sender and controller mean the same by 100 %, as they were compared last. */
    private Optional<Boolean> scales() {
        return place().found("controller-settings", SettingsFinding.class)
                .filter(found -> found.powerFractionPct().isPresent())
                .map(found -> Math.abs(found.powerFractionPct().getAsDouble() - 100) <= AGREE_PCT
                        && found.saturationPct().orElse(100) >= 100 - AGREE_PCT);
    }

    @Override
    protected String head(Showing<TrendReadings, TrendFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.nowPct().isEmpty()
                        ? "No line fits these tests"
                        : "It stands at "
                                + Amount.percent(found.nowPct().getAsDouble(), 1)
                                        .text(units) + floor(found))
                .orElse("How the source falls over its hours");
    }

    /** When the floor is reached at the hours of this shop. */
    private String floor(TrendFinding found) {
        OptionalDouble perDay = place().found("beam-hours", BeamHoursFinding.class)
                .map(BeamHoursFinding::perDayH)
                .orElse(OptionalDouble.empty());
        OptionalDouble days = perDay.isPresent() ? found.daysToFloor(perDay.getAsDouble()) : OptionalDouble.empty();
        if (days.isEmpty() || days.getAsDouble() <= 0 || days.getAsDouble() > 20_000) {
            return "";
        }
        Instant at = place().workplace().now().plus(Duration.ofDays((long) days.getAsDouble()));
        return "; worn out about " + MONTH.format(place().workplace().local(at)) + " at this shop's hours";
    }

    @Override
    protected Figure figure(Showing<TrendReadings, TrendFinding> now, UnitChoice units) {
        return TrendFigure.of(now.finding(), units);
    }

    @Override
    public List<Node> tickets(Showing<TrendReadings, TrendFinding> now) {
        List<Node> tickets = new ArrayList<>();
        if (now.finding().isPresent() && scales().isEmpty()) {
            tickets.add(Slip.quiet(
                    "Compare the power scales of sender and controller before you call it age: bench Controller."));
        }
        now.finding().flatMap(TrendFinding::wear).ifPresent(wear -> tickets.add(Slip.quiet(TrendFigure.larger(wear))));
        return tickets;
    }

    /** What another stop measured last, at the hours of now. */
    private Optional<Double> newest() {
        return switch (form().chosen(BY)) {
            case CURRENT ->
                place().found("tube-ceiling", CeilingFinding.class)
                        .flatMap(found -> found.found()
                                .map(CeilingFinding.Found::asFoundMa)
                                .filter(OptionalDouble::isPresent)
                                .or(() -> Optional.of(found.currentAt100Ma())))
                        .flatMap(ma -> ma.isPresent() ? Optional.of(ma.getAsDouble()) : Optional.empty());
            case GRID -> Optional.empty();
            default -> place().found("power-linearity", LinearityFinding.class).map(LinearityFinding::maximumW);
        };
    }

    @Override
    public Optional<Node> otherSchool(Showing<TrendReadings, TrendFinding> now) {
        Optional<Double> hours =
                place().found("beam-hours", BeamHoursFinding.class).map(BeamHoursFinding::hours);
        Optional<Double> value = newest();
        if (!now.measuring() || hours.isEmpty() || value.isEmpty()) {
            return Optional.empty();
        }
        Hyperlink add = new Hyperlink("Add the newest from the record");
        add.setId("add-newest");
        add.setOnAction(event -> {
            int row = IntStream.range(0, MOST)
                    .filter(each -> text("history[" + each + "].hours").isEmpty()
                            || at(each) == Math.rint(hours.get() * 10) / 10)
                    .findFirst()
                    .orElse(MOST - 1);
            Map<String, Draft.Text> typed = new HashMap<>();
            Draft.put(typed, "history[" + row + "].hours", String.format(Locale.ROOT, "%.1f", hours.get()));
            Draft.put(typed, "history[" + row + "].value", String.format(Locale.ROOT, "%.2f", value.get()));
            place().draft().typeAll(typed);
        });
        return Optional.of(add);
    }

    /** The hours in a row; below 0 where none can be read. */
    private double at(int row) {
        return Worksheet.of(place().draft())
                .aside("history[" + row + "].hours", Quantity.HOURS)
                .orElse(-1.0);
    }

    @Override
    public String next() {
        return form().filledRows().size() < 3
                ? "Type three tests or more: the beam hours, and what the same test came to."
                : text("replacedAtH").isEmpty()
                        ? super.next()
                        : "Type three tests or more of the source that is in now.";
    }
}
