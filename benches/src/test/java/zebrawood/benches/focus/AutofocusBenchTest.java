package zebrawood.benches.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.AutofocusCheck;
import zebrawood.core.focus.AutofocusFinding;
import zebrawood.core.focus.AutofocusReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

/** Tries of an autofocus, typed in one line a stock. */
class AutofocusBenchTest {

    private final Stop<AutofocusReadings, AutofocusFinding> stop =
            new Stop<>(new AutofocusCheck(), AutofocusBench.FIELDS, AutofocusBench::new, new AutofocusFigure());

    @Test
    void whatItIsOffBecomesACorrectionAndTheProbeIsOutOfTheWayFirst() {
        try (BenchSeat<AutofocusReadings, AutofocusFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Wren", Family.GANTRY_CO2), Map.of())) {
            seat.put("referenceGapMm", "7").put("depthOfFocusMm", "2");
            seat.put("stocks[0].name", "poplar ply").put("stocks[0].gapsMm", "8.01 7.98 8.02 8 7.99");
            seat.put("stocks[1].name", "slate").put("stocks[1].gapsMm", "8.02; 8; 7.97; 8.01; 8");
            seat.until("it is judged", () -> seat.verdict().isPresent());
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
            assertThat(seat.finding().orElseThrow().correctionMm().orElseThrow())
                    .isCloseTo(-1, within(0.01));
            assertThat(seat.act()).contains("out of the way");
            seat.put("stocks[1].gapsMm", "8.02; 8,a");
            assertThat(seat.problem("stocks[1].gapsMm")).isNotBlank();
            assertThat(seat.verdict()).isEmpty();
        }
    }
}
