package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.SimpleStringProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Help;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.Days;
import zebrawood.desktop.Catalogue;
import zebrawood.desktop.bench.DrawingSurface;
import zebrawood.desktop.bench.Notice;
import zebrawood.desktop.bench.OverSheet;
import zebrawood.desktop.bench.Pressing;
import zebrawood.desktop.bench.Printing;
import zebrawood.desktop.bench.StopView;
import zebrawood.desktop.certificate.CertificateFile;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.desk.Paper;
import zebrawood.desktop.difference.DifferencePage;
import zebrawood.desktop.event.EventSheet;
import zebrawood.desktop.event.PointSheets;
import zebrawood.desktop.logbook.LogbookPage;
import zebrawood.desktop.machine.PlatePage;
import zebrawood.desktop.route.RoutePage;
import zebrawood.desktop.shop.ShopPage;
import zebrawood.desktop.theme.Fonts;
import zebrawood.desktop.theme.Ground;
import zebrawood.desktop.work.WorkPage;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.store.TapeFilter;

/** The window's keys and commands, and the ways from one view to another; what stands round every view is the {@link Frame}. */
public final class Shell implements Navigator {

    private static final Duration SEEN = Duration.seconds(1);
    private static final String READING = "The logbook is still being read; a moment.";
    private static final Help GENERAL = new Help(
            List.of("Nothing but the machine in front of you."),
            List.of("Open the most urgent line on the Shop page.", "Do what the Slip says in large type, type what you read, and record it.",
                    "Begin a new machine with Add a machine: a name and a family are enough."),
            "What was measured once is written down once, and can be shown in ten years.",
            List.of("Zebrawood informs; it does not authorise. Follow the machine's manual and the local codes."));

    private final Desk desk;
    private final String shopName;
    private final Scene scene;
    private final StackPane root;
    private final Frame frame;
    private final WholeLogbook whole;
    private Optional<String> machineId = Optional.empty();
    private Optional<StackPane> veil = Optional.empty();
    private Node before;
    private boolean enterHeld;

    /** @param scene of the window, with nothing in it yet */
    Shell(Desk desk, String shopName, Scene scene) {
        this.desk = desk;
        this.shopName = shopName;
        this.scene = scene;
        root = (StackPane) scene.getRoot();
        frame = new Frame(desk, new Frame.Ways(this::jump, () -> overlay(new InitialsSheet(desk, this::closeOverlay)), this::shop, this::route,
                () -> logbook(new TapeFilter(machineId, Optional.empty(), Optional.empty()))));
        whole = new WholeLogbook(desk, this::overlay, this::closeOverlay);
        root.getProperties().put(Paper.class, desk.preferences().paper());
        Fonts.load();
        scene.getStylesheets().addAll(desk.ground().get().stylesheet(), Ground.class.getResource("frame.css").toExternalForm());
        root.getChildren().add(frame);
        desk.ground().addListener((value, old, now) -> scene.getStylesheets().set(0, now.stylesheet()));
        desk.units().addListener((value, old, now) -> {
            if (page() instanceof RoutePage route) {
                route.refreshColumn();
            }
        });
        desk.onTold(this::tell);
        root.addEventHandler(Notice.TOLD, notice -> tell(notice.sentence()));
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::keys);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, event -> enterHeld &= event.getCode() != KeyCode.ENTER);
    }

    public Scene scene() {
        return scene;
    }

    /** Keeps what is half done, before the window closes. */
    public void leave() {
        if (page() instanceof RoutePage route) {
            route.view().ifPresent(StopView::leave);
        } else if (page() instanceof WorkPage work) {
            work.leave();
        } else if (page() instanceof PlatePage plate) {
            plate.leave();
        }
    }

    /** The id of a machine that stands in the shop. */
    public String machine(String name) {
        return desk.machines().get().stream().filter(machine -> machine.plate().name().equals(name)).findFirst().orElseThrow().machineId();
    }

    /** One sentence for the person, at the foot. */
    public void tell(String sentence) {
        frame.tell(sentence);
    }

    /** What is shown in the middle. */
    public Node page() {
        return frame.page();
    }

    private void put(Node page, String place) {
        leave();
        frame.show(page, place);
    }

    @Override
    public void shop() {
        ShopPage page = new ShopPage(desk, this, frame.room());
        put(page, "Shop");
        shopHeads();
        if (desk.isRead()) {
            Platform.runLater(page::begin);
        }
    }

    /** The logbook has been read: what waited for it is filled; what only other views need is loaded once that is seen. */
    void read() {
        PauseTransition seen = new PauseTransition(SEEN);
        seen.setOnFinished(event -> Fonts.loadAll());
        seen.play();
        if (page() instanceof ShopPage page) {
            shopHeads();
            Platform.runLater(page::begin);
        }
    }

    private void shopHeads() {
        if (!desk.isRead()) {
            frame.heads(shopName, "", "");
            frame.foot("", false, Optional.empty());
            return;
        }
        int count = desk.machines().get().size();
        frame.heads(shopName, count == 1 ? "1 machine" : count + " machines", "");
        frame.foot(desk.logbook().whyReadOnly().map(why -> "Open for reading only: " + why + ".")
                        .orElse("Everything here follows from the logbook: " + LogbookPage.count(desk.head().get()) + "."), false,
                Optional.of(new SimpleStringProperty(Days.full(desk.local(desk.now()).toLocalDate()))));
    }

    /** Whether the logbook is still being read, which is then said. */
    private boolean waits() {
        if (!desk.isRead()) {
            tell(READING);
        }
        return !desk.isRead();
    }

    private void route() {
        if (waits()) {
            return;
        }
        Optional<String> id = machineId.or(() -> desk.machines().get().stream().findFirst().map(MachineStatus::machineId));
        if (id.isEmpty()) {
            addMachine();
            return;
        }
        MachineStatus machine = desk.machine(id.get()).orElseThrow();
        stop(id.get(), machine.todo().stream().findFirst().map(todo -> todo.stop())
                .orElseGet(() -> machine.stops().isEmpty() ? FirstLight.ID : machine.stops().get(0).card().id()));
    }

    @Override
    public void stop(String id, String stop) {
        routeFor(id).open(stop, Optional.empty());
    }

    private RoutePage routeFor(String id) {
        machineId = Optional.of(id);
        if (page() instanceof RoutePage open && open.machineId().equals(id)) {
            return open;
        }
        RoutePage[] made = new RoutePage[1];
        made[0] = new RoutePage(desk, this, id, () -> routeHeads(made[0]));
        put(made[0], "Route");
        return made[0];
    }

    private void routeHeads(RoutePage route) {
        MachineStatus machine = route.machine();
        String title = Catalogue.title(route.stop());
        String phase = Catalogue.findStop(route.stop()).map(s -> s.procedure().card().phase().title() + "  ›  ").orElse("");
        frame.heads(machine.plate().name(), machine.plate().line(), phase + title);
        frame.foot(route.view().map(StopView::caution).orElse("Nothing fires before the gate is open."), true, route.view().map(StopView::footnote));
    }

    @Override
    public void logbook(TapeFilter filter) {
        if (waits()) {
            return;
        }
        LogbookPage page = new LogbookPage(desk, this, filter);
        put(page, "Logbook");
        logbookHeads(filter.machineId());
        page.begin();
    }

    private void logbookHeads(Optional<String> id) {
        frame.heads("Logbook", LogbookPage.count(desk.head().get()) + id.flatMap(desk::machine).map(m -> ", at first those of " + m.plate().name()).orElse(""), "");
        frame.foot("Nothing here is ever changed. A correction is a new entry that names the old one.", false,
                Optional.of(new SimpleStringProperty("Up and Down move along the tape")));
    }

    @Override
    public void entry(String id, int number) {
        TapeFilter filter = new TapeFilter(Optional.of(id), Optional.empty(), Optional.empty());
        LogbookPage page = new LogbookPage(desk, this, filter);
        put(page, "Logbook");
        logbookHeads(Optional.of(id));
        page.show(id, number);
        page.begin();
    }

    @Override
    public void correct(Entry entry) {
        if (entry.body() instanceof Body.Worked) {
            work(entry.place().machineId(), Optional.of(entry));
            return;
        }
        routeFor(entry.place().machineId()).open(entry.body().stop(), Optional.of(entry));
    }

    @Override
    public void event(String id) {
        overlay(EventSheet.of(desk, this, id, Optional.empty(), entry -> recorded(entry)));
    }

    @Override
    public void point(String id) {
        overlay(PointSheets.open(desk, this, id, Optional.empty(), entry -> recorded(entry)));
    }

    private void recorded(Entry entry) {
        String name = desk.machine(entry.place().machineId()).map(machine -> machine.plate().name()).orElse("");
        tell("Recorded as no. " + entry.number() + " of " + name + ".");
        if (page() instanceof RoutePage route) {
            route.refreshColumn();
        }
    }

    @Override
    public void work(String id) {
        work(id, Optional.empty());
    }

    private void work(String id, Optional<Entry> correcting) {
        machineId = Optional.of(id);
        put(new WorkPage(desk, this, id, correcting), "Route");
        MachineStatus machine = desk.machine(id).orElseThrow();
        frame.heads(machine.plate().name(), machine.plate().line(), "Work result");
        frame.foot("One person stays with a running machine, extraction on, covers shut, eyewear on. Never a material whose fumes you do not know.", true, Optional.empty());
    }

    @Override
    public void difference(Entry entry, Optional<Entry> other) {
        String id = entry.place().machineId();
        machineId = Optional.of(id);
        DifferencePage page = new DifferencePage(desk, this, entry, other);
        put(page, "Logbook");
        MachineStatus machine = desk.machine(id).orElseThrow();
        frame.heads(machine.plate().name(), machine.plate().line(), "What was different?");
        frame.foot("Computed from the entries alone; old findings are taken as they were recorded.", false,
                Optional.of(new SimpleStringProperty("each number opens the entry behind it")));
        page.begin();
    }

    /** Asks for the machine first where none is at hand. */
    private void forMachine(String what, Consumer<String> then) {
        Optional<String> at = machineId.filter(id -> desk.machine(id).isPresent());
        if (at.isPresent() && !(page() instanceof ShopPage)) {
            then.accept(at.get());
        } else if (desk.machines().get().isEmpty()) {
            if (!waits()) {
                tell("Add a machine first.");
            }
        } else if (desk.machines().get().size() == 1) {
            then.accept(desk.machines().get().get(0).machineId());
        } else {
            overlay(new Jump(desk, this, what, desk.machines().get().stream()
                    .map(machine -> new Jump.Target(machine.plate().name(), machine.plate().family().words() + machine.plate().place().map(place -> ", " + place).orElse(""),
                            () -> then.accept(machine.machineId())))
                    .toList()));
        }
    }

    /** What was different between the entry that is open, or the newest work result, and the one before it. */
    private void difference() {
        if (page() instanceof LogbookPage logbook && logbook.opened().isPresent()) {
            difference(logbook.opened().get(), Optional.empty());
            return;
        }
        forMachine("Of which machine?", id -> desk.later(() -> desk.logbook().findNewest(id, "work"), newest -> newest.ifPresentOrElse(
                entry -> difference(entry, Optional.empty()),
                () -> tell("No work result stands on record for this machine yet; Ctrl+R types one."))));
    }

    @Override
    public void addMachine() {
        plate(Optional.empty());
    }

    @Override
    public void plate(String id) {
        plate(Optional.of(id));
    }

    private void plate(Optional<String> id) {
        if (waits()) {
            return;
        }
        if (id.isPresent()) {
            machineId = id;
        }
        PlatePage page = new PlatePage(desk, this, id);
        put(page, id.isPresent() ? "Route" : "Shop");
        Optional<MachineStatus> machine = id.flatMap(desk::machine);
        frame.heads(machine.map(m -> m.plate().name()).orElse("A new machine"), machine.map(m -> m.plate().line()).orElse(""), "Plate");
        frame.foot("What the plate says is what stops judge by: take it from the machine and its manual.", false, Optional.empty());
        page.begin();
    }

    @Override
    public void certificate(String id) {
        CertificateFile.save(desk, shopName, id, scene, this::tell);
    }

    @Override
    public void overlay(Node sheet) {
        closeOverlay();
        before = scene.getFocusOwner();
        StackPane over = new StackPane(sheet);
        over.getStyleClass().add("veil");
        over.setOnMouseClicked(event -> {
            if (event.getTarget() == over) {
                closeOverlay();
            }
        });
        StackPane.setAlignment(sheet, Pos.CENTER);
        veil = Optional.of(over);
        root.getChildren().add(over);
        root.getChildren().get(0).setDisable(true);
        Platform.runLater(() -> {
            Node field = sheet.lookup(".text-field");
            if (sheet instanceof OverSheet recording) {
                recording.begin();
            } else if (field != null) {
                field.requestFocus();
            }
        });
    }

    @Override
    public void closeOverlay() {
        veil.ifPresent(root.getChildren()::remove);
        veil = Optional.empty();
        root.getChildren().get(0).setDisable(false);
        if (before != null) {
            before.requestFocus();
        }
    }

    private void jump() {
        overlay(new Jump(desk, this, commands()));
    }

    private List<Jump.Target> commands() {
        List<Jump.Target> commands = new ArrayList<>(List.of(
                new Jump.Target("Add a machine", "command", this::addMachine),
                new Jump.Target("Shop", "place", this::shop),
                new Jump.Target("Logbook", "place", () -> logbook(TapeFilter.ALL)),
                new Jump.Target("Light ground", "command", () -> desk.ground().set(Ground.LIGHT)),
                new Jump.Target("Dark ground", "command", () -> desk.ground().set(Ground.DARK)),
                new Jump.Target("Eyewear view", "F9", this::eyewear),
                new Jump.Target("Millimetres or inches", "command", frame::otherLengths),
                new Jump.Target("Celsius or Fahrenheit", "command", frame::otherTemperatures),
                new Jump.Target("Something happened", "Ctrl+E", () -> forMachine("On which machine did something happen?", this::event)),
                new Jump.Target("Work result", "Ctrl+R", () -> forMachine("With which machine was work done?", this::work)),
                new Jump.Target("What was different?", "Ctrl+D", this::difference),
                new Jump.Target("Open a point", "command", () -> forMachine("On which machine?", this::point)),
                new Jump.Target("Search the logbook", "Ctrl+F", this::search),
                new Jump.Target("Paper: A4 or letter", "command", this::paper),
                new Jump.Target("Back up now", "command", whole::backUp),
                new Jump.Target("Export the whole logbook", "zip", () -> whole.export(scene)),
                new Jump.Target("Help", "F1", this::help),
                new Jump.Target("Check that the logbook is whole", "command", whole::verify)));
        machineId.flatMap(desk::machine).ifPresent(machine -> {
            String id = machine.machineId();
            commands.add(0, new Jump.Target("Certificate of " + machine.plate().name(), "PDF", () -> certificate(id)));
            if (page() instanceof RoutePage route && route.view().isPresent()) {
                StopView view = route.view().get();
                commands.add(0, new Jump.Target("Copy readings and figures", "Ctrl+C", view::copy));
                commands.add(1, new Jump.Target("Copy the drawing", "command", () -> DrawingSurface.findOffered((Parent) view.bench()).ifPresentOrElse(drawing -> {
                    drawing.copy();
                    tell("The drawing is on the clipboard as a picture.");
                }, () -> tell("There is no drawing here yet."))));
                commands.add(2, new Jump.Target("Print this stop", "command", () -> Printing.print(view.bench())));
            }
            commands.add(1, new Jump.Target("Edit the plate of " + machine.plate().name(), "command", () -> plate(id)));
        });
        return commands;
    }

    private void paper() {
        Paper other = desk.preferences().paper() == Paper.A4 ? Paper.LETTER : Paper.A4;
        desk.preferences().paper(other);
        root.getProperties().put(Paper.class, other);
        tell("Certificates and prints are on " + other.words() + " from now on.");
    }

    private void help() {
        if (page() instanceof RoutePage route && route.view().isPresent()) {
            overlay(new HelpSheet(Catalogue.title(route.stop()), route.view().get().help(), route.view().get().caution(), this::closeOverlay));
        } else {
            overlay(new HelpSheet("Zebrawood", GENERAL, "", this::closeOverlay));
        }
    }

    private void eyewear() {
        desk.ground().set(desk.ground().get() == Ground.EYEWEAR ? Ground.LIGHT : Ground.EYEWEAR);
    }

    private void keys(KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER) {
            // a key held down repeats: it must not answer one bar after another
            if (enterHeld) {
                event.consume();
                return;
            }
            enterHeld = true;
        }
        if (event.getCode() == KeyCode.ESCAPE && veil.isPresent()) {
            closeOverlay();
            event.consume();
        } else if (event.getCode() == KeyCode.F1) {
            take(event, this::help);
        } else if (event.getCode() == KeyCode.F9) {
            take(event, this::eyewear);
        } else if (event.getCode() == KeyCode.ENTER && !event.isControlDown() && scene.getFocusOwner() instanceof ButtonBase button) {
            take(event, button::fire);
        } else if (event.getCode() == KeyCode.ENTER && !event.isControlDown() && scene.getFocusOwner() instanceof Pressing pressed) {
            take(event, pressed::fire);
        } else if (event.isShortcutDown() && veil.isEmpty()) {
            shortcut(event);
        }
    }

    private void shortcut(KeyEvent event) {
        Optional<StopView> view = page() instanceof RoutePage route ? route.view() : Optional.empty();
        Optional<PlatePage> plate = page() instanceof PlatePage page ? Optional.of(page) : Optional.empty();
        Optional<WorkPage> work = page() instanceof WorkPage page ? Optional.of(page) : Optional.empty();
        Optional<DifferencePage> difference = page() instanceof DifferencePage page ? Optional.of(page) : Optional.empty();
        switch (event.getCode()) {
            case K -> take(event, this::jump);
            case DIGIT1, NUMPAD1 -> take(event, this::shop);
            case DIGIT2, NUMPAD2 -> take(event, this::route);
            case DIGIT3, NUMPAD3 -> take(event, () -> logbook(new TapeFilter(machineId, Optional.empty(), Optional.empty())));
            case ENTER -> take(event, () -> {
                view.ifPresent(StopView::record);
                plate.ifPresent(PlatePage::record);
                work.ifPresent(WorkPage::record);
            });
            case Z -> take(event, () -> {
                if (event.isShiftDown()) {
                    view.ifPresent(StopView::redo);
                    plate.ifPresent(PlatePage::redo);
                    work.ifPresent(WorkPage::redo);
                } else {
                    view.ifPresent(StopView::undo);
                    plate.ifPresent(PlatePage::undo);
                    work.ifPresent(WorkPage::undo);
                }
            });
            case Y -> take(event, () -> {
                view.ifPresent(StopView::redo);
                plate.ifPresent(PlatePage::redo);
                work.ifPresent(WorkPage::redo);
            });
            case P -> take(event, () -> machineId.ifPresent(this::certificate));
            case E -> take(event, () -> forMachine("On which machine did something happen?", this::event));
            case R -> take(event, () -> forMachine("With which machine was work done?", this::work));
            case D -> take(event, this::difference);
            case F -> take(event, this::search);
            case V -> {
                if (!(scene.getFocusOwner() instanceof TextInputControl)) {
                    take(event, () -> view.ifPresent(StopView::paste));
                }
            }
            case C -> {
                if (!(scene.getFocusOwner() instanceof TextInputControl)) {
                    take(event, () -> {
                        view.ifPresent(StopView::copy);
                        difference.ifPresent(DifferencePage::copy);
                    });
                }
            }
            default -> { }
        }
    }

    private void search() {
        if (page() instanceof ShopPage shop && shop.search()) {
            return;
        }
        if (!(page() instanceof LogbookPage)) {
            logbook(TapeFilter.ALL);
        }
        if (page() instanceof LogbookPage logbook) {
            logbook.search();
        }
    }

    private static void take(KeyEvent event, Runnable action) {
        event.consume();
        action.run();
    }
}
