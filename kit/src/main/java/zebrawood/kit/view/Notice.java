package zebrawood.kit.view;

import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;

/** A sentence for the person, told at the foot of the window; fired up from where it happened. */
public final class Notice extends Event {

    public static final EventType<Notice> TOLD = new EventType<>(Event.ANY, "NOTICE");

    private static final long serialVersionUID = 1L;

    private final String sentence;

    private Notice(String sentence) {
        super(TOLD);
        this.sentence = sentence;
    }

    /** Lets the window of a node tell a sentence at its foot. */
    public static void show(Node from, String sentence) {
        from.fireEvent(new Notice(sentence));
    }

    /** What is to be told. */
    public String sentence() {
        return sentence;
    }
}
