package zebrawood.desktop.machine;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.Names;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;

/**
 * One field of a plate.
 *
 * @param path where it stands in the plate's JSON
 * @param label as the technician says it
 * @param kind what is typed
 * @param quantity of an amount; PLAIN for the others
 * @param choices of a choice, as in JSON
 */
public record PlateField(String path, String label, Kind kind, Quantity quantity, List<String> choices) {

    /** What is typed. */
    public enum Kind {
        WORDS,
        AMOUNT,
        CHOICE,
        TRUTH
    }

    /** A part of the plate under one heading. */
    public record Section(String title, List<PlateField> fields) {}

    static final List<Section> SECTIONS = List.of(
            new Section(
                    "Name and place",
                    List.of(
                            words("name", "name"),
                            choice("family", "family", Family.class),
                            words("number", "shop's number"),
                            words("place", "where it stands"))),
            new Section(
                    "Source",
                    List.of(
                            words("source.kind", "kind"),
                            amount("source.ratedPowerW", "rated power", Quantity.POWER),
                            amount("source.ratedCurrentMa", "rated current", Quantity.CURRENT),
                            amount("source.wavelengthsNm[0]", "wavelength", Quantity.WAVELENGTH),
                            length("source.beamAtLensMm", "beam at the lens"))),
            new Section(
                    "Services",
                    List.of(
                            choice("services.cooling", "cooling", Plate.Cooling.class),
                            words("services.coolingNote", "cooling, how"),
                            choice("services.enclosure", "enclosure", Plate.Enclosure.class),
                            words("services.enclosureNote", "covers, how"),
                            words("services.extraction", "extraction"),
                            choice("services.airAssist", "air assist", Plate.Fitted.class),
                            words("services.air", "air, how"),
                            choice("services.deliveryFibre", "delivery fibre", Plate.Fitted.class),
                            words("services.mains", "mains"))),
            new Section(
                    "Room climate the maker allows",
                    List.of(
                            amount("climate.minTemperatureC", "from", Quantity.TEMPERATURE),
                            amount("climate.maxTemperatureC", "to", Quantity.TEMPERATURE),
                            amount("climate.minHumidityPct", "humidity from", Quantity.SHARE),
                            amount("climate.maxHumidityPct", "humidity to", Quantity.SHARE))),
            new Section(
                    "Looked at again",
                    List.of(
                            amount("rhythm.climateDays", "climate, days", Quantity.DAYS),
                            amount("rhythm.settingsDays", "settings, days", Quantity.DAYS),
                            amount("rhythm.focusDays", "focus, days", Quantity.DAYS),
                            amount("rhythm.daysOutOfUse", "unused, shuts the gate, days", Quantity.DAYS))),
            new Section(
                    "Size",
                    List.of(
                            length("size.widthMm", "width"),
                            length("size.depthMm", "depth"),
                            length("size.heightMm", "height"),
                            amount("size.massKg", "mass", Quantity.MASS),
                            length("bed.xMm", "across"),
                            length("bed.yMm", "deep"),
                            length("bed.headOffsetXMm", "head offset across"),
                            length("bed.headOffsetYMm", "head offset deep"))),
            new Section(
                    "Focus",
                    List.of(
                            words("optics.focusDatum", "gaps are measured from"),
                            length("optics.makersGapMm", "maker's gap"),
                            words("optics.gapTool", "gap tool"),
                            length("optics.gapToolStepMm", "its steps"),
                            words("optics.heightMoves", "moves for height"),
                            length("optics.heightStepMm", "its smallest step"),
                            length("optics.widthErrorMm", "widths read to"),
                            words("optics.lenses[0].name", "first lens"),
                            length("optics.lenses[0].focalLengthMm", "its focal length"),
                            words("optics.lenses[1].name", "second lens"),
                            length("optics.lenses[1].focalLengthMm", "its focal length"),
                            words("optics.lenses[2].name", "third lens"),
                            length("optics.lenses[2].focalLengthMm", "its focal length"))),
            new Section(
                    "Controller",
                    List.of(
                            choice("control.kind", "controller", Plate.ControllerKind.class),
                            choice("control.need.tool", "what is mounted", ControllerNeed.Tool.class),
                            truth("control.need.limitSwitches", "limit switches"),
                            choice("control.need.homeCorner", "homes to", ControllerNeed.HomeCorner.class),
                            length("control.need.travelMm.x", "travel across"),
                            length("control.need.travelMm.y", "travel deep"),
                            length("control.need.travelMm.z", "travel up"),
                            length("control.need.travelToleranceMm", "travel may differ by"),
                            amount("control.need.senderMaxS", "sender's full power, S", Quantity.PLAIN),
                            amount("control.need.maxS", "wanted full power, S", Quantity.PLAIN),
                            amount("control.need.maxRateMmMin", "fastest", Quantity.RATE),
                            amount("control.need.accelerationMmS2", "acceleration", Quantity.ACCELERATION))));

    /** The field at a path. */
    static PlateField at(String path) {
        return all().stream()
                .filter(field -> field.path().equals(path))
                .findFirst()
                .orElseThrow();
    }

    /** The family by its name in JSON, where it is one. */
    static Optional<Family> family(String name) {
        return Arrays.stream(Family.values())
                .filter(family -> Names.of(family).equals(name))
                .findFirst();
    }

    static List<PlateField> all() {
        return SECTIONS.stream().flatMap(section -> section.fields().stream()).toList();
    }

    /** A choice as it is said: {@code gantry CO2}. */
    static String said(String name) {
        return name.replace('-', ' ').replace("co2", "CO2").replace("uv", "UV");
    }

    static String unsaid(String said) {
        return said.replace("CO2", "co2").replace("UV", "uv").replace(' ', '-');
    }

    /** The label of a field, by its path; the path itself where there is none. */
    public static String label(String path) {
        return SECTIONS.stream()
                .flatMap(section -> section.fields().stream()
                        .filter(field -> field.path().equals(path))
                        .map(field -> section.title() + ": " + field.label()))
                .findFirst()
                .orElse(path);
    }

    /** The texts that a plate's fields would hold. */
    public static Map<String, String> texts(Plate plate) {
        JsonNode json = StrictJson.read(RecordWriter.text(plate)).root();
        Map<String, String> texts = new LinkedHashMap<>();
        for (PlateField field : all()) {
            JsonNode at = json;
            for (String step : field.path().split("[.\\[\\]]+")) {
                at = step.chars().allMatch(Character::isDigit) ? at.path(Integer.parseInt(step)) : at.path(step);
            }
            if (!at.isMissingNode()) {
                texts.put(
                        field.path(),
                        at.isBoolean()
                                ? (at.booleanValue() ? "yes" : "no")
                                : at.isNumber() ? Amount.exact(at.doubleValue()) : at.asText());
            }
        }
        return texts;
    }

    /** What a plate says, with its units: rows of a label and a text. */
    public static List<List<String>> told(Plate plate, UnitChoice units) {
        List<List<String>> told = new ArrayList<>();
        texts(plate)
                .forEach((path, text) -> told.add(List.of(
                        label(path),
                        switch (at(path).kind()) {
                            case AMOUNT ->
                                Amount.told(at(path).quantity(), Double.parseDouble(text))
                                        .text(units);
                            case CHOICE -> said(text);
                            case WORDS, TRUTH -> text;
                        })));
        return told;
    }

    private static PlateField words(String path, String label) {
        return new PlateField(path, label, Kind.WORDS, Quantity.PLAIN, List.of());
    }

    private static PlateField length(String path, String label) {
        return amount(path, label, Quantity.LENGTH);
    }

    private static PlateField amount(String path, String label, Quantity quantity) {
        return new PlateField(path, label, Kind.AMOUNT, quantity, List.of());
    }

    private static PlateField choice(String path, String label, Class<? extends Enum<?>> type) {
        return new PlateField(
                path,
                label,
                Kind.CHOICE,
                Quantity.PLAIN,
                Arrays.stream(type.getEnumConstants())
                        .map(constant -> Names.of((Enum<?>) constant))
                        .toList());
    }

    private static PlateField truth(String path, String label) {
        return new PlateField(path, label, Kind.TRUTH, Quantity.PLAIN, List.of("yes", "no"));
    }
}
