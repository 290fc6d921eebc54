package zebrawood.benches.coolant;

import java.util.Optional;
import zebrawood.core.coolant.MixFinding;
import zebrawood.core.coolant.MixReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The reservoir three times: filled for the first time, after the pump has filled the hoses, and topped up. */
public final class MixFigure implements Exhibit<MixReadings, MixFinding> {

    @Override
    public String title() {
        return "Water filling";
    }

    @Override
    public Figure figure(MixReadings readings, MixFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    private static Amount ml(double ml) {
        return new Amount(Quantity.MEASURE, ml, 0);
    }

    @Override
    public Optional<Course> course(MixFinding finding) {
        return Optional.empty();
    }

    static Figure of(Optional<MixFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            boolean two = finding.map(f -> f.firstFillMl().isPresent()).orElse(true);
            double each = width / (two ? 3 : 2);
            double first = finding.map(f -> f.firstFillMl().orElse(f.circuitVolumeMl()))
                    .orElse(1.0);
            double topUp = finding.map(f -> f.topUpMl().orElse(0)).orElse(0.0);
            // the hoses take what is topped up; the reservoir is drawn to hold the first fill
            double fell = finding.isPresent() ? Math.max(0, first - topUp) / first : 0.6;
            Vessel vessel = new Vessel(pen, finding, units, each, height);
            vessel.draw(
                    0,
                    "1  fill",
                    finding.isEmpty() ? 0 : 1,
                    finding.isPresent() && two ? ml(first).text(units) : "to the mark",
                    false);
            if (two) {
                vessel.draw(
                        each,
                        "2  run the pump, level falls",
                        finding.isEmpty() ? 0 : fell,
                        finding.isPresent() ? "bubbles out, mains off" : "",
                        true);
            }
            vessel.draw(
                    two ? 2 * each : each,
                    two ? "3  top up" : "2  pump has run: to the mark again",
                    finding.isEmpty() ? 0 : 1,
                    finding.isPresent() && two ? ml(topUp).text(units) : "",
                    true);
        };
    }

    private record Vessel(Pen pen, Optional<MixFinding> finding, UnitChoice units, double each, double height) {

        /** @param level of the water, 0 to 1 of the mark */
        void draw(double left, String step, double level, String words, boolean hoses) {
            double wide = Math.min(150, each * 0.6);
            double x = left + (each - wide) / 2;
            double top = 58;
            double bottom = height - 44;
            double mark = top + (bottom - top) * 0.14;
            double surface = bottom - (bottom - mark) * level;
            if (level > 0) {
                pen.band(x, surface, wide, bottom - surface);
                double share = finding.map(f -> f.glycolPct().orElse(0)).orElse(0) / 100.0;
                if (share > 0) {
                    double glycol = (bottom - surface) * share;
                    for (double y = bottom - 5; y > bottom - glycol; y -= 7) {
                        pen.line(x + 3, y, x + wide - 3, y, Stroke.of(Tone.WOOD, 2.4));
                    }
                }
                pen.line(x, surface, x + wide, surface, Stroke.of(Tone.READING, 2.4));
            }
            pen.stroke(
                    new Path()
                            .move(x, top)
                            .line(x, bottom)
                            .line(x + wide, bottom)
                            .line(x + wide, top),
                    Stroke.of(Tone.INK, 2));
            pen.line(x - 10, mark, x + 10, mark, Stroke.of(Tone.WALNUT, 2.4));
            boolean room = x - left - 16 > pen.textWidth("mark", Lettering.CAPTION);
            pen.text(
                    room ? x - 14 : x + 14,
                    room ? mark + 4 : mark - 5,
                    "mark",
                    Lettering.CAPTION,
                    Tone.WALNUT,
                    room ? Anchor.END : Anchor.START);
            Tone hose = hoses && level > 0 ? Tone.READING : Tone.HAIRLINE;
            pen.stroke(
                    new Path()
                            .move(x + wide, bottom - 16)
                            .line(x + wide + 24, bottom - 16)
                            .line(x + wide + 24, top - 8)
                            .line(x + wide - 20, top - 8)
                            .line(x + wide - 20, top + 14),
                    Stroke.of(hose, 5));
            double head = 18;
            for (String line : pen.wrapped(step, each - 8, Lettering.TEXT_BOLD)) {
                pen.text(left + each / 2, head, line, Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
                head += 16;
            }
            pen.text(left + each / 2, bottom + 28, words, Lettering.HEAD, Tone.READING, Anchor.MIDDLE);
            if (level == 1 && !hoses) {
                finding.filter(f -> f.glycolPct().orElse(0) > 0)
                        .ifPresent(f -> pen.text(
                                x + wide / 2,
                                (bottom + mark) / 2,
                                Amount.percent(f.glycolPct().getAsInt(), 0).text(units) + " glycol",
                                Lettering.TEXT_BOLD,
                                Tone.INK,
                                Anchor.MIDDLE));
            }
        }
    }
}
