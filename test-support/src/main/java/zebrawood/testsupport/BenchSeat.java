package zebrawood.testsupport;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.stage.Stage;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.theme.Controls;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Look;
import zebrawood.kit.view.Workplace;

/**
 * Somebody sitting before one bench in a real window, with nothing around it: no logbook, no Route. What is typed is
 * judged after each keystroke, as the program does.
 *
 * @param <R> readings
 * @param <F> finding
 */
public final class BenchSeat<R extends Record, F extends Record> extends Hands<BenchSeat<R, F>>
        implements AutoCloseable {

    private final Place place = new Place();
    private final Draft draft = new Draft();
    private final Stop<R, F> stop;
    private final Bench<R, F> bench;
    private final Stage stage;
    private Showing<R, F> now;

    /** Where the bench stands: its time is moved by the test, what it tells is kept. */
    private static final class Place implements Workplace {
        private final ObjectProperty<UnitChoice> units = new SimpleObjectProperty<>(UnitChoice.METRIC);
        private final ObjectProperty<Look> look = new SimpleObjectProperty<>(Look.of(Ground.LIGHT));
        private Instant time = Instant.parse("2031-03-14T09:30:00Z");
        private String told = "";

        @Override
        public ObservableValue<UnitChoice> units() {
            return units;
        }

        @Override
        public ObservableValue<Look> look() {
            return look;
        }

        @Override
        public Instant now() {
            return time;
        }

        @Override
        public LocalDateTime local(Instant at) {
            return LocalDateTime.ofInstant(at, ZoneOffset.ofHours(1));
        }

        @Override
        public void tell(String sentence) {
            told = sentence;
        }

        @Override
        public <T> void apart(Callable<T> work, Consumer<T> then) {
            try {
                then.accept(work.call());
            } catch (Exception refused) {
                tell(refused.getMessage());
            }
        }
    }

    /**
     * Sits down at a bench.
     *
     * @param plate of the machine
     * @param others the newest readings of other stops of the machine, by the stop's id
     */
    public BenchSeat(Stop<R, F> stop, Plate plate, Map<String, Entry> others) {
        toolkit();
        this.stop = stop;
        Map<String, Entry> known = new HashMap<>(others);
        bench = onScreen(() -> {
            Controls.dress();
            Fonts.load();
            return stop.bench()
                    .apply(new BenchPlace(place, plate, List.of(), id -> Optional.ofNullable(known.get(id)), draft));
        });
        stage = onScreen(() -> {
            Scene scene = new Scene((Parent) bench.view(), 780, 640);
            scene.getStylesheets()
                    .addAll(
                            Ground.LIGHT.stylesheet(),
                            Ground.class.getResource("frame.css").toExternalForm());
            Stage made = new Stage();
            made.setScene(scene);
            bench.fields().forEach(field -> field.tie(draft, place.units));
            ReadingField.enterGoesThrough(bench.fields());
            draft.onChange(this::judge);
            place.units.addListener((value, before, chosen) -> judge());
            judge();
            made.show();
            made.requestFocus();
            return made;
        });
        until("the bench is there", stage::isFocused);
    }

    private void judge() {
        Worksheet sheet = Worksheet.of(draft);
        bench.assemble(sheet);
        now = Showing.judged(stop.procedure(), sheet.filled());
        bench.fields().forEach(field -> field.tell(now.filled(), draft, place.units.get()));
        bench.show(now);
    }

    /** Lets time pass. */
    public BenchSeat<R, F> later(Duration passed) {
        onScreen(() -> {
            place.time = place.time.plus(passed);
            return null;
        });
        return this;
    }

    /** Shows everything in these units from now on. */
    public BenchSeat<R, F> in(UnitChoice units) {
        onScreen(() -> {
            place.units.set(units);
            return null;
        });
        return this;
    }

    /** The readings that what is typed makes, once they are complete. */
    public Optional<R> readings() {
        return onScreen(() -> now.readings());
    }

    /** What was found. */
    public Optional<F> finding() {
        return onScreen(() -> now.finding());
    }

    /** The verdict, once there is one. */
    public Optional<Verdict> verdict() {
        return onScreen(() -> now.outcome().map(outcome -> outcome.verdict()));
    }

    /** What to do: the first instruction, else what to read next. */
    public String act() {
        return onScreen(() -> now.outcome()
                .flatMap(outcome -> outcome.instructions().stream().findFirst())
                .map((Instruction first) -> first.sentence(place.units.get()))
                .orElseGet(bench::next));
    }

    /** The bench itself. */
    public Bench<R, F> bench() {
        return bench;
    }

    /** Puts a text into the draft where no field on the page shows it. */
    public BenchSeat<R, F> draft(String field, String text) {
        onScreen(() -> {
            draft.type(field, text, place.units.get());
            return null;
        });
        return this;
    }

    /** What is wrong with a field; empty where nothing is. */
    public String problem(String field) {
        return onScreen(() -> now.problems().getOrDefault(field, ""));
    }

    /** What was told at the foot of the window last. */
    public String told() {
        return onScreen(() -> place.told);
    }

    @Override
    protected Scene scene() {
        return stage.getScene();
    }

    @Override
    protected boolean isIdle() {
        return true;
    }

    @Override
    protected BenchSeat<R, F> me() {
        return this;
    }

    @Override
    public void close() {
        onScreen(() -> {
            stage.hide();
            return null;
        });
    }
}
