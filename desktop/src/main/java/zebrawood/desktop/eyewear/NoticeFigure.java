package zebrawood.desktop.eyewear;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.machine.Plate;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The notice at the door, in the size at which its letters are drawn; it is printed enlarged. */
final class NoticeFigure {

    /** px, before it is enlarged */
    static final double WIDTH = 270;

    static final double HEIGHT = 362;

    private NoticeFigure() {}

    static Figure of(Plate plate, EyewearFinding finding) {
        return (pen, width, height) -> {
            pen.stroke(Path.rectangle(1, 1, width - 2, height - 2), Stroke.of(Tone.INK, 2));
            triangle(pen, width / 2, 16);
            double y = 122;
            pen.text(width / 2, y, "Laser in use", Lettering.ACT, Tone.INK, Anchor.MIDDLE);
            y += 24;
            for (String line : middle(plate, finding)) {
                for (String part : pen.wrapped(line, width - 24, Lettering.TEXT_BOLD)) {
                    pen.text(width / 2, y, part, Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
                    y += 18;
                }
            }
            y += 4;
            for (String line : rules(finding)) {
                for (String part : pen.wrapped(line, width - 36, Lettering.SMALL)) {
                    pen.text(18, y, part, Lettering.SMALL, Tone.INK);
                    y += 15;
                }
                y += 4;
            }
            pen.text(18, height - 16, "In operation: from", Lettering.SMALL, Tone.INK);
            double from = 24 + pen.textWidth("In operation: from", Lettering.SMALL);
            pen.line(from, height - 15, from + 52, height - 15, Stroke.of(Tone.INK, 0.8));
            pen.text(from + 58, height - 16, "to", Lettering.SMALL, Tone.INK);
            pen.line(from + 76, height - 15, width - 18, height - 15, Stroke.of(Tone.INK, 0.8));
        };
    }

    private static List<String> middle(Plate plate, EyewearFinding finding) {
        List<String> lines = new ArrayList<>();
        String light = finding.wavelengthNm() >= 400 && finding.wavelengthNm() < 700 ? "" : "You do not see this beam.";
        lines.add(plate.name() + ": " + Needs.number(finding.wavelengthNm()) + " nm, "
                + Needs.number(finding.averagePowerW()) + " W" + (finding.pulsed() ? ", pulses" : "")
                + finding.notice()
                        .flatMap(EyewearReadings.Notice::laserClass)
                        .map(each -> ", class " + each)
                        .orElse(""));
        if (!light.isEmpty()) {
            lines.add(light);
        }
        return lines;
    }

    private static List<String> rules(EyewearFinding finding) {
        List<String> rules = new ArrayList<>();
        String covers = finding.isShut() ? "When a cover is open: " : "";
        rules.add(
                finding.opticalDensityMarked() > 0
                        ? covers + "eyewear marked OD " + Needs.number(finding.opticalDensityMarked()) + " or more at "
                                + Needs.number(finding.wavelengthNm()) + " nm"
                                + (finding.pulsed() ? ", for pulses" : "")
                                + ", on everybody in the room."
                        : "Ask which eyewear is needed before you go in.");
        rules.add("Do not open this door in the hours below or while its light is on. Ask first: "
                + finding.notice().flatMap(EyewearReadings.Notice::officer).orElse("______________")
                + ", laser safety officer.");
        return rules.stream()
                .map(rule -> rule.substring(0, 1).toUpperCase(Locale.ROOT) + rule.substring(1))
                .toList();
    }

    /** A warning triangle with rays from a point. */
    private static void triangle(Pen pen, double x, double top) {
        double side = 92;
        double bottom = top + side * Math.sqrt(3) / 2;
        Path sign = new Path()
                .move(x, top)
                .line(x + side / 2, bottom)
                .line(x - side / 2, bottom)
                .close();
        pen.fill(sign, Tone.STRAW);
        pen.stroke(sign, Stroke.of(Tone.INK, 5));
        double y = top + 54;
        for (int ray = 0; ray < 12; ray++) {
            double angle = Math.PI * ray / 6;
            double far = ray % 3 == 0 ? 16 : 12;
            pen.line(
                    x + 6 * Math.cos(angle),
                    y + 6 * Math.sin(angle),
                    x + far * Math.cos(angle),
                    y + far * Math.sin(angle),
                    Stroke.of(Tone.INK, 1.6));
        }
        pen.circle(x, y, 4, Tone.INK);
        pen.line(x, y, x + 26, y, Stroke.of(Tone.INK, 2));
    }
}
