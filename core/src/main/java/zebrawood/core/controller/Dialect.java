package zebrawood.core.controller;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What the numbers of one sort of controller mean. A dialect is a data file; another one is another file. */
public final class Dialect {

    /** The dialect where none is named. */
    public static final String DEFAULT = "dollar-numbers";

    /** How a value is told. */
    enum Kind {
        SWITCH,
        MASK,
        NUMBER
    }

    /**
     * @param name in words
     * @param unit of the value, may be empty
     * @param kind how a value is told
     * @param otherwise what goes wrong when it is not as needed, may be empty
     */
    record Meaning(String name, String unit, Kind kind, String otherwise) {}

    private static final Dialect DOLLAR_NUMBERS = read(DEFAULT);

    private final Map<Integer, Meaning> meanings;

    private Dialect(Map<Integer, Meaning> meanings) {
        this.meanings = meanings;
    }

    static Optional<Dialect> find(String id) {
        return id.equals(DEFAULT) ? Optional.of(DOLLAR_NUMBERS) : Optional.empty();
    }

    Optional<Meaning> findMeaning(int number) {
        return Optional.ofNullable(meanings.get(number));
    }

    private static Dialect read(String id) {
        Map<Integer, Meaning> meanings = new TreeMap<>();
        try (InputStream file = Dialect.class.getResourceAsStream(id + ".txt")) {
            for (String line : new String(file.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (!line.isBlank() && !line.startsWith("#")) {
                    String[] part = line.split("\\|", -1);
                    meanings.put(
                            Integer.parseInt(part[0].strip()),
                            new Meaning(part[1].strip(), part[2].strip(), kind(part[3].strip()), part[4].strip()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new Dialect(meanings);
    }

    private static Kind kind(String word) {
        return switch (word) {
            case "switch" -> Kind.SWITCH;
            case "mask" -> Kind.MASK;
            default -> Kind.NUMBER;
        };
    }
}
