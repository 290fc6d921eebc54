package zebrawood.core.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.controller.SettingsFinding.Issue;
import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.controller.SettingsFinding.Side;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.UnitChoice;

class SettingsChecksTest {

    private static final String GOOD =
            "$20=1\n$21=1\n$22=1\n$23=3\n$30=1200\n$31=0\n$32=1\n$100=160\n$101=160\n$110=24000\n$111=24000\n$120=3000\n$121=3000\n$130=700\n$131=500\n";

    private static ControllerNeed need(
            ControllerNeed.Tool tool, boolean switches, double senderMaxS, OptionalDouble maxS) {
        return new ControllerNeed(
                tool,
                new ControllerNeed.Travel(700, 500, OptionalDouble.empty()),
                OptionalDouble.empty(),
                Optional.of(ControllerNeed.HomeCorner.FRONT_LEFT),
                switches,
                OptionalDouble.of(senderMaxS),
                maxS,
                OptionalDouble.of(30000),
                OptionalDouble.of(4000));
    }

    private static final ControllerNeed LASER = need(ControllerNeed.Tool.LASER, true, 1200, OptionalDouble.of(1200));

    private static Outcome<SettingsFinding> evaluate(String text, ControllerNeed need) {
        return new ControllerSettings().evaluate(new SettingsReadings(text, Optional.empty(), Optional.empty(), need));
    }

    private static String with(String line) {
        String number = line.substring(0, line.indexOf('=') + 1);
        return GOOD.replaceAll("(?m)^\\" + number.replace("=", "=") + ".*$\n", "") + line + "\n";
    }

    private static Outcome<SettingsFinding> capped(String text, double senderMaxS, double capS) {
        return new ControllerSettings()
                .evaluate(new SettingsReadings(
                        text,
                        Optional.empty(),
                        Optional.empty(),
                        need(ControllerNeed.Tool.LASER, true, senderMaxS, OptionalDouble.empty()),
                        Optional.of(new SettingsReadings.Cap(capS, OptionalDouble.of(1200)))));
    }

    @Test
    void aCapOfTheTubeIsKeptByEitherSchoolAndNeverTakenForAMismatch() {
        Outcome<SettingsFinding> over = capped(GOOD, 1200, 631);
        assertThat(over.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(over.instructions().get(0).sentence(UnitChoice.METRIC))
                .isEqualTo(
                        "In the job software set full power to S 631. Then 100 % in a job is what the tube bears. The"
                                + " controller keeps its own S for full power.");
        assertThat(capped(GOOD, 631, 631).verdict()).as("as it was said").isEqualTo(Verdict.PASS);
        assertThat(capped(GOOD, 600, 631).verdict()).as("less is safe").isEqualTo(Verdict.PASS);
        assertThat(capped(GOOD, 632, 631).verdict()).isEqualTo(Verdict.ADJUST);

        String larger = over.finding().otherSchool().orElseThrow().changes().get(0);
        assertThat(larger).isEqualTo("$30=2283");
        Outcome<SettingsFinding> other = capped(with(larger), 1200, 631);
        assertThat(other.verdict()).as("the controller instead").isEqualTo(Verdict.PASS);
        assertThat(1200 / 2283.0).isLessThanOrEqualTo(631 / 1200.0);

        assertThat(capped(with("$30=600"), 600, 631).finding().capS().orElseThrow())
                .as("half of the scale, half of the cap")
                .isEqualTo(315);
        Outcome<SettingsFinding> fine = capped(with("$30=1"), 1, 631);
        assertThat(fine.finding().capS().orElseThrow())
                .as("a scale that ends at 1")
                .isEqualTo(0.525);
        assertThat(fine.finding().otherSchool().orElseThrow().changes()).containsExactly("$30=2");
    }

    @ParameterizedTest
    @CsvSource({
        "$32=0, 32, MUST, 1",
        "$22=0, 22, MUST, 1",
        "$21=0, 21, SHOULD, 1",
        "$20=0, 20, SHOULD, 1",
        "$130=698, 130, MUST, 700",
        "$131=502, 131, MUST, 500",
        "$30=1000, 30, MUST, 1200",
        "$31=5, 31, SHOULD, 0",
        "$23=0, 23, MUST, 3",
        "$23=12, 23, MUST, 15",
        "$23=2.5, 23, MUST, 3",
        "$110=30001, 110, SHOULD, 30000",
        "$121=5000, 121, SHOULD, 4000"
    })
    void oneWrongSettingIsOneIssueWithOneLineThatCuresIt(String line, int setting, Severity severity, double wanted) {
        SettingsFinding finding = evaluate(with(line), LASER).finding();

        assertThat(finding.issues()).singleElement().satisfies(issue -> {
            assertThat(issue.setting()).isEqualTo(setting);
            assertThat(issue.severity()).isEqualTo(severity);
            assertThat(issue.wanted()).hasValue(wanted);
            assertThat(issue.side()).isEqualTo(Side.CONTROLLER);
        });
        assertThat(finding.changes()).containsExactly("$" + setting + "=" + (long) wanted);
        assertThat(finding.restore()).containsExactly(line);
    }

    @ParameterizedTest
    @CsvSource({"$130=699", "$130=701", "$131=499.5", "$110=30000", "$23=3"})
    void limitsIncludeTheirEndValues(String line) {
        assertThat(evaluate(with(line), LASER).verdict()).isEqualTo(Verdict.PASS);
    }

    @ParameterizedTest
    @CsvSource({"$100=0", "$101=-80", "$110=0", "$120=-1"})
    void whatMustBeAboveNothingHasNoLineThatCouldCureItButAnInstruction(String line) {
        Outcome<SettingsFinding> outcome = evaluate(with(line), LASER);

        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.finding().changes()).isEmpty();
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC)).contains("from the machine's maker");
    }

    @Test
    void aMachineWithoutSwitchesWantsNeitherHomingNorSoftLimits() {
        ControllerNeed open = need(ControllerNeed.Tool.LASER, false, 1200, OptionalDouble.of(1200));
        SettingsFinding finding = evaluate(GOOD, open).finding();

        assertThat(finding.issues()).extracting(Issue::setting).containsExactly(22, 21, 20);
        assertThat(finding.changes()).containsExactly("$21=0", "$22=0", "$20=0");
    }

    @Test
    void softLimitsWithoutAHomeAreToldAsSuch() {
        assertThat(evaluate(with("$22=0"), LASER).finding().issues().get(0).why())
                .contains("soft limits mean nothing without a home");
    }

    @Test
    void aSpindleWantsLaserModeOffAndMayIdleAboveNothing() {
        ControllerNeed spindle = need(ControllerNeed.Tool.SPINDLE, true, 1200, OptionalDouble.of(1200));
        assertThat(evaluate(GOOD, spindle).finding().changes()).containsExactly("$32=0");
        assertThat(evaluate(GOOD.replace("$32=1", "$32=0").replace("$31=0", "$31=100"), spindle)
                        .verdict())
                .isEqualTo(Verdict.PASS);
    }

    @Test
    void theSenderIsComparedWithWhatTheControllerWillHaveAfterTheChange() {
        SettingsFinding finding = evaluate(
                        with("$30=255"), need(ControllerNeed.Tool.LASER, true, 255, OptionalDouble.of(1200)))
                .finding();

        assertThat(finding.issues()).extracting(Issue::side).containsExactly(Side.CONTROLLER, Side.SENDER);
        assertThat(finding.issues().get(1).wanted()).hasValue(1200);
        assertThat(finding.powerFractionPct()).as("as it is now").hasValue(100);
    }

    @Test
    void theOtherSchoolChangesTheControllerInsteadAndCanBeTakenBack() {
        SettingsFinding finding = evaluate(GOOD, need(ControllerNeed.Tool.LASER, true, 480, OptionalDouble.empty()))
                .finding();

        assertThat(finding.changes()).isEmpty();
        assertThat(finding.otherSchool().orElseThrow().changes()).containsExactly("$30=480");
        assertThat(finding.otherSchool().orElseThrow().restore()).containsExactly("$30=1200");
    }

    @Test
    void whatIsNeededButDidNotComeIsAskedForAgain() {
        Outcome<SettingsFinding> outcome = evaluate("$30=1200\n$32=1\n", LASER);

        assertThat(outcome.finding().issues())
                .allMatch(issue -> issue.why().equals("not reported"))
                .extracting(Issue::setting)
                .containsExactly(20, 21, 22, 23, 31, 100, 101, 110, 111, 120, 121, 130, 131);
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Ask for the settings again")
                .contains("130, 131");
    }

    @Test
    void theBaselineTellsWhatHasChangedSinceAndNothingElse() {
        SettingsReadings readings = new SettingsReadings(
                with("$27=2") + "$27=3\n", Optional.of(GOOD + "$27=1\n$5=0\n"), Optional.empty(), LASER);
        Outcome<SettingsFinding> outcome = new ControllerSettings().evaluate(readings);

        assertThat(outcome.verdict()).isEqualTo(Verdict.PASS);
        assertThat(outcome.finding().issues()).extracting(Issue::setting).containsExactly(5, 27, 27);
        assertThat(outcome.finding().issues()).extracting(Issue::severity).containsOnly(Severity.NOTE);
    }

    @Test
    void aTextWithoutASettingAndAnUnknownDialectAreRefused() {
        assertThatThrownBy(() -> new SettingsReadings("ok\n", Optional.empty(), Optional.empty(), LASER))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("settingsText");
        assertThatThrownBy(() -> new SettingsReadings(GOOD, Optional.of("hello"), Optional.empty(), LASER))
                .hasMessageContaining("baselineText");
        assertThatThrownBy(() -> new SettingsReadings(GOOD, Optional.empty(), Optional.of("semaphore"), LASER))
                .hasMessageContaining("dialect");
    }

    @Test
    void rowsAreToldInWords() {
        List<SettingsFinding.Row> rows =
                evaluate(with("$23=1"), LASER).finding().rows();
        assertThat(rows.get(0)).satisfies(row -> {
            assertThat(row.meaning()).contains("Homes toward");
            assertThat(row.found()).contains("rear left");
            assertThat(row.needed()).contains("front left");
        });
        assertThat(rows)
                .filteredOn(row -> row.setting() == 32)
                .singleElement()
                .satisfies(row -> assertThat(row.found()).contains("on"));
        assertThat(rows)
                .filteredOn(row -> row.setting() == 130)
                .singleElement()
                .satisfies(row -> assertThat(row.found()).contains("700 mm"));
    }
}
