package zebrawood.benches.power;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
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
import javafx.scene.layout.VBox;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.power.BlockFinding;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.LinearityReadings.With;
import zebrawood.core.power.MeterLog;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.table.DataFile;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.FileDialogs;

/** Watts at the work, a row a command: typed, off a meter's log, or off a block of metal. */
public final class PercentBench extends FormBench<LinearityReadings, LinearityFinding> {

    /** the stop at which curves are taken */
    public static final String ID = "power-linearity";

    private static final int MOST = 24;
    /** curves of other lenses that are drawn behind */
    private static final int MOST_OTHERS = 3;

    private static final String METER_PCT = "meterPct";
    /** what a thermal meter is usually known to, % */
    private static final double METER_KNOWN_PCT = 3;
    /** rows of a log that are looked at: hours of it */
    private static final int LONGEST_LOG = 200_000;

    public static final FieldList FIELDS = FieldList.of(
                    Field.words("with.lens", "lens"),
                    Field.amount("with.frequencyKHz", "frequency", Quantity.FREQUENCY)
                            .empty("if pulsed"),
                    Field.amount("with.pulseNs", "pulse length", Quantity.PULSE).empty("if pulsed"),
                    Field.oneOf(
                            "commandSense",
                            "the scale",
                            List.of(new Choice("rising", "100 is most"), new Choice("falling", "100 is least"))),
                    Field.amount("stepPct", "table in steps", Quantity.SHARE).empty("10"),
                    Field.amount("tolerancePct", "straight within", Quantity.SHARE)
                            .empty("5"),
                    Field.amount(METER_PCT, "meter known to", Quantity.SHARE)
                            .empty("3")
                            .own())
            .rows(
                    "samples",
                    MOST,
                    Field.amount("commandPct", "command", Quantity.SHARE).anew(),
                    Field.amount("powerW", "power", Quantity.POWER).anew(),
                    Field.amount("halfWidthW", "±", Quantity.POWER).anew());

    private final List<NewAttachment> kept = new ArrayList<>();
    private double meterPct = METER_KNOWN_PCT;

    public PercentBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "watts at the work over the command; dashed: a straight line; straw: where to measure next");
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        meterPct = sheet.aside(METER_PCT, Quantity.SHARE).orElse(METER_KNOWN_PCT);
        if (form().filledRows().size() < 4) {
            sheet.lacks("readings");
        }
    }

    @Override
    protected String head(Showing<LinearityReadings, LinearityFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "100 % are " + PercentFigure.watts(found.maximumW(), units) + " at the work"
                        + found.firesAtPct().stream()
                                .mapToObj(at -> "; it fires from "
                                        + Amount.percent(at, 1).text(units) + (found.falls() ? " down" : " up"))
                                .findFirst()
                                .orElse(""))
                .orElse("What percent means in watts");
    }

    @Override
    protected Figure figure(Showing<LinearityReadings, LinearityFinding> now, UnitChoice units) {
        return PercentFigure.of(now.finding(), now.readings().map(this::others).orElse(List.of()), units);
    }

    /** Curves of other lenses, frequencies and pulse lengths, for comparison. */
    private List<PercentFigure.Other> others(LinearityReadings readings) {
        With with = readings.with().orElse(CurvesOnRecord.PLAIN);
        return CurvesOnRecord.newest(place()).stream()
                .filter(kept -> !CurvesOnRecord.alike(kept.with(), with))
                .limit(MOST_OTHERS)
                .map(kept -> new PercentFigure.Other(
                        CurvesOnRecord.words(kept.with(), place().units()),
                        kept.finding().curve()))
                .toList();
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A power meter's log: each time that the beam was on is a row, in the order of the commands. */
    @Override
    public Optional<String> take(File file) {
        if (CeilingBench.tooLong(file)) {
            return Optional.of(CeilingBench.TOO_LONG);
        }
        List<MeterLog.Firing> firings;
        try {
            firings = MeterLog.firings(log(file), meterPct);
        } catch (IOException e) {
            return Optional.of("that file cannot be read");
        }
        if (firings.isEmpty()) {
            return Optional.of("no firing is found in it: it needs a column of seconds and one of watts");
        }
        List<Integer> rows = IntStream.range(0, MOST)
                .filter(row -> !text(at(row, "commandPct")).isEmpty()
                        && text(at(row, "powerW")).isEmpty())
                .boxed()
                .toList();
        if (rows.size() != firings.size()) {
            return Optional.of(
                    "it shows " + firings.size() + " firings: type their commands first, a row each, in the order"
                            + " in which they were fired, and leave the watts empty");
        }
        Map<String, Draft.Text> typed = new HashMap<>();
        long climbing = firings.stream().filter(each -> !each.stays()).count();
        for (int i = 0; i < rows.size(); i++) {
            put(typed, rows.get(i), firings.get(i).powerW(), firings.get(i).halfWidthW());
        }
        place().draft().typeAll(typed);
        kept.clear();
        kept.add(new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())));
        place().workplace()
                .tell(
                        climbing == 0
                                ? "The watts of each firing stand in its row. The log goes along with the entry."
                                : "Fire for longer: in " + climbing + " of " + firings.size()
                                        + " firings the meter was still climbing.");
        return Optional.empty();
    }

    private static List<MeterLog.Shown> log(File file) throws IOException {
        List<MeterLog.Shown> log = new ArrayList<>();
        DataFile.read(file.toPath(), (number, cells) -> {
            if (cells.size() >= 2) {
                OptionalDouble at = PowerCurveFile.number(cells.get(0), Quantity.SECONDS);
                OptionalDouble power = PowerCurveFile.number(cells.get(1), Quantity.POWER);
                if (at.isPresent() && power.isPresent()) {
                    log.add(new MeterLog.Shown(at.getAsDouble(), power.getAsDouble()));
                }
            }
            return log.size() < LONGEST_LOG;
        });
        return log;
    }

    private static String at(int row, String column) {
        return "samples[" + row + "]." + column;
    }

    private static void put(Map<String, Draft.Text> typed, int row, double power, double half) {
        Draft.put(typed, at(row, "powerW"), String.format(Locale.ROOT, power < 10 ? "%.3f" : "%.2f", power));
        Draft.put(typed, at(row, "halfWidthW"), String.format(Locale.ROOT, "%.3f", half));
    }

    @Override
    public List<NewAttachment> attachments() {
        return List.copyOf(kept);
    }

    @Override
    public Optional<Node> otherSchool(Showing<LinearityReadings, LinearityFinding> now) {
        VBox others = new VBox();
        if (now.measuring()) {
            others.getChildren()
                    .add(FromFile.link(
                            place().workplace(),
                            "read-log",
                            "Read a power meter's log",
                            "A CSV with seconds and watts: each time that the beam was on fills a row.",
                            this::take));
            place().found("block-power", BlockFinding.class)
                    .filter(found -> found.powerW().isPresent())
                    .ifPresent(found -> others.getChildren().add(ofBlock(found)));
        }
        now.finding().ifPresent(found -> others.getChildren().add(save(found)));
        return others.getChildren().isEmpty() ? Optional.empty() : Optional.of(others);
    }

    private Node ofBlock(BlockFinding block) {
        double power = block.powerW().getAsDouble();
        Hyperlink take = new Hyperlink("Take " + PercentFigure.watts(power, place().units()) + " of the block");
        take.setId("take-block");
        take.setOnAction(event -> {
            int row = IntStream.range(0, MOST)
                    .filter(each -> text(at(each, "powerW")).isEmpty())
                    .findFirst()
                    .orElse(MOST - 1);
            Map<String, Draft.Text> typed = new HashMap<>();
            block.commandPct().ifPresent(at -> Draft.put(typed, at(row, "commandPct"), Amount.exact(at)));
            put(typed, row, power, block.halfWidthW().getAsDouble());
            place().draft().typeAll(typed);
        });
        return take;
    }

    private Node save(LinearityFinding found) {
        Hyperlink save = new Hyperlink("Save the curve");
        save.setId("save-curve");
        save.setOnAction(event -> FileDialogs.toSave(save.getScene(), "curve.csv")
                .ifPresent(file -> place().workplace().save(file, PowerCurveFile.text(found.curve()), "The curve")));
        return save;
    }

    @Override
    public String next() {
        return form().filledRows().size() < 4
                ? "Fire at commands from 0 to 100 %, and type the watts of each."
                : super.next();
    }
}
