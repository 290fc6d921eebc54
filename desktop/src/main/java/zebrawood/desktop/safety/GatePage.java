package zebrawood.desktop.safety;

import java.io.File;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
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
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Help;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.Bar;
import zebrawood.core.units.Days;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.page.StopView;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** The bars before first light: one in hand, large, with two answers; each answer is an entry. */
public final class GatePage implements StopView {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final Desk desk;
    private final Supplier<MachineStatus> status;
    private final VBox bars = new VBox();
    private final ScrollPane scroll = new ScrollPane(bars);
    private final VBox page;
    private final Label heading = Words.label("", "head");
    private final Slip slip;
    private final ReadOnlyStringWrapper footnote = new ReadOnlyStringWrapper();
    private final Recording recording;
    private final Label told = Words.wrapped("", "problem");
    private MachineStatus machine;
    private final BarWaits waits;
    private BarAnswer written;
    private Optional<Bar.Other> notSo = Optional.empty();
    private boolean none;
    private Optional<Bar> shown = Optional.empty();
    private Button yes = new Button();

    /**
     * @param status how the machine stands now
     * @param recorded runs when an answer was recorded
     */
    public GatePage(Desk desk, Supplier<MachineStatus> status, Runnable recorded) {
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
        this.slip = new Slip(desk.look());
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
                                : capital(count((int) (gate.bars().size() - gate.lifted())))
                                        + " bars stand before the first pulse");
        bars.getChildren().clear();
        Optional<Gate.Line> hand = waits.inHand(gate);
        if (hand.isEmpty()) {
            shown = Optional.empty();
        }
        int number = 1;
        for (Gate.Line line : gate.bars()) {
            boolean inHand =
                    hand.isPresent() && hand.get().bar().id().equals(line.bar().id());
            bars.getChildren()
                    .add(
                            inHand
                                    ? inHand(line, number)
                                    : line.lifted() ? lifted(line, number) : standing(line.bar(), number));
            number++;
        }
        showSlip(gate);
    }

    private Node lifted(Gate.Line line, int number) {
        Entry answer = line.answer().orElseThrow();
        Body.GateLine body = (Body.GateLine) answer.body();
        DrawingSurface stump =
                surface(12, 10, (pen, width, height) -> pen.fill(Path.rectangle(0, 0, 10, height), Tone.WALNUT));
        Node mark = Slip.mark(desk.look(), StopState.PASSED, 20);
        VBox words = new VBox(1, Words.label(number + "  " + line.bar().title(), "bold"));
        if (!body.remark().isEmpty()) {
            words.getChildren().add(Words.label(body.remark(), "caption"));
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label who = Words.label(
                answer.stamp().by() + "  " + Days.brief(answer.stamp().local(), today()));
        who.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(10, stump, mark, words, gap, who);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(46);
        return row;
    }

    private Node standing(Bar bar, int number) {
        String left = waits.left(bar);
        Label title = Words.label(
                number + "  " + bar.title() + (left.isEmpty() ? "" : ": wait " + left),
                left.isEmpty() ? "quiet" : "bold");
        title.setMinWidth(Region.USE_PREF_SIZE);
        waits.follow(
                bar, text -> title.setText(number + "  " + bar.title() + (text.isEmpty() ? "" : ": wait " + text)));
        DrawingSurface before = surface(18, 16, (pen, width, height) -> grain(pen, width, height));
        DrawingSurface after = surface(20, 16, (pen, width, height) -> grain(pen, width, height));
        after.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(after, Priority.ALWAYS);
        HBox row = new HBox(10, before, title, after);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(44);
        return row;
    }

    private static void grain(Pen pen, double width, double height) {
        pen.fill(Path.rectangle(0, 0, width, height), Tone.BAND);
        for (double x = 3; x < width; x += 6) {
            pen.stroke(
                    new Path().move(x, 1).curve(x + 1.6, 5, x + 1.6, 6, x, 8).curve(x - 1.6, 10, x - 1.6, 12, x, 15),
                    Stroke.of(Tone.HAIRLINE, 1));
        }
    }

    private Node inHand(Gate.Line line, int number) {
        Bar bar = line.bar();
        DrawingSurface stripe = surface(18, 40, (pen, width, height) -> pen.grain(2, 2, width - 3, height - 4, 3.2));
        stripe.setMaxHeight(Double.MAX_VALUE);
        VBox words = new VBox(
                8, Words.wrapped(number + "  " + bar.action(), "gate-act"), Words.wrapped(bar.look(), "by-hand"));
        line.answer()
                .ifPresent(answer -> words.getChildren()
                        .add(Words.wrapped(
                                "Not so on " + Days.brief(answer.stamp().local(), today()) + " ("
                                        + answer.stamp().by() + "). " + then(line),
                                "problem")));
        if (shown.filter(bar::equals).isEmpty()) {
            shown = Optional.of(bar);
            written = new BarAnswer(bar, today(), () -> yes.requestFocus());
        }
        words.getChildren().addAll(written.view(), answers(bar), told);
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

    /** What to do after the answer that stands there. */
    private static String then(Gate.Line line) {
        return line.answer()
                .map(entry -> line.bar().then(((Body.GateLine) entry.body()).remark()))
                .orElse("");
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
            return Optional.of(new Recording.What(
                    machine.machineId(),
                    new Body.GateLine(
                            bar.id(), bar.title(), notSo.isEmpty(), bar.fires(), beside.remark(), beside.until())));
        } catch (BarAnswer.NotYet missing) {
            say(missing.getMessage());
            missing.at().requestFocus();
            return Optional.empty();
        }
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

    private void showSlip(Gate gate) {
        List<Node> parts = new ArrayList<>();
        if (gate.isOpen()) {
            parts.add(slip.verdict(StopState.PASSED, "OPEN"));
            parts.add(Slip.act(
                    "First light is cleared.",
                    Optional.of(
                            "What fires is open on the Route. One person stays with the machine whenever it runs.")));
        } else {
            long left = gate.bars().size() - gate.lifted();
            int hands = gate.minutesOfHands();
            int minutes = Math.max(hands, waits.minutesOfWaiting(gate));
            parts.add(slip.verdict(StopState.SHUT, "SHUT"));
            parts.add(Slip.act(
                    left == 0
                            ? "Cure first what failed: " + gate.heldInWords() + "."
                            : capital(count((int) left)) + (left == 1 ? " bar" : " bars") + " to go, about " + minutes
                                    + " minutes.",
                    gate.inHand()
                            .filter(Gate.Line::failed)
                            .map(GatePage::then)
                            .or(() -> Optional.of(
                                    gate.heldBy().isEmpty()
                                            ? "Nothing that fires is open before the last bar is lifted."
                                            : "Nothing that fires is open while " + gate.heldInWords()
                                                    + " stands as failed, whatever bars are lifted."))));
            parts.add(Slip.evidence(List.of(
                    new Body.Pair("lifted", gate.lifted() + " of " + gate.bars().size()),
                    new Body.Pair("hands", hands + " min"),
                    new Body.Pair("waiting", waits.minutesOfWaiting(gate) + " min"),
                    new Body.Pair(
                            "earliest first pulse",
                            DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH)
                                    .format(desk.local(desk.now()).plusMinutes(minutes))))));
            parts.add(needed(gate));
        }
        history(gate).ifPresent(words -> parts.add(Slip.quiet(words)));
        slip.show(parts);
        slip.bottom();
    }

    private static Node needed(Gate gate) {
        VBox box = new VBox(6, Words.label("Needed at the machine", "bold"));
        gate.bars().stream()
                .filter(line -> !line.lifted())
                .flatMap(line -> line.bar().needed().stream())
                .forEach(thing -> box.getChildren().add(Words.wrapped(thing)));
        return box;
    }

    private Optional<String> history(Gate gate) {
        String opened = gate.openedBy()
                .map(entry -> "Last opened " + DAY.format(entry.stamp().local()) + " by "
                        + entry.stamp().by() + ".")
                .orElse("");
        String shut = gate.shutBy()
                .map(why -> " Shut on " + DAY.format(desk.local(gate.shutAt().orElseThrow())) + ": " + why + ".")
                .orElse("");
        String both = (opened + shut).strip();
        return both.isEmpty() ? Optional.empty() : Optional.of(both);
    }

    private DrawingSurface surface(double width, double height, Figure figure) {
        DrawingSurface surface = new DrawingSurface(desk.look());
        surface.show(figure, "");
        surface.setMinSize(width, height);
        surface.setPrefSize(width, height);
        surface.setMaxSize(width, height);
        return surface;
    }

    @Override
    public Parent bench() {
        return page;
    }

    @Override
    public Slip slip() {
        return slip;
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
        if (!yes.isDisabled() && (waits.isToBegin(shown.get()) || !written.begin())) {
            yes.requestFocus();
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

    private static String count(int number) {
        String[] words = {
            "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"
        };
        return number < words.length ? words[number] : String.valueOf(number);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
