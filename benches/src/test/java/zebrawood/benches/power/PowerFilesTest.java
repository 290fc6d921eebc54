package zebrawood.benches.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Slider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.machine.Family;
import zebrawood.core.power.BeamHours;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.PowerCurve;
import zebrawood.core.power.PowerLinearity;
import zebrawood.core.power.PulseFinding;
import zebrawood.core.power.PulsePlan;
import zebrawood.core.power.PulseReadings;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

/** Logs, curves and tables as files, and what is typed by sliding. */
class PowerFilesTest {

    @TempDir
    private Path folder;

    @Test
    void aMetersLogFillsARowForEachFiring() throws IOException {
        StringBuilder log = new StringBuilder("time s;power W\n");
        double[] watts = {6, 22, 41, 58};
        for (int firing = 0; firing < watts.length; firing++) {
            for (int t = 0; t < 60; t++) {
                double climbed = t < 40 ? watts[firing] * (1 - Math.exp(-t / 3.0)) : 0;
                log.append(firing * 60 + t)
                        .append(';')
                        .append(String.format(Locale.ROOT, "%.3f", climbed))
                        .append('\n');
            }
        }
        Path file = Files.writeString(folder.resolve("meter.csv"), log + "broken line\n");
        try (BenchSeat<LinearityReadings, LinearityFinding> seat = new BenchSeat<>(
                new Stop<>(new PowerLinearity(), PercentBench.FIELDS, PercentBench::new, new PercentFigure()),
                Plates.bare("Wren", Family.GANTRY_CO2),
                Map.of())) {
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(file.toFile()))
                            .orElseThrow())
                    .startsWith("it shows 4 firings: type their commands first");
            for (int i = 0; i < watts.length; i++) {
                seat.put("samples[" + i + "].commandPct", String.valueOf(25 * (i + 1)));
            }
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(file.toFile())))
                    .isEmpty();
            seat.until("it is judged", () -> seat.verdict().isPresent());
            LinearityReadings.Sample last =
                    seat.readings().orElseThrow().samples().get(3);
            assertThat(last.powerW()).isCloseTo(58, within(0.1));
            assertThat(last.halfWidthW().orElseThrow()).isCloseTo(0.03 * 58, within(0.05));
            assertThat(seat.finding().orElseThrow().nextCommandPct().orElseThrow())
                    .as("nothing was read below the lowest that fires")
                    .isEqualTo(12.5);
        }
    }

    @Test
    void aJobLogIsSummedAndSaysWhatItLeftOut() throws IOException {
        Path file = Files.writeString(
                folder.resolve("jobs.csv"), "job,duration min,beam s\nsign,10,300\nbox,20,900\nlost,5,-\n");
        try (BenchSeat<BeamHoursReadings, BeamHoursFinding> seat = new BenchSeat<>(
                new Stop<>(new BeamHours(), HoursBench.FIELDS, HoursBench::new, new HoursFigure()),
                Plates.bare("Wren", Family.GANTRY_CO2),
                Map.of())) {
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(file.toFile())))
                    .isEmpty();
            assertThat(seat.told()).contains("2 jobs, 20.0 min in all; lines without a time, left out: 1.");
            seat.until("it is judged", () -> seat.verdict().isPresent());
            assertThat(seat.finding().orElseThrow().hours()).isCloseTo(20 / 60.0, within(1e-9));
        }
    }

    @Test
    void aSliderTypesAndSaysWhatChanges() {
        try (BenchSeat<PulseReadings, PulseFinding> seat = new BenchSeat<>(
                new Stop<>(new PulsePlan(), PulseBench.FIELDS, PulseBench::new, new PulseFigure()),
                Plates.bare("Heron", Family.GALVO_FIBRE),
                Map.of())) {
            seat.put("averagePowerW", "20").put("frequencyKHz", "40").put("speedMmS", "1000");
            seat.put("spotMm", "0.05").put("minFrequencyKHz", "20").put("maxFrequencyKHz", "80");
            seat.until("it is judged", () -> seat.verdict().isPresent());
            Slider slider = BenchSeat.onScreen(() -> ((PulseBench) seat.bench()).slider(PulseBench.FREQUENCY));
            assertThat(slider.getMax()).as("as far as the source goes").isEqualTo(80);
            BenchSeat.onScreen(() -> {
                slider.setValue(80);
                return null;
            });
            assertThat(seat.finding().orElseThrow().pulseEnergyMj()).isCloseTo(0.25, within(1e-9));
            assertThat(BenchSeat.onScreen(() -> ((PulseBench) seat.bench()).said()))
                    .contains("Each pulse hits less")
                    .contains("Spots lie closer");
        }
    }

    @Test
    void aCurveGoesOutAndComesInAgain() throws IOException {
        List<LinearityReadings.Sample> curve = List.of(
                new LinearityReadings.Sample(0, 0),
                new LinearityReadings.Sample(12.5, 0.25),
                new LinearityReadings.Sample(100, 55.5));
        Path file = Files.writeString(folder.resolve("curve.csv"), PowerCurveFile.text(curve));
        assertThat(PowerCurveFile.read(file)).isEqualTo(curve);
        PowerCurve read = PowerCurve.of(PowerCurveFile.read(file));
        double watts = read.wattsAt(60).orElseThrow();
        assertThat(read.commandFor(watts).orElseThrow()).isCloseTo(60, within(1e-9));
        assertThat(read.commandFor(56)).isEmpty();
    }
}
