package zebrawood.desktop.shell;

import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;

/** The signs of the places at the left edge, 22 px square. */
final class PlaceIcons {

    private static final Stroke LINE = Stroke.of(Tone.INK, 1.6);

    private PlaceIcons() {}

    /** A workshop's roof and door. */
    static final Figure SHOP = (pen, width, height) -> {
        pen.stroke(new Path().move(3, 19).line(3, 9).line(11, 4).line(19, 9).line(19, 19), LINE);
        pen.stroke(new Path().move(7, 19).line(7, 13).line(15, 13).line(15, 19), LINE);
    };

    /** Stops on a line. */
    static final Figure ROUTE = (pen, width, height) -> {
        pen.line(6, 3, 6, 19, LINE);
        for (int i = 0; i < 3; i++) {
            double y = 5 + 6 * i;
            pen.line(6, y, i == 1 ? 13 : 17, y, LINE);
            pen.circle(6, y, 3.4, Tone.INK);
            pen.circle(6, y, 1.9, Tone.RAISED);
        }
    };

    /** A bound book. */
    static final Figure LOGBOOK = (pen, width, height) -> {
        pen.stroke(Path.rectangle(4, 4, 14, 14), LINE);
        pen.line(8, 4, 8, 18, LINE);
        pen.line(11, 8, 15, 8, LINE);
        pen.line(11, 11, 15, 11, LINE);
    };
}
