package zebrawood.benches.eyewear;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.EyewearReadings;
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

/** The room from above, to scale, with how far the beam reaches; beside it the marking to look for. */
public final class EyewearFigure implements Exhibit<EyewearReadings, EyewearFinding> {

    /** px for the marking and the distances, beside the room */
    private static final double BESIDE = 262;

    private static final double MARGIN = 14;
    /** corners with which a circle is drawn that may end at a wall */
    private static final int STEPS = 180;
    /** px under the room for its scale */
    private static final double SCALE = 26;

    private static final Stroke WALL = Stroke.of(Tone.INK, 3);
    private static final Stroke DULL = Stroke.of(Tone.BEAM, 2.4);
    private static final Stroke BEYOND = Stroke.dashed(Tone.BEAM, 1.8, 7);

    @Override
    public String title() {
        return "Eyewear and distances";
    }

    @Override
    public double leastHeight() {
        return 226;
    }

    @Override
    public OnPaper onPaper() {
        return new OnPaper(678, 250);
    }

    @Override
    public Figure figure(EyewearReadings readings, EyewearFinding finding, UnitChoice units) {
        return of(Optional.of(readings), Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(EyewearFinding finding) {
        return Optional.of(new Course(finding.opticalDensity(), 0, 0.1));
    }

    static Figure of(Optional<EyewearReadings> readings, Optional<EyewearFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            double beside = Math.min(BESIDE, width * 0.5);
            new Plan(pen, width - beside - 20, height, units).draw(readings.flatMap(EyewearReadings::room), finding);
            new Marking(pen, width - beside, beside, height, units).draw(finding);
        };
    }

    private static Amount metres(double metres) {
        return new Amount(Quantity.DISTANCE, metres, metres < 10 ? 2 : 0);
    }

    /** The room, or as much of the floor around the work as the reflection reaches. */
    private static final class Plan {
        private final Pen pen;
        private final double width;
        private final double height;
        private final UnitChoice units;

        Plan(Pen pen, double width, double height, UnitChoice units) {
            this.pen = pen;
            this.width = width;
            this.height = height;
            this.units = units;
        }

        void draw(Optional<EyewearReadings.Room> room, Optional<EyewearFinding> finding) {
            double dull = finding.map(EyewearFinding::diffuseHazardM).orElse(0.0) * 1000;
            double wideMm = room.map(EyewearReadings.Room::widthMm).orElse(Math.max(3000, 2.6 * dull));
            double deepMm = room.map(EyewearReadings.Room::depthMm).orElse(Math.max(2400, 2.6 * dull));
            double wall = room.isPresent() ? MARGIN : 2;
            double scale = Math.min((width - 2 * wall) / wideMm, (height - SCALE - 2 * wall) / deepMm);
            double left = (width - wideMm * scale) / 2;
            double top = (height - SCALE - deepMm * scale) / 2;
            double x = left + room.map(EyewearReadings.Room::workFromLeftMm).orElse(wideMm / 2) * scale;
            double y = top + room.map(EyewearReadings.Room::workFromRearMm).orElse(deepMm / 2) * scale;
            Path.Box floor = new Path.Box(left, top, wideMm * scale, deepMm * scale);
            finding.ifPresent(found -> {
                double near = Math.max(2, dull * scale);
                pen.fill(disc(x, y, near, floor), Tone.BAND);
                pen.stroke(arc(x, y, near, floor), DULL);
                found.nohdBeyondLensM()
                        .ifPresent(beyond -> pen.stroke(arc(x, y, beyond * 1000 * scale, floor), BEYOND));
            });
            pen.line(x - 7, y, x + 7, y, Stroke.of(Tone.INK, 1.6));
            pen.line(x, y - 7, x, y + 7, Stroke.of(Tone.INK, 1.6));
            room.ifPresent(walls -> walls(walls, left, top, scale));
            finding.filter(found -> room.isPresent()
                            && found.nohdBeyondLensM().orElse(found.nohdM()) * 1000 >= Math.hypot(wideMm, deepMm))
                    .ifPresent(found -> everywhere(left, left + wideMm * scale, top + deepMm * scale - 12));
            scale(left, top + deepMm * scale + (room.isPresent() ? MARGIN : 4), scale, wideMm);
        }

        /** That the beam itself reaches every corner, where no circle can show it. */
        private void everywhere(double left, double right, double y) {
            String words = "the beam itself: everywhere in this room";
            List<String> lines = pen.wrapped(words, right - left - 2 * MARGIN, Lettering.CAPTION);
            for (int i = 0; i < lines.size(); i++) {
                double at = y - 14 * (lines.size() - 1 - i);
                pen.patched(left + 10, at, lines.get(i), Lettering.CAPTION, Tone.BEAM, Anchor.START);
            }
        }

        /** As much of a circle as lies on the floor that is drawn. */
        private static Path arc(double x, double y, double r, Path.Box floor) {
            Path path = new Path();
            boolean on = false;
            for (int i = 0; i <= STEPS; i++) {
                double px = x + r * Math.cos(2 * Math.PI * i / STEPS);
                double py = y + r * Math.sin(2 * Math.PI * i / STEPS);
                boolean inside = px >= floor.x()
                        && px <= floor.x() + floor.width()
                        && py >= floor.y()
                        && py <= floor.y() + floor.height();
                if (inside && on) {
                    path.line(px, py);
                } else if (inside) {
                    path.move(px, py);
                }
                on = inside;
            }
            return path;
        }

        /** The same, filled, up to the edges of the floor. */
        private static Path disc(double x, double y, double r, Path.Box floor) {
            Path path = new Path();
            for (int i = 0; i < STEPS; i++) {
                double px = x + r * Math.cos(2 * Math.PI * i / STEPS);
                double py = y + r * Math.sin(2 * Math.PI * i / STEPS);
                double onX = Math.max(floor.x(), Math.min(floor.x() + floor.width(), px));
                double onY = Math.max(floor.y(), Math.min(floor.y() + floor.height(), py));
                if (i == 0) {
                    path.move(onX, onY);
                } else {
                    path.line(onX, onY);
                }
            }
            return path.close();
        }

        private void walls(EyewearReadings.Room room, double left, double top, double scale) {
            pen.stroke(Path.rectangle(left, top, room.widthMm() * scale, room.depthMm() * scale), WALL);
            room.door().ifPresent(wall -> {
                double x = left + room.doorXMm() * scale;
                double y = top + room.doorYMm() * scale;
                double half = Math.max(9, 450 * scale);
                boolean across = wall == EyewearReadings.Wall.FRONT || wall == EyewearReadings.Wall.REAR;
                double dx = across ? half : 0;
                double dy = across ? 0 : half;
                pen.line(x - dx, y - dy, x + dx, y + dy, Stroke.of(Tone.GROUND, 6));
                pen.line(x - dx, y - dy, x + dx, y + dy, Stroke.of(Tone.WALNUT, 2));
                double outX = x
                        + (wall == EyewearReadings.Wall.LEFT ? -8 : wall == EyewearReadings.Wall.RIGHT ? 8 : half + 8);
                double outY = y
                        + (wall == EyewearReadings.Wall.REAR ? -7 : wall == EyewearReadings.Wall.FRONT ? 7 : half + 8);
                sign(outX, outY);
            });
        }

        /** The sign where somebody stands who is about to open the door. */
        private void sign(double x, double y) {
            Path sign = new Path()
                    .move(x, y - 6)
                    .line(x + 6.5, y + 5)
                    .line(x - 6.5, y + 5)
                    .close();
            pen.fill(sign, Tone.STRAW);
            pen.stroke(sign, Stroke.of(Tone.INK, 1.4));
        }

        private void scale(double left, double y, double scale, double wideMm) {
            double metre = wideMm > 12_000 ? 5000 : 1000;
            double at = Math.min(y + 4, height - 16);
            pen.line(left, at, left + metre * scale, at, Stroke.of(Tone.INK, 1.6));
            pen.text(left + metre * scale + 6, at + 4, metres(metre / 1000).text(units), Lettering.CAPTION, Tone.QUIET);
        }
    }

    /** A pair of eyewear with what must be readable on it, and the distances with the lines they are drawn in. */
    private static final class Marking {
        private static final double GOGGLES = 74;
        private static final double LINE = 26;

        private final Pen pen;
        private final double left;
        private final double width;
        private final double height;
        private final UnitChoice units;

        Marking(Pen pen, double left, double width, double height, UnitChoice units) {
            this.pen = pen;
            this.left = left;
            this.width = width;
            this.height = height;
            this.units = units;
        }

        void draw(Optional<EyewearFinding> finding) {
            double rows = 4 * LINE;
            double top = Math.max(6, (height - GOGGLES - 30 - rows) / 2);
            goggles(top);
            finding.ifPresent(found -> {
                String mark = number(found.wavelengthNm()) + " nm";
                pen.text(left + width / 2, top + 33, mark, Lettering.HEAD, Tone.INK, Anchor.MIDDLE);
                if (found.pulsed()) {
                    pen.text(left + width / 2, top + 15, "for pulses", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
                }
                String density = found.opticalDensityMarked() > 0
                        ? "OD " + number(found.opticalDensityMarked()) + " or more"
                        : "OD: ask";
                pen.text(left + width / 2, top + 56, density, Lettering.LEAD, Tone.READING, Anchor.MIDDLE);
                double at = top + GOGGLES + 36;
                at = row(at, DULL, "reflection", OptionalDouble.of(found.diffuseHazardM()));
                if (found.nohdBeyondLensM().isPresent()) {
                    at = row(at, BEYOND, "beyond the lens", found.nohdBeyondLensM());
                }
                at = row(at, Stroke.of(Tone.INK, 2), "bare beam", OptionalDouble.of(found.nohdM()));
                if (found.doorM().isPresent()) {
                    row(at, Stroke.of(Tone.WALNUT, 2), "to the door", found.doorM());
                }
            });
        }

        private double row(double y, Stroke stroke, String words, OptionalDouble metres) {
            pen.line(left, y - 4, left + 22, y - 4, stroke);
            pen.text(left + 30, y, words, Lettering.SMALL, Tone.INK);
            pen.text(
                    left + width,
                    y,
                    metres(metres.orElse(0)).least().text(units),
                    Lettering.HEAD,
                    Tone.INK,
                    Anchor.END);
            return y + LINE;
        }

        private void goggles(double top) {
            double wide = Math.min(width - 20, 220);
            double x = left + (width - wide) / 2;
            double right = x + wide;
            double bottom = top + GOGGLES;
            Path frame = new Path()
                    .move(x + 16, top)
                    .line(right - 16, top)
                    .curve(right, top, right, top + 12, right, top + 26)
                    .curve(right, bottom, right - 30, bottom, right - 46, bottom)
                    .curve(right - 72, bottom, x + wide / 2 + 14, bottom - 10, x + wide / 2, bottom - 10)
                    .curve(x + wide / 2 - 14, bottom - 10, x + 72, bottom, x + 46, bottom)
                    .curve(x + 30, bottom, x, bottom, x, top + 26)
                    .curve(x, top + 12, x, top, x + 16, top)
                    .close();
            pen.fill(frame, Tone.RAISED);
            pen.stroke(frame, Stroke.of(Tone.INK, 2));
        }

        private static String number(double number) {
            return Amount.plain(number, number == Math.rint(number) ? 0 : 1).number(UnitChoice.METRIC);
        }
    }
}
