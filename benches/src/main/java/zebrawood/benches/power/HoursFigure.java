package zebrawood.benches.power;

import java.util.Optional;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The hours of a source as a counter of drums, and beside it what was added. */
public final class HoursFigure implements Exhibit<BeamHoursReadings, BeamHoursFinding> {

    private static final int DRUMS = 5;
    private static final double WIDE = 46;
    private static final double HIGH = 66;

    @Override
    public String title() {
        return "Beam hours";
    }

    @Override
    public Figure figure(BeamHoursReadings readings, BeamHoursFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(BeamHoursFinding finding) {
        return Optional.of(new Course(finding.hours(), 0, 0));
    }

    static String hours(double hours, UnitChoice units) {
        return new Amount(Quantity.HOURS, hours, hours < 10 ? 1 : 0).text(units);
    }

    static Figure of(Optional<BeamHoursFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            long shown = Math.round(finding.map(BeamHoursFinding::hours).orElse(0.0));
            double left = width / 2 - DRUMS * WIDE / 2 - 16;
            double top = height / 2 - HIGH / 2 - 8;
            long rest = shown;
            for (int i = DRUMS - 1; i >= 0; i--) {
                double x = left + i * WIDE;
                pen.rectangle(x + 2, top, WIDE - 4, HIGH, Tone.RAISED, Stroke.of(Tone.INK, 1.6));
                pen.text(
                        x + WIDE / 2,
                        top + HIGH / 2 + 10,
                        finding.isPresent() ? String.valueOf(rest % 10) : "-",
                        Lettering.TITLE,
                        finding.isPresent() ? Tone.INK : Tone.QUIET,
                        Anchor.MIDDLE);
                rest /= 10;
            }
            pen.stroke(Path.rectangle(left - 6, top - 8, DRUMS * WIDE + 12, HIGH + 16), Stroke.of(Tone.WALNUT, 3));
            pen.text(left + DRUMS * WIDE + 18, top + HIGH / 2 + 10, "h", Lettering.HEAD, Tone.INK);
            String under = finding.map(found -> hours(found.addedH(), units) + " since last time"
                            + (found.perDayH().isPresent()
                                    ? ", "
                                            + new Amount(
                                                            Quantity.HOURS,
                                                            found.perDayH().getAsDouble(),
                                                            1)
                                                    .text(units)
                                            + " a day"
                                    : ""))
                    .orElse("not read yet");
            pen.text(width / 2, top + HIGH + 38, under, Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
        };
    }
}
