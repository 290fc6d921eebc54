package zebrawood.core.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.FocusTable.Doubt;
import zebrawood.core.focus.FocusTable.School;
import zebrawood.core.units.UnitChoice;

/** Schools on one axis. */
class FocusTableTest {

    private static final Instant THEN = Instant.parse("2031-03-01T09:00:00Z");

    private static School school(String name, double best, double half, int daysLater) {
        return school(name, best, half >= 0 ? OptionalDouble.of(half) : OptionalDouble.empty(), daysLater, "");
    }

    private static School school(String name, double best, OptionalDouble half, int daysLater, String since) {
        return new School(
                name,
                best,
                half,
                OptionalDouble.empty(),
                THEN.plusSeconds(86_400L * daysLater),
                since.isEmpty() ? Optional.empty() : Optional.of(since));
    }

    @Test
    void thoseThatAgreeAreWeighedByHowSureTheyAre() {
        FocusTable table = FocusTable.of(List.of(school("Ramp line", 6.8, 0.2, 0), school("Ladder", 7.0, 0.1, 1)));
        assertThat(table.doubts()).isEmpty();
        assertThat(table.together().orElseThrow().bestGapMm()).isCloseTo(6.96, within(1e-9));
        assertThat(table.together().orElseThrow().halfWidthMm())
                .isCloseTo(0.2 * 0.1 / Math.hypot(0.2, 0.1), within(1e-9));
        assertThat(table.next().sentence(UnitChoice.METRIC)).startsWith("Set the gap to 6.96 mm.");
    }

    @Test
    void thoseThatDifferBeyondTheirErrorsAreNamedTheFarthestApart() {
        FocusTable table = FocusTable.of(List.of(
                school("Ramp line", 6.8, 0.1, 0), school("Ladder", 7.2, 0.1, 1), school("Live sweep", 7.1, 0.3, 2)));
        assertThat(table.doubts()).containsExactly(Doubt.SCHOOLS_DISAGREE);
        assertThat(table.next().sentence(UnitChoice.METRIC))
                .startsWith("Measure again: Ramp line and Ladder differ by 0.40 mm.");
    }

    @Test
    void ofOneSchoolTheNewestCountsAndWithoutAnIntervalNothingIsProved() {
        FocusTable table = FocusTable.of(List.of(school("Ramp line", 6.1, 0.1, 0), school("Ramp line", 6.8, -1, 5)));
        assertThat(table.schools()).extracting(School::bestGapMm).containsExactly(6.8);
        assertThat(table.doubts()).containsExactly(Doubt.NOT_PROVED);
        assertThat(table.together()).isEmpty();
        assertThat(FocusTable.of(List.of()).doubts()).containsExactly(Doubt.NOT_MEASURED);
        assertThat(FocusTable.of(List.of()).next().sentence(UnitChoice.METRIC)).startsWith("Burn a ramp line");
    }

    @Test
    void whatWasMeasuredBeforeTheLensWasOutCountsOnlyWhereNothingElseDoes() {
        School before = school("Ramp line", 6.1, OptionalDouble.of(0.1), 0, "lens out and back");
        FocusTable alone = FocusTable.of(List.of(before));
        assertThat(alone.doubt()).contains(Doubt.CHANGED_SINCE);
        assertThat(alone.next().sentence(UnitChoice.METRIC)).contains("Since it was measured: lens out and back.");
        FocusTable after = FocusTable.of(List.of(before, school("Ladder", 7, 0.1, 3)));
        assertThat(after.doubts()).as("an older figure is no witness").isEmpty();
        assertThat(after.together().orElseThrow().bestGapMm()).isEqualTo(7);
        assertThat(after.schools()).hasSize(2);
    }

    @Test
    void aCurveThroughEverySquareIsNoSurerThanAHandSetsAGap() {
        FocusTable exact = FocusTable.of(List.of(school("Ladder", 7, 0, 0)));
        assertThat(exact.doubts()).isEmpty();
        assertThat(exact.together().orElseThrow().halfWidthMm()).isCloseTo(0.001, within(1e-12));
        assertThat(exact.next().sentence(UnitChoice.METRIC)).startsWith("Set the gap to 7.00 mm.");
    }

    private static FocusTable lens(double best, double half, double depth) {
        return FocusTable.of(List.of(
                new School("Ladder", best, OptionalDouble.of(half), OptionalDouble.of(depth), THEN, Optional.empty())));
    }

    @Test
    void aSwapKeepsTheGapOnlyWhereThatIsProved() {
        FocusTable in = lens(7, 0.1, 2);
        assertThat(in.swap("short", lens(7.3, 0.2, 2)).in(UnitChoice.METRIC)).contains("is not proved");
        assertThat(in.swap("short", lens(7.2, 0.1, 2)).in(UnitChoice.METRIC)).contains("the gap is the same");
        assertThat(in.swap("short", lens(6, 0.1, 2)).in(UnitChoice.METRIC)).contains("1.00 mm less");
        assertThat(in.swap("short", FocusTable.of(List.of())).in(UnitChoice.METRIC))
                .contains("burn a ladder with each");
    }
}
