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

    /** What is recorded with the answer. */
    record Written(String remark, Optional<LocalDate> until) {}

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

    /** @param answer goes on to the answer, where the last field is left with Enter */
    BarAnswer(Bar bar, LocalDate today, Runnable answer) {
        this.bar = bar;
        this.today = today;
        this.answer = answer;
        remark.setMaxWidth(460);
        switch (bar.writes().form()) {
            case REMARK -> remark.setPromptText("a remark, if any");
            case CURRENT -> remark.setPromptText(bar.writes().what());
            case TEST -> remark.setPromptText("who tested it, and the figure");
            case COVERS -> remark.setPromptText("name of a cover: lid, left door; Enter adds it");
        }
        view.getChildren().add(remark);
        switch (bar.writes().form()) {
            case TEST -> {
                remark.setOnAction(event -> testedOn.requestFocus());
                testedOn.setOnAction(event -> validUntil.requestFocus());
                validUntil.setOnAction(event -> answer.run());
                FlowPane days = new FlowPane(8, 8, testedOn, validUntil);
                testedOn.setPrefWidth(226);
                validUntil.setPrefWidth(226);
                view.getChildren().add(days);
            }
            case COVERS -> {
                remark.setOnAction(event -> addCover());
                view.getChildren().add(ticks);
            }
            default -> remark.setOnAction(event -> answer.run());
        }
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

    /** Puts the focus where something has to be written; false where nothing has. */
    boolean begin() {
        if (bar.needsRemark()) {
            remark.requestFocus();
        }
        return bar.needsRemark();
    }

    private void addCover() {
        String name = remark.getText().strip();
        if (name.isEmpty()) {
            answer.run();
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
        String text = remark.getText().strip();
        return switch (bar.writes().form()) {
            case REMARK -> new Written(text, Optional.empty());
            case CURRENT -> new Written(current(text), Optional.empty());
            case TEST -> test(text);
            case COVERS -> covers(text);
        };
    }

    /** What was written with an answer that does not lift it. */
    Written not(Bar.Other other) {
        String text = remark.getText().strip();
        boolean plain = other.equals(bar.no());
        return new Written(
                plain ? text : text.isEmpty() ? other.words() : other.words() + "; " + text, Optional.empty());
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
        return new Written(who + "; tested " + on + ", valid until " + until, Optional.of(until));
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
        return new Written(covers.stream().map(CheckBox::getText).collect(Collectors.joining(", ")), Optional.empty());
    }
}
