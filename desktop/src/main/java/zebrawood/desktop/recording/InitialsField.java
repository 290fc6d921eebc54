package zebrawood.desktop.recording;

import java.util.Locale;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;

/** Who records: asked once for a sitting, where it is not known yet. */
public final class InitialsField extends TextField {

    /** What is told beside it. */
    public static final String ASKED = "Your initials, once for this sitting:";

    private final Desk desk;
    private boolean shown;

    /** @param entered when Enter is pressed in it */
    public InitialsField(Desk desk, Runnable entered) {
        this.desk = desk;
        limit(this);
        setId("initials");
        setPromptText("your initials");
        setAccessibleText("your initials");
        setOnAction(event -> entered.run());
    }

    /** Takes no more letters than initials have. */
    public static void limit(TextField field) {
        field.setTextFormatter(new TextFormatter<>(
                change -> change.getControlNewText().length() <= Entry.Stamp.LONGEST_BY ? change : null));
    }

    /** Shows who is known to record, to be changed there: what is emptied then is asked for. */
    public void showKnown() {
        shown = true;
        setText(desk.initials().get());
    }

    /** Whether it is known who records; what stands here is taken for it. */
    boolean signed() {
        if (getText().isBlank()) {
            return !shown && !desk.initials().get().isBlank();
        }
        desk.initials().set(getText().strip().toUpperCase(Locale.ROOT));
        return true;
    }
}
