package zebrawood.benches.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.inventory.Inventory;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.inventory.InventoryReadings.State;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

class InventoryBenchTest {

    private final Stop<InventoryReadings, InventoryFinding> stop =
            new Stop<>(new Inventory(), InventoryBench.FIELDS, InventoryBench::new, new InventoryFigure());

    @TempDir
    Path folder;

    private BenchSeat<InventoryReadings, InventoryFinding> seat() {
        return new BenchSeat<>(stop, Plates.bare("Heron", Family.GALVO_FIBRE), Map.of());
    }

    @Test
    void aShortListIsGoneDownByKeysAndWhatIsMissingCanBeOrdered() throws IOException {
        Path list = Files.writeString(folder.resolve("ours.json"), """
                {"blocks": [{"group": "Came along", "sort": "part", "names": ["=Mains cable", "Rule", "Rule"]},
                 {"group": "Inside", "sort": "check", "names": ["Locks out"]},
                 {"group": "Inside", "sort": "check", "families": ["gantry-co2"], "names": ["Tube whole"]},
                 {"group": "Came along", "sort": "part", "families": ["galvo-fibre"], "names": ["Foot switch"]}]}
                """);
        try (BenchSeat<InventoryReadings, InventoryFinding> seat = seat()) {
            assertThat(BenchSeat.<Optional<String>>onScreen(() -> seat.bench().take(list.toFile())))
                    .isEmpty();
            seat.until("its lines stand there", () -> seat.has("part-Rule") && !seat.has("part-Tube whole"));
            assertThat(seat.act()).isEqualTo("Look at: =Mains cable.");
            seat.focus("part-=Mains cable").press(KeyCode.M);
            seat.until("what is wrong can be said", () -> seat.focused("remark-=Mains cable"));
            seat.type("order 4417, m or d").enter();
            seat.until("the next line is in hand", () -> seat.focused("part-Rule"));
            seat.press(KeyCode.SPACE);
            seat.until("then the one of this family, under the same heading", () -> seat.focused("part-Foot switch"));
            seat.press(KeyCode.N);
            seat.until("then what is to be so", () -> seat.focused("part-Locks out"));
            assertThat(seat.readings()).as("one line is open").isEmpty();
            seat.press(KeyCode.SPACE);
            seat.until("it is judged", () -> seat.verdict().equals(Optional.of(Verdict.ADJUST)));
            InventoryFinding finding = seat.finding().orElseThrow();
            assertThat(finding.asked()).isEqualTo(3);
            assertThat(finding.lacks())
                    .singleElement()
                    .satisfies(
                            lack -> assertThat(lack.words()).isEqualTo("Missing: =Mains cable (order 4417, m or d)"));
            assertThat(OrderList.csv(Plates.bare("Heron", Family.GALVO_FIBRE), finding))
                    .contains("machine,number,part,state,remark")
                    .contains("'=Mains cable")
                    .doesNotContain("Rule");
            seat.focus("another-part").type("Brush").enter();
            seat.until("one more is asked", () -> seat.readings().isEmpty() && seat.focused("part-Brush"));
            seat.press(KeyCode.D).enter();
            seat.until(
                    "it counts",
                    () -> seat.finding()
                            .filter(found -> found.lacks().size() == 2)
                            .isPresent());
            seat.focus("tray[3]").type("rear cover");
            seat.until(
                    "the tray too",
                    () -> seat.readings()
                            .filter(read -> read.tray().equals(List.of(new InventoryReadings.Place(3, "rear cover"))))
                            .isPresent());
        }
    }

    @Test
    void aHeldKeyAnswersOneLineOnlyAndABendIsJudged() {
        try (BenchSeat<InventoryReadings, InventoryFinding> seat = seat()) {
            List<PartsList.Line> lines = PartsList.read(PartsList.shipped()).of(Family.GALVO_FIBRE);
            seat.focus("part-" + lines.get(0).name()).hold(KeyCode.SPACE, 6);
            seat.until(
                    "the second is in hand",
                    () -> seat.focused("part-" + lines.get(1).name()));
            for (PartsList.Line line : lines.subList(1, lines.size())) {
                seat.draft(InventoryBench.state(line.name()), "present");
            }
            seat.until("all is right", () -> seat.verdict().equals(Optional.of(Verdict.PASS)));
            assertThat(seat.readings().orElseThrow().parts())
                    .hasSize(lines.size())
                    .allMatch(part -> part.state() == State.PRESENT);
            seat.focus("fibre.tightestRadiusMm").type("4in");
            seat.until("nobody knows what it bears", () -> seat.verdict().equals(Optional.of(Verdict.UNCLEAR)));
            seat.focus("fibre.leastRadiusMm").type("101,6");
            seat.until("just so is right", () -> seat.verdict().equals(Optional.of(Verdict.PASS)));
            seat.type("1");
            seat.until("a hair more is not", () -> seat.verdict().equals(Optional.of(Verdict.FAIL)));
            assertThat(seat.act()).startsWith("Lay the fibre in wider bends: 101.7 mm or more everywhere.");
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFamilyHasAListAndNoLineTwice(Family family) {
        List<String> names = PartsList.read(PartsList.shipped()).of(family).stream()
                .map(PartsList.Line::name)
                .toList();
        assertThat(names).hasSizeGreaterThan(20);
        assertThat(new HashSet<>(names)).hasSameSizeAs(names);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "[]",
                "{\"blocks\": []}",
                "{\"blocks\": [{\"group\": \"a\", \"sort\": \"part\", \"names\": []}]}",
                "{\"blocks\": [{\"group\": \"a\", \"sort\": \"thing\", \"names\": [\"x\"]}]}",
                "{\"blocks\": [{\"group\": \"a\", \"sort\": \"part\", \"families\": [\"galvo\"], \"names\": [\"x\"]}]}",
                "{\"blocks\": [{\"group\": \"\", \"sort\": \"part\", \"names\": [\"x\"]}]}",
                "not json"
            })
    void whatIsNoListIsRefusedWithItsPlace(String text) throws IOException {
        assertThatThrownBy(() -> PartsList.read(text)).isInstanceOf(ReadingException.class);
        Path file = Files.writeString(folder.resolve("bad.json"), text);
        try (BenchSeat<InventoryReadings, InventoryFinding> seat = seat()) {
            assertThat(seat.bench().take(file.toFile()).orElseThrow()).startsWith("this is no parts list: ");
        }
    }
}
