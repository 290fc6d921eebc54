package zebrawood.core.coolant;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What the circuit holds, and how cold it may get.
 *
 * @param circuitVolumeMl all of it, ml, above 0
 * @param firstFillMl what the reservoir takes before the pump has filled the hoses, ml, above 0, up to all of it
 * @param hose from which that follows, where it was not measured; not both
 * @param lowestAmbientC the coldest that the room may get, °C, -60..150
 * @param marginC kept below that, °C, 0 or more; 3 where absent
 * @param glycol what keeps it from freezing
 * @param leastGlycolPct the thinnest mixture that keeps clean, % by volume, 0..57; 25 where absent, the maker decides
 * @param water which water, where that was said
 * @param additive what else is in it, where that was said
 * @param bubbles how long the pump ran alone, and whether no bubble was left, where that was watched
 * @param leak how long it stood filled, and whether no drop came, where that was watched
 */
public record MixReadings(
        double circuitVolumeMl,
        OptionalDouble firstFillMl,
        Optional<Hose> hose,
        double lowestAmbientC,
        OptionalDouble marginC,
        Glycol glycol,
        OptionalDouble leastGlycolPct,
        Optional<Water> water,
        Optional<Additive> additive,
        Optional<Watched> bubbles,
        Optional<Watched> leak) {

    /** Which water. */
    public enum Water {
        DISTILLED,
        DEIONISED,
        /** mixed by the maker of the source, used as it comes */
        MAKERS,
        TAP
    }

    /** What is in it beside glycol. */
    public enum Additive {
        PURE,
        SURFACTANT,
        BIOCIDE
    }

    /** Something watched: for how long, min, at least 0, and whether all was well. */
    public record Watched(double minutes, boolean clear) {
        public Watched {
            new Checks().atLeast("minutes", minutes, 0).done();
        }
    }

    /** Water and its filling not spoken of. */
    public MixReadings(
            double circuitVolumeMl,
            OptionalDouble firstFillMl,
            Optional<Hose> hose,
            double lowestAmbientC,
            OptionalDouble marginC,
            Glycol glycol) {
        this(
                circuitVolumeMl,
                firstFillMl,
                hose,
                lowestAmbientC,
                marginC,
                glycol,
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** The hoses that the pump fills: bore, mm, and length, m, both above 0. */
    public record Hose(double boreMm, double lengthM) {
        public Hose {
            new Checks().above("boreMm", boreMm, 0).above("lengthM", lengthM, 0).done();
        }

        /** ml */
        double volumeMl() {
            return Math.PI / 4 * boreMm * boreMm * lengthM;
        }
    }

    public MixReadings {
        new Checks()
                .above("circuitVolumeMl", circuitVolumeMl, 0)
                .above("firstFillMl", firstFillMl, 0)
                .within("lowestAmbientC", lowestAmbientC, -60, 150)
                .atLeast("marginC", marginC, 0)
                .present("glycol", glycol)
                .within("leastGlycolPct", leastGlycolPct, 0, 57)
                .tie(() -> firstFillMl.orElse(0) <= circuitVolumeMl, "firstFillMl", "is more than the circuit holds")
                .tie(
                        () -> firstFillMl.isEmpty() || hose.isEmpty(),
                        "firstFillMl",
                        "follows from the hose: leave one of the two empty")
                .tie(
                        () -> hose.isEmpty() || hose.get().volumeMl() < circuitVolumeMl,
                        "hose",
                        "holds more than the circuit: look at bore and length")
                .done();
    }

    /** What goes in before the pump runs, ml. */
    OptionalDouble firstMl() {
        return hose.isPresent() ? OptionalDouble.of(circuitVolumeMl - hose.get().volumeMl()) : firstFillMl;
    }
}
