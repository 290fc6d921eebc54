package zebrawood.core.focus;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/**
 * The best gap of one lens by every school that was asked, brought to one axis: each with its interval, all of them
 * together, and what makes the figure doubtful.
 *
 * @param schools the newest finding of each school, in the order in which they were measured
 * @param together the mean, weighted by how sure each is
 * @param doubts in the order of their weight
 */
public record FocusTable(List<School> schools, Optional<Together> together, List<Doubt> doubts) {

    /** an interval is never taken for narrower than a hand can set a gap, mm */
    private static final double LEAST_HALF_MM = 0.001;

    /**
     * What one school found.
     *
     * @param name of the school: ramp line
     * @param bestGapMm mm
     * @param halfWidthMm half of its 95 % interval; absent where it was only looked for in a quick way, or stated
     * @param depthOfFocusMm where it told that too
     * @param at when
     * @param since what happened since then, after which the focus may lie elsewhere
     */
    public record School(
            String name,
            double bestGapMm,
            OptionalDouble halfWidthMm,
            OptionalDouble depthOfFocusMm,
            Instant at,
            Optional<String> since) {

        /** Whether its figure has an interval. */
        public boolean isProved() {
            return halfWidthMm.isPresent();
        }

        /** Whether nothing happened since. */
        public boolean stands() {
            return since.isEmpty();
        }

        double half() {
            return Math.max(LEAST_HALF_MM, halfWidthMm.orElse(0));
        }
    }

    /** The schools that are proved, together: weighted mean and half of its 95 % interval, mm. */
    public record Together(double bestGapMm, double halfWidthMm) {}

    /** What makes a figure doubtful, the heaviest first. */
    public enum Doubt {
        /** nothing but the maker's figure */
        NOT_MEASURED,
        /** the lens was out, or something else happened, since the newest of them */
        CHANGED_SINCE,
        /** two schools differ by more than their errors allow */
        SCHOOLS_DISAGREE,
        /** no school has an interval */
        NOT_PROVED
    }

    public FocusTable {
        schools = List.copyOf(schools);
        doubts = List.copyOf(doubts);
    }

    /**
     * Brings schools together. Those after which something happened count only where there is no other.
     *
     * @param found what each found; of one school the newest counts
     */
    public static FocusTable of(List<School> found) {
        List<School> newest = new ArrayList<>();
        for (School school : found.stream()
                .sorted(Comparator.comparing(School::at).reversed())
                .toList()) {
            if (newest.stream().noneMatch(other -> other.name().equals(school.name()))) {
                newest.add(0, school);
            }
        }
        List<School> standing = newest.stream().filter(School::stands).toList();
        List<School> counted = standing.isEmpty() ? newest : standing;
        List<Doubt> doubts = new ArrayList<>();
        if (newest.isEmpty()) {
            doubts.add(Doubt.NOT_MEASURED);
        } else {
            if (standing.isEmpty()) {
                doubts.add(Doubt.CHANGED_SINCE);
            }
            if (!apart(counted).isEmpty()) {
                doubts.add(Doubt.SCHOOLS_DISAGREE);
            }
            if (counted.stream().noneMatch(School::isProved)) {
                doubts.add(Doubt.NOT_PROVED);
            }
        }
        return new FocusTable(newest, together(counted), doubts);
    }

    private static Optional<Together> together(List<School> schools) {
        double weights = 0;
        double sum = 0;
        for (School school : schools) {
            double weight = school.isProved() ? 1 / (school.half() * school.half()) : 0;
            weights += weight;
            sum += weight * school.bestGapMm();
        }
        return weights > 0 ? Optional.of(new Together(sum / weights, Math.sqrt(1 / weights))) : Optional.empty();
    }

    /** The heaviest doubt. */
    public Optional<Doubt> doubt() {
        return doubts.stream().findFirst();
    }

    /** The depth of focus that some school told, mm. */
    public OptionalDouble depthOfFocusMm() {
        return schools.stream()
                .map(School::depthOfFocusMm)
                .filter(OptionalDouble::isPresent)
                .reduce((earlier, later) -> later)
                .orElse(OptionalDouble.empty());
    }

    /** The two that differ most, in half widths of their difference; none where their errors allow it. */
    private static List<School> apart(List<School> schools) {
        List<School> worst = List.of();
        double most = 1;
        for (School one : schools) {
            for (School other : schools) {
                if (one.isProved() && other.isProved() && one.bestGapMm() < other.bestGapMm()) {
                    double apart = (other.bestGapMm() - one.bestGapMm()) / Math.hypot(one.half(), other.half());
                    if (!Limits.atMost(apart, most)) {
                        most = apart;
                        worst = List.of(one, other);
                    }
                }
            }
        }
        return worst;
    }

    /**
     * What a swap from this lens to another one means for the gap: the same holder may keep the same focus, which only
     * marks with each of them prove.
     *
     * @param name of the other lens
     */
    public Said swap(String name, FocusTable other) {
        String lens = "lens " + Said.quoted(name);
        if (together.isEmpty() || other.together.isEmpty()) {
            return Said.of("Whether " + lens + " has the same gap is not known: burn a ladder with each.");
        }
        double apart = other.together.get().bestGapMm() - together.get().bestGapMm();
        double half =
                Math.hypot(together.get().halfWidthMm(), other.together.get().halfWidthMm());
        double quarter = Math.min(
                        depthOfFocusMm().orElse(Double.POSITIVE_INFINITY),
                        other.depthOfFocusMm().orElse(Double.POSITIVE_INFINITY))
                / 4;
        if (Double.isInfinite(quarter)) {
            quarter = 0;
        }
        if (Limits.atMost(Math.abs(apart) + half, quarter)) {
            return Said.of(
                    "With " + lens + " the gap is the same: {0} apart, give or take {1}.",
                    Amount.mm(Math.abs(apart), 2),
                    Amount.mm(half, 2));
        } else if (!Limits.atMost(Math.abs(apart) - half, quarter)) {
            return Said.of(
                    "With " + lens + " the gap is {0} " + (apart > 0 ? "more" : "less") + ", give or take {1}.",
                    Amount.mm(Math.abs(apart), 2),
                    Amount.mm(half, 2));
        }
        return Said.of(
                "Whether " + lens + " has the same gap is not proved: {0} apart, give or take {1}.",
                Amount.mm(Math.abs(apart), 2),
                Amount.mm(half, 2));
    }

    /** What to do about it, the first thing first. */
    public Instruction next() {
        if (doubts.contains(Doubt.NOT_MEASURED)) {
            return Instruction.of("gap", Said.of("Burn a ramp line: nobody has measured the best gap yet."));
        } else if (doubts.contains(Doubt.CHANGED_SINCE)) {
            return Instruction.of("gap", Said.of("Burn a ramp line again before you trust this gap."))
                    .byHand(Said.of("Since it was measured: "
                            + Said.quoted(
                                    schools.get(schools.size() - 1).since().orElse("something happened"))
                            + ". The focus may lie elsewhere now."));
        } else if (doubts.contains(Doubt.SCHOOLS_DISAGREE)) {
            List<School> two = apart(schools.stream().filter(School::stands).toList());
            two = two.isEmpty() ? apart(schools) : two;
            return Instruction.of(
                            "gap",
                            Said.of(
                                    "Measure again: " + Said.quoted(two.get(0).name()) + " and "
                                            + Said.quoted(two.get(1).name()) + " differ by {0}.",
                                    Amount.mm(
                                            two.get(1).bestGapMm() - two.get(0).bestGapMm(), 2)))
                    .byHand(Said.of("That is more than their errors allow. Was the same lens in, the same datum taken, "
                            + "the height come to from the same side? Do the older one again."));
        } else if (doubts.contains(Doubt.NOT_PROVED)) {
            return Instruction.of("gap", Said.of("Read the widths of a ramp line: this gap is not proved yet."))
                    .byHand(Said.of("The thinnest place alone does not tell how sure a gap is."));
        }
        double best = together.orElseThrow().bestGapMm();
        return Instruction.of("gap", Said.of("Set the gap to {0}.", Amount.mm(best, best > 50 ? 1 : 2)))
                .byHand(Said.of(
                        schools.stream().filter(School::stands).count() == 1
                                ? "One school alone says so. A short ladder beside it would be a second witness."
                                : "All schools that were asked agree within their errors."));
    }
}
