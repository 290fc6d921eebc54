package zebrawood.desktop.safety;

import java.io.File;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Help;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.BarTest;
import zebrawood.core.units.Days;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.eyewear.EnoughEyewear;
import zebrawood.desktop.page.StopView;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.LogbookException;

/** The bars before first light: one in hand, large, with two answers; each answer is an entry. */
public final class GatePage implements StopView {

    private final Desk desk;
    private final Supplier<MachineStatus> status;
    private final VBox bars = new VBox();
    private final ScrollPane scroll = new ScrollPane(bars);
    private final VBox page;
    private final Label heading = Words.label("", "head");
    private final GateSlip slip;
    private final ReadOnlyStringWrapper footnote = new ReadOnlyStringWrapper();
    private final Recording recording;
    private final Label told = Words.wrapped("", "problem");
    private MachineStatus machine;
    private final BarWaits waits;
    private final GateRows rows;
    private Optional<String> second = Optional.empty();
    private BarAnswer written;
    private Optional<Bar.Other> notSo = Optional.empty();
    private boolean none;
    private Optional<Bar> shown = Optional.empty();
    private Button yes = new Button();

    /**
     * @param status how the machine stands now
     * @param recorded runs when an answer was recorded
     */
    public GatePage(Desk desk, Navigator navigator, Supplier<MachineStatus> status, Runnable recorded) {
        this.desk = desk;
        this.status = status;
        machine = status.get();
        waits = new BarWaits(desk, machine.machineId(), this::waited);
        recording = new Recording(
                desk,
                this::answered,
                entry -> {
                    say("");
                    shown.ifPresent(waits::answered);
                    shown = Optional.empty();
                    recorded.run();
                },
                this::showTold);
        slip = new GateSlip(
                desk, waits, () -> navigator.overlay(ServiceSheet.of(desk, navigator, machine.machineId())));
        rows = new GateRows(desk.look(), waits, today());
        recording.initials().setMaxWidth(160);
        told.setId("told");
        told.setManaged(false);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox head = new VBox(
                2,
                heading,
                Words.label("each is lifted by somebody who saw it, and carries their initials", "caption"));
        head.setPadding(new Insets(12, 24, 8, 24));
        page = new VBox(head, scroll);
        bars.setPadding(new Insets(0, 24, 16, 24));
        bars.setSpacing(2);
        footnote.set("shut again by: moved, source changed, " + machine.plate().daysOutOfUse() + " days unused");
        show();
    }

    private void show() {
        Gate gate = machine.gate();
        heading.setText(
                gate.isOpen()
                        ? "The gate is open: all " + gate.bars().size() + " bars are lifted"
                        : gate.isCleared()
                                ? "All bars are lifted; held shut by what failed: " + gate.heldInWords()
                                : standing((int) (gate.bars().size() - gate.lifted())));
        bars.getChildren().clear();
        Optional<Gate.Line> hand = waits.inHand(gate);
        if (hand.isEmpty()) {
            shown = Optional.empty();
        }
        int number = 1;
        Bar.Stage stage = null;
        for (Gate.Line line : gate.bars()) {
            if (line.bar().stage() != stage) {
                stage = line.bar().stage();
                bars.getChildren().add(GateRows.stage(stage, machine.plate().family()));
            }
            boolean inHand =
                    hand.isPresent() && hand.get().bar().id().equals(line.bar().id());
            bars.getChildren()
                    .add(
                            inHand
                                    ? inHand(line, number)
                                    : line.lifted() ? rows.lifted(line, number) : rows.standing(line.bar(), number));
            number++;
        }
        slip.show(gate);
    }

    private static String standing(int many) {
        return GateSlip.capital(GateSlip.count(many))
                + (many == 1 ? " bar stands before the first pulse" : " bars stand before the first pulse");
    }

    private Node inHand(Gate.Line line, int number) {
        Bar bar = line.bar();
        DrawingSurface stripe =
                rows.surface(18, 40, (pen, width, height) -> pen.grain(2, 2, width - 3, height - 4, 3.2));
        stripe.setMaxHeight(Double.MAX_VALUE);
        VBox words = new VBox(
                8, Words.wrapped(number + "  " + bar.action(), "gate-act"), Words.wrapped(bar.look(), "by-hand"));
        line.answer()
                .ifPresent(answer -> words.getChildren()
                        .add(Words.wrapped(
                                "Not so on " + Days.brief(answer.stamp().local(), today()) + " ("
                                        + answer.stamp().by() + "). " + GateSlip.then(line),
                                "problem")));
        if (shown.filter(bar::equals).isEmpty()) {
            shown = Optional.of(bar);
            written = new BarAnswer(bar, today(), desk.units().get(), asksSecond(), this::toAnswer);
        }
        if (bar.id().equals("eyewear")) {
            Label register = Words.wrapped("", "by-hand");
            register.setId("register-says");
            EnoughEyewear.tell(desk, machine, register::setText);
            words.getChildren().add(register);
        }
        words.getChildren().addAll(caution(bar), written.view(), answers(bar), told);
        words.setPadding(new Insets(12, 16, 12, 12));
        if (recording.asksInitials()) {
            words.getChildren().add(recording.initials());
        }
        HBox box = new HBox(stripe, words);
        HBox.setHgrow(words, Priority.ALWAYS);
        box.getStyleClass().add("gate-hand");
        VBox.setMargin(box, new Insets(6, 0, 8, 0));
        return box;
    }

    private Node caution(Bar bar) {
        DrawingSurface sign = rows.surface(20, 18, (pen, w, h) -> Shapes.caution(pen, w / 2, h / 2, 1));
        HBox line = new HBox(10, sign, Words.wrapped(bar.caution(), "quiet"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Node answers(Bar bar) {
        FlowPane answers = new FlowPane(14, 8);
        yes = new Button(bar.yes());
        yes.setId("yes");
        yes.getStyleClass().setAll("button", "strong");
        yes.setMinWidth(180);
        yes.setOnAction(event -> answer(Optional.empty()));
        if (waits.isToBegin(bar)) {
            yes.setText("It runs: start the " + bar.waitMinutes() + " minutes");
            yes.setOnAction(event -> waits.begin(bar));
        } else {
            Runnable tell = () -> {
                String left = waits.left(bar);
                yes.setDisable(!left.isEmpty());
                yes.setText(left.isEmpty() ? bar.yes() : bar.yes() + " (in " + left + ")");
            };
            waits.follow(bar, text -> tell.run());
            tell.run();
        }
        answers.getChildren().add(yes);
        for (Bar.Other other : bar.others()) {
            Button no = new Button(other.words());
            no.setId(
                    other.equals(bar.no())
                            ? "no"
                            : "no-" + other.words().toLowerCase(Locale.ROOT).replace(' ', '-'));
            no.getStyleClass().setAll("button", "danger");
            no.setMinWidth(140);
            no.setOnAction(event -> answer(Optional.of(other)));
            answers.getChildren().add(no);
        }
        if (bar.absent().isPresent()) {
            Button button = new Button(Bar.NONE_HERE);
            button.setId("none-here");
            button.getStyleClass().setAll("button", "outline");
            button.setOnAction(event -> {
                none = true;
                recording.record();
            });
            answers.getChildren().add(button);
        }
        return answers;
    }

    /** To the answer, or while it has to be waited for, to what may be written beside it. */
    private void toAnswer() {
        if (yes.isDisabled()) {
            written.remark();
        } else {
            yes.requestFocus();
        }
    }

    private void answer(Optional<Bar.Other> not) {
        none = false;
        notSo = not;
        recording.record();
    }

    private Optional<Recording.What> answered() {
        if (shown.isEmpty()) {
            return Optional.empty();
        }
        Bar bar = shown.get();
        if (none) {
            String id = machine.machineId();
            Plate.Part part = bar.absent().orElseThrow();
            return Optional.of(new Recording.What(
                    id,
                    () -> {
                        Body.PlateSet now = (Body.PlateSet)
                                desk.logbook().history(id).plateEntry().body();
                        return new Body.PlateSet(now.plate().withNone(part), now.asTyped());
                    },
                    List.of(),
                    Optional.empty()));
        }
        try {
            BarAnswer.Written beside = notSo.isPresent() ? written.not(notSo.get()) : written.lifting();
            second = written.second();
            List<BarTest.Seen> seen = new ArrayList<>(beside.seen());
            seen.addAll(waits.watched(bar));
            Body.Tested tested = new Body.Tested(seen, beside.second(), failedBefore(bar));
            Body.GateLine line = new Body.GateLine(
                    bar.id(),
                    bar.title(),
                    notSo.isEmpty(),
                    bar.fires(),
                    beside.remark(),
                    beside.until(),
                    tested.ifAny());
            return Optional.of(
                    new Recording.What(machine.machineId(), () -> seenByTwo(line), List.of(), Optional.empty()));
        } catch (BarAnswer.NotYet missing) {
            say(missing.getMessage());
            missing.at().requestFocus();
            return Optional.empty();
        }
    }

    /** How this bar was not so before, since it was put in hand. */
    private List<String> failedBefore(Bar bar) {
        Optional<Entry> before = machine.gate().bars().stream()
                .filter(line -> line.bar().id().equals(bar.id()) && line.failed())
                .findFirst()
                .flatMap(Gate.Line::answer);
        if (before.isEmpty()) {
            return List.of();
        }
        Body.GateLine failed = (Body.GateLine) before.get().body();
        List<String> all =
                new ArrayList<>(failed.tested().map(Body.Tested::failedBefore).orElse(List.of()));
        Entry.Stamp stamp = before.get().stamp();
        all.add(Days.brief(stamp.local(), today()) + " " + stamp.by()
                + (failed.remark().isEmpty() ? "" : ", " + failed.remark()));
        return all;
    }

    /** Initials of the second person that were typed last, where the shop asks for one. */
    private Optional<String> asksSecond() {
        return desk.preferences().secondPerson() ? Optional.of(second.orElse("")) : Optional.empty();
    }

    /** On the logbook's thread, when it is known who records. */
    private Body seenByTwo(Body.GateLine line) {
        String by = desk.stamp().by();
        if (line.tested()
                .flatMap(Body.Tested::second)
                .filter(by::equalsIgnoreCase)
                .isPresent()) {
            throw new LogbookException("the second person has to be another one than " + by);
        }
        return line;
    }

    /** A wait began or is over: another bar may be in hand. */
    private void waited() {
        show();
        begin();
    }

    private void showTold() {
        say(recording.told());
        show();
    }

    private void say(String sentence) {
        told.setText(sentence);
        told.setManaged(!sentence.isEmpty());
    }

    /** Shows the gate as it stands now. */
    @Override
    public void refresh() {
        machine = status.get();
        show();
        Platform.runLater(this::begin);
    }

    @Override
    public Parent bench() {
        return page;
    }

    @Override
    public Slip slip() {
        return slip.view();
    }

    @Override
    public String caution() {
        return "Nothing fires before the last bar is lifted. Mains and high voltage are a licensed person's work.";
    }

    @Override
    public ObservableValue<String> footnote() {
        return footnote.getReadOnlyProperty();
    }

    @Override
    public Optional<Explained> help() {
        Help help = new Help(
                List.of(
                        "Two people, and eyewear for each.",
                        "The machine's manual; it comes first where it says otherwise."),
                List.of(
                        "Go through the bars in order. Do what is in hand, look, and answer what you saw.",
                        "Answer \"not so\" freely: it is recorded, and says what to do.",
                        "Stop and interlock are tested on a dry run with the laser off, never on the main beam.",
                        "The last bar is the first pulse: lowest power, everyone in eyewear."),
                "What is only looked at is not known to work. A stop that was pressed and an interlock that was "
                        + "opened are."
                        + " The gate shuts again when the machine is moved, its source is changed, or it is long "
                        + "out of use.",
                List.of(
                        "Mains, earth and high voltage are a licensed person's work.",
                        "Local codes and the laser safety officer decide; Zebrawood informs, it does not authorise."));
        return Optional.of(new Explained("First light", help, caution()));
    }

    @Override
    public Optional<Parent> printed() {
        return Optional.of(page);
    }

    @Override
    public void begin() {
        if (shown.isEmpty()) {
            return;
        }
        if (waits.isToBegin(shown.get()) || !written.begin()) {
            toAnswer();
        }
        reveal();
    }

    /** Scrolls so that the bar in hand is seen. */
    private void reveal() {
        double all = bars.getHeight() - scroll.getViewportBounds().getHeight();
        Node hand = bars.getChildren().stream()
                .filter(bar -> bar.getStyleClass().contains("gate-hand"))
                .findFirst()
                .orElse(bars);
        scroll.setVvalue(
                all <= 0 ? 0 : Math.max(0, Math.min(1, (hand.getBoundsInParent().getMinY() - 150) / all)));
    }

    @Override
    public void record() {
        say("Answer the bar in hand with one of its buttons.");
    }

    @Override
    public void undo() {
        say("An answer is recorded at once; an entry can be corrected in the Logbook.");
    }

    @Override
    public void redo() {
        undo();
    }

    @Override
    public void take(File file) {
        say("The gate takes no files.");
    }

    @Override
    public void paste() {
        take(null);
    }

    private LocalDate today() {
        return desk.local(desk.now()).toLocalDate();
    }

    @Override
    public void copy() {
        StringBuilder text = new StringBuilder("bar\tanswer\tremark\n");
        for (Gate.Line line : machine.gate().bars()) {
            text.append(line.bar().title())
                    .append('\t')
                    .append(line.answer()
                            .map(e -> (line.lifted() ? "lifted " : "not so ")
                                    + e.stamp().by() + ", "
                                    + Days.brief(e.stamp().local(), today()))
                            .orElse(""))
                    .append('\t')
                    .append(line.answer()
                            .map(e -> ((Body.GateLine) e.body()).remark())
                            .orElse(""))
                    .append('\n');
        }
        Clip.put(text.toString());
        say("The bars are on the clipboard.");
    }

    @Override
    public void leave() {
        waits.end();
    }
}
