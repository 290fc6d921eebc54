package zebrawood.core.evenness;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What changes over the bed, and what most likely makes it change.
 *
 * @param likeliest what explains it best
 * @param surePct share of the weights that this pattern has; absent where no pattern is seen
 * @param runnerUp the pattern that comes next
 * @param patterns those that were tried
 * @param gap what the gaps explain, where they do at all
 * @param scatter whether places differ more than repeats at a place do, where there are repeats
 * @param spread largest less smallest value
 * @param noise what is left, one standard deviation
 * @param places in the order given
 * @param worst where it came out worst
 * @param passesEnough so that everywhere the next cut goes through, with 95 % confidence for all places together
 * @param repeatsNeeded values a place until a pattern as large as the spread would be seen
 * @param nextCheck what to look at next
 * @param tolerances what it was judged by
 */
public record NineFinding(
        Likeliest likeliest,
        OptionalDouble surePct,
        Optional<Likeliest> runnerUp,
        List<Pattern> patterns,
        Optional<Gap> gap,
        Optional<Scatter> scatter,
        double spread,
        double noise,
        List<Place> places,
        Worst worst,
        OptionalInt passesEnough,
        OptionalInt repeatsNeeded,
        Optional<Next> nextCheck,
        Tolerances tolerances) {

    /** What explains it; the first four are patterns, in the order in which they are tried. */
    public enum Likeliest {
        /** it changes evenly from one side to the other */
        SLOPE,
        /** it gets worse the longer the beam's way is */
        PATH,
        /** the middle differs from the edges */
        BOWL,
        /** one place differs from all others */
        ODD_PLACE,
        /** the gaps explain it */
        GAP,
        /** places differ, and no pattern is in it */
        SCATTER,
        /** nothing is seen */
        EVEN
    }

    /**
     * Along what a slope runs; axes have small letters here, as in every file (a single letter is written as it is).
     */
    public enum Axis {
        x,
        y,
        BOTH
    }

    /** What to look at next. */
    public enum Next {
        BED_LEVEL,
        REPEAT_PLACE,
        HEAD_CORNERS,
        TURN_STOCK,
        MORE_PLACES,
        REPEAT
    }

    /**
     * A pattern that was tried.
     *
     * @param spread largest less smallest of its own part over the places
     * @param fRatio how much more it explains than chance does
     * @param fLimit what chance alone may do
     * @param seen whether it is more than that
     * @param weightPct its share of all weights
     * @param xPerM of a slope, a metre of x
     * @param yPerM of a slope, a metre of y
     * @param axis of a slope that is seen
     * @param perM of a path, a metre of the beam's way
     * @param middleToEdge of a bowl
     * @param place the odd one
     * @param by how much it differs from what the others let expect
     */
    public record Pattern(
            Likeliest kind,
            double spread,
            double fRatio,
            double fLimit,
            boolean seen,
            double weightPct,
            OptionalDouble xPerM,
            OptionalDouble yPerM,
            Optional<Axis> axis,
            OptionalDouble perM,
            OptionalDouble middleToEdge,
            Optional<String> place,
            OptionalDouble by) {}

    /** What the gaps explain. */
    public record Gap(double spread, double fRatio, double fLimit, boolean seen) {}

    /** Whether places differ more than repeats do. */
    public record Scatter(double fRatio, double fLimit, boolean seen) {}

    /** A place, its mean value, and what is expected there. */
    public record Place(String name, double xMm, double yMm, double value, double fitted) {}

    /** Where it came out worst. */
    public record Worst(String name, double value) {}

    /** The difference that does no harm and one standard error of a value, and what they are of. */
    public record Tolerances(double tolerance, double valueError, NineReadings.Kind quantity) {}

    public NineFinding {
        patterns = List.copyOf(patterns);
        places = List.copyOf(places);
    }

    /** The likeliest pattern, where one is seen. */
    public Optional<Pattern> pattern() {
        return patterns.stream().filter(pattern -> pattern.kind() == likeliest).findFirst();
    }
}
