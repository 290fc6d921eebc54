package zebrawood.benches.focus;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.DoublePredicate;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Point2D;
import javafx.scene.image.Image;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.sound.MarkedSteps;
import zebrawood.core.sound.MarkedSteps.Step;
import zebrawood.core.sound.Recording;
import zebrawood.core.sound.Spectrogram;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.ReadOff;
import zebrawood.kit.view.Workplace;

/** The recording of a ladder: pitch over time, the steps found in it, and an edge of each step to be dragged. */
final class SoundPane extends ReadOff {

    private static final double LEFT = 54;
    private static final double TOP = 46;
    private static final double FOOT = 30;
    private static final int MOST_COLUMNS = 1600;

    private final List<String> squares;
    private final Consumer<Heard> taker;
    private Sound sound = new Sound(null, null);
    private List<Step> steps = new ArrayList<>();
    private boolean touched;
    private NewAttachment file = new NewAttachment("", new byte[0]);

    private record Sound(Spectrogram spectrogram, MarkedSteps marked) {}

    /**
     * What was heard.
     *
     * @param steps where each square, or the sweep, lies in it
     * @param file the recording
     */
    record Heard(Spectrogram sound, MarkedSteps marked, List<Step> steps, NewAttachment file) {}

    /**
     * @param squares what each square of the ladder is called, in the order in which they were burned
     * @param taker takes what was heard
     */
    SoundPane(Workplace workplace, Covered covered, List<String> squares, Consumer<Heard> taker) {
        super(workplace, covered, "Put the levels in");
        this.squares = List.copyOf(squares);
        this.taker = taker;
    }

    private boolean isOfSweep() {
        return squares.size() == 1;
    }

    void open(File recording) {
        file = new NewAttachment(recording.getName(), () -> Files.newInputStream(recording.toPath()));
        open(recording, goOn -> heard(recording, goOn));
    }

    /** Opens one that is made, as a WAV, under the name of a file that there is not. */
    void openMade(File name, Supplier<byte[]> wav) {
        open(name, goOn -> heard(new ByteArrayInputStream(wav.get()), goOn));
    }

    private void open(File name, Function<DoublePredicate, Sound> reading) {
        read(name, reading, heard -> {
            sound = heard;
            steps = new ArrayList<>(
                    isOfSweep()
                            ? List.of(new Step(0, heard.spectrogram().lengthS()))
                            : heard.marked().find(squares.size()));
            touched = false;
            images(List.of(image(heard.spectrogram(), workplace().look().getValue())));
        });
    }

    private static Sound heard(File recording, DoublePredicate goOn) {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(recording.toPath()))) {
            return heard(in, goOn);
        } catch (IOException gone) {
            throw new ReadingException("recording", "it cannot be opened: is the card or stick still there?");
        }
    }

    private static Sound heard(InputStream in, DoublePredicate goOn) {
        Spectrogram spectrogram = Recording.read(in, goOn);
        return new Sound(spectrogram, new MarkedSteps(spectrogram));
    }

    /** Pitch upwards, time to the right, the darker the louder against what is usual at that pitch. */
    private static Image image(Spectrogram sound, Look look) {
        int wide = Math.min(MOST_COLUMNS, sound.columns());
        int high = sound.bands();
        double[][] db = new double[high][wide];
        WritableImage image = new WritableImage(wide, high);
        Color quiet = look.paint(Tone.RAISED);
        Color loud = look.paint(Tone.INK);
        for (int band = 0; band < high; band++) {
            double[] row = db[band];
            for (int x = 0; x < wide; x++) {
                int from = (int) ((long) x * sound.columns() / wide);
                int to = Math.max(from + 1, (int) ((long) (x + 1) * sound.columns() / wide));
                double sum = 0;
                for (int column = from; column < to; column++) {
                    sum += sound.power(column, band);
                }
                row[x] = 10 * Math.log10(Math.max(1e-12, sum / (to - from)));
            }
            double[] sorted = row.clone();
            Arrays.sort(sorted);
            double usual = sorted[sorted.length / 5];
            for (int x = 0; x < wide; x++) {
                double share = Math.max(0, Math.min(1, (row[x] - usual) / 12));
                image.getPixelWriter().setColor(x, high - 1 - band, quiet.interpolate(loud, 0.8 * share));
            }
        }
        return image;
    }

    @Override
    protected String asked() {
        if (sound.spectrogram().isTooLoud()) {
            return "Recorded too loud: move the microphone away and record again";
        } else if (isOfSweep()) {
            return "Drag the edges to where the motion begins and where it ends";
        } else if (steps.size() < squares.size()) {
            return "Only " + steps.size() + " steps fit into this recording: the ladder has " + squares.size()
                    + " squares";
        } else if (!isReady()) {
            return "Not sure: drag the edges to where each square begins and ends";
        }
        return "Loudest: square " + (loudest() + 1) + ", " + squares.get(loudest());
    }

    @Override
    protected String note() {
        return "pitch over time, darker is louder" + (isOfSweep() ? "" : "; squares in the order of the rows")
                + ". Drag an edge to put it right, or" + " press Space for the next one, then the arrow keys";
    }

    private int loudest() {
        int loudest = 0;
        for (int i = 1; i < steps.size(); i++) {
            loudest = level(i) > level(loudest) ? i : loudest;
        }
        return loudest;
    }

    private double level(int step) {
        return sound.marked().levelDb(steps.get(step));
    }

    @Override
    protected boolean isReady() {
        return !sound.spectrogram().isTooLoud()
                && steps.size() == squares.size()
                && (touched || isOfSweep() || sound.marked().isSure(steps));
    }

    private static Path.Box plot(double width, double height) {
        return new Path.Box(LEFT, TOP, Math.max(20, width - LEFT - 8), Math.max(20, height - TOP - FOOT));
    }

    @Override
    protected List<Path.Box> imagesIn(double width, double height) {
        return List.of(plot(width, height));
    }

    private double x(double atS, Path.Box plot) {
        return plot.x() + atS / sound.spectrogram().lengthS() * plot.width();
    }

    @Override
    protected List<Point2D> grips() {
        Path.Box plot = plot(size().getX(), size().getY());
        List<Point2D> grips = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            grips.add(new Point2D(x(steps.get(i).fromS(), plot), plot.y() + plot.height() * 0.75));
            grips.add(new Point2D(x(steps.get(i).toS(), plot), plot.y() + plot.height() * 0.25));
        }
        return grips;
    }

    @Override
    protected void move(int grip, double x, double y) {
        Path.Box plot = plot(size().getX(), size().getY());
        int step = grip / 2;
        boolean begins = grip % 2 == 0;
        double least = 3 * sound.spectrogram().columnS();
        double before = begins
                ? step == 0 ? 0 : steps.get(step - 1).toS() + least
                : steps.get(step).fromS() + least;
        double after = begins
                ? steps.get(step).toS() - least
                : step == steps.size() - 1
                        ? sound.spectrogram().lengthS()
                        : steps.get(step + 1).fromS() - least;
        double at = Math.max(
                before,
                Math.min(
                        after,
                        (x - plot.x()) / plot.width() * sound.spectrogram().lengthS()));
        steps.set(
                step,
                begins
                        ? new Step(at, steps.get(step).toS())
                        : new Step(steps.get(step).fromS(), at));
        touched = true;
    }

    @Override
    protected void pressed(double x, double y) {
        // only edges are moved
    }

    @Override
    protected void taken() {
        taker.accept(new Heard(sound.spectrogram(), sound.marked(), List.copyOf(steps), file));
    }

    @Override
    protected Figure over() {
        return (pen, width, height) -> draw(pen, plot(width, height));
    }

    private void draw(Pen pen, Path.Box plot) {
        double bottom = plot.y() + plot.height();
        Spectrogram heard = sound.spectrogram();
        int best = steps.isEmpty() ? -1 : loudest();
        for (int i = 0; i < steps.size(); i++) {
            double from = x(steps.get(i).fromS(), plot);
            double to = x(steps.get(i).toS(), plot);
            double middle = (from + to) / 2;
            boolean loudest = i == best;
            Stroke edge = loudest ? Stroke.of(Tone.WALNUT, 3) : Stroke.of(Tone.READING, 2);
            pen.stroke(Path.rectangle(from, plot.y(), to - from, plot.height()), edge);
            grip(pen, from, plot.y() + plot.height() * 0.75, 2 * i);
            grip(pen, to, plot.y() + plot.height() * 0.25, 2 * i + 1);
            String level = String.format(Locale.ROOT, "%.1f dB", level(i));
            double room =
                    i + 1 < steps.size() ? x(steps.get(i + 1).fromS(), plot) - from : plot.x() + plot.width() - from;
            if (isOfSweep()) {
                continue;
            }
            boolean wordy = room > pen.textWidth(level, Lettering.CAPTION) + 8;
            pen.text(
                    middle,
                    plot.y() - 24,
                    String.valueOf(i + 1),
                    Lettering.TEXT_BOLD,
                    loudest ? Tone.WALNUT : Tone.INK,
                    Anchor.MIDDLE);
            if (wordy || loudest) {
                pen.text(
                        middle,
                        plot.y() - 8,
                        level,
                        loudest ? Lettering.TEXT_BOLD : Lettering.CAPTION,
                        loudest ? Tone.WALNUT : Tone.QUIET,
                        Anchor.MIDDLE);
            }
        }
        pen.stroke(Path.rectangle(plot.x(), plot.y(), plot.width(), plot.height()), Stroke.of(Tone.HAIRLINE, 1));
        for (double hz : new double[] {500, 1000, 2000, 4000, 8000, 16_000}) {
            double lowest = Math.log(heard.edgeHz(0));
            double share = (Math.log(hz) - lowest) / (Math.log(heard.edgeHz(heard.bands())) - lowest);
            if (share >= 0 && share <= 1) {
                pen.text(
                        plot.x() - 6,
                        bottom - share * plot.height() + 4,
                        hz < 1000 ? "500 Hz" : Math.round(hz / 1000) + " kHz",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.END);
            }
        }
        double every = every(heard.lengthS());
        for (double at = 0; at <= heard.lengthS(); at += every) {
            double x = x(at, plot);
            pen.line(x, bottom, x, bottom + 5, Stroke.of(Tone.QUIET, 1));
            pen.text(x, bottom + 20, Math.round(at) + " s", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        }
    }

    private static double every(double length) {
        for (double every : new double[] {1, 2, 5, 10, 20, 30, 60, 120, 300, 600}) {
            if (length / every <= 9) {
                return every;
            }
        }
        return 1200;
    }

    private void grip(Pen pen, double x, double y, int grip) {
        pen.circle(x, y, grip == chosen() ? 11 : 8, grip == chosen() ? Tone.WALNUT : Tone.READING);
        pen.circle(x, y, 3, Tone.RAISED);
    }
}
