package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Dimension2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableWords;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** What stands round every view: the plate bar above, the places at the left, a sentence at the foot. */
final class Frame extends BorderPane {

    private static final double PLATE_BAR = 48;
    private static final double PLACES = 72;
    private static final double FOOT = 28;

    private final Desk desk;
    private final Ways ways;
    private final StackPane center = new StackPane();
    private final HBox plateBar = new HBox();
    private final Label name = Words.label("", "machine-name");
    private final Label line = Words.label("", "quiet");
    private final Label crumb = Words.label("", "by-hand");
    private final PressableWords initials;
    private final PressableWords lengths;
    private final PressableWords temperatures;
    private final Label foot = Words.label("");
    private final Label footRight = Words.label("", "quiet");
    private final DrawingSurface caution;
    private final DrawingSurface stripe;
    private final List<PressableWords> places = new ArrayList<>();
    private final ChangeListener<String> onFootnote = (value, before, now) -> Words.set(footRight, now);
    private Optional<ObservableValue<String>> footnote = Optional.empty();

    /** Where its buttons lead. */
    record Ways(Runnable jump, Runnable initials, Runnable shop, Runnable route, Runnable logbook, Runnable putRight) {}

    Frame(Desk desk, Ways ways) {
        this.desk = desk;
        this.ways = ways;
        initials = barButton("initials", ways.initials());
        lengths = barButton("lengths", this::otherLengths);
        temperatures = barButton("temperatures", this::otherTemperatures);
        caution = new DrawingSurface(desk.look());
        caution.show((pen, w, h) -> Shapes.caution(pen, w / 2, h / 2, 1), "caution");
        stripe = new DrawingSurface(desk.look());
        stripe.show((pen, w, h) -> pen.stripe(0, 0, h), "");
        stripe.setMinSize(6, 48);
        stripe.setMaxSize(6, 48);
        stripe.setMouseTransparent(true);
        StackPane.setAlignment(stripe, Pos.CENTER_LEFT);
        caution.setMinSize(20, 18);
        caution.setMaxSize(20, 18);
        setTop(new VBox(plateBar(), alarmBar()));
        setLeft(placesColumn());
        setCenter(center);
        setBottom(footBar());
        desk.units().addListener((value, old, now) -> unitsShown());
        desk.initials().addListener((value, old, now) -> initialsShown());
        unitsShown();
        initialsShown();
    }

    /** Puts a page in the middle and marks the place it belongs to. */
    void show(Node page, String place) {
        center.getChildren().setAll(page);
        here(place);
    }

    /** How much room there is for a page, px. */
    Dimension2D room() {
        Dimension2D window = Fitted.room(getScene().getWidth(), getScene().getHeight());
        return new Dimension2D(window.getWidth() - PLACES, window.getHeight() - PLATE_BAR - FOOT);
    }

    void otherLengths() {
        desk.units()
                .set(new UnitChoice(
                        !desk.units().get().inches(), desk.units().get().fahrenheit()));
    }

    void otherTemperatures() {
        desk.units()
                .set(new UnitChoice(
                        desk.units().get().inches(), !desk.units().get().fahrenheit()));
    }

    /** Title, what is said of it, and where one is. */
    void heads(FramedPage.Heading heading) {
        Words.set(name, heading.name());
        Words.set(line, heading.line());
        Words.set(crumb, heading.crumb());
    }

    /** A sentence at the foot, with the caution sign where it is one; at its right what goes on changing. */
    void foot(FramedPage.Foot says) {
        Optional<ObservableValue<String>> right = says.right();
        caution.setVisible(says.isCaution());
        caution.setManaged(says.isCaution());
        Words.set(foot, says.words());
        footnote.ifPresent(old -> old.removeListener(onFootnote));
        footnote = right;
        Words.set(footRight, right.map(ObservableValue::getValue).orElse(""));
        right.ifPresent(now -> now.addListener(onFootnote));
    }

    /** A sentence in the place of the one at the foot. */
    void tell(String sentence) {
        caution.setVisible(false);
        caution.setManaged(false);
        Words.set(foot, sentence);
    }

    private Node plateBar() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        PressableWords jump = new PressableWords("Jump to machine, stop, entry ...", ways.jump(), "jump-button");
        jump.setId("jump");
        jump.setMinWidth(150);
        line.setMinWidth(40);
        name.setMinWidth(Region.USE_PREF_SIZE);
        crumb.setMinWidth(Region.USE_PREF_SIZE);
        plateBar.getStyleClass().add("plate-bar");
        plateBar.setMinHeight(PLATE_BAR);
        plateBar.setMaxHeight(PLATE_BAR);
        plateBar.getChildren().setAll(name, line, crumb, gap, jump, new HBox(initials, lengths, temperatures));
        ((HBox) plateBar.getChildren().get(5)).setAlignment(Pos.CENTER_LEFT);
        return plateBar;
    }

    /** What is wrong with the logbook as a whole: it stays until it is dealt with. */
    private Node alarmBar() {
        Label words = Words.wrapped("", "alarm-words");
        words.setId("alarm");
        words.setMaxWidth(Double.MAX_VALUE);
        words.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(words, Priority.ALWAYS);
        Button putRight = new Button("Put it right");
        putRight.setId("put-right");
        putRight.getStyleClass().setAll("button", "outline");
        putRight.setMinWidth(Region.USE_PREF_SIZE);
        putRight.setOnAction(event -> ways.putRight().run());
        HBox bar = new HBox(14, Slip.mark(desk.look(), StopState.FAILED, 22), words, putRight);
        bar.getStyleClass().add("alarm");
        bar.managedProperty().bind(bar.visibleProperty());
        bar.setVisible(false);
        desk.alarm().addListener((value, before, now) -> {
            Words.set(words, now);
            bar.setVisible(!now.isEmpty());
            // what was put aside is dealt with by who records it again
            boolean canBe =
                    now.startsWith("Not whole") && desk.logbook().whyReadOnly().isEmpty();
            putRight.setVisible(canBe);
            putRight.setManaged(canBe);
        });
        return bar;
    }

    private static PressableWords barButton(String id, Runnable action) {
        PressableWords button = new PressableWords("", action, "flat", "bar-button");
        button.setId(id);
        button.setMinWidth(40);
        return button;
    }

    private Node placesColumn() {
        VBox column = new VBox(2);
        column.getStyleClass().add("places");
        column.setMinWidth(PLACES);
        column.setMaxWidth(PLACES);
        place(column, "Shop", PlaceIcons.SHOP, ways.shop());
        place(column, "Route", PlaceIcons.ROUTE, ways.route());
        place(column, "Logbook", PlaceIcons.LOGBOOK, ways.logbook());
        return column;
    }

    private void place(VBox column, String word, Figure icon, Runnable go) {
        DrawingSurface sign = new DrawingSurface(desk.look());
        sign.show(icon, word);
        sign.setMinSize(22, 22);
        sign.setMaxSize(22, 22);
        PressableWords button = new PressableWords(word, go, "flat", "place-button");
        button.setGraphic(sign);
        button.setId("place-" + word.toLowerCase(Locale.ROOT));
        places.add(button);
        column.getChildren().add(new StackPane(button));
    }

    private void here(String word) {
        for (PressableWords button : places) {
            boolean on = button.getText().equals(word);
            button.getStyleClass().remove("here");
            if (on) {
                button.getStyleClass().add("here");
                ((StackPane) button.getParent()).getChildren().setAll(button, stripe);
            }
        }
    }

    private Node footBar() {
        HBox bar = new HBox();
        bar.getStyleClass().add("foot");
        bar.setMinHeight(FOOT);
        foot.setId("foot");
        // a caution is read to its end: it goes on in a second line where it must
        foot.setWrapText(true);
        foot.setMinHeight(Region.USE_PREF_SIZE);
        foot.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(foot, Priority.ALWAYS);
        footRight.setMinWidth(Region.USE_PREF_SIZE);
        bar.getChildren().addAll(caution, foot, footRight);
        desk.machines().addListener((value, before, now) -> {
            bar.getChildren().removeIf(node -> node.getStyleClass().contains("service"));
            bar.getChildren().addAll(ServiceStatus.of(desk, now));
        });
        return bar;
    }

    private void unitsShown() {
        lengths.setText(desk.units().get().length());
        temperatures.setText(desk.units().get().temperature());
        lengths.setAccessibleText("lengths in " + desk.units().get().length() + ", press to change");
        temperatures.setAccessibleText("temperatures in " + desk.units().get().temperature() + ", press to change");
    }

    private void initialsShown() {
        initials.setText(
                desk.initials().get().isBlank() ? "who?" : desk.initials().get());
        initials.setAccessibleText("initials " + initials.getText() + ", press to change");
    }
}
