package zebrawood.benches.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.core.level.BedFinding;
import zebrawood.core.level.BedLevel;
import zebrawood.core.level.BedReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Drawn;

/** Gaps typed over the bed where they are read. */
class BedBenchTest {

    private static final Plate WREN = new Plate(
            "Wren",
            Family.GANTRY_CO2,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(new Plate.Bed(700, 500, OptionalDouble.empty(), OptionalDouble.empty())),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    private final Stop<BedReadings, BedFinding> stop =
            new Stop<>(new BedLevel(), BedBench.FIELDS, BedBench::new, new BedFigure());

    private BenchSeat<BedReadings, BedFinding> seat() {
        return new BenchSeat<>(stop, WREN, Map.of());
    }

    @Test
    void enterLeadsFromCornerToCornerAndTheScrewsAreNamedInTheDrawing() {
        try (BenchSeat<BedReadings, BedFinding> seat = seat()) {
            seat.focus(BedBench.gap(0));
            int[] places = {0, 2, 8, 6, 4};
            String[] gaps = {"12.1", "12.7", "13.4", "12.6", "12.75"};
            for (int i = 0; i < places.length; i++) {
                String field = BedBench.gap(places[i]);
                String typed = gaps[i];
                seat.type(typed);
                seat.until("it is typed there", () -> seat.words(field).equals(typed));
                seat.press(KeyCode.ENTER);
            }
            assertThat(seat.bench().next()).isEqualTo("Type how far one turn of a screw lifts the bed.");
            seat.put("pitchMm", "1");
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
            assertThat(seat.readings().orElseThrow().points())
                    .extracting(BedReadings.Point::name)
                    .containsExactly("front left", "front right", "back right", "back left", "middle");
            BedFinding finding = seat.finding().orElseThrow();
            assertThat(finding.screws().get(2).raiseMm()).isCloseTo(0.7523, within(1e-4));
            Drawn drawn = Drawn.of(
                    new BedFigure().figure(seat.readings().orElseThrow(), finding, UnitChoice.METRIC), 640, 420);
            assertThat(drawn.texts())
                    .filteredOn(text -> text.tone() == Tone.ADJUST)
                    .extracting(Drawn.Text::text)
                    .contains("C: 0.75 turns up", "A: 0.75 turns down");
            seat.focus("fixedScrew").choose("fixedScrew", "screw A");
            assertThat(seat.finding().orElseThrow().screws().get(0).raiseMm()).isZero();
        }
    }

    @Test
    void gapsReadTwiceStandUnderTheFirstAndFeelersNeedTheirBlock() {
        try (BenchSeat<BedReadings, BedFinding> seat = seat()) {
            seat.put("pitchMm", "1.25").put("gaugeErrorMm", "0.15");
            for (int place : new int[] {0, 2, 8, 6, 4}) {
                seat.put(BedBench.gap(place), "9.3");
            }
            assertThat(seat.verdict()).contains(Verdict.UNCLEAR);
            assertThat(seat.act()).startsWith("Read every gap a second time");
            seat.focus("school").choose("school", "twice");
            for (int place : new int[] {0, 2, 8, 6, 4}) {
                seat.put(BedBench.again(place), "9.35");
            }
            assertThat(seat.verdict()).contains(Verdict.PASS);
            seat.focus("school").choose("school", "by feelers");
            assertThat(seat.finding()).isEmpty();
            assertThat(seat.bench().next()).isEqualTo("Type how thick the block is.");
        }
    }

    @Test
    void aBedOnThreeScrewsHasOneInTheMiddleOfASide() {
        try (BenchSeat<BedReadings, BedFinding> seat = seat()) {
            seat.put("pitchMm", "1").focus("standsOn").choose("standsOn", "3, 2 behind");
            for (int place : new int[] {0, 2, 8, 6}) {
                seat.put(BedBench.gap(place), "8");
            }
            assertThat(seat.readings().orElseThrow().screws())
                    .extracting(BedReadings.Screw::xMm)
                    .containsExactly(350.0, 700.0, 0.0);
        }
    }
}
