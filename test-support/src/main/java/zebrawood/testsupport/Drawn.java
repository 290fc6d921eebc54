package zebrawood.testsupport;

import java.util.ArrayList;
import java.util.List;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A pen that notes what is drawn with it. */
public final class Drawn extends Pen {

    /** A text and where it stands. */
    public record Text(
            String text, double x, double y, Lettering lettering, Tone tone, double from, double to, int step) {}

    /** A line or area and the room it takes. */
    public record Area(Tone tone, double left, double top, double right, double bottom, boolean filled, int step) {}

    private final List<Text> texts = new ArrayList<>();
    private final List<Area> areas = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
    private int turned;
    private int step;

    /** A piece of a line and when it was drawn. */
    private record Line(double x1, double y1, double x2, double y2, int step) {}

    public static Drawn of(Figure figure, double width, double height) {
        Drawn drawn = new Drawn();
        figure.draw(drawn, width, height);
        return drawn;
    }

    public List<Text> texts() {
        return texts;
    }

    public List<Area> areas() {
        return areas;
    }

    /** All words, joined. */
    public String words() {
        return String.join(" | ", texts.stream().map(Text::text).toList());
    }

    /** Texts that reach beyond the drawing or stand on each other. */
    public List<String> crowded(double width, double height) {
        List<String> crowded = new ArrayList<>();
        for (int i = 0; i < texts.size(); i++) {
            Text one = texts.get(i);
            if (one.from() < -1 || one.to() > width + 1 || one.y() > height || one.y() < 0) {
                crowded.add("outside: " + one.text());
            }
            for (Text other : texts.subList(i + 1, texts.size())) {
                boolean beside = one.to() <= other.from() || other.to() <= one.from();
                if (!beside && Math.abs(one.y() - other.y()) < 9) {
                    crowded.add("on each other: " + one.text() + " / " + other.text());
                }
            }
        }
        return crowded;
    }

    /** Texts through which a line goes that no patch under the text hides; the grid of a scale does not count. */
    public List<String> crossed() {
        List<String> crossed = new ArrayList<>();
        for (Text text : texts) {
            double top = text.y() - size(text.lettering()) * 0.62;
            double bottom = text.y() - 1;
            boolean hit = lines.stream()
                    .filter(line -> line.step() > text.step() || !isPatched(text, line.step()))
                    .anyMatch(line -> goesThrough(line, text.from() + 2, top, text.to() - 2, bottom));
            if (hit) {
                crossed.add("crossed: " + text.text());
            }
        }
        return crossed;
    }

    /** Whether something was filled under a text after the line was drawn. */
    private boolean isPatched(Text text, int since) {
        return areas.stream()
                .anyMatch(area -> area.filled()
                        && area.step() > since
                        && area.step() < text.step()
                        && area.left() <= text.from() + 2
                        && area.right() >= text.to() - 2
                        && area.top() <= text.y() - 6
                        && area.bottom() >= text.y() - 2);
    }

    /** Whether a piece of a line enters a rectangle; the ends of its part inside are found after Liang and Barsky. */
    private static boolean goesThrough(Line line, double left, double top, double right, double bottom) {
        double[] run = {line.x1() - line.x2(), line.x2() - line.x1(), line.y1() - line.y2(), line.y2() - line.y1()};
        double[] room = {line.x1() - left, right - line.x1(), line.y1() - top, bottom - line.y1()};
        double from = 0;
        double to = 1;
        for (int i = 0; i < 4; i++) {
            if (run[i] == 0) {
                if (room[i] < 0) {
                    return false;
                }
            } else if (run[i] < 0) {
                from = Math.max(from, room[i] / run[i]);
            } else {
                to = Math.min(to, room[i] / run[i]);
            }
        }
        return from < to;
    }

    @Override
    public boolean hatches() {
        return false;
    }

    @Override
    public void stroke(Path path, Stroke stroke) {
        note(path, stroke.tone(), false);
        if (stroke.tone() != Tone.HAIRLINE && turned == 0) {
            trace(path);
        }
    }

    private void trace(Path path) {
        double x = 0;
        double y = 0;
        double startX = 0;
        double startY = 0;
        for (Path.Piece piece : path.pieces()) {
            double[] p = piece.points();
            switch (piece.kind()) {
                case 'M' -> {
                    startX = p[0];
                    startY = p[1];
                }
                case 'L' -> lines.add(new Line(x, y, p[0], p[1], step));
                case 'C' -> curve(x, y, p);
                default -> lines.add(new Line(x, y, startX, startY, step));
            }
            x = p.length == 0 ? startX : p[p.length - 2];
            y = p.length == 0 ? startY : p[p.length - 1];
        }
    }

    private void curve(double x0, double y0, double[] p) {
        double x = x0;
        double y = y0;
        for (int i = 1; i <= 12; i++) {
            double t = i / 12.0;
            double u = 1 - t;
            double toX = u * u * u * x0 + 3 * u * u * t * p[0] + 3 * u * t * t * p[2] + t * t * t * p[4];
            double toY = u * u * u * y0 + 3 * u * u * t * p[1] + 3 * u * t * t * p[3] + t * t * t * p[5];
            lines.add(new Line(x, y, toX, toY, step));
            x = toX;
            y = toY;
        }
    }

    @Override
    public void fill(Path path, Tone tone) {
        note(path, tone, true);
    }

    private void note(Path path, Tone tone, boolean filled) {
        step++;
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (Path.Piece piece : path.pieces()) {
            for (int i = 0; i < piece.points().length; i += 2) {
                left = Math.min(left, piece.points()[i]);
                right = Math.max(right, piece.points()[i]);
                top = Math.min(top, piece.points()[i + 1]);
                bottom = Math.max(bottom, piece.points()[i + 1]);
            }
        }
        areas.add(new Area(tone, left, top, right, bottom, filled, step));
    }

    @Override
    public void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        double from = anchor.start(x, textWidth(text, lettering));
        step++;
        if (turned == 0) {
            texts.add(new Text(text, x, y, lettering, tone, from, from + textWidth(text, lettering), step));
        }
    }

    @Override
    public double textWidth(String text, Lettering lettering) {
        return text.length() * size(lettering) * 0.56;
    }

    private static double size(Lettering lettering) {
        return switch (lettering) {
            case CAPTION -> 11;
            case SMALL -> 12;
            case ROW, ROW_BOLD -> 14;
            case NAME -> 18;
            case LEAD -> 20;
            case READING, HEAD -> 16;
            case ACT -> 24;
            case TITLE -> 22;
            default -> 13;
        };
    }

    @Override
    public void turned(double x, double y, double degrees, Runnable drawing) {
        turned++;
        drawing.run();
        turned--;
    }

    @Override
    public void clipped(double x, double y, double width, double height, Runnable drawing) {
        drawing.run();
    }
}
