package zebrawood.benches.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.controller.SettingsReadings;
import zebrawood.core.units.Amount;
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

/** Two power scales side by side: what is asked for, against what comes out. */
public final class PowerFigure implements Exhibit<SettingsReadings, SettingsFinding> {

    private static final double BAR = 36;

    @Override
    public String title() {
        return "Full power, as found";
    }

    @Override
    public Figure figure(SettingsReadings readings, SettingsFinding finding, UnitChoice units) {
        return finding.power().map(PowerFigure::scales).orElse(Figure.EMPTY);
    }

    @Override
    public Optional<Table> table(
            SettingsReadings readings, SettingsFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (SettingsFinding.Row row : finding.rows()) {
            rows.add(List.of(
                    row.meaning().orElse("number " + row.setting()),
                    row.found().orElse("not reported"),
                    row.needed().orElse("")));
        }
        return Optional.of(new Table(List.of("setting", "found", "needed"), rows, 1));
    }

    @Override
    public Optional<Course> course(SettingsFinding finding) {
        return Optional.empty();
    }

    /** What it shows, as a heading: the one thing that is wrong, or that nothing is. */
    static String heading(SettingsFinding.PowerScales power, OptionalDouble capS) {
        if (capS.isPresent()) {
            return power.senderMaxS() <= capS.getAsDouble()
                    ? "Full power is capped at what the tube bears"
                    : "Full power is more than the tube bears";
        }
        if (power.senderMaxS() == power.controllerMaxS()) {
            return "Full power means the same on both sides";
        }
        return power.senderMaxS() < power.controllerMaxS()
                ? "Full power means two different things here"
                : "All of the power is there long before 100 %";
    }

    static Figure scales(SettingsFinding.PowerScales power) {
        return (pen, width, height) -> draw(pen, power, width, height);
    }

    private static void draw(Pen pen, SettingsFinding.PowerScales power, double width, double height) {
        boolean narrow = width < 540;
        double from = narrow ? 54 : Math.max(90, width * 0.14);
        double to = narrow ? width - 106 : Math.max(from + 150, width - Math.max(246, width * 0.34));
        Axis y = new Axis(0, 100, height - 14, 36);
        double most = power.comesOutPct(100);
        pen.text(from + BAR / 2, 16, "set in the job", Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
        pen.text(to + BAR / 2, 16, "what comes out", Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
        bar(pen, from, y, 0);
        bar(pen, to, y, most);
        double saturates =
                power.senderMaxS() > power.controllerMaxS() ? 100 * power.controllerMaxS() / power.senderMaxS() : 101;
        for (int asked = 0; asked < 100; asked += 10) {
            flow(
                    pen,
                    from + BAR,
                    to,
                    y,
                    asked,
                    power,
                    asked > saturates ? Stroke.of(Tone.ADJUST, 1.4) : Stroke.of(Tone.HAIRLINE, 1));
            ticks(pen, from, to, y, asked, narrow);
        }
        ticks(pen, from, to, y, 100, narrow);
        boolean same = most == 100 && saturates > 100;
        Tone tone = same ? Tone.PASS : Tone.ADJUST;
        flow(pen, from + BAR, to, y, 100, power, Stroke.of(tone, 2.6));
        if (saturates <= 100) {
            flow(pen, from + BAR, to, y, saturates, power, Stroke.of(tone, 2.6));
        }
        double middle = (from + BAR + to) / 2;
        pen.text(
                middle,
                30,
                "100 % is sent as S " + Amount.exact(power.senderMaxS()),
                Lettering.SMALL,
                tone,
                Anchor.MIDDLE);
        if (narrow) {
            boolean saturated = saturates <= 100;
            String figure = Amount.percent(saturated ? saturates : most, 0).text(UnitChoice.METRIC);
            if (saturated) {
                pen.text(to + BAR + 12, y.at(most) + 4, "all from", Lettering.SMALL, tone);
            }
            pen.text(to + BAR + 12, y.at(most) + (saturated ? 22 : 5), figure, Lettering.HEAD, tone);
            return;
        }
        double noteX = to + BAR + 66;
        if (same) {
            note(pen, noteX, y.at(100), "100 %", "is what you get", tone);
        } else if (most < 100) {
            note(pen, noteX, y.at(most), Amount.percent(most, 0).text(UnitChoice.METRIC), "is the most you get", tone);
            pen.text(
                    noteX,
                    y.at(100) + 2,
                    "S " + Amount.exact(power.controllerMaxS()) + ", all of it,",
                    Lettering.SMALL,
                    Tone.QUIET);
            pen.text(noteX, y.at(100) + 17, "is never reached", Lettering.SMALL, Tone.QUIET);
        } else {
            note(
                    pen,
                    noteX,
                    y.at(100),
                    "above " + Amount.percent(saturates, 0).text(UnitChoice.METRIC),
                    "nothing more happens",
                    tone);
        }
    }

    private static void bar(Pen pen, double x, Axis y, double filledPct) {
        pen.fill(Path.rectangle(x, y.at(100), BAR, y.length(100)), Tone.RAISED);
        pen.fill(Path.rectangle(x, y.at(filledPct), BAR, y.length(filledPct)), Tone.WALNUT);
        pen.stroke(Path.rectangle(x, y.at(100), BAR, y.length(100)), Stroke.of(Tone.INK, 1.2));
    }

    private static void ticks(Pen pen, double from, double to, Axis y, int pct, boolean narrow) {
        double at = y.at(pct);
        pen.line(from - 8, at, from, at, Stroke.of(Tone.INK, 1));
        pen.line(to + BAR, at, to + BAR + 8, at, Stroke.of(Tone.INK, 1));
        if (pct % 20 == 0) {
            pen.text(from - 13, at + 4, pct + " %", Lettering.SMALL, Tone.INK, Anchor.END);
            if (!narrow) {
                pen.text(to + BAR + 13, at + 4, pct + " %", Lettering.SMALL, Tone.INK);
            }
        }
    }

    private static void flow(
            Pen pen,
            double from,
            double to,
            Axis y,
            double askedPct,
            SettingsFinding.PowerScales power,
            Stroke stroke) {
        double start = y.at(askedPct);
        double end = y.at(power.comesOutPct(askedPct));
        double bend = (to - from) * 0.42;
        pen.stroke(new Path().move(from, start).curve(from + bend, start, to - bend, end, to, end), stroke);
    }

    private static void note(Pen pen, double x, double y, String figure, String words, Tone tone) {
        pen.text(x + 2, y + 6, figure, Lettering.TITLE, tone);
        pen.text(x + 2, y + 23, words, Lettering.SMALL, Tone.INK);
    }
}
