package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.SplittableRandom;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import org.jcodec.api.SequenceEncoder;
import org.jcodec.common.model.ColorSpace;
import org.jcodec.common.model.Picture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Entry;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;
import zebrawood.core.pretend.PretendFilm;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendPlate;
import zebrawood.core.pretend.PretendSound;

/** Readings taken off files: a ladder off its sound, a ramp off a picture of its plate. */
class ReadOffTest {

    private static final PretendFocus FOCUS = new PretendFocus(7.2, 0.2, 2.5, 0);
    private static final double RUN_MM = 80;

    @TempDir
    private Path folder;

    @TempDir
    private Path elsewhere;

    @Test
    void aLadderIsReadOffItsSound() throws IOException {
        List<Double> gaps = List.of(4.0, 5.5, 7.0, 8.5, 10.0);
        Path wav = elsewhere.resolve("run.wav");
        Files.write(
                wav,
                new PretendSound(6, 22_050, 16)
                        .of(FOCUS, gaps, 2, new SplittableRandom(5))
                        .wav());
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren ladder");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.answers(wav).fire("read-recording");
            seat.until("the gaps are asked for", () -> seat.says("Type the gaps of the squares first"));
            for (int i = 0; i < gaps.size(); i++) {
                seat.put("steps[" + i + "].gapMm", String.valueOf(gaps.get(i)));
            }
            seat.answers(elsewhere.resolve("no.wav")).fire("read-recording");
            seat.until("a file that is gone is told", () -> seat.says("no.wav: it cannot be opened"));
            seat.answers(wav).fire("read-recording");
            seat.until("the loudest is told", () -> seat.says("Loudest: square 3, gap 7.0"));
            // an edge put elsewhere by keys, within its step
            seat.press(KeyCode.SPACE).press(KeyCode.RIGHT).press(KeyCode.RIGHT);
            seat.fire("take-over");
            seat.until("the levels make a ladder", () -> seat.words("verdict").equals("PASS"));
            assertThat(Double.parseDouble(seat.words("steps[2].score")))
                    .isGreaterThan(Double.parseDouble(seat.words("steps[0].score")) + 1)
                    .isGreaterThan(Double.parseDouble(seat.words("steps[4].score")) + 1);
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            assertThat(kept(seat, "focus-ladder")).containsExactly("run.wav");
        }
    }

    @Test
    void aLadderIsScoredOffAPhotoByItsContrast() throws IOException {
        double[] gaps = {4, 5.5, 7, 8.5, 10};
        int pitch = 150;
        Path png = elsewhere.resolve("squares.png");
        ImageIO.write(image(squares(gaps, pitch)), "png", png.toFile());
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren ladder");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            for (int i = 0; i < gaps.length; i++) {
                seat.put("steps[" + i + "].gapMm", String.valueOf(gaps[i]));
            }
            seat.answers(png).fire("read-recording");
            seat.until("the first square is asked for", () -> seat.says("Press on the middle of the first square"));
            press(seat, new Pixel(75, 75), pitch * gaps.length);
            press(seat, new Pixel(75 + 4.0 * pitch, 75), pitch * gaps.length);
            seat.until("the sharpest is told", () -> seat.says("Sharpest: square 3, gap 7.0"));
            seat.fire("take-over");
            seat.until("the scores make a ladder", () -> seat.words("verdict").equals("PASS"));
            assertThat(seat.words("act")).startsWith("Set the gap to 7.");
        }
    }

    /** Squares in a row, each burned at its gap: the nearer to the best one, the crisper its lines. */
    private static Grey squares(double[] gaps, int pitch) {
        byte[] shades = new byte[pitch * gaps.length * pitch];
        for (int i = 0; i < shades.length; i++) {
            int x = i % (pitch * gaps.length);
            int y = i / (pitch * gaps.length);
            double fine = Math.pow(FOCUS.waistMm() / FOCUS.widthMm(gaps[x / pitch]), 2);
            boolean inside = x % pitch >= 25 && x % pitch < 125 && y >= 25 && y < 125;
            shades[i] = (byte) Math.round(inside ? 120 + 80 * fine * Math.cos(y * 0.7) : 210);
        }
        return new Grey(pitch * gaps.length, pitch, shades);
    }

    @Test
    void ninePiecesAreScoredOffOnePhoto() throws IOException {
        double[] gaps = {7.2, 7.2, 7.2, 8.6, 8.6, 8.6, 10, 10, 10};
        int pitch = 150;
        Path png = elsewhere.resolve("pieces.png");
        ImageIO.write(image(squares(gaps, pitch)), "png", png.toFile());
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren nine places");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.answers(png).fire("read-photo");
            seat.until("the first piece is asked for", () -> seat.says("Press on the middle of the first square"));
            press(seat, new Pixel(75, 75), pitch * gaps.length);
            press(seat, new Pixel(75 + 8.0 * pitch, 75), pitch * gaps.length);
            seat.until("the sharpest is told", () -> seat.says("Sharpest: square "));
            seat.fire("take-over");
            seat.until("the slope is seen", () -> seat.says("It changes evenly from one side to the other"));
            assertThat(Double.parseDouble(seat.words("pieces[0].values"))).isGreaterThan(9.5);
            assertThat(Double.parseDouble(seat.words("pieces[8].values"))).isLessThan(7);
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            assertThat(kept(seat, "bed-nine")).containsExactly("pieces.png");
        }
    }

    @Test
    void aSourceWithoutAMeterIsScoredOffAPhotoOfItsCells() throws IOException {
        int pitch = 150;
        byte[] shades = new byte[pitch * pitch * 10];
        for (int i = 0; i < shades.length; i++) {
            int x = i % (10 * pitch);
            int y = i / (10 * pitch);
            boolean inside = x % pitch >= 25 && x % pitch < 125 && y >= 25 && y < 125;
            // cell by cell darker by another 5 %: 22.5 % on the mean
            shades[i] = (byte) Math.round(220 * (inside ? 1 - 0.05 * Math.floorDiv(x, pitch) : 1));
        }
        Path png = elsewhere.resolve("cells.png");
        ImageIO.write(image(new Grey(10 * pitch, pitch, shades)), "png", png.toFile());
        Path svg = elsewhere.resolve("cells.svg");
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren trend");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.focus("measuredBy").choose("measuredBy", "engraved cells");
            seat.until("cells are offered", () -> seat.has("to-burn"));
            seat.answers(svg).fire("to-burn");
            seat.until("they are saved", () -> Files.exists(svg));
            assertThat(Files.readString(svg)).contains("power 10").contains("power 100");
            seat.answers(png).fire("read-photo");
            seat.until("the first cell is asked for", () -> seat.says("Press on the middle of the first square"));
            press(seat, new Pixel(75, 75), 10 * pitch);
            press(seat, new Pixel(75 + 9.0 * pitch, 75), 10 * pitch);
            seat.until("the score is told", () -> seat.says("The cells score 22."));
            seat.fire("take-over");
            seat.until(
                    "it stands in the next row at the hours of now",
                    () -> seat.words("history[16].value").startsWith("22."));
            assertThat(seat.words("history[16].hours")).isEqualTo("763.0");
        }
    }

    @Test
    void sweepsAreTimedByKeyOrReadOffTheirSound() throws IOException {
        Path wav = elsewhere.resolve("down.wav");
        Files.write(wav, new PretendSound(12, 22_050, 16).sweep(FOCUS, 13.2, -1, 12, new SplittableRandom(5)));
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren live sweep");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.until("one can measure", () -> seat.has("by-key"));
            for (int i = 0; i < 2; i++) {
                seat.put("sweeps[" + i + "].startGapMm", "13.2").put("sweeps[" + i + "].speedMmS", "1");
            }
            seat.answers(wav).fire("read-recording");
            seat.until("the ends are asked for", () -> seat.says("Drag the edges to where the motion begins"));
            seat.fire("take-over");
            seat.until(
                    "levels stand in the first row",
                    () -> seat.words("sweeps[0].samples").contains("; "));
            seat.fire("by-key");
            seat.until("the clock waits", () -> seat.says("Press Space at the moment the motion begins"));
            seat.press(KeyCode.SPACE);
            seat.until("it runs", () -> seat.says("Press Space again when the spot is liveliest"));
            seat.press(KeyCode.SPACE);
            seat.until("it is stopped", () -> seat.says("Liveliest after "));
            seat.fire("take-over");
            seat.until(
                    "the time stands in the next row",
                    () -> !seat.words("sweeps[1].markedS").isBlank());
        }
    }

    /** Saved as a telephone saves it. */
    private Path film(String name, double startGapMm, double speedMmS) throws IOException {
        Path mp4 = elsewhere.resolve(name);
        SequenceEncoder encoder = SequenceEncoder.create25Fps(mp4.toFile());
        for (Grey grey : new PretendFilm(256, 144, new Pixel(170, 60), 3)
                .of(FOCUS, startGapMm, speedMmS, 6, 0.04, new SplittableRandom(3))) {
            Picture frame = Picture.create(grey.width(), grey.height(), ColorSpace.RGB);
            for (int i = 0; i < 3 * grey.width() * grey.height(); i++) {
                frame.getPlaneData(0)[i] = (byte) (grey.shade(i / 3 % grey.width(), i / 3 / grey.width()) - 128);
            }
            encoder.encodeNativeFrame(frame);
        }
        encoder.finish();
        return mp4;
    }

    @Test
    void sweepsAreReadOffFilmsOfTheGlow() throws IOException {
        Path broken = elsewhere.resolve("broken.mp4");
        Files.write(broken, new byte[3000]);
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren live sweep");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.until("one can measure", () -> seat.has("by-key"));
            seat.put("delayS", "0").put("depthOfFocusMm", "2.3");
            String[] ways = {"down", "up", "down", "up"};
            for (int i = 0; i < ways.length; i++) {
                boolean down = ways[i].equals("down");
                seat.focus("sweeps[" + i + "].direction").choose("sweeps[" + i + "].direction", ways[i]);
                seat.put("sweeps[" + i + "].startGapMm", down ? "10.2" : "4.2").put("sweeps[" + i + "].speedMmS", "1");
                int row = i;
                if (i == 0) {
                    seat.answers(broken).fire("read-recording");
                    seat.until("what is no film is told", () -> seat.says("broken.mp4: it cannot be read as a film"));
                }
                seat.answers(film(i + ".mp4", down ? 10.2 : 4.2, down ? -1 : 1)).fire("read-recording");
                seat.until("the glow is found", () -> seat.says("brightest after "));
                seat.fire("take-over");
                seat.until(
                        "its brightness stands in its row",
                        () -> seat.words("sweeps[" + row + "].samples").contains("; "));
            }
            for (int i = ways.length; i < 6; i++) {
                seat.put("sweeps[" + i + "].startGapMm", "").put("sweeps[" + i + "].speedMmS", "");
            }
            seat.until("they make a sweep", () -> seat.words("verdict").equals("PASS"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            assertThat(kept(seat, "focus-sweep")).containsExactly("0.mp4", "1.mp4", "2.mp4", "3.mp4");
            assertThat(Double.parseDouble(seat.words("act").replaceAll("[^0-9.]+|\\.$", "")))
                    .as("the gap that is to be set")
                    .isCloseTo(7.2, within(0.05));
        }
    }

    @Test
    void aRampIsReadOffAPictureOfItsPlate() throws IOException {
        PretendPlate plate = new PretendPlate(20, 1, 4, 4, 0.2, 0.15);
        int wide = 1900;
        int high = 640;
        double start = 11.2;
        Grey grey = plate.of(
                wide, high, RUN_MM, along -> FOCUS.widthMm(start - along * 8 / RUN_MM), new SplittableRandom(7));
        Path png = elsewhere.resolve("plate.png");
        ImageIO.write(image(grey), "png", png.toFile());
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren ramp line");
            seat.until("the button is there", () -> seat.has("again"));
            seat.fire("again");
            seat.put("gapAtStartMm", "11.2").put("runMm", "80").put("riseMm", "8");
            seat.answers(png).fire("read-picture");
            seat.until("the rule is asked for", () -> seat.says("Press on a mark of the rule in the picture"));
            Pixel rule = new Pixel(100, 100);
            press(seat, rule, wide);
            press(seat, new Pixel(100 + 50 * plate.pxPerMm(), 100), wide);
            press(seat, plate.along(wide, high, 0), wide);
            press(seat, plate.along(wide, high, RUN_MM), wide);
            seat.put("rule-apart", "5cm");
            seat.until("the widths are read", () -> seat.says("9 widths of 9 are read off the picture"));
            seat.fire("take-over");
            seat.until("they make a ramp", () -> seat.words("verdict").equals("PASS"));
            double thinnest = Double.parseDouble(seat.words("widths[4]"));
            assertThat(thinnest).isCloseTo(FOCUS.widthMm(start - 4), within(0.02));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            assertThat(kept(seat, "focus-ramp")).containsExactly("plate.png");
            assertThat(seat.words("act")).startsWith("Set the gap to 7.");
        }
    }

    /** The files of the newest entry. */
    private static List<String> kept(Seat seat, String stop) {
        return seat
                .desk
                .logbook()
                .readings(seat.desk.logbook().findMachine("Wren").orElseThrow().id(), stop, 1)
                .get(0)
                .attachments()
                .stream()
                .map(Entry.Attachment::name)
                .toList();
    }

    private static BufferedImage image(Grey grey) {
        BufferedImage image = new BufferedImage(grey.width(), grey.height(), BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < grey.height(); y++) {
            for (int x = 0; x < grey.width(); x++) {
                image.getRaster().setSample(x, y, 0, grey.shade(x, y));
            }
        }
        return image;
    }

    /** Presses on a place of the picture, as it is shown. */
    private static void press(Seat seat, Pixel at, int wide) {
        double share = Seat.onScreen(() -> ((Region) seat.find("read-off")).getWidth()) / wide;
        seat.pressAt("read-off", at.x() * share, at.y() * share);
    }
}
