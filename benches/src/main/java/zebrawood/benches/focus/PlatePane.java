package zebrawood.benches.focus;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.IntStream;
import javafx.geometry.Point2D;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import zebrawood.core.picture.BurnedLine;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnreadableException;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.Words;
import zebrawood.kit.view.Workplace;

/**
 * A picture of a burned plate: two points of a rule and both ends of the line are pointed at; the widths of the line
 * are found, each shown enlarged under the picture, and left out where it is pressed.
 */
final class PlatePane extends PointedPicture {

    /** what the enlarged places need at least, px */
    private static final double PATCHES = 118;
    /** over and under each of them stand words */
    private static final double WORDS = 40;

    private static final double LARGEST = 150;
    private static final double PATCH_MM = 2.4;
    private static final double PRESSED = 20;
    private static final double RULE_MM = 100;
    /** with fewer px a mm a line is not there to be measured */
    private static final double LEAST_PX_PER_MM = 4;

    private static final int LEAST_WIDTHS = 4;

    private static final List<String> ASKED = List.of(
            "Press on a mark of the rule in the picture",
            "Press on another mark of the rule, far from the first",
            "Press where the burned line begins, at the gap at start",
            "Press on the line far from its beginning");

    private final List<Double> placesMm;
    private final BiConsumer<List<Optional<Double>>, Double> widths;
    private final TextField apart = new TextField();
    private final Set<Integer> leftOut = new HashSet<>();
    private Optional<BurnedLine> line = Optional.empty();
    private List<Optional<BurnedLine.Width>> found = List.of();

    /**
     * @param placesMm where along the line widths are wanted
     * @param widths takes what was read at each, mm, and one standard error of it
     */
    PlatePane(
            Workplace workplace,
            Covered covered,
            List<Double> placesMm,
            BiConsumer<List<Optional<Double>>, Double> widths) {
        super(workplace, covered, "Put the widths in", ASKED);
        this.placesMm = List.copyOf(placesMm);
        this.widths = widths;
        apart.setId("rule-apart");
        apart.setPromptText("100 mm");
        apart.setAccessibleText("how far apart the two marks of the rule are");
        ask(Words.label("marks of the rule apart", "small"), apart);
        apart.textProperty().addListener((value, before, now) -> measure());
    }

    private double ruleMm() {
        if (apart.getText().isBlank()) {
            return RULE_MM;
        }
        try {
            return Typed.read(
                            apart.getText(),
                            Quantity.LENGTH,
                            workplace().units().getValue())
                    .base();
        } catch (UnreadableException not) {
            return 0;
        }
    }

    @Override
    double below() {
        return PATCHES;
    }

    @Override
    void forget() {
        line = Optional.empty();
        found = List.of();
    }

    @Override
    void measured() {
        BurnedLine at = new BurnedLine(point(0), point(1), ruleMm(), point(2), point(3));
        if (at.pxPerMm() < LEAST_PX_PER_MM) {
            throw new ReadingException(
                    "picture", "the picture is too small: take it from nearer, or scan with more dots");
        }
        line = Optional.of(at);
        found = at.widths(picture().grey(), placesMm);
        patches();
    }

    private void patches() {
        List<Image> images = new ArrayList<>();
        images.add(picture().shown());
        for (Optional<BurnedLine.Width> width : found) {
            images.add(width.map(this::patch).orElseGet(() -> new WritableImage(1, 1)));
        }
        images(images);
    }

    private int patchPx() {
        return (int) Math.max(20, Math.round(PATCH_MM * line.orElseThrow().pxPerMm()));
    }

    private Image patch(BurnedLine.Width width) {
        int side = patchPx();
        Pixel middle = width.from().towards(width.to(), 0.5);
        int left = (int) Math.floor(middle.x() - side / 2.0);
        int top = (int) Math.floor(middle.y() - side / 2.0);
        Grey grey = picture().grey();
        int[] pixels = new int[side * side];
        for (int i = 0; i < pixels.length; i++) {
            int shade = grey.shade(left + i % side, top + i / side);
            pixels[i] = 0xFF000000 | shade << 16 | shade << 8 | shade;
        }
        WritableImage patch = new WritableImage(side, side);
        patch.getPixelWriter().setPixels(0, 0, side, side, PixelFormat.getIntArgbInstance(), pixels, 0, side);
        return patch;
    }

    private boolean isTaken(int place) {
        return found.get(place).isPresent() && !leftOut.contains(place);
    }

    private long taking() {
        return IntStream.range(0, found.size()).filter(this::isTaken).count();
    }

    @Override
    String found() {
        return taking() < LEAST_WIDTHS
                ? "Fewer than four widths: is the line dark on a light plate, and are both ends right?"
                : taking() + " widths of " + placesMm.size() + " are read off the picture";
    }

    @Override
    protected String note() {
        return !areAllThere()
                ? "the camera straight over the plate, the rule lying on it beside the line; press Esc to leave"
                : "each width enlarged below; press one to leave it out. Drag a point to put it right, or press Space,"
                        + " then the arrow keys";
    }

    @Override
    protected boolean isReady() {
        return taking() >= LEAST_WIDTHS;
    }

    /** In one row or in several, as large as there is room. */
    private Path.Box patchBox(int place, double width, double height) {
        double top = box(width, height).height();
        int inRow = placesMm.size();
        double side = 0;
        for (int rows = 1; rows <= 3; rows++) {
            int each = (placesMm.size() + rows - 1) / rows;
            double fits = Math.min(LARGEST, Math.min(width / each - 8, (height - top) / rows - WORDS));
            if (fits > side) {
                side = fits;
                inRow = each;
            }
        }
        double across = width / inRow;
        int row = place / inRow;
        return new Path.Box(across * (place % inRow + 0.5) - side / 2, top + 22 + row * (side + WORDS), side, side);
    }

    @Override
    protected List<Path.Box> imagesIn(double width, double height) {
        List<Path.Box> boxes = new ArrayList<>(super.imagesIn(width, height));
        for (int i = 0; i < found.size(); i++) {
            boxes.add(patchBox(i, width, height));
        }
        return boxes;
    }

    @Override
    protected void pressed(double x, double y) {
        for (int i = 0; i < found.size(); i++) {
            Path.Box box = patchBox(i, size().getX(), size().getY());
            boolean inPatch =
                    x >= box.x() && x <= box.x() + box.width() && y >= box.y() - PRESSED && y <= box.y() + box.height();
            if (inPatch) {
                if (!leftOut.remove(i)) {
                    leftOut.add(i);
                }
                return;
            }
        }
        super.pressed(x, y);
    }

    @Override
    protected void taken() {
        List<Optional<Double>> read = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            read.add(isTaken(i) ? found.get(i).map(BurnedLine.Width::widthMm) : Optional.empty());
        }
        widths.accept(read, BurnedLine.ERROR_PX / line.orElseThrow().pxPerMm());
    }

    @Override
    protected Figure over() {
        return (pen, width, height) -> {
            drawPoints(pen);
            for (int i = 0; i < grips().size(); i++) {
                name(pen, i);
            }
            for (int i = 0; i < found.size(); i++) {
                width(pen, i, patchBox(i, width, height));
            }
        };
    }

    private void name(Pen pen, int i) {
        Point2D at = grips().get(i);
        boolean right = at.getX() > size().getX() - 60;
        pen.patched(
                at.getX() + (right ? -16 : 16),
                at.getY() - 10,
                i < 2 ? "rule" : i == 2 ? "start" : "line",
                Lettering.SMALL,
                Tone.READING,
                right ? Anchor.END : Anchor.START);
    }

    private void width(Pen pen, int i, Path.Box box) {
        double middle = box.x() + box.width() / 2;
        Optional<BurnedLine.Width> width = found.get(i);
        boolean taken = isTaken(i);
        pen.stroke(
                Path.rectangle(box.x(), box.y(), box.width(), box.height()),
                taken ? Stroke.of(Tone.READING, 1.6) : Stroke.dashed(Tone.QUIET, 1.2, 4));
        pen.text(
                middle,
                box.y() - 6,
                width.isEmpty()
                        ? "none"
                        : taken
                                ? Amount.mm(width.get().widthMm(), 2)
                                        .number(workplace().units().getValue())
                                : "out",
                taken ? Lettering.TEXT_BOLD : Lettering.CAPTION,
                taken ? Tone.READING : Tone.QUIET,
                Anchor.MIDDLE);
        pen.text(
                middle,
                box.y() + box.height() + 15,
                Amount.mm(placesMm.get(i), 0).number(workplace().units().getValue()),
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
        width.ifPresent(read -> {
            double scale = box.width() / patchPx();
            double acrossX = read.to().x() - read.from().x();
            double acrossY = read.to().y() - read.from().y();
            double wide = Math.hypot(acrossX, acrossY);
            for (int side = -1; side <= 1; side += 2) {
                double x = middle + side * acrossX / 2 * scale;
                double y = box.y() + box.height() / 2 + side * acrossY / 2 * scale;
                double alongX = -acrossY / wide * box.width() / 3;
                double alongY = acrossX / wide * box.width() / 3;
                pen.line(
                        x - alongX, y - alongY, x + alongX, y + alongY, Stroke.of(taken ? Tone.BEAM : Tone.QUIET, 1.4));
            }
        });
        width.ifPresent(read -> {
            Point2D from = shown(read.from());
            pen.circle(from.getX(), from.getY(), 3, taken ? Tone.BEAM : Tone.QUIET);
        });
    }
}
