package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.core.beam.Spot;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
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

/** The corners of the bed as found and as left: a card at each, with where the beam meets it. */
public final class MirrorsFigure implements Exhibit<PlanReadings, PlanFinding> {

    private static final double CARD = 23;
    private static final double HEAD = 40;
    private static final double FOOT = 26;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 236);
    }

    @Override
    public double leastHeight() {
        return 210;
    }

    @Override
    public String title() {
        return "Corners as found and as left";
    }

    @Override
    public Figure figure(PlanReadings readings, PlanFinding finding, UnitChoice units) {
        return (pen, width, height) -> {
            double reach = Math.max(
                    reach(finding.now()),
                    finding.before().map(MirrorsFigure::reach).orElse(0.0));
            double perMm = reach == 0 ? 1 : (CARD - 6) / reach;
            double half = width / 2;
            map(pen, finding, finding.before(), "as found", finding.run(), perMm, 0, half - 10, height, units);
            Optional<PlanFinding.Beam> now = finding.before().map(before -> finding.now());
            map(pen, finding, now, "as left", finding.run(), perMm, half + 10, half - 10, height, units);
            pen.text(
                    half,
                    height - 6,
                    finding.before().isPresent()
                            ? "half a card is " + Amount.mm(CARD / perMm, 1).text(units) + "; the bed is to scale"
                            : "dashed: not every run was shot at yet",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static double reach(PlanFinding.Beam beam) {
        return beam.corners().stream()
                .flatMap(spot -> Stream.of(Math.abs(spot.xMm()), Math.abs(spot.yMm())))
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(0);
    }

    private static void map(
            Pen pen,
            PlanFinding finding,
            Optional<PlanFinding.Beam> beam,
            String words,
            PlanReadings.Run run,
            double perMm,
            double left,
            double width,
            double height,
            UnitChoice units) {
        pen.text(left + width / 2, 14, words, Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
        pen.text(
                left + width / 2,
                31,
                beam.map(known -> Amount.mm(known.spreadMm(), 2).text(units) + " apart at worst")
                        .orElse("not known"),
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
        double bedX = run.xFarMm() - run.xNearMm();
        double bedY = run.yFarMm() - run.yNearMm();
        double scale = Math.min((width - 2 * CARD - 8) / bedX, (height - HEAD - FOOT - 2 * CARD - 4) / bedY);
        double w = bedX * scale;
        double h = bedY * scale;
        double x = left + (width - w) / 2;
        double y = HEAD + CARD + Math.max(0, (height - HEAD - FOOT - 2 * CARD - h) / 2);
        pen.rectangle(x, y, w, h, Tone.GROUND, Stroke.of(Tone.HAIRLINE, 1.4));
        for (int corner = 0; corner < 4; corner++) {
            double cx = x + (corner < 2 ? 0 : w);
            double cy = y + (corner % 2 == 0 ? 0 : h);
            Stroke edge = beam.isPresent() ? Stroke.of(Tone.INK, 1.4) : Stroke.dashed(Tone.QUIET, 1.4, 4);
            pen.rectangle(cx - CARD, cy - CARD, 2 * CARD, 2 * CARD, Tone.RAISED, edge);
            pen.line(cx - CARD + 5, cy, cx + CARD - 5, cy, Stroke.of(Tone.HAIRLINE, 1));
            pen.line(cx, cy - CARD + 5, cx, cy + CARD - 5, Stroke.of(Tone.HAIRLINE, 1));
            if (beam.isPresent()) {
                Spot spot = beam.get().corners().get(corner);
                double px = cx + spot.xMm() * perMm;
                double py = cy - spot.yMm() * perMm;
                if (finding.next().act() == PlanFinding.Act.DONE) {
                    pen.circle(px, py, 4.5, Tone.WALNUT);
                } else {
                    pen.stroke(Path.circle(px, py, 4.5), Stroke.of(Tone.WALNUT, 2));
                }
            }
        }
    }

    @Override
    public Optional<Table> table(
            PlanReadings readings, PlanFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        PlanReadings.Run run = readings.run();
        List<String> names = MirrorsBench.names(finding.startsAtTheTube());
        rows.add(List.of(
                names.get(0) + " to " + names.get(1),
                Amount.told(Quantity.LENGTH, run.yNearMm()).number(units) + " to "
                        + Amount.told(Quantity.LENGTH, run.yFarMm()).text(units)));
        rows.add(List.of(
                names.get(1) + " to the head",
                Amount.told(Quantity.LENGTH, run.xNearMm()).number(units) + " to "
                        + Amount.told(Quantity.LENGTH, run.xFarMm()).text(units)));
        int shot = 0;
        for (PlanReadings.Step step : readings.steps()) {
            step.turn()
                    .ifPresent(turn ->
                            rows.add(List.of("turned, " + names.get(turn.mirror() - 1), MountFigure.words(turn))));
            if (step.shot().isPresent()) {
                PlanReadings.Shot made = step.shot().get();
                rows.add(List.of("shot " + ++shot + ", " + where(made, run, names.get(1), units), mark(made, units)));
            }
        }
        return Optional.of(new Table(List.of("step", "read"), rows, 1));
    }

    private static String where(PlanReadings.Shot shot, PlanReadings.Run run, String second, UnitChoice units) {
        String gantry = "gantry " + place(shot.gantryMm(), run.yNearMm(), run.yFarMm(), units);
        return shot.carriageMm().isEmpty()
                ? second + ", " + gantry
                : gantry + ", head " + place(shot.carriageMm().getAsDouble(), run.xNearMm(), run.xFarMm(), units);
    }

    private static String place(double at, double near, double far, UnitChoice units) {
        return at == near ? "near" : at == far ? "far" : Amount.mm(at, 0).text(units);
    }

    /** With its units, and never a minus: what was typed in inches is no millimetre. */
    private static String mark(PlanReadings.Shot shot, UnitChoice units) {
        String x =
                Amount.told(Quantity.LENGTH, Math.abs(shot.xMm())).text(units) + (shot.xMm() < 0 ? " left" : " right");
        String y = Amount.told(Quantity.LENGTH, Math.abs(shot.yMm())).text(units) + (shot.yMm() < 0 ? " down" : " up");
        String current = shot.currentMa().isPresent()
                ? ", " + new Amount(Quantity.CURRENT, shot.currentMa().getAsDouble(), 1).text(units)
                : "";
        return x + ", " + y + current;
    }

    @Override
    public Optional<Course> course(PlanFinding finding) {
        return finding.worstSpreadMm().isEmpty()
                ? Optional.empty()
                : Optional.of(new Course(
                        finding.worstSpreadMm().getAsDouble(),
                        finding.worstSpreadErrorMm().orElse(0),
                        finding.tolerances().toleranceMm()));
    }
}
