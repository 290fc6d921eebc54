package zebrawood.kit.figure;

import zebrawood.core.controller.SettingsFinding.Severity;
import zebrawood.core.route.StopState;
import zebrawood.kit.theme.Tone;

/** The shape of each state, drawn as lines; colour only repeats it. Sizes are for a square of 16 px at scale 1. */
public final class Shapes {

    private Shapes() {}

    /** The tone in which a state is drawn. */
    public static Tone tone(StopState state) {
        return switch (state) {
            case PASSED -> Tone.PASS;
            case ADJUST, DUE -> Tone.ADJUST;
            case FAILED -> Tone.FAIL;
            case UNCLEAR -> Tone.UNCLEAR;
            case SHUT -> Tone.WALNUT;
            case OPEN, OFFERED, BEGUN, NOTE -> Tone.QUIET;
        };
    }

    /** The same in a square of so many px; a small one is drawn larger where tinted eyewear is worn. */
    public static void mark(Pen pen, StopState state, double x, double y, double size) {
        state(pen, state, x, y, size / 20 * (pen.hatches() && size < 28 ? 1.25 : 1));
    }

    /** Draws the shape of a state with its middle at (x, y). */
    public static void state(Pen pen, StopState state, double x, double y, double scale) {
        Tone tone = tone(state);
        Stroke line = Stroke.of(tone, 1.9 * scale);
        switch (state) {
            case OPEN -> pen.stroke(Path.circle(x, y, 6 * scale), line);
            case OFFERED -> pen.line(x - 5 * scale, y, x + 5 * scale, y, line);
            case BEGUN -> {
                pen.stroke(Path.circle(x, y, 6 * scale), line);
                double r = 6 * scale;
                double k = 0.5523 * r;
                pen.fill(
                        new Path()
                                .move(x, y - r)
                                .curve(x - k, y - r, x - r, y - k, x - r, y)
                                .curve(x - r, y + k, x - k, y + r, x, y + r)
                                .close(),
                        tone);
            }
            case PASSED -> {
                pen.circle(x, y, 7 * scale, tone);
                pen.stroke(
                        new Path()
                                .move(x - 3.2 * scale, y + 0.2 * scale)
                                .line(x - 0.9 * scale, y + 2.7 * scale)
                                .line(x + 3.3 * scale, y - 2.5 * scale),
                        Stroke.of(Tone.RAISED, 1.9 * scale));
            }
            case ADJUST -> {
                pen.stroke(triangle(x, y, scale), line);
                pen.fill(
                        new Path()
                                .move(x, y - 7 * scale)
                                .line(x, y + 6 * scale)
                                .line(x - 7 * scale, y + 6 * scale)
                                .close(),
                        tone);
            }
            case FAILED -> {
                double r = 5.2 * scale;
                pen.line(x - r, y - r, x + r, y + r, Stroke.of(tone, 2.8 * scale));
                pen.line(x + r, y - r, x - r, y + r, Stroke.of(tone, 2.8 * scale));
            }
            case UNCLEAR -> pen.stroke(Path.circle(x, y, 6 * scale), Stroke.dashed(tone, 2.3 * scale, 4.7 * scale));
            case NOTE -> pen.circle(x, y, 3 * scale, tone);
            case SHUT -> {
                pen.fill(Path.rectangle(x - 8 * scale, y - 3 * scale, 16 * scale, 6 * scale), tone);
                for (double at = -4.5; at < 8; at += 4.5) {
                    pen.line(
                            x + at * scale, y - 3 * scale, x + at * scale, y + 3 * scale, Stroke.of(Tone.STRAW, scale));
                }
            }
            case DUE -> {
                pen.stroke(Path.circle(x, y, 6.2 * scale), line);
                pen.stroke(new Path().move(x, y - 3.6 * scale).line(x, y).line(x + 2.7 * scale, y + 1.8 * scale), line);
            }
        }
    }

    /** How much an issue matters: half-filled triangle, open triangle, dot. */
    public static void severity(Pen pen, Severity severity, double x, double y, double scale) {
        switch (severity) {
            case MUST -> state(pen, StopState.ADJUST, x, y, scale);
            case SHOULD -> pen.stroke(triangle(x, y, scale), Stroke.of(Tone.ADJUST, 1.9 * scale));
            case NOTE -> state(pen, StopState.NOTE, x, y, scale);
        }
    }

    /** The caution triangle. */
    public static void caution(Pen pen, double x, double y, double scale) {
        Path path = triangle(x, y, 1.15 * scale);
        pen.fill(path, Tone.STRAW);
        pen.stroke(path, Stroke.of(Tone.INK, 1.4 * scale));
        pen.line(x, y - 2.6 * scale, x, y + 2 * scale, Stroke.of(Tone.INK, 1.7 * scale));
        pen.line(x, y + 3.4 * scale, x, y + 5 * scale, Stroke.of(Tone.INK, 1.7 * scale));
    }

    private static Path triangle(double x, double y, double scale) {
        return new Path()
                .move(x, y - 7 * scale)
                .line(x + 7 * scale, y + 6 * scale)
                .line(x - 7 * scale, y + 6 * scale)
                .close();
    }

    /** Over an axis: where to read next. Its outline is seen where its colour is not. */
    public static void next(Pen pen, double x, double axis) {
        Path mark = new Path()
                .move(x, axis - 2)
                .line(x - 7, axis - 15)
                .line(x + 7, axis - 15)
                .close();
        pen.fill(mark, Tone.STRAW);
        pen.stroke(mark, Stroke.of(Tone.INK, 1.2));
    }
}
