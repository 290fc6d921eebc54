package zebrawood.benches.focus;

import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoublePredicate;
import java.util.function.Function;
import javafx.geometry.Point2D;
import zebrawood.core.picture.Pixel;
import zebrawood.core.reading.ReadingException;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.PictureFile;
import zebrawood.kit.view.ReadOff;
import zebrawood.kit.view.Workplace;

/** A picture in which points are pressed on one after the other; once all are there, it is measured. */
abstract class PointedPicture extends ReadOff {

    private final List<String> wanted;
    private final List<Pixel> points = new ArrayList<>();
    private PictureFile picture;
    private String problem = "";

    /** @param wanted what is to be pressed on, a sentence each */
    PointedPicture(Workplace workplace, Covered covered, String takes, List<String> wanted) {
        super(workplace, covered, takes);
        this.wanted = List.copyOf(wanted);
    }

    /** Opens a photo. */
    public final void open(File photo) {
        open(photo, goOn -> PictureFile.read(photo, goOn));
    }

    /** Opens one that is made, under the name of a file that there is not. */
    final void open(File name, Function<DoublePredicate, PictureFile> made) {
        read(name, made, read -> {
            picture = read;
            images(List.of(read.shown()));
        });
    }

    /** Px of the surface that the picture leaves free below it. */
    abstract double below();

    /** Forgets what was measured. */
    abstract void forget();

    /** Measures, now that every point is there; what cannot be is refused with what to do. */
    abstract void measured();

    /** What was measured, as a sentence. */
    abstract String found();

    final void measure() {
        forget();
        problem = "";
        if (areAllThere()) {
            try {
                measured();
            } catch (ReadingException refused) {
                String why = refused.refusals().get(0).why();
                problem = Character.toUpperCase(why.charAt(0)) + why.substring(1);
            }
        }
    }

    final boolean areAllThere() {
        return points.size() == wanted.size();
    }

    final PictureFile picture() {
        return picture;
    }

    final Pixel point(int i) {
        return points.get(i);
    }

    @Override
    protected final String asked() {
        if (!problem.isEmpty()) {
            return problem;
        }
        return areAllThere() ? found() : wanted.get(points.size());
    }

    final double share(double width, double height) {
        return Math.min(
                width / picture.grey().width(),
                (height - below()) / picture.grey().height());
    }

    /** Where the picture lies. */
    final Path.Box box(double width, double height) {
        double share = share(width, height);
        return new Path.Box(0, 0, picture.grey().width() * share, picture.grey().height() * share);
    }

    @Override
    protected List<Path.Box> imagesIn(double width, double height) {
        return picture == null ? List.of() : List.of(box(width, height));
    }

    final Point2D shown(Pixel at) {
        double share = share(size().getX(), size().getY());
        return new Point2D(at.x() * share, at.y() * share);
    }

    private Pixel pixel(double x, double y) {
        double share = share(size().getX(), size().getY());
        return new Pixel(
                Math.max(0, Math.min(picture.grey().width(), x / share)),
                Math.max(0, Math.min(picture.grey().height(), y / share)));
    }

    @Override
    protected final List<Point2D> grips() {
        return points.stream().map(this::shown).toList();
    }

    @Override
    protected final void move(int grip, double x, double y) {
        points.set(grip, pixel(x, y));
    }

    @Override
    protected final void moved() {
        measure();
    }

    @Override
    protected void pressed(double x, double y) {
        Path.Box box = box(size().getX(), size().getY());
        if (!areAllThere() && x <= box.width() && y <= box.height()) {
            points.add(pixel(x, y));
            measure();
        }
    }

    /** The points that were pressed on. */
    final void drawPoints(Pen pen) {
        for (int i = 0; i < points.size(); i++) {
            Point2D at = shown(points.get(i));
            Stroke stroke = Stroke.of(i == chosen() ? Tone.WALNUT : Tone.READING, 2.4);
            pen.stroke(Path.circle(at.getX(), at.getY(), 9), stroke);
            pen.line(at.getX() - 14, at.getY(), at.getX() + 14, at.getY(), stroke);
            pen.line(at.getX(), at.getY() - 14, at.getX(), at.getY() + 14, stroke);
        }
    }
}
