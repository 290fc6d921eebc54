package zebrawood.desktop.command;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;
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

    @Override
    public Integer call() throws InterruptedException {
        Path folder = data.chosen().orElseGet(() -> data.folder().resolveSibling("zebrawood-demo"));
        DemoShop.make(folder, Catalogue.procedures(), today.today(), Version.TEXT);
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
