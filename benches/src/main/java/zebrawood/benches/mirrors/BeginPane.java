package zebrawood.benches.mirrors;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.ChoiceField;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** Before the first shot: how far the beam runs, typed in the drawing, and what was looked at. */
final class BeginPane extends Pane {

    private static final double FIELD_WIDTH = 88;
    private static final double FIELD_HEIGHT = 34;
    private static final double CELL = 80;

    private final BenchPlace place;
    private final Draft draft;
    private final DrawingSurface way;
    private final List<ReadingField> runs;
    private final List<Label> runNames = new ArrayList<>();
    private final ReadingField markError = field(MirrorsBench.MARK_ERROR, 130);
    private final ReadingField tolerance = field(MirrorsBench.TOLERANCE, 150);
    private final ChoiceField optics =
            new ChoiceField(MirrorsBench.OPTICS, "mirrors and lens", MirrorsBench.OPTICS_CHOICES);
    private final ChoiceField bed = new ChoiceField(MirrorsBench.BED, "bed", MirrorsBench.BED_CHOICES);
    private final List<VBox> cells = new ArrayList<>();
    private final Node step;
    private PlanReadings.Run drawn;

    /**
     * @param step the button that begins
     * @param learned whether the mounts are known from an earlier visit
     */
    BeginPane(BenchPlace place, Node step, boolean learned) {
        this.place = place;
        this.step = step;
        draft = place.draft();
        drawn = MirrorsBench.proposed(place.plate());
        way = new DrawingSurface(place.workplace().look());
        runs = List.of(MirrorsBench.Y_NEAR, MirrorsBench.Y_FAR, MirrorsBench.X_NEAR, MirrorsBench.X_FAR).stream()
                .map(name -> new ReadingField(MirrorsBench.FIELDS.field(name)).bare())
                .toList();
        for (ReadingField run : runs) {
            Label name = Words.label(run.title().endsWith("near") ? "near" : "far", "small");
            name.setLabelFor(run.field());
            runNames.add(name);
        }
        List<ChoiceField> choices = new ArrayList<>(List.of(
                optics,
                bed,
                new ChoiceField(MirrorsBench.MIRRORS, "mirrors", MirrorsBench.MIRRORS_CHOICES),
                new ChoiceField(
                        MirrorsBench.CARD,
                        MirrorsBench.FIELDS.field(MirrorsBench.CARD).label(),
                        List.of(MirrorsBench.TAKES_CARD, MirrorsBench.NO_CARD))));
        if (learned) {
            choices.add(new ChoiceField(
                    MirrorsBench.MOUNTS,
                    "mounts",
                    List.of(
                            new Choice("", "the same as last time"),
                            new Choice(MirrorsBench.FORGOTTEN, "others, or changed"))));
        }
        enterGoesThrough(choices);
        getChildren().add(way);
        getChildren().addAll(runs);
        getChildren().addAll(runNames);
        getChildren().addAll(cells);
    }

    private static ReadingField field(String name, double width) {
        ReadingField field = new ReadingField(MirrorsBench.FIELDS.field(name));
        field.setPrefWidth(width);
        return field;
    }

    private void enterGoesThrough(List<ChoiceField> choices) {
        runs.get(3).field().addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown()) {
                optics.requestFocus();
                event.consume();
            }
        });
        for (ChoiceField choice : choices) {
            choice.tie(draft);
            choice.getStyleClass().add("tight");
            choice.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown() && !choice.isShowing()) {
                    int next = choices.indexOf(choice) + 1;
                    (next < choices.size() ? choices.get(next) : step).requestFocus();
                    event.consume();
                }
            });
            VBox cell = cell(choice.getAccessibleText(), choice);
            if (choice == optics || choice == bed) {
                cell.getChildren().add(Words.label(onRecord(choice == optics ? "cleaning" : "level"), "caption"));
            }
            cells.add(cell);
        }
        cells.add(cell(markError.title(), markError));
        cells.add(cell(tolerance.title(), tolerance));
    }

    /** What is on record of it, and how old that is. */
    private String onRecord(String what) {
        return place.onRecord()
                .known(what)
                .map(known -> {
                    LocalDate since = place.workplace().local(known.since()).toLocalDate();
                    LocalDate today =
                            place.workplace().local(place.workplace().now()).toLocalDate();
                    long days = Math.max(0, ChronoUnit.DAYS.between(since, today));
                    String cleaned = what.equals("cleaning") ? known.figure() + " cleaned " : known.figure() + ", ";
                    return cleaned + (days == 0 ? "today" : days == 1 ? "1 day ago" : days + " days ago");
                })
                .orElse("nothing on record");
    }

    /** A field with its label over it. */
    static VBox cell(String name, Node field) {
        Label label = Words.label(name, "small");
        label.setLabelFor(field);
        return new VBox(3, label, field);
    }

    /** The fields of the runs, in the order in which they are measured. */
    List<ReadingField> runs() {
        return runs;
    }

    /** What has a usual value, and is typed where that does not hold. */
    List<ReadingField> usual() {
        return List.of(markError, tolerance);
    }

    /** What is still to be said before the first shot; empty where all is. */
    Optional<String> ready(Filled filled) {
        Optional<ReadingField> run =
                runs.stream().filter(field -> field.field().getText().isBlank()).findFirst();
        if (run.isPresent()) {
            return Optional.of("Measure along the beam: " + words(run.get()) + ".");
        }
        if (runs.stream().anyMatch(field -> filled.problems().containsKey(field.name()))) {
            return Optional.of("Put right what is marked; everything typed is kept.");
        }
        return switch (draft.text(MirrorsBench.OPTICS)) {
            case "" -> Optional.of("Look at the mirrors and the lens. A dirty one looks like a bad beam.");
            case "dirty" ->
                Optional.of("Clean mirrors and lens first, or fit new ones. Power off. Then say that they are clean.");
            default ->
                draft.text(MirrorsBench.BED).isEmpty()
                        ? Optional.of("Look at the bed: is it level? A bed that leans looks like a bad beam too.")
                        : Optional.empty();
        };
    }

    private String words(ReadingField run) {
        boolean tube = MirrorsBench.startsAtTheTube(draft);
        String first = tube ? "the tube" : "mirror 1";
        String second = tube ? "the gantry's mirror" : "mirror 2";
        return switch (run.name()) {
            case MirrorsBench.Y_NEAR -> first + " to " + second + ", gantry as near as it goes";
            case MirrorsBench.Y_FAR -> first + " to " + second + ", gantry as far as it goes";
            case MirrorsBench.X_NEAR -> second + " to the head, head as near as it goes";
            default -> second + " to the head, head as far as it goes";
        };
    }

    /** Where the first thing is said that is missing; the button where nothing is. */
    Node missing() {
        return runs.stream()
                .filter(field -> field.field().getText().isBlank())
                .<Node>map(ReadingField::field)
                .findFirst()
                .orElseGet(() -> !draft.text(MirrorsBench.OPTICS).equals("clean")
                        ? optics
                        : draft.text(MirrorsBench.BED).isEmpty() ? bed : step);
    }

    /**
     * Shows the machine as it is known so far.
     *
     * @param shown whether this is what is to be done now
     */
    void show(PlanReadings.Run run, boolean shown, boolean measuring) {
        UnitChoice units = place.units();
        drawn = run;
        setVisible(shown);
        PlanReadings.Run proposed = MirrorsBench.proposed(place.plate());
        double[] about = {proposed.yNearMm(), proposed.yFarMm(), proposed.xNearMm(), proposed.xFarMm()};
        for (int i = 0; i < runs.size(); i++) {
            runs.get(i).field().setVisible(shown);
            runs.get(i).field().setPromptText(Amount.mm(about[i], 0).number(units));
        }
        usual().forEach(field -> field.field().setVisible(shown));
        markError.field().setPromptText(Amount.mm(PlanReadings.MARK_ERROR_MM, 1).number(units));
        tolerance.field().setPromptText(Amount.mm(PlanReadings.TOLERANCE_MM, 1).number(units));
        cells.forEach(cell -> cell.setDisable(!measuring));
        WayFigure.Way machine = WayFigure.Way.measured(run, MirrorsBench.startsAtTheTube(draft));
        way.show(
                (pen, width, height) -> WayFigure.draw(pen, machine, units, width, height),
                "the machine from above: what is measured along the beam");
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double drawing = getHeight() - 2.4 * CELL - 12;
        way.resizeRelocate(12, 0, width - 24, drawing);
        WayFigure.Plan plan = WayFigure.Plan.of(drawn, width - 24, drawing, false);
        double nearY = plan.gantry(drawn.yNearMm() / 2) - FIELD_HEIGHT / 2;
        double farY = plan.gantry(drawn.yFarMm()) - FIELD_HEIGHT;
        put(0, 8, Math.min(nearY, farY - 62));
        put(1, 8, farY);
        double under = plan.front() + 24;
        put(2, 12 + plan.x(), under);
        put(3, 12 + plan.head(drawn.xFarMm()) - FIELD_WIDTH, under);
        double y = drawing + 8;
        double at = 24;
        for (VBox cell : cells) {
            double wide = Math.max(130, cell.prefWidth(-1));
            if (at + wide > width - 12) {
                at = 24;
                y += CELL;
            }
            cell.resizeRelocate(at, y, wide, cell.prefHeight(wide));
            at += wide + 20;
        }
    }

    private void put(int run, double x, double y) {
        runNames.get(run).resizeRelocate(x, y - 19, FIELD_WIDTH, 18);
        runs.get(run).resizeRelocate(x, y, FIELD_WIDTH, FIELD_HEIGHT);
    }
}
