package zebrawood.benchmarks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** What stands after a benchmark's name, and the folders it works in. */
final class Words {

    private Words() {}

    static Optional<String> text(String[] words, String name) {
        for (int i = 0; i < words.length - 1; i++) {
            if (words[i].equals(name)) {
                return Optional.of(words[i + 1]);
            }
        }
        return Optional.empty();
    }

    static long number(String[] words, String name, long otherwise) {
        return text(words, name).map(Long::parseLong).orElse(otherwise);
    }

    /** Deletes a folder with everything in it. */
    static void delete(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(each);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
