package zebrawood.core.eyewear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.UnitChoice;

class EyewearTest {

    private static final int CASES = 100_000;
    private static final Pattern METRES = Pattern.compile("up to ([0-9.]+) m\\b");

    /** The table of the standard, row by row: from nm, to nm, from s, to s, J/m². */
    private record Row(double fromNm, double toNm, double fromS, double toS, DoubleUnaryOperator joules) {}

    private static Row[] rows(double nm) {
        double c4 = Math.pow(10, 0.002 * (nm - 700));
        double c7 =
                nm < 1150 ? 1 : nm < 1200 ? Math.pow(10, 0.018 * (nm - 1150)) : 8 + Math.pow(10, 0.04 * (nm - 1250));
        double c3 = nm < 450 ? 1 : Math.pow(10, 0.02 * (nm - 450));
        double ever = Double.MAX_VALUE;
        return new Row[] {
            new Row(315, 400, 0, 10, t -> 5600 * Math.pow(t, 0.25)),
            new Row(315, 400, 10, 1000, t -> 1e4),
            new Row(315, 400, 1000, ever, t -> 10 * t),
            new Row(400, 700, 0, 5e-6, t -> 2e-3),
            new Row(400, 700, 5e-6, 10, t -> 18 * Math.pow(t, 0.75)),
            new Row(400, 700, 10, ever, t -> 10 * t),
            new Row(400, 600, 10, 100, t -> 100 * c3),
            new Row(400, 600, 100, ever, t -> c3 * t),
            new Row(700, 1050, 0, 5e-6, t -> 2e-3 * c4),
            new Row(700, 1050, 5e-6, 10, t -> 18 * c4 * Math.pow(t, 0.75)),
            new Row(700, 1050, 10, ever, t -> 10 * c4 * t),
            new Row(1050, 1400, 0, 1.3e-5, t -> 2e-2 * c7),
            new Row(1050, 1400, 1.3e-5, 10, t -> 90 * c7 * Math.pow(t, 0.75)),
            new Row(1050, 1400, 10, ever, t -> 50 * c7 * t),
            new Row(1400, 1500, 0, 1e-3, t -> 1000),
            new Row(1400, 1500, 1e-3, 10, t -> 5600 * Math.pow(t, 0.25)),
            new Row(1500, 1800, 0, 10, t -> 1e4),
            new Row(1800, 2600, 0, 1e-3, t -> 1000),
            new Row(1800, 2600, 1e-3, 10, t -> 5600 * Math.pow(t, 0.25)),
            new Row(2600, 11_001, 0, 1e-7, t -> 100),
            new Row(2600, 11_001, 1e-7, 10, t -> 5600 * Math.pow(t, 0.25)),
            new Row(1400, 11_001, 10, ever, t -> 1000 * t),
        };
    }

    private static double smallest(double nm, double seconds) {
        double least = Double.MAX_VALUE;
        for (Row row : rows(nm)) {
            if (nm >= row.fromNm && nm < row.toNm && seconds >= row.fromS && seconds < row.toS) {
                least = Math.min(least, row.joules.applyAsDouble(seconds));
            }
        }
        return least;
    }

    private static double wavelength(SplittableRandom random) {
        double nm = random.nextInt(3) == 0 ? 315 + random.nextDouble() * 1085 : 315 + random.nextDouble() * 10_685;
        return nm > 1250 && nm < 1400 ? 1400 : nm;
    }

    private static double logUniform(SplittableRandom random, double from, double to) {
        return from * Math.pow(to / from, random.nextDouble());
    }

    @Test
    void theLimitsAreThoseOfTheTableInEveryBand() {
        SplittableRandom random = new SplittableRandom(1);
        for (int i = 0; i < CASES; i++) {
            double nm = wavelength(random);
            double seconds = logUniform(random, 1e-9, 3e4);
            assertThat(new EyeLimits(nm).radiantExposure(seconds))
                    .as("%s nm, %s s", nm, seconds)
                    .isCloseTo(smallest(nm, seconds), within(1e-9 * smallest(nm, seconds)));
        }
        for (double nm :
                new double[] {315, 400, 450, 600, 700, 1050, 1150, 1200, 1250, 1400, 1500, 1800, 2600, 11_000}) {
            for (double seconds : new double[] {1e-7, 5e-6, 1.3e-5, 1e-3, 10, 100, 1000}) {
                assertThat(new EyeLimits(nm).radiantExposure(seconds))
                        .as("at the ends, %s nm, %s s", nm, seconds)
                        .isCloseTo(smallest(nm, seconds), within(1e-9 * smallest(nm, seconds)));
            }
        }
    }

    private static EyewearReadings any(SplittableRandom random) {
        double nm = wavelength(random);
        boolean pulsed = random.nextBoolean();
        double power = logUniform(random, 1e-4, 3000);
        double repetition = logUniform(random, 10, 2e5);
        double longest = Math.min(2.5e8, 0.9e9 / repetition);
        return new EyewearReadings(
                nm,
                power,
                pulsed
                        ? Optional.of(new EyewearReadings.Pulse(
                                power / repetition * 1000, logUniform(random, 1, longest), repetition))
                        : Optional.empty(),
                logUniform(random, 0.2, 20),
                logUniform(random, 0.1, 20),
                random.nextBoolean()
                        ? Optional.of(new EyewearReadings.Lens(logUniform(random, 20, 400), logUniform(random, 1, 20)))
                        : Optional.empty(),
                random.nextBoolean() ? OptionalDouble.of(logUniform(random, 0.2, 3e4)) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(0.05 + 0.95 * random.nextDouble()),
                OptionalDouble.of(89 * random.nextDouble()),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Through eyewear marked as said, and from the distances said, an eye gets no more than it bears. */
    @Test
    void whatIsMarkedAndWhatIsSaidIsNeverTooLittle() {
        SplittableRandom random = new SplittableRandom(2);
        Eyewear eyewear = new Eyewear();
        for (int i = 0; i < CASES; i++) {
            EyewearReadings read = any(random);
            Outcome<EyewearFinding> outcome = eyewear.evaluate(read);
            EyewearFinding found = outcome.finding();
            assertThat(found.opticalDensityMarked()).isGreaterThanOrEqualTo(found.opticalDensity());
            assertThat(found.opticalDensityMarked()).isLessThan(found.opticalDensity() + 1);
            double bears = found.mpeWM2() * (1 + 1e-9);
            double aperture = new EyeLimits(read.wavelengthNm())
                    .apertureMm(found.exposureS(), read.pulse().isPresent());
            double wide = Math.max(read.beamDiameterMm(), aperture) / 1000;
            assertThat(over(read.averagePowerW(), wide) * Math.pow(10, -found.opticalDensityMarked()))
                    .as("through the eyewear, %s", read)
                    .isLessThanOrEqualTo(bears);
            double there = (read.beamDiameterMm() + read.divergenceMrad() * found.nohdM()) / 1000;
            assertThat(over(read.averagePowerW(), there))
                    .as("at the end of the bare beam")
                    .isLessThanOrEqualTo(bears);
            if (i % 50 == 0) {
                Matcher said = METRES.matcher(sentences(outcome.instructions().get(1)));
                assertThat(said.find()).isTrue();
                assertThat(Double.parseDouble(said.group(1)))
                        .as("as said, so far or farther")
                        .isGreaterThanOrEqualTo(found.diffuseHazardM() * (1 - 1e-9));
                assertThat(said.find()).isTrue();
                assertThat(Double.parseDouble(said.group(1))).isGreaterThanOrEqualTo(found.nohdM() * (1 - 1e-9));
            }
        }
    }

    private static double over(double watts, double diameterM) {
        return watts / (Math.PI / 4 * diameterM * diameterM);
    }

    private static String sentences(Instruction instruction) {
        return instruction.action().in(UnitChoice.METRIC) + " "
                + instruction.byHand().map(said -> said.in(UnitChoice.METRIC)).orElse("");
    }

    /** A little more power, time or wavelength moves a distance a little, but where the table itself has a step. */
    @Test
    void distancesMoveWithTheBeamAndStepOnlyWithTheTable() {
        SplittableRandom random = new SplittableRandom(3);
        Eyewear eyewear = new Eyewear();
        for (int i = 0; i < 20_000; i++) {
            EyewearReadings read = any(random);
            double more = 1 + 1e-7;
            EyewearReadings other = new EyewearReadings(
                    read.wavelengthNm(),
                    read.averagePowerW() * more,
                    read.pulse()
                            .map(p -> new EyewearReadings.Pulse(p.energyMj() * more, p.durationNs(), p.repetitionHz())),
                    read.beamDiameterMm(),
                    read.divergenceMrad(),
                    read.lens(),
                    read.exposureS(),
                    read.watchS(),
                    read.diffuseReflectance(),
                    read.viewingAngleDeg(),
                    read.covers(),
                    read.people(),
                    read.room(),
                    read.notice());
            EyewearFinding one = eyewear.evaluate(read).finding();
            EyewearFinding two = eyewear.evaluate(other).finding();
            assertThat(two.diffuseHazardM()).isBetween(one.diffuseHazardM(), one.diffuseHazardM() * (1 + 1e-6));
            assertThat(two.nohdM()).isBetween(one.nohdM(), one.nohdM() * (1 + 1e-6) + 1e-2);
            assertThat(two.opticalDensity()).isBetween(one.opticalDensity(), one.opticalDensity() + 1e-6);
        }
    }

    private static final EyewearReadings WREN =
            new EyewearReadings(10600, 90, Optional.empty(), 6, 3, Optional.of(new EyewearReadings.Lens(60, 8)));

    private static EyewearReadings inRoom(Optional<EyewearReadings.Covers> covers, double workFromLeftMm) {
        return new EyewearReadings(
                450,
                8,
                Optional.empty(),
                3.5,
                6,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                covers,
                OptionalInt.of(2),
                Optional.of(new EyewearReadings.Room(
                        6000,
                        4000,
                        workFromLeftMm,
                        2000,
                        Optional.of(EyewearReadings.Wall.LEFT),
                        OptionalDouble.of(2000))),
                Optional.empty());
    }

    @Test
    void whoeverOpensTheDoorIsThoughtOf() {
        Eyewear eyewear = new Eyewear();
        Outcome<EyewearFinding> near = eyewear.evaluate(inRoom(Optional.of(EyewearReadings.Covers.OPEN), 1500));
        assertThat(near.finding().doorM()).hasValue(1.5);
        assertThat(near.finding().reachesDoor())
                .as("the reflection reaches 1.6 m")
                .isTrue();
        assertThat(sentences(near.instructions().get(2)))
                .isEqualTo(
                        "See to it that nobody can open the door from outside while it runs, or hang a curtain that is "
                                + "made for 450 nm before it. Whoever opens the door stands 1.50 m from the work, and the "
                                + "reflection is dangerous up to 1.60 m. From inside the door must always open without a key.");
        assertThat(sentences(near.instructions().get(0))).contains("One pair for each of the 2 people in the room.");
        Outcome<EyewearFinding> far = eyewear.evaluate(inRoom(Optional.of(EyewearReadings.Covers.SHUT), 1700));
        assertThat(far.finding().reachesDoor()).isFalse();
        assertThat(far.instructions()).hasSize(2);
        assertThat(sentences(far.instructions().get(1)))
                .startsWith("Where a cover must be open: let nobody into the room without this eyewear while it runs.");
    }

    @Test
    void theSentenceNamesTheMarkAndWhoDecides() {
        Outcome<EyewearFinding> outcome = new Eyewear().evaluate(WREN);
        assertThat(sentences(outcome.instructions().get(0)))
                .startsWith("Use eyewear that is marked OD 4 or more at 10600 nm.")
                .contains("laser safety officer", "its colour proves nothing");
        EyewearReadings faint = new EyewearReadings(10600, 1e-4, Optional.empty(), 6, 3, Optional.empty());
        assertThat(sentences(new Eyewear().evaluate(faint).instructions().get(0)))
                .as("none is never called harmless")
                .startsWith("Ask the laser safety officer whether eyewear is needed");
    }

    @Test
    void whatCannotBeIsRefusedAtItsPlace() {
        assertThatThrownBy(() -> new EyewearReadings(
                        1249.9, 1, Optional.of(new EyewearReadings.Pulse(2, 100, 1000)), 5, 1, Optional.empty()))
                .isInstanceOfSatisfying(
                        ReadingException.class,
                        e -> assertThat(e.refusals().get(0).field()).isEqualTo("pulse.energyMj"));
        assertThat(new EyewearReadings(1250, 1, Optional.empty(), 5, 1, Optional.empty()).wavelengthNm())
                .isEqualTo(1250);
        assertThatThrownBy(() -> new EyewearReadings(1250.1, 1, Optional.empty(), 5, 1, Optional.empty()))
                .isInstanceOf(ReadingException.class);
        assertThatThrownBy(() -> new EyewearReadings.Pulse(1, 2e8, 10)).isInstanceOf(ReadingException.class);
        assertThatThrownBy(
                        () -> new EyewearReadings.Room(6000, 4000, 6001, 0, Optional.empty(), OptionalDouble.empty()))
                .isInstanceOf(ReadingException.class);
    }
}
