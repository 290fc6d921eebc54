package zebrawood.kit.form;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;

/**
 * Readings being put together from a draft: JSON for the binder, texts as typed, and what cannot be read in which
 * field.
 */
public final class Worksheet {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final Draft draft;
    private final ObjectNode readings = NODES.objectNode();
    private final Map<String, String> asTyped = new LinkedHashMap<>();
    private final Map<String, String> problems = new LinkedHashMap<>();
    private final Map<String, Double> understood = new HashMap<>();
    private final Map<String, String> fieldOfPath = new HashMap<>();
    private final List<String> missing = new ArrayList<>();

    private Worksheet(Draft draft) {
        this.draft = draft;
    }

    /** An empty sheet over a draft. */
    public static Worksheet of(Draft draft) {
        return new Worksheet(draft);
    }

    /** What is typed, from which this is made. */
    public Draft draft() {
        return draft;
    }

    /** Reads an amount from a field of the same name as its path. */
    public Optional<Double> amount(String path, Quantity quantity) {
        return amount(path, path, quantity);
    }

    /** Reads an amount from a field into the readings; an empty field is left out, a wrong one is told. */
    public Optional<Double> amount(String field, String path, Quantity quantity) {
        Draft.Text typed = draft.typed(field);
        fieldOfPath.put(path, field);
        if (typed.text().isBlank()) {
            return Optional.empty();
        }
        try {
            double base = Typed.read(typed.text(), quantity, typed.units()).base();
            put(path, NODES.numberNode(base));
            asTyped.put(path, typed.text());
            understood.put(field, base);
            return Optional.of(base);
        } catch (UnreadableException e) {
            problems.put(field, e.getMessage());
            return Optional.empty();
        }
    }

    /** Reads an amount that the bench works with itself and that stands in no reading; a wrong one is told. */
    public Optional<Double> aside(String field, Quantity quantity) {
        Draft.Text typed = draft.typed(field);
        if (typed.text().isBlank()) {
            return Optional.empty();
        }
        try {
            double base = Typed.read(typed.text(), quantity, typed.units()).base();
            understood.put(field, base);
            return Optional.of(base);
        } catch (UnreadableException e) {
            problems.put(field, e.getMessage());
            return Optional.empty();
        }
    }

    /** Reads pairs of amounts, such as {@code 0 640; 200 590}, into a list of records; a wrong one is told. */
    public void pairs(String field, String path, Kind.Pairs of) {
        fieldOfPath.put(path, field);
        Draft.Text typed = draft.typed(field);
        String text = typed.text().strip();
        if (text.isEmpty()) {
            return;
        }
        asTyped.put(path, text);
        int index = 0;
        for (String pair : text.split(";|,\\s")) {
            String[] numbers = pair.strip().split("[\\s:/]+");
            if (numbers.length != 2) {
                problems.put(field, of.usage());
                return;
            }
            String at = path + "[" + index + "].";
            try {
                number(
                        field,
                        at + of.first(),
                        Typed.read(numbers[0], of.firstQuantity(), typed.units())
                                .base());
                number(
                        field,
                        at + of.second(),
                        Typed.read(numbers[1], of.secondQuantity(), typed.units())
                                .base());
            } catch (UnreadableException e) {
                problems.put(field, numbers[0] + " " + numbers[1] + ": " + e.getMessage() + "; " + of.usage());
                return;
            }
            index++;
        }
    }

    private void number(String field, String path, double value) {
        fieldOfPath.put(path, field);
        number(path, value);
    }

    /** Reads several amounts from one field, with blanks or semicolons between them; a wrong one is told. */
    public void amounts(String field, String path, Quantity quantity) {
        Draft.Text typed = draft.typed(field);
        String text = typed.text().strip();
        fieldOfPath.put(path, field);
        if (text.isEmpty()) {
            return;
        }
        asTyped.put(path, text);
        List<String> pieces = Kind.Many.pieces(text);
        for (int i = 0; i < pieces.size(); i++) {
            String at = path + "[" + i + "]";
            fieldOfPath.put(at, field);
            try {
                put(
                        at,
                        NODES.numberNode(Typed.read(pieces.get(i), quantity, typed.units())
                                .base()));
            } catch (UnreadableException e) {
                problems.put(field, pieces.get(i) + ": " + e.getMessage());
                return;
            }
        }
    }

    /** Takes words from a field; an empty field is left out. */
    public void words(String path) {
        words(path, path);
    }

    /** Takes words from a field into the readings; an empty field is left out. */
    public void words(String field, String path) {
        String text = draft.text(field).strip();
        fieldOfPath.put(path, field);
        if (!text.isEmpty()) {
            put(path, NODES.textNode(text));
            asTyped.put(path, text);
        }
    }

    /** Takes a text as it is, line ends and all; an empty field is left out. */
    public void text(String path) {
        String text = draft.text(path);
        fieldOfPath.put(path, path);
        if (!text.isEmpty()) {
            put(path, NODES.textNode(text));
        }
    }

    /** Makes parts of the record that are there even when nothing in them is known. */
    public void objects(String... paths) {
        for (String path : paths) {
            if (readings.get(path) == null) {
                readings.putObject(path);
            }
        }
    }

    /** Takes what stands in a field of a list, as its kind has it. */
    public void choice(Field field) {
        field.kind().put(field.name(), field.name(), this);
    }

    /** Something without which nothing is judged yet is missing, whatever else is there. */
    public void lacks(String what) {
        missing.add(what);
    }

    /** Makes a list that is there even when nothing is in it. */
    public void list(String path) {
        readings.putArray(path);
    }

    /** Puts a number that nobody typed. */
    public void number(String path, double value) {
        put(path, NODES.numberNode(value));
    }

    /** Takes yes or no from a field of the same name as its path; an empty field is left out. */
    public void truth(String path) {
        String said = draft.text(path);
        fieldOfPath.put(path, path);
        if (!said.isEmpty()) {
            truth(path, said.equals(Kind.YES));
            asTyped.put(path, said);
        }
    }

    public void truth(String path, boolean value) {
        put(path, NODES.booleanNode(value));
    }

    /** Puts a word at a place of the readings that nobody types, such as a choice. */
    public void word(String path, String value) {
        put(path, NODES.textNode(value));
    }

    /** Puts a record that is known already, such as part of a plate. */
    public void record(String path, Record record) {
        put(path, StrictJson.read(RecordWriter.text(record)).root());
    }

    /** Puts a value at a path such as {@code optics.lenses[0].name}, making what lies between. */
    private void put(String path, JsonNode value) {
        ObjectNode at = readings;
        String[] steps = path.split("\\.");
        for (int i = 0; i < steps.length; i++) {
            boolean last = i == steps.length - 1;
            int bracket = steps[i].indexOf('[');
            if (bracket < 0) {
                if (last) {
                    at.set(steps[i], value);
                } else {
                    at = at.get(steps[i]) instanceof ObjectNode inner ? inner : at.putObject(steps[i]);
                }
                continue;
            }
            String name = steps[i].substring(0, bracket);
            int index = Integer.parseInt(steps[i].substring(bracket + 1, steps[i].length() - 1));
            ArrayNode list = at.get(name) instanceof ArrayNode inner ? inner : at.putArray(name);
            if (last) {
                list.add(value);
            } else {
                while (list.size() <= index) {
                    list.addObject();
                }
                at = (ObjectNode) list.get(index);
            }
        }
    }

    /** All of it as it is filled now; what is put in later does not reach it. */
    public Filled filled() {
        List<String> typed = draft.texts().entrySet().stream()
                .filter(text -> !text.getValue().text().isBlank())
                .map(Map.Entry::getKey)
                .toList();
        return new Filled(readings.deepCopy(), asTyped, fieldOfPath, typed, understood, problems, List.of(), missing);
    }
}
