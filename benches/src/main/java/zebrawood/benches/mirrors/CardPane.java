package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import zebrawood.core.beam.Spot;
import zebrawood.core.machine.Plate;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The card: the mark is put on it by pointing, by arrow keys, or typed under it; Enter takes it. */
final class CardPane extends Pane {

    /** mm by which an arrow key moves the mark */
    private static final double NUDGE_MM = 0.1;

    private static final double COARSE_MM = 1;
    private static final double FIELD = 34;

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final Runnable taken;
    private final Label head = Words.label("", "head");
    private final Label caption = Words.wrapped("", "caption");
    private final DrawingSurface card;
    private final PhotoPane photo;
    private final ComboBox<Where> where = new ComboBox<>();
    private final Label[] names = {
        Words.label("right", "small"), Words.label("above", "small"), Words.label("current", "small")
    };
    private final TextField[] fields = {new TextField(), new TextField(), new TextField()};
    private final Label problem = Words.wrapped("", "problem");
    private final boolean meter;
    private OptionalInt correcting = OptionalInt.empty();
    private Optional<Steps.At> asked = Optional.empty();
    private CardFigure.Card drawn =
            new CardFigure.Card(List.of(), Optional.empty(), Optional.empty(), Optional.empty());
    private boolean following;
    private boolean measuring;
    private boolean asks;
    private Optional<Practice> practice = Optional.empty();

    /** A place to shoot at, as it is offered. */
    private record Where(String words, Optional<Steps.At> at) {
        @Override
        public String toString() {
            return words;
        }
    }

    /** @param taken runs when a mark was taken, or corrected */
    CardPane(BenchPlace place, Steps steps, Runnable taken) {
        this.place = place;
        this.steps = steps;
        this.taken = taken;
        draft = place.draft();
        meter = place.plate()
                .source()
                .map(Plate.Source::ratedCurrentMa)
                .orElse(OptionalDouble.empty())
                .isPresent();
        card = new DrawingSurface(place.workplace().look());
        photo = new PhotoPane(place, this::put, taken);
        card.setId("card");
        card.setFocusTraversable(true);
        card.getStyleClass().add("grip");
        card.setOnMousePressed(this::pointed);
        card.setOnMouseDragged(this::pointed);
        card.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        String[] ids = {"mark-x", "mark-y", "mark-current"};
        for (int i = 0; i < fields.length; i++) {
            int which = i;
            fields[i].setId(ids[i]);
            fields[i].setAccessibleText(
                    i == 0 ? "right of the cross" : i == 1 ? "above the cross" : "tube current of this shot");
            names[i].setLabelFor(fields[i]);
            fields[i].textProperty().addListener((value, before, now) -> typed(which, now));
            fields[i].focusedProperty().addListener((value, before, now) -> draft.endStep());
            fields[i].addEventFilter(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER && !event.isControlDown()) {
                    entered(which);
                    event.consume();
                }
            });
        }
        where.setId("where");
        where.setAccessibleText("where the card is");
        where.getStyleClass().addAll("pill", "tight");
        where.setOnAction(event -> {
            if (!following) {
                taken.run();
            }
        });
        getChildren().addAll(head, caption, card, photo, problem);
        for (int i = 0; i < fields.length; i++) {
            getChildren().addAll(names[i], fields[i]);
            boolean shown = i < 2 || meter;
            names[i].setVisible(shown);
            fields[i].setVisible(shown);
        }
        draft.onChange(this::follow);
    }

    /** The shot whose mark stands in the fields: the one being read, or an earlier one. */
    private int shot() {
        return correcting.orElse(steps.shots().size());
    }

    private String name(int which) {
        return which == 0 ? Steps.x(shot()) : which == 1 ? Steps.y(shot()) : Steps.current(shot());
    }

    private void typed(int which, String now) {
        if (!following && measuring && !now.equals(draft.text(name(which)))) {
            draft.type(name(which), now, place.units());
        }
    }

    private void follow() {
        following = true;
        for (int i = 0; i < fields.length; i++) {
            String text = draft.text(name(i));
            if (!text.equals(fields[i].getText())) {
                fields[i].setText(text);
                fields[i].end();
            }
        }
        following = false;
    }

    /** Enter goes to the next field that is empty, and takes the mark once none is. */
    private void entered(int which) {
        if (which == 0 && fields[1].getText().isBlank()) {
            fields[1].requestFocus();
        } else if (correcting.isEmpty()
                && which < 2
                && fields[2].isVisible()
                && fields[2].getText().isBlank()) {
            fields[2].requestFocus();
        } else {
            take();
        }
    }

    /** Takes the mark that is being read, or ends the correction of an earlier one. */
    void take() {
        if (correcting.isPresent()) {
            correct(OptionalInt.empty());
            taken.run();
            return;
        }
        Optional<Steps.At> at = at();
        if (at.isEmpty() || !measuring) {
            return;
        }
        if (live().isEmpty()) {
            boolean unread =
                    fields[0].getText().isBlank() || fields[1].getText().isBlank();
            place.workplace()
                    .tell(
                            unread
                                    ? "Read the mark first: how far right of the cross, and how far above it."
                                    : "Put right what is marked under the card; then take the mark.");
            (fields[0].getText().isBlank() || understood(0).isEmpty() ? fields[0] : fields[1]).requestFocus();
            return;
        }
        if (!problem(2).isEmpty()) {
            place.workplace().tell("Put right the current, or leave it empty; then take the mark.");
            fields[2].requestFocus();
            return;
        }
        Map<String, Draft.Text> changed = new HashMap<>();
        changed.put(Steps.FIELD, Steps.kept(steps.made(), List.of(new Steps.Made(at, Optional.empty()))));
        where.getItems().clear();
        Draft.put(changed, Practice.SHOT, "");
        photo.taken();
        draft.typeAll(changed);
        taken.run();
    }

    /** Puts the mark of an earlier shot into the fields, or that of the shot being read. */
    void correct(OptionalInt earlier) {
        correcting = earlier;
        draft.endStep();
        follow();
    }

    OptionalInt correcting() {
        return correcting;
    }

    /** Whether a mark is typed that was not taken yet. */
    boolean isUntaken() {
        return correcting.isEmpty()
                && (!draft.text(name(0)).isBlank() || !draft.text(name(1)).isBlank());
    }

    /** Where the card is: as asked, unless somebody says that it is elsewhere. */
    Optional<Steps.At> at() {
        if (correcting.isPresent()) {
            return Optional.of(steps.shots().get(correcting.getAsInt()));
        }
        return where.getValue() == null ? asked : where.getValue().at();
    }

    private void pointed(MouseEvent event) {
        if (measuring) {
            card.requestFocus();
            put(CardFigure.at(drawn, card.getWidth(), event.getX(), event.getY()));
        }
    }

    private void key(KeyEvent event) {
        double step = event.isShiftDown() ? COARSE_MM : NUDGE_MM;
        Spot now = live().orElse(new Spot(0, 0));
        switch (event.getCode()) {
            case LEFT -> nudge(event, now, -step, 0);
            case RIGHT -> nudge(event, now, step, 0);
            case UP -> nudge(event, now, 0, step);
            case DOWN -> nudge(event, now, 0, -step);
            case ENTER -> {
                if (!event.isControlDown()) {
                    take();
                    event.consume();
                }
            }
            default -> {
                // not for the card
            }
        }
    }

    private void nudge(KeyEvent event, Spot from, double x, double y) {
        if (measuring) {
            put(new Spot(from.xMm() + x, from.yMm() + y));
        }
        event.consume();
    }

    private void put(Spot spot) {
        UnitChoice units = place.units();
        Map<String, Draft.Text> both = new HashMap<>();
        both.put(name(0), new Draft.Text(Amount.mm(spot.xMm(), 1).number(units), units));
        both.put(name(1), new Draft.Text(Amount.mm(spot.yMm(), 1).number(units), units));
        draft.typeAll(both);
    }

    private Optional<Double> understood(int which) {
        Draft.Text typed = draft.typed(name(which));
        if (typed.text().isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    Typed.read(typed.text(), quantity(which), typed.units()).base());
        } catch (UnreadableException wrong) {
            return Optional.empty();
        }
    }

    private static Quantity quantity(int which) {
        return which == 2 ? Quantity.CURRENT : Quantity.LENGTH;
    }

    private String problem(int which) {
        Draft.Text typed = draft.typed(name(which));
        if (typed.text().isBlank()) {
            return "";
        }
        try {
            Typed.read(typed.text(), quantity(which), typed.units());
            return "";
        } catch (UnreadableException wrong) {
            return wrong.getMessage();
        }
    }

    private Optional<Spot> live() {
        return understood(0).flatMap(x -> understood(1).map(y -> new Spot(x, y)));
    }

    /** What chooses where the card is; it stands beside the shots. */
    ComboBox<?> where() {
        return where;
    }

    /** The photo of the card, where there is one. */
    PhotoPane photo() {
        return photo;
    }

    /** Whether a mark is being read, so that a photo of its card can be taken. */
    boolean isReading() {
        return measuring && asks && !isToBeShot();
    }

    /** Whether this is practice, and the pretend card was not shot at yet. */
    boolean isToBeShot() {
        return practice.isPresent()
                && asks
                && correcting.isEmpty()
                && draft.text(Practice.SHOT).isEmpty();
    }

    /** Where one types first. */
    TextField first() {
        return fields[0];
    }

    /**
     * Shows the card for what is asked now.
     *
     * @param marks those that were taken, in the order of the shots
     * @param finding what is known so far
     * @param pretends the pretend machine that is shot at, where this is practice
     */
    void show(Optional<PlanFinding> finding, List<Spot> marks, boolean measures, Optional<Practice> pretends) {
        measuring = measures;
        practice = pretends;
        UnitChoice units = place.units();
        asked = finding.map(PlanFinding::next)
                .filter(next -> next.act() == PlanFinding.Act.SHOOT || next.act() == PlanFinding.Act.TURN)
                .map(next ->
                        new Steps.At(next.mirror().orElse(2), next.gantryMm().orElse(0), next.carriageMm()));
        boolean shoots =
                finding.filter(f -> f.next().act() == PlanFinding.Act.SHOOT).isPresent();
        asks = shoots && measuring;
        offer(finding, shoots);
        List<Steps.At> shots = steps.shots();
        Optional<Steps.At> at =
                at().or(() -> shots.isEmpty() ? Optional.empty() : Optional.of(shots.get(shots.size() - 1)));
        boolean head = at.map(place -> place.mirror() == 2).orElse(true);
        boolean reads = measuring && (shoots && !isToBeShot() || correcting.isPresent());
        Words.set(
                this.head,
                correcting.isPresent()
                        ? "Shot " + (correcting.getAsInt() + 1) + ", to be corrected"
                        : head ? "The card at the head" : "The card before " + second());
        for (int i = 0; i < fields.length; i++) {
            fields[i].setDisable(measuring && !reads);
            fields[i].setEditable(measuring);
            boolean shown = reads && (i < 2 || meter && practice.isEmpty());
            fields[i].setVisible(shown);
            names[i].setVisible(shown);
        }
        fields[2].setPromptText("mA");
        for (int i = 0; i < 2; i++) {
            fields[i].setPromptText(Quantity.LENGTH.unit(units));
        }
        where.setVisible(measuring && shoots && correcting.isEmpty());
        drawn = new CardFigure.Card(
                sorted(marks, at),
                reads ? live() : Optional.empty(),
                correcting.isPresent() ? Optional.empty() : finding.flatMap(PlanFinding::expected),
                burn());
        card.show((pen, width, height) -> CardFigure.draw(pen, drawn, units, width), CardFigure.words(drawn, units));
        if (photo.isVisible() && !reads) {
            photo.close();
        }
        Words.set(
                caption,
                photo.isVisible()
                        ? photo.asked()
                        : "facing the beam; " + (reads ? "point, or arrow keys" : "filled: this place"));
        photo.requestLayout();
        follow();
        Words.set(
                problem,
                Stream.of(0, 1, 2)
                        .map(this::problem)
                        .filter(why -> !why.isEmpty())
                        .findFirst()
                        .map(Words::sentence)
                        .orElse(""));
        for (int i = 0; i < fields.length; i++) {
            fields[i].getStyleClass().remove("wrong");
            if (!problem(i).isEmpty()) {
                fields[i].getStyleClass().add("wrong");
            }
        }
        requestLayout();
    }

    /** What the card on the first run is before. */
    private String second() {
        return MirrorsBench.startsAtTheTube(draft) ? "the gantry's mirror" : "mirror 2";
    }

    /** The places that can be shot at, the one that is asked for first. */
    private void offer(Optional<PlanFinding> finding, boolean shoots) {
        following = true;
        List<Where> offered = new ArrayList<>();
        if (shoots && finding.isPresent()) {
            PlanReadings.Run run = finding.get().run();
            offered.add(new Where("as asked", asked));
            for (double g : new double[] {run.yNearMm(), run.yFarMm()}) {
                String gantry = g == run.yNearMm() ? "gantry near" : "gantry far";
                offered.add(
                        new Where(second() + ", " + gantry, Optional.of(new Steps.At(1, g, OptionalDouble.empty()))));
                for (double d : new double[] {run.xNearMm(), run.xFarMm()}) {
                    offered.add(new Where(
                            "head " + (d == run.xNearMm() ? "near, " : "far, ") + gantry,
                            Optional.of(new Steps.At(2, g, OptionalDouble.of(d)))));
                }
            }
        }
        String before = where.getValue() == null ? "" : where.getValue().words();
        where.getItems().setAll(offered);
        offered.stream()
                .filter(each -> each.words().equals(before))
                .findFirst()
                .or(() -> offered.stream().findFirst())
                .ifPresent(where.getSelectionModel()::select);
        following = false;
    }

    /** The mark on a pretend card, to be read. */
    private Optional<Spot> burn() {
        return practice.filter(pretends -> asks && correcting.isEmpty() && !isToBeShot())
                .flatMap(pretends -> at().map(at -> pretends.shoot(steps.made(), at)));
    }

    private List<CardFigure.Mark> sorted(List<Spot> marks, Optional<Steps.At> at) {
        List<CardFigure.Mark> sorted = new ArrayList<>();
        List<Steps.Made> made = steps.made();
        int lastTurn = -1;
        for (int i = 0; i < made.size(); i++) {
            lastTurn = made.get(i).turn().isPresent() ? i : lastTurn;
        }
        int shot = 0;
        for (int i = 0; i < made.size(); i++) {
            if (made.get(i).shot().isEmpty()) {
                continue;
            }
            Steps.At there = made.get(i).shot().get();
            boolean same = at.filter(there::equals).isPresent();
            boolean sameCard =
                    at.filter(place -> place.mirror() == there.mirror()).isPresent();
            boolean being = correcting.isPresent() && correcting.getAsInt() == shot;
            if (shot < marks.size() && sameCard && !being) {
                CardFigure.Sort sort =
                        i < lastTurn ? CardFigure.Sort.BEFORE : same ? CardFigure.Sort.HERE : CardFigure.Sort.ELSEWHERE;
                sorted.add(new CardFigure.Mark(marks.get(shot), shot + 1, sort));
            }
            shot++;
        }
        return sorted;
    }

    @Override
    protected double computePrefHeight(double width) {
        return 60 + width + 66;
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        head.resizeRelocate(0, 0, width, 22);
        caption.resizeRelocate(0, 23, width, 18);
        double side = Math.max(120, Math.min(width, getHeight() - 44 - 62));
        card.resizeRelocate(0, 44, side, side);
        photo.resizeRelocate(0, 44, side, side);
        double top = 44 + side + 4;
        int shown = meter ? 3 : 2;
        double each = (side - 8 * (shown - 1)) / shown;
        for (int i = 0; i < fields.length; i++) {
            names[i].resizeRelocate(i * (each + 8), top, each, 18);
            fields[i].resizeRelocate(i * (each + 8), top + 18, each, FIELD);
        }
        boolean wrong = !problem.getText().isEmpty();
        problem.setVisible(wrong);
        problem.resizeRelocate(side + 8, 44 + side - 40, Math.max(0, width - side - 8), 100);
    }
}
