package zebrawood.benches.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasFinding;
import zebrawood.core.gas.GasReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class GasBenchTest {

    private final Stop<GasReadings, GasFinding> stop =
            new Stop<>(new AssistGas(), GasBench.FIELDS, GasBench::new, new GasFigure());

    @Test
    void aBottleIsWorkedOutByKeyboardInAnyUnits() {
        try (BenchSeat<GasReadings, GasFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Bittern", Family.SHEET_FIBRE), Map.of())) {
            seat.focus("nozzleMm")
                    .type("0,08in")
                    .goTo("pressureBar")
                    .type("203.05 psi")
                    .goTo("bottle.volumeL")
                    .type("50");
            assertThat(seat.readings())
                    .as("half a bottle is not taken for a pipe")
                    .isEmpty();
            assertThat(seat.act()).isEqualTo("Read: bottle gauge.");
            seat.enter().type("200");
            seat.until("it is worked out", () -> seat.verdict().equals(Optional.of(Verdict.NOTE)));
            GasReadings read = seat.readings().orElseThrow();
            assertThat(read.nozzleMm()).isCloseTo(2.032, within(1e-9));
            assertThat(read.pressureBar()).isCloseTo(14, within(1e-3));
            assertThat(read.gas()).isEqualTo(Gas.NITROGEN);
            assertThat(seat.act())
                    .startsWith("Look up what regulator, hose, fittings and head are rated for: 14.0 bar");
            seat.focus("ratedBar").type("20");
            seat.until(
                    "what its parts are rated for is known",
                    () -> seat.readings().orElseThrow().ratedBar().isPresent());
            GasReadings rated = seat.readings().orElseThrow();
            double minutes = seat.finding().orElseThrow().bottleMinutes().orElseThrow();
            assertThat(seat.act()).startsWith("Change the bottle after " + (int) Math.floor(minutes) + " min. ");

            seat.in(new UnitChoice(true, false));
            assertThat(seat.words("nozzleMm"))
                    .as("what was typed stays as it was typed")
                    .isEqualTo("0,08in");
            assertThat(seat.readings()).contains(rated);
            seat.focus("gas").choose("gas", "argon");
            seat.until(
                    "another gas flows otherwise",
                    () -> seat.readings().orElseThrow().gas() == Gas.ARGON);
            seat.focus("beamOnPct").type("0").press(KeyCode.TAB);
            assertThat(seat.problem("beamOnPct")).contains("0");
            assertThat(seat.verdict())
                    .as("no verdict stands beside a wrong reading")
                    .isEmpty();
        }
    }
}
