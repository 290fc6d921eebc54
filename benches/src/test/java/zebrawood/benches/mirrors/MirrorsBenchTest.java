package zebrawood.benches.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.machine.Family;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.mirrors.Screw;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class MirrorsBenchTest {

    private static final int PX = 14;

    @TempDir
    private Path folder;

    private final Stop<PlanReadings, PlanFinding> stop =
            new Stop<>(new MirrorPlan(), MirrorsBench.FIELDS, MirrorsBench::new, new MirrorsFigure());

    private BenchSeat<PlanReadings, PlanFinding> seat() {
        return new BenchSeat<>(stop, Plates.lasing("Wren", Family.GANTRY_CO2, 10_600), Map.of());
    }

    private static BenchSeat<PlanReadings, PlanFinding> begun(BenchSeat<PlanReadings, PlanFinding> seat) {
        return seat.put("run.yNearMm", "120")
                .put("run.yFarMm", "620")
                .put("run.xNearMm", "120")
                .put("run.xFarMm", "820")
                .draft("looked.optics", "clean")
                .draft("looked.bed", "level")
                .draft("begun", "yes");
    }

    private static BenchSeat<PlanReadings, PlanFinding> shot(
            BenchSeat<PlanReadings, PlanFinding> seat, String x, String y) {
        seat.put("mark-x", x).put("mark-y", y);
        BenchSeat.onScreen(() -> {
            ((MirrorsView) seat.bench().view()).card().take();
            return null;
        });
        return seat;
    }

    @Test
    void nothingIsShotBeforeRunsOpticsAndBedAreKnown() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = seat()) {
            assertThat(seat.act()).startsWith("Measure along the beam: mirror 1 to mirror 2, gantry as near");
            seat.put("run.yNearMm", "620")
                    .put("run.yFarMm", "120")
                    .put("run.xNearMm", "120")
                    .put("run.xFarMm", "820");
            assertThat(seat.problem("run.yFarMm")).isEqualTo("far must be farther than near");
            seat.put("run.yNearMm", "120").put("run.yFarMm", "24.4in");
            assertThat(seat.act()).startsWith("Look at the mirrors and the lens.");
            seat.draft("looked.optics", "dirty");
            assertThat(seat.act()).startsWith("Clean mirrors and lens first");
            seat.draft("looked.optics", "clean");
            assertThat(seat.act()).startsWith("Look at the bed");
            seat.draft("looked.bed", "level");
            assertThat(seat.act()).startsWith("All is ready for the first shot.");
            assertThat(seat.finding()).isEmpty();
            seat.draft("begun", "yes");
            assertThat(seat.act()).startsWith("Shoot at the head");
            assertThat(seat.readings().orElseThrow().run().yFarMm()).isCloseTo(619.76, within(1e-9));
        }
    }

    @Test
    void marksKeepTheirPlaceWhateverUnitsAreShown() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            shot(seat, "1.5", "-0.5");
            seat.in(new UnitChoice(true, true));
            shot(seat, "0.02", "0.01");
            PlanReadings readings = seat.readings().orElseThrow();
            assertThat(readings.steps()).hasSize(2);
            assertThat(readings.steps().get(0).shot().orElseThrow().xMm()).isEqualTo(1.5);
            assertThat(readings.steps().get(1).shot().orElseThrow().xMm()).isCloseTo(0.508, within(1e-9));
        }
    }

    @Test
    void whoTurnedSomethingElseSaysSo() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            shot(seat, "2.5", "3");
            seat.fire("otherwise").put("turned[2]", "-0.25").put("turned[1]", "0.5");
            BenchSeat.onScreen(() -> {
                ((MirrorsView) seat.bench().view()).takeStep();
                return null;
            });
            assertThat(seat.readings().orElseThrow().steps())
                    .extracting(PlanReadings.Step::turn)
                    .containsExactly(
                            Optional.empty(),
                            Optional.of(new PlanReadings.Turn(1, Screw.B, 0.5)),
                            Optional.of(new PlanReadings.Turn(2, Screw.A, -0.25)));
        }
    }

    /** While a screw is to be turned there is no mark to read: a touch on the card leaves nothing for a later shot. */
    @Test
    void aTouchOnTheCardWhileAScrewIsTurnedLeavesNothing() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            shot(shot(seat, "2.1", "1.4"), "0.5", "0.4");
            assertThat(seat.act()).startsWith("Turn screw");
            seat.pressAt("card", 30, 30);
            BenchSeat.onScreen(() -> {
                ((MirrorsView) seat.bench().view()).takeStep();
                return null;
            });
            assertThat(seat.readings().orElseThrow().steps()).hasSize(3 + doubled(seat));
            assertThat(seat.words("mark-x")).isEmpty();
        }
    }

    /** One more where the first screw had to go over and back. */
    private static int doubled(BenchSeat<PlanReadings, PlanFinding> seat) {
        return seat.readings().orElseThrow().steps().get(2).turn().orElseThrow().turns() < 0 ? 1 : 0;
    }

    @Test
    void whatIsTypedAndNotTakenIsNotLeftOutOfTheRecordUnsaid() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            shot(seat, "2.1", "1.4");
            assertThat(seat.bench().notForTheRecord()).isEmpty();
            seat.put("mark-x", "0.5");
            assertThat(BenchSeat.onScreen(() -> seat.bench().notForTheRecord()).orElseThrow())
                    .startsWith("A mark or a turn is typed and not taken yet.");
            seat.put("mark-x", "");
            assertThat(BenchSeat.onScreen(() -> seat.bench().notForTheRecord())).isEmpty();
        }
    }

    @Test
    void onAMachineWithTwoMirrorsNothingSpeaksOfOthers() {
        try (BenchSeat<PlanReadings, PlanFinding> seat = seat()) {
            seat.draft("mirrors", "2");
            assertThat(seat.act()).contains("the tube to the gantry's mirror, gantry as near as it goes");
            begun(seat);
            assertThat(seat.act()).contains("from the tube", "from the gantry's mirror");
            assertThat(seat.readings().orElseThrow().mirrors()).hasValue(2);
            seat.focus("where").choose("where", "the gantry's mirror, gantry near");
            assertThat(seat.says("The card before the gantry's mirror")).isTrue();
            assertThat(seat.says("mirror 1") || seat.says("mirror 2")).isFalse();
        }
    }

    @Test
    void whatIsNoPhotoIsSaidAndNothingIsLost() throws IOException {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            seat.put("mark-x", "1.2");
            File text = folder.resolve("notes.txt").toFile();
            File broken = folder.resolve("broken.jpg").toFile();
            Files.writeString(text.toPath(), "no picture");
            Files.writeString(broken.toPath(), "no picture either");
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(text))).contains("notes.txt is no picture");
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(broken))).isEmpty();
            assertThat(seat.told()).isEqualTo("broken.jpg cannot be shown as a picture. Try another one.");
            assertThat(seat.words("mark-x")).isEqualTo("1.2");
            assertThat(seat.bench().attachments()).isEmpty();
        }
    }

    /** A photo of a card that lies askew: its ruler and its cross are clicked, then about where the mark is. */
    @Test
    void aMarkIsReadOffAPhotoAndThePhotoGoesAlong() throws IOException {
        try (BenchSeat<PlanReadings, PlanFinding> seat = begun(seat())) {
            File photo = photo();
            assertThat(BenchSeat.onScreen(() -> seat.bench().take(photo))).isEmpty();
            seat.until("it is shown", () -> seat.says("photo: click the 0 of the ruler"));
            click(seat, 10, 44);
            click(seat, 30, 44);
            click(seat, 25, 25);
            seat.until("then the mark", () -> seat.says("photo: click the mark"));
            click(seat, 27.6, 22.2);
            seat.until("it is centred by itself", () -> seat.says("mark found; click again to set it by hand"));
            assertThat(Double.parseDouble(seat.words("mark-x"))).isCloseTo(3, within(0.15));
            assertThat(Double.parseDouble(seat.words("mark-y"))).isCloseTo(2, within(0.15));
            click(seat, 26, 25);
            seat.until(
                    "set by hand it stands where it was put",
                    () -> seat.words("mark-x").equals("1.0"));
            BenchSeat.onScreen(() -> {
                ((MirrorsView) seat.bench().view()).card().take();
                return null;
            });
            assertThat(BenchSeat.onScreen(() -> seat.bench().attachments()))
                    .extracting(file -> file.name())
                    .containsExactly("card.png");
            assertThat(seat.readings().orElseThrow().steps()).hasSize(1);
        }
    }

    /** 50 mm of paper, a burn of 1.2 mm at 3 mm to the right and 2 mm up from the cross in its middle. */
    private File photo() throws IOException {
        BufferedImage image = new BufferedImage(50 * PX, 50 * PX, BufferedImage.TYPE_INT_RGB);
        Graphics2D paint = image.createGraphics();
        paint.setColor(new Color(240, 238, 230));
        paint.fillRect(0, 0, 50 * PX, 50 * PX);
        paint.setColor(Color.BLACK);
        paint.drawLine(25 * PX, 0, 25 * PX, 40 * PX);
        paint.drawLine(0, 25 * PX, 50 * PX, 25 * PX);
        paint.drawLine(10 * PX, 44 * PX, 30 * PX, 44 * PX);
        paint.setColor(new Color(90, 60, 30));
        double r = 1.2 * PX;
        paint.fillOval((int) (28 * PX - r), (int) (23 * PX - r), (int) (2 * r), (int) (2 * r));
        paint.dispose();
        File file = folder.resolve("card.png").toFile();
        ImageIO.write(image, "png", file);
        return file;
    }

    /** Clicks on a place of the paper, mm from its upper left corner. */
    private static void click(BenchSeat<PlanReadings, PlanFinding> seat, double xMm, double yMm) {
        seat.until("the photo is laid out", () -> ((Region) seat.find("photo")).getWidth() > 10);
        double px = BenchSeat.onScreen(() -> ((Region) seat.find("photo")).getWidth() / 50);
        seat.pressAt("photo", xMm * px, yMm * px);
    }
}
