package zebrawood.kit.form;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;
import zebrawood.json.Binder;

/**
 * A worksheet as it was filled at one moment; nothing in it changes any more, so that it may be judged on another
 * thread.
 *
 * @param readings as JSON, for the binder; not to be changed
 * @param asTyped path in the readings to the text as typed
 * @param fieldOfPath path in the readings to the field that it comes from
 * @param typed fields in which something stands
 * @param amounts field to what was understood of it, in base units
 * @param problems field to the sentence that says what is wrong with it
 * @param others what is wrong but belongs to no field
 * @param missing paths of what is still missing
 */
public record Filled(
        JsonNode readings,
        Map<String, String> asTyped,
        Map<String, String> fieldOfPath,
        List<String> typed,
        Map<String, Double> amounts,
        Map<String, String> problems,
        List<String> others,
        List<String> missing) {

    public Filled {
        asTyped = Map.copyOf(asTyped);
        fieldOfPath = Map.copyOf(fieldOfPath);
        typed = List.copyOf(typed);
        amounts = Map.copyOf(amounts);
        problems = Collections.unmodifiableMap(new LinkedHashMap<>(problems));
        others = List.copyOf(others);
        missing = List.copyOf(missing);
    }

    /**
     * A record, or why there is none yet.
     *
     * @param record where nothing is wrong and nothing is missing
     * @param filled with what the record refuses put beside the fields
     */
    public record Bound<R extends Record>(Optional<R> record, Filled filled) {}

    /** The record that the readings make. */
    public <R extends Record> Bound<R> bind(Class<R> type) {
        try {
            R bound = Binder.bind(readings, type);
            boolean isWhole = problems.isEmpty() && missing.isEmpty();
            return new Bound<>(isWhole ? Optional.of(bound) : Optional.empty(), this);
        } catch (ReadingException refused) {
            return new Bound<>(Optional.empty(), refusedBy(refused));
        }
    }

    /** With refusals put beside the fields they belong to; what is only missing is no problem yet. */
    public Filled refusedBy(ReadingException refused) {
        Map<String, String> wrong = new LinkedHashMap<>(problems);
        List<String> more = new ArrayList<>(others);
        List<String> lacking = new ArrayList<>(missing);
        for (Refusal refusal : refused.refusals()) {
            String field = fieldOfPath.get(refusal.field());
            if (refusal.kind() == Refusal.Kind.MISSING) {
                lacking.add(refusal.field());
            } else if (field != null && typed.contains(field)) {
                wrong.putIfAbsent(field, refusal.why());
            } else if (field == null) {
                more.add(refusal.why());
            }
        }
        return new Filled(readings, asTyped, fieldOfPath, typed, amounts, wrong, more, lacking);
    }

    /** What was understood of a field, in base units. */
    public Optional<Double> understood(String field) {
        return Optional.ofNullable(amounts.get(field));
    }
}
