package zebrawood.core.mains;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

class SiteCircuitTest {

    private final SiteCircuit procedure = new SiteCircuit();

    private Outcome<CircuitFinding> on(
            double amperes, Optional<CircuitReadings.Cable> cable, List<CircuitReadings.Load> loads) {
        return procedure.evaluate(new CircuitReadings(
                230, amperes, loads, OptionalDouble.empty(), OptionalDouble.empty(), cable, OptionalDouble.empty()));
    }

    private static CircuitReadings.Load load(String name, double watts, boolean continuous, OptionalDouble volts) {
        return new CircuitReadings.Load(name, watts, OptionalDouble.empty(), Optional.of(continuous), volts);
    }

    private static String said(Outcome<CircuitFinding> outcome, int instruction) {
        return outcome.instructions().get(instruction).action().in(UnitChoice.METRIC);
    }

    /**
     * The closed loop: what is to be moved is moved, what is not to be plugged in is left; then the circuit carries the
     * rest.
     */
    @Test
    void doingWhatIsSaidCuresIt() {
        SplittableRandom random = new SplittableRandom(16);
        int moved = 0;
        int more = 0;
        for (int i = 0; i < 3_000; i++) {
            List<CircuitReadings.Load> loads = new ArrayList<>();
            for (int n = 0; n < 1 + random.nextInt(6); n++) {
                loads.add(load(
                        "load " + n,
                        50 + 2200 * random.nextDouble(),
                        random.nextBoolean(),
                        random.nextInt(9) == 0 ? OptionalDouble.of(120) : OptionalDouble.empty()));
            }
            Optional<CircuitReadings.Cable> cable = random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(new CircuitReadings.Cable(
                            5 + 60 * random.nextDouble(), 1.5 + random.nextInt(2), OptionalDouble.of(50)));
            Outcome<CircuitFinding> outcome = on(16, cable, loads);
            loads.removeIf(load -> outcome.finding().wrongVoltage().contains(load.name()));
            boolean heavy =
                    outcome.finding().isOverloaded() || outcome.finding().dropsTooFar();
            if (heavy && outcome.finding().move().isPresent()) {
                moved++;
                loads.removeIf(
                        load -> load.name().equals(outcome.finding().move().get()));
                assertThat(loads.isEmpty() || on(16, cable, loads).verdict() == Verdict.PASS)
                        .isTrue();
            } else if (heavy) {
                more++;
                assertThat(said(outcome, outcome.instructions().size() - 1))
                        .startsWith(
                                outcome.finding().wrongVoltage().isEmpty()
                                        ? "Ask an electrician for "
                                        : "Then type the loads again");
            } else {
                assertThat(outcome.verdict() == Verdict.PASS)
                        .isEqualTo(outcome.finding().wrongVoltage().isEmpty());
            }
        }
        assertThat(moved).isGreaterThan(300);
        assertThat(more).isGreaterThan(300);
    }

    @Test
    void whatMustNotBePluggedInIsSaidFirst() {
        List<CircuitReadings.Load> loads = List.of(
                load("tube supply", 950, true, OptionalDouble.of(120)),
                load("kettle", 2400, false, OptionalDouble.empty()),
                load("chiller", 780, true, OptionalDouble.empty()));
        Outcome<CircuitFinding> outcome = on(16, Optional.empty(), loads);
        assertThat(said(outcome, 0)).isEqualTo("Do not plug in tube supply here.");
        assertThat(said(outcome, 1)).startsWith("Then type the loads again without it");
        assertThat(outcome.finding().move())
                .as("nothing is moved while something must not be plugged in at all")
                .isEmpty();
    }

    @Test
    void theSmallestLoadThatHelpsIsMovedAndNeverAPartOfTheMachine() {
        CircuitReadings.Load laser = new CircuitReadings.Load(
                "laser",
                2000,
                OptionalDouble.empty(),
                Optional.of(true),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(true));
        List<CircuitReadings.Load> loads = List.of(
                load("heater", 2500, false, OptionalDouble.empty()),
                load("kettle", 1200, false, OptionalDouble.empty()),
                laser,
                load("lamp", 40, false, OptionalDouble.empty()));
        Outcome<CircuitFinding> outcome = on(25, Optional.empty(), loads);
        assertThat(outcome.finding().move())
                .as("kettle and lamp alone are not enough")
                .contains("kettle");
        assertThat(on(9, Optional.empty(), List.of(laser, loads.get(3)))
                        .finding()
                        .move())
                .as("the machine stays together")
                .isEmpty();
    }

    @Test
    void aBreakerThatLetsMoreThroughThanTheCableCarriesIsToldWhateverIsPluggedIn() {
        Outcome<CircuitFinding> outcome = on(
                20,
                Optional.of(new CircuitReadings.Cable(3, 1.5, OptionalDouble.empty())),
                List.of(load("lamp", 40, true, OptionalDouble.empty())));
        assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(said(outcome, 0)).startsWith("Do not use this cable on this breaker");
    }

    /**
     * Copper at 20 °C: 0.0172 ohm for a metre of a square millimetre; ten metres there and back at ten amperes lose 3.4
     * V.
     */
    @Test
    void aCableLosesWhatCopperLoses() {
        assertThat(new CircuitReadings.Cable(10, 1, OptionalDouble.of(20)).dropV(10))
                .isBetween(3.44, 3.46);
        assertThat(new CircuitReadings.Cable(10, 1, OptionalDouble.of(70)).dropV(10))
                .isBetween(4.1, 4.15);
    }

    @Test
    void aBrownReceptacleStaysUnpluggedAndEarthIsAnElectriciansLine() {
        CircuitReadings read = new CircuitReadings(
                230,
                OptionalDouble.empty(),
                16,
                List.of(load("supply", 500, true, OptionalDouble.empty())),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.of(true),
                Optional.of(false),
                Optional.of("TN, 0.3 ohm"));
        Outcome<CircuitFinding> outcome = procedure.evaluate(read);
        assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(said(outcome, 0))
                .isEqualTo("Leave it unplugged: have a licensed electrician replace the receptacle.");
        assertThat(procedure.evidence(outcome.finding()))
                .anySatisfy(evidence ->
                        assertThat(evidence.figure().in(UnitChoice.METRIC)).isEqualTo("tested, TN, 0.3 ohm"));
        assertThat(procedure.evidence(
                        on(16, Optional.empty(), List.of(load("supply", 500, true, OptionalDouble.empty())))
                                .finding()))
                .anySatisfy(evidence ->
                        assertThat(evidence.figure().in(UnitChoice.METRIC)).isEqualTo("not on record"));
    }
}
