package zebrawood.desktop.page;

import java.io.File;
import java.util.Optional;
import javafx.scene.Parent;
import zebrawood.core.procedure.Help;

/**
 * What can be done on whatever is worked on: a stop, the gate, a plate, a work result, the Logbook. Keys and commands
 * go through these.
 */
public interface Page {

    /**
     * What F1 says.
     *
     * @param title of what is explained
     * @param help what is needed, how and why
     * @param caution what can hurt; may be empty
     */
    record Explained(String title, Help help, String caution) {}

    /** Puts the focus where one begins. */
    void begin();

    /** Records what is ready, or says what is missing. */
    default void record() {}

    /** Takes back the last thing that was typed or chosen. */
    default void undo() {}

    /** Does again what was taken back. */
    default void redo() {}

    /** Puts what is shown on the clipboard, as a table. */
    default void copy() {}

    /** Takes what is on the clipboard. */
    default void paste() {}

    /** Takes a file: readings out of it, or the file along with the entry. */
    default void take(File file) {}

    /** Keeps what is half done; called before the page goes, and before the window closes. */
    default void leave() {}

    /** What F1 says here; empty where there is nothing but what holds everywhere. */
    default Optional<Explained> help() {
        return Optional.empty();
    }

    /** The part that is printed, and whose drawing can be copied; empty where there is none. */
    default Optional<Parent> printed() {
        return Optional.empty();
    }

    /** Puts the focus into a search of its own; whether it has one. */
    default boolean search() {
        return false;
    }

    /** Units or entries have changed. */
    default void refresh() {}
}
