package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.mirrors.Screw;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** Both mirrors from behind with the screws to be turned, and fields for whoever turned something else. */
final class TurnPane extends Pane {

    private static final double FIELD = 34;

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final Label head = Words.label("Mirrors, from behind", "head");
    private final Label caption = Words.wrapped("", "caption");
    private final DrawingSurface drawing;
    private final List<TextField> fields = new ArrayList<>();
    private final HBox row = new HBox(10);
    private final Hyperlink otherwise = new Hyperlink("I turned something else");
    private final Runnable changed;
    private List<PlanReadings.Turn> asked = List.of();
    /** the same, screw by screw: one that goes over and back is one */
    private List<List<PlanReadings.Turn>> screws = List.of();

    private boolean open;

    /**
     * @param enter where Enter goes from the last field
     * @param changed runs when the fields are opened or shut
     */
    TurnPane(BenchPlace place, Steps steps, Runnable enter, Runnable changed) {
        this.place = place;
        this.steps = steps;
        this.changed = changed;
        draft = place.draft();
        drawing = new DrawingSurface(place.workplace().look()).withMenu();
        drawing.setId("screws");
        for (int i = 0; i < 4; i++) {
            TextField field = field(i, enter);
            fields.add(field);
            Label name = Words.label((i / 2 + 1) + " " + screw(i), "small");
            name.setLabelFor(field);
            row.getChildren().add(new VBox(1, name, field));
        }
        row.setAlignment(Pos.BOTTOM_LEFT);
        otherwise.setId("otherwise");
        otherwise.setOnAction(event -> {
            open = !open;
            this.changed.run();
            if (open) {
                fields.get(0).requestFocus();
            }
        });
        draft.onChange(this::follow);
        getChildren().addAll(head, caption, drawing, row, otherwise);
    }

    private TextField field(int which, Runnable enter) {
        TextField field = new TextField();
        field.setId(Steps.turned(which));
        field.getStyleClass().add("mark-field");
        field.setPrefWidth(58);
        field.textProperty().addListener((value, before, text) -> {
            if (!text.equals(draft.text(Steps.turned(which)))) {
                draft.type(Steps.turned(which), text, place.units());
            }
        });
        field.focusedProperty().addListener((value, before, now) -> draft.endStep());
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isControlDown()) {
                if (which + 1 < fields.size()) {
                    fields.get(which + 1).requestFocus();
                } else {
                    enter.run();
                }
                event.consume();
            }
        });
        return field;
    }

    private static Screw screw(int which) {
        return which % 2 == 0 ? Screw.A : Screw.B;
    }

    private void follow() {
        for (int i = 0; i < fields.size(); i++) {
            if (!fields.get(i).getText().equals(draft.text(Steps.turned(i)))) {
                fields.get(i).setText(draft.text(Steps.turned(i)));
            }
        }
    }

    /** Whether somebody says what else was turned. */
    boolean isOtherwise() {
        return open && fields.stream().anyMatch(field -> !field.getText().isBlank());
    }

    /** Whether screws are said to be turned: as asked, or otherwise. */
    boolean isTurning() {
        return !asked.isEmpty() || isOtherwise();
    }

    /** What is wrong with one of the fields. */
    private Optional<String> wrong(int which) {
        try {
            Typed.read(fields.get(which).getText(), Quantity.PLAIN, UnitChoice.METRIC);
            return Optional.empty();
        } catch (UnreadableException unreadable) {
            return Optional.of(unreadable.getMessage());
        }
    }

    /** The turns of the screw in hand. */
    List<PlanReadings.Turn> inHand() {
        return screws.isEmpty() ? List.of() : screws.get(0);
    }

    private static List<List<PlanReadings.Turn>> screws(List<PlanReadings.Turn> turns) {
        List<List<PlanReadings.Turn>> screws = new ArrayList<>();
        for (int i = 0; i < turns.size(); i++) {
            boolean twice = i + 1 < turns.size()
                    && turns.get(i + 1).mirror() == turns.get(i).mirror()
                    && turns.get(i + 1).screw() == turns.get(i).screw();
            screws.add(turns.subList(i, i + (twice ? 2 : 1)));
            i += twice ? 1 : 0;
        }
        return screws;
    }

    /** Takes it that the screw in hand was turned as asked, or screws as typed. */
    void take() {
        List<PlanReadings.Turn> turns = new ArrayList<>();
        if (isOtherwise()) {
            for (int i = 0; i < fields.size(); i++) {
                if (fields.get(i).getText().isBlank()) {
                    continue;
                }
                if (wrong(i).isPresent()) {
                    place.workplace().tell("Type how far that screw was turned, in turns, as 0.25 or -0.25.");
                    fields.get(i).requestFocus();
                    return;
                }
                turns.add(new PlanReadings.Turn(i / 2 + 1, screw(i), read(i)));
            }
        } else {
            turns.addAll(inHand());
        }
        Map<String, Draft.Text> all = new HashMap<>();
        for (int i = 0; i < fields.size(); i++) {
            all.put(Steps.turned(i), new Draft.Text("", UnitChoice.METRIC));
        }
        all.put(
                Steps.FIELD,
                Steps.kept(
                        steps.made(),
                        turns.stream()
                                .map(turn -> new Steps.Made(Optional.empty(), Optional.of(turn)))
                                .toList()));
        open = false;
        draft.typeAll(all);
    }

    private double read(int which) {
        try {
            return Typed.read(fields.get(which).getText(), Quantity.PLAIN, UnitChoice.METRIC)
                    .base();
        } catch (UnreadableException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    /**
     * Shows what is to be turned.
     *
     * @param measuring whether an alignment is being made
     * @param names what the two are called
     */
    void show(Optional<PlanFinding> finding, boolean measuring, List<String> names) {
        asked = finding.map(found -> found.next().turns()).orElse(List.of());
        screws = screws(asked);
        List<PlanReadings.Mount> known = finding.map(PlanFinding::mounts).orElse(List.of());
        Words.set(
                caption,
                open
                        ? "turns clockwise, as 0.25; minus for anticlockwise"
                        : asked.isEmpty()
                                ? "write A, B and C on the screws as drawn; C stays as it is"
                                : screws.size() < 2
                                        ? "C stays as it is; stop clockwise, so that the play is taken up"
                                        : screws.size() + " screws, one after the other; stop clockwise: no play");
        List<PlanReadings.Turn> hand = inHand();
        drawing.show(
                (pen, width, height) -> MountFigure.draw(pen, asked, hand, known, names, width, height),
                "mirrors from behind: "
                        + hand.stream()
                                .map(turn -> names.get(turn.mirror() - 1) + ", screw " + MountFigure.words(turn))
                                .collect(Collectors.joining("; ")));
        otherwise.setVisible(measuring);
        otherwise.setText(open ? "back to what is asked" : "I turned something else");
        row.setVisible(open && measuring);
        fields.forEach(field -> {
            field.setVisible(open && measuring);
            int which = fields.indexOf(field);
            field.setAccessibleText("turns of " + names.get(which / 2) + ", screw " + screw(which)
                    + ", clockwise; minus for anticlockwise");
            boolean typed = !field.getText().isBlank();
            field.getStyleClass().remove("wrong");
            if (typed && wrong(which).isPresent()) {
                field.getStyleClass().add("wrong");
            }
        });
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        double words = Math.min(width, otherwise.prefWidth(-1));
        boolean beside = head.prefWidth(-1) + words + 8 <= width;
        head.resizeRelocate(0, 0, beside ? width - words : width, 22);
        otherwise.resizeRelocate(beside ? width - words : -4, beside ? -4 : height - 28, words, 28);
        caption.resizeRelocate(0, 23, width, 18);
        double foot = (open ? 20 + FIELD + 4 : 0) + (beside ? 0 : 26);
        drawing.resizeRelocate(0, 46, width, Math.max(100, height - 46 - foot));
        row.resizeRelocate(0, height - foot, width, 20 + FIELD);
    }
}
