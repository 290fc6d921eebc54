package zebrawood.desktop.desk;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.core.daily.StartOfWork;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.MachineStatuses;
import zebrawood.core.route.Route;
import zebrawood.core.route.WorkConditions;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.desktop.paper.SinglePage;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Look;
import zebrawood.kit.view.Paper;
import zebrawood.kit.view.Workplace;
import zebrawood.logbook.store.Flaws;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.OutputFile;
import zebrawood.logbook.store.PrivateFiles;
import zebrawood.logbook.store.Restore;

/**
 * What every view shares. The logbook is read and written on a thread of its own; what comes of it is handed back on
 * the interface thread. The time is handed in.
 */
public final class Desk implements Workplace, AutoCloseable {

    /** no text that people write for a shop is longer, bytes */
    private static final long MOST_SHOP_FILE = 1_000_000;

    private final CompletableFuture<Logbook> opening;
    private final Preferences preferences;
    private final Route route;
    private final MachineStatuses standings;
    private final Supplier<Instant> clock;
    private final ZoneId zone;
    private final String program;
    private final FaultReport faults;
    private final LogbookThread thread;
    private final Watch watch;
    private final ObjectProperty<UnitChoice> units;
    private final ObjectProperty<Ground> ground;
    private final ReadOnlyObjectWrapper<Look> look;
    private final StringProperty initials = new SimpleStringProperty("");
    private final ReadOnlyObjectWrapper<List<MachineStatus>> machines = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<String> alarm = new ReadOnlyObjectWrapper<>("");
    private final ReadOnlyObjectWrapper<Logbook.Head> head = new ReadOnlyObjectWrapper<>(new Logbook.Head(0, ""));
    private final List<Path> scratches = new ArrayList<>();
    private boolean taken;
    private int unseen;

    /** Time and program of a sitting. */
    public record Sitting(Supplier<Instant> clock, ZoneId zone, String program) {}

    public Desk(Path folder, Logbook logbook, List<Procedure<?, ?>> procedures, Sitting sitting) {
        this(folder, CompletableFuture.completedFuture(logbook), procedures, sitting);
    }

    /** @param opening the logbook, which may still be being opened on another thread */
    public Desk(Path folder, CompletableFuture<Logbook> opening, List<Procedure<?, ?>> procedures, Sitting sitting) {
        this.opening = opening;
        this.route = new Route(procedures);
        this.standings = new MachineStatuses(route);
        this.clock = sitting.clock();
        this.zone = sitting.zone();
        this.program = sitting.program();
        faults = new FaultReport(folder, clock, program);
        thread = new LogbookThread(faults);
        watch = new Watch(this, faults);
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

    @Override
    public ObjectProperty<UnitChoice> units() {
        return units;
    }

    public ObjectProperty<Ground> ground() {
        return ground;
    }

    @Override
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

    /** What is wrong with the logbook as a whole, in words, until it is dealt with; empty where nothing is known of. */
    public ReadOnlyObjectProperty<String> alarm() {
        return alarm.getReadOnlyProperty();
    }

    /** Looks anew whether something is known to be wrong with the logbook as a whole. */
    public void lookForFlaws() {
        Path folder = logbook().folder();
        String known =
                Flaws.known(folder).map(flaw -> flaw + ".").orElseGet(() -> String.join(" ", Restore.putAside(folder)));
        if (!known.equals(alarm.get())) {
            Platform.runLater(() -> alarm.set(known));
        }
    }

    /** How many machines of kinds that only a newer program knows stand in the logbook besides. */
    public int unseen() {
        return unseen;
    }

    public Optional<MachineStatus> machine(String id) {
        return machines.get().stream()
                .filter(machine -> machine.machineId().equals(id))
                .findFirst();
    }

    @Override
    public Instant now() {
        return clock.get();
    }

    public ZoneOffset zone() {
        return zone.getRules().getOffset(now());
    }

    @Override
    public LocalDateTime local(Instant at) {
        return LocalDateTime.ofInstant(at, zone.getRules().getOffset(at));
    }

    /** Who records, and when: now. */
    public Entry.Stamp stamp() {
        Instant now = now();
        return new Entry.Stamp(
                now.truncatedTo(ChronoUnit.MILLIS), zone.getRules().getOffset(now), initials.get(), program);
    }

    /** Where sentences for the person go. */
    public void onTold(Consumer<String> teller) {
        faults.to(teller);
    }

    @Override
    public void tell(String sentence) {
        faults.say(sentence);
    }

    @Override
    public void save(Path file, String text, String said) {
        apart(
                () -> {
                    try {
                        return OutputFile.write(file, true, out -> {
                            out.write(text.getBytes(StandardCharsets.UTF_8));
                            return file;
                        });
                    } catch (IOException e) {
                        throw new LogbookException(
                                "the file could not be saved in " + file + "; choose another folder", e);
                    }
                },
                saved -> tell(said + (said.endsWith("s") ? " stand in " : " stands in ") + saved + "."));
    }

    @Override
    public void page(Path file, String words, Figure figure) {
        Paper paper = preferences().paper();
        apart(
                () -> {
                    try {
                        return OutputFile.write(file, true, out -> {
                            SinglePage.write(figure, words, paper, out);
                            return file;
                        });
                    } catch (IOException e) {
                        throw new LogbookException(
                                "the page could not be saved in " + file + "; choose another folder", e);
                    }
                },
                saved -> tell("The page stands in " + saved + ". Print it at 100 %."));
    }

    /**
     * How all machines stand, and where the logbook ended then.
     *
     * @param unseen how many more machines there are of kinds that only a newer program knows
     */
    public record Reading(List<MachineStatus> machines, Logbook.Head head, int unseen) {}

    /** Begins to read how all machines stand, on the logbook's thread. */
    public CompletableFuture<Reading> reading() {
        return thread.begin(this::read);
    }

    /** Takes over what was read. */
    public void take(Reading reading) {
        taken = true;
        machines.set(reading.machines());
        head.set(reading.head());
        unseen = reading.unseen();
    }

    /** Reads anew how all machines stand, then runs {@code then} on the interface thread. */
    public void refresh(Runnable then) {
        later(this::read, found -> {
            take(found);
            then.run();
        });
    }

    private Reading read() {
        List<MachineStatus> statuses = statuses();
        return new Reading(statuses, logbook().head(), logbook().machines().size() - statuses.size());
    }

    private List<MachineStatus> statuses() {
        Instant now = now();
        ZoneOffset offset = zone.getRules().getOffset(now);
        return standings.of(logbook().histories(), now, offset);
    }

    /** What would follow from something that happened, in words; asked on the logbook's thread. */
    public List<String> consequences(String machineId, Body.Happened happened) {
        Instant now = now();
        return route.consequences(
                logbook().history(machineId), happened, now, zone.getRules().getOffset(now));
    }

    /** How a machine stands at this moment; asked on the logbook's thread. */
    public MachineStatus standing(String machineId) {
        Instant now = now();
        return route.status(logbook().history(machineId), now, zone.getRules().getOffset(now));
    }

    /** What goes along with a work result of a machine; asked on the logbook's thread. */
    public TakenAlong takenAlong(String machineId) {
        return WorkConditions.of(standing(machineId), logbook().history(machineId), units.get());
    }

    /** What is looked at on a machine before a job, as it stands now. */
    public StartOfWork startOfWork(String machineId) {
        Instant now = now();
        ZoneOffset at = zone.getRules().getOffset(now);
        History history = logbook().history(machineId);
        return StartOfWork.of(route.status(history, now, at), history, now, at);
    }

    @Override
    public Optional<String> shopFile(String name) {
        Path file = logbook().folder().resolve(name);
        try {
            if (!Files.exists(file)) {
                return Optional.empty();
            }
            if (Files.size(file) > MOST_SHOP_FILE) {
                throw new IOException("too large");
            }
            return Optional.of(Files.readString(file));
        } catch (IOException unreadable) {
            tell(name + " in the shop's folder cannot be read; what ships is used.");
            return Optional.empty();
        }
    }

    /** Begins what is done now and then while nothing else is to do. */
    public void watch() {
        watch.begin();
    }

    /** Work on the logbook's thread; its result is handed back on the interface thread, what it refuses is told. */
    public <T> void later(Callable<T> work, Consumer<T> then) {
        later(work, then, faults::say);
    }

    /** Work on the logbook's thread, with what to do when the logbook refuses. */
    public <T> void later(Callable<T> work, Consumer<T> then, Consumer<LogbookException> otherwise) {
        thread.later(work, then, otherwise);
    }

    /** Long work that must not keep others from the logbook; what it throws is told. */
    @Override
    public <T> void apart(Callable<T> work, Consumer<T> then) {
        thread.apart(work, then);
    }

    /**
     * A fresh folder for a copy that another program opens; it is gone when the window closes.
     *
     * @throws IOException where none can be made
     */
    public synchronized Path scratch() throws IOException {
        Path made = Files.createTempDirectory("zebrawood");
        scratches.add(made);
        return made;
    }

    private synchronized void dropScratches() {
        for (Path made : scratches) {
            try {
                PrivateFiles.delete(made);
            } catch (IOException heldOpen) {
                // the program that shows it keeps it; the system empties its folder for such files
            }
        }
    }

    /** Whether nothing is being read or written. */
    public boolean isIdle() {
        return thread.isIdle();
    }

    /** What was thrown on the interface thread and nobody caught: what the logbook refuses is told in its own words. */
    public void uncaught(Throwable failure) {
        faults.uncaught(failure);
    }

    /** What nobody foresaw: a report file and one plain sentence, told. */
    public void unexpected(Throwable failure) {
        faults.told(failure);
    }

    @Override
    public void close() {
        // what waits for a logbook that is not open has nothing to record
        boolean patiently = opening.isDone();
        try {
            watch.end(patiently);
            thread.end(patiently);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        preferences.save();
        dropScratches();
        opening.thenAccept(Logbook::close);
    }
}
