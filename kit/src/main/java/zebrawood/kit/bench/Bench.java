package zebrawood.kit.bench;

import java.io.File;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.entry.NewAttachment;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;

/**
 * What a new bench has to bring. It draws, takes readings and shows; it judges and computes nothing.
 *
 * @param <R> readings
 * @param <F> finding
 */
public interface Bench<R extends Record, F extends Record> {

    Node view();

    /** Puts the readings together from the draft and the plate. */
    void assemble(Worksheet sheet);

    /** Shows what there is; called after every keystroke. */
    void show(Showing<R, F> now);

    /** What to read next, as a sentence, while something is missing. */
    String next();

    /** The fields in the order in which one measures. */
    List<ReadingField> fields();

    /**
     * The texts with which the fields are filled to show an entry, or to begin again from it.
     *
     * @param whole all of it; otherwise only what stays the same from one time to the next
     */
    Map<String, Draft.Text> texts(R readings, Map<String, String> asTyped, boolean whole);

    /** What the Slip shows between action and evidence, such as tickets. */
    default List<Node> tickets(Showing<R, F> now) {
        return List.of();
    }

    /** The other way of doing it, offered at the foot of the Slip. */
    default Optional<Node> otherSchool(Showing<R, F> now) {
        return Optional.empty();
    }

    /**
     * What stands over the button that records, where there is a step to take before that: the step is then the next
     * thing to do, and recording is not.
     */
    default List<Node> steps(Showing<R, F> now) {
        return List.of();
    }

    /** Why what is shown is nothing to be recorded, as a sentence; empty where it may be. */
    default Optional<String> notForTheRecord() {
        return Optional.empty();
    }

    /** What the button says that records. */
    default String recordWord() {
        return "Record";
    }

    /** What the button says that begins anew. */
    default String againWord() {
        return "Measure again";
    }

    /** Whether readings can come out of a file here; otherwise a file only goes along with the entry. */
    default boolean takesFiles() {
        return false;
    }

    /** Takes readings out of a file dropped on the bench; empty when it does, else why not. */
    default Optional<String> take(File file) {
        return Optional.of("no readings are taken out of files here");
    }

    /** Takes what is on the clipboard, where that makes sense here. */
    default void paste() {}

    /** Where the first thing is typed that is needed and still missing; empty where nothing is. */
    default Optional<Node> missing() {
        return Optional.empty();
    }

    /** Where one begins when no field is empty. */
    default Optional<Node> start() {
        return Optional.empty();
    }

    /** What one follows where an entry is shown, such as steps. */
    default Optional<Node> followed() {
        return Optional.empty();
    }

    /** Files to be kept with the entry. */
    default List<NewAttachment> attachments() {
        return List.of();
    }

    /** What is told at the foot of the window beside the caution; may be empty. */
    default String footnote() {
        return "";
    }

    /** Never draws lower than this, px; it scrolls before. */
    default void drawAtLeast(double height) {}
}
