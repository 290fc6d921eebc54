package zebrawood.benches.mains;

import java.util.List;
import java.util.Optional;
import zebrawood.core.mains.CircuitFinding;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Loads laid end to end against what the breaker carries, and the cable with what is lost along it. */
public final class CircuitFigure implements Exhibit<CircuitReadings, CircuitFinding> {

    @Override
    public String title() {
        return "Circuit";
    }

    @Override
    public Figure figure(CircuitReadings readings, CircuitFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    private static Amount amperes(double amperes) {
        return new Amount(Quantity.AMPERE, amperes, 1);
    }

    @Override
    public Optional<Course> course(CircuitFinding finding) {
        return Optional.empty();
    }

    static Figure of(Optional<CircuitFinding> finding, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, finding, units, width, height).draw();
    }

    private static final class Drawing {
        private final Pen pen;
        private final Optional<CircuitFinding> finding;
        private final UnitChoice units;
        private final double left = 20;
        private final double right;
        private final double top;
        private final double tall;
        private final double bottom;
        private final Axis x;

        Drawing(Pen pen, Optional<CircuitFinding> finding, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.finding = finding;
            this.units = units;
            right = width - 24;
            boolean cable = finding.map(f -> f.dropPct().isPresent()).orElse(false);
            tall = Math.max(34, Math.min(84, height * (cable ? 0.26 : 0.34)));
            top = 40;
            bottom = height;
            double most = finding.map(f -> Math.max(f.circuitA() * 1.15, f.designCurrentA() * 1.06))
                    .orElse(18.0);
            x = new Axis(0, most, left, right);
        }

        void draw() {
            double base = top + tall;
            finding.ifPresent(this::loads);
            x.under(pen, base, 8, "amperes, with the continuous-load allowance");
            finding.ifPresent(this::breaker);
            finding.filter(f -> f.dropPct().isPresent() && bottom - base > 110).ifPresent(this::cable);
        }

        private void loads(CircuitFinding found) {
            double from = 0;
            for (CircuitFinding.Share share : found.shares()) {
                double at = x.at(from);
                double wide = x.length(share.designA());
                boolean wrong = found.wrongVoltage().contains(share.name());
                boolean moves = found.move().filter(share.name()::equals).isPresent()
                        && (found.isOverloaded() || found.dropsTooFar());
                if (!pen.hatches()) {
                    pen.band(at, top, wide, tall);
                }
                pen.stroke(
                        Path.rectangle(at, top, wide, tall),
                        Stroke.of(wrong ? Tone.FAIL : moves ? Tone.ADJUST : Tone.INK, wrong || moves ? 3 : 1.4));
                Optional<List<String>> name =
                        pen.lines(share.name(), wide - 6, Lettering.SMALL, (int) Math.max(1, (tall - 30) / 14));
                if (name.isPresent()) {
                    double y = top + tall / 2 - 14 * (name.get().size() - 1);
                    for (String line : name.get()) {
                        pen.text(at + wide / 2, y, line, Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
                        y += 14;
                    }
                    String amount = amperes(share.designA()).text(units);
                    if (pen.textWidth(amount, Lettering.CAPTION) < wide - 6) {
                        pen.text(
                                at + wide / 2,
                                top + tall / 2 + 16,
                                amount,
                                Lettering.CAPTION,
                                Tone.QUIET,
                                Anchor.MIDDLE);
                    }
                }
                from += share.designA();
            }
        }

        private void breaker(CircuitFinding found) {
            double at = x.at(found.circuitA());
            Tone tone = found.isOverloaded() ? Tone.FAIL : Tone.WALNUT;
            pen.line(at, top - 14, at, top + tall, Stroke.of(tone, 3));
            pen.text(
                    at,
                    top - 20,
                    "breaker " + amperes(found.circuitA()).text(units),
                    Lettering.TEXT_BOLD,
                    tone,
                    Anchor.END);
        }

        /** The cable from the board to the machine, falling to scale by what is lost against what may be. */
        private void cable(CircuitFinding found) {
            double drop = found.dropPct().getAsDouble();
            double most = found.tolerances().maxDropPct();
            double from = top + tall + 62;
            double room = Math.max(24, bottom - from - 34);
            double scale = room / Math.max(drop, most);
            Tone tone = found.dropsTooFar() ? Tone.FAIL : Tone.READING;
            double end = right - 120;
            pen.rectangle(left, from - 12, 34, 30, Tone.RAISED, Stroke.of(Tone.INK, 1.6));
            pen.text(left, from + 34, "board", Lettering.CAPTION, Tone.QUIET);
            pen.line(left + 34, from, end, from, Stroke.dashed(Tone.QUIET, 1.2, 4));
            pen.line(
                    left + 60,
                    from + most * scale,
                    end,
                    from + most * scale,
                    Stroke.dashed(found.dropsTooFar() ? Tone.FAIL : Tone.QUIET, 1.4, 6));
            pen.line(left + 34, from, end, from + drop * scale, Stroke.of(tone, 3));
            pen.circle(end, from + drop * scale, 5.5, tone);
            pen.text(
                    end + 12,
                    Math.max(from + drop * scale + 5, from + 24),
                    "- " + Amount.percent(drop, 1).text(units),
                    Lettering.HEAD,
                    tone);
            pen.patched(
                    left + 90,
                    from + most * scale + 4,
                    "at the most " + Amount.percent(most, 1).text(units),
                    Lettering.SMALL,
                    Tone.QUIET,
                    Anchor.START);
            pen.text(
                    end + 12,
                    from + 4,
                    new Amount(Quantity.VOLTAGE, found.supplyV(), 0).text(units),
                    Lettering.SMALL,
                    Tone.QUIET);
        }
    }
}
