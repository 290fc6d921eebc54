package zebrawood.kit.view;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** How one is asked for a file: by the system's own dialogs, where nothing else hangs at the window. */
public interface FileDialogs {

    /** The system's. */
    FileDialogs SYSTEM = new FileDialogs() {
        @Override
        public Optional<Path> toSave(String name, Window over) {
            FileChooser chooser = new FileChooser();
            chooser.setInitialFileName(name);
            return Optional.ofNullable(chooser.showSaveDialog(over)).map(File::toPath);
        }

        @Override
        public List<Path> toOpen(Window over) {
            List<File> chosen = new FileChooser().showOpenMultipleDialog(over);
            return chosen == null
                    ? List.of()
                    : chosen.stream().map(File::toPath).toList();
        }
    };

    /** Where to save; empty where one thought better of it. */
    Optional<Path> toSave(String name, Window over);

    /** What to open; none where one thought better of it. */
    List<Path> toOpen(Window over);

    /** Asks where to save something. */
    static Optional<Path> toSave(Scene scene, String name) {
        Optional<Path> chosen = of(scene).toSave(name, scene.getWindow());
        if (chosen.filter(FileDialogs::liesInAShop).isPresent()) {
            Notice.show(scene.getRoot(), "That folder belongs to a shop's logbook: nothing was saved. Choose another.");
            return Optional.empty();
        }
        return chosen;
    }

    private static boolean liesInAShop(Path file) {
        Path above;
        try {
            above = file.toAbsolutePath().getParent().toRealPath();
        } catch (IOException missing) {
            return false;
        }
        for (; above != null; above = above.getParent()) {
            if (Files.exists(above.resolve("logbook.db"))) {
                return true;
            }
        }
        return false;
    }

    /** Asks what to open. */
    static List<Path> toOpen(Scene scene) {
        return of(scene).toOpen(scene.getWindow());
    }

    private static FileDialogs of(Scene scene) {
        return scene.getRoot().getProperties().get(FileDialogs.class) instanceof FileDialogs others ? others : SYSTEM;
    }
}
