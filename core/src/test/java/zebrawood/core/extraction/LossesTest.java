package zebrawood.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Losses against figures worked by hand: standard air at 20 °C, 1.2041 kg/m³, 1.813e-5 Pa s. */
class LossesTest {

    private static final Layout.Segment DUCT =
            new Layout.Segment("duct", 100, 10, OptionalDouble.of(0.15), OptionalDouble.empty(), OptionalInt.empty());

    @Test
    void airIsAsThickAndAsHeavyAsTheTablesSay() {
        assertThat(Air.USUAL.density()).isCloseTo(1.2041, within(1e-3));
        assertThat(Air.USUAL.viscosity()).isCloseTo(1.813e-5, within(1e-8));
        assertThat(new Air(OptionalDouble.of(100), OptionalDouble.empty()).viscosity())
                .isCloseTo(2.18e-5, within(2e-7));
    }

    /** At 10 m/s: Reynolds 66,400, relative roughness 0.0015, so f = 0.0246 by Colebrook; f l / d = 2.46. */
    @Test
    void aRoughDuctTakesWhatColebrookSays() {
        double flow = 10 * Math.PI / 4 * 0.01 * 3600;
        assertThat(DUCT.lossPa(flow, Air.USUAL)).isCloseTo(2.46 * 60.2, within(0.5));
        Layout.Segment hose =
                new Layout.Segment("hose", 100, 10, OptionalDouble.of(0.15), OptionalDouble.of(2), OptionalInt.empty());
        assertThat(hose.lossPa(flow, Air.USUAL)).isCloseTo(2 * DUCT.lossPa(flow, Air.USUAL), within(1e-9));
        Layout.Segment two =
                new Layout.Segment("two", 100, 10, OptionalDouble.of(0.15), OptionalDouble.empty(), OptionalInt.of(2));
        assertThat(two.lossPa(2 * flow, Air.USUAL)).isCloseTo(DUCT.lossPa(flow, Air.USUAL), within(1e-9));
        assertThat(DUCT.lossPa(0, Air.USUAL)).isZero();
    }

    /** Slow air: f = 64 / Re, so that the loss grows with the speed and not with its square. */
    @Test
    void slowAirIsLaminar() {
        double flow = 0.1 * Math.PI / 4 * 0.01 * 3600;
        double byHand = 32 * Air.USUAL.viscosity() * 0.1 * 10 / (0.1 * 0.1);
        assertThat(DUCT.lossPa(flow, Air.USUAL)).isCloseTo(byHand, within(1e-9));
    }

    @Test
    void aBendTakesItsShareOfTheMovingAirsPressure() {
        double flow = 10 * Math.PI / 4 * 0.01 * 3600;
        Layout.Fitting bend = new Layout.Fitting("bend", 100, 0.3, OptionalInt.empty(), OptionalInt.empty());
        assertThat(bend.lossPa(flow, Air.USUAL)).isCloseTo(0.3 * 60.2, within(0.1));
        Layout.Fitting two = new Layout.Fitting("bends", 100, 0.3, OptionalInt.of(2), OptionalInt.empty());
        assertThat(two.lossPa(flow, Air.USUAL)).isCloseTo(0.3 * 60.2 / 4, within(0.1));
    }
}
