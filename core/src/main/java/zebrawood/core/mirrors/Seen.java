package zebrawood.core.mirrors;

import java.util.List;

/** Whether every screw's last turn was seen in a shot: a turn that nobody looked at proves nothing. */
final class Seen {

    private Seen() {}

    /** Whether it holds for the steps so far. */
    static boolean all(PlanReadings readings) {
        return !unseen(readings, 1) && !unseen(readings, 2);
    }

    /** Whether it holds once more turns are made and a shot follows. */
    static boolean all(PlanReadings readings, List<PlanReadings.Turn> turns, Place place) {
        return place.isAtHead() || !unseen(readings, 2) && turns.stream().noneMatch(turn -> turn.mirror() == 2);
    }

    private static boolean unseen(PlanReadings readings, int mirror) {
        boolean unseen = false;
        for (PlanReadings.Step step : readings.steps()) {
            if (step.turn().isPresent() && step.turn().get().mirror() == mirror) {
                unseen = true;
            } else if (step.shot().isPresent()
                    && (mirror == 1 || step.shot().get().mirror() == 2)) {
                unseen = false;
            }
        }
        return unseen;
    }
}
