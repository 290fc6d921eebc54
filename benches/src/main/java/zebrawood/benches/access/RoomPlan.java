package zebrawood.benches.access;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.core.access.AccessReadings;
import zebrawood.kit.figure.Path;

/**
 * The machine at its place, and the walls around it as far as they were measured: where they lie in a drawing, to
 * scale, px. The fields for what is free and what is needed stand outside the walls, a pair at each side.
 */
final class RoomPlan {

    /** The sides of a machine, seen from above with its front below, clockwise. */
    static final List<String> SIDES = List.of("rear", "right", "front", "left");

    static final double FIELD = 58;
    static final double FIELD_TALL = 32;
    private static final double ROOM = 0.40;
    static final double TOP = 17;
    /** drawn where a distance is not measured yet, and drawn broken */
    private static final double UNKNOWN_MM = 400;
    /** more room than hands need is not drawn to scale */
    private static final double FURTHEST_MM = 2500;

    private final double left;
    private final double width;
    private final double height;
    private final Place place;

    /**
     * The machine and what was measured around it, mm.
     *
     * @param wide the machine's plan
     * @param deep likewise
     * @param free between a side and its wall, where that is known
     * @param needed at a side, where that is known
     */
    record Place(double wide, double deep, Map<String, Double> free, Map<String, Double> needed) {

        static Place of(AccessReadings readings) {
            Map<String, Double> free = new HashMap<>();
            Map<String, Double> needed = new HashMap<>();
            for (AccessReadings.Wall wall : readings.walls()) {
                free.put(wall.side(), wall.availableMm());
                needed.put(wall.side(), wall.neededMm());
            }
            return new Place(readings.machine().widthMm(), readings.machine().depthMm(), free, needed);
        }
    }

    /** @param width of the whole drawing; the room takes its right part */
    RoomPlan(double width, double height, Place place) {
        this.left = width * (1 - ROOM);
        this.width = width * ROOM;
        this.height = height;
        this.place = place;
    }

    Place place() {
        return place;
    }

    /** How far a wall is drawn away, mm. */
    double away(String side) {
        return Math.min(FURTHEST_MM, place.free().getOrDefault(side, UNKNOWN_MM));
    }

    boolean isKnown(String side) {
        return place.free().containsKey(side);
    }

    /** The largest scale that leaves room for the fields, px/mm. */
    double scale() {
        double across = place.wide() + away("left") + away("right");
        double down = place.deep() + away("rear") + away("front");
        return Math.max(
                1e-6, Math.min((width - 2 * FIELD - 24) / across, (height - 2 * (FIELD_TALL + TOP) - 16) / down));
    }

    /** The room between its walls. */
    Path.Box room(double scale) {
        double across = (place.wide() + away("left") + away("right")) * scale;
        double down = (place.deep() + away("rear") + away("front")) * scale;
        return new Path.Box(left + (width - across) / 2, (height - down) / 2, across, down);
    }

    /** The machine in it. */
    Path.Box machine(double scale) {
        Path.Box room = room(scale);
        return new Path.Box(
                room.x() + away("left") * scale,
                room.y() + away("rear") * scale,
                place.wide() * scale,
                place.deep() * scale);
    }

    /** Where a field stands: the first of a side is what is free there, the second what is needed. */
    Path.Box field(String side, boolean needed) {
        double middle = left + width / 2;
        double down = height / 2;
        return switch (side) {
            case "rear" -> new Path.Box(middle + (needed ? 6 : -FIELD - 6), TOP, FIELD, FIELD_TALL);
            case "front" ->
                new Path.Box(middle + (needed ? 6 : -FIELD - 6), height - FIELD_TALL - 2, FIELD, FIELD_TALL);
            case "left" -> new Path.Box(left + 4, down + (needed ? TOP + 2 : -FIELD_TALL - 2), FIELD, FIELD_TALL);
            default ->
                new Path.Box(left + width - FIELD - 4, down + (needed ? TOP + 2 : -FIELD_TALL - 2), FIELD, FIELD_TALL);
        };
    }
}
