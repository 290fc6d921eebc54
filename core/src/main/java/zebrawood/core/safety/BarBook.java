package zebrawood.core.safety;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Properties;
import java.util.StringTokenizer;
import java.util.concurrent.ConcurrentHashMap;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate.Part;
import zebrawood.core.units.Quantity;

/** The bars as they stand in {@code first-light.properties}, for one family of machine. */
final class BarBook {

    private static final String LINES = "first-light.properties";
    private static final Properties BOOK = load();

    private static final Map<Family, BarBook> READ = new ConcurrentHashMap<>();

    private final String family;
    private final List<Bar> bars;

    private BarBook(Family family) {
        this.family = family.name().toLowerCase(Locale.ROOT).replace('_', '-');
        List<Bar> all = new ArrayList<>();
        for (String id : words("bars")) {
            all.add(bar(id));
        }
        bars = List.copyOf(all);
    }

    /** The bars of a family, read once. */
    static BarBook of(Family family) {
        BarBook read = READ.get(family);
        if (read == null) {
            read = new BarBook(family);
            READ.put(family, read);
        }
        return read;
    }

    private static Properties load() {
        Properties book = new Properties();
        try (InputStream bytes = BarBook.class.getResourceAsStream(LINES);
                Reader text = new InputStreamReader(bytes, StandardCharsets.UTF_8)) {
            book.load(text);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return book;
    }

    /** All bars, in order, with places for what a plate says. */
    List<Bar> bars() {
        return bars;
    }

    /** How a stage is called. */
    String title(Bar.Stage stage) {
        return text("stage." + stage);
    }

    /** How the laser is held off while the machine has power. */
    String held() {
        return text("held");
    }

    /** The part without which a machine does not have this bar. */
    Optional<Part> part(String bar) {
        return part(bar, ".part");
    }

    /** The part that stands for this bar where a machine has it. */
    Optional<Part> without(String bar) {
        return part(bar, ".without");
    }

    private Optional<Part> part(String bar, String name) {
        String said = look(bar + name);
        return said == null ? Optional.empty() : Optional.of(Part.valueOf(said));
    }

    private Bar bar(String id) {
        List<Bar.Other> others = new ArrayList<>();
        others.add(new Bar.Other(text(id + ".no"), text(id + ".then")));
        if (look(id + ".or") != null) {
            others.add(new Bar.Other(text(id + ".or"), text(id + ".or.then")));
        }
        String writes = look(id + ".writes");
        String words = look(id + ".writes.words");
        String kind = look(id + ".kind");
        String waits = look(id + ".wait");
        return new Bar(
                id,
                text(id + ".title"),
                text(id + ".action"),
                text(id + ".look"),
                text(id + ".yes"),
                others,
                Optional.empty(),
                new Bar.Written(
                        writes == null ? Bar.Form.REMARK : Bar.Form.valueOf(writes),
                        words == null ? "" : words,
                        OptionalDouble.empty()),
                kind == null ? Bar.Kind.LOOK : Bar.Kind.valueOf(kind),
                Bar.Stage.valueOf(text(id + ".stage")),
                Integer.parseInt(text(id + ".minutes")),
                waits == null ? 0 : Integer.parseInt(waits),
                parts(id + ".bring"),
                text(id + ".caution"),
                tests(id));
    }

    private List<BarTest> tests(String bar) {
        List<BarTest> tests = new ArrayList<>();
        for (String id : words(bar + ".tests")) {
            String at = bar + "." + id;
            String quantity = look(at + ".quantity");
            tests.add(new BarTest(
                    id,
                    text(at),
                    BarTest.Form.valueOf(text(at + ".form")),
                    Optional.ofNullable(look(at + ".none")),
                    quantity == null
                            ? Optional.empty()
                            : Optional.of(new BarTest.Range(
                                    Quantity.valueOf(quantity),
                                    number(at + ".above"),
                                    number(at + ".least"),
                                    number(at + ".most"),
                                    text(at + ".beyond"))),
                    parts(at + ".choices")));
        }
        return tests;
    }

    /** What stands under a name, for this family where that has its own; null where nothing does. */
    private String look(String name) {
        return BOOK.getProperty(name + "." + family, BOOK.getProperty(name));
    }

    private String text(String name) {
        String found = look(name);
        if (found == null) {
            throw new IllegalStateException(LINES + " has no " + name + " for " + family);
        }
        return found;
    }

    /** Words parted by blanks; none where nothing stands there. */
    private List<String> words(String name) {
        return apart(look(name), " ");
    }

    /** Texts parted by semicolons; none where nothing stands there. */
    private List<String> parts(String name) {
        return apart(look(name), ";");
    }

    /** By hand, not by a pattern: this is read at every start. */
    private static List<String> apart(String text, String by) {
        List<String> parts = new ArrayList<>();
        if (text != null) {
            StringTokenizer each = new StringTokenizer(text, by);
            while (each.hasMoreTokens()) {
                String part = each.nextToken().strip();
                if (!part.isEmpty()) {
                    parts.add(part);
                }
            }
        }
        return parts;
    }

    private OptionalDouble number(String name) {
        String found = look(name);
        return found == null ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(found));
    }
}
