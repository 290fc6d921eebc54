package zebrawood.kit.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.VBox;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.Words;

/**
 * Practice on something pretended. Its number stands in the draft, and so does what was done to it; the same number is
 * the same thing again. Nothing of it is recorded, and once it ends, the draft is as it was before.
 */
public final class Practising {

    private static final String NUMBER = "practice";
    private static final String BEFORE = "practiceBefore";
    private static final String MADE = "practiceMade";
    /** from the number of one to that of the next one */
    private static final long ANOTHER = 7919;

    private final BenchPlace place;
    private final Draft draft;
    private long practised;

    public Practising(BenchPlace place) {
        this.place = place;
        draft = place.draft();
    }

    public boolean isOn() {
        return !draft.text(NUMBER).isEmpty();
    }

    /** Which one it is. */
    public long number() {
        String number = draft.text(NUMBER);
        return number.matches("\\d{1,9}") ? Long.parseLong(number) : 0;
    }

    /** Chance that is the same each time, for one purpose. */
    public SplittableRandom random(long purpose) {
        return new SplittableRandom(number() * ANOTHER + purpose);
    }

    /** What was done to it so far, in the words of the bench; empty where nothing was. */
    public String made() {
        return draft.text(MADE);
    }

    /**
     * Begins on another one.
     *
     * @param typed what stands in the fields then
     */
    public void begin(Map<String, Draft.Text> typed) {
        Map<String, Draft.Text> changed = new HashMap<>(typed);
        long number = Math.floorMod(place.workplace().now().getEpochSecond() + ANOTHER * ++practised, 100_000L);
        Draft.put(changed, NUMBER, String.valueOf(number));
        Draft.put(changed, BEFORE, draft.toJson());
        Draft.put(changed, MADE, "");
        draft.typeAll(changed);
    }

    /** Something was done to it; what stands in these fields then. */
    public void make(String made, Map<String, Draft.Text> typed) {
        Map<String, Draft.Text> changed = new HashMap<>(typed);
        Draft.put(changed, MADE, made);
        draft.typeAll(changed);
    }

    /** Ends it: everything is as it was before. */
    public void end() {
        Map<String, Draft.Text> changed = new HashMap<>();
        draft.texts().keySet().forEach(field -> Draft.put(changed, field, ""));
        changed.putAll(Draft.fromJson(draft.text(BEFORE)));
        for (String field : new String[] {NUMBER, BEFORE, MADE}) {
            Draft.put(changed, field, "");
        }
        draft.typeAll(changed);
    }

    /** Why nothing of it is recorded; empty where nobody practises. */
    public Optional<String> notForTheRecord() {
        return isOn() ? Optional.of("This is practice: end it, then measure the machine itself.") : Optional.empty();
    }

    /** A text that a field is to hold. */
    public static Draft.Text text(String words) {
        return new Draft.Text(words, UnitChoice.METRIC);
    }

    /** Something to press that begins it. */
    public static Node offer(String on, Runnable begin) {
        return link("practice", "Practise on " + on, begin);
    }

    /** The heading of a bench, which says that it is practice. */
    public String head(String words) {
        return (isOn() ? "Practice. " : "") + words;
    }

    /** What is offered beside the step while somebody practises. */
    public Node shown(String on) {
        return new VBox(
                2,
                Words.wrapped("Practice on " + on + ". Nothing of it is recorded.", "quiet"),
                link("practice", "End practice", this::end));
    }

    /**
     * The step that is next.
     *
     * @param came how it came out so far; empty where that is not known
     * @param id of the button
     * @param words on it
     */
    public List<Node> step(Optional<String> came, String id, String words, Runnable action) {
        List<Node> nodes = new ArrayList<>();
        came.ifPresent(how -> {
            Node told = Words.wrapped(how, "quiet");
            told.setId("practice-came");
            nodes.add(told);
        });
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().setAll("button", "strong");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setOnAction(event -> action.run());
        nodes.add(button);
        return nodes;
    }

    /** The step after which there is none: it ends. */
    public List<Node> ended(String came) {
        return step(Optional.of(came), "practice-end", "End practice", this::end);
    }

    private static Hyperlink link(String id, String words, Runnable action) {
        Hyperlink link = new Hyperlink(words);
        link.setId(id);
        link.setOnAction(event -> action.run());
        return link;
    }
}
