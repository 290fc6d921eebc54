package zebrawood.core.visit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;

/** Visits as they might be, for a benchmark and for tests: several machines, waits, an electrician who comes late. */
public final class RandomVisit {

    private RandomVisit() {}

    /** So many tasks on one to four machines; each comes after some before it, mostly of its own machine. */
    public static List<Task> tasks(SplittableRandom random, int many) {
        int machines = 1 + random.nextInt(4);
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            int machine = random.nextInt(machines);
            Set<String> after = new HashSet<>();
            for (int earlier = 0; earlier < i; earlier++) {
                boolean own = tasks.get(earlier).machine().equals("machine " + machine);
                if (random.nextInt(100) < (own ? 25 : 2)) {
                    after.add("task " + earlier);
                }
            }
            int kind = random.nextInt(100);
            Task.Who who = kind < 80
                    ? Task.Who.ONE
                    : kind < 90 ? Task.Who.TWO : kind < 95 ? Task.Who.ELECTRICIAN : Task.Who.NOBODY;
            tasks.add(new Task(
                    "task " + i,
                    "task " + i,
                    "machine " + machine,
                    who == Task.Who.NOBODY ? 0 : 2 + random.nextInt(24),
                    random.nextInt(100) < 30 ? 5 + random.nextInt(60) : 0,
                    who,
                    after,
                    random.nextInt(100) < 5 ? random.nextInt(90) : 0));
        }
        return tasks;
    }

    /** One technician or two, mostly with an electrician who comes within three hours. */
    public static Crew crew(SplittableRandom random) {
        return new Crew(
                1 + random.nextInt(2),
                random.nextInt(100) < 80 ? OptionalInt.of(random.nextInt(180)) : OptionalInt.empty());
    }
}
