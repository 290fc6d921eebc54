package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.logbook.store.Verification.Flaw;

/**
 * Compares each index of a large logbook with its table by what both add up to, group by group: how many rows there
 * are, and two sums over the number that the index is ordered by. A row that an index misses, has twice or has under
 * another key changes them. It reads each index once from end to end; looking each row up in each index takes many
 * times longer.
 */
final class IndexTotals {

    /** two primes: the second sum is no multiple of the first */
    private static final long ONE = 997;

    private static final long OTHER = 1_000_003;

    private static final List<Index> INDEXES = List.of(
            new Index("entry_by_stop", List.of("machine_id", "stop"), "stands_at", ""),
            new Index("entry_by_kind", List.of("machine_id", "kind"), "number", ""),
            new Index("entry_by_machine_position", List.of("machine_id"), "position", ""),
            new Index("entry_by_machine_position", List.of("stop", "verdict"), "position", ""),
            new Index("entry_by_stop_position", List.of("stop"), "position", ""),
            new Index("entry_by_verdict_position", List.of("verdict"), "position", ""),
            new Index("entry_by_stop_verdict", List.of("stop", "verdict"), "position", ""),
            new Index("entry_by_correction", List.of("machine_id"), "corrects", "corrects is not null"),
            new Index("entry_by_use", List.of("machine_id"), "number", "fired = 1 and corrects is null"),
            new Index("sqlite_autoindex_entry_3", List.of("machine_id"), "number", ""),
            new Index("sqlite_autoindex_entry_1", List.of(), "position", ""),
            new Index("sqlite_autoindex_entry_2", List.of(), "", ""),
            new Index("sqlite_autoindex_shop_chain_1", List.of(), "position", ""));

    private final Map<Group, Sums> table = new HashMap<>();

    /**
     * An index and how it is added up.
     *
     * @param by columns of a group
     * @param number the column that is added up; empty where rows are only counted
     * @param where which rows it holds; empty for all
     */
    record Index(String name, List<String> by, String number, String where) {
        String sql(String number) {
            String of = name.contains("shop_chain") ? "shop_chain" : "entry";
            String groups =
                    by.stream().map(column -> "coalesce(" + column + ", '')").collect(Collectors.joining(", "));
            return "select count(*), "
                    + (number.isEmpty()
                            ? "0, 0"
                            : "sum(" + number + "), sum((" + number + " % " + ONE + ") * (" + number + " % " + OTHER
                                    + "))")
                    + (groups.isEmpty() ? "" : ", " + groups)
                    + " from " + of + " indexed by " + name
                    + (where.isEmpty() ? "" : " where " + where)
                    + (groups.isEmpty() ? "" : " group by " + String.join(", ", by));
        }
    }

    /** What entries have in common. */
    private record Group(String machine, String stop, String kind, String verdict, boolean use, boolean correction) {
        String column(String name) {
            return switch (name) {
                case "machine_id" -> machine;
                case "stop" -> stop;
                case "kind" -> kind;
                case "verdict" -> verdict;
                default -> throw new IllegalArgumentException(name);
            };
        }
    }

    /** How many, and sums over number, position, place in time and what is corrected. */
    private static final class Sums {
        private long count;
        private final Map<String, long[]> over = new HashMap<>();

        void add(String column, long number) {
            long[] sums = over.computeIfAbsent(column, missing -> new long[2]);
            sums[0] += number;
            sums[1] += number % ONE * (number % OTHER);
        }
    }

    /** Takes one entry as it stands in the table; used by one thread. */
    void add(EntryHead said, long position, String standsAt) {
        boolean corrects = said.corrects() != null;
        Group group = new Group(
                text(said.machine()),
                text(said.stop()),
                text(said.kind()),
                text(said.verdict()),
                said.fired() && !corrects,
                corrects);
        Sums sums = table.computeIfAbsent(group, missing -> new Sums());
        sums.count++;
        sums.add("number", whole(said.number()));
        sums.add("position", position);
        sums.add("stands_at", whole(standsAt));
        if (corrects) {
            sums.add("corrects", whole(said.corrects()));
        }
    }

    private static String text(String said) {
        return Objects.requireNonNullElse(said, "");
    }

    /** What an entry says that is no number is told by whoever reads the entry. */
    private static long whole(String said) {
        try {
            return Long.parseLong(said);
        } catch (NumberFormatException none) {
            return 0;
        }
    }

    /**
     * What the indexes add up to, read beside the table.
     *
     * @param sums of each index that could be read
     * @param flaws of those that could not
     */
    record OfIndexes(Map<Index, Map<List<String>, List<Long>>> sums, List<Flaw> flaws) {}

    static OfIndexes ofIndexes(Connection connection) {
        OfIndexes found = new OfIndexes(new HashMap<>(), new ArrayList<>());
        for (Index index : INDEXES) {
            try {
                found.sums().put(index, inIndex(connection, index));
            } catch (SQLException e) {
                found.flaws()
                        .add(Flaw.beside(
                                "the database", "index " + index.name(), "cannot be read: " + Database.inWords(e)));
            }
        }
        return found;
    }

    /** What does not add up. */
    List<Flaw> flaws(OfIndexes indexes) {
        List<Flaw> flaws = new ArrayList<>(indexes.flaws());
        indexes.sums().forEach((index, sums) -> {
            if (!sums.equals(inTable(index))) {
                flaws.add(Flaw.beside("the database", "index " + index.name(), "does not hold what its table holds"));
            }
        });
        return flaws;
    }

    private static Map<List<String>, List<Long>> inIndex(Connection connection, Index index) throws SQLException {
        Map<List<String>, List<Long>> found = new HashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(index.sql(index.number()))) {
            while (row.next()) {
                List<String> key = new ArrayList<>();
                for (int i = 0; i < index.by().size(); i++) {
                    key.add(Objects.requireNonNullElse(row.getString(4 + i), ""));
                }
                found.put(key, Arrays.asList(row.getLong(1), row.getLong(2), row.getLong(3)));
            }
        }
        return found;
    }

    private Map<List<String>, List<Long>> inTable(Index index) {
        Predicate<Group> holds = index.where().startsWith("corrects")
                ? Group::correction
                : index.where().startsWith("fired") ? Group::use : group -> true;
        Map<List<String>, List<Long>> sums = new HashMap<>();
        table.forEach((group, of) -> {
            if (holds.test(group)) {
                long[] over = of.over.getOrDefault(index.number(), new long[2]);
                sums.merge(
                        index.by().stream().map(group::column).toList(),
                        List.of(of.count, over[0], over[1]),
                        (one, other) -> Stream.of(0, 1, 2)
                                .map(i -> one.get(i) + other.get(i))
                                .toList());
            }
        });
        return sums;
    }
}
