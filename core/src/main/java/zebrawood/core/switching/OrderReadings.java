package zebrawood.core.switching;

import java.util.List;
import java.util.Optional;
import zebrawood.core.reading.Checks;

/**
 * The order of switching of one machine.
 *
 * @param up in the morning, at least one step
 * @param down in the evening
 * @param afterCut after a power cut, before it is on again
 */
public record OrderReadings(List<Step> up, List<Step> down, List<Step> afterCut) {

    /**
     * One step.
     *
     * @param what is done
     * @param waitFor how long, or for what; absent where nothing is waited for
     * @param seen what is seen when it is right
     * @param otherwise what goes wrong in another order
     */
    public record Step(String what, Optional<String> waitFor, Optional<String> seen, Optional<String> otherwise) {
        public Step {
            new Checks().text("what", what).done();
        }
    }

    public OrderReadings {
        up = Checks.copy(up);
        down = Checks.copy(down);
        afterCut = Checks.copy(afterCut);
        new Checks().entries("up", up, 1).done();
    }

    /** The steps of one way. */
    public List<Step> of(Way way) {
        return switch (way) {
            case UP -> up;
            case DOWN -> down;
            case AFTER_CUT -> afterCut;
        };
    }
}
