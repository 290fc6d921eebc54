package zebrawood.desktop.route;

import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.units.Days;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** The gap that was set does not fit any more: seen at every stop; pressed, it leads to where it is set. */
final class RefocusFlag {

    private RefocusFlag() {}

    /** @param since what was changed */
    static Node of(Desk desk, MachineStatus machine, Entry since, Consumer<String> open) {
        String change = ((Body.Happened) since.body()).change().words();
        String day = Days.brief(since.stamp().local(), desk.local(desk.now()).toLocalDate());
        VBox words = new VBox(Words.label("Set the gap again", "bold"), Words.label(change, "caption"));
        HBox line = new HBox(8, Slip.mark(desk.look(), StopState.DUE, 20), words);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setMaxHeight(Region.USE_PREF_SIZE);
        Button button = new Button();
        button.setGraphic(line);
        button.setId("set-the-gap");
        button.getStyleClass().setAll("button", "flag");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.setAccessibleText("Set the gap again: " + change + " since it was set");
        button.setTooltip(new Tooltip(
                "Since " + day + ". Set it with the block, then record the event Gap set; or go through this stop."));
        Stream.of("z-plan", "focus-ramp")
                .filter(stop -> machine.stops().stream()
                        .anyMatch(each -> each.card().id().equals(stop)))
                .findFirst()
                .ifPresent(stop -> button.setOnAction(event -> open.accept(stop)));
        return button;
    }
}
