package zebrawood.benches.power;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.VBox;
import zebrawood.core.power.EnergyFinding;
import zebrawood.core.power.EnergyReadings;
import zebrawood.core.power.PowerCurve;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.table.DataFile;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Slip;

/** Settings that came out well, and what they become; and whole tables of another machine. */
public final class EnergyBench extends FormBench<EnergyReadings, EnergyFinding> {

    /** refused lines that are told; the others stand in the file */
    private static final int TOLD = 4;
    /** curves of this machine that can be taken instead of the one in use */
    private static final int MOST_CURVES = 3;
    /** machines of the shop whose curve can be taken; those of more come as files */
    private static final int MOST_MACHINES = 6;
    /** with what the curve in use was taken; empty for the newest */
    private static final String CURVE = "curveWith";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("from.powerW", "power was", Quantity.POWER).needed(),
            Field.amount("from.speedMmS", "speed was", Quantity.MARKING).needed(),
            Field.amount("from.intervalMm", "interval was", Quantity.LENGTH).needed(),
            Field.count("from.passes", "passes were", EnergyFigure.PASSES),
            Field.amount("from.frequencyKHz", "frequency was", Quantity.FREQUENCY)
                    .empty("if pulsed"),
            Field.amount("from.pulseNs", "pulse was", Quantity.PULSE).empty("if pulsed"),
            Field.amount("to.powerW", "power now", Quantity.POWER).empty("two of three"),
            Field.amount("to.speedMmS", "speed now", Quantity.MARKING).empty("two of three"),
            Field.amount("to.intervalMm", "interval now", Quantity.LENGTH).empty("two of three"),
            Field.count("to.passes", "passes now", EnergyFigure.PASSES),
            Field.amount("to.frequencyKHz", "frequency now", Quantity.FREQUENCY).empty("if pulsed"),
            Field.amount("to.pulseNs", "pulse now", Quantity.PULSE).empty("if pulsed"));

    private Optional<PowerCurve> other = Optional.empty();
    private Optional<List<CurvesOnRecord.OfAnother>> elsewhere = Optional.empty();
    private String otherName = "";
    private int refreshed;
    private Optional<TableFile.Converted> converted = Optional.empty();

    public EnergyBench(BenchPlace place) {
        super(place, FIELDS, "lines on the work as they were and as they are now, to one scale");
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        sheet.objects("from", "to");
    }

    @Override
    protected String head(Showing<EnergyReadings, EnergyFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "The same " + Amount.plain(found.energyJMm2(), 3).text(units) + " J on each mm²: "
                        + EnergyFigure.settings(found.to(), units))
                .orElse("The same energy on the area, otherwise");
    }

    @Override
    protected Figure figure(Showing<EnergyReadings, EnergyFinding> now, UnitChoice units) {
        return EnergyFigure.of(now.readings(), now.finding(), units);
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** The curve of another machine (two columns), or a table of its settings. */
    @Override
    public Optional<String> take(File file) {
        if (CeilingBench.tooLong(file)) {
            return Optional.of(CeilingBench.TOO_LONG);
        }
        try {
            return isTable(file) ? table(file) : curve(file);
        } catch (IOException e) {
            return Optional.of("that file cannot be read");
        }
    }

    private static boolean isTable(File file) throws IOException {
        boolean[] table = new boolean[1];
        DataFile.read(file.toPath(), (number, cells) -> {
            table[0] = cells.stream()
                    .map(cell -> cell.toLowerCase(Locale.ROOT))
                    .anyMatch(head -> head.contains("power") && (head.contains("%") || cells.size() > 2));
            return false;
        });
        return table[0];
    }

    private Optional<String> curve(File file) throws IOException {
        try {
            from(PowerCurve.of(PowerCurveFile.read(file.toPath())), file.getName());
        } catch (ReadingException noCurve) {
            return Optional.of("it holds no curve: two columns are needed, command in % and power in W, and a table of"
                    + " settings needs a head with power %");
        }
        return Optional.empty();
    }

    /** Takes the curve of the machine that tables come from. */
    private void from(PowerCurve curve, String name) {
        other = Optional.of(curve);
        otherName = name;
        converted = Optional.empty();
        place().workplace()
                .tell("The curve of the other machine is read: "
                        + PercentFigure.watts(curve.maximumW(), place().units())
                        + " at the most. Now read the table of its settings.");
        refresh();
    }

    /** Curves that other machines of this shop have on record. */
    private List<Node> ofTheShop() {
        if (elsewhere.isEmpty()) {
            elsewhere = Optional.of(CurvesOnRecord.elsewhere(place()));
        }
        return elsewhere.get().stream()
                .limit(MOST_MACHINES)
                .<Node>map(each -> {
                    Hyperlink take = new Hyperlink("Take the curve of " + each.machine() + ", "
                            + each.kept().words(place()));
                    take.setId("take-of-" + each.machine());
                    take.setWrapText(true);
                    take.setOnAction(
                            event -> from(PowerCurve.of(each.kept().finding().curve()), each.machine()));
                    return take;
                })
                .toList();
    }

    private Optional<String> table(File file) {
        Optional<CurvesOnRecord.Kept> here = here();
        if (other.isEmpty()) {
            return Optional.of("read the curve of the machine first that the table comes from (two columns: %, W)");
        }
        if (here.isEmpty()) {
            return Optional.of("this machine has no curve yet: measure it on the bench Percent to watts");
        }
        PowerCurve from = other.get();
        PowerCurve to = PowerCurve.of(here.get().finding().curve());
        place().workplace().apart(() -> TableFile.convert(file.toPath(), from, to), this::told);
        return Optional.empty();
    }

    private void told(Optional<TableFile.Converted> made) {
        converted = made;
        place().workplace()
                .tell(
                        made.isEmpty()
                                ? "No column of that table is named power %."
                                : "The table is converted: save it.");
        refresh();
    }

    /** Draws anew what stands in the Slip. */
    private void refresh() {
        place().draft().type("table", otherName + ++refreshed, UnitChoice.METRIC);
    }

    /** The curve of this machine that is used: the newest, if no other was taken. */
    private Optional<CurvesOnRecord.Kept> here() {
        List<CurvesOnRecord.Kept> kept = CurvesOnRecord.newest(place());
        return kept.stream()
                .filter(each -> text(CURVE).equals(CurvesOnRecord.words(each.with(), UnitChoice.METRIC)))
                .findFirst()
                .or(() -> kept.stream().findFirst());
    }

    /** Curves of other lenses, frequencies and pulse lengths can be taken instead. */
    private List<Node> otherCurves() {
        Optional<CurvesOnRecord.Kept> used = here();
        return CurvesOnRecord.newest(place()).stream()
                .filter(each -> !used.equals(Optional.of(each)))
                .limit(MOST_CURVES)
                .<Node>map(each -> {
                    Hyperlink take = new Hyperlink("Take this machine's curve with " + each.words(place()));
                    take.setId("take-curve");
                    take.setWrapText(true);
                    take.setOnAction(event -> {
                        converted = Optional.empty();
                        place().draft()
                                .type(CURVE, CurvesOnRecord.words(each.with(), UnitChoice.METRIC), UnitChoice.METRIC);
                    });
                    return take;
                })
                .toList();
    }

    @Override
    public List<Node> tickets(Showing<EnergyReadings, EnergyFinding> now) {
        List<Node> tickets = new ArrayList<>();
        converted.ifPresent(made -> {
            here().ifPresent(curve ->
                    tickets.add(Slip.quiet("Through this machine's curve with " + curve.words(place()) + ".")));
            Node told = Slip.quiet(made.lines() + " settings, " + made.refused().size() + " cannot be had."
                    + (made.refused().isEmpty() ? "" : " They are empty in the file, with the reason beside them."));
            told.setId("table-told");
            tickets.add(told);
            made.refused().stream()
                    .limit(TOLD)
                    .forEach(each -> tickets.add(Slip.quiet("Line " + each.number() + ": " + each.why() + ".")));
        });
        return tickets;
    }

    @Override
    public Optional<Node> otherSchool(Showing<EnergyReadings, EnergyFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        }
        VBox box = new VBox(FromFile.link(
                place().workplace(),
                "read-table",
                other.isEmpty() ? "Read another machine's curve" : "Read a table of its settings",
                "A whole table (CSV) of another machine, turned into this machine's percent through watts: first the other"
                        + " machine's curve, then the table.",
                this::take));
        converted.ifPresent(made -> {
            Hyperlink save = new Hyperlink("Save the converted table");
            save.setId("save-table");
            save.setOnAction(event -> FileDialogs.toSave(save.getScene(), "settings.csv")
                    .ifPresent(file -> place().workplace().save(file, made.text(), "The table")));
            box.getChildren().add(save);
        });
        box.getChildren().addAll(other.isPresent() ? otherCurves() : ofTheShop());
        return Optional.of(box);
    }
}
