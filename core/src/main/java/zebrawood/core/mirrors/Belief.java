package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** All that is believed of a machine after the steps so far: guesses, each with its weight, the likeliest first. */
final class Belief {

    /** standard deviation of how far mirror 2 stands aside, mm */
    private static final double ASIDE_MM = 1.5;
    /** what of a beam that is beside its place is usual, and no mirror's doing, mm */
    private static final double USUAL_MM = 3;
    /** a play is known to about a third of it */
    private static final double PLAY_SHARE = 0.35;
    /** natural logarithm of how much less likely than the likeliest a guess is when it is dropped */
    private static final double DROPPED = 16;
    /** the same for one that is not worth a second look */
    private static final double FAINT = 8;

    private static final int MOST_KEPT = 400;
    /** by how much the middle of a mark that is cut off is beside what is reckoned, mm */
    private static final double CLIPPED_MM = 0.2;
    /** looks at a guess after the first, each linear about what the last one came to */
    private static final int LOOKS = 2;
    /** how likely it is that a mirror does not turn right into left: only if somebody reads his cards from behind */
    private static final double UNTURNED = 0.03;

    final PlanReadings readings;
    final Assumption assumption;
    final Geometry geometry;
    final Turned turned;
    final List<Guess> guesses;
    /** of each guess, of 1 */
    final double[] weights;
    /** logarithm of how likely the marks are under this assumption */
    final double evidence;
    /** squared misfit over its variance, of the likeliest guess, over all coordinates */
    final double misfit;

    private Belief(
            PlanReadings readings,
            Assumption assumption,
            Geometry geometry,
            Turned turned,
            List<Guess> guesses,
            double[] weights,
            double evidence,
            double misfit) {
        this.readings = readings;
        this.assumption = assumption;
        this.geometry = geometry;
        this.turned = turned;
        this.guesses = guesses;
        this.weights = weights;
        this.evidence = evidence;
        this.misfit = misfit;
    }

    /** What the steps so far say, under an assumption. */
    static Belief of(PlanReadings readings, Assumption assumption) {
        return new Reader(readings, assumption).read();
    }

    /** Takes in the steps, guess by guess. */
    private static final class Reader {

        private final PlanReadings readings;
        private final Assumption assumption;
        private final Geometry geometry;

        Reader(PlanReadings readings, Assumption assumption) {
            this.readings = readings;
            this.assumption = assumption;
            this.geometry = Geometry.of(readings.run());
        }

        Belief read() {
            List<Guess> guesses = first();
            List<Guess> begun = new ArrayList<>();
            guesses.forEach(guess -> begun.add(guess.copy()));
            Turned turned = Turned.NOTHING;
            boolean shot = false;
            boolean[] open = new boolean[3];
            for (PlanReadings.Step step : readings.steps()) {
                if (step.turn().isPresent()) {
                    int mirror = step.turn().get().mirror();
                    if (!open[mirror]) {
                        open[mirror] = true;
                        open(guesses, begun, mirror);
                    }
                    turned = turned.then(step.turn().get());
                } else {
                    PlanReadings.Shot read = step.shot().orElseThrow();
                    for (Guess guess : guesses) {
                        if (shot) {
                            jump(guess);
                        }
                        take(guess, read, turned, guess.mean.clone());
                    }
                    shot = true;
                    drop(guesses, begun);
                }
            }
            return look(guesses, begun, turned);
        }

        private List<Guess> first() {
            boolean sided = readings.mount(1).learned().isPresent()
                    || readings.steps().stream()
                            .anyMatch(step ->
                                    step.shot().filter(s -> s.mirror() == 1).isPresent());
            List<Guess> first = new ArrayList<>();
            for (double tipped : tips()) {
                double share = Math.log(1.0 / tips().size());
                first.add(guess(-1, tipped, share + (sided ? Math.log(1 - UNTURNED) : 0)));
                if (sided) {
                    first.add(guess(1, tipped, share + Math.log(UNTURNED)));
                }
            }
            return first;
        }

        /** A mirror at 45 degrees that is tipped turns the beam by 2 cos 45 of it; a mount may make up for that. */
        private List<Double> tips() {
            boolean matters =
                    readings.steps().stream().anyMatch(step -> step.turn().isPresent()) && (isNew(1) || isNew(2));
            return matters ? List.of(Math.sqrt(0.5), 1.0) : List.of(Math.sqrt(0.5));
        }

        private boolean isNew(int mirror) {
            return readings.mount(mirror).learned().isEmpty();
        }

        private Guess guess(double side, double tipped, double logWeight) {
            double[] mean = new double[Guess.SIZE];
            double[][] covariance = new double[Guess.SIZE][Guess.SIZE];
            for (int c = 0; c < 2; c++) {
                variance(covariance, Guess.AT_MIRROR + c, assumption.besideMm());
                variance(covariance, Guess.Y_ANGLE + c, assumption.offMrad());
                variance(covariance, Guess.ADDED + c, assumption.offMrad());
                variance(covariance, Guess.ASIDE + c, Math.max(ASIDE_MM, assumption.besideMm() - USUAL_MM));
                variance(covariance, Guess.TWIST + c, assumption.twistMm());
                variance(covariance, Guess.BOW_Y + c, assumption.bowMm());
                variance(covariance, Guess.BOW_X + c, assumption.bowMm());
            }
            for (int screw = 0; screw < Turned.SCREWS; screw++) {
                double play = readings.mount(1 + screw / 2).play();
                mean[Guess.BELOW + screw] = play / 2;
                mean[Guess.PLAY + screw] = play;
                variance(covariance, Guess.BELOW + screw, play / Math.sqrt(12));
                variance(covariance, Guess.PLAY + screw, PLAY_SHARE * play);
            }
            return new Guess(side, assumption.clearMm(), tipped, mean, covariance, logWeight);
        }

        private static void variance(double[][] covariance, int at, double deviation) {
            covariance[at][at] = deviation * deviation;
        }

        /** Before a mirror is turned for the first time all its mounts are alike; now each becomes a guess. */
        private void open(List<Guess> guesses, List<Guess> begun, int mirror) {
            List<Guess> before = new ArrayList<>(guesses);
            List<Guess> beforeBegun = new ArrayList<>(begun);
            guesses.clear();
            begun.clear();
            for (int i = 0; i < before.size(); i++) {
                double side = mirror == 1 ? before.get(i).side : 1;
                for (MountGuess mount : MountGuess.of(readings.mount(mirror), side, before.get(i).tipped)) {
                    guesses.add(mount.in(before.get(i), mirror));
                    begun.add(mount.in(beforeBegun.get(i), mirror));
                }
            }
        }

        private void jump(Guess guess) {
            for (int c = 0; c < 2; c++) {
                guess.covariance[Guess.Y_ANGLE + c][Guess.Y_ANGLE + c] +=
                        assumption.firstJumpMrad() * assumption.firstJumpMrad();
                guess.covariance[Guess.ADDED + c][Guess.ADDED + c] +=
                        assumption.secondJumpMrad() * assumption.secondJumpMrad();
            }
        }

        private double take(Guess guess, PlanReadings.Shot read, Turned turned, double[] about) {
            Guess.Seen seen = guess.seen(geometry, Place.of(read), turned, about);
            double blur = Double.isFinite(assumption.clearMm()) ? CLIPPED_MM : 0;
            return guess.learn(
                    seen, about, new double[] {read.xMm(), read.yMm()}, Math.hypot(readings.markError(), blur));
        }

        private static void drop(List<Guess> guesses, List<Guess> begun) {
            double best = Double.NEGATIVE_INFINITY;
            for (Guess guess : guesses) {
                best = Math.max(best, guess.logWeight);
            }
            int kept = 0;
            for (int i = 0; i < guesses.size(); i++) {
                if (guesses.get(i).logWeight >= best - DROPPED) {
                    guesses.set(kept, guesses.get(i));
                    begun.set(kept, begun.get(i));
                    kept++;
                }
            }
            guesses.subList(kept, guesses.size()).clear();
            begun.subList(kept, begun.size()).clear();
        }

        /** Looks again at the guesses that are left, linear about what each came to. */
        private Belief look(List<Guess> guesses, List<Guess> begun, Turned turned) {
            record Looked(Guess guess, double misfit) {}
            double best = guesses.stream().mapToDouble(g -> g.logWeight).max().orElse(0);
            boolean touched = turned.isTouchedMirror(1) || turned.isTouchedMirror(2);
            List<Looked> looked = new ArrayList<>();
            for (int i = 0; i < guesses.size(); i++) {
                Guess last = guesses.get(i);
                double misfit = Double.NaN;
                boolean bounded = Double.isFinite(assumption.clearMm());
                if (!touched && !bounded || last.logWeight >= best - FAINT) {
                    for (int look = 0; look < (touched || bounded ? LOOKS : 1); look++) {
                        Guess again = begun.get(i).copy();
                        misfit = again(again, last.mean);
                        last = again;
                    }
                }
                looked.add(new Looked(last, misfit));
            }
            looked.sort(Comparator.comparingDouble((Looked l) -> -l.guess().logWeight));
            List<Looked> kept = looked.subList(0, Math.min(MOST_KEPT, looked.size()));
            double top = kept.get(0).guess().logWeight;
            double[] weights = new double[kept.size()];
            double sum = 0;
            for (int i = 0; i < weights.length; i++) {
                weights[i] = Math.exp(kept.get(i).guess().logWeight - top);
                sum += weights[i];
            }
            for (int i = 0; i < weights.length; i++) {
                weights[i] /= sum;
            }
            return new Belief(
                    readings,
                    assumption,
                    geometry,
                    turned,
                    kept.stream().map(Looked::guess).toList(),
                    weights,
                    top + Math.log(sum),
                    kept.get(0).misfit());
        }

        private double again(Guess guess, double[] about) {
            double misfit = 0;
            Turned turned = Turned.NOTHING;
            boolean shot = false;
            for (PlanReadings.Step step : readings.steps()) {
                if (step.turn().isPresent()) {
                    turned = turned.then(step.turn().get());
                } else {
                    if (shot) {
                        jump(guess);
                    }
                    misfit += take(guess, step.shot().orElseThrow(), turned, about);
                    shot = true;
                }
            }
            return misfit;
        }
    }

    /** The same belief once screws are turned as said. */
    Belief after(List<PlanReadings.Turn> turns) {
        Turned then = turned;
        for (PlanReadings.Turn turn : turns) {
            then = then.then(turn);
        }
        return new Belief(readings, assumption, geometry, then, guesses, weights, evidence, misfit);
    }

    /** The same belief with a guess for every way in which a mount that nobody has touched may answer. */
    Belief opened() {
        List<Guess> all = new ArrayList<>(guesses);
        List<Double> shares = new ArrayList<>();
        for (double weight : weights) {
            shares.add(weight);
        }
        for (int mirror = 1; mirror <= 2; mirror++) {
            if (turned.isTouchedMirror(mirror)) {
                continue;
            }
            List<Guess> before = List.copyOf(all);
            List<Double> sharesBefore = List.copyOf(shares);
            all.clear();
            shares.clear();
            for (int i = 0; i < before.size(); i++) {
                double side = mirror == 1 ? before.get(i).side : 1;
                for (MountGuess mount : MountGuess.of(readings.mount(mirror), side, before.get(i).tipped)) {
                    all.add(mount.in(before.get(i), mirror));
                    shares.add(sharesBefore.get(i) * mount.weight());
                }
            }
        }
        return new Belief(
                readings,
                assumption,
                geometry,
                turned,
                List.copyOf(all),
                shares.stream().mapToDouble(Double::doubleValue).toArray(),
                evidence,
                misfit);
    }

    /** Where a guess has the mark at a place now. */
    Guess.Seen seen(Guess guess, Place place) {
        return guess.seen(geometry, place, turned, guess.mean);
    }

    /** How many guesses hold all of the weight but this share. */
    int most(double share) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i];
            if (sum >= 1 - share) {
                return i + 1;
            }
        }
        return weights.length;
    }
}
