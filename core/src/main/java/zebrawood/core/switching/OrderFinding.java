package zebrawood.core.switching;

import java.util.List;

/**
 * What an order says, and what it does not.
 *
 * @param stepsUp how many steps it has in the morning
 * @param stepsDown in the evening
 * @param stepsAfterCut after a power cut
 * @param gaps what is not written, in the order in which it is done
 */
public record OrderFinding(int stepsUp, int stepsDown, int stepsAfterCut, List<Gap> gaps) {

    /**
     * @param way on which
     * @param step its number, from 1; 0 where the way has no step
     * @param what the step is; empty where the way has none
     */
    public record Gap(Way way, int step, String what) {}

    public OrderFinding {
        gaps = List.copyOf(gaps);
    }
}
