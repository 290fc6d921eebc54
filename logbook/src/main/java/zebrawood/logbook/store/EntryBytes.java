package zebrawood.logbook.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.json.Times;

/** The bytes of an entry, written once, and the entry read back from them, never evaluated again. */
final class EntryBytes {

    static final int FORMAT = 1;

    private static final String ZONE = ",\"zone\":\"";
    /** bytes at the end of an entry in which its zone stands: longer than zone and the longest initials, escaped */
    private static final int TAIL = 512;

    private final Map<String, Procedure<?, ?>> procedures;

    EntryBytes(List<Procedure<?, ?>> procedures) {
        this.procedures = procedures.stream().collect(Collectors.toMap(p -> p.card().id(), Function.identity()));
    }

    /** What stands before the body: where the entry is put and who puts it there. */
    record Head(
            String machineId, int number, String previous, Entry.Stamp stamp, Optional<Entry.Correction> corrects, List<Entry.Attachment> attachments) {}

    byte[] write(Head head, Body body) {
        return RecordWriter.write((json, records) -> {
            json.writeStartObject();
            json.writeNumberField("format", FORMAT);
            json.writeStringField("machine", head.machineId());
            json.writeNumberField("number", head.number());
            json.writeStringField("previous", head.previous());
            json.writeStringField("kind", kind(body));
            json.writeStringField("stop", body.stop());
            records.field("corrects", head.corrects());
            records.field("body", body);
            records.field("attachments", head.attachments());
            json.writeStringField("program", head.stamp().program());
            json.writeStringField("at", head.stamp().at().toString());
            json.writeStringField("zone", head.stamp().zone().getId());
            json.writeStringField("by", head.stamp().by());
            json.writeEndObject();
        });
    }

    static String kind(Body body) {
        if (body instanceof Body.PlateSet) {
            return "plate";
        } else if (body instanceof Body.GateLine) {
            return "gate-line";
        }
        if (body instanceof Body.Worked) {
            return "work";
        } else if (body instanceof Body.PointOpened) {
            return "point";
        } else if (body instanceof Body.PointClosed) {
            return "point-closed";
        }
        return body instanceof Body.Happened ? "event" : "reading";
    }

    static Optional<Verdict> verdict(Body body) {
        return body instanceof Body.Measured measured ? Optional.of(measured.verdict()) : Optional.empty();
    }

    /** @throws LogbookException where this version of the program cannot read it */
    Entry read(byte[] bytes, String hash) {
        try {
            return read(tree(bytes), hash);
        } catch (ReadingException unreadable) {
            throw new LogbookException("an entry cannot be read by this version of the program: " + unreadable.getMessage(), unreadable);
        }
    }

    private Entry read(JsonNode json, String hash) {
        Entry.Stamp stamp = new Entry.Stamp(
                Times.instant(json.path("at").asText()),
                ZoneOffset.of(json.path("zone").asText()),
                json.path("by").asText(),
                json.path("program").asText());
        Optional<Entry.Correction> corrects = Optional.ofNullable(json.get("corrects")).map(c -> Binder.bind(c, Entry.Correction.class));
        return new Entry(
                new Entry.Place(json.path("machine").asText(), json.path("number").asInt(), hash),
                stamp,
                body(json.path("kind").asText(), json.path("body")),
                corrects,
                list(json.path("attachments"), Entry.Attachment.class));
    }

    /**
     * The offset where an entry was recorded, found without reading the rest: it stands after all that a person typed but
     * the initials, in which a quotation mark would be escaped.
     *
     * @throws LogbookException where there is none
     */
    static ZoneOffset zone(byte[] bytes) {
        String end = new String(bytes, Math.max(0, bytes.length - TAIL), Math.min(TAIL, bytes.length), StandardCharsets.UTF_8);
        int at = end.lastIndexOf(ZONE);
        int until = end.indexOf('"', at + ZONE.length());
        try {
            if (at >= 0 && until > at) {
                return ZoneOffset.of(end.substring(at + ZONE.length(), until));
            }
        } catch (DateTimeException none) {
            // told below
        }
        throw new LogbookException("an entry does not say in which zone it was recorded; run verify to see what was changed");
    }

    static JsonNode tree(byte[] bytes) {
        return StrictJson.read(new String(bytes, StandardCharsets.UTF_8)).root();
    }

    private Body body(String kind, JsonNode body) {
        return switch (kind) {
            case "plate" -> new Body.PlateSet(Binder.bind(body.path("plate"), Plate.class), texts(body.path("asTyped")));
            case "gate-line" -> Binder.bind(body, Body.GateLine.class);
            case "event" -> Binder.bind(body, Body.Happened.class);
            case "work" -> new Body.Worked(Binder.bind(body.path("result"), WorkResult.class), texts(body.path("asTyped")),
                    Binder.bind(body.path("along"), TakenAlong.class));
            case "point" -> Binder.bind(body, Body.PointOpened.class);
            case "point-closed" -> Binder.bind(body, Body.PointClosed.class);
            case "reading" -> measured(body);
            default -> throw new LogbookException("an entry of the unknown kind \"" + kind + "\" stands in the logbook");
        };
    }

    private Body.Measured measured(JsonNode body) {
        String id = body.path("procedure").asText();
        Procedure<?, ?> procedure = procedures.get(id);
        if (procedure == null) {
            throw new LogbookException("this version of the program does not know the procedure \"" + id + "\"");
        }
        return new Body.Measured(
                id,
                body.path("version").asInt(),
                body.path("fired").asBoolean(),
                Binder.bind(body.path("readings"), procedure.readingsType()),
                texts(body.path("asTyped")),
                Binder.bind(body.path("finding"), procedure.findingType()),
                Verdict.valueOf(body.path("verdict").asText()),
                list(body.path("instructions"), Instruction.class),
                Binder.bind(body.path("shown"), Body.Shown.class));
    }

    private static Map<String, String> texts(JsonNode node) {
        Map<String, String> texts = new LinkedHashMap<>();
        node.fields().forEachRemaining(field -> texts.put(field.getKey(), field.getValue().asText()));
        return texts;
    }

    private static <T extends Record> List<T> list(JsonNode node, Class<T> type) {
        return StreamSupport.stream(node.spliterator(), false).map(item -> Binder.bind(item, type)).toList();
    }
}
