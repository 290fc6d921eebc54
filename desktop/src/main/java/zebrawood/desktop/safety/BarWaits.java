package zebrawood.desktop.safety;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import zebrawood.core.route.Gate;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.BarTest;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.TimedStep;

/**
 * Bars that can be answered only once something was watched for some minutes. When that began stands in a draft: it
 * goes on while other bars are seen to, another stop is open, or the program is closed.
 */
final class BarWaits {

    private final Desk desk;
    private final Draft draft = new Draft();
    private final DraftKeeper keeper;
    private final Runnable changed;
    private final Timeline clock = new Timeline(new KeyFrame(javafx.util.Duration.seconds(1), event -> tick()));
    private final List<Runnable> followers = new ArrayList<>();
    private boolean anyLeft;

    /** @param changed runs when a wait began or is over */
    BarWaits(Desk desk, String machineId, Runnable changed) {
        this.desk = desk;
        this.changed = changed;
        keeper = new DraftKeeper(desk, machineId, FirstLight.ID, draft, told -> {});
        clock.setCycleCount(Animation.INDEFINITE);
        desk.later(
                () -> desk.logbook().findDraft(machineId, FirstLight.ID),
                kept -> kept.ifPresent(half -> {
                    draft.fill(Draft.fromJson(half.content()));
                    run();
                    changed.run();
                }));
    }

    /** The bar to see to: the first that stands, or one after it that is only looked at while a wait runs. */
    Optional<Gate.Line> inHand(Gate gate) {
        followers.clear();
        List<Gate.Line> standing =
                gate.bars().stream().filter(line -> !line.lifted()).toList();
        if (standing.isEmpty() || left(standing.get(0).bar()).isEmpty()) {
            return standing.stream().findFirst();
        }
        return standing.stream()
                .skip(1)
                .filter(line -> line.bar().kind() == Bar.Kind.LOOK)
                .findFirst()
                .or(() -> Optional.of(standing.get(0)));
    }

    /** Whether the bar has to be watched and nobody began yet. */
    boolean isToBegin(Bar bar) {
        return bar.waitMinutes() > 0 && over(bar).isEmpty();
    }

    /** How long has to be watched yet, {@code 12:05}; empty where it is over, not begun, or nothing is waited for. */
    String left(Bar bar) {
        long seconds = over(bar)
                .map(end -> Duration.between(desk.now(), end).toSeconds())
                .orElse(0L);
        return seconds <= 0 ? "" : String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
    }

    private Optional<Instant> over(Bar bar) {
        return bar.waitMinutes() == 0 ? Optional.empty() : TimedStep.over(draft.texts(), bar.id());
    }

    /** For how many whole minutes a bar was watched; empty where nobody began. */
    List<BarTest.Seen> watched(Bar bar) {
        Optional<Instant> over = over(bar);
        if (over.isEmpty()) {
            return List.of();
        }
        Instant from = over.get().minus(Duration.ofMinutes(bar.waitMinutes()));
        long minutes = Duration.between(from, desk.now()).toMinutes();
        return List.of(
                new BarTest.Seen("watched", "Watched for", minutes + " min", OptionalDouble.of((double) minutes)));
    }

    /** Minutes of waiting that are left before the gate can open. */
    int minutesOfWaiting(Gate gate) {
        return gate.bars().stream()
                .filter(line -> !line.lifted())
                .mapToInt(line -> over(line.bar())
                        .map(end -> (int) Math.max(
                                0, (Duration.between(desk.now(), end).toSeconds() + 59) / 60))
                        .orElse(line.bar().waitMinutes()))
                .sum();
    }

    /** Tells what is left, every second. */
    void follow(Bar bar, Consumer<String> told) {
        if (bar.waitMinutes() > 0) {
            followers.add(() -> told.accept(left(bar)));
        }
    }

    void begin(Bar bar) {
        draft.type(
                TimedStep.overName(bar.id()),
                desk.now().plus(Duration.ofMinutes(bar.waitMinutes())).toString(),
                UnitChoice.METRIC);
        keeper.keep();
        run();
        changed.run();
    }

    private void run() {
        anyLeft = true;
        clock.play();
    }

    private void tick() {
        followers.forEach(Runnable::run);
        boolean left = draft.texts().keySet().stream()
                .map(TimedStep::named)
                .flatMap(Optional::stream)
                .anyMatch(name -> TimedStep.over(draft.texts(), name)
                        .filter(end -> end.isAfter(desk.now()))
                        .isPresent());
        if (anyLeft && !left) {
            anyLeft = false;
            clock.stop();
            changed.run();
        }
    }

    /** The answer that was waited for is given: the next time it is watched anew. */
    void answered(Bar bar) {
        if (over(bar).isPresent()) {
            draft.type(TimedStep.overName(bar.id()), "", UnitChoice.METRIC);
            keeper.keep();
        }
    }

    /** Nobody looks any more; what runs goes on in the draft. */
    void end() {
        clock.stop();
    }
}
