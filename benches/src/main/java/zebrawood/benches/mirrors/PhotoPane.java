package zebrawood.benches.mirrors;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import zebrawood.core.beam.CardPhoto;
import zebrawood.core.beam.CardPhoto.Pixel;
import zebrawood.core.beam.Spot;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.reading.ReadingException;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Thumbnail;

/** A photo of a card: both ends of its ruler and its cross are clicked, then the mark, which is centred by itself. */
final class PhotoPane extends Pane {

    /** the ruler printed under each card, mm */
    private static final double RULER_MM = 20;
    /** px that a photo is looked at with */
    private static final int SIDE = 700;
    /** as large as a camera's photo gets */
    private static final long MOST_BYTES = 60_000_000;

    private static final List<String> ASKED =
            List.of("click the 0 of the ruler", "click its 20 mm", "click the cross", "click the mark");

    private final BenchPlace place;
    private final Consumer<Spot> marked;
    private final Runnable changed;
    private final ImageView view = new ImageView();
    private final DrawingSurface over;
    private final List<Pixel> clicked = new ArrayList<>();
    private final List<NewAttachment> kept = new ArrayList<>();
    private Optional<NewAttachment> file = Optional.empty();
    private Optional<Pixel> mark = Optional.empty();
    private float[] darkness = new float[0];
    private int wide;

    /**
     * @param marked takes the place of a mark on the card
     * @param changed runs when something else is asked for
     */
    PhotoPane(BenchPlace place, Consumer<Spot> marked, Runnable changed) {
        this.place = place;
        this.marked = marked;
        this.changed = changed;
        over = new DrawingSurface(place.workplace().look());
        view.setPreserveRatio(true);
        over.setOnMousePressed(event -> {
            over.requestFocus();
            clicked(new Pixel(event.getX() / scale(), event.getY() / scale()));
        });
        over.setFocusTraversable(true);
        over.setId("photo");
        over.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                close();
                event.consume();
            }
        });
        getChildren().addAll(view, over);
        setVisible(false);
    }

    /** Takes a photo; why not, where it cannot. */
    Optional<String> take(File photo) {
        if (!Thumbnail.isNamedLikeOne(photo.getName())) {
            return Optional.of(photo.getName() + " is no picture");
        } else if (photo.length() > MOST_BYTES) {
            return Optional.of(photo.getName() + " is too large for a photo of a card: make it smaller");
        }
        place.workplace().apart(() -> read(photo), read -> {
            if (read.isPresent()) {
                show(read.get());
            } else {
                place.workplace().tell(photo.getName() + " cannot be shown as a picture. Try another one.");
            }
        });
        return Optional.empty();
    }

    /** A photo that was read, and how dark each of its pixels is. */
    private record Read(NewAttachment file, Image image, float[] darkness) {}

    /** Reads it, whatever is in it; a large one takes a second, so not on the window's thread. */
    private static Optional<Read> read(File photo) {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(photo.toPath());
        } catch (IOException unreadable) {
            return Optional.empty();
        }
        NewAttachment attachment = new NewAttachment(photo.getName(), bytes);
        return Thumbnail.picture(attachment.content(), SIDE).map(image -> new Read(attachment, image, darkness(image)));
    }

    private void show(Read read) {
        file = Optional.of(read.file());
        clicked.clear();
        mark = Optional.empty();
        darkness = read.darkness();
        wide = (int) read.image().getWidth();
        view.setImage(read.image());
        setVisible(true);
        changed.run();
    }

    private static float[] darkness(Image image) {
        int wide = (int) image.getWidth();
        float[] darkness = new float[wide * (int) image.getHeight()];
        PixelReader pixels = image.getPixelReader();
        for (int i = 0; i < darkness.length; i++) {
            Color color = pixels.getColor(i % wide, i / wide);
            darkness[i] = (float) (1 - (0.3 * color.getRed() + 0.59 * color.getGreen() + 0.11 * color.getBlue()));
        }
        return darkness;
    }

    private double scale() {
        return wide == 0 ? 1 : view.getFitWidth() / wide;
    }

    /** What is to be done next with the photo. */
    String asked() {
        return mark.isPresent()
                ? "mark found; click again to set it by hand"
                : "photo: " + ASKED.get(Math.min(clicked.size(), ASKED.size() - 1));
    }

    private void clicked(Pixel at) {
        if (clicked.size() < 3) {
            clicked.add(at);
            if (clicked.size() == 3 && photo().isEmpty()) {
                clicked.clear();
            }
        } else {
            Optional<CardPhoto> photo = photo();
            // the first click is centred on what is burned there; a second one stands as it is
            Pixel found = mark.isEmpty() ? photo.orElseThrow().middleOfMark(darkness, wide, at) : at;
            mark = Optional.of(found);
            marked.accept(photo.orElseThrow().spot(found));
        }
        changed.run();
    }

    private Optional<CardPhoto> photo() {
        try {
            return Optional.of(new CardPhoto(clicked.get(0), clicked.get(1), clicked.get(2), RULER_MM));
        } catch (ReadingException refused) {
            place.workplace().tell("Both ends of the ruler are at the same place. Click its 0, then its 20.");
            return Optional.empty();
        }
    }

    /** The mark was taken: the photo goes along with the entry. */
    void taken() {
        if (isVisible() && mark.isPresent()) {
            file.ifPresent(kept::add);
        }
        close();
    }

    /** Puts the photo away. */
    void close() {
        if (isVisible()) {
            setVisible(false);
            file = Optional.empty();
            changed.run();
        }
    }

    /** Photos of marks that were taken. */
    List<NewAttachment> kept() {
        return List.copyOf(kept);
    }

    /** Photos are kept with the entry now. */
    void forget() {
        kept.clear();
    }

    @Override
    protected void layoutChildren() {
        if (view.getImage() == null) {
            return;
        }
        double ratio = view.getImage().getHeight() / view.getImage().getWidth();
        double across = Math.min(getWidth(), getHeight() / ratio);
        view.setFitWidth(across);
        view.relocate(0, 0);
        over.resizeRelocate(0, 0, across, across * ratio);
        over.show((pen, width, height) -> draw(pen), asked());
    }

    private void draw(Pen pen) {
        for (int i = 0; i < clicked.size(); i++) {
            double x = clicked.get(i).x() * scale();
            double y = clicked.get(i).y() * scale();
            pen.line(x - 8, y, x + 8, y, Stroke.of(Tone.WALNUT, 2));
            pen.line(x, y - 8, x, y + 8, Stroke.of(Tone.WALNUT, 2));
            pen.patched(
                    x + 12,
                    y - 4,
                    i == 0 ? "0" : i == 1 ? "20" : "cross",
                    Lettering.CAPTION,
                    Tone.WALNUT,
                    Anchor.START);
        }
        mark.ifPresent(at -> {
            double x = at.x() * scale();
            double y = at.y() * scale();
            pen.stroke(Path.circle(x, y, 10), Stroke.of(Tone.READING, 2.4));
            pen.line(x - 16, y, x + 16, y, Stroke.of(Tone.READING, 1.4));
            pen.line(x, y - 16, x, y + 16, Stroke.of(Tone.READING, 1.4));
        });
    }
}
