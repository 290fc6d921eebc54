package zebrawood.benches.mirrors;

import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;

/** What goes on with the mirrors, as one sentence over the drawing. */
final class MirrorsHead {

    private MirrorsHead() {}

    static String words(PlanFinding found, UnitChoice units) {
        if (found.fault().isPresent()) {
            return fault(found.fault().get());
        }
        String apart = found.worstSpreadMm().isPresent()
                ? "The worst corners are "
                        + Amount.mm(found.worstSpreadMm().getAsDouble(), 1).text(units) + " apart"
                : "The corners are not known yet";
        return switch (found.next().act()) {
            case SHOOT -> "Shot " + (found.shots() + 1) + ". " + apart;
            case TURN -> apart + ": turn, then shoot";
            case DONE -> "True at every corner. " + apart;
            case MOVE -> "A mirror stands beside its place";
            case LOOK -> "Not sure after " + found.shots() + " shots";
        };
    }

    private static String fault(PlanFinding.Fault fault) {
        return switch (fault.kind()) {
            case RAILS -> "No screw mends this: the rails are not straight";
            case LOOSE_MIRROR -> "No screw mends this: a mirror is loose";
            case MIRROR_PLACE -> "No screw mends this: a mirror stands beside its place";
            case CLIPPING -> "No screw mends this: something cuts the beam off";
        };
    }
}
