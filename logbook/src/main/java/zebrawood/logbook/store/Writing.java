package zebrawood.logbook.store;

import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.sqlite.SQLiteDataSource;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;

/**
 * What is recorded, and why it cannot be, in sentences. The connection that appends is opened when something is
 * appended for the first time.
 */
final class Writing {

    private final SQLiteDataSource source;
    private final EntryBytes codec;
    private final Optional<String> whyReadOnly;
    private final FilePlace place;
    private Appender appender;

    Writing(SQLiteDataSource source, EntryBytes codec, Optional<String> whyReadOnly, FilePlace place) {
        this.source = source;
        this.place = place;
        this.codec = codec;
        this.whyReadOnly = whyReadOnly;
    }

    private interface Recording<T> {
        T run(Appender appender) throws SQLException;
    }

    private <T> T recording(Recording<T> work) {
        try {
            return work.run(appender());
        } catch (SQLException e) {
            throw new LogbookException("nothing was recorded: " + Database.inWords(e) + ". What you typed is kept", e);
        }
    }

    private synchronized Appender appender() throws SQLException {
        mayRecord();
        if (appender == null) {
            appender = new Appender(source.getConnection(), codec, place);
        }
        return appender;
    }

    /** @throws LogbookException where the logbook is open for reading only */
    void mayRecord() {
        if (whyReadOnly.isPresent()) {
            throw new LogbookException(
                    "nothing was recorded: this logbook is open for reading only, as " + whyReadOnly.get());
        }
    }

    Entry append(
            String machineId,
            Body body,
            Optional<Logbook.Correcting> correcting,
            List<NewAttachment> attachments,
            Entry.Stamp stamp) {
        return recording(writing -> {
            Optional<Entry.Correction> corrects = Optional.empty();
            if (correcting.isPresent()) {
                corrects = Optional.of(correction(writing, machineId, body, correcting.get()));
            }
            return writing.append(machineId, body, corrects, attachments, stamp);
        });
    }

    private static Entry.Correction correction(
            Appender writing, String machineId, Body body, Logbook.Correcting correcting) throws SQLException {
        Entry old = writing.find(machineId, correcting.number())
                .orElseThrow(() -> new LogbookException(
                        "there is no entry " + correcting.number() + " of this machine to correct"));
        if (!old.body().stop().equals(body.stop())) {
            throw new LogbookException(
                    "entry " + correcting.number() + " is of another stop; a correction stays at its stop");
        }
        if (!old.isWhollyKnown()) {
            throw new LogbookException("nothing was recorded: entry " + correcting.number()
                    + " was recorded by the newer Zebrawood " + old.stamp().program()
                    + " and says what this one does not know; correct it there, or update this program");
        }
        return new Entry.Correction(correcting.number(), old.standsAt(), old.since(), correcting.why());
    }

    void together(Runnable appending) {
        recording(writing -> {
            writing.together(appending);
            return writing;
        });
    }

    void takeBack(StoredEntry stored, Function<Entry.Attachment, NewAttachment.Content> files) {
        recording(writing -> {
            writing.takeBack(stored, files);
            return writing;
        });
    }

    synchronized void close() throws SQLException {
        if (appender != null) {
            appender.close();
        }
    }
}
