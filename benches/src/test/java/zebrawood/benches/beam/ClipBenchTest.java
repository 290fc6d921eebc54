package zebrawood.benches.beam;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.beam.BeamClip;
import zebrawood.core.beam.ClipFinding;
import zebrawood.core.beam.ClipReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Drawn;
import zebrawood.testsupport.Plates;

/** Openings on the way of a beam, typed row by row. */
class ClipBenchTest {

    private final Stop<ClipReadings, ClipFinding> stop =
            new Stop<>(new BeamClip(), ClipBench.FIELDS, ClipBench::new, new ClipFigure());

    @Test
    void everyOpeningOnTheWayIsJudgedAndTheWorstIsDrawnAsSuch() {
        try (BenchSeat<ClipReadings, ClipFinding> seat =
                new BenchSeat<>(stop, Plates.lasing("Wren", Family.GANTRY_CO2, 10_600), Map.of())) {
            seat.put("apertureMm", "18").put("beamDiameterMm", "6").put("offsetMm", "2");
            assertThat(seat.verdict()).contains(Verdict.PASS);
            seat.put("others[0].name", "nozzle").put("others[0].apertureMm", "4");
            assertThat(seat.finding()).as("half a row is no opening yet").isEmpty();
            seat.put("others[0].beamDiameterMm", "0.08in").put("others[0].offsetMm", "1.4");
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
            assertThat(seat.act()).contains("the opening \"nozzle\"");
            ClipFinding finding = seat.finding().orElseThrow();
            assertThat(seat.says("The worst opening takes")).isTrue();
            Drawn drawn = Drawn.of(
                    new ClipFigure().figure(seat.readings().orElseThrow(), finding, UnitChoice.METRIC), 678, 300);
            assertThat(drawn.texts())
                    .filteredOn(text -> text.tone() == Tone.FAIL)
                    .singleElement()
                    .satisfies(text -> assertThat(text.text()).startsWith("2: "));
            seat.put("others[0].offsetMm", "0");
            assertThat(seat.verdict()).contains(Verdict.PASS);
        }
    }

    @Test
    void theBeamsGrowthNeedsTwoDistances() {
        try (BenchSeat<ClipReadings, ClipFinding> seat =
                new BenchSeat<>(stop, Plates.lasing("Wren", Family.GANTRY_CO2, 10_600), Map.of())) {
            seat.put("apertureMm", "18")
                    .put("beamDiameterMm", "5")
                    .put("offsetMm", "0")
                    .put("distanceMm", "100");
            seat.put("others[0].apertureMm", "20")
                    .put("others[0].beamDiameterMm", "6")
                    .put("others[0].offsetMm", "0")
                    .put("others[0].distanceMm", "100");
            assertThat(seat.finding().orElseThrow().divergenceMrad())
                    .as("both at one place")
                    .isEmpty();
            seat.put("others[0].distanceMm", "1100");
            assertThat(seat.finding().orElseThrow().divergenceMrad()).hasValue(1);
        }
    }
}
