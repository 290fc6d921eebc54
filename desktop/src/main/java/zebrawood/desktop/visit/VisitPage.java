package zebrawood.desktop.visit;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.visit.Pace;
import zebrawood.core.visit.Plan;
import zebrawood.core.visit.Task;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.TimedStep;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.PressableWords;
import zebrawood.kit.view.Printing;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** What is done when and by whom on a visit, and when it is over; worked out anew with every entry and every minute. */
public final class VisitPage extends HBox implements FramedPage {

    /** under which names a plan is kept beside the logbook */
    private static final String KEPT = "visit";

    private final Desk desk;
    private final Navigator navigator;
    private final Draft draft = new Draft();
    private final VisitTyped typed;
    private final DraftKeeper keeper;
    private final FlowPane choices = new FlowPane(14, 4);
    private final List<TextField> fields = new ArrayList<>();
    private final Label head = Words.label("", "head");
    private final Label problem = Words.wrapped("", "problem");
    private final DrawingSurface drawing;
    private final VBox rows = new VBox();
    private final Slip slip;
    private final Button second = new Button();
    private final Timeline minutes = new Timeline(new KeyFrame(javafx.util.Duration.seconds(30), event -> plan()));
    private final ChangeListener<List<MachineStatus>> arrived = (value, before, now) -> readWaits();
    /** when waits of gates that run are over, by machine and bar */
    private Map<String, Instant> waits = Map.of();

    private Pace pace = new Pace(Map.of());
    private Optional<VisitDay> day = Optional.empty();

    /** @param at the machine one was at last: it is in the plan of a first visit */
    public VisitPage(Desk desk, Navigator navigator, Optional<String> at) {
        this.desk = desk;
        this.navigator = navigator;
        typed = new VisitTyped(desk, draft);
        keeper = new DraftKeeper(desk, KEPT, KEPT, draft, told -> {});
        drawing = new DrawingSurface(desk.look());
        slip = new Slip(desk.look());
        second.setId("visit-second");
        second.setOnAction(event -> type(VisitTyped.TECHNICIANS, typed.technicians() == 1 ? "2" : "1"));
        second.getStyleClass().setAll("button", "outline");
        FlowPane asked = new FlowPane(
                14,
                6,
                second,
                asked(VisitTyped.START, "begins at", "now", 90),
                asked(VisitTyped.ELECTRICIAN, "electrician comes at", "not coming", 120),
                asked(VisitTyped.COLD, "came in from the cold at", "it did not", 150));
        asked.setAlignment(Pos.BOTTOM_LEFT);
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        TextField besides = field(VisitTyped.BESIDES, "Dunlin: glue the mirror mount, 5 min, wait 2 h; ...");
        VBox inner = new VBox(
                10,
                choices,
                asked,
                new VBox(2, Words.label("Besides: what else is done, parted by ;", "caption"), besides),
                problem,
                drawing,
                rows);
        inner.setPadding(new Insets(0, 16, 12, 0));
        ScrollPane scroll = new ScrollPane(inner);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox page = new VBox(
                8,
                new VBox(
                        2,
                        head,
                        Words.label(
                                "a lane a person; thick edge: the finish moves when this does; sand: it waits by itself",
                                "caption")),
                scroll);
        page.setPadding(new Insets(14, 12, 8, 28));
        HBox.setHgrow(page, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 8));
        getChildren().addAll(page, slip);
        buttons();
        minutes.setCycleCount(Animation.INDEFINITE);
        sceneProperty().addListener((value, before, scene) -> {
            if (scene == null) {
                minutes.stop();
                desk.machines().removeListener(arrived);
            } else {
                minutes.play();
                desk.machines().addListener(arrived);
            }
        });
        load(at);
    }

    private void load(Optional<String> at) {
        desk.later(
                () -> {
                    pace = new Pace(desk.logbook().paces());
                    return desk.logbook().findDraft(KEPT, KEPT);
                },
                kept -> {
                    kept.ifPresentOrElse(
                            half -> draft.fill(Draft.fromJson(half.content())),
                            () -> draft.fill(Map.of(
                                    VisitTyped.MACHINES, new Draft.Text(at.orElse(firstToDo()), UnitChoice.METRIC))));
                    fields.forEach(
                            field -> field.setText(draft.text(field.getId().substring("visit-".length()))));
                    readWaits();
                    begin();
                });
    }

    /** Reads which waits run at the gates, then plans. */
    private void readWaits() {
        List<String> ids =
                desk.machines().get().stream().map(MachineStatus::machineId).toList();
        desk.later(
                () -> {
                    Map<String, Instant> running = new HashMap<>();
                    for (String id : ids) {
                        Map<String, Draft.Text> texts = desk.logbook()
                                .findDraft(id, FirstLight.ID)
                                .map(kept -> Draft.fromJson(kept.content()))
                                .orElse(Map.of());
                        texts.keySet()
                                .forEach(field -> TimedStep.named(field)
                                        .ifPresent(bar -> TimedStep.over(texts, bar)
                                                .ifPresent(over -> running.put(id + "/" + bar, over))));
                    }
                    return running;
                },
                running -> {
                    waits = running;
                    plan();
                });
    }

    /** The machine that waits for the most urgent thing. */
    private String firstToDo() {
        return desk.machines().get().stream()
                .filter(machine -> !machine.todo().isEmpty())
                .map(MachineStatus::machineId)
                .findFirst()
                .orElse("");
    }

    private void buttons() {
        Button calendar = new Button("Save as calendar");
        calendar.setId("visit-calendar");
        calendar.getStyleClass().setAll("button", "strong");
        calendar.setMaxWidth(Double.MAX_VALUE);
        calendar.setOnAction(event -> day.ifPresent(this::save));
        Button print = new Button("Print the sheet");
        print.setId("visit-print");
        print.getStyleClass().setAll("button", "outline");
        print.setMaxWidth(Double.MAX_VALUE);
        print.setOnAction(event -> Printing.print((Parent) getChildren().get(0)));
        slip.bottom(calendar, print);
    }

    private TextField field(String name, String prompt) {
        TextField field = new TextField();
        field.setId("visit-" + name);
        field.setPromptText(prompt);
        Words.follow(field);
        field.textProperty().addListener((value, before, now) -> {
            if (!now.equals(draft.text(name))) {
                type(name, now);
            }
        });
        field.setOnAction(event -> {
            int next = fields.indexOf(field) + 1;
            fields.get(next % fields.size()).requestFocus();
        });
        fields.add(field);
        return field;
    }

    private Node asked(String name, String words, String prompt, double width) {
        TextField field = field(name, prompt);
        field.setAccessibleText(words);
        field.setPrefWidth(width);
        return new VBox(2, Words.label(words, "caption"), field);
    }

    private void type(String name, String text) {
        draft.type(name, text, UnitChoice.METRIC);
        keeper.typed();
        plan();
    }

    private void plan() {
        showChoices();
        second.setText(typed.technicians() == 2 ? "Two technicians" : "One technician");
        try {
            day = Optional.of(typed.planned(waits, pace));
            problem.setText("");
        } catch (VisitTyped.NotPlanned told) {
            day = Optional.empty();
            problem.setText(told.getMessage());
        } catch (IllegalArgumentException told) {
            day = Optional.empty();
            problem.setText(Words.sentence(told.getMessage()));
        }
        show();
    }

    private void showChoices() {
        List<MachineStatus> machines = desk.machines().get();
        if (choices.getChildren().size() != machines.size()) {
            choices.getChildren().clear();
            for (MachineStatus machine : machines) {
                CheckBox box = new CheckBox(machine.plate().name());
                box.setId("visit-" + machine.machineId());
                box.getStyleClass().add("tick");
                box.setOnAction(event -> {
                    List<String> now = new ArrayList<>(typed.chosen());
                    now.remove("");
                    if (box.isSelected()) {
                        now.add(machine.machineId());
                    } else {
                        now.remove(machine.machineId());
                    }
                    type(VisitTyped.MACHINES, now.stream().sorted().collect(Collectors.joining(",")));
                });
                choices.getChildren().add(box);
            }
        }
        for (int i = 0; i < machines.size(); i++) {
            ((CheckBox) choices.getChildren().get(i))
                    .setSelected(typed.chosen().contains(machines.get(i).machineId()));
        }
    }

    private void show() {
        rows.getChildren().clear();
        boolean any = day.filter(now -> !now.plan().timed().isEmpty()).isPresent();
        drawing.setVisible(any);
        drawing.setManaged(any);
        List<Node> parts = new ArrayList<>();
        if (day.isEmpty()) {
            head.setText("The visit");
            parts.add(slip.verdict(StopState.OPEN, "NOT PLANNED"));
            parts.add(Slip.act("Put right what is marked.", Optional.empty()));
        } else if (!any && day.get().plan().cannot().isEmpty()) {
            head.setText("Nothing to do there");
            parts.add(slip.verdict(StopState.PASSED, "NOTHING TO DO"));
            parts.add(Slip.act("Tick a machine that waits for you.", Optional.empty()));
        } else {
            shown(day.get(), parts);
        }
        slip.show(parts);
    }

    private void shown(VisitDay now, List<Node> parts) {
        Plan plan = now.plan();
        head.setText("Over at " + now.clock(plan.finish()) + ": " + plan.timed().size()
                + (plan.timed().size() == 1 ? " task" : " tasks") + " from " + now.clock(0));
        double high = VisitFigure.height(now);
        drawing.setMinHeight(high);
        drawing.setPrefHeight(high);
        drawing.show(VisitFigure.of(now), head.getText() + ", drawn as a day");
        int number = 1;
        for (Plan.Timed timed : plan.timed()) {
            rows.getChildren().add(row(now, timed, number++));
        }
        plan.cannot()
                .forEach(task -> rows.getChildren()
                        .add(Words.wrapped(
                                "Not planned: " + task.title() + ", " + task.machine() + ". It needs "
                                        + (task.who() == Task.Who.ONE || task.who() == Task.Who.NOBODY
                                                ? "what cannot be done before it"
                                                : task.who().words())
                                        + ".",
                                "problem")));
        int hands =
                plan.timed().stream().mapToInt(timed -> timed.task().hands()).sum();
        parts.add(slip.verdict(StopState.NOTE, "OVER AT " + now.clock(plan.finish())));
        plan.timed().stream()
                .filter(timed -> timed.task().hands() > 0)
                .findFirst()
                .or(() -> plan.timed().stream().findFirst())
                .ifPresent(first -> parts.add(Slip.act(
                        "First: " + first.task().title() + ", " + first.task().machine() + ".",
                        Optional.of(VisitDay.lasts(first) + ". " + now.meanwhile(first)))));
        parts.add(Slip.evidence(List.of(
                new Body.Pair("hands", hands + " min"),
                new Body.Pair(
                        "waiting",
                        plan.timed().stream()
                                        .mapToInt(timed -> timed.task().waits())
                                        .sum() + " min"),
                new Body.Pair("no plan is over before", now.clock(plan.bound())),
                new Body.Pair("minutes learned here", pace.learned() + " stops"))));
        parts.add(Slip.quiet("Press a line to go to its stop. What is recorded leaves the plan by itself."));
    }

    private Node row(VisitDay now, Plan.Timed timed, int number) {
        Label at = Words.label(now.clock(timed.from()), "bold");
        at.setMinWidth(52);
        Label which = Words.label(String.valueOf(number), "quiet");
        which.setMinWidth(24);
        Task task = timed.task();
        PressableWords what =
                new PressableWords(task.machine() + ": " + task.title(), () -> open(task), "flat", "by-hand");
        what.setId("visit-row-" + number);
        what.setMinHeight(34);
        Label lasts = Words.wrapped(
                VisitDay.lasts(timed) + (timed.lanes().isEmpty() ? "" : "; " + now.who(timed)), "caption");
        VBox words = new VBox(what, lasts);
        String meanwhile = now.meanwhile(timed);
        if (!meanwhile.isEmpty()) {
            words.getChildren().add(Words.wrapped(meanwhile, "small"));
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        Label critical = Words.label(timed.critical() ? "moves the finish" : "", "caption");
        critical.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(8, which, at, words, critical);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("settings-row");
        return row;
    }

    private void open(Task task) {
        String[] steps = task.id().split("/");
        if (steps.length > 1 && !steps[1].equals("acclimatise")) {
            navigator.stop(steps[0], steps[1]);
        } else {
            desk.tell("That is no stop: it is done, or waited for, and then it is over.");
        }
    }

    private void save(VisitDay now) {
        Optional<Path> file =
                FileDialogs.toSave(getScene(), "visit-" + now.local().toLocalDate() + ".ics");
        if (file.isPresent()) {
            try {
                Files.writeString(file.get(), VisitCalendar.of(now));
                desk.tell("The visit is saved as a calendar: " + file.get().getFileName() + ".");
            } catch (IOException e) {
                desk.tell("The calendar could not be saved there: choose another folder.");
            }
        }
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return Place.SHOP;
    }

    @Override
    public Heading heading() {
        return new Heading("Visit", "the day, by order, people and waits", "");
    }

    @Override
    public Foot foot() {
        return new Foot(Hazard.LIFTING.caution() + " " + Hazard.MAINS.caution(), true, Optional.empty());
    }

    @Override
    public Optional<Explained> help() {
        Help help = new Help(
                List.of("Which machines, how many people, when it begins, when the electrician comes."),
                List.of(
                        "Tick the machines. What is open, due or not right there is planned.",
                        "Type how cold a machine came in: until nothing can sweat it stands switched off.",
                        "Besides: \"Dunlin: glue the mirror mount, 5 min, wait 2 h\"; add \"two\" or \"electrician\" where "
                                + "they are needed.",
                        "Go by the lines. What is recorded leaves the plan, and the finish is worked out anew."),
                "Waits are long and hands are short: what waits is begun first, and something else is done meanwhile.",
                List.of("A plan is no leave to fire: the gate says when."));
        return Optional.of(new Explained("Visit", help, foot().words()));
    }

    @Override
    public Optional<Parent> printed() {
        return Optional.of((Parent) getChildren().get(0));
    }

    @Override
    public void begin() {
        Platform.runLater(() -> fields.get(0).requestFocus());
    }

    @Override
    public void refresh() {
        plan();
    }

    /** Puts the plan on the clipboard, a line a task. */
    @Override
    public void copy() {
        StringBuilder text = new StringBuilder("from\tmachine\ttask\thands min\twaits min\twho\n");
        day.ifPresent(now -> now.plan()
                .timed()
                .forEach(timed -> text.append(now.clock(timed.from()))
                        .append('\t')
                        .append(timed.task().machine())
                        .append('\t')
                        .append(timed.task().title())
                        .append('\t')
                        .append(timed.task().hands())
                        .append('\t')
                        .append(timed.task().waits())
                        .append('\t')
                        .append(now.who(timed))
                        .append('\n')));
        Clip.put(text.toString());
        desk.tell("The plan is on the clipboard.");
    }

    @Override
    public void leave() {
        keeper.finish();
    }
}
