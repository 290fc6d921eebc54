package zebrawood.benches.mirrors;

import java.io.File;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.Plate;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;

/** Mirrors, aligned shot by shot: first what the machine is like, then one card and one turn after the other. */
public final class MirrorsBench implements Bench<PlanReadings, PlanFinding> {

    static final String Y_NEAR = "run.yNearMm";
    static final String Y_FAR = "run.yFarMm";
    static final String X_NEAR = "run.xNearMm";
    static final String X_FAR = "run.xFarMm";
    static final String OPTICS = "looked.optics";
    static final String BED = "looked.bed";
    static final String MARK_ERROR = "markErrorMm";
    static final String TOLERANCE = "toleranceMm";
    static final String CARD = "cardAtMirror2";
    static final String MIRRORS = "mirrors";
    static final String POINTER_X = "pointer.xMm";
    static final String POINTER_Y = "pointer.yMm";
    /** what is known of the mounts, as a draft keeps it; empty for what the newest entry learned */
    static final String MOUNTS = "mounts";
    /** chosen where the mounts are others than those of the newest entry */
    static final String FORGOTTEN = "none";
    /** said once somebody has begun to shoot */
    static final String BEGUN = "begun";

    static final List<Choice> OPTICS_CHOICES = List.of(
            new Choice("", "not looked at yet"), new Choice("clean", "clean"), new Choice("dirty", "dirty or burned"));
    static final List<Choice> BED_CHOICES = List.of(
            new Choice("", "not looked at yet"),
            new Choice("level", "level"),
            new Choice("leans", "leans, or not known"));
    /** with the one in the head, which sends the beam down */
    static final List<Choice> MIRRORS_CHOICES =
            List.of(new Choice("", "three, tube across the back"), new Choice("2", "two, tube along the side"));

    static final Choice TAKES_CARD = new Choice("", "a card goes there");
    static final Choice NO_CARD = new Choice("no", "none goes there");

    public static final FieldList FIELDS = FieldList.of(
            Field.amount(Y_NEAR, "first run, near", Quantity.LENGTH).needed(),
            Field.amount(Y_FAR, "first run, far", Quantity.LENGTH).needed(),
            Field.amount(X_NEAR, "second run, near", Quantity.LENGTH).needed(),
            Field.amount(X_FAR, "second run, far", Quantity.LENGTH).needed(),
            Field.oneOf(OPTICS, "mirrors and lens", OPTICS_CHOICES),
            Field.oneOf(BED, "bed", BED_CHOICES),
            Field.either(CARD, "before the gantry's mirror", TAKES_CARD, NO_CARD),
            Field.count(MIRRORS, "mirrors", MIRRORS_CHOICES),
            Field.amount(MARK_ERROR, "a mark is read to", Quantity.LENGTH)
                    .usually(Amount.mm(PlanReadings.MARK_ERROR_MM, 1)),
            Field.amount(TOLERANCE, "corners at most apart", Quantity.LENGTH)
                    .usually(Amount.mm(PlanReadings.TOLERANCE_MM, 1)),
            Field.amount(POINTER_X, "pointer, right", Quantity.LENGTH)
                    .together()
                    .anew(),
            Field.amount(POINTER_Y, "pointer, up", Quantity.LENGTH).together().anew());

    /** What is known of both mounts, as a draft keeps it. */
    public record Known(List<PlanReadings.Mount> mounts) {
        public Known {
            mounts = List.copyOf(mounts);
        }
    }

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private final MirrorsView view;

    public MirrorsBench(BenchPlace place) {
        this.place = place;
        draft = place.draft();
        steps = new Steps(draft);
        view = new MirrorsView(place, steps, !learned().isEmpty());
    }

    /** Whether it is said that the tube fires along the gantry's travel, with no mirror before that. */
    static boolean startsAtTheTube(Draft draft) {
        return draft.text(MIRRORS).equals("2");
    }

    /** Whether shooting has begun: before that the bench asks what the machine is like. */
    static boolean isBegun(Draft draft) {
        return !draft.text(Steps.FIELD).isEmpty() || !draft.text(BEGUN).isEmpty();
    }

    /** What the newest entry learned of the mounts; empty where nothing is on record. */
    private List<PlanReadings.Mount> learned() {
        return place.earlier().stream()
                .map(Stop::measured)
                .map(measured -> ((PlanFinding) measured.finding()).mounts())
                .filter(mounts ->
                        mounts.stream().anyMatch(mount -> mount.learned().isPresent()))
                .findFirst()
                .orElse(List.of());
    }

    private List<PlanReadings.Mount> mounts() {
        String kept = draft.text(MOUNTS);
        if (kept.isEmpty()) {
            return learned();
        }
        try {
            return kept.equals(FORGOTTEN)
                    ? List.of()
                    : Binder.bind(StrictJson.read(kept).root(), Known.class).mounts();
        } catch (ReadingException damaged) {
            return List.of();
        }
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Worksheet sheet) {
        for (String run : List.of(Y_NEAR, Y_FAR, X_NEAR, X_FAR)) {
            sheet.amount(run, Quantity.LENGTH);
        }
        List<PlanReadings.Mount> mounts = mounts();
        for (int i = 0; i < mounts.size(); i++) {
            sheet.record("mounts[" + i + "]", mounts.get(i));
        }
        sheet.list("steps");
        if (isBegun(draft)) {
            steps.assemble(sheet);
        } else {
            sheet.lacks(BEGUN);
        }
        sheet.amount(MARK_ERROR, Quantity.LENGTH);
        sheet.amount(TOLERANCE, Quantity.LENGTH);
        String optics = draft.text(OPTICS);
        String bed = draft.text(BED);
        if (!optics.isEmpty() || !bed.isEmpty()) {
            sheet.objects("looked");
            sheet.choice(FIELDS.field(OPTICS));
            sheet.choice(FIELDS.field(BED));
        }
        if (draft.text(CARD).equals(NO_CARD.id())) {
            sheet.truth(CARD, false);
        }
        sheet.choice(FIELDS.field(MIRRORS));
        if (!draft.text(POINTER_X).isBlank() || !draft.text(POINTER_Y).isBlank()) {
            sheet.amount(POINTER_X, Quantity.LENGTH);
            sheet.amount(POINTER_Y, Quantity.LENGTH);
        }
    }

    @Override
    public void show(Showing<PlanReadings, PlanFinding> now) {
        view.show(now);
    }

    @Override
    public List<Node> steps(Showing<PlanReadings, PlanFinding> now) {
        return view.step(now);
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    @Override
    public Optional<String> take(File file) {
        return view.card().isReading()
                ? view.card().photo().take(file)
                : Optional.of("a photo of a card is taken when a mark is to be read");
    }

    @Override
    public List<NewAttachment> attachments() {
        return view.card().photo().kept();
    }

    @Override
    public Optional<String> notForTheRecord() {
        if (view.isPractising()) {
            return Optional.of("This is practice: end it, then align the machine itself.");
        }
        return MirrorsBench.isBegun(draft) && view.isUntaken()
                ? Optional.of("A mark or a turn is typed and not taken yet. Take it, or empty its fields; then record.")
                : Optional.empty();
    }

    @Override
    public String next() {
        return view.next();
    }

    @Override
    public List<ReadingField> fields() {
        return view.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(PlanReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(FIELDS.texts(readings, asTyped, whole));
        if (whole) {
            Steps.texts(readings.steps(), asTyped, texts);
            Draft.put(
                    texts,
                    MOUNTS,
                    readings.mounts().isEmpty() ? FORGOTTEN : RecordWriter.text(new Known(readings.mounts())));
            Draft.put(texts, BEGUN, "yes");
        } else {
            texts.remove(OPTICS);
            texts.remove(BED);
        }
        return texts;
    }

    @Override
    public Optional<Node> missing() {
        return view.missing();
    }

    @Override
    public Optional<Node> otherSchool(Showing<PlanReadings, PlanFinding> now) {
        return view.otherSchool(now);
    }

    /** What is turned first and second: on a machine with two mirrors the tube's holder stands in the place of one. */
    static List<String> names(boolean startsAtTheTube) {
        return startsAtTheTube ? List.of("tube's holder", "gantry's mirror") : List.of("mirror 1", "mirror 2");
    }

    /** How large the head's travel and the gantry's are, from the plate; for what is proposed, never for a reading. */
    static PlanReadings.Run proposed(Plate plate) {
        double near = 120;
        return new PlanReadings.Run(
                near,
                near + plate.bed().map(Plate.Bed::yMm).orElse(500.0),
                near,
                near + plate.bed().map(Plate.Bed::xMm).orElse(700.0));
    }
}
