package zebrawood.desktop.shop;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.core.route.MachineState;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.Todo;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.DrawingSurface;
import zebrawood.desktop.bench.Slip;
import zebrawood.desktop.bench.Words;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.figure.Shapes;
import zebrawood.desktop.figure.Stroke;
import zebrawood.desktop.theme.Lettering;
import zebrawood.desktop.theme.Tone;

/**
 * All machines on one floor at one scale, and under them what to do next, most urgent first. A large shop has a list
 * beside the floor, to search and filter; the floor then shows the most urgent of those that are left.
 */
public final class ShopPage extends HBox {

    private static final double FLOOR = 210;
    private static final double LARGEST_SCALE = 0.108;
    private static final double SMALLEST_SCALE = 0.05;
    private static final double STAND_GAP = 16;
    private static final int FEW = 14;
    private static final int ON_FLOOR = 24;
    private static final int ROWS = 60;

    private final Desk desk;
    private final Navigator navigator;
    private final MachineList list;
    private final Floor floor;
    private final ScrollPane floorScroll = new ScrollPane();
    private final VBox next = new VBox();
    private final Label heading = Words.label("", "title");
    private final Button add = new Button("Add a machine");
    private final ChangeListener<List<MachineStatus>> onMachines = (value, before, now) -> showAll();
    private final ChangeListener<UnitChoice> onUnits = (value, before, now) -> showAll();

    public ShopPage(Desk desk, Navigator navigator) {
        this.desk = desk;
        this.navigator = navigator;
        this.floor = new Floor();
        this.list = new MachineList(desk, this::show, machine -> navigator.stop(machine.machineId(), Floor.start(machine)));
        add.setId("add-machine");
        add.getStyleClass().setAll("button", "outline");
        add.setOnAction(event -> navigator.addMachine());
        add.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        VBox words = new VBox(2, heading, Words.label("Machines stand at one scale. Shape and word say how each one stands.", "caption"));
        HBox head = new HBox(12, words, gap, add);
        head.setPadding(new Insets(16, 28, 0, 28));
        floorScroll.setContent(floor);
        floorScroll.setFitToHeight(true);
        floorScroll.setPannable(true);
        floorScroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        floorScroll.setMinHeight(FLOOR + 144);
        floorScroll.setPrefHeight(FLOOR + 144);
        floorScroll.setFocusTraversable(false);
        floorScroll.viewportBoundsProperty().addListener((value, before, now) -> floor.available(now.getWidth()));
        next.setPadding(new Insets(0, 28, 12, 28));
        ScrollPane nextScroll = new ScrollPane(next);
        nextScroll.setFitToWidth(true);
        nextScroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        nextScroll.setFocusTraversable(false);
        VBox.setVgrow(nextScroll, Priority.ALWAYS);
        VBox page = new VBox(head, floorScroll, nextScroll);
        page.setMinWidth(300);
        HBox.setHgrow(page, Priority.ALWAYS);
        getChildren().addAll(list, page);
        desk.machines().addListener(new WeakChangeListener<>(onMachines));
        desk.units().addListener(new WeakChangeListener<>(onUnits));
        showAll();
    }

    /** Puts the focus into the search, where the shop is large enough to have one. */
    public boolean search() {
        if (list.isVisible()) {
            list.search();
        }
        return list.isVisible();
    }

    private void showAll() {
        List<MachineStatus> machines = desk.machines().get();
        boolean many = machines.size() > FEW;
        list.setVisible(many);
        list.setManaged(many);
        if (many) {
            list.show(machines);
        } else {
            show(machines);
        }
    }

    /** Puts the focus on the most urgent line. */
    public void begin() {
        applyCss();
        layout();
        next.getChildren().stream().filter(Button.class::isInstance).findFirst().orElse(add).requestFocus();
    }

    private void show(List<MachineStatus> machines) {
        long waiting = machines.stream().filter(machine -> machine.state() != MachineState.IN_ORDER).count();
        boolean reading = !desk.isRead();
        heading.setText(reading ? "Reading the logbook ..." : machines.isEmpty() ? "No machine stands here yet"
                : waiting == 0 ? "All machines are in order"
                : waiting == 1 ? "One machine is waiting for you" : waiting + " machines are waiting for you");
        List<Todo> todo = Route.next(machines);
        floor.show(machines.size() <= FEW ? machines : urgent(machines, todo));
        next.getChildren().clear();
        if (reading) {
            return;
        }
        if (machines.isEmpty()) {
            Button begin = new Button("Add the first machine");
            begin.setId("add-first");
            begin.getStyleClass().setAll("button", "strong");
            begin.setOnAction(event -> navigator.addMachine());
            VBox.setMargin(begin, new Insets(16, 0, 0, 0));
            next.getChildren().addAll(
                    Words.wrapped("An empty floor", "act"),
                    Words.wrapped("A name and a family are enough to begin. What else a stop needs it will say.", "by-hand"),
                    begin);
        } else {
            next.getChildren().add(Words.label(todo.isEmpty() ? "Nothing to do: everything checked passes, and nothing is due this week"
                    : "Next, most urgent first", "head"));
            VBox.setMargin(next.getChildren().get(0), new Insets(0, 0, 8, 0));
        }
        boolean first = true;
        for (Todo item : todo.subList(0, Math.min(ROWS, todo.size()))) {
            next.getChildren().add(row(item, first));
            first = false;
        }
        if (todo.size() > ROWS) {
            next.getChildren().add(Words.label("and " + (todo.size() - ROWS) + " more; search or filter to see them", "quiet"));
        }
    }

    /** Those with the most urgent work, so many as the floor takes. */
    private static List<MachineStatus> urgent(List<MachineStatus> machines, List<Todo> todo) {
        Map<String, MachineStatus> byId = new LinkedHashMap<>();
        machines.forEach(machine -> byId.put(machine.machineId(), machine));
        Stream<String> ids = Stream.concat(todo.stream().map(Todo::machineId), byId.keySet().stream());
        return ids.distinct().limit(ON_FLOOR).map(byId::get).toList();
    }

    private Button row(Todo item, boolean first) {
        Label name = Words.label(item.machine(), "bold", "next-name");
        name.setMinWidth(first ? 96 : 80);
        Label sentence = Words.label(item.action().in(desk.units().get()), "sentence");
        sentence.setMinWidth(80);
        sentence.setWrapText(first);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label stop = Words.label(item.stopTitle(), "quiet");
        stop.setMinWidth(90);
        stop.visibleProperty().bind(widthProperty().greaterThan(1000));
        stop.managedProperty().bind(stop.visibleProperty());
        Label minutes = Words.label(item.minutes() == 0 ? "" : item.minutes() + " min", "quiet");
        minutes.setMinWidth(60);
        minutes.setAlignment(Pos.CENTER_RIGHT);
        Label when = Words.label(item.when(), "quiet");
        when.setMinWidth(110);
        when.setAlignment(Pos.CENTER_RIGHT);
        HBox content = new HBox(12, Slip.mark(desk.look(), item.shape(), first ? 28 : 22), name, sentence, gap, stop, minutes, when);
        content.setAlignment(Pos.CENTER_LEFT);
        Button row = new Button();
        row.setGraphic(content);
        row.setId("next-" + item.machine().toLowerCase(Locale.ROOT) + "-" + item.stop());
        row.getStyleClass().setAll("button", "next-row");
        if (first) {
            row.getStyleClass().add("first");
            row.setPrefHeight(68);
            row.setMaxHeight(68);
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(item.machine() + ": " + sentence.getText());
        content.prefWidthProperty().bind(row.widthProperty().subtract(12));
        row.setOnAction(event -> item.entry().ifPresentOrElse(entry -> navigator.entry(item.machineId(), entry), () -> navigator.stop(item.machineId(), item.stop())));
        return row;
    }

    /** The floor, and on it a stand for each machine. */
    private final class Floor extends Pane {
        private final DrawingSurface ground = new DrawingSurface(desk.look());
        private List<MachineStatus> machines = List.of();
        private double available = 1200;

        void show(List<MachineStatus> shown) {
            machines = shown;
            arrange();
        }

        void available(double width) {
            if (Math.abs(width - available) > 0.5) {
                available = width;
                arrange();
            }
        }

        private void arrange() {
            double tallest = machines.stream().mapToDouble(m -> MachineFigure.heightMm(m.plate())).max().orElse(1000);
            double least = Math.max(128, Math.min(176, (available - 56) / Math.max(1, machines.size()) * 0.97));
            double scale = Math.min(LARGEST_SCALE, (FLOOR - 20) / tallest);
            while (machines.size() <= FEW && scale > SMALLEST_SCALE && wide(scale, least) > available - 56) {
                scale *= 0.98;
            }
            getChildren().setAll(ground);
            ground.setManaged(false);
            double x = 28;
            double spread = machines.isEmpty() ? 0 : Math.max(0, (available - 56 - wide(scale, least)) / machines.size());
            floorScroll.setVisible(!machines.isEmpty());
            floorScroll.setManaged(!machines.isEmpty());
            add.setVisible(!machines.isEmpty());
            for (MachineStatus machine : machines) {
                double width = Math.max(least, MachineFigure.widthMm(machine.plate()) * scale + STAND_GAP) + spread;
                Node stand = stand(machine, scale, width);
                stand.relocate(x, 0);
                getChildren().add(stand);
                x += width;
            }
            double whole = Math.max(available, x + 28);
            setPrefSize(whole, FLOOR + 140);
            setMinSize(whole, FLOOR + 140);
            double metre = 1000 * scale;
            ground.show((pen, width, height) -> {
                pen.line(28, FLOOR, width - 28, FLOOR, Stroke.of(Tone.INK, 1.5));
                for (double at = 30; at < width - 32; at += 14) {
                    pen.line(at, FLOOR + 8, at + 6, FLOOR, Stroke.of(Tone.HAIRLINE, 1));
                }
                if (!machines.isEmpty()) {
                    double y = FLOOR + 20;
                    pen.line(28, y, 28 + metre, y, Stroke.of(Tone.QUIET, 1));
                    pen.line(28, y - 4, 28, y + 4, Stroke.of(Tone.QUIET, 1));
                    pen.line(28 + metre, y - 4, 28 + metre, y + 4, Stroke.of(Tone.QUIET, 1));
                    pen.text(28 + metre + 6, y + 4, "1 m", Lettering.CAPTION, Tone.QUIET);
                }
            }, "the floor");
            requestLayout();
        }

        /** How much room all stands need at a scale. */
        private double wide(double scale, double least) {
            return machines.stream().mapToDouble(m -> Math.max(least, MachineFigure.widthMm(m.plate()) * scale + STAND_GAP)).sum();
        }

        @Override
        protected void layoutChildren() {
            ground.resizeRelocate(0, 0, getWidth(), FLOOR + 40);
            super.layoutChildren();
        }

        private Button stand(MachineStatus machine, double scale, double width) {
            DrawingSurface drawing = new DrawingSurface(desk.look());
            drawing.show(MachineFigure.of(machine.plate(), scale), machine.plate().family().words());
            drawing.setMinHeight(FLOOR - 3);
            drawing.setMaxHeight(FLOOR - 3);
            drawing.setPrefWidth(width - 4);
            Label name = Words.label(machine.plate().name(), "stand-name");
            String kind = machine.plate().family().words() + machine.plate().place().map(place -> ", " + place).orElse("");
            Label family = Words.label(kind, "caption");
            Label state = Words.label(machine.state().word(), "bold", Slip.toneStyle(Shapes.tone(machine.state().shape())));
            HBox how = new HBox(6, Slip.mark(desk.look(), machine.state().shape(), 20), state);
            how.setAlignment(Pos.CENTER);
            Label detail = Words.label(machine.detail(), "small");
            VBox words = new VBox(2, name, family, how, detail);
            words.setAlignment(Pos.TOP_CENTER);
            words.setPadding(new Insets(30, 0, 4, 0));
            VBox.setMargin(how, new Insets(5, 0, 0, 0));
            VBox content = new VBox(drawing, words);
            content.setAlignment(Pos.TOP_CENTER);
            Button stand = new Button();
            stand.setGraphic(new StackPane(content));
            stand.setId("machine-" + machine.plate().name().toLowerCase(Locale.ROOT));
            stand.getStyleClass().setAll("button", "flat");
            stand.setPrefWidth(width);
            stand.setMaxWidth(width);
            stand.setAccessibleText(machine.plate().name() + ", " + machine.state().word() + ", " + machine.detail());
            stand.setOnAction(event -> navigator.stop(machine.machineId(), start(machine)));
            return stand;
        }

        /** The stop that one would go to: what is next, else the first. */
        private static String start(MachineStatus machine) {
            return machine.todo().stream().findFirst().map(Todo::stop)
                    .orElseGet(() -> machine.stops().isEmpty() ? FirstLight.ID : machine.stops().get(0).card().id());
        }
    }
}
