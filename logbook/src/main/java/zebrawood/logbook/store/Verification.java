package zebrawood.logbook.store;

import java.sql.SQLException;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.Stream;
import org.sqlite.SQLiteDataSource;

/**
 * What a check of the whole logbook found: every entry against its hash, its columns by type and value, the entry
 * before it and the shop chain; every attachment against the entries that name it; every index against its table; the
 * schema against the one that this program makes.
 *
 * @param entries how many entries were checked
 * @param attachments how many attachments were checked
 * @param head hash of the shop chain's last row
 * @param flaws what does not hold, in the order found; empty when everything does
 */
public record Verification(long entries, long attachments, String head, List<Flaw> flaws) {

    /** What a flaw touches. */
    public enum Kind {
        /** what was recorded: an entry, a chain, an attachment */
        RECORD,
        /** what stands beside it and can be made anew from it: an index, the schema, free space */
        BESIDE
    }

    /**
     * One thing that does not hold.
     *
     * @param where the entry, such as {@code Wren no. 12}, or the row of the shop chain
     * @param part which part of it
     * @param why in words
     */
    public record Flaw(Kind kind, String where, String part, String why) {
        /** One in what was recorded. */
        static Flaw of(String where, String part, String why) {
            return new Flaw(Kind.RECORD, where, part, why);
        }

        /** One in what can be made anew from it. */
        static Flaw beside(String where, String part, String why) {
            return new Flaw(Kind.BESIDE, where, part, why);
        }

        @Override
        public String toString() {
            return where + ": " + part + " " + why;
        }
    }

    public Verification {
        flaws = List.copyOf(flaws);
    }

    /** Whether every entry, chain and attachment is as it was written, and all that finds them is as it should be. */
    public boolean holds() {
        return flaws.isEmpty();
    }

    /** What was found, as one sentence without its full stop. */
    public String inWords() {
        String counted = entries + (entries == 1 ? " entry" : " entries");
        if (holds()) {
            return "Whole: " + counted + ", " + attachments + (attachments == 1 ? " attachment" : " attachments");
        }
        String many = flaws.size() + (flaws.size() == 1 ? " fault" : " faults");
        return flaws.stream().allMatch(flaw -> flaw.kind() == Kind.BESIDE)
                ? "Not whole: all " + counted + " are as they were written, but what finds them is damaged (" + many
                        + "), so that some may not be shown. It can be put right, and nothing is lost. First fault: "
                        + flaws.get(0)
                : "Not whole: what was recorded is damaged (" + many + " in " + counted
                        + "). A whole backup may bring it back. First fault: " + flaws.get(0);
    }

    /** The same with further flaws. */
    Verification with(List<Flaw> more) {
        return new Verification(
                entries,
                attachments,
                head,
                Stream.concat(flaws.stream(), more.stream()).toList());
    }

    static Verification of(SQLiteDataSource source, List<String> expected, LongConsumer progress) throws SQLException {
        try (Checking checking = new Checking(source, progress)) {
            return checking.run(expected);
        }
    }
}
