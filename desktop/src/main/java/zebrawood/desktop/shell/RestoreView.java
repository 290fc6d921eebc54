package zebrawood.desktop.shell;

import java.time.Instant;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.core.route.StopState;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.theme.Controls;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Look;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Restore;

/**
 * Before a damaged logbook: what was found, what a backup brings back and what it lacks, and the button that does it.
 */
public final class RestoreView {

    private final Restore restore;
    private final Desk.Sitting sitting;
    private final Consumer<Boolean> done;
    private final Label offer = Words.wrapped("Looking at what the backups hold ...", "by-hand");
    private final Button yes = new Button("Restore it");
    private final Button no = new Button("Leave everything as it is");
    private final Scene scene;
    private boolean busy;

    /**
     * @param found what was found, as a sentence
     * @param done hears whether the logbook was restored
     */
    public RestoreView(Restore restore, String found, Desk.Sitting sitting, Consumer<Boolean> done) {
        Controls.dress();
        Fonts.loadAll();
        this.restore = restore;
        this.sitting = sitting;
        this.done = done;
        offer.setId("offer");
        yes.setId("restore");
        yes.getStyleClass().setAll("button", "strong");
        yes.setDisable(true);
        no.setId("leave");
        no.getStyleClass().setAll("button", "outline");
        no.setOnAction(event -> done.accept(false));
        HBox head = new HBox(
                14,
                Slip.mark(new ReadOnlyObjectWrapper<>(Look.of(Ground.LIGHT)), StopState.FAILED, 34),
                Words.label("The logbook is not as it was written", "act"));
        head.setAlignment(Pos.CENTER_LEFT);
        VBox page = new VBox(
                18,
                head,
                Words.wrapped(Words.sentence(found), "by-hand"),
                offer,
                Words.wrapped(
                        "A file that is there is not deleted: it is put aside in a folder beside it, for who can "
                                + "read more of it.",
                        "quiet"),
                new HBox(12, yes, no));
        page.setPadding(new Insets(48));
        page.setMaxWidth(760);
        scene = new Scene(page, 860, 520);
        scene.getStylesheets()
                .addAll(
                        Ground.LIGHT.stylesheet(),
                        Ground.class.getResource("frame.css").toExternalForm());
        apart(restore::offer, this::offered);
    }

    public Scene scene() {
        return scene;
    }

    /** Whether it is being restored: then the window stays. */
    public boolean isBusy() {
        return busy;
    }

    private void offered(Optional<Restore.Offer> found) {
        if (found.isEmpty()) {
            Words.set(
                    offer,
                    "There is no whole backup beside it. Put a copy of logbook.db from elsewhere in its place, or "
                            + "start in another folder with --data.");
            no.requestFocus();
            return;
        }
        Instant now = sitting.clock().get();
        Words.set(offer, found.get().inWords(sitting.zone().getRules().getOffset(now)));
        yes.setDisable(false);
        yes.requestFocus();
        yes.setOnAction(event -> {
            busy(true);
            Words.set(
                    offer,
                    "Restoring ... With a large logbook this takes some minutes. Should the computer stop meanwhile, "
                            + "nothing is lost: the next start goes on.");
            apart(() -> restore.run(found.get(), now), made -> {
                busy(false);
                done.accept(true);
            });
        });
    }

    /** While it runs no button can be pressed by mistake. */
    private void busy(boolean is) {
        busy = is;
        yes.setDisable(is);
        no.setDisable(is);
    }

    private void ended(String why) {
        busy(false);
        Words.set(offer, why);
        no.requestFocus();
    }

    private interface Work<T> {
        T run();
    }

    private <T> void apart(Work<T> work, Consumer<T> then) {
        Thread thread = new Thread(
                () -> {
                    try {
                        T made = work.run();
                        Platform.runLater(() -> then.accept(made));
                    } catch (LogbookException refused) {
                        Platform.runLater(() -> ended(Words.sentence(refused.getMessage())));
                    } catch (Throwable fault) {
                        Platform.runLater(() -> ended(
                                "Something went wrong that should not have: " + fault + ". Nothing was changed."));
                    }
                },
                "restore");
        thread.setDaemon(true);
        thread.start();
    }
}
