package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTest {

    private static final UnitChoice INCHES = new UnitChoice(true, true);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "3.2 | LENGTH | 3.2",
                "3,2 | LENGTH | 3.2",
                "0,125 | LENGTH | 0.125",
                "1/8in | LENGTH | 3.175",
                "1 1/2 in | LENGTH | 38.1",
                "-1/4\" | LENGTH | -6.35",
                "0.12\" | LENGTH | 3.048",
                "1 200 | LENGTH | 1200",
                "1 200,5 mm | LENGTH | 1200.5",
                "11.780 | LENGTH | 11.78",
                ".5 | LENGTH | 0.5",
                "12cm | LENGTH | 120",
                "2 m/min | RATE | 2000",
                "68F | TEMPERATURE | 20",
                "68 °F | TEMPERATURE | 20",
                "-3.5 | TEMPERATURE | -3.5",
                "294.55 K | TEMPERATURE | 21.4",
                "10.6 µm | WAVELENGTH | 10600",
                "28 mA | CURRENT | 28",
                "1.5 kW | POWER | 1500",
                "46 % | SHARE | 46"
            })
    void anAmountIsReadAsItIsTyped(String text, Quantity quantity, double base) throws UnreadableException {
        assertThat(Typed.read(text, quantity, UnitChoice.METRIC).base()).isCloseTo(base, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "  ",
                "1,200",
                "1.200,5",
                "1,2,3",
                "abc",
                "NaN",
                "Infinity",
                "3..2",
                "3 parsecs",
                "1/0in",
                "1 2",
                "0x10",
                "1e308",
                "٣"
            })
    void whatCouldBeReadInTwoWaysOrNoneIsRefusedWithASentence(String text) {
        assertThatThrownBy(() -> Typed.read(text, Quantity.LENGTH, UnitChoice.METRIC))
                .isInstanceOf(UnreadableException.class)
                .hasMessageMatching(".{8,}");
    }

    @ParameterizedTest
    @CsvSource({"0.12, LENGTH, 3.048", "70, TEMPERATURE, 21.111111", "46, SHARE, 46"})
    void aBareNumberIsInTheUnitThatIsShown(String text, Quantity quantity, double base) throws UnreadableException {
        assertThat(Typed.read(text, quantity, INCHES).base()).isCloseTo(base, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({"6.84, 2, 6.84 mm, 0.2693 in", "-0.004, 2, 0.00 mm, -0.0002 in", "12.345, 2, 12.35 mm, 0.4860 in"})
    void anAmountIsShownInEitherUnitAndNeverAsMinusNothing(double mm, int decimals, String metric, String inches) {
        assertThat(Amount.mm(mm, decimals).text(UnitChoice.METRIC)).isEqualTo(metric);
        assertThat(Amount.mm(mm, decimals).text(INCHES)).isEqualTo(inches);
    }

    @ParameterizedTest
    @CsvSource({"1200, 1200", "0.01, 0.01", "100000, 100000", "0.0000001, 0.0000001", "-3.50, -3.5", "0, 0"})
    void aSetValueIsWrittenWithoutTrailingZerosOrExponent(double value, String written) {
        assertThat(Amount.exact(value)).isEqualTo(written);
    }
}
