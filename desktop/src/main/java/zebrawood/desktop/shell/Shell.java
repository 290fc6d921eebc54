package zebrawood.desktop.shell;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.certificate.CertificateFile;
import zebrawood.desktop.daily.StartSheet;
import zebrawood.desktop.desk.Beginning;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.difference.DifferencePage;
import zebrawood.desktop.event.EventSheet;
import zebrawood.desktop.event.PointSheets;
import zebrawood.desktop.eyewear.RegisterPage;
import zebrawood.desktop.focus.FocusPage;
import zebrawood.desktop.logbook.LogbookPage;
import zebrawood.desktop.machine.PlatePage;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.desktop.route.RoutePage;
import zebrawood.desktop.shop.ShopPage;
import zebrawood.desktop.visit.VisitPage;
import zebrawood.desktop.work.WorkPage;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Notice;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.TapeFilter;

/** The ways from one page to another, and what lies over them; what stands round every page is the {@link Frame}. */
public final class Shell implements Navigator {

    /** when the first page has been looked at, what only others need is loaded */
    private static final Duration SEEN = Duration.seconds(1);

    private static final String READING = "The logbook is still being read; a moment.";

    private final Desk desk;
    private final String shopName;
    private final Scene scene;
    private final Fitted root;
    private final Frame frame;
    private final Consumer<Window.Next> elsewhere;
    private final Commands commands;
    private Optional<FramedPage> page = Optional.empty();
    private Optional<String> machineId = Optional.empty();
    private Optional<StackPane> veil = Optional.empty();
    private Optional<Node> before = Optional.empty();

    /**
     * @param scene of the window, with nothing in it yet
     * @param elsewhere closes this window, and goes on to what comes next
     */
    Shell(Desk desk, String shopName, Scene scene, Consumer<Window.Next> elsewhere) {
        this.elsewhere = elsewhere;
        this.desk = desk;
        this.shopName = shopName;
        this.scene = scene;
        root = (Fitted) scene.getRoot();
        commands = new Commands(desk, this);
        frame = new Frame(
                desk,
                new Frame.Ways(
                        commands::jump,
                        commands::initials,
                        this::shop,
                        this::route,
                        this::logbookOfMachine,
                        () -> elsewhere.accept(
                                new Window.Next.PutRight(desk.alarm().get()))));
        root.getProperties().put(Paper.class, desk.preferences().paper());
        Fonts.load();
        scene.getStylesheets()
                .addAll(
                        desk.ground().get().stylesheet(),
                        Ground.class.getResource("frame.css").toExternalForm());
        root.inside().getChildren().add(frame);
        desk.ground().addListener((value, old, now) -> scene.getStylesheets().set(0, now.stylesheet()));
        desk.units().addListener((value, old, now) -> page.ifPresent(FramedPage::refresh));
        desk.onTold(this::tell);
        root.addEventHandler(Notice.TOLD, notice -> tell(notice.sentence()));
        new Keys(this, commands).listen();
    }

    public Scene scene() {
        return scene;
    }

    Frame frame() {
        return frame;
    }

    /** Keeps what is half done, before the window closes. */
    public void leave() {
        page.ifPresent(FramedPage::leave);
    }

    /** The id of a machine that stands in the shop. */
    public String machine(String name) {
        return desk.machines().get().stream()
                .filter(machine -> machine.plate().name().equals(name))
                .findFirst()
                .orElseThrow()
                .machineId();
    }

    /** The machine that one was at last, while it stands in the shop. */
    Optional<String> machineId() {
        return machineId.filter(id -> desk.machine(id).isPresent());
    }

    /** One sentence for the person, at the foot. */
    public void tell(String sentence) {
        frame.tell(sentence);
    }

    /** What is shown in the middle; null before there is anything. */
    public FramedPage page() {
        return page.orElse(null);
    }

    private void put(FramedPage shown) {
        leave();
        page = Optional.of(shown);
        machineId = shown.machineId().or(() -> machineId);
        frame.show(shown.view(), shown.place().word());
        heads();
    }

    /** What the window says around the page, as it is now. */
    private void heads() {
        page.ifPresent(shown -> {
            frame.heads(shown.heading());
            frame.foot(shown.foot());
        });
    }

    @Override
    public void shop() {
        put(new ShopPage(desk, this, shopName, frame.room()));
        if (desk.isRead()) {
            Platform.runLater(() -> page.ifPresent(FramedPage::begin));
        }
    }

    /**
     * The logbook has been read: what waited for it is filled; what only other views need is loaded once that is seen.
     */
    void read() {
        PauseTransition seen = new PauseTransition(SEEN);
        seen.setOnFinished(event -> Fonts.loadAll());
        seen.play();
        heads();
        Platform.runLater(() -> page.ifPresent(FramedPage::begin));
    }

    /** Whether the logbook is still being read, which is then said. */
    boolean waits() {
        if (!desk.isRead()) {
            tell(READING);
        }
        return !desk.isRead();
    }

    void route() {
        if (waits()) {
            return;
        }
        Optional<MachineStatus> machine = machineId()
                .flatMap(desk::machine)
                .or(() -> desk.machines().get().stream().findFirst());
        machine.ifPresentOrElse(
                found -> stop(
                        found.machineId(),
                        found.todo().stream()
                                .findFirst()
                                .map(todo -> todo.stop())
                                .orElseGet(() -> found.stops().isEmpty()
                                        ? FirstLight.ID
                                        : found.stops().get(0).card().id())),
                this::addMachine);
    }

    @Override
    public void stop(String id, String stop) {
        if (stop.equals("start")) {
            start(id);
            return;
        }
        routeFor(id).open(stop, Optional.empty());
    }

    private RoutePage routeFor(String id) {
        machineId = Optional.of(id);
        if (page.isPresent() && page.get() instanceof RoutePage open && open.isOf(id)) {
            return open;
        }
        RoutePage made = new RoutePage(desk, this, id, this::heads);
        put(made);
        return made;
    }

    void logbookOfMachine() {
        logbook(new TapeFilter(machineId, Optional.empty(), Optional.empty()));
    }

    @Override
    public void logbook(TapeFilter filter) {
        if (!waits()) {
            put(new LogbookPage(desk, this, filter));
            page().begin();
        }
    }

    @Override
    public void entry(String id, int number) {
        LogbookPage made = new LogbookPage(desk, this, TapeFilter.of(id));
        put(made);
        made.show(id, number);
        made.begin();
    }

    @Override
    public void correct(Entry entry) {
        String id = entry.place().machineId();
        if (entry.body() instanceof Body.Worked) {
            put(new WorkPage(desk, this, id, Optional.of(entry)));
        } else {
            routeFor(id).open(entry.body().stop(), Optional.of(entry));
        }
    }

    @Override
    public void event(String id) {
        overlay(EventSheet.of(desk, this, id, Optional.empty(), this::recorded));
    }

    @Override
    public void point(String id) {
        overlay(PointSheets.open(desk, this, id, Optional.empty(), this::recorded));
    }

    private void recorded(Entry entry) {
        String name = desk.machine(entry.place().machineId())
                .map(machine -> machine.plate().name())
                .orElse("");
        tell("Recorded as no. " + entry.number() + " of " + name + ".");
        page.ifPresent(FramedPage::refresh);
    }

    @Override
    public void work(String id) {
        put(new WorkPage(desk, this, id, Optional.empty()));
    }

    @Override
    public void difference(Entry entry, Optional<Entry> other) {
        put(new DifferencePage(desk, this, entry, other));
        page().begin();
    }

    @Override
    public void focus(String id) {
        put(new FocusPage(desk, this, id));
        page().begin();
    }

    @Override
    public void start(String id) {
        MachineStatus machine = desk.machine(id).orElseThrow();
        String name = machine.plate().name();
        if (!machine.gate().isOpen()) {
            stop(id, FirstLight.ID);
            tell("First light of " + name + " is shut: nothing is started on it. Lift its bars first.");
            return;
        }
        desk.later(
                () -> desk.startOfWork(id),
                start -> overlay(StartSheet.of(desk, this, id, start, entry -> {
                    tell(StartSheet.said(name, ((Body.Started) entry.body()).check()));
                    page.ifPresent(FramedPage::refresh);
                })));
    }

    @Override
    public void visit() {
        if (!waits()) {
            put(new VisitPage(desk, this, machineId()));
            page().begin();
        }
    }

    @Override
    public void eyewear() {
        if (!waits()) {
            put(new RegisterPage(desk, this, machineId()));
            page().begin();
        }
    }

    @Override
    public void addMachine() {
        plate(Optional.empty(), Optional.empty(), Optional.empty());
    }

    @Override
    public void begin(Beginning machine) {
        plate(Optional.empty(), Optional.of(machine), Optional.empty());
    }

    @Override
    public void plate(String id) {
        plate(Optional.of(id), Optional.empty(), Optional.empty());
    }

    @Override
    public void plate(String id, String field) {
        plate(Optional.of(id), Optional.empty(), Optional.of(field));
    }

    private void plate(Optional<String> id, Optional<Beginning> presets, Optional<String> field) {
        if (!waits()) {
            put(new PlatePage(desk, this, id, presets, field));
            page().begin();
        }
    }

    @Override
    public void importBundle() {
        FileDialogs.toOpen(scene).stream().findFirst().ifPresent(file -> elsewhere.accept(new Window.Next.Take(file)));
    }

    @Override
    public void demo() {
        elsewhere.accept(new Window.Next.Demo());
    }

    @Override
    public void certificate(String id) {
        CertificateFile.save(desk, shopName, id, scene, this::tell);
    }

    /** Whether something lies over the window. */
    boolean isCovered() {
        return veil.isPresent();
    }

    @Override
    public void overlay(Node sheet) {
        closeOverlay();
        before = Optional.ofNullable(scene.getFocusOwner());
        StackPane over = new StackPane(sheet);
        over.getStyleClass().add("veil");
        over.setOnMouseClicked(event -> {
            if (event.getTarget() == over) {
                closeOverlay();
            }
        });
        StackPane.setAlignment(sheet, Pos.CENTER);
        veil = Optional.of(over);
        root.inside().getChildren().add(over);
        frame.setDisable(true);
        Platform.runLater(() -> {
            Node field = sheet.lookup(".text-field");
            if (sheet instanceof RecordingOverlay recording) {
                recording.begin();
            } else if (field != null) {
                field.requestFocus();
            }
        });
    }

    @Override
    public void closeOverlay() {
        veil.ifPresent(root.inside().getChildren()::remove);
        veil = Optional.empty();
        frame.setDisable(false);
        before.ifPresent(Node::requestFocus);
    }
}
