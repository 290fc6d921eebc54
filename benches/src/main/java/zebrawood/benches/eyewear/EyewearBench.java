package zebrawood.benches.eyewear;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.machine.Plate;
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

/** What the source's data sheet says of its beam, and the room in which it is used. */
public final class EyewearBench extends FormBench<EyewearReadings, EyewearFinding> {

    private static final String COVERS = "covers";
    /** chosen where nobody knows; nothing stands in the readings then */
    private static final String NOT_SAID = "not-said";

    private static final List<Choice> COVERED =
            List.of(new Choice("shut", "all round"), new Choice("open", "open"), new Choice(NOT_SAID, "not said"));

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("wavelengthNm", "wavelength", Quantity.WAVELENGTH).needed(),
            Field.amount("averagePowerW", "average power", Quantity.POWER).needed(),
            Field.amount("beamDiameterMm", "beam at the source", Quantity.LENGTH)
                    .needed(),
            Field.amount("divergenceMrad", "divergence", Quantity.DIVERGENCE).needed(),
            Field.amount("pulse.energyMj", "pulse energy", Quantity.ENERGY)
                    .empty("no pulses")
                    .together(),
            Field.amount("pulse.durationNs", "pulse length", Quantity.PULSE).together(),
            Field.amount("pulse.repetitionHz", "repetition", Quantity.REPETITION)
                    .together(),
            Field.amount("lens.focalLengthMm", "focal length", Quantity.LENGTH)
                    .empty("no lens")
                    .together(),
            Field.amount("lens.beamAtLensMm", "beam at the lens", Quantity.LENGTH)
                    .together(),
            Field.oneOf(COVERS, "covers", COVERED).own(),
            Field.amount("people", "people in the room", Quantity.PLAIN).empty("not said"),
            Field.amount("room.widthMm", "room, wide", Quantity.LENGTH)
                    .empty("not measured")
                    .together(),
            Field.amount("room.depthMm", "room, deep", Quantity.LENGTH).together(),
            Field.amount("room.workFromLeftMm", "work from left wall", Quantity.LENGTH)
                    .together(),
            Field.amount("room.workFromRearMm", "work from rear wall", Quantity.LENGTH)
                    .together(),
            Field.oneOf(
                    "room.door",
                    "door in",
                    List.of(
                            new Choice("", "not said"),
                            new Choice("front", "front wall"),
                            new Choice("left", "left wall"),
                            new Choice("rear", "rear wall"),
                            new Choice("right", "right wall"))),
            Field.amount("room.doorAlongMm", "door along wall", Quantity.LENGTH).empty("middle"),
            Field.oneOf(
                    "notice.laserClass",
                    "laser class",
                    Stream.of("", "1", "1C", "1M", "2", "2M", "3R", "3B", "4")
                            .map(each -> new Choice(each, each.isEmpty() ? "not said" : each))
                            .toList()),
            Field.words("notice.officer", "laser safety officer").empty("name"),
            Field.amount("exposureS", "in the beam for", Quantity.SECONDS).empty("as usual"),
            Field.amount("watchS", "watched for", Quantity.SECONDS).empty("as usual"),
            Field.amount("diffuseReflectance", "thrown back, 0 to 1", Quantity.PLAIN)
                    .usually(Amount.plain(1, 0)),
            Field.amount("viewingAngleDeg", "seen from, °", Quantity.PLAIN).usually(Amount.plain(0, 0)));

    public EyewearBench(BenchPlace place) {
        super(
                place,
                FIELDS.replacing(Field.oneOf(COVERS, FIELDS.field(COVERS).label(), covered(onPlate(place.plate())))
                        .own()),
                "an estimate for the laser safety officer; the eyewear's own marking decides",
                known(place.plate()));
    }

    /** What the plate says first. */
    private static List<Choice> covered(String first) {
        return COVERED.stream()
                .sorted(Comparator.comparing(each -> !each.id().equals(first)))
                .toList();
    }

    private static String onPlate(Plate plate) {
        return plate.services()
                .flatMap(Plate.Services::enclosure)
                .map(enclosure -> enclosure == Plate.Enclosure.INTERLOCK ? "shut" : "open")
                .orElse(NOT_SAID);
    }

    private static Map<String, Amount> known(Plate plate) {
        Map<String, Amount> known = new HashMap<>();
        plate.wavelengthNm().ifPresent(nm -> known.put("wavelengthNm", Amount.told(Quantity.WAVELENGTH, nm)));
        plate.source()
                .map(Plate.Source::ratedPowerW)
                .orElse(OptionalDouble.empty())
                .ifPresent(watts -> known.put("averagePowerW", Amount.told(Quantity.POWER, watts)));
        return known;
    }

    @Override
    protected String head(Showing<EyewearReadings, EyewearFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.opticalDensityMarked() > 0
                        ? "What must be marked on every pair, and how far the beam reaches"
                        : "By this estimate the eye bears this beam: the laser safety officer decides")
                .orElse("Which eyewear, and how far the beam reaches");
    }

    @Override
    protected Figure figure(Showing<EyewearReadings, EyewearFinding> now, UnitChoice units) {
        return EyewearFigure.of(now.readings(), now.finding(), units);
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        String chosen = form().chosen(COVERS);
        if (!chosen.equals(NOT_SAID)) {
            sheet.word(COVERS, chosen);
        }
    }

    @Override
    public Map<String, Draft.Text> texts(EyewearReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = super.texts(readings, asTyped, whole);
        if (whole) {
            Draft.put(
                    texts,
                    COVERS,
                    readings.covers()
                            .map(covers -> covers.name().toLowerCase(Locale.ROOT))
                            .orElse(NOT_SAID));
        }
        return texts;
    }
}
