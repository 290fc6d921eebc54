package zebrawood.desktop.desk;

import java.util.Optional;
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
    }

    private void repeat(Task task, long first, long every) {
        aside.scheduleWithFixedDelay(
                () -> {
                    try {
                        task.run();
                    } catch (LogbookException refused) {
                        tellOnce(refused.getMessage(), () -> faults.say(refused));
                    } catch (RuntimeException | StackOverflowError fault) {
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
        if (desk.isIdle() && !desk.logbook().head().equals(desk.head().get())) {
            desk.refresh(() -> {});
        }
    }

    private void backUp() {
        if (desk.logbook().whyReadOnly().isPresent()) {
            return;
        }
        Optional<Backups.Backup> made = new Backups(desk.logbook().folder()).daily(desk.now());
        made.filter(backup -> !backup.whole())
                .ifPresent(flawed -> Platform.runLater(
                        () -> desk.tell("The logbook is not whole: the day's backup found a flaw. Check it with "
                                + "Ctrl+K, \"Check that the logbook is whole\"; the whole backups "
                                + "are kept.")));
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
