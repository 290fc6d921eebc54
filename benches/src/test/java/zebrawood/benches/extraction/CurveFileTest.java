package zebrawood.benches.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.extraction.ExtractionReadings.FanPoint;
import zebrawood.core.extraction.ExtractionReadings.Gauged;

class CurveFileTest {

    @TempDir
    private Path folder;

    private final List<FanPoint> fan = new ArrayList<>();
    private final List<Double> filter = new ArrayList<>();
    private final List<Gauged> gauge = new ArrayList<>();

    private Optional<String> read(String text, Charset charset) throws IOException {
        fan.clear();
        filter.clear();
        gauge.clear();
        return CurveFile.read(
                Files.writeString(folder.resolve("curve.csv"), text, charset).toFile(), new CurveFile.Taking() {
                    @Override
                    public void fan(List<FanPoint> points) {
                        fan.addAll(points);
                    }

                    @Override
                    public void filter(double flowM3h, double dropPa) {
                        filter.addAll(List.of(flowM3h, dropPa));
                    }

                    @Override
                    public void gauge(List<Gauged> readings) {
                        gauge.addAll(readings);
                    }
                });
    }

    @Test
    void aFanIsReadFromAnyOrdinaryTable() throws IOException {
        for (String text : List.of(
                "flow m3/h,pressure Pa\n0,640\n200,590\n690,0\n",
                "Volumenstrom;Druck (Pa)\r\n0;640,0\r\n200;590,0\r\n690;0\r\n",
                "690\t0\n200\t590\n0\t640\n",
                "\uFEFF\"0\",\"640\"\r\"200\",\"590\"\r\"690\",\"0\"")) {
            for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16LE)) {
                assertThat(read(text, charset)).as(text).isEmpty();
                assertThat(fan)
                        .as(text)
                        .containsExactly(new FanPoint(0, 640), new FanPoint(200, 590), new FanPoint(690, 0));
            }
        }
        assertThat(read("flow l/s;mbar\n0;6,4\n100;2\n", StandardCharsets.UTF_8))
                .isEmpty();
        assertThat(fan.get(1).flowM3h()).isCloseTo(360, within(1e-9));
        assertThat(fan.get(0).pressurePa()).isCloseTo(640, within(1e-9));
    }

    @Test
    void whatRisesIsAFilterAndDaysAreItsGauge() throws IOException {
        assertThat(read("m³/h;Pa\n100;20\n400;90\n", Charset.forName("windows-1252")))
                .isEmpty();
        assertThat(filter).containsExactly(400.0, 90.0);
        assertThat(read("day,Pa\n2031-01-10,120\n2031-01-20 08:00,160\n", StandardCharsets.UTF_8))
                .isEmpty();
        assertThat(gauge).extracting(Gauged::dropPa).containsExactly(120.0, 160.0);
    }

    @Test
    void aColumnIsReadInTheUnitOfItsOwnHead() throws IOException {
        assertThat(read(
                        "Fan rated 200 l/s at 2.4 kPa\nflow m3/h,pressure Pa\n0,640\n200,590\n690,0\n",
                        StandardCharsets.UTF_8))
                .isEmpty();
        assertThat(fan)
                .as("a title is no head")
                .containsExactly(new FanPoint(0, 640), new FanPoint(200, 590), new FanPoint(690, 0));
        assertThat(read("pressure [kPa];flow [l/s]\n0,64;0\n0;100\n", StandardCharsets.UTF_8))
                .isEmpty();
        assertThat(fan)
                .as("columns are told apart by their units")
                .containsExactly(new FanPoint(0, 640), new FanPoint(360, 0));
        assertThat(read("m3/h,Pa\n0,64 mmH2O\n690,0 Pa\n", StandardCharsets.UTF_8))
                .isEmpty();
        assertThat(fan.get(0).pressurePa())
                .as("a number's own unit goes before the head's")
                .isCloseTo(627.6256, within(1e-4));
    }

    @Test
    void whatCouldBeReadInTwoWaysIsRefusedInWords() throws IOException {
        assertThat(read("flow m3/h,pressure Pa (mmH2O)\n0,640\n690,0\n", StandardCharsets.UTF_8)
                        .orElseThrow())
                .contains("two units, Pa and mmH2O");
        assertThat(read("m3/h;Pa\n0;1,200\n690;0\n", StandardCharsets.UTF_8).orElseThrow())
                .contains("line 2", "1,200", "two ways");
        assertThat(read("m3/h;Pa\n0;640 furlong\n690;0\n", StandardCharsets.UTF_8)
                        .orElseThrow())
                .contains("line 2", "no unit here");
        assertThat(fan).isEmpty();
        assertThat(filter).isEmpty();
    }

    @Test
    void whatIsNoTableIsToldAndChangesNothing() throws IOException {
        assertThat(read("", StandardCharsets.UTF_8).orElseThrow()).contains("two columns are needed");
        assertThat(read("x".repeat(3_000_000), StandardCharsets.UTF_8).orElseThrow())
                .contains("two columns are needed");
        assertThat(read("0,1\n".repeat(500), StandardCharsets.UTF_8).orElseThrow())
                .contains("more than 200 points");
        assertThat(CurveFile.read(folder.resolve("gone.csv").toFile(), null).orElseThrow())
                .contains("cannot be read");
        assertThat(fan).isEmpty();
    }
}
