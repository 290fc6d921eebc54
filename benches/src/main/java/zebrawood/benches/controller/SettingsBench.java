package zebrawood.benches.controller;

import java.io.File;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.controller.SettingsReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Notice;
import zebrawood.kit.view.Ticket;
import zebrawood.kit.view.Words;

/** A controller's settings text: dropped, pasted or loaded, shown by meaning, its change prepared but never sent. */
public final class SettingsBench implements Bench<SettingsReadings, SettingsFinding> {

    static final String TEXT = "settingsText";

    public static final FieldList FIELDS =
            FieldList.of(Field.words(TEXT, "settings").own());

    private final BenchPlace place;
    private final ControllerNeed need;
    private final SettingsView view;
    private Optional<SettingsFile.Read> original = Optional.empty();

    public SettingsBench(BenchPlace place) {
        this.place = place;
        this.need = place.plate().control().flatMap(control -> control.need()).orElseThrow();
        this.view = new SettingsView(place.workplace().look(), this::paste, this::choose);
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Worksheet sheet) {
        sheet.text(TEXT);
        lastGood().ifPresent(text -> sheet.word("baselineText", text));
        sheet.record("need", need);
        CapOnRecord.of(place).ifPresent(cap -> sheet.record("cap", cap));
    }

    /** The settings of the last time that they passed: what is compared with. */
    private Optional<String> lastGood() {
        return place.earlier().stream()
                .map(Entry::body)
                .map(Body.Measured.class::cast)
                .filter(measured -> measured.verdict().satisfies())
                .map(measured -> ((SettingsReadings) measured.readings()).settingsText())
                .findFirst();
    }

    @Override
    public void show(Showing<SettingsReadings, SettingsFinding> now) {
        view.show(
                now.outcome().map(outcome -> outcome.finding()),
                Optional.ofNullable(now.filled().problems().get(TEXT)));
    }

    @Override
    public String next() {
        return "Drop the controller's settings here.";
    }

    @Override
    public List<ReadingField> fields() {
        return List.of();
    }

    @Override
    public Map<String, Draft.Text> texts(SettingsReadings readings, Map<String, String> asTyped, boolean whole) {
        return whole ? Map.of(TEXT, new Draft.Text(readings.settingsText(), UnitChoice.METRIC)) : Map.of();
    }

    @Override
    public String recordWord() {
        return "Record as found";
    }

    @Override
    public String againWord() {
        return "Read the settings again";
    }

    @Override
    public List<NewAttachment> attachments() {
        // undo may have brought back another text than the file's
        return original
                .filter(read -> read.text().equals(place.draft().text(TEXT)))
                .map(read -> new NewAttachment(read.name(), read.bytes()))
                .stream()
                .toList();
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    @Override
    public Optional<String> take(File file) {
        try {
            SettingsFile.Read read = SettingsFile.read(file);
            original = Optional.of(read);
            type(read.text());
            return Optional.empty();
        } catch (SettingsFile.NotSettings refused) {
            return Optional.of(refused.getMessage());
        }
    }

    private void type(String text) {
        place.draft().endStep();
        place.draft().type(TEXT, text, UnitChoice.METRIC);
        place.draft().endStep();
    }

    @Override
    public Optional<Node> start() {
        return Optional.of(view.pasting());
    }

    @Override
    public void paste() {
        Optional<String> text = Clip.text();
        if (text.isEmpty() || text.get().isBlank()) {
            Notice.show(
                    view, "There is no text on the clipboard: copy what the controller printed, then paste it here.");
        } else if (text.get().length() > SettingsFile.LARGEST_BYTES) {
            Notice.show(
                    view,
                    "That text is far longer than a controller's settings. It was not taken, nothing has changed.");
        } else {
            original = Optional.empty();
            type(text.get());
        }
    }

    private void choose() {
        FileDialogs.toOpen(view.getScene()).stream()
                .findFirst()
                .ifPresent(file -> take(file.toFile()).ifPresent(why -> Notice.show(view, Words.sentence(why))));
    }

    @Override
    public List<Node> tickets(Showing<SettingsReadings, SettingsFinding> now) {
        SettingsFinding finding = now.outcome().orElseThrow().finding();
        if (finding.changes().isEmpty()) {
            return List.of();
        }
        boolean recorded = !now.measuring();
        VBox both = new VBox(
                8,
                ticket("Change ticket", finding.changes(), recorded, "change"),
                ticket("Restore ticket", finding.restore(), recorded, "back"));
        both.setPadding(new Insets(12, 0, 0, 0));
        both.setUserData("lead");
        return List.of(both);
    }

    private Node ticket(String title, List<String> lines, boolean recorded, String id) {
        return Ticket.of(place.workplace(), title, lines, recorded, id);
    }

    @Override
    public Optional<Node> otherSchool(Showing<SettingsReadings, SettingsFinding> now) {
        return now.outcome().flatMap(outcome -> outcome.finding().otherSchool()).map(other -> {
            boolean capped = now.outcome().get().finding().capS().isPresent();
            Node words = Words.wrapped(
                    (capped
                                    ? "Other school: keep the job software as it is, and give the controller a larger S for full"
                                            + " power, so that 100 % is the cap. The way back is "
                                    : "Other school: change the controller to the job software's scale instead. With one machine"
                                            + " and one sender either will do; the way back is ")
                            + other.restore().get(0) + ".",
                    "quiet");
            return new VBox(8, words, ticket("Instead, on the controller", other.changes(), !now.measuring(), "other"));
        });
    }
}
