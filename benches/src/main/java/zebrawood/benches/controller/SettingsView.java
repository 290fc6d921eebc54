package zebrawood.benches.controller;

import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.controller.SettingsFinding.Row;
import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.controller.SettingsText;
import zebrawood.core.route.StopState;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** Where settings are dropped; then the two power scales, and every setting by meaning, the worst first. */
final class SettingsView extends StackPane {

    private static final double NARROW = 600;

    private final ObservableValue<Look> look;
    private final DrawingSurface power;
    private final Label heading = Words.wrapped("", "head");
    private final Label caption = Words.wrapped(
            "what the job software sends, against what the controller takes for all of its power", "caption");
    private final Label count = Words.label("", "caption");
    private final VBox rows = new VBox();
    private final VBox read;
    private final VBox waiting;
    private final Button pasting = new Button("Paste the text");
    private final Label problem = Words.wrapped("", "problem");
    private final VBox powerPart;
    private Optional<SettingsFinding> shown = Optional.empty();

    SettingsView(ObservableValue<Look> look, Runnable paste, Runnable choose) {
        this.look = look;
        power = new DrawingSurface(look).withMenu();
        power.setMinHeight(150);
        power.setPrefHeight(270);
        powerPart = new VBox(2, heading, caption, power);
        powerPart.setPadding(new Insets(12, 0, 8, 24));
        read = new VBox(powerPart, listHead(), list());
        waiting = waiting(paste, choose);
        getChildren().addAll(read, waiting);
        widthProperty().addListener((value, before, now) -> {
            if (before.doubleValue() < NARROW != now.doubleValue() < NARROW) {
                shown.ifPresent(this::show);
            }
        });
    }

    /** The button that pastes. */
    Node pasting() {
        return pasting;
    }

    private Node listHead() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(8, Words.wrapped("What the controller said, by meaning", "head"), gap, count);
        head.setAlignment(Pos.BASELINE_LEFT);
        head.setPadding(new Insets(4, 24, 6, 24));
        return head;
    }

    private Node list() {
        rows.setPadding(new Insets(0, 24, 16, 24));
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setMinHeight(180);
        scroll.setPrefHeight(360);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        return scroll;
    }

    private VBox waiting(Runnable paste, Runnable choose) {
        DrawingSurface board = new DrawingSurface(look);
        board.show(SettingsView::board, "a controller printing its settings onto a sheet");
        board.setPrefSize(420, 210);
        board.setMaxWidth(420);
        pasting.setId("paste");
        pasting.getStyleClass().setAll("button", "strong");
        pasting.setOnAction(event -> paste.run());
        Button choosing = new Button("Choose a file");
        choosing.setId("choose");
        choosing.getStyleClass().setAll("button", "outline");
        choosing.setOnAction(event -> choose.run());
        HBox buttons = new HBox(12, pasting, choosing);
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox box = new VBox(
                10,
                Words.wrapped("Ask the controller for its settings and drop all it prints here", "head"),
                Words.wrapped(
                        "Greeting and all: a text file dropped anywhere on this page, or pasted with Ctrl+V. "
                                + "Nothing is sent to the controller.",
                        "caption"),
                board,
                buttons,
                problem);
        box.setPadding(new Insets(12, 24, 24, 24));
        box.setFillWidth(true);
        return box;
    }

    /** The empty page: a board at the left, its lines going over to a sheet. */
    private static void board(Pen pen, double width, double height) {
        pen.rectangle(4, 50, 110, 110, Tone.BAND, Stroke.of(Tone.INK, 1.4));
        pen.rectangle(30, 76, 44, 44, Tone.RAISED, Stroke.of(Tone.INK, 1.2));
        for (int i = 0; i < 5; i++) {
            pen.line(34 + i * 9, 70, 34 + i * 9, 76, Stroke.of(Tone.INK, 1.2));
            pen.line(34 + i * 9, 120, 34 + i * 9, 126, Stroke.of(Tone.INK, 1.2));
            pen.stroke(
                    new Path().move(114, 66 + i * 20).curve(160, 66 + i * 20, 180, 52 + i * 26, 226, 52 + i * 26),
                    Stroke.dashed(Tone.READING, 1.3, 5));
        }
        pen.rectangle(226, 20, 160, 170, Tone.RAISED, Stroke.dashed(Tone.WALNUT, 1.8, 7));
        String[] lines = {"$30=1200", "$32=1", "$130=700", "$131=500", "ok"};
        for (int i = 0; i < lines.length; i++) {
            pen.text(244, 56 + i * 26, lines[i], Lettering.MONO, Tone.READING);
        }
        pen.text(4, 44, "the controller", Lettering.CAPTION, Tone.QUIET);
        pen.text(226, 14, "its settings, as text", Lettering.CAPTION, Tone.QUIET);
    }

    void show(Optional<SettingsFinding> finding, Optional<String> wrong) {
        read.setVisible(finding.isPresent());
        waiting.setVisible(finding.isEmpty());
        problem.setText(
                wrong.map(why -> "That text was not taken: " + why + ".").orElse(""));
        finding.ifPresent(this::show);
    }

    private void show(SettingsFinding finding) {
        shown = Optional.of(finding);
        count.setVisible(getWidth() >= NARROW);
        powerPart.setVisible(finding.power().isPresent());
        powerPart.setManaged(finding.power().isPresent());
        finding.power().ifPresent(scales -> {
            heading.setText(PowerFigure.heading(scales, finding.capS()));
            power.show(
                    PowerFigure.scales(scales),
                    "full power set in a job gives " + Math.round(scales.comesOutPct(100)) + " % of all power");
        });
        int unread = finding.unread().size();
        count.setText(
                finding.settings().size() + " settings, " + unread + (unread == 1 ? " line unread" : " lines unread"));
        rows.getChildren().setAll(finding.rows().stream().map(this::row).toList());
        for (SettingsText.UnreadLine line : finding.unread()) {
            String text = line.text().length() > 120 ? line.text().substring(0, 120) + "..." : line.text();
            rows.getChildren()
                    .add(row(
                            new DrawingSurface(look),
                            "unread",
                            named("Line " + line.line(), line.text().isBlank() ? "blank" : text, false),
                            "",
                            "",
                            ""));
        }
    }

    private Node row(Row row) {
        DrawingSurface mark = new DrawingSurface(look);
        mark.show(
                (pen, width, height) -> row.severity()
                        .ifPresentOrElse(severity -> Shapes.severity(pen, severity, width / 2, height / 2, 1.1), () -> {
                            if (!row.remark().isEmpty()) {
                                Shapes.state(pen, StopState.PASSED, width / 2, height / 2, 0.95);
                            }
                        }),
                "");
        String word = row.severity()
                .map(s -> switch (s) {
                    case MUST -> "must";
                    case SHOULD -> "should";
                    case NOTE -> "note";
                })
                .orElse("");
        boolean strong = row.severity().filter(s -> s != Severity.NOTE).isPresent();
        return row(
                mark,
                word,
                named(row.meaning().orElse("Not known here"), row.remark(), strong),
                "no. " + row.setting(),
                row.found().orElse("not reported"),
                row.needed().orElse(""));
    }

    private static Node named(String name, String remark, boolean strong) {
        Label title = Words.wrapped(name, "plain");
        if (strong) {
            title.getStyleClass().add("bold");
        }
        VBox box = new VBox(1, title);
        if (!remark.isEmpty()) {
            box.getChildren().add(Words.wrapped(remark, "caption"));
        }
        return box;
    }

    private HBox row(DrawingSurface mark, String word, Node name, String number, String found, String needed) {
        mark.setMinSize(22, 22);
        mark.setMaxSize(22, 22);
        Label severity = Words.label(word, "small");
        severity.getStyleClass().add(word.equals("must") || word.equals("should") ? "tone-adjust" : "quiet");
        severity.setMinWidth(48);
        HBox.setHgrow(name, Priority.ALWAYS);
        ((Region) name).setMaxWidth(Double.MAX_VALUE);
        ((Region) name).setMinWidth(60);
        Label no = Words.label(number, "caption");
        no.setMinWidth(46);
        no.setAlignment(Pos.CENTER_RIGHT);
        Label is = Words.label(found, "reading");
        is.setMinWidth(96);
        Label needs = Words.label(needed.isEmpty() ? "" : "needs " + needed, "bold");
        needs.setMinWidth(90);
        HBox row = getWidth() < NARROW
                ? new HBox(6, mark, name, is, needs)
                : new HBox(8, mark, severity, name, no, is, needs);
        row.getStyleClass().add("settings-row");
        return row;
    }
}
