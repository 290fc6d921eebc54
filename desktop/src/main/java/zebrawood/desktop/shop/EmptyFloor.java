package zebrawood.desktop.shop;

import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.control.Hyperlink;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.desk.Beginning;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.machine.MachineFigure;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableDrawing;
import zebrawood.kit.view.Words;

/** A shop without a machine: the sorts of machines that there are stand on the floor, and one of them is begun. */
final class EmptyFloor extends VBox {

    private static final double FLOOR = 190;
    private static final double HEIGHT = FLOOR + 150;
    private static final double WIDE = 186;
    private static final double NARROW = 144;

    private final Navigator navigator;
    private final Desk desk;
    private final FlowPane stands = new FlowPane(0, 12);

    EmptyFloor(Desk desk, Navigator navigator, double room) {
        super(12);
        this.desk = desk;
        this.navigator = navigator;
        double width = room > 6 * WIDE + 56 ? WIDE : NARROW;
        for (Beginning each : Beginning.values()) {
            stands.getChildren().add(stand(each, width));
        }
        Hyperlink bundle = new Hyperlink("Open a bundle that another shop exported");
        bundle.setId("open-bundle");
        bundle.setOnAction(event -> navigator.importBundle());
        Hyperlink demo = new Hyperlink("Look at the demo shop: six machines, two years of entries");
        demo.setId("open-demo");
        demo.setOnAction(event -> navigator.demo());
        getChildren()
                .addAll(
                        Words.wrapped("Press the machine that stands here first, or its number.", "act"),
                        Words.wrapped(
                                "Its name is enough to begin. What else a stop needs it asks for itself.", "by-hand"),
                        stands,
                        new FlowPane(24, 6, bundle, demo));
        setPadding(new Insets(4, 0, 16, 0));
    }

    private PressableDrawing stand(Beginning machine, double width) {
        DrawingSurface drawing = new DrawingSurface(desk.look());
        drawing.show((pen, wide, high) -> draw(pen, wide, machine), "");
        drawing.setMinSize(width - 4, HEIGHT);
        drawing.setMaxSize(width - 4, HEIGHT);
        PressableDrawing stand = new PressableDrawing(
                "begin-" + (machine.ordinal() + 1),
                drawing,
                (machine.ordinal() + 1) + ", " + machine.title() + ". " + machine.line(),
                () -> navigator.begin(machine),
                "flat");
        stand.setMinWidth(width);
        stand.setMaxWidth(width);
        return stand;
    }

    private static void draw(Pen pen, double width, Beginning machine) {
        double scale = Math.min(0.105, (width - 8) / 1900);
        pen.line(0, FLOOR, width, FLOOR, Stroke.of(Tone.INK, 1.5));
        MachineFigure.draw(pen, width / 2, FLOOR, machine.usual(), scale);
        double y = FLOOR + 34;
        pen.text(width / 2, y, String.valueOf(machine.ordinal() + 1), Lettering.TITLE, Tone.WALNUT, Anchor.MIDDLE);
        y += 26;
        for (String line : pen.wrapped(machine.title(), width - 6, Lettering.TEXT_BOLD)) {
            pen.text(width / 2, y, line, Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
            y += 18;
        }
        for (String line : pen.wrapped(machine.line(), width - 12, Lettering.SMALL)) {
            pen.text(width / 2, y, line, Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
            y += 16;
        }
    }

    /** Puts the focus on the first machine. */
    void begin() {
        stands.getChildren().get(0).requestFocus();
    }

    /** A digit begins that machine. */
    void digit(KeyEvent event) {
        List<Beginning> all = List.of(Beginning.values());
        String text = event.getText();
        if (text.length() == 1 && text.charAt(0) >= '1' && text.charAt(0) < '1' + all.size()) {
            navigator.begin(all.get(text.charAt(0) - '1'));
            event.consume();
        }
    }
}
