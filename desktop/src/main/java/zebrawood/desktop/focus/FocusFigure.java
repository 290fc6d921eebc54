package zebrawood.desktop.focus;

import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import zebrawood.core.focus.FocusTable;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Every school a row on one axis of gap: its figure with its error bar, the maker's, and all of them together. */
final class FocusFigure {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final double TOP = 34;
    private static final double FOOT = 50;
    private static final double RIGHT = 24;
    /** px of a row at the most */
    private static final double ROW = 104;

    private FocusFigure() {}

    static Figure of(
            FocusTable table,
            OptionalDouble makersMm,
            String datum,
            Function<Instant, LocalDate> day,
            UnitChoice units) {
        return (pen, width, height) -> {
            if (table.schools().isEmpty() && makersMm.isEmpty()) {
                pen.text(width / 2, height / 2, "nothing measured yet", Lettering.LEAD, Tone.QUIET, Anchor.MIDDLE);
                return;
            }
            double left = Math.min(0.34 * width, 190);
            DoubleStream ends = table.schools().stream()
                    .flatMapToDouble(school -> DoubleStream.of(
                            school.bestGapMm() - school.halfWidthMm().orElse(0),
                            school.bestGapMm() + school.halfWidthMm().orElse(0)));
            double[] values = DoubleStream.concat(ends, makersMm.stream()).toArray();
            double least = DoubleStream.of(values).min().orElseThrow();
            double most = DoubleStream.of(values).max().orElseThrow();
            double pad = Math.max(0.12 * (most - least), 0.1);
            Axis x = new Axis(least - pad, most + pad, left, width - RIGHT);
            int rows = table.schools().size() + (makersMm.isPresent() ? 1 : 0);
            double each = Math.min(ROW, (height - TOP - FOOT) / rows);
            double bottom = TOP + each * rows;
            table.together().ifPresent(all -> {
                pen.band(x.at(all.bestGapMm() - all.halfWidthMm()), TOP, x.length(2 * all.halfWidthMm()), bottom - TOP);
                pen.line(x.at(all.bestGapMm()), TOP, x.at(all.bestGapMm()), bottom, Stroke.of(Tone.WALNUT, 2));
                pen.patched(
                        x.at(all.bestGapMm()),
                        TOP - 10,
                        "together " + Amount.mm(all.bestGapMm(), 2).text(units),
                        Lettering.TEXT_BOLD,
                        Tone.WALNUT,
                        Anchor.MIDDLE);
            });
            List<FocusTable.School> schools = table.schools();
            for (int i = 0; i < schools.size(); i++) {
                row(pen, schools.get(i), x, TOP + each * (i + 0.5), left, day);
            }
            makersMm.ifPresent(mm -> {
                double y = TOP + each * (rows - 0.5);
                pen.text(left - 14, y + 5, "maker's figure", Lettering.TEXT, Tone.QUIET, Anchor.END);
                pen.stroke(Path.circle(x.at(mm), y, 6), Stroke.of(Tone.QUIET, 2));
            });
            x.shown(Quantity.LENGTH, units)
                    .under(pen, bottom + 2, 7, "gap from " + datum + ", " + Quantity.LENGTH.unit(units));
        };
    }

    private static void row(
            Pen pen, FocusTable.School school, Axis x, double y, double left, Function<Instant, LocalDate> day) {
        pen.text(left - 14, y - 1, school.name(), Lettering.TEXT_BOLD, Tone.INK, Anchor.END);
        pen.text(left - 14, y + 16, DAY.format(day.apply(school.at())), Lettering.CAPTION, Tone.QUIET, Anchor.END);
        double at = x.at(school.bestGapMm());
        Tone tone = school.stands() ? Tone.READING : Tone.QUIET;
        if (school.isProved()) {
            double half = x.length(school.halfWidthMm().getAsDouble());
            Stroke bar = Stroke.of(tone, 2.4);
            pen.line(at - half, y, at + half, y, bar);
            pen.line(at - half, y - 7, at - half, y + 7, bar);
            pen.line(at + half, y - 7, at + half, y + 7, bar);
            pen.circle(at, y, 6, tone);
        } else {
            pen.stroke(Path.circle(at, y, 6), Stroke.of(tone, 2.4));
        }
    }
}
