package zebrawood.desktop.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.shots.Tour;

/** Makes the pictures of the README anew. */
@Command(name = "shots", description = "Goes through every main view of the demo shop and saves a picture of each.")
final class Shots implements Callable<Integer> {

    @Parameters(
            paramLabel = "DIR",
            arity = "0..1",
            defaultValue = "docs/screenshots",
            description = "where the pictures go; docs/screenshots where not given")
    private Path folder;

    @Option(names = "--size", paramLabel = "WxH", defaultValue = "1280x800", description = "size of the window")
    private String size;

    @Override
    public Integer call() throws IOException, InterruptedException {
        TodayOption today = TodayOption.of(LocalDate.of(2031, 3, 14));
        Path shop = Files.createTempDirectory("zebrawood-shots");
        DemoShop.make(shop, Catalogue.procedures(), today.today(), Version.TEXT);
        String[] sides = size.split("x");
        Files.writeString(
                shop.resolve("window.properties"),
                "shop=" + DemoShop.NAME + "\nwidth=" + sides[0] + "\nheight=" + sides[1] + "\n");
        Open.window(shop, today, (window, desk) -> {
            desk.initials().set("RV");
            new Tour(window, desk, folder, () -> {
                        window.close();
                        window.hide();
                    })
                    .run();
        });
        try (Stream<Path> files = Files.walk(shop)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        }
        System.out.println("The pictures stand in " + folder + ".");
        return Exit.DONE;
    }
}
