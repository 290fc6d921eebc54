package zebrawood.desktop.shell;

import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.recording.InitialsField;
import zebrawood.kit.view.Words;

/** Asks who is working, once a sitting. */
final class InitialsSheet extends VBox {

    InitialsSheet(Desk desk, Runnable close) {
        getStyleClass().add("over-sheet");
        setMaxSize(340, USE_PREF_SIZE);
        TextField who = new TextField(desk.initials().get());
        InitialsField.limit(who);
        who.setId("who");
        who.setPromptText("initials");
        Button done = new Button("That is me");
        done.getStyleClass().setAll("button", "strong");
        Runnable take = () -> {
            desk.initials().set(who.getText().strip().toUpperCase(Locale.ROOT));
            close.run();
        };
        who.setOnAction(event -> take.run());
        done.setOnAction(event -> take.run());
        getChildren().addAll(Words.label("Who is working?", "title"), who, done);
    }
}
