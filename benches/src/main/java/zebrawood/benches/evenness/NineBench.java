package zebrawood.benches.evenness;

import java.io.File;
import java.nio.file.Files;
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
import zebrawood.benches.focus.SquaresPane;
import zebrawood.benches.level.BedPlan;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.evenness.NineFinding;
import zebrawood.core.evenness.NineReadings;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.motion.Setting;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.ToBurn;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Thumbnail;

/** The bed from above: what each of nine test pieces came out like, typed where it was burned. */
public final class NineBench extends FormBench<NineReadings, NineFinding> {

    private static final String QUANTITY = "quantity";
    private static final String CORNER = "cornerOfTheBeam";
    private static final String GAPS = "gapsRead";
    private static final String BEST = "bestGapMm";
    private static final String DEPTH = "depthOfFocusMm";
    private static final String RIDES = "rides";
    private static final String POWER = "burnS";
    private static final String SPEED = "burnMmMin";
    private static final int LEAST_PLACES = 5;
    /** side of a test piece to burn */
    private static final double PIECE_MM = 15;

    private static final int PLACES = BedPlan.PLACES.size();

    public static final FieldList FIELDS = listed();

    private static FieldList listed() {
        Stream<Field> places = IntStream.range(0, PLACES)
                .boxed()
                .flatMap(i -> Stream.of(
                        Field.many(value(i), BedPlan.PLACES.get(i), Quantity.PLAIN)
                                .own()
                                .pinned(),
                        Field.amount(gap(i), "gap, " + BedPlan.PLACES.get(i), Quantity.LENGTH)
                                .own()
                                .pinned()));
        Stream<Field> others = Stream.of(
                Field.oneOf(
                        QUANTITY,
                        "read of each",
                        List.of(
                                new Choice("width", "line width"),
                                new Choice("score", "score 0-10"),
                                new Choice("passes", "passes"))),
                Field.oneOf(
                                CORNER,
                                "beam enters",
                                List.of(
                                        new Choice("", "not known"),
                                        new Choice("front-left", "front left"),
                                        new Choice("front-right", "front right"),
                                        new Choice("back-right", "back right"),
                                        new Choice("back-left", "back left"),
                                        new Choice(RIDES, "on the head")))
                        .own(),
                Field.oneOf(GAPS, "gaps", List.of(new Choice("", "not read"), new Choice("read", "read too")))
                        .own(),
                Field.amount(BEST, "best gap", Quantity.LENGTH),
                Field.amount(DEPTH, "focus depth", Quantity.LENGTH),
                Field.amount("tolerance", "may differ by", Quantity.PLAIN).empty("usual"),
                Field.amount("valueError", "read to ±", Quantity.PLAIN).empty("usual"),
                Field.amount(POWER, "burn at S", Quantity.PLAIN)
                        .empty("for .nc")
                        .own(),
                Field.amount(SPEED, "burn at", Quantity.RATE).empty("for .nc").own());
        return FieldList.of(Stream.concat(places, others).toArray(Field[]::new))
                .listed(
                        "",
                        "places",
                        "name",
                        Field.many("values", "", Quantity.PLAIN),
                        Field.amount("gapMm", "gap", Quantity.LENGTH));
    }

    static String value(int place) {
        return "pieces[" + place + "].values";
    }

    static String gap(int place) {
        return "pieces[" + place + "].gap";
    }

    private final List<NewAttachment> kept = new ArrayList<>();
    private Optional<Double> powerS = Optional.empty();
    private Optional<Double> speedMmMin = Optional.empty();
    private final double bedX;
    private final double bedY;
    private final double inset;

    public NineBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "the bed from above, to scale, front at the foot; several values of a place with blanks between",
                GapKnown.of(place, BEST, DEPTH));
        Plate.Bed bed =
                place.plate().bed().orElse(new Plate.Bed(600, 400, OptionalDouble.empty(), OptionalDouble.empty()));
        bedX = bed.xMm();
        bedY = bed.yMm();
        inset = Math.min(40, Math.min(bedX, bedY) / 8);
        for (int i = 0; i < PLACES; i++) {
            int at = i;
            form().pin(
                            value(i),
                            (width, height) -> NineFigure.plan(width, height, bedX, bedY)
                                    .field(at, inset, withGaps() ? -BedPlan.FIELD_HEIGHT / 2 - 1 : 0));
            form().pin(
                            gap(i),
                            (width, height) -> NineFigure.plan(width, height, bedX, bedY)
                                    .field(at, inset, BedPlan.FIELD_HEIGHT / 2 + 1));
        }
    }

    /** What a ramp told, for where gaps are read too. */
    private static final class GapKnown {
        static Map<String, Amount> of(BenchPlace place, String best, String depth) {
            Map<String, Amount> known = new HashMap<>();
            place.found("focus-ramp", RampFinding.class).ifPresent(ramp -> {
                ramp.bestGapMm().ifPresent(mm -> known.put(best, Amount.mm(Math.rint(mm * 100) / 100, 2)));
                ramp.depthOfFocusMm().ifPresent(mm -> known.put(depth, Amount.mm(Math.rint(mm * 100) / 100, 2)));
            });
            return known;
        }
    }

    private boolean withGaps() {
        return text(GAPS).equals("read");
    }

    /** Where the beam comes in: at a corner of a gantry with mirrors, on the head of a diode. */
    private String corner() {
        String typed = text(CORNER);
        return typed.isEmpty() && place().plate().family() != Family.GANTRY_CO2 ? RIDES : typed;
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        powerS = sheet.aside(POWER, Quantity.PLAIN);
        speedMmMin = sheet.aside(SPEED, Quantity.RATE);
        int given = 0;
        for (int i = 0; i < PLACES; i++) {
            if (text(value(i)).isEmpty()) {
                continue;
            }
            String at = "places[" + given++ + "].";
            sheet.word(at + "name", BedPlan.PLACES.get(i));
            sheet.number(at + "xMm", BedPlan.placeXMm(i, bedX, inset));
            sheet.number(at + "yMm", BedPlan.placeYMm(i, bedY, inset));
            sheet.amounts(value(i), at + "values", Quantity.PLAIN);
            if (withGaps()) {
                sheet.amount(gap(i), at + "gapMm", Quantity.LENGTH);
                if (text(gap(i)).isEmpty()) {
                    sheet.lacks("gaps");
                }
            }
        }
        if (given < LEAST_PLACES) {
            sheet.lacks("places");
        }
        String corner = corner();
        if (corner.contains("-")) {
            sheet.number("sourceCorner.xMm", corner.endsWith("right") ? bedX : 0);
            sheet.number("sourceCorner.yMm", corner.startsWith("back") ? bedY : 0);
        } else if (corner.isEmpty()) {
            sheet.lacks("the corner of the beam");
        }
    }

    @Override
    public Map<String, Draft.Text> texts(NineReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        Draft.put(
                texts,
                CORNER,
                readings.sourceCorner()
                        .map(corner -> (corner.yMm() > 0 ? "back-" : "front-") + (corner.xMm() > 0 ? "right" : "left"))
                        .orElse(RIDES));
        boolean gaps = readings.places().get(0).gapMm().isPresent();
        Draft.put(texts, GAPS, gaps ? "read" : "");
        for (int k = 0; whole && k < readings.places().size(); k++) {
            NineReadings.Place place = readings.places().get(k);
            int i = BedPlan.PLACES.indexOf(place.name());
            if (i >= 0) {
                String at = "places[" + k + "].";
                texts.put(value(i), Draft.retypedAll(asTyped.get(at + "values"), place.values(), Quantity.PLAIN));
                place.gapMm()
                        .ifPresent(
                                mm -> texts.put(gap(i), Draft.retyped(asTyped.get(at + "gapMm"), mm, Quantity.LENGTH)));
            }
        }
        return texts;
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A photo of the pieces side by side: how sharp each is becomes its score, the sharpest has 10. */
    @Override
    public Optional<String> take(File file) {
        if (!Thumbnail.isNamedLikeOne(file.getName())) {
            return Optional.of("scores are read off a photo of the nine pieces: a JPEG or a PNG");
        }
        new SquaresPane(place().workplace(), covered(), BedPlan.PLACES, contrasts -> {
                    double most = contrasts.stream()
                            .mapToDouble(Double::doubleValue)
                            .max()
                            .orElse(0);
                    Map<String, Draft.Text> typed = new HashMap<>();
                    for (int i = 0; i < PLACES; i++) {
                        double score = most > 0 ? 10 * contrasts.get(i) / most : 0;
                        Draft.put(typed, value(i), String.format(Locale.ROOT, "%.1f", score));
                    }
                    Draft.put(typed, QUANTITY, "score");
                    place().draft().typeAll(typed);
                    kept.clear();
                    kept.add(new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())));
                    place().workplace()
                            .tell("The score of each piece stands at its place. The photo goes along with the entry.");
                })
                .open(file);
        return Optional.empty();
    }

    @Override
    public List<NewAttachment> attachments() {
        return text(QUANTITY).equals("score") ? List.copyOf(kept) : List.of();
    }

    @Override
    public Optional<Node> otherSchool(Showing<NineReadings, NineFinding> now) {
        Node burn = ToBurn.link(
                place().workplace(),
                "the pieces",
                "nine-places",
                () -> Patterns.nine(bedX, bedY, inset, Math.min(PIECE_MM, inset)),
                pattern -> Setting.inTheMiddle(pattern, place().plate(), powerS, speedMmMin));
        Node photo = FromFile.link(
                place().workplace(),
                "read-photo",
                "Read a photo of the pieces",
                "The nine pieces side by side in one photo, from front left along each row to back right.",
                this::take);
        return Optional.of(now.measuring() ? new VBox(photo, burn) : burn);
    }

    @Override
    public String next() {
        if (corner().isEmpty()) {
            return "Say at which corner the beam comes in.";
        }
        for (int i = 0; i < PLACES; i++) {
            if (text(value(i)).isEmpty()) {
                return "Read the test piece at " + BedPlan.PLACES.get(i) + ".";
            }
            if (withGaps() && text(gap(i)).isEmpty()) {
                return "Read the gap at " + BedPlan.PLACES.get(i) + ".";
            }
        }
        return super.next();
    }

    @Override
    public Optional<Node> missing() {
        return IntStream.range(0, PLACES)
                .boxed()
                .flatMap(i -> withGaps() ? Stream.of(value(i), gap(i)) : Stream.of(value(i)))
                .filter(field -> text(field).isEmpty())
                .findFirst()
                .map(field -> form().field(field).field());
    }

    @Override
    public void show(Showing<NineReadings, NineFinding> now) {
        for (int i = 0; i < PLACES; i++) {
            form().field(gap(i)).setVisible(withGaps());
            form().field(gap(i)).field().setVisible(withGaps());
        }
        super.show(now);
        form().requestLayout();
    }

    @Override
    protected String head(Showing<NineReadings, NineFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> switch (found.likeliest()) {
                    case SLOPE -> "It changes evenly from one side to the other";
                    case PATH -> "It gets worse the longer the beam's way is";
                    case BOWL -> "The middle differs from the edges";
                    case ODD_PLACE -> "One place differs from all others";
                    case GAP -> "It follows the gap";
                    case SCATTER -> "The places differ, and no pattern is in it";
                    case EVEN -> "No pattern is seen over the bed";
                })
                .orElse("Whether it comes out alike all over the bed");
    }

    @Override
    protected Figure figure(Showing<NineReadings, NineFinding> now, UnitChoice units) {
        return NineFigure.of(now.finding(), bedX, bedY, corner(), true, units);
    }
}
