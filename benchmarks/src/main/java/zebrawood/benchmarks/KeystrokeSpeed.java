package zebrawood.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Map;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;

/** Keystrokes on every bench of the demo, in a process of its own that is started as the window is. */
final class KeystrokeSpeed {

    private KeystrokeSpeed() {}

    static boolean run(String[] words) throws IOException, InterruptedException {
        Path shop = Files.createTempDirectory("zebrawood-keys");
        try {
            DemoShop.make(shop, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "bench");
            try (Child child = Child.window(
                    Map.of(),
                    KeystrokeWindow.class.getName(),
                    shop.toString(),
                    String.valueOf(Words.number(words, "--keys", 300)))) {
                child.out().lines().forEach(System.out::println);
                int status = child.end();
                child.errors().lines().limit(5).forEach(System.out::println);
                return status == 0;
            }
        } finally {
            Words.delete(shop);
        }
    }
}
