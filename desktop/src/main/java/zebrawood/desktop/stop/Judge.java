package zebrawood.desktop.stop;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javafx.application.Platform;
import zebrawood.core.procedure.Procedure;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Filled;

/**
 * Judges readings on a thread of its own. What takes less than a frame is there at once; what takes longer comes later,
 * and the window goes on meanwhile; what was overtaken by another keystroke is dropped.
 *
 * @param <R> readings
 * @param <F> finding
 */
final class Judge<R extends Record, F extends Record> {

    /** half a frame at 60 a second: the other half draws */
    private static final long PATIENCE_MILLIS = 8;

    private final Procedure<R, F> procedure;
    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        Thread made = new Thread(work, "judge");
        made.setDaemon(true);
        return made;
    });
    private final AtomicLong newest = new AtomicLong();
    private boolean pending;

    Judge(Procedure<R, F> procedure) {
        this.procedure = procedure;
    }

    /**
     * Judges what is filled in; {@code then} takes it on the interface thread, now or later, unless it is overtaken.
     */
    void judge(Filled filled, Consumer<Showing<R, F>> then) {
        long mine = overtake();
        CompletableFuture<Showing<R, F>> judging = CompletableFuture.supplyAsync(
                () -> mine == newest.get() ? Showing.judged(procedure, filled) : null, thread);
        try {
            then.accept(judging.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS));
        } catch (TimeoutException slow) {
            pending = true;
            judging.whenComplete((judged, failed) -> Platform.runLater(() -> {
                if (mine == newest.get()) {
                    pending = false;
                    then.accept(completed(judging));
                }
            }));
        } catch (ExecutionException failed) {
            throw unexpected(failed.getCause());
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private static <T> T completed(CompletableFuture<T> done) {
        try {
            return done.get();
        } catch (ExecutionException failed) {
            throw unexpected(failed.getCause());
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(ended);
        }
    }

    private static RuntimeException unexpected(Throwable cause) {
        if (cause instanceof Error error) {
            throw error;
        }
        return cause instanceof RuntimeException runtime ? runtime : new IllegalStateException(cause);
    }

    /** What is being judged no longer matters; the number of what comes next. */
    long overtake() {
        pending = false;
        return newest.incrementAndGet();
    }

    /** Whether what is shown is older than what was typed. */
    boolean isPending() {
        return pending;
    }

    void end() {
        overtake();
        thread.shutdown();
    }
}
