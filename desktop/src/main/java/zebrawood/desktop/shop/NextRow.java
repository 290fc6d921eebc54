package zebrawood.desktop.shop;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.route.Todo;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableDrawing;
import zebrawood.kit.view.Words;

/** One thing to do: how it stands, the machine, what to do there, how long it takes and since when it waits. */
final class NextRow {

    static final double HEIGHT = 44;
    private static final double FIRST_HEIGHT = 68;
    private static final double WIDE = 920;
    private static final double WHEN = 110;
    private static final double MINUTES = 64;
    private static final double STOP = 98;
    private static final double NAME = 80;
    private static final double FIRST_NAME = 96;

    private final Todo todo;
    private final String sentence;
    private final boolean first;

    private NextRow(Todo todo, String sentence, boolean first) {
        this.todo = todo;
        this.sentence = sentence;
        this.first = first;
    }

    /** @param first whether it is the most urgent one, drawn larger */
    static PressableDrawing of(Desk desk, Navigator navigator, Todo todo, boolean first) {
        NextRow line = line(todo, desk.units().get(), first);
        DrawingSurface drawing = new DrawingSurface(desk.look());
        drawing.show(line::draw, "");
        drawing.setMinHeight(line.height() - 4);
        drawing.setMaxHeight(line.height() - 4);
        String name = "next-" + todo.machine().toLowerCase(Locale.ROOT) + "-" + todo.stop();
        PressableDrawing row = new PressableDrawing(
                name,
                drawing,
                line.words(),
                () -> todo.entry()
                        .ifPresentOrElse(
                                entry -> navigator.entry(todo.machineId(), entry),
                                () -> navigator.stop(todo.machineId(), todo.stop())),
                "next-row");
        row.setMinHeight(line.height());
        row.setMaxHeight(line.height());
        return row;
    }

    /** The same line as a drawing. */
    static Figure figure(Todo todo, UnitChoice units, boolean first) {
        return line(todo, units, first)::draw;
    }

    private static NextRow line(Todo todo, UnitChoice units, boolean first) {
        return new NextRow(todo, Words.together(todo.action().in(units)), first);
    }

    private double height() {
        return first ? FIRST_HEIGHT : HEIGHT;
    }

    private String minutes() {
        return todo.minutes() == 0 ? "" : todo.minutes() + " min";
    }

    private String words() {
        return Stream.of(todo.machine() + ": " + sentence, todo.stopTitle(), minutes(), todo.when())
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private void draw(Pen pen, double width, double height) {
        double middle = height / 2;
        double size = first ? 28 : 22;
        Shapes.mark(pen, todo.shape(), 6 + size / 2, middle, size);
        double right = width - 4;
        pen.text(right, middle + 5, todo.when(), Lettering.TEXT, Tone.QUIET, Anchor.END);
        right -= Math.max(WHEN, pen.textWidth(todo.when(), Lettering.TEXT) + 12) + 12;
        pen.text(right, middle + 5, minutes(), Lettering.TEXT, Tone.QUIET, Anchor.END);
        right -= MINUTES;
        if (width > WIDE) {
            right -= STOP;
            pen.text(
                    right,
                    middle + 5,
                    pen.fitting(todo.stopTitle(), STOP - 8, Lettering.TEXT),
                    Lettering.TEXT,
                    Tone.QUIET);
        }
        Lettering bold = first ? Lettering.LEAD : Lettering.ROW_BOLD;
        Lettering plain = first ? Lettering.LEAD : Lettering.ROW;
        double down = first ? 7 : 5;
        double at = 16 + size;
        String name = pen.fitting(todo.machine(), width * 0.3, bold);
        pen.text(at, middle + down, name, bold, Tone.INK);
        at += Math.max(first ? FIRST_NAME : NAME, pen.textWidth(name, bold)) + 12;
        double room = right - 12 - at;
        List<String> lines = first ? pen.wrapped(sentence, room, plain) : List.of(sentence);
        if (lines.size() > 1) {
            pen.text(at, middle - 6, lines.get(0), plain, Tone.INK);
            pen.text(
                    at,
                    middle + 19,
                    pen.fitting(String.join(" ", lines.subList(1, lines.size())), room, plain),
                    plain,
                    Tone.INK);
        } else {
            pen.text(at, middle + down, pen.fitting(lines.get(0), room, plain), plain, Tone.INK);
        }
    }
}
