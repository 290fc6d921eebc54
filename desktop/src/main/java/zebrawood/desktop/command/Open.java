package zebrawood.desktop.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.stage.Stage;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.shell.LongWork;
import zebrawood.desktop.shell.RestoreView;
import zebrawood.desktop.shell.Window;
import zebrawood.kit.theme.Controls;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.Words;
import zebrawood.logbook.bundle.Import;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Restore;
import zebrawood.logbook.store.Verification;

/** Opens the window on a logbook; the logbook is opened beside the toolkit's start and read beside the window's. */
final class Open {

    private Open() {}

    /** What to do once the window is filled. */
    interface Then {
        void run(Window window, Desk desk);
    }

    /** Opens the window and waits until it is closed, and what it led to. */
    static void window(Path folder, TodayOption today, Then then) throws InterruptedException {
        AtomicReference<Optional<Window.Next>> next = new AtomicReference<>(Optional.empty());
        once(folder, today, then, next);
        Path at = folder;
        while (next.get().isPresent()) {
            Window.Next to = next.getAndSet(Optional.empty()).get();
            String told = "";
            Optional<Logbook> open = Optional.empty();
            if (to instanceof Window.Next.PutRight wrong) {
                open = restored(at, today, wrong.found(), () -> {});
            } else if (to instanceof Window.Next.Demo) {
                at = DemoFolder.fresh(DemoFolder.beside(at), today);
                told = "This is the demo shop, in " + at + ". Your own shop opens again at the next start.";
            } else if (to instanceof Window.Next.Take take) {
                told = taken(take.bundle(), at);
            }
            Path shop = at;
            String sentence = told;
            CompletableFuture<Logbook> opening =
                    CompletableFuture.completedFuture(open.orElseGet(() -> Logbook.open(shop, Catalogue.procedures())));
            CountDownLatch closed = new CountDownLatch(1);
            Platform.runLater(() -> shown(
                    desk(shop, today, opening),
                    (window, desk) -> {
                        if (!sentence.isEmpty()) {
                            desk.tell(sentence);
                        }
                    },
                    closed,
                    next));
            closed.await();
        }
        Platform.exit();
    }

    /** Takes a bundle into an empty shop, with a window that shows how far it is; what came of it, in words. */
    private static String taken(Path bundle, Path folder) throws InterruptedException {
        CompletableFuture<String> done = new CompletableFuture<>();
        CompletableFuture<LongWork> shown = new CompletableFuture<>();
        CompletableFuture<Stage> stage = new CompletableFuture<>();
        Platform.runLater(() -> {
            Controls.dress();
            LongWork work = new LongWork("Reading the bundle", 0, () -> {});
            Scene scene = new Scene(work, 460, 220);
            scene.getStylesheets()
                    .addAll(
                            Ground.LIGHT.stylesheet(),
                            Ground.class.getResource("frame.css").toExternalForm());
            Stage made = new Stage();
            made.setTitle("Zebrawood");
            made.setScene(scene);
            made.setOnCloseRequest(Event::consume);
            made.show();
            stage.complete(made);
            shown.complete(work);
        });
        LongWork work = shown.join();
        try {
            Verification found = Import.from(bundle, folder, Catalogue.procedures(), work::reached);
            done.complete(
                    "Imported and checked: " + found.entries() + " entries, " + found.attachments() + " attachments.");
        } catch (CancellationException ended) {
            done.complete("The bundle was not imported: you stopped it. The shop is as it was.");
        } catch (LogbookException | IOException refused) {
            done.complete(Words.sentence(refused.getMessage()));
        }
        Platform.runLater(() -> stage.join().hide());
        return done.join();
    }

    /** The first window, beside the start of the toolkit. */
    private static void once(Path folder, TodayOption today, Then then, AtomicReference<Optional<Window.Next>> next)
            throws InterruptedException {
        CompletableFuture<Logbook> opening = new CompletableFuture<>();
        CompletableFuture<Desk> desk = beside(folder, today, opening);
        CountDownLatch closed = new CountDownLatch(1);
        CompletableFuture<Stage> shown = new CompletableFuture<>();
        try {
            Platform.setImplicitExit(false);
            Platform.startup(() -> shown.complete(shown(desk.join(), then, closed, next)));
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
            Optional<Logbook> restored = restored(folder, today, damaged.getMessage(), () -> takeAway(empty));
            if (restored.isEmpty()) {
                Platform.exit();
                throw damaged;
            }
            Platform.runLater(() ->
                    shown(desk(folder, today, CompletableFuture.completedFuture(restored.get())), then, closed, next));
        } catch (RuntimeException e) {
            Platform.exit();
            throw e;
        }
        closed.await();
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
    private static Stage shown(
            Desk desk, Then then, CountDownLatch closed, AtomicReference<Optional<Window.Next>> next) {
        Stage stage = new Stage();
        Window window = new Window(desk, desk.preferences().shop(), stage);
        stage.setOnHidden(event -> {
            next.set(window.next());
            closed.countDown();
        });
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

    /** Offers to put a logbook right; the logbook once that is done, empty where one leaves it as it is. */
    private static Optional<Logbook> restored(Path folder, TodayOption today, String found, Runnable before) {
        CompletableFuture<Boolean> answered = new CompletableFuture<>();
        Platform.runLater(() -> {
            before.run();
            Stage stage = new Stage();
            stage.setTitle("Zebrawood");
            RestoreView view = new RestoreView(
                    new Restore(folder, Catalogue.procedures()),
                    found,
                    new Desk.Sitting(today.clock(), today.zone(), Version.TEXT),
                    done -> {
                        answered.complete(done);
                        stage.hide();
                    });
            stage.setScene(view.scene());
            stage.setOnCloseRequest(event -> {
                if (view.isBusy()) {
                    event.consume();
                }
            });
            stage.setOnHidden(event -> answered.complete(false));
            stage.show();
        });
        return answered.join() ? Optional.of(Logbook.open(folder, Catalogue.procedures())) : Optional.empty();
    }
}
