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
    public record Text(String text, double x, double y, Lettering lettering, Tone tone, double from, double to) {}

    /** A line or area and the room it takes. */
    public record Area(Tone tone, double left, double top, double right, double bottom, boolean filled) {}

    private final List<Text> texts = new ArrayList<>();
    private final List<Area> areas = new ArrayList<>();
    private int turned;

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

    @Override
    public boolean hatches() {
        return false;
    }

    @Override
    public void stroke(Path path, Stroke stroke) {
        note(path, stroke.tone(), false);
    }

    @Override
    public void fill(Path path, Tone tone) {
        note(path, tone, true);
    }

    private void note(Path path, Tone tone, boolean filled) {
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
        areas.add(new Area(tone, left, top, right, bottom, filled));
    }

    @Override
    public void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        double from = anchor.start(x, textWidth(text, lettering));
        if (turned == 0) {
            texts.add(new Text(text, x, y, lettering, tone, from, from + textWidth(text, lettering)));
        }
    }

    @Override
    public double textWidth(String text, Lettering lettering) {
        double size = switch (lettering) {
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
        return text.length() * size * 0.56;
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
