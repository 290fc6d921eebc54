package zebrawood.benches.mains;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.Family;
import zebrawood.core.mains.CircuitFinding;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class CircuitBenchTest {

    private final Stop<CircuitReadings, CircuitFinding> stop =
            new Stop<>(new SiteCircuit(), CircuitBench.FIELDS, CircuitBench::new, new CircuitFigure());

    @Test
    void whatIsWrongIsToldWhereItStands() {
        try (BenchSeat<CircuitReadings, CircuitFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Heron", Family.GALVO_FIBRE), Map.of())) {
            seat.put("supplyV", "230").put("circuitA", "16");
            assertThat(seat.act()).isEqualTo("Type what is plugged in, and what it takes.");
            seat.put("loads[0].name", "laser")
                    .put("loads[0].ratedW", "0.9 kW")
                    .put("loads[1].name", "chiller")
                    .put("loads[1].ratedW", "minus");
            assertThat(seat.readings()).isEmpty();
            assertThat(seat.problem("loads[1].ratedW")).isEqualTo("type a number, such as 21.5");
            seat.put("loads[1].ratedW", "600");
            assertThat(seat.readings().orElseThrow().loads())
                    .extracting(CircuitReadings.Load::name, CircuitReadings.Load::ratedW)
                    .containsExactly(tuple("laser", 900.0), tuple("chiller", 600.0));
            seat.put("cable.lengthM", "25");
            assertThat(seat.readings())
                    .as("a cable without its section is asked for, not left out")
                    .isEmpty();
            assertThat(seat.act()).isEqualTo("Read: section of the cable.");
            seat.put("cable.sectionMm2", "1.5");
            assertThat(seat.readings().orElseThrow().cable().orElseThrow().lengthM())
                    .as("a cable's bare number is metres")
                    .isEqualTo(25);
            assertThat(seat.finding()).isPresent();
            seat.put("cable.lengthM", "82'");
            assertThat(seat.readings().orElseThrow().cable().orElseThrow().lengthM())
                    .isCloseTo(24.9936, within(1e-9));
        }
    }
}
