package zebrawood.kit.figure;

import zebrawood.kit.theme.Tone;

/**
 * How a line is drawn.
 *
 * @param tone its colour
 * @param width in px; Eyewear view draws it thicker
 * @param dash length of dashes and gaps in px, 0 for none
 */
public record Stroke(Tone tone, double width, double dash) {

    /** A line that goes through, so many px wide. */
    public static Stroke of(Tone tone, double width) {
        return new Stroke(tone, width, 0);
    }

    /** A line of dashes as long as the gaps between them, px. */
    public static Stroke dashed(Tone tone, double width, double dash) {
        return new Stroke(tone, width, dash);
    }
}
