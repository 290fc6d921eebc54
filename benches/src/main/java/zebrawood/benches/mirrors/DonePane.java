package zebrawood.benches.mirrors;

import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** Once all is true: the corners as found and as left, and the pointer, which is read last. */
final class DonePane extends Pane {

    /** px that the pointer needs; the map of the corners gives way to it */
    private static final double POINTER = 240;

    private static final double LEAST_MAP = 300;

    private final DrawingSurface corners;
    private final List<ReadingField> pointed;
    private final VBox pointer;

    DonePane(BenchPlace place) {
        corners = new DrawingSurface(place.workplace().look()).withMenu();
        pointed = List.of(MirrorsBench.POINTER_X, MirrorsBench.POINTER_Y).stream()
                .map(name -> new ReadingField(MirrorsBench.FIELDS.field(name)))
                .toList();
        pointer = new VBox(
                4,
                Words.label("The pointer, last", "stage"),
                Words.wrapped(
                        "Where its spot sits on the card of the last shot. Nothing is judged by it; set it to the "
                                + "beam, never the beam to it.",
                        "caption"),
                new HBox(
                        12,
                        BeginPane.cell(pointed.get(0).title(), pointed.get(0)),
                        BeginPane.cell(pointed.get(1).title(), pointed.get(1))));
        getChildren().addAll(corners, pointer);
        hide();
    }

    List<ReadingField> fields() {
        return pointed;
    }

    void hide() {
        setVisible(false);
        pointed.forEach(field -> field.field().setVisible(false));
    }

    void show(PlanReadings readings, PlanFinding finding, UnitChoice units) {
        setVisible(true);
        pointed.forEach(field -> field.field().setVisible(true));
        corners.show(
                new MirrorsFigure().figure(readings, finding, units), "the corners of the bed as found and as left");
    }

    /** How much of so much width the map of the corners takes; nothing where it would leave too little. */
    static double mapWidth(double width) {
        double map = Math.max(LEAST_MAP, width * 0.6 - 30);
        return width - map - 56 >= POINTER ? map : 0;
    }

    @Override
    protected void layoutChildren() {
        double map = mapWidth(getWidth());
        corners.setVisible(map > 0);
        corners.resizeRelocate(24, 0, map, getHeight() - 4);
        double left = map > 0 ? 24 + map + 20 : 24;
        double wide = getWidth() - left - 12;
        pointer.resizeRelocate(left, 0, wide, pointer.prefHeight(wide));
    }
}
