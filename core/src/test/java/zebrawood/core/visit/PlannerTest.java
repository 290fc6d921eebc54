package zebrawood.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.core.visit.Task.Who;

class PlannerTest {

    private static Task task(String id, int hands, int waits, Who who, String... after) {
        return new Task(id, id, "Wren", hands, waits, who, Set.of(after), 0);
    }

    private static Crew crew(int technicians) {
        return new Crew(technicians, OptionalInt.empty());
    }

    private static int from(Plan plan, String id) {
        return plan.timed().stream()
                .filter(each -> each.task().id().equals(id))
                .findFirst()
                .orElseThrow()
                .from();
    }

    @Test
    void whileOneThingWaitsAnotherIsDone() {
        List<Task> tasks = List.of(
                task("fill", 10, 30, Who.ONE),
                task("wiring", 15, 0, Who.ONE),
                task("eyewear", 15, 0, Who.ONE),
                task("pulse", 5, 0, Who.ONE, "fill"));
        Plan plan = Planner.plan(tasks, crew(1));
        assertThat(plan.finish()).isEqualTo(45).isEqualTo(plan.bound());
        assertThat(from(plan, "fill")).isZero();
        assertThat(plan.meanwhile(plan.timed().get(0)))
                .extracting(each -> each.task().id())
                .containsExactlyInAnyOrder("wiring", "eyewear");
        assertThat(plan.timed())
                .filteredOn(Plan.Timed::critical)
                .extracting(each -> each.task().id())
                .contains("fill", "pulse");
    }

    @Test
    void whoIsMissingIsSaidAndWhatComesAfterIsLeftOutToo() {
        List<Task> tasks = List.of(
                task("lift", 10, 0, Who.TWO),
                task("earth", 10, 0, Who.ELECTRICIAN),
                task("on", 10, 0, Who.ONE, "earth"),
                task("look", 10, 0, Who.ONE));
        Plan alone = Planner.plan(tasks, crew(1));
        assertThat(alone.cannot()).extracting(Task::id).containsExactly("lift", "earth", "on");
        assertThat(alone.finish()).isEqualTo(10);
        Plan together = Planner.plan(tasks, new Crew(2, OptionalInt.of(90)));
        assertThat(together.cannot()).isEmpty();
        assertThat(from(together, "earth")).isEqualTo(90);
        assertThat(together.finish()).isEqualTo(110);
    }

    @Test
    void whatCannotBePlannedIsRefused() {
        assertThatThrownBy(() -> Planner.plan(List.of(task("a", 1, 0, Who.ONE), task("a", 1, 0, Who.ONE)), crew(1)))
                .hasMessageContaining("twice");
        assertThatThrownBy(() ->
                        Planner.plan(List.of(task("a", 1, 0, Who.ONE, "b"), task("b", 1, 0, Who.ONE, "a")), crew(1)))
                .hasMessageContaining("circle");
        assertThat(Planner.plan(List.of(), crew(1)).finish()).isZero();
    }

    /** A thousand visits: nobody in two places, nothing too early; how near to the bound is measured by a benchmark. */
    @Test
    void nobodyIsInTwoPlacesAndNothingComesTooEarly() {
        SplittableRandom random = new SplittableRandom(15);
        for (int visit = 0; visit < 1000; visit++) {
            List<Task> tasks = RandomVisit.tasks(random, 1 + random.nextInt(60));
            Crew crew = RandomVisit.crew(random);
            Plan plan = Planner.plan(tasks, crew);
            assertThat(plan.timed()).hasSize(tasks.size() - plan.cannot().size());
            assertThat(plan.finish()).isGreaterThanOrEqualTo(plan.bound());
            Map<String, Plan.Timed> by = new HashMap<>();
            plan.timed().forEach(each -> by.put(each.task().id(), each));
            int[][] busy = new int[3][plan.finish() + 1];
            int last = 0;
            for (Plan.Timed each : plan.timed()) {
                last = Math.max(last, each.end());
                assertThat(each.from()).isGreaterThanOrEqualTo(each.task().notBefore());
                for (String first : each.task().after()) {
                    assertThat(by.get(first).end()).as(first).isLessThanOrEqualTo(each.from());
                }
                int needed = each.task().hands() == 0 ? 0 : people(each.task().who());
                assertThat(each.lanes()).hasSize(needed);
                for (int lane : each.lanes()) {
                    boolean electrician = lane == Plan.ELECTRICIAN;
                    assertThat(electrician).isEqualTo(each.task().who() == Who.ELECTRICIAN);
                    for (int minute = each.from(); minute < each.handsEnd(); minute++) {
                        busy[electrician ? 2 : lane][minute]++;
                    }
                    if (electrician) {
                        assertThat(each.from())
                                .isGreaterThanOrEqualTo(crew.electricianFrom().orElseThrow());
                    }
                }
            }
            assertThat(plan.finish()).isEqualTo(last);
            assertThat(Stream.of(busy).flatMapToInt(Arrays::stream).max().orElse(0))
                    .as("hands in two places on visit %d", visit)
                    .isLessThanOrEqualTo(1);
        }
    }

    private static int people(Who who) {
        return who == Who.TWO ? 2 : who == Who.NOBODY ? 0 : 1;
    }

    /** Of small visits every order is tried: what is found is the shortest there is, and the bound is under it. */
    @Test
    void smallVisitsAreAsShortAsAnyOrderMakesThem() {
        SplittableRandom random = new SplittableRandom(6);
        for (int visit = 0; visit < 120; visit++) {
            List<Task> tasks = RandomVisit.tasks(random, 2 + random.nextInt(5));
            Plan plan = Planner.plan(tasks, new Crew(2, OptionalInt.of(20)));
            int shortest = shortest(tasks, new int[tasks.size()], 0, new boolean[tasks.size()]);
            assertThat(plan.bound()).isLessThanOrEqualTo(shortest);
            assertThat(plan.finish()).as("visit %d: %s", visit, tasks).isEqualTo(shortest);
        }
    }

    /** The shortest finish over all orders, each task set as early as it goes. */
    private static int shortest(List<Task> tasks, int[] starts, int set, boolean[] done) {
        if (set == tasks.size()) {
            int finish = 0;
            for (int i = 0; i < starts.length; i++) {
                finish = Math.max(
                        finish, starts[i] + tasks.get(i).hands() + tasks.get(i).waits());
            }
            return finish;
        }
        int best = Integer.MAX_VALUE;
        for (int i = 0; i < tasks.size(); i++) {
            Task task = tasks.get(i);
            int from = Math.max(task.notBefore(), task.who() == Who.ELECTRICIAN ? 20 : 0);
            boolean ready = !done[i];
            for (int first = 0; first < tasks.size(); first++) {
                if (task.after().contains(tasks.get(first).id())) {
                    ready &= done[first];
                    from = Math.max(
                            from,
                            starts[first]
                                    + tasks.get(first).hands()
                                    + tasks.get(first).waits());
                }
            }
            if (ready) {
                while (!isFree(tasks, starts, done, task, from)) {
                    from++;
                }
                done[i] = true;
                starts[i] = from;
                best = Math.min(best, shortest(tasks, starts, set + 1, done));
                done[i] = false;
            }
        }
        return best;
    }

    private static boolean isFree(List<Task> tasks, int[] starts, boolean[] done, Task task, int from) {
        for (int minute = from; minute < from + task.hands(); minute++) {
            int technicians = task.who() == Who.ELECTRICIAN ? 0 : people(task.who());
            int electricians = task.who() == Who.ELECTRICIAN ? 1 : 0;
            for (int i = 0; i < starts.length; i++) {
                if (done[i]
                        && starts[i] <= minute
                        && minute < starts[i] + tasks.get(i).hands()) {
                    technicians += tasks.get(i).who() == Who.ELECTRICIAN
                            ? 0
                            : people(tasks.get(i).who());
                    electricians += tasks.get(i).who() == Who.ELECTRICIAN ? 1 : 0;
                }
            }
            if (technicians > 2 || electricians > 1) {
                return false;
            }
        }
        return true;
    }
}
