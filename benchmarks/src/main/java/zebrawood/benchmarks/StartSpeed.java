package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;

/**
 * From launch to the frame that shows the six machines, beside a bare window with its own archive and the same options,
 * in turn.
 */
final class StartSpeed {

    private static final double MOST = 1.5;

    private StartSpeed() {}

    static boolean run(String[] words) throws IOException, InterruptedException {
        int pairs = (int) Words.number(words, "--pairs", 10);
        Path work = Files.createTempDirectory("zebrawood-start");
        Path shop = work.resolve("shop");
        DemoShop.make(shop, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "bench");
        Path jar = classesAsJar(work);
        List<String> bare = prepared(work.resolve("bare.jsa"), jar, BareWindow.class.getName(), shop);
        List<String> ours = prepared(work.resolve("ours.jsa"), jar, ShopWindow.class.getName(), shop);
        Timings ratios = new Timings();
        Timings bareMillis = new Timings();
        Timings oursMillis = new Timings();
        for (int i = 0; i < pairs; i++) {
            double b = launch(bare);
            double o = launch(ours);
            bareMillis.add(b);
            oursMillis.add(o);
            ratios.add(o / b);
        }
        Words.delete(work);
        System.out.printf(
                Locale.ROOT,
                "start: bare window %.0f ms, the six machines %.0f ms (medians of %d in turn), ratio %.2f (median "
                        + "of pairs, %.2f to %.2f)%n",
                bareMillis.median(),
                oursMillis.median(),
                pairs,
                ratios.median(),
                ratios.percentile(1),
                ratios.percentile(100));
        return ratios.median() <= MOST;
    }

    /** The benchmarks' own classes as a jar: an archive cannot hold what lies in a folder. */
    private static Path classesAsJar(Path work) throws IOException, InterruptedException {
        Path jar = work.resolve("benchmarks.jar");
        String classes = List.of(System.getProperty("java.class.path").split(File.pathSeparator)).stream()
                .filter(path -> Files.isDirectory(Path.of(path)))
                .findFirst()
                .orElseThrow();
        int status = new ProcessBuilder(tool("jar"), "--create", "--file", jar.toString(), "-C", classes, ".")
                .inheritIO()
                .start()
                .waitFor();
        if (status != 0) {
            throw new IOException("no jar could be made of " + classes);
        }
        return jar;
    }

    private static String tool(String name) {
        return Path.of(System.getProperty("java.home"), "bin", name).toString();
    }

    /** The command to launch, once its archive is made by a first start. */
    private static List<String> prepared(Path archive, Path jar, String main, Path shop)
            throws IOException, InterruptedException {
        List<String> libraries = List.of(System.getProperty("java.class.path").split(File.pathSeparator)).stream()
                .filter(path -> path.endsWith(".jar"))
                .toList();
        String classes = String.join(File.pathSeparator, libraries) + File.pathSeparator + jar;
        List<String> options = Child.options("window");
        options.addAll(List.of("-cp", classes));
        List<String> making = new ArrayList<>(List.of(tool("java"), "-XX:ArchiveClassesAtExit=" + archive));
        making.addAll(options);
        making.addAll(List.of(Archived.class.getName(), main, shop.toString()));
        new ProcessBuilder(making)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        List<String> command = new ArrayList<>(List.of(tool("java"), "-XX:SharedArchiveFile=" + archive));
        command.addAll(options);
        command.addAll(List.of(main, shop.toString()));
        for (int i = 0; i < 2; i++) {
            launch(command);
        }
        return command;
    }

    /** ms from launch to the line that says its frame is drawn. */
    private static double launch(List<String> command) throws IOException, InterruptedException {
        long start = System.nanoTime();
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.equals("DRAWN")) {
                    double ms = (System.nanoTime() - start) / 1e6;
                    process.waitFor();
                    return ms;
                }
            }
        }
        throw new IOException("it ended before its frame was drawn: " + command.get(command.size() - 2));
    }

    /** Runs another main and ends in the ordinary way, so that an archive is written. */
    public static final class Archived {

        private Archived() {}

        public static void main(String[] arguments) throws Exception {
            System.setProperty("zebrawood.archived", "true");
            Class.forName(arguments[0]).getMethod("main", String[].class).invoke(null, (Object)
                    new String[] {arguments[1]});
        }
    }
}
