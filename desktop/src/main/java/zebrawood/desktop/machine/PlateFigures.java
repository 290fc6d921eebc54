package zebrawood.desktop.machine;

import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The parts of a machine as the plate draws them: to scale where its measures are known, dashed where they are not. */
final class PlateFigures {

    private static final Stroke EDGE = Stroke.of(Tone.INK, 1.5);
    private static final Stroke THIN = Stroke.of(Tone.INK, 1.1);

    private PlateFigures() {}

    private static Stroke dimension(boolean known) {
        return known ? Stroke.of(Tone.READING, 1.3) : Stroke.dashed(Tone.READING, 1.3, 4);
    }

    /** A dimension line upwards, with its ends. */
    private static void upright(Pen pen, double x, double top, double bottom, Stroke line) {
        pen.line(x, top, x, bottom, line);
        pen.line(x - 5, top, x + 5, top, line);
        pen.line(x - 5, bottom, x + 5, bottom, line);
    }

    private static void across(Pen pen, double left, double right, double y, Stroke line) {
        pen.line(left, y, right, y, line);
        pen.line(left, y - 5, left, y + 5, line);
        pen.line(right, y - 5, right, y + 5, line);
    }

    static Figure front(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            double floor = 226;
            double wide = MachineFigure.widthMm(plate);
            double high = MachineFigure.heightMm(plate);
            double scale = Math.min(190 / high, 262 / wide);
            double middle = 238;
            pen.line(100, floor, width, floor, EDGE);
            MachineFigure.of(plate, scale).draw(pen, 2 * middle, floor);
            Stroke line = dimension(plate.size().isPresent());
            upright(pen, 96, floor - high * scale, floor, line);
            across(pen, middle - wide * scale / 2, middle + wide * scale / 2, floor + 12, line);
            String scaled = plate.size().isPresent() ? "to scale" : "as is usual for the family";
            pen.text(width, 15, scaled, Lettering.SMALL, Tone.QUIET, Anchor.END);
        };
    }

    static Figure above(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            double wide = MachineFigure.widthMm(plate);
            double deep = plate.size().map(Plate.Size::depthMm).orElse(wide * 0.7);
            double scale = Math.min(188 / wide, 186 / deep);
            double left = 106;
            double top = 226 - deep * scale;
            Stroke edge = plate.size().isPresent() ? EDGE : Stroke.dashed(Tone.QUIET, 1.4, 6);
            pen.rectangle(left, top, wide * scale, deep * scale, Tone.RAISED, edge);
            upright(pen, 96, top, 226, dimension(plate.size().isPresent()));
            double bedWide = plate.bed().map(Plate.Bed::xMm).orElse(wide * 0.6);
            double bedDeep = plate.bed().map(Plate.Bed::yMm).orElse(deep * 0.55);
            double x = left + (wide - bedWide) * scale / 2;
            double y = 226 - Math.max(6, (deep - bedDeep) * scale * 0.3) - bedDeep * scale;
            Stroke bed = plate.bed().isPresent() ? THIN : Stroke.dashed(Tone.QUIET, 1.2, 5);
            pen.rectangle(x, y, bedWide * scale, bedDeep * scale, Tone.BAND, bed);
            if (bedWide * scale > 60) {
                pen.text(x + 6, y + 16, plate.family().isGalvo() ? "field" : "bed", Lettering.SMALL, Tone.INK);
            }
            source(pen, plate, left, top, wide * scale);
            across(pen, x, x + bedWide * scale, 238, dimension(plate.bed().isPresent()));
            pen.text(left, top - 8, "front below", Lettering.CAPTION, Tone.QUIET);
        };
    }

    /** The source at the back, and the beam to the head, where it is inside the outline. */
    private static void source(Pen pen, Plate plate, double left, double top, double wide) {
        double from = left + wide * 0.2;
        double thick = plate.family() == Family.GANTRY_CO2 ? 14 : 18;
        double long_ = plate.family() == Family.GANTRY_CO2 ? wide * 0.66 : wide * 0.2;
        pen.rectangle(from, top + 6, long_, thick, Tone.BAND, THIN);
        pen.line(from + long_, top + 6 + thick / 2, 302, top + 6 + thick / 2, Stroke.of(Tone.HAIRLINE, 1));
        if (plate.family() == Family.GANTRY_CO2) {
            Path beam = new Path()
                    .move(from, top + 13)
                    .line(left + 10, top + 13)
                    .line(left + 10, top + 80)
                    .line(left + wide * 0.55, top + 80);
            pen.stroke(beam, Stroke.of(Tone.BEAM, 1.4));
            pen.rectangle(left + wide * 0.55, top + 74, 12, 12, Tone.RAISED, THIN);
        }
    }

    static Figure head(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            double tip = 88;
            double work = 128;
            Path head = new Path()
                    .move(30, 30)
                    .line(92, 30)
                    .line(74, tip)
                    .line(48, tip)
                    .close();
            pen.fill(head, Tone.BAND);
            pen.stroke(head, THIN);
            pen.stroke(new Path().move(54, tip).line(60, work).move(68, tip).line(62, work), Stroke.of(Tone.BEAM, 1.3));
            pen.line(8, work, 126, work, Stroke.of(Tone.INK, 2.5));
            boolean known = plate.optics()
                    .flatMap(o -> o.makersGapMm().stream().boxed().findFirst())
                    .isPresent();
            upright(pen, 112, tip, work, dimension(known));
            String datum = plate.optics()
                    .flatMap(Plate.Optics::focusDatum)
                    .map(d -> "from " + d)
                    .orElse("");
            double at = 50;
            for (String line : pen.wrapped(datum, width - 138, Lettering.CAPTION)) {
                pen.text(134, at, line, Lettering.CAPTION, Tone.QUIET);
                at += 13;
            }
        };
    }

    static Figure room(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            boolean known = plate.climate().isPresent();
            pen.rectangle(0, 26, width, 80, Tone.RAISED, Stroke.of(Tone.HAIRLINE, 1));
            Path inside = Path.rectangle(width * 0.25, 40, width * 0.4, 46);
            if (known) {
                pen.band(width * 0.25, 40, width * 0.4, 46);
            }
            pen.stroke(inside, known ? Stroke.of(Tone.WALNUT, 1.4) : Stroke.dashed(Tone.QUIET, 1.2, 5));
            pen.text(
                    width / 2,
                    101,
                    known ? limits(plate, units) : "temperature, humidity the maker allows",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static String limits(Plate plate, UnitChoice units) {
        return plate.climate()
                .map(c -> Amount.celsius(c.minTemperatureC(), 0).number(units) + " to "
                        + Amount.celsius(c.maxTemperatureC(), 0).text(units) + ", "
                        + Amount.exact(c.leastHumidityPct()) + " to " + Amount.exact(c.maxHumidityPct()) + " %")
                .orElse("");
    }

    static Figure services(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            Plate.Presence water = plate.presence(Plate.Part.WATER);
            pen.rectangle(
                    0,
                    30,
                    84,
                    78,
                    Tone.RAISED,
                    water == Plate.Presence.UNKNOWN ? Stroke.dashed(Tone.QUIET, 1.2, 5) : THIN);
            if (water == Plate.Presence.FITTED) {
                pen.band(1, 66, 82, 41);
                pen.stroke(new Path().move(1, 66).curve(20, 58, 30, 74, 42, 66).curve(56, 58, 66, 74, 83, 66), THIN);
            }
            String words = switch (water) {
                case FITTED -> "water";
                case NONE -> "air";
                case UNKNOWN -> "?";
            };
            pen.text(42, 54, words, Lettering.TEXT, Tone.INK, Anchor.MIDDLE);
        };
    }

    static Figure controller(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            pen.rectangle(
                    0, 30, 96, 78, Tone.RAISED, plate.control().isPresent() ? THIN : Stroke.dashed(Tone.QUIET, 1.2, 5));
            plate.control()
                    .flatMap(Plate.Control::need)
                    .ifPresentOrElse(
                            need -> {
                                double scale = Math.min(
                                        72 / need.travelMm().x(),
                                        56 / need.travelMm().y());
                                double wide = need.travelMm().x() * scale;
                                double deep = need.travelMm().y() * scale;
                                double left = 48 - wide / 2;
                                double top = 69 - deep / 2;
                                pen.rectangle(left, top, wide, deep, Tone.BAND, Stroke.of(Tone.HAIRLINE, 1));
                                need.homeCorner().ifPresent(corner -> home(pen, corner, left, top, wide, deep));
                            },
                            () -> {
                                pen.line(18, 58, 78, 58, Stroke.of(Tone.HAIRLINE, 3));
                                pen.line(18, 76, 58, 76, Stroke.of(Tone.HAIRLINE, 3));
                            });
        };
    }

    private static void home(
            Pen pen, ControllerNeed.HomeCorner corner, double left, double top, double wide, double deep) {
        pen.circle(corner.left() ? left : left + wide, corner.front() ? top + deep : top, 4, Tone.WALNUT);
    }

    static Figure rhythm(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            pen.line(4, 42, width - 4, 42, Stroke.of(Tone.HAIRLINE, 2));
            for (int i = 0; i < 5; i++) {
                double x = 10 + i * (width - 20) / 4;
                pen.circle(x, 42, 5, i == 0 ? Tone.WALNUT : Tone.HAIRLINE);
            }
            pen.text(10, 58, "last", Lettering.CAPTION, Tone.QUIET, Anchor.START);
            pen.text(width - 10, 58, "again", Lettering.CAPTION, Tone.QUIET, Anchor.END);
        };
    }
}
