package zebrawood.logbook.store;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.core.procedure.Procedure;

/**
 * Finds entries by the words and numbers in them. It stands in a file of its own beside the logbook, holds nothing that
 * the entries do not say, and is made anew from them when it is missing, damaged or of another make. It follows the
 * entries by their position in the shop chain: it catches up before a search, never while an entry is recorded.
 * Positions are kept in blocks, so that the newest are found first whatever the size of the shop.
 */
final class SearchIndex implements AutoCloseable {

    private static final String NAME = "search.db";
    /** raised when the index is to be made anew */
    private static final int MAKE = 1;
    /** entries an index file part; words are counted within it */
    private static final long BLOCK = 500_000;
    /** entries taken at once, so that a recording never waits for it */
    private static final int BATCH = 2_000;
    /** characters of one text that are looked at: some pages */
    private static final int LONGEST_TEXT = 20_000;

    private static final JsonFactory JSON = new JsonFactory();
    private static final Set<String> UNSAID = Set.of(
            "format",
            "machine",
            "previous",
            "hash",
            "finding",
            "readings",
            "instructions",
            "sha256",
            "program",
            "zone",
            "version",
            "units",
            "along",
            "standsAt",
            "since");
    private static final Pattern QUANTITY =
            Pattern.compile("(?:.*\\.)?([a-z]+(?:[A-Z][a-z]+)*?)(?:Mm|MmMin|Pct|C|W|Khz|Ns|S|Kg|Nm|Ma)");
    /** a field's name is longer only where it was made to be */
    private static final int LONGEST_FIELD = 80;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd d MMM MMMM", Locale.ENGLISH);

    private final Connection connection;
    private final Map<String, String> titles = new HashMap<>();
    private final Map<String, String> names = new HashMap<>();
    private long reached;
    private String reachedHash = "";
    private boolean fits;

    private SearchIndex(Connection connection, List<Procedure<?, ?>> procedures) throws SQLException {
        this.connection = connection;
        procedures.forEach(
                procedure -> titles.put(procedure.card().id(), procedure.card().title()));
        titles.put("first-light", "first light gate bar");
        titles.put("point", "open point");
        titles.put("start", "start of work");
        titles.put("service", "service firing");
        titles.put("pair", "eyewear pair");
        run("pragma journal_mode = wal");
        run("pragma synchronous = off");
        run("create table if not exists reached (make integer not null, position integer not null, row_hash "
                + "text not null)");
        run("create table if not exists named (machine text primary key, name text not null)");
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select make, position, row_hash from reached")) {
            boolean kept = row.next();
            if (kept && row.getInt(1) != MAKE) {
                throw new SQLException("of another make");
            }
            reached = kept ? row.getLong(2) : 0;
            reachedHash = kept ? row.getString(3) : "";
            if (!kept) {
                run("insert into reached values (" + MAKE + ", 0, '')");
            }
        }
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select machine, name from named")) {
            while (row.next()) {
                names.put(row.getString(1), row.getString(2));
            }
        }
        connection.setAutoCommit(false);
    }

    /** Opens it beside the logbook; in memory where that may not be written to. */
    static SearchIndex open(Path folder, boolean writable, List<Procedure<?, ?>> procedures) {
        try {
            if (!writable) {
                return new SearchIndex(DriverManager.getConnection("jdbc:sqlite::memory:"), procedures);
            }
            Path file = folder.resolve(NAME);
            PrivateFiles.createIfMissing(file);
            try {
                return new SearchIndex(DriverManager.getConnection("jdbc:sqlite:" + file), procedures);
            } catch (SQLException unusable) {
                for (String end : List.of("", "-wal", "-shm")) {
                    Files.deleteIfExists(file.resolveSibling(NAME + end));
                }
                return new SearchIndex(DriverManager.getConnection("jdbc:sqlite:" + file), procedures);
            }
        } catch (SQLException | IOException e) {
            throw new LogbookException("the search cannot be prepared: " + Database.inWords(e), e);
        }
    }

    /** Takes in what was recorded since, up to so many entries; how many it was. */
    long catchUp(Connection logbook, long most) {
        long taken = 0;
        try {
            if (!fits) {
                fits = true;
                forgetUnlessOf(logbook);
            }
            while (taken < most) {
                long wanted = Math.min(BATCH, most - taken);
                int batch = batch(logbook, wanted);
                taken += batch;
                if (batch < wanted) {
                    break;
                }
            }
            return taken;
        } catch (SQLException e) {
            throw new LogbookException("the search cannot be brought up to date: " + Database.inWords(e), e);
        }
    }

    /** A logbook that was put back from a backup is another one from some position on: then all is read anew. */
    private void forgetUnlessOf(Connection logbook) throws SQLException {
        if (reached == 0 || reachedHash.equals(rowHash(logbook))) {
            return;
        }
        for (long block = 0; block <= reached / BLOCK; block++) {
            run("drop table if exists words_" + block);
        }
        names.clear();
        run("delete from named");
        run("update reached set position = 0, row_hash = ''");
        connection.commit();
        reached = 0;
    }

    private String rowHash(Connection logbook) throws SQLException {
        try (PreparedStatement row = logbook.prepareStatement("select row_hash from shop_chain where position = ?")) {
            row.setLong(1, reached);
            try (ResultSet found = row.executeQuery()) {
                return found.next() ? found.getString(1) : "";
            }
        }
    }

    private int batch(Connection logbook, long wanted) throws SQLException {
        int taken = 0;
        try (PreparedStatement entries = logbook.prepareStatement(
                "select position, machine_id, stop, verdict, bytes from entry where position > ? order by "
                        + "position limit "
                        + wanted)) {
            entries.setLong(1, reached);
            long block = -1;
            PreparedStatement words = null;
            long last = reached;
            try (ResultSet row = entries.executeQuery()) {
                while (row.next()) {
                    last = row.getLong(1);
                    if (last / BLOCK != block) {
                        block = last / BLOCK;
                        words = words == null ? block(block) : done(words, block);
                    }
                    words.setLong(1, last);
                    words.setString(2, String.join(" ", tokens(row)));
                    words.addBatch();
                    taken++;
                }
            }
            if (words != null) {
                words.executeBatch();
                words.close();
            }
            if (taken > 0) {
                reached = last;
                reachedHash = rowHash(logbook);
                run("update reached set position = " + reached + ", row_hash = '" + reachedHash + "'");
                connection.commit();
            }
        } catch (SQLException e) {
            connection.rollback();
            throw e;
        }
        return taken;
    }

    private PreparedStatement done(PreparedStatement words, long next) throws SQLException {
        words.executeBatch();
        words.close();
        return block(next);
    }

    private PreparedStatement block(long block) throws SQLException {
        run("create virtual table if not exists words_" + block
                + " using fts5(text, content='', detail=none, columnsize=0, prefix='1 2 3',"
                + " tokenize=\"unicode61 tokenchars '.'\")");
        return connection.prepareStatement("insert into words_" + block + " (rowid, text) values (?, ?)");
    }

    /** What an entry says: names, dates, everything shown and typed; not what stands in its finding only. */
    private Set<String> tokens(ResultSet row) throws SQLException {
        Set<String> tokens = new LinkedHashSet<>();
        String machine = row.getString(2);
        String stop = row.getString(3);
        add(titles.getOrDefault(stop, stop), tokens);
        add(row.getString(4), tokens);
        try (JsonParser json = JSON.createParser(row.getBytes(5))) {
            boolean unnamed = "plate".equals(stop);
            for (JsonToken token = json.nextToken(); token != null; token = json.nextToken()) {
                String field = json.currentName();
                if (token == JsonToken.FIELD_NAME && UNSAID.contains(field)) {
                    json.nextToken();
                    json.skipChildren();
                } else if (token == JsonToken.FIELD_NAME) {
                    quantity(field, tokens);
                } else if (token == JsonToken.VALUE_STRING && "at".equals(field)) {
                    add(DAY.format(Instant.parse(json.getText()).atOffset(ZoneOffset.UTC)), tokens);
                } else if (token == JsonToken.VALUE_STRING) {
                    if (unnamed && "name".equals(field)) {
                        unnamed = false;
                        name(machine, json.getText());
                    }
                    add(json.getText(), tokens);
                } else if (token.isNumeric()) {
                    add(json.getText(), tokens);
                }
            }
        } catch (IOException unreadable) {
            // what verify finds, not what a search is for
            return tokens;
        }
        add(names.getOrDefault(machine, ""), tokens);
        return tokens;
    }

    /** What a field with a unit in its name holds: {@code gap} of {@code setup.gapMm}. */
    private static void quantity(String field, Set<String> tokens) {
        if (field.length() > LONGEST_FIELD) {
            return;
        }
        Matcher named = QUANTITY.matcher(field);
        if (named.matches()) {
            add(named.group(1).replaceAll("([A-Z])", " $1"), tokens);
        }
    }

    /** Entries carry no name: an entry is found by the name its machine had then. */
    private void name(String machine, String name) throws SQLException {
        names.put(machine, name);
        try (PreparedStatement keep = connection.prepareStatement("insert or replace into named values (?, ?)")) {
            keep.setString(1, machine);
            keep.setString(2, name);
            keep.executeUpdate();
        }
    }

    private static void add(String text, Set<String> tokens) {
        if (text != null) {
            SearchWords.of(text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text, tokens);
        }
    }

    /** Positions before one, the newest first, of entries in which all the words stand. */
    List<Long> find(String typed, long before, int most) {
        Set<String> wanted = new LinkedHashSet<>();
        add(typed, wanted);
        List<Long> found = new ArrayList<>();
        if (wanted.isEmpty()) {
            return found;
        }
        boolean begun = !typed.endsWith(" ");
        StringBuilder match = new StringBuilder();
        int left = wanted.size();
        for (String word : wanted) {
            left--;
            String quoted = "\"" + word + "\"";
            boolean last = left == 0 && begun;
            boolean whole = !last && SearchWords.isNumber(word) && !word.contains(".");
            // a whole number is also found with decimals, 12 as 12.0 but not as 1200; what is still being typed is only
            // begun
            match.append(match.length() == 0 ? "" : " AND ")
                    .append(
                            last || SearchWords.isNumber(word) && !whole
                                    ? quoted + "*"
                                    : whole ? "(" + quoted + " OR \"" + word + ".\"*)" : quoted);
        }
        try {
            for (long block = Math.min(before, reached) / BLOCK; block >= 0 && found.size() < most; block--) {
                try (PreparedStatement query =
                        connection.prepareStatement("select rowid from words_" + block + " where words_" + block
                                + " match ? and rowid < ? order by rowid desc limit " + (most - found.size()))) {
                    query.setString(1, match.toString());
                    query.setLong(2, before);
                    try (ResultSet row = query.executeQuery()) {
                        while (row.next()) {
                            found.add(row.getLong(1));
                        }
                    }
                }
            }
        } catch (SQLException e) {
            if (!String.valueOf(e.getMessage()).contains("no such table")) {
                throw new LogbookException("the search failed: " + Database.inWords(e), e);
            }
        }
        return found;
    }

    private void run(String statement) throws SQLException {
        try (Statement running = connection.createStatement()) {
            running.execute(statement);
        }
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
