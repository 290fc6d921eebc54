package zebrawood.desktop.shell;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.route.RoutePage;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.Hands;

/** Somebody sitting before the real window, with a keyboard. */
final class Seat extends Hands<Seat> implements AutoCloseable {

    private Instant now = Instant.parse("2031-03-14T09:30:00Z");
    final Desk desk;
    private Window window;
    private Stage stage;

    Seat(Path folder) {
        this(folder, CompletableFuture.completedFuture(Logbook.open(folder, Catalogue.procedures())));
        until("the window is filled", desk::isRead);
    }

    /** The window on a fresh demo shop. */
    static Seat atDemo(Path folder) {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        return new Seat(folder);
    }

    /** The window on a logbook that may still be being opened. */
    Seat(Path folder, CompletableFuture<Logbook> opening) {
        toolkit();
        desk = new Desk(
                folder, opening, Catalogue.procedures(), new Desk.Sitting(() -> now, ZoneId.of("UTC+1"), "test"));
        onScreen(() -> {
            stage = new Stage();
            window = new Window(desk, "Fernhollow Instrument Works", stage);
            window.open(() -> {});
            stage.requestFocus();
            return null;
        });
        until("the window is open", stage::isFocused);
    }

    /** Somebody whose initials are known already. */
    Seat as(String initials) {
        onScreen(() -> {
            desk.initials().set(initials);
            return null;
        });
        return this;
    }

    /** Lets time pass. */
    Seat later(Duration passed) {
        onScreen(() -> {
            now = now.plus(passed);
            return null;
        });
        return this;
    }

    /** Ctrl+K, some words, Enter. */
    Seat jump(String words) {
        press(KeyCode.CONTROL, KeyCode.K);
        until("one can jump", () -> has("jump-text") && focused("jump-text"));
        type(words);
        return enter();
    }

    /** Opens a stop by its id. */
    Seat stop(String machine, String stop) {
        String id = desk.logbook().findMachine(machine).orElseThrow().id();
        onScreen(() -> {
            shell().stop(id, stop);
            return null;
        });
        until(
                stop + " is open",
                () -> shell().page() instanceof RoutePage route && route.stop().equals(stop) && desk.isIdle());
        return this;
    }

    /** Opens an entry in the Logbook. */
    Seat entry(Entry entry) {
        onScreen(() -> {
            shell().entry(entry.place().machineId(), entry.number());
            return null;
        });
        return this;
    }

    /** Begins to measure anew where an entry is shown. */
    Seat again() {
        return has("again") ? fire("again") : this;
    }

    /** Drops a file on the stop that is open. */
    Seat drop(Path file) {
        onScreen(() -> {
            shell().page().take(file.toFile());
            return null;
        });
        return this;
    }

    /** Where a bench of a machine stands, with what this shop has on record of the machine beside it. */
    BenchPlace place(Plate plate, List<Entry> earlier) {
        return new BenchPlace(
                desk,
                plate,
                earlier,
                other -> desk.machines().get().stream()
                        .filter(machine -> machine.plate().name().equals(plate.name()))
                        .flatMap(machine -> machine.stops().stream())
                        .filter(status -> status.card().id().equals(other))
                        .flatMap(status -> status.last().stream())
                        .findFirst(),
                new Draft());
    }

    @Override
    protected Scene scene() {
        return window.shell().scene();
    }

    @Override
    protected boolean isIdle() {
        return desk.isIdle();
    }

    @Override
    protected Seat me() {
        return this;
    }

    Shell shell() {
        return window.shell();
    }

    @Override
    public void close() {
        onScreen(() -> {
            window.close();
            stage.hide();
            return null;
        });
    }
}
