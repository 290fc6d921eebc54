package zebrawood.kit.theme;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LookTest {

    @ParameterizedTest
    @EnumSource(Ground.class)
    void everyToneAndSizeStandsInTheThemeAndNothingIsTooSmallToRead(Ground ground) {
        Look look = Look.of(ground);
        for (Tone tone : Tone.values()) {
            assertThat(look.web(tone)).as(tone.token()).matches("#[0-9A-Fa-f]{6}");
        }
        for (Lettering lettering : Lettering.values()) {
            assertThat(look.size(lettering))
                    .as(lettering.token())
                    .isGreaterThanOrEqualTo(lettering.isForPaper() ? 9 : 11);
        }
        assertThat(look.size(Lettering.ACT)).isBetween(20.0, 28.0);
    }

    @ParameterizedTest
    @EnumSource(Ground.class)
    void eyewearViewHatchesAndDrawsAtLeastTwoPx(Ground ground) {
        Look look = Look.of(ground);

        assertThat(look.hatches()).isEqualTo(ground == Ground.EYEWEAR);
        assertThat(look.strokeWidth(1.2)).isEqualTo(ground == Ground.EYEWEAR ? 2 : 1.2);
        assertThat(look.strokeWidth(2)).isEqualTo(ground == Ground.EYEWEAR ? 2.8 : 2);
    }

    /** Through eyewear only luminance is left: Eyewear view has no hue to lose. */
    @ParameterizedTest
    @EnumSource(Tone.class)
    void eyewearViewHasNoHue(Tone tone) {
        String web = Look.of(Ground.EYEWEAR).web(tone);
        assertThat(web.substring(1, 3)).isEqualTo(web.substring(3, 5)).isEqualTo(web.substring(5, 7));
    }
}
