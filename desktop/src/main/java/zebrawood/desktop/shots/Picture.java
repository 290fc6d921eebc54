package zebrawood.desktop.shots;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Scene;
import javax.imageio.ImageIO;

/** Pictures of the window. */
public final class Picture {

    private static final int STILL_FRAMES = 6;

    private Picture() {}

    /** Runs {@code then} when nothing is being read or written and some frames have been drawn since. */
    public static void whenStill(Scene scene, BooleanSupplier idle, Runnable then) {
        new AnimationTimer() {
            private int still;

            @Override
            public void handle(long now) {
                still = idle.getAsBoolean() ? still + 1 : 0;
                if (still >= STILL_FRAMES) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }

    /** Saves what the window shows; false where it cannot be saved there. */
    public static boolean save(Scene scene, Path file) {
        return save(SwingFXUtils.fromFXImage(scene.snapshot(null), null), file);
    }

    static boolean save(BufferedImage picture, Path file) {
        try {
            if (file.toAbsolutePath().getParent() != null) {
                Files.createDirectories(file.toAbsolutePath().getParent());
            }
            BufferedImage plain =
                    new BufferedImage(picture.getWidth(), picture.getHeight(), BufferedImage.TYPE_INT_RGB);
            plain.createGraphics().drawImage(picture, 0, 0, null);
            return ImageIO.write(plain, "png", file.toFile());
        } catch (IOException e) {
            return false;
        }
    }
}
