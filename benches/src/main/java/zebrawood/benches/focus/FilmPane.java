package zebrawood.benches.focus;

import java.io.File;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.geometry.Point2D;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.picture.Film;
import zebrawood.core.picture.Film.Spot;
import zebrawood.core.picture.Pixel;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.FilmFile;
import zebrawood.kit.view.PictureFile;
import zebrawood.kit.view.ReadOff;
import zebrawood.kit.view.Workplace;

/**
 * A film of one sweep: the spot that glows framed in it, its brightness over time under it, the motion between edges.
 */
final class FilmPane extends ReadOff {

    private static final double PICTURE = 0.62;
    private static final double LEFT = 54;
    private static final double FOOT = 46;
    private static final double GAP = 26;
    /** the grips: middle and corner of the frame about the spot, begin and end of the motion */
    private static final int SPOT = 0;

    private static final int CORNER = 1;
    private static final int BEGIN = 2;
    private static final int END = 3;

    private final Consumer<Seen> taker;
    private Film film;
    private Spot spot;
    private double[] levels = {};
    private double fromS;
    private double toS;
    private NewAttachment file = new NewAttachment("", new byte[0]);

    /**
     * What was seen.
     *
     * @param atS times since the motion began, s
     * @param levels brightness at each, 0 to 255
     * @param file the film
     */
    record Seen(double[] atS, double[] levels, NewAttachment file) {}

    FilmPane(Workplace workplace, Covered covered, Consumer<Seen> taker) {
        super(workplace, covered, "Put the brightness in");
        this.taker = taker;
    }

    void open(File recording) {
        file = new NewAttachment(recording.getName(), () -> Files.newInputStream(recording.toPath()));
        read(recording, goOn -> FilmFile.read(recording, goOn), seen -> {
            film = seen;
            spot = film.liveliest();
            fromS = 0;
            toS = film.lengthS();
            measure();
            look(brightestS());
        });
    }

    private void measure() {
        levels = film.levels(spot);
    }

    private double brightestS() {
        int best = 0;
        for (int i = 0; i < levels.length; i++) {
            best = levels[i] > levels[best] ? i : best;
        }
        return film.atS().get(best);
    }

    private void look(double atS) {
        images(List.of(PictureFile.of(film.frames().get(film.frameAt(atS))).shown()));
    }

    @Override
    protected String asked() {
        return "Drag the edges to where the motion begins and ends";
    }

    @Override
    protected String note() {
        return String.format(
                Locale.ROOT,
                "brightest after %.2f s of motion, if the frame is about the spot: press on the spot to move it there",
                brightestS() - fromS);
    }

    @Override
    protected boolean isReady() {
        return moments().length >= 9;
    }

    private int[] moments() {
        return IntStream.range(0, levels.length)
                .filter(i -> film.atS().get(i) >= fromS && film.atS().get(i) <= toS)
                .toArray();
    }

    private Path.Box picture(double width, double height) {
        double room = PICTURE * height;
        double scale = Math.min(width / film.width(), room / film.height());
        return new Path.Box((width - scale * film.width()) / 2, 0, scale * film.width(), scale * film.height());
    }

    private static Path.Box plot(double width, double height) {
        double top = PICTURE * height + GAP;
        return new Path.Box(LEFT, top, Math.max(20, width - LEFT - 12), Math.max(20, height - top - FOOT));
    }

    @Override
    protected List<Path.Box> imagesIn(double width, double height) {
        return film == null ? List.of() : List.of(picture(width, height));
    }

    private Point2D onPicture(double x, double y) {
        Path.Box box = picture(size().getX(), size().getY());
        return new Point2D(box.x() + x / film.width() * box.width(), box.y() + y / film.height() * box.height());
    }

    private Pixel inFilm(double x, double y) {
        Path.Box box = picture(size().getX(), size().getY());
        return new Pixel(
                Math.max(0, Math.min(film.width(), (x - box.x()) / box.width() * film.width())),
                Math.max(0, Math.min(film.height(), (y - box.y()) / box.height() * film.height())));
    }

    private Axis time(Path.Box plot) {
        return new Axis(0, Math.max(1e-3, film.lengthS()), plot.x(), plot.x() + plot.width());
    }

    @Override
    protected List<Point2D> grips() {
        Path.Box plot = plot(size().getX(), size().getY());
        return List.of(
                onPicture(spot.middle().x(), spot.middle().y()),
                onPicture(spot.middle().x() + spot.half(), spot.middle().y() + spot.half()),
                new Point2D(time(plot).at(fromS), plot.y() + plot.height() * 0.75),
                new Point2D(time(plot).at(toS), plot.y() + plot.height() * 0.25));
    }

    @Override
    protected void move(int grip, double x, double y) {
        if (grip == SPOT || grip == CORNER) {
            Pixel at = inFilm(x, y);
            spot = grip == SPOT
                    ? new Spot(at, spot.half())
                    : new Spot(
                            spot.middle(),
                            Math.max(
                                    1,
                                    Math.max(
                                            at.x() - spot.middle().x(),
                                            at.y() - spot.middle().y())));
            measure();
            return;
        }
        Path.Box plot = plot(size().getX(), size().getY());
        double at = Math.max(0, Math.min(1, (x - plot.x()) / plot.width())) * film.lengthS();
        if (grip == BEGIN) {
            fromS = Math.min(at, toS);
        } else {
            toS = Math.max(at, fromS);
        }
        look(at);
    }

    @Override
    protected void pressed(double x, double y) {
        Path.Box plot = plot(size().getX(), size().getY());
        if (y < plot.y()) {
            spot = new Spot(inFilm(x, y), spot.half());
            measure();
        } else {
            look(Math.max(0, Math.min(1, (x - plot.x()) / plot.width())) * film.lengthS());
        }
    }

    @Override
    protected void taken() {
        int[] moments = moments();
        taker.accept(new Seen(
                Arrays.stream(moments)
                        .mapToDouble(i -> film.atS().get(i) - fromS)
                        .toArray(),
                Arrays.stream(moments).mapToDouble(i -> levels[i]).toArray(),
                file));
    }

    @Override
    protected Figure over() {
        return (pen, width, height) -> draw(pen, plot(width, height));
    }

    private void draw(Pen pen, Path.Box plot) {
        Point2D upper = onPicture(spot.middle().x() - spot.half(), spot.middle().y() - spot.half());
        Point2D lower = onPicture(spot.middle().x() + spot.half(), spot.middle().y() + spot.half());
        pen.stroke(
                Path.rectangle(upper.getX(), upper.getY(), lower.getX() - upper.getX(), lower.getY() - upper.getY()),
                Stroke.of(Tone.WALNUT, 3));
        Axis x = time(plot);
        double bottom = plot.y() + plot.height();
        double most = Arrays.stream(levels).max().orElse(1);
        double least = Arrays.stream(levels).min().orElse(0);
        Axis y = new Axis(least, most > least ? most : least + 1, bottom, plot.y());
        pen.band(x.at(fromS), plot.y(), x.at(toS) - x.at(fromS), plot.height());
        Path curve = new Path();
        for (int i = 0; i < levels.length; i++) {
            curve.line(x.at(film.atS().get(i)), y.at(levels[i]));
        }
        pen.stroke(curve, Stroke.of(Tone.WALNUT, 2));
        pen.line(x.at(fromS), plot.y(), x.at(fromS), bottom, Stroke.of(Tone.READING, 2));
        pen.line(x.at(toS), plot.y(), x.at(toS), bottom, Stroke.of(Tone.READING, 2));
        x.under(pen, bottom, 8, "time in the film, s");
        pen.text(plot.x() - 8, plot.y() + 12, "bright", Lettering.CAPTION, Tone.QUIET, Anchor.END);
        pen.text(plot.x() - 8, bottom - 2, "dark", Lettering.CAPTION, Tone.QUIET, Anchor.END);
        List<Point2D> grips = grips();
        for (int i = 0; i <= END; i++) {
            pen.circle(
                    grips.get(i).getX(),
                    grips.get(i).getY(),
                    i == chosen() ? 11 : 8,
                    i == chosen() ? Tone.WALNUT : Tone.READING);
            pen.circle(grips.get(i).getX(), grips.get(i).getY(), 3, Tone.RAISED);
        }
    }
}
