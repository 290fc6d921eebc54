package zebrawood.kit.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What is upright is drawn as boxes; nothing else may be taken for one. */
class PathTest {

    @Test
    void uprightLinesAndBoxesAreKnown() {
        assertThat(Path.rectangle(10, 20, 30, 40).box()).contains(new Path.Box(10, 20, 30, 40));
        assertThat(new Path().move(5, 9).line(5, 2).box()).contains(new Path.Box(5, 2, 0, 7));
        assertThat(new Path().move(8, 3).line(1, 3).box()).contains(new Path.Box(1, 3, 7, 0));
    }

    @Test
    void whatIsAslantCurvedOpenOrMoreThanOneIsNot() {
        for (Path path : List.of(
                new Path(),
                new Path().move(1, 1),
                new Path().move(0, 0).line(3, 4),
                new Path().move(2, 2).line(2, 2),
                Path.circle(5, 5, 3),
                new Path().move(0, 0).line(4, 0).line(5, 3).line(1, 3).close(),
                new Path().move(0, 0).line(4, 0).line(4, 3).line(0, 3),
                new Path().move(0, 0).line(4, 0).move(0, 2).line(4, 2))) {
            assertThat(path.box()).isEmpty();
        }
    }

    @Test
    void theEdgesOfABoxCoverWhatAnOutlineCoversOnce() {
        Path.Box box = Path.rectangle(10, 20, 30, 40).box().orElseThrow();
        double covered = box.frame(2).stream()
                .mapToDouble(edge -> edge.width() * edge.height())
                .sum();
        assertThat(covered).as("outer less inner").isCloseTo(32 * 42 - 28 * 38, within(1e-9));
        assertThat(new Path.Box(5, 2, 0, 7).widened(3)).isEqualTo(new Path.Box(3.5, 2, 3, 7));
    }
}
