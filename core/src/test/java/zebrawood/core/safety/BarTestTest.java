package zebrawood.core.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.UnitChoice;

/** What is tested and read for the bars of every family. */
class BarTestTest {

    private static List<Bar> bars(Family family) {
        return FirstLight.bars(new Plate(
                "Wren",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Source(
                        Optional.empty(),
                        OptionalDouble.of(90),
                        OptionalDouble.of(28),
                        List.of(10_600.0),
                        OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    }

    private static BarTest test(String bar, String id) {
        return bars(Family.GANTRY_CO2).stream()
                .filter(each -> each.id().equals(bar))
                .flatMap(each -> each.tests().stream())
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFamilyHasItsLinesInOrderAndOnlyTheLastOneFires(Family family) {
        List<Bar> bars = bars(family);
        Set<String> ids = new HashSet<>();
        int stage = 0;
        for (Bar bar : bars) {
            assertThat(ids.add(bar.id())).as("%s twice", bar.id()).isTrue();
            assertThat(bar.stage().ordinal()).as("%s comes too late", bar.id()).isGreaterThanOrEqualTo(stage);
            stage = bar.stage().ordinal();
            assertThat(bar.fires()).isEqualTo(bar == bars.get(bars.size() - 1));
            assertThat(bar.kind() == Bar.Kind.ENERGISES && bar.stage() != Bar.Stage.POWERED)
                    .isFalse();
            assertThat(bar.action() + bar.title() + bar.look()).doesNotContain("{");
            bar.tests().forEach(test -> assertThat(test.words()).isNotBlank());
        }
        assertThat(FirstLight.held(family)).startsWith("Hold the laser off");
    }

    @Test
    void linesDifferByFamily() {
        assertThat(tests(Family.SHEET_FIBRE)).contains("gas", "key", "lock").doesNotContain("dock");
        assertThat(tests(Family.GANTRY_DIODE)).contains("dock").doesNotContain("key", "lock");
        assertThat(tests(Family.GANTRY_CO2)).contains("closed", "alarm", "lock").doesNotContain("dock", "gas");
    }

    private static List<String> tests(Family family) {
        return bars(family).stream()
                .flatMap(bar -> bar.tests().stream())
                .map(BarTest::id)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "temperature, 5, true",
        "temperature, 4.999, false",
        "temperature, 35, true",
        "temperature, 35.001, false",
        "temperature, 41F, true",
        "temperature, 95F, true",
        "temperature, 95.1F, false",
        "temperature, warm, false",
        "temperature, none, false",
        "flow, 0, false",
        "flow, 0.01, true",
        "flow, none, true",
        "flow, -1, false"
    })
    void aNumberLiftsItsBarWithinItsLimitsOnly(String id, String typed, boolean taken) throws BarTest.NotTaken {
        BarTest test = test("water", id);
        if (taken) {
            assertThat(test.read(typed, UnitChoice.METRIC).answer()).isNotBlank();
        } else {
            assertThatThrownBy(() -> test.read(typed, UnitChoice.METRIC)).isInstanceOf(BarTest.NotTaken.class);
        }
    }

    @Test
    void aReadingIsKeptAsANumberAndWhatIsNotThereInWords() throws BarTest.NotTaken {
        BarTest.Seen warm = test("water", "temperature").read("68F", UnitChoice.METRIC);
        assertThat(warm.number()).hasValue(20);
        assertThat(warm.answer()).isEqualTo("20.0 °C");
        assertThat(test("water", "flow").read("none", UnitChoice.METRIC).answer())
                .isEqualTo("no flow meter");
        assertThat(test("water", "alarm").hasNone().answer()).isEqualTo("it has no alarm");
        assertThat(test("pulse", "mark").choices()).hasSize(3);
    }
}
