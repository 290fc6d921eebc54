package zebrawood.benches.mirrors;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import zebrawood.core.beam.Spot;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.Words;

/** The fields of one mark, right and above, and of the current where there is a meter; always those of one shot. */
final class MarkFields {

    static final int X = 0;
    static final int Y = 1;
    static final int CURRENT = 2;

    private static final double HEIGHT = 34;
    private static final List<String> IDS = List.of("mark-x", "mark-y", "mark-current");
    private static final List<String> NAMES = List.of("right", "above", "current");
    private static final List<String> WHOLE =
            List.of("right of the cross", "above the cross", "tube current of this shot");

    private final BenchPlace place;
    private final Draft draft;
    private final IntSupplier shot;
    private final List<Label> names =
            NAMES.stream().map(name -> Words.label(name, "small")).toList();
    private final List<TextField> fields =
            IDS.stream().map(id -> new TextField()).toList();
    private final boolean meter;
    private boolean following;
    private boolean reads;

    /**
     * @param shot which shot's mark stands in them
     * @param entered takes the field in which Enter was pressed
     */
    MarkFields(BenchPlace place, IntSupplier shot, IntConsumer entered) {
        this.place = place;
        this.shot = shot;
        draft = place.draft();
        meter = place.plate()
                .source()
                .map(Plate.Source::ratedCurrentMa)
                .orElse(OptionalDouble.empty())
                .isPresent();
        for (int i = 0; i < fields.size(); i++) {
            int which = i;
            TextField field = fields.get(i);
            field.setId(IDS.get(i));
            field.setAccessibleText(WHOLE.get(i));
            names.get(i).setLabelFor(field);
            field.textProperty().addListener((value, before, now) -> {
                if (!following && reads && !now.equals(draft.text(name(which)))) {
                    draft.type(name(which), now, place.units());
                }
            });
            field.focusedProperty().addListener((value, before, now) -> draft.endStep());
            field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER && !event.isControlDown()) {
                    entered.accept(which);
                    event.consume();
                }
            });
        }
        draft.onChange(this::follow);
    }

    List<Node> nodes() {
        return IntStream.range(0, fields.size())
                .boxed()
                .<Node>mapMulti((i, all) -> {
                    all.accept(names.get(i));
                    all.accept(fields.get(i));
                })
                .toList();
    }

    private String name(int which) {
        return switch (which) {
            case X -> Steps.x(shot.getAsInt());
            case Y -> Steps.y(shot.getAsInt());
            default -> Steps.current(shot.getAsInt());
        };
    }

    private static Quantity quantity(int which) {
        return which == CURRENT ? Quantity.CURRENT : Quantity.LENGTH;
    }

    /** Shows what the draft holds of the shot. */
    void follow() {
        following = true;
        for (int i = 0; i < fields.size(); i++) {
            String text = draft.text(name(i));
            if (!text.equals(fields.get(i).getText())) {
                fields.get(i).setText(text);
                fields.get(i).end();
            }
        }
        following = false;
    }

    TextField field(int which) {
        return fields.get(which);
    }

    boolean isEmpty(int which) {
        return draft.text(name(which)).isBlank();
    }

    /** Whether the current is asked for, and not there yet. */
    boolean lacksCurrent() {
        return fields.get(CURRENT).isVisible() && isEmpty(CURRENT);
    }

    private Optional<Double> read(int which) throws UnreadableException {
        Draft.Text typed = draft.typed(name(which));
        return typed.text().isBlank()
                ? Optional.empty()
                : Optional.of(
                        Typed.read(typed.text(), quantity(which), typed.units()).base());
    }

    /** What is wrong with a field; empty where nothing is. */
    Optional<String> problem(int which) {
        try {
            read(which);
            return Optional.empty();
        } catch (UnreadableException wrong) {
            return Optional.of(wrong.getMessage());
        }
    }

    /** The first thing that is wrong, as a sentence; empty where nothing is. */
    String problem() {
        return IntStream.range(0, fields.size())
                .boxed()
                .flatMap(i -> problem(i).stream())
                .findFirst()
                .map(Words::sentence)
                .orElse("");
    }

    /** The mark, once both of its coordinates can be read. */
    Optional<Spot> spot() {
        try {
            Optional<Double> x = read(X);
            Optional<Double> y = read(Y);
            return x.isPresent() && y.isPresent() ? Optional.of(new Spot(x.get(), y.get())) : Optional.empty();
        } catch (UnreadableException wrong) {
            return Optional.empty();
        }
    }

    /** Puts a mark that was pointed at, to a tenth of a millimetre; dragging it is one step for undo. */
    void put(Spot spot) {
        UnitChoice units = place.units();
        Map<String, Draft.Text> both = new HashMap<>();
        both.put(name(X), new Draft.Text(Amount.mm(spot.xMm(), 1).number(units), units));
        both.put(name(Y), new Draft.Text(Amount.mm(spot.yMm(), 1).number(units), units));
        draft.typeTogether(both);
    }

    /**
     * Shows the fields, or hides them where no mark is read.
     *
     * @param reading whether a mark is read now
     * @param real whether it is a real shot, whose current the meter shows
     */
    void show(boolean reading, boolean real) {
        reads = reading;
        for (int i = 0; i < fields.size(); i++) {
            boolean shown = reading && (i != CURRENT || meter && real);
            TextField field = fields.get(i);
            field.setDisable(!reading);
            field.setVisible(shown);
            names.get(i).setVisible(shown);
            field.setPromptText(quantity(i).unit(place.units()));
            field.getStyleClass().remove("wrong");
            if (problem(i).isPresent()) {
                field.getStyleClass().add("wrong");
            }
        }
        follow();
    }

    /** Lays them beside each other over a width. */
    void layOut(double x, double y, double width) {
        int shown = meter ? 3 : 2;
        double each = (width - 8 * (shown - 1)) / shown;
        for (int i = 0; i < fields.size(); i++) {
            names.get(i).resizeRelocate(x + i * (each + 8), y, each, 18);
            fields.get(i).resizeRelocate(x + i * (each + 8), y + 18, each, HEIGHT);
        }
    }
}
