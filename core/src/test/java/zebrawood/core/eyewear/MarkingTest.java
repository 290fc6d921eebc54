package zebrawood.core.eyewear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.reading.ReadingException;

class MarkingTest {

    @Test
    void markingsAreReadAsTheyStandOnTheGlass() {
        assertThat(Marking.read("900-1100 nm OD 6 pulses; 10600: od 5+;\n 532 nm OD 4,5 steady"))
                .containsExactly(
                        new EyewearPair.Mark(900, 1100, 6, Optional.of(EyewearPair.Light.PULSES)),
                        new EyewearPair.Mark(10600, 10600, 5, Optional.empty()),
                        new EyewearPair.Mark(532, 532, 4.5, Optional.of(EyewearPair.Light.STEADY)));
        assertThat(Marking.read("  ")).isEmpty();
        assertThat(Marking.read("190 to 400 OD7")).containsExactly(new EyewearPair.Mark(190, 400, 7, Optional.empty()));
    }

    @Test
    void whatCannotBeReadIsNamedAndHowToTypeItIsSaid() {
        assertThatThrownBy(() -> Marking.read("900-1100 OD 6; about five"))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("\"about five\" cannot be read")
                .hasMessageContaining("900-1100 OD 6 pulses");
        assertThatThrownBy(() -> Marking.read("1100-900 OD 6")).isInstanceOf(ReadingException.class);
        assertThatThrownBy(() -> Marking.read("1064 OD 16")).isInstanceOf(ReadingException.class);
        assertThatThrownBy(() -> Marking.read("1064 OD 5 " + "x".repeat(500))).hasMessageContaining("too long");
    }

    @Test
    void whatIsShownReadsAsItWas() {
        SplittableRandom random = new SplittableRandom(4);
        for (int i = 0; i < 500; i++) {
            double from = 200 + random.nextInt(100_000) / 10.0;
            List<EyewearPair.Mark> marks = List.of(
                    new EyewearPair.Mark(
                            from,
                            from + random.nextInt(3) * random.nextInt(500),
                            random.nextInt(150) / 10.0,
                            random.nextBoolean()
                                    ? Optional.empty()
                                    : Optional.of(EyewearPair.Light.values()[random.nextInt(2)])),
                    new EyewearPair.Mark(355, 355, 7, Optional.empty()));
            assertThat(Marking.read(Marking.words(marks))).isEqualTo(marks);
        }
    }
}
