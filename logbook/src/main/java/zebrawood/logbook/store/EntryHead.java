package zebrawood.logbook.store;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import zebrawood.core.reading.ReadingException;

/**
 * What the bytes of an entry say of those things that stand in columns too, read without building a tree; null where
 * they say nothing. Numbers are texts, as they are only compared.
 */
record EntryHead(
        String machine,
        String number,
        String previous,
        String kind,
        String stop,
        String corrects,
        String standsAt,
        String verdict,
        boolean fired,
        String at,
        String by,
        String plateName,
        List<File> files) {

    private static final JsonFactory JSON = new JsonFactory();

    /** A file that the entry names. */
    record File(String sha256, long bytes) {}

    /** @throws ReadingException where the bytes are no entry */
    static EntryHead of(byte[] bytes) {
        try (JsonParser json = JSON.createParser(bytes)) {
            Reader reader = new Reader(json);
            reader.run();
            return reader.head();
        } catch (IOException | IllegalStateException e) {
            throw new ReadingException("$", "cannot be read as an entry");
        }
    }

    /** Walks through the fields. */
    private static final class Reader {
        private final JsonParser json;
        private final List<File> files = new ArrayList<>();
        private String machine;
        private String number;
        private String previous;
        private String kind;
        private String stop;
        private String corrects;
        private String standsAt;
        private String verdict;
        private boolean fired;
        private String at;
        private String by;
        private String plateName;

        Reader(JsonParser json) {
            this.json = json;
        }

        EntryHead head() {
            return new EntryHead(
                    machine,
                    number,
                    previous,
                    kind,
                    stop,
                    corrects,
                    standsAt,
                    verdict,
                    fired || "work".equals(kind),
                    at,
                    by,
                    plateName,
                    files);
        }

        void run() throws IOException {
            begin(JsonToken.START_OBJECT, json.nextToken());
            while (json.nextToken() == JsonToken.FIELD_NAME) {
                String field = json.currentName();
                JsonToken value = json.nextToken();
                switch (field) {
                    case "machine" -> machine = json.getText();
                    case "number" -> number = json.getText();
                    case "previous" -> previous = json.getText();
                    case "kind" -> kind = json.getText();
                    case "stop" -> stop = json.getText();
                    case "at" -> at = json.getText();
                    case "by" -> by = json.getText();
                    case "corrects" -> correction(value);
                    case "body" -> body(value);
                    case "attachments" -> attachments(value);
                    default -> json.skipChildren();
                }
            }
            if (json.currentToken() != JsonToken.END_OBJECT || json.nextToken() != null) {
                throw new IllegalStateException("more than an object");
            }
        }

        private static void begin(JsonToken wanted, JsonToken found) {
            if (wanted != found) {
                throw new IllegalStateException("not " + wanted);
            }
        }

        private void correction(JsonToken value) throws IOException {
            begin(JsonToken.START_OBJECT, value);
            while (json.nextToken() == JsonToken.FIELD_NAME) {
                String field = json.currentName();
                json.nextToken();
                if (field.equals("number")) {
                    corrects = json.getText();
                } else if (field.equals("standsAt")) {
                    standsAt = json.getText();
                }
                json.skipChildren();
            }
        }

        private void body(JsonToken value) throws IOException {
            begin(JsonToken.START_OBJECT, value);
            while (json.nextToken() == JsonToken.FIELD_NAME) {
                String field = json.currentName();
                JsonToken inner = json.nextToken();
                if (field.equals("verdict")) {
                    verdict = json.getText();
                } else if (field.equals("fired")) {
                    fired = inner == JsonToken.VALUE_TRUE;
                } else if (field.equals("plate") && "plate".equals(kind)) {
                    plate(inner);
                    continue;
                }
                json.skipChildren();
            }
        }

        private void plate(JsonToken value) throws IOException {
            begin(JsonToken.START_OBJECT, value);
            while (json.nextToken() == JsonToken.FIELD_NAME) {
                boolean name = json.currentName().equals("name");
                json.nextToken();
                if (name) {
                    plateName = json.getText();
                }
                json.skipChildren();
            }
        }

        private void attachments(JsonToken value) throws IOException {
            begin(JsonToken.START_ARRAY, value);
            while (json.nextToken() == JsonToken.START_OBJECT) {
                String sha256 = "";
                long bytes = 0;
                while (json.nextToken() == JsonToken.FIELD_NAME) {
                    String field = json.currentName();
                    json.nextToken();
                    if (field.equals("sha256")) {
                        sha256 = json.getText();
                    } else if (field.equals("bytes")) {
                        bytes = json.getLongValue();
                    }
                }
                files.add(new File(sha256, bytes));
            }
        }
    }
}
