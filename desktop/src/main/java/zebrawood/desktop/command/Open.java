package zebrawood.desktop.command;

import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.stage.Stage;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.shell.RestoreView;
import zebrawood.desktop.shell.Window;
import zebrawood.kit.theme.Fonts;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Restore;

/** Opens the window on a logbook; the logbook is opened beside the toolkit's start and read beside the window's. */
final class Open {

    private Open() {}

    /** What to do once the window is filled. */
    interface Then {
        void run(Window window, Desk desk);
    }

    /** Opens the window and waits until it is closed. */
    static void window(Path folder, TodayOption today, Then then) throws InterruptedException {
        CompletableFuture<Logbook> opening = new CompletableFuture<>();
        CompletableFuture<Desk> desk = beside(folder, today, opening);
        CountDownLatch closed = new CountDownLatch(1);
        CompletableFuture<Stage> shown = new CompletableFuture<>();
        try {
            Platform.setImplicitExit(false);
            Platform.startup(() -> shown.complete(shown(desk.join(), then, closed)));
        } catch (UnsupportedOperationException noDisplay) {
            throw new IllegalStateException(
                    "No window can be opened on this display; start it from a desktop session, or unset DISPLAY "
                            + "to use a virtual screen",
                    noDisplay);
        }
        // while the window is made
        Fonts.load();
        try {
            opened(opening);
        } catch (DamagedLogbookException damaged) {
            Stage empty = shown.join();
            Logbook restored = restored(folder, today, damaged, () -> takeAway(empty));
            Platform.runLater(
                    () -> shown(desk(folder, today, CompletableFuture.completedFuture(restored)), then, closed));
        } catch (RuntimeException e) {
            Platform.exit();
            throw e;
        }
        closed.await();
        Platform.exit();
    }

    /** On a thread of its own: makes the desk, opens the logbook, and reads what the first page will ask for. */
    private static CompletableFuture<Desk> beside(Path folder, TodayOption today, CompletableFuture<Logbook> opening) {
        CompletableFuture<Desk> desk = new CompletableFuture<>();
        Thread thread = new Thread(
                () -> {
                    try {
                        desk.complete(desk(folder, today, opening));
                        Logbook logbook = Logbook.open(folder, Catalogue.procedures());
                        opening.complete(logbook);
                        logbook.histories();
                    } catch (RuntimeException e) {
                        // whoever asks for it is told
                        opening.completeExceptionally(e);
                        desk.completeExceptionally(e);
                    }
                },
                "opening");
        thread.setDaemon(true);
        thread.start();
        return desk;
    }

    private static Desk desk(Path folder, TodayOption today, CompletableFuture<Logbook> opening) {
        return new Desk(
                folder, opening, Catalogue.procedures(), new Desk.Sitting(today.clock(), today.zone(), Version.TEXT));
    }

    /** Shows the window at once; it is filled when the logbook is open and read. */
    private static Stage shown(Desk desk, Then then, CountDownLatch closed) {
        Stage stage = new Stage();
        Window window = new Window(desk, desk.preferences().shop(), stage);
        stage.setOnHidden(event -> closed.countDown());
        window.open(() -> then.run(window, desk));
        return stage;
    }

    /** A window whose logbook could not be opened. */
    private static void takeAway(Stage empty) {
        empty.setOnHidden(event -> {});
        empty.hide();
    }

    private static Logbook opened(CompletableFuture<Logbook> opening) {
        try {
            return opening.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    /** Offers to restore a damaged logbook; the logbook once that is done. */
    private static Logbook restored(Path folder, TodayOption today, DamagedLogbookException damaged, Runnable before) {
        CompletableFuture<Boolean> answered = new CompletableFuture<>();
        Platform.runLater(() -> {
            before.run();
            Stage stage = new Stage();
            stage.setTitle("Zebrawood");
            stage.setScene(new RestoreView(
                            new Restore(folder, Catalogue.procedures()),
                            damaged.getMessage(),
                            new Desk.Sitting(today.clock(), today.zone(), Version.TEXT),
                            done -> {
                                answered.complete(done);
                                stage.hide();
                            })
                    .scene());
            stage.setOnHidden(event -> answered.complete(false));
            stage.show();
        });
        if (!answered.join()) {
            Platform.exit();
            throw damaged;
        }
        return Logbook.open(folder, Catalogue.procedures());
    }
}
