package zebrawood.kit.view;

import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Lines for a person to send or to type elsewhere: nothing of them is ever sent from here. */
public final class Ticket {

    private Ticket() {}

    /**
     * One on the Slip.
     *
     * @param recorded whether what was found is on record: only then is it copied, saved or printed
     * @param id ends the ids of its parts
     */
    public static Node of(Workplace workplace, String title, List<String> lines, boolean recorded, String id) {
        String text = String.join("\n", lines) + "\n";
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(2, Words.label(title, "bold"), gap);
        head.setAlignment(Pos.CENTER_LEFT);
        Label ticket = Words.wrapped(String.join("\n", lines), "ticket");
        ticket.setId("ticket-" + id);
        VBox box = new VBox(4, head, ticket);
        box.getStyleClass().add("ticket-box");
        if (recorded) {
            box.getChildren()
                    .add(new HBox(
                            10,
                            link("Copy", "copy-" + id, () -> Clip.put(text)),
                            link("Save", "save-" + id, () -> save(box, workplace, text, title)),
                            link("Print", "print-" + id, () -> Printing.print(box))));
        } else {
            head.getChildren().add(Words.label("copy after Record", "caption"));
        }
        return box;
    }

    private static Hyperlink link(String word, String id, Runnable action) {
        Hyperlink link = new Hyperlink(word);
        link.setId(id);
        link.setOnAction(event -> action.run());
        return link;
    }

    private static void save(Node box, Workplace workplace, String text, String title) {
        FileDialogs.toSave(box.getScene(), title.toLowerCase(Locale.ROOT).replace(' ', '-') + ".txt")
                .ifPresent(file -> workplace.save(file, text, "The ticket"));
    }
}
