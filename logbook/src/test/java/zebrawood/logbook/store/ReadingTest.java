package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/** Somebody looks at a shop that only its owner may write to, while the owner records. */
class ReadingTest {

    @TempDir
    Path folder;

    @Test
    void whatTheOwnerRecordsIsSeenAndIsNoDamage() throws Exception {
        try (Logbook owner = Shop.open(folder)) {
            Shop.begin(owner, "plover", "Plover");
        }
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        SQLiteDataSource asItLies = new SQLiteDataSource(config);
        asItLies.setUrl("jdbc:sqlite:" + folder.resolve("logbook.db").toUri() + "?immutable=1");
        Opening.Opened opened = new Opening.Opened(
                asItLies,
                asItLies.getConnection(),
                Optional.of("its folder may not be written to"),
                InUse.together(folder));
        Reading reading = new Reading(folder, opened, true);
        assertThat(count(reading)).isEqualTo(1);
        try (Logbook owner = Shop.open(folder)) {
            for (int day = 1; day <= 200; day++) {
                owner.append("plover", Shop.climate(40 + day % 9), Shop.day(day));
                assertThat(count(reading)).isEqualTo(1 + day);
            }
        }
        assertThat(count(reading)).isEqualTo(201);
        reading.close(opened.inUse()::close);
        assertThat(folder.resolve(Opening.FOUND_DAMAGED)).doesNotExist();
    }

    private static long count(Reading reading) {
        return reading.read(ReadingTest::entries);
    }

    private static long entries(Rows rows) throws SQLException {
        return rows.first("select count(*) from entry", row -> row.getLong(1)).orElseThrow();
    }
}
