package zebrawood.benches.level;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.core.level.TiltFinding;
import zebrawood.core.level.TiltReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/** The ring of a lens from above: gaps typed round it, the mounts row by row, and the shims of the drawer. */
public final class TiltBench extends FormBench<TiltReadings, TiltFinding> {

    private static final String RING = "ringMm";
    private static final String SHIMS = "shims";
    private static final int MOST_MOUNTS = 4;

    /** places round the ring, from the right and against the clock */
    static final int PLACES = 4;

    private static final List<String> NAMES = List.of("right", "back", "left", "front");

    public static final FieldList FIELDS = listed();

    private static FieldList listed() {
        Stream<Field> gaps = IntStream.range(0, PLACES)
                .mapToObj(i -> Field.amount(gap(i), "gap, " + NAMES.get(i), Quantity.LENGTH)
                        .own()
                        .pinned());
        Stream<Field> others = Stream.of(
                Field.amount(RING, "ring, across", Quantity.LENGTH).own(),
                Field.amount("fieldMm", "field, side", Quantity.LENGTH).needed(),
                Field.many(SHIMS, "shims in the drawer", Quantity.LENGTH).empty("any thickness"),
                Field.count(
                        "maxShimsPerMount",
                        "on one mount",
                        List.of(
                                new Choice("", "3 shims"),
                                new Choice("1", "1 shim"),
                                new Choice("2", "2 shims"),
                                new Choice("4", "4 shims"),
                                new Choice("5", "5 shims"))),
                Field.oneOf(
                        "shimRaises",
                        "a shim lifts",
                        List.of(new Choice("", "the head"), new Choice("table", "the table"))),
                Field.amount("toleranceMm", "field may differ by", Quantity.LENGTH)
                        .usually(Amount.mm(TiltReadings.TOLERANCE_MM, 1)),
                Field.amount("gapErrorMm", "a gap is read to", Quantity.LENGTH)
                        .usually(Amount.mm(TiltReadings.GAP_ERROR_MM, 2)));
        return FieldList.of(Stream.concat(gaps, others).toArray(Field[]::new))
                .rows(
                        "mounts",
                        MOST_MOUNTS,
                        Field.words("name", "mount"),
                        Field.amount("xMm", "right of the lens", Quantity.LENGTH),
                        Field.amount("yMm", "behind the lens", Quantity.LENGTH),
                        Field.oneOf(
                                "joint",
                                "its joint sets",
                                List.of(
                                        new Choice("", "both ways"),
                                        new Choice("X", "left–right"),
                                        new Choice("Y", "front–back"))));
    }

    static String gap(int place) {
        return "gaps[" + place + "].read";
    }

    public TiltBench(BenchPlace place) {
        super(place, FIELDS, "the ring and its mounts from above, to scale, front at the foot", known(place));
        for (int i = 0; i < PLACES; i++) {
            int at = i;
            form().pin(gap(i), (width, height) -> TiltFigure.field(width, height, at));
        }
    }

    private static Map<String, Amount> known(BenchPlace place) {
        return place.plate()
                .bed()
                .map(field -> Map.of("fieldMm", Amount.told(Quantity.LENGTH, Math.max(field.xMm(), field.yMm()))))
                .orElse(Map.of());
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        Optional<Double> ring = sheet.aside(RING, Quantity.LENGTH).filter(across -> across > 0);
        int given = 0;
        for (int i = 0; i < PLACES; i++) {
            String at = "points[" + given + "].";
            if (sheet.amount(gap(i), at + "gapMm", Quantity.LENGTH).isPresent()) {
                double angle = i * 2 * Math.PI / PLACES;
                sheet.number(at + "xMm", Math.rint(ring.orElse(0.0) * 500 * Math.cos(angle)) / 1000);
                sheet.number(at + "yMm", Math.rint(ring.orElse(0.0) * 500 * Math.sin(angle)) / 1000);
                given++;
            }
        }
        if (ring.isEmpty()) {
            sheet.lacks("the ring");
        }
        if (given < 3) {
            sheet.lacks("gaps");
        }
        if (form().filledRows().size() < 3) {
            sheet.lacks("mounts");
        }
    }

    @Override
    public Map<String, Draft.Text> texts(TiltReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        for (int k = 0; k < readings.points().size(); k++) {
            TiltReadings.Point point = readings.points().get(k);
            texts.put(RING, Draft.retyped(null, 2 * Math.hypot(point.xMm(), point.yMm()), Quantity.LENGTH));
            int place = Math.floorMod(Math.round(Math.atan2(point.yMm(), point.xMm()) / (Math.PI / 2)), PLACES);
            if (whole) {
                texts.put(
                        gap(place),
                        Draft.retyped(asTyped.get("points[" + k + "].gapMm"), point.gapMm(), Quantity.LENGTH));
            }
        }
        return texts;
    }

    @Override
    public String next() {
        for (int i = 0; i < PLACES; i++) {
            if (text(gap(i)).isEmpty()) {
                return "Read the gap at the ring's " + NAMES.get(i) + ".";
            }
        }
        if (text(RING).isEmpty()) {
            return "Type how far across the ring the gaps were read.";
        }
        return form().filledRows().size() < 3 ? "Type three mounts or more: where shims go." : super.next();
    }

    @Override
    public Optional<Node> missing() {
        return Stream.concat(IntStream.range(0, PLACES).mapToObj(TiltBench::gap), Stream.of(RING))
                .filter(field -> text(field).isEmpty())
                .findFirst()
                .or(() -> form().filledRows().size() < 3
                        ? Optional.of("mounts["
                                + Math.min(MOST_MOUNTS - 1, form().filledRows().size()) + "].name")
                        : Optional.empty())
                .map(field -> form().field(field).field());
    }

    @Override
    protected String head(Showing<TiltReadings, TiltFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "Across the field the height differs by "
                        + Amount.mm(found.acrossFieldMm(), 2).number(units) + " ± "
                        + Amount.mm(found.acrossUncertaintyMm(), 2).text(units))
                .orElse("Whether the head stands straight over the table");
    }

    @Override
    protected Figure figure(Showing<TiltReadings, TiltFinding> now, UnitChoice units) {
        return TiltFigure.of(now.finding(), true, units);
    }
}
