package zebrawood.desktop.logbook;

import java.awt.Desktop;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Thumbnail;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.OutputFile;

/** The files that belong to an entry: shown small, opened and saved unchanged. */
final class Attached extends VBox {

    /** bytes; a larger photo is named and saved, not shown */
    private static final long MOST_FOR_A_PICTURE = 60_000_000;

    private final Desk desk;
    private final FlowPane tiles = new FlowPane(14, 10);
    private volatile boolean left;

    Attached(Desk desk, List<Entry.Attachment> files) {
        super(8);
        this.desk = desk;
        setId("attached");
        getChildren()
                .addAll(
                        Words.label(
                                files.size() == 1 ? "One file belongs to it" : files.size() + " files belong to it",
                                "bold"),
                        tiles);
        sceneProperty().addListener((value, before, now) -> left = before != null && now == null);
        files.forEach(this::load);
    }

    private void load(Entry.Attachment file) {
        VBox place = new VBox();
        tiles.getChildren().add(place);
        desk.apart(
                () -> file.bytes() > MOST_FOR_A_PICTURE || !isWanted()
                        ? new Thumbnail(Optional.empty(), Optional.empty())
                        : Thumbnail.of(
                                file.name(),
                                () -> new ByteArrayInputStream(desk.logbook().attachment(file.sha256()))),
                small -> {
                    VBox tile = AttachBox.tile(file.name(), small);
                    tile.getChildren().add(Words.label(size(file.bytes()), "caption"));
                    small.warning().ifPresent(warning -> {
                        Label told = Words.wrapped(warning, "problem");
                        told.setMaxWidth(150);
                        tile.getChildren().add(told);
                    });
                    Hyperlink open = new Hyperlink("Open");
                    open.setId("open." + file.name());
                    open.setOnAction(event -> open(file));
                    Hyperlink save = new Hyperlink("Save as ...");
                    save.setId("save." + file.name());
                    save.setOnAction(event -> save(file));
                    tile.getChildren().add(new HBox(8, open, save));
                    place.getChildren().setAll(tile);
                });
    }

    /** Whether the entry is still looked at: of one that was left no picture is made. */
    private boolean isWanted() {
        return !left;
    }

    private static String size(long bytes) {
        return bytes < 1000
                ? bytes + " bytes"
                : bytes < 1_000_000
                        ? String.format(Locale.ROOT, "%.0f kB", bytes / 1e3)
                        : String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
    }

    private void save(Entry.Attachment file) {
        FileDialogs.toSave(getScene(), file.name())
                .ifPresent(chosen -> desk.later(
                        () -> write(file, chosen), saved -> desk.tell(file.name() + " stands in " + saved + ".")));
    }

    /** Opens a copy with whatever the system opens such files with. */
    private void open(Entry.Attachment file) {
        desk.later(
                () -> {
                    try {
                        Path copy = desk.scratch().resolve(file.name().replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_"));
                        write(file, copy);
                        if (!Desktop.isDesktopSupported()
                                || !Desktop.getDesktop().isSupported(Desktop.Action.OPEN)) {
                            throw new LogbookException("there is no program here that opens " + file.name()
                                    + "; save it and open it elsewhere");
                        }
                        Desktop.getDesktop().open(copy.toFile());
                        return copy;
                    } catch (IOException e) {
                        throw new LogbookException(
                                file.name() + " could not be opened here; save it and open it elsewhere", e);
                    }
                },
                opened -> desk.tell("A copy of " + file.name() + " is open; the logbook keeps its own."));
    }

    private Path write(Entry.Attachment file, Path to) {
        try {
            return OutputFile.write(to, true, out -> {
                desk.logbook().copyAttachment(file.sha256(), out);
                return to;
            });
        } catch (IOException e) {
            throw new LogbookException(file.name() + " could not be saved in " + to + "; choose another folder", e);
        }
    }
}
