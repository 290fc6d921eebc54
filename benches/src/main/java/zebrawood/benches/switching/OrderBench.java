package zebrawood.benches.switching;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.switching.OrderFinding;
import zebrawood.core.switching.OrderReadings;
import zebrawood.core.switching.OrderReadings.Step;
import zebrawood.core.switching.Way;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;

/** The order in which a machine is switched on and off, followed as a strip. */
public final class OrderBench implements Bench<OrderReadings, OrderFinding> {

    public static final FieldList FIELDS = FieldList.of()
            .listed("", "up", "what", parts())
            .listed("", "down", "what", parts())
            .listed("", "afterCut", "what", parts());

    private final Draft draft;
    private final OrderView view;

    public OrderBench(BenchPlace place) {
        draft = place.draft();
        view = new OrderView(place);
    }

    private static Field[] parts() {
        return new Field[] {
            Field.words("waitFor", "wait for"),
            Field.words("seen", "seen when right"),
            Field.words("otherwise", "otherwise")
        };
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Worksheet sheet) {
        for (Way way : Way.values()) {
            List<Step> steps = StepLine.steps(draft.text(way.field()));
            for (int i = 0; i < steps.size(); i++) {
                String at = way.field() + "[" + i + "].";
                Step step = steps.get(i);
                sheet.word(at + "what", step.what());
                step.waitFor().ifPresent(words -> sheet.word(at + "waitFor", words));
                step.seen().ifPresent(words -> sheet.word(at + "seen", words));
                step.otherwise().ifPresent(words -> sheet.word(at + "otherwise", words));
            }
        }
    }

    @Override
    public void show(Showing<OrderReadings, OrderFinding> now) {
        view.show(now);
    }

    @Override
    public String next() {
        return "Write the steps of switching on, a line each.";
    }

    @Override
    public List<ReadingField> fields() {
        return List.of();
    }

    @Override
    public Map<String, Draft.Text> texts(OrderReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        for (Way way : Way.values()) {
            Draft.put(texts, way.field(), StepLine.text(readings.of(way)));
        }
        return texts;
    }

    @Override
    public Optional<Node> missing() {
        return view.missing();
    }

    @Override
    public Optional<Node> start() {
        return Optional.of(view.text());
    }

    @Override
    public Optional<Node> followed() {
        return Optional.of(view.strip());
    }

    @Override
    public String againWord() {
        return "Change it";
    }
}
