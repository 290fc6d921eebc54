package zebrawood.kit.bench;

import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Tooltip;
import zebrawood.core.pattern.Drawings;
import zebrawood.core.pattern.Pattern;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Workplace;

/** Saves the marks that a stop burns as a drawing at true size, for the shop's own job software. */
public final class ToBurn {

    private ToBurn() {}

    /**
     * Something to press.
     *
     * @param what is saved: {@code the squares}
     * @param name of the file that is offered, without its ending
     */
    public static Node link(Workplace workplace, String what, String name, Supplier<Pattern> pattern) {
        Hyperlink save = new Hyperlink("Save " + what + " to burn");
        save.setId("to-burn");
        save.setTooltip(new Tooltip("As SVG, or as DXF where the name ends so; at true size, in black."));
        save.setOnAction(event -> FileDialogs.toSave(save.getScene(), name + ".svg")
                .ifPresent(file -> {
                    boolean dxf = file.toString().toLowerCase(Locale.ROOT).endsWith(".dxf");
                    Pattern made = pattern.get();
                    workplace.save(
                            file,
                            dxf ? Drawings.dxf(made) : Drawings.svg(made),
                            Character.toUpperCase(what.charAt(0)) + what.substring(1));
                }));
        return save;
    }
}
