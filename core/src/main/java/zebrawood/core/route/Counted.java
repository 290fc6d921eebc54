package zebrawood.core.route;

import java.time.Instant;
import java.util.function.Supplier;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;

/**
 * A reading that counts, as far as a machine's state follows from it; the whole of its entry is read when somebody
 * asks for it. Two are equal when they are of the same entry.
 */
public final class Counted {

    private final String hash;
    private final int standsAt;
    private final Verdict verdict;
    private final Instant since;
    private final Instant recorded;
    private Supplier<Entry> unread;
    private Entry entry;

    /**
     * @param hash of the entry
     * @param standsAt where in the chain it counts
     * @param since when what it says was so
     * @param recorded when it was recorded: later, for a correction
     * @param entry reads the whole of it
     */
    public Counted(String hash, int standsAt, Verdict verdict, Instant since, Instant recorded, Supplier<Entry> entry) {
        this.hash = hash;
        this.standsAt = standsAt;
        this.verdict = verdict;
        this.since = since;
        this.recorded = recorded;
        this.unread = entry;
    }

    /** Of a reading that is read already. */
    public static Counted of(Entry entry) {
        return new Counted(entry.place().hash(), entry.standsAt(), measured(entry).verdict(), entry.since(), entry.stamp().at(), () -> entry);
    }

    public int standsAt() {
        return standsAt;
    }

    public Verdict verdict() {
        return verdict;
    }

    public Instant since() {
        return since;
    }

    public Instant recorded() {
        return recorded;
    }

    /** The whole of it; read once. */
    public synchronized Entry entry() {
        if (entry == null) {
            entry = unread.get();
            unread = null;
        }
        return entry;
    }

    /** What the whole of it says. */
    public Body.Measured measured() {
        return measured(entry());
    }

    private static Body.Measured measured(Entry entry) {
        return (Body.Measured) entry.body();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Counted counted && counted.hash.equals(hash);
    }

    @Override
    public int hashCode() {
        return hash.hashCode();
    }
}
