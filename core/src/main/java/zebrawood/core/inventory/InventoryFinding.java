package zebrawood.core.inventory;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an inventory came to.
 *
 * @param asked lines that this machine has
 * @param right of these, those that are there and whole, or so
 * @param lacks the others, what hurts first
 * @param radiusLeftMm how much wider the tightest bend of the fibre is than its maker allows, mm; negative where it is
 *     too tight
 */
public record InventoryFinding(int asked, int right, List<Lack> lacks, OptionalDouble radiusLeftMm) {

    /**
     * A line that is not right.
     *
     * @param remark what was written beside it
     */
    public record Lack(
            String name, InventoryReadings.Sort sort, InventoryReadings.State state, Optional<String> remark) {

        /** As an open point: {@code Missing: nozzle wrench}. */
        public String words() {
            return heading() + ": " + name
                    + remark.map(text -> " (" + text + ")").orElse("");
        }

        String heading() {
            return state == InventoryReadings.State.DAMAGED
                    ? "Damaged"
                    : sort == InventoryReadings.Sort.CHECK ? "Not so" : "Missing";
        }

        /** Whether it is bought. */
        public boolean isOrdered() {
            return sort == InventoryReadings.Sort.PART;
        }
    }

    public InventoryFinding {
        lacks = List.copyOf(lacks);
    }
}
