package zebrawood.desktop.shell;

import java.util.concurrent.CancellationException;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.VBox;
import zebrawood.kit.view.Words;

/** How far long work has come, and a way to end it. */
public final class LongWork extends VBox {

    /** ten times a second: progress looks alive, and the page is not drawn for nothing */
    private static final long OFTEN_NS = 100_000_000;

    private final ProgressBar bar = new ProgressBar(0);
    private final Label count = Words.label("", "quiet");
    private final long whole;
    private volatile boolean ended;
    private long last;

    /**
     * @param whole how many there are; 0 where that is not known
     * @param close takes it away
     */
    public LongWork(String title, long whole, Runnable close) {
        super(12);
        this.whole = whole;
        getStyleClass().add("over-sheet");
        setMaxSize(420, USE_PREF_SIZE);
        bar.setMaxWidth(Double.MAX_VALUE);
        Button end = new Button("End it");
        end.setId("end-work");
        end.getStyleClass().setAll("button", "outline");
        end.setOnAction(event -> {
            ended = true;
            close.run();
        });
        getChildren().addAll(Words.label(title, "title"), bar, count, end);
        Platform.runLater(end::requestFocus);
    }

    /** Hears from the working thread how many are done; ends the work where that is wanted. */
    public void reached(long done) {
        if (ended) {
            throw new CancellationException();
        }
        long now = System.nanoTime();
        if (now - last > OFTEN_NS) {
            last = now;
            Platform.runLater(() -> {
                bar.setProgress(whole == 0 ? ProgressBar.INDETERMINATE_PROGRESS : (double) done / whole);
                Words.set(count, done + (whole == 0 ? "" : " of " + whole) + " entries");
            });
        }
    }
}
