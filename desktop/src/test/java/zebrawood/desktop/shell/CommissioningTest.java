package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.MachineState;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.certificate.Certificate;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.Paper;

/** One machine commissioned from end to end in the real window, by keyboard only. */
class CommissioningTest {

    private static final String SETTINGS =
            "$20=0\n$21=1\n$22=1\n$23=3\n$30=1200\n$31=0\n$32=1\n$100=160\n$101=160\n$110=24000\n$111=24000\n"
                    + "$120=3200\n$121=3200\n$130=700\n$131=500\nok\n";

    @TempDir
    Path folder;

    @Test
    void aMachineIsAddedMeasuredRecordedCorrectedAndCertified() throws Exception {
        try (Seat seat = new Seat(folder)) {
            addWren(seat);
            climate(seat);
            gate(seat);
            settings(seat);
            ramp(seat);
            correctTheRamp(seat);
            certificate(seat);
            otherWays(seat);
        }
    }

    private static void addWren(Seat seat) {
        seat.jump("add a machine");
        seat.until("the name can be typed", () -> seat.focused("name"));
        seat.type("Wren").enter();
        seat.choose("family", "gantry CO2");
        seat.goTo("source.wavelengthsNm[0]").type("10.6 um");
        seat.goTo("climate.minTemperatureC")
                .type("57.2F")
                .enter()
                .type("29")
                .enter()
                .type("22")
                .enter()
                .type("66");
        seat.goTo("services.cooling").choose("services.cooling", "water");
        seat.goTo("services.enclosure").choose("services.enclosure", "interlock");
        seat.goTo("optics.focusDatum")
                .type("nozzle tip")
                .enter()
                .type("7")
                .enter()
                .type("block")
                .enter()
                .type("0.1")
                .enter()
                .type("bed");
        seat.goTo("control.kind").choose("control.kind", "numbered");
        seat.goTo("control.need.tool").choose("control.need.tool", "laser");
        seat.goTo("control.need.limitSwitches").choose("control.need.limitSwitches", "yes");
        seat.goTo("control.need.travelMm.x").type("700").enter().type("500");
        seat.goTo("control.need.senderMaxS").type("480").enter().type("1200");
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("initials are asked", () -> seat.focused("initials"));
        seat.type("rv").enter();
        seat.until("the first open stop is opened", () -> seat.focused("machine.widthMm"));
        seat.jump("wren climate");
        seat.until("its climate is asked", () -> seat.focused("airTemperatureC"));
        assertThat(seat.desk.machines().get()).singleElement().satisfies(machine -> {
            assertThat(machine.plate().name()).isEqualTo("Wren");
            assertThat(machine.plate().climate().orElseThrow().minTemperatureC())
                    .isEqualTo(14);
        });
    }

    private static void climate(Seat seat) {
        seat.type("warm");
        seat.until("a wrong word is told beside the field", () -> seat.says("Type a number"));
        seat.press(KeyCode.CONTROL, KeyCode.Z);
        seat.until("it is undone", () -> seat.words("airTemperatureC").isEmpty());
        seat.type("70,5F").enter().type("46");
        seat.until("the finding follows", () -> seat.words("act").equals("The room suits this machine."));
        seat.until("what was understood is shown", () -> seat.says("= 21.389 °C"));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("twice does nothing", () -> seat.words("told").startsWith("Nothing has changed since no. 2"));
    }

    private static void gate(Seat seat) {
        seat.jump("wren ramp");
        seat.until(
                "the ramp is shut and says what opens it",
                () -> seat.focused("opens") && seat.says("First light comes first."));
        seat.enter();
        String wren = seat.desk.machines().get().get(0).machineId();
        int bars = seat.desk.machine(wren).orElseThrow().gate().bars().size();
        AtTheGate hand = new AtTheGate(seat, wren);
        for (int bar = 0; bar < 3; bar++) {
            hand.liftOne();
        }
        seat.until("the water is asked to run", () -> seat.words("yes").startsWith("It runs") && seat.focused("yes"));
        seat.enter();
        seat.until("another bar is in hand while the leak wait runs", () -> seat.says("5  Switch the extraction on"));
        seat.later(Duration.ofMinutes(15));
        seat.until(
                "the wait is over", () -> seat.says("4  Start the coolant pump") && seat.focused("test-temperature"));
        while (!seat.desk.machine(wren).orElseThrow().gate().isOpen()) {
            hand.liftOne();
        }
        seat.until(
                "the gate is open",
                () -> seat.desk.machines().get().get(0).gate().isOpen() && seat.says("First light is cleared."));
        assertThat(bars).isEqualTo(10);
    }

    private static void settings(Seat seat) {
        seat.jump("wren settings");
        seat.until("the text can be pasted", () -> seat.has("paste"));
        Seat.onScreen(() -> {
            Clip.put(SETTINGS);
            return null;
        });
        seat.press(KeyCode.CONTROL, KeyCode.V);
        seat.until(
                "it is read by meaning",
                () -> seat.says("Soft limits") && seat.words("ticket-change").equals("$20=1"));
        assertThat(Seat.<Boolean>onScreen(() -> seat.has("copy-change")))
                .as("no copy before it is recorded")
                .isFalse();
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("the ticket can be copied", () -> seat.has("copy-change"));
        Seat.onScreen(() -> {
            seat.find("copy-change").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "the ticket is on the clipboard",
                () -> "$20=1\n".equals(Clipboard.getSystemClipboard().getString()));
    }

    private static void ramp(Seat seat) {
        seat.jump("wren ramp");
        seat.until("the gap is asked", () -> seat.focused("gapAtStartMm"));
        seat.type("11.6").enter().type("180").enter().type("10.2").enter();
        String[] widths = {"0.43", "0.33", "0.28", "0,22", "0.22", "0.24", "0.31", "0.37", "0.47"};
        for (int i = 0; i < widths.length; i++) {
            String field = "widths[" + i + "]";
            seat.until("width " + i + " is asked", () -> seat.focused(field));
            seat.type(widths[i]).enter();
            if (i == 2) {
                assertThat(seat.words("verdict")).isEqualTo("TO READ");
            }
        }
        seat.until("the gap is said", () -> seat.words("act").startsWith("Set the gap to 6."));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
    }

    private static void correctTheRamp(Seat seat) {
        Entry ramp = recordedRamp(seat);
        seat.jump("wren " + ramp.number());
        seat.until(
                "the entry is open",
                () -> seat.has("entry-paper") && seat.has("entry-correct") && seat.says("Ramp line  ·  Wren"));
        Seat.onScreen(() -> {
            seat.find("entry-correct").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "it can be typed anew",
                () -> seat.has("why") && seat.words("gapAtStartMm").equals("11.6"));
        Seat.onScreen(() -> {
            seat.find("gapAtStartMm").requestFocus();
            return null;
        });
        seat.press(KeyCode.CONTROL, KeyCode.A).type("12.6");
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("why is asked", () -> seat.focused("why"));
        seat.type("wrong block").enter();
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
        Entry corrected = recordedRamp(seat);
        assertThat(corrected.corrects()).map(Entry.Correction::why).contains("wrong block");
        assertThat(gap(corrected) - gap(ramp)).isBetween(0.999, 1.001);
        assertThat(((Body.Measured) corrected.body()).asTyped())
                .containsEntry("gapAtStartMm", "12.6")
                .containsEntry("marks[3].widthMm", "0,22");
    }

    private static double gap(Entry entry) {
        return ((RampFinding) ((Body.Measured) entry.body()).finding())
                .bestGapMm()
                .getAsDouble();
    }

    private static Entry recordedRamp(Seat seat) {
        String id = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
        List<Entry> ramps = seat.desk.logbook().readings(id, "focus-ramp", 24);
        assertThat(ramps).hasSize(1);
        assertThat(((Body.Measured) ramps.get(0).body()).verdict()).isEqualTo(Verdict.PASS);
        return ramps.get(0);
    }

    private static void certificate(Seat seat) throws Exception {
        String id = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        Certificate.write(
                Certificate.Subject.of(
                        "Fernhollow Instrument Works",
                        seat.desk.logbook(),
                        id,
                        new Certificate.Making(seat.desk.now(), seat.desk.zone(), UnitChoice.METRIC, Paper.A4)),
                pdf);
        try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
            String text = new PDFTextStripper().getText(document);
            String hash = seat.desk
                    .logbook()
                    .entry(id, (int) seat.desk.logbook().count(Optional.of(id)))
                    .place()
                    .hash();
            assertThat(text)
                    .contains(
                            "Not in order: ",
                            " not measured",
                            "Not measured yet: Way in, Circuit",
                            "0,22",
                            "TN, 0.06 ohm; tested",
                            hash.substring(0, 8));
        }
        assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
    }

    private static void otherWays(Seat seat) {
        seat.until(
                "the machine needs adjusting",
                () -> seat.desk.machines().get().get(0).state() == MachineState.NEEDS_ADJUSTING);
        seat.press(KeyCode.CONTROL, KeyCode.DIGIT1);
        seat.until("the shop says what comes next", () -> seat.focused("next-wren-controller-settings"));
        seat.enter();
        seat.until("the line opens its stop", () -> seat.says("Full power means two different things here"));
        seat.press(KeyCode.F1);
        seat.until("the stop is explained", () -> seat.says("Back to work"));
        seat.press(KeyCode.ESCAPE).press(KeyCode.F9);
        seat.until(
                "it is in Eyewear view",
                () -> seat.desk.ground().get() == Ground.EYEWEAR && !seat.says("Back to work"));
        seat.press(KeyCode.CONTROL, KeyCode.E);
        seat.until("one can say what happened", () -> seat.focused("event-moved"));
        seat.press(KeyCode.DIGIT1);
        seat.until(
                "what follows is said before",
                () -> seat.focused("event-remark") && seat.says("The first light gate shuts"));
        seat.type("to the loft").enter().enter();
        seat.until(
                "the gate is shut again",
                () -> !seat.desk.machines().get().get(0).gate().isOpen());
    }
}
