package zebrawood.desktop.bench;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.logbook.json.RecordWriter;
import zebrawood.logbook.json.StrictJson;

/**
 * The fields of a form that have the same names as what they are for in the readings. So they can be put into the readings,
 * and filled from them again, without each bench saying how.
 */
final class NamedFields {

    private static final double MM_PER_M = 1000;

    private final Map<String, Kind> all = new LinkedHashMap<>();
    private final Set<String> anew = new HashSet<>();

    /** What kind of thing stands in a field. */
    private interface Kind {
        /** Puts what stands in the field of this name into the readings. */
        void put(String name, Sheet sheet);

        /** The text that gives a value in the readings again; none where that comes by itself. */
        default Optional<Draft.Text> text(JsonNode value, String asTyped) {
            return Optional.of(new Draft.Text(value.asText(), UnitChoice.METRIC));
        }
    }

    /** A number; where nothing is typed, what is known. In the readings it stands in units of so many base units. */
    private record Number(Quantity quantity, double unit, OptionalDouble known) implements Kind {
        @Override
        public void put(String name, Sheet sheet) {
            Optional<Double> read = sheet.amount(name, quantity);
            if (read.isPresent() && unit != 1) {
                sheet.number(name, read.get() / unit);
            } else if (sheet.draft().text(name).isBlank()) {
                known.ifPresent(value -> sheet.number(name, value));
            }
        }

        @Override
        public Optional<Draft.Text> text(JsonNode value, String asTyped) {
            boolean isKnown = asTyped == null && known.isPresent() && known.getAsDouble() == value.doubleValue();
            return isKnown ? Optional.empty() : Optional.of(Draft.retyped(asTyped, value.doubleValue() * unit, quantity));
        }
    }

    /** Whether something that was looked at is so. */
    private record Truth() implements Kind {
        @Override
        public void put(String name, Sheet sheet) {
            String chosen = sheet.draft().text(name);
            // what is neither, as in a draft of an older version, is shown as not looked at
            if (chosen.equals(ChoiceField.YES) || chosen.equals(ChoiceField.NO)) {
                sheet.truth(name, chosen.equals(ChoiceField.YES));
            }
        }

        @Override
        public Optional<Draft.Text> text(JsonNode value, String asTyped) {
            return Optional.of(new Draft.Text(value.booleanValue() ? ChoiceField.YES : ChoiceField.NO, UnitChoice.METRIC));
        }
    }

    void amount(String name, Quantity quantity, OptionalDouble known) {
        all.put(name, new Number(quantity, 1, known));
    }

    /** A length that stands in metres in the readings. */
    void metres(String name) {
        all.put(name, new Number(Quantity.LENGTH, MM_PER_M, OptionalDouble.empty()));
    }

    void words(String name) {
        all.put(name, (field, sheet) -> sheet.words(field));
    }

    void choice(ChoiceField field) {
        all.put(field.getId(), (name, sheet) -> {
            if (!field.chosen().isEmpty()) {
                sheet.word(name, field.chosen());
            }
        });
    }

    void truth(String name) {
        all.put(name, new Truth());
    }

    /** These do not stand as they are in the readings. */
    void without(Collection<String> names) {
        all.keySet().removeAll(names);
    }

    /** These are read anew each time. */
    void anew(Collection<String> names) {
        anew.addAll(names);
    }

    void assemble(Sheet sheet) {
        all.forEach((name, kind) -> kind.put(name, sheet));
    }

    /** The texts that give these readings again; what is read anew each time only where all of it is wanted. */
    Map<String, Draft.Text> texts(Record readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        JsonNode root = StrictJson.read(RecordWriter.text(readings)).root();
        all.forEach((name, kind) -> {
            JsonNode value = root.at("/" + name.replace('.', '/'));
            if (value.isValueNode() && !value.isNull() && (whole || !anew.contains(name))) {
                kind.text(value, asTyped.get(name)).ifPresent(text -> texts.put(name, text));
            }
        });
        return texts;
    }
}
