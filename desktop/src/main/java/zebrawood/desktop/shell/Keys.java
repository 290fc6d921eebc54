package zebrawood.desktop.shell;

import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.page.Page;
import zebrawood.kit.view.Pressable;

/** The window's keys. */
final class Keys {

    private final Shell shell;
    private final Commands commands;
    private boolean enterHeld;

    Keys(Shell shell, Commands commands) {
        this.shell = shell;
        this.commands = commands;
    }

    void listen() {
        Scene scene = shell.scene();
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, event -> enterHeld &= event.getCode() != KeyCode.ENTER);
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER) {
            // a key held down repeats: it must not answer one bar after another
            if (enterHeld) {
                event.consume();
                return;
            }
            enterHeld = true;
        }
        if (event.getCode() == KeyCode.ESCAPE && shell.isCovered()) {
            take(event, shell::closeOverlay);
        } else if (event.getCode() == KeyCode.F1) {
            take(event, commands::help);
        } else if (event.getCode() == KeyCode.F9) {
            take(event, commands::eyewear);
        } else if (event.getCode() == KeyCode.ENTER
                && !event.isControlDown()
                && shell.scene().getFocusOwner() instanceof ButtonBase button) {
            take(event, button::fire);
        } else if (event.getCode() == KeyCode.ENTER
                && !event.isControlDown()
                && shell.scene().getFocusOwner() instanceof Pressable pressed) {
            take(event, pressed::fire);
        } else if (event.isShortcutDown() && !shell.isCovered()) {
            shortcut(event);
        }
    }

    private void shortcut(KeyEvent event) {
        boolean typing = shell.scene().getFocusOwner() instanceof TextInputControl;
        switch (event.getCode()) {
            case K -> take(event, commands::jump);
            case DIGIT1, NUMPAD1 -> take(event, shell::shop);
            case DIGIT2, NUMPAD2 -> take(event, shell::route);
            case DIGIT3, NUMPAD3 -> take(event, shell::logbookOfMachine);
            case ENTER -> page(event, Page::record);
            case Z -> page(event, event.isShiftDown() ? Page::redo : Page::undo);
            case Y -> page(event, Page::redo);
            case P -> take(event, commands::certificate);
            case E -> take(event, commands::event);
            case R -> take(event, commands::work);
            case B -> take(event, commands::start);
            case D -> take(event, commands::difference);
            case F -> take(event, commands::search);
            case V -> {
                if (!typing) {
                    page(event, Page::paste);
                }
            }
            case C -> {
                if (!typing) {
                    page(event, Page::copy);
                }
            }
            default -> {}
        }
    }

    private void page(KeyEvent event, Consumer<Page> deed) {
        take(event, () -> {
            FramedPage page = shell.page();
            if (page != null) {
                deed.accept(page);
            }
        });
    }

    private static void take(KeyEvent event, Runnable action) {
        event.consume();
        action.run();
    }
}
