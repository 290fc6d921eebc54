package zebrawood.core.focus;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The best gap of one lens by every school that was asked, brought to one axis: each with its interval, all of them
 * together, and what makes the figure doubtful.
 *
 * @param schools the newest finding of each school, in the order in which they were measured
 * @param together the mean, weighted by how sure each is
 * @param doubts in the order of their weight
 */
public record FocusTable(List<School> schools, Optional<Together> together, List<Doubt> doubts) {

    /**
     * What one school found.
     *
     * @param name of the school: ramp line
     * @param bestGapMm mm
     * @param halfWidthMm half of its 95 % interval; absent where it was only looked for in a quick way, or stated
     * @param depthOfFocusMm where it told that too
     * @param at when
     */
    public record School(
            String name, double bestGapMm, OptionalDouble halfWidthMm, OptionalDouble depthOfFocusMm, Instant at) {

        /** Whether its figure has an interval. */
        public boolean isProved() {
            return halfWidthMm.isPresent();
        }
    }

    /** The schools that are proved, together: weighted mean and half of its 95 % interval, mm. */
    public record Together(double bestGapMm, double halfWidthMm) {}

    /** What makes a figure doubtful. */
    public enum Doubt {
        /** two schools differ by more than their errors allow */
        SCHOOLS_DISAGREE,
        /** no school has an interval */
        NOT_PROVED,
        /** the lens was out, or another one is in, since the newest of them */
        LENS_SINCE,
        /** nothing but the maker's figure */
        NOT_MEASURED
    }

    public FocusTable {
        schools = List.copyOf(schools);
        doubts = List.copyOf(doubts);
    }

    /**
     * Brings schools together.
     *
     * @param found what each found; of one school the newest counts
     * @param lensOut when a lens was last out, where it was
     */
    public static FocusTable of(List<School> found, Optional<Instant> lensOut) {
        List<School> newest = new ArrayList<>();
        for (School school : found.stream()
                .sorted(Comparator.comparing(School::at).reversed())
                .toList()) {
            if (newest.stream().noneMatch(other -> other.name().equals(school.name()))) {
                newest.add(0, school);
            }
        }
        List<Doubt> doubts = new ArrayList<>();
        if (newest.isEmpty()) {
            doubts.add(Doubt.NOT_MEASURED);
        } else {
            if (disagree(newest)) {
                doubts.add(Doubt.SCHOOLS_DISAGREE);
            }
            if (newest.stream().noneMatch(School::isProved)) {
                doubts.add(Doubt.NOT_PROVED);
            }
            Instant last = newest.get(newest.size() - 1).at();
            if (lensOut.filter(last::isBefore).isPresent()) {
                doubts.add(Doubt.LENS_SINCE);
            }
        }
        return new FocusTable(newest, together(newest), doubts);
    }

    private static boolean disagree(List<School> schools) {
        for (School one : schools) {
            for (School other : schools) {
                if (one.isProved()
                        && other.isProved()
                        && Math.abs(one.bestGapMm() - other.bestGapMm())
                                > Math.hypot(
                                        one.halfWidthMm().getAsDouble(),
                                        other.halfWidthMm().getAsDouble())) {
                    return true;
                }
            }
        }
        return false;
    }

    private static Optional<Together> together(List<School> schools) {
        double weights = 0;
        double sum = 0;
        for (School school : schools) {
            double half = school.halfWidthMm().orElse(0);
            if (half > 0) {
                double weight = 1 / (half * half);
                weights += weight;
                sum += weight * school.bestGapMm();
            }
        }
        return weights > 0 ? Optional.of(new Together(sum / weights, Math.sqrt(1 / weights))) : Optional.empty();
    }

    /** The depth of focus that some school told, mm. */
    public OptionalDouble depthOfFocusMm() {
        return schools.stream()
                .map(School::depthOfFocusMm)
                .filter(OptionalDouble::isPresent)
                .reduce((earlier, later) -> later)
                .orElse(OptionalDouble.empty());
    }
}
