package zebrawood.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;

class StrictJsonTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "{",
                "{\"a\":1",
                "{\"a\":1}}",
                "{\"a\":01}",
                "{'a':1}",
                "{\"a\":NaN}",
                "{\"a\":1,}",
                "[1,]",
                "{\"a\" 1}",
                "tru",
                "\"\\x\"",
                "1 2",
                "{\"a\":+1}",
                "{\"a\":.5}"
            })
    void whatIsNoJsonIsRefusedAsAWhole(String text) {
        assertThatThrownBy(() -> StrictJson.read(text))
                .isInstanceOfSatisfying(
                        ReadingException.class,
                        refused -> assertThat(refused.refusals().get(0).field()).isEqualTo("$"));
    }

    @Test
    void everyKeyThatStandsTwiceIsNamedWithItsPath() {
        StrictJson.Tree tree = StrictJson.read("{\"a\":1,\"b\":{\"c\":[{\"d\":1,\"d\":2}],\"c\":3},\"a\":4}");

        assertThat(tree.duplicates()).extracting(Refusal::field).containsExactly("b.c[0].d", "b.c", "a");
        assertThat(tree.root().get("a").asInt()).as("the first one counts").isEqualTo(1);
    }

    @Test
    void deepNestingIsRefusedBeforeItHurts() {
        assertThatThrownBy(() -> StrictJson.read("[".repeat(100_000))).isInstanceOf(ReadingException.class);
        assertThatThrownBy(() -> StrictJson.read("{\"a\":".repeat(70) + "1" + "}".repeat(70)))
                .hasMessageContaining("nested");
    }

    @Test
    void numbersKeepTheirSizeAndKind() {
        StrictJson.Tree tree = StrictJson.read(
                "{\"long\":9007199254740993,\"huge\":123456789012345678901234567890,\"exp\":1e3,\"beyond\":1e999,\"minus\":-0.0}");

        assertThat(tree.root().get("long").asText()).isEqualTo("9007199254740993");
        assertThat(tree.root().get("huge").doubleValue()).isEqualTo(123456789012345678901234567890.0);
        assertThat(tree.root().get("exp").doubleValue()).isEqualTo(1000);
        assertThat(tree.root().get("beyond").doubleValue()).isInfinite();
    }

    @Test
    void anyTextHoweverMangledIsReadOrRefused() {
        String good =
                "{\"procedure\":\"focus-ramp\",\"readings\":{\"marks\":[{\"positionMm\":0.5,\"widthMm\":1e-3}],\"note\":\"\\u00b5 \\\\ \\\"\"}}";
        SplittableRandom random = new SplittableRandom(8);
        int read = 0;
        for (int i = 0; i < 40_000; i++) {
            StringBuilder text = new StringBuilder(good);
            for (int change = random.nextInt(4); change >= 0; change--) {
                int at = random.nextInt(text.length());
                switch (random.nextInt(3)) {
                    case 0 -> text.deleteCharAt(at);
                    case 1 -> text.insert(at, "{}[]\",:\\0e-.\u0000\ud800".charAt(random.nextInt(14)));
                    default -> text.setCharAt(at, (char) random.nextInt(256));
                }
            }
            try {
                StrictJson.read(text.toString());
                read++;
            } catch (ReadingException refused) {
                assertThat(refused.refusals()).isNotEmpty();
            }
        }
        assertThat(read).isBetween(1_000, 39_000);
    }
}
