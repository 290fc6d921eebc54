package zebrawood.kit.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.DrawnForm;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Covered;

/**
 * A bench that is a drawing over the fields of a list: what such a bench brings is its list, a sentence over the
 * drawing, and the drawing.
 *
 * @param <R> readings
 * @param <F> finding
 */
public abstract class FormBench<R extends Record, F extends Record> implements Bench<R, F> {

    private final BenchPlace place;
    private final DrawnForm form;
    private final Covered covered;

    /**
     * @param caption under the heading: scale and direction of view
     * @param known what counts where nothing is typed, by the name of its field
     */
    protected FormBench(BenchPlace place, FieldList fields, String caption, Map<String, Amount> known) {
        this.place = place;
        form = new DrawnForm(place.workplace(), place.draft(), fields, caption, known);
        covered = new Covered(form);
    }

    protected FormBench(BenchPlace place, FieldList fields, String caption) {
        this(place, fields, caption, Map.of());
    }

    /** What there is, as one sentence over the drawing. */
    protected abstract String head(Showing<R, F> now, UnitChoice units);

    /** The drawing, also while there is no finding yet. */
    protected abstract Figure figure(Showing<R, F> now, UnitChoice units);

    /** What the drawing shows, for who cannot see it. */
    protected String inWords(String head) {
        return head;
    }

    /** Where it stands. */
    protected final BenchPlace place() {
        return place;
    }

    /** Its form. */
    protected final DrawnForm form() {
        return form;
    }

    /** What stands in a field, without blanks around it. */
    protected final String text(String field) {
        return place.draft().text(field).strip();
    }

    @Override
    public final Node view() {
        return covered;
    }

    /** What can be laid over it for a while. */
    protected final Covered covered() {
        return covered;
    }

    @Override
    public void assemble(Worksheet sheet) {
        form.assemble(sheet);
    }

    @Override
    public void show(Showing<R, F> now) {
        UnitChoice units = place.units();
        String head = head(now, units);
        form.show(head, figure(now, units), inWords(head), now.problems(), now.measuring());
    }

    @Override
    public String next() {
        return form.firstMissing()
                .map(field -> "Read: " + field.label() + ".")
                .orElse("Look at the fields that are marked.");
    }

    @Override
    public final List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(R readings, Map<String, String> asTyped, boolean whole) {
        return form.texts(readings, asTyped, whole);
    }

    @Override
    public Optional<Node> missing() {
        return form.firstMissing()
                .flatMap(field -> Optional.ofNullable(form.field(field.name())))
                .map(ReadingField::field);
    }

    @Override
    public void drawAtLeast(double height) {
        form.drawAtLeast(height);
    }
}
