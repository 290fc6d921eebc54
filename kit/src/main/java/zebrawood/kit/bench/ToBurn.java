package zebrawood.kit.bench;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Tooltip;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Plate;
import zebrawood.core.motion.MotionText;
import zebrawood.core.motion.Setting;
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
     * @param setting with what motion text burns them; empty where that is not known yet
     */
    public static Node link(
            Workplace workplace,
            String what,
            String name,
            Supplier<Pattern> pattern,
            Function<Pattern, Optional<Setting>> setting) {
        Hyperlink save = new Hyperlink("Save " + what + " to burn");
        save.setId("to-burn");
        save.setTooltip(
                new Tooltip(
                        "As SVG; as DXF or as motion text where the name ends in .dxf or .nc. You send it, never this program."));
        save.setOnAction(event -> FileDialogs.toSave(save.getScene(), name + ".svg")
                .ifPresent(file -> {
                    Pattern made = pattern.get();
                    text(file.toString().toLowerCase(Locale.ROOT), made, setting.apply(made))
                            .ifPresentOrElse(
                                    text -> workplace.save(
                                            file, text, Character.toUpperCase(what.charAt(0)) + what.substring(1)),
                                    () -> workplace.tell("Motion text needs power and speed: type S and speed under "
                                            + "the drawing, and full power on the plate."));
                }));
        return save;
    }

    private static Optional<String> text(String file, Pattern pattern, Optional<Setting> setting) {
        if (file.endsWith(".nc")) {
            return setting.map(known -> MotionText.of(pattern, known));
        }
        return Optional.of(file.endsWith(".dxf") ? Drawings.dxf(pattern) : Drawings.svg(pattern));
    }

    /**
     * With what a pattern is burned in the middle of the bed.
     *
     * @param powerS as typed
     * @param speedMmMin as typed
     */
    public static Optional<Setting> inTheMiddle(
            Pattern pattern, Plate plate, Optional<Double> powerS, Optional<Double> speedMmMin) {
        OptionalDouble full = plate.control()
                .flatMap(Plate.Control::need)
                .map(ControllerNeed::maxS)
                .orElse(OptionalDouble.empty());
        if (full.isEmpty() || plate.bed().isEmpty() || powerS.isEmpty() || speedMmMin.isEmpty()) {
            return Optional.empty();
        }
        Plate.Bed bed = plate.bed().get();
        boolean possible = powerS.get() > 0
                && powerS.get() <= full.getAsDouble()
                && speedMmMin.get() > 0
                && pattern.widthMm() <= bed.xMm()
                && pattern.heightMm() <= bed.yMm();
        return possible
                ? Optional.of(new Setting(
                        powerS.get(),
                        full.getAsDouble(),
                        speedMmMin.get(),
                        (bed.xMm() - pattern.widthMm()) / 2,
                        (bed.yMm() - pattern.heightMm()) / 2,
                        bed.xMm(),
                        bed.yMm()))
                : Optional.empty();
    }
}
