package zebrawood.desktop.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.testsupport.Drawn;

class MachineFigureTest {

    @ParameterizedTest
    @CsvSource({
        "GANTRY_CO2, 1150, 980",
        "GANTRY_CO2, 600, 400",
        "GANTRY_DIODE, 1000, 1190",
        "GANTRY_DIODE, 500, 420",
        "GALVO_FIBRE, 900, 1540",
        "GALVO_UV, 820, 1440",
        "GALVO_UV, 300, 700",
        "SHEET_FIBRE, 1900, 1380",
        "SHEET_FIBRE, 6000, 2200"
    })
    void everyFamilyIsDrawnWithinItsSizeAndToScale(Family family, double widthMm, double heightMm) {
        Plate plate = new Plate(
                "Wren",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Size(widthMm, 700, heightMm, OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        double scale = 0.1;
        Drawn drawn = Drawn.of(MachineFigure.of(plate, scale), 800, 400);
        double left = drawn.areas().stream().mapToDouble(Drawn.Area::left).min().orElseThrow();
        double right =
                drawn.areas().stream().mapToDouble(Drawn.Area::right).max().orElseThrow();
        double top = drawn.areas().stream().mapToDouble(Drawn.Area::top).min().orElseThrow();
        double bottom =
                drawn.areas().stream().mapToDouble(Drawn.Area::bottom).max().orElseThrow();

        assertThat(right - left).as("width").isCloseTo(widthMm * scale, within(2.0));
        assertThat(bottom).as("it stands on the floor").isEqualTo(400);
        assertThat(bottom - top).as("height").isCloseTo(heightMm * scale, within(heightMm * scale * 0.03 + 1));
    }
}
