package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.beam.Spot;

/** Makes a finding of what is believed. */
final class Planning {

    /** share of a run that two shots have to be apart before it counts as seen */
    private static final double APART = 0.4;

    /** half axis of the ellipse of a normal distribution in two dimensions that holds 95 %, in standard deviations */
    private static final double ELLIPSE = Math.sqrt(-2 * Math.log(0.05));

    private static final int SHOTS_FOR_RUNS = 3;
    /** shots that an alignment takes from nothing, and from mounts that are known */
    private static final int FROM_NOTHING = 7;

    private static final int FROM_KNOWN = 5;

    private static final Place AT_MIRROR_1 = new Place(1, 0, 0);
    private static final Place BEHIND_MIRROR_2 = new Place(2, 0, 0);

    private final Belief belief;
    private final PlanReadings readings;
    private final boolean seen;

    Planning(Belief belief) {
        this.belief = belief;
        this.readings = belief.readings;
        this.seen = isEveryRunSeen();
    }

    private record Chosen(PlanFinding.Next next, Optional<PlanFinding.Fault> fault, double done) {}

    PlanFinding finding() {
        Spread spread = Spread.of(belief);
        Chosen chosen = choose(spread);
        return new PlanFinding(
                chosen.next(),
                expected(chosen.next()),
                onceSeen(spread.estimateMm()),
                onceSeen(spread.boundMm() - spread.estimateMm()),
                onceSeen(farSpot()),
                toGo(chosen),
                List.of(LearnedMount.of(belief, 1), LearnedMount.of(belief, 2)),
                chosen.fault(),
                readings.run(),
                readings.shots(),
                onceSeen(beam(Turned.NOTHING)),
                beam(belief.turned),
                history(),
                pointerBeside(),
                current(),
                readings.takesCardAtMirror2(),
                readings.startsAtTheTube(),
                new PlanFinding.Tolerances(readings.tolerance(), readings.markError()));
    }

    /** The pointer's spot against the last mark: on the card of the last shot, which was one at the head. */
    private OptionalDouble pointerBeside() {
        List<PlanReadings.Step> steps = readings.steps();
        Optional<PlanReadings.Shot> last =
                steps.isEmpty() ? Optional.empty() : steps.get(steps.size() - 1).shot();
        return readings.pointer().isPresent()
                        && last.filter(shot -> shot.mirror() == 2).isPresent()
                ? OptionalDouble.of(
                        readings.pointer().get().distanceMm(last.get().spot()))
                : OptionalDouble.empty();
    }

    private Optional<PlanFinding.Current> current() {
        DoubleSummaryStatistics read = readings.steps().stream()
                .flatMap(step -> step.shot().stream())
                .flatMapToDouble(shot -> shot.currentMa().stream())
                .summaryStatistics();
        return read.getCount() == 0
                ? Optional.empty()
                : Optional.of(new PlanFinding.Current(read.getMin(), read.getMax()));
    }

    /** What is only told once every run was seen. */
    private OptionalDouble onceSeen(double mm) {
        return seen ? OptionalDouble.of(mm) : OptionalDouble.empty();
    }

    private <T> Optional<T> onceSeen(T value) {
        return seen ? Optional.of(value) : Optional.empty();
    }

    private Chosen choose(Spread spread) {
        Faults faults = new Faults(belief);
        boolean isLast = readings.shots() >= MirrorPlan.MOST_SHOTS;
        boolean isTrue = seen && spread.isWithin(readings.tolerance(), readings.shots()) && Seen.all(readings);
        boolean suspect = faults.isSuspect();
        Optional<Chosen> misplaced = suspect ? Optional.empty() : misplaced();
        if (misplaced.isPresent()) {
            return misplaced.get();
        }
        Faults.Suspicion suspicion = isTrue || suspect || isLast ? faults.find(isLast) : Faults.Suspicion.NONE;
        if (suspicion.fault().isPresent()) {
            PlanFinding.Fault fault = suspicion.fault().get();
            return new Chosen(act(PlanFinding.Act.LOOK, fault.mirror(), Optional.empty()), Optional.of(fault), 0);
        }
        if (isLast && !isTrue) {
            return new Chosen(act(PlanFinding.Act.LOOK, Optional.empty(), Optional.empty()), Optional.empty(), 0);
        }
        if (!isLast && (suspect || suspicion.isDoubted())) {
            return new Chosen(shoot(doubted()), Optional.empty(), 0);
        }
        if (isTrue) {
            return new Chosen(act(PlanFinding.Act.DONE, Optional.empty(), Optional.empty()), Optional.empty(), 1);
        }
        Planner.Choice choice = afterTurns().orElseGet(() -> new Planner(belief).choose());
        return new Chosen(next(choice.turns(), choice.place()), Optional.empty(), choice.done());
    }

    /**
     * Whether a mirror stands beside its place, whatever its screws do: where the beam meets mirror 1 no screw changes,
     * and what mirror 2 adds beside the head's middle neither.
     */
    private Optional<Chosen> misplaced() {
        Optional<Spot> before = Faults.beside(belief, AT_MIRROR_1);
        Optional<Spot> behind = Faults.beside(belief, BEHIND_MIRROR_2);
        if (before.isEmpty() && behind.isEmpty()) {
            return Optional.empty();
        }
        boolean carded = readings.steps().stream()
                .anyMatch(step -> step.shot().filter(shot -> shot.mirror() == 1).isPresent());
        if (!carded && readings.takesCardAtMirror2()) {
            return Optional.of(new Chosen(shoot(belief.geometry.firstMirrorNear()), Optional.empty(), 0));
        }
        int mirror = before.isPresent() ? 1 : 2;
        return Optional.of(new Chosen(
                act(PlanFinding.Act.MOVE, Optional.of(mirror), before.or(() -> behind)),
                Optional.of(new PlanFinding.Fault(PlanFinding.Kind.MIRROR_PLACE, Optional.of(mirror))),
                0));
    }

    private static PlanFinding.Next act(PlanFinding.Act act, Optional<Integer> mirror, Optional<Spot> beside) {
        return new PlanFinding.Next(
                act,
                mirror,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                beside.map(spot -> OptionalDouble.of(spot.fromCentreMm())).orElse(OptionalDouble.empty()),
                beside);
    }

    private static PlanFinding.Next shoot(Place place) {
        return next(List.of(), place);
    }

    private static PlanFinding.Next next(List<PlanReadings.Turn> turns, Place place) {
        return new PlanFinding.Next(
                turns.isEmpty() ? PlanFinding.Act.SHOOT : PlanFinding.Act.TURN,
                Optional.of(place.mirror()),
                OptionalDouble.of(millimetres(place.gantryM())),
                place.isAtHead() ? OptionalDouble.of(millimetres(place.carriageM())) : OptionalDouble.empty(),
                turns,
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static double millimetres(double metres) {
        return Math.rint(metres * 1e6) / 1e3;
    }

    /**
     * What comes after turns that nobody has looked at yet: the rest of them where only some were made, else a look
     * where it was said when they were asked for, if they were made as asked.
     */
    private Optional<Planner.Choice> afterTurns() {
        List<PlanReadings.Step> steps = readings.steps();
        int from = steps.size();
        while (from > 0 && steps.get(from - 1).turn().isPresent()) {
            from--;
        }
        if (from == steps.size()) {
            return Optional.empty();
        }
        Belief before = Faults.sound(readings.upTo(from));
        Planner.Choice asked = new Planner(before).choose();
        List<PlanReadings.Turn> made = steps.subList(from, steps.size()).stream()
                .map(step -> step.turn().orElseThrow())
                .toList();
        boolean asAsked = made.size() <= asked.turns().size()
                && asked.turns().subList(0, made.size()).equals(made);
        if (!asAsked) {
            return Optional.of(new Planner(belief).chooseShot());
        }
        List<PlanReadings.Turn> left =
                asked.turns().subList(made.size(), asked.turns().size());
        return Optional.of(new Planner.Choice(left, asked.place(), asked.done(), asked.doubt()));
    }

    /** Where marks do not go together: the last place once more, then where fewest shots were made. */
    private Place doubted() {
        List<Place> shots = shots();
        Place last = shots.get(shots.size() - 1);
        if (shots.size() < 2 || !shots.get(shots.size() - 2).equals(last)) {
            return last;
        }
        List<Place> places = new ArrayList<>(belief.geometry.corners());
        places.add(belief.geometry.middle());
        return places.stream()
                .min(Comparator.comparingLong(
                        place -> shots.stream().filter(place::equals).count()))
                .orElseThrow();
    }

    private List<Place> shots() {
        return readings.steps().stream()
                .flatMap(step -> step.shot().stream())
                .map(Place::of)
                .toList();
    }

    private boolean isEveryRunSeen() {
        List<Place> shots = shots();
        Geometry geometry = belief.geometry;
        double gantry = range(shots.stream().map(Place::gantryM).toList());
        double carriage = range(
                shots.stream().filter(Place::isAtHead).map(Place::carriageM).toList());
        return shots.size() >= SHOTS_FOR_RUNS
                && gantry >= APART * (geometry.yFarM() - geometry.yNearM())
                && carriage >= APART * (geometry.xFarM() - geometry.xNearM());
    }

    private static double range(List<Double> values) {
        double least = values.stream().mapToDouble(Double::doubleValue).min().orElse(0);
        return values.stream().mapToDouble(Double::doubleValue).max().orElse(0) - least;
    }

    private Optional<PlanFinding.Expected> expected(PlanFinding.Next next) {
        if (next.act() != PlanFinding.Act.SHOOT && next.act() != PlanFinding.Act.TURN) {
            return Optional.empty();
        }
        Place place = new Place(
                next.mirror().orElse(2),
                next.gantryMm().orElse(0) / 1000,
                next.carriageMm().orElse(0) / 1000);
        Belief then = next.turns().isEmpty() ? belief : belief.opened().after(next.turns());
        Expectation expectation = Expectation.of(then, place, readings.markError());
        return Optional.of(new PlanFinding.Expected(
                expectation.spot().xMm(), expectation.spot().yMm(), expectation.radiusMm()));
    }

    /** The spot at the farthest corner over all guesses, by its first two moments. */
    private PlanFinding.Ellipse farSpot() {
        Place far = belief.geometry.corners().get(3);
        double x = 0;
        double y = 0;
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (int i = 0; i < belief.guesses.size(); i++) {
            Guess guess = belief.guesses.get(i);
            Guess.Seen spot = belief.seen(guess, far);
            double[][] doubt = guess.covarianceOf(spot.slopes(), spot.slopes());
            double weight = belief.weights[i];
            x += weight * spot.at()[0];
            y += weight * spot.at()[1];
            xx += weight * (doubt[0][0] + spot.at()[0] * spot.at()[0]);
            xy += weight * (doubt[0][1] + spot.at()[0] * spot.at()[1]);
            yy += weight * (doubt[1][1] + spot.at()[1] * spot.at()[1]);
        }
        xx -= x * x;
        xy -= x * y;
        yy -= y * y;
        double middle = (xx + yy) / 2;
        double half = Math.hypot((xx - yy) / 2, xy);
        return new PlanFinding.Ellipse(
                x,
                y,
                ELLIPSE * Math.sqrt(middle + half),
                ELLIPSE * Math.sqrt(Math.max(middle - half, 0)),
                Math.toDegrees(Math.atan2(2 * xy, xx - yy) / 2));
    }

    private int toGo(Chosen chosen) {
        return switch (chosen.next().act()) {
            case DONE, MOVE, LOOK -> 0;
            case SHOOT, TURN -> {
                if (chosen.done() >= 0.6) {
                    yield 1;
                }
                if (chosen.done() >= 0.2) {
                    yield 2;
                }
                int usual = readings.isLearned() ? FROM_KNOWN : FROM_NOTHING;
                yield Math.max(seen ? 2 : 3, usual - readings.shots());
            }
        };
    }

    private PlanFinding.Beam beam(Turned turned) {
        Guess guess = belief.guesses.get(0);
        double[] first = new double[2];
        double[] second = new double[2];
        for (int c = 0; c < 2; c++) {
            first[c] = guess.mean[Guess.Y_ANGLE + c] + turned(turned, guess, c, 0);
            second[c] = first[c] + guess.mean[Guess.ADDED + c] + turned(turned, guess, c, 2);
        }
        List<Spot> corners = new ArrayList<>();
        for (Place corner : belief.geometry.corners()) {
            double[] at =
                    guess.seen(belief.geometry, corner, turned, guess.mean).at();
            corners.add(new Spot(at[0], at[1]));
        }
        return new PlanFinding.Beam(
                new Spot(guess.mean[Guess.AT_MIRROR], guess.mean[Guess.AT_MIRROR + 1]),
                new PlanFinding.Lean(first[0], first[1]),
                new PlanFinding.Lean(second[0], second[1]),
                corners);
    }

    private static double turned(Turned turned, Guess guess, int c, int from) {
        double sum = 0;
        for (int screw = from; screw < from + 2; screw++) {
            sum += guess.mean[Guess.gain(screw, c)]
                    * turned.followed(screw, guess.mean[Guess.BELOW + screw], guess.mean[Guess.PLAY + screw])
                            .turns();
        }
        return sum;
    }

    private List<PlanFinding.Made> history() {
        List<PlanFinding.Made> history = new ArrayList<>();
        Turned turned = Turned.NOTHING;
        int turns = 0;
        for (PlanReadings.Step step : readings.steps()) {
            if (step.turn().isPresent()) {
                turned = turned.then(step.turn().get());
                turns++;
            } else {
                history.add(new PlanFinding.Made(
                        step.shot().orElseThrow(), onceSeen(beam(turned).spreadMm()), turns));
            }
        }
        return history;
    }
}
