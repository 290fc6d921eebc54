package zebrawood.logbook.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LinesTest {

    private static List<String> lines(String text) throws IOException {
        Lines lines = new Lines(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
        List<String> all = new ArrayList<>();
        for (Optional<Lines.Line> line = lines.next(); line.isPresent(); line = lines.next()) {
            all.add(line.get().problem().orElse(line.get().text()));
        }
        return all;
    }

    @Test
    void theLineEndAfterTheLastLineIsNoLineOfItsOwn() throws IOException {
        assertThat(lines("")).isEmpty();
        assertThat(lines("a")).containsExactly("a");
        assertThat(lines("a\n")).containsExactly("a");
        assertThat(lines("a\n\nb")).containsExactly("a", "", "b");
        assertThat(lines("\n")).containsExactly("");
    }

    @Test
    void aByteOrderMarkBeforeTheFirstLineIsPassedOverOnlyThere() throws IOException {
        assertThat(lines("\uFEFFa\n\uFEFFb\n")).containsExactly("a", "\uFEFFb");
    }

    @Test
    void aLineOfExactlyTheLongestLengthIsReadAndOneByteMoreIsNot() throws IOException {
        String longest = "x".repeat(Lines.LONGEST_BYTES);
        assertThat(lines(longest + "\nafter\n")).containsExactly(longest, "after");
        assertThat(lines(longest + "y\nafter\n")).containsExactly("the line is longer than 8 MB", "after");
    }
}
