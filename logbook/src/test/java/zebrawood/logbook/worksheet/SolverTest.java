package zebrawood.logbook.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.Said;

class SolverTest {

    private static final String GOOD =
            "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":21.4,\"relativeHumidityPct\":46,"
                    + "\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66}}}";

    private final Solver solver =
            new Solver(List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp()), fault -> {
                throw new AssertionError(fault);
            });

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
        assertThat(answer.path("finding")
                        .path("tolerances")
                        .path("limits")
                        .path("maxHumidityPct")
                        .asInt())
                .isEqualTo(66);
        assertThat(answer.path("instructions").get(0).asText()).startsWith("The room suits");
    }

    @Test
    void eachRefusalNamesItsFieldAndTheRestGoOn() throws IOException {
        String[][] cases = {
            {"", "$"},
            {"hello", "$"},
            {"[1]", "$"},
            {GOOD.substring(0, 80), "$"},
            {GOOD + "x", "$"},
            {"{\"a\":1}", "a"},
            {"{}", "procedure"},
            {"{\"procedure\":7,\"readings\":{}}", "procedure"},
            {"{\"procedure\":\"mirror-song\",\"readings\":{}}", "procedure"},
            {"{\"procedure\":\"site-climate\"}", "readings"},
            {"{\"procedure\":\"site-climate\",\"readings\":{},\"by\":\"RV\"}", "by"},
            {GOOD.replace("21.4", "1e999"), "airTemperatureC"},
            {GOOD.replace("21.4", "\"21.4\""), "airTemperatureC"},
            {GOOD.replace("\"limits\":{", "\"airTemperatureC\":3,\"limits\":{"), "airTemperatureC"},
            {
                GOOD.replace("\"maxHumidityPct\":66", "\"maxHumidityPct\":66,\"maxHumidityPct\":60"),
                "limits.maxHumidityPct"
            },
            {"{\"procedure\":".repeat(40_000), "$"},
            {GOOD.replace("climate\"", "climate\\u0000\""), "procedure"},
            {GOOD.replace("21.4", "NaN"), "$"}
        };
        StringBuilder lines = new StringBuilder();
        for (String[] each : cases) {
            lines.append(each[0]).append('\n').append(GOOD).append('\n');
        }
        List<JsonNode> answers = solve(lines.toString().getBytes(StandardCharsets.UTF_8));

        assertThat(answers).hasSize(2 * cases.length);
        for (int i = 0; i < cases.length; i++) {
            assertThat(answers.get(2 * i).path("error").path("field").asText())
                    .as(cases[i][0].substring(0, Math.min(90, cases[i][0].length())))
                    .isEqualTo(cases[i][1]);
            assertThat(answers.get(2 * i).path("error").path("message").asText())
                    .isNotBlank();
            assertThat(answers.get(2 * i + 1).path("verdict").asText()).isEqualTo("PASS");
        }
    }

    /** Any finite number whatever is answered: with a finding of finite numbers, or with a refusal. */
    @Test
    void noNumberHoweverExtremeStopsTheRun() throws IOException {
        SplittableRandom random = new SplittableRandom(308);
        String[] odd = {
            "0",
            "-0.0",
            "1e308",
            "-1e308",
            "4.9e-324",
            "1e-300",
            "1e150",
            "-1",
            "1",
            "180",
            "10600",
            "0.2",
            "7",
            "100",
            "66.6"
        };
        StringBuilder lines = new StringBuilder();
        int count = 6_000;
        for (int i = 0; i < count; i++) {
            StringBuilder marks = new StringBuilder();
            for (int m = 0; m < 5; m++) {
                marks.append(m == 0 ? "" : ",")
                        .append("{\"positionMm\":")
                        .append(pick(odd, random))
                        .append(",\"widthMm\":")
                        .append(pick(odd, random))
                        .append('}');
            }
            lines.append(
                            switch (i % 3) {
                                case 0 ->
                                    "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":"
                                            + random.nextInt(-45, 61) + ",\"relativeHumidityPct\":" + pick(odd, random)
                                            + ",\"limits\":{\"minTemperatureC\":-60,\"maxTemperatureC\":"
                                            + random.nextInt(-60, 151) + ",\"maxHumidityPct\":" + pick(odd, random)
                                            + "}}}";
                                case 1 ->
                                    "{\"procedure\":\"focus-ramp\",\"readings\":{\"wavelengthNm\":" + pick(odd, random)
                                            + ",\"gapAtStartMm\":" + pick(odd, random) + ",\"runMm\":"
                                            + pick(odd, random) + ",\"riseMm\":" + pick(odd, random)
                                            + ",\"lastBestGapMm\":" + pick(odd, random) + ",\"marks\":[" + marks
                                            + "]}}";
                                default ->
                                    "{\"procedure\":\"controller-settings\",\"readings\":{\"settingsText\":\"$30="
                                            + random.nextInt(9) + "\\n$110=" + "9".repeat(random.nextInt(1, 400))
                                            + "\",\"need\":{\"tool\":\"laser\",\"travelMm\":{\"x\":1,\"y\":1},\"limitSwitches\":true,\"senderMaxS\":"
                                            + pick(odd, random) + ",\"maxS\":" + pick(odd, random) + "}}}";
                            })
                    .append('\n');
        }
        List<JsonNode> answers = solve(lines.toString().getBytes(StandardCharsets.UTF_8));

        assertThat(answers).hasSize(count);
        assertThat(answers).allMatch(answer -> answer.has("error") ^ answer.has("finding"));
        assertThat(answers).filteredOn(answer -> answer.has("finding")).hasSizeGreaterThan(300);
    }

    private static String pick(String[] odd, SplittableRandom random) {
        return odd[random.nextInt(odd.length)];
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

    /** A made-up procedure that falls over where the air is at 13 degrees. */
    private static final class Faulty extends Wrapped {
        @Override
        public Outcome<ClimateFinding> evaluate(ClimateReadings readings) {
            if (readings.airTemperatureC() == 13) {
                throw new IllegalArgumentException("nobody thought of 13");
            }
            return super.evaluate(readings);
        }
    }

    @Test
    void aFaultOfTheProgramIsAnsweredAsOneAndTheRestGoesOn() throws IOException {
        List<Throwable> faults = new ArrayList<>();
        ByteArrayOutputStream answers = new ByteArrayOutputStream();
        String sick = GOOD.replaceFirst("\"airTemperatureC\":[0-9.]+", "\"airTemperatureC\":13");
        long refused = new Solver(List.of(new Faulty()), faults::add)
                .solve(new ByteArrayInputStream((sick + "\n" + GOOD).getBytes(StandardCharsets.UTF_8)), answers);

        JsonNode[] lines = answers.toString(StandardCharsets.UTF_8)
                .lines()
                .map(SolverTest::parsed)
                .toArray(JsonNode[]::new);
        assertThat(lines).hasSize(2);
        assertThat(lines[0].at("/error/field").asText()).isEqualTo("$");
        assertThat(lines[0].at("/error/message").asText())
                .contains("this program has a fault")
                .doesNotContain("too large", "Exception");
        assertThat(lines[1].get("verdict").asText()).isEqualTo("PASS");
        assertThat(refused).isEqualTo(1);
        assertThat(faults).singleElement().satisfies(fault -> assertThat(fault).hasMessage("nobody thought of 13"));
    }

    private static JsonNode parsed(String line) {
        try {
            return new ObjectMapper().readTree(line);
        } catch (IOException e) {
            throw new AssertionError(line, e);
        }
    }

    /** The climate procedure, to be overridden. */
    private static class Wrapped implements Procedure<ClimateReadings, ClimateFinding> {
        private final SiteClimate climate = new SiteClimate();

        @Override
        public Card card() {
            return climate.card();
        }

        @Override
        public Class<ClimateReadings> readingsType() {
            return climate.readingsType();
        }

        @Override
        public Class<ClimateFinding> findingType() {
            return climate.findingType();
        }

        @Override
        public boolean appliesTo(Plate plate) {
            return climate.appliesTo(plate);
        }

        @Override
        public Outcome<ClimateFinding> evaluate(ClimateReadings readings) {
            return climate.evaluate(readings);
        }

        @Override
        public Said keyFigure(ClimateFinding finding) {
            return climate.keyFigure(finding);
        }

        @Override
        public List<Evidence> evidence(ClimateFinding finding) {
            return climate.evidence(finding);
        }

        @Override
        public Said judgedBy(ClimateFinding finding) {
            return climate.judgedBy(finding);
        }
    }

    /** Somebody who asks line by line, and looks at each next line for what was answered so far. */
    private static final class Asker extends InputStream {
        private final ByteArrayOutputStream answers = new ByteArrayOutputStream();
        private final List<Long> answered = new ArrayList<>();

        @Override
        public int read() {
            throw new UnsupportedOperationException("a line at a time");
        }

        @Override
        public int read(byte[] into, int from, int most) {
            answered.add(answers.toString(StandardCharsets.UTF_8).lines().count());
            if (answered.size() > 3) {
                return -1;
            }
            into[from] = '{';
            into[from + 1] = '}';
            into[from + 2] = '\n';
            return 3;
        }
    }

    /** Whoever asks line by line, and waits for each answer before the next line, gets it. */
    @Test
    void aLineIsAnsweredBeforeTheNextIsAsked() throws IOException {
        Asker asker = new Asker();
        try (OutputStream held = new BufferedOutputStream(asker.answers, 1 << 16)) {
            new Solver(List.of(new SiteClimate()), fault -> {}).solve(asker, held);
        }
        assertThat(asker.answered).startsWith(0L, 1L, 2L, 3L);
    }
}
