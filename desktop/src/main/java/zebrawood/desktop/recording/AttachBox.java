package zebrawood.desktop.recording;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.NewAttachment;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Thumbnail;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.FileToAttach;
import zebrawood.logbook.store.LogbookException;

/** Photos and files that go along with an entry: dropped here or chosen, shown small, taken off again. */
public final class AttachBox extends VBox {

    private final Desk desk;
    private final List<NewAttachment> files = new ArrayList<>();
    private final FlowPane tiles = new FlowPane(8, 8);
    private final Label told = Words.wrapped("", "problem");

    public AttachBox(Desk desk) {
        this(desk, new Button("Add a photo or file"));
        tiles.getChildren().get(0).getStyleClass().setAll("button", "outline", "compact");
    }

    /** The same where it must not take room: one line until something is taken along. */
    public static AttachBox small(Desk desk) {
        return new AttachBox(desk, new Hyperlink("Add a photo or file"));
    }

    private AttachBox(Desk desk, ButtonBase add) {
        super(6);
        this.desk = desk;
        setId("attach-box");
        told.managedProperty().bind(told.textProperty().isNotEmpty());
        add.setId("attach");
        add.setMinWidth(Region.USE_PREF_SIZE);
        add.setOnAction(event -> choose());
        tiles.getChildren().add(add);
        getChildren().addAll(tiles, told);
        addEventHandler(DragEvent.DRAG_OVER, event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
                event.consume();
            }
        });
        addEventHandler(DragEvent.DRAG_DROPPED, event -> {
            event.getDragboard().getFiles().forEach(file -> take(file.toPath()));
            event.setDropCompleted(true);
            event.consume();
        });
    }

    private void choose() {
        FileDialogs.toOpen(getScene()).forEach(this::take);
    }

    /** Takes a file along; says in a sentence where it cannot be. */
    public void take(Path file) {
        try {
            NewAttachment taken = FileToAttach.of(file);
            told.setText("");
            files.add(taken);
            desk.apart(() -> Thumbnail.of(taken.name(), taken.content()), small -> show(taken, small));
        } catch (LogbookException refused) {
            told.setText(Words.sentence(refused.getMessage()));
        }
    }

    private void show(NewAttachment taken, Thumbnail small) {
        // a picture is looked at aside: what was said meanwhile of another file stays
        small.warning()
                .ifPresent(
                        warning -> told.setText(told.getText().isEmpty() ? warning : told.getText() + " " + warning));
        Hyperlink off = new Hyperlink("take off");
        off.setId("off." + taken.name());
        VBox tile = tile(taken.name(), small);
        off.setOnAction(event -> {
            files.remove(taken);
            tiles.getChildren().remove(tile);
            told.setText("");
        });
        tile.getChildren().add(off);
        tiles.getChildren().add(tiles.getChildren().size() - 1, tile);
    }

    /** A file as it is shown small: its picture or its ending, and its name. */
    public static VBox tile(String name, Thumbnail small) {
        Node picture;
        if (small.picture().isPresent()) {
            ImageView view = new ImageView(small.picture().get());
            view.setFitWidth(Thumbnail.SIDE);
            view.setFitHeight(Thumbnail.SIDE * 0.75);
            view.setPreserveRatio(true);
            picture = view;
        } else {
            int dot = name.lastIndexOf('.');
            Label ending =
                    Words.label(dot < 0 || name.length() - dot > 6 ? "file" : name.substring(dot + 1), "file-tile");
            ending.setMinSize(Thumbnail.SIDE * 0.75, Thumbnail.SIDE * 0.5);
            ending.setAlignment(Pos.CENTER);
            picture = ending;
        }
        Label words = Words.label(name, "caption");
        words.setMaxWidth(Thumbnail.SIDE + 20);
        VBox tile = new VBox(3, picture, words);
        tile.setAlignment(Pos.BOTTOM_LEFT);
        return tile;
    }

    public List<NewAttachment> files() {
        return List.copyOf(files);
    }

    public void clear() {
        files.clear();
        tiles.getChildren().remove(0, tiles.getChildren().size() - 1);
        told.setText("");
    }
}
