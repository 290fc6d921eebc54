package zebrawood.core.procedure;

import java.util.List;

/**
 * What F1 says at a stop.
 *
 * @param needed what to bring
 * @param how how to measure, a step each
 * @param why why it is done
 * @param cautions what to beware of, besides the hazards of the stop
 */
public record Help(List<String> needed, List<String> how, String why, List<String> cautions) {
    public Help {
        needed = List.copyOf(needed);
        how = List.copyOf(how);
        cautions = List.copyOf(cautions);
    }
}
