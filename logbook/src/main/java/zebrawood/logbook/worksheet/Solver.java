package zebrawood.logbook.worksheet;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;
import zebrawood.core.units.Signs;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.logbook.store.LogbookException;

/**
 * Answers worksheets {@code {"procedure": id, "readings": {...}}}, one JSON object a line, with one JSON object a line.
 * A line is at most 8 MiB; a refused one is answered with field and reason, and the rest go on. Memory does not grow
 * with the number of lines.
 */
public final class Solver {

    /** What is answered where this program, not the worksheet, is at fault. */
    static final String FAULT =
            "this program has a fault here: these readings cannot be judged. What went wrong stands on standard "
                    + "error; please report it";

    private final Map<String, Procedure<?, ?>> procedures;
    private final Optional<Keeper> keeper;
    private final Consumer<Throwable> faults;

    /** Keeps what was found before it is answered. */
    interface Keeper {
        /**
         * @return where its entry stands, once it is safe
         * @throws ReadingException where it may not be recorded, as for a worksheet that is refused
         */
        <R extends Record, F extends Record> Entry.Place keep(
                Procedure<R, F> procedure, R readings, Outcome<F> outcome);
    }

    /** What came of one line: the bytes of the answer, without line end, and whether it was refused. */
    public record Answer(byte[] json, boolean refused) {}

    /**
     * @param procedures that can be solved
     * @param faults takes what a procedure threw that it should not have
     */
    public Solver(List<Procedure<?, ?>> procedures, Consumer<Throwable> faults) {
        this(procedures, Optional.empty(), faults);
    }

    Solver(List<Procedure<?, ?>> procedures, Optional<Keeper> keeper, Consumer<Throwable> faults) {
        this.keeper = keeper;
        this.faults = faults;
        this.procedures =
                procedures.stream().collect(Collectors.toMap(p -> p.card().id(), Function.identity()));
    }

    /**
     * Answers every line.
     *
     * @return how many were refused
     */
    public long solve(InputStream worksheets, OutputStream answers) throws IOException {
        long refused = 0;
        Lines lines = new Lines(worksheets);
        for (Optional<Lines.Line> line = lines.next(); line.isPresent(); line = lines.next()) {
            Answer answer = line.get().problem().isPresent()
                    ? refused(
                            Optional.empty(),
                            List.of(new Refusal("$", line.get().problem().get(), Refusal.Kind.SYNTAX)))
                    : answer(line.get().text());
            answers.write(plain(answer.json()));
            answers.write('\n');
            // whoever asks line by line waits for each answer
            if (keeper.isPresent() || lines.isWaiting()) {
                answers.flush();
            }
            refused += answer.refused() ? 1 : 0;
        }
        answers.flush();
        return refused;
    }

    /** Signs that would turn or hide words in a terminal are written as JSON writes them otherwise. */
    private static byte[] plain(byte[] json) {
        String text = new String(json, StandardCharsets.UTF_8);
        if (Signs.isPlain(text)) {
            return json;
        }
        StringBuilder escaped = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            if (Character.isSurrogate(sign) || Signs.isPlain(String.valueOf(sign))) {
                escaped.append(sign);
            } else {
                escaped.append(String.format(Locale.ROOT, "\\u%04x", (int) sign));
            }
        }
        return escaped.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Answers one worksheet. */
    public Answer answer(String worksheet) {
        StrictJson.Tree tree;
        try {
            tree = StrictJson.read(worksheet);
        } catch (ReadingException noJson) {
            return refused(Optional.empty(), noJson.refusals());
        }
        if (!tree.root().isObject()) {
            return refused(
                    Optional.empty(), List.of(new Refusal("$", "a worksheet is a JSON object", Refusal.Kind.SYNTAX)));
        }
        JsonNode named = tree.root().get("procedure");
        Optional<String> id = named != null && named.isTextual() ? Optional.of(named.textValue()) : Optional.empty();
        List<Refusal> refusals = new ArrayList<>();
        tree.duplicates().forEach(twice -> refusals.add(withinReadings(twice)));
        refusals.addAll(unknownKeys(tree.root()));
        Procedure<?, ?> procedure = id.map(procedures::get).orElse(null);
        if (procedure == null) {
            refusals.add(
                    new Refusal("procedure", named == null ? "is missing" : "no such procedure", Refusal.Kind.WRONG));
            return refused(id, refusals);
        }
        return solve(procedure, id, tree.root().get("readings"), refusals);
    }

    private <R extends Record, F extends Record> Answer solve(
            Procedure<R, F> procedure, Optional<String> id, JsonNode readings, List<Refusal> refusals) {
        if (readings == null) {
            refusals.add(new Refusal("readings", "is missing", Refusal.Kind.MISSING));
            return refused(id, refusals);
        }
        try {
            R bound = Binder.bind(readings, procedure.readingsType());
            if (refusals.isEmpty()) {
                return evaluated(procedure, id.orElseThrow(), bound);
            }
        } catch (ReadingException refused) {
            refusals.addAll(refused.refusals());
            refusals.sort(Comparator.comparingInt(refusal -> switch (refusal.kind()) {
                case SYNTAX -> 0;
                case UNKNOWN -> 1;
                default -> 2;
            }));
        }
        return refused(id, refusals);
    }

    /** Whatever the procedure does, the line is answered and the rest of the file goes on. */
    private <R extends Record, F extends Record> Answer evaluated(Procedure<R, F> procedure, String id, R readings) {
        Evaluation<F> evaluation = Evaluation.of(procedure, readings);
        if (evaluation instanceof Evaluation.Refused<F> refused) {
            throw refused.why();
        } else if (evaluation instanceof Evaluation.Faulty<F> faulty) {
            faults.accept(faulty.fault());
            return refused(Optional.of(id), List.of(new Refusal("$", FAULT, Refusal.Kind.TIED)));
        }
        Outcome<F> outcome = evaluation.found().orElseThrow();
        return keeper.isEmpty()
                ? solved(id, outcome, Optional.empty())
                : kept(keeper.get(), procedure, readings, outcome);
    }

    private static <R extends Record, F extends Record> Answer kept(
            Keeper keeper, Procedure<R, F> procedure, R readings, Outcome<F> outcome) {
        String id = procedure.card().id();
        try {
            return solved(id, outcome, Optional.of(keeper.keep(procedure, readings, outcome)));
        } catch (LogbookException unrecorded) {
            return refused(Optional.of(id), List.of(new Refusal("entry", unrecorded.getMessage(), Refusal.Kind.TIED)));
        }
    }

    private static Refusal withinReadings(Refusal refusal) {
        return refusal.field().startsWith("readings.")
                ? new Refusal(refusal.field().substring("readings.".length()), refusal.why(), refusal.kind())
                : refusal;
    }

    private static List<Refusal> unknownKeys(JsonNode worksheet) {
        List<Refusal> unknown = new ArrayList<>();
        for (Iterator<String> keys = worksheet.fieldNames(); keys.hasNext(); ) {
            String key = keys.next();
            if (!key.equals("procedure") && !key.equals("readings")) {
                unknown.add(new Refusal(
                        key, "is not known here; a worksheet has procedure and readings", Refusal.Kind.UNKNOWN));
            }
        }
        return unknown;
    }

    private static Answer solved(String id, Outcome<?> outcome, Optional<Entry.Place> place) {
        List<String> sentences = outcome.instructions().stream()
                .map((Instruction instruction) -> instruction.sentence(UnitChoice.METRIC))
                .toList();
        return new Answer(
                RecordWriter.write((json, records) -> {
                    json.writeStartObject();
                    records.field("procedure", id);
                    records.field("verdict", outcome.verdict());
                    records.field("finding", outcome.finding());
                    records.field("instructions", sentences);
                    if (place.isPresent()) {
                        json.writeObjectFieldStart("entry");
                        json.writeNumberField("number", place.get().number());
                        json.writeStringField("hash", place.get().hash());
                        json.writeEndObject();
                    }
                    json.writeEndObject();
                }),
                false);
    }

    private static Answer refused(Optional<String> id, List<Refusal> refusals) {
        return new Answer(
                RecordWriter.write((json, records) -> {
                    json.writeStartObject();
                    if (id.isPresent()) {
                        json.writeStringField("procedure", whole(id.get()));
                    } else {
                        json.writeNullField("procedure");
                    }
                    json.writeObjectFieldStart("error");
                    json.writeStringField("field", whole(refusals.get(0).field()));
                    json.writeStringField("message", whole(refusals.get(0).why()));
                    json.writeEndObject();
                    json.writeEndObject();
                }),
                true);
    }

    /** A text from outside that may hold half a character, or be endless, made fit to be answered. */
    private static String whole(String text) {
        String shorter = text.length() > 400 ? text.substring(0, 400) + "…" : text;
        StringBuilder fit = new StringBuilder();
        shorter.codePoints().forEach(point -> fit.appendCodePoint(point >= 0xD800 && point <= 0xDFFF ? 0xFFFD : point));
        return fit.toString();
    }
}
