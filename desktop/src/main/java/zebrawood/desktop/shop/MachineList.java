package zebrawood.desktop.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.machine.Family;
import zebrawood.core.route.MachineState;
import zebrawood.core.route.MachineStatus;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** All machines as a list beside the floor, for a shop too large to be seen at once: searched and filtered. */
final class MachineList extends VBox {

    private final Desk desk;
    private final ObservableList<MachineStatus> found = FXCollections.observableArrayList();
    private final ListView<MachineStatus> list = new ListView<>(found);
    private final TextField search = new TextField();
    private final ComboBox<Choice> state = new ComboBox<>();
    private final ComboBox<Choice> place = new ComboBox<>();
    private final ComboBox<Choice> family = new ComboBox<>();
    private final Label count = Words.label("", "caption");
    private final Consumer<List<MachineStatus>> shown;
    private List<MachineStatus> machines = List.of();
    private boolean filling;

    /** A line of a filter; an empty word stands for all. */
    private record Choice(String words, String word) {
        @Override
        public String toString() {
            return words;
        }
    }

    /**
     * @param shown hears which machines are left after search and filters
     * @param open opens one
     */
    MachineList(Desk desk, Consumer<List<MachineStatus>> shown, Consumer<MachineStatus> open) {
        super(8);
        this.desk = desk;
        this.shown = shown;
        setPadding(new Insets(16, 0, 8, 28));
        setMinWidth(318);
        setMaxWidth(318);
        search.setId("shop-search");
        search.setPromptText("name, number, place, what is open");
        search.setAccessibleText("search machines");
        Words.follow(search);
        search.textProperty().addListener((value, before, now) -> filter());
        search.setOnAction(event -> list.requestFocus());
        filters();
        list.setId("machine-list");
        list.getStyleClass().add("tape");
        list.setFixedCellSize(54);
        list.setCellFactory(view -> new Cell());
        list.setPlaceholder(Words.wrapped("No machine is like that. Take a filter off or search for less.", "quiet"));
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER && list.getSelectionModel().getSelectedItem() != null) {
                open.accept(list.getSelectionModel().getSelectedItem());
            }
        });
        list.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2 && list.getSelectionModel().getSelectedItem() != null) {
                open.accept(list.getSelectionModel().getSelectedItem());
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren().addAll(search, new HBox(6, state, place, family), count, list);
    }

    private void filters() {
        for (ComboBox<Choice> box : List.of(state, place, family)) {
            box.getStyleClass().add("pill");
            box.setMinWidth(86);
            box.setPrefWidth(98);
            box.setOnAction(event -> filter());
        }
        state.setId("shop-state");
        place.setId("shop-place");
        family.setId("shop-family");
        choices(
                state,
                "state",
                Stream.of(MachineState.values()).map(MachineState::word).toList());
        choices(family, "family", Stream.of(Family.values()).map(Family::words).toList());
        choices(place, "place", List.of());
    }

    private void choices(ComboBox<Choice> box, String all, List<String> words) {
        filling = true;
        Optional<Choice> chosen = Optional.ofNullable(box.getValue());
        List<Choice> choices = new ArrayList<>(List.of(new Choice(all, "")));
        words.forEach(word -> choices.add(new Choice(word, word)));
        box.getItems().setAll(choices);
        box.setValue(chosen.filter(choices::contains).orElse(choices.get(0)));
        filling = false;
    }

    void show(List<MachineStatus> all) {
        machines = all;
        choices(
                place,
                "place",
                all.stream()
                        .flatMap(machine -> machine.plate().place().stream())
                        .distinct()
                        .sorted()
                        .toList());
        filter();
    }

    private void filter() {
        if (filling) {
            return;
        }
        String[] words = search.getText().strip().toLowerCase(Locale.ROOT).split("\\s+");
        List<MachineStatus> left = machines.stream()
                .filter(machine -> is(state, machine, m -> m.state().word()))
                .filter(machine -> is(place, machine, m -> m.plate().place().orElse("")))
                .filter(machine -> is(family, machine, m -> m.plate().family().words()))
                .filter(machine -> {
                    String said = said(machine);
                    return Stream.of(words).allMatch(said::contains);
                })
                .toList();
        found.setAll(left);
        Words.set(
                count,
                left.size() == machines.size()
                        ? "all " + left.size() + " machines"
                        : left.size() + " of " + machines.size() + " machines");
        shown.accept(left);
    }

    private static boolean is(ComboBox<Choice> box, MachineStatus machine, Function<MachineStatus, String> word) {
        return box.getValue() == null
                || box.getValue().word().isEmpty()
                || box.getValue().word().equals(word.apply(machine));
    }

    private static String said(MachineStatus machine) {
        return (machine.plate().name() + " " + machine.plate().line() + " "
                        + machine.plate().place().orElse("") + " "
                        + machine.state().word() + " " + machine.detail())
                .toLowerCase(Locale.ROOT);
    }

    /** Puts the focus into the search. */
    void search() {
        search.requestFocus();
        search.selectAll();
    }

    private final class Cell extends ListCell<MachineStatus> {
        @Override
        protected void updateItem(MachineStatus machine, boolean empty) {
            super.updateItem(machine, empty);
            setText(null);
            setGraphic(empty || machine == null ? null : row(machine));
        }

        private Node row(MachineStatus machine) {
            Label name = Words.label(machine.plate().name(), "bold");
            Label word = Words.label(
                    machine.state().word(),
                    "small",
                    Slip.toneStyle(Shapes.tone(machine.state().shape())));
            Label detail = Words.label(
                    machine.plate().place().map(place -> place + ", ").orElse("") + machine.detail(), "caption");
            HBox first = new HBox(8, name, word);
            first.setAlignment(Pos.BASELINE_LEFT);
            VBox words = new VBox(1, first, detail);
            words.setMinWidth(40);
            HBox row = new HBox(10, Slip.mark(desk.look(), machine.state().shape(), 22), words);
            row.setAlignment(Pos.CENTER_LEFT);
            row.setPadding(new Insets(6, 8, 6, 4));
            row.setMaxWidth(270);
            return row;
        }
    }
}
