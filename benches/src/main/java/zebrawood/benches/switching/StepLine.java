package zebrawood.benches.switching;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.switching.OrderReadings.Step;

/** A step as a line of text: what is done | what to wait for | what is seen | what goes wrong otherwise. */
final class StepLine {

    private StepLine() {}

    /** The steps of a text, a line each; a line without words is none. */
    static List<Step> steps(String text) {
        return text.lines()
                .map(line ->
                        Arrays.stream(line.split("\\|", 4)).map(String::strip).toList())
                .filter(cells -> !cells.get(0).isEmpty())
                .map(cells -> new Step(cells.get(0), cell(cells, 1), cell(cells, 2), cell(cells, 3)))
                .toList();
    }

    private static Optional<String> cell(List<String> cells, int at) {
        return cells.size() > at ? Optional.of(cells.get(at)).filter(cell -> !cell.isEmpty()) : Optional.empty();
    }

    /** Steps as the text from which they are read again. */
    static String text(List<Step> steps) {
        return steps.stream().map(StepLine::line).collect(Collectors.joining("\n"));
    }

    private static String line(Step step) {
        String line = Stream.of(Optional.of(step.what()), step.waitFor(), step.seen(), step.otherwise())
                .map(cell -> cell.orElse("").replace('|', '/').replaceAll("\\R", " "))
                .collect(Collectors.joining(" | "));
        return line.replaceFirst("( \\| *)+$", "");
    }
}
