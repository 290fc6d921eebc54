package zebrawood.desktop.bench;

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
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnreadableException;
import zebrawood.logbook.json.Binder;
import zebrawood.logbook.json.RecordWriter;
import zebrawood.logbook.json.StrictJson;

/** Readings being put together from a draft: JSON for the binder, texts as typed, and what is wrong with which field. */
public final class Sheet {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final Draft draft;
    private final ObjectNode readings = NODES.objectNode();
    private final Map<String, String> asTyped = new LinkedHashMap<>();
    private final Map<String, String> problems = new LinkedHashMap<>();
    private final Map<String, Double> understood = new HashMap<>();
    private final Map<String, String> fieldOfPath = new HashMap<>();
    private final List<String> others = new ArrayList<>();
    private final List<String> missing = new ArrayList<>();

    private Sheet(Draft draft) {
        this.draft = draft;
    }

    /** An empty sheet over a draft. */
    public static Sheet of(Draft draft) {
        return new Sheet(draft);
    }

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

    /**
     * Reads pairs of numbers, such as {@code 0 640; 200 590}, into a list of records.
     *
     * @param first the component that the first number of each is for
     * @param second likewise
     * @param usage what to say where it reads otherwise
     */
    public void pairs(String field, String path, String first, String second, String usage) {
        fieldOfPath.put(path, field);
        String text = draft.text(field).strip();
        if (text.isEmpty()) {
            return;
        }
        asTyped.put(path, text);
        int index = 0;
        for (String pair : text.split(";|,\\s")) {
            String[] numbers = pair.strip().replace(',', '.').split("[\\s:/]+");
            try {
                if (numbers.length != 2) {
                    throw new NumberFormatException(pair);
                }
                for (int i = 0; i < 2; i++) {
                    String at = path + "[" + index + "]." + (i == 0 ? first : second);
                    fieldOfPath.put(at, field);
                    put(at, NODES.numberNode(Double.parseDouble(numbers[i])));
                }
            } catch (NumberFormatException e) {
                problems.put(field, usage);
                return;
            }
            index++;
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

    /** Puts a number that nobody typed. */
    public void number(String path, double value) {
        put(path, NODES.numberNode(value));
    }

    public void truth(String path, boolean value) {
        put(path, NODES.booleanNode(value));
    }

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

    /** The record, where nothing is wrong and nothing is missing. */
    public <R extends Record> Optional<R> bind(Class<R> type) {
        try {
            R bound = Binder.bind(readings, type);
            return problems.isEmpty() ? Optional.of(bound) : Optional.empty();
        } catch (ReadingException refused) {
            take(refused);
            return Optional.empty();
        }
    }

    /** Puts refusals beside the fields they belong to; what is only missing is no problem yet. */
    void take(ReadingException refused) {
        for (Refusal refusal : refused.refusals()) {
            String field = fieldOfPath.get(refusal.field());
            if (refusal.kind() == Refusal.Kind.MISSING) {
                missing.add(refusal.field());
            } else if (field != null && !draft.text(field).isBlank()) {
                problems.putIfAbsent(field, refusal.why());
            } else if (field == null) {
                others.add(refusal.why());
            }
        }
    }

    public Map<String, String> asTyped() {
        return asTyped;
    }

    /** Field to the sentence that says what is wrong with it. */
    public Map<String, String> problems() {
        return problems;
    }

    /** What is wrong but belongs to no field. */
    public List<String> others() {
        return others;
    }

    /** Paths of what is still missing. */
    public List<String> missing() {
        return missing;
    }

    /** What was understood of a field, in base units. */
    public Optional<Double> understood(String field) {
        return Optional.ofNullable(understood.get(field));
    }
}
