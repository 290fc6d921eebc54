package zebrawood.core.coolant;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.site.HumidAir;
import zebrawood.core.units.UnitChoice;

class CoolantSetpointTest {

    private static final Pattern NUMBER = Pattern.compile("(-?\\d+(?:\\.\\d+)?) (°C|%)");
    private final CoolantSetpoint procedure = new CoolantSetpoint();

    private Outcome<SetpointFinding> at(double air, double humidity, OptionalDouble follow) {
        return procedure.evaluate(
                new SetpointReadings(air, humidity, OptionalDouble.empty(), 15, 25, OptionalDouble.empty(), follow));
    }

    private static String said(Outcome<SetpointFinding> outcome, int instruction) {
        return outcome.instructions().get(instruction).action().in(UnitChoice.METRIC);
    }

    @Test
    void aDampDayLiftsTheSetPoint() {
        assertThat(said(at(23.5, 52, OptionalDouble.empty()), 0)).isEqualTo("Set the chiller to 20.0 °C.");
        assertThat(said(at(26, 68, OptionalDouble.empty()), 0)).isEqualTo("Set the chiller to 22.2 °C.");
        assertThat(said(at(32, 78, OptionalDouble.empty()), 0))
                .isEqualTo("Dry the air to 55 % or less before the pump runs.");
    }

    @Test
    void aChillerThatFollowsTheRoomIsHelpedByTheRoom() {
        assertThat(said(at(23.5, 52, OptionalDouble.of(-4)), 0))
                .isEqualTo("Leave the chiller as it is: the water is at about 19.5 °C.");
        assertThat(said(at(31, 35, OptionalDouble.of(-4)), 0)).isEqualTo("Cool the room to 28.5 °C.");
        assertThat(said(at(12, 35, OptionalDouble.of(1)), 0)).isEqualTo("Warm the room to 14.5 °C.");
    }

    @Test
    void anAbsurdMarginIsNeverAnsweredByDampAir() {
        for (double margin : new double[] {130, 300, 1e6, 1e300}) {
            SetpointReadings read = new SetpointReadings(
                    20, 50, OptionalDouble.of(margin), 0, 25, OptionalDouble.empty(), OptionalDouble.empty());
            assertThat(procedure.evaluate(read).finding().dryToPct().orElseThrow())
                    .isLessThan(0.01);
        }
    }

    /** The closed loop: whatever the day, doing what is said leaves the water in the window and nothing wet. */
    @Test
    void whatIsSaidKeepsTheTubeDry() {
        SplittableRandom random = new SplittableRandom(20);
        int failed = 0;
        for (int i = 0; i < 5_000; i++) {
            double air = -5 + 50 * random.nextDouble();
            double humidity = 5 + 95 * random.nextDouble();
            OptionalDouble follow =
                    random.nextInt(3) == 0 ? OptionalDouble.of(-6 + 10 * random.nextDouble()) : OptionalDouble.empty();
            Outcome<SetpointFinding> outcome = at(air, humidity, follow);
            for (int round = 0; outcome.verdict() == Verdict.FAIL && round < 4; round++) {
                failed++;
                String action = said(outcome, 0);
                if (action.startsWith("Use a chiller")) {
                    break;
                }
                Matcher number = NUMBER.matcher(action);
                assertThat(number.find()).as(action).isTrue();
                double to = Double.parseDouble(number.group(1));
                if (action.startsWith("Dry")) {
                    humidity = Math.max(0.01, to);
                } else {
                    // warming and cooling keep the moisture; what is more than full falls out as water
                    humidity = Math.min(100, 100 * HumidAir.vapourHPa(air, humidity) / HumidAir.saturationHPa(to));
                    air = to;
                }
                outcome = at(air, humidity, follow);
            }
            if (said(outcome, 0).startsWith("Use a chiller")) {
                // no room is held so closely: nothing that is done to it can be enough
                assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
                continue;
            }
            assertThat(outcome.verdict())
                    .as("%.2f °C, %.1f %%, %s: %s", air, humidity, follow, said(outcome, 0))
                    .isEqualTo(Verdict.PASS);
            Matcher set = NUMBER.matcher(said(outcome, 0));
            assertThat(set.find()).isTrue();
            double water = Double.parseDouble(set.group(1));
            assertThat(water).isBetween(15 - 0.051, 25 + 0.051);
            assertThat(water).isGreaterThanOrEqualTo(HumidAir.dewPointC(air, humidity) + 2 - 0.051);
        }
        assertThat(failed).isGreaterThan(1_000);
    }

    /** A window in which no room can be held needs a chiller that can be set; a wider one is helped by the room. */
    @Test
    void aRoomIsNotAskedToBeHeldMoreCloselyThanARoomCanBe() {
        for (double most : new double[] {19.1, 19.3}) {
            SetpointReadings read = new SetpointReadings(
                    8,
                    40,
                    OptionalDouble.empty(),
                    18,
                    most,
                    OptionalDouble.of(0.5),
                    OptionalDouble.empty(),
                    OptionalDouble.of(0.2));
            Outcome<SetpointFinding> outcome = procedure.evaluate(read);
            assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
            assertThat(said(outcome, 0))
                    .startsWith(most - 18 - 1 < 0.2 ? "Use a chiller that can be set" : "Warm the room to ");
        }
    }
}
