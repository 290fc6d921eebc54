package zebrawood.kit.view;

import java.util.Optional;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;

/** Text on the system's clipboard. */
public final class Clip {

    private Clip() {}

    /** The text on the clipboard, where there is one. */
    public static Optional<String> text() {
        return Optional.ofNullable(Clipboard.getSystemClipboard().getString());
    }

    /** Puts a text on the clipboard. */
    public static void put(String text) {
        ClipboardContent content = new ClipboardContent();
        content.putString(text);
        Clipboard.getSystemClipboard().setContent(content);
    }
}
