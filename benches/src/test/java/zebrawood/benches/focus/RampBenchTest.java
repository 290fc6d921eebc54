package zebrawood.benches.focus;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class RampBenchTest {

    private final Stop<RampReadings, RampFinding> stop =
            new Stop<>(new FocusRamp(), RampBench.FIELDS, RampBench::new, new RampFigures());

    @Test
    void whereTheRuleLiesChangesTheGapThatIsFound() {
        Plate plate = Plates.lasing("Wren", Family.GANTRY_CO2, 10_600);
        try (BenchSeat<RampReadings, RampFinding> seat = new BenchSeat<>(stop, plate, Map.of())) {
            seat.put("gapAtStartMm", "30").put("runMm", "60").put("riseMm", "25");
            double[] widths = {1.2, 0.9, 0.6, 0.34, 0.2, 0.34, 0.6, 0.9, 1.2};
            for (int i = 0; i < widths.length; i++) {
                seat.put("widths[" + i + "]", Double.toString(widths[i]));
            }
            double level = gap(seat);
            assertThat(seat.readings().orElseThrow().positionsAlong()).isEmpty();
            seat.focus("ruler").choose("ruler", "rule on the plate");
            assertThat(seat.readings().orElseThrow().positionsAlong())
                    .hasValueSatisfying(along -> assertThat(along.toString()).isEqualToIgnoringCase("plate"));
            // along the plate the same marks reach less far over the bed, so that less of the rise counts
            assertThat(gap(seat)).isGreaterThan(level + 0.5);
        }
    }

    private static double gap(BenchSeat<RampReadings, RampFinding> seat) {
        return seat.finding().orElseThrow().bestGapMm().orElseThrow();
    }
}
