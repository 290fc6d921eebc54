package zebrawood.desktop.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.route.MachineState;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.Todo;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;

class DemoShopTest {

    private static final LocalDate FRIDAY = LocalDate.of(2031, 3, 14);

    @TempDir
    Path folder;

    private static void make(Path folder, LocalDate today) {
        DemoShop.make(folder, Catalogue.procedures(), today, "test");
    }

    private static List<MachineStatus> statuses(Logbook logbook, Instant now) {
        Route route = new Route(Catalogue.procedures());
        return logbook.machines().stream()
                .map(machine -> route.status(logbook.history(machine.id()), now, MachineDiary.ZONE))
                .toList();
    }

    @Test
    void everyMachineStandsAsTheShopsStorySays() {
        make(folder, FRIDAY);
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            List<MachineStatus> machines = statuses(logbook, Instant.parse("2031-03-14T09:30:00Z"));
            Map<String, MachineState> states =
                    machines.stream().collect(Collectors.toMap(m -> m.plate().name(), MachineStatus::state));

            assertThat(states)
                    .containsOnly(
                            Map.entry("Wren", MachineState.NEEDS_ADJUSTING),
                                    Map.entry("Dunlin", MachineState.HALF_COMMISSIONED),
                            Map.entry("Kestrel", MachineState.IN_ORDER), Map.entry("Heron", MachineState.IN_ORDER),
                            Map.entry("Plover", MachineState.UNCLEAR), Map.entry("Bittern", MachineState.DUE));
            assertThat(Route.next(machines))
                    .extracting(Todo::machine)
                    .containsExactly("Wren", "Dunlin", "Plover", "Bittern", "Kestrel", "Dunlin", "Wren");
            assertThat(logbook.head().entries()).isBetween(1_200L, 1_500L);
            assertThat(logbook.verify(List.of()).flaws()).isEmpty();
        }
    }

    /** On any day of a leap and a common year the story holds: nothing depends on which day today is. */
    @Test
    void theStoryHoldsOnOtherDaysToo(@TempDir Path other) {
        for (LocalDate today :
                List.of(LocalDate.of(2028, 2, 29), LocalDate.of(2026, 11, 24), LocalDate.of(2030, 1, 1))) {
            make(other, today);
            try (Logbook logbook = Logbook.open(other, Catalogue.procedures())) {
                assertThat(statuses(logbook, today.atTime(10, 30).toInstant(MachineDiary.ZONE)))
                        .extracting(MachineStatus::state)
                        .as(today.toString())
                        .containsExactly(
                                MachineState.NEEDS_ADJUSTING,
                                MachineState.HALF_COMMISSIONED,
                                MachineState.IN_ORDER,
                                MachineState.IN_ORDER,
                                MachineState.UNCLEAR,
                                MachineState.DUE);
            }
        }
    }

    @Test
    void theSameDayGivesTheSameBytes(@TempDir Path again) {
        make(folder, FRIDAY);
        make(again, FRIDAY);
        make(again, FRIDAY);
        try (Logbook one = Logbook.open(folder, Catalogue.procedures());
                Logbook other = Logbook.open(again, Catalogue.procedures())) {
            assertThat(other.head()).isEqualTo(one.head());
        }
    }

    @Test
    void aFolderThatHoldsAnythingElseIsLeftAlone() throws IOException {
        Path letter = Files.writeString(folder.resolve("letter.txt"), "dear");
        assertThatThrownBy(() -> make(folder, FRIDAY))
                .isInstanceOf(LogbookException.class)
                .hasMessageContaining("neither empty nor a demo");
        assertThat(letter).hasContent("dear");
    }
}
