package zebrawood.desktop.command;

import java.nio.file.Path;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.logbook.store.LogbookException;

/** Where a demo shop stands: beside one's own, and never over one in which somebody recorded. */
final class DemoFolder {

    /** demo shops in which somebody recorded: more are not looked through */
    private static final int MOST_KEPT = 20;

    private DemoFolder() {}

    /** The demo's own folder beside a shop. */
    static Path beside(Path shop) {
        return shop.toAbsolutePath().resolveSibling("zebrawood-demo");
    }

    /**
     * Makes a fresh demo shop, in the first of the demo's folders in which nobody recorded.
     *
     * @throws LogbookException where there are too many of those
     */
    static Path fresh(Path first, TodayOption today) {
        for (int n = 1; ; n++) {
            Path folder = n == 1 ? first : first.resolveSibling(first.getFileName() + "-" + n);
            try {
                return in(folder, today);
            } catch (LogbookException kept) {
                if (n == MOST_KEPT) {
                    throw kept;
                }
            }
        }
    }

    /** Makes a fresh demo shop in this folder and no other. */
    static Path in(Path folder, TodayOption today) {
        DemoShop.make(folder, Catalogue.procedures(), today.today(), Version.TEXT);
        return folder;
    }
}
