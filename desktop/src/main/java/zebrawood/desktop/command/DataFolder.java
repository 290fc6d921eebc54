package zebrawood.desktop.command;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.Logbook;

/** Where the user's logbook stands: where the platform expects, or where {@code --data} says. */
public final class DataFolder {

    @Option(
            names = "--data",
            paramLabel = "DIR",
            description = "the folder with the logbook, instead of the user's own")
    private Path chosen;

    Path folder() {
        return chosen != null
                ? chosen
                : usual(System.getProperty("os.name"), System.getenv(), Path.of(System.getProperty("user.home")));
    }

    /** Whether a logbook stands there; says so where none does. */
    boolean holdsLogbook() {
        if (Files.exists(folder().resolve("logbook.db"))
                || !new Backups(folder()).list().isEmpty()
                || Files.exists(folder().resolve("restoring.txt"))) {
            return true;
        }
        System.err.println("There is no logbook in " + folder() + "; name its folder with --data.");
        return false;
    }

    /** The machine of a name; says which there are where there is none. */
    Optional<Logbook.MachineName> findMachine(Logbook logbook, String name) {
        Optional<Logbook.MachineName> found = logbook.findMachine(name);
        if (found.isEmpty()) {
            System.err.println("There is no machine named " + name + ". In the shop are: "
                    + logbook.machines().stream()
                            .map(Logbook.MachineName::name)
                            .limit(20)
                            .collect(Collectors.joining(", "))
                    + ".");
        }
        return found;
    }

    Optional<Path> chosen() {
        return Optional.ofNullable(chosen);
    }

    /** XDG on Linux, the usual places elsewhere. */
    static Path usual(String system, Map<String, String> environment, Path home) {
        String name = system.toLowerCase(Locale.ROOT);
        if (name.contains("windows")) {
            return place(environment.get("APPDATA"), home.resolve("AppData").resolve("Roaming"))
                    .resolve("Zebrawood");
        } else if (name.contains("mac")) {
            return home.resolve("Library").resolve("Application Support").resolve("Zebrawood");
        }
        return place(environment.get("XDG_DATA_HOME"), home.resolve(".local").resolve("share"))
                .resolve("zebrawood");
    }

    private static Path place(String given, Path otherwise) {
        return given == null || given.isBlank() || !Path.of(given).isAbsolute() ? otherwise : Path.of(given);
    }
}
