package zebrawood.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.power.CeilingReadings.School;
import zebrawood.core.pretend.PretendSource;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

/** Tubes, curves, trends, energies and pulses: what is said is done, and measured again. */
class PowerTest {

    private final SplittableRandom random = new SplittableRandom(18);

    private double between(double least, double most) {
        return least + (most - least) * random.nextDouble();
    }

    /** A tube that begins to draw at a threshold and bends a little; {@code dial} is what 100 % means. */
    private record Tube(double thresholdPct, double fullMa, double bend) {
        double currentMa(double commandPct, double dial) {
            double share = Math.max(0, (commandPct * dial - thresholdPct) / (100 - thresholdPct));
            return fullMa * (share + bend * share * (1 - share));
        }
    }

    private static Outcome<CeilingFinding> ceiling(
            Tube tube, double dial, School school, OptionalDouble firmwareS, double... commands) {
        List<CeilingReadings.Sample> samples = new ArrayList<>();
        for (double command : commands) {
            samples.add(new CeilingReadings.Sample(command, tube.currentMa(command, dial)));
        }
        return new TubeCeiling()
                .evaluate(new CeilingReadings(
                        28,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        samples,
                        firmwareS,
                        OptionalDouble.empty(),
                        Optional.of(school),
                        Optional.empty(),
                        Optional.empty()));
    }

    @Test
    void aCapAsItIsSaidKeepsTheTubeAtItsCeilingOrUnderIt() {
        int capped = 0;
        for (int i = 0; i < 1_000; i++) {
            Tube tube = new Tube(between(2, 12), between(18, 27.9), between(0, 0.3));
            Outcome<CeilingFinding> told =
                    ceiling(tube, 1, School.CAP, OptionalDouble.of(1000), 15, 30, 45, 60, 75, 90, 100);
            if (told.verdict() != Verdict.ADJUST) {
                assertThat(tube.currentMa(100, 1)).isLessThanOrEqualTo(19.6 + 0.5 + 1e-9);
                continue;
            }
            capped++;
            double cap = told.instructions().stream()
                    .filter(each -> each.target().equals("cap"))
                    .findFirst()
                    .orElseThrow()
                    .action()
                    .amounts()
                    .get(0)
                    .asSaid();
            // 100 % asks for the cap from now on; the bend between readings is all that is left
            assertThat(tube.currentMa(cap / 10, 1)).isBetween(19.6 - 1, 19.6 + 0.5);
            assertThat(ceiling(tube, cap / 1000, School.CAP, OptionalDouble.of(cap), 20, 40, 60, 80, 100)
                            .verdict())
                    .isEqualTo(Verdict.PASS);
        }
        assertThat(capped).isGreaterThan(500);
    }

    @Test
    void nothingIsSaidOfFullPowerFromHalfOfItAndTheRatedMaximumIsAnAlarm() {
        Tube tube = new Tube(5, 31, 0);
        assertThat(ceiling(tube, 1, School.DIAL, OptionalDouble.empty(), 10, 30, 59)
                        .verdict())
                .isEqualTo(Verdict.UNCLEAR);
        assertThat(ceiling(tube, 1, School.DIAL, OptionalDouble.empty(), 10, 30, 60)
                        .verdict())
                .as("the line through the last readings passes the rated maximum")
                .isEqualTo(Verdict.FAIL);
        assertThat(ceiling(new Tube(5, 28, 0), 1, School.DIAL, OptionalDouble.empty(), 100)
                        .verdict())
                .as("the rated maximum itself is over the ceiling, and no alarm")
                .isEqualTo(Verdict.ADJUST);
    }

    @Test
    void theTableMeetsTheWantedPowerOnTheCurveItWasReadFrom() {
        for (int i = 0; i < 300; i++) {
            double threshold = between(0, 15);
            double bend = between(-0.3, 0.3);
            List<LinearityReadings.Sample> samples = new ArrayList<>();
            for (int command = 0; command <= 100; command += 5) {
                samples.add(new LinearityReadings.Sample(command, watts(command, threshold, bend)));
            }
            Collections.shuffle(samples, new Random(i));
            LinearityFinding found = new PowerLinearity()
                    .evaluate(new LinearityReadings(
                            samples,
                            OptionalDouble.of(12.5),
                            OptionalDouble.empty(),
                            Optional.empty(),
                            Optional.empty()))
                    .finding();
            assertThat(found.table()).hasSize(8);
            for (LinearityFinding.Row row : found.table()) {
                assertThat(watts(row.commandPct(), threshold, bend))
                        .isCloseTo(0.8 * row.wantedPct(), within(0.02 * 80));
            }
        }
    }

    private static double watts(double command, double threshold, double bend) {
        double share = Math.max(0, (command - threshold) / (100 - threshold));
        return 80 * (share + bend * share * (1 - share));
    }

    @Test
    void aStraightFallIsFoundWhateverOneWildReadingSays() {
        List<TrendReadings.Point> history = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            history.add(new TrendReadings.Point(100.0 * i, i == 4 ? 20 : 90 - 1.5 * i));
        }
        Collections.reverse(history);
        TrendFinding found = new PowerTrend().evaluate(trend(history)).finding();
        assertThat(found.slopePer100h()).isCloseTo(-1.5, within(1e-9));
        assertThat(found.changed()).contains(true);
        assertThat(found.hoursToFloor().orElseThrow()).isCloseTo(400, within(1e-6));
    }

    private static TrendReadings trend(List<TrendReadings.Point> history, Double... cleanedAtH) {
        return new TrendReadings(
                history,
                OptionalDouble.empty(),
                List.of(cleanedAtH),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    @Test
    void thereAndBackIsTheSameSettings() {
        for (int i = 0; i < 300; i++) {
            EnergyReadings.From from = new EnergyReadings.From(
                    between(1, 100),
                    between(10, 800),
                    between(0.05, 0.3),
                    OptionalInt.of(1 + random.nextInt(3)),
                    OptionalDouble.empty(),
                    OptionalDouble.empty());
            double power = between(1, 100);
            EnergyFinding.Settings there = match(from, OptionalDouble.of(power), OptionalDouble.empty(), 0.1);
            EnergyFinding.Settings back = match(
                    new EnergyReadings.From(
                            there.powerW(),
                            there.speedMmS(),
                            there.intervalMm(),
                            OptionalInt.of(there.passes()),
                            OptionalDouble.empty(),
                            OptionalDouble.empty()),
                    OptionalDouble.empty(),
                    OptionalDouble.of(from.speedMmS()),
                    from.intervalMm());
            assertThat(back.powerW()).isCloseTo(from.powerW() * from.passes().orElseThrow(), within(1e-9 * 1e3));
        }
    }

    private static EnergyFinding.Settings match(
            EnergyReadings.From from, OptionalDouble power, OptionalDouble speed, double intervalMm) {
        return new EnergyMatch()
                .evaluate(new EnergyReadings(
                        from,
                        new EnergyReadings.To(
                                power,
                                speed,
                                OptionalDouble.of(intervalMm),
                                OptionalInt.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty())))
                .finding()
                .to();
    }

    @Test
    void whatAPulseCannotCarryIsSaidAndDoneSoItPassesOrAsksForMore() {
        for (int i = 0; i < 2_000; i++) {
            double power = between(5, 60);
            double frequency = between(5, 200);
            double speed = between(100, 4_000);
            Outcome<PulseFinding> told = pulses(power, frequency, speed);
            for (int step = 0; told.verdict() != Verdict.PASS; step++) {
                assertThat(step)
                        .as("%f W, %f kHz, %f mm/s", power, frequency, speed)
                        .isLessThan(4);
                double said =
                        told.instructions().get(0).action().amounts().get(0).asSaid();
                String target = told.instructions().get(0).target();
                power = target.equals("power") ? said : power;
                frequency = target.equals("frequency") ? said : frequency;
                speed = target.equals("speed") ? said : speed;
                told = pulses(power, frequency, speed);
            }
        }
    }

    private static Outcome<PulseFinding> pulses(double power, double frequency, double speed) {
        return new PulsePlan()
                .evaluate(new PulseReadings(
                        power,
                        frequency,
                        OptionalDouble.empty(),
                        speed,
                        0.04,
                        OptionalDouble.empty(),
                        OptionalDouble.of(20),
                        OptionalDouble.of(80),
                        OptionalDouble.of(0.5)));
    }

    @Test
    void whoFollowsTheNextCommandNeverDrivesATubeOverWhatItBears() {
        for (int i = 0; i < 400; i++) {
            PretendSource source = PretendSource.found(random);
            List<CeilingReadings.Sample> samples = new ArrayList<>();
            double command = SafeCommand.FIRST_PCT;
            while (command >= 0) {
                assertThat(source.currentMa(command)).isLessThanOrEqualTo(source.ratedMa());
                samples.add(new CeilingReadings.Sample(
                        command, PretendSource.onMeterMa(source.currentMa(command), random)));
                assertThat(samples).hasSizeLessThan(10);
                command = samples.size() == 1
                        ? SafeCommand.first(samples.get(0), source.ratedMa(), 0.7 * source.ratedMa())
                        : capped(source.ratedMa(), samples).nextCommandPct().orElse(-1);
            }
            CeilingFinding found = capped(source.ratedMa(), samples);
            if (source.currentMa(100) > 0.7 * source.ratedMa() + 1) {
                assertThat(source.currentMa(found.commandAtCeilingPct().orElseThrow()))
                        .isCloseTo(0.7 * source.ratedMa(), within(0.4));
            }
        }
    }

    private static CeilingFinding capped(double rated, List<CeilingReadings.Sample> samples) {
        return new TubeCeiling()
                .evaluate(new CeilingReadings(
                        rated,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        samples,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.of(School.CAP),
                        Optional.empty(),
                        Optional.empty()))
                .finding();
    }

    @Test
    void aFirstReadingThatIsTooHighIsSaidAndALowerCommandProposed() {
        CeilingReadings.Sample over = new CeilingReadings.Sample(30, 31);
        assertThat(SafeCommand.afterFirst(over, 28, 19.6).words()).startsWith("Stop: the meter is over the most");
        assertThat(SafeCommand.first(over, 28, 19.6)).isEqualTo(15);
        assertThat(SafeCommand.afterFirst(new CeilingReadings.Sample(30, 22), 28, 19.6)
                        .words())
                .endsWith("it is over the ceiling already.");
        assertThat(SafeCommand.first(new CeilingReadings.Sample(10, 0), 28, 19.6))
                .isEqualTo(20);
    }

    @Test
    void aFigureThatIsLimitedAlreadyIsNotTakenAShareOfAgain() {
        for (CeilingReadings.From from : CeilingReadings.From.values()) {
            CeilingFinding found = new TubeCeiling()
                    .evaluate(new CeilingReadings(
                            20,
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            List.of(new CeilingReadings.Sample(100, 14)),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            Optional.empty(),
                            Optional.of(from),
                            Optional.empty()))
                    .finding();
            assertThat(found.ceilingMa()).isEqualTo(from == CeilingReadings.From.TUBE_MAKER ? 14 : 20);
        }
    }

    @Test
    void dirtIsToldFromAgeByWhatACleaningGivesBack() {
        for (double[] rates : new double[][] {{0.002, 0.02}, {0.012, 0.004}}) {
            List<TrendReadings.Point> history = new ArrayList<>();
            for (double from = 0; from < 1_200; from += 300) {
                for (double hours : new double[] {from, from + 100, from + 200, from + 299}) {
                    double truly = 60 * Math.exp(-rates[0] * hours / 100) * Math.exp(-rates[1] * (hours - from) / 100);
                    history.add(new TrendReadings.Point(hours, truly * (1 + 0.003 * random.nextGaussian())));
                }
            }
            TrendFinding.Wear wear = new PowerTrend()
                    .evaluate(trend(history, 0.0, 300.0, 600.0, 900.0))
                    .finding()
                    .wear()
                    .orElseThrow();
            assertThat(wear.age().pct()).isCloseTo(100 * rates[0], within(0.15));
            assertThat(wear.dirt().pct()).isCloseTo(100 * rates[1], within(0.25));
            assertThat(wear.larger())
                    .isEqualTo(rates[1] > rates[0] ? TrendFinding.Larger.DIRT : TrendFinding.Larger.AGE);
        }
    }

    @Test
    void aMeterThatStillClimbsIsTold() {
        List<MeterLog.Shown> log = new ArrayList<>();
        for (int t = 0; t < 40; t++) {
            log.add(new MeterLog.Shown(t, t < 5 ? 0 : t < 15 ? 50 * (1 - Math.exp(-(t - 5) / 12.0)) : 0));
        }
        assertThat(MeterLog.firings(log, 3)).singleElement().satisfies(firing -> {
            assertThat(firing.stays()).isFalse();
            assertThat(firing.powerW()).isLessThan(45);
        });
    }

    @Test
    void anotherMachinesPercentBecomesThisOnesThroughWattsAlsoOnAScaleThatRunsBackwards() {
        List<LinearityReadings.Sample> forwards = new ArrayList<>();
        List<LinearityReadings.Sample> backwards = new ArrayList<>();
        for (int command = 0; command <= 100; command += 10) {
            forwards.add(new LinearityReadings.Sample(command, watts(command, 8, 0.2)));
            backwards.add(new LinearityReadings.Sample(100 - command, watts(command, 15, 0.1) * 0.8));
        }
        SettingsTable table = SettingsTable.of(
                        List.of("name", "Power %", "speed"), PowerCurve.of(forwards), PowerCurve.of(backwards))
                .orElseThrow();
        SettingsTable.Line line = table.turned(List.of("ply", "50", "20"));
        double command = Double.parseDouble(line.cells().get(1));
        assertThat(PowerCurve.of(backwards).wattsAt(command).orElseThrow())
                .isCloseTo(PowerCurve.of(forwards).wattsAt(50).orElseThrow(), within(0.1));
        assertThat(line.cells().get(2)).isEqualTo("20");
        assertThat(table.turned(List.of("slate", "100", "20")).why()).contains("more than this machine has");
        assertThat(table.turned(List.of("slate", "5", "20")).why()).contains("was not seen to fire");
        assertThat(table.turned(List.of("slate", "1e9", "20")).why()).isNotEmpty();
        assertThat(table.turned(List.of("slate", "1,000", "20")).why())
                .as("one or a thousand")
                .isEqualTo("its power is no number");
        assertThat(table.turned(List.of("slate")).why()).contains("1 cells");
    }
}
