package zebrawood.desktop.shell;

import java.util.List;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.procedure.Help;
import zebrawood.kit.view.Words;

/** What F1 says: what is needed, how to measure, why, cautions; and the keys. */
final class HelpSheet extends VBox {

    private static final String KEYS =
            "Enter next field   Ctrl+Enter record   Ctrl+Z, Ctrl+Y undo, redo   Ctrl+K jump   Ctrl+E something happened"
                    + "   Ctrl+R work result   Ctrl+D what was different   Ctrl+F search   Ctrl+1 Shop   Ctrl+2 "
                    + "Route   Ctrl+3 Logbook   F9 Eyewear view   F1 this help   Escape closes";

    HelpSheet(String title, Help help, String caution, Runnable close) {
        getStyleClass().add("over-sheet");
        setMaxSize(620, 600);
        VBox text = new VBox(8);
        text.setFillWidth(true);
        section(text, "You need", help.needed());
        section(text, "How", numbered(help.how()));
        section(text, "Why", List.of(help.why()));
        section(text, "Cautions", help.cautions());
        text.getChildren().add(Words.wrapped(caution, "quiet"));
        section(text, "Keys", List.of(KEYS));
        ScrollPane scroll = new ScrollPane(text);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Button done = new Button("Back to work");
        done.getStyleClass().setAll("button", "strong");
        done.setOnAction(event -> close.run());
        getChildren().addAll(Words.label(title, "title"), scroll, done);
        Platform.runLater(done::requestFocus);
    }

    private static List<String> numbered(List<String> steps) {
        return IntStream.range(0, steps.size())
                .mapToObj(i -> (i + 1) + "  " + steps.get(i))
                .toList();
    }

    private static void section(VBox text, String title, List<String> lines) {
        text.getChildren().add(Words.label(title, "head"));
        lines.forEach(line -> text.getChildren().add(Words.wrapped(line, "by-hand")));
    }
}
