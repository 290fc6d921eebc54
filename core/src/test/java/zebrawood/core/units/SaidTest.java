package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.procedure.Instruction;

class SaidTest {

    private static final UnitChoice INCHES = new UnitChoice(true, true);

    @Test
    void aSentenceIsSaidInEitherUnit() {
        Said said =
                Said.of("Between {0#} and {1}, at {2}.", Amount.mm(5.5, 1), Amount.mm(8.1, 1), Amount.celsius(20, 1));

        assertThat(said.in(UnitChoice.METRIC)).isEqualTo("Between 5.5 and 8.1 mm, at 20.0 °C.");
        assertThat(said.in(INCHES)).isEqualTo("Between 0.217 and 0.319 in, at 68.0 °F.");
    }

    @Test
    void anInstructionIsOneLineOfActionHandAndExpectation() {
        Instruction whole = Instruction.of("gap", Said.of("Set the gap to {0}.", Amount.mm(6.8, 1)))
                .byHand(Said.of("Lower the bed."))
                .expecting(Said.of("The block slides."));

        assertThat(whole.sentence(UnitChoice.METRIC))
                .isEqualTo("Set the gap to 6.8 mm. Lower the bed. The block slides.");
        assertThat(whole.expected()).isEqualTo(Optional.of(Said.of("The block slides.")));
    }

    @Test
    void whatCannotBeSaidIsRefused() {
        assertThatThrownBy(() -> Said.of(" ")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Amount.mm(Double.NaN, 1)).isInstanceOf(NotFiniteException.class);
    }

    /** Showing and typing back loses nothing: what is shown of an amount is read as that amount in the same units. */
    @ParameterizedTest
    @EnumSource(Quantity.class)
    void whatIsShownCanBeTypedBack(Quantity quantity) throws UnreadableException {
        for (UnitChoice units : new UnitChoice[] {UnitChoice.METRIC, INCHES}) {
            for (double base : new double[] {0, 0.5, 12.25, 180, 1064}) {
                String shown = new Amount(quantity, base, 9).text(units);
                assertThat(Typed.read(shown, quantity, units).base()).as(shown).isEqualTo(base, within(1e-6));
            }
        }
    }
}
