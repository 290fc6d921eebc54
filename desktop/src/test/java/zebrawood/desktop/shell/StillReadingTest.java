package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.CompletableFuture;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.benches.Catalogue;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.shop.ShopPage;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;

/** A logbook on a slow disk: the window is there before it, answers at once, and is filled when it comes. */
class StillReadingTest {

    @TempDir
    private Path folder;

    @ParameterizedTest
    @EnumSource(
            value = KeyCode.class,
            names = {"DIGIT2", "DIGIT3", "E", "R", "D", "F"})
    void aKeyThatNeedsTheLogbookSaysSoAndDoesNotWait(KeyCode key) {
        try (Seat seat = new Seat(folder, new CompletableFuture<>())) {
            seat.until("it says that it reads", () -> seat.says("Reading the logbook"));
            seat.press(KeyCode.CONTROL, key);
            seat.until("the key is answered", () -> seat.says("The logbook is still being read"));
            assertThat(seat.shell().page()).isInstanceOf(ShopPage.class);
        }
    }

    @Test
    void itIsFilledWhenTheLogbookIsThere() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        CompletableFuture<Logbook> opening = new CompletableFuture<>();
        try (Seat seat = new Seat(folder, opening)) {
            seat.until("it says that it reads", () -> seat.says("Reading the logbook"));
            seat.press(KeyCode.CONTROL, KeyCode.K);
            seat.until("one can look for what there is without it", () -> seat.focused("jump-text"));
            seat.press(KeyCode.ESCAPE);
            opening.complete(Logbook.open(folder, Catalogue.procedures()));
            seat.until(
                    "the machines stand there",
                    () -> seat.has("machine-wren") && seat.says("machines are waiting for you"));
            seat.until("and the most urgent line has the focus", () -> seat.focused("next-wren-controller-settings"));
        }
    }

    @Test
    void oneThatCannotBeOpenedIsTold() {
        CompletableFuture<Logbook> opening = new CompletableFuture<>();
        try (Seat seat = new Seat(folder, opening)) {
            seat.until("it says that it reads", () -> seat.says("Reading the logbook"));
            opening.completeExceptionally(new LogbookException("the disk went away"));
            seat.until("why is told", () -> seat.says("The disk went away."));
        }
    }
}
