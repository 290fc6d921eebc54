package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is asked for is written whole, where it may go, and over nothing unasked. */
class OutputFileTest {

    @TempDir
    Path folder;

    private static Path write(Path to, boolean over) throws IOException {
        return OutputFile.write(to, over, out -> {
            out.write("whole".getBytes(StandardCharsets.UTF_8));
            return to;
        });
    }

    @Test
    void nothingIsWrittenIntoAShopHoweverItIsNamed() throws IOException {
        Path shop = folder.resolve("shop");
        try (Logbook logbook = Shop.open(shop)) {
            Shop.begin(logbook, "plover", "Plover");
        }
        byte[] before = Files.readAllBytes(shop.resolve("logbook.db"));
        Path link = Files.createSymbolicLink(folder.resolve("link"), shop);
        Path fileLink = Files.createSymbolicLink(folder.resolve("out.zip"), shop.resolve("logbook.db"));
        Files.createDirectories(shop.resolve("backups"));
        for (Path to : new Path[] {
            shop.resolve("logbook.db"),
            shop.resolve("new.zip"),
            shop.resolve("backups").resolve("new.zip"),
            link.resolve("new.zip"),
            folder.resolve("x/../shop/new.zip"),
            fileLink
        }) {
            assertThatThrownBy(() -> write(to, true))
                    .as("%s", to)
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("lies in the folder of a shop");
        }
        assertThat(Files.readAllBytes(shop.resolve("logbook.db"))).isEqualTo(before);
        assertThat(shop.resolve("new.zip")).doesNotExist();
    }

    @Test
    void aFileThatIsThereIsKeptUnlessOneSaysSo() throws IOException {
        Path file = Files.writeString(folder.resolve("out.pdf"), "before");
        assertThatThrownBy(() -> write(file, false))
                .hasMessageContaining("is there already")
                .hasMessageContaining("--force");
        assertThat(file).hasContent("before");
        assertThat(write(file, true)).hasContent("whole");
        assertThatThrownBy(() -> write(folder, true)).hasMessageContaining("not a plain file");
        assertThatThrownBy(() -> write(Path.of("/dev/null"), true)).hasMessageContaining("not a plain file");
    }

    @Test
    void whatEndsOnTheWayLeavesWhatWasThere() throws IOException {
        Path file = Files.writeString(folder.resolve("out.pdf"), "before");
        assertThatThrownBy(() -> OutputFile.write(file, true, out -> {
                    out.write(new byte[100_000]);
                    throw new IOException("the disk is gone");
                }))
                .isInstanceOf(IOException.class);
        assertThat(file).hasContent("before");
        assertThat(folder.toFile().list()).containsExactly("out.pdf");
    }
}
