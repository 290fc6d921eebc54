package zebrawood.kit.theme;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.css.Stylesheet;

/**
 * At build: beside each stylesheet a compiled one, which the toolkit takes instead and need not parse at each start.
 */
public final class CompiledStyles {

    private CompiledStyles() {}

    /** @param arguments the folder of built classes */
    public static void main(String[] arguments) throws IOException {
        List<Path> sheets;
        try (Stream<Path> files = Files.list(Path.of(arguments[0], "zebrawood", "kit", "theme"))) {
            sheets = files.filter(file -> file.toString().endsWith(".css")).toList();
        }
        for (Path sheet : sheets) {
            File compiled = new File(sheet.toString().replaceAll("css$", "bss"));
            Stylesheet.convertToBinary(sheet.toFile(), compiled);
        }
    }
}
