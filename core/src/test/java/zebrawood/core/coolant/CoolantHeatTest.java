package zebrawood.core.coolant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

class CoolantHeatTest {

    private final CoolantHeat procedure = new CoolantHeat();

    private static HeatReadings bucket(double inputW, double flow, double litres) {
        return new HeatReadings(
                inputW,
                88,
                flow,
                Optional.empty(),
                OptionalDouble.empty(),
                19,
                27,
                OptionalDouble.of(litres),
                OptionalDouble.empty());
    }

    /** Water stepped through the source second by second: the drawn afternoon is never off by a tenth of a degree. */
    @Test
    void theBucketWarmsAsDrawn() {
        SplittableRandom random = new SplittableRandom(6);
        for (int i = 0; i < 200; i++) {
            HeatReadings read = bucket(
                    200 + 1500 * random.nextDouble(), 2 + 10 * random.nextDouble(), 8 + 120 * random.nextDouble());
            HeatFinding finding = procedure.evaluate(read).finding();
            double litres = read.reservoirL().getAsDouble();
            double perLitre = finding.densityKgM3() / 1000 * finding.specificHeatJKgK();
            double bucketC = read.startC();
            double stopped = -1;
            for (int second = 0; second <= 4 * 3600; second++) {
                assertThat(finding.bucketC(second / 60.0)).isCloseTo(bucketC, within(0.1));
                double outletC = bucketC + finding.heatW() / (perLitre * read.flowLMin() / 60);
                if (stopped < 0 && outletC > read.maxC()) {
                    stopped = second / 60.0;
                }
                bucketC += (outletC - bucketC) * read.flowLMin() / 60 / litres;
            }
            double minutes = finding.bucketMinutes().orElseThrow();
            assertThat(stopped < 0 ? 240 : stopped).isCloseTo(Math.min(240, minutes), within(0.05));
        }
    }

    /** A kilogram of ice, melted and warmed to where one stops, gives the minutes that were promised. */
    @Test
    void iceGivesWhatWasPromised() {
        HeatFinding finding = procedure.evaluate(bucket(780, 8.5, 20)).finding();
        double stopC = 27 - finding.riseC();
        double joules = 334_000 + 4182 * stopC;
        assertThat(finding.iceMinutesPerKg().orElseThrow() * 60 * finding.heatW())
                .isCloseTo(joules, within(1.0));
    }

    @Test
    void aShortBucketIsToldWhenToStopAndHowMuchWouldDo() {
        Outcome<HeatFinding> outcome = procedure.evaluate(bucket(780, 8.5, 20));
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .isEqualTo("Stop after 13 min and let the water cool. Then the outlet is at 27.0 °C. For an hour it "
                        + "takes 88 l.");
        assertThat(procedure.evaluate(bucket(780, 8.5, 88)).verdict())
                .as("with so much water")
                .isEqualTo(Verdict.PASS);
        assertThat(outcome.instructions().get(0).sentence(new UnitChoice(false, true)))
                .contains("80.6 °F");
    }

    /** Doing what is said to the letter: more flow, a stronger chiller. */
    @Test
    void whatIsSaidCoolsIt() {
        SplittableRandom random = new SplittableRandom(9);
        int hot = 0;
        for (int i = 0; i < 2_000; i++) {
            double input = 300 + 2000 * random.nextDouble();
            double flow = 0.3 + 3 * random.nextDouble();
            double chiller = 100 + 2500 * random.nextDouble();
            Outcome<HeatFinding> outcome = chilled(input, flow, chiller);
            if (outcome.verdict() == Verdict.FAIL) {
                hot++;
                HeatFinding finding = outcome.finding();
                double more = Math.max(flow, Math.ceil(finding.leastFlowLMin().orElseThrow() * 10 - 1e-9) / 10);
                double stronger = Math.max(chiller, Math.ceil(finding.heatW()));
                assertThat(chilled(input, more, stronger).verdict()).isEqualTo(Verdict.PASS);
            }
        }
        assertThat(hot).isGreaterThan(500);
    }

    private Outcome<HeatFinding> chilled(double input, double flow, double chiller) {
        return procedure.evaluate(new HeatReadings(
                input,
                88,
                flow,
                Optional.of(Glycol.PROPYLENE),
                OptionalDouble.of(25),
                19,
                27,
                OptionalDouble.empty(),
                OptionalDouble.of(chiller)));
    }
}
