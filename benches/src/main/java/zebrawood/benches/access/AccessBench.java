package zebrawood.benches.access;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import zebrawood.core.access.AccessFinding;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/**
 * Doors and corners in the order of the way, a row each, and the walls around the machine's place, which is dragged and
 * turned in its room.
 */
public final class AccessBench extends FormBench<AccessReadings, AccessFinding> {

    private static final String WAY = "way";
    /** doors and corners on one way, and as many as fit under the plan */
    private static final int MOST = 8;

    private static final String DOOR = "";
    private static final String CORNER = "corner";
    private static final String OTHER_DOOR = "other door";
    private static final String OTHER_CORNER = "other corner";
    private static final String OTHER_NAME = "the other way";
    private static final List<String> SIDES = List.of("rear", "left", "right", "front");
    /** of a machine whose plate says no size, mm, only to be drawn */
    private static final double WIDE = 1200;
    /** of a machine whose plate says no size, mm, only to be drawn */
    private static final double DEEP = 800;
    /** mm by which an arrow key moves the machine */
    private static final double STEP = 10;

    private static final Field[] DOOR_SIZES = {
        Field.amount("widthMm", "wide", Quantity.LENGTH),
        Field.amount("heightMm", "high", Quantity.LENGTH),
        Field.amount("leafOffMm", "wide with the leaf off", Quantity.LENGTH)
    };
    private static final Field[] CORNER_SIZES = {
        Field.amount("approachWidthMm", "wide before it", Quantity.LENGTH),
        Field.amount("exitWidthMm", "wide after it", Quantity.LENGTH)
    };
    private static final List<String> SIZE =
            List.of("machine.widthMm", "machine.depthMm", "machine.heightMm", "machine.massKg");

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount(SIZE.get(0), "machine, wide", Quantity.LENGTH).needed(),
                    Field.amount(SIZE.get(1), "deep", Quantity.LENGTH).needed(),
                    Field.amount(SIZE.get(2), "high", Quantity.LENGTH).needed(),
                    Field.amount(SIZE.get(3), "mass", Quantity.MASS).needed(),
                    Field.amount("marginMm", "clearance", Quantity.LENGTH).usually(Amount.mm(20, 0)),
                    Field.count("feet", "feet", List.of(new Choice("", "four"), new Choice("3", "three"))),
                    Field.amount("floorRatingKPa", "floor rating", Quantity.FLOOR_LOAD)
                            .empty("not known"),
                    Field.amount("footRatingN", "under one foot", Quantity.FORCE)
                            .empty("not known"),
                    wall("rear", "available", "free"),
                    wall("rear", "needed", "needed"),
                    wall("left", "available", "free"),
                    wall("left", "needed", "needed"),
                    wall("right", "available", "free"),
                    wall("right", "needed", "needed"),
                    wall("front", "available", "free"),
                    wall("front", "needed", "needed"))
            .ownRows(
                    WAY,
                    MOST,
                    true,
                    Field.oneOf(
                            "kind",
                            "what",
                            List.of(
                                    new Choice(DOOR, "door, gate"),
                                    new Choice(CORNER, "corner"),
                                    new Choice(OTHER_DOOR, "other door"),
                                    new Choice(OTHER_CORNER, "other corner"))),
                    Field.words("name", "called"),
                    Field.amount("a", "wide; before it", Quantity.LENGTH),
                    Field.amount("b", "high; after it", Quantity.LENGTH),
                    Field.amount("off", "wide, leaf off", Quantity.LENGTH))
            .listed("", "openings", "name", DOOR_SIZES)
            .listed("", "corners", "name", CORNER_SIZES)
            .listed("other way: ", "other.openings", "name", DOOR_SIZES)
            .listed("other way: ", "other.corners", "name", CORNER_SIZES)
            .listed(
                    "",
                    "walls",
                    "side",
                    Field.amount("availableMm", "free", Quantity.LENGTH),
                    Field.amount("neededMm", "needed", Quantity.LENGTH));

    private static Field wall(String side, String what, String word) {
        return Field.amount(side + "." + what + "Mm", side + ", " + word, Quantity.LENGTH)
                .own()
                .pinned();
    }

    private final Button turn = new Button("Turn");
    private Optional<AccessFigure.Way> way = Optional.empty();
    private RoomPlan.Place around = new RoomPlan.Place(WIDE, DEEP, Map.of(), Map.of());
    private final Region grip = new Region();
    private Held held = new Held(0, 0, 1, Map.of());

    /** Where the machine was taken hold of, and what was free around it then. */
    private record Held(double x, double y, double scale, Map<String, Double> free) {}

    public AccessBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "from above, to scale; doors, floors and lifting are for people who do that work",
                known(place));
        form().narrow();
        for (String side : SIDES) {
            form().pin(
                            side + ".availableMm",
                            (width, height) -> plan(width, height).field(side, false));
            form().pin(
                            side + ".neededMm",
                            (width, height) -> plan(width, height).field(side, true));
        }
        turn.setId("turn");
        turn.getStyleClass().add("pill");
        turn.setOnAction(event -> turnRound());
        form().pin(
                        turn,
                        (width, height) ->
                                new Path.Box(width * 0.60 - RoomPlan.FIELD - 16, height - 34, RoomPlan.FIELD + 4, 32));
        grip.setId("grip");
        grip.getStyleClass().add("grip");
        grip.setFocusTraversable(true);
        grip.setAccessibleRole(AccessibleRole.NODE);
        grip.setAccessibleText("the machine at its place; arrow keys move it by 10 mm");
        grip.setOnMousePressed(this::take);
        grip.setOnMouseDragged(this::drag);
        grip.setOnMouseReleased(event -> place.draft().endStep());
        grip.setOnKeyPressed(this::arrows);
        form().pin(
                        grip,
                        (width, height) ->
                                plan(width, height).machine(plan(width, height).scale()));
    }

    /** Size and mass, as the plate says. */
    private static Map<String, Amount> known(BenchPlace place) {
        Map<String, Amount> known = new HashMap<>();
        place.plate().size().ifPresent(size -> {
            known.put(SIZE.get(0), Amount.told(Quantity.LENGTH, size.widthMm()));
            known.put(SIZE.get(1), Amount.told(Quantity.LENGTH, size.depthMm()));
            known.put(SIZE.get(2), Amount.told(Quantity.LENGTH, size.heightMm()));
            size.massKg().ifPresent(kg -> known.put(SIZE.get(3), Amount.told(Quantity.MASS, kg)));
        });
        return known;
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        Map<String, Integer> counts = new HashMap<>();
        for (int row : form().filledRows()) {
            row(sheet, row, counts);
        }
        int wall = 0;
        for (String side : SIDES) {
            if (!place().draft().text(side + ".availableMm").isBlank()
                    || !place().draft().text(side + ".neededMm").isBlank()) {
                sheet.word("walls[" + wall + "].side", side);
                sheet.amount(side + ".availableMm", "walls[" + wall + "].availableMm", Quantity.LENGTH);
                sheet.amount(side + ".neededMm", "walls[" + wall + "].neededMm", Quantity.LENGTH);
                if (place().draft().text(side + ".neededMm").isBlank()) {
                    sheet.number("walls[" + wall + "].neededMm", 0);
                }
                wall++;
            }
        }
    }

    private void row(Worksheet sheet, int row, Map<String, Integer> counts) {
        String field = WAY + "[" + row + "].";
        String kind = form().chosen(field + "kind");
        boolean isDoor = kind.equals(DOOR) || kind.equals(OTHER_DOOR);
        boolean isOther = kind.startsWith("other");
        String list = (isOther ? "other." : "") + (isDoor ? "openings" : "corners");
        int index = counts.merge(list, 1, Integer::sum) - 1;
        String at = list + "[" + index + "].";
        if (isOther) {
            sheet.word("other.name", OTHER_NAME);
        }
        if (place().draft().text(field + "name").isBlank()) {
            sheet.word(at + "name", (isDoor ? "door " : "corner ") + (index + 1));
        } else {
            sheet.words(field + "name", at + "name");
        }
        sheet.amount(field + "a", at + (isDoor ? "widthMm" : "approachWidthMm"), Quantity.LENGTH);
        sheet.amount(field + "b", at + (isDoor ? "heightMm" : "exitWidthMm"), Quantity.LENGTH);
        if (isDoor) {
            sheet.amount(field + "off", at + "leafOffMm", Quantity.LENGTH);
        } else {
            sheet.number(at + "openingsBefore", counts.getOrDefault((isOther ? "other." : "") + "openings", 0));
        }
    }

    @Override
    public void show(Showing<AccessReadings, AccessFinding> now) {
        way = now.finding()
                .map(finding -> new AccessFigure.Way(now.readings().orElseThrow(), finding, true))
                .or(() -> way.filter(before -> !form().filledRows().isEmpty())
                        .map(before -> new AccessFigure.Way(before.readings(), before.finding(), false)));
        around = around(now);
        grip.setDisable(!now.measuring() || around.free().isEmpty());
        turn.setVisible(now.measuring() && !around.free().isEmpty());
        super.show(now);
        form().requestLayout();
    }

    @Override
    protected String head(Showing<AccessReadings, AccessFinding> now, UnitChoice units) {
        return now.finding().map(finding -> tightest(finding.tightest(), units)).orElse("From the gate to its place");
    }

    private static String tightest(AccessFinding.Passage passage, UnitChoice units) {
        String spare = Amount.mm(Math.abs(passage.spareMm()), 0).text(units);
        String says = passage.spareMm() < 0
                ? " is too tight by " + spare
                : passage.fits() ? " is tightest and leaves " + spare : " leaves only " + spare;
        return Character.toUpperCase(passage.name().charAt(0)) + passage.name().substring(1) + says;
    }

    @Override
    protected String inWords(String head) {
        return head + ", in plan";
    }

    @Override
    protected Figure figure(Showing<AccessReadings, AccessFinding> now, UnitChoice units) {
        return AccessFigure.of(way, around, true, units);
    }

    /** The machine and what is around it, as far as that is typed. */
    private RoomPlan.Place around(Showing<AccessReadings, AccessFinding> now) {
        if (now.readings().isPresent()) {
            return RoomPlan.Place.of(now.readings().get());
        }
        Map<String, Double> free = new HashMap<>();
        Map<String, Double> needed = new HashMap<>();
        for (String side : SIDES) {
            now.filled().understood(side + ".availableMm").filter(mm -> mm >= 0).ifPresent(mm -> free.put(side, mm));
            now.filled().understood(side + ".neededMm").filter(mm -> mm >= 0).ifPresent(mm -> needed.put(side, mm));
        }
        Optional<Plate.Size> size = place().plate().size();
        return new RoomPlan.Place(
                now.filled()
                        .understood(SIZE.get(0))
                        .filter(mm -> mm > 0)
                        .or(() -> size.map(Plate.Size::widthMm))
                        .orElse(WIDE),
                now.filled()
                        .understood(SIZE.get(1))
                        .filter(mm -> mm > 0)
                        .or(() -> size.map(Plate.Size::depthMm))
                        .orElse(DEEP),
                free,
                needed);
    }

    private RoomPlan plan(double width, double height) {
        return new RoomPlan(width, height, around);
    }

    private void take(MouseEvent event) {
        grip.requestFocus();
        event.consume();
        place().draft().endStep();
        held = new Held(
                event.getSceneX(),
                event.getSceneY(),
                plan(form().drawing().getWidth(), form().drawing().getHeight()).scale(),
                around.free());
    }

    private void drag(MouseEvent event) {
        move(held.free(), "left", "right", (event.getSceneX() - held.x()) / held.scale());
        move(held.free(), "rear", "front", (event.getSceneY() - held.y()) / held.scale());
    }

    private void arrows(KeyEvent event) {
        double across = event.getCode() == KeyCode.RIGHT ? STEP : event.getCode() == KeyCode.LEFT ? -STEP : 0;
        double down = event.getCode() == KeyCode.DOWN ? STEP : event.getCode() == KeyCode.UP ? -STEP : 0;
        if (across != 0 || down != 0) {
            Map<String, Double> free = around.free();
            move(free, "left", "right", across);
            move(free, "rear", "front", down);
            event.consume();
        }
    }

    /** What is free on one side becomes free on the other. */
    private void move(Map<String, Double> free, String from, String to, double mm) {
        double most = free.getOrDefault(to, Double.POSITIVE_INFINITY);
        double least = -free.getOrDefault(from, Double.POSITIVE_INFINITY);
        double moved = Math.max(least, Math.min(most, Math.rint(mm / STEP) * STEP));
        if (moved == 0 && mm != 0 && Math.abs(mm) < STEP / 2) {
            return;
        }
        if (free.containsKey(from)) {
            type(from + ".availableMm", free.get(from) + moved);
        }
        if (free.containsKey(to)) {
            type(to + ".availableMm", free.get(to) - moved);
        }
    }

    private void type(String field, double mm) {
        UnitChoice units = place().units();
        place().draft().type(field, Amount.mm(mm, 0).number(units), units);
    }

    /** A quarter turn to the right about its middle: each wall is then at the side before. */
    private void turnRound() {
        Map<String, Double> free = around.free();
        for (int i = 0; i < RoomPlan.SIDES.size(); i++) {
            // after a turn to the right its rear faces where its right side did
            String side = RoomPlan.SIDES.get(i);
            String faced = RoomPlan.SIDES.get((i + 1) % RoomPlan.SIDES.size());
            boolean acrossNow = side.equals("rear") || side.equals("front");
            double change = acrossNow ? (around.wide() - around.deep()) / 2 : (around.deep() - around.wide()) / 2;
            place().draft().endStep();
            if (free.containsKey(faced)) {
                type(side + ".availableMm", Math.max(0, free.get(faced) + change));
            } else {
                place().draft().type(side + ".availableMm", "", place().units());
            }
        }
        place().draft().endStep();
    }

    @Override
    public String next() {
        if (place().plate().size().isEmpty()
                && SIZE.stream().anyMatch(field -> place().draft().text(field).isBlank())) {
            return "Type size and mass of the machine, as it is moved.";
        }
        if (place().plate().size().filter(size -> size.massKg().isPresent()).isEmpty()
                && place().draft().text(SIZE.get(3)).isBlank()) {
            return "Type the mass of the machine.";
        }
        boolean half = SIDES.stream()
                .anyMatch(side -> place().draft().text(side + ".availableMm").isBlank()
                        && !place().draft().text(side + ".neededMm").isBlank());
        return form().filledRows().isEmpty()
                ? "Type the first door on the way: wide and high."
                : half ? "Measure what is free where something is needed." : "Type both sizes of each door and corner.";
    }

    @Override
    public Map<String, Draft.Text> texts(AccessReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = super.texts(readings, asTyped, whole);
        int row = way(texts, 0, readings.openings(), readings.corners(), "", asTyped);
        if (readings.other().isPresent()) {
            way(
                    texts,
                    row,
                    readings.other().get().openings(),
                    readings.other().get().corners(),
                    "other.",
                    asTyped);
        }
        for (int i = 0; i < readings.walls().size(); i++) {
            AccessReadings.Wall wall = readings.walls().get(i);
            retype(
                    texts,
                    wall.side() + ".availableMm",
                    asTyped.get("walls[" + i + "].availableMm"),
                    wall.availableMm());
            retype(texts, wall.side() + ".neededMm", asTyped.get("walls[" + i + "].neededMm"), wall.neededMm());
        }
        return texts;
    }

    /** Rows for a way, doors and corners in their order; the next row. */
    private int way(
            Map<String, Draft.Text> texts,
            int first,
            List<AccessReadings.Opening> openings,
            List<AccessReadings.Turn> corners,
            String path,
            Map<String, String> asTyped) {
        int row = first;
        int corner = 0;
        for (int door = 0; door <= openings.size(); door++) {
            for (;
                    corner < corners.size()
                            && corners.get(corner).openingsBefore().orElse(openings.size()) <= door;
                    corner++) {
                AccessReadings.Turn turn1 = corners.get(corner);
                String at = path + "corners[" + corner + "].";
                List<String> fields = put(texts, row++, path.isEmpty() ? CORNER : OTHER_CORNER, turn1.name());
                retype(texts, fields.get(0), asTyped.get(at + "approachWidthMm"), turn1.approachWidthMm());
                retype(texts, fields.get(1), asTyped.get(at + "exitWidthMm"), turn1.exitWidthMm());
            }
            if (door < openings.size()) {
                AccessReadings.Opening opening = openings.get(door);
                String at = path + "openings[" + door + "].";
                List<String> fields = put(texts, row++, path.isEmpty() ? DOOR : OTHER_DOOR, opening.name());
                retype(texts, fields.get(0), asTyped.get(at + "widthMm"), opening.widthMm());
                retype(texts, fields.get(1), asTyped.get(at + "heightMm"), opening.heightMm());
                opening.leafOffMm().ifPresent(off -> retype(texts, fields.get(2), asTyped.get(at + "leafOffMm"), off));
            }
        }
        return row;
    }

    private static List<String> put(Map<String, Draft.Text> texts, int row, String kind, String name) {
        String field = WAY + "[" + row + "].";
        Draft.put(texts, field + "kind", kind);
        Draft.put(texts, field + "name", name);
        return new ArrayList<>(List.of(field + "a", field + "b", field + "off"));
    }

    private static void retype(Map<String, Draft.Text> texts, String field, String asTyped, double mm) {
        texts.put(field, Draft.retyped(asTyped, mm, Quantity.LENGTH));
    }
}
