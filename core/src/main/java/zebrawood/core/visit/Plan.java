package zebrawood.core.visit;

import java.util.List;
import java.util.Set;

/**
 * When everything is done.
 *
 * @param timed each task with its time, by its beginning
 * @param finish minute at which the last of them is over, waits included
 * @param bound minute before which no plan can be over
 * @param cannot what nobody who comes can do, and what comes after it
 */
public record Plan(List<Timed> timed, int finish, int bound, List<Task> cannot) {

    /** A technician's lane is its number from 0. */
    public static final int ELECTRICIAN = -1;

    /**
     * A task at its time.
     *
     * @param from minute of the visit
     * @param lanes whose hands are on it
     * @param critical whether the finish moves when this does
     */
    public record Timed(Task task, int from, List<Integer> lanes, boolean critical) {
        public Timed {
            lanes = List.copyOf(lanes);
        }

        /** When hands are free again. */
        public int handsEnd() {
            return from + task.hands();
        }

        /** When what comes after it may begin. */
        public int end() {
            return from + task.length();
        }
    }

    public Plan {
        timed = List.copyOf(timed);
        cannot = List.copyOf(cannot);
    }

    /** What is done by hand while a task waits, by its beginning. */
    public List<Timed> meanwhile(Timed waiting) {
        return timed.stream()
                .filter(other -> other.task().hands() > 0
                        && other.from() < waiting.end()
                        && other.handsEnd() > waiting.handsEnd())
                .filter(other -> other != waiting)
                .toList();
    }

    /** Of some tasks the one that is over last. */
    int endOf(Set<String> ids) {
        return timed.stream()
                .filter(each -> ids.contains(each.task().id()))
                .mapToInt(Timed::end)
                .max()
                .orElse(0);
    }
}
