package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SearchWordsTest {

    private static Set<String> of(String text) {
        Set<String> words = new LinkedHashSet<>();
        SearchWords.of(text, words);
        return words;
    }

    @Test
    void wordsAndNumbersAreTold() {
        assertThat(of("Ramp line, gap 6,84 mm; R\u00f6hre B-17."))
                .containsExactly("ramp", "line", "gap", "6.84", "mm", "rohre", "b", "17");
        assertThat(of("1,2,3 4. 5")).containsExactly("1.2.3", "4", "5");
        assertThat(of("\u00bd turn, 2\u00b2")).containsExactly("1", "2", "turn", "22");
        assertThat(of("\u202e;'\"\u0000*")).isEmpty();
    }

    /** A regular expression ends its stack on these, or its patience. */
    @Test
    void howeverLongItIs() {
        String joined = String.join(",", Collections.nCopies(200_000, "1"));
        assertThat(of(joined)).containsExactly(joined.replace(',', '.'));
        assertThat(of("a".repeat(300_000))).hasSize(1);
        assertThat(of(" ".repeat(300_000))).isEmpty();
    }
}
