package zebrawood.core.visit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;

/** Finds when everything is done; see the package for the method. */
public final class Planner {

    /** lists that are tried: enough for sixty tasks within the fifth of a second that a person does not notice */
    private static final int TRIES = 220;
    /** by how many times its length a tail may seem longer when a list is shuffled most */
    private static final double SHUFFLE = 4;

    private static final long SEED = 20_310_314;

    private final List<Task> tasks;
    private final Crew crew;
    private final int[][] before;
    private final int[][] then;
    private final int[] order;
    private final int[] head;
    private final int[] tail;
    private final int horizon;

    private Planner(List<Task> tasks, Crew crew) {
        this.tasks = tasks;
        this.crew = crew;
        Map<String, Integer> index = new HashMap<>();
        for (int i = 0; i < tasks.size(); i++) {
            index.put(tasks.get(i).id(), i);
        }
        before = new int[tasks.size()][];
        List<List<Integer>> following = new ArrayList<>();
        tasks.forEach(task -> following.add(new ArrayList<>()));
        for (int i = 0; i < tasks.size(); i++) {
            int at = i;
            before[i] = tasks.get(i).after().stream()
                    .filter(index::containsKey)
                    .mapToInt(index::get)
                    .sorted()
                    .toArray();
            Arrays.stream(before[i]).forEach(first -> following.get(first).add(at));
        }
        then = following.stream()
                .map(list -> list.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
        order = inOrder();
        head = new int[tasks.size()];
        tail = new int[tasks.size()];
        for (int i : order) {
            head[i] = release(i);
            for (int first : before[i]) {
                head[i] = Math.max(head[i], head[first] + tasks.get(first).length());
            }
        }
        for (int k = order.length - 1; k >= 0; k--) {
            int i = order[k];
            int after = 0;
            for (int next : then[i]) {
                after = Math.max(after, tail[next]);
            }
            tail[i] = tasks.get(i).length() + after;
        }
        int all = Arrays.stream(head).max().orElse(0);
        for (Task task : tasks) {
            all += task.length();
        }
        horizon = all + 1;
    }

    /**
     * The plan of a visit; the same for the same tasks.
     *
     * @throws IllegalArgumentException where an id stands there twice, or tasks wait for each other in a circle
     */
    public static Plan plan(List<Task> tasks, Crew crew) {
        Set<String> ids = new HashSet<>();
        for (Task task : tasks) {
            if (!ids.add(task.id())) {
                throw new IllegalArgumentException("the task " + task.id() + " stands there twice");
            }
        }
        List<Task> cannot = cannot(tasks, crew);
        List<Task> can = tasks.stream().filter(task -> !cannot.contains(task)).toList();
        Planner planner = new Planner(can, crew);
        int bound = planner.bound();
        int[] starts = planner.best(bound);
        return new Plan(planner.timed(starts), planner.finish(starts), bound, cannot);
    }

    /** What nobody who comes can do, and all that comes after it. */
    private static List<Task> cannot(List<Task> tasks, Crew crew) {
        Set<String> out = new HashSet<>();
        int many;
        do {
            many = out.size();
            for (Task task : tasks) {
                boolean missing = task.who() == Task.Who.TWO && crew.technicians() < 2
                        || task.who() == Task.Who.ELECTRICIAN
                                && crew.electricianFrom().isEmpty();
                if (missing || task.after().stream().anyMatch(out::contains)) {
                    out.add(task.id());
                }
            }
        } while (out.size() > many);
        return tasks.stream().filter(task -> out.contains(task.id())).toList();
    }

    private int release(int i) {
        Task task = tasks.get(i);
        return task.who() == Task.Who.ELECTRICIAN
                ? Math.max(task.notBefore(), crew.electricianFrom().orElseThrow())
                : task.notBefore();
    }

    /** Each after all that comes before it. */
    private int[] inOrder() {
        int[] left = new int[tasks.size()];
        int[] sorted = new int[tasks.size()];
        int done = 0;
        for (int i = 0; i < left.length; i++) {
            left[i] = before[i].length;
            if (left[i] == 0) {
                sorted[done++] = i;
            }
        }
        for (int k = 0; k < done; k++) {
            for (int next : then[sorted[k]]) {
                if (--left[next] == 0) {
                    sorted[done++] = next;
                }
            }
        }
        if (done < sorted.length) {
            throw new IllegalArgumentException("some tasks wait for each other in a circle");
        }
        return sorted;
    }

    // --- the bound

    /** Minute before which no plan is over. */
    private int bound() {
        int bound = 0;
        for (int i = 0; i < tasks.size(); i++) {
            bound = Math.max(bound, head[i] + tail[i]);
        }
        bound = Math.max(bound, shared(false, crew.technicians()));
        return Math.max(bound, shared(true, 1));
    }

    /** By the hands of technicians, or of the electrician, between every two limits. */
    private int shared(boolean electrician, int people) {
        int bound = 0;
        for (int a = 0; a < tasks.size(); a++) {
            for (int b = 0; b < tasks.size(); b++) {
                int least = head[a];
                int rest = tail[b] - tasks.get(b).hands();
                int work = 0;
                for (int i = 0; i < tasks.size(); i++) {
                    if (head[i] >= least && tail[i] - tasks.get(i).hands() >= rest) {
                        work += tasks.get(i).hands() * people(i, electrician);
                    }
                }
                if (work > 0) {
                    bound = Math.max(bound, least + (work + people - 1) / people + rest);
                }
            }
        }
        return bound;
    }

    private int people(int i, boolean electrician) {
        return electrician
                ? tasks.get(i).who() == Task.Who.ELECTRICIAN ? 1 : 0
                : tasks.get(i).who().technicians();
    }

    // --- the plan

    private int[] best(int bound) {
        SplittableRandom random = new SplittableRandom(SEED);
        int[] best = {};
        int least = Integer.MAX_VALUE;
        for (int attempt = 0; attempt < TRIES && least > bound; attempt++) {
            double[] weight = new double[tasks.size()];
            // the first is not shuffled at all, the later the more
            double share = (double) attempt / TRIES;
            for (int i = 0; i < weight.length; i++) {
                double longer = SHUFFLE * share * random.nextDouble();
                weight[i] = tail[i] * (1 + longer);
            }
            int[] starts = early(byWeight(weight));
            for (int turn = 0; turn < 3; turn++) {
                int finish = finish(starts);
                if (finish < least) {
                    least = finish;
                    best = starts;
                }
                starts = early(byBeginning(late(starts, finish)));
            }
            int finish = finish(starts);
            if (finish < least) {
                least = finish;
                best = starts;
            }
        }
        return best.length == 0 ? early(order) : best;
    }

    /** A list by beginnings, each task after what comes before it all the same. */
    private int[] byBeginning(int[] starts) {
        double[] weight = new double[starts.length];
        for (int i = 0; i < starts.length; i++) {
            weight[i] = -starts[i];
        }
        return byWeight(weight);
    }

    /** A list in which each task stands after what comes before it, the heaviest that may stand next first. */
    private int[] byWeight(double[] weight) {
        int[] left = new int[tasks.size()];
        List<Integer> ready = new ArrayList<>();
        for (int i = 0; i < left.length; i++) {
            left[i] = before[i].length;
            if (left[i] == 0) {
                ready.add(i);
            }
        }
        int[] list = new int[tasks.size()];
        for (int k = 0; k < list.length; k++) {
            int heaviest = 0;
            for (int r = 1; r < ready.size(); r++) {
                if (weight[ready.get(r)] > weight[ready.get(heaviest)]) {
                    heaviest = r;
                }
            }
            int chosen = ready.remove(heaviest);
            list[k] = chosen;
            for (int next : then[chosen]) {
                if (--left[next] == 0) {
                    ready.add(next);
                }
            }
        }
        return list;
    }

    /** Tasks by their beginning; of two that begin together, the one that comes before the other. */
    private int[] sorted(int[] starts) {
        int[] place = new int[tasks.size()];
        for (int k = 0; k < order.length; k++) {
            place[order[k]] = k;
        }
        return Arrays.stream(order)
                .boxed()
                .sorted(Comparator.<Integer>comparingInt(i -> starts[i]).thenComparingInt(i -> place[i]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** Each task of a list as early as what comes before it and the people allow. */
    private int[] early(int[] list) {
        int[][] used = new int[2][horizon];
        int[] starts = new int[tasks.size()];
        for (int i : list) {
            int from = release(i);
            for (int first : before[i]) {
                from = Math.max(from, starts[first] + tasks.get(first).length());
            }
            starts[i] = take(i, from, 1, used);
        }
        return starts;
    }

    /** Each as late as what comes after it and the people allow, from the last one on. */
    private int[] late(int[] starts, int finish) {
        int[][] used = new int[2][horizon];
        int[] later = new int[tasks.size()];
        int[] list = Arrays.stream(order)
                .boxed()
                .sorted(Comparator.<Integer>comparingInt(
                        i -> -(starts[i] + tasks.get(i).length())))
                .mapToInt(Integer::intValue)
                .toArray();
        boolean[] set = new boolean[tasks.size()];
        for (int done = 0; done < list.length; ) {
            for (int i : list) {
                boolean ready = !set[i] && Arrays.stream(then[i]).allMatch(next -> set[next]);
                if (ready) {
                    int end = finish;
                    for (int next : then[i]) {
                        end = Math.min(end, later[next]);
                    }
                    later[i] = take(i, end - tasks.get(i).length(), -1, used);
                    set[i] = true;
                    done++;
                }
            }
        }
        return later;
    }

    /** The first beginning from there on, forwards or backwards, at which the people are free; they are taken. */
    private int take(int i, int from, int step, int[][] used) {
        Task task = tasks.get(i);
        int technicians = task.who().technicians();
        boolean electrician = task.who() == Task.Who.ELECTRICIAN;
        if (task.hands() == 0 || technicians == 0 && !electrician) {
            return from;
        }
        int[] of = electrician ? used[1] : used[0];
        int needs = electrician ? 1 : technicians;
        int most = electrician ? 1 : crew.technicians();
        int at = from;
        while (at >= 0) {
            int blocked = -1;
            for (int minute = at; minute < at + task.hands(); minute++) {
                if (of[minute] + needs > most) {
                    blocked = minute;
                    if (step > 0) {
                        continue;
                    }
                    break;
                }
            }
            if (blocked < 0) {
                break;
            }
            at = step > 0 ? blocked + 1 : blocked - task.hands();
        }
        if (at < 0) {
            // backwards there was no room left: it stays where the other way finds it
            return take(i, Math.max(0, from), 1, used);
        }
        for (int minute = at; minute < at + task.hands(); minute++) {
            of[minute] += needs;
        }
        return at;
    }

    private int finish(int[] starts) {
        int finish = 0;
        for (int i = 0; i < starts.length; i++) {
            finish = Math.max(finish, starts[i] + tasks.get(i).length());
        }
        return finish;
    }

    // --- what is shown

    private List<Plan.Timed> timed(int[] starts) {
        boolean[] critical = critical(starts);
        int[] free = new int[crew.technicians()];
        List<Plan.Timed> timed = new ArrayList<>();
        for (int i : sorted(starts)) {
            Task task = tasks.get(i);
            List<Integer> lanes = new ArrayList<>();
            if (task.who() == Task.Who.ELECTRICIAN) {
                lanes.add(Plan.ELECTRICIAN);
            } else if (task.hands() > 0) {
                for (int lane = 0;
                        lane < free.length && lanes.size() < task.who().technicians();
                        lane++) {
                    if (free[lane] <= starts[i]) {
                        lanes.add(lane);
                        free[lane] = starts[i] + task.hands();
                    }
                }
            }
            timed.add(new Plan.Timed(task, starts[i], lanes, critical[i]));
        }
        return timed;
    }

    /** Back from what is over last: what it waited for, by order or by hands. */
    private boolean[] critical(int[] starts) {
        boolean[] critical = new boolean[tasks.size()];
        int finish = finish(starts);
        List<Integer> look = new ArrayList<>();
        for (int i = 0; i < starts.length; i++) {
            if (starts[i] + tasks.get(i).length() == finish) {
                look.add(i);
            }
        }
        while (!look.isEmpty()) {
            int i = look.remove(look.size() - 1);
            if (critical[i]) {
                continue;
            }
            critical[i] = true;
            OptionalInt before = blocker(i, starts);
            before.ifPresent(look::add);
        }
        return critical;
    }

    private OptionalInt blocker(int i, int[] starts) {
        for (int first : before[i]) {
            if (starts[first] + tasks.get(first).length() == starts[i]) {
                return OptionalInt.of(first);
            }
        }
        boolean electrician = tasks.get(i).who() == Task.Who.ELECTRICIAN;
        if (people(i, electrician) == 0) {
            return OptionalInt.empty();
        }
        for (int other = 0; other < starts.length; other++) {
            if (other != i
                    && people(other, electrician) > 0
                    && tasks.get(other).hands() > 0
                    && starts[other] + tasks.get(other).hands() == starts[i]) {
                return OptionalInt.of(other);
            }
        }
        return OptionalInt.empty();
    }
}
