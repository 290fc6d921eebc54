package zebrawood.desktop.shop;

import java.util.Locale;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Todo;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.machine.MachineFigure;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableDrawing;

/** A machine on the floor, to scale, and under it how it stands. */
final class MachineOnFloor {

    /** How high the floor's line lies, px from the top. */
    static final double FLOOR = 210;

    static final double HEIGHT = FLOOR + 130;

    private final MachineStatus machine;
    private final double scale;

    private MachineOnFloor(MachineStatus machine, double scale) {
        this.machine = machine;
        this.scale = scale;
    }

    /**
     * @param scale that all machines share, px per mm
     * @param width of its place, px
     */
    static PressableDrawing of(Desk desk, Navigator navigator, MachineStatus machine, double scale, double width) {
        DrawingSurface drawing = new DrawingSurface(desk.look());
        String words = machine.plate().name() + ", " + machine.state().word() + ", " + machine.detail();
        drawing.show(figure(machine, scale), "");
        drawing.setMinSize(width - 4, HEIGHT);
        drawing.setMaxSize(width - 4, HEIGHT);
        PressableDrawing stand = new PressableDrawing(
                "machine-" + machine.plate().name().toLowerCase(Locale.ROOT),
                drawing,
                words,
                () -> navigator.stop(machine.machineId(), start(machine)),
                "flat");
        stand.setMinWidth(width);
        stand.setMaxWidth(width);
        return stand;
    }

    /** The same without what one presses. */
    static Figure figure(MachineStatus machine, double scale) {
        return new MachineOnFloor(machine, scale)::draw;
    }

    /** The stop that one would go to: what is next, else the first. */
    static String start(MachineStatus machine) {
        return machine.todo().stream()
                .findFirst()
                .map(Todo::stop)
                .orElseGet(() -> machine.stops().isEmpty()
                        ? FirstLight.ID
                        : machine.stops().get(0).card().id());
    }

    private void draw(Pen pen, double width, double height) {
        MachineFigure.draw(pen, width / 2, FLOOR - 3, machine.plate(), scale);
        double room = width - 4;
        middle(
                pen,
                width,
                FLOOR + 45,
                pen.fitting(machine.plate().name(), room, Lettering.NAME),
                Lettering.NAME,
                Tone.INK);
        String kind = machine.plate().family().words()
                + machine.plate().place().map(place -> ", " + place).orElse("");
        middle(pen, width, FLOOR + 65, pen.fitting(kind, room, Lettering.SMALL), Lettering.SMALL, Tone.QUIET);
        String word = machine.state().word();
        double left = (width - pen.textWidth(word, Lettering.TEXT_BOLD) - 26) / 2;
        Shapes.mark(pen, machine.state().shape(), left + 10, FLOOR + 86, 20);
        pen.text(
                left + 26,
                FLOOR + 91,
                word,
                Lettering.TEXT_BOLD,
                Shapes.tone(machine.state().shape()));
        middle(
                pen,
                width,
                FLOOR + 110,
                pen.fitting(machine.detail(), room, Lettering.SMALL),
                Lettering.SMALL,
                Tone.INK);
    }

    private static void middle(Pen pen, double width, double y, String text, Lettering lettering, Tone tone) {
        pen.text(width / 2, y, text, lettering, tone, Anchor.MIDDLE);
    }
}
