package zebrawood.kit.bench;

import java.util.Locale;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Tooltip;
import zebrawood.core.motion.MotionText;
import zebrawood.core.motion.Setting;
import zebrawood.core.pattern.Drawings;
import zebrawood.core.pattern.Pattern;
import zebrawood.core.reading.ReadingException;
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
     * @param setting with what motion text burns them; refuses with what is not known yet
     */
    public static Node link(
            Workplace workplace,
            String what,
            String name,
            Supplier<Pattern> pattern,
            Function<Pattern, Setting> setting) {
        Hyperlink save = new Hyperlink("Save " + what + " to burn");
        save.setId("to-burn");
        save.setTooltip(
                new Tooltip(
                        "As SVG; as DXF or as motion text where the name ends in .dxf or .nc. You send it, never this program."));
        save.setOnAction(event -> FileDialogs.toSave(save.getScene(), name + ".svg")
                .ifPresent(file -> {
                    try {
                        workplace.save(
                                file,
                                text(file.toString().toLowerCase(Locale.ROOT), pattern.get(), setting),
                                Character.toUpperCase(what.charAt(0)) + what.substring(1));
                    } catch (ReadingException why) {
                        workplace.tell("Motion text is not saved yet: "
                                + why.refusals().get(0).why() + ".");
                    }
                }));
        return save;
    }

    /**
     * Something to press that saves a drawing to be printed at true size.
     *
     * @param what is saved: {@code a scale}
     * @param name of the file that is offered, without its ending
     * @param pattern refuses with what is not known yet
     */
    public static Node toPrint(Workplace workplace, String what, String name, Supplier<Pattern> pattern) {
        Hyperlink save = new Hyperlink("Save " + what + " to print");
        save.setId("to-print");
        save.setTooltip(new Tooltip("As SVG, or as DXF where the name ends in .dxf. Print it at 100 %, and check with a"
                + " rule that 100 mm are 100 mm."));
        save.setOnAction(event -> {
            Pattern drawn;
            try {
                drawn = pattern.get();
            } catch (ReadingException why) {
                workplace.tell("There is nothing to print yet: "
                        + why.refusals().get(0).why() + ".");
                return;
            }
            FileDialogs.toSave(save.getScene(), name + ".svg")
                    .ifPresent(file -> workplace.save(
                            file,
                            file.toString().toLowerCase(Locale.ROOT).endsWith(".dxf")
                                    ? Drawings.dxf(drawn)
                                    : Drawings.svg(drawn),
                            Character.toUpperCase(what.charAt(0)) + what.substring(1)));
        });
        return save;
    }

    private static String text(String file, Pattern pattern, Function<Pattern, Setting> setting) {
        if (file.endsWith(".nc")) {
            return MotionText.of(pattern, setting.apply(pattern));
        }
        return file.endsWith(".dxf") ? Drawings.dxf(pattern) : Drawings.svg(pattern);
    }
}
