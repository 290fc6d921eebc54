package zebrawood.benches.focus;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampPlan;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The ramp from the side, the line from above with its fields, and the plot under them. */
final class RampView extends Pane {

    private static final String NO_LENS = "lens not said";
    private static final double SIDE_TOP = 54;
    private static final double SIDE_HEIGHT = 178;
    private static final double FIELD_HEIGHT = 34;

    private final BenchPlace place;
    private final RampPlan plan;
    private final Practising practice;
    private final Draft draft;
    private final Label heading = Words.label("Burn one line up the plate, then read its width", "head");
    private final Label sideCaption = Words.label("", "caption");
    private final Label lineCaption = Words.label("", "caption");
    private final Label plotHeading = Words.label("Width against gap", "head");
    private final Label message = Words.label("", "problem");
    private final DrawingSurface side;
    private final DrawingSurface line;
    private final DrawingSurface plot;
    private final ReadingField gap = new ReadingField(RampBench.FIELDS.field(RampBench.GAP));
    private final ReadingField run = new ReadingField(RampBench.FIELDS.field(RampBench.RUN)).bare();
    private final ReadingField rise = new ReadingField(RampBench.FIELDS.field(RampBench.RISE));
    private final ReadingField there = new ReadingField(RampBench.FIELDS.field(RampBench.GAP_THERE));
    private final ReadingField thinnest = new ReadingField(RampBench.FIELDS.field(RampBench.THINNEST));
    private final List<ReadingField> widths = new ArrayList<>();
    private final List<Label> positions = new ArrayList<>();
    private final ComboBox<ReadWith> tool = new ComboBox<>(FXCollections.observableArrayList(ReadWith.values()));
    private final ComboBox<String> places =
            new ComboBox<>(FXCollections.observableArrayList("9 places", "13 places", "17 places"));
    private final ComboBox<String> ruler =
            new ComboBox<>(FXCollections.observableArrayList("rule held level", "rule on the plate"));
    private final ComboBox<String> along =
            new ComboBox<>(FXCollections.observableArrayList("line any way", "line along X", "line along Y"));
    private final ComboBox<String> lens = new ComboBox<>();
    private final Label gapName = Words.label(gap.title(), "small");
    private final Label riseName = Words.label(rise.title(), "small");
    private final Label runName = Words.label(run.title(), "small");
    private double runMm;
    private RampSide.Ramp shown;
    private String with = "";
    private boolean hasPlot;
    private boolean choosing = true;

    RampView(BenchPlace place, RampPlan plan, Practising practice) {
        this.practice = practice;
        this.place = place;
        this.plan = plan;
        this.draft = place.draft();
        this.runMm = plan.runMm();
        side = new DrawingSurface(place.workplace().look()).withMenu();
        line = new DrawingSurface(place.workplace().look());
        plot = new DrawingSurface(place.workplace().look()).withMenu();
        getChildren().addAll(heading, sideCaption, side, lineCaption, line, plotHeading, plot, message);
        for (int i = 0; i < RampBench.MOST_PLACES; i++) {
            ReadingField width = new ReadingField(RampBench.width(i), RampBench.WIDTH.label(), Quantity.LENGTH).bare();
            width.field().getStyleClass().add("mark-field");
            width.field().focusedProperty().addListener((value, before, now) -> requestLayout());
            widths.add(width);
            positions.add(Words.label("", "caption"));
        }
        thinnest.field().getStyleClass().add("live-field");
        getChildren().addAll(positions);
        getChildren().addAll(gapName, gap, runName, run, riseName, rise);
        getChildren().addAll(widths);
        there.field().setPromptText("gap there, by a block");
        getChildren().addAll(thinnest, there, tool, places, ruler);
        prompt(gap.field(), plan.gapAtStartMm());
        prompt(run.field(), plan.runMm());
        prompt(rise.field(), plan.riseMm());
        choices();
        setMinHeight(600);
    }

    private void prompt(TextField field, double mm) {
        field.setPromptText("about " + Amount.mm(mm, 0).number(UnitChoice.METRIC));
    }

    private void choices() {
        for (ComboBox<?> box : List.of(tool, places, ruler, along, lens)) {
            box.getStyleClass().add("pill");
            box.setFocusTraversable(true);
        }
        tool.setId("tool");
        places.setId("places");
        ruler.setId("ruler");
        along.setId("along");
        lens.setId("lens");
        lens.setAccessibleText("which lens is in");
        lens.getItems().add(NO_LENS);
        GapKnown.lenses(place).forEach(name -> lens.getItems().add("lens " + name));
        // with one lens there is nothing to choose
        lens.setManaged(lens.getItems().size() > 2);
        lens.setVisible(lens.isManaged());
        along.setAccessibleText("along which axis the line ran");
        along.setTooltip(
                new Tooltip("For a spot that may not be round: burn a line along X and one along Y on the same day."));
        tool.setAccessibleText("what widths are read with");
        places.setAccessibleText("how many places are read");
        ruler.setAccessibleText("how the rule lies");
        tool.setOnAction(
                event -> chosen(() -> draft.type(RampBench.TOOL, tool.getValue().name(), UnitChoice.METRIC)));
        places.setOnAction(event -> chosen(() -> rePlace(places.getValue().split(" ")[0])));
        ruler.setOnAction(event -> chosen(() ->
                draft.type(RampBench.RULER, ruler.getValue().endsWith("plate") ? "plate" : "", UnitChoice.METRIC)));
        lens.setOnAction(event -> chosen(() -> draft.type(
                RampBench.LENS,
                lens.getValue().equals(NO_LENS) ? "" : lens.getValue().substring(5),
                UnitChoice.METRIC)));
        along.setOnAction(event -> chosen(() -> draft.type(
                RampBench.ALONG,
                along.getValue().endsWith("X") ? "x" : along.getValue().endsWith("Y") ? "y" : "",
                UnitChoice.METRIC)));
    }

    /** Runs what a person chose; a box that is only being set to what the draft says is passed over. */
    private void chosen(Runnable choice) {
        if (choosing) {
            choice.run();
        }
    }

    /** More or fewer places: a width read stays with its place where there still is one. */
    private void rePlace(String wanted) {
        int before = RampBench.places(draft);
        int after = Integer.parseInt(wanted);
        if (before == after) {
            return;
        }
        Map<Integer, String> moved = new HashMap<>();
        for (int i = 0; i < before; i++) {
            double at = i / (before - 1.0) * (after - 1);
            if (!draft.text(RampBench.width(i)).isBlank() && Math.abs(at - Math.rint(at)) < 1e-9) {
                moved.put((int) Math.rint(at), draft.text(RampBench.width(i)));
            }
        }
        draft.type(RampBench.PLACES, wanted, UnitChoice.METRIC);
        for (int i = 0; i < RampBench.MOST_PLACES; i++) {
            draft.type(RampBench.width(i), moved.getOrDefault(i, ""), place.units());
        }
    }

    /** Which lens is in, and along which axis the line ran. */
    Node onWhat() {
        VBox boxes = new VBox(8, lens, along);
        boxes.setPadding(new Insets(2, 0, 8, 0));
        return boxes;
    }

    List<ReadingField> fields() {
        List<ReadingField> fields = new ArrayList<>(List.of(gap, run, rise, thinnest, there));
        fields.addAll(widths);
        return fields;
    }

    String position(int mark) {
        return Amount.mm(RampPlan.placeMm(mark, RampBench.places(draft), runMm), runMm >= 20 ? 0 : 1)
                .text(place.units());
    }

    void show(Showing<RampReadings, RampFinding> now) {
        UnitChoice units = place.units();
        Filled sheet = now.filled();
        Optional<RampFinding> finding = now.outcome().map(outcome -> outcome.finding());
        double gapMm = sheet.understood(RampBench.GAP).orElse(plan.gapAtStartMm());
        double riseMm = sheet.understood(RampBench.RISE)
                .filter(r -> r != 0 && r <= gapMm)
                .orElse(Math.min(plan.riseMm(), gapMm));
        runMm = sheet.understood(RampBench.RUN).filter(r -> r > 0).orElse(plan.runMm());
        boolean read = List.of(RampBench.GAP, RampBench.RUN, RampBench.RISE).stream()
                .allMatch(field -> sheet.understood(field).isPresent());
        RampSide.Ramp ramp = ramp(gapMm, riseMm, read, finding);
        side.show(
                (pen, width, height) -> RampSide.figure(ramp, units).draw(pen, width, height),
                "the ramp from the side");
        boolean quick = RampBench.isQuick(draft);
        showLine(sheet, quick, units);
        shown = ramp;
        with = Stream.of(lens, along)
                .filter(box -> box.getSelectionModel().getSelectedIndex() > 0)
                .map(box -> "; " + box.getValue())
                .collect(Collectors.joining());
        hasPlot = finding.filter(f -> !f.points().isEmpty()).isPresent();
        plot.show(
                finding.map(f -> RampFigures.caustic(f, place.plate().datum(), units))
                        .orElse(Figure.EMPTY),
                "line width against gap"
                        + finding.flatMap(f -> f.bestGapMm().isPresent()
                                        ? Optional.of(f.bestGapMm().getAsDouble())
                                        : Optional.<Double>empty())
                                .map(best ->
                                        ", thinnest at " + Amount.mm(best, 2).text(units))
                                .orElse(""));
        Words.set(
                heading,
                practice.head(
                        practice.isOn()
                                ? "Burn a line, read its width"
                                : "Burn one line up the plate, then read its width"));
        boolean editable = now.measuring();
        List.of(tool, places, ruler, along, lens).forEach(box -> box.setDisable(!editable));
        message.setText(widths.stream()
                .filter(field -> sheet.problems().containsKey(field.name()))
                .findFirst()
                .map(field -> "At " + position(widths.indexOf(field)) + ": "
                        + sheet.problems().get(field.name()) + ".")
                .or(() ->
                        Optional.ofNullable(sheet.problems().get(RampBench.RUN)).map(why -> "Run: " + why + "."))
                .orElse(""));
        requestLayout();
    }

    private RampSide.Ramp ramp(double gapMm, double riseMm, boolean read, Optional<RampFinding> finding) {
        OptionalDouble best = finding.map(RampFinding::bestGapMm).orElse(OptionalDouble.empty());
        double headAt = best.isPresent()
                ? Math.max(0, Math.min(runMm, (gapMm - best.getAsDouble()) * runMm / riseMm))
                : runMm / 2;
        return new RampSide.Ramp(
                gapMm, runMm, riseMm, read, headAt, best, place.plate().datum());
    }

    private void showLine(Filled sheet, boolean quick, UnitChoice units) {
        int count = RampBench.places(draft);
        List<RampLine.Mark> marks = new ArrayList<>();
        for (int i = 0; i < RampBench.MOST_PLACES; i++) {
            boolean there = !quick && i < count;
            widths.get(i).field().setVisible(there);
            widths.get(i).setVisible(there);
            positions.get(i).setVisible(there);
            if (there) {
                double at = RampPlan.placeMm(i, count, runMm);
                marks.add(new RampLine.Mark(
                        at, sheet.understood(RampBench.width(i)).filter(w -> w > 0 && w < 50)));
                positions.get(i).setText(Amount.mm(at, runMm >= 20 ? 0 : 1).number(units));
                widths.get(i).field().setAccessibleText("width at " + position(i));
            }
        }
        thinnest.setVisible(quick);
        thinnest.field().setVisible(quick);
        there.setVisible(quick);
        there.field().setVisible(quick);
        if (quick) {
            sheet.understood(RampBench.THINNEST)
                    .ifPresent(at -> marks.add(new RampLine.Mark(Math.max(0, Math.min(runMm, at)), Optional.of(0.1))));
        }
        line.show(RampLine.figure(marks, runMm, RampSide.MARGIN - 4), "the burned line from above");
        lineCaption.setText(
                quick
                        ? "from above; where is the line thinnest, from the start? And what gap fits there, if you have a block?"
                        : String.format(
                                Locale.ROOT,
                                "from above, widths drawn %.0f times larger; read in this order, %s",
                                RampLine.scale(marks),
                                units.length()));
        tool.setVisible(!quick);
        places.setVisible(!quick);
        choosing = false;
        tool.setValue(ReadWith.of(draft, place.plate()));
        places.setValue(count + " places");
        String in = "lens " + draft.text(RampBench.LENS);
        lens.setValue(lens.getItems().contains(in) ? in : NO_LENS);
        along.setValue(
                RampBench.along(draft).map(axis -> "line along " + axis.name()).orElse("line any way"));
        ruler.setValue(draft.text(RampBench.RULER).equals("plate") ? "rule on the plate" : "rule held level");
        choosing = true;
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double left = RampSide.MARGIN;
        sideCaption.setText(RampSide.caption(shown, Math.max(300, width), SIDE_HEIGHT) + with);

        heading.resizeRelocate(24, 12, width - 48, 24);
        sideCaption.resizeRelocate(24, 34, width - 48, 18);
        side.resizeRelocate(0, SIDE_TOP, width, SIDE_HEIGHT);
        double fieldWidth = 74;
        place(gapName, gap, 6, SIDE_TOP + 50, fieldWidth);
        place(riseName, rise, width - fieldWidth - 6, SIDE_TOP + 50, fieldWidth);
        runName.resizeRelocate(width / 2 - 70, SIDE_TOP + SIDE_HEIGHT - 2, 30, 18);
        run.resizeRelocate(width / 2 - fieldWidth / 2, SIDE_TOP + SIDE_HEIGHT - 10, fieldWidth, FIELD_HEIGHT);
        double top = SIDE_TOP + SIDE_HEIGHT + 34;
        lineCaption.resizeRelocate(24, top, width - 48, 18);
        double stripTop = top + 22;
        int count = RampBench.places(draft);
        boolean two = count > RampBench.PLACES_OFFERED || (width - 2 * left) / (count - 1) < 48;
        double rows = two ? 2 : 1;
        line.resizeRelocate(4, stripTop, width - 8, RampLine.STRIP + 8);
        double fieldsTop = stripTop + RampLine.STRIP + 24;
        layoutWidths(width, left, fieldsTop, count, two);
        double half = Math.min(200, width / 2 - 32);
        thinnest.resizeRelocate(width / 2 - half - 6, fieldsTop - 8, half, thinnest.prefHeight(half));
        there.resizeRelocate(width / 2 + 6, fieldsTop - 8, half, there.prefHeight(half));
        double after = fieldsTop + rows * FIELD_HEIGHT + 2;
        message.resizeRelocate(24, after, width - 48, 16);
        double choicesTop = after + 16;
        layoutChoices(width, choicesTop);
        double plotTop = choicesTop + 40;
        plotHeading.setVisible(hasPlot);
        plot.setVisible(hasPlot);
        plot.resizeRelocate(16, plotTop, width - 28, Math.max(130, getHeight() - plotTop - 6));
    }

    private void layoutChoices(double width, double y) {
        plotHeading.resizeRelocate(24, y + 8, 160, 24);
        double right = width - 16;
        for (ComboBox<?> box : List.of(ruler, places, tool)) {
            double boxWidth = box.prefWidth(-1);
            boolean fits = right - boxWidth > (hasPlot ? 180 : 20);
            box.resizeRelocate(right - boxWidth, y, boxWidth, 34);
            box.setVisible(fits && (box == ruler || !RampBench.isQuick(draft)));
            right -= boxWidth + 8;
        }
    }

    private void layoutWidths(double width, double left, double top, int count, boolean two) {
        double along = width - 2 * left;
        double each = along / (count - 1);
        double fieldWidth = Math.min(58, (two ? 2 : 1) * each - 4);
        for (int i = 0; i < count; i++) {
            double x = left + i * each;
            double row = two && i % 2 == 1 ? FIELD_HEIGHT + 2 : 0;
            positions.get(i).resizeRelocate(x - 20, top - 17, 40, 16);
            positions.get(i).setAlignment(Pos.CENTER);
            widths.get(i).resizeRelocate(x - fieldWidth / 2, top + row, fieldWidth, FIELD_HEIGHT);
        }
    }

    private static void place(Label label, ReadingField field, double x, double y, double width) {
        label.resizeRelocate(x, y, width + 10, 18);
        field.resizeRelocate(x, y + 18, width, field.prefHeight(width));
    }
}
