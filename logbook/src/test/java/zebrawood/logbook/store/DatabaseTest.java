package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** What is said when the database cannot do what it should. */
class DatabaseTest {

    @TempDir
    private Path folder;

    /**
     * Every error that the driver knows comes out as the end of a sentence; those that a person can do something about
     * say what.
     */
    @ParameterizedTest
    @EnumSource(SQLiteErrorCode.class)
    void everyErrorIsSaidInWords(SQLiteErrorCode code) {
        String words = Database.inWords(
                new LogbookException("outer", new SQLiteException("what the driver says\nin lines", code)));
        String kind = code.name();
        if (kind.startsWith("SQLITE_FULL")) {
            assertThat(words).contains("disk is full");
        } else if (kind.startsWith("SQLITE_IOERR")) {
            assertThat(words).contains("look whether it is still there");
        } else if (kind.startsWith("SQLITE_BUSY") || kind.startsWith("SQLITE_LOCKED")) {
            assertThat(words).contains("another program has held the logbook for");
        } else if (kind.startsWith("SQLITE_READONLY")
                || kind.startsWith("SQLITE_CANTOPEN")
                || kind.startsWith("SQLITE_PERM")) {
            assertThat(words).contains("may not be written to");
        } else if (kind.startsWith("SQLITE_CORRUPT") || kind.equals("SQLITE_NOTADB")) {
            assertThat(words).contains("its file is damaged");
            assertThat(Database.isDamage(new SQLiteException("", code))).isTrue();
        }
        assertThat(words).isNotBlank().doesNotContain("\n", "Exception");
    }

    @Test
    void aPlainErrorIsKnownByItsNumber() {
        assertThat(Database.inWords(new SQLException("cut", "HY000", SQLiteErrorCode.SQLITE_FULL.code)))
                .contains("disk is full");
        assertThat(Database.isDamage(new SQLException("cut", "HY000", SQLiteErrorCode.SQLITE_CORRUPT.code)))
                .isTrue();
        assertThat(Database.inWords(new SQLException("of no number")))
                .contains("could not be read or written")
                .doesNotContain("of no number");
        assertThat(Database.isDamage(new IOException("no database at all"))).isFalse();
    }

    @Test
    void aFileWhereTheFolderShouldBeIsToldInASentence() throws IOException {
        Path file = Files.writeString(folder.resolve("shop"), "a letter");
        assertThatThrownBy(() -> Shop.open(file))
                .isInstanceOf(LogbookException.class)
                .hasMessageContaining(file.toString())
                .hasMessageContaining("cannot be made or written to");
        assertThat(file).content().isEqualTo("a letter");
    }

    @Test
    void aDatabaseThatIsNoneIsToldAndLeftAsItIs() throws IOException {
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.whyReadOnly()).isEmpty();
        }
        Path database = folder.resolve("logbook.db");
        byte[] whole = Files.readAllBytes(database);
        byte[] text =
                "this is no database, whatever its name says. ".repeat(200).getBytes(StandardCharsets.UTF_8);
        Files.write(database, text);
        assertThatThrownBy(() -> Shop.open(folder))
                .isInstanceOf(DamagedLogbookException.class)
                .hasMessageContaining("damaged");
        assertThat(database).hasBinaryContent(text);
        Files.write(database, Arrays.copyOf(whole, 60));
        assertThatThrownBy(() -> Shop.open(folder)).isInstanceOf(DamagedLogbookException.class);
    }

    @Test
    void whatIsAskedOfAClosedLogbookIsRefusedInASentence() {
        Logbook logbook = Shop.open(folder);
        Shop.begin(logbook, "wren", "Wren");
        logbook.close();
        assertThatThrownBy(() -> logbook.readings("wren", "site-climate", 3))
                .isInstanceOf(LogbookException.class)
                .hasMessageStartingWith("the logbook cannot be read: ");
        assertThatThrownBy(logbook::head).isInstanceOf(LogbookException.class);
        assertThatThrownBy(() -> logbook.append("wren", Shop.climate(40), Shop.day(1)))
                .isInstanceOf(LogbookException.class)
                .hasMessageStartingWith("nothing was recorded: ")
                .hasMessageEndingWith("What you typed is kept");
    }
}
