package zebrawood.testsupport;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The program in a process of its own, started as the launcher starts it, with output and errors in one stream. */
public final class OtherProgram {

    private OtherProgram() {}

    /** Starts a main class that shows a window. */
    public static Process window(Class<?> main, Path shop) throws IOException {
        return start("window", main, shop.toString());
    }

    /** Starts the commands that answer soon. */
    public static Process command(Class<?> main, String... words) throws IOException {
        return start("record", main, words);
    }

    /** The same, with its output in a file and its errors in the stream of them. */
    public static Process command(Path output, Class<?> main, String... words) throws IOException {
        return builder("record", main, words)
                .redirectErrorStream(false)
                .redirectOutput(output.toFile())
                .start();
    }

    private static Process start(String options, Class<?> main, String... words) throws IOException {
        return builder(options, main, words).start();
    }

    private static ProcessBuilder builder(String options, Class<?> main, String... words) {
        Path launch = Path.of(System.getProperty("zebrawood.launch"));
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        for (String file : List.of("every", options, "virtual-screen")) {
            command.add("@" + launch.resolve(file + ".options"));
        }
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), main.getName()));
        command.addAll(List.of(words));
        return new ProcessBuilder(command).redirectErrorStream(true);
    }
}
