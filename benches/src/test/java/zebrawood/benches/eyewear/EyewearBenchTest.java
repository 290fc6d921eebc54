package zebrawood.benches.eyewear;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.core.eyewear.Eyewear;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Drawn;
import zebrawood.testsupport.Plates;

class EyewearBenchTest {

    private final Stop<EyewearReadings, EyewearFinding> stop =
            new Stop<>(new Eyewear(), EyewearBench.FIELDS, EyewearBench::new, new EyewearFigure());

    @Test
    void aBeamIsWorkedOutByKeyboardAndHalfAPulseIsNotTakenForNone() {
        try (BenchSeat<EyewearReadings, EyewearFinding> seat =
                new BenchSeat<>(stop, Plates.lasing("Heron", Family.GALVO_FIBRE, 1064), Map.of())) {
            assertThat(seat.act()).isEqualTo("Read: average power.");
            seat.focus("averagePowerW")
                    .type("30")
                    .goTo("beamDiameterMm")
                    .type("7,5")
                    .goTo("divergenceMrad")
                    .type("0.4")
                    .goTo("pulse.energyMj")
                    .type("1000 µJ");
            assertThat(seat.readings()).isEmpty();
            assertThat(seat.act()).isEqualTo("Read: pulse length.");
            seat.enter().type("0.12 us").goTo("pulse.repetitionHz").type("30 kHz");
            seat.until("it is worked out", () -> seat.verdict().equals(Optional.of(Verdict.NOTE)));
            assertThat(seat.readings().orElseThrow().pulse()).contains(new EyewearReadings.Pulse(1, 120, 30_000));
            assertThat(seat.readings().orElseThrow().covers())
                    .as("a plate that says nothing is not taken for an open machine, nor for a shut one")
                    .isEmpty();
            assertThat(seat.act()).startsWith("Use eyewear that is marked OD 5 or more at 1064 nm, and for pulses.");
            seat.focus("averagePowerW").press(KeyCode.END).type("0");
            seat.until(
                    "what does not fit together is told",
                    () -> seat.problem("pulse.energyMj").contains("average power"));
        }
    }

    private static Drawn drawn(double reach) {
        EyewearReadings read = new EyewearReadings(
                1064,
                reach,
                Optional.empty(),
                7.5,
                0.4,
                Optional.of(new EyewearReadings.Lens(175, 7.5)),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.of(new EyewearReadings.Room(
                        6000, 4000, 1500, 2000, Optional.of(EyewearReadings.Wall.LEFT), OptionalDouble.empty())),
                Optional.empty());
        EyewearFinding found = new Eyewear().evaluate(read).finding();
        return Drawn.of(EyewearFigure.of(Optional.of(read), Optional.of(found), UnitChoice.METRIC), 640, 300);
    }

    @Test
    void theMarkingAndEveryDistanceStandBesideTheRoom() {
        Drawn strong = drawn(30);
        assertThat(strong.words())
                .contains("1064 nm", "OD 5 or more", "to the door", "1.50 m", "the beam itself: everywhere");
        assertThat(strong.crowded(640, 300)).isEmpty();
        assertThat(drawn(0.2).words())
                .as("a weak beam ends within the room, where its line is seen")
                .doesNotContain("everywhere")
                .contains("beyond the lens");
    }
}
