package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The machine drawn part by part, each figure typed where it sits; only what its family has. */
final class PlateBoard extends FlowPane {

    private static final double FIELD = 60;

    private final Desk desk;
    private final List<Cell> cells = new ArrayList<>();
    private PlateControls controls;
    private Has has;

    /** What decides which fields there are. */
    record Has(Optional<Family> family, boolean numbered, boolean water) {
        static Has of(Draft draft) {
            return new Has(
                    PlateControls.family(draft),
                    draft.text("control.kind").equals("numbered"),
                    draft.text("services.cooling").equals("water"));
        }

        boolean is(Family... families) {
            return family.isEmpty() || List.of(families).contains(family.get());
        }
    }

    PlateBoard(Desk desk) {
        super(24, 18);
        this.desk = desk;
        setPrefWrapLength(860);
    }

    /** Puts up the fields that this machine has, in the order in which Enter goes through them. */
    void build(PlateControls made, Has what) {
        controls = made;
        has = what;
        cells.clear();
        getChildren().setAll(name(), front(), above(), head(), room(), services(), controller(), rhythm());
    }

    /** Draws the machine as far as it is known. */
    void draw(Plate sketch) {
        UnitChoice units = desk.units().get();
        cells.forEach(cell -> cell.draw(sketch, units));
    }

    /** One part of the machine: its drawing, and the fields on it. */
    private final class Cell extends Pane {
        private final DrawingSurface drawing = new DrawingSurface(desk.look());
        private final BiFunction<Plate, UnitChoice, Figure> figure;
        private double lowest;

        Cell(String title, double width, double height, BiFunction<Plate, UnitChoice, Figure> figure) {
            this.figure = figure;
            Label head = Words.label(title, "head");
            drawing.setManaged(false);
            drawing.resizeRelocate(0, 0, width, height);
            getChildren().addAll(drawing, head);
            setPrefWidth(width);
            setMinWidth(width);
            lowest = height;
            cells.add(this);
        }

        Cell put(String path, double x, double y, double width) {
            Node node = controls.of(path, width);
            node.relocate(x, y);
            getChildren().add(node);
            lowest = Math.max(lowest, y + FIELD);
            return this;
        }

        /** Fields two beside each other, from here on down. */
        Cell pairs(double x, double y, double width, String... paths) {
            for (int i = 0; i < paths.length; i++) {
                int line = i / 2;
                put(paths[i], x + i % 2 * (width / 2 + 4), y + line * FIELD, width / 2 - 4);
            }
            return this;
        }

        Cell done() {
            setMinHeight(lowest);
            setPrefHeight(lowest);
            return this;
        }

        void draw(Plate sketch, UnitChoice units) {
            drawing.show(figure.apply(sketch, units), "");
        }
    }

    private Cell name() {
        return new Cell("", 840, 60, (plate, units) -> Figure.EMPTY)
                .put("name", 0, 0, 200)
                .put("family", 212, 0, 190)
                .put("number", 414, 0, 150)
                .put("place", 576, 0, 220)
                .done();
    }

    private Cell front() {
        return new Cell("From the front", 384, 300, PlateFigures::front)
                .put("size.widthMm", 180, 246, 96)
                .put("size.heightMm", 0, 110, 88)
                .put("size.massKg", 292, 246, 88)
                .done();
    }

    private Cell above() {
        Cell cell = new Cell("From above", 436, 300, PlateFigures::above)
                .put("size.depthMm", 0, 110, 88)
                .put("bed.xMm", 104, 246, 88)
                .put("bed.yMm", 204, 246, 88);
        if (has.is(Family.GANTRY_DIODE) && has.family().isPresent()) {
            cell.put("bed.headOffsetXMm", 4, 306, 140).put("bed.headOffsetYMm", 152, 306, 140);
        }
        List<String> source = new ArrayList<>(List.of("source.kind", "source.ratedPowerW"));
        if (has.is(Family.GANTRY_CO2)) {
            source.add("source.ratedCurrentMa");
        }
        source.addAll(List.of("source.wavelengthsNm[0]", "source.beamAtLensMm"));
        for (int i = 0; i < source.size(); i++) {
            cell.put(source.get(i), 306, 2 + i * FIELD, 130);
        }
        return cell.done();
    }

    private Cell head() {
        Cell cell = new Cell("Head and focus", 256, 150, PlateFigures::head)
                .put("optics.focusDatum", 0, 146, 256)
                .put("optics.makersGapMm", 126, 76, 130)
                .pairs(
                        0,
                        206,
                        256,
                        "optics.gapTool",
                        "optics.gapToolStepMm",
                        "optics.heightMoves",
                        "optics.heightStepMm")
                .pairs(0, 326, 256, "optics.widthErrorMm");
        if (has.is(Family.GANTRY_CO2, Family.GALVO_FIBRE, Family.GALVO_UV, Family.SHEET_FIBRE)) {
            cell.pairs(
                    0,
                    386,
                    256,
                    "optics.lenses[0].name",
                    "optics.lenses[0].focalLengthMm",
                    "optics.lenses[1].name",
                    "optics.lenses[1].focalLengthMm",
                    "optics.lenses[2].name",
                    "optics.lenses[2].focalLengthMm");
        }
        return cell.done();
    }

    private Cell services() {
        Cell cell = new Cell("Water, covers, air", 270, 110, PlateFigures::services)
                .put("services.cooling", 100, 34, 170)
                .put("services.enclosure", 0, 122, 270)
                .put("services.enclosureNote", 0, 122 + FIELD, 270);
        double y = 122 + 2 * FIELD;
        if (has.water()) {
            cell.put("services.coolingNote", 0, y, 270);
            y += FIELD;
        }
        if (has.is(Family.GANTRY_CO2, Family.GANTRY_DIODE)) {
            cell.put("services.airAssist", 0, y, 131).put("services.air", 139, y, 131);
            y += FIELD;
        }
        if (has.is(Family.GALVO_FIBRE, Family.SHEET_FIBRE)) {
            cell.put("services.deliveryFibre", 0, y, 131);
            y += FIELD;
        }
        return cell.put("services.extraction", 0, y, 131)
                .put("services.mains", 139, y, 131)
                .done();
    }

    private Cell room() {
        return new Cell("Air of the room", 256, 112, PlateFigures::room)
                .pairs(0, 118, 256, "climate.minTemperatureC", "climate.maxTemperatureC")
                .pairs(0, 118 + FIELD, 256, "climate.minHumidityPct", "climate.maxHumidityPct")
                .done();
    }

    private Cell controller() {
        Cell cell = new Cell("Controller", 270, 110, PlateFigures::controller).put("control.kind", 110, 34, 160);
        if (has.numbered()) {
            cell.pairs(
                    0,
                    122,
                    270,
                    "control.need.tool",
                    "control.need.limitSwitches",
                    "control.need.travelMm.x",
                    "control.need.travelMm.y",
                    "control.need.travelMm.z",
                    "control.need.travelToleranceMm",
                    "control.need.senderMaxS",
                    "control.need.maxS",
                    "control.need.maxRateMmMin",
                    "control.need.accelerationMmS2",
                    "control.need.homeCorner");
        }
        return cell.done();
    }

    private Cell rhythm() {
        return new Cell("Looked at again, days", 256, 60, PlateFigures::rhythm)
                .pairs(
                        0,
                        66,
                        256,
                        "rhythm.climateDays",
                        "rhythm.settingsDays",
                        "rhythm.focusDays",
                        "rhythm.daysOutOfUse")
                .done();
    }
}
