package zebrawood.desktop.safety;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.safety.BarTest;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.view.Words;

/** What is tested for a bar, a row each: a tick, a number, or one of a few words. The space bar ticks and goes on. */
final class TestRows extends VBox {

    private static final double FIELD = 240;

    private final UnitChoice units;
    private final Runnable done;
    private final List<Row> rows = new ArrayList<>();

    /** A test with what it is answered by. */
    private final class Row {
        private final BarTest test;
        private final TextField field = new TextField();
        private final List<CheckBox> options = new ArrayList<>();

        Row(BarTest test) {
            this.test = test;
            if (test.form() == BarTest.Form.NUMBER) {
                field.setId("test-" + test.id());
                field.setPromptText(
                        test.none().map(words -> "or \"none\": " + words).orElse(""));
                field.setAccessibleText(test.asked(units) + " " + field.getPromptText());
                field.setOnAction(event -> goOn());
                field.setPrefWidth(FIELD);
                Words.follow(field);
                return;
            }
            if (test.form() == BarTest.Form.TICK) {
                option(test.words(), "test-" + test.id());
                test.none().ifPresent(words -> option(words, "test-" + test.id() + "-none"));
            } else {
                int number = 1;
                for (String choice : test.choices()) {
                    option(choice, "test-" + test.id() + "-" + number++);
                }
            }
        }

        private void option(String words, String id) {
            CheckBox box = new CheckBox(words);
            box.setId(id);
            box.setWrapText(true);
            box.getStyleClass().add("tick");
            box.setOnAction(event -> {
                options.stream().filter(other -> other != box).forEach(other -> other.setSelected(false));
                if (box.isSelected()) {
                    goOn();
                }
            });
            box.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER) {
                    event.consume();
                    goOn();
                }
            });
            options.add(box);
        }

        List<? extends Node> controls() {
            return options.isEmpty() ? List.of(field) : options;
        }

        Node first() {
            return controls().get(0);
        }

        boolean isAnswered() {
            return options.isEmpty()
                    ? !field.getText().isBlank()
                    : options.stream().anyMatch(CheckBox::isSelected);
        }

        BarTest.Seen seen() throws BarTest.NotTaken {
            if (options.isEmpty()) {
                return test.read(field.getText(), units);
            }
            for (CheckBox box : options) {
                if (box.isSelected()) {
                    return test.form() == BarTest.Form.CHOICE
                            ? test.chosen(box.getText())
                            : box == options.get(0) ? test.seen() : test.hasNone();
                }
            }
            return test.seen();
        }
    }

    /** @param done goes on once all are answered */
    TestRows(List<BarTest> tests, UnitChoice units, Runnable done) {
        super(4);
        this.units = units;
        this.done = done;
        FlowPane numbers = new FlowPane(12, 8);
        for (BarTest test : tests) {
            Row row = new Row(test);
            rows.add(row);
            if (row.options.isEmpty()) {
                numbers.getChildren().add(new VBox(2, Words.label(test.asked(units), "caption"), row.field));
            }
        }
        if (!numbers.getChildren().isEmpty()) {
            getChildren().add(numbers);
        }
        for (Row row : rows) {
            if (row.test.form() == BarTest.Form.CHOICE) {
                FlowPane choices = new FlowPane(20, 0, Words.label(row.test.words(), "by-hand"));
                choices.getChildren().addAll(row.options);
                getChildren().add(choices);
            } else if (row.test.form() == BarTest.Form.TICK) {
                getChildren().add(tick(row.options));
            }
        }
    }

    /** What is ticked, and beside it what may be ticked instead; long words go on in a second line. */
    private static HBox tick(List<CheckBox> options) {
        HBox line = new HBox(20);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getChildren().addAll(options);
        options.get(0).setMinWidth(0);
        options.stream().skip(1).forEach(none -> none.setMinWidth(Region.USE_PREF_SIZE));
        return line;
    }

    /** Puts the focus on the first test that is not answered; false where none is. */
    boolean begin() {
        for (Row row : rows) {
            if (!row.isAnswered()) {
                row.first().requestFocus();
                return true;
            }
        }
        return false;
    }

    private void goOn() {
        if (!begin()) {
            done.run();
        }
    }

    /**
     * All tests as they were answered.
     *
     * @throws BarAnswer.NotYet where one is not, or not so that the bar is lifted
     */
    List<BarTest.Seen> seen() throws BarAnswer.NotYet {
        List<BarTest.Seen> seen = new ArrayList<>();
        for (Row row : rows) {
            if (!row.isAnswered()) {
                throw new BarAnswer.NotYet(
                        row.test.form() == BarTest.Form.NUMBER
                                ? "Type: " + row.test.asked(units) + "."
                                : "Do this and tick it first: " + row.test.words() + ".",
                        row.first());
            }
            try {
                seen.add(row.seen());
            } catch (BarTest.NotTaken refused) {
                throw new BarAnswer.NotYet(refused.getMessage(), row.first());
            }
        }
        return seen;
    }
}
