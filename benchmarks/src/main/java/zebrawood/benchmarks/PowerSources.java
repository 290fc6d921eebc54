package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.PowerLinearity;
import zebrawood.core.power.SafeCommand;
import zebrawood.core.power.TubeCeiling;
import zebrawood.core.pretend.PretendSource;

/** 1,000 pretend tubes: their ceilings found by following what is proposed, their watts met through the table. */
final class PowerSources {

    private static final int SOURCES = 1_000;
    private static final long SEED = 18_118;
    private static final double FIRMWARE_S = 1_000;
    /** a power meter beside a laser scatters by about this, % of the reading */
    private static final double METER_PCT = 1;

    private PowerSources() {}

    static boolean run() {
        return ceilings() & tables() & knocked();
    }

    /** The way up to a ceiling, one proposed command after the other. */
    private static List<CeilingReadings.Sample> climbed(
            PretendSource source, double fraction, SplittableRandom random, double[] most) {
        List<CeilingReadings.Sample> samples = new ArrayList<>();
        double command = SafeCommand.FIRST_PCT;
        while (true) {
            double truly = source.currentMa(command);
            most[0] = Math.max(most[0], truly);
            samples.add(new CeilingReadings.Sample(command, PretendSource.onMeterMa(truly, random)));
            if (samples.size() < 2) {
                command = SafeCommand.first(samples.get(0), source.ratedMa(), fraction * source.ratedMa());
                continue;
            }
            OptionalDouble next = new TubeCeiling()
                    .evaluate(readings(source, fraction, samples))
                    .finding()
                    .nextCommandPct();
            if (next.isEmpty() || samples.size() > 30) {
                return samples;
            }
            command = next.getAsDouble();
        }
    }

    private static CeilingReadings readings(
            PretendSource source, double fraction, List<CeilingReadings.Sample> samples) {
        return new CeilingReadings(
                source.ratedMa(),
                OptionalDouble.empty(),
                OptionalDouble.of(fraction),
                samples,
                OptionalDouble.of(FIRMWARE_S),
                OptionalDouble.empty(),
                Optional.of(CeilingReadings.School.CAP),
                Optional.empty(),
                Optional.empty());
    }

    private static boolean ceilings() {
        SplittableRandom random = new SplittableRandom(SEED);
        int[] taken = new int[SOURCES];
        int over = 0;
        int reached = 0;
        int near = 0;
        int nearOfItself = 0;
        for (int i = 0; i < SOURCES; i++) {
            PretendSource source = PretendSource.found(random);
            double fraction = 0.65 + 0.25 * random.nextDouble();
            double[] most = {0};
            List<CeilingReadings.Sample> samples = climbed(source, fraction, random, most);
            taken[i] = samples.size();
            over += most[0] > source.ratedMa() ? 1 : 0;
            CeilingFinding found = new TubeCeiling()
                    .evaluate(readings(source, fraction, samples))
                    .finding();
            double truly = commandAt(source, fraction * source.ratedMa());
            if (found.capS().isPresent()) {
                reached++;
                double apart = Math.abs(found.capS().getAsDouble() / FIRMWARE_S * 100 - truly);
                near += apart <= 1 ? 1 : 0;
                nearOfItself += apart <= truly / 100 ? 1 : 0;
            }
        }
        Arrays.sort(taken);
        System.out.printf(
                Locale.ROOT,
                "%d sources, seed %d, every proposed command followed: %d over the rated maximum; readings to the ceiling:"
                        + " %d on the median, %d at most; %d of them capped, %.1f %% within 1 %% of full power, %.1f %% within 1 %%"
                        + " of the true cap%n",
                SOURCES,
                SEED,
                over,
                taken[SOURCES / 2],
                taken[SOURCES - 1],
                reached,
                100.0 * near / reached,
                100.0 * nearOfItself / reached);
        return over == 0 && taken[SOURCES / 2] <= 6 && near >= 0.99 * reached && reached >= 0.99 * SOURCES;
    }

    /** By bisection: the smallest command at which it draws so much. */
    private static double commandAt(PretendSource source, double currentMa) {
        double low = 0;
        double high = 100;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (source.currentMa(middle) >= currentMa) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private static boolean tables() {
        SplittableRandom random = new SplittableRandom(SEED + 1);
        int met = 0;
        int readings = 0;
        double worst = 0;
        double[] apart = new double[SOURCES];
        for (int i = 0; i < SOURCES; i++) {
            PretendSource found = PretendSource.found(random);
            // sealed at its ceiling first, as the stop before asks for
            PretendSource source = found.turned(commandAt(found, 0.7 * found.ratedMa()) / 100);
            List<LinearityReadings.Sample> samples = new ArrayList<>();
            for (int command = 0; command <= 100; command += 10) {
                samples.add(sample(source, command, random));
            }
            LinearityFinding table = linearity(samples);
            while (table.nextCommandPct().isPresent() && samples.size() < 30) {
                samples.add(sample(source, table.nextCommandPct().getAsDouble(), random));
                table = linearity(samples);
            }
            readings += samples.size();
            double most = source.powerW(100, 0, 0);
            for (LinearityFinding.Row row : table.table()) {
                double gives = source.powerW(row.commandPct(), 0, 0);
                apart[i] = Math.max(apart[i], Math.abs(gives - row.wantedPct() / 100 * table.maximumW()) / most * 100);
            }
            met += apart[i] <= 3 ? 1 : 0;
            worst = Math.max(worst, apart[i]);
        }
        System.out.printf(
                Locale.ROOT,
                "%d sources through the table, the meter scattering by %.0f %% of the reading, %.1f readings each: every wanted"
                        + " power met within 3 %% of the maximum in %.1f %%; %.2f %% at worst%n",
                SOURCES,
                METER_PCT,
                (double) readings / SOURCES,
                100.0 * met / SOURCES,
                worst);
        return met >= 0.99 * SOURCES;
    }

    private static LinearityReadings.Sample sample(PretendSource source, double command, SplittableRandom random) {
        return new LinearityReadings.Sample(
                command, PretendSource.onMeterW(source.powerW(command, 0, 0), METER_PCT, random));
    }

    private static LinearityFinding linearity(List<LinearityReadings.Sample> samples) {
        return new PowerLinearity()
                .evaluate(new LinearityReadings(
                        samples, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty(), Optional.empty()))
                .finding();
    }

    /** A control that was sealed, and knocked by 5 % of the current or left alone until the next recheck. */
    private static boolean knocked() {
        SplittableRandom random = new SplittableRandom(SEED + 2);
        int found = 0;
        int alarms = 0;
        for (int i = 0; i < SOURCES; i++) {
            PretendSource source = PretendSource.found(random);
            double left = 0.7 * source.ratedMa();
            double by = random.nextBoolean() ? 1.05 : 0.95;
            found += turned(left, by * left, source, random) ? 1 : 0;
            alarms += turned(left, left, source, random) ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%d sealed controls: knocked by 5 %% and found at the next recheck in %.1f %%; left alone, called turned in"
                        + " %.1f %%%n",
                SOURCES,
                100.0 * found / SOURCES,
                100.0 * alarms / SOURCES);
        return found >= 0.99 * SOURCES && alarms <= 0.01 * SOURCES;
    }

    private static boolean turned(double leftMa, double nowMa, PretendSource source, SplittableRandom random) {
        double asLeft = PretendSource.onMeterMa(leftMa, random);
        double asFound = PretendSource.onMeterMa(nowMa, random);
        return new TubeCeiling()
                .evaluate(new CeilingReadings(
                        source.ratedMa(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        List.of(new CeilingReadings.Sample(100, asFound)),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(new CeilingReadings.Recheck(
                                OptionalDouble.of(asFound),
                                OptionalDouble.of(asLeft),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                OptionalDouble.empty()))))
                .finding()
                .found()
                .orElseThrow()
                .turnedMa()
                .isPresent();
    }
}
