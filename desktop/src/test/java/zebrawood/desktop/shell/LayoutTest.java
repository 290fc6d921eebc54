package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.procedure.Card;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopStatus;
import zebrawood.kit.theme.Ground;

/**
 * Every stop of the demo in the real window: nothing to press or to type in stands on another or outside, and no word
 * is cut off.
 */
class LayoutTest {

    private static final double TOUCH = 2;

    /**
     * Whether a window and what it shows are so large; where they are not, it is asked for again, as a size that was
     * asked for earlier may come late.
     */
    private static boolean sized(Window window, double width, double height) {
        return Seat.onScreen(() -> {
            boolean so = window.getWidth() == width
                    && window.getHeight() == height
                    && window.getScene().getWidth() == width
                    && window.getScene().getHeight() == height;
            if (!so) {
                ((Stage) window).setMinWidth(0);
                ((Stage) window).setMinHeight(0);
                window.setWidth(width);
                window.setHeight(height);
            }
            return so;
        });
    }

    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({"1280, 800, LIGHT", "1024, 700, LIGHT", "1280, 800, EYEWEAR", "853, 533, LIGHT"})
    void whatIsPressedAndTypedHasItsOwnPlaceAndWordsAreWhole(double width, double height, Ground ground) {
        try (Seat seat = Seat.atDemo(folder)) {
            Seat.onScreen(() -> {
                seat.desk.ground().set(ground);
                return null;
            });
            seat.stop("Wren", "site-climate").stop("Wren", "site-access");
            List<String> wrong = new ArrayList<>();
            int seen = 0;
            for (MachineStatus machine :
                    Seat.onScreen(() -> seat.desk.machines().get())) {
                for (StopStatus stop : machine.stops()) {
                    String where = machine.plate().name() + ", " + stop.card().title();
                    seat.stop(machine.plate().name(), stop.card().id());
                    wrong.addAll(look(seat, where, width, height));
                    if (height >= 800 && bounds(seat.find(last(machine))).getHeight() < 30) {
                        wrong.add(where + ": the Route has to be scrolled");
                    }
                    if (seat.has("again")) {
                        seat.fire("again");
                        wrong.addAll(look(seat, where + ", measuring", width, height));
                    }
                    seen++;
                }
            }
            assertThat(seen).isGreaterThan(40);
            assertThat(wrong).isEmpty();
        }
    }

    /** The line of its last phase. */
    private static String last(MachineStatus machine) {
        Card card = machine.stops().get(machine.stops().size() - 1).card();
        return "phase-" + card.phase().name().toLowerCase(Locale.ROOT);
    }

    private static List<String> look(Seat seat, String where, double width, double height) {
        seat.until("the window is so large", () -> sized(seat.shell().scene().getWindow(), width, height));
        // what was put off until later, as a column that grows narrow, is done first
        seat.until("all is done", seat.desk::isIdle);
        for (int rounds = 0; rounds < 3; rounds++) {
            // what one round of the interface thread put off until the next
            Seat.onScreen(() -> {
                seat.shell().scene().getRoot().applyCss();
                seat.shell().scene().getRoot().layout();
                return null;
            });
        }
        return Seat.onScreen(() -> {
            Parent root = seat.shell().scene().getRoot();
            root.applyCss();
            root.layout();
            List<Node> controls = new ArrayList<>();
            List<Text> words = new ArrayList<>();
            List<String> wrong = new ArrayList<>();
            gather(root, controls, words, wrong, where);
            // what is scrolled out of sight is in nobody's way
            controls.removeIf(control -> bounds(control).getHeight() < TOUCH);
            double right = seat.shell().scene().getWidth();
            for (int i = 0; i < controls.size(); i++) {
                Bounds one = bounds(controls.get(i));
                if (one.getMinX() < -TOUCH || one.getMaxX() > right + TOUCH) {
                    wrong.add(where + ": outside: " + name(controls.get(i)));
                }
                for (Node other : controls.subList(i + 1, controls.size())) {
                    if (!areApart(one, bounds(other))) {
                        wrong.add(where + ": on each other: " + name(controls.get(i)) + " / " + name(other));
                    }
                }
                for (Text label : words) {
                    Bounds two = bounds(label);
                    if (two.getHeight() >= TOUCH && !areApart(one, two)) {
                        wrong.add(where + ": on a label: " + name(controls.get(i)) + " / " + label.getText());
                    }
                }
            }
            return wrong;
        });
    }

    private static boolean areApart(Bounds one, Bounds two) {
        return one.getMaxX() <= two.getMinX() + TOUCH
                || two.getMaxX() <= one.getMinX() + TOUCH
                || one.getMaxY() <= two.getMinY() + TOUCH
                || two.getMaxY() <= one.getMinY() + TOUCH;
    }

    private static void gather(Node node, List<Node> controls, List<Text> words, List<String> wrong, String where) {
        if (!node.isVisible()) {
            return;
        }
        if ((node instanceof Label || node instanceof ButtonBase)
                && node instanceof Labeled label
                && (label instanceof Label || label.getGraphic() == null)
                && node.lookup(".text") instanceof Text text
                && label.getText() != null
                && !label.getText().isBlank()
                && !text.getText().replace("\n", "").equals(label.getText().replace("\n", ""))) {
            wrong.add(where + ": cut off: " + label.getText());
        }
        if (node instanceof Label label
                && node.lookup(".text") instanceof Text text
                && !label.getText().isBlank()) {
            words.add(text);
        }
        if (node instanceof TextField || node instanceof ButtonBase || node instanceof ComboBox<?>) {
            controls.add(node);
        }
        if (node instanceof Parent parent
                && !(node instanceof TextField)
                && !(node instanceof ListView<?>)
                && !(node instanceof ScrollBar)
                && !(node instanceof ComboBox<?>)) {
            // what stands on a button is a part of it
            List<Text> beside = node instanceof ButtonBase ? new ArrayList<>() : words;
            parent.getChildrenUnmodifiable().forEach(child -> gather(child, controls, beside, wrong, where));
        }
    }

    /** Where it is seen: what scrolls is seen only within what it scrolls in. */
    private static Bounds bounds(Node node) {
        Bounds seen = node.localToScene(node.getLayoutBounds());
        for (Parent above = node.getParent(); above != null; above = above.getParent()) {
            if (above instanceof ScrollPane scroll) {
                Bounds window = scroll.localToScene(scroll.getLayoutBounds());
                double top = Math.max(seen.getMinY(), window.getMinY());
                seen = new BoundingBox(
                        seen.getMinX(),
                        top,
                        seen.getWidth(),
                        Math.max(0, Math.min(seen.getMaxY(), window.getMaxY()) - top));
            }
        }
        return seen;
    }

    private static String name(Node node) {
        return node.getClass().getSimpleName() + " " + node.getId();
    }
}
