package zebrawood.desktop.safety;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.BarTest;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Days;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.kit.view.Words;

/** What is written beside the answer to one bar: a remark, who tested it and until when, covers, a current. */
final class BarAnswer {

    private final Bar bar;
    private final LocalDate today;
    private final Runnable answer;
    private final VBox view = new VBox(8);
    private final TextField remark = field("remark", "");
    private final TextField testedOn = field("tested-on", "tested on (14.3.2031)");
    private final TextField validUntil = field("valid-until", "valid until (the date on its label)");
    private final FlowPane ticks = new FlowPane(16, 8);
    private final List<CheckBox> covers = new ArrayList<>();
    private final TestRows tests;
    private final Optional<TextField> second;

    /** What is recorded with the answer. */
    record Written(String remark, Optional<LocalDate> until, List<BarTest.Seen> seen, Optional<String> second) {
        private static Written of(String remark) {
            return new Written(remark, Optional.empty(), List.of(), Optional.empty());
        }
    }

    /** What cannot be recorded so, and where that is put right. */
    static final class NotYet extends Exception {
        private static final long serialVersionUID = 1;
        private final transient Node at;

        NotYet(String sentence, Node at) {
            super(sentence);
            this.at = at;
        }

        Node at() {
            return at;
        }
    }

    /**
     * @param second initials of a second person, where the shop asks for one: those that were typed last
     * @param answer goes on to the answer, where the last field is left with Enter
     */
    BarAnswer(Bar bar, LocalDate today, UnitChoice units, Optional<String> second, Runnable answer) {
        this.bar = bar;
        this.today = today;
        this.answer = answer;
        this.tests = new TestRows(bar.tests(), units, this::tested);
        this.second = second.map(initials -> {
            TextField asked = field("second", "initials of a second person who saw it too");
            asked.setText(initials);
            asked.setMaxWidth(320);
            asked.setOnAction(event -> answer.run());
            return asked;
        });
        remark.setMaxWidth(460);
        switch (bar.writes().form()) {
            case REMARK -> remark.setPromptText("a remark, if any");
            case CURRENT -> remark.setPromptText(bar.writes().what());
            case TEST -> remark.setPromptText("who tested it, and the figure");
            case COVERS -> remark.setPromptText("name of a cover: lid, left door; Enter adds it");
        }
        if (!bar.tests().isEmpty()) {
            view.getChildren().add(tests);
        }
        view.getChildren().add(remark);
        switch (bar.writes().form()) {
            case TEST -> {
                remark.setOnAction(event -> testedOn.requestFocus());
                testedOn.setOnAction(event -> validUntil.requestFocus());
                validUntil.setOnAction(event -> goOn());
                FlowPane days = new FlowPane(8, 8, testedOn, validUntil);
                testedOn.setPrefWidth(226);
                validUntil.setPrefWidth(226);
                view.getChildren().add(days);
            }
            case COVERS -> {
                remark.setOnAction(event -> addCover());
                view.getChildren().add(ticks);
            }
            default -> remark.setOnAction(event -> goOn());
        }
        this.second.ifPresent(view.getChildren()::add);
        remark.setAccessibleText(remark.getPromptText());
    }

    private static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        Words.follow(field);
        return field;
    }

    Node view() {
        return view;
    }

    /** Puts the focus where something has to be tested or written; false where nothing has. */
    boolean begin() {
        return tests.begin() || write();
    }

    /** Puts the focus where a remark is written. */
    void remark() {
        remark.requestFocus();
    }

    /** All tests are answered. */
    private void tested() {
        if (!write()) {
            goOn();
        }
    }

    private boolean write() {
        if (bar.needsRemark()) {
            remark.requestFocus();
        }
        return bar.needsRemark();
    }

    private void goOn() {
        second.filter(field -> field.getText().isBlank()).ifPresentOrElse(TextField::requestFocus, answer);
    }

    private void addCover() {
        String name = remark.getText().strip();
        if (name.isEmpty()) {
            goOn();
            return;
        }
        for (String each : name.split(",")) {
            if (!each.isBlank()) {
                CheckBox tick = new CheckBox(each.strip());
                tick.setId("cover-" + each.strip().toLowerCase(Locale.ROOT).replace(' ', '-'));
                tick.getStyleClass().add("tick");
                covers.add(tick);
                ticks.getChildren().add(tick);
            }
        }
        remark.clear();
        covers.get(covers.size() - 1).requestFocus();
    }

    /** What was written with an answer that lifts the bar. */
    Written lifting() throws NotYet {
        List<BarTest.Seen> seen = tests.seen();
        String text = remark.getText().strip();
        Written written = switch (bar.writes().form()) {
            case REMARK -> Written.of(text);
            case CURRENT -> Written.of(current(text));
            case TEST -> test(text);
            case COVERS -> covers(text);
        };
        return new Written(written.remark(), written.until(), seen, seenToo());
    }

    private Optional<String> seenToo() throws NotYet {
        if (second.isPresent() && second.get().getText().isBlank()) {
            throw new NotYet("The shop asks for a second person who saw it too. Type their initials.", second.get());
        }
        return second.map(field -> field.getText().strip().toUpperCase(Locale.ROOT));
    }

    /** Initials of the second person as they stand there now. */
    Optional<String> second() {
        return second.map(TextField::getText);
    }

    /** What was written with an answer that does not lift it. */
    Written not(Bar.Other other) {
        String text = remark.getText().strip();
        boolean plain = other.equals(bar.no());
        return Written.of(plain ? text : text.isEmpty() ? other.words() : other.words() + "; " + text);
    }

    private String current(String text) throws NotYet {
        if (text.isEmpty()) {
            throw new NotYet("Write " + bar.writes().what() + " first.", remark);
        }
        OptionalDouble most = bar.writes().mostMa();
        try {
            double seen = Typed.read(text, Quantity.CURRENT, UnitChoice.METRIC).base();
            if (most.isPresent() && seen > most.getAsDouble()) {
                throw new NotYet(
                        "That is more than the tube's rated " + Amount.exact(most.getAsDouble())
                                + " mA. Do not fire again: switch off, turn the power down, and answer \""
                                + bar.no().words() + "\".",
                        remark);
            }
            return "current " + Amount.told(Quantity.CURRENT, seen).text(UnitChoice.METRIC);
        } catch (UnreadableException words) {
            if (!text.toLowerCase(Locale.ROOT).contains("no meter")) {
                throw new NotYet("Type the current in mA, such as 6, or \"no meter\".", remark);
            }
        }
        return text;
    }

    private Written test(String who) throws NotYet {
        if (who.isEmpty()) {
            throw new NotYet("Write who tested it, and the figure.", remark);
        }
        LocalDate on = Days.typed(testedOn.getText(), today)
                .filter(day -> !day.isAfter(today))
                .orElseThrow(() -> new NotYet(
                        "Type the day of the test, such as " + Days.brief(today) + " " + today.getYear()
                                + "; it cannot be a day to come.",
                        testedOn));
        LocalDate until = Days.typed(validUntil.getText(), today)
                .orElseThrow(() -> new NotYet(
                        "Type until when the test is valid, as its label says. Ask the tester where it does not.",
                        validUntil));
        if (until.isBefore(today)) {
            throw new NotYet(
                    "That test is not valid any more. Have it tested again; until then answer \""
                            + bar.no().words() + "\".",
                    validUntil);
        }
        return new Written(
                who + "; tested " + on + ", valid until " + until, Optional.of(until), List.of(), Optional.empty());
    }

    private Written covers(String half) throws NotYet {
        if (!half.isEmpty()) {
            throw new NotYet("Press Enter to add \"" + half + "\" as a cover, then tick it.", remark);
        }
        if (covers.isEmpty()) {
            throw new NotYet("Name every cover of the machine first, each by itself.", remark);
        }
        for (CheckBox tick : covers) {
            if (!tick.isSelected()) {
                throw new NotYet("Open " + tick.getText() + " by itself, look, then tick it.", tick);
            }
        }
        return Written.of(covers.stream().map(CheckBox::getText).collect(Collectors.joining(", ")));
    }
}
