package zebrawood.benches.switching;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.switching.OrderFinding;
import zebrawood.core.switching.OrderReadings;
import zebrawood.core.switching.Way;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.Words;

/** Three ways to choose from, the strip of the one that is chosen, and its steps as text while they are written. */
final class OrderView extends VBox {

    private final Draft draft;
    private final OrderStrip strip;
    private final TextArea text = new TextArea();
    private final Button usual = new Button();
    private final Label head = Words.label("", "head");
    private final Label how = Words.wrapped(
            "A step a line: what is done | what to wait for | what is seen when it is right | what goes wrong otherwise",
            "caption");
    private final List<Button> ways = new ArrayList<>();
    private final boolean isKnown;
    private Way way = Way.UP;
    private boolean following;

    OrderView(BenchPlace place) {
        super(10);
        setPadding(new Insets(12, 24, 12, 24));
        draft = place.draft();
        isKnown = !place.earlier().isEmpty();
        strip = new OrderStrip(place.workplace());
        FlowPane choice = new FlowPane(10, 6);
        for (Way each : Way.values()) {
            Button button = new Button(each.title());
            button.setId("way-" + each.field());
            button.setMinHeight(40);
            button.setOnAction(event -> choose(each));
            ways.add(button);
            choice.getChildren().add(button);
        }
        String family = place.plate().family().words();
        usual.setText("Take the usual order of a " + family);
        usual.setId("usual-order");
        usual.getStyleClass().setAll("button", "strong");
        usual.setOnAction(event -> {
            OrderReadings order = UsualOrder.of(place.plate().family());
            for (Way each : Way.values()) {
                draft.type(each.field(), StepLine.text(order.of(each)), UnitChoice.METRIC);
            }
            text.requestFocus();
        });
        text.setId("order-text");
        text.setWrapText(true);
        text.setPrefRowCount(8);
        text.setAccessibleText("steps, a line each");
        text.textProperty().addListener((value, before, now) -> {
            if (!following && !now.equals(draft.text(way.field()))) {
                draft.type(way.field(), now, UnitChoice.METRIC);
            }
        });
        // Tab goes on, as in every other field
        text.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.TAB && !event.isControlDown()) {
                event.consume();
                text.fireEvent(new KeyEvent(
                        KeyEvent.KEY_PRESSED, "", "", KeyCode.TAB, event.isShiftDown(), true, false, false));
            }
        });
        VBox.setVgrow(text, Priority.ALWAYS);
        text.setMinHeight(120);
        strip.setMinHeight(Region.USE_PREF_SIZE);
        getChildren().addAll(head, choice, usual, strip, how, text);
        draft.onChange(this::follow);
        choose(Way.UP);
    }

    private void choose(Way chosen) {
        way = chosen;
        for (int i = 0; i < ways.size(); i++) {
            ways.get(i).getStyleClass().setAll("button", Way.values()[i] == way ? "strong" : "outline");
        }
        head.setText(way.title());
        follow();
        strip.requestFocus();
    }

    private void follow() {
        following = true;
        String said = draft.text(way.field());
        if (!text.getText().equals(said)) {
            text.setText(said);
        }
        following = false;
        strip.show(way.title(), StepLine.steps(said));
        boolean empty = List.of(Way.values()).stream()
                .allMatch(each -> draft.text(each.field()).isBlank());
        usual.setVisible(empty && !isKnown);
        usual.setManaged(usual.isVisible());
    }

    void show(Showing<OrderReadings, OrderFinding> now) {
        text.setVisible(now.measuring());
        text.setManaged(now.measuring());
        how.setVisible(now.measuring());
        how.setManaged(now.measuring());
    }

    Optional<Node> missing() {
        return usual.isManaged() ? Optional.of(usual) : Optional.empty();
    }

    TextArea text() {
        return text;
    }

    OrderStrip strip() {
        return strip;
    }
}
