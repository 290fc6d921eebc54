package zebrawood.desktop.safety;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Label;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.Words;

/** How long something goes on yet, told every second; when it is over, the machines are read anew. */
public final class CountDown extends Label {

    private final Desk desk;
    private final Instant until;
    private final String before;
    private final Timeline clock = new Timeline(new KeyFrame(javafx.util.Duration.seconds(1), event -> tell()));

    /** @param before what is said before the time */
    public CountDown(Desk desk, Instant until, String before) {
        this.desk = desk;
        this.until = until;
        this.before = before;
        clock.setCycleCount(Animation.INDEFINITE);
        // a clock that nobody sees need not run
        sceneProperty().addListener((value, earlier, scene) -> {
            if (scene == null) {
                clock.stop();
            } else {
                clock.play();
            }
        });
        tell();
    }

    private void tell() {
        long seconds = Math.max(0, Duration.between(desk.now(), until).toSeconds());
        Words.set(this, before + String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60));
        if (!until.isAfter(desk.now())) {
            clock.stop();
            desk.refresh(() -> {});
        }
    }
}
