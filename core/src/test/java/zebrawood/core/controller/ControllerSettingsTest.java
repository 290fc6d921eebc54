package zebrawood.core.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

class ControllerSettingsTest {

    private static final ControllerNeed NEED = new ControllerNeed(
            ControllerNeed.Tool.LASER,
            new ControllerNeed.Travel(700, 500, OptionalDouble.empty()),
            OptionalDouble.empty(),
            Optional.of(ControllerNeed.HomeCorner.FRONT_LEFT),
            true,
            OptionalDouble.of(1200),
            OptionalDouble.of(1200),
            OptionalDouble.of(30000),
            OptionalDouble.of(4000));

    private final ControllerSettings procedure = new ControllerSettings();

    private static Map<Integer, Double> asNeeded() {
        Map<Integer, Double> settings = new TreeMap<>();
        double[] pairs = {
            20, 1, 21, 1, 22, 1, 23, 3, 30, 1200, 31, 0, 32, 1, 100, 160, 101, 160, 110, 24000, 111, 24000, 120, 3000,
            121, 3000, 130, 700, 131, 500
        };
        for (int i = 0; i < pairs.length; i += 2) {
            settings.put((int) pairs[i], pairs[i + 1]);
        }
        return settings;
    }

    private static String text(Map<Integer, Double> settings) {
        return settings.entrySet().stream()
                        .map(e -> "$" + e.getKey() + "=" + e.getValue())
                        .collect(Collectors.joining("\n"))
                + "\nok\n";
    }

    private Outcome<SettingsFinding> evaluate(String text) {
        return procedure.evaluate(new SettingsReadings(text, Optional.empty(), Optional.empty(), NEED));
    }

    /**
     * The closed loop: sending the change ticket line by line leaves nothing to change; sending the way back restores.
     */
    @Test
    void theChangeTicketCuresAndTheWayBackUndoesIt() {
        SplittableRandom random = new SplittableRandom(30);
        for (int i = 0; i < 500; i++) {
            Map<Integer, Double> found = asNeeded();
            for (int n : List.of(20, 21, 22, 31, 32, 130, 120, 23, 30)) {
                if (random.nextInt(3) == 0) {
                    found.put(n, (double) random.nextInt(6000));
                }
            }
            Map<Integer, Double> machine = new TreeMap<>(found);
            SettingsFinding finding = evaluate(text(machine)).finding();
            finding.changes().forEach(line -> send(machine, line));
            assertThat(evaluate(text(machine)).verdict())
                    .as("after %s", finding.changes())
                    .isEqualTo(Verdict.PASS);
            finding.restore().forEach(line -> send(machine, line));
            assertThat(machine).isEqualTo(found);
        }
    }

    private static void send(Map<Integer, Double> machine, String line) {
        String[] parts = line.substring(1).split("=");
        machine.put(Integer.parseInt(parts[0]), Double.parseDouble(parts[1]));
    }

    @Test
    void softLimitsAreSwitchedOnOnlyAfterHoming() {
        Map<Integer, Double> found = asNeeded();
        found.put(20, 0.0);
        found.put(22, 0.0);

        assertThat(evaluate(text(found)).finding().changes()).containsExactly("$22=1", "$20=1");
    }

    @Test
    void everyLineIsEitherReadOrKeptAsUnreadWhateverEndsIt() {
        SettingsText text =
                SettingsText.parse("hello\r$1=25 (rest)\r\n $32 = 1 \n\n$30=abc\n$30=1e3\n$99999999999=1\n<Idle>");

        assertThat(text.settings()).containsOnlyKeys(1, 32);
        assertThat(text.unread()).extracting(SettingsText.UnreadLine::line).containsExactly(1, 4, 5, 6, 7, 8);
    }

    @Test
    void aSpindleRangeShowsThatFullPowerIsAFractionAndTheOtherWayRoundThatItSaturates() {
        Map<Integer, Double> found = asNeeded();
        found.put(30, 24000.0);
        SettingsFinding fraction = evaluate(text(found)).finding();
        assertThat(fraction.powerFractionPct()).hasValue(5);
        assertThat(fraction.power().orElseThrow().comesOutPct(50)).isEqualTo(2.5);

        found.put(30, 300.0);
        SettingsFinding saturated = evaluate(text(found)).finding();
        assertThat(saturated.saturationPct()).hasValue(25);
        assertThat(saturated.power().orElseThrow().comesOutPct(30)).isEqualTo(100);
    }

    @Test
    void everySettingAndEveryIssueHasARowTheWorstFirst() {
        Map<Integer, Double> found = asNeeded();
        found.put(32, 0.0);
        found.put(20, 0.0);
        found.put(77, 3.0);
        List<SettingsFinding.Row> rows = evaluate(text(found)).finding().rows();

        assertThat(rows.get(0).setting()).isEqualTo(32);
        assertThat(rows.get(1).setting()).isEqualTo(20);
        assertThat(rows).extracting(SettingsFinding.Row::setting).containsAll(found.keySet());
        assertThat(rows)
                .filteredOn(row -> row.setting() == 77)
                .singleElement()
                .satisfies(row -> assertThat(row.meaning()).isEmpty());
    }

    @Test
    void aLongLineOfBlanksIsReadInNoTimeAtAll() {
        String blanks = "$32=1" + " ".repeat(2_000_000) + "x\n$32=1\n";
        assertThat(SettingsText.parse(blanks).unread()).hasSize(1);
    }
}
