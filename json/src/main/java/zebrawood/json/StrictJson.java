package zebrawood.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;

/** Reads one JSON text into a tree, keeping note of every key that stands twice. */
public final class StrictJson {

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .disable(JsonFactory.Feature.INTERN_FIELD_NAMES)
            .build();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    /** no worksheet is nested so deep; deeper would only use up the stack */
    private static final int DEEPEST = 64;

    /**
     * @param root the tree; of a key that stands twice the first
     * @param duplicates a refusal for each key that stands again, with its full path
     */
    public record Tree(JsonNode root, List<Refusal> duplicates) {}

    private final List<Refusal> duplicates = new ArrayList<>();

    private StrictJson() {}

    /** @throws ReadingException with field {@code $} where the text is no JSON */
    public static Tree read(String text) {
        StrictJson reader = new StrictJson();
        try (JsonParser parser = FACTORY.createParser(text)) {
            JsonToken first = parser.nextToken();
            if (first == null) {
                throw noJson("this line is empty");
            }
            JsonNode root = reader.value(parser, first, Spot.TOP, 0);
            if (parser.nextToken() != null) {
                throw noJson("more text follows after the end of the JSON");
            }
            return new Tree(root, List.copyOf(reader.duplicates));
        } catch (JsonProcessingException e) {
            throw noJson("no JSON at character "
                    + (e.getLocation() == null
                            ? "?"
                            : Math.max(1, e.getLocation().getCharOffset())));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private JsonNode value(JsonParser parser, JsonToken token, Spot path, int depth) throws IOException {
        if (depth > DEEPEST) {
            throw noJson("nested more than " + DEEPEST + " deep");
        }
        return switch (token) {
            case START_OBJECT -> object(parser, path, depth);
            case START_ARRAY -> array(parser, path, depth);
            case VALUE_STRING -> NODES.textNode(parser.getText());
            case VALUE_NUMBER_INT ->
                parser.getNumberType() == JsonParser.NumberType.BIG_INTEGER
                        ? NODES.numberNode(Double.parseDouble(parser.getText()))
                        : NODES.numberNode(parser.getLongValue());
            case VALUE_NUMBER_FLOAT -> NODES.numberNode(Double.parseDouble(parser.getText()));
            case VALUE_TRUE -> NODES.booleanNode(true);
            case VALUE_FALSE -> NODES.booleanNode(false);
            default -> NODES.nullNode();
        };
    }

    private ObjectNode object(JsonParser parser, Spot path, int depth) throws IOException {
        ObjectNode object = NODES.objectNode();
        while (parser.nextToken() != JsonToken.END_OBJECT) {
            String key = parser.currentName();
            Spot inner = path.field(key);
            JsonNode value = value(parser, parser.nextToken(), inner, depth + 1);
            if (object.has(key)) {
                duplicates.add(new Refusal(inner.toString(), "stands twice", Refusal.Kind.SYNTAX));
            } else {
                object.set(key, value);
            }
        }
        return object;
    }

    private ArrayNode array(JsonParser parser, Spot path, int depth) throws IOException {
        ArrayNode array = NODES.arrayNode();
        for (JsonToken token = parser.nextToken(); token != JsonToken.END_ARRAY; token = parser.nextToken()) {
            array.add(value(parser, token, path.item(array.size()), depth + 1));
        }
        return array;
    }

    private static ReadingException noJson(String why) {
        return new ReadingException(List.of(new Refusal("$", why, Refusal.Kind.SYNTAX)));
    }
}
