package zebrawood.core.procedure;

import java.util.List;
import java.util.Set;

/**
 * What is said of a procedure without running it.
 *
 * @param id never changes: {@code focus-ramp}
 * @param version goes up when the same readings may give another finding
 * @param title its name on the Route: {@code Ramp line}
 * @param onRoute where on the Route it stands, and what opens it
 * @param redoneAfter what makes its last finding stale
 * @param hazards what can hurt
 * @param minutes how long it takes
 * @param recheckDays days after which it is due again, where the plate does not say otherwise
 * @param help what F1 says
 */
public record Card(
        String id,
        int version,
        String title,
        OnRoute onRoute,
        Set<Change> redoneAfter,
        List<Hazard> hazards,
        int minutes,
        int recheckDays,
        Help help) {

    /**
     * Where on the Route a stop stands, and what opens it.
     *
     * @param phase which part of the work it belongs to
     * @param order within its phase, the smaller first; tens, so that another finds place between
     * @param fires whether the laser fires for it: then the first light gate must be open
     * @param requires ids of stops without which its reading would be wrong; those that a machine does not have are not
     *     asked for
     * @param weighs how much it counts for how the machine stands
     * @param holdsGate whether the gate stays shut while its newest reading that counts is a fail: what would hurt or
     *     burn then, or break the source
     */
    public record OnRoute(
            Phase phase, int order, boolean fires, Set<String> requires, Weighs weighs, boolean holdsGate) {

        /** How much a stop counts for how the machine stands. */
        public enum Weighs {
            /** it belongs to a commissioning */
            ALWAYS,
            /** another school, or for some machines: nobody waits for it, and what it finds counts */
            ONCE_MEASURED,
            /** it is worked out for a job, and tells nothing of the machine */
            NEVER
        }

        public OnRoute {
            requires = Set.copyOf(requires);
        }

        /** A stop for which nothing fires and that needs no other. */
        public static OnRoute in(Phase phase, int order) {
            return new OnRoute(phase, order, false, Set.of(), Weighs.ALWAYS, false);
        }

        /** A stop for which the laser fires. */
        public OnRoute firing() {
            return new OnRoute(phase, order, true, requires, weighs, holdsGate);
        }

        /** A stop whose reading is wrong before these others have passed. */
        public OnRoute after(String... ids) {
            return new OnRoute(phase, order, fires, Set.of(ids), weighs, holdsGate);
        }

        /** A stop that keeps the gate shut while it fails. */
        public OnRoute holdingTheGate() {
            return new OnRoute(phase, order, fires, requires, weighs, true);
        }

        /** A stop that nobody waits for; what it finds counts. */
        public OnRoute asWanted() {
            return new OnRoute(phase, order, fires, requires, Weighs.ONCE_MEASURED, holdsGate);
        }

        /** A stop that is worked out for a job, and tells nothing of the machine. */
        public OnRoute forAJob() {
            return new OnRoute(phase, order, fires, requires, Weighs.NEVER, holdsGate);
        }
    }

    public Card {
        redoneAfter = Set.copyOf(redoneAfter);
        hazards = List.copyOf(hazards);
    }

    /** Which part of the work it belongs to. */
    public Phase phase() {
        return onRoute.phase();
    }

    /** Whether a machine may go without it; never where its failing would hurt or burn. */
    public boolean canBeDeclined() {
        return !onRoute.holdsGate();
    }

    /** Whether a commissioning waits for it. */
    public boolean isAwaited() {
        return onRoute.weighs() == OnRoute.Weighs.ALWAYS;
    }

    /** Whether the laser fires for it. */
    public boolean fires() {
        return onRoute.fires();
    }

    /** What to mind, in sentences. */
    public String caution() {
        return String.join(" ", hazards.stream().map(Hazard::caution).toList());
    }
}
