package zebrawood.core.work;

import java.time.Instant;
import java.util.List;

/**
 * What was known of a machine when work was done with it, so that "same settings, other day, other result" can be
 * answered later.
 *
 * @param known what stands on record
 * @param notOnRecord what does not, by name
 */
public record TakenAlong(List<Known> known, List<String> notOnRecord) {

    /**
     * @param what climate, settings, focus, cleaning, ...
     * @param figure as it was said
     * @param number of the entry it stands in
     * @param since when that was so
     */
    public record Known(String what, String figure, int number, Instant since) {}

    public TakenAlong {
        known = List.copyOf(known);
        notOnRecord = List.copyOf(notOnRecord);
    }
}
