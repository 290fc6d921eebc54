package zebrawood.kit.figure;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Scripts;
import zebrawood.kit.theme.Tone;

/** Draws a figure on a canvas in the window. */
public final class CanvasPen extends Pen {

    private final GraphicsContext canvas;
    private final Look look;

    /**
     * A pen for the window.
     *
     * @param canvas where it draws
     * @param look the colours and fonts of now
     */
    public CanvasPen(GraphicsContext canvas, Look look) {
        this.canvas = canvas;
        this.look = look;
        canvas.setLineCap(StrokeLineCap.BUTT);
        canvas.setLineJoin(StrokeLineJoin.MITER);
    }

    @Override
    public boolean hatches() {
        return look.hatches();
    }

    /** Upright lines and boxes are filled as boxes: a small part of the work that an outline is. */
    @Override
    public void stroke(Path path, Stroke stroke) {
        double width = look.strokeWidth(stroke.width());
        Optional<Path.Box> box = stroke.dash() > 0 ? Optional.empty() : path.box();
        if (box.isPresent() && box.get().isLine()) {
            canvas.setFill(look.paint(stroke.tone()));
            fill(box.get().widened(width));
        } else if (box.isPresent() && box.get().width() > width && box.get().height() > width) {
            canvas.setFill(look.paint(stroke.tone()));
            box.get().frame(width).forEach(this::fill);
        } else {
            outline(path, stroke, width);
        }
    }

    private void outline(Path path, Stroke stroke, double width) {
        canvas.setStroke(look.paint(stroke.tone()));
        canvas.setLineWidth(width);
        if (stroke.dash() > 0) {
            canvas.setLineDashes(stroke.dash(), stroke.dash() * 0.75);
        } else {
            canvas.setLineDashes();
        }
        trace(path);
        canvas.stroke();
    }

    @Override
    public void fill(Path path, Tone tone) {
        canvas.setFill(look.paint(tone));
        Optional<Path.Box> box = path.box();
        if (box.isPresent()) {
            fill(box.get());
        } else {
            trace(path);
            canvas.fill();
        }
    }

    private void fill(Path.Box box) {
        canvas.fillRect(box.x(), box.y(), box.width(), box.height());
    }

    private void trace(Path path) {
        canvas.beginPath();
        for (Path.Piece piece : path.pieces()) {
            double[] p = piece.points();
            switch (piece.kind()) {
                case 'M' -> canvas.moveTo(p[0], p[1]);
                case 'L' -> canvas.lineTo(p[0], p[1]);
                case 'C' -> canvas.bezierCurveTo(p[0], p[1], p[2], p[3], p[4], p[5]);
                default -> canvas.closePath();
            }
        }
    }

    @Override
    public void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        canvas.setFill(look.paint(tone));
        List<Scripts.Run> runs = Scripts.runs(text);
        double at = anchor == Anchor.START ? x : anchor.start(x, textWidth(text, lettering));
        for (Scripts.Run run : runs) {
            canvas.setFont(look.font(lettering, run.script()));
            canvas.fillText(run.text(), Math.rint(at), y);
            at += runs.size() == 1 ? 0 : look.textWidth(run.text(), lettering);
        }
    }

    @Override
    public double textWidth(String text, Lettering lettering) {
        return look.textWidth(text, lettering);
    }

    @Override
    public void turned(double x, double y, double degrees, Runnable drawing) {
        canvas.save();
        canvas.translate(x, y);
        canvas.rotate(degrees);
        canvas.translate(-x, -y);
        drawing.run();
        canvas.restore();
    }

    @Override
    public void clipped(double x, double y, double width, double height, Runnable drawing) {
        canvas.save();
        canvas.beginPath();
        canvas.rect(x, y, width, height);
        canvas.clip();
        drawing.run();
        canvas.restore();
    }
}
