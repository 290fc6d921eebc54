package zebrawood.benches.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.core.lens.BelowFinding;
import zebrawood.core.lens.BelowReadings;
import zebrawood.core.lens.BelowSurface;
import zebrawood.core.lens.ChoiceFinding;
import zebrawood.core.lens.ChoiceReadings;
import zebrawood.core.lens.LensChoice;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

/** Lenses with the strips that were engraved with them, and a mark inside glass. */
class LensBenchesTest {

    @Test
    void theSpotProposesAndTheStripsDecide() {
        Stop<ChoiceReadings, ChoiceFinding> stop =
                new Stop<>(new LensChoice(), LensBench.FIELDS, LensBench::new, new LensFigure());
        try (BenchSeat<ChoiceReadings, ChoiceFinding> seat =
                new BenchSeat<>(stop, Plates.lasing("Wren", Family.GANTRY_CO2, 10_600), Map.of())) {
            seat.put("smallestFeatureMm", "0.3").put("materialMm", "4");
            seat.put("beamDiameterMm", "7").put("beamQualityM2", "1.2");
            seat.put("lenses[0].name", "short").put("lenses[0].focalLengthMm", "38.1");
            seat.put("lenses[1].name", "middle").put("lenses[1].focalLengthMm", "2.5in");
            seat.until("by optics", () -> seat.verdict().isPresent());
            assertThat(seat.act()).startsWith("Take the lens short first.").contains("engrave one strip");
            seat.put("lenses[0].strip", "8 4 4 5").put("lenses[1].strip", "7; 8; 8; 8");
            seat.until("by strips", () -> seat.act().startsWith("Take the lens middle."));
            seat.put("lenses[1].strip", "7 8 8");
            assertThat(seat.problem("lenses[1].strip")).contains("four scores");
            seat.put("lenses[1].strip", "7 8 8 8").focus("seated").choose("seated", "wrong or loose");
            seat.until("seated first", () -> seat.act().startsWith("Seat the lens anew"));
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
        }
    }

    @Test
    void theHeadGoesLessFarThanTheMarkIsDeep() {
        Stop<BelowReadings, BelowFinding> stop =
                new Stop<>(new BelowSurface(), BelowBench.FIELDS, BelowBench::new, new BelowFigure());
        try (BenchSeat<BelowReadings, BelowFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Plover", Family.GALVO_FIBRE), Map.of())) {
            seat.put("thicknessMm", "50").put("depthMm", "1in");
            seat.put("refractiveIndex", "1.52").put("halfAngleMrad", "150");
            seat.until("it is worked out", () -> seat.verdict().isPresent());
            assertThat(seat.finding().orElseThrow().headDropMm()).isCloseTo(25.4 / 1.52, within(1e-9));
            assertThat(seat.act()).startsWith("Lower the head by 16.71 mm").contains("Stop before the head touches");
            seat.put("depthMm", "50");
            seat.until("the glass ends there", () -> seat.verdict().equals(Optional.of(Verdict.FAIL)));
        }
    }
}
