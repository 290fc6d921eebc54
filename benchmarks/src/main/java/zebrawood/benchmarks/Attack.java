package zebrawood.benchmarks;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Everything that is known to have been tried against the logbook, again, from seeds, in one table. */
final class Attack {

    private static final int TOLD = 5;

    private final List<String> failures = new ArrayList<>();
    private final Path folder;

    /** One way to attack; {@code n} is its seed. What went wrong, or nothing. */
    interface Try {
        List<String> run(int n, Path folder) throws Exception;
    }

    private Attack(Path folder) {
        this.folder = folder;
    }

    /** @param words {@code [--damages N] [--kills N]} */
    static boolean run(String[] words) throws Exception {
        Path folder = Files.createTempDirectory("zebrawood-attack");
        try {
            Attack attack = new Attack(folder);
            attack.all((int) Words.number(words, "--damages", 2_000), (int) Words.number(words, "--kills", 200));
            System.out.println(attack.failures.isEmpty() ? "all held" : attack.failures.size() + " did not hold");
            return attack.failures.isEmpty();
        } finally {
            Words.delete(folder);
        }
    }

    private void all(int damages, int kills) throws Exception {
        System.out.printf(Locale.ROOT, "%-72s %6s %6s %7s%n", "tried", "times", "held", "s");
        AttackOnFile file = new AttackOnFile(folder.resolve("file"));
        each("a column stored as another type or value", 200, file::column);
        each("a trigger, view or index that does not belong there, or none that does", 40, file::object);
        each("bytes damaged anywhere in the file", damages, file::anywhere);
        System.out.println("    " + file.anywhereInWords());
        AttackOnRestore restore = new AttackOnRestore(folder.resolve("restore"));
        each("a restore killed at a random moment", kills, restore::killed);
        each("a restore while another program records", 10, restore::whileRecorded);
        each("a logbook missing or empty beside its backups", 20, restore::missing);
        each("backups with a clock that is wrong for a while", 10, restore::wrongClock);
        AttackOnPaths paths = new AttackOnPaths(folder.resolve("paths"));
        each("a demo into a shop, a link to one, or one with a forged mark", 12, paths::demo);
        each("output over a logbook, into a shop, over a file, onto a device", 24, paths::output);
        each("recording into a folder that was taken away or exchanged", 10, paths::takenAway);
        each("output that cannot be written", 4, paths::fullOutput);
        AttackOnBundle bundle = new AttackOnBundle(folder.resolve("bundle"));
        each("a hostile bundle, in a process of its own", bundle.count(), bundle::hostile);
        System.out.println("    " + bundle.inWords());
        AttackOnPatience patience = new AttackOnPatience(folder.resolve("patience"));
        each("an entry that a search or a view might choke on", 12, patience::entry);
        each("a picture that is out to fill the memory", 4, patience::picture);
        each("a file to attach that is none, or changes", 4, patience::attach);
        each("five worksheets of 3.6 MB recorded one after the other", 2, patience::longWorksheets);
        each("names and initials with signs that mislead", 30, patience::names);
    }

    private void each(String what, int times, Try tried) throws Exception {
        long start = System.nanoTime();
        int held = 0;
        List<String> told = new ArrayList<>();
        for (int n = 0; n < times; n++) {
            Path own = Files.createDirectories(folder.resolve("run"));
            try {
                List<String> wrong = tried.run(n, own);
                held += wrong.isEmpty() ? 1 : 0;
                for (String why : wrong) {
                    told.add("no. " + n + ": " + why);
                }
            } finally {
                Words.delete(own);
            }
        }
        System.out.printf(Locale.ROOT, "%-72s %6d %6d %7.1f%n", what, times, held, (System.nanoTime() - start) / 1e9);
        told.stream().limit(TOLD).forEach(why -> System.out.println("    " + why));
        System.out.flush();
        failures.addAll(told);
    }
}
