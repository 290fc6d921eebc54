package zebrawood.benches.level;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.level.BedFinding;
import zebrawood.core.level.BedReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/** A bed from above: each gap typed where it is read, and what each screw is to do about it. */
public final class BedBench extends FormBench<BedReadings, BedFinding> {

    static final double INSET_MM = 40;
    static final String INSET = "insetMm";
    static final String SCREWS = "standsOn";
    static final String SCREW_INSET = "screwInsetMm";
    static final String PITCH = "pitchMm";
    static final String SCHOOL = "school";
    private static final String GAUGE = "";
    private static final String TWICE = "twice";
    private static final String FEELERS = "feelers";
    private static final String THREE_FRONT = "three-front";
    private static final String THREE_BACK = "three-back";

    private static final List<Integer> USUAL = List.of(0, 2, 8, 6, 4);

    public static final FieldList FIELDS = listed();

    private static FieldList listed() {
        Stream<Field> gaps = Stream.concat(
                        USUAL.stream(), IntStream.range(0, 9).boxed().filter(i -> !USUAL.contains(i)))
                .flatMap(i -> Stream.of(
                        Field.amount(gap(i), "gap, " + BedPlan.PLACES.get(i), Quantity.LENGTH)
                                .own()
                                .pinned(),
                        Field.amount(again(i), "second gap, " + BedPlan.PLACES.get(i), Quantity.LENGTH)
                                .own()
                                .pinned()));
        Stream<Field> others = Stream.of(
                Field.amount(PITCH, "a turn lifts", Quantity.LENGTH).own().needed(),
                Field.oneOf(
                                SCREWS,
                                "stands on",
                                List.of(
                                        new Choice("", "4 screws"),
                                        new Choice(THREE_FRONT, "3, 2 in front"),
                                        new Choice(THREE_BACK, "3, 2 behind")))
                        .own(),
                Field.oneOf(
                        "fixedScrew",
                        "fixed screw",
                        List.of(
                                new Choice("", "none"),
                                new Choice("A", "screw A"),
                                new Choice("B", "screw B"),
                                new Choice("C", "screw C"),
                                new Choice("D", "screw D"))),
                Field.oneOf(
                        "raises",
                        "to lift, turn",
                        List.of(
                                new Choice("", "not known"),
                                new Choice("clockwise", "clockwise"),
                                new Choice("anticlockwise", "anticlockwise"))),
                Field.oneOf(
                                SCHOOL,
                                "gaps read",
                                List.of(
                                        new Choice(GAUGE, "once"),
                                        new Choice(TWICE, "twice"),
                                        new Choice(FEELERS, "by feelers")))
                        .own(),
                Field.amount("blockMm", "block", Quantity.LENGTH).empty("with feelers"),
                Field.amount("gaugeErrorMm", "read to ±", Quantity.LENGTH).empty("not known"),
                Field.amount("toleranceMm", "tolerance", Quantity.LENGTH)
                        .usually(Amount.mm(BedReadings.TOLERANCE_MM, 1)),
                Field.amount(INSET, "gap inset", Quantity.LENGTH)
                        .usually(Amount.mm(INSET_MM, 0))
                        .own(),
                Field.amount(SCREW_INSET, "screw inset", Quantity.LENGTH)
                        .usually(Amount.mm(0, 0))
                        .own());
        return FieldList.of(Stream.concat(gaps, others).toArray(Field[]::new))
                .listed(
                        "",
                        "points",
                        "name",
                        Field.amount("gapMm", "gap", Quantity.LENGTH),
                        Field.amount("againMm", "again", Quantity.LENGTH),
                        Field.amount("feelerMm", "feeler", Quantity.LENGTH))
                .listed("screw ", "screws", "name", Field.amount("pitchMm", "a turn", Quantity.LENGTH));
    }

    static String gap(int place) {
        return "gaps[" + place + "].first";
    }

    static String again(int place) {
        return "gaps[" + place + "].again";
    }

    private final Practising practice;
    private final double bedX;

    private final double bedY;
    private double inset = INSET_MM;
    private List<BedFinding.Screw> stands = List.of();

    public BedBench(BenchPlace place) {
        super(place, FIELDS, caption(place));
        practice = new Practising(place);
        form().narrow();
        Plate.Bed bed =
                place.plate().bed().orElse(new Plate.Bed(600, 400, OptionalDouble.empty(), OptionalDouble.empty()));
        bedX = bed.xMm();
        bedY = bed.yMm();
        for (int i = 0; i < BedPlan.PLACES.size(); i++) {
            int at = i;
            form().pin(
                            gap(i),
                            (width, height) -> BedFigure.plan(width, height, bedX, bedY)
                                    .field(at, inset, twice() ? -BedPlan.FIELD_HEIGHT / 2 - 1 : 0));
            form().pin(
                            again(i),
                            (width, height) -> BedFigure.plan(width, height, bedX, bedY)
                                    .field(at, inset, BedPlan.FIELD_HEIGHT / 2 + 1));
        }
    }

    @Override
    public Optional<String> notForTheRecord() {
        return practice.notForTheRecord();
    }

    /** Practice: a pretend bed, its gauge and its screws. */
    @Override
    public Optional<Node> otherSchool(Showing<BedReadings, BedFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        } else if (!practice.isOn()) {
            return Optional.of(Practising.offer("a pretend bed", () -> BedPractice.begin(practice, place().draft())));
        }
        return Optional.of(practice.shown("a pretend bed"));
    }

    @Override
    public List<Node> steps(Showing<BedReadings, BedFinding> now) {
        if (!practice.isOn() || !now.measuring()) {
            return List.of();
        }
        BedPractice bed = new BedPractice(practice, bedX, bedY, inset);
        Optional<BedFinding> found = now.finding();
        if (found.isEmpty()) {
            return practice.step(Optional.empty(), "practice-gauge", "Read the gauge", () -> bed.gauge(USUAL));
        }
        String came = bed.came(found.get(), place().units());
        return now.outcome().map(Outcome::verdict).equals(Optional.of(Verdict.ADJUST))
                ? practice.step(
                        Optional.of(came), "practice-turn", "Turn the screws as said", () -> bed.turn(found.get()))
                : practice.ended(came);
    }

    /** What the depth of focus of the lens would allow, where a ramp told it. */
    private static String caption(BenchPlace place) {
        String caption = "the bed from above, to scale, front at the foot; gaps from the datum down";
        return place.found("focus-ramp", RampFinding.class)
                .map(RampFinding::depthOfFocusMm)
                .filter(OptionalDouble::isPresent)
                .map(depth -> caption + "; the focus would allow "
                        + Amount.mm(BedReadings.allowedByFocusMm(depth.getAsDouble()), 2)
                                .most()
                                .text(place.units()))
                .orElse(caption);
    }

    private boolean twice() {
        return text(SCHOOL).equals(TWICE);
    }

    private boolean byFeelers() {
        return text(SCHOOL).equals(FEELERS);
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        double most = Math.min(bedX, bedY) / 3;
        inset = Math.max(0, Math.min(most, sheet.aside(INSET, Quantity.LENGTH).orElse(INSET_MM)));
        int given = 0;
        for (int i : order()) {
            if (text(gap(i)).isEmpty()) {
                continue;
            }
            String at = "points[" + given + "].";
            if (sheet.amount(gap(i), at + (byFeelers() ? "feelerMm" : "gapMm"), Quantity.LENGTH)
                    .isPresent()) {
                sheet.word(at + "name", BedPlan.PLACES.get(i));
                sheet.number(at + "xMm", BedPlan.placeXMm(i, bedX, inset));
                sheet.number(at + "yMm", BedPlan.placeYMm(i, bedY, inset));
                if (twice()) {
                    sheet.amount(again(i), at + "againMm", Quantity.LENGTH);
                }
                given++;
            }
        }
        if (given < 3) {
            sheet.lacks("gaps");
        }
        screws(sheet);
    }

    private static List<Integer> order() {
        return Stream.concat(USUAL.stream(), IntStream.range(0, 9).boxed().filter(i -> !USUAL.contains(i)))
                .toList();
    }

    private void screws(Worksheet sheet) {
        double in = sheet.aside(SCREW_INSET, Quantity.LENGTH).orElse(0.0);
        double[][] stand = {{in, in}, {bedX - in, in}, {bedX - in, bedY - in}, {in, bedY - in}};
        if (text(SCREWS).equals(THREE_FRONT)) {
            stand = new double[][] {stand[0], stand[1], {bedX / 2, bedY - in}};
        } else if (text(SCREWS).equals(THREE_BACK)) {
            stand = new double[][] {{bedX / 2, in}, stand[2], stand[3]};
        }
        List<BedFinding.Screw> drawn = new ArrayList<>();
        for (int i = 0; i < stand.length; i++) {
            drawn.add(new BedFinding.Screw(name(i), stand[i][0], stand[i][1], 0, 0));
            String at = "screws[" + i + "].";
            if (sheet.amount(PITCH, at + "pitchMm", Quantity.LENGTH).isPresent()) {
                sheet.word(at + "name", name(i));
                sheet.number(at + "xMm", stand[i][0]);
                sheet.number(at + "yMm", stand[i][1]);
            }
        }
        stands = drawn;
    }

    private static String name(int screw) {
        return String.valueOf((char) ('A' + screw));
    }

    @Override
    public Map<String, Draft.Text> texts(BedReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        BedReadings.Screw first = readings.screws().get(0);
        texts.put(PITCH, Draft.retyped(asTyped.get("screws[0].pitchMm"), first.pitchMm(), Quantity.LENGTH));
        boolean three = readings.screws().size() == 3;
        Draft.put(texts, SCREWS, !three ? "" : first.xMm() * 2 == bedX ? THREE_BACK : THREE_FRONT);
        texts.put(SCREW_INSET, Draft.retyped(null, first.yMm(), Quantity.LENGTH));
        if (first.yMm() == 0) {
            texts.remove(SCREW_INSET);
        }
        boolean again =
                readings.points().stream().anyMatch(point -> point.againMm().isPresent());
        boolean felt =
                readings.points().stream().anyMatch(point -> point.feelerMm().isPresent());
        Draft.put(texts, SCHOOL, again ? TWICE : felt ? FEELERS : GAUGE);
        double from = readings.points().stream()
                .mapToDouble(BedReadings.Point::xMm)
                .min()
                .orElse(INSET_MM);
        if (from != INSET_MM && from < bedX / 2) {
            texts.put(INSET, Draft.retyped(null, from, Quantity.LENGTH));
        }
        for (int k = 0; whole && k < readings.points().size(); k++) {
            BedReadings.Point point = readings.points().get(k);
            int place = BedPlan.PLACES.indexOf(point.name());
            if (place >= 0) {
                String at = "points[" + k + "].";
                String kind = point.gapMm().isPresent() ? "gapMm" : "feelerMm";
                double mm = point.gapMm().orElseGet(() -> point.feelerMm().orElse(0));
                texts.put(gap(place), Draft.retyped(asTyped.get(at + kind), mm, Quantity.LENGTH));
                point.againMm()
                        .ifPresent(second -> texts.put(
                                again(place), Draft.retyped(asTyped.get(at + "againMm"), second, Quantity.LENGTH)));
            }
        }
        return texts;
    }

    @Override
    public String next() {
        for (int i : USUAL) {
            if (text(gap(i)).isEmpty()) {
                return (byFeelers() ? "Feel the gap at " : "Read the gap at ") + BedPlan.PLACES.get(i) + ".";
            }
        }
        if (byFeelers() && text("blockMm").isEmpty()) {
            return "Type how thick the block is.";
        }
        return text(PITCH).isEmpty() ? "Type how far one turn of a screw lifts the bed." : super.next();
    }

    @Override
    public Optional<Node> missing() {
        return USUAL.stream()
                .map(BedBench::gap)
                .filter(field -> text(field).isEmpty())
                .findFirst()
                .or(() -> text(PITCH).isEmpty() ? Optional.of(PITCH) : Optional.empty())
                .map(field -> form().field(field).field());
    }

    @Override
    public void show(Showing<BedReadings, BedFinding> now) {
        for (int i = 0; i < BedPlan.PLACES.size(); i++) {
            form().field(again(i)).setVisible(twice());
            form().field(again(i)).field().setVisible(twice());
        }
        super.show(now);
        form().requestLayout();
    }

    @Override
    protected String head(Showing<BedReadings, BedFinding> now, UnitChoice units) {
        return practice.head(now.finding()
                .map(found -> "Over the bed the gap differs by "
                        + Amount.mm(found.rangeMm(), 2).text(units) + ", lowest "
                        + found.lowest().name())
                .orElse("Whether the bed lies level under the head"));
    }

    @Override
    protected Figure figure(Showing<BedReadings, BedFinding> now, UnitChoice units) {
        return BedFigure.of(now.finding(), stands, bedX, bedY, true, units);
    }
}
