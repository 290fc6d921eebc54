package zebrawood.desktop.demo;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import zebrawood.core.power.BeamHours;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.power.BlockPower;
import zebrawood.core.power.BlockReadings;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.power.EnergyMatch;
import zebrawood.core.power.EnergyReadings;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.PowerLinearity;
import zebrawood.core.power.PowerTrend;
import zebrawood.core.power.PulsePlan;
import zebrawood.core.power.PulseReadings;
import zebrawood.core.power.TrendReadings;
import zebrawood.core.power.TubeCeiling;
import zebrawood.core.pretend.PretendBlock;
import zebrawood.core.pretend.PretendSource;

/** Tube, watts and hours of a machine looked after, on a pretend source. */
final class PowerDeeds {

    /** beam hours in a day, on the mean */
    private static final double PER_DAY_H = 1.7;

    private static final int DAYS = 730;
    /** days ago that the tube was replaced */
    private static final int NEW_TUBE = 455;

    private static final double RATED_MA = 28;
    private static final double CEILING_MA = 19.6;

    private final MachineDiary life;
    private final SplittableRandom random;
    private final PretendSource source = new PretendSource(RATED_MA, 7.5, CEILING_MA, 0.22, 3.7, 1);

    PowerDeeds(MachineDiary life, long number) {
        this.life = life;
        this.random = new SplittableRandom(number);
    }

    /** Of the tube that was in then. */
    private static double hours(int daysAgo) {
        return Math.round(((daysAgo > NEW_TUBE ? DAYS : NEW_TUBE) - daysAgo) * PER_DAY_H);
    }

    private static String text(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    /** The counter, read now and in the time before. */
    void counted(int daysAgo, int daysSince, LocalTime at, String by) {
        String typed = text(hours(daysAgo), 0);
        boolean another = daysAgo < NEW_TUBE && daysAgo + daysSince > NEW_TUBE;
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BeamHours(),
                        new BeamHoursReadings(
                                OptionalDouble.of(Double.parseDouble(typed)),
                                OptionalDouble.empty(),
                                List.of(),
                                daysSince == 0 ? OptionalDouble.empty() : OptionalDouble.of(hours(daysAgo + daysSince)),
                                daysSince == 0 ? OptionalDouble.empty() : OptionalDouble.of(daysSince),
                                another ? Optional.of(BeamHoursReadings.Which.NEW) : Optional.empty()),
                        Map.of("counterH", typed),
                        Optional.empty()));
    }

    /** The control sealed at the ceiling; as found is what the meter showed before. */
    void ceiling(int daysAgo, LocalTime at, String by, OptionalDouble asFoundMa, double leftMa) {
        Map<String, String> asTyped = new HashMap<>(Map.of(
                "ratedMaximumMa", "28", "samples[0].commandPct", "100", "samples[0].currentMa", text(leftMa, 1)));
        asFoundMa.ifPresent(found -> asTyped.put("recheck.asFoundMa", text(found, 1)));
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new TubeCeiling(),
                        new CeilingReadings(
                                RATED_MA,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                List.of(new CeilingReadings.Sample(100, leftMa)),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.of(CeilingReadings.School.DIAL),
                                Optional.of(CeilingReadings.From.TUBE_MAKER),
                                Optional.of(new CeilingReadings.Recheck(
                                        asFoundMa,
                                        asFoundMa.isPresent() ? OptionalDouble.of(CEILING_MA) : OptionalDouble.empty(),
                                        Optional.of("4.5 of 10"),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        OptionalDouble.of(hours(daysAgo))))),
                        asTyped,
                        Optional.empty()));
    }

    /** Watts at the work over the command, behind a lens that takes a share of them. */
    void watts(int daysAgo, LocalTime at, String by, String lens, double dirt) {
        List<LinearityReadings.Sample> samples = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>(Map.of("with.lens", lens));
        double[] commands = {0, 10, 15, 18, 20, 30, 40, 50, 60, 70, 80, 90, 100};
        for (int i = 0; i < commands.length; i++) {
            String typed = text(PretendSource.onMeterW(source.powerW(commands[i], 0.06, dirt), 0.6, random), 1);
            asTyped.put("samples[" + i + "].commandPct", text(commands[i], 0));
            asTyped.put("samples[" + i + "].powerW", typed);
            samples.add(new LinearityReadings.Sample(commands[i], Double.parseDouble(typed)));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new PowerLinearity(),
                        new LinearityReadings(
                                samples,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.empty(),
                                Optional.of(new LinearityReadings.With(
                                        Optional.of(lens), OptionalDouble.empty(), OptionalDouble.empty()))),
                        asTyped,
                        Optional.empty()));
    }

    /** The same once more, by a block of aluminium. */
    void block(int daysAgo, LocalTime at, String by) {
        List<BlockReadings.Temperature> read = new PretendBlock(310, 0.897, 0.0019, 21.3)
                .warmed(source.powerW(60, 0.06, 0.02), 20, 16, 15, 0.04, random).stream()
                        .map(each ->
                                new BlockReadings.Temperature(each.atS(), Double.parseDouble(text(each.celsius(), 1))))
                        .toList();
        String typed = String.join(
                "; ",
                read.stream()
                        .map(each -> text(each.atS(), 0) + " " + text(each.celsius(), 1))
                        .toList());
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BlockPower(),
                        new BlockReadings(
                                0.31,
                                Optional.of(BlockReadings.Metal.ALUMINIUM),
                                OptionalDouble.empty(),
                                20,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                read,
                                OptionalDouble.of(60)),
                        Map.of("massKg", "310 g", "onS", "20", "commandPct", "60", "temperatures", typed),
                        Optional.empty()));
    }

    /** One test over all of its life: it ages a little, and dirt comes and goes. */
    void trend(int daysAgo, LocalTime at, String by) {
        double[] cleaned = {0, 190, 380, 570};
        double last = hours(daysAgo);
        List<TrendReadings.Point> history = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>(Map.of("cleanedAtH", "0 190 380 570", "alignedAtH", "290"));
        for (int i = 0; i < cleaned.length; i++) {
            double to = i + 1 < cleaned.length ? cleaned[i + 1] - 1 : last;
            for (int step = 0; step < 4; step++) {
                double hours = Math.round(cleaned[i] + (to - cleaned[i]) * step / 3);
                double truly = source.powerW(
                        60, 1 - Math.exp(-0.0045 * hours / 100), 1 - Math.exp(-0.016 * (hours - cleaned[i]) / 100));
                String typed = text(PretendSource.onMeterW(truly, 0.4, random), 1);
                asTyped.put("history[" + history.size() + "].hours", text(hours, 0));
                asTyped.put("history[" + history.size() + "].value", typed);
                history.add(new TrendReadings.Point(hours, Double.parseDouble(typed)));
            }
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new PowerTrend(),
                        new TrendReadings(
                                history,
                                OptionalDouble.empty(),
                                List.of(0.0, 190.0, 380.0, 570.0),
                                List.of(290.0),
                                List.of(),
                                List.of(),
                                Optional.of(TrendReadings.MeasuredBy.WATTS),
                                Optional.empty()),
                        asTyped,
                        Optional.empty()));
    }

    /** Settings for a coarser interval. */
    void energy(int daysAgo, LocalTime at, String by) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new EnergyMatch(),
                        new EnergyReadings(
                                new EnergyReadings.From(
                                        24,
                                        300,
                                        0.1,
                                        OptionalInt.empty(),
                                        OptionalDouble.empty(),
                                        OptionalDouble.empty()),
                                new EnergyReadings.To(
                                        OptionalDouble.empty(),
                                        OptionalDouble.of(400),
                                        OptionalDouble.of(0.12),
                                        OptionalInt.empty(),
                                        OptionalDouble.empty(),
                                        OptionalDouble.empty())),
                        Map.of(
                                "from.powerW", "24",
                                "from.speedMmS", "300",
                                "from.intervalMm", "0.1",
                                "to.speedMmS", "400",
                                "to.intervalMm", "0.12"),
                        Optional.empty()));
    }

    /** Pulses of a marking job. */
    void pulses(int daysAgo, LocalTime at, String by, double powerW, double kHz, double mmS, double spotMm) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new PulsePlan(),
                        new PulseReadings(
                                powerW,
                                kHz,
                                OptionalDouble.of(100),
                                mmS,
                                spotMm,
                                OptionalDouble.of(0.04),
                                OptionalDouble.of(20),
                                OptionalDouble.of(80),
                                OptionalDouble.of(1)),
                        Map.of(
                                "averagePowerW", text(powerW, 0),
                                "frequencyKHz", text(kHz, 0),
                                "pulseNs", "100",
                                "speedMmS", text(mmS, 0),
                                "spotMm", text(spotMm, 3),
                                "intervalMm", "0.04",
                                "minFrequencyKHz", "20",
                                "maxFrequencyKHz", "80",
                                "maxPulseEnergyMj", "1"),
                        Optional.empty()));
    }
}
