package zebrawood.desktop.command;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import zebrawood.desktop.shots.Picture;

/** Opens the window on a fresh copy of the demo shop. */
@Command(name = "demo", description = "Opens a fresh copy of the demo shop: six machines, two years of entries.")
final class Demo implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    @Option(names = "--shot", paramLabel = "FILE", description = "save a picture of the window as PNG, and end")
    private Path shot;

    @Option(names = "--make-only", description = "make the shop and end, without a window")
    private boolean makeOnly;

    /** The folder with the fresh shop: the one named, else the first of the demo's own in which nobody recorded. */
    private Path made() {
        return data.chosen()
                .map(folder -> DemoFolder.in(folder, today))
                .orElseGet(() -> DemoFolder.fresh(DemoFolder.beside(data.folder()), today));
    }

    @Override
    public Integer call() throws InterruptedException {
        Path folder = made();
        if (makeOnly) {
            System.out.println("The demo shop stands in " + folder + ".");
            return Exit.DONE;
        }
        boolean[] saved = {true};
        Open.window(folder, today, (window, desk) -> {
            if (shot != null) {
                Picture.whenStill(window.shell().scene(), desk::isIdle, () -> {
                    saved[0] = Picture.save(window.shell().scene(), shot);
                    window.close();
                    window.hide();
                });
            }
        });
        if (shot != null) {
            System.out.println(
                    saved[0]
                            ? "The picture stands in " + shot + "."
                            : "The picture could not be saved in " + shot + ".");
        }
        return saved[0] ? Exit.DONE : Exit.REFUSED;
    }
}
