package zebrawood.desktop.command;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.function.Consumer;
import zebrawood.desktop.shell.Window;

/** Opens the window as the commands do, for whoever measures how long that takes. */
public final class FirstFrame {

    private FirstFrame() {}

    /** @param filled runs on the interface thread when the Shop page shows its machines */
    public static void of(Path folder, Consumer<Window> filled) throws InterruptedException {
        Open.window(folder, TodayOption.of(LocalDate.of(2031, 3, 14)), (window, desk) -> filled.accept(window));
    }
}
