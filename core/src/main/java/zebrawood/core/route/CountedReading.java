package zebrawood.core.route;

import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.function.Supplier;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;

/**
 * A reading that counts, as far as a machine's state follows from it; the whole of its entry is read when somebody asks
 * for it. Two are equal when they are of the same entry.
 */
public final class CountedReading {

    private final String hash;
    private final int standsAt;
    private final Verdict verdict;
    private final When when;
    private final Predicate<String> found;
    private Supplier<Entry> unread;
    private Entry entry;

    /**
     * When it counts.
     *
     * @param since when what it says was so
     * @param recorded when it was recorded: later, for a correction
     * @param zone the offset where it was recorded: its days are counted there
     */
    public record When(Instant since, Instant recorded, ZoneOffset zone) {}

    /**
     * @param hash of the entry
     * @param standsAt where in the chain it counts
     * @param found whether its finding has something in a component, told without reading the whole of it
     * @param entry reads the whole of it
     */
    public CountedReading(
            String hash, int standsAt, Verdict verdict, When when, Predicate<String> found, Supplier<Entry> entry) {
        this.found = found;
        this.hash = hash;
        this.standsAt = standsAt;
        this.verdict = verdict;
        this.when = when;
        this.unread = entry;
    }

    /** Of a reading that is read already. */
    public static CountedReading of(Entry entry) {
        return new CountedReading(
                entry.place().hash(),
                entry.standsAt(),
                ((Body.Measured) entry.body()).verdict(),
                new When(entry.since(), entry.stamp().at(), entry.stamp().zone()),
                component -> has(((Body.Measured) entry.body()).finding(), component),
                () -> entry);
    }

    public int standsAt() {
        return standsAt;
    }

    public Verdict verdict() {
        return verdict;
    }

    /** When what it says was so. */
    public Instant since() {
        return when.since();
    }

    /** The day on which what it says was so, where it was recorded. */
    public LocalDate day() {
        return when.since().atOffset(when.zone()).toLocalDate();
    }

    /** When it was recorded: later than {@link #since}, for a correction. */
    public Instant recorded() {
        return when.recorded();
    }

    /** The whole of it; read once. */
    public synchronized Entry entry() {
        if (entry == null) {
            entry = unread.get();
            unread = null;
        }
        return entry;
    }

    /** What the whole of it says; empty where a newer program wrote it in a form that this one does not know. */
    public Optional<Body.Measured> measured() {
        return entry().body() instanceof Body.Measured measured ? Optional.of(measured) : Optional.empty();
    }

    /** Whether it proves its figure: it satisfies, and was not only looked for in a quick way. */
    public boolean proves(Procedure<?, ?> procedure) {
        return verdict.satisfies()
                && (procedure.proof().isEmpty() || found.test(procedure.proof().get()));
    }

    /** Whether a finding has something in a component. */
    private static boolean has(Record finding, String component) {
        try {
            for (RecordComponent each : finding.getClass().getRecordComponents()) {
                if (each.getName().equals(component)) {
                    Object value = each.getAccessor().invoke(finding);
                    return !(value.equals(OptionalDouble.empty()) || value.equals(Optional.empty()));
                }
            }
            return false;
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof CountedReading counted && counted.hash.equals(hash);
    }

    @Override
    public int hashCode() {
        return hash.hashCode();
    }
}
