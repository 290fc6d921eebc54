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
        bars = words("bars").stream().map(this::bar).toList();
    }

    /** The bars of a family, read once. */
    static BarBook of(Family family) {
        return READ.computeIfAbsent(family, BarBook::new);
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
        return find(bar + ".part").map(Part::valueOf);
    }

    /** The part that stands for this bar where a machine has it. */
    Optional<Part> without(String bar) {
        return find(bar + ".without").map(Part::valueOf);
    }

    private Bar bar(String id) {
        List<Bar.Other> others = new ArrayList<>();
        others.add(new Bar.Other(text(id + ".no"), text(id + ".then")));
        find(id + ".or").ifPresent(other -> others.add(new Bar.Other(other, text(id + ".or.then"))));
        Bar.Form form = find(id + ".writes").map(Bar.Form::valueOf).orElse(Bar.Form.REMARK);
        return new Bar(
                id,
                text(id + ".title"),
                text(id + ".action"),
                text(id + ".look"),
                text(id + ".yes"),
                others,
                Optional.empty(),
                new Bar.Written(form, find(id + ".writes.words").orElse(""), OptionalDouble.empty()),
                find(id + ".kind").map(Bar.Kind::valueOf).orElse(Bar.Kind.LOOK),
                Bar.Stage.valueOf(text(id + ".stage")),
                Integer.parseInt(text(id + ".minutes")),
                find(id + ".wait").map(Integer::parseInt).orElse(0),
                parts(id + ".bring"),
                text(id + ".caution"),
                tests(id));
    }

    private List<BarTest> tests(String bar) {
        List<BarTest> tests = new ArrayList<>();
        for (String id : find(bar + ".tests").isPresent() ? words(bar + ".tests") : List.<String>of()) {
            String at = bar + "." + id;
            Optional<Quantity> quantity = find(at + ".quantity").map(Quantity::valueOf);
            tests.add(new BarTest(
                    id,
                    text(at),
                    BarTest.Form.valueOf(text(at + ".form")),
                    find(at + ".none"),
                    quantity.map(of -> new BarTest.Range(
                            of,
                            number(at + ".above"),
                            number(at + ".least"),
                            number(at + ".most"),
                            text(at + ".beyond"))),
                    parts(at + ".choices")));
        }
        return tests;
    }

    /** What stands under a name, for this family where that has its own. */
    private Optional<String> find(String name) {
        return Optional.ofNullable(BOOK.getProperty(name + "." + family, BOOK.getProperty(name)));
    }

    private String text(String name) {
        return find(name).orElseThrow(() -> new IllegalStateException(LINES + " has no " + name + " for " + family));
    }

    private List<String> words(String name) {
        return List.of(text(name).strip().split(" +"));
    }

    private List<String> parts(String name) {
        return find(name).map(text -> List.of(text.strip().split(" *; *"))).orElse(List.of());
    }

    private OptionalDouble number(String name) {
        Optional<String> found = find(name);
        return found.isPresent() ? OptionalDouble.of(Double.parseDouble(found.get())) : OptionalDouble.empty();
    }
}
