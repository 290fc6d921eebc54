package zebrawood.benchmarks;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The least that a window can be: one label, told on standard output once its frame is drawn. */
public final class BareWindow {

    private BareWindow() {}

    public static void main(String[] arguments) {
        Platform.startup(() -> {
            Stage stage = new Stage();
            stage.setScene(new Scene(new StackPane(new Label("bare")), 1280, 800));
            stage.show();
            afterFrames(2, () -> {
                System.out.println("DRAWN");
                System.out.flush();
                end();
            });
        });
    }

    /** Ends at once; in the ordinary way where an archive of the classes is to be written. */
    static void end() {
        if (Boolean.getBoolean("zebrawood.archived")) {
            new Thread(() -> System.exit(0)).start();
        } else {
            Runtime.getRuntime().halt(0);
        }
    }

    /** Runs when so many frames were drawn since. */
    static void afterFrames(int frames, Runnable then) {
        new AnimationTimer() {
            private int left = frames;

            @Override
            public void handle(long now) {
                if (left-- == 0) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }
}
