package zebrawood.core.inventory;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.reading.Checks;

/**
 * What was unpacked and looked over.
 *
 * @param parts every line of the list, at least one, each name once
 * @param tray which screw came from where, by the number of its place
 * @param fibre how the delivery fibre lies, where there is one
 */
public record InventoryReadings(List<Part> parts, List<Place> tray, Optional<Fibre> fibre) {

    /** Places that a tray has. */
    public static final int PLACES = 12;

    /** What sort of line. */
    public enum Sort {
        /** a thing that was to come along; it can be ordered */
        PART,
        /** something to be so */
        CHECK
    }

    /** How it was found. */
    public enum State {
        /** there and whole, or so as it should be */
        PRESENT,
        /** not there, or not so */
        MISSING,
        /** there, and damaged */
        DAMAGED,
        /** this machine has no such thing */
        NONE
    }

    /**
     * A line of the list.
     *
     * @param group under which heading it stands
     * @param name what it is
     * @param state how it was found
     * @param remark what is wrong, an order number, how many; may be absent
     */
    public record Part(String group, String name, Sort sort, State state, Optional<String> remark) {
        public Part {
            new Checks()
                    .text("group", group)
                    .text("name", name)
                    .present("sort", sort)
                    .present("state", state)
                    .done();
        }
    }

    /**
     * A place of the tray.
     *
     * @param number 1 to {@value #PLACES}
     * @param from where its screws came from
     */
    public record Place(int number, String from) {
        public Place {
            new Checks().within("number", number, 1, PLACES).text("from", from).done();
        }
    }

    /**
     * @param leastRadiusMm the tightest bend that its maker allows, mm; absent where nobody knows
     * @param tightestRadiusMm the tightest bend as it lies, mm
     */
    public record Fibre(OptionalDouble leastRadiusMm, double tightestRadiusMm) {
        public Fibre {
            new Checks()
                    .above("leastRadiusMm", leastRadiusMm, 0)
                    .above("tightestRadiusMm", tightestRadiusMm, 0)
                    .done();
        }
    }

    public InventoryReadings {
        parts = Checks.copy(parts);
        tray = Checks.copy(tray);
        Checks checks = new Checks().entries("parts", parts, 1);
        Set<String> names = new HashSet<>();
        for (int i = 0; i < parts.size(); i++) {
            String name = parts.get(i).name();
            checks.tie(() -> names.add(name), "parts[" + i + "].name", "stands there twice");
        }
        Set<Integer> places = new HashSet<>();
        for (int i = 0; i < tray.size(); i++) {
            int number = tray.get(i).number();
            checks.tie(() -> places.add(number), "tray[" + i + "].number", "stands there twice");
        }
        checks.done();
    }
}
