package zebrawood.benchmarks;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;

/** The least that a window can be: one label, told on standard output once its frame is drawn. */
public final class BareWindow {

    private BareWindow() {}

    public static void main(String[] arguments) {
        Platform.startup(() -> {
            Stage stage = new Stage();
            stage.setScene(new Scene(new StackPane(new Label("bare")), 1280, 800));
            stage.show();
            whenDrawn(stage.getScene(), () -> {
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

    /**
     * Runs when what a scene shows now is drawn: something tiny is moved, and the toolkit waits for a frame before it
     * moves things for the next.
     */
    static void whenDrawn(Scene scene, Runnable then) {
        Rectangle speck = new Rectangle(1, 1);
        speck.setManaged(false);
        ((Pane) scene.getRoot()).getChildren().add(speck);
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                speck.setTranslateX(frames);
                if (frames++ == 2) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }
}
