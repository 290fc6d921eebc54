package zebrawood.desktop.page;

import javafx.beans.value.ObservableValue;
import javafx.scene.Parent;
import zebrawood.kit.view.Slip;

/** What stands beside the Route: a stop's bench or the gate, and its Slip. */
public interface StopView extends Page {

    Parent bench();

    Slip slip();

    /** The caution that belongs to this stop. */
    String caution();

    /** What stands at the right of the foot. */
    ObservableValue<String> footnote();

    /** Whether what is typed was judged, and what is shown is of now. */
    default boolean isJudged() {
        return true;
    }
}
