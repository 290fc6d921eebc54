package zebrawood.desktop.desk;

import java.time.Instant;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.LogbookException;

/**
 * What is done now and then while nothing else is to do: looking whether another program has recorded something,
 * preparing the search, the day's backup, also in a window that stays open for days. What fails is told once and runs
 * again next time.
 */
final class Watch {

    /** entries indexed in one step: a keystroke never waits long for it */
    private static final int SEARCH_STEP = 100;
    /** the window is in use by then, and nobody waits for its first pages */
    private static final long BACKUP_FIRST_S = 20;
    /** a day's backup is at most so late in a window left open */
    private static final long BACKUP_EVERY_S = 1800;

    /** what another program's check found is told soon */
    private static final long FLAWS_S = 5;
    /** longer behind the logbook than any reading of it takes */
    private static final long STALE_NS = 15_000_000_000L;

    /** how long the end waits for work aside; a backup that takes longer is made at the next start */
    private static final long LAST_S = 10;

    private final Desk desk;
    private final FaultReport faults;
    private final ScheduledExecutorService aside = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "aside");
        thread.setDaemon(true);
        return thread;
    });
    private String lastTold = "";
    private long behindSince;

    /** Something that is done again and again. */
    private interface Task {
        void run();
    }

    Watch(Desk desk, FaultReport faults) {
        this.desk = desk;
        this.faults = faults;
    }

    void begin() {
        repeat(this::lookForOthers, 1, 1);
        repeat(this::prepareSearch, 3, 1);
        repeat(this::backUp, BACKUP_FIRST_S, BACKUP_EVERY_S);
        repeat(desk::lookForFlaws, 0, FLAWS_S);
    }

    private void repeat(Task task, long first, long every) {
        aside.scheduleWithFixedDelay(
                () -> {
                    try {
                        task.run();
                    } catch (LogbookException refused) {
                        tellOnce(refused.getMessage(), () -> faults.say(refused));
                    } catch (Throwable fault) {
                        tellOnce(String.valueOf(fault), () -> faults.told(fault));
                    }
                },
                first,
                every,
                TimeUnit.SECONDS);
    }

    /** The same failure is told once, not each second. */
    private void tellOnce(String what, Runnable tell) {
        if (!what.equals(lastTold)) {
            lastTold = what;
            Platform.runLater(tell);
        }
    }

    private void lookForOthers() {
        if (desk.logbook().head().equals(desk.head().get())) {
            behindSince = 0;
            return;
        }
        long now = System.nanoTime();
        behindSince = behindSince == 0 ? now : behindSince;
        if (desk.isIdle()) {
            desk.refresh(() -> {});
        } else if (now - behindSince > STALE_NS) {
            behindSince = now;
            Platform.runLater(() -> desk.tell("What is shown is older than the logbook, which is being read again. If "
                    + "this stays, close the program and start it again."));
            desk.refresh(() -> {});
        }
    }

    private void backUp() {
        if (desk.logbook().whyReadOnly().isPresent()) {
            return;
        }
        new Backups(desk.logbook().folder()).daily(Instant.now());
        desk.lookForFlaws();
    }

    private void prepareSearch() {
        while (desk.isIdle() && !aside.isShutdown() && desk.logbook().prepareSearch(SEARCH_STEP) > 0) {
            Thread.onSpinWait();
        }
    }

    /** Ends; a backup or a step of the search index that is half written is waited for where {@code patiently}. */
    void end(boolean patiently) throws InterruptedException {
        aside.shutdownNow();
        aside.awaitTermination(patiently ? LAST_S : 0, TimeUnit.SECONDS);
    }
}
