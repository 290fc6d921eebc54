package zebrawood.desktop.desk;

import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.entry.Entry;
import zebrawood.logbook.store.TapeFilter;

/** Where one can go from anywhere. */
public interface Navigator {

    void shop();

    /** Opens a stop: a procedure's id, or {@code first-light}. */
    void stop(String machineId, String stop);

    void logbook(TapeFilter filter);

    void entry(String machineId, int number);

    /** Opens the bench of a reading's stop filled with it, to be replaced. */
    void correct(Entry entry);

    /** Asks what happened to a machine. */
    void event(String machineId);

    /** Opens an empty open point on a machine. */
    void point(String machineId);

    /** Opens the page on which a work result is typed. */
    void work(String machineId);

    /**
     * Shows what was different between an entry and another one of its machine; the one before it where none is given.
     */
    void difference(Entry entry, Optional<Entry> other);

    void addMachine();

    void plate(String machineId);

    /** Opens a machine's plate at a field. */
    void plate(String machineId, String field);

    /** Opens the plate of a new machine of this sort. */
    void begin(Beginning machine);

    /** Takes an open bundle into this shop, which is still empty. */
    void importBundle();

    /** Opens the demo shop in place of this one. */
    void demo();

    /** Looks a machine over before its first job; leads to its gate where that is shut. */
    void start(String machineId);

    /** Opens the register of the shop's eyewear. */
    void eyewear();

    /** Opens the plan of a visit. */
    void visit();

    /** Opens what is known of a machine's best gap. */
    void focus(String machineId);

    void certificate(String machineId);

    /** Lays something over the window; Escape takes it away again. */
    void overlay(Node sheet);

    void closeOverlay();
}
