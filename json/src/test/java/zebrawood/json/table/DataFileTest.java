package zebrawood.json.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFileTest {

    @TempDir
    private Path folder;

    private DataFile.Shape shape;

    private List<String> read(byte[] bytes) throws IOException {
        List<String> lines = new ArrayList<>();
        shape = DataFile.read(
                Files.write(folder.resolve("table.csv"), bytes),
                (number, cells) -> lines.add(number + ":" + String.join("|", cells)));
        return lines;
    }

    private List<String> read(String text, Charset charset) throws IOException {
        return read(text.getBytes(charset));
    }

    @Test
    void linesEndInAnyWayAndKeepTheirNumbers() throws IOException {
        for (String end : List.of("\n", "\r\n", "\r")) {
            assertThat(read("a,b" + end + end + "1, 2" + end + "3,4", StandardCharsets.UTF_8))
                    .as(end.replace("\r", "CR").replace("\n", "LF"))
                    .containsExactly("1:a|b", "3:1|2", "4:3|4");
        }
    }

    @Test
    void separatorAndEncodingAreFoundOut() throws IOException {
        assertThat(read("ä;1,5\nb;2,5\n", Charset.forName("windows-1252"))).containsExactly("1:ä|1,5", "2:b|2,5");
        assertThat(shape).isEqualTo(new DataFile.Shape(Charset.forName("windows-1252"), ';'));
        assertThat(read("\uFEFFä\t1,5\n", StandardCharsets.UTF_16BE)).containsExactly("1:ä|1,5");
        assertThat(shape.separator()).isEqualTo('\t');
        // a character of two bytes lies across the end of what is looked at
        assertThat(read("x".repeat((1 << 16) - 1) + "ä\nb,c\n", StandardCharsets.UTF_8))
                .last()
                .isEqualTo("2:b|c");
        assertThat(shape.charset()).isEqualTo(StandardCharsets.UTF_8);
    }

    @Test
    void quotesHoldSeparatorsAndALoneOneSpoilsOnlyItsLine() throws IOException {
        assertThat(read("\"a, b\",\"say \"\"c\"\"\"\n\"1,2\n3,4\n", StandardCharsets.UTF_8))
                .startsWith("1:a, b|say \"c\"")
                .endsWith("3:3|4")
                .hasSize(3);
    }

    @Test
    void aLineWithoutEndIsCut() throws IOException {
        List<String> lines = read("x".repeat(3_000_000) + "\n1,2\n", StandardCharsets.UTF_8);
        assertThat(lines).hasSize(2).last().isEqualTo("2:1|2");
        assertThat(lines.get(0).length()).isLessThan(200_000);
    }

    @Test
    void whoHasSeenEnoughStopsIt() throws IOException {
        List<Long> numbers = new ArrayList<>();
        DataFile.read(Files.writeString(folder.resolve("long.csv"), "1,2\n".repeat(1000)), (number, cells) -> {
            numbers.add(number);
            return number < 3;
        });
        assertThat(numbers).containsExactly(1L, 2L, 3L);
    }
}
