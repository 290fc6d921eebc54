package zebrawood.desktop.shop;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Dimension2D;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import zebrawood.core.route.MachineState;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.Todo;
import zebrawood.core.units.Days;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.machine.MachineFigure;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.PressableDrawing;
import zebrawood.kit.view.PressableWords;
import zebrawood.kit.view.Words;

/**
 * All machines on one floor at one scale, and under them what to do next, most urgent first. A large shop has a list
 * beside the floor, to search and filter; the floor then shows the most urgent of those that are left.
 */
public final class ShopPage extends HBox implements FramedPage {

    private static final double LARGEST_SCALE = 0.108;
    private static final double SMALLEST_SCALE = 0.05;
    private static final double STAND_GAP = 16;
    private static final double FLOOR_LINE = 2;
    private static final double BAR = 10;
    private static final double BAR_LEFT = 28;
    private static final Duration SEEN = Duration.millis(700);
    /** more machines than these have a list beside the floor */
    private static final int FEW = 14;
    /** of those, so many are drawn, the most urgent ones */
    private static final int ON_FLOOR = 24;
    /** what to do next, as far as anybody reads */
    private static final int ROWS = 60;

    private final Desk desk;
    private final Navigator navigator;
    private final String shopName;
    private final int seenAtFirst;
    private final Floor floor;
    private final StackPane floorPlace = new StackPane();
    private final StackPane nextPlace = new StackPane();
    private final VBox next = new VBox();
    private List<Todo> todo = List.of();
    private boolean seen;
    private Optional<MachineList> list = Optional.empty();
    private final Label heading = Words.label("", "title");
    private final Label caption = Words.label("", "caption");
    private final PressableWords add;
    private final PressableWords register;
    private final PressableWords visit;
    private final double roomWidth;
    private Optional<EmptyFloor> empty = Optional.empty();
    private final ChangeListener<List<MachineStatus>> onMachines = (value, before, now) -> showAll();
    private final ChangeListener<UnitChoice> onUnits = (value, before, now) -> showAll();

    /**
     * @param shopName the name of the shop
     * @param room what the window will give it, px: what does not show in it is made later
     */
    public ShopPage(Desk desk, Navigator navigator, String shopName, Dimension2D room) {
        this.shopName = shopName;
        this.desk = desk;
        this.navigator = navigator;
        this.seenAtFirst = (int) Math.ceil((room.getHeight() - MachineOnFloor.HEIGHT) / NextRow.HEIGHT);
        this.floor = new Floor(room.getWidth());
        this.roomWidth = room.getWidth();
        this.add = new PressableWords("Add a machine", navigator::addMachine, "outline");
        add.setId("add-machine");
        add.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        VBox words = new VBox(2, heading, caption);
        register = new PressableWords("Eyewear", navigator::eyewear, "outline");
        register.setId("register");
        register.setMinWidth(Region.USE_PREF_SIZE);
        visit = new PressableWords("Visit", navigator::visit, "outline");
        visit.setId("visit");
        visit.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(12, words, gap, visit, register, add);
        head.setPadding(new Insets(16, 28, 0, 28));
        floorPlace.setMinHeight(MachineOnFloor.HEIGHT + 14);
        floorPlace.setMaxHeight(MachineOnFloor.HEIGHT + 14);
        floorPlace.setMinWidth(0);
        floorPlace.setAlignment(Pos.TOP_LEFT);
        floorPlace.getChildren().add(floor);
        next.setPadding(new Insets(0, BAR_LEFT + BAR, 12, 28));
        nextPlace.getChildren().add(next);
        nextPlace.setMinHeight(0);
        nextPlace.setPrefHeight(0);
        nextPlace.setAlignment(Pos.TOP_LEFT);
        VBox.setVgrow(nextPlace, Priority.ALWAYS);
        VBox page = new VBox(head, floorPlace, nextPlace);
        page.setMinWidth(300);
        page.widthProperty().addListener((value, before, now) -> floor.available(now.doubleValue()));
        HBox.setHgrow(page, Priority.ALWAYS);
        getChildren().add(page);
        addEventHandler(KeyEvent.KEY_PRESSED, event -> empty.ifPresent(floorWith -> floorWith.digit(event)));
        desk.machines().addListener(new WeakChangeListener<>(onMachines));
        desk.units().addListener(new WeakChangeListener<>(onUnits));
        showAll();
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
        int count = desk.machines().get().size();
        String unseen = desk.unseen() == 0 ? "" : ", and " + desk.unseen() + " that only a newer Zebrawood knows";
        return new Heading(
                shopName, !desk.isRead() ? "" : (count == 1 ? "1 machine" : count + " machines") + unseen, "");
    }

    @Override
    public Foot foot() {
        if (!desk.isRead()) {
            return Foot.of("");
        }
        String words = desk.logbook()
                .whyReadOnly()
                .map(why -> "Open for reading only: " + why + ".")
                .orElse("Everything here follows from the logbook: "
                        + desk.head().get().inWords() + ".");
        return new Foot(
                words,
                false,
                Optional.of(new SimpleStringProperty(
                        Days.full(desk.local(desk.now()).toLocalDate()))));
    }

    /** Puts the focus into the search, where the shop is large enough to have one. */
    @Override
    public boolean search() {
        list.ifPresent(MachineList::search);
        return list.isPresent();
    }

    /** Whether what does not show at first is made, too. */
    public boolean isWhole() {
        return seen;
    }

    private void showAll() {
        List<MachineStatus> machines = desk.machines().get();
        if (machines.size() > FEW && list.isEmpty()) {
            MachineList made = new MachineList(
                    desk, this::show, machine -> navigator.stop(machine.machineId(), MachineOnFloor.start(machine)));
            list = Optional.of(made);
            getChildren().add(0, made);
        }
        list.ifPresentOrElse(made -> made.show(machines), () -> show(machines));
    }

    /**
     * Puts the focus on the most urgent line; what is below the lower edge is made once the page is seen, and can be
     * scrolled to.
     */
    @Override
    public void begin() {
        PauseTransition pause = new PauseTransition(SEEN);
        pause.setOnFinished(event -> {
            seen = true;
            addRows();
            nextScrolls();
        });
        pause.play();
        if (empty.isPresent()) {
            empty.get().begin();
            return;
        }
        next.getChildren().stream()
                .filter(PressableDrawing.class::isInstance)
                .findFirst()
                .orElse(add)
                .requestFocus();
    }

    private void show(List<MachineStatus> machines) {
        long waiting = machines.stream()
                .filter(machine -> machine.state() != MachineState.IN_ORDER)
                .count();
        boolean reading = !desk.isRead();
        heading.setText(
                reading
                        ? "Reading the logbook ..."
                        : machines.isEmpty()
                                ? "An empty floor"
                                : waiting == 0
                                        ? "All machines are in order"
                                        : waiting == 1
                                                ? "One machine is waiting for you"
                                                : waiting + " machines are waiting for you");
        caption.setText(
                machines.isEmpty()
                        ? "No machine stands here yet. These are the sorts there are, at one scale."
                        : "Machines stand at one scale. Shape and word say how each one stands.");
        todo = Route.next(machines);
        floor.show(machines.size() <= FEW ? machines : urgent(machines, todo));
        next.getChildren().clear();
        empty = Optional.empty();
        if (reading) {
            return;
        }
        if (machines.isEmpty()) {
            EmptyFloor made = new EmptyFloor(desk, navigator, roomWidth);
            empty = Optional.of(made);
            next.getChildren().add(made);
        } else {
            next.getChildren()
                    .add(Words.label(
                            todo.isEmpty()
                                    ? "Nothing to do: everything checked passes, and nothing is due this week"
                                    : "Next, most urgent first",
                            "head"));
            VBox.setMargin(next.getChildren().get(0), new Insets(0, 0, 8, 0));
        }
        addRows();
    }

    /** Adds the lines that are not there yet: at first so many as the window shows, all once the page is seen. */
    private void addRows() {
        int made = (int) next.getChildren().stream()
                .filter(PressableDrawing.class::isInstance)
                .count();
        int most = Math.min(todo.size(), seen ? ROWS : seenAtFirst);
        for (int i = made; i < most; i++) {
            next.getChildren().add(NextRow.of(desk, navigator, todo.get(i), i == 0));
        }
        if (seen && todo.size() > ROWS && made < ROWS) {
            next.getChildren()
                    .add(Words.label("and " + (todo.size() - ROWS) + " more; search or filter to see them", "quiet"));
        }
    }

    /** Those with the most urgent work, so many as the floor takes. */
    private static List<MachineStatus> urgent(List<MachineStatus> machines, List<Todo> todo) {
        Map<String, MachineStatus> byId = new LinkedHashMap<>();
        machines.forEach(machine -> byId.put(machine.machineId(), machine));
        Stream<String> ids = Stream.concat(todo.stream().map(Todo::machineId), byId.keySet().stream());
        return ids.distinct().limit(ON_FLOOR).map(byId::get).toList();
    }

    private void nextScrolls() {
        if (nextPlace.getChildren().get(0) instanceof ScrollPane) {
            return;
        }
        Optional<Node> focused =
                next.getChildren().stream().filter(Node::isFocused).findFirst();
        ScrollPane scroll = new ScrollPane();
        scroll.setId("next-scroll");
        nextPlace.getChildren().setAll(scroll);
        scroll.setContent(next);
        scroll.applyCss();
        focused.ifPresent(Node::requestFocus);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        next.setPadding(new Insets(0, BAR_LEFT, 12, 28));
    }

    /** Lets the floor be moved sideways, once it is wider than its place. */
    private void scrolls() {
        if (floorPlace.getChildren().get(0) instanceof ScrollPane) {
            return;
        }
        ScrollPane scroll = new ScrollPane();
        floorPlace.getChildren().setAll(scroll);
        scroll.setContent(floor);
        scroll.setFitToHeight(true);
        scroll.setPannable(true);
        scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
    }

    /** The floor, and on it a stand for each machine. */
    private final class Floor extends Pane {
        private final DrawingSurface ground = new DrawingSurface(desk.look());
        private List<MachineStatus> machines = List.of();
        private double available;

        Floor(double available) {
            this.available = available;
        }

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
            double tallest = machines.stream()
                    .mapToDouble(m -> MachineFigure.heightMm(m.plate()))
                    .max()
                    .orElse(1000);
            double least = Math.max(128, Math.min(176, (available - 56) / Math.max(1, machines.size()) * 0.97));
            double scale = Math.min(LARGEST_SCALE, (MachineOnFloor.FLOOR - 20) / tallest);
            while (machines.size() <= FEW && scale > SMALLEST_SCALE && wide(scale, least) > available - 56) {
                scale *= 0.98;
            }
            getChildren().clear();
            ground.setManaged(false);
            ground.setMouseTransparent(true);
            double x = 28;
            double spread =
                    machines.isEmpty() ? 0 : Math.max(0, (available - 56 - wide(scale, least)) / machines.size());
            floorPlace.setVisible(!machines.isEmpty());
            floorPlace.setManaged(!machines.isEmpty());
            add.setVisible(!machines.isEmpty());
            register.setVisible(!machines.isEmpty());
            visit.setVisible(!machines.isEmpty());
            for (MachineStatus machine : machines) {
                double width = Math.max(least, MachineFigure.widthMm(machine.plate()) * scale + STAND_GAP) + spread;
                PressableDrawing stand = MachineOnFloor.of(desk, navigator, machine, scale, width);
                stand.relocate(x, 0);
                getChildren().add(stand);
                x += width;
            }
            getChildren().add(ground);
            double whole = Math.max(available, x + 28);
            setPrefSize(whole, MachineOnFloor.HEIGHT + 10);
            setMinSize(whole, MachineOnFloor.HEIGHT + 10);
            if (whole > available + 1) {
                scrolls();
            }
            double metre = 1000 * scale;
            ground.show(
                    (pen, width, height) -> {
                        pen.line(28, FLOOR_LINE, width - 28, FLOOR_LINE, Stroke.of(Tone.INK, 1.5));
                        Path grain = new Path();
                        for (double at = 30; at < width - 32; at += 14) {
                            grain.move(at, FLOOR_LINE + 8).line(at + 6, FLOOR_LINE);
                        }
                        pen.stroke(grain, Stroke.of(Tone.HAIRLINE, 1));
                        if (!machines.isEmpty()) {
                            double y = FLOOR_LINE + 20;
                            pen.line(28, y, 28 + metre, y, Stroke.of(Tone.QUIET, 1));
                            pen.line(28, y - 4, 28, y + 4, Stroke.of(Tone.QUIET, 1));
                            pen.line(28 + metre, y - 4, 28 + metre, y + 4, Stroke.of(Tone.QUIET, 1));
                            pen.text(28 + metre + 6, y + 4, "1 m", Lettering.CAPTION, Tone.QUIET);
                        }
                    },
                    "the floor");
            requestLayout();
        }

        /** How much room all stands need at a scale. */
        private double wide(double scale, double least) {
            return machines.stream()
                    .mapToDouble(m -> Math.max(least, MachineFigure.widthMm(m.plate()) * scale + STAND_GAP))
                    .sum();
        }

        @Override
        protected void layoutChildren() {
            ground.resizeRelocate(0, MachineOnFloor.FLOOR - FLOOR_LINE, getWidth(), FLOOR_LINE + 32);
            super.layoutChildren();
        }
    }
}
