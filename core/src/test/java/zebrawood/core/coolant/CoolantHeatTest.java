package zebrawood.core.coolant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

class CoolantHeatTest {

    private static final Pattern NUMBER = Pattern.compile("-?\\d+(?:\\.\\d+)?");

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
                .isEqualTo("Use 88 l of water or more, or stop after 13 min and let it cool. After 13 min the outlet of"
                        + " this bucket is at 27.0 °C. With 88 l it lasts an hour.");
        assertThat(procedure.evaluate(bucket(780, 8.5, 88)).verdict())
                .as("with so much water")
                .isEqualTo(Verdict.PASS);
        assertThat(outcome.instructions().get(0).sentence(new UnitChoice(false, true)))
                .contains("80.6 °F");
    }

    /** What is said is done to the letter, again and again, until all is well: it always arrives. */
    @Test
    void whatIsSaidCoolsIt() {
        SplittableRandom random = new SplittableRandom(9);
        int wrong = 0;
        int asked = 0;
        for (int i = 0; i < 20_000; i++) {
            HeatReadings read = random(random);
            Outcome<HeatFinding> outcome = procedure.evaluate(read);
            wrong += outcome.verdict() == Verdict.PASS ? 0 : 1;
            String told = "";
            for (int round = 0; outcome.verdict() != Verdict.PASS && round < 4; round++) {
                for (Instruction instruction : outcome.instructions()) {
                    String action = instruction.action().in(UnitChoice.METRIC);
                    told += action + " ";
                    read = done(read, action);
                }
                if (told.contains("ask the maker")) {
                    asked++;
                    break;
                }
                outcome = procedure.evaluate(read);
            }
            assertThat(outcome.verdict() == Verdict.PASS || told.contains("ask the maker"))
                    .as("%s: %s", read, told)
                    .isTrue();
        }
        assertThat(wrong).isGreaterThan(10_000);
        assertThat(asked).isLessThan(wrong / 3);
    }

    private static HeatReadings random(SplittableRandom random) {
        double max = 20 + 15 * random.nextDouble();
        return new HeatReadings(
                300 + 2000 * random.nextDouble(),
                88,
                0.3 + 8 * random.nextDouble(),
                Optional.of(Glycol.PROPYLENE),
                OptionalDouble.of(25),
                5 + 30 * random.nextDouble(),
                max,
                OptionalDouble.empty(),
                random.nextBoolean() ? OptionalDouble.of(22 * random.nextDouble()) : OptionalDouble.empty(),
                random.nextBoolean() ? OptionalDouble.of(5 + 100 * random.nextDouble()) : OptionalDouble.empty(),
                random.nextInt(3) == 0 ? OptionalDouble.of(100 + 2500 * random.nextDouble()) : OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** The worksheet once somebody has done exactly what a sentence says. */
    private static HeatReadings done(HeatReadings read, String action) {
        List<Double> numbers = NUMBER.matcher(action)
                .results()
                .map(found -> Double.parseDouble(found.group()))
                .toList();
        double flow = read.flowLMin();
        double start = read.startC();
        OptionalDouble bucket = read.reservoirL();
        OptionalDouble chiller = read.chillerW();
        if (action.startsWith("Bring the flow to")) {
            flow = numbers.get(0);
        } else if (action.contains("and bring the flow to")) {
            start = numbers.get(0);
            flow = numbers.get(1);
        } else if (action.startsWith("Cool the water to") || action.startsWith("Warm the water to")) {
            start = numbers.get(0);
        } else if (action.startsWith("Fit a chiller")) {
            chiller = OptionalDouble.of(numbers.get(0));
        } else if (action.startsWith("Use ")) {
            bucket = OptionalDouble.of(numbers.get(0));
        } else if (action.startsWith("Say what carries")) {
            chiller = OptionalDouble.of(3_000);
        }
        return new HeatReadings(
                read.electricalInputW(),
                read.opticalOutputW(),
                flow,
                read.glycol(),
                read.glycolPct(),
                start,
                read.maxC(),
                read.minC(),
                read.dewPointC(),
                bucket,
                chiller,
                read.chillerReservePct());
    }

    /** Water that is too cold is warmed first; the bucket that is then told lasts an hour with the warmer water. */
    @Test
    void aBucketIsToldForTheWaterAsItWillBe() {
        HeatReadings cold = new HeatReadings(
                2379,
                318,
                8.3,
                Optional.empty(),
                OptionalDouble.empty(),
                8.7,
                29,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(19),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        List<Instruction> said = procedure.evaluate(cold).instructions();
        assertThat(said.get(0).action().in(UnitChoice.METRIC)).isEqualTo("Warm the water to 10.0 °C before it runs.");
        double start = said.get(0).action().amounts().get(0).asSaid();
        double litres = said.get(1).action().amounts().get(0).asSaid();
        HeatReadings then = new HeatReadings(
                2379,
                318,
                8.3,
                Optional.empty(),
                OptionalDouble.empty(),
                start,
                29,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(litres),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertThat(procedure.evaluate(then).verdict()).isEqualTo(Verdict.PASS);
    }

    /** Whatever the unit of the display, water warmed to what it shows is warm enough. */
    @Test
    void aFigureReadInFahrenheitIsStillWarmEnough() {
        for (double dew = 9; dew < 18; dew += 0.1) {
            HeatReadings read = new HeatReadings(
                    600,
                    80,
                    6,
                    Optional.empty(),
                    OptionalDouble.empty(),
                    9,
                    30,
                    OptionalDouble.empty(),
                    OptionalDouble.of(dew),
                    OptionalDouble.empty(),
                    OptionalDouble.of(2000),
                    OptionalDouble.empty());
            String shown = procedure
                    .evaluate(read)
                    .instructions()
                    .get(0)
                    .action()
                    .amounts()
                    .get(0)
                    .number(new UnitChoice(true, true));
            assertThat((Double.parseDouble(shown) - 32) / 1.8)
                    .as("dew point %.1f °C", dew)
                    .isGreaterThanOrEqualTo(dew + 2 - 1e-9);
        }
    }
}
