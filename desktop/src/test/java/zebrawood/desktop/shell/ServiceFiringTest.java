package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Phase;
import zebrawood.core.route.Gate;

/** Dunlin's gate and the work with its covers open, by keyboard, over two windows that are killed. */
class ServiceFiringTest {

    @TempDir
    Path folder;

    @TempDir
    Path killed;

    @TempDir
    Path killedAgain;

    /** What a kill at this moment would leave: all that lies in the folder, while the window is open. */
    private static void asKilled(Path open, Path left) throws IOException {
        try (Stream<Path> files = Files.walk(open)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path copy = left.resolve(open.relativize(file).toString());
                Files.createDirectories(copy.getParent());
                Files.copy(file, copy);
            }
        }
    }

    private static String dunlin(Seat seat) {
        return Seat.onScreen(() -> seat.shell().machine("Dunlin"));
    }

    private static Gate gate(Seat seat) {
        return seat.desk.machine(dunlin(seat)).orElseThrow().gate();
    }

    @Test
    void theGateIsLiftedCoversAreOpenedAndBothClocksSurviveAKill() throws IOException {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("dunlin first light");
            seat.until(
                    "the water is asked to run",
                    () -> seat.focused("yes") && seat.words("yes").startsWith("It runs"));
            assertThat(seat.words("verdict")).isEqualTo("CANNOT FIRE");
            seat.enter();
            seat.until(
                    "it is kept when it began",
                    () -> seat.desk
                            .logbook()
                            .findDraft(dunlin(seat), "first-light")
                            .isPresent());
            asKilled(folder, killed);
        }
        try (Seat seat = new Seat(killed).as("LO").later(Duration.ofMinutes(6))) {
            seat.jump("dunlin first light");
            seat.until("the wait goes on", () -> seat.says("4  Coolant flows, no bubble, no drip: wait 9:0"));
            AtTheGate hand = new AtTheGate(seat, dunlin(seat));
            while (!gate(seat).isOpen()) {
                hand.liftOne();
            }
            Body.GateLine water = line(seat, "water");
            assertThat(water.beside())
                    .contains("Water temperature: 20.5 °C")
                    .contains("Watched for: 21 min")
                    .contains("the alarm came: seen");
            assertThat(line(seat, "pulse").beside())
                    .contains("Power of that pulse: 8 %")
                    .contains("The mark is: round");
            begin(seat);
            assertThat(gate(seat).lets(Phase.BEAM)).isTrue();
            assertThat(gate(seat).lets(Phase.FOCUS)).isFalse();
            asKilled(killed, killedAgain);
        }
        try (Seat seat = new Seat(killedAgain).as("LO").later(Duration.ofMinutes(24))) {
            seat.until(
                    "it is told at the foot of every page",
                    () -> seat.words("service-" + dunlin(seat)).startsWith("Dunlin, covers open: "));
            seat.later(Duration.ofMinutes(20));
            seat.until(
                    "that it was left open, too",
                    () -> seat.words("service-" + dunlin(seat)).equals("Dunlin: left open, test covers and interlock"));
            assertThat(gate(seat).lets(Phase.BEAM)).isFalse();
            seat.jump("dunlin first light");
            seat.until("the covers are asked for", () -> seat.focused("test-shut"));
            assertThat(seat.words("verdict")).isEqualTo("LEFT OPEN");
            new AtTheGate(seat, dunlin(seat)).liftOne();
            seat.until("it is over", () -> gate(seat).isOpen() && !seat.has("service-" + dunlin(seat)));
        }
    }

    private static Body.GateLine line(Seat seat, String bar) {
        return gate(seat).bars().stream()
                .filter(line -> line.bar().id().equals(bar))
                .flatMap(line -> line.answer().stream())
                .map(entry -> (Body.GateLine) entry.body())
                .findFirst()
                .orElseThrow();
    }

    private static void begin(Seat seat) {
        seat.jump("service firing");
        seat.until("who works is asked", () -> seat.focused("service-who"));
        seat.enter();
        seat.until("who keeps others out", () -> seat.focused("service-keeps"));
        seat.type("rv").enter().type("left door, right door").enter().type("61").enter();
        for (int i = 0; i < 5; i++) {
            String tick = "service-tick-" + i;
            seat.until("each line is ticked", () -> seat.focused(tick));
            seat.press(KeyCode.SPACE);
        }
        seat.until("it can begin", () -> seat.focused("service-begin"));
        seat.enter();
        seat.until(
                "not for so long",
                () -> seat.says("Type whole minutes, from 1 to 60.") && seat.focused("service-minutes"));
        seat.press(KeyCode.CONTROL, KeyCode.A).type("20").enter();
        seat.until("it can begin", () -> seat.focused("service-begin"));
        seat.enter();
        seat.until("covers are open", () -> gate(seat).service().isPresent() && seat.has("service-" + dunlin(seat)));
        assertThat(gate(seat).service().orElseThrow().what().open()).isEqualTo(List.of("left door", "right door"));
        assertThat(seat.desk.logbook().findNewest(dunlin(seat), "service")).isNotEqualTo(Optional.empty());
    }

    @Test
    void aSecondPersonIsAskedForWhereTheShopWantsOneAndIsNotTheSame() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("a second person at the gate");
            seat.jump("dunlin first light");
            seat.until("the water is asked to run", () -> seat.focused("yes"));
            seat.enter();
            seat.until(
                    "a second person is asked for", () -> seat.has("second") && seat.says("5  Switch the extraction"));
            seat.until("the answer has the focus", () -> seat.focused("yes"));
            seat.enter();
            seat.until(
                    "it is not lifted by one", () -> seat.focused("second") && seat.says("The shop asks for a second"));
            seat.type("lo").enter();
            seat.until("then the answer", () -> seat.focused("yes"));
            seat.enter();
            seat.until("nor by the same twice", () -> seat.says("The second person has to be another one than LO."));
            seat.focus("second").press(KeyCode.CONTROL, KeyCode.A).type("rv").enter();
            seat.until("then the answer", () -> seat.focused("yes"));
            seat.enter();
            seat.until("it is lifted by two", () -> gate(seat).lifted() == 4);
            assertThat(line(seat, "extraction").beside()).isEqualTo("seen by RV too");
        }
    }
}
