package zebrawood.desktop.page;

import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import zebrawood.core.entry.Entry;

/** A page that stands in the middle of the window, with what the window says around it. */
public interface FramedPage extends Page {

    /** The places at the left edge. */
    enum Place {
        SHOP("Shop"),
        ROUTE("Route"),
        LOGBOOK("Logbook");

        private final String word;

        Place(String word) {
            this.word = word;
        }

        /** As it stands at the edge. */
        public String word() {
            return word;
        }
    }

    /**
     * What stands at the top of the window.
     *
     * @param name in large type
     * @param line what is said of it
     * @param crumb where one is; may be empty
     */
    record Heading(String name, String line, String crumb) {}

    /**
     * What stands at the foot of the window.
     *
     * @param words a sentence
     * @param isCaution whether it says what can hurt
     * @param right what goes on changing at the right
     */
    record Foot(String words, boolean isCaution, Optional<ObservableValue<String>> right) {
        public static Foot of(String words) {
            return new Foot(words, false, Optional.empty());
        }
    }

    /** What is put into the window. */
    Node view();

    /** Which place of the window it belongs to. */
    Place place();

    Heading heading();

    Foot foot();

    /** The machine it is about, where it is about one. */
    default Optional<String> machineId() {
        return Optional.empty();
    }

    /** The entry that is open on it, where one is. */
    default Optional<Entry> opened() {
        return Optional.empty();
    }
}
