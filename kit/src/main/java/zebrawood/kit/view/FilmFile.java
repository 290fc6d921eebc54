package zebrawood.kit.view;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoublePredicate;
import org.jcodec.api.FrameGrab;
import org.jcodec.api.JCodecException;
import org.jcodec.api.PictureWithMetadata;
import org.jcodec.common.DemuxerTrackMeta;
import org.jcodec.common.io.NIOUtils;
import org.jcodec.common.io.SeekableByteChannel;
import org.jcodec.common.model.Picture;
import zebrawood.core.picture.Film;
import zebrawood.core.picture.Grey;
import zebrawood.core.reading.ReadingException;

/** Reads films as telephones and cameras save them: MP4 or MOV, in H.264 or older. */
public final class FilmFile {

    /** two minutes at 30 frames a second */
    private static final int MOST_FRAMES = 3600;
    /** px of a frame that is kept, at most; every frame needs so many times its height in bytes */
    private static final int WIDE = 192;

    private FilmFile() {}

    /** Whether a file is named like a film. */
    public static boolean isNamedLikeOne(String name) {
        return name.toLowerCase(Locale.ROOT).matches(".*\\.(mp4|m4v|mov)");
    }

    /**
     * Reads a film.
     *
     * @param goOn is told the share that is read, and says whether to go on
     * @throws ReadingException where it cannot be, with what to do
     */
    public static Film read(File file, DoublePredicate goOn) {
        try (SeekableByteChannel in = NIOUtils.readableChannel(file)) {
            FrameGrab grab = FrameGrab.createFrameGrab(in);
            DemuxerTrackMeta meta = grab.getVideoTrack().getMeta();
            int total = Math.max(1, meta.getTotalFrames());
            if (total > MOST_FRAMES) {
                throw refused("it is longer than two minutes: cut it to one sweep");
            }
            List<Grey> frames = new ArrayList<>();
            List<Double> atS = new ArrayList<>();
            for (PictureWithMetadata frame = grab.getNativeFrameWithMetadata();
                    frame != null && frames.size() < MOST_FRAMES;
                    frame = grab.getNativeFrameWithMetadata()) {
                if (atS.isEmpty() || frame.getTimestamp() > atS.get(atS.size() - 1)) {
                    frames.add(small(frame.getPicture()));
                    atS.add(frame.getTimestamp());
                }
                if (!goOn.test(Math.min(1, frames.size() / (double) total))) {
                    throw refused("reading it was stopped");
                }
            }
            if (frames.isEmpty()) {
                throw refused("there is no picture in it");
            }
            double first = atS.get(0);
            return new Film(frames, atS.stream().map(at -> at - first).toList());
        } catch (ReadingException why) {
            throw why;
        } catch (IOException | JCodecException | RuntimeException broken) {
            throw refused("it cannot be read as a film: save it anew as MP4 with H.264");
        }
    }

    private static ReadingException refused(String why) {
        return new ReadingException("film", why);
    }

    /** The brightness of a frame in means of square blocks. */
    private static Grey small(Picture frame) {
        int per = Math.max(1, (frame.getCroppedWidth() + WIDE - 1) / WIDE);
        int wide = Math.max(1, frame.getCroppedWidth() / per);
        int high = Math.max(1, frame.getCroppedHeight() / per);
        // from -128 to 127
        byte[] luma = frame.getPlaneData(0);
        byte[] shades = new byte[wide * high];
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                int sum = 0;
                for (int dy = 0; dy < per; dy++) {
                    int row = (y * per + dy) * frame.getWidth() + x * per;
                    for (int dx = 0; dx < per; dx++) {
                        sum += luma[row + dx] + 128;
                    }
                }
                shades[y * wide + x] = (byte) (sum / (per * per));
            }
        }
        return new Grey(wide, high, shades);
    }
}
