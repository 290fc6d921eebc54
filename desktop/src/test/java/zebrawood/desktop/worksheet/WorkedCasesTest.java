package zebrawood.desktop.worksheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.worksheet.Solver;

/** Cases worked by an independent program in another language. */
class WorkedCasesTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private final List<Throwable> faults = new ArrayList<>();
    private final Solver solver = new Solver(Catalogue.solved(), faults::add);

    static Stream<String> procedures() {
        return Catalogue.solved().stream().map(procedure -> procedure.card().id());
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void everyWorkedCaseComesOutAsItWasWorked(String procedure) throws IOException {
        JsonNode cases;
        try (InputStream file = WorkedCasesTest.class.getResourceAsStream("/worked-cases/" + procedure + ".json")) {
            cases = JSON.readTree(file);
        }
        assertThat(cases).hasSizeGreaterThan(6);
        for (JsonNode worked : cases) {
            String worksheet = JSON.writeValueAsString(
                    JSON.createObjectNode().put("procedure", procedure).set("readings", worked.get("readings")));
            JsonNode answer = JSON.readTree(solver.answer(worksheet).json());
            String name = procedure + ", " + worked.get("name").asText();
            JsonNode expect = worked.get("expect");
            if (expect.has("error")) {
                assertThat(answer.at("/error/field")).as(name).isEqualTo(expect.at("/error/field"));
            } else {
                assertThat(answer.get("verdict")).as(name).isEqualTo(expect.get("verdict"));
                compare(name, expect.get("finding"), answer.get("finding"));
            }
        }
        assertThat(faults).isEmpty();
    }

    private static void compare(String where, JsonNode expected, JsonNode found) {
        assertThat(found).as(where).isNotNull();
        if (expected.isNumber()) {
            double wanted = expected.doubleValue();
            assertThat(found.doubleValue())
                    .as(where)
                    .isCloseTo(wanted, within(1e-6 * (wanted == 0 ? 1 : Math.abs(wanted))));
        } else if (expected.isObject()) {
            expected.properties()
                    .forEach(field ->
                            compare(where + "." + field.getKey(), field.getValue(), found.get(field.getKey())));
        } else if (expected.isArray()) {
            assertThat(found).as(where).hasSameSizeAs(expected);
            for (int i = 0; i < expected.size(); i++) {
                compare(where + "[" + i + "]", expected.get(i), found.get(i));
            }
        } else {
            assertThat(found).as(where).isEqualTo(expected);
        }
    }
}
