package zebrawood.kit.form;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;

/**
 * All that is read at a stop, in the order in which it is measured. It fills the form, puts what is typed into the
 * readings, fills the form again from an entry, and makes the table of an entry's readings.
 *
 * @param fields one by one
 * @param rows a list of which each row of the form is one, where there is such a list
 * @param listed lists in the readings that the bench fills itself, for tables
 */
public record FieldList(List<Field> fields, Optional<Rows> rows, List<Listed> listed) {

    /** The component of a listed thing that says what it is called. */
    private static final String CALLED = "name";

    /**
     * A list of which each row of the form is one.
     *
     * @param list its name in the readings
     * @param most how many rows there can be
     * @param columns a field each, by its name within the row
     * @param own whether the bench puts rows into the readings itself
     * @param first whether rows are measured before the fields
     */
    public record Rows(String list, int most, List<Field> columns, boolean own, boolean first) {
        public Rows {
            columns = List.copyOf(columns);
        }

        /** The name of a field in a row: {@code loads[2].ratedW}. */
        public String field(int row, String column) {
            return list + "[" + row + "]." + column;
        }
    }

    /**
     * A list in the readings.
     *
     * @param prefix before what each of it is called; may be empty
     * @param list its path: {@code other.openings}
     * @param called the component that says what each of it is called
     * @param parts what is told of each
     */
    public record Listed(String prefix, String list, String called, List<Field> parts) {
        public Listed {
            parts = List.copyOf(parts);
        }
    }

    public FieldList {
        fields = List.copyOf(fields);
        listed = List.copyOf(listed);
    }

    /** Fields in the order in which one is led through them. */
    public static FieldList of(Field... fields) {
        return new FieldList(List.of(fields), Optional.empty(), List.of());
    }

    /** With rows for a list after the fields, which go into the readings as they stand. */
    public FieldList rows(String list, int most, Field... columns) {
        return new FieldList(fields, Optional.of(new Rows(list, most, List.of(columns), false, false)), listed);
    }

    /** With rows that the bench puts into the readings itself. */
    public FieldList ownRows(String list, int most, boolean first, Field... columns) {
        return new FieldList(fields, Optional.of(new Rows(list, most, List.of(columns), true, first)), listed);
    }

    /** With a list of the readings that tables tell of. */
    public FieldList listed(String prefix, String list, String called, Field... parts) {
        return new FieldList(
                fields,
                rows,
                Stream.concat(listed.stream(), Stream.of(new Listed(prefix, list, called, List.of(parts))))
                        .toList());
    }

    /** The same list with other fields of the same names. */
    public FieldList replacing(Field... others) {
        Map<String, Field> by = Stream.of(others).collect(Collectors.toMap(Field::name, Function.identity()));
        return new FieldList(
                fields.stream()
                        .map(field -> by.getOrDefault(field.name(), field))
                        .toList(),
                rows,
                listed);
    }

    /**
     * The field of this name.
     *
     * @throws IllegalArgumentException where there is none
     */
    public Field field(String name) {
        return fields.stream()
                .filter(field -> field.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no field " + name));
    }

    /**
     * Puts what stands in the fields into the readings.
     *
     * @param known what counts where nothing is typed, by the name of its field
     */
    void assemble(Worksheet sheet, Map<String, Amount> known) {
        for (Field field : fields) {
            if (field.is(Field.Asked.OWN)) {
                continue;
            }
            field.kind().put(field.name(), field.name(), sheet);
            if (sheet.draft().text(field.name()).isBlank()) {
                Optional.ofNullable(known.get(field.name()))
                        .ifPresent(amount -> sheet.number(field.name(), amount.base()));
            }
        }
        rows.filter(list -> !list.own()).ifPresent(list -> assembleRows(list, sheet));
    }

    private static void assembleRows(Rows list, Worksheet sheet) {
        int given = 0;
        for (int row : filled(list, sheet.draft())) {
            for (Field column : list.columns()) {
                column.kind().put(list.field(row, column.name()), list.field(given, column.name()), sheet);
            }
            given++;
        }
    }

    /** Which rows something is typed in. */
    static List<Integer> filled(Rows list, Draft draft) {
        return IntStream.range(0, list.most())
                .filter(row -> list.columns().stream()
                        .anyMatch(column -> column.kind().choices().isEmpty()
                                && !draft.text(list.field(row, column.name())).isBlank()))
                .boxed()
                .toList();
    }

    /**
     * The texts that give these readings again, as far as they stand in fields of this list.
     *
     * @param whole also what is read anew each time
     */
    public Map<String, Draft.Text> texts(Record readings, Map<String, String> asTyped, boolean whole) {
        return texts(readings, asTyped, whole, Map.of());
    }

    /**
     * The texts that give these readings again.
     *
     * @param whole also what is read anew each time
     * @param known what counts where nothing is typed: such an amount comes by itself again
     */
    Map<String, Draft.Text> texts(
            Record readings, Map<String, String> asTyped, boolean whole, Map<String, Amount> known) {
        Map<String, Draft.Text> texts = new HashMap<>();
        JsonNode root = root(readings);
        for (Field field : fields) {
            JsonNode value = at(root, field.name());
            boolean comes = !asTyped.containsKey(field.name())
                    && known.containsKey(field.name())
                    && known.get(field.name()).base() == value.doubleValue();
            if (!field.is(Field.Asked.OWN) && isThere(value) && !comes && (whole || !field.is(Field.Asked.ANEW))) {
                texts.put(field.name(), field.kind().text(value, asTyped.get(field.name())));
                if (field.kind() instanceof Kind.Timed) {
                    Draft.put(
                            texts,
                            field.name() + ".minutes",
                            Amount.exact(value.path("minutes").doubleValue()));
                }
            }
        }
        rows.filter(list -> !list.own())
                .ifPresent(list -> rowTexts(list, at(root, list.list()), asTyped, whole, texts));
        return texts;
    }

    private static void rowTexts(
            Rows list, JsonNode items, Map<String, String> asTyped, boolean whole, Map<String, Draft.Text> texts) {
        for (int row = 0; row < Math.min(list.most(), items.size()); row++) {
            for (Field column : list.columns()) {
                JsonNode value = items.get(row).path(column.name());
                if (isThere(value) && (whole || !column.is(Field.Asked.ANEW))) {
                    String name = list.field(row, column.name());
                    texts.put(name, column.kind().text(value, asTyped.get(name)));
                }
            }
        }
    }

    /** The readings of an entry as rows of a table: label, as typed, as understood. */
    public List<List<String>> table(Record readings, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> table = new ArrayList<>();
        JsonNode root = root(readings);
        for (Field field : fields) {
            JsonNode value = at(root, field.name());
            if (isThere(value)) {
                String said = field.kind().said(value, units);
                table.add(List.of(
                        field.label(), asTyped.getOrDefault(field.name(), typed(field.kind(), value, units)), said));
            }
        }
        Stream.concat(
                        rows
                                .filter(list -> !list.own())
                                .map(list -> new Listed("", list.list(), CALLED, list.columns()))
                                .stream(),
                        listed.stream())
                .forEach(list -> listed(list, at(root, list.list()), asTyped, units, table));
        return table;
    }

    /** One row for each of a list. */
    private static void listed(
            Listed list, JsonNode items, Map<String, String> asTyped, UnitChoice units, List<List<String>> table) {
        for (int i = 0; i < items.size(); i++) {
            String path = list.list() + "[" + i + "].";
            JsonNode item = items.get(i);
            List<Field> there = list.parts().stream()
                    .filter(part -> !part.name().equals(list.called()) && isThere(item.path(part.name())))
                    .toList();
            table.add(List.of(
                    list.prefix() + item.path(list.called()).asText(),
                    there.stream()
                            .filter(part -> part.kind().choices().isEmpty())
                            .map(part -> asTyped.getOrDefault(
                                    path + part.name(), typed(part.kind(), item.path(part.name()), units)))
                            .collect(Collectors.joining("; ")),
                    there.stream()
                            .map(part -> told(part, item.path(part.name()), units))
                            .collect(Collectors.joining("; "))));
        }
    }

    private static String told(Field part, JsonNode value, UnitChoice units) {
        String said = part.kind().said(value, units);
        return part.kind().choices().isEmpty() ? part.label() + " " + said : said;
    }

    /** What stands as typed where nobody typed: the bare number, or the words. */
    private static String typed(Kind kind, JsonNode value, UnitChoice units) {
        return kind instanceof Kind.Number number && number.quantity() != Quantity.PLAIN
                ? Amount.told(number.quantity(), value.doubleValue()).number(units)
                : kind.said(value, units);
    }

    private static JsonNode root(Record readings) {
        return StrictJson.read(RecordWriter.text(readings)).root();
    }

    private static JsonNode at(JsonNode root, String path) {
        return root.at("/" + path.replace('.', '/'));
    }

    private static boolean isThere(JsonNode value) {
        return !value.isMissingNode() && !value.isNull() && !(value.isArray() && value.isEmpty());
    }
}
