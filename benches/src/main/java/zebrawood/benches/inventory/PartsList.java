package zebrawood.benches.inventory;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.ReadingException;
import zebrawood.json.Binder;
import zebrawood.json.StrictJson;

/**
 * What is looked for on a family of machine: the shop's own list, where it has one, else the one that ships. A list is
 * a JSON text of blocks, each a heading with the names under it, for all families or for some.
 *
 * @param blocks in the order in which one looks, at least one
 */
public record PartsList(List<Block> blocks) {

    /** The shop's own list, in the folder of its logbook. */
    public static final String FILE = "parts.json";

    /**
     * @param group the heading
     * @param sort a part that is ordered, or something to be so
     * @param families by their names, {@code gantry-co2}; all, where absent
     * @param names what is looked for
     */
    public record Block(
            String group, InventoryReadings.Sort sort, Optional<List<String>> families, List<String> names) {
        public Block {
            names = Checks.copy(names);
            Checks checks =
                    new Checks().text("group", group).present("sort", sort).entries("names", names, 1);
            List<String> of = families == null ? List.of() : families.orElse(List.of());
            for (int i = 0; i < of.size(); i++) {
                String family = of.get(i);
                checks.that(isFamily(family), "families[" + i + "]", "is no family of machine");
            }
            checks.done();
        }

        boolean isFor(String family) {
            return families.isEmpty() || families.get().contains(family);
        }
    }

    /** One line of a list. */
    public record Line(String group, String name, InventoryReadings.Sort sort) {}

    public PartsList {
        blocks = Checks.copy(blocks);
        new Checks().entries("blocks", blocks, 1).done();
    }

    private static boolean isFamily(String name) {
        for (Family family : Family.values()) {
            if (id(family).equals(name)) {
                return true;
            }
        }
        return false;
    }

    private static String id(Family family) {
        return family.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** No list that people write is longer, bytes. */
    public static final long MOST_BYTES = 1_000_000;

    /** The one that ships, as text to begin one's own with. */
    public static String shipped() {
        try (InputStream bytes = PartsList.class.getResourceAsStream(FILE)) {
            return new String(bytes.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /**
     * A list out of its text.
     *
     * @throws ReadingException where it is none, with the path of what is wrong
     */
    public static PartsList read(String text) {
        StrictJson.Tree tree = StrictJson.read(text);
        JsonNode root = tree.root();
        return Binder.bind(root, PartsList.class);
    }

    /** What is looked for on a family, each name once, heading by heading. */
    public List<Line> of(Family family) {
        Map<String, Map<String, Line>> groups = new LinkedHashMap<>();
        Set<String> names = new HashSet<>();
        for (Block block : blocks) {
            if (block.isFor(id(family))) {
                for (String name : block.names()) {
                    if (names.add(name)) {
                        groups.computeIfAbsent(block.group(), group -> new LinkedHashMap<>())
                                .put(name, new Line(block.group(), name, block.sort()));
                    }
                }
            }
        }
        return groups.values().stream()
                .flatMap(lines -> lines.values().stream())
                .toList();
    }
}
