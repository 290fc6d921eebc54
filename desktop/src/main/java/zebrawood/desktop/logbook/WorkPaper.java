package zebrawood.desktop.logbook;

import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.work.WorkFigure;
import zebrawood.desktop.work.WorkTable;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** An opened work result: how it came out, the work to scale, everything that was said of it. */
final class WorkPaper {

    private WorkPaper() {}

    static Node of(Desk desk, Body.Worked worked, List<Entry.Attachment> files, boolean narrow) {
        DrawingSurface drawing = new DrawingSurface(desk.look()).withMenu();
        drawing.show(WorkFigure.of(worked.result(), desk.units().get()), "the work from the side, to scale");
        drawing.setMinHeight(190);
        drawing.setPrefHeight(190);
        VBox tables = new VBox(16);
        for (Map.Entry<String, List<Body.Pair>> group : WorkTable.of(worked).entrySet()) {
            tables.getChildren().add(new VBox(4, Words.label(group.getKey(), "bold"), Slip.evidence(group.getValue())));
        }
        VBox along = new VBox(
                4,
                Words.label("Known of the machine that day", "bold"),
                Slip.evidence(worked.along().known().stream()
                        .map(known -> new Body.Pair(known.what(), known.figure() + ", no. " + known.number()))
                        .toList()));
        if (!worked.along().notOnRecord().isEmpty()) {
            along.getChildren()
                    .add(Words.wrapped(
                            "Not on record then: "
                                    + String.join(", ", worked.along().notOnRecord()) + ".",
                            "quiet"));
        }
        VBox left = new VBox(14, Words.wrapped(worked.result().outcome().word(), "act"), drawing);
        if (!files.isEmpty()) {
            left.getChildren().add(new Attached(desk, files));
        }
        left.getChildren().add(along);
        HBox.setHgrow(left, Priority.ALWAYS);
        left.setPrefWidth(400);
        tables.setMinWidth(210);
        tables.setPrefWidth(250);
        return narrow ? new VBox(20, left, tables) : new HBox(28, left, tables);
    }
}
