package zebrawood.benches.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.extraction.ExtractionFinding;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.extraction.Layout;
import zebrawood.core.extraction.UsualLoss;
import zebrawood.core.machine.Family;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class ExtractionBenchTest {

    private final Stop<ExtractionReadings, ExtractionFinding> stop =
            new Stop<>(new Extraction(), ExtractionBench.FIELDS, ExtractionBench::new, new ExtractionFigure());

    @Test
    void aRoughDuctStaysRoughInWhateverRowItStands() {
        try (BenchSeat<ExtractionReadings, ExtractionFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Kestrel", Family.GANTRY_DIODE), Map.of())) {
            seat.put("requiredFlowM3h", "400").put("fanCurve", "0 640; 200 590; 400 455; 690 0");
            duct(seat, 0, "smooth", "125", "2");
            duct(seat, 1, "brick", "125", "3");
            seat.draft("rough of brick", "3");
            assertThat(seat.readings().orElseThrow().segments())
                    .extracting(Layout.Segment::roughnessMm)
                    .containsExactly(OptionalDouble.empty(), OptionalDouble.of(3));
            seat.put("run[0].name", "").put("run[0].bore", "").put("run[0].a", "");
            assertThat(seat.readings().orElseThrow().segments())
                    .extracting(Layout.Segment::name, Layout.Segment::roughnessMm)
                    .as("the first duct is taken away; the second is no smoother for it")
                    .containsExactly(tuple("brick", OptionalDouble.of(3)));

            ExtractionReadings read = seat.readings().orElseThrow();
            Map<String, Draft.Text> back = seat.bench().texts(read, Map.of(), true);
            assertThat(back.get("rough of brick").text()).isEqualTo("3");
        }
    }

    /** Where its maker says nothing, the usual loss of a part counts; what is typed counts before it. */
    @Test
    void aUsualLossCountsUntilAnotherIsTyped() {
        try (BenchSeat<ExtractionReadings, ExtractionFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Kestrel", Family.GANTRY_DIODE), Map.of())) {
            seat.put("requiredFlowM3h", "200").put("fanCurve", "0 640; 200 590; 400 455; 690 0");
            duct(seat, 0, "run", "125", "2");
            seat.draft("run[1].kind", UsualLoss.RAIN_CAP.words()).put("run[1].bore", "125");
            assertThat(seat.readings().orElseThrow().fittings()).singleElement().satisfies(cap -> {
                assertThat(cap.name()).isEqualTo("rain cap 1");
                assertThat(cap.lossCoefficient()).isEqualTo(UsualLoss.RAIN_CAP.coefficient());
            });
            seat.put("run[1].a", "0.9");
            assertThat(seat.readings().orElseThrow().fittings().get(0).lossCoefficient())
                    .isEqualTo(0.9);
        }
    }

    private static void duct(BenchSeat<?, ?> seat, int row, String name, String bore, String metres) {
        seat.put("run[" + row + "].name", name)
                .put("run[" + row + "].bore", bore)
                .put("run[" + row + "].a", metres);
    }
}
