package zebrawood.desktop.recording;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.form.Draft;
import zebrawood.logbook.store.Logbook;

/**
 * Keeps a draft in the logbook's folder a moment after a keystroke, and four times a second while one types on and on,
 * so that a crash or a kill loses no more than the last second.
 */
public final class DraftKeeper {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);
    /** between keystrokes without a copy on disk, so that a second at the most is lost */
    private static final long LONGEST_NS = 250_000_000;

    private final Desk desk;
    private final String machineId;
    private final String stop;
    private final Draft draft;
    private final Consumer<String> told;
    private final PauseTransition pause = new PauseTransition(Duration.millis(200));
    private long unkeptSince;
    private boolean unkept;

    /** @param told is told that the draft is kept, and when */
    public DraftKeeper(Desk desk, String machineId, String stop, Draft draft, Consumer<String> told) {
        this.desk = desk;
        this.machineId = machineId;
        this.stop = stop;
        this.draft = draft;
        this.told = told;
        pause.setOnFinished(event -> keep());
    }

    /** Under which name the half-typed correction of an entry is kept. */
    public static String nameOf(Entry corrected) {
        return corrected.body().stop() + "-" + corrected.number();
    }

    /** Something was typed. */
    public void typed() {
        long now = System.nanoTime();
        if (!unkept) {
            unkept = true;
            unkeptSince = now;
        }
        if (now - unkeptSince > LONGEST_NS) {
            keep();
        } else {
            pause.playFromStart();
        }
    }

    /** What is being recorded needs no draft any more. */
    public void stop() {
        pause.stop();
        unkept = false;
    }

    /** Nobody types here any more: what is not kept yet is kept now. */
    public void finish() {
        if (unkept) {
            keep();
        }
    }

    /** Drops what was kept. */
    public void drop() {
        stop();
        desk.later(
                () -> {
                    dropNow();
                    return stop;
                },
                dropped -> told.accept(""));
    }

    /** Drops what was kept at once; called on the logbook's thread. */
    void dropNow() {
        desk.logbook().dropDraft(machineId, stop);
    }

    /** Keeps what stands there now; an empty draft is dropped. */
    public void keep() {
        pause.stop();
        unkept = false;
        Instant at = desk.now();
        if (draft.isEmpty()) {
            drop();
        } else {
            String json = draft.toJson();
            desk.later(
                    () -> {
                        desk.logbook().keepDraft(machineId, stop, new Logbook.Draft(json, at));
                        return at;
                    },
                    kept -> told.accept("draft kept " + CLOCK.format(desk.local(kept))));
        }
    }
}
