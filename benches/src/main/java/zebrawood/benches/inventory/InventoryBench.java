package zebrawood.benches.inventory;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.HBox;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.inventory.InventoryReadings.State;
import zebrawood.core.machine.Plate.Part;
import zebrawood.core.machine.Plate.Presence;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Quantity;
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

/** What came with a machine, gone through line by line; screws into a tray, the fibre's tightest bend. */
public final class InventoryBench implements Bench<InventoryReadings, InventoryFinding> {

    static final String LEAST = "fibre.leastRadiusMm";
    static final String TIGHTEST = "fibre.tightestRadiusMm";

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount(TIGHTEST, "fibre, tightest bend", Quantity.LENGTH)
                            .anew(),
                    Field.amount(LEAST, "its maker allows, radius", Quantity.LENGTH))
            .listed("", "parts", "name", Field.words("state", "found"), Field.words("remark", "remark"))
            .listed("", "tray", "number", Field.words("from", "screws from"));

    private final BenchPlace place;
    private final Draft draft;
    private final LookedFor looked;
    private final InventoryView view;

    public InventoryBench(BenchPlace place) {
        this.place = place;
        draft = place.draft();
        looked = new LookedFor(place);
        view = new InventoryView(place, looked, place.plate().presence(Part.FIBRE) != Presence.NONE);
    }

    static String state(String name) {
        return "state of " + name;
    }

    static String remark(String name) {
        return "remark on " + name;
    }

    static String tray(int number) {
        return "tray[" + number + "]";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Worksheet sheet) {
        List<PartsList.Line> lines = looked.lines();
        for (int i = 0; i < lines.size(); i++) {
            PartsList.Line line = lines.get(i);
            String at = "parts[" + i + "].";
            sheet.word(at + "group", line.group());
            sheet.word(at + "name", line.name());
            sheet.word(at + "sort", line.sort().name().toLowerCase(Locale.ROOT));
            String state = draft.text(state(line.name()));
            if (!state.isEmpty()) {
                sheet.word(at + "state", state);
            }
            sheet.words(remark(line.name()), at + "remark");
        }
        int filled = 0;
        for (int number = 1; number <= InventoryReadings.PLACES; number++) {
            if (!draft.text(tray(number)).isBlank()) {
                sheet.number("tray[" + filled + "].number", number);
                sheet.words(tray(number), "tray[" + filled + "].from");
                filled++;
            }
        }
        if (!draft.text(LEAST).isBlank() || !draft.text(TIGHTEST).isBlank()) {
            sheet.amount(TIGHTEST, Quantity.LENGTH);
            sheet.amount(LEAST, Quantity.LENGTH);
        }
    }

    @Override
    public void show(Showing<InventoryReadings, InventoryFinding> now) {
        view.show(now);
    }

    @Override
    public String next() {
        return view.firstOpen()
                .map(line -> "Look at: " + line.name() + ".")
                .orElse("Look at the fields that are marked.");
    }

    @Override
    public List<ReadingField> fields() {
        return view.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(InventoryReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        readings.fibre()
                .ifPresent(fibre -> fibre.leastRadiusMm()
                        .ifPresent(
                                least -> texts.put(LEAST, Draft.retyped(asTyped.get(LEAST), least, Quantity.LENGTH))));
        readings.tray().forEach(place -> Draft.put(texts, tray(place.number()), place.from()));
        if (!whole) {
            return texts;
        }
        Draft.put(texts, LookedFor.LIST, LookedFor.kept(LookedFor.of(readings)));
        for (InventoryReadings.Part part : readings.parts()) {
            Draft.put(texts, state(part.name()), part.state().name().toLowerCase(Locale.ROOT));
            part.remark().ifPresent(remark -> Draft.put(texts, remark(part.name()), remark));
        }
        readings.fibre()
                .ifPresent(fibre -> texts.put(
                        TIGHTEST, Draft.retyped(asTyped.get(TIGHTEST), fibre.tightestRadiusMm(), Quantity.LENGTH)));
        return texts;
    }

    @Override
    public Optional<Node> missing() {
        return view.firstOpenRow();
    }

    @Override
    public List<Node> tickets(Showing<InventoryReadings, InventoryFinding> now) {
        Optional<InventoryFinding> found = now.finding().filter(OrderList::isAny);
        if (found.isEmpty()) {
            return List.of();
        }
        Hyperlink save = new Hyperlink("Save the order list");
        save.setId("order-save");
        save.setOnAction(event -> save(OrderList.csv(place.plate(), found.get())));
        Hyperlink copy = new Hyperlink("Copy it");
        copy.setId("order-copy");
        copy.setOnAction(event -> Clip.put(OrderList.csv(place.plate(), found.get())));
        return List.of(new HBox(8, save, copy));
    }

    private void save(String csv) {
        Optional<Path> file = FileDialogs.toSave(
                view.getScene(), place.plate().name().toLowerCase(Locale.ROOT).replace(' ', '-') + "-order.csv");
        if (file.isPresent()) {
            try {
                Files.writeString(file.get(), csv);
            } catch (IOException e) {
                Notice.show(view, "The order list could not be saved there: choose another folder.");
            }
        }
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A parts list, dropped on the bench: what was found already on lines of the same name stays. */
    @Override
    public Optional<String> take(File file) {
        if (!file.getName().toLowerCase(Locale.ROOT).endsWith(".json")) {
            return Optional.of("a parts list is a file of JSON, named with .json at its end");
        }
        if (file.length() > PartsList.MOST_BYTES) {
            return Optional.of("this file is too large for a parts list");
        }
        try {
            List<PartsList.Line> lines = new ArrayList<>(PartsList.read(Files.readString(file.toPath()))
                    .of(place.plate().family()));
            if (lines.isEmpty()) {
                return Optional.of("this list has nothing for this family of machine");
            }
            draft.type(LookedFor.LIST, LookedFor.kept(lines), UnitChoice.METRIC);
            return Optional.empty();
        } catch (ReadingException wrong) {
            return Optional.of("this is no parts list: " + wrong.getMessage());
        } catch (IOException unreadable) {
            return Optional.of("this file cannot be read as text");
        }
    }

    /** What a state is called beside a line of this sort. */
    static String words(InventoryReadings.Sort sort, String state) {
        boolean check = sort == InventoryReadings.Sort.CHECK;
        return switch (state) {
            case "present" -> check ? "so" : "there";
            case "missing" -> check ? "not so" : "missing";
            case "damaged" -> "damaged";
            case "none" -> "has none";
            default -> "";
        };
    }

    static String id(State state) {
        return state.name().toLowerCase(Locale.ROOT);
    }
}
