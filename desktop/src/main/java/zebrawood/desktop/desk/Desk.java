package zebrawood.desktop.desk;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.Along;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.Standings;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.desktop.theme.Ground;
import zebrawood.desktop.theme.Look;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;

/**
 * What every view shares. The logbook is read and written on a thread of its own; what comes of it is handed back
 * on the interface thread. The time is handed in.
 */
public final class Desk implements AutoCloseable {

    private static final int SEARCH_STEP = 100;

    private final CompletableFuture<Logbook> opening;
    private final Path folder;
    private final Preferences preferences;
    private final Route route;
    private final Standings standings;
    private final Supplier<Instant> clock;
    private final ZoneId zone;
    private final String program;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "logbook");
        thread.setDaemon(true);
        return thread;
    });
    private final ScheduledExecutorService aside = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "aside");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicInteger pending = new AtomicInteger();
    private final ObjectProperty<UnitChoice> units;
    private final ObjectProperty<Ground> ground;
    private final ReadOnlyObjectWrapper<Look> look;
    private final StringProperty initials = new SimpleStringProperty("");
    private final ReadOnlyObjectWrapper<List<MachineStatus>> machines = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Logbook.Head> head = new ReadOnlyObjectWrapper<>(new Logbook.Head(0, ""));
    private Consumer<String> teller = sentence -> {};
    private boolean taken;

    /** Time and program of a sitting. */
    public record Sitting(Supplier<Instant> clock, ZoneId zone, String program) {}

    public Desk(Path folder, Logbook logbook, List<Procedure<?, ?>> procedures, Sitting sitting) {
        this(folder, CompletableFuture.completedFuture(logbook), procedures, sitting);
    }

    /** @param opening the logbook, which may still be being opened on another thread */
    public Desk(Path folder, CompletableFuture<Logbook> opening, List<Procedure<?, ?>> procedures, Sitting sitting) {
        this.folder = folder;
        this.opening = opening;
        this.route = new Route(procedures);
        this.standings = new Standings(route);
        this.clock = sitting.clock();
        this.zone = sitting.zone();
        this.program = sitting.program();
        preferences = Preferences.in(folder);
        units = new SimpleObjectProperty<>(preferences.units());
        ground = new SimpleObjectProperty<>(preferences.ground());
        look = new ReadOnlyObjectWrapper<>(Look.of(ground.get()));
        ground.addListener((value, before, now) -> {
            look.set(Look.of(now));
            preferences.ground(now);
        });
        units.addListener((value, before, now) -> preferences.units(now));
    }

    /**
     * The logbook; waits where it is still being opened, so ask on the logbook's thread until {@link #isRead}.
     *
     * @throws LogbookException where it could not be opened
     */
    public Logbook logbook() {
        try {
            return opening.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof LogbookException failed ? failed : e;
        }
    }

    public Preferences preferences() {
        return preferences;
    }

    public ObjectProperty<UnitChoice> units() {
        return units;
    }

    public ObjectProperty<Ground> ground() {
        return ground;
    }

    public ReadOnlyObjectProperty<Look> look() {
        return look.getReadOnlyProperty();
    }

    public StringProperty initials() {
        return initials;
    }

    /** Whether the shop has been read at all. */
    public boolean isRead() {
        return taken;
    }

    /** How all machines stand; set anew by {@link #refresh}. */
    public ReadOnlyObjectProperty<List<MachineStatus>> machines() {
        return machines.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Logbook.Head> head() {
        return head.getReadOnlyProperty();
    }

    public Optional<MachineStatus> machine(String id) {
        return machines.get().stream().filter(machine -> machine.machineId().equals(id)).findFirst();
    }

    public Instant now() {
        return clock.get();
    }

    public ZoneOffset zone() {
        return zone.getRules().getOffset(now());
    }

    public LocalDateTime local(Instant at) {
        return LocalDateTime.ofInstant(at, zone.getRules().getOffset(at));
    }

    /** Who records, and when: now. */
    public Entry.Stamp stamp() {
        Instant now = now();
        return new Entry.Stamp(now.truncatedTo(ChronoUnit.MILLIS), zone.getRules().getOffset(now), initials.get(), program);
    }

    /** Where sentences for the person go. */
    public void onTold(Consumer<String> teller) {
        this.teller = teller;
    }

    public void tell(String sentence) {
        teller.accept(sentence);
    }

    /** How all machines stand, and where the logbook ended then. */
    public record Reading(List<MachineStatus> machines, Logbook.Head head) {}

    /** Begins to read how all machines stand, on the logbook's thread. */
    public CompletableFuture<Reading> reading() {
        return CompletableFuture.supplyAsync(this::read, worker);
    }

    /** Takes over what was read. */
    public void take(Reading reading) {
        taken = true;
        machines.set(reading.machines());
        head.set(reading.head());
    }

    /** Reads anew how all machines stand, then runs {@code then} on the interface thread. */
    public void refresh(Runnable then) {
        later(this::read, found -> {
            take(found);
            then.run();
        });
    }

    private Reading read() {
        return new Reading(statuses(), logbook().head());
    }

    private List<MachineStatus> statuses() {
        Instant now = now();
        ZoneOffset offset = zone.getRules().getOffset(now);
        return standings.of(logbook().histories(), now, offset);
    }

    /** What would follow from something that happened, in words; asked on the logbook's thread. */
    public List<String> consequences(String machineId, Body.Happened happened) {
        Instant now = now();
        return route.consequences(logbook().history(machineId), happened, now, zone.getRules().getOffset(now));
    }

    /** What goes along with a work result of a machine; asked on the logbook's thread. */
    public TakenAlong takenAlong(String machineId) {
        Instant now = now();
        History history = logbook().history(machineId);
        return Along.of(route.status(history, now, zone.getRules().getOffset(now)), history, units.get());
    }

    /**
     * Looks now and then whether another program has recorded something, and if so reads anew; makes the day's backup
     * and prepares the search while nothing else is to do.
     */
    public void watch() {
        aside.scheduleWithFixedDelay(this::lookForOthers, 1, 1, TimeUnit.SECONDS);
        aside.schedule(this::backUp, 20, TimeUnit.SECONDS);
        aside.scheduleWithFixedDelay(this::prepareSearch, 3, 1, TimeUnit.SECONDS);
    }

    private void lookForOthers() {
        if (pending.get() > 0) {
            return;
        }
        try {
            Logbook.Head there = logbook().head();
            if (!there.equals(head.get())) {
                refresh(() -> { });
            }
        } catch (LogbookException unread) {
            // whoever reads next is told
        }
    }

    private void backUp() {
        if (logbook().whyReadOnly().isPresent()) {
            return;
        }
        try {
            new Backups(folder).daily(now());
        } catch (LogbookException failed) {
            Platform.runLater(() -> tellWhy(failed));
        }
    }

    private void tellWhy(LogbookException failed) {
        tell(Character.toUpperCase(failed.getMessage().charAt(0)) + failed.getMessage().substring(1) + ".");
    }

    private void prepareSearch() {
        try {
            while (pending.get() == 0 && !aside.isShutdown() && logbook().prepareSearch(SEARCH_STEP) > 0) {
                Thread.onSpinWait();
            }
        } catch (LogbookException later) {
            // a search says it
        }
    }

    /** Work on the logbook's thread; its result is handed back on the interface thread. */
    public <T> void later(Callable<T> work, Consumer<T> then) {
        later(work, then, this::tellWhy);
    }

    /** The same, with what to do when the logbook refuses. */
    public <T> void later(Callable<T> work, Consumer<T> then, Consumer<LogbookException> otherwise) {
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
            } catch (Exception unexpected) {
                Platform.runLater(() -> hand(() -> otherwise.accept(new LogbookException(unexpected(unexpected), unexpected))));
            }
        });
    }

    /** Long work that must not keep others from the logbook; what it throws is told. */
    public <T> void apart(Callable<T> work, Consumer<T> then) {
        pending.incrementAndGet();
        Thread thread = new Thread(() -> {
            try {
                T done = work.call();
                Platform.runLater(() -> hand(() -> then.accept(done)));
            } catch (CancellationException ended) {
                Platform.runLater(() -> hand(() -> tell("Ended; nothing was changed.")));
            } catch (LogbookException refused) {
                Platform.runLater(() -> hand(() -> tellWhy(refused)));
            } catch (IOException e) {
                Platform.runLater(() -> hand(() -> tell("The file could not be written there; choose another folder, or free some space.")));
            } catch (Exception unexpected) {
                Platform.runLater(() -> hand(() -> unexpected(unexpected)));
            }
        }, "apart");
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
    public boolean isIdle() {
        return pending.get() == 0;
    }

    /** What was thrown on the interface thread and nobody caught: what the logbook refuses is told in its own words. */
    public void uncaught(Throwable failure) {
        if (failure instanceof LogbookException refused) {
            tellWhy(refused);
        } else {
            unexpected(failure);
        }
    }

    /** What nobody foresaw: a report file and one plain sentence, told and given back without its full stop. */
    public String unexpected(Throwable failure) {
        StringWriter trace = new StringWriter();
        failure.printStackTrace(new PrintWriter(trace));
        Path report = folder.resolve("report.txt");
        try {
            Files.writeString(report, now() + " " + program + "\n" + trace);
            return told("Something went wrong that should not have. What you typed is kept; a report stands in " + report);
        } catch (IOException unwritable) {
            return told("Something went wrong that should not have, and no report could be written. What you typed is kept");
        }
    }

    private String told(String sentence) {
        tell(sentence + ".");
        return sentence;
    }

    @Override
    public void close() {
        aside.shutdownNow();
        worker.shutdown();
        try {
            // what waits for a logbook that is not open has nothing to record
            worker.awaitTermination(opening.isDone() ? 10 : 0, TimeUnit.SECONDS);
            // a backup or a step of the search index that is half written
            aside.awaitTermination(opening.isDone() ? 10 : 0, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        preferences.save();
        opening.thenAccept(Logbook::close);
    }
}
