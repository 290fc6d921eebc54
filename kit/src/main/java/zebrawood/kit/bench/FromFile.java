package zebrawood.kit.bench;

import java.io.File;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Tooltip;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Workplace;

/** Takes readings out of a file that is asked for, for who does not drop it on the bench. */
public final class FromFile {

    private FromFile() {}

    /**
     * Something to press.
     *
     * @param words on it
     * @param says what is taken out of which file
     * @param take takes it; why not, where it cannot
     */
    public static Hyperlink link(
            Workplace workplace, String id, String words, String says, Function<File, Optional<String>> take) {
        Hyperlink link = new Hyperlink(words);
        link.setId(id);
        link.setTooltip(new Tooltip(says));
        link.setOnAction(event -> FileDialogs.toOpen(link.getScene()).stream()
                .findFirst()
                .flatMap(file -> take.apply(file.toFile()))
                .ifPresent(why -> workplace.tell(Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".")));
        return link;
    }
}
