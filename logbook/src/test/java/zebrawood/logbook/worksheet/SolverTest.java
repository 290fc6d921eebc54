package zebrawood.logbook.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.site.SiteClimate;

class SolverTest {

    private static final String GOOD = "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":21.4,\"relativeHumidityPct\":46,"
            + "\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66}}}";

    private final Solver solver = new Solver(List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp()));

    private List<JsonNode> solve(byte[] lines) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        solver.solve(new ByteArrayInputStream(lines), out);
        List<JsonNode> answers = new ArrayList<>();
        for (String line : out.toString(StandardCharsets.UTF_8).split("\n")) {
            answers.add(new ObjectMapper().readTree(line));
        }
        return answers;
    }

    private JsonNode solveOne(String line) throws IOException {
        return solve((line + "\n").getBytes(StandardCharsets.UTF_8)).get(0);
    }

    @Test
    void aWorksheetIsAnsweredWithVerdictFindingAndSentences() throws IOException {
        JsonNode answer = solveOne(GOOD);

        assertThat(answer.path("procedure").asText()).isEqualTo("site-climate");
        assertThat(answer.path("verdict").asText()).isEqualTo("PASS");
        assertThat(answer.path("finding").path("dewPointC").asDouble()).isBetween(9.29, 9.30);
        assertThat(answer.path("finding").path("tolerances").path("limits").path("maxHumidityPct").asInt()).isEqualTo(66);
        assertThat(answer.path("instructions").get(0).asText()).startsWith("The room suits");
    }

    @Test
    void eachRefusalNamesItsFieldAndTheRestGoOn() throws IOException {
        String[][] cases = {
            {"", "$"}, {"hello", "$"}, {"[1]", "$"}, {GOOD.substring(0, 80), "$"}, {GOOD + "x", "$"}, {"{\"a\":1}", "a"}, {"{}", "procedure"},
            {"{\"procedure\":7,\"readings\":{}}", "procedure"}, {"{\"procedure\":\"mirror-song\",\"readings\":{}}", "procedure"},
            {"{\"procedure\":\"site-climate\"}", "readings"}, {"{\"procedure\":\"site-climate\",\"readings\":{},\"by\":\"RV\"}", "by"},
            {GOOD.replace("21.4", "1e999"), "airTemperatureC"}, {GOOD.replace("21.4", "\"21.4\""), "airTemperatureC"},
            {GOOD.replace("\"limits\":{", "\"airTemperatureC\":3,\"limits\":{"), "airTemperatureC"},
            {GOOD.replace("\"maxHumidityPct\":66", "\"maxHumidityPct\":66,\"maxHumidityPct\":60"), "limits.maxHumidityPct"},
            {"{\"procedure\":".repeat(40_000), "$"}, {GOOD.replace("climate\"", "climate\\u0000\""), "procedure"}, {GOOD.replace("21.4", "NaN"), "$"}
        };
        StringBuilder lines = new StringBuilder();
        for (String[] each : cases) {
            lines.append(each[0]).append('\n').append(GOOD).append('\n');
        }
        List<JsonNode> answers = solve(lines.toString().getBytes(StandardCharsets.UTF_8));

        assertThat(answers).hasSize(2 * cases.length);
        for (int i = 0; i < cases.length; i++) {
            assertThat(answers.get(2 * i).path("error").path("field").asText()).as(cases[i][0].substring(0, Math.min(90, cases[i][0].length()))).isEqualTo(cases[i][1]);
            assertThat(answers.get(2 * i).path("error").path("message").asText()).isNotBlank();
            assertThat(answers.get(2 * i + 1).path("verdict").asText()).isEqualTo("PASS");
        }
    }

    @Test
    void noJsonObjectAnswersProcedureNull() throws IOException {
        assertThat(solveOne("7").get("procedure").isNull()).isTrue();
    }

    @Test
    void undecodableAndOverlongLinesAreAnsweredAndForgotten() throws IOException {
        ByteArrayOutputStream lines = new ByteArrayOutputStream();
        lines.write(new byte[] {'{', '"', (byte) 0xC3, '(', '"', '}', '\n'});
        lines.write("x".repeat(Lines.LONGEST_BYTES + 1).getBytes(StandardCharsets.US_ASCII));
        lines.write('\n');
        lines.write(GOOD.getBytes(StandardCharsets.UTF_8));
        List<JsonNode> answers = solve(lines.toByteArray());

        assertThat(answers).hasSize(3);
        assertThat(answers.get(0).path("error").path("field").asText()).isEqualTo("$");
        assertThat(answers.get(1).path("error").path("message").asText()).contains("8 MB");
        assertThat(answers.get(2).path("verdict").asText()).isEqualTo("PASS");
    }
}
