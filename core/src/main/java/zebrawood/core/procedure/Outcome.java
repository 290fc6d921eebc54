package zebrawood.core.procedure;

import java.util.List;
import java.util.Objects;

/**
 * What a procedure makes of readings.
 *
 * @param finding all that its drawing and its entry will ever need
 * @param verdict what is made of it
 * @param instructions what to do, the first thing first; not empty unless it passed or is a note
 */
public record Outcome<F extends Record>(F finding, Verdict verdict, List<Instruction> instructions) {

    public Outcome {
        Objects.requireNonNull(finding, "finding");
        instructions = List.copyOf(instructions);
        if (instructions.isEmpty() && !verdict.satisfies()) {
            throw new IllegalArgumentException(verdict + " says what to do");
        }
    }
}
