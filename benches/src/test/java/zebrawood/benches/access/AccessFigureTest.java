package zebrawood.benches.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.access.AccessFinding;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class AccessFigureTest {

    private static AccessReadings way(double door, AccessReadings.Turn... corners) {
        return new AccessReadings(
                new AccessReadings.Machine(1150, 780, 980, 212),
                OptionalDouble.empty(),
                List.of(
                        new AccessReadings.Opening("yard gate", 1800, 2200, OptionalDouble.empty()),
                        new AccessReadings.Opening("bench room door", door, 2030, OptionalDouble.empty())),
                List.of(corners),
                OptionalInt.empty(),
                List.of(new AccessReadings.Wall("rear", 640, 500), new AccessReadings.Wall("left", 410, 300)),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static AccessReadings.Turn turn(String name, int openingsBefore) {
        return new AccessReadings.Turn(name, 1150, 1200, OptionalInt.of(openingsBefore));
    }

    @Test
    void everyPlaceIsNamedWithWhatIsSpareOrMissingThere() {
        AccessReadings read = way(790, turn("passage", 1));
        Drawn drawn = Drawn.of(
                new AccessFigure().figure(read, new SiteAccess().evaluate(read).finding(), UnitChoice.METRIC),
                640,
                380);
        assertThat(drawn.words())
                .contains(
                        "yard gate",
                        "1020 mm clearance",
                        "bench room door",
                        "10 of 20 mm",
                        "passage",
                        "613 mm clearance",
                        "behind",
                        "640 mm",
                        "500 mm",
                        "1000 mm");
        assertThat(drawn.crowded(640, 380)).isEmpty();
    }

    @Test
    void theOtherWayStandsBesideIt() {
        AccessReadings read = way(790, turn("passage", 1));
        AccessReadings both = new AccessReadings(
                read.machine(),
                read.marginMm(),
                read.openings(),
                read.corners(),
                read.feet(),
                read.walls(),
                read.floorRatingKPa(),
                Optional.of(new AccessReadings.Other(
                        "the other way",
                        List.of(new AccessReadings.Opening("window", 1400, 1200, OptionalDouble.empty())),
                        List.of())));
        Drawn drawn = Drawn.of(
                new AccessFigure().figure(both, new SiteAccess().evaluate(both).finding(), UnitChoice.METRIC),
                640,
                380);
        assertThat(drawn.words())
                .contains(
                        "this way, too tight",
                        "bench room door",
                        "10 of 20 mm",
                        "the other way, goes",
                        "window",
                        "220 mm clearance")
                .doesNotContain("yard gate");
        assertThat(drawn.crowded(640, 380)).isEmpty();
        List<Double> machines = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.BAND)
                .filter(area -> Math.abs(longer(area) / shorter(area) - 1150.0 / 780) < 1e-6)
                .map(AccessFigureTest::longer)
                .toList();
        assertThat(machines).as("the machine on both ways").hasSize(2);
        assertThat(machines.get(0)).as("to one scale").isCloseTo(machines.get(1), within(1e-6));
    }

    private static double longer(Drawn.Area area) {
        return Math.max(area.right() - area.left(), area.bottom() - area.top());
    }

    private static double shorter(Drawn.Area area) {
        return Math.min(area.right() - area.left(), area.bottom() - area.top());
    }

    @Test
    void theWayIsLaidInItsOrderAndToScale() {
        AccessReadings read = way(900, turn("passage", 1), turn("stair foot", 2));
        AccessFinding finding = new SiteAccess().evaluate(read).finding();
        WayPlan plan = WayPlan.fitting(WayPlan.Laid.of(read, finding), 400, 300);
        assertThat(plan.places())
                .extracting(place -> place.passage().name())
                .containsExactlyInAnyOrder("yard gate", "passage", "bench room door", "stair foot");
        for (WayPlan.Body body : plan.ghosts()) {
            List<WayPlan.Point> at = body.corners();
            assertThat(Math.hypot(
                            at.get(0).x() - at.get(1).x(),
                            at.get(0).y() - at.get(1).y()))
                    .as("a long side")
                    .isCloseTo(1150, within(1e-6));
            assertThat(Math.hypot(
                            at.get(1).x() - at.get(2).x(),
                            at.get(1).y() - at.get(2).y()))
                    .as("a short one")
                    .isCloseTo(780, within(1e-6));
        }
    }

    @Test
    void aRoomThatIsNotMeasuredIsOpenAndFieldsStandOutsideItsWalls() {
        RoomPlan room = new RoomPlan(650, 380, new RoomPlan.Place(1150, 780, Map.of("rear", 640.0), Map.of()));
        assertThat(room.isKnown("rear")).isTrue();
        assertThat(room.isKnown("front")).isFalse();
        var walls = room.room(room.scale());
        assertThat(room.machine(room.scale()).y() - walls.y()).isCloseTo(640 * room.scale(), within(1e-9));
        for (String side : RoomPlan.SIDES) {
            var field = room.field(side, false);
            boolean apart = field.x() + field.width() <= walls.x()
                    || field.x() >= walls.x() + walls.width()
                    || field.y() + field.height() <= walls.y()
                    || field.y() >= walls.y() + walls.height();
            assertThat(apart).as(side).isTrue();
        }
    }
}
