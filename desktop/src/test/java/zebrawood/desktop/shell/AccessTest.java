package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.logbook.store.Logbook;

/** The way in by keyboard, and the machine dragged and turned at its place. */
class AccessTest {

    @TempDir
    private Path folder;

    @Test
    void theWayIsTypedInItsOrderAndTheMachineIsDraggedAndTurned() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "wren",
                    new Body.PlateSet(plate(), Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        try (Seat seat = new Seat(folder)) {
            seat.jump("wren way in");
            seat.until("the first door is asked", () -> seat.focused("way[0].name"));
            seat.type("yard gate").enter().type("1.8m").enter().type("2200");
            seat.until("a gate alone is a way", () -> seat.words("act").equals("It goes in."));
            seat.focus("way[1].kind").choose("way[1].kind", "corner");
            seat.goTo("way[1].name")
                    .type("passage")
                    .enter()
                    .type("1150")
                    .enter()
                    .type("1200");
            seat.goTo("way[2].a").type("794").enter().type("2030").enter().type("834");
            seat.until(
                    "the leaf has to come off",
                    () -> seat.words("act")
                            .equals(
                                    "Take the door off its hinges at door 2: 6 mm of the 20 mm clearance are missing."));

            seat.goTo("rear.neededMm").type("500");
            seat.until(
                    "what is needed asks for what is free",
                    () -> seat.words("act").equals("Measure what is free where something is needed."));
            seat.focus("rear.availableMm")
                    .type("640")
                    .goTo("left.availableMm")
                    .type("410")
                    .goTo("left.neededMm")
                    .type("300")
                    .goTo("right.availableMm")
                    .type("700");
            seat.until("the walls do", () -> seat.says("left, 110 mm over need"));
            seat.drag("grip", -20);
            seat.until(
                    "what is free on the left went to the right",
                    () -> number(seat, "left.availableMm") < 410
                            && number(seat, "left.availableMm") + number(seat, "right.availableMm") == 1110);
            double left = number(seat, "left.availableMm");
            seat.press(KeyCode.RIGHT);
            seat.until("an arrow moves it too", () -> number(seat, "left.availableMm") == left + 10);
            seat.press(KeyCode.CONTROL, KeyCode.Z).press(KeyCode.CONTROL, KeyCode.Z);
            seat.until(
                    "and undo back",
                    () -> number(seat, "left.availableMm") == left && number(seat, "right.availableMm") == 1110 - left);
            seat.click("turn");
            seat.until(
                    "turned to the right, what it had at its left it has in front",
                    () -> number(seat, "front.availableMm") == left + 185);
            seat.press(KeyCode.CONTROL, KeyCode.Z)
                    .press(KeyCode.CONTROL, KeyCode.Z)
                    .press(KeyCode.CONTROL, KeyCode.Z)
                    .press(KeyCode.CONTROL, KeyCode.Z);
            seat.until(
                    "undo turns it back",
                    () -> number(seat, "left.availableMm") == left
                            && seat.words("front.availableMm").isEmpty());

            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("ga").enter();
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
            AccessReadings read = (AccessReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("wren", "site-access", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(read.machine()).isEqualTo(new AccessReadings.Machine(1150, 780, 980, 212));
            assertThat(read.corners())
                    .singleElement()
                    .satisfies(corner -> assertThat(corner.openingsBefore()).hasValue(1));
            assertThat(read.openings()).extracting(AccessReadings.Opening::name).containsExactly("yard gate", "door 2");

            seat.jump("wren way in");
            seat.until(
                    "the entry is shown",
                    () -> seat.focused("again")
                            && seat.words("way[1].name").equals("passage")
                            && seat.words("way[2].off").equals("834"));
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void anotherWayIsComparedBesideItAndComesBack() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "wren",
                    new Body.PlateSet(plate(), Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        try (Seat seat = new Seat(folder)) {
            seat.stop("Wren", "site-access")
                    .put("way[0].name", "yard gate")
                    .put("way[0].a", "760")
                    .put("way[0].b", "2200");
            seat.until(
                    "it is too narrow",
                    () -> seat.words("act")
                            .equals(
                                    "Yard gate is too tight: with the 20 mm clearance 40 mm are missing in its width."));
            seat.focus("way[1].kind").choose("way[1].kind", "other door");
            seat.put("way[1].name", "window").put("way[1].a", "1400").put("way[1].b", "1200");
            seat.focus("way[2].kind").choose("way[2].kind", "other corner");
            seat.put("way[2].a", "1100").put("way[2].b", "1300");
            seat.until("the other way fits", () -> seat.words("act").equals("Go by the other way."));
            seat.put("way[2].a", "500");
            seat.until(
                    "unless its corner is too tight",
                    () -> seat.words("act")
                            .startsWith(
                                    "Yard gate is too tight: with the 20 mm clearance 40 mm are missing in its width."));
            seat.put("way[2].a", "1100").put("way[2].name", "store");
            seat.as("GA");
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
            AccessReadings.Other other = ((AccessReadings) ((Body.Measured) seat.desk
                                    .logbook()
                                    .readings("wren", "site-access", 1)
                                    .get(0)
                                    .body())
                            .readings())
                    .other()
                    .orElseThrow();
            assertThat(other.openings())
                    .extracting(AccessReadings.Opening::name)
                    .containsExactly("window");
            assertThat(other.corners())
                    .singleElement()
                    .satisfies(corner -> assertThat(corner.openingsBefore()).hasValue(1));
            seat.fire("again");
            seat.until(
                    "all of it is there the next time",
                    () -> seat.words("way[1].name").equals("window")
                            && seat.words("way[2].name").equals("store")
                            && seat.words("way[2].b").equals("1300"));
        }
    }

    private static double number(Seat seat, String field) {
        String text = seat.words(field);
        return text.isEmpty() ? Double.NaN : Double.parseDouble(text);
    }

    private static Plate plate() {
        return new Plate(
                "Wren",
                Family.GANTRY_CO2,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Size(1150, 780, 980, OptionalDouble.of(212))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
