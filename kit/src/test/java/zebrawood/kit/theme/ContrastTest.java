package zebrawood.kit.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every text and state colour keeps 4.5:1 on ground and raised: bare, and behind orange and green eyewear. */
class ContrastTest {

    private static final double[] BARE = {1, 1, 1};
    private static final double[] ORANGE_450_NM = {1, 0.45, 0.02};
    private static final double[] GREEN_1064_NM = {0.08, 0.8, 0.35};
    private static final List<String> WRITTEN =
            List.of("-ink", "-quiet", "-walnut", "-pass", "-adjust", "-fail", "-unclear", "-reading");

    private static double luminance(String web, double[] filter) {
        double[] weight = {0.2126, 0.7152, 0.0722};
        double seen = 0;
        double white = 0;
        for (int i = 0; i < 3; i++) {
            double c = Integer.parseInt(web.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
            double linear = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
            seen += weight[i] * linear * filter[i];
            white += weight[i] * filter[i];
        }
        return seen / white;
    }

    private static double contrast(String one, String other, double[] filter) {
        double a = luminance(one, filter);
        double b = luminance(other, filter);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    @ParameterizedTest
    @EnumSource(Ground.class)
    void wordsAndStatesAreReadableBareAndThroughEyewear(Ground ground) {
        Tokens tokens = new Tokens(ground);
        for (String written : WRITTEN) {
            for (String on : List.of("-ground", "-raised")) {
                for (double[] filter : List.of(BARE, ORANGE_450_NM, GREEN_1064_NM)) {
                    assertThat(contrast(tokens.get(written), tokens.get(on), filter))
                            .as("%s: %s on %s through %s", ground, written, on, filter[0])
                            .isGreaterThanOrEqualTo(4.5);
                }
            }
        }
        for (double[] filter : List.of(BARE, ORANGE_450_NM, GREEN_1064_NM)) {
            assertThat(contrast(tokens.get("-on-walnut"), tokens.get("-walnut"), filter))
                    .as("%s: on a button", ground)
                    .isGreaterThanOrEqualTo(4.5);
        }
    }
}
