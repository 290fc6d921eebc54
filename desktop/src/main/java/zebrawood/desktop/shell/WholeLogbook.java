package zebrawood.desktop.shell;

import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.LongConsumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.FileDialogs;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.store.Backups;

/** What is done with the logbook as a whole, apart from the window, which shows how far it is and lets one end it. */
final class WholeLogbook {

    private final Desk desk;
    private final Consumer<Node> overlay;
    private final Runnable closeOverlay;

    WholeLogbook(Desk desk, Consumer<Node> overlay, Runnable closeOverlay) {
        this.desk = desk;
        this.overlay = overlay;
        this.closeOverlay = closeOverlay;
    }

    /** Something that takes long, and tells how far it is. */
    private interface Work<T> {
        T with(LongConsumer progress) throws Exception;
    }

    void backUp() {
        desk.tell("Making a backup and checking it ...");
        desk.apart(() -> new Backups(desk.logbook().folder()).make(Instant.now()), made -> {
            desk.tell((made.whole()
                            ? "A whole backup stands in "
                            : "The logbook is not whole; a copy as it is stands in ")
                    + made.file() + ".");
            desk.lookForFlaws();
        });
    }

    void export(Scene scene) {
        Optional<Path> file =
                FileDialogs.toSave(scene, "logbook-" + desk.local(desk.now()).toLocalDate() + ".zip");
        file.ifPresent(to -> watched(
                "Exporting the logbook",
                progress -> Export.to(to, true, desk.logbook(), "window", desk.now(), progress),
                bundle -> desk.tell("Exported " + bundle.entries() + " entries to " + to + ".")));
    }

    void verify() {
        watched("Checking every entry", progress -> desk.logbook().verify(List.of(), progress), found -> {
            desk.tell(found.inWords() + ".");
            desk.lookForFlaws();
        });
    }

    private <T> void watched(String title, Work<T> work, Consumer<T> then) {
        LongWork shown = new LongWork(title, desk.head().get().entries(), closeOverlay);
        overlay.accept(shown);
        desk.apart(
                () -> {
                    try {
                        return work.with(shown::reached);
                    } finally {
                        Platform.runLater(() -> {
                            // one may have ended it, and opened something else meanwhile
                            if (shown.getScene() != null) {
                                closeOverlay.run();
                            }
                        });
                    }
                },
                then);
    }
}
