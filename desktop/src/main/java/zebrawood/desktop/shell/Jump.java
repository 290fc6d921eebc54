package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.TapeFilter;

/** Jumps to any machine, stop, entry or command by typing. */
final class Jump extends VBox {

    /** lines that fit under the field without scrolling */
    private static final int MOST = 12;

    /** digits of the largest entry number */
    private static final int MOST_DIGITS = 8;

    /** longer than any name with a number; what is pasted by mistake is not looked for */
    private static final int LONGEST = 100;

    /** Somewhere to go. */
    record Target(String words, String kind, Runnable go) {}

    private final Desk desk;
    private final Navigator navigator;
    private final List<Target> commands;
    private final boolean anywhere;
    private final TextField typed = new TextField();
    private final ObservableList<Target> found = FXCollections.observableArrayList();
    private final ListView<Target> list = new ListView<>(found);

    Jump(Desk desk, Navigator navigator, List<Target> commands) {
        this(desk, navigator, commands, "machine, stop, \"Wren 12\" for an entry, or a command", true);
    }

    /** A choice among a few targets only, with what is asked. */
    Jump(Desk desk, Navigator navigator, String asked, List<Target> targets) {
        this(desk, navigator, targets, asked, false);
    }

    private Jump(Desk desk, Navigator navigator, List<Target> commands, String asked, boolean anywhere) {
        this.desk = desk;
        this.navigator = navigator;
        this.commands = commands;
        this.anywhere = anywhere;
        getStyleClass().add("over-sheet");
        setMaxSize(560, 460);
        typed.setId("jump-text");
        typed.setPromptText(asked);
        typed.textProperty().addListener((value, before, now) -> search(now));
        typed.addEventFilter(KeyEvent.KEY_PRESSED, this::keys);
        list.getStyleClass().add("jump-list");
        list.setFocusTraversable(false);
        list.setPrefHeight(MOST * 38);
        list.setCellFactory(view -> new ListCell<>() {
            @Override
            protected void updateItem(Target target, boolean empty) {
                super.updateItem(target, empty);
                setText(empty || target == null ? null : target.words() + "   " + target.kind());
                setOnMouseClicked(empty || target == null ? null : event -> go(target));
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren().addAll(typed, list);
        search("");
        Platform.runLater(typed::requestFocus);
    }

    private void keys(KeyEvent event) {
        int at = list.getSelectionModel().getSelectedIndex();
        if (event.getCode() == KeyCode.DOWN) {
            list.getSelectionModel().select(Math.min(found.size() - 1, at + 1));
            event.consume();
        } else if (event.getCode() == KeyCode.UP) {
            list.getSelectionModel().select(Math.max(0, at - 1));
            event.consume();
        } else if (event.getCode() == KeyCode.ENTER && at >= 0) {
            go(found.get(at));
            event.consume();
        }
    }

    private void go(Target target) {
        navigator.closeOverlay();
        target.go().run();
    }

    private void search(String text) {
        String typed = text.length() > LONGEST ? text.substring(0, LONGEST) : text;
        String[] words = typed.strip().toLowerCase(Locale.ROOT).split("\\s+");
        List<Target> targets = new ArrayList<>();
        if (anywhere) {
            entry(typed, targets);
        }
        for (Target target : anywhere ? all() : commands) {
            String haystack = (target.words() + " " + target.kind()).toLowerCase(Locale.ROOT);
            if (Arrays.stream(words).allMatch(haystack::contains) && targets.size() < MOST) {
                targets.add(target);
            }
        }
        found.setAll(targets);
        list.setPlaceholder(Words.label("Nothing here is called that.", "quiet"));
        list.getSelectionModel().select(0);
    }

    private void entry(String text, List<Target> targets) {
        String typed = text.strip().toLowerCase(Locale.ROOT);
        int from = typed.length();
        while (from > 0 && typed.charAt(from - 1) >= '0' && typed.charAt(from - 1) <= '9') {
            from--;
        }
        if (from == typed.length() || typed.length() - from > MOST_DIGITS) {
            return;
        }
        int number = Integer.parseInt(typed.substring(from));
        String name = typed.substring(0, from).strip();
        for (String before : List.of("no.", "no", "#")) {
            if (name.endsWith(before)) {
                name = name.substring(0, name.length() - before.length()).strip();
                break;
            }
        }
        String wanted = name;
        for (MachineStatus machine : desk.machines().get()) {
            if (machine.plate().name().toLowerCase(Locale.ROOT).startsWith(wanted) && number > 0) {
                targets.add(new Target(
                        machine.plate().name() + " no. " + number,
                        "entry",
                        () -> navigator.entry(machine.machineId(), number)));
            }
        }
    }

    private List<Target> all() {
        List<Target> all = new ArrayList<>();
        for (MachineStatus machine : desk.machines().get()) {
            String id = machine.machineId();
            String name = machine.plate().name();
            all.add(new Target(name, "machine", () -> navigator.stop(id, FirstLight.ID)));
        }
        for (MachineStatus machine : desk.machines().get()) {
            String id = machine.machineId();
            String name = machine.plate().name();
            machine.stops()
                    .forEach(stop -> all.add(new Target(
                            name + "  ·  " + stop.card().title(),
                            "stop",
                            () -> navigator.stop(id, stop.card().id()))));
            all.add(new Target(name + "  ·  First light", "stop", () -> navigator.stop(id, FirstLight.ID)));
            all.add(new Target(name + "  ·  Plate", "edit", () -> navigator.plate(id)));
            all.add(new Target(name + "  ·  Certificate", "PDF", () -> navigator.certificate(id)));
            all.add(new Target(name + "  ·  Logbook", "entries", () -> navigator.logbook(TapeFilter.of(id))));
            all.add(new Target(name + "  ·  Start of work", "half a minute", () -> navigator.start(id)));
            all.add(new Target(name + "  ·  Something happened", "event", () -> navigator.event(id)));
            all.add(new Target(name + "  ·  Work result", "type", () -> navigator.work(id)));
            all.add(new Target(name + "  ·  Open a point", "type", () -> navigator.point(id)));
        }
        all.addAll(commands);
        return all;
    }
}
