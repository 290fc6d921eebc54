package zebrawood.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Every sentence and phrase that stands in the program, by class, so that all of them can be read through at one
 * sitting: {@code docs/words.md}. Gathered from what was compiled, so that none can hide.
 */
public final class Sentences {

    private static final List<String> MODULES = List.of("core", "json", "kit", "benches", "logbook", "desktop");
    /** a phrase has two words at the least; single words are labels, and stand in the field lists */
    private static final Pattern PHRASE = Pattern.compile(".*\\p{L}{2,}[,:;.]? .*\\p{L}{2,}.*", Pattern.DOTALL);
    /** what is written to machines, not to people: SQL, patterns, styles */
    private static final Pattern TO_MACHINES = Pattern.compile(
            "(?is)\\s*(select|insert|update|delete|create|drop|pragma|with|from|where|and|or|order by|union|join|explain|"
                    + "attach|begin|vacuum|reindex) .*|.*(\\\\p\\{|\\(\\?|-fx-|: *#|%n).*|.* (= \\?|is null|limit \\?).*");

    private Sentences() {}

    static boolean run(String[] words) throws IOException {
        Path file = Path.of(words.length > 1 ? words[1] : "docs/words.md");
        Files.writeString(file, page(), StandardCharsets.UTF_8);
        System.out.println("words: " + Files.readAllLines(file).size() + " lines stand in " + file);
        return true;
    }

    /** The page, the same for the same program. */
    static String page() throws IOException {
        StringBuilder page = new StringBuilder("""
                # Every phrase of the program

                Made by `./zebrawood bench words`; a test holds it to the program. Read it aloud: somebody whose first language
                is not English must understand each at first reading. `{0}` is a figure with its unit, ` .. ` what is put
                together at run time.
                """);
        for (Map.Entry<String, Set<String>> each : gathered().entrySet()) {
            page.append("\n## ").append(each.getKey()).append("\n\n");
            each.getValue()
                    .forEach(phrase -> page.append("- ")
                            .append(phrase.replace("\n", " / ")
                                    .replaceAll("\\p{Cntrl}", " .. ")
                                    .replace("|", "\\|")
                                    .strip())
                            .append('\n'));
        }
        return page.toString();
    }

    private static Map<String, Set<String>> gathered() throws IOException {
        Map<String, Set<String>> phrases = new TreeMap<>();
        for (String entry : System.getProperty("java.class.path").split(System.getProperty("path.separator"))) {
            Path path = Path.of(entry);
            if (Files.isDirectory(path)) {
                gather(path, phrases);
            } else if (path.getFileName().toString().startsWith("zebrawood") && Files.exists(path)) {
                try (FileSystem jar = FileSystems.newFileSystem(path)) {
                    gather(jar.getPath("/"), phrases);
                }
            }
        }
        return phrases;
    }

    private static void gather(Path root, Map<String, Set<String>> phrases) throws IOException {
        Path own = root.resolve("zebrawood");
        if (!Files.isDirectory(own)) {
            return;
        }
        try (Stream<Path> files = Files.walk(own)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".class"))
                    .sorted()
                    .toList()) {
                String name = root.relativize(file).toString().replace('\\', '/');
                String module = name.split("/").length > 2 ? name.split("/")[1] : "";
                boolean tests = name.matches(".*(Test|Seat|OtherProgram|OpensBent)(\\$.*)?\\.class");
                if (MODULES.contains(module) && !tests && !root.endsWith("test-classes")) {
                    read(file, phrases.computeIfAbsent(title(name), key -> new LinkedHashSet<>()));
                }
            }
        }
        try (Stream<Path> files = Files.walk(own)) {
            for (Path file : files.filter(each -> each.toString().matches(".*\\.(properties|json)"))
                    .sorted()
                    .toList()) {
                Set<String> into = phrases.computeIfAbsent(
                        title(root.relativize(file).toString().replace('\\', '/')), key -> new LinkedHashSet<>());
                data(file).filter(Sentences::isPhrase).forEach(into::add);
            }
        }
        phrases.values().removeIf(Set::isEmpty);
    }

    /** What stands in a file of data: the values of its names, or its texts. */
    private static Stream<String> data(Path file) throws IOException {
        if (file.toString().endsWith(".json")) {
            return Pattern.compile("\"([^\"]+)\"")
                    .matcher(Files.readString(file, StandardCharsets.UTF_8))
                    .results()
                    .map(found -> found.group(1));
        }
        Properties values = new Properties();
        try (Reader text = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            values.load(text);
        }
        return values.stringPropertyNames().stream().sorted().map(values::getProperty);
    }

    private static String title(String name) {
        return name.replaceAll("^zebrawood/|(\\$.*)?\\.class$", "").replace('/', '.');
    }

    private static void read(Path file, Set<String> into) throws IOException {
        try (InputStream bytes = Files.newInputStream(file)) {
            new ClassReader(bytes)
                    .accept(
                            new ClassVisitor(Opcodes.ASM9) {
                                @Override
                                public MethodVisitor visitMethod(
                                        int access, String name, String type, String signature, String[] thrown) {
                                    return new MethodVisitor(Opcodes.ASM9) {
                                        @Override
                                        public void visitLdcInsn(Object constant) {
                                            if (constant instanceof String text && isPhrase(text)) {
                                                into.add(text);
                                            }
                                        }
                                    };
                                }
                            },
                            ClassReader.SKIP_DEBUG);
        }
    }

    private static boolean isPhrase(String text) {
        return PHRASE.matcher(text).matches() && !TO_MACHINES.matcher(text).matches();
    }
}
