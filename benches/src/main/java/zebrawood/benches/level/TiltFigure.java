package zebrawood.benches.level;

import java.util.Optional;
import java.util.stream.Collectors;
import zebrawood.core.level.TiltFinding;
import zebrawood.core.level.TiltReadings;
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

/** The ring of a lens from above with gaps, mounts and their shims, and the field from the side. */
public final class TiltFigure implements Exhibit<TiltReadings, TiltFinding> {

    private static final double FOOT = 24;
    /** share of the width for the field from the side */
    private static final double SIDE = 0.3;
    /** px that fields and words need round the mounts */
    private static final double ROUND = 30;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 300);
    }

    @Override
    public double leastHeight() {
        return 320;
    }

    @Override
    public String title() {
        return "Ring from above";
    }

    @Override
    public Figure figure(TiltReadings readings, TiltFinding finding, UnitChoice units) {
        return of(Optional.of(finding), false, units);
    }

    @Override
    public Optional<Course> course(TiltFinding finding) {
        return Optional.of(new Course(
                finding.acrossFieldMm(),
                finding.acrossUncertaintyMm(),
                finding.tolerances().toleranceMm()));
    }

    private static double middleX(double width) {
        return width * (1 - SIDE) / 2;
    }

    private static double middleY(double height) {
        return (height - FOOT) / 2;
    }

    /** px from the middle to the ring; the fields stand just inside of it. */
    private static double ring(double width, double height) {
        return Math.min(width * (1 - SIDE) / 2 - 64, (height - FOOT) / 2 - ROUND) * 0.72;
    }

    /** Where the field of a place on the ring stands. */
    static Path.Box field(double width, double height, int place) {
        double angle = place * 2 * Math.PI / TiltBench.PLACES;
        double wide = BedPlan.FIELD_WIDTH;
        double high = BedPlan.FIELD_HEIGHT;
        double x = middleX(width) + ring(width, height) * Math.cos(angle);
        double y = middleY(height) - ring(width, height) * Math.sin(angle);
        return new Path.Box(x - wide / 2, y - high / 2, wide, high);
    }

    static Figure of(Optional<TiltFinding> finding, boolean typed, UnitChoice units) {
        return (pen, width, height) -> {
            double x = middleX(width);
            double y = middleY(height);
            double radius = ring(width, height);
            pen.stroke(Path.circle(x, y, radius), Stroke.of(Tone.INK, 3));
            pen.stroke(Path.circle(x, y, Math.max(4, radius - 9)), Stroke.of(Tone.HAIRLINE, 1.2));
            for (int i = 0; typed && i < TiltBench.PLACES; i++) {
                Path.Box box = field(width, height, i);
                pen.fill(Path.rectangle(box.x(), box.y(), box.width(), box.height()), Tone.GROUND);
            }
            finding.ifPresent(found -> {
                new Lean(pen, x, y, radius, found, units).draw(typed);
                side(pen, found, width, height, units);
            });
            pen.text(
                    width / 2,
                    height - 6,
                    finding.isEmpty()
                            ? "type each gap where it is read, round the ring"
                            : typed
                                    ? "arrow: where the gap is larger; mounts not to scale"
                                    : "dots: where gaps were read; mounts not to scale",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private record Lean(Pen pen, double x, double y, double radius, TiltFinding found, UnitChoice units) {

        void draw(boolean typed) {
            double lean = Math.hypot(found.tiltXMrad(), found.tiltYMrad());
            boolean straight = lean == 0;
            double toX = straight ? 0 : found.tiltXMrad() / lean;
            double toY = straight ? 0 : found.tiltYMrad() / lean;
            double length = radius * 0.42;
            if (!straight) {
                arrow(toX, -toY, length);
            }
            if (!typed) {
                for (TiltFinding.Place place : found.points()) {
                    double out = Math.hypot(place.xMm(), place.yMm());
                    pen.circle(x + place.xMm() / out * radius, y - place.yMm() / out * radius, 5.5, Tone.READING);
                }
            }
            found.shims().forEach(this::mount);
        }

        private void arrow(double toX, double toY, double length) {
            double headX = x + toX * length;
            double headY = y + toY * length;
            pen.line(x - toX * length * 0.6, y - toY * length * 0.6, headX, headY, Stroke.of(Tone.WALNUT, 4));
            pen.fill(
                    new Path()
                            .move(headX + toX * 12, headY + toY * 12)
                            .line(headX - toY * 8, headY + toX * 8)
                            .line(headX + toY * 8, headY - toX * 8)
                            .close(),
                    Tone.WALNUT);
        }

        private void mount(TiltFinding.Shim shim) {
            TiltReadings.Mount mount = found.mounts().stream()
                    .filter(each -> each.name().equals(shim.mount()))
                    .findFirst()
                    .orElseThrow();
            double farthest = found.mounts().stream()
                    .mapToDouble(each -> Math.hypot(each.xMm(), each.yMm()))
                    .max()
                    .orElse(1);
            double scale = farthest == 0 ? 0 : (radius + 26) / farthest;
            double angle = Math.atan2(mount.yMm(), mount.xMm());
            double out = Math.max(radius + 20, Math.hypot(mount.xMm(), mount.yMm()) * scale);
            double px = x + out * Math.cos(angle);
            double py = y - out * Math.sin(angle);
            boolean shimmed = shim.madeMm() >= 0.005;
            pen.rectangle(
                    px - 6,
                    py - 6,
                    12,
                    12,
                    Tone.RAISED,
                    Stroke.of(shimmed ? Tone.ADJUST : Tone.INK, shimmed ? 3 : 1.6));
            String stack = shimmed
                    ? shim.stack()
                            .map(pieces -> pieces.stream()
                                    .map(piece ->
                                            Amount.told(Quantity.LENGTH, piece).number(units))
                                    .collect(Collectors.joining(" + ")))
                            .orElse(Amount.mm(shim.thicknessMm(), 2).number(units))
                    : "none";
            Lettering lettering = shimmed ? Lettering.TEXT_BOLD : Lettering.SMALL;
            double half = pen.textWidth(stack, lettering) / 2;
            pen.patched(
                    Math.max(half + 2, Math.min(2 * x - half - 2, px)),
                    Math.sin(angle) >= 0 ? py - 11 : py + 23,
                    stack,
                    lettering,
                    shimmed ? Tone.ADJUST : Tone.QUIET,
                    Anchor.MIDDLE);
        }
    }

    /** What the lean makes of the field, along each of its sides, against what it may be. */
    private static void side(Pen pen, TiltFinding found, double width, double height, UnitChoice units) {
        double left = width * (1 - SIDE) + 14;
        double wide = width - left - 14;
        double reach = Math.max(found.tolerances().toleranceMm(), found.acrossFieldMm());
        double each = (height - FOOT) / 2;
        double perMm = (each - 66) / Math.max(reach, 1e-9);
        double[] leans = {found.tiltXMrad(), found.tiltYMrad()};
        String[] names = {"along X", "along Y"};
        for (int i = 0; i < leans.length; i++) {
            double middle = i * each + 24 + (each - 44) / 2;
            double differs = leans[i] / 1000 * found.fieldMm() * perMm;
            double band = found.tolerances().toleranceMm() * perMm;
            pen.band(left, middle - band / 2, wide, band);
            pen.line(left, middle + differs / 2, left + wide, middle - differs / 2, Stroke.of(Tone.WALNUT, 3));
            String says = names[i] + ", "
                    + Amount.mm(Math.abs(leans[i]) / 1000 * found.fieldMm(), 2).text(units);
            pen.text(left + wide / 2, i * each + 16, says, Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
        }
    }
}
