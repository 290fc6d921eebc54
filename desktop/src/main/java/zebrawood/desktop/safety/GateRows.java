package zebrawood.desktop.safety;

import java.time.LocalDate;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.route.Gate;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.Days;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** The bars that are not in hand, as they stand on the page. */
final class GateRows {

    private final ObservableValue<Look> look;
    private final BarWaits waits;
    private final LocalDate today;

    GateRows(ObservableValue<Look> look, BarWaits waits, LocalDate today) {
        this.look = look;
        this.waits = waits;
        this.today = today;
    }

    /** What the machine may have while the bars under it are answered. */
    static Node stage(Bar.Stage stage, Family family) {
        VBox head = new VBox(Words.label(FirstLight.title(stage, family), "stage"));
        if (stage == Bar.Stage.POWERED) {
            head.getChildren().add(Words.wrapped(FirstLight.held(family) + ".", "caption"));
        }
        head.getStyleClass().add("stage-head");
        return head;
    }

    /** A bar that is lifted, by whom and when, and what failed before. */
    Node lifted(Gate.Line line, int number) {
        Entry answer = line.answer().orElseThrow();
        Body.GateLine body = (Body.GateLine) answer.body();
        DrawingSurface stump =
                surface(12, 10, (pen, width, height) -> pen.fill(Path.rectangle(0, 0, 10, height), Tone.WALNUT));
        Node mark = Slip.mark(look, StopState.PASSED, 20);
        VBox words = new VBox(1, Words.label(number + "  " + line.bar().title(), "bold"));
        words.setAlignment(Pos.CENTER_LEFT);
        String beside = body.beside();
        if (!beside.isEmpty()) {
            words.getChildren().add(Words.label(beside, "caption"));
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label who = Words.label(
                answer.stamp().by() + "  " + Days.brief(answer.stamp().local(), today));
        who.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(10, stump, mark, words, gap, who);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(46);
        return row;
    }

    /** A bar that stands, and how long has to be watched yet. */
    Node standing(Bar bar, int number) {
        String left = waits.left(bar);
        Label title = Words.label(
                number + "  " + bar.title() + (left.isEmpty() ? "" : ": wait " + left),
                left.isEmpty() ? "quiet" : "bold");
        title.setMinWidth(Region.USE_PREF_SIZE);
        waits.follow(
                bar, text -> title.setText(number + "  " + bar.title() + (text.isEmpty() ? "" : ": wait " + text)));
        DrawingSurface before = surface(18, 16, (pen, width, height) -> grain(pen, width, height));
        DrawingSurface after = surface(20, 16, (pen, width, height) -> grain(pen, width, height));
        after.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(after, Priority.ALWAYS);
        HBox row = new HBox(10, before, title, after);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(44);
        return row;
    }

    private static void grain(Pen pen, double width, double height) {
        pen.fill(Path.rectangle(0, 0, width, height), Tone.BAND);
        for (double x = 3; x < width; x += 6) {
            pen.stroke(
                    new Path().move(x, 1).curve(x + 1.6, 5, x + 1.6, 6, x, 8).curve(x - 1.6, 10, x - 1.6, 12, x, 15),
                    Stroke.of(Tone.HAIRLINE, 1));
        }
    }

    DrawingSurface surface(double width, double height, Figure figure) {
        DrawingSurface surface = new DrawingSurface(look);
        surface.show(figure, "");
        surface.setMinSize(width, height);
        surface.setPrefSize(width, height);
        surface.setMaxSize(width, height);
        return surface;
    }
}
