package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.control.Hyperlink;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.Gate;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;

/** A new user in a new shop: by keyboard from nothing to a climate, a circuit and an open gate. */
class FromNothingTest {

    /** a second and a half each, in gloves, make ten minutes */
    private static final int STROKES = 400;

    @TempDir
    private Path folder;

    @Test
    void fromAnEmptyShopToAnOpenGateByKeyboardInTenMinutes() {
        try (Seat seat = new Seat(folder)) {
            AtomicInteger strokes = new AtomicInteger();
            Seat.onScreen(() -> {
                seat.shell()
                        .scene()
                        .addEventFilter(
                                KeyEvent.ANY,
                                event -> strokes.addAndGet(event.getEventType() == KeyEvent.KEY_TYPED ? 1 : 0));
                return null;
            });
            seat.until("the floor with its families is there", () -> seat.says("An empty floor"));
            seat.press(KeyCode.DIGIT3);
            seat.until("its name is asked", () -> seat.focused("name"));
            seat.type("Kestrel").press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked once", () -> seat.focused("initials"));
            seat.type("rv").enter();
            seat.until("the first open stop opens", () -> seat.focused("machine.widthMm"));

            climate(seat);
            circuit(seat);
            gate(seat);

            MachineStatus machine =
                    Seat.onScreen(() -> seat.desk.machines().get().get(0));
            History history = seat.desk.logbook().history(machine.machineId());
            assertThat(machine.gate().isOpen()).isTrue();
            assertThat(machine.gate().bars())
                    .as("what it has none of was asked, not left out")
                    .extracting(line -> line.bar().id())
                    .doesNotContain("water", "interlock", "air")
                    .contains("area");
            for (Plate.Part part : new Plate.Part[] {Plate.Part.WATER, Plate.Part.INTERLOCK, Plate.Part.AIR}) {
                assertThat(history.plate().presence(part)).isEqualTo(Plate.Presence.NONE);
            }
            for (String stop : new String[] {"site-climate", "site-circuit"}) {
                assertThat(history.of(stop).get(0).verdict()).isEqualTo(Verdict.PASS);
            }
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
            assertThat(strokes.get()).as("characters typed").isBetween(60, STROKES);
        }
    }

    private static void climate(Seat seat) {
        seat.jump("kestrel climate");
        seat.until("its limits are asked on the stop itself", () -> seat.focused("climate.minTemperatureC"));
        // usual figures taken over, one typed
        seat.press(KeyCode.SPACE)
                .enter()
                .press(KeyCode.SPACE)
                .enter()
                .type("10")
                .enter();
        seat.press(KeyCode.SPACE);
        seat.until("the bench stands under them", () -> seat.has("airTemperatureC"));
        seat.enter();
        seat.until("and is begun", () -> seat.focused("airTemperatureC"));
        seat.type("21").enter().type("45");
        seat.until("it is judged", () -> seat.words("act").equals("The room suits this machine."));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("plate and reading are recorded", () -> seat.says("No. 3, recorded"));
    }

    private static void circuit(Seat seat) {
        seat.jump("kestrel circuit");
        seat.until("the supply is asked", () -> seat.focused("supplyV"));
        seat.type("230").enter().type("16").enter().enter().enter();
        seat.goTo("loads[0].name").type("supply").enter().type("260");
        seat.until("it is judged", () -> seat.words("act").equals("The circuit carries this."));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 4."));
    }

    private static Gate gateOf(Seat seat) {
        return seat.desk.machines().get().get(0).gate();
    }

    private static void gate(Seat seat) {
        seat.jump("kestrel first light");
        AtTheGate hand = new AtTheGate(seat, seat.desk.machines().get().get(0).machineId());
        for (int bar = 0; bar < 20 && !Seat.<Boolean>onScreen(() -> gateOf(seat).isOpen()); bar++) {
            String before = Seat.onScreen(
                    () -> gateOf(seat).inHand().orElseThrow().bar().id());
            seat.until("bar " + before + " is in hand", () -> seat.desk.isIdle() && AtTheGate.isAnswer(seat.focus()));
            if (!Seat.<Boolean>onScreen(() -> seat.has("none-here"))) {
                hand.liftOne();
                continue;
            }
            for (int steps = 0; steps < 12 && !Seat.<Boolean>onScreen(() -> seat.focused("none-here")); steps++) {
                seat.press(KeyCode.TAB);
            }
            seat.until("there is none of it", () -> seat.focused("none-here"));
            seat.enter();
            seat.until(
                    "another bar is in hand, or none",
                    () -> !gateOf(seat)
                            .inHand()
                            .map(line -> line.bar().id())
                            .orElse("")
                            .equals(before));
        }
    }

    /**
     * A stop that a machine goes without leaves the Route, with a reason and initials, and comes back when that is
     * taken back.
     */
    @Test
    void aStopIsLeftOutWithAReasonAndTakenBack() {
        try (Seat seat = Seat.atDemo(folder)) {
            Seat.onScreen(() -> {
                seat.desk.initials().set("GA");
                return null;
            });
            seat.stop("Heron", "site-climate");
            assertThat(Seat.<Boolean>onScreen(() -> seat.has("leave-out")))
                    .as("what keeps people safe stays")
                    .isFalse();
            seat.stop("Heron", "site-access");
            follow(seat, "leave-out");
            seat.until("a reason is asked", () -> seat.focused("not-here-reason"));
            seat.fire("not-here-record");
            seat.until("not without one", () -> seat.says("Say why this machine goes without it."));
            seat.type("stays where it stood").enter().enter();
            seat.until("it is off the Route", () -> !on(seat, "site-access"));
            String machine = heron(seat).machineId();
            Plate.NotWanted left = heron(seat).plate().notWanted().get(0);
            assertThat(left.by()).isEqualTo("GA");
            assertThat(left.reason()).isEqualTo("stays where it stood");

            Seat.onScreen(() -> {
                seat.shell().plate(machine);
                return null;
            });
            seat.until("the plate names it", () -> seat.has("without-site-access"));
            follow(seat, "without-site-access");
            seat.until("it is said who left it out", () -> seat.says("It was left out by GA"));
            seat.fire("not-here-back");
            seat.until("it is back", () -> on(seat, "site-access"));
        }
    }

    private static void follow(Seat seat, String link) {
        Seat.onScreen(() -> {
            ((Hyperlink) seat.find(link)).fire();
            return null;
        });
    }

    private static MachineStatus heron(Seat seat) {
        return Seat.onScreen(() -> seat.desk.machines().get().stream()
                .filter(machine -> machine.plate().name().equals("Heron"))
                .findFirst()
                .orElseThrow());
    }

    private static boolean on(Seat seat, String stop) {
        return heron(seat).stops().stream()
                .anyMatch(status -> status.card().id().equals(stop));
    }
}
