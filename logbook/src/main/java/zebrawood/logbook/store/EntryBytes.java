package zebrawood.logbook.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.Unread;
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

    /** raised when an older program could not read it; the old ones stay readable */
    static final int FORMAT = 1;

    private static final String ZONE = ",\"zone\":\"";
    /** bytes at the end of an entry in which its zone stands: longer than zone and the longest initials, escaped */
    private static final int TAIL = 512;

    private final Map<String, Procedure<?, ?>> procedures;

    EntryBytes(List<Procedure<?, ?>> procedures) {
        this.procedures =
                procedures.stream().collect(Collectors.toMap(p -> p.card().id(), Function.identity()));
    }

    /** What stands before the body: where the entry is put and who puts it there. */
    record Head(
            String machineId,
            int number,
            String previous,
            Entry.Stamp stamp,
            Optional<Entry.Correction> corrects,
            List<Entry.Attachment> attachments) {}

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
        if (body instanceof Body.Foreign foreign) {
            return foreign.kind();
        } else if (body instanceof Body.PlateSet) {
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
        } else if (body instanceof Body.EyewearSeen) {
            return "pair";
        } else if (body instanceof Body.Started) {
            return "start";
        } else if (body instanceof Body.ServiceBegun) {
            return "service";
        }
        return body instanceof Body.Happened ? "event" : "reading";
    }

    /** The verdict by its name, where an entry says one: also one that this program does not know. */
    static Optional<String> verdict(Body body) {
        return body instanceof Body.Measured measured
                ? Optional.of(measured.verdict().name())
                : body instanceof Body.Foreign foreign ? foreign.verdict() : Optional.empty();
    }

    /**
     * Reads an entry. What a newer program put into it, or a procedure that this one does not have, is taken as it
     * stands.
     *
     * @throws LogbookException where the bytes are no entry
     */
    Entry read(byte[] bytes, String hash) {
        try {
            return read(tree(bytes), hash);
        } catch (ReadingException unreadable) {
            throw new LogbookException("an entry cannot be read: " + unreadable.getMessage(), unreadable);
        } catch (DateTimeException noTime) {
            throw new LogbookException("an entry cannot be read: its time or its zone is none", noTime);
        }
    }

    private Entry read(JsonNode json, String hash) {
        Entry.Stamp stamp = new Entry.Stamp(
                Times.instant(json.path("at").asText()),
                ZoneOffset.of(json.path("zone").asText()),
                json.path("by").asText(),
                json.path("program").asText());
        List<String> unknown = new ArrayList<>();
        Optional<Entry.Correction> corrects = Optional.ofNullable(json.get("corrects"))
                .map(c -> Binder.bindStored(c, Entry.Correction.class, unknown::add));
        Body body = body(json, unknown);
        return new Entry(
                new Entry.Place(
                        json.path("machine").asText(), json.path("number").asInt(), hash),
                stamp,
                body,
                corrects,
                list(json.path("attachments"), Entry.Attachment.class, unknown),
                unknown);
    }

    /** What it says; where this program cannot read that, what it says as it stands. */
    private Body body(JsonNode json, List<String> unknown) {
        String kind = json.path("kind").asText();
        JsonNode body = json.path("body");
        try {
            Optional<Body> known = known(kind, body, unknown);
            if (known.isPresent()) {
                return known.get();
            }
        } catch (IllegalArgumentException | NullPointerException ofAnotherMake) {
            // a part that is missing, of another form, or a word that is not known here
            unknown.clear();
        }
        return new Body.Foreign(
                kind,
                json.path("stop").asText(),
                Optional.ofNullable(body.get("verdict")).map(JsonNode::asText),
                body.path("fired").asBoolean() || kind.equals("work"),
                body.toString());
    }

    /**
     * The offset where an entry was recorded, found without reading the rest: it stands after all that a person typed
     * but the initials, in which a quotation mark would be escaped.
     *
     * @throws LogbookException where there is none
     */
    static ZoneOffset zone(byte[] bytes) {
        String end = new String(
                bytes, Math.max(0, bytes.length - TAIL), Math.min(TAIL, bytes.length), StandardCharsets.UTF_8);
        int at = end.lastIndexOf(ZONE);
        int until = end.indexOf('"', at + ZONE.length());
        try {
            if (at >= 0 && until > at) {
                return ZoneOffset.of(end.substring(at + ZONE.length(), until));
            }
        } catch (DateTimeException none) {
            // told below
        }
        throw new LogbookException(
                "an entry does not say in which zone it was recorded; run verify to see what was changed");
    }

    /** Whether a name stands in an entry; what is absent is not written. */
    static boolean names(byte[] bytes, String component) {
        return new String(bytes, StandardCharsets.UTF_8).contains("\"" + component + "\":");
    }

    static JsonNode tree(byte[] bytes) {
        return StrictJson.read(new String(bytes, StandardCharsets.UTF_8)).root();
    }

    private Optional<Body> known(String kind, JsonNode body, List<String> unknown) {
        return Optional.ofNullable(
                switch (kind) {
                    case "plate" ->
                        new Body.PlateSet(
                                Binder.bindStored(body.path("plate"), Plate.class, unknown::add),
                                texts(body.path("asTyped")));
                    case "gate-line" -> Binder.bindStored(body, Body.GateLine.class, unknown::add);
                    case "event" -> Binder.bindStored(body, Body.Happened.class, unknown::add);
                    case "work" ->
                        new Body.Worked(
                                Binder.bindStored(body.path("result"), WorkResult.class, unknown::add),
                                texts(body.path("asTyped")),
                                Binder.bindStored(body.path("along"), TakenAlong.class, unknown::add));
                    case "point" -> Binder.bindStored(body, Body.PointOpened.class, unknown::add);
                    case "point-closed" -> Binder.bindStored(body, Body.PointClosed.class, unknown::add);
                    case "pair" -> Binder.bindStored(body, Body.EyewearSeen.class, unknown::add);
                    case "start" -> Binder.bindStored(body, Body.Started.class, unknown::add);
                    case "service" -> Binder.bindStored(body, Body.ServiceBegun.class, unknown::add);
                    case "reading" -> measured(body, unknown);
                    default -> null;
                });
    }

    private Body.Measured measured(JsonNode body, List<String> unknown) {
        String id = body.path("procedure").asText();
        Procedure<?, ?> procedure = procedures.get(id);
        Optional<Judged> judged = procedure == null ? Optional.empty() : judged(procedure, body, unknown);
        return new Body.Measured(
                id,
                body.path("version").asInt(),
                body.path("fired").asBoolean(),
                judged.map(Judged::readings)
                        .orElseGet(() -> new Unread(body.path("readings").toString())),
                texts(body.path("asTyped")),
                judged.map(Judged::finding)
                        .orElseGet(() -> new Unread(body.path("finding").toString())),
                Verdict.valueOf(body.path("verdict").asText()),
                judged.map(Judged::instructions).orElse(List.of()),
                Binder.bindStored(body.path("shown"), Body.Shown.class, unknown::add));
    }

    /** What a procedure that is known here found. */
    private record Judged(Record readings, Record finding, List<Instruction> instructions) {}

    private static Optional<Judged> judged(Procedure<?, ?> procedure, JsonNode body, List<String> unknown) {
        try {
            return Optional.of(new Judged(
                    Binder.bindStored(body.path("readings"), procedure.readingsType(), unknown::add),
                    Binder.bindStored(body.path("finding"), procedure.findingType(), unknown::add),
                    list(body.path("instructions"), Instruction.class, unknown)));
        } catch (IllegalArgumentException | NullPointerException ofAnotherMake) {
            return Optional.empty();
        }
    }

    private static Map<String, String> texts(JsonNode node) {
        Map<String, String> texts = new LinkedHashMap<>();
        node.properties()
                .forEach(field -> texts.put(field.getKey(), field.getValue().asText()));
        return texts;
    }

    private static <T extends Record> List<T> list(JsonNode node, Class<T> type, List<String> unknown) {
        return StreamSupport.stream(node.spliterator(), false)
                .map(item -> Binder.bindStored(item, type, unknown::add))
                .toList();
    }
}
