package zebrawood.benches.mirrors;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
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
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import zebrawood.core.beam.Spot;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.ChoiceField;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Words;

/** First what the machine is like, typed where it is measured; then the beam's way over card, mirrors and shots. */
final class MirrorsView extends Pane {

    private static final double LEAST = 640;
    private static final double FIELD_WIDTH = 88;
    private static final double FIELD_HEIGHT = 34;
    private static final double STRIP = 62;
    private static final double CELL = 80;
    /** px that the pointer needs; the map of the corners gives way to it */
    private static final double POINTER = 240;
    /** where a draft keeps which other way of working is shown */
    private static final String SCHOOL = "school";
    /** from one pretend machine's number to the next one's */
    private static final long ANOTHER = 7919;
    /** where a draft keeps which runs practice filled in, to take them out again */
    private static final String LENT = "practiceRuns";

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final Heading heading = new Heading("");
    private final DrawingSurface way;
    private final List<ReadingField> runs;
    private final List<Label> runNames = new ArrayList<>();
    private final List<ReadingField> others;
    private final List<VBox> cells = new ArrayList<>();
    private final ChoiceField optics =
            new ChoiceField(MirrorsBench.OPTICS, "mirrors and lens", MirrorsBench.OPTICS_CHOICES);
    private final ChoiceField bed = new ChoiceField(MirrorsBench.BED, "bed", MirrorsBench.BED_CHOICES);
    private final CardPane card;
    private final TurnPane turns;
    private final Label schoolHead = Words.label("", "head");
    private final DrawingSurface school;
    private final Label stripName = Words.label("Shots", "stage");
    private final ShotStrip strip;
    private final DrawingSurface corners;
    private final VBox pointer;
    private final Button step = new Button();
    private Showing<PlanReadings, PlanFinding> now;
    private Optional<Practice.Score> score = Optional.empty();
    private String scored = "";
    private String focused = "";
    private long practised;

    MirrorsView(BenchPlace place, Steps steps, boolean learned) {
        this.place = place;
        this.steps = steps;
        draft = place.draft();
        way = new DrawingSurface(place.workplace().look()).withMenu();
        turns = new TurnPane(place, steps, step::requestFocus, () -> show(now));
        school = new DrawingSurface(place.workplace().look());
        strip = new ShotStrip(place.workplace().look());
        corners = new DrawingSurface(place.workplace().look()).withMenu();
        card = new CardPane(place, steps, () -> show(now));
        runs = List.of(MirrorsBench.Y_NEAR, MirrorsBench.Y_FAR, MirrorsBench.X_NEAR, MirrorsBench.X_FAR).stream()
                .map(name -> new ReadingField(MirrorsBench.FIELDS.field(name)).bare())
                .toList();
        for (ReadingField run : runs) {
            Label name = Words.label(run.title().endsWith("near") ? "near" : "far", "small");
            name.setLabelFor(run.field());
            runNames.add(name);
        }
        others =
                List.of(MirrorsBench.MARK_ERROR, MirrorsBench.TOLERANCE, MirrorsBench.POINTER_X, MirrorsBench.POINTER_Y)
                        .stream()
                        .map(name -> new ReadingField(MirrorsBench.FIELDS.field(name)))
                        .toList();
        ChoiceField at2 = new ChoiceField(
                MirrorsBench.CARD, "before mirror 2", List.of(MirrorsBench.TAKES_CARD, MirrorsBench.NO_CARD));
        ChoiceField mirrors = new ChoiceField(MirrorsBench.MIRRORS, "mirrors", MirrorsBench.MIRRORS_CHOICES);
        List<ChoiceField> choices = new ArrayList<>(List.of(optics, bed, mirrors, at2));
        if (learned) {
            choices.add(new ChoiceField(
                    MirrorsBench.MOUNTS,
                    "mounts",
                    List.of(
                            new Choice("", "the same as last time"),
                            new Choice(MirrorsBench.FORGOTTEN, "others, or changed"))));
        }
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
        others.get(0).setPrefWidth(130);
        others.get(1).setPrefWidth(150);
        cells.add(cell(others.get(0).title(), others.get(0)));
        cells.add(cell(others.get(1).title(), others.get(1)));
        HBox spot = new HBox(
                12,
                cell(others.get(2).title(), others.get(2)),
                cell(others.get(3).title(), others.get(3)));
        pointer = new VBox(
                4,
                Words.label("The pointer, last", "stage"),
                Words.wrapped(
                        "Where its spot sits on the card of the last shot. Nothing is judged by it; set it to the "
                                + "beam, never the beam to it.",
                        "caption"),
                spot);
        step.setId("step");
        step.getStyleClass().setAll("button", "strong");
        step.setGraphic(Words.label("Enter", "small"));
        step.setContentDisplay(ContentDisplay.RIGHT);
        step.setGraphicTextGap(12);
        step.setMaxWidth(Double.MAX_VALUE);
        step.setOnAction(event -> takeStep());
        getChildren()
                .addAll(
                        heading,
                        way,
                        card,
                        turns,
                        schoolHead,
                        school,
                        stripName,
                        card.where(),
                        strip,
                        pointer,
                        corners);
        getChildren().addAll(runs);
        getChildren().addAll(runNames);
        getChildren().addAll(cells);
        setMinHeight(LEAST);
    }

    /** What is on record of it, and how old that is. */
    private String onRecord(String what) {
        return place.known(what)
                .map(known -> {
                    long days = Math.max(
                            0,
                            ChronoUnit.DAYS.between(
                                    place.workplace().local(known.since()).toLocalDate(),
                                    place.workplace()
                                            .local(place.workplace().now())
                                            .toLocalDate()));
                    String cleaned = what.equals("cleaning") ? known.figure() + " cleaned " : known.figure() + ", ";
                    return cleaned + (days == 0 ? "today" : days == 1 ? "1 day ago" : days + " days ago");
                })
                .orElse("nothing on record");
    }

    private static VBox cell(String name, Node field) {
        Label label = Words.label(name, "small");
        label.setLabelFor(field);
        return new VBox(3, label, field);
    }

    List<ReadingField> fields() {
        List<ReadingField> fields = new ArrayList<>(others);
        fields.addAll(runs);
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
            card.first().requestFocus();
        } else if (act().filter(PlanFinding.Act.SHOOT::equals).isPresent()) {
            card.take();
        }
    }

    /** What is still to be said before the first shot; empty where all is. */
    private Optional<String> ready() {
        Optional<ReadingField> run =
                runs.stream().filter(field -> field.field().getText().isBlank()).findFirst();
        if (run.isPresent()) {
            return Optional.of("Measure along the beam: " + words(run.get()) + ".");
        }
        if (now != null && runs.stream().anyMatch(field -> now.problems().containsKey(field.name()))) {
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

    private boolean startsAtTheTube() {
        return draft.text(MirrorsBench.MIRRORS).equals("2");
    }

    private String words(ReadingField run) {
        String first = startsAtTheTube() ? "the tube" : "mirror 1";
        String second = startsAtTheTube() ? "the gantry's mirror" : "mirror 2";
        return switch (run.name()) {
            case MirrorsBench.Y_NEAR -> first + " to " + second + ", gantry as near as it goes";
            case MirrorsBench.Y_FAR -> first + " to " + second + ", gantry as far as it goes";
            case MirrorsBench.X_NEAR -> second + " to the head, head as near as it goes";
            default -> second + " to the head, head as far as it goes";
        };
    }

    String next() {
        return isBegun()
                ? "Look at the fields that are marked."
                : ready().orElse("All is ready for the first shot. Eyewear on everybody, then begin.");
    }

    Optional<Node> missing() {
        if (!isBegun()) {
            Optional<Node> run = runs.stream()
                    .filter(field -> field.field().getText().isBlank())
                    .<Node>map(ReadingField::field)
                    .findFirst();
            return run.or(() -> Optional.of(
                    !draft.text(MirrorsBench.OPTICS).equals("clean")
                            ? optics
                            : draft.text(MirrorsBench.BED).isEmpty() ? bed : step));
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
        card.show(finding(), marks, showing.measuring(), practice());
        runs.forEach(field -> {
            field.setVisible(!begun);
            field.field().setVisible(!begun);
        });
        runNames.forEach(name -> name.setVisible(!begun));
        PlanReadings.Run proposed = MirrorsBench.proposed(place.plate());
        double[] about = {proposed.yNearMm(), proposed.yFarMm(), proposed.xNearMm(), proposed.xFarMm()};
        for (int i = 0; i < runs.size(); i++) {
            runs.get(i).field().setPromptText(about(about[i], units));
        }
        others.get(0)
                .field()
                .setPromptText(Amount.mm(PlanReadings.MARK_ERROR_MM, 1).number(units));
        others.get(1)
                .field()
                .setPromptText(Amount.mm(PlanReadings.TOLERANCE_MM, 1).number(units));
        boolean done = begun && act().filter(PlanFinding.Act.DONE::equals).isPresent();
        pointer.setVisible(done);
        for (int i = 0; i < others.size(); i++) {
            others.get(i).field().setVisible(i < 2 ? !begun : done);
        }
        cells.forEach(cell -> {
            cell.setVisible(!begun);
            cell.setDisable(!showing.measuring());
        });
        card.setVisible(begun && !done);
        corners.setVisible(done);
        if (done) {
            corners.show(
                    new MirrorsFigure()
                            .figure(showing.readings().orElseThrow(), finding().orElseThrow(), units),
                    "the corners of the bed as found and as left");
        }
        String chosen = draft.text(SCHOOL);
        turns.setVisible(begun && !done && chosen.isEmpty());
        turns.show(finding(), turns.isVisible() && showing.measuring(), MirrorsBench.names(startsAtTheTube()));
        showSchool(begun && !done ? chosen : "", units);
        strip.setVisible(begun);
        stripName.setVisible(begun);
        showWay(begun, units);
        showStrip(marks);
        step.setText(stepWords());
        focusOn();
        requestLayout();
    }

    private void showSchool(String chosen, UnitChoice units) {
        schoolHead.setVisible(!chosen.isEmpty());
        school.setVisible(!chosen.isEmpty());
        if (chosen.equals("hand")) {
            Words.set(schoolHead, "The same by hand: near and far");
            now.readings()
                    .ifPresent(readings ->
                            school.show(SchoolFigure.byHand(readings, units), "near and far, worked out by hand"));
        } else if (!chosen.isEmpty()) {
            Words.set(schoolHead, "What centring cannot see");
            school.show(
                    (pen, width, height) -> SchoolFigure.centring(pen, width, height),
                    "a beam that is centred on one card and leans misses the next");
        }
    }

    private static String about(double mm, UnitChoice units) {
        return Amount.mm(mm, 0).number(units);
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

    private Optional<Practice> practice() {
        return isPractising()
                ? Optional.of(new Practice(Long.parseLong(draft.text(Practice.FIELD)), run()))
                : Optional.empty();
    }

    private PlanReadings.Run run() {
        return finding().map(PlanFinding::run).orElseGet(() -> MirrorsBench.proposed(place.plate()));
    }

    private void showWay(boolean begun, UnitChoice units) {
        Optional<PlanFinding> found = finding();
        Set<Integer> lit =
                turns.inHand().stream().map(PlanReadings.Turn::mirror).collect(Collectors.toSet());
        found.flatMap(PlanFinding::fault).flatMap(PlanFinding.Fault::mirror).ifPresent(lit::add);
        WayFigure.Way drawn = new WayFigure.Way(
                run(),
                found.filter(f -> f.shots() > 0).map(PlanFinding::now),
                begun ? card.at() : Optional.empty(),
                lit,
                found.flatMap(PlanFinding::fault).map(PlanFinding.Fault::kind),
                startsAtTheTube(),
                begun);
        score(found);
        heading.show((isPractising() ? "Practice. " : "") + head(begun, units));
        double factor = WayFigure.enlarged(drawn, Math.max(way.getWidth(), 400), Math.max(way.getHeight(), 200));
        heading.caption(
                !begun
                        ? "from above, to scale; measure from the middle of a mirror to where the card will be"
                        : drawn.beam().isEmpty()
                                ? "from above, to scale; the beam is dashed until a card was shot at"
                                : String.format(
                                        Locale.ROOT,
                                        "from above, to scale; the error of the beam is drawn %.0f times larger",
                                        factor));
        way.show(
                (pen, width, height) -> WayFigure.draw(pen, drawn, units, width, height),
                "the beam's way from above: " + head(begun, units));
    }

    private String head(boolean begun, UnitChoice units) {
        if (!begun) {
            return "How far does the beam run on this machine?";
        }
        Optional<PlanFinding> found = finding();
        if (found.isEmpty()) {
            return "Mirrors";
        }
        if (isPractising() && found.get().next().act() == PlanFinding.Act.DONE && score.isPresent()) {
            return found.get().shots() + " shots, the plan takes "
                    + score.get().planShots() + ". Truly "
                    + Amount.mm(score.get().spreadMm(), 1).text(units) + " apart. "
                    + Practice.words(score.get().flaw()).orElse("");
        }
        String apart = found.get().worstSpreadMm().isPresent()
                ? "The worst corners are "
                        + Amount.mm(found.get().worstSpreadMm().getAsDouble(), 1)
                                .text(units) + " apart"
                : "The corners are not known yet";
        if (found.get().fault().isPresent()) {
            return fault(found.get().fault().get());
        }
        return switch (found.get().next().act()) {
            case SHOOT -> "Shot " + (found.get().shots() + 1) + ". " + apart;
            case TURN -> apart + ": turn, then shoot";
            case DONE -> "True at every corner. " + apart;
            case MOVE -> "A mirror stands beside its place";
            case LOOK -> "Not sure after " + found.get().shots() + " shots";
        };
    }

    /** Works out how practice came out, once it is at its end. */
    private void score(Optional<PlanFinding> found) {
        boolean ended = isPractising()
                && found.filter(f -> f.next().act() != PlanFinding.Act.SHOOT
                                && f.next().act() != PlanFinding.Act.TURN)
                        .isPresent();
        String what = draft.text(Practice.FIELD) + draft.text(Steps.FIELD);
        if (ended && !what.equals(scored)) {
            scored = what;
            score = Optional.empty();
            Practice practice = new Practice(Long.parseLong(draft.text(Practice.FIELD)), run());
            List<Steps.Made> made = steps.made();
            place.workplace().apart(() -> practice.score(made), result -> {
                score = Optional.of(result);
                show(now);
            });
        }
    }

    private static String fault(PlanFinding.Fault fault) {
        return switch (fault.kind()) {
            case RAILS -> "No screw mends this: the rails are not straight";
            case LOOSE_MIRROR -> "No screw mends this: a mirror is loose";
            case MIRROR_PLACE -> "No screw mends this: a mirror stands beside its place";
            case CLIPPING -> "No screw mends this: something cuts the beam off";
        };
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
        if (isPractising()) {
            links.getChildren()
                    .addAll(
                            Words.wrapped("Practice on a pretend machine. Nothing of it is recorded.", "quiet"),
                            link("practice", "End practice", this::endPractice));
        }
        if (isBegun()) {
            String chosen = draft.text(SCHOOL);
            if (chosen.isEmpty()) {
                links.getChildren()
                        .addAll(
                                link("by-hand", "Check it by hand", () -> school("hand")),
                                link("centring", "Quick: centre on the next mirror", () -> school("centre")));
            } else {
                links.getChildren().add(link("plan", "Back to the plan", () -> school("")));
            }
        } else {
            links.getChildren()
                    .addAll(
                            link("practice", "Practise on a pretend machine", this::practise),
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
        draft.typeAll(Map.of(SCHOOL, new Draft.Text(chosen, UnitChoice.METRIC)));
        Platform.runLater(() -> missing().ifPresent(Node::requestFocus));
    }

    boolean isPractising() {
        return !draft.text(Practice.FIELD).isEmpty();
    }

    private void practise() {
        Map<String, Draft.Text> changed = new HashMap<>();
        PlanReadings.Run proposed = MirrorsBench.proposed(place.plate());
        double[] usual = {proposed.yNearMm(), proposed.yFarMm(), proposed.xNearMm(), proposed.xFarMm()};
        List<String> lent = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            if (runs.get(i).field().getText().isBlank()) {
                lent.add(runs.get(i).name());
                changed.put(runs.get(i).name(), new Draft.Text(Amount.exact(usual[i]), UnitChoice.METRIC));
            }
        }
        long number = Math.floorMod(place.workplace().now().getEpochSecond() + ANOTHER * ++practised, 100_000L);
        Draft.put(changed, Practice.FIELD, String.valueOf(number));
        Draft.put(changed, LENT, String.join(" ", lent));
        Draft.put(changed, MirrorsBench.BEGUN, "yes");
        draft.typeAll(changed);
    }

    private void endPractice() {
        Map<String, Draft.Text> changed = new HashMap<>();
        for (String field : draft.texts().keySet()) {
            if (field.startsWith("mark[") || field.startsWith("turned[")) {
                Draft.put(changed, field, "");
            }
        }
        for (String field : draft.text(LENT).split(" ")) {
            if (!field.isEmpty()) {
                Draft.put(changed, field, "");
            }
        }
        for (String field : List.of(Practice.FIELD, Practice.SHOT, LENT, MirrorsBench.BEGUN, Steps.FIELD, SCHOOL)) {
            Draft.put(changed, field, "");
        }
        card.correct(OptionalInt.empty());
        draft.typeAll(changed);
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
        if (isBegun()) {
            layOutWork(width, height, top);
        } else {
            layOutBegin(width, height, top);
        }
    }

    private void layOutBegin(double width, double height, double top) {
        double cellsHeight = 2.4 * CELL;
        double drawing = height - top - cellsHeight - 12;
        way.resizeRelocate(12, top, width - 24, drawing);
        WayFigure.Plan plan = WayFigure.Plan.of(run(), width - 24, drawing, false);
        double left = 8;
        double nearY = top + plan.gantry(run().yNearMm() / 2) - FIELD_HEIGHT / 2;
        double farY = top + plan.gantry(run().yFarMm()) - FIELD_HEIGHT;
        put(0, left, Math.min(nearY, farY - 62));
        put(1, left, farY);
        double under = top + plan.front() + 24;
        double x = 12 + plan.x();
        put(2, x, under);
        put(3, 12 + plan.head(run().xFarMm()) - FIELD_WIDTH, under);
        double y = top + drawing + 8;
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
        schoolHead.resizeRelocate(x, y, right, 22);
        school.resizeRelocate(x, y + 30, right, stripTop - y - 36);
        stripName.resizeRelocate(x, stripTop, 60, 20);
        double box = Math.min(card.where().prefWidth(-1), right - 60);
        card.where().resizeRelocate(x + right - box, stripTop - 15, box, 34);
        double map = Math.max(300, width * 0.6 - 30);
        corners.resizeRelocate(24, y, map, lower - 4);
        boolean done = pointer.isVisible();
        corners.setVisible(done && width - map - 56 >= POINTER);
        if (corners.isVisible()) {
            x = 24 + map + 20;
            right = width - x - 12;
            stripName.resizeRelocate(x, stripTop, 60, 20);
        }
        strip.resizeRelocate(x, stripTop + 20, right, STRIP);
        if (done && !corners.isVisible()) {
            x = 24;
            right = width - 40;
            stripName.resizeRelocate(x, stripTop, 60, 20);
        }
        pointer.resizeRelocate(x, y, right, pointer.prefHeight(right));
        if (strip.needs(right)) {
            Platform.runLater(() -> show(now));
        }
    }
}
