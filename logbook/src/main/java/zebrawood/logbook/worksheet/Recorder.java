package zebrawood.logbook.worksheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.UnitChoice;
import zebrawood.logbook.store.Logbook;

/**
 * Answers worksheets as {@link Solver} does, and records an entry for each on one machine. A line is answered only once
 * its entry is safe; what fires needs the machine's first light gate open, as in the window.
 */
public final class Recorder {

    private final Logbook logbook;
    private final String machineId;
    private final Supplier<Entry.Stamp> stamp;
    private final Route route;
    private final Solver solver;

    /**
     * @param stamp who records, and when: asked for each entry
     * @param faults takes what a procedure threw that it should not have
     */
    public Recorder(
            List<Procedure<?, ?>> procedures,
            Logbook logbook,
            String machineId,
            Supplier<Entry.Stamp> stamp,
            Consumer<Throwable> faults) {
        this.logbook = logbook;
        this.machineId = machineId;
        this.stamp = stamp;
        this.route = new Route(procedures);
        this.solver = new Solver(
                procedures,
                Optional.of(new Solver.Keeper() {
                    @Override
                    public <R extends Record, F extends Record> Entry.Place keep(
                            Procedure<R, F> procedure, R readings, Outcome<F> outcome) {
                        return record(procedure, readings, outcome);
                    }
                }),
                faults);
    }

    /**
     * Answers every line.
     *
     * @return how many were refused
     */
    public long record(InputStream worksheets, OutputStream answers) throws IOException {
        return solver.solve(worksheets, answers);
    }

    private <R extends Record, F extends Record> Entry.Place record(
            Procedure<R, F> procedure, R readings, Outcome<F> outcome) {
        Entry.Stamp now = stamp.get();
        MachineStatus machine = route.status(logbook.history(machineId), now.at(), now.zone());
        if (!procedure.appliesTo(machine.plate())) {
            throw new ReadingException("procedure", machine.plate().name() + " has no such stop");
        }
        machine.stop(procedure.card().id()).needed().ifPresent(needed -> {
            throw new ReadingException(
                    "procedure",
                    needed.stop().equals(FirstLight.ID)
                            ? "first light comes first: " + machine.gate().lifted() + " of "
                                    + machine.gate().bars().size() + " bars of the gate of "
                                    + machine.plate().name() + " are lifted; nothing was recorded"
                            : needed.title() + " of " + machine.plate().name()
                                    + " comes first, and has not passed; nothing was recorded");
        });
        Entry recorded = logbook.append(
                machineId, Body.Measured.of(procedure, readings, Map.of(), outcome, UnitChoice.METRIC), now);
        Following.record(logbook, recorded);
        return recorded.place();
    }
}
