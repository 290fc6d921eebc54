package zebrawood.benches.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SettingsFileTest {

    private static final String TEXT = "$30=1200 (full, grün)\r\n$32=1\r\nok\r\n";

    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource({"UTF-8,", "ISO-8859-1,", "UTF-16LE,", "UTF-16BE,", "UTF-16,", "UTF-8,\uFEFF", "UTF-16LE,\uFEFF"})
    void textIsReadInWhateverEncodingItHas(String charset, String mark) throws Exception {
        Path file = folder.resolve("settings.txt");
        Files.write(file, ((mark == null ? "" : mark) + TEXT).getBytes(Charset.forName(charset)));

        assertThat(SettingsFile.read(file.toFile()).text()).isEqualTo(TEXT);
    }

    @Test
    void whatIsNoSettingsTextIsRefusedInASentence() throws IOException {
        Path nul = Files.write(folder.resolve("nul.txt"), "$30=1\0\0\0 200\n$32=1\n".getBytes(StandardCharsets.UTF_8));
        Path picture = Files.write(
                folder.resolve("picture.txt"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13});
        Path empty = Files.createFile(folder.resolve("empty.txt"));
        Path huge = folder.resolve("huge.txt");
        try (RandomAccessFile file = new RandomAccessFile(huge.toFile(), "rw")) {
            file.setLength(50_000_000);
        }
        refuses(nul, "NUL");
        refuses(picture, "picture");
        refuses(empty, "empty");
        refuses(huge, "50.0 MB");
        refuses(folder, "folder");
        refuses(folder.resolve("gone.txt"), "cannot be read");
    }

    private static void refuses(Path file, String word) {
        assertThatThrownBy(() -> SettingsFile.read(file.toFile()))
                .isInstanceOf(SettingsFile.NotSettings.class)
                .hasMessageContaining(word);
    }
}
