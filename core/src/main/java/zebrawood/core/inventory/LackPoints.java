package zebrawood.core.inventory;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;

/**
 * What follows from an inventory for the open points of its machine: what is not right is opened, and what was opened
 * by an earlier inventory and is right now is closed.
 */
public final class LackPoints {

    private static final Set<String> HEADINGS = Set.of("Missing", "Damaged", "Not so");

    private LackPoints() {}

    /**
     * The entries that follow.
     *
     * @param body what was recorded
     * @param number of its entry
     * @param open the points that stand open on its machine
     */
    public static List<Body> following(Body body, int number, List<Entry> open) {
        if (!(body instanceof Body.Measured measured)
                || !(measured.finding() instanceof InventoryFinding finding)
                || !(measured.readings() instanceof InventoryReadings read)) {
            return List.of();
        }
        Set<String> right = read.parts().stream()
                .filter(part ->
                        part.state() == InventoryReadings.State.PRESENT || part.state() == InventoryReadings.State.NONE)
                .map(InventoryReadings.Part::name)
                .collect(Collectors.toSet());
        Set<String> lacking =
                finding.lacks().stream().map(InventoryFinding.Lack::name).collect(Collectors.toSet());
        List<Body> following = new ArrayList<>();
        Set<String> stand = new HashSet<>();
        for (Entry entry : open) {
            String what = ((Body.PointOpened) entry.body()).what();
            named(what, right)
                    .ifPresent(name -> following.add(
                            new Body.PointClosed(entry.number(), what, "right at the inventory, no. " + number)));
            named(what, lacking).ifPresent(stand::add);
        }
        finding.lacks().stream()
                .filter(lack -> !stand.contains(lack.name()))
                .forEach(lack -> following.add(new Body.PointOpened(lack.words(), "", Optional.empty())));
        return following;
    }

    /** The part that an open point is about, of these. */
    private static Optional<String> named(String point, Set<String> names) {
        int colon = point.indexOf(": ");
        if (colon < 0 || !HEADINGS.contains(point.substring(0, colon))) {
            return Optional.empty();
        }
        String rest = point.substring(colon + 2);
        // a name may itself end in brackets: the whole of it counts before one with a remark
        return names.contains(rest)
                ? Optional.of(rest)
                : names.stream().filter(name -> rest.startsWith(name + " (")).findFirst();
    }
}
