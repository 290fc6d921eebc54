package zebrawood.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

class SiteAccessTest {

    private static final AccessReadings.Machine WREN = new AccessReadings.Machine(1150, 780, 980, 212);
    private static final AccessReadings.Opening GATE =
            new AccessReadings.Opening("yard gate", 1800, 2200, OptionalDouble.empty());

    private static AccessReadings.Opening door(double wide, double high, double leafOff) {
        return new AccessReadings.Opening(
                "door", wide, high, leafOff > 0 ? OptionalDouble.of(leafOff) : OptionalDouble.empty());
    }

    private static Outcome<AccessFinding> in(
            List<AccessReadings.Opening> openings,
            List<AccessReadings.Turn> corners,
            List<AccessReadings.Wall> walls,
            Optional<AccessReadings.Other> other) {
        return new SiteAccess()
                .evaluate(new AccessReadings(
                        WREN,
                        OptionalDouble.empty(),
                        openings,
                        corners,
                        OptionalInt.empty(),
                        walls,
                        OptionalDouble.empty(),
                        other));
    }

    private static List<String> said(Outcome<AccessFinding> outcome) {
        return outcome.instructions().stream()
                .map(instruction -> instruction.sentence(UnitChoice.METRIC))
                .toList();
    }

    @Test
    void aLeafComesOffWhereThatIsEnoughAndTheRestIsSaidByItsSize() {
        assertThat(said(in(List.of(GATE, door(794, 2030, 834)), List.of(), List.of(), Optional.empty())))
                .containsExactly(
                        "Take the door off its hinges at door: 6 mm of the 20 mm clearance are missing. Without its "
                                + "leaf it is 834 mm wide and leaves 34 mm beyond the clearance wanted.");
        assertThat(said(in(List.of(GATE, door(774, 990, 810)), List.of(), List.of(), Optional.empty()))
                        .get(0))
                .as("the leaf alone does not help")
                .startsWith(
                        "Door is too tight: with the 20 mm clearance 26 mm are missing in its width and 10 mm in its "
                                + "height.");
        assertThat(said(in(List.of(GATE, door(900, 980, 0)), List.of(), List.of(), Optional.empty()))
                        .get(0))
                .startsWith("Door is too tight: with the 20 mm clearance 20 mm are missing in its height.");
    }

    @Test
    void whatIsSaidToBeMissingIsWhatIsMissing() {
        for (double wide = 700; wide < 800; wide += 7) {
            Outcome<AccessFinding> short1 = in(List.of(door(wide, 2030, 0)), List.of(), List.of(), Optional.empty());
            double missing = Double.parseDouble(said(short1).get(0).replaceAll(".*clearance (\\d+) mm.*", "$1"));
            assertThat(in(List.of(door(wide + missing, 2030, 0)), List.of(), List.of(), Optional.empty())
                            .verdict())
                    .isEqualTo(Verdict.PASS);
            assertThat(in(List.of(door(wide + missing - 1, 2030, 0)), List.of(), List.of(), Optional.empty())
                            .verdict())
                    .isEqualTo(Verdict.FAIL);
        }
    }

    @Test
    void anotherWayIsNamedWhereItFitsAndOnlyThen() {
        AccessReadings.Turn tight = new AccessReadings.Turn("passage", 850, 830, OptionalInt.empty());
        Outcome<AccessFinding> fits = in(
                List.of(GATE),
                List.of(tight),
                List.of(),
                Optional.of(new AccessReadings.Other("the yard side", List.of(door(1400, 1200, 0)), List.of())));
        assertThat(said(fits).get(0)).isEqualTo("Go by the yard side. Tightest there is door: 220 mm clearance.");
        assertThat(said(fits).get(1)).startsWith("Passage is too tight: ");
        Outcome<AccessFinding> not = in(
                List.of(GATE),
                List.of(tight),
                List.of(),
                Optional.of(new AccessReadings.Other("the yard side", List.of(door(790, 1200, 0)), List.of())));
        assertThat(said(not)).singleElement().asString().startsWith("Passage is too tight: ");
    }

    @Test
    void whereAWallIsTooNearTheOtherSideIsLookedAt() {
        List<AccessReadings.Wall> room =
                List.of(new AccessReadings.Wall("left", 210, 300), new AccessReadings.Wall("right", 800, 300));
        assertThat(said(in(List.of(GATE), List.of(), room, Optional.empty())))
                .containsExactly(
                        "Move it 90 mm away from the wall at its left. There is room for that on the other side.");
        List<AccessReadings.Wall> none =
                List.of(new AccessReadings.Wall("left", 210, 300), new AccessReadings.Wall("right", 350, 300));
        assertThat(said(in(List.of(GATE), List.of(), none, Optional.empty())).get(0))
                .endsWith("turn it, or find another place.");
    }
}
