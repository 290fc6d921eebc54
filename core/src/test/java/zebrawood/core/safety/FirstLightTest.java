package zebrawood.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
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

    @ParameterizedTest
    @EnumSource(Family.class)
    void onlyAGantryBlowsAirAndOnlyAGalvoHasALensCap(Family family) {
        List<Bar> bars = FirstLight.bars(plate(family, Plate.Cooling.AIR, Plate.Enclosure.OPEN));
        boolean gantry = family == Family.GANTRY_CO2 || family == Family.GANTRY_DIODE;
        boolean galvo = family == Family.GALVO_FIBRE || family == Family.GALVO_UV;
        assertThat(bars.stream().anyMatch(bar -> bar.id().equals("air"))).isEqualTo(gantry);
        assertThat(bars.get(0).title().contains("lens cap")).isEqualTo(galvo);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void whatEnergisesComesAfterAllThatIsLookedAt(Family family) {
        for (Plate.Enclosure enclosure : Plate.Enclosure.values()) {
            List<Bar> bars = FirstLight.bars(plate(family, Plate.Cooling.WATER, enclosure));
            assertThat(bars).isSortedAccordingTo(Comparator.comparing(Bar::kind));
            assertThat(bars)
                    .extracting(Bar::id)
                    .containsSubsequence("films", "wiring", "earth", "water", "extraction", "eyewear", "stop", "pulse");
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void whatThePlateDoesNotSayIsAskedWithNoneAsAnAnswer(Family family) {
        Plate bare = new Plate(
                "Wren",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        for (Plate.Part part : Plate.Part.values()) {
            boolean can = bare.presence(part) == Plate.Presence.UNKNOWN;
            assertThat(FirstLight.bars(bare).stream().filter(bar -> bar.absent().equals(Optional.of(part))))
                    .hasSize(can ? 1 : 0);
            Plate none = bare.withNone(part);
            assertThat(FirstLight.bars(none)).noneMatch(bar -> bar.absent().equals(Optional.of(part)));
            assertThat(FirstLight.bars(none).stream().anyMatch(bar -> bar.id().equals("area")))
                    .isEqualTo(part == Plate.Part.INTERLOCK);
        }
    }

    @Test
    void noMarkNeverLeadsToMorePower() {
        Bar pulse = FirstLight.bars(plate(Family.GANTRY_CO2, Plate.Cooling.WATER, Plate.Enclosure.INTERLOCK)).stream()
                .filter(Bar::fires)
                .findFirst()
                .orElseThrow();
        assertThat(pulse.then("No mark; 0 mA"))
                .startsWith("Leave the power as it is")
                .contains("water", "cover", "enabled", "tape", "manual")
                .doesNotContainIgnoringCase("more power")
                .doesNotContainIgnoringCase("raise");
        assertThat(pulse.then("smoke at the edge")).startsWith("Switch off.");
    }
}
