package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import zebrawood.core.beam.Spot;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The card: the mark is put on it by pointing, by arrow keys, or typed under it; Enter takes it. */
final class CardPane extends Pane {

    /** mm by which an arrow key moves the mark */
    private static final double NUDGE_MM = 0.1;

    private static final double COARSE_MM = 1;

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final Runnable taken;
    private final Label head = Words.label("", "head");
    private final Label caption = Words.wrapped("", "caption");
    private final DrawingSurface card;
    private final PhotoPane photo;
    private final ComboBox<Where> where = new ComboBox<>();
    private final MarkFields mark;
    private final Label problem = Words.wrapped("", "problem");
    private OptionalInt correcting = OptionalInt.empty();
    private Optional<Steps.At> asked = Optional.empty();
    private CardFigure.Card drawn =
            new CardFigure.Card(List.of(), Optional.empty(), Optional.empty(), Optional.empty());
    private boolean following;
    private boolean measuring;
    private boolean asks;
    private boolean reads;
    private Optional<Practice> practice = Optional.empty();
    private boolean goes;

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
        mark = new MarkFields(place, this::shot, this::entered);
        card = new DrawingSurface(place.workplace().look());
        photo = new PhotoPane(place, mark::put, taken);
        card.setId("card");
        card.setFocusTraversable(true);
        card.getStyleClass().add("grip");
        card.setOnMousePressed(this::pointed);
        card.setOnMouseDragged(this::pointed);
        card.setOnMouseReleased(event -> draft.endStep());
        card.focusedProperty().addListener((value, before, now) -> draft.endStep());
        card.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        where.setId("where");
        where.setAccessibleText("where the card is");
        where.getStyleClass().addAll("pill", "tight");
        where.setOnAction(event -> {
            if (!following) {
                taken.run();
            }
        });
        getChildren().addAll(head, caption, card, photo, problem);
        getChildren().addAll(mark.nodes());
    }

    /** The shot whose mark stands in the fields: the one being read, or an earlier one. */
    private int shot() {
        return correcting.orElse(steps.shots().size());
    }

    /** Enter goes to the next field that is empty, and takes the mark once none is. */
    private void entered(int which) {
        if (which == MarkFields.X && mark.isEmpty(MarkFields.Y)) {
            mark.field(MarkFields.Y).requestFocus();
        } else if (correcting.isEmpty() && which != MarkFields.CURRENT && mark.lacksCurrent()) {
            mark.field(MarkFields.CURRENT).requestFocus();
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
        if (mark.spot().isEmpty()) {
            boolean unread = mark.isEmpty(MarkFields.X) || mark.isEmpty(MarkFields.Y);
            place.workplace()
                    .tell(
                            unread
                                    ? "Read the mark first: how far right of the cross, and how far above it."
                                    : "Put right what is marked under the card; then take the mark.");
            boolean first =
                    mark.isEmpty(MarkFields.X) || mark.problem(MarkFields.X).isPresent();
            mark.field(first ? MarkFields.X : MarkFields.Y).requestFocus();
            return;
        }
        if (mark.problem(MarkFields.CURRENT).isPresent()) {
            place.workplace().tell("Put right the current, or leave it empty; then take the mark.");
            mark.field(MarkFields.CURRENT).requestFocus();
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
        mark.follow();
    }

    OptionalInt correcting() {
        return correcting;
    }

    /** Whether a mark is typed that was not taken yet. */
    boolean isUntaken() {
        return correcting.isEmpty() && (!mark.isEmpty(MarkFields.X) || !mark.isEmpty(MarkFields.Y));
    }

    /** Where the card is: as asked, unless somebody says that it is elsewhere. */
    Optional<Steps.At> at() {
        if (correcting.isPresent()) {
            return Optional.of(steps.shots().get(correcting.getAsInt()));
        }
        return where.getValue() == null ? asked : where.getValue().at();
    }

    private void pointed(MouseEvent event) {
        if (reads) {
            card.requestFocus();
            mark.put(CardFigure.at(drawn, card.getWidth(), event.getX(), event.getY()));
        }
    }

    private void key(KeyEvent event) {
        double step = event.isShiftDown() ? COARSE_MM : NUDGE_MM;
        Spot now = mark.spot().orElse(new Spot(0, 0));
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
        if (reads) {
            mark.put(new Spot(from.xMm() + x, from.yMm() + y));
        }
        event.consume();
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

    /** Goes to the mark as soon as it is to be read: what follows from a shot may be judged apart. */
    void goToMark() {
        goes = true;
        first().requestFocus();
    }

    /** Where one types first. */
    TextField first() {
        return mark.field(MarkFields.X);
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
        reads = measuring && (shoots && !isToBeShot() || correcting.isPresent());
        Words.set(
                this.head,
                correcting.isPresent()
                        ? "Shot " + (correcting.getAsInt() + 1) + ", to be corrected"
                        : head ? "The card at the head" : "The card before " + second());
        mark.show(reads, practice.isEmpty());
        if (goes && reads) {
            goes = false;
            first().requestFocus();
        }
        where.setVisible(measuring && shoots && correcting.isEmpty());
        drawn = new CardFigure.Card(
                sorted(marks, at),
                reads ? mark.spot() : Optional.empty(),
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
        Words.set(problem, mark.problem());
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
        mark.layOut(0, 44 + side + 4, side);
        boolean wrong = !problem.getText().isEmpty();
        problem.setVisible(wrong);
        problem.resizeRelocate(side + 8, 44 + side - 40, Math.max(0, width - side - 8), 100);
    }
}
