package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A visit is planned by keyboard, changes as entries arrive, goes into a calendar, and is there in the next window. */
class VisitTest {

    @TempDir
    Path folder;

    @TempDir
    Path elsewhere;

    @Test
    void aDayIsPlannedFollowedAndTakenAlong() throws IOException {
        String dunlin;
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            dunlin = Seat.onScreen(() -> seat.shell().machine("Dunlin"));
            seat.jump("plan a visit");
            seat.until("the first field is in hand", () -> seat.focused("visit-start") && seat.desk.isIdle());
            seat.until("the most urgent machine is in it", () -> seat.says("Wren: Settings"));
            String wren = Seat.onScreen(() -> seat.shell().machine("Wren"));
            seat.fire("visit-" + wren).fire("visit-" + dunlin);
            seat.until(
                    "Dunlin alone is planned",
                    () -> seat.says("Dunlin: Coolant flows") && !seat.says("Wren: Settings"));
            assertThat(seat.words("verdict"))
                    .as("seven bars and one wait; the beam and the ramp take their time in this shop")
                    .isEqualTo("OVER AT 12:55");
            assertThat(seat.says("While this waits, do: Extraction draws")).isTrue();

            seat.focus("visit-start").type("25:00");
            seat.until("no such time", () -> seat.says("Type a time of the day, such as 9:30, instead of \"25:00\"."));
            seat.press(KeyCode.CONTROL, KeyCode.A).type("13.00").enter();
            seat.until("it begins in the afternoon", () -> seat.words("verdict").equals("OVER AT 15:25"));
            seat.until("then the electrician", () -> seat.focused("visit-electrician"));
            seat.type("13:20").enter();
            seat.until("then the cold", () -> seat.focused("visit-cold"));
            seat.type("2").enter();
            seat.until(
                    "a dew point of today is wanted", () -> seat.says("Read the climate of the room of Dunlin today"));
            seat.jump("dunlin climate");
            seat.until("its climate is open", () -> seat.has("again"));
            seat.fire("again").until("it is asked", () -> seat.focused("airTemperatureC"));
            seat.type("21").enter().type("44");
            seat.until("it is judged", () -> seat.words("act").equals("The room suits this machine."));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            seat.jump("plan a visit");
            seat.until("the plan is as it was", () -> seat.words("visit-cold").equals("2"));
            seat.focus("visit-cold").enter();
            seat.until("it stands first", () -> seat.says("Dunlin: Stand in the room, switched off"));
            assertThat(seat.says("75 min of waiting"))
                    .as("a dew point of 8.4 °C, 96 kg")
                    .isTrue();
            seat.until("then what else is done", () -> seat.focused("visit-besides"));
            seat.type("Dunlin: glue the mount");
            seat.until("it has to say how long", () -> seat.says("Type what is done and how long it takes"));
            seat.type(", 5 min, wait 2 h, two");
            seat.until(
                    "two are needed, and one comes",
                    () -> seat.says("Not planned: glue the mount, Dunlin. It needs two people."));
            seat.fire("visit-second");
            seat.until(
                    "with two it is planned", () -> seat.says("Dunlin: glue the mount") && !seat.says("Not planned"));

            Path file = elsewhere.resolve("day.ics");
            seat.answers(file).fire("visit-calendar");
            seat.until("it is saved", () -> Files.exists(file));
            String calendar = Files.readString(file).replaceAll("\\R ", "");
            assertThat(calendar)
                    .startsWith("BEGIN:VCALENDAR")
                    .contains("SUMMARY:Dunlin: Coolant flows\\, no bubble\\, no drip")
                    .contains("DTSTART:20310314T1315");
            assertThat(calendar.split("BEGIN:VEVENT", -1)).hasSize(1 + 15);
        }
        try (Seat seat = new Seat(folder).as("LO").later(Duration.ofHours(3))) {
            seat.jump("plan a visit");
            seat.until(
                    "it is there as it was",
                    () -> seat.words("visit-electrician").equals("13:20"));
            seat.until("what is left goes on from now", () -> seat.says("tasks from 13:30"));
            seat.focus("visit-cold").press(KeyCode.CONTROL, KeyCode.A).press(KeyCode.DELETE);
            seat.focus("visit-besides").press(KeyCode.CONTROL, KeyCode.A).press(KeyCode.DELETE);
            seat.until("only Dunlin's own is left", () -> seat.says("13 tasks from 13:30"));
            seat.fire("visit-row-1");
            seat.until("its stop is open", () -> seat.focused("yes"));
            seat.enter();
            seat.until("the water is watched", () -> seat.says("5  Switch the extraction on"));
            new AtTheGate(seat, dunlin).liftOne();
            seat.jump("plan a visit");
            seat.until("what is recorded has left the plan", () -> seat.says("12 tasks from 13:30"));
            assertThat(seat.says("Dunlin: Extraction draws")).isFalse();
            assertThat(seat.says("15 min of waiting"))
                    .as("the wait that runs is no wait to come")
                    .isFalse();
        }
    }
}
