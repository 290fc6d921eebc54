package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.route.RoutePage;
import zebrawood.desktop.shop.ShopPage;
import zebrawood.logbook.store.Logbook;

/** More machines than one floor can show: a list beside it, searched and filtered by keyboard. */
class LargeFloorTest {

    private static final int MACHINES = 40;

    @TempDir
    private Path folder;

    @Test
    void aMachineIsFoundAmongMany() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.together(() -> {
                for (int i = 1; i <= MACHINES; i++) {
                    logbook.append("id-" + i, new Body.PlateSet(plate(i), Map.of()), stamp());
                }
            });
            logbook.append("id-7", new Body.Happened(Change.KNOCKED, "trolley"), stamp());
        }
        try (Seat seat = new Seat(folder)) {
            seat.until("all are in the list", () -> listed(seat) == MACHINES && seat.says("all 40 machines"));
            List<Integer> standing = Seat.onScreen(() -> IntStream.rangeClosed(1, MACHINES)
                    .filter(i -> seat.has("machine-unit " + i))
                    .boxed()
                    .toList());
            assertThat(standing)
                    .as("the floor shows so many as it can, the most urgent ones")
                    .hasSize(24)
                    .contains(7);

            seat.press(KeyCode.CONTROL, KeyCode.F);
            seat.until("the search has the focus", () -> seat.focused("shop-search"));
            seat.type("unit 33 loft");
            seat.until(
                    "one is left, on the floor too",
                    () -> listed(seat) == 1 && seat.says("1 of 40 machines") && seat.has("machine-unit 33"));
            seat.press(KeyCode.CONTROL, KeyCode.A).type("nothing like it");
            seat.until("none is like that", () -> listed(seat) == 0 && seat.says("No machine is like that"));
            seat.press(KeyCode.CONTROL, KeyCode.A).press(KeyCode.DELETE);
            seat.until("all are back", () -> listed(seat) == MACHINES);

            choose(seat, "shop-place", "loft");
            seat.until("every third stands in the loft", () -> listed(seat) == MACHINES / 3);
            choose(seat, "shop-family", "galvo UV");
            seat.until("some of them are of that family", () -> listed(seat) > 0 && listed(seat) < MACHINES / 3);

            seat.press(KeyCode.CONTROL, KeyCode.F).enter();
            seat.until("the list has the focus", () -> seat.focused("machine-list"));
            seat.press(KeyCode.DOWN).enter();
            seat.until(
                    "the chosen one opens",
                    () -> seat.shell().page() instanceof RoutePage route
                            && route.machine().plate().family() == Family.GALVO_UV
                            && route.machine().plate().place().equals(Optional.of("loft")));
        }
    }

    @Test
    void theFloorIsMovedByMouseAndAMachineOpenedByPressingIt() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.together(() -> {
                for (int i = 1; i <= MACHINES; i++) {
                    logbook.append("id-" + i, new Body.PlateSet(plate(i), Map.of()), stamp());
                }
            });
        }
        try (Seat seat = new Seat(folder)) {
            seat.until("all are in the list", () -> listed(seat) == MACHINES && seat.has("next-scroll"));
            int unit = Seat.onScreen(() -> IntStream.rangeClosed(1, MACHINES)
                    .filter(i -> seat.has("machine-unit " + i) && at(seat, i) > 700 && at(seat, i) < 900)
                    .findFirst()
                    .orElseThrow());
            double before = Seat.onScreen(() -> at(seat, unit));
            seat.drag("machine-unit " + unit, -120);
            seat.until("the floor has moved", () -> at(seat, unit) < before - 60);
            assertThat(seat.shell().page()).as("nothing was opened by that").isInstanceOf(ShopPage.class);

            seat.drag("machine-unit " + unit, 9);
            seat.until(
                    "a hand that slips a little still opens it",
                    () -> seat.shell().page() instanceof RoutePage route
                            && route.machine().plate().name().equals("Unit " + unit));
            seat.click("place-shop");
            seat.until(
                    "the place at the left is pressed by mouse",
                    () -> seat.shell().page() instanceof ShopPage);
        }
    }

    /** Where a machine stands in the window, px. */
    private static double at(Seat seat, int unit) {
        Node node = seat.find("machine-unit " + unit);
        return node.localToScene(node.getBoundsInLocal()).getMinX();
    }

    private static int listed(Seat seat) {
        return seat.find("machine-list") instanceof ListView<?> list
                ? list.getItems().size()
                : -1;
    }

    private static void choose(Seat seat, String box, String words) {
        Seat.onScreen(() -> {
            ComboBox<?> choice = (ComboBox<?>) seat.find(box);
            for (int i = 0; i < choice.getItems().size(); i++) {
                if (choice.getItems().get(i).toString().equals(words)) {
                    choice.getSelectionModel().select(i);
                }
            }
            return null;
        });
    }

    private static Plate plate(int i) {
        Family[] families = Family.values();
        return new Plate(
                "Unit " + i,
                families[i % families.length],
                Optional.empty(),
                Optional.of(i % 3 == 0 ? "loft" : "hall"),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Entry.Stamp stamp() {
        return new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test");
    }
}
