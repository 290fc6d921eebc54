package zebrawood.benches.focus;

import java.io.File;
import java.nio.file.Files;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampPlan;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.focus.RampReadings.LineAlong;
import zebrawood.core.focus.RampReadings.OtherLine;
import zebrawood.core.machine.Plate;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.ToBurn;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.Thumbnail;
import zebrawood.kit.view.Words;

/** A ramp line: gap, run and rise typed where they stand on the plate, widths on the line in the order measured. */
public final class RampBench implements Bench<RampReadings, RampFinding> {

    static final String GAP = "gapAtStartMm";
    static final String RUN = "runMm";
    static final String RISE = "riseMm";
    static final String THINNEST = "thinnestPositionMm";
    static final String GAP_THERE = "gapThereMm";
    static final String SCHOOL = "school";
    static final String PLACES = "places";
    static final String TOOL = "tool";
    static final String RULER = "positionsAlong";
    static final String ALONG = "lineAlong";
    static final String LENS = "lens";
    /** more does not make the gap surer than the plate lies */
    static final int MOST_PLACES = 17;
    /** enough for the gap and how sure it is, in five minutes */
    static final int PLACES_OFFERED = 9;

    static final Field WIDTH = Field.amount("widthMm", "width", Quantity.LENGTH);

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount(GAP, "gap at start", Quantity.LENGTH).needed(),
                    Field.amount(RUN, "run", Quantity.LENGTH).needed(),
                    Field.amount(RISE, "rise", Quantity.LENGTH).needed(),
                    Field.amount(THINNEST, "thinnest place", Quantity.LENGTH),
                    Field.amount(GAP_THERE, "gap there", Quantity.LENGTH))
            .listed("", "marks", "positionMm", WIDTH);

    private final BenchPlace place;
    private final Draft draft;
    private final RampPlan plan;
    private final RampView view;
    private final Covered covered;
    private final Practising practice;
    private final List<NewAttachment> kept = new ArrayList<>();

    public RampBench(BenchPlace place) {
        this.place = place;
        this.draft = place.draft();
        this.practice = new Practising(place);
        Plate plate = place.plate();
        double gap = plate.optics()
                .map(Plate.Optics::makersGapMm)
                .orElse(OptionalDouble.empty())
                .orElse(7);
        this.plan = RampPlan.about(
                gap,
                plate.family(),
                plate.bed().isPresent()
                        ? OptionalDouble.of(Math.min(
                                plate.bed().get().xMm(), plate.bed().get().yMm()))
                        : OptionalDouble.empty());
        this.view = new RampView(place, plan, practice);
        this.covered = new Covered(view);
    }

    /** The name of a width's field. */
    static String width(int mark) {
        return "widths[" + mark + "]";
    }

    static int places(Draft draft) {
        return switch (draft.text(PLACES)) {
            case "13" -> 13;
            case "17" -> MOST_PLACES;
            default -> PLACES_OFFERED;
        };
    }

    static boolean isQuick(Draft draft) {
        return draft.text(SCHOOL).equals("quick");
    }

    @Override
    public Node view() {
        return covered;
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A picture of the burned plate: the widths of the line are read off it. */
    @Override
    public Optional<String> take(File file) {
        if (!Thumbnail.isNamedLikeOne(file.getName())) {
            return Optional.of("widths are read off a picture of the plate: a JPEG or a PNG");
        }
        Optional<Double> run = Worksheet.of(draft).amount(RUN, Quantity.LENGTH).filter(mm -> mm > 0);
        if (run.isEmpty()) {
            return Optional.of("type the run of the ramp first: it says where widths are read");
        }
        new PlatePane(place.workplace(), covered, placesMm(run.get()), (widths, errorMm) -> {
                    seen(widths, errorMm);
                    kept.clear();
                    kept.add(new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())));
                    place.workplace().tell("The widths stand at their places. The picture goes along with the entry.");
                })
                .open(file);
        return Optional.empty();
    }

    private List<Double> placesMm(double runMm) {
        int places = places(draft);
        return IntStream.range(0, places)
                .mapToObj(i -> RampPlan.placeMm(i, places, runMm))
                .toList();
    }

    @Override
    public Optional<String> notForTheRecord() {
        return practice.notForTheRecord();
    }

    @Override
    public List<Node> steps(Showing<RampReadings, RampFinding> now) {
        if (!practice.isOn() || !now.measuring()) {
            return List.of();
        }
        OptionalDouble best =
                now.outcome().map(outcome -> outcome.finding().bestGapMm()).orElse(OptionalDouble.empty());
        return best.isPresent()
                ? practice.ended(pretend().came(best.getAsDouble(), place.units()))
                : practice.step(Optional.empty(), "practice-burn", "Burn the line", this::burnPretend);
    }

    private FocusPractice pretend() {
        return new FocusPractice(practice, plan.gapAtStartMm() - plan.riseMm() / 2);
    }

    /** A pretend plate that was burned, to be read as a true one. */
    private void burnPretend() {
        Worksheet sheet = Worksheet.of(draft);
        double run = sheet.amount(RUN, Quantity.LENGTH).filter(mm -> mm > 0).orElse(plan.runMm());
        FocusPractice pretend = pretend();
        new PlatePane(place.workplace(), covered, placesMm(run), this::seen)
                .open(
                        new File("the pretend plate"),
                        goOn -> pretend.plate(
                                sheet.amount(GAP, Quantity.LENGTH).orElse(plan.gapAtStartMm()),
                                run,
                                sheet.amount(RISE, Quantity.LENGTH).orElse(plan.riseMm())));
    }

    private void practise() {
        Map<String, Draft.Text> lent = new HashMap<>();
        Map.of(GAP, plan.gapAtStartMm(), RUN, plan.runMm(), RISE, plan.riseMm()).forEach((field, mm) -> {
            if (draft.text(field).isBlank()) {
                lent.put(field, Practising.text(Amount.exact(mm)));
            }
        });
        for (int i = 0; i < MOST_PLACES; i++) {
            Draft.put(lent, width(i), "");
        }
        Draft.put(lent, SCHOOL, "");
        practice.begin(lent);
    }

    private void seen(List<Optional<Double>> widths, double errorMm) {
        Map<String, Draft.Text> typed = new HashMap<>();
        for (int i = 0; i < widths.size(); i++) {
            Draft.put(
                    typed,
                    width(i),
                    widths.get(i)
                            .map(mm -> String.format(Locale.ROOT, "%.3f", mm))
                            .orElse(""));
        }
        Draft.put(typed, SCHOOL, "");
        Draft.put(typed, TOOL, ReadWith.noSurerThan(errorMm).name());
        Draft.put(typed, RULER, "plate");
        draft.typeAll(typed);
    }

    @Override
    public List<NewAttachment> attachments() {
        return isQuick(draft) ? List.of() : List.copyOf(kept);
    }

    @Override
    public void assemble(Worksheet sheet) {
        sheet.number("wavelengthNm", place.plate().wavelengthNm().orElseThrow());
        sheet.amount(GAP, Quantity.LENGTH);
        Optional<Double> run = sheet.amount(RUN, Quantity.LENGTH);
        sheet.amount(RISE, Quantity.LENGTH);
        if (isQuick(draft)) {
            sheet.amount(THINNEST, Quantity.LENGTH);
            sheet.amount(GAP_THERE, Quantity.LENGTH);
        } else {
            marks(sheet, run.orElse(plan.runMm()));
            sheet.number("widthErrorMm", ReadWith.of(draft, place.plate()).errorMm());
        }
        if (draft.text(RULER).equals("plate")) {
            sheet.word(RULER, "plate");
        }
        lens().ifPresent(lens -> sheet.word(LENS, lens));
        along(draft).ifPresent(along -> {
            sheet.word(ALONG, along.name());
            if (!isQuick(draft)) {
                other(along).ifPresent(other -> sheet.record("otherLine", other));
            }
        });
        last().ifPresent(last -> {
            sheet.number("lastBestGapMm", last.bestGapMm().getAsDouble());
            last.depthOfFocusMm().ifPresent(depth -> sheet.number("lastDepthMm", depth));
        });
        GapKnown.setting(place).ifPresent(setting -> sheet.record("setting", setting));
    }

    private void marks(Worksheet sheet, double runMm) {
        int places = places(draft);
        int given = 0;
        for (int i = 0; i < places; i++) {
            String path = "marks[" + given + "].widthMm";
            if (!draft.text(width(i)).isBlank()
                    && sheet.amount(width(i), path, Quantity.LENGTH).isPresent()) {
                sheet.number("marks[" + given + "].positionMm", RampPlan.placeMm(i, places, runMm));
                given++;
            }
        }
    }

    /** The axis of the machine along which the line ran, where somebody said so. */
    static Optional<LineAlong> along(Draft draft) {
        return switch (draft.text(ALONG)) {
            case "x" -> Optional.of(LineAlong.X);
            case "y" -> Optional.of(LineAlong.Y);
            default -> Optional.empty();
        };
    }

    /** Which lens is in: what was chosen, or the only one of the plate. */
    private Optional<String> lens() {
        return GapKnown.lens(place, draft.text(LENS));
    }

    private boolean sameLens(Body.Measured measured) {
        return GapKnown.maySame(((RampReadings) measured.readings()).lens(), lens());
    }

    /** The line along the other axis, where one was read today: later the lens may have been out. */
    private Optional<OtherLine> other(LineAlong along) {
        Instant day = place.workplace().now().minus(Duration.ofDays(1));
        return place.earlier().stream()
                .filter(entry -> entry.stamp().at().isAfter(day))
                .map(entry -> (Body.Measured) entry.body())
                .filter(measured -> measured.verdict().satisfies())
                .filter(measured -> lineOf(measured).equals(Optional.of(along.other())) && sameLens(measured))
                .map(measured -> (RampFinding) measured.finding())
                .filter(finding -> finding.bestGapStdErrMm().isPresent())
                .findFirst()
                .map(finding -> new OtherLine(
                        finding.bestGapMm().getAsDouble(),
                        finding.bestGapStdErrMm().getAsDouble(),
                        finding.fit().orElseThrow().a(),
                        finding.fit().orElseThrow().b(),
                        finding.fit().orElseThrow().c()));
    }

    private static Optional<LineAlong> lineOf(Body.Measured measured) {
        return ((RampReadings) measured.readings()).lineAlong();
    }

    /** The newest best gap that a fit proved; one that was only looked for counts where there is no other. */
    private Optional<RampFinding> last() {
        List<RampFinding> answered = place.earlier().stream()
                .map(entry -> (Body.Measured) entry.body())
                .filter(measured -> measured.verdict().satisfies())
                .filter(this::sameLens)
                .filter(measured -> along(draft).isEmpty()
                        || lineOf(measured).isEmpty()
                        || lineOf(measured).equals(along(draft)))
                .map(measured -> (RampFinding) measured.finding())
                .filter(finding -> finding.bestGapMm().isPresent())
                .toList();
        return answered.stream()
                .filter(finding -> finding.bestGapStdErrMm().isPresent())
                .findFirst()
                .or(() -> answered.stream().findFirst());
    }

    @Override
    public void show(Showing<RampReadings, RampFinding> now) {
        view.show(now);
    }

    @Override
    public String next() {
        if (draft.text(GAP).isBlank()) {
            return "Measure the gap at the start of the ramp.";
        } else if (draft.text(RUN).isBlank()) {
            return "Measure the run of the ramp.";
        } else if (draft.text(RISE).isBlank()) {
            return "Measure how far the plate rises over the run.";
        } else if (isQuick(draft)) {
            return "Burn the line, then read where it is thinnest.";
        }
        for (int i = 0; i < places(draft); i++) {
            if (draft.text(width(i)).isBlank()) {
                return (i == 0 ? "Burn the line, then read its width at " : "Read the width at ") + view.position(i)
                        + ".";
            }
        }
        return "Look at the fields that are marked.";
    }

    @Override
    public List<ReadingField> fields() {
        return view.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(RampReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        put(texts, GAP, asTyped.get(GAP), readings.gapAtStartMm());
        put(texts, RUN, asTyped.get(RUN), readings.runMm());
        put(texts, RISE, asTyped.get(RISE), readings.riseMm());
        readings.widthErrorMm()
                .ifPresent(error ->
                        texts.put(TOOL, new Draft.Text(ReadWith.nearest(error).name(), UnitChoice.METRIC)));
        readings.positionsAlong()
                .ifPresent(along ->
                        texts.put(RULER, new Draft.Text(along.name().toLowerCase(Locale.ROOT), UnitChoice.METRIC)));
        readings.lens().ifPresent(lens -> texts.put(LENS, new Draft.Text(lens, UnitChoice.METRIC)));
        readings.lineAlong()
                .ifPresent(along ->
                        texts.put(ALONG, new Draft.Text(along.name().toLowerCase(Locale.ROOT), UnitChoice.METRIC)));
        if (whole) {
            readings.thinnestPositionMm().ifPresent(thinnest -> {
                texts.put(SCHOOL, new Draft.Text("quick", UnitChoice.METRIC));
                put(texts, THINNEST, asTyped.get(THINNEST), thinnest);
                readings.gapThereMm().ifPresent(there -> put(texts, GAP_THERE, asTyped.get(GAP_THERE), there));
            });
            readings.marks().ifPresent(marks -> widths(texts, marks, readings.runMm(), asTyped));
        }
        return texts;
    }

    /** Puts each width back into the field of its place; the fewest places that hold them all. */
    private static void widths(
            Map<String, Draft.Text> texts, List<RampReadings.Mark> marks, double runMm, Map<String, String> asTyped) {
        for (int places : new int[] {PLACES_OFFERED, 13, MOST_PLACES}) {
            Map<String, Draft.Text> found = new HashMap<>();
            for (int m = 0; m < marks.size(); m++) {
                for (int i = 0; i < places; i++) {
                    if (Math.abs(RampPlan.placeMm(i, places, runMm)
                                    - marks.get(m).positionMm())
                            < 0.06) {
                        put(
                                found,
                                width(i),
                                asTyped.get("marks[" + m + "].widthMm"),
                                marks.get(m).widthMm());
                    }
                }
            }
            if (found.size() == marks.size() || places == MOST_PLACES) {
                texts.putAll(found);
                texts.put(PLACES, new Draft.Text(String.valueOf(places), UnitChoice.METRIC));
                return;
            }
        }
    }

    private static void put(Map<String, Draft.Text> texts, String field, String asTyped, double mm) {
        texts.put(field, Draft.retyped(asTyped, mm, Quantity.LENGTH));
    }

    @Override
    public Optional<Node> otherSchool(Showing<RampReadings, RampFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        }
        if (practice.isOn()) {
            return Optional.of(practice.shown("a pretend plate"));
        }
        boolean quick = isQuick(draft);
        Hyperlink other = new Hyperlink(quick ? "Read the widths" : "Quick reading");
        other.setId("school");
        other.setOnAction(event -> draft.type(SCHOOL, quick ? "" : "quick", UnitChoice.METRIC));
        Label says = quick
                ? Words.wrapped(
                        "The thinnest place tells the gap alone: not how sure it is, how deep the focus is, or "
                                + "whether the beam has changed. The widths do.",
                        "quiet")
                : Words.label("the gap alone", "caption");
        if (quick) {
            return Optional.of(new VBox(says, other));
        }
        other.setTooltip(
                new Tooltip("Only the thinnest place: it tells the gap, not how sure it is nor how deep the focus."));
        other.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(4, other, says);
        line.setAlignment(Pos.CENTER_LEFT);
        Node picture = FromFile.link(
                place.workplace(),
                "read-picture",
                "Read a picture of the plate",
                "A photo or scan with a rule in it: the widths are read off it.",
                this::take);
        Node burn = ToBurn.link(
                place.workplace(),
                "the line",
                "ramp-line",
                () -> Patterns.ramp(Worksheet.of(draft)
                        .amount(RUN, Quantity.LENGTH)
                        .filter(mm -> mm > 0)
                        .orElse(plan.runMm())),
                pattern -> {
                    throw new ReadingException(
                            "file", "save it as SVG or DXF, and set power and speed in your job software");
                });
        Node scale = ToBurn.toPrint(place.workplace(), "a scale", "ramp-scale", () -> {
            Worksheet sheet = Worksheet.of(draft);
            return Patterns.rampScale(
                    sheet.amount(GAP, Quantity.LENGTH).orElse(plan.gapAtStartMm()),
                    sheet.amount(RUN, Quantity.LENGTH).orElse(plan.runMm()),
                    sheet.amount(RISE, Quantity.LENGTH).orElse(plan.riseMm()));
        });
        return Optional.of(new VBox(
                view.onWhat(), picture, burn, scale, Practising.offer("a pretend plate", this::practise), line));
    }
}
