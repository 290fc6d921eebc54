package zebrawood.benches.lens;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import zebrawood.core.lens.ChoiceFinding;
import zebrawood.core.lens.ChoiceReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.ToBurn;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/** The lenses of a machine, a row each, and what is wanted of them. */
public final class LensBench extends FormBench<ChoiceReadings, ChoiceFinding> {

    private static final int MOST_LENSES = 5;
    private static final String WAVELENGTH = "wavelengthNm";
    private static final String BEAM = "beamDiameterMm";
    /** side of a square of the strip */
    private static final double STRIP_MM = 10;

    private static final double USUAL_INTERVAL_MM = 0.1;

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf("purpose", "it is to", List.of(new Choice("", "engrave"), new Choice("cut", "cut"))),
                    Field.amount("smallestFeatureMm", "smallest detail", Quantity.LENGTH)
                            .needed(),
                    Field.amount("materialMm", "stock, thick", Quantity.LENGTH).needed(),
                    Field.amount("allowedEdgeMm", "widest edge", Quantity.LENGTH)
                            .usually(Amount.mm(ChoiceReadings.ALLOWED_EDGE_MM, 1)),
                    Field.amount("overlapPct", "lines overlap by", Quantity.SHARE)
                            .usually(Amount.percent(0, 0)),
                    Field.amount(BEAM, "beam there, 1/e²", Quantity.LENGTH).needed(),
                    Field.amount("beamQualityM2", "beam quality M²", Quantity.PLAIN)
                            .needed(),
                    Field.amount(WAVELENGTH, "wavelength", Quantity.WAVELENGTH).needed(),
                    Field.truth("seated", "way up and seat", "not looked at", "right and flat", "wrong or loose"))
            .rows(
                    "lenses",
                    MOST_LENSES,
                    Field.words("name", "lens"),
                    Field.amount("focalLengthMm", "focal length", Quantity.LENGTH),
                    Field.oneOf(
                            "aberration",
                            "form",
                            List.of(
                                    new Choice("", "field lens"),
                                    new Choice("meniscus", "meniscus"),
                                    new Choice("plano-convex", "one side flat"))),
                    Field.many("strip", "detail, clean, depth, finish", Quantity.PLAIN));

    public LensBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "each lens with its cone to scale, and its focus in the stock, enlarged across",
                known(place));
    }

    private static Map<String, Amount> known(BenchPlace place) {
        Map<String, Amount> known = new HashMap<>();
        place.plate().wavelengthNm().ifPresent(nm -> known.put(WAVELENGTH, Amount.told(Quantity.WAVELENGTH, nm)));
        place.plate()
                .source()
                .map(Plate.Source::beamAtLensMm)
                .orElse(OptionalDouble.empty())
                .ifPresent(mm -> known.put(BEAM, Amount.told(Quantity.LENGTH, mm)));
        return known;
    }

    /** Where no lens is typed, those of the plate count. */
    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (!form().filledRows().isEmpty()) {
            return;
        }
        int given = 0;
        for (Plate.Lens lens :
                place().plate().optics().map(Plate.Optics::lenses).orElse(List.of())) {
            if (lens.focalLengthMm().isPresent() && given < MOST_LENSES) {
                String at = "lenses[" + given++ + "].";
                sheet.word(at + "name", lens.name());
                sheet.number(at + "focalLengthMm", lens.focalLengthMm().getAsDouble());
            }
        }
        if (given == 0) {
            sheet.lacks("lenses");
        }
    }

    @Override
    protected String head(Showing<ChoiceReadings, ChoiceFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.best()
                        .filter(best -> found.decided().isEmpty())
                        .map(best -> "Of " + found.lenses().size() + " lenses by optics alone: " + best)
                        .or(() -> found.decided().map(crowned -> "By their strips: " + crowned))
                        .orElse("No lens does all of that"))
                .orElse("Which lens for this work");
    }

    @Override
    protected Figure figure(Showing<ChoiceReadings, ChoiceFinding> now, UnitChoice units) {
        return LensFigure.of(now.finding(), units);
    }

    /** The strip that is engraved with each lens, its lines as close as the finest of them wants. */
    @Override
    public Optional<Node> otherSchool(Showing<ChoiceReadings, ChoiceFinding> now) {
        double interval = now.finding().stream()
                .flatMap(found -> found.lenses().stream())
                .mapToDouble(ChoiceFinding.Lens::intervalMm)
                .min()
                .orElse(USUAL_INTERVAL_MM);
        return Optional.of(ToBurn.link(
                place().workplace(),
                "a strip",
                "lens-strip",
                () -> Patterns.strip(STRIP_MM, Math.min(STRIP_MM / 2, interval)),
                pattern -> {
                    throw new ReadingException(
                            "file", "save it as SVG or DXF, and set power and speed in your job software");
                }));
    }

    @Override
    public String next() {
        return form().firstMissing().isPresent() ? super.next() : "Type each lens with its focal length.";
    }
}
