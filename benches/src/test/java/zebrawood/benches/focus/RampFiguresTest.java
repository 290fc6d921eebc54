package zebrawood.benches.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampPlan;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class RampFiguresTest {

    private static RampReadings readings(double best, double start, double rise) {
        List<RampReadings.Mark> marks = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double at = RampPlan.placeMm(i, 9, 180);
            marks.add(new RampReadings.Mark(at, 0.215 * Math.hypot(1, (start - at * rise / 180 - best) / 2.9)));
        }
        return new RampReadings(
                10_600,
                start,
                180,
                rise,
                Optional.empty(),
                Optional.of(marks),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(new RampReadings.GapSetting(
                        Optional.of("nozzle tip"), Optional.empty(), Optional.empty(), OptionalDouble.empty())));
    }

    @ParameterizedTest
    @CsvSource({"650, 260", "430, 150", "325, 200"})
    void thePlotSaysTheGapAndNothingStandsOnAnything(double width, double height) {
        RampReadings readings = readings(6.84, 11.6, 10.2);
        RampFinding finding = new FocusRamp().evaluate(readings).finding();
        for (UnitChoice units : List.of(UnitChoice.METRIC, new UnitChoice(true, false))) {
            Drawn drawn = Drawn.of(new RampFigures().figure(readings, finding, units), width, height);

            assertThat(drawn.words())
                    .contains(
                            units.inches() ? "0.2693 in" : "6.84 mm",
                            "gap from nozzle tip, " + units.length(),
                            "in focus");
            assertThat(drawn.crowded(width, height)).isEmpty();
        }
    }

    @Test
    void readingsStandWhereTheAxesSay() {
        RampReadings readings = readings(6.84, 11.6, 10.2);
        RampFinding finding = new FocusRamp().evaluate(readings).finding();
        Drawn drawn = Drawn.of(new RampFigures().figure(readings, finding, UnitChoice.METRIC), 650, 260);
        List<Drawn.Area> points = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.READING)
                .toList();
        Drawn.Area band = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.BAND)
                .findFirst()
                .orElseThrow();

        assertThat(points).hasSize(9);
        double perMm = (points.get(0).left() - points.get(8).left()) / 10.2;
        assertThat(band.right() - band.left())
                .as("depth of focus to scale")
                .isCloseTo(finding.depthOfFocusMm().getAsDouble() * perMm, within(0.5));
    }

    @ParameterizedTest
    @CsvSource({"11.6, 10.2, 650", "11.6, 10.2, 432", "4.8, -5, 650", "184.8, 5, 650", "212.4, 0.6, 432"})
    void theRampIsDrawnToScaleWhereverItStands(double gap, double rise, double width) {
        RampSide.Ramp ramp =
                new RampSide.Ramp(gap, 180, rise, true, 90, OptionalDouble.of(gap - rise / 2), "nozzle tip");
        Drawn drawn = Drawn.of(RampSide.figure(ramp, UnitChoice.METRIC), width, 178);
        Drawn.Area plate = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.WOOD)
                .findFirst()
                .orElseThrow();

        double across = (plate.right() - plate.left()) / 180;
        double up = (plate.bottom() - plate.top() - 9) / Math.abs(rise);
        assertThat(up / across).isCloseTo(RampSide.enlarged(ramp, width, 178), within(1e-6));
        assertThat(plate.bottom()).isLessThan(178);
        assertThat(drawn.crowded(width, 178)).isEmpty();
    }

    @Test
    void theTableShowsWhatWasTypedNotWhatWasUnderstood() {
        RampReadings readings = readings(6.84, 11.6, 10.2);
        var table = new RampFigures()
                .table(
                        readings,
                        new FocusRamp().evaluate(readings).finding(),
                        Map.of("marks[2].widthMm", "0,3"),
                        UnitChoice.METRIC);

        assertThat(table.orElseThrow().rows()).hasSize(9);
        assertThat(table.orElseThrow().rows().get(2)).containsExactly("45", "0,3", "9.05");
    }

    @ParameterizedTest
    @CsvSource({"0, 1, 5", "0.1951, 0.4703, 5", "-12, 41, 8", "181.9, 187.2, 7", "0.0071, 0.0189, 4"})
    void anAxisHasRoundTicksThatAreTruthfullyLabelled(double least, double most, int wanted) {
        Axis axis = new Axis(least, most, 58, 634);

        assertThat(axis.ticks(wanted))
                .hasSizeBetween(2, 2 * wanted + 1)
                .allMatch(tick -> tick >= least - 1e-9 && tick <= most + 1e-9);
        for (double tick : axis.ticks(wanted)) {
            assertThat(Double.parseDouble(axis.label(tick, wanted))).isCloseTo(tick, within(1e-9));
            assertThat(axis.value(axis.at(tick))).isCloseTo(tick, within(1e-9));
        }
    }
}
