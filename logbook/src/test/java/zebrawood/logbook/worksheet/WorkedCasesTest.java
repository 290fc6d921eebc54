package zebrawood.logbook.worksheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.site.SiteClimate;

/** Cases worked by an independent program in another language. */
class WorkedCasesTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private final Solver solver = new Solver(List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp(),
            new AssistGas(), new CoolantSetpoint(), new CoolantHeat(), new CoolantMix(), new SiteCircuit(), new SiteAccess(), new Extraction()));

    @ParameterizedTest
    @ValueSource(strings = {"site-climate", "controller-settings", "focus-ramp", "assist-gas", "coolant-setpoint", "coolant-heat", "coolant-mix", "site-circuit", "site-access", "exhaust-duct"})
    void everyWorkedCaseComesOutAsItWasWorked(String procedure) throws IOException {
        JsonNode cases;
        try (InputStream file = WorkedCasesTest.class.getResourceAsStream("/worked-cases/" + procedure + ".json")) {
            cases = JSON.readTree(file);
        }
        assertThat(cases).hasSizeGreaterThan(6);
        for (JsonNode worked : cases) {
            String worksheet = JSON.writeValueAsString(JSON.createObjectNode().put("procedure", procedure).set("readings", worked.get("readings")));
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
    }

    private static void compare(String where, JsonNode expected, JsonNode found) {
        assertThat(found).as(where).isNotNull();
        if (expected.isNumber()) {
            double wanted = expected.doubleValue();
            assertThat(found.doubleValue()).as(where).isCloseTo(wanted, within(1e-6 * (wanted == 0 ? 1 : Math.abs(wanted))));
        } else if (expected.isObject()) {
            expected.fields().forEachRemaining(field -> compare(where + "." + field.getKey(), field.getValue(), found.get(field.getKey())));
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
