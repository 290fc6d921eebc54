package zebrawood.core.inventory;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.inventory.InventoryReadings.Part;
import zebrawood.core.inventory.InventoryReadings.Sort;
import zebrawood.core.inventory.InventoryReadings.State;
import zebrawood.core.units.UnitChoice;

/** What an inventory lacks stands open until an inventory finds it right. */
class LackPointsTest {

    private static Body measured(State wrench, State window) {
        InventoryReadings read = new InventoryReadings(
                List.of(
                        new Part("Came along", "Wrench", Sort.PART, wrench, Optional.of("13 mm")),
                        new Part("Came along", "Wrench, large", Sort.PART, State.PRESENT, Optional.empty()),
                        new Part("Came along", "Window", Sort.PART, window, Optional.empty())),
                List.of(),
                Optional.empty());
        Inventory inventory = new Inventory();
        return Body.Measured.of(inventory, read, Map.of(), inventory.evaluate(read), UnitChoice.METRIC);
    }

    private static Entry point(int number, String what) {
        return new Entry(
                new Entry.Place("wren", number, "hash" + number),
                new Entry.Stamp(Instant.EPOCH, ZoneOffset.UTC, "LO", "test"),
                new Body.PointOpened(what, "", Optional.empty()),
                Optional.empty(),
                List.of());
    }

    @Test
    void whatIsNotRightIsOpenedOnce() {
        List<Body> first = LackPoints.following(measured(State.MISSING, State.DAMAGED), 5, List.of());
        assertThat(first)
                .extracting(body -> ((Body.PointOpened) body).what())
                .containsExactly("Damaged: Window", "Missing: Wrench (13 mm)");
        List<Entry> open = List.of(
                point(6, "Damaged: Window"),
                point(7, "Missing: Wrench (13 mm)"),
                point(8, "Hose is split: fit a new one"));
        assertThat(LackPoints.following(measured(State.MISSING, State.DAMAGED), 9, open))
                .isEmpty();
    }

    @Test
    void whatIsRightNowIsClosedAndNothingElse() {
        List<Entry> open = List.of(
                point(6, "Damaged: Window"),
                point(7, "Missing: Wrench (13 mm)"),
                point(8, "Window to be cleaned"),
                point(9, "Missing: Window frame"));
        List<Body> after = LackPoints.following(measured(State.PRESENT, State.DAMAGED), 12, open);
        assertThat(after).singleElement().satisfies(body -> {
            Body.PointClosed closed = (Body.PointClosed) body;
            assertThat(closed.opened()).isEqualTo(7);
            assertThat(closed.how()).isEqualTo("right at the inventory, no. 12");
        });
        assertThat(LackPoints.following(
                        measured(State.MISSING, State.PRESENT), 12, List.of(point(6, "Missing: Wrench, large (red)"))))
                .as("the large one is right, the other is opened")
                .hasSize(2);
        assertThat(LackPoints.following(measured(State.NONE, State.PRESENT), 12, open))
                .as("what a machine has none of is not missing")
                .hasSize(2);
    }
}
