package zebrawood.benches.focus;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.ReadOff;
import zebrawood.kit.view.Workplace;

/** A stop watch for one sweep: pressed as the motion begins, and again at the liveliest moment. */
final class SweepClock extends ReadOff {

    private static final double NANOS = 1e9;

    private final DoubleConsumer marked;
    private long began;
    private double seconds;
    private State state = State.WAITS;

    private enum State {
        WAITS,
        RUNS,
        STOPPED
    }

    /** @param marked takes how long after the motion began it was liveliest, s */
    SweepClock(Workplace workplace, Covered covered, DoubleConsumer marked) {
        super(workplace, covered, "Put the time in");
        this.marked = marked;
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.SPACE && event.getTarget() != this && state != State.STOPPED) {
                press();
                event.consume();
            }
        });
    }

    void open() {
        begin();
    }

    private void press() {
        long now = System.nanoTime();
        if (state == State.RUNS) {
            seconds = (now - began) / NANOS;
            state = State.STOPPED;
        } else {
            began = now;
            state = State.RUNS;
        }
        refresh();
    }

    private String time() {
        return String.format(Locale.ROOT, "%.2f s", seconds);
    }

    @Override
    protected String asked() {
        return switch (state) {
            case WAITS -> "Press Space at the moment the motion begins";
            case RUNS -> "Press Space again when the spot is liveliest";
            case STOPPED -> "Liveliest after " + time() + "; press the circle to time it again";
        };
    }

    @Override
    protected String note() {
        return "or press the circle; eyewear on, lowest power, and the lower end of the height set first";
    }

    @Override
    protected boolean isReady() {
        return state == State.STOPPED;
    }

    @Override
    protected List<Path.Box> imagesIn(double width, double height) {
        return List.of();
    }

    @Override
    protected List<Point2D> grips() {
        return List.of();
    }

    @Override
    protected void move(int grip, double x, double y) {
        // there are none
    }

    @Override
    protected void pressed(double x, double y) {
        press();
    }

    @Override
    protected void taken() {
        marked.accept(seconds);
    }

    @Override
    protected Figure over() {
        return (pen, width, height) -> {
            double radius = Math.max(40, Math.min(width, height) / 3);
            boolean runs = state == State.RUNS;
            if (runs) {
                pen.circle(width / 2, height / 2, radius, Tone.WALNUT);
            }
            pen.stroke(Path.circle(width / 2, height / 2, radius), Stroke.of(Tone.WALNUT, 4));
            pen.text(
                    width / 2,
                    height / 2 + 8,
                    switch (state) {
                        case WAITS -> "motion begins";
                        case RUNS -> "liveliest now";
                        case STOPPED -> time();
                    },
                    Lettering.ACT,
                    runs ? Tone.ON_WALNUT : Tone.WALNUT,
                    Anchor.MIDDLE);
        };
    }
}
