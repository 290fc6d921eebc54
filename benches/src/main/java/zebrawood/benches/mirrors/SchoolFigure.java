package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.core.mirrors.MirrorNearFar;
import zebrawood.core.mirrors.NearFarFinding;
import zebrawood.core.mirrors.NearFarReadings;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * What the other schools do, drawn: near and far by hand from marks that are there, and centring with what it cannot
 * see.
 */
final class SchoolFigure {

    private SchoolFigure() {}

    /** Near and far on the newest run of which both are there with no screw turned between them. */
    static Figure byHand(PlanReadings readings, UnitChoice units) {
        Optional<NearFarReadings> pair = MirrorNearFar.newest(readings);
        List<String> lines = new ArrayList<>();
        if (pair.isEmpty()) {
            lines.add("Shoot near and far on one run, and turn no screw between them. Then this is worked out here.");
        } else {
            NearFarReadings both = pair.get();
            Outcome<NearFarFinding> outcome = new MirrorNearFar().evaluate(both);
            NearFarFinding found = outcome.finding();
            double run = both.farDistanceMm() - both.nearDistanceMm();
            lines.add(both.mirror() + ": far minus near is " + mm(found.separationMm(), 1, units) + " over a run of "
                    + mm(run, 0, units) + ".");
            lines.add("That is a lean of " + mrad(Math.abs(found.beamAngleXMrad())) + " to the side and "
                    + mrad(Math.abs(found.beamAngleYMrad())) + " up or down.");
            lines.add("With screws of " + mm(0.5, 1, units) + " pitch on arms of " + mm(40, 0, units)
                    + ", about " + turns(found.turnsX()) + " turn for the side and " + turns(found.turnsY())
                    + " turn for up and down. Which screw and which way, a trial turn shows.");
            lines.add("What is left at the near place no screw mends: "
                    + mm(Math.hypot(found.offsetXMm(), found.offsetYMm()), 1, units) + " at the mirror.");
        }
        return (pen, width, height) -> {
            double y = 16;
            for (String line : lines) {
                for (String part : pen.wrapped(line, width - 8, Lettering.SMALL)) {
                    pen.text(0, y, part, Lettering.SMALL, Tone.INK, Anchor.START);
                    y += 18;
                }
                y += 6;
            }
        };
    }

    private static String mm(double mm, int decimals, UnitChoice units) {
        return Amount.mm(mm, decimals).text(units);
    }

    private static String mrad(double mrad) {
        return Amount.plain(mrad, 1).number(UnitChoice.METRIC) + " mrad";
    }

    private static String turns(double turns) {
        return Amount.plain(Math.abs(turns), 2).number(UnitChoice.METRIC);
    }

    /** A beam that is centred on the next mirror, and leans: what centring cannot see. */
    static void centring(Pen pen, double width, double height) {
        double top = 60;
        double left = 30;
        double right = Math.min(width - 40, 280);
        double middle = left + (right - left) * 0.5;
        pen.line(left, top, right, top, Stroke.dashed(Tone.QUIET, 1.2, 3));
        pen.line(left, top + 26, right, top - 26, Stroke.of(Tone.BEAM, 2.2));
        pen.rectangle(middle - 4, top - 18, 8, 36, Tone.RAISED, Stroke.of(Tone.INK, 1.6));
        pen.rectangle(right - 4, top - 34, 8, 50, Tone.RAISED, Stroke.of(Tone.FAIL, 2.2));
        pen.text(middle, top - 28, "centred here", Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
        pen.text(right, top + 34, "missed here", Lettering.SMALL, Tone.FAIL, Anchor.END);
        double y = top + 62;
        for (String line : pen.wrapped(
                "Centring on each next mirror needs one card a mirror and no sums. It cannot see a beam that is centred "
                        + "there and leans: farther on it misses. Use it to bring a beam to the next mirror at all; then "
                        + "follow the plan.",
                width - 8,
                Lettering.SMALL)) {
            if (y < height) {
                pen.text(0, y, line, Lettering.SMALL, Tone.INK, Anchor.START);
            }
            y += 18;
        }
    }
}
