package zebrawood.benches.power;

import java.io.File;
import java.nio.file.Files;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.VBox;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.TrendFinding;
import zebrawood.core.power.TrendReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Kind;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Thumbnail;

/** One fixed test over the life of a source: a row a test, and when things were done meanwhile. */
public final class TrendBench extends FormBench<TrendReadings, TrendFinding> {

    private static final int MOST = 30;
    /** links to fill in from the record, one a lens or frequency */
    private static final int MOST_TESTS = 3;

    private static final String BY = "measuredBy";
    private static final String CURRENT = "current";
    private static final String GRID = "grid";
    private static final String SCALES = "scalesAgree";
    private static final String UNKNOWN = "unknown";
    static final String CLEANED = "cleanedAtH";
    static final String ALIGNED = "alignedAtH";
    static final String COOLANT = "coolantAtH";
    static final String REPLACED = "replacedAtH";
    static final Quantity OF_HOURS = Quantity.HOURS;
    static final Quantity OF_VALUE = Quantity.PLAIN;
    /** scales that are nearer than that to each other agree, % */
    private static final double AGREE_PCT = 1;

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf(
                            BY,
                            "measured by",
                            List.of(
                                    new Choice("watts", "watts"),
                                    new Choice(CURRENT, "current, mA"),
                                    new Choice(GRID, "engraved cells"))),
                    Field.amount("floorPct", "worn out at", Quantity.SHARE).empty("80"),
                    Field.many(CLEANED, "cleaned at, h", Quantity.HOURS),
                    Field.many(ALIGNED, "aligned at, h", Quantity.HOURS),
                    Field.many(COOLANT, "coolant at, h", Quantity.HOURS),
                    Field.many(REPLACED, "new source, h", Quantity.HOURS))
            .rows(
                    "history",
                    MOST,
                    Field.amount("hours", "beam hours", OF_HOURS),
                    Field.amount("value", "test came to", OF_VALUE));

    private Optional<NewAttachment> photo = Optional.empty();

    public TrendBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "one fixed test over the beam hours, with the line through all of them and what was done meanwhile");
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (text(SCALES).isEmpty()) {
            scales().ifPresent(agree -> sheet.truth(SCALES, agree));
        } else if (!text(SCALES).equals(UNKNOWN)) {
            sheet.truth(SCALES, text(SCALES).equals("true"));
        }
        if (form().filledRows().size() < 3) {
            sheet.lacks("tests");
        }
    }

    /** What an entry holds beside its fields stands in the draft while it is shown. */
    @Override
    public Map<String, Draft.Text> texts(TrendReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        if (whole) {
            Draft.put(texts, SCALES, readings.scalesAgree().map(String::valueOf).orElse(UNKNOWN));
        }
        return texts;
    }

    /** Whether sender and controller mean the same by 100 %, as they were compared last. */
    private Optional<Boolean> scales() {
        return place().found("controller-settings", SettingsFinding.class)
                .filter(found -> found.power().isPresent())
                .map(TrendBench::agree);
    }

    /** A sender that stays under the cap of its tube is as it should be. */
    private static boolean agree(SettingsFinding found) {
        SettingsFinding.PowerScales scales = found.power().orElseThrow();
        return found.capS().isPresent()
                ? scales.senderMaxS() <= found.capS().getAsDouble()
                : Math.abs(scales.senderMaxS() / scales.controllerMaxS() - 1) <= AGREE_PCT / 100;
    }

    @Override
    protected String head(Showing<TrendReadings, TrendFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.nowPct().isEmpty()
                        ? "No line fits these tests"
                        : "It stands at "
                                + Amount.percent(found.nowPct().getAsDouble(), 1)
                                        .text(units) + floor(found))
                .orElse("How the source falls over its hours");
    }

    /** When the floor is reached at the hours of this shop. */
    private String floor(TrendFinding found) {
        OptionalDouble perDay = place().found("beam-hours", BeamHoursFinding.class)
                .map(BeamHoursFinding::perDayH)
                .orElse(OptionalDouble.empty());
        OptionalDouble days = perDay.isPresent() ? found.daysToFloor(perDay.getAsDouble()) : OptionalDouble.empty();
        if (found.changed().equals(Optional.of(false))
                || days.isEmpty()
                || days.getAsDouble() <= 0
                || days.getAsDouble() > 20_000) {
            return "";
        }
        Instant at = place().workplace().now().plus(Duration.ofDays((long) days.getAsDouble()));
        return "; worn out about " + MONTH.format(place().workplace().local(at)) + " at this shop's hours";
    }

    @Override
    protected Figure figure(Showing<TrendReadings, TrendFinding> now, UnitChoice units) {
        return TrendFigure.of(now.finding(), units);
    }

    @Override
    public List<Node> tickets(Showing<TrendReadings, TrendFinding> now) {
        List<Node> tickets = new ArrayList<>();
        if (now.finding().isPresent() && scales().isEmpty()) {
            tickets.add(Slip.quiet(
                    "Compare the power scales of sender and controller before you call it age: bench Controller."));
        }
        now.finding().flatMap(TrendFinding::wear).ifPresent(wear -> tickets.add(Slip.quiet(TrendFigure.larger(wear))));
        return tickets;
    }

    @Override
    public Optional<Node> otherSchool(Showing<TrendReadings, TrendFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        }
        List<TrendPast.Found> past = switch (form().chosen(BY)) {
            case CURRENT -> TrendPast.current(place());
            case GRID -> List.of();
            default -> TrendPast.watts(place());
        };
        VBox links = new VBox();
        if (form().chosen(BY).equals(GRID)) {
            links.getChildren()
                    .addAll(
                            FromFile.link(
                                    place().workplace(),
                                    "read-photo",
                                    "Read a photo of the cells",
                                    "A row of ten cells, 10 to 100 %, on the same material each time: how much they stand out is"
                                            + " the score.",
                                    this::take),
                            CellsRow.toBurn(place().workplace()));
        }
        past.stream().limit(MOST_TESTS).forEach(found -> links.getChildren().add(fill(found, links)));
        return links.getChildren().isEmpty() ? Optional.empty() : Optional.of(links);
    }

    @Override
    public boolean takesFiles() {
        return form().chosen(BY).equals(GRID);
    }

    /** A photo of the cells: their score stands in the next row, at the beam hours of now where those are counted. */
    @Override
    public Optional<String> take(File file) {
        if (!Thumbnail.isNamedLikeOne(file.getName())) {
            return Optional.of("the score is read off a photo of the cells: a JPEG or a PNG");
        }
        CellsRow.read(place().workplace(), covered(), file, score -> {
            int row = IntStream.range(0, MOST)
                    .filter(each -> text(value(each)).isEmpty())
                    .findFirst()
                    .orElse(MOST - 1);
            Map<String, Draft.Text> typed = new HashMap<>();
            Draft.put(typed, value(row), CellsRow.words(score));
            place().found("beam-hours", BeamHoursFinding.class)
                    .filter(counted -> text(hours(row)).isEmpty())
                    .ifPresent(counted ->
                            Draft.put(typed, hours(row), String.format(Locale.ROOT, "%.1f", counted.hours())));
            place().draft().typeAll(typed);
            photo = Optional.of(new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())));
            place().workplace().tell("The score stands in its row. The photo goes along with the entry.");
        });
        return Optional.empty();
    }

    @Override
    public List<NewAttachment> attachments() {
        return form().chosen(BY).equals(GRID) ? photo.stream().toList() : List.of();
    }

    /** Tests and events as they stand in the Logbook, in their rows. */
    private Node fill(TrendPast.Found found, VBox among) {
        int tests = found.record().history().size();
        int events = found.record().events().size();
        Hyperlink fill = new Hyperlink("Fill in from the record: " + tests + (tests == 1 ? " test " : " tests ")
                + found.test() + ", " + events + (events == 1 ? " event" : " events"));
        fill.setId("fill-past"
                + (among.getChildren().isEmpty() ? "" : among.getChildren().size()));
        fill.setWrapText(true);
        fill.setOnAction(event -> {
            place().draft().typeAll(TrendPast.typed(found.record(), place().draft(), MOST));
            place().workplace()
                    .tell(
                            found.record().unplaced() == 0
                                    ? "What is on record stands in its place, at its beam hours."
                                    : "Left out, as no beam hours of this source are counted for them: "
                                            + found.record().unplaced() + " tests and events.");
        });
        return fill;
    }

    static String hours(int row) {
        return "history[" + row + "].hours";
    }

    static String value(int row) {
        return "history[" + row + "].value";
    }

    static List<String> pieces(String text) {
        return text.isBlank() ? List.of() : Kind.Many.pieces(text);
    }

    @Override
    public String next() {
        if (form().chosen(BY).equals(GRID) && form().filledRows().size() < 3) {
            return "Burn the row of cells, then count those that you can see, or read a photo: always in the same way.";
        }
        return form().filledRows().size() < 3
                ? "Type three tests or more: the beam hours, and what the same test came to."
                : text(REPLACED).isEmpty() ? super.next() : "Type three tests or more of the source that is in now.";
    }
}
