package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Chooses what to do next, so that few shots are needed. Turns cost little and shots cost much: whatever turns are
 * worth making are made before the next shot, and of all places for that shot the one is taken after which the work is
 * most likely done; where none makes that likely, the one that leaves the least doubt of the corners.
 */
final class Planner {

    /** the beam has to meet mirror 2 within this of its middle before a card at the head is shot at, mm */
    private static final double MIRROR_MM = 12;
    /** and the card at the head within this, mm */
    private static final double CARD_MM = 30;
    /** standard deviations that are reckoned with there */
    private static final double DEVIATIONS = 1.3;
    /** share of the weight that has to hold so */
    private static final double MOSTLY = 0.5;

    private static final int MOST_LOOKED_AT = 100;
    /** from here on finishing with the next shot is what counts */
    private static final double HOPEFUL = 0.2;
    /** turns that leave more than this share of what is wrong, squared, wait */
    private static final double WORTH = 0.6;
    /** so much likelier to be done must it be with turns than without */
    private static final double BETTER = 0.05;
    /** standard deviations of a mark at which its place is known well enough for a first turn */
    private static final double SETTLED = 30;
    /** the guesses that are followed in detail */
    private static final int FOLLOWED = 6;

    /** what is reckoned with beforehand is coarser than what is looked at afterwards, and so has to be better */
    private static final double MARGIN = 0.5;

    private static final int POINTS = 48;
    private static final int LEAST_POINTS = 6;

    /**
     * What to do before the next shot, and where to shoot.
     *
     * @param turns none, or those to make before
     * @param place where to shoot then
     * @param done how likely the work is done with it, of 1
     * @param doubt mean variance of the distances between corners after it, mm²
     */
    record Choice(List<PlanReadings.Turn> turns, Place place, double done, double doubt) {

        private boolean isBetterThan(Choice other) {
            boolean hopeful = Math.max(done, other.done) >= HOPEFUL;
            return hopeful && Math.abs(done - other.done) > BETTER ? done > other.done : doubt < other.doubt;
        }
    }

    private final Belief belief;
    private final double tolerance;
    private final double error;

    Planner(Belief belief) {
        this.belief = belief.readings.isLearned() ? belief.opened() : belief;
        this.tolerance = belief.readings.tolerance();
        this.error = belief.readings.markError();
    }

    Choice choose() {
        Choice wait = best(List.of());
        double settled = SETTLED * error;
        double spread = Corners.of(belief, belief.guesses.get(0))
                .spread(Corners.of(belief, belief.guesses.get(0)).mean());
        boolean isSettled = doubt(belief) <= Math.max(settled * settled, 0.01 * spread * spread);
        Correction correction = Correction.of(belief);
        if (wait.done() >= 1 - BETTER || !belief.readings.isSurelyOff()) {
            return wait;
        }
        if (!correction.turns().isEmpty()) {
            Choice turn = best(correction.turns());
            if (turn.done() > wait.done() + BETTER) {
                return turn;
            }
            if (wait.done() < HOPEFUL && correction.left() < WORTH) {
                return turn;
            }
        }
        if (wait.done() < HOPEFUL && isSettled && correction.isBlind()) {
            Optional<Choice> trial = new Trial(belief).choose(places(), correction.follow());
            if (trial.isPresent()) {
                return trial.get();
            }
        }
        return wait;
    }

    /** Where to shoot, with turns made that nobody looked at yet: they are looked at first. */
    Choice chooseShot() {
        Correction correction = Correction.of(belief);
        if (correction.isBlind()) {
            Place place = places().stream().min(Trial.FARTHEST_FIRST).orElseThrow();
            return new Choice(List.of(), place, 0, 0);
        }
        return best(List.of());
    }

    private static double doubt(Belief belief) {
        Corners corners = Corners.of(belief, belief.guesses.get(0));
        return corners.meanVariance(corners.covariance());
    }

    /** The best place to shoot at after some turns. */
    private Choice best(List<PlanReadings.Turn> turns) {
        Belief then = belief.after(turns);
        Choice best = null;
        for (Place place : places(then)) {
            Choice choice = weigh(then, turns, place);
            boolean worn = turns.isEmpty() && isWornOut(then.readings, place);
            best = best == null || !worn && choice.isBetterThan(best) ? choice : best;
        }
        return best;
    }

    private List<Place> places() {
        return places(belief);
    }

    /** Whether the last two shots were made there: a third says little that they do not. */
    private static boolean isWornOut(PlanReadings readings, Place place) {
        List<PlanReadings.Step> steps = readings.steps();
        return steps.size() > 1
                && steps.subList(steps.size() - 2, steps.size()).stream()
                        .allMatch(step ->
                                step.shot().map(Place::of).filter(place::equals).isPresent());
    }

    /** Where a shot may be asked for: at the head only where the beam is believed to meet mirror 2 and the card. */
    private static List<Place> places(Belief belief) {
        List<Place> places = new ArrayList<>();
        for (Place place : belief.geometry.corners()) {
            if (meets(belief, place)) {
                places.add(place);
            }
        }
        if (places.isEmpty() && !belief.readings.takesCardAtMirror2()) {
            // the nearest place: there the beam is likeliest to arrive
            places.add(belief.geometry.corners().get(0));
        } else if (places.isEmpty()) {
            places.add(belief.geometry.firstMirrorNear());
            places.add(belief.geometry.firstMirrorFar());
        } else if (meets(belief, belief.geometry.middle())) {
            places.add(belief.geometry.middle());
        }
        return places;
    }

    /** Whether the beam is believed to meet mirror 2 and a card at the head. */
    static boolean meets(Belief belief, Place place) {
        double in = 0;
        double whole = 0;
        Place onTheWay = new Place(1, place.gantryM(), 0);
        int many = Math.min(belief.guesses.size(), MOST_LOOKED_AT);
        for (int i = 0; i < many; i++) {
            Guess guess = belief.guesses.get(i);
            if (reach(belief, guess, onTheWay) <= MIRROR_MM && reach(belief, guess, place) <= CARD_MM) {
                in += belief.weights[i];
            }
            whole += belief.weights[i];
        }
        return in > MOSTLY * whole;
    }

    private static double reach(Belief belief, Guess guess, Place place) {
        Guess.Seen seen = belief.seen(guess, place);
        double[][] doubt = guess.covarianceOf(seen.slopes(), seen.slopes());
        return Math.hypot(seen.at()[0], seen.at()[1]) + DEVIATIONS * Math.sqrt(Math.max(doubt[0][0], doubt[1][1]));
    }

    private Choice weigh(Belief then, List<PlanReadings.Turn> turns, Place place) {
        int many = Math.min(FOLLOWED, then.guesses.size());
        Outlook[] outlooks = new Outlook[many];
        double doubt = 0;
        double whole = 0;
        for (int i = 0; i < many; i++) {
            outlooks[i] = Outlook.of(then, i, place, error);
            doubt += outlooks[i].weight() * outlooks[i].doubt();
            whole += outlooks[i].weight();
        }
        double done = 0;
        if (Seen.all(then.readings, turns, place)) {
            for (Outlook truth : outlooks) {
                int points = Math.max(LEAST_POINTS, (int) (POINTS * truth.weight()));
                int in = 0;
                for (int p = 0; p < points; p++) {
                    in += isDone(outlooks, truth.mark(Normals.point(p))) ? 1 : 0;
                }
                done += truth.weight() / whole * in / points;
            }
        }
        return new Choice(turns, place, done, doubt / whole);
    }

    /** Whether the corners are sure enough to be within the tolerance once a mark was read there. */
    private boolean isDone(Outlook[] outlooks, double[] mark) {
        double over = 0;
        double whole = 0;
        for (Outlook outlook : outlooks) {
            double weight = outlook.weight() * outlook.likelihood(mark);
            whole += weight;
            over += weight * outlook.over(mark, tolerance);
        }
        return over <= MARGIN * (1 - Spread.ENOUGH) * whole;
    }
}
