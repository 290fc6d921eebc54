package zebrawood.benches.height;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.height.ZFinding;
import zebrawood.core.height.ZPlan;
import zebrawood.core.height.ZReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

/** A stack under the head, and how a powered rail begins a job. */
class ZBenchTest {

    private final Stop<ZReadings, ZFinding> stop = new Stop<>(new ZPlan(), ZBench.FIELDS, ZBench::new, new ZFigure());

    @Test
    void theAxisGoesWhereTheStackWantsItAndAJobBeginsWithIt() {
        try (BenchSeat<ZReadings, ZFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Wren", Family.GANTRY_CO2), Map.of())) {
            seat.put("materialMm", "1/2in").put("focusGapMm", "7").put("bareGapAtZeroMm", "4");
            seat.put("minZMm", "0").put("maxZMm", "100");
            seat.until("it is worked out", () -> seat.verdict().isPresent());
            assertThat(seat.verdict()).contains(Verdict.PASS);
            assertThat(seat.finding().orElseThrow().targetZMm()).isCloseTo(15.7, within(1e-9));
            seat.put("defocusMm", "2");
            seat.until(
                    "wanted defocus is a reading, no mistake", () -> seat.act().contains("17.70 mm"));
            seat.focus("heightFirst").choose("heightFirst", "comes later");
            seat.until("a job begins wrong", () -> seat.act().startsWith("Make the height move the first thing"));
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
            seat.focus("heightFirst").choose("heightFirst", "comes first");
            seat.put("jobSpeedMmMin", "20 mm/s").put("panelSpeedMmMin", "600");
            seat.until("at the panel's speed", () -> seat.act().startsWith("Let jobs move the height at 600 mm/min"));
            seat.put("jobSpeedMmMin", "10 mm/s");
            seat.until("both alike", () -> seat.act().startsWith("Send the height axis to 17.70 mm"));
        }
    }
}
