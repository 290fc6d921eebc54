package zebrawood.desktop.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.worksheet.Solver;

/**
 * Worked cases with one thing in them made impossible, one after the other: each is answered or refused in words, none
 * breaks anything.
 */
class HostileReadingsTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final List<String> HOSTILE = List.of(
            "-1", "0", "1e-300", "1e300", "9007199254740993", "\"six\"", "\"\"", "null", "true", "[]", "{}", "[[1]]");
    private static final int MOST_CASES = 4;
    private static final Set<String> VERDICTS = Set.of("PASS", "ADJUST", "FAIL", "UNCLEAR", "NOTE");

    private final List<Throwable> faults = new ArrayList<>();
    private final Solver solver = new Solver(Catalogue.solved(), faults::add);

    private int answered;
    private int refused;

    static Stream<String> procedures() {
        return Catalogue.solved().stream().map(procedure -> procedure.card().id());
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void whateverStandsInAReadingItIsAnsweredOrRefusedInWords(String procedure) throws IOException {
        JsonNode cases;
        try (InputStream file = HostileReadingsTest.class.getResourceAsStream("/worked-cases/" + procedure + ".json")) {
            cases = JSON.readTree(file);
        }
        for (JsonNode worked : solvable(cases)) {
            for (String hostile : HOSTILE) {
                int places = places(worked.get("readings").deepCopy()).size();
                for (int place = 0; place < places; place++) {
                    JsonNode readings = worked.get("readings").deepCopy();
                    places(readings).get(place).accept(JSON.readTree(hostile));
                    answer(procedure, readings);
                }
            }
        }
        assertThat(faults)
                .as("extreme numbers are refused, they bring no procedure down")
                .isEmpty();
        assertThat(refused).as("most of that cannot be").isGreaterThan(120);
        assertThat(answered).as("some of it can, as where a value is left out").isGreaterThan(20);
    }

    /** The first few that are answered as they stand. */
    private static List<JsonNode> solvable(JsonNode cases) {
        List<JsonNode> solvable = new ArrayList<>();
        cases.forEach(worked -> {
            if (!worked.get("expect").has("error") && solvable.size() < MOST_CASES) {
                solvable.add(worked);
            }
        });
        assertThat(solvable).isNotEmpty();
        return solvable;
    }

    /** Every place in the readings at which something can be put in place of what stands there. */
    private static List<Consumer<JsonNode>> places(JsonNode node) {
        List<Consumer<JsonNode>> places = new ArrayList<>();
        if (node instanceof ObjectNode object) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            for (String name : names) {
                places.add(value -> object.set(name, value));
                places.addAll(places(object.get(name)));
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < Math.min(2, array.size()); i++) {
                int at = i;
                places.add(value -> array.set(at, value));
                places.addAll(places(array.get(i)));
            }
        }
        return places;
    }

    private void answer(String procedure, JsonNode readings) throws IOException {
        String worksheet = JSON.writeValueAsString(
                JSON.createObjectNode().put("procedure", procedure).set("readings", readings));
        JsonNode answer = JSON.readTree(solver.answer(worksheet).json());
        if (answer.has("error")) {
            refused++;
            assertThat(answer.at("/error/message").asText())
                    .as(worksheet)
                    .isNotBlank()
                    .doesNotContain("Exception", "java.", "Infinity", "NaN");
        } else {
            answered++;
            assertThat(VERDICTS).as(worksheet).contains(answer.get("verdict").asText());
            assertThat(answer.toString()).as(worksheet).doesNotContain("Infinity", "NaN");
        }
    }
}
