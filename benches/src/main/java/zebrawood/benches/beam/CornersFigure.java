package zebrawood.benches.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.beam.CornersFinding;
import zebrawood.core.beam.CornersReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The bed from above with a card at each place that was shot at, and its mark on it. */
public final class CornersFigure implements Exhibit<CornersReadings, CornersFinding> {

    private static final double FOOT = 30;
    /** half of a drawn card, px */
    private static final double CARD = 22;
    /** a bed to show while nothing is read, mm */
    private static final List<CornersReadings.Mark> USUAL = List.of(
            new CornersReadings.Mark(0, 0, 0, 0),
            new CornersReadings.Mark(700, 0, 0, 0),
            new CornersReadings.Mark(700, 500, 0, 0),
            new CornersReadings.Mark(0, 500, 0, 0),
            new CornersReadings.Mark(350, 250, 0, 0));

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 250);
    }

    @Override
    public double leastHeight() {
        return 220;
    }

    @Override
    public String title() {
        return "Corners";
    }

    @Override
    public Figure figure(CornersReadings readings, CornersFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(CornersFinding finding) {
        return Optional.of(
                new Course(finding.spreadMm(), 0, finding.tolerances().toleranceMm()));
    }

    @Override
    public Optional<Table> table(
            CornersReadings readings, CornersFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (CornersReadings.Mark mark : readings.marks()) {
            rows.add(List.of(
                    told(mark.bedXMm(), units) + ", " + told(mark.bedYMm(), units),
                    told(Math.abs(mark.xMm()), units)
                            + (mark.xMm() < 0 ? " left, " : " right, ")
                            + told(Math.abs(mark.yMm()), units)
                            + (mark.yMm() < 0 ? " down" : " up")));
        }
        rows.add(List.of("may be apart", told(finding.tolerances().toleranceMm(), units)));
        return Optional.of(new Table(List.of("head at X, Y", "mark"), rows, 1));
    }

    private static String told(double mm, UnitChoice units) {
        return Amount.told(Quantity.LENGTH, mm).text(units);
    }

    static Figure of(Optional<CornersFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            List<CornersReadings.Mark> marks =
                    finding.map(CornersFinding::marks).orElse(USUAL);
            double leastX = marks.stream()
                    .mapToDouble(CornersReadings.Mark::bedXMm)
                    .min()
                    .orElse(0);
            double mostX = marks.stream()
                    .mapToDouble(CornersReadings.Mark::bedXMm)
                    .max()
                    .orElse(1);
            double leastY = marks.stream()
                    .mapToDouble(CornersReadings.Mark::bedYMm)
                    .min()
                    .orElse(0);
            double mostY = marks.stream()
                    .mapToDouble(CornersReadings.Mark::bedYMm)
                    .max()
                    .orElse(1);
            double room = 2 * CARD + 8;
            double scale = Math.min(
                    (width - room) / Math.max(mostX - leastX, 1e-9),
                    (height - FOOT - room) / Math.max(mostY - leastY, 1e-9));
            double left = (width - (mostX - leastX) * scale) / 2;
            double top = (height - FOOT - (mostY - leastY) * scale) / 2;
            double farthest = marks.stream()
                    .mapToDouble(mark -> Math.max(Math.abs(mark.xMm()), Math.abs(mark.yMm())))
                    .max()
                    .orElse(0);
            double perMm = farthest == 0 ? 1 : (CARD - 6) / farthest;
            pen.rectangle(
                    left,
                    top,
                    (mostX - leastX) * scale,
                    (mostY - leastY) * scale,
                    Tone.RAISED,
                    Stroke.of(Tone.HAIRLINE, 1.4));
            for (CornersReadings.Mark mark : marks) {
                double x = left + (mark.bedXMm() - leastX) * scale;
                double y = top + (mostY - mark.bedYMm()) * scale;
                card(pen, x, y, finding.isPresent());
                if (finding.isPresent()) {
                    pen.circle(x + mark.xMm() * perMm, y - mark.yMm() * perMm, 4.5, Tone.READING);
                }
            }
            pen.text(
                    width / 2,
                    height - 6,
                    finding.isPresent()
                            ? "half a card is " + Amount.mm(CARD / perMm, 1).text(units) + ", the bed is to scale"
                            : "dashed: not yet shot",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static void card(Pen pen, double x, double y, boolean read) {
        Stroke edge = read ? Stroke.of(Tone.INK, 1.4) : Stroke.dashed(Tone.QUIET, 1.4, 4);
        pen.rectangle(x - CARD, y - CARD, 2 * CARD, 2 * CARD, Tone.GROUND, edge);
        pen.line(x - CARD + 5, y, x + CARD - 5, y, Stroke.of(Tone.HAIRLINE, 1));
        pen.line(x, y - CARD + 5, x, y + CARD - 5, Stroke.of(Tone.HAIRLINE, 1));
    }
}
