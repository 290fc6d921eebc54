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
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.focus.FocusLadder;
import zebrawood.core.focus.LadderFinding;
import zebrawood.core.focus.LadderReadings;
import zebrawood.core.motion.Setting;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.ToBurn;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Thumbnail;

/** Squares burned at several gaps, a row each: the gap and the score. */
public final class LadderBench extends FormBench<LadderReadings, LadderFinding> {

    private static final int MOST_STEPS = 15;
    /** side of a square to burn, and how far apart its lines lie, mm */
    private static final double SQUARE_MM = 10;

    private static final double INTERVAL_MM = 0.2;
    private static final String SCHOOL = "school";
    private static final String BETTER = "better";
    private static final String POWER = "burnS";
    private static final String SPEED = "burnMmMin";

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf(
                            SCHOOL,
                            "scored",
                            List.of(
                                    new Choice("", "not said how"),
                                    new Choice("eye", "by eye, 0 to 10"),
                                    new Choice("width", "by width of a line"),
                                    new Choice("contrast", "by contrast"),
                                    new Choice("sound", "by sound, dB"))),
                    Field.oneOf(
                                    BETTER,
                                    "better is",
                                    List.of(
                                            new Choice("higher", "the higher score"),
                                            new Choice("lower", "the lower score")))
                            .own(),
                    Field.amount("scoreError", "a score is read to ±", Quantity.PLAIN)
                            .empty("not known"),
                    Field.amount("depthOfFocusMm", "depth of focus", Quantity.LENGTH)
                            .empty("not known"),
                    Field.words("lens", "lens"),
                    Field.amount(POWER, "burn at S", Quantity.PLAIN)
                            .empty("for .nc")
                            .own(),
                    Field.amount(SPEED, "burn at", Quantity.RATE)
                            .empty("for .nc")
                            .own())
            .rows(
                    "steps",
                    MOST_STEPS,
                    Field.amount("gapMm", "gap", Quantity.LENGTH).anew(),
                    Field.amount("score", "score", Quantity.PLAIN).anew());

    private final Practising practice;
    private final List<NewAttachment> kept = new ArrayList<>();
    private Optional<Double> powerS = Optional.empty();
    private Optional<Double> speedMmMin = Optional.empty();

    public LadderBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "each square over its gap, with the curve through the scores; ticks at the foot: what to burn next",
                GapKnown.fromRamp(place, "depthOfFocusMm", "", ""));
        practice = new Practising(place);
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        powerS = sheet.aside(POWER, Quantity.PLAIN);
        speedMmMin = sheet.aside(SPEED, Quantity.RATE);
        boolean narrow = form().chosen(SCHOOL).equals("width");
        String better = text(BETTER);
        sheet.word(BETTER, better.isEmpty() ? narrow ? "lower" : "higher" : better);
        today(sheet);
        answered(place().earlier().stream())
                .findFirst()
                .ifPresent(
                        last -> sheet.number("lastBestGapMm", last.bestGapMm().getAsDouble()));
        GapKnown.lens(place(), sheet, text("lens"));
        GapKnown.setting(place()).ifPresent(setting -> sheet.record("setting", setting));
        if (form().filledRows().size() < 3) {
            sheet.lacks("squares");
        }
    }

    /** What ladders before this one, with this lens, told. */
    private Stream<LadderFinding> answered(Stream<Entry> entries) {
        return entries.map(entry -> (Body.Measured) entry.body())
                .filter(measured -> measured.verdict().satisfies())
                .filter(measured -> GapKnown.maySame(
                        ((LadderReadings) measured.readings()).lens(), GapKnown.lens(place(), text("lens"))))
                .map(measured -> (LadderFinding) measured.finding())
                .filter(finding -> finding.bestGapMm().isPresent());
    }

    /** Ladders of the same day are weighed together; after a longer time something else may have changed. */
    private void today(Worksheet sheet) {
        Instant day = place().workplace().now().minus(Duration.ofDays(1));
        List<LadderFinding> others = answered(place().earlier().stream()
                        .filter(entry -> entry.stamp().at().isAfter(day)))
                .filter(finding -> finding.bestGapHalfWidthMm().isPresent())
                .toList();
        for (int i = 0; i < others.size(); i++) {
            sheet.number(
                    "earlier[" + i + "].bestGapMm", others.get(i).bestGapMm().getAsDouble());
            sheet.number(
                    "earlier[" + i + "].halfWidthMm",
                    others.get(i).bestGapHalfWidthMm().getAsDouble());
        }
    }

    @Override
    public Map<String, Draft.Text> texts(LadderReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        Draft.put(texts, BETTER, readings.better() == LadderReadings.Better.HIGHER ? "higher" : "lower");
        return texts;
    }

    @Override
    protected String head(Showing<LadderReadings, LadderFinding> now, UnitChoice units) {
        return practice.head(now.finding()
                .filter(found -> found.bestGapMm().isPresent())
                .map(found -> "Best at a gap of "
                        + Amount.mm(found.bestGapMm().getAsDouble(), 2).text(units))
                .orElse("Which square came out best"));
    }

    @Override
    protected Figure figure(Showing<LadderReadings, LadderFinding> now, UnitChoice units) {
        return LadderFigure.of(now.finding(), units);
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A recording of the run, or a photo of the squares: their levels or contrasts become the scores. */
    @Override
    public Optional<String> take(File file) {
        boolean isSound = file.getName().toLowerCase(Locale.ROOT).endsWith(".wav");
        if (!isSound && !Thumbnail.isNamedLikeOne(file.getName())) {
            return Optional.of("scores are read off a WAV of the run, or off a photo of the squares");
        }
        List<Integer> rows = rowsWithGap();
        if (rows.size() < 3) {
            return Optional.of("type the gaps of the squares first, in the order in which they were burned");
        }
        List<String> squares = rows.stream()
                .map(row -> "gap " + text("steps[" + row + "].gapMm"))
                .toList();
        if (isSound) {
            new SoundPane(place().workplace(), covered(), squares, heard -> {
                        scored(
                                rows,
                                heard.steps().stream()
                                        .map(heard.marked()::levelDb)
                                        .toList(),
                                "sound");
                        keep(heard.file());
                    })
                    .open(file);
        } else {
            NewAttachment photo = new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath()));
            new SquaresPane(place().workplace(), covered(), squares, contrasts -> {
                        scored(rows, contrasts, "contrast");
                        keep(photo);
                    })
                    .open(file);
        }
        return Optional.empty();
    }

    private List<Integer> rowsWithGap() {
        return IntStream.range(0, MOST_STEPS)
                .filter(row -> !text("steps[" + row + "].gapMm").isEmpty())
                .boxed()
                .toList();
    }

    private void keep(NewAttachment file) {
        kept.clear();
        kept.add(file);
        place().workplace().tell("The score of each square stands in its row. The file goes along with the entry.");
    }

    private void scored(List<Integer> rows, List<Double> scores, String school) {
        Map<String, Draft.Text> typed = new HashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            Draft.put(typed, "steps[" + rows.get(i) + "].score", String.format(Locale.ROOT, "%.1f", scores.get(i)));
        }
        Draft.put(typed, SCHOOL, school);
        Draft.put(typed, BETTER, "higher");
        place().draft().typeAll(typed);
    }

    @Override
    public List<NewAttachment> attachments() {
        return List.of("sound", "contrast").contains(text(SCHOOL)) ? List.copyOf(kept) : List.of();
    }

    private Node ofFile() {
        return FromFile.link(
                place().workplace(),
                "read-recording",
                "Read a recording or a photo",
                "A WAV of the whole run, or a photo of the squares: each square is scored from it.",
                this::take);
    }

    private double aboutMm() {
        return GapKnown.makersMm(place()).orElse(7);
    }

    @Override
    public Optional<String> notForTheRecord() {
        return practice.notForTheRecord();
    }

    private void practise(List<Double> gaps) {
        Map<String, Draft.Text> lent = new HashMap<>();
        boolean typed = rowsWithGap().size() >= 3;
        for (int i = 0; i < MOST_STEPS; i++) {
            Draft.put(lent, "steps[" + i + "].score", "");
            if (!typed) {
                Draft.put(
                        lent,
                        "steps[" + i + "].gapMm",
                        i < gaps.size() ? Amount.mm(gaps.get(i), 2).number(UnitChoice.METRIC) : "");
            }
        }
        practice.begin(lent);
    }

    @Override
    public List<Node> steps(Showing<LadderReadings, LadderFinding> now) {
        if (!practice.isOn() || !now.measuring()) {
            return List.of();
        }
        OptionalDouble best = now.finding().map(LadderFinding::bestGapMm).orElse(OptionalDouble.empty());
        return best.isPresent()
                ? practice.ended(new FocusPractice(practice, aboutMm()).came(best.getAsDouble(), place().units()))
                : practice.step(Optional.empty(), "practice-burn", "Burn the squares", this::burnPretend);
    }

    /** A recording of pretend squares being burned, to be read as a true one. */
    private void burnPretend() {
        Worksheet sheet = Worksheet.of(place().draft());
        List<Integer> rows = rowsWithGap();
        List<Double> gaps = rows.stream()
                .flatMap(row -> sheet.amount("steps[" + row + "].gapMm", Quantity.LENGTH).stream())
                .toList();
        if (gaps.size() < 3 || gaps.size() < rows.size()) {
            place().workplace().tell("Type the gaps of three squares or more first.");
            return;
        }
        FocusPractice pretend = new FocusPractice(practice, aboutMm());
        new SoundPane(
                        place().workplace(),
                        covered(),
                        rows.stream()
                                .map(row -> "gap " + text("steps[" + row + "].gapMm"))
                                .toList(),
                        heard -> scored(
                                rows,
                                heard.steps().stream()
                                        .map(heard.marked()::levelDb)
                                        .toList(),
                                "sound"))
                .openMade(new File("the pretend run"), () -> pretend.run(gaps));
    }

    /** The squares of the next ladder where there is one, else about the maker's gap. */
    @Override
    public Optional<Node> otherSchool(Showing<LadderReadings, LadderFinding> now) {
        List<Double> gaps =
                now.finding().map(found -> found.next().gapsMm()).orElseGet(() -> FocusLadder.firstGapsMm(aboutMm()));
        if (!now.measuring() && now.finding().isEmpty()) {
            return Optional.empty();
        }
        if (practice.isOn()) {
            return Optional.of(practice.shown("pretend squares"));
        }
        Node burn = ToBurn.link(
                place().workplace(),
                "the squares",
                "ladder",
                () -> Patterns.ladder(gaps, SQUARE_MM, INTERVAL_MM),
                pattern -> Setting.inTheMiddle(pattern, place().plate(), powerS, speedMmMin));
        return Optional.of(
                now.measuring()
                        ? new VBox(ofFile(), burn, Practising.offer("pretend squares", () -> practise(gaps)))
                        : burn);
    }

    @Override
    public String next() {
        if (form().filledRows().size() < 3) {
            return "Burn squares at five gaps or more, then score each.";
        }
        return rowsWithGap().stream()
                        .anyMatch(row -> text("steps[" + row + "].score").isEmpty())
                ? "Score each square, or read a recording or a photo."
                : super.next();
    }
}
