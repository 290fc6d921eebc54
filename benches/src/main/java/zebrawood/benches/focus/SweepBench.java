package zebrawood.benches.focus;

import java.io.File;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.focus.SweepFinding;
import zebrawood.core.focus.SweepReadings;
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
import zebrawood.kit.view.FilmFile;

/** Ways through the focus, a row each: which way, from where, how fast, and when it was liveliest. */
public final class SweepBench extends FormBench<SweepReadings, SweepFinding> {

    private static final int MOST_SWEEPS = 12;
    private static final String DIRECTION = "direction";

    private static final Field WAY =
            Field.oneOf(DIRECTION, "way", List.of(new Choice("down", "down"), new Choice("up", "up")));

    private static final Kind.Pairs RECORDING = new Kind.Pairs(
            "tS",
            Quantity.SECONDS,
            "level",
            Quantity.PLAIN,
            "type time and level in pairs, nine or more, such as 0.1 12; 0.2 14; 0.3 19");

    /** enough for the shape of a peak */
    private static final int MOST_SAMPLES = 120;

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount("depthOfFocusMm", "depth of focus", Quantity.LENGTH)
                            .needed(),
                    Field.amount("delayS", "marked late by", Quantity.SECONDS).empty("not known"),
                    Field.amount("delayErrorS", "give or take", Quantity.SECONDS),
                    Field.amount("toleranceMm", "play may be", Quantity.LENGTH).empty("depth / 4"),
                    Field.oneOf(
                            "approach", "height set from", List.of(new Choice("", "above"), new Choice("up", "below"))),
                    Field.words("lens", "lens"))
            .rows(
                    "sweeps",
                    MOST_SWEEPS,
                    WAY,
                    Field.amount("startGapMm", "gap at the start", Quantity.LENGTH),
                    Field.amount("speedMmS", "mm a second", Quantity.PLAIN),
                    Field.amount("markedS", "liveliest after", Quantity.SECONDS).anew(),
                    Field.pairs("samples", "or time and level; ...", RECORDING).anew());

    private final List<NewAttachment> kept = new ArrayList<>();

    public SweepBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "each way through the focus and where it was liveliest; down reads too low, up as much too high",
                GapKnown.fromRamp(place, "depthOfFocusMm", "", ""));
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A recording or a film of one sweep: its level over time. */
    @Override
    public Optional<String> take(File file) {
        boolean film = FilmFile.isNamedLikeOne(file.getName());
        if (!film && !file.getName().toLowerCase(Locale.ROOT).endsWith(".wav")) {
            return Optional.of("the level is read off a recording of one sweep saved as WAV, or a film saved as MP4");
        }
        OptionalInt row = nextRow();
        if (row.isEmpty()) {
            return Optional.of("type way, gap at the start and speed of the next sweep first");
        }
        if (film) {
            new FilmPane(place().workplace(), covered(), seen -> {
                        put(row.getAsInt(), seen.atS(), seen.levels());
                        kept.add(seen.file());
                        place().workplace()
                                .tell("The brightness of sweep " + (row.getAsInt() + 1) + " stands in its row.");
                    })
                    .open(file);
            return Optional.empty();
        }
        new SoundPane(place().workplace(), covered(), List.of("sweep"), heard -> take(row.getAsInt(), heard))
                .open(file);
        return Optional.empty();
    }

    /** The first sweep that was described and has no moment yet. */
    private OptionalInt nextRow() {
        return IntStream.range(0, MOST_SWEEPS)
                .filter(row -> !text("sweeps[" + row + "].startGapMm").isEmpty()
                        && text("sweeps[" + row + "].markedS").isEmpty()
                        && text("sweeps[" + row + "].samples").isEmpty())
                .findFirst();
    }

    private void take(int row, SoundPane.Heard heard) {
        double columnS = heard.sound().columnS();
        int from = (int) Math.round(heard.steps().get(0).fromS() / columnS);
        int to = (int) Math.min(
                heard.sound().columns() - 1, Math.round(heard.steps().get(0).toS() / columnS));
        put(
                row,
                IntStream.range(from, to)
                        .mapToDouble(column -> (column + 0.5 - from) * columnS)
                        .toArray(),
                IntStream.range(from, to)
                        .mapToDouble(column -> heard.marked().level(column))
                        .toArray());
        kept.add(heard.file());
        place().workplace().tell("The level of sweep " + (row + 1) + " stands in its row.");
    }

    /** Puts levels into a row, in means of a few where there are many. */
    private void put(int row, double[] atS, double[] levels) {
        int every = Math.max(1, (levels.length + MOST_SAMPLES - 1) / MOST_SAMPLES);
        StringBuilder pairs = new StringBuilder();
        for (int i = 0; i + every <= levels.length; i += every) {
            pairs.append(pairs.isEmpty() ? "" : "; ")
                    .append(String.format(
                            Locale.ROOT,
                            "%.3f %.3f",
                            Arrays.stream(atS, i, i + every).average().orElseThrow(),
                            Arrays.stream(levels, i, i + every).average().orElseThrow()));
        }
        Map<String, Draft.Text> typed = new HashMap<>();
        Draft.put(typed, "sweeps[" + row + "].samples", pairs.toString());
        place().draft().typeAll(typed);
    }

    @Override
    public List<NewAttachment> attachments() {
        return List.copyOf(kept);
    }

    /** By key, or from a recording. */
    @Override
    public Optional<Node> otherSchool(Showing<SweepReadings, SweepFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        }
        Hyperlink key = new Hyperlink("Time the next sweep by key");
        key.setId("by-key");
        key.setTooltip(new Tooltip("Space as the motion begins, Space again when the spot is liveliest."));
        key.setOnAction(event -> {
            OptionalInt row = nextRow();
            if (row.isEmpty()) {
                place().workplace().tell("Type way, gap at the start and speed of the next sweep first.");
            } else {
                new SweepClock(place().workplace(), covered(), seconds -> time(row.getAsInt(), seconds)).open();
            }
        });
        Node recording = FromFile.link(
                place().workplace(),
                "read-recording",
                "Read a recording or film",
                "A WAV or an MP4 of one sweep: its level over time goes into the next row.",
                this::take);
        return Optional.of(new VBox(key, recording));
    }

    private void time(int row, double seconds) {
        Map<String, Draft.Text> typed = new HashMap<>();
        Draft.put(typed, "sweeps[" + row + "].markedS", String.format(Locale.ROOT, "%.2f", seconds));
        place().draft().typeAll(typed);
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        GapKnown.lens(place(), sheet, text("lens"));
        if (form().filledRows().size() < 2) {
            sheet.lacks("sweeps");
        }
    }

    @Override
    protected String head(Showing<SweepReadings, SweepFinding> now, UnitChoice units) {
        return now.finding()
                .filter(found -> found.bestGapMm().isPresent())
                .map(found -> "Liveliest at a gap of "
                        + Amount.mm(found.bestGapMm().getAsDouble(), 2).text(units)
                        + (found.playMm().isPresent()
                                ? ", play "
                                        + Amount.mm(found.playMm().getAsDouble(), 2)
                                                .text(units)
                                : ""))
                .orElse("Where the spot is liveliest while the height moves");
    }

    @Override
    protected Figure figure(Showing<SweepReadings, SweepFinding> now, UnitChoice units) {
        return SweepFigure.of(now.finding(), units);
    }

    @Override
    public String next() {
        return form().filledRows().size() < 2
                ? "Set the lower end first. Then sweep down, and up, and type when it was liveliest."
                : super.next();
    }
}
