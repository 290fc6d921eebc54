package zebrawood.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import zebrawood.core.reading.RecordShape;

/**
 * Writes records as JSON: their components in order, nothing else. What is absent is left out; whole numbers have no
 * point; maps are in the order of their keys. The same record always gives the same bytes.
 */
public final class RecordWriter implements AutoCloseable {

    private static final JsonFactory FACTORY = new JsonFactory();

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream(1024);
    private final JsonGenerator json;

    public RecordWriter() {
        try {
            json = FACTORY.createGenerator(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Any JSON written by hand, with records in it. */
    public interface Writing {
        void to(JsonGenerator json, RecordWriter records) throws IOException;
    }

    /** The UTF-8 bytes of what is written. */
    public static byte[] write(Writing writing) {
        try (RecordWriter writer = new RecordWriter()) {
            writing.to(writer.json, writer);
            writer.json.flush();
            return writer.bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The JSON text of one record. */
    public static String text(Record record) {
        return new String(write((json, records) -> records.value(record)), StandardCharsets.UTF_8);
    }

    /** A field of the object being written, left out when its value is absent. */
    public void field(String name, Object value) throws IOException {
        Object present = present(value);
        if (present != null) {
            json.writeFieldName(name);
            value(present);
        }
    }

    /** A value of any kind that stands in a record. */
    public void value(Object value) throws IOException {
        if (value instanceof Record record) {
            record(record);
        } else if (value instanceof Double number) {
            number(number);
        } else if (value instanceof Integer || value instanceof Long) {
            json.writeNumber(((Number) value).longValue());
        } else if (value instanceof Boolean truth) {
            json.writeBoolean(truth);
        } else if (value instanceof Enum<?> constant) {
            json.writeString(Names.of(constant));
        } else if (value instanceof List<?> list) {
            json.writeStartArray();
            for (Object item : list) {
                value(item);
            }
            json.writeEndArray();
        } else if (value instanceof Map<?, ?> map) {
            map(map);
        } else if (value instanceof String || value instanceof Instant || value instanceof LocalDate) {
            json.writeString(value.toString());
        } else {
            throw new IllegalArgumentException("no JSON for " + value.getClass());
        }
    }

    private void record(Record record) throws IOException {
        json.writeStartObject();
        for (RecordShape.Component component : RecordShape.of(record.getClass()).components()) {
            field(component.name(), RecordShape.read(component, record));
        }
        json.writeEndObject();
    }

    private void map(Map<?, ?> map) throws IOException {
        json.writeStartObject();
        for (Map.Entry<?, ?> entry : new TreeMap<>(map).entrySet()) {
            field(entry.getKey().toString(), entry.getValue());
        }
        json.writeEndObject();
    }

    private void number(double number) throws IOException {
        if (!Double.isFinite(number)) {
            throw new IllegalArgumentException("no JSON for " + number);
        }
        if (number == Math.rint(number) && Math.abs(number) < 1e15) {
            json.writeNumber((long) number);
        } else {
            json.writeNumber(number);
        }
    }

    private static Object present(Object value) {
        if (value instanceof Optional<?> optional) {
            return optional.orElse(null);
        } else if (value instanceof OptionalDouble number) {
            return number.isPresent() ? number.getAsDouble() : null;
        } else if (value instanceof OptionalInt number) {
            return number.isPresent() ? number.getAsInt() : null;
        }
        return value;
    }

    @Override
    public void close() throws IOException {
        json.close();
    }
}
