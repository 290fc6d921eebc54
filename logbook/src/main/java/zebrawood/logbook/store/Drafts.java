package zebrawood.logbook.store;

import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import zebrawood.json.Times;

/** What is half typed, one draft a stop of a machine; no entry, and in no chain. */
final class Drafts {

    private Drafts() {}

    /** Keeps a draft in place of the earlier one. */
    static int keep(Rows rows, String machineId, String stop, Logbook.Draft draft) throws SQLException {
        return rows.change(
                "insert into draft (machine_id, stop, saved_at, content) values (?, ?, ?, ?) on conflict (machine_id, stop) "
                        + "do update set saved_at = excluded.saved_at, content = excluded.content",
                machineId,
                stop,
                draft.savedAt().toString(),
                draft.content());
    }

    /** The draft of a stop, if there is one. */
    static Optional<Logbook.Draft> find(Rows rows, String machineId, String stop) throws SQLException {
        return rows.first(
                "select content, saved_at from draft where machine_id = ? and stop = ?",
                row -> new Logbook.Draft(row.getString(1), Times.instant(row.getString(2))),
                machineId,
                stop);
    }

    /** All drafts of a machine, by their stops. */
    static Map<String, Logbook.Draft> all(Rows rows, String machineId) throws SQLException {
        Map<String, Logbook.Draft> drafts = new LinkedHashMap<>();
        rows.each(
                "select stop, content, saved_at from draft where machine_id = ?",
                row -> drafts.put(
                        row.getString(1), new Logbook.Draft(row.getString(2), Times.instant(row.getString(3)))),
                machineId);
        return drafts;
    }

    /** Forgets the draft of a stop, if there is one. */
    static int drop(Rows rows, String machineId, String stop) throws SQLException {
        return rows.change("delete from draft where machine_id = ? and stop = ?", machineId, stop);
    }
}
