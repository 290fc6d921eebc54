package zebrawood.desktop.bench;

import java.io.File;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import zebrawood.core.procedure.Help;

/** What stands beside the Route: a bench and its Slip. The shell drives it by these. */
public interface StopView {

    Node bench();

    Slip slip();

    /** The caution that belongs to this stop. */
    String caution();

    /** What stands at the right of the foot. */
    ObservableValue<String> footnote();

    Help help();

    /** Puts the focus where one begins. */
    void begin();

    void record();

    void undo();

    void redo();

    void take(File file);

    /** Takes what is on the clipboard. */
    void paste();

    /** Puts what is shown on the clipboard, as a table. */
    void copy();

    /** Keeps what is half done; called before the view goes. */
    void leave();
}
