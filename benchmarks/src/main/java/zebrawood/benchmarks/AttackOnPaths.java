package zebrawood.benchmarks;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.store.Logbook;

/** Words that lead somewhere they should not: nothing that is there is lost. */
final class AttackOnPaths {

    private final Path template;

    AttackOnPaths(Path folder) throws IOException {
        template = folder;
        new LargeShop(5, 2).fill(folder, 60);
    }

    private Path shop(Path folder) throws IOException {
        Path shop = Files.createDirectories(folder.resolve("shop"));
        Files.copy(template.resolve("logbook.db"), shop.resolve("logbook.db"));
        return shop;
    }

    private List<String> isUntouched(Path shop, Child.Ended ended, String wanted) throws IOException {
        if (ended.status() == 0
                || !ended.errors().contains(wanted)
                || ended.errors().contains("\tat ")) {
            return List.of("ended with " + ended.status() + ": " + ended.errors());
        }
        return Arrays.equals(
                        Files.readAllBytes(shop.resolve("logbook.db")),
                        Files.readAllBytes(template.resolve("logbook.db")))
                ? List.of()
                : List.of("the logbook was changed");
    }

    List<String> demo(int n, Path folder) throws IOException, InterruptedException {
        Path shop = shop(folder);
        Path named = shop;
        if (n % 3 == 1) {
            named = Files.createSymbolicLink(folder.resolve("link"), shop);
        } else if (n % 3 == 2) {
            Files.writeString(
                    shop.resolve("fernhollow-demo.txt"),
                    "A demo shop, made anew each time; nothing in it is kept.\n" + (n % 2 == 0 ? shop : "/elsewhere")
                            + "\n60 0\n");
        }
        return isUntouched(
                shop,
                Child.run(line -> {}, "demo", "--make-only", "--data", named.toString()),
                n % 6 == 2 ? "omebody recorded in the demo shop" : "demo");
    }

    List<String> output(int n, Path folder) throws IOException, InterruptedException {
        Path shop = shop(folder);
        Path there = Files.writeString(folder.resolve("there.zip"), "mine");
        Path link = Files.createSymbolicLink(folder.resolve("link"), shop);
        List<Path> to = List.of(
                shop.resolve("logbook.db"),
                shop.resolve("out.zip"),
                link.resolve("out.zip"),
                there,
                Path.of("/dev/null"),
                folder);
        Path file = to.get(n % to.size());
        String[] force = n % 2 == 0 || file.equals(there) ? new String[0] : new String[] {"--force"};
        String[] words = n < 12
                ? new String[] {"export", "--data", shop.toString(), file.toString()}
                : new String[] {
                    "certificate", "--machine", SmallShop.MACHINE, "--data", shop.toString(), "--out", file.toString()
                };
        String[] all = Arrays.copyOf(words, words.length + force.length);
        System.arraycopy(force, 0, all, words.length, force.length);
        List<String> wrong = isUntouched(shop, Child.run(line -> {}, all), "othing was written");
        return wrong.isEmpty() && !Files.readString(there).equals("mine")
                ? List.of("a file that was there was written over")
                : wrong;
    }

    /** After the folder is gone not one more entry is confirmed. */
    List<String> takenAway(int n, Path folder) throws IOException, InterruptedException {
        Path shop = shop(folder);
        try (Child child = Child.record(shop)) {
            BufferedReader answers = child.out();
            int after = 0;
            for (int i = 0; i < 8; i++) {
                if (i == 4) {
                    Files.move(shop, folder.resolve("taken-away"));
                    if (n % 2 == 0) {
                        shop(folder);
                    }
                }
                child.in().write(SmallShop.worksheet(i).getBytes(StandardCharsets.UTF_8));
                child.in().flush();
                String answer = answers.readLine();
                after += i >= 4 && answer != null && SmallShop.confirmed(answer).isPresent() ? 1 : 0;
            }
            child.in().close();
            child.end();
            if (after > 0) {
                return List.of(after + " entries were confirmed after it was taken away");
            }
        }
        try (Logbook logbook = Logbook.open(folder.resolve("taken-away"), Catalogue.procedures())) {
            return logbook.verify(List.of()).holds() ? List.of() : List.of("what was taken away is not whole");
        }
    }

    List<String> fullOutput(int n, Path folder) throws IOException, InterruptedException {
        Path shop = shop(folder);
        Process process = new ProcessBuilder(
                        "sh",
                        "-c",
                        "exec \"$@\" >/dev/full" + (n % 2 == 0 ? " <&-" : ""),
                        "sh",
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Child.COMMANDS,
                        "verify",
                        "--data",
                        shop.toString())
                .start();
        String errors = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        int status = process.waitFor();
        return status != 0 && errors.contains("could not be written") && !errors.contains("\tat ")
                ? List.of()
                : List.of("ended with " + status + ": " + errors);
    }
}
