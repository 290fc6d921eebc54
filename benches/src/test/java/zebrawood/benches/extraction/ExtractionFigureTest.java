package zebrawood.benches.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.extraction.Layout;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class ExtractionFigureTest {

    private static Drawn drawn(double bore, boolean atOutlet, int ports) {
        ExtractionReadings read = new ExtractionReadings(
                360,
                Optional.empty(),
                List.of(
                        new Layout.Segment(
                                "hose",
                                bore,
                                1.5,
                                OptionalDouble.empty(),
                                OptionalDouble.of(1.8),
                                OptionalInt.of(ports)),
                        new Layout.Segment(
                                "smooth run",
                                125,
                                4.2,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalInt.empty())),
                List.of(new Layout.Fitting("rain cap", 125, 1.1, OptionalInt.empty(), OptionalInt.of(2))),
                List.of(new Layout.Filter("pre-filter", 400, 90, OptionalDouble.of(250), OptionalInt.of(0))),
                List.of(
                        new ExtractionReadings.FanPoint(0, 640),
                        new ExtractionReadings.FanPoint(400, 455),
                        new ExtractionReadings.FanPoint(690, 0)),
                OptionalDouble.empty(),
                atOutlet,
                Optional.empty(),
                List.of(),
                Optional.empty());
        return Drawn.of(
                new ExtractionFigure()
                        .figure(read, new Extraction().evaluate(read).finding(), UnitChoice.METRIC),
                640,
                320);
    }

    @Test
    void theRunIsNamedInItsOrderWithTheAirsSpeed() {
        Drawn drawn = drawn(125, true, 1);
        assertThat(drawn.words())
                .contains("hose", "smooth run", "m/s", "fan", "required", "leaks suck")
                .doesNotContain("leaks blow");
        List<String> names = drawn.texts().stream()
                .map(Drawn.Text::text)
                .filter(List.of("hose", "smooth run", "cap")::contains)
                .toList();
        assertThat(names).containsExactly("hose", "smooth run", "cap");
        assertThat(drawn.crowded(640, 320)).isEmpty();
    }

    @Test
    void aFanAtTheMachineAndAirThatIsTooSlowStandOut() {
        Drawn drawn = drawn(125, false, 2);
        assertThat(drawn.words()).contains("leaks blow");
        assertThat(drawn.texts())
                .filteredOn(text -> text.text().endsWith("m/s"))
                .first()
                .satisfies(text -> assertThat(text.tone()).isEqualTo(Tone.FAIL));
        assertThat(drawn.crowded(640, 320)).isEmpty();
    }

    @Test
    void aRunThatWasKeptIsDrawnUnderTheOtherToTheSameScale() {
        Layout narrow = new Layout(
                List.of(new Layout.Segment(
                        "old hose", 80, 3, OptionalDouble.empty(), OptionalDouble.empty(), OptionalInt.empty())),
                List.of(),
                List.of());
        Layout wide = new Layout(
                List.of(new Layout.Segment(
                        "new duct", 160, 3, OptionalDouble.empty(), OptionalDouble.empty(), OptionalInt.empty())),
                List.of(),
                List.of());
        ExtractionReadings read = new ExtractionReadings(
                360,
                Optional.empty(),
                wide.segments(),
                wide.fittings(),
                wide.filters(),
                List.of(
                        new ExtractionReadings.FanPoint(0, 640),
                        new ExtractionReadings.FanPoint(400, 455),
                        new ExtractionReadings.FanPoint(690, 0)),
                OptionalDouble.empty(),
                true,
                Optional.empty(),
                List.of(),
                Optional.of(narrow));
        for (double height : new double[] {ExtractionFigure.LEAST_OF_TWO, 460}) {
            Drawn drawn = Drawn.of(
                    new ExtractionFigure()
                            .figure(read, new Extraction().evaluate(read).finding(), UnitChoice.METRIC),
                    640,
                    height);
            assertThat(drawn.crowded(640, height)).isEmpty();
            assertThat(drawn.words()).contains("this run: ", "new duct", "the other: ", "old hose");
            assertThat(drawn.words().contains("leaks suck"))
                    .as("the pressure, where there is room for it")
                    .isEqualTo(height > 400);
            List<Double> bores = drawn.areas().stream()
                    .filter(area -> !area.filled()
                            && area.right() - area.left() > 200
                            && area.bottom() - area.top() > 8
                            && area.right() < 640 * 0.58)
                    .map(area -> area.bottom() - area.top())
                    .filter(tall -> tall < 60)
                    .toList();
            assertThat(bores.get(0) / bores.get(1)).as("bores to one scale").isCloseTo(2, within(1e-6));
        }
    }
}
