package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SignsTest {

    @Test
    void whatSteersATerminalOrTurnsWordsIsMarked() {
        assertThat(Signs.shown("red \u001b[31m and \u202eturned\u202c, \u2066isolated\u2069, \u0007 \u009b"))
                .isEqualTo("red \uFFFD[31m and \uFFFDturned\uFFFD, \uFFFDisolated\uFFFD, \uFFFD \uFFFD");
        assertThat(Signs.isPlain("Wr\u200ben")).isFalse();
        assertThat(Signs.isPlain("half \ud800")).isFalse();
    }

    @Test
    void whatPeopleTypeStaysAsItIs() {
        for (String typed :
                new String[] {"R\u00f6hre, 6.84 \u00b5m", "\u6728\u6750", "\u05e2\u05e5", "", "\ud83d\ude00"}) {
            assertThat(Signs.isPlain(typed)).as(typed).isTrue();
            assertThat(Signs.shown(typed)).isSameAs(typed);
        }
        assertThat(Signs.shown("two\nlines\tand \u06a9\u200c\u06c1")).isEqualTo("two\nlines\tand \u06a9\u200c\u06c1");
    }
}
