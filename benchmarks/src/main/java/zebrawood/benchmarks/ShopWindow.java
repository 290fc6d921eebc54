package zebrawood.benchmarks;

import java.nio.file.Path;
import zebrawood.desktop.command.FirstFrame;

/** The program's own start on a shop, told on standard output once the frame is drawn that shows its machines. */
public final class ShopWindow {

    private ShopWindow() {}

    public static void main(String[] arguments) throws InterruptedException {
        FirstFrame.of(
                Path.of(arguments[0]),
                window -> BareWindow.whenDrawn(window.shell().scene(), () -> {
                    System.out.println("DRAWN");
                    System.out.flush();
                    BareWindow.end();
                }));
    }
}
