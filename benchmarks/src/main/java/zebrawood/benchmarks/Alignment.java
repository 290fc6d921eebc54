package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.function.Function;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Flaw;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

/**
 * Machines drawn at random and aligned by somebody who does to the letter what the plan says: how many shots it takes
 * and how true the machine then is. Beside it, on the same machines, what is done without a plan.
 */
final class Alignment {

    private static final int MACHINES = 1_000;
    private static final int FLAWED = 200;
    /** standard deviation of an even spread of 10 % to both sides */
    private static final double GAIN_PCT = 10 / Math.sqrt(3);

    private static final long SEED = 20_310_314;
    private static final PlanReadings.Run RUN = new PlanReadings.Run(120, 620, 120, 820);
    /** nobody shoots more often than this */
    private static final int GIVEN_UP = 40;

    private Alignment() {}

    /**
     * How one alignment ended.
     *
     * @param shots how many it took
     * @param spreadMm how far apart the corners' marks truly are then
     * @param verdict the last one
     * @param finding the last one
     * @param slowestMs the longest wait for an answer
     */
    record Ended(int shots, double spreadMm, Verdict verdict, PlanFinding finding, double slowestMs, Tally tally) {}

    /** How often a stated bound held. */
    static final class Tally {
        private final List<Double> answersMs = new ArrayList<>();
        private int marks;
        private int marksWithin;
        private int bounds;
        private int boundsHeld;
        private int pulses;
        private int far;
        private int farHeld;

        void add(Tally other) {
            answersMs.addAll(other.answersMs);
            marks += other.marks;
            marksWithin += other.marksWithin;
            bounds += other.bounds;
            boundsHeld += other.boundsHeld;
            pulses += other.pulses;
            far += other.far;
            farHeld += other.farHeld;
        }
    }

    static boolean run(String[] words) {
        int machines = words.length > 1 ? Integer.parseInt(words[1]) : MACHINES;
        boolean kept = aligned(machines, "as found", Build.USUAL, GAIN_PCT, 0.7, 0.7, 99.5, 8, 10);
        kept &= aligned(
                machines, "marks read to 0.3 mm", Build.USUAL.withMarkError(0.3), GAIN_PCT, 1.2, 1.2, 99, 11, 99);
        kept &= aligned(
                machines, "screws known to a factor of two", Build.USUAL.withGain(2), 100, 0.7, 0.7, 99, 99, 99);
        kept &= again(machines);
        byHand(machines, "near and far by hand", hand -> hand.nearAndFar(0.3));
        byHand(machines, "centred on the next mirror", hand -> hand.centred(1));
        for (Flaw flaw : Flaw.values()) {
            if (flaw != Flaw.NONE) {
                kept &= named(Math.min(machines, FLAWED), flaw);
            }
        }
        return kept;
    }

    private static boolean aligned(
            int machines,
            String words,
            Build build,
            double gainPct,
            double toleranceMm,
            double limitMm,
            double wantedPct,
            int median,
            int p95) {
        List<PlanReadings.Mount> mounts = List.of(mount(gainPct), mount(gainPct));
        List<Ended> ended = new ArrayList<>();
        for (int i = 0; i < machines; i++) {
            ended.add(follow(gantry(i, build), mounts, build.markErrorMm(), toleranceMm));
        }
        return told(words, ended, limitMm, wantedPct, median, p95);
    }

    /** The same machines once more, knocked out of true, with what the first visit learned of their mounts. */
    private static boolean again(int machines) {
        List<Ended> ended = new ArrayList<>();
        for (int i = 0; i < machines; i++) {
            Gantry gantry = gantry(i, Build.USUAL);
            Ended first = follow(gantry, List.of(mount(GAIN_PCT), mount(GAIN_PCT)), Build.USUAL.markErrorMm(), 0.7);
            gantry.knock(Build.USUAL.mirrorMrad());
            ended.add(follow(gantry, first.finding().mounts(), Build.USUAL.markErrorMm(), 0.7));
        }
        return told("second visit", ended, 0.7, 99, 6, 8);
    }

    private static boolean told(
            String words, List<Ended> ended, double limitMm, double wantedPct, int median, int p95) {
        int[] shots = ended.stream().mapToInt(Ended::shots).sorted().toArray();
        double within = 100.0
                * ended.stream()
                        .filter(end -> end.verdict() == Verdict.PASS && end.spreadMm() <= limitMm)
                        .count()
                / ended.size();
        Tally tally = new Tally();
        ended.forEach(end -> tally.add(end.tally()));
        double[] slowest = ended.stream().mapToDouble(Ended::slowestMs).sorted().toArray();
        double[] answers = tally.answersMs.stream()
                .mapToDouble(Double::doubleValue)
                .sorted()
                .toArray();
        double marks = 100.0 * tally.marksWithin / tally.marks;
        double far = 100.0 * tally.farHeld / tally.far;
        System.out.printf(
                Locale.ROOT,
                "alignment, %s: shots median %d, p95 %d, most %d, mean %.2f; %.1f %% end within %.1f mm between any two "
                        + "corners; 95 %% ellipse of the far spot holds %.1f %%, circle of a mark %.1f %%, bound of the corners %.1f %%; second pulses %.2f a "
                        + "machine; an answer median %.1f ms, p95 %.1f ms; slowest of an alignment median %.0f ms, p99 %.0f ms%n",
                words,
                shots[shots.length / 2],
                shots[shots.length * 95 / 100],
                shots[shots.length - 1],
                Arrays.stream(shots).average().orElse(0),
                within,
                limitMm,
                far,
                marks,
                100.0 * tally.boundsHeld / tally.bounds,
                tally.pulses / (double) ended.size(),
                answers[answers.length / 2],
                answers[answers.length * 95 / 100],
                slowest[slowest.length / 2],
                slowest[slowest.length * 99 / 100]);
        return within >= wantedPct
                && shots[shots.length / 2] <= median
                && shots[shots.length * 95 / 100] <= p95
                && far >= 93
                && far <= 97;
    }

    private static void byHand(int machines, String words, Consumer<ByHand> way) {
        int[] shots = new int[machines];
        int wrong = 0;
        for (int i = 0; i < machines; i++) {
            Gantry gantry = gantry(i, Build.USUAL);
            ByHand hand = new ByHand(gantry);
            way.accept(hand);
            shots[i] = hand.shots();
            wrong += gantry.spreadMm() > 0.7 ? 1 : 0;
        }
        Arrays.sort(shots);
        System.out.printf(
                Locale.ROOT,
                "alignment, %s: shots median %d, p95 %d; %.1f %% end with corners more than 0.7 mm apart%n",
                words,
                shots[machines / 2],
                shots[machines * 95 / 100],
                100.0 * wrong / machines);
    }

    private static boolean named(int machines, Flaw flaw) {
        int named = 0;
        int endless = 0;
        int[] shots = new int[machines];
        for (int i = 0; i < machines; i++) {
            Gantry gantry = gantry(i, Build.USUAL.with(flaw));
            Ended end = follow(gantry, List.of(mount(GAIN_PCT), mount(GAIN_PCT)), Build.USUAL.markErrorMm(), 0.7);
            Optional<PlanFinding.Kind> kind = end.finding().fault().map(PlanFinding.Fault::kind);
            named += kind.filter(k -> k == kind(flaw)).isPresent() ? 1 : 0;
            endless += end.shots() >= GIVEN_UP ? 1 : 0;
            shots[i] = end.shots();
        }
        Arrays.sort(shots);
        double pct = 100.0 * named / machines;
        System.out.printf(
                Locale.ROOT,
                "alignment, %s: named rightly %.1f %%, after %d shots (median), %d at most; endless %d%n",
                flaw,
                pct,
                shots[machines / 2],
                shots[machines - 1],
                endless);
        return pct >= 90 && endless == 0;
    }

    private static PlanFinding.Kind kind(Flaw flaw) {
        return switch (flaw) {
            case BENT_RAIL -> PlanFinding.Kind.RAILS;
            case LOOSE_MIRROR -> PlanFinding.Kind.LOOSE_MIRROR;
            case MISPLACED_MIRROR -> PlanFinding.Kind.MIRROR_PLACE;
            case CLIPPING -> PlanFinding.Kind.CLIPPING;
            case NONE -> throw new IllegalArgumentException("nothing is wrong");
        };
    }

    private static Gantry gantry(int machine, Build build) {
        return new Gantry(new SplittableRandom(SEED + machine), build);
    }

    private static PlanReadings.Mount mount(double gainPct) {
        return new PlanReadings.Mount(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(gainPct),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    /** Does what the plan says until it says something else than to shoot or to turn. */
    static Ended follow(Gantry gantry, List<PlanReadings.Mount> mounts, double errorMm, double toleranceMm) {
        List<PlanReadings.Step> steps = new ArrayList<>();
        Tally tally = new Tally();
        double slowest = 0;
        int shots = 0;
        MirrorPlan plan = new MirrorPlan();
        while (true) {
            long from = System.nanoTime();
            Outcome<PlanFinding> outcome = plan.evaluate(
                    new PlanReadings(RUN, mounts, steps, OptionalDouble.of(errorMm), OptionalDouble.of(toleranceMm)));
            double answerMs = (System.nanoTime() - from) / 1e6;
            tally.answersMs.add(answerMs);
            slowest = Math.max(slowest, answerMs);
            PlanFinding finding = outcome.finding();
            if (finding.worstSpreadMm().isPresent()) {
                tally.bounds++;
                double bound = finding.worstSpreadMm().getAsDouble()
                        + finding.worstSpreadErrorMm().orElse(0);
                tally.boundsHeld += gantry.spreadMm() <= bound ? 1 : 0;
            }
            boolean looked =
                    !steps.isEmpty() && steps.get(steps.size() - 1).shot().isPresent();
            if (looked && finding.farSpot().isPresent()) {
                double[] far = gantry.spot(2, RUN.yFarMm(), RUN.xFarMm());
                tally.far++;
                tally.farHeld += finding.farSpot().get().holds(far[0], far[1]) ? 1 : 0;
            }
            PlanFinding.Next next = finding.next();
            boolean goesOn = next.act() == PlanFinding.Act.SHOOT || next.act() == PlanFinding.Act.TURN;
            if (!goesOn || shots >= GIVEN_UP) {
                return new Ended(shots, gantry.spreadMm(), outcome.verdict(), finding, slowest, tally);
            }
            for (PlanReadings.Turn turn : next.turns()) {
                gantry.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
                steps.add(PlanReadings.Step.of(turn));
            }
            if (next.turns().isEmpty()) {
                double[] mark = gantry.shoot(
                        next.mirror().orElseThrow(),
                        next.gantryMm().orElseThrow(),
                        next.carriageMm().orElse(0));
                PlanReadings.Shot shot = new PlanReadings.Shot(
                        next.mirror().orElseThrow(),
                        next.gantryMm().orElseThrow(),
                        next.carriageMm(),
                        mark[0],
                        mark[1]);
                PlanFinding.Expected expected = finding.expected().orElseThrow();
                tally.marks++;
                tally.marksWithin +=
                        Math.hypot(mark[0] - expected.xMm(), mark[1] - expected.yMm()) <= expected.errorMm() ? 1 : 0;
                tally.pulses += isSecondPulse(steps, shot) ? 1 : 0;
                steps.add(PlanReadings.Step.of(shot));
                shots++;
            }
        }
    }

    private static boolean isSecondPulse(List<PlanReadings.Step> steps, PlanReadings.Shot shot) {
        if (steps.isEmpty()) {
            return false;
        }
        Function<PlanReadings.Shot, List<Object>> place =
                made -> List.of(made.mirror(), made.gantryMm(), made.carriageMm());
        return steps.get(steps.size() - 1)
                .shot()
                .filter(last -> place.apply(last).equals(place.apply(shot)))
                .isPresent();
    }
}
