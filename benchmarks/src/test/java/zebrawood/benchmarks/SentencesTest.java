package zebrawood.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/**
 * What the program says stands in one file, so that it can be read through; and none of it is a word that was given up.
 */
class SentencesTest {

    /** what the trade does not say so */
    private static final List<String> GIVEN_UP = List.of(
            "asked for {",
            "are asked for",
            "to spare",
            "takes most",
            "dust needs",
            "room for hours",
            "its copper is at",
            "light out of it",
            "water as one begins",
            "in it besides",
            "coldest today",
            "misfit",
            "doubt allowed",
            "put away",
            "the area is kept",
            "motors rest",
            "switch settles",
            "way in in between");

    @Test
    void theFileSaysWhatTheProgramSays() throws Exception {
        Path file = Path.of("..", "docs", "words.md");
        assertThat(Sentences.page())
                .as("docs/words.md is of another program; make it anew: ./zebrawood bench words")
                .isEqualTo(Files.readString(file));
    }

    @Test
    void theTradesWordsStandInIt() throws Exception {
        List<String> lines = Sentences.page().toLowerCase(Locale.ROOT).lines().toList();
        assertThat(lines).hasSizeGreaterThan(1_000);
        for (String word : GIVEN_UP) {
            assertThat(lines).as(word).noneMatch(line -> line.startsWith("- ") && line.contains(word));
        }
    }
}
