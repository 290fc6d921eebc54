package zebrawood.benchmarks;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.stage.Stage;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.shell.Window;
import zebrawood.kit.view.Nodes;
import zebrawood.logbook.store.Logbook;

/**
 * A window that types and records by itself until it is killed: a reading recorded, told on standard output once the
 * Slip says so; then one typed letter by letter and left half done, each told when it was typed.
 */
public final class TypingWindow {

    private static final Pattern RECORDED = Pattern.compile("Recorded as no\\. (\\d+)\\.");
    private static final Pattern KEPT = Pattern.compile("\"airTemperatureC\":\\{\"text\":\"20\\.(\\d+)\"");
    private static final long EVERY_NS = 40_000_000;

    private final Window window;
    private final SplittableRandom random;
    private int recorded;
    private int toRecord;
    private int typed;
    private long lastAct;
    private boolean waiting;

    private TypingWindow(Window window, long seed) {
        this.window = window;
        this.random = new SplittableRandom(seed);
        this.toRecord = 1 + random.nextInt(6);
    }

    public static void main(String[] arguments) throws Exception {
        Path folder = Path.of(arguments[0]);
        Logbook logbook = Logbook.open(folder, Catalogue.procedures());
        Platform.startup(() -> {
            Desk desk = new Desk(
                    folder, logbook, Catalogue.procedures(), new Desk.Sitting(Instant::now, ZoneId.of("UTC"), "bench"));
            desk.initials().set("RV");
            Window window = new Window(desk, "bench", new Stage());
            window.open(() -> {
                window.shell().stop(SmallShop.ID, "site-climate");
                System.out.println("READY");
                new TypingWindow(window, Long.parseLong(arguments[1])).go();
            });
        });
    }

    private Optional<Node> find(String id) {
        return Nodes.find(window.shell().scene().getRoot(), id);
    }

    private void go() {
        new AnimationTimer() {
            @Override
            public void handle(long now) {
                if (now - lastAct >= EVERY_NS) {
                    lastAct = now;
                    act();
                }
            }
        }.start();
    }

    private void act() {
        Optional<Integer> said = find("told")
                .filter(Labeled.class::isInstance)
                .map(node -> ((Labeled) node).getText().replace('\u00a0', ' '))
                .map(RECORDED::matcher)
                .filter(Matcher::matches)
                .map(matcher -> Integer.parseInt(matcher.group(1)));
        if (waiting && said.isPresent() && said.get() > recorded) {
            recorded = said.get();
            waiting = false;
            toRecord--;
            System.out.println("CONFIRMED " + recorded);
        }
        if (waiting) {
            return;
        }
        Optional<Node> again = find("again");
        if (again.isPresent()) {
            ((Button) again.get()).fire();
        } else if (find("airTemperatureC").isPresent() && toRecord > 0) {
            type("airTemperatureC", String.valueOf(18 + random.nextInt(80) / 10.0));
            type("relativeHumidityPct", String.valueOf(35 + random.nextInt(25)));
            window.shell().page().record();
            waiting = true;
        } else if (find("airTemperatureC").isPresent()) {
            type("airTemperatureC", "20." + (1000 + ++typed));
            System.out.println("TYPED " + System.currentTimeMillis() + " " + typed);
        }
    }

    private void type(String field, String text) {
        Nodes.type(window.shell().scene().getRoot(), field, text);
    }

    /** How far the draft that was kept had been typed; 0 where there is none. */
    static int keptDraft(Path folder) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            return logbook.findDraft(SmallShop.ID, "site-climate")
                    .map(Logbook.Draft::content)
                    .map(KEPT::matcher)
                    .filter(Matcher::find)
                    .map(found -> Integer.parseInt(found.group(1)) - 1000)
                    .orElse(0);
        }
    }
}
