package zebrawood.core.visit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.core.procedure.Card;

/**
 * How long stops take in this shop: the median of what passed between an entry and the one before it on the same
 * machine, where that was seen often enough; else what the stop's card says.
 */
public final class Pace {

    /** fewer say nothing */
    private static final int ENOUGH = 3;

    private final Map<String, Integer> seen = new HashMap<>();

    /** @param minutes what passed before entries, by stop; what is longer than a visit's pause is left out already */
    public Pace(Map<String, List<Double>> minutes) {
        minutes.forEach((stop, all) -> {
            if (all.size() >= ENOUGH) {
                List<Double> sorted = all.stream().sorted().toList();
                int middle = sorted.size() / 2;
                double median =
                        sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
                seen.put(stop, (int) Math.max(1, Math.ceil(median)));
            }
        });
    }

    /** Minutes of hands for a stop. */
    public int minutes(Card card) {
        return seen.getOrDefault(card.id(), card.minutes());
    }

    /** How many stops this shop's own entries say something about. */
    public int learned() {
        return seen.size();
    }
}
