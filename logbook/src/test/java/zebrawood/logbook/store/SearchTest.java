package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Change;

class SearchTest {

    @TempDir
    Path folder;

    private static List<Integer> find(Logbook logbook, String words) {
        return logbook
                .tape(
                        new TapeFilter(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(words)),
                        Long.MAX_VALUE,
                        50)
                .stream()
                .map(line -> line.entry().number())
                .toList();
    }

    private static void fill(Logbook logbook) {
        Shop.begin(logbook, "plover", "Plover");
        logbook.append("plover", Shop.climate(45), Shop.day(1));
        logbook.append("plover", Shop.work("beech", 6.84, "pale"), Shop.day(2));
        logbook.append("plover", Shop.work("Ahorn, geölt", 12, "sharp"), Shop.day(3));
        logbook.append(
                "plover",
                new Body.Happened(
                        Change.CLEANED, "with alcohol", Optional.of(new Body.Cleaning("mirror 2", "soot", "", false))),
                Shop.day(33));
    }

    @Test
    void wordsNumbersNamesInitialsVerdictsAndDaysAreFoundAlsoWhenOnlyBegun() {
        try (Logbook logbook = Shop.open(folder)) {
            fill(logbook);
            assertThat(find(logbook, "beech")).containsExactly(3);
            assertThat(find(logbook, "bee")).containsExactly(3);
            assertThat(find(logbook, "gap 6.8"))
                    .as("a number is found when it is begun")
                    .containsExactly(3);
            assertThat(find(logbook, "thickness 12 gap")).containsExactly(4);
            assertThat(find(logbook, "6,84 mm beech")).isEmpty();
            assertThat(find(logbook, "6,84 beech")).as("comma or point").containsExactly(3);
            assertThat(find(logbook, "geolt")).as("accents apart").containsExactly(4);
            assertThat(find(logbook, "plover work")).containsExactly(4, 3);
            assertThat(find(logbook, "pass climate")).containsExactly(2);
            assertThat(find(logbook, "rv soot")).containsExactly(5);
            assertThat(find(logbook, "2030-02-03")).containsExactly(5);
            assertThat(find(logbook, "3 february mirror")).containsExactly(5);
            assertThat(find(logbook, "beech soot"))
                    .as("all of them, not one of them")
                    .isEmpty();
            assertThat(find(logbook, "\" * : ( -"))
                    .as("signs of a query are no words")
                    .isEmpty();
        }
    }

    @Test
    void whatIsRecordedLaterIsFoundAtOnceAndTheIndexMadeAnewFindsTheSame() throws IOException {
        List<String> asked = List.of("m", "beech", "plover", "soot", "2030", "b-17", "17", "level");
        List<List<Integer>> before = new ArrayList<>();
        try (Logbook logbook = Shop.open(folder)) {
            fill(logbook);
            assertThat(find(logbook, "knocked")).isEmpty();
            logbook.append("plover", new Body.Happened(Change.KNOCKED, "by the trolley"), Shop.day(40));
            assertThat(find(logbook, "knocked troll")).containsExactly(6);
            asked.forEach(words -> before.add(find(logbook, words)));
        }
        for (String end : List.of("", "-wal", "-shm")) {
            Files.deleteIfExists(folder.resolve("search.db" + end));
        }
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(asked.stream().map(words -> find(logbook, words)).toList())
                    .isEqualTo(before);
        }
        Files.writeString(folder.resolve("search.db"), "no index at all".repeat(200));
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(asked.stream().map(words -> find(logbook, words)).toList())
                    .as("a damaged one is made anew")
                    .isEqualTo(before);
        }
    }

    @Test
    void anIndexOfAnotherLogbookIsNotTrusted() throws IOException {
        try (Logbook logbook = Shop.open(folder)) {
            fill(logbook);
            assertThat(find(logbook, "beech")).hasSize(1);
        }
        for (String end : List.of("", "-wal", "-shm")) {
            Files.deleteIfExists(folder.resolve("logbook.db" + end));
        }
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "heron", "Heron");
            for (int day = 1; day < 8; day++) {
                logbook.append("heron", Shop.work("brass", 182, "sharp"), Shop.day(day));
            }
            assertThat(find(logbook, "beech")).isEmpty();
            assertThat(find(logbook, "brass")).hasSize(7);
        }
    }

    @Test
    void filtersAndWordsGoTogether() {
        try (Logbook logbook = Shop.open(folder)) {
            fill(logbook);
            Shop.begin(logbook, "heron", "Heron");
            logbook.append("heron", Shop.work("beech", 182, "sharp"), Shop.day(4));
            TapeFilter beech =
                    new TapeFilter(Optional.of("heron"), Optional.of("work"), Optional.empty(), Optional.of("beech"));
            assertThat(logbook.tape(beech, Long.MAX_VALUE, 50))
                    .singleElement()
                    .satisfies(
                            line -> assertThat(line.entry().place().machineId()).isEqualTo("heron"));
        }
    }
}
