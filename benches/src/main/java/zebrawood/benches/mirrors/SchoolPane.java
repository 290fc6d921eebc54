package zebrawood.benches.mirrors;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** What other schools make of the same marks, in the place of the mirrors. */
final class SchoolPane extends Pane {

    /** where a draft keeps which one is shown; empty for the plan */
    static final String FIELD = "school";

    static final String BY_HAND = "hand";
    static final String CENTRING = "centre";

    private final BenchPlace place;
    private final Label head = Words.label("", "head");
    private final DrawingSurface drawing;

    SchoolPane(BenchPlace place) {
        this.place = place;
        drawing = new DrawingSurface(place.workplace().look());
        getChildren().addAll(head, drawing);
    }

    /** Which one is chosen; empty for the plan. */
    String chosen() {
        return place.draft().text(FIELD);
    }

    void show(boolean shown, Optional<PlanReadings> readings) {
        UnitChoice units = place.units();
        setVisible(shown && !chosen().isEmpty());
        if (chosen().equals(BY_HAND)) {
            Words.set(head, "The same by hand: near and far");
            readings.ifPresent(
                    read -> drawing.show(SchoolFigure.byHand(read, units), "near and far, worked out by hand"));
        } else {
            Words.set(head, "What centring cannot see");
            drawing.show(SchoolFigure::centring, "a beam that is centred on one card and leans misses the next");
        }
    }

    @Override
    protected void layoutChildren() {
        head.resizeRelocate(0, 0, getWidth(), 22);
        drawing.resizeRelocate(0, 30, getWidth(), Math.max(0, getHeight() - 36));
    }
}
