package zebrawood.desktop.desk;

import java.io.IOException;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import zebrawood.logbook.store.LogbookException;

/**
 * Work off the interface thread: with the logbook, one after the other, or apart from it. Results come back on the
 * interface thread.
 */
final class LogbookThread {

    /** what is being written when the window closes is waited for so long */
    private static final long LAST_S = 10;

    private final FaultReport faults;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "logbook");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicInteger pending = new AtomicInteger();

    LogbookThread(FaultReport faults) {
        this.faults = faults;
    }

    /** Begins to compute something; whoever asks waits for it or is told. */
    <T> CompletableFuture<T> begin(Supplier<T> work) {
        return CompletableFuture.supplyAsync(work, worker);
    }

    <T> void later(Callable<T> work, Consumer<T> then, Consumer<LogbookException> otherwise) {
        if (worker.isShutdown()) {
            // the window is closed, and what was to be kept was kept when it was left
            return;
        }
        pending.incrementAndGet();
        worker.execute(() -> {
            try {
                T done = work.call();
                Platform.runLater(() -> hand(() -> then.accept(done)));
            } catch (LogbookException refused) {
                Platform.runLater(() -> hand(() -> otherwise.accept(refused)));
            } catch (Throwable unexpected) {
                Platform.runLater(
                        () -> hand(() -> otherwise.accept(new LogbookException(faults.told(unexpected), unexpected))));
            }
        });
    }

    <T> void apart(Callable<T> work, Consumer<T> then) {
        pending.incrementAndGet();
        Thread thread = new Thread(
                () -> {
                    try {
                        T done = work.call();
                        Platform.runLater(() -> hand(() -> then.accept(done)));
                    } catch (CancellationException ended) {
                        Platform.runLater(() -> hand(() -> faults.say("Ended; nothing was changed.")));
                    } catch (LogbookException refused) {
                        Platform.runLater(() -> hand(() -> faults.say(refused)));
                    } catch (IOException e) {
                        Platform.runLater(() -> hand(() -> faults.say(
                                "The file could not be written there; choose another folder, or free some space.")));
                    } catch (Throwable unexpected) {
                        Platform.runLater(() -> hand(() -> faults.told(unexpected)));
                    }
                },
                "apart");
        thread.setDaemon(true);
        thread.start();
    }

    private void hand(Runnable result) {
        try {
            result.run();
        } finally {
            pending.decrementAndGet();
        }
    }

    /** Whether nothing is being read or written. */
    boolean isIdle() {
        return pending.get() == 0;
    }

    /** Takes no more; waits for what is being written where {@code patiently}. */
    void end(boolean patiently) throws InterruptedException {
        worker.shutdown();
        worker.awaitTermination(patiently ? LAST_S : 0, TimeUnit.SECONDS);
    }
}
