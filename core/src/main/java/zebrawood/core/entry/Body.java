package zebrawood.core.entry;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.safety.BarTest;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.StartCheck;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;

/** What an entry says. */
public sealed interface Body {

    /** Whether the laser fired for it. */
    default boolean usedLaser() {
        return this instanceof Measured measured && measured.fired()
                || this instanceof GateLine line && line.fired()
                || this instanceof Worked
                || this instanceof Foreign foreign && foreign.fired();
    }

    /**
     * Where on the Route it belongs: a procedure's id, {@code first-light}, {@code plate}, {@code event}, {@code work},
     * {@code service} or {@code point}.
     */
    String stop();

    /** The machine's plate from now on; the first entry of every chain. */
    record PlateSet(Plate plate, Map<String, String> asTyped) implements Body {
        public PlateSet {
            asTyped = Map.copyOf(asTyped);
        }

        @Override
        public String stop() {
            return "plate";
        }
    }

    /**
     * One bar of the first light gate, answered.
     *
     * @param bar its id
     * @param title what was asked, as shown
     * @param lifted whether it was seen to be so
     * @param fired whether answering it meant firing the laser
     * @param remark what was written beside it; may be empty
     * @param until the last day on which it counts, where what was seen runs out
     * @param tested what was tested and read for it; absent, not empty, where nothing was
     */
    record GateLine(
            String bar,
            String title,
            boolean lifted,
            boolean fired,
            String remark,
            Optional<LocalDate> until,
            Optional<Tested> tested)
            implements Body {

        /** One for which nothing was tested. */
        public GateLine(
                String bar, String title, boolean lifted, boolean fired, String remark, Optional<LocalDate> until) {
            this(bar, title, lifted, fired, remark, until, Optional.empty());
        }

        /** One that does not run out. */
        public GateLine(String bar, String title, boolean lifted, boolean fired, String remark) {
            this(bar, title, lifted, fired, remark, Optional.empty());
        }

        /** Remark and what was tested, on one line; empty where nothing was written. */
        public String beside() {
            return Stream.concat(
                            Stream.of(remark).filter(text -> !text.isEmpty()),
                            tested.stream().flatMap(all -> all.words().stream()))
                    .collect(Collectors.joining("; "));
        }

        @Override
        public String stop() {
            return "first-light";
        }
    }

    /**
     * What was tested for a bar.
     *
     * @param seen each test with its answer
     * @param second initials of a second person who saw it too, where the shop asks for one
     * @param failedBefore how it was not so before, in words, the oldest first
     */
    record Tested(List<BarTest.Seen> seen, Optional<String> second, List<String> failedBefore) {
        public Tested {
            seen = List.copyOf(seen);
            failedBefore = List.copyOf(failedBefore);
        }

        /** The same, where there is anything in it: absent, not empty, where there is not. */
        public Optional<Tested> ifAny() {
            return seen.isEmpty() && second.isEmpty() && failedBefore.isEmpty() ? Optional.empty() : Optional.of(this);
        }

        List<String> words() {
            return Stream.of(
                            seen.stream().map(each -> each.words() + ": " + each.answer()),
                            second.stream().map(who -> "seen by " + who + " too"),
                            failedBefore.stream().map(how -> "not so before: " + how))
                    .flatMap(Function.identity())
                    .toList();
        }
    }

    /** Work with covers open began; it ends when covers and interlock are seen to stop the beam again. */
    record ServiceBegun(ServiceFiring service) implements Body {
        @Override
        public String stop() {
            return "service";
        }
    }

    /**
     * Something happened to the machine.
     *
     * @param remark what was written beside it; may be empty
     * @param cleaning what was cleaned, where that is what happened
     */
    record Happened(Change change, String remark, Optional<Cleaning> cleaning) implements Body {

        public Happened(Change change, String remark) {
            this(change, remark, Optional.empty());
        }

        /** All that happened: a lens that was taken out to be cleaned was out and back too. */
        public Set<Change> changes() {
            return cleaning.filter(Cleaning::takenOut).isPresent()
                    ? Set.of(change, Change.LENS_CHANGED)
                    : Set.of(change);
        }

        @Override
        public String stop() {
            return "event";
        }
    }

    /**
     * One surface cleaned.
     *
     * @param surface which one: mirror 2, lens, window
     * @param residue what was on it; may be empty
     * @param damage what it is left with: burn, scratch, coating; may be empty
     * @param takenOut whether the lens came out of its seat for it, so that focus is found again
     */
    record Cleaning(String surface, String residue, String damage, boolean takenOut) {}

    /**
     * Work was done with it, and this is how it came out.
     *
     * @param along what was known of the machine at that moment
     */
    record Worked(WorkResult result, Map<String, String> asTyped, TakenAlong along) implements Body {
        public Worked {
            asTyped = Map.copyOf(asTyped);
        }

        @Override
        public String stop() {
            return "work";
        }
    }

    /**
     * Something is to be done that no stop says: a missing part, work for a licensed person.
     *
     * @param what is to be done
     * @param who is to do it; may be empty
     * @param due by when, where that was said
     */
    record PointOpened(String what, String who, Optional<LocalDate> due) implements Body {
        @Override
        public String stop() {
            return "point";
        }
    }

    /**
     * An open point is done with.
     *
     * @param opened number of the entry that opened it
     * @param what it was, as it stood there
     * @param how it was closed
     */
    record PointClosed(int opened, String what, String how) implements Body {
        @Override
        public String stop() {
            return "point";
        }
    }

    /** A pair of eyewear, or a window of a cover, was looked at; the newest of its name is how it lies there. */
    record EyewearSeen(EyewearPair pair) implements Body {
        @Override
        public String stop() {
            return "pair";
        }
    }

    /** The half minute before a job. */
    record Started(StartCheck check) implements Body {
        @Override
        public String stop() {
            return "start";
        }
    }

    /**
     * A procedure was gone through.
     *
     * @param procedure its id
     * @param version its version
     * @param fired whether the laser fired for it
     * @param readings what was read
     * @param asTyped path of a reading to the text as it was typed
     * @param finding what came of it
     * @param verdict what was made of it that day
     * @param instructions what to do, structured
     * @param shown what the person saw
     */
    record Measured(
            String procedure,
            int version,
            boolean fired,
            Record readings,
            Map<String, String> asTyped,
            Record finding,
            Verdict verdict,
            List<Instruction> instructions,
            Shown shown)
            implements Body {
        public Measured {
            asTyped = Map.copyOf(asTyped);
            instructions = List.copyOf(instructions);
        }

        @Override
        public String stop() {
            return procedure;
        }

        /** Whether this program knows its readings and its finding; otherwise they are {@link Unread}. */
        public boolean isRead() {
            return !(readings instanceof Unread) && !(finding instanceof Unread);
        }

        /**
         * The body of an entry for an outcome, with the words in the units in which they were shown.
         *
         * @param asTyped path of a reading to the text as it was typed; empty where nobody typed
         */
        public static <R extends Record, F extends Record> Measured of(
                Procedure<R, F> procedure,
                R readings,
                Map<String, String> asTyped,
                Outcome<F> outcome,
                UnitChoice units) {
            Shown shown = new Shown(
                    units,
                    procedure.keyFigure(outcome.finding()).in(units),
                    outcome.instructions().stream()
                            .map(instruction -> instruction.sentence(units))
                            .toList(),
                    procedure.evidence(outcome.finding()).stream()
                            .map(evidence ->
                                    new Pair(evidence.label(), evidence.figure().in(units)))
                            .toList(),
                    procedure.judgedBy(outcome.finding()).in(units));
            return new Measured(
                    procedure.card().id(),
                    procedure.card().version(),
                    procedure.card().fires(),
                    readings,
                    asTyped,
                    outcome.finding(),
                    outcome.verdict(),
                    outcome.instructions(),
                    shown);
        }
    }

    /**
     * Something that this program does not know: an entry of a newer one. It is shown as it stands, exported and
     * imported byte for byte, and judged by nobody here.
     *
     * @param kind as the entry names it
     * @param stop where on the Route it belongs, as the entry says
     * @param verdict as the entry says, where it says one
     * @param fired whether the laser fired for it
     * @param json what it says, as it stands in the entry
     */
    record Foreign(String kind, String stop, Optional<String> verdict, boolean fired, String json) implements Body {}

    /**
     * The words as they stood on the Slip.
     *
     * @param units the units they were said in
     * @param keyFigure what the Route showed
     * @param sentences a sentence an instruction
     * @param evidence label and figure
     * @param judgedBy the limits of the day
     */
    record Shown(UnitChoice units, String keyFigure, List<String> sentences, List<Pair> evidence, String judgedBy) {
        public Shown {
            sentences = List.copyOf(sentences);
            evidence = List.copyOf(evidence);
        }
    }

    /** A label and what stands beside it. */
    record Pair(String label, String figure) {}
}
