package zebrawood.core.procedure;

import java.util.Optional;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;

/**
 * One thing to do. The same object feeds the Slip, the certificate and the command line.
 *
 * @param target what is acted on: {@code gap}, {@code air}, {@code job software}
 * @param action what to do with it, how much and in which direction
 * @param byHand how the hand makes that amount
 * @param expected what is to be seen afterwards
 */
public record Instruction(String target, Said action, Optional<Said> byHand, Optional<Said> expected) {

    /**
     * What to do first with this part of the machine.
     *
     * @param target the part it is done to, one word, by which the drawing shows it
     * @param action the sentence, an imperative that ends with a full stop
     */
    public static Instruction of(String target, Said action) {
        return new Instruction(target, action, Optional.empty(), Optional.empty());
    }

    /** The same, with how the hand does it. */
    public Instruction byHand(Said how) {
        return new Instruction(target, action, Optional.of(how), expected);
    }

    /** The same, with what is to be seen once it is done. */
    public Instruction expecting(Said what) {
        return new Instruction(target, action, byHand, Optional.of(what));
    }

    /** All of it as one line in the chosen units. */
    public String sentence(UnitChoice choice) {
        StringBuilder line = new StringBuilder(action.in(choice));
        byHand.ifPresent(said -> line.append(' ').append(said.in(choice)));
        expected.ifPresent(said -> line.append(' ').append(said.in(choice)));
        return line.toString();
    }
}
