package zebrawood.benches.inventory;

import java.util.List;
import java.util.Optional;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.reading.ReadingException;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.Workplace;

/** The lines of one inventory: those of its draft, else the shop's own for this family, else those that ship. */
final class LookedFor {

    /** where a draft keeps lines of its own: of an entry, of a file, or with one added */
    static final String LIST = "list";

    private final Draft draft;
    private final List<PartsList.Line> usual;
    private final Optional<String> problem;
    private String text = "";
    private List<PartsList.Line> lines = List.of();

    /** Lines as a draft keeps them. */
    public record Kept(List<PartsList.Line> lines) {
        public Kept {
            lines = List.copyOf(lines);
        }
    }

    LookedFor(BenchPlace place) {
        draft = place.draft();
        Workplace at = place.workplace();
        PartsList list = PartsList.read(PartsList.shipped());
        Optional<String> wrong = Optional.empty();
        try {
            Optional<String> own = at.shopFile(PartsList.FILE);
            list = own.isPresent() ? PartsList.read(own.get()) : list;
        } catch (ReadingException unreadable) {
            wrong = Optional.of("The shop's " + PartsList.FILE + " cannot be read: " + unreadable.getMessage()
                    + ". The list that ships is used; put that file right, then open this stop again.");
        }
        usual = list.of(place.plate().family());
        problem = wrong;
    }

    /** What is wrong with the shop's own list. */
    Optional<String> problem() {
        return problem;
    }

    List<PartsList.Line> lines() {
        String now = draft.text(LIST);
        if (!now.equals(text)) {
            text = now;
            lines = now.isEmpty() ? List.of() : read(now);
        }
        return lines.isEmpty() ? usual : lines;
    }

    private static List<PartsList.Line> read(String json) {
        try {
            return Binder.bind(StrictJson.read(json).root(), Kept.class).lines();
        } catch (ReadingException damaged) {
            return List.of();
        }
    }

    static String kept(List<PartsList.Line> lines) {
        return RecordWriter.text(new Kept(lines));
    }

    static List<PartsList.Line> of(InventoryReadings readings) {
        return readings.parts().stream()
                .map(part -> new PartsList.Line(part.group(), part.name(), part.sort()))
                .toList();
    }
}
