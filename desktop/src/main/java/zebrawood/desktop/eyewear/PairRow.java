package zebrawood.desktop.eyewear;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.Marking;
import zebrawood.core.eyewear.Register;
import zebrawood.core.route.StopState;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableDrawing;

/** A line of the register: what it is, what is marked on it, and how good it is for each machine. */
record PairRow(String name, List<String> under, Kind kind, List<Register.Judged> judged) {

    /** px of the first column, and least px of each other one */
    static final double NAME = 210;

    static final double COLUMN = 104;
    private static final double HEIGHT = 56;
    private static final double SHAPE = 44;
    private static final double LINE = 14;

    /** What is drawn before the name. */
    enum Kind {
        WORN,
        WINDOW,
        /** good for nothing */
        BAD,
        NOTHING
    }

    static PairRow of(EyewearPair pair, String window, List<Register.Judged> judged) {
        boolean bad =
                pair.condition() != EyewearPair.Condition.SOUND || pair.marks().isEmpty();
        String marks = pair.marks().isEmpty() ? "no marking to read" : Marking.words(pair.marks());
        String condition = pair.condition() == EyewearPair.Condition.SOUND
                ? ""
                : ", " + pair.condition().words();
        return new PairRow(
                pair.name(),
                List.of(marks + condition + (window.isEmpty() ? "" : ", " + window)),
                bad ? Kind.BAD : pair.window().isPresent() ? Kind.WINDOW : Kind.WORN,
                judged);
    }

    DrawingSurface drawing(Desk desk) {
        DrawingSurface drawing = new DrawingSurface(desk.look());
        drawing.show(this::draw, "");
        drawing.setMinSize(NAME + judged.size() * COLUMN, HEIGHT);
        drawing.setPrefHeight(HEIGHT);
        return drawing;
    }

    PressableDrawing pressable(Desk desk, Runnable action) {
        return new PressableDrawing("pair-" + name, drawing(desk), inWords(), action, "next-row");
    }

    private String inWords() {
        return name + ", " + String.join(" ", under) + ". "
                + judged.stream().map(each -> each.fit() + ": " + each.why()).collect(Collectors.joining("; "));
    }

    private void draw(Pen pen, double width, double height) {
        double middle = height / 2;
        shape(pen, 20, middle);
        List<String> marks = under.stream()
                .flatMap(words -> pen.wrapped(words, NAME - SHAPE - 12, Lettering.CAPTION).stream())
                .limit(2)
                .toList();
        double top = middle - 7 * marks.size() + 4;
        pen.text(SHAPE, top, pen.fitting(name, NAME - SHAPE - 8, Lettering.TEXT_BOLD), Lettering.TEXT_BOLD, Tone.INK);
        IntStream.range(0, marks.size())
                .forEach(i -> pen.text(SHAPE, top + LINE * (i + 1), marks.get(i), Lettering.CAPTION, Tone.QUIET));
        double column = (width - NAME) / Math.max(1, judged.size());
        for (int i = 0; i < judged.size(); i++) {
            cell(pen, judged.get(i), NAME + i * column, column, middle);
        }
    }

    private static void cell(Pen pen, Register.Judged judged, double x, double wide, double middle) {
        Shapes.state(pen, shape(judged.fit()), x + 9, middle, 1);
        List<String> why = pen.wrapped(judged.why(), wide - 28, Lettering.CAPTION);
        double top = middle + 4 - LINE * (why.size() - 1) / 2.0;
        Tone tone = judged.fit() == Register.Fit.GOOD ? Tone.INK : Tone.QUIET;
        for (int i = 0; i < why.size(); i++) {
            pen.text(x + 22, top + i * LINE, why.get(i), Lettering.CAPTION, tone);
        }
    }

    static StopState shape(Register.Fit fit) {
        return switch (fit) {
            case GOOD -> StopState.PASSED;
            case ASK -> StopState.UNCLEAR;
            case NOT -> StopState.FAILED;
        };
    }

    private void shape(Pen pen, double x, double y) {
        if (kind == Kind.NOTHING) {
            return;
        }
        if (kind == Kind.WINDOW) {
            pen.rectangle(x - 14, y - 10, 28, 20, Tone.RAISED, Stroke.of(Tone.INK, 1.6));
            pen.line(x - 9, y + 5, x + 2, y - 6, Stroke.of(Tone.HAIRLINE, 1.6));
            return;
        }
        Path goggles = new Path()
                .move(x - 15, y - 9)
                .line(x + 15, y - 9)
                .curve(x + 17, y + 9, x + 6, y + 9, x + 4, y + 8)
                .curve(x + 1, y + 3, x - 1, y + 3, x - 4, y + 8)
                .curve(x - 6, y + 9, x - 17, y + 9, x - 15, y - 9)
                .close();
        pen.fill(goggles, Tone.RAISED);
        pen.stroke(goggles, Stroke.of(Tone.INK, 1.6));
        if (kind == Kind.BAD) {
            pen.line(x - 16, y + 11, x + 16, y - 12, Stroke.of(Tone.FAIL, 2.2));
        }
    }
}
