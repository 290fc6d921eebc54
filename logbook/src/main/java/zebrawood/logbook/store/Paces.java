package zebrawood.logbook.store;

import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.json.Times;

/** How long the work between entries took. */
final class Paces {

    /** so many of the newest entries say how a shop works today */
    private static final int NEWEST = 4000;

    private static final double LEAST_MIN = 0.5;
    private static final double MOST_MIN = 90;

    private Paces() {}

    private record Before(Instant at, int number) {}

    static Map<String, List<Double>> of(Rows rows) throws SQLException {
        Map<String, List<Double>> minutes = new HashMap<>();
        Map<String, Before> before = new HashMap<>();
        rows.each(
                "select machine_id, number, kind, stop, recorded_at from entry where position > (select max(position) from "
                        + "entry) - ? order by position",
                row -> {
                    Instant at = Times.instant(row.getString(5));
                    Before last = before.put(row.getString(1), new Before(at, row.getInt(2)));
                    if (last != null
                            && last.number() == row.getInt(2) - 1
                            && row.getString(3).equals("reading")) {
                        double passed = Duration.between(last.at(), at).toSeconds() / 60.0;
                        if (passed >= LEAST_MIN && passed <= MOST_MIN) {
                            minutes.computeIfAbsent(row.getString(4), stop -> new ArrayList<>())
                                    .add(passed);
                        }
                    }
                },
                NEWEST);
        return minutes;
    }
}
