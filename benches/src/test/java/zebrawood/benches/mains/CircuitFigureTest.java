package zebrawood.benches.mains;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class CircuitFigureTest {

    private static Drawn drawn(double breaker, double... watts) {
        List<CircuitReadings.Load> loads = java.util.stream.IntStream.range(0, watts.length)
                .mapToObj(i -> new CircuitReadings.Load(
                        "load " + i, watts[i], OptionalDouble.empty(), Optional.of(false), OptionalDouble.empty()))
                .toList();
        CircuitReadings read = new CircuitReadings(
                230,
                breaker,
                loads,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(new CircuitReadings.Cable(18, 2.5, OptionalDouble.empty())),
                OptionalDouble.empty());
        return Drawn.of(
                new CircuitFigure()
                        .figure(read, new SiteCircuit().evaluate(read).finding(), UnitChoice.METRIC),
                640,
                320);
    }

    @Test
    void loadsLieEndToEndAsWideAsTheyAre() {
        Drawn drawn = drawn(16, 460, 920);
        List<Drawn.Area> loads =
                drawn.areas().stream().filter(area -> area.tone() == Tone.BAND).toList();
        assertThat(loads).hasSize(2);
        assertThat(loads.get(1).left()).isCloseTo(loads.get(0).right(), within(1e-6));
        assertThat((loads.get(1).right() - loads.get(1).left())
                        / (loads.get(0).right() - loads.get(0).left()))
                .isCloseTo(2, within(1e-6));
        assertThat(drawn.words()).contains("load 0", "load 1", "breaker 16.0 A", "board");
        assertThat(drawn.crowded(640, 320)).isEmpty();
    }

    @Test
    void aBreakerThatIsAskedForTooMuchStandsOut() {
        assertThat(drawn(10, 2000, 1000).texts())
                .filteredOn(text -> text.text().startsWith("breaker"))
                .singleElement()
                .satisfies(text -> assertThat(text.tone()).isEqualTo(Tone.FAIL));
    }
}
