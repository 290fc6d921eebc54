package zebrawood.kit.view;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.Image;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import zebrawood.core.entry.NewAttachment;

/**
 * A small picture of a file, if it is one. A large picture is never decoded whole.
 *
 * @param picture the small one
 * @param warning what to tell of a file that is named like a picture and is none
 */
public record Thumbnail(Optional<Image> picture, Optional<String> warning) {

    /** px */
    public static final int SIDE = 96;

    private static final Set<String> PICTURES = Set.of("jpg", "jpeg", "png", "gif", "bmp");
    /** larger than any camera makes; such a file is out to fill the memory */
    private static final long MOST_PIXELS = 400_000_000L;

    /** Whether a file's name ends like that of a picture. */
    public static boolean isNamedLikeOne(String name) {
        return PICTURES.contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    /** Looks at the bytes of what is named like a picture. */
    public static Thumbnail of(String name, NewAttachment.Content content) {
        if (!isNamedLikeOne(name)) {
            return new Thumbnail(Optional.empty(), Optional.empty());
        }
        Optional<Image> picture = decode(content);
        return new Thumbnail(
                picture,
                picture.isPresent()
                        ? Optional.empty()
                        : Optional.of(name
                                + " is named like a picture, but is none that can be shown; it is kept as it is."));
    }

    private static Optional<Image> decode(NewAttachment.Content content) {
        ImageIO.setUseCache(false);
        try (InputStream in = content.open();
                ImageInputStream image = ImageIO.createImageInputStream(in)) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(image);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            reader.setInput(image, true, true);
            int longest = Math.max(reader.getWidth(0), reader.getHeight(0));
            if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                return Optional.empty();
            }
            ImageReadParam every = reader.getDefaultReadParam();
            int step = Math.max(1, longest / (2 * SIDE));
            every.setSourceSubsampling(step, step, 0, 0);
            BufferedImage small = reader.read(0, every);
            reader.dispose();
            return Optional.of(SwingFXUtils.toFXImage(small, null));
        } catch (IOException | RuntimeException none) {
            return Optional.empty();
        }
    }
}
