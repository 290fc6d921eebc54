package zebrawood.kit.view;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.theme.Look;

/** What a view is given of where it stands: units, look, time, messages, background work. No logbook. */
public interface Workplace {

    /** The units in which everything is shown now. */
    ObservableValue<UnitChoice> units();

    /** The colours and strokes in which everything is drawn now. */
    ObservableValue<Look> look();

    /** The time, as it was handed in. */
    Instant now();

    /** A moment as the clock on the wall shows it. */
    LocalDateTime local(Instant at);

    /** A text of the shop's own that lies in the folder of its logbook, by its name; empty where there is none. */
    default Optional<String> shopFile(String name) {
        return Optional.empty();
    }

    /**
     * Writes a text as a file.
     *
     * @param said what is told once it is there, without where it is: {@code The squares}
     */
    default void save(Path file, String text, String said) {
        tell("Nothing can be written here.");
    }

    /**
     * Writes one page at true size as a PDF.
     *
     * @param words what the page is, for its title and for who cannot see it
     * @param figure drawn over the whole page, px of 1/96 inch
     */
    default void page(Path file, String words, Figure figure) {
        tell("Nothing can be written here.");
    }

    /** One sentence for the person, at the foot of the window. */
    void tell(String sentence);

    /**
     * Long work off the interface thread; what it throws is told.
     *
     * @param then takes its result, on the interface thread
     */
    <T> void apart(Callable<T> work, Consumer<T> then);
}
