package zebrawood.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.Paper;

class PreferencesTest {

    @TempDir
    private Path folder;

    @Test
    void allOfThemAreThereNextTime() {
        Preferences first = Preferences.in(folder);
        first.units(new UnitChoice(true, true));
        first.ground(Ground.EYEWEAR);
        first.paper(Paper.LETTER);
        first.number("x", -12.5);
        first.save();

        Preferences next = Preferences.in(folder);
        assertThat(next.units()).isEqualTo(new UnitChoice(true, true));
        assertThat(next.ground()).isEqualTo(Ground.EYEWEAR);
        assertThat(next.paper()).isEqualTo(Paper.LETTER);
        assertThat(next.number("x")).hasValue(-12.5);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "ground=PURPLE\nx=wide\npaper=wallpaper\n", "\\uZZZZ=1", "\u0000\u0001\u0002", "ground"})
    void aFileThatMakesNoSenseIsAsNone(String text) throws IOException {
        Files.writeString(folder.resolve("window.properties"), text);
        Preferences kept = Preferences.in(folder);
        assertThat(kept.ground()).isEqualTo(Ground.LIGHT);
        assertThat(kept.units()).isEqualTo(new UnitChoice(false, false));
        assertThat(kept.paper()).isEqualTo(Paper.A4);
        assertThat(kept.shop()).isEqualTo("My shop");
        assertThat(kept.number("x")).isEqualTo(OptionalDouble.empty());
    }

    @Test
    void whereItCannotBeKeptItIsOnlyForgotten() throws IOException {
        Preferences kept = Preferences.in(folder);
        Files.createDirectory(folder.resolve("window.properties"));
        kept.ground(Ground.DARK);
        kept.save();
        assertThat(folder.resolve("window.properties")).isDirectory();
        assertThat(Preferences.in(folder).ground()).isEqualTo(Ground.LIGHT);
    }
}
