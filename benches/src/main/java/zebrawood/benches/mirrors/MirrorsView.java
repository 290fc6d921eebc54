package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.beam.Spot;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Words;

/** First what the machine is like, typed where it is measured; then the beam's way over card, mirrors and shots. */
final class MirrorsView extends Pane {

    private static final double LEAST = 640;
    private static final double STRIP = 62;
    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final Heading heading = new Heading("");
    private final DrawingSurface way;
    private final BeginPane begin;
    private final PracticeRun practice;
    private final CardPane card;
    private final TurnPane turns;
    private final SchoolPane school;
    private final Label stripName = Words.label("Shots", "stage");
    private final ShotStrip strip;
    private final DonePane done;
    private final Button step = new Button();
    private Showing<PlanReadings, PlanFinding> now;
    private String focused = "";

    MirrorsView(BenchPlace place, Steps steps, boolean learned) {
        this.place = place;
        this.steps = steps;
        draft = place.draft();
        way = new DrawingSurface(place.workplace().look()).withMenu();
        turns = new TurnPane(place, steps, step::requestFocus, () -> show(now));
        school = new SchoolPane(place);
        strip = new ShotStrip(place.workplace().look());
        done = new DonePane(place);
        card = new CardPane(place, steps, () -> show(now));
        begin = new BeginPane(place, step, learned);
        practice = new PracticeRun(place, steps);
        step.setId("step");
        step.getStyleClass().setAll("button", "strong");
        step.setGraphic(Words.label("Enter", "small"));
        step.setContentDisplay(ContentDisplay.RIGHT);
        step.setGraphicTextGap(12);
        step.setMaxWidth(Double.MAX_VALUE);
        step.setOnAction(event -> takeStep());
        getChildren().addAll(heading, way, begin, card, turns, school, done, stripName, card.where(), strip);
        setMinHeight(LEAST);
    }

    List<ReadingField> fields() {
        // the runs last: from the last of them Enter goes on to what was looked at
        List<ReadingField> fields = new ArrayList<>(begin.usual());
        fields.addAll(done.fields());
        fields.addAll(begin.runs());
        return fields;
    }

    CardPane card() {
        return card;
    }

    private boolean isBegun() {
        return MirrorsBench.isBegun(draft);
    }

    private Optional<PlanFinding> finding() {
        return now == null ? Optional.empty() : now.finding();
    }

    private Optional<PlanFinding.Act> act() {
        return finding().map(found -> found.next().act());
    }

    /** What is to be done before the next judgement: begin, take a mark, say that screws were turned. */
    void takeStep() {
        if (!isBegun()) {
            if (ready().isPresent()) {
                place.workplace().tell(ready().get());
                missing().ifPresent(Node::requestFocus);
            } else {
                draft.typeAll(Map.of(MirrorsBench.BEGUN, new Draft.Text("yes", UnitChoice.METRIC)));
            }
        } else if (card.correcting().isPresent()) {
            card.take();
        } else if (turns.isTurning()) {
            turns.take();
        } else if (card.isToBeShot()) {
            draft.typeAll(Map.of(Practice.SHOT, new Draft.Text("yes", UnitChoice.METRIC)));
            card.goToMark();
        } else if (act().filter(PlanFinding.Act.SHOOT::equals).isPresent()) {
            card.take();
        }
    }

    private Optional<String> ready() {
        return now == null ? Optional.empty() : begin.ready(now.filled());
    }

    String next() {
        return isBegun()
                ? "Look at the fields that are marked."
                : ready().orElse("All is ready for the first shot. Eyewear on everybody, then begin.");
    }

    Optional<Node> missing() {
        if (!isBegun()) {
            return Optional.of(begin.missing());
        }
        return act().map(act -> act == PlanFinding.Act.SHOOT ? card.first() : step);
    }

    List<Node> step(Showing<PlanReadings, PlanFinding> showing) {
        return showing.measuring() && !step.getText().isEmpty() ? List.of(step) : List.of();
    }

    /** What the next step is called; empty where there is none. */
    private String stepWords() {
        if (!isBegun()) {
            return "Begin";
        } else if (card.correcting().isPresent()) {
            return "The mark is right now";
        } else if (turns.isTurning()) {
            return "I turned it";
        }
        return act().filter(PlanFinding.Act.SHOOT::equals)
                .map(shoot -> card.isToBeShot() ? "Shoot" : "Take the mark")
                .orElse("");
    }

    void show(Showing<PlanReadings, PlanFinding> showing) {
        now = showing;
        if (!showing.measuring()) {
            card.photo().forget();
        }
        UnitChoice units = place.units();
        boolean begun = isBegun();
        List<Spot> marks = marks();
        if (card.correcting().isPresent()
                && card.correcting().getAsInt() >= steps.shots().size()) {
            card.correct(OptionalInt.empty());
        }
        card.show(finding(), marks, showing.measuring(), practice.machine(run()));
        begin.show(run(), !begun, showing.measuring());
        boolean isDone = begun && act().filter(PlanFinding.Act.DONE::equals).isPresent();
        if (isDone) {
            done.show(showing.readings().orElseThrow(), finding().orElseThrow(), units);
        } else {
            done.hide();
        }
        card.setVisible(begun && !isDone);
        turns.setVisible(begun && !isDone && school.chosen().isEmpty());
        turns.show(
                finding(),
                turns.isVisible() && showing.measuring(),
                MirrorsBench.names(MirrorsBench.startsAtTheTube(draft)));
        school.show(begun && !isDone, showing.readings());
        strip.setVisible(begun);
        stripName.setVisible(begun);
        showWay(begun, units);
        showStrip(marks);
        step.setText(stepWords());
        focusOn();
        requestLayout();
    }

    /** The marks that are readable, in the order of the shots, up to the first that is not. */
    private List<Spot> marks() {
        List<Spot> marks = new ArrayList<>();
        for (int i = 0; i < steps.shots().size(); i++) {
            Optional<Double> x = now.filled().understood(Steps.x(i));
            Optional<Double> y = now.filled().understood(Steps.y(i));
            if (x.isEmpty() || y.isEmpty()) {
                break;
            }
            marks.add(new Spot(x.get(), y.get()));
        }
        return marks;
    }

    private PlanReadings.Run run() {
        return finding().map(PlanFinding::run).orElseGet(() -> MirrorsBench.proposed(place.plate()));
    }

    private void showWay(boolean begun, UnitChoice units) {
        Optional<PlanFinding> found = finding();
        boolean ended = found.filter(
                        f -> f.next().act() != PlanFinding.Act.SHOOT && f.next().act() != PlanFinding.Act.TURN)
                .isPresent();
        practice.score(ended, run(), () -> show(now));
        String head = begun
                ? found.map(f -> (ended ? practice.words(f.shots(), units) : Optional.<String>empty())
                                .orElseGet(() -> MirrorsHead.words(f, units)))
                        .orElse("Mirrors")
                : "How far does the beam run on this machine?";
        heading.show((practice.isOn() ? "Practice. " : "") + head);
        way.setVisible(begun);
        if (!begun) {
            heading.caption("from above, to scale; measure from the middle of a mirror to where the card will be");
            return;
        }
        Set<Integer> lit =
                turns.inHand().stream().map(PlanReadings.Turn::mirror).collect(Collectors.toSet());
        found.flatMap(PlanFinding::fault).flatMap(PlanFinding.Fault::mirror).ifPresent(lit::add);
        WayFigure.Way drawn = new WayFigure.Way(
                run(),
                found.filter(f -> f.shots() > 0).map(PlanFinding::now),
                card.at(),
                lit,
                found.flatMap(PlanFinding::fault).map(PlanFinding.Fault::kind),
                MirrorsBench.startsAtTheTube(draft),
                true);
        double factor = WayFigure.enlarged(drawn, Math.max(way.getWidth(), 400), Math.max(way.getHeight(), 200));
        heading.caption(
                drawn.beam().isEmpty()
                        ? "from above, to scale; the beam is dashed until a card was shot at"
                        : String.format(
                                Locale.ROOT,
                                "from above, to scale; the error of the beam is drawn %.0f times larger",
                                factor));
        way.show(
                (pen, width, height) -> WayFigure.draw(pen, drawn, units, width, height),
                "the beam's way from above: " + head);
    }

    private void showStrip(List<Spot> marks) {
        List<Integer> after = new ArrayList<>();
        int shots = 0;
        boolean turn = false;
        for (Steps.Made made : steps.made()) {
            if (made.turn().isPresent()) {
                turn = true;
            } else {
                if (turn) {
                    after.add(shots);
                }
                turn = false;
                shots++;
            }
        }
        boolean next = now.measuring()
                && act().filter(act -> act == PlanFinding.Act.SHOOT || act == PlanFinding.Act.TURN)
                        .isPresent();
        strip.show(steps.shots(), marks, after, next, card.correcting(), strip.getWidth(), shot -> {
            if (now.measuring()) {
                card.correct(
                        card.correcting().equals(OptionalInt.of(shot)) ? OptionalInt.empty() : OptionalInt.of(shot));
                show(now);
                card.first().requestFocus();
            }
        });
    }

    /** Puts the focus where the next thing is done, once what is to be done is another. */
    private void focusOn() {
        if (!now.measuring() || now.outcome().isEmpty()) {
            focused = now.measuring() ? focused : "";
            return;
        }
        String what = steps.made().size() + " " + act().map(Enum::name).orElse("");
        if (!what.equals(focused)) {
            boolean first = focused.isEmpty();
            focused = what;
            if (!first || isBegun()) {
                Platform.runLater(() -> missing().ifPresent(Node::requestFocus));
            }
        }
    }

    /** The other ways of working, and practice, as links. */
    Optional<Node> otherSchool(Showing<PlanReadings, PlanFinding> showing) {
        if (!showing.measuring()) {
            return Optional.empty();
        }
        VBox links = new VBox(2);
        if (practice.isOn()) {
            links.getChildren()
                    .addAll(
                            Words.wrapped("Practice on a pretend machine. Nothing of it is recorded.", "quiet"),
                            link("practice", "End practice", this::endPractice));
        }
        if (isBegun()) {
            if (school.chosen().isEmpty()) {
                links.getChildren()
                        .addAll(
                                link("by-hand", "Check it by hand", () -> school(SchoolPane.BY_HAND)),
                                link(
                                        "centring",
                                        "Quick: centre on the next mirror",
                                        () -> school(SchoolPane.CENTRING)));
            } else {
                links.getChildren().add(link("plan", "Back to the plan", () -> school("")));
            }
        } else {
            links.getChildren()
                    .addAll(
                            link("practice", "Practise on a pretend machine", practice::begin),
                            link("print-cards", "Print cards at true size", this::printCards));
        }
        return Optional.of(links);
    }

    private static Hyperlink link(String id, String words, Runnable action) {
        Hyperlink link = new Hyperlink(words);
        link.setId(id);
        link.setOnAction(event -> action.run());
        return link;
    }

    private void school(String chosen) {
        draft.typeAll(Map.of(SchoolPane.FIELD, new Draft.Text(chosen, UnitChoice.METRIC)));
        Platform.runLater(() -> missing().ifPresent(Node::requestFocus));
    }

    /** Whether a mark or a turn is typed that was not taken yet. */
    boolean isUntaken() {
        return card.isUntaken() || turns.isOtherwise();
    }

    boolean isPractising() {
        return practice.isOn();
    }

    private void endPractice() {
        card.correct(OptionalInt.empty());
        practice.end();
    }

    private void printCards() {
        FileDialogs.toSave(getScene(), "cards.pdf")
                .ifPresent(file -> place.workplace()
                        .page(
                                file,
                                "Cards for the beam, at true size",
                                (pen, width, height) -> CardSheet.draw(pen, width, height)));
    }

    @Override
    protected double computeMinHeight(double width) {
        return LEAST;
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double top = heading.layOut(width);
        double height = Math.max(getHeight(), LEAST);
        begin.resizeRelocate(0, top, width, height - top);
        layOutWork(width, height, top);
    }

    private void layOutWork(double width, double height, double top) {
        double lower = Math.min(340, Math.max(300, height * 0.46));
        double drawing = height - top - lower - 8;
        way.resizeRelocate(12, top, width - 24, drawing);
        double y = top + drawing + 8;
        double side = lower - 44 - 62 - 8;
        double cardWidth = Math.max(side, 200);
        card.resizeRelocate(24, y, Math.min(cardWidth + 40, width * 0.44), lower);
        double x = 24 + Math.min(cardWidth + 40, width * 0.44) + 24;
        double right = width - x - 16;
        double stripTop = y + lower - STRIP - 22;
        turns.resizeRelocate(x, y, right, stripTop - y - 16);
        school.resizeRelocate(x, y, right, stripTop - y - 6);
        done.resizeRelocate(0, y, width, stripTop - y);
        if (done.isVisible()) {
            double map = DonePane.mapWidth(width);
            x = map > 0 ? 24 + map + 20 : 24;
            right = width - x - 12;
            done.resizeRelocate(0, y, width, map > 0 ? lower : stripTop - y);
        }
        stripName.resizeRelocate(x, stripTop, 60, 20);
        double box = Math.min(card.where().prefWidth(-1), right - 60);
        card.where().resizeRelocate(x + right - box, stripTop - 15, box, 34);
        strip.resizeRelocate(x, stripTop + 20, right, STRIP);
        if (now != null && strip.needs(strip.getWidth())) {
            Platform.runLater(() -> show(now));
        }
    }
}
