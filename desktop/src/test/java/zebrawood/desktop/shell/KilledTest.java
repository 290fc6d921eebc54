package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.testsupport.OtherProgram;

class KilledTest {

    @TempDir
    Path folder;

    @Test
    void whatWasTypedIsBackAfterTheProgramWasKilled() throws Exception {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        Process typing = OtherProgram.window(TypesAndWaits.class, folder);
        StringBuilder said = new StringBuilder();
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(typing.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null && !line.equals("KEPT"); line = lines.readLine()) {
                said.append(line).append('\n');
            }
            assertThat(typing.isAlive()).as(said.toString()).isTrue();
            typing.destroyForcibly().waitFor();
        }
        try (Seat seat = new Seat(folder)) {
            String id = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            Seat.onScreen(() -> {
                seat.shell().stop(id, "focus-ramp");
                return null;
            });
            seat.until("the draft is back", () -> seat.words("widths[2]").equals("0.28"));
            assertThat(seat.words("gapAtStartMm")).isEqualTo("11 5/8mm");
            seat.later(Duration.ofMinutes(6));
            Seat.onScreen(() -> {
                seat.shell().stop(id, "coolant-mix");
                return null;
            });
            seat.until("the time went on", () -> seat.words("leak.watch").equals("9:00 left"));
            seat.later(Duration.ofMinutes(8));
            seat.focus("leak").choose("leak", "no drop");
            seat.until(
                    "that was too short",
                    () -> seat.words("act")
                            .replaceAll("\\p{Zs}", " ")
                            .equals("Watch on for drops: 14 min are too short."));
            seat.later(Duration.ofMinutes(2));
            seat.until(
                    "the time is over, the answer is asked for again",
                    () -> seat.words("leak.watch").equals("Time is over: still so?"));
            seat.click("leak.watch");
            seat.until(
                    "looked again, it stands",
                    () -> seat.words("leak.watch").equals("15 min are over") && !seat.says("Watch on for drops"));
            seat.focus("leak.watch").press(KeyCode.SPACE);
            seat.until(
                    "begun anew, the old answer counts no more",
                    () -> seat.words("leak.watch").equals("15:00 left") && !seat.says("Watch on for drops"));
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }
}
