package zebrawood.benches;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

/** The eye with which drawings are looked at: it must see a line through a word, and nothing where there is none. */
class DrawnTest {

    private static final Stroke LINE = Stroke.of(Tone.INK, 1.5);

    private static Drawn drawn(Figure figure) {
        return Drawn.of(figure, 200, 100);
    }

    @Test
    void aLineThroughAWordIsSeenWhicheverWasDrawnFirst() {
        assertThat(drawn((pen, width, height) -> {
                            pen.line(0, 46, 200, 46, LINE);
                            pen.text(20, 50, "gap", Lettering.SMALL, Tone.INK);
                        })
                        .crossed())
                .containsExactly("crossed: gap");
        assertThat(drawn((pen, width, height) -> {
                            pen.patched(20, 50, "gap", Lettering.SMALL, Tone.INK, Anchor.START);
                            pen.line(0, 46, 200, 46, LINE);
                        })
                        .crossed())
                .as("a patch under it does not help against a line over it")
                .containsExactly("crossed: gap");
    }

    @Test
    void aPatchHidesTheLineUnderItAndALineBesideAWordIsNone() {
        assertThat(drawn((pen, width, height) -> {
                            pen.line(0, 46, 200, 46, LINE);
                            pen.patched(20, 50, "gap", Lettering.SMALL, Tone.INK, Anchor.START);
                            pen.line(0, 56, 200, 56, LINE);
                            pen.line(60, 0, 60, 100, LINE);
                        })
                        .crossed())
                .isEmpty();
    }

    @Test
    void aCurveIsFollowedAndTheGridOfAScaleDoesNotCount() {
        Path curve = new Path().move(0, 90).curve(0, 30, 60, 30, 60, 90);
        assertThat(drawn((pen, width, height) -> {
                            pen.stroke(curve, LINE);
                            pen.text(22, 49, "waist", Lettering.SMALL, Tone.INK);
                        })
                        .crossed())
                .hasSize(1);
        assertThat(drawn((pen, width, height) -> {
                            pen.line(0, 46, 200, 46, Stroke.of(Tone.HAIRLINE, 1));
                            pen.text(20, 50, "gap", Lettering.SMALL, Tone.INK);
                        })
                        .crossed())
                .isEmpty();
    }
}
