package zebrawood.desktop.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.procedure.Procedure;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;

/**
 * How a demo's own folder is told from a shop: a mark that names the folder and how the demo's chain ended, in a folder
 * that holds nothing but what a demo leaves, with not one entry that the demo did not make.
 */
final class DemoMark {

    private static final String NAME = "fernhollow-demo.txt";
    private static final String WORDS = "A demo shop, made anew each time; nothing in it is kept.";

    private DemoMark() {}

    /** Marks a folder as the demo's own. */
    static void leave(Path folder, Logbook.Head head) throws IOException {
        Files.writeString(
                folder.resolve(NAME),
                WORDS + "\n" + folder + "\n" + head.entries() + " " + head.hash() + "\n",
                StandardCharsets.UTF_8);
    }

    /** @throws LogbookException where a folder is not a demo's own, or somebody recorded in it */
    static void mustBeOf(Path folder, List<Procedure<?, ?>> procedures) throws IOException {
        Path mark = folder.resolve(NAME);
        List<String> lines = Files.isRegularFile(mark) ? Files.readAllLines(mark, StandardCharsets.UTF_8) : List.of();
        if (lines.size() != 3 || !lines.get(0).equals(WORDS) || !lines.get(1).equals(folder.toString())) {
            throw new LogbookException(
                    "the folder " + folder + " is neither empty nor a demo's own; name another one with --data");
        }
        Set<String> foreign = foreign(folder);
        if (!foreign.isEmpty()) {
            throw new LogbookException(
                    "the folder " + folder + " holds " + foreign.iterator().next()
                            + ", which no demo made; take it out, or name another folder with --data");
        }
        if (!Files.exists(folder.resolve("logbook.db"))) {
            return;
        }
        Logbook.Head head;
        try (Logbook logbook = Logbook.open(folder, procedures)) {
            head = logbook.head();
        }
        if (!lines.get(2).equals(head.entries() + " " + head.hash())) {
            throw new LogbookException(
                    "somebody recorded in the demo shop in " + folder + ", which now holds " + head.inWords()
                            + ": it is not thrown away. Name another folder with --data, or delete it yourself");
        }
    }

    private static Set<String> foreign(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> !name.equals(NAME)
                            && !name.matches("(logbook|search)\\.db(-wal|-shm)?|in-use\\.lock|open-by-\\d+\\.txt"
                                    + "|window\\.properties|report\\.txt|not-whole\\.txt|backups|found-damaged\\.txt"))
                    .collect(Collectors.toSet());
        }
    }
}
