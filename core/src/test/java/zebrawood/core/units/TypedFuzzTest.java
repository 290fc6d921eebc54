package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.SettingsText;

/** Whatever is typed or pasted: understood or refused in a sentence, never anything else. */
class TypedFuzzTest {

    private static final String KEYS = "0123456789.,/ -+eE\"'inmftµ°CFK%() \t\u00a0x#\u0663🐦";

    private static String keys(SplittableRandom random, String from, int most) {
        StringBuilder text = new StringBuilder();
        int[] points = from.codePoints().toArray();
        for (int i = random.nextInt(most); i >= 0; i--) {
            text.appendCodePoint(points[random.nextInt(points.length)]);
        }
        return text.toString();
    }

    @Test
    void anyKeystrokesAreUnderstoodAsAFiniteAmountOrRefused() {
        SplittableRandom random = new SplittableRandom(2);
        int understood = 0;
        for (int i = 0; i < 60_000; i++) {
            String text = keys(random, KEYS, 9);
            for (Quantity quantity : Quantity.values()) {
                try {
                    assertThat(Typed.read(text, quantity, UnitChoice.METRIC).base())
                            .as(text)
                            .isFinite();
                    understood++;
                } catch (UnreadableException refused) {
                    assertThat(refused.getMessage()).isNotBlank();
                }
            }
        }
        assertThat(understood).isGreaterThan(10_000);
    }

    @Test
    void everyLineOfAnyTextIsASettingOrIsKeptUnread() {
        SplittableRandom random = new SplittableRandom(3);
        for (int i = 0; i < 20_000; i++) {
            String text = keys(random, "$$$==0123456789.\n\n\r () -ok", 60);
            SettingsText read = SettingsText.parse(text);
            long lines = text.isEmpty()
                    ? 0
                    : text.replace("\r\n", "\n")
                                    .replace('\r', '\n')
                                    .chars()
                                    .filter(c -> c == '\n')
                                    .count()
                            + (text.endsWith("\n") || text.endsWith("\r") ? 0 : 1);
            assertThat(read.settings().size() + read.unread().size()).as(text).isLessThanOrEqualTo((int) lines);
            assertThat(read.unread()).allMatch(line -> line.line() >= 1 && line.line() <= lines);
            if (read.repeated().isEmpty()) {
                assertThat(read.settings().size() + read.unread().size())
                        .as(text)
                        .isEqualTo((int) lines);
            }
        }
    }
}
