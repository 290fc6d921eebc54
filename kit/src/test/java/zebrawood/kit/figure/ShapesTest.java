package zebrawood.kit.figure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.route.StopState;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Scripts;
import zebrawood.kit.theme.Tone;

class ShapesTest {

    /** Told apart by shape alone: no two states are drawn by the same lines, whatever their colour. */
    @Test
    void everyStateHasAShapeOfItsOwn() {
        Look look = Look.of(Ground.EYEWEAR);
        var drawings = Arrays.stream(StopState.values())
                .collect(Collectors.toMap(
                        state -> state,
                        state -> SvgPen.document(
                                        (pen, width, height) -> Shapes.state(pen, state, 10, 10, 1), 20, 20, look)
                                .replaceAll("#[0-9A-F]{6}", "")));

        assertThat(drawings.values()).doesNotHaveDuplicates();
        assertThat(StopState.values()).extracting(StopState::word).doesNotHaveDuplicates();
    }

    @Test
    void aDrawingSavedAsSvgHoldsItsWordsAndNothingThatCouldBreakIt() {
        String svg = SvgPen.document(
                (pen, width, height) -> pen.text(5, 5, "a < b & \"c\"", Lettering.TEXT, Tone.INK),
                100,
                40,
                Look.of(Ground.LIGHT));

        assertThat(svg)
                .startsWith("<svg xmlns=")
                .contains("a &lt; b &amp; \"c\"")
                .endsWith("</svg>\n");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Wren ± 0.3 µm | COCKPIT",
                "Крапивник | WIDER",
                "Τρυποφράχτης | WIDER",
                "Střízlík | COCKPIT WIDER COCKPIT",
                "鷦鷯 | SYSTEM",
                "Wren 鷦鷯 Wren | COCKPIT SYSTEM COCKPIT"
            })
    void runsOfOtherScriptsAreSplitOffAndNothingIsLost(String text, String scripts) {
        var runs = Scripts.runs(text);

        assertThat(runs.stream().map(run -> run.script().name()).collect(Collectors.joining(" ")))
                .isEqualTo(scripts);
        assertThat(runs.stream().map(Scripts.Run::text).collect(Collectors.joining()))
                .isEqualTo(text);
    }
}
