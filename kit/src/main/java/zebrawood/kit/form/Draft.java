package zebrawood.kit.form;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;

/**
 * Half-done readings: the text in each field as typed, with the units in force when it was typed, so that switching
 * units never changes what a bare number meant. Remembers how to undo. Has no nodes.
 */
public final class Draft {

    /** steps; more nobody takes back */
    private static final int LONGEST_UNDO = 500;

    /** A text as typed, and the units a number without one is in. */
    public record Text(String text, UnitChoice units) {}

    private record Change(String field, Text before, Text after) {}

    /** What is taken back at once. */
    private record Step(List<Change> changes) {
        /** Whether it is what was typed into this field alone. */
        private boolean isOf(String field) {
            return changes.size() == 1 && changes.get(0).field().equals(field);
        }

        /** Whether it is what was typed into just these fields. */
        private boolean isOf(Set<String> fields) {
            return changes.size() == fields.size()
                    && changes.stream().map(Change::field).allMatch(fields::contains);
        }
    }

    private final Map<String, Text> texts = new LinkedHashMap<>();
    private final Deque<Step> undone = new ArrayDeque<>();
    private final Deque<Step> done = new ArrayDeque<>();
    private final List<Runnable> listeners = new ArrayList<>();
    private boolean stepOpen;

    /** What stands in a field; empty text where nothing does. */
    public String text(String field) {
        Text text = texts.get(field);
        return text == null ? "" : text.text();
    }

    /** Text and units of a field. */
    public Text typed(String field) {
        return texts.getOrDefault(field, new Text("", UnitChoice.METRIC));
    }

    /** Types into a field. Keystrokes into the same field are one step for undo until {@link #endStep()}. */
    public void type(String field, String text, UnitChoice units) {
        if (text.equals(text(field))) {
            return;
        }
        Text after = new Text(text, units);
        Text before = texts.get(field);
        if (stepOpen && !done.isEmpty() && done.peek().isOf(field)) {
            before = done.pop().changes().get(0).before();
        }
        stepOpen = true;
        make(new Step(List.of(new Change(field, before, after))));
    }

    /** Changes several fields in one step; an empty text empties its field. */
    public void typeAll(Map<String, Text> changed) {
        List<Change> changes = changed.entrySet().stream()
                .filter(each -> !each.getValue().text().equals(text(each.getKey())))
                .map(each -> new Change(each.getKey(), texts.get(each.getKey()), each.getValue()))
                .toList();
        if (!changes.isEmpty()) {
            stepOpen = false;
            make(new Step(changes));
        }
    }

    /** Types into several fields at once, as pointing does: until {@link #endStep()} it is one step for undo. */
    public void typeTogether(Map<String, Text> changed) {
        boolean goesOn = stepOpen && !done.isEmpty() && done.peek().isOf(changed.keySet());
        Map<String, Text> before = new LinkedHashMap<>();
        if (goesOn) {
            done.pop().changes().forEach(change -> before.put(change.field(), change.before()));
        } else {
            changed.keySet().forEach(field -> before.put(field, texts.get(field)));
        }
        stepOpen = true;
        make(new Step(changed.entrySet().stream()
                .map(each -> new Change(each.getKey(), before.get(each.getKey()), each.getValue()))
                .toList()));
    }

    private void make(Step step) {
        done.push(step);
        if (done.size() > LONGEST_UNDO) {
            done.removeLast();
        }
        undone.clear();
        step.changes().forEach(change -> set(change.field(), change.after()));
        tell();
    }

    /** What is typed next is a step of its own, even in the same field. */
    public void endStep() {
        stepOpen = false;
    }

    /** Fills fields at once, without a way to undo it: a restored draft, an old entry. */
    public void fill(Map<String, Text> filled) {
        texts.clear();
        texts.putAll(filled);
        done.clear();
        undone.clear();
        stepOpen = false;
        tell();
    }

    /** Takes back the newest step; false where there is none. */
    public boolean undo() {
        if (done.isEmpty()) {
            return false;
        }
        Step step = done.pop();
        undone.push(step);
        stepOpen = false;
        step.changes().forEach(change -> set(change.field(), change.before()));
        tell();
        return true;
    }

    /** Does again what was taken back last; false where nothing was. */
    public boolean redo() {
        if (undone.isEmpty()) {
            return false;
        }
        Step step = undone.pop();
        done.push(step);
        stepOpen = false;
        step.changes().forEach(change -> set(change.field(), change.after()));
        tell();
        return true;
    }

    /**
     * The text that gives this amount again: as it was typed, where that still reads so in some units, else the number.
     */
    public static Text retyped(String asTyped, double base, Quantity quantity) {
        for (UnitChoice units :
                asTyped == null ? List.<UnitChoice>of() : List.of(UnitChoice.METRIC, new UnitChoice(true, true))) {
            try {
                if (Math.abs(Typed.read(asTyped, quantity, units).base() - base) < 1e-9) {
                    return new Text(asTyped, units);
                }
            } catch (UnreadableException notInAnyUnits) {
                break;
            }
        }
        return new Text(Amount.exact(base), UnitChoice.METRIC);
    }

    /** The text of several amounts in one line, in the units in which it reads as just these; else made anew. */
    public static Text retypedAll(String asTyped, List<Double> bases, Quantity quantity) {
        for (UnitChoice units :
                asTyped == null ? List.<UnitChoice>of() : List.of(UnitChoice.METRIC, new UnitChoice(true, true))) {
            List<String> pieces = Kind.Many.pieces(asTyped);
            boolean same = pieces.size() == bases.size();
            for (int i = 0; same && i < bases.size(); i++) {
                Text one = retyped(pieces.get(i), bases.get(i), quantity);
                same = one.text().equals(pieces.get(i)) && one.units().equals(units);
            }
            if (same) {
                return new Text(asTyped, units);
            }
        }
        return new Text(bases.stream().map(Amount::exact).collect(Collectors.joining(" ")), UnitChoice.METRIC);
    }

    /** Puts words into texts: what was chosen, a name. */
    public static void put(Map<String, Text> texts, String field, String words) {
        texts.put(field, new Text(words, UnitChoice.METRIC));
    }

    /** Puts the text of an amount into texts, under the name of its field, where there is such an amount. */
    public static void retype(
            Map<String, Text> texts,
            String field,
            Map<String, String> asTyped,
            OptionalDouble base,
            Quantity quantity) {
        base.ifPresent(amount -> texts.put(field, retyped(asTyped.get(field), amount, quantity)));
    }

    /** Whether nothing is typed anywhere. */
    public boolean isEmpty() {
        return texts.values().stream().allMatch(text -> text.text().isBlank());
    }

    /** What stands in each field, by its name; unmodifiable. */
    public Map<String, Text> texts() {
        return Map.copyOf(texts);
    }

    /** Runs whenever anything changed. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    private void set(String field, Text text) {
        if (text == null) {
            texts.remove(field);
        } else {
            texts.put(field, text);
        }
    }

    private void tell() {
        List.copyOf(listeners).forEach(Runnable::run);
    }

    /** As JSON: field to text and units. */
    public String toJson() {
        return new String(
                RecordWriter.write((json, records) -> {
                    json.writeStartObject();
                    for (Map.Entry<String, Text> entry : texts.entrySet()) {
                        json.writeFieldName(entry.getKey());
                        records.value(entry.getValue());
                    }
                    json.writeEndObject();
                }),
                StandardCharsets.UTF_8);
    }

    /** Back from JSON; what cannot be read is left out. */
    public static Map<String, Text> fromJson(String content) {
        Map<String, Text> texts = new LinkedHashMap<>();
        try {
            StrictJson.read(content).root().properties().forEach(field -> {
                JsonNode units = field.getValue().path("units");
                texts.put(
                        field.getKey(),
                        new Text(
                                field.getValue().path("text").asText(),
                                new UnitChoice(
                                        units.path("inches").asBoolean(),
                                        units.path("fahrenheit").asBoolean())));
            });
        } catch (ReadingException damaged) {
            return Map.of();
        }
        return texts;
    }
}
