package zebrawood.benches.switching;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.switching.OrderFinding;
import zebrawood.core.switching.OrderReadings;
import zebrawood.core.switching.OrderReadings.Step;
import zebrawood.core.switching.SwitchingOrder;
import zebrawood.core.switching.Way;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class OrderBenchTest {

    private final Stop<OrderReadings, OrderFinding> stop =
            new Stop<>(new SwitchingOrder(), OrderBench.FIELDS, OrderBench::new, new OrderFigure());

    @Test
    void theUsualOrderIsTakenChangedAndFollowedWithTheSpaceBar() {
        try (BenchSeat<OrderReadings, OrderFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Wren", Family.GANTRY_CO2), Map.of())) {
            assertThat(seat.act()).isEqualTo("Write the steps of switching on, a line each.");
            seat.fire("usual-order");
            seat.until("it is judged", () -> seat.verdict().equals(Optional.of(Verdict.PASS)));
            seat.put("order-text", "Pump on | 1 min | water flows back | the tube cracks\nKey on");
            seat.until(
                    "a step says nothing of what is seen", () -> seat.verdict().equals(Optional.of(Verdict.UNCLEAR)));
            assertThat(seat.act()).isEqualTo("Switching on, step 2: write what is seen when \"Key on\" is right.");
            seat.focus("strip");
            assertThat(seat.words("strip-act")).isEqualTo("1  Pump on");
            assertThat(seat.says("In another order: the tube cracks")).isTrue();
            assertThat(seat.says("Then: Key on")).isTrue();
            seat.later(Duration.ofSeconds(20));
            seat.until("its minute runs", () -> seat.words("strip-wait").contains("0:40 left"));
            seat.later(Duration.ofSeconds(60));
            seat.until("and is over", () -> seat.words("strip-wait").contains("the time is over"));
            seat.press(KeyCode.SPACE);
            seat.until("the next one is large", () -> seat.words("strip-act").equals("2  Key on"));
            seat.press(KeyCode.SPACE);
            seat.until("it is on", () -> seat.words("strip-act").equals("Switching on: done, 2 steps."));
            seat.press(KeyCode.LEFT).press(KeyCode.LEFT);
            seat.until("one goes back", () -> seat.words("strip-act").equals("1  Pump on"));
            seat.fire("way-down");
            seat.until("the way down begins", () -> seat.words("strip-act").startsWith("1  Let the job end"));
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFamilyHasAnOrderInWhichTheLaserComesLastAndGoesFirst(Family family) {
        OrderReadings order = UsualOrder.of(family);
        assertThat(new SwitchingOrder().evaluate(order).verdict()).isEqualTo(Verdict.PASS);
        for (Way way : Way.values()) {
            assertThat(StepLine.steps(StepLine.text(order.of(way)))).isEqualTo(order.of(way));
        }
        int laserOn = first(order.up(), "laser", "source");
        int laserOff = first(order.down(), "laser", "source", "Key");
        assertThat(laserOn).isPositive();
        for (String before : List.of("Chiller", "Extraction", "chiller", "extraction")) {
            assertThat(first(order.up(), before)).as(before).isLessThan(laserOn);
            int off = first(order.down(), before);
            assertThat(off < 0 || off > laserOff)
                    .as(before + " goes after the laser")
                    .isTrue();
        }
        assertThat(order.afterCut().get(0).what()).contains("switch the machine off");
    }

    private static int first(List<Step> steps, String... words) {
        for (int i = 0; i < steps.size(); i++) {
            for (String word : words) {
                if (steps.get(i).what().contains(word)) {
                    return i;
                }
            }
        }
        return -1;
    }

    @ParameterizedTest
    @CsvSource({"1 min,60", "90 s,90", "10 minutes,600", "2 min or more,120", "until the lamp is green,", "5,"})
    void aTimeIsCountedWhereOneIsSaid(String words, Long seconds) {
        assertThat(OrderStrip.time(words).map(Duration::toSeconds)).isEqualTo(Optional.ofNullable(seconds));
    }
}
