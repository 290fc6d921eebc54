package zebrawood.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;

class FirstLightTest {

    private static Plate plate(Family family, Plate.Cooling cooling, Plate.Enclosure enclosure) {
        return new Plate(
                "Wren",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Source(
                        Optional.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        List.of(10600.0),
                        OptionalDouble.empty())),
                Optional.empty(),
                Optional.of(new Plate.Services(
                        Optional.of(cooling),
                        Optional.empty(),
                        Optional.of(enclosure),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void noBarButTheLastFires(Family family) {
        for (Plate.Cooling cooling : Plate.Cooling.values()) {
            for (Plate.Enclosure enclosure : Plate.Enclosure.values()) {
                List<Bar> bars = FirstLight.bars(plate(family, cooling, enclosure));
                assertThat(bars.subList(0, bars.size() - 1)).noneMatch(Bar::fires);
                assertThat(bars.get(bars.size() - 1).fires()).isTrue();
                assertThat(bars)
                        .extracting(Bar::id)
                        .doesNotHaveDuplicates()
                        .contains("earth", "stop", "eyewear", "extraction");
                assertThat(bars)
                        .anyMatch(
                                bar -> bar.id().equals(enclosure == Plate.Enclosure.INTERLOCK ? "interlock" : "area"));
                assertThat(bars.stream().anyMatch(bar -> bar.id().equals("water")))
                        .isEqualTo(cooling == Plate.Cooling.WATER);
                assertThat(bars.stream().anyMatch(bar -> bar.id().equals("fibre")))
                        .isEqualTo(family.hasDeliveryFibre());
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Family.class,
            names = {"GALVO_FIBRE", "GALVO_UV"})
    void aGalvoHasALensCap(Family family) {
        assertThat(FirstLight.bars(plate(family, Plate.Cooling.AIR, Plate.Enclosure.OPEN))
                        .get(0)
                        .title())
                .contains("lens cap");
    }
}
