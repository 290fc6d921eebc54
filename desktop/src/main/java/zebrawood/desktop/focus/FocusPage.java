package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.focus.FocusTable;
import zebrawood.core.focus.FocusTable.Doubt;
import zebrawood.core.machine.Plate;
import zebrawood.core.pattern.Drawings;
import zebrawood.core.pattern.Pattern;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** What is known of a machine's best gap: every school on one axis, and how far it may be trusted. */
public final class FocusPage extends HBox implements FramedPage {

    private static final Map<Doubt, String> WORDS = Map.of(
            Doubt.NOT_MEASURED, "NOT MEASURED",
            Doubt.CHANGED_SINCE, "CHANGED SINCE",
            Doubt.SCHOOLS_DISAGREE, "SCHOOLS DISAGREE",
            Doubt.NOT_PROVED, "NOT PROVED");

    private final Desk desk;
    private final Navigator navigator;
    private final String machineId;
    private final DrawingSurface drawing;
    private final DrawingSurface datum;
    private final ComboBox<String> lenses = new ComboBox<>();
    private final Slip slip;
    private final Button measure = new Button("Measure");
    private Map<String, FocusTable> tables = Map.of();
    private String lens = "";
    private boolean choosing;

    public FocusPage(Desk desk, Navigator navigator, String machineId) {
        this.desk = desk;
        this.navigator = navigator;
        this.machineId = machineId;
        drawing = new DrawingSurface(desk.look()).withMenu();
        drawing.setId("focus-axis");
        slip = new Slip(desk.look());
        measure.setId("measure");
        measure.getStyleClass().add("strong");
        measure.setMaxWidth(Double.MAX_VALUE);
        datum = new DrawingSurface(desk.look());
        datum.setId("focus-datum");
        datum.setMinHeight(DatumFigure.HEIGHT);
        datum.setPrefHeight(DatumFigure.HEIGHT);
        lenses.setId("focus-lens");
        lenses.getStyleClass().add("pill");
        lenses.setAccessibleText("which lens is looked at");
        lenses.setOnAction(event -> {
            if (!choosing && lenses.getSelectionModel().getSelectedIndex() >= 0) {
                lens = List.copyOf(tables.keySet())
                        .get(lenses.getSelectionModel().getSelectedIndex());
                refresh();
            }
        });
        Label title = Words.label("What is known of the best gap", "head");
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        VBox head = new VBox(
                2,
                new HBox(12, title, lenses),
                Words.label("every school on one axis with its 95 % interval; open rings are not proved", "caption"));
        VBox.setVgrow(drawing, Priority.ALWAYS);
        VBox page = new VBox(12, head, drawing, datum);
        page.setPadding(new Insets(14, 12, 8, 28));
        HBox.setHgrow(page, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 8));
        getChildren().addAll(page, slip);
        refresh();
    }

    private MachineStatus machine() {
        return desk.machine(machineId).orElseThrow();
    }

    @Override
    public void refresh() {
        UnitChoice units = desk.units().get();
        MachineStatus machine = machine();
        tables = OnRecord.of(desk.logbook(), machineId, machine);
        if (!tables.containsKey(lens)) {
            lens = tables.keySet().iterator().next();
        }
        FocusTable table = tables.get(lens);
        choose();
        OptionalDouble makers =
                machine.plate().optics().map(Plate.Optics::makersGapMm).orElse(OptionalDouble.empty());
        drawing.show(
                FocusFigure.of(
                        table,
                        makers,
                        machine.plate().datum(),
                        at -> desk.local(at).toLocalDate(),
                        units),
                inWords(table, units));
        datum.show(
                DatumFigure.of(
                        machine.plate().datum(), makers, table.together().map(FocusTable.Together::bestGapMm), units),
                "from where the gap is measured: " + machine.plate().datum());
        Optional<Doubt> doubt = table.doubt();
        StopState shape = doubt.map(heaviest -> heaviest == Doubt.NOT_MEASURED ? StopState.OPEN : StopState.UNCLEAR)
                .orElse(StopState.PASSED);
        Instruction next = table.next();
        List<Node> parts = new ArrayList<>();
        parts.add(slip.verdict(shape, doubt.map(WORDS::get).orElse("AGREED")));
        parts.add(Slip.act(next.action().in(units), next.byHand().map(said -> said.in(units))));
        table.together()
                .ifPresent(all -> parts.add(
                        Slip.quiet("Together " + Amount.mm(all.bestGapMm(), 2).number(units) + " ± "
                                + Amount.mm(all.halfWidthMm(), 2).text(units))));
        table.depthOfFocusMm()
                .ifPresent(mm ->
                        parts.add(Slip.quiet("The focus is " + Amount.mm(mm, 2).text(units) + " deep.")));
        if (makers.isPresent() && table.together().isPresent()) {
            double off = table.together().get().bestGapMm() - makers.getAsDouble();
            parts.add(Slip.quiet("That is " + Amount.mm(Math.abs(off), 2).text(units) + (off < 0 ? " less" : " more")
                    + " than the maker's figure."));
        }
        tables.forEach((name, other) -> {
            if (!name.equals(lens) && !name.isEmpty() && !lens.isEmpty()) {
                parts.add(Slip.quiet(table.swap(name, other).in(units)));
            }
        });
        if (doubt.isEmpty()) {
            parts.add(gauge(table));
        }
        String stop = doubt.isPresent() ? "focus-ramp" : "focus-ladder";
        measure.setText(doubt.isPresent() ? "Burn a ramp line" : "Burn a ladder");
        measure.setOnAction(event -> navigator.stop(machineId, stop));
        parts.add(measure);
        slip.show(parts);
    }

    /** Which lens is looked at, where marks were burned with more than one. */
    private void choose() {
        lenses.setVisible(tables.size() > 1);
        lenses.setManaged(tables.size() > 1);
        choosing = true;
        lenses.getItems().setAll(tables.keySet().stream().map(FocusPage::words).toList());
        lenses.setValue(words(lens));
        choosing = false;
    }

    private static String words(String lens) {
        return lens.isEmpty() ? "lens not said" : "lens " + lens;
    }

    /** A stepped gauge at the gap on which the schools agree, to be cut or milled. */
    private Node gauge(FocusTable table) {
        Hyperlink save = new Hyperlink("Save a gauge to cut");
        save.setId("gauge");
        save.setTooltip(new Tooltip("SVG, or DXF where the name ends in .dxf; the middle step is the best gap."));
        save.setOnAction(event -> FileDialogs.toSave(getScene(), "gauge.svg").ifPresent(file -> {
            double gap = table.together().orElseThrow().bestGapMm();
            double step = Math.min(gap / 3, Math.max(0.1, table.depthOfFocusMm().orElse(1) / 4));
            Pattern pattern = Patterns.gauge(gap, step, lens);
            boolean dxf = file.toString().toLowerCase(Locale.ROOT).endsWith(".dxf");
            desk.save(
                    file,
                    dxf ? Drawings.dxf(pattern) : Drawings.svg(pattern),
                    "Measure the gauge with a calliper before you trust it. Its lines");
        }));
        return save;
    }

    private static String inWords(FocusTable table, UnitChoice units) {
        StringBuilder words = new StringBuilder("best gap by school:");
        for (FocusTable.School school : table.schools()) {
            words.append(' ')
                    .append(school.name())
                    .append(' ')
                    .append(Amount.mm(school.bestGapMm(), 2).text(units))
                    .append(';');
        }
        return words.toString();
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return Place.ROUTE;
    }

    @Override
    public Heading heading() {
        Plate plate = machine().plate();
        return new Heading(plate.name(), plate.line(), "Focus table");
    }

    @Override
    public Foot foot() {
        return Foot.of("Whenever stock, riser, lens, nozzle or bed changes, the gap is set again.");
    }

    @Override
    public Optional<String> machineId() {
        return Optional.of(machineId);
    }

    @Override
    public void begin() {
        measure.requestFocus();
    }

    @Override
    public void copy() {
        UnitChoice units = desk.units().get();
        StringBuilder lines = new StringBuilder("school\tbest gap\tgive or take\n");
        for (FocusTable.School school : tables.get(lens).schools()) {
            lines.append(school.name())
                    .append('\t')
                    .append(Amount.mm(school.bestGapMm(), 3).text(units))
                    .append('\t')
                    .append(
                            school.isProved()
                                    ? Amount.mm(school.halfWidthMm().getAsDouble(), 3)
                                            .text(units)
                                    : "not proved")
                    .append('\n');
        }
        Clip.put(lines.toString());
    }

    @Override
    public Optional<Parent> printed() {
        return Optional.of(this);
    }
}
