package zebrawood.json.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class EncodingTest {

    @Test
    void aTextReadsTheSameInWhateverEncodingItWasSaved() {
        String text = "time;temperature °C\n10:00;21,5\n".repeat(20);
        for (Charset charset : List.of(
                StandardCharsets.UTF_8,
                StandardCharsets.UTF_16LE,
                StandardCharsets.UTF_16BE,
                Charset.forName("windows-1252"))) {
            assertThat(Encoding.decode(text.getBytes(charset)))
                    .as(charset.name())
                    .isEqualTo(text);
            if (charset.name().startsWith("UTF")) {
                assertThat(Encoding.decode(("\uFEFF" + text).getBytes(charset)))
                        .as(charset + " with a mark")
                        .isEqualTo(text);
            }
        }
        assertThat(Encoding.decode(new byte[0])).isEmpty();
    }

    @Test
    void aCharacterThatIsCutAtTheEndOfWhatIsLookedAtIsStillUtf8() {
        byte[] whole = "20 °C".getBytes(StandardCharsets.UTF_8);
        assertThat(Encoding.guess(Arrays.copyOf(whole, 4))).isEqualTo(StandardCharsets.UTF_8);
        assertThat(Encoding.guess(new byte[] {'2', '0', ' ', (byte) 0xB0, 'C'}))
                .isEqualTo(Charset.forName("windows-1252"));
    }
}
