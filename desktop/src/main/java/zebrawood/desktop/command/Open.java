package zebrawood.desktop.command;

import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.stage.Stage;
import zebrawood.desktop.Catalogue;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.shell.RestoreView;
import zebrawood.desktop.shell.Window;
import zebrawood.desktop.theme.Fonts;
import zebrawood.desktop.theme.Ground;
import zebrawood.desktop.theme.Look;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Restore;

/** Opens the window on a logbook; the logbook is opened beside the toolkit's start. */
final class Open {

    private Open() {}

    /** What to do once the window is filled. */
    interface Then {
        void run(Window window, Desk desk);
    }

    /** Opens the window and waits until it is closed. */
    static void window(Path folder, Moment moment, Then then) throws InterruptedException {
        CompletableFuture<Logbook> opening = CompletableFuture.supplyAsync(() -> Logbook.open(folder, Catalogue.procedures()));
        CountDownLatch started = new CountDownLatch(1);
        try {
            Platform.startup(() -> {
                started.countDown();
                // while the logbook opens on another thread
                Fonts.load();
                Look.of(Ground.LIGHT);
            });
        } catch (UnsupportedOperationException noDisplay) {
            throw new IllegalStateException("No window can be opened on this display; start it from a desktop session, or unset DISPLAY to use a virtual screen", noDisplay);
        }
        started.await();
        Logbook logbook;
        try {
            logbook = opened(opening);
        } catch (DamagedLogbookException damaged) {
            logbook = restored(folder, moment, damaged);
        } catch (RuntimeException e) {
            Platform.exit();
            throw e;
        }
        Logbook ready = logbook;
        CountDownLatch closed = new CountDownLatch(1);
        Platform.runLater(() -> {
            Desk desk = new Desk(folder, ready, Catalogue.procedures(), new Desk.Sitting(moment.clock(), moment.zone(), Version.TEXT));
            Stage stage = new Stage();
            Window window = new Window(desk, desk.preferences().shop(), stage);
            stage.setOnHidden(event -> closed.countDown());
            window.open(() -> then.run(window, desk));
        });
        closed.await();
        Platform.exit();
    }

    private static Logbook opened(CompletableFuture<Logbook> opening) {
        try {
            return opening.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    /** Offers to restore a damaged logbook; the logbook once that is done. */
    private static Logbook restored(Path folder, Moment moment, DamagedLogbookException damaged) {
        CompletableFuture<Boolean> answered = new CompletableFuture<>();
        Platform.runLater(() -> {
            Stage stage = new Stage();
            stage.setTitle("Zebrawood");
            stage.setScene(new RestoreView(new Restore(folder, Catalogue.procedures()), damaged.getMessage(),
                    new Desk.Sitting(moment.clock(), moment.zone(), Version.TEXT), done -> {
                        answered.complete(done);
                        stage.hide();
                    }).scene());
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
