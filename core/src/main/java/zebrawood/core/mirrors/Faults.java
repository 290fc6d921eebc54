package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import zebrawood.core.beam.Spot;

/**
 * Which fault explains the marks, where no sound machine does. Each fault is an assumption of its own under which the
 * marks are read again; the one under which they are likeliest is named, once it is much likelier than a sound machine
 * (Bayes factors; Kass and Raftery 1995).
 */
final class Faults {

    /** logarithm of how much likelier a fault has to be than a sound machine: about a thousandfold */
    private static final double SURE = 7;
    /** the same for how much likelier than any other kind of fault: about sevenfold */
    private static final double AHEAD = 2;
    /** misfit beyond what is expected, in standard deviations of it, before anything is suspected */
    private static final double SUSPECT = 3;
    /** how far a beam may meet a mirror or the head's card beside the middle: a tube 4 mm off each way is none, mm */
    private static final double BESIDE_MM = 7;
    /** how far marks may come from the centre at the most, mm */
    private static final List<Double> CLEAR_MM = List.of(2.2, 2.8, 3.6, 4.6, 6.0, 8.0);

    private static final int LEAST_SHOTS = 4;

    /** How a machine is taken to be, and how likely the marks are then. */
    private record Read(PlanFinding.Fault fault, double evidence) {}

    private final Belief sound;

    Faults(Belief sound) {
        this.sound = sound;
    }

    /** What is believed of a machine that is sound, its mirrors as far off as they have to be for that. */
    static Belief sound(PlanReadings readings) {
        Belief usual = Belief.of(readings, Assumption.SOUND);
        if (readings.shots() < 2 || !new Faults(usual).isSurprising()) {
            return usual;
        }
        Belief farOff = Belief.of(readings, Assumption.SOUND.farOff());
        return farOff.evidence > usual.evidence ? farOff : usual;
    }

    private boolean isSurprising() {
        int many = 2 * sound.readings.shots();
        return sound.misfit > many + SUSPECT * Math.sqrt(2.0 * many);
    }

    /** Whether the marks do not go together. */
    boolean isSuspect() {
        return sound.readings.shots() >= LEAST_SHOTS && isSurprising();
    }

    /**
     * What the marks say of faults.
     *
     * @param fault the one that is sure
     * @param isDoubted whether there is one, and it is not sure which
     */
    record Suspicion(Optional<PlanFinding.Fault> fault, boolean isDoubted) {
        static final Suspicion NONE = new Suspicion(Optional.empty(), false);
    }

    /** What the marks say of faults; where one has to be named, whatever explains them better than a sound machine. */
    Suspicion find(boolean mustBeNamed) {
        List<Supplier<Read>> assumed = new ArrayList<>();
        assumed.add(() -> read(PlanFinding.Kind.RAILS, Optional.empty(), sound.assumption.bentRails()));
        for (int mirror : List.of(1, 2)) {
            assumed.add(() -> read(PlanFinding.Kind.LOOSE_MIRROR, Optional.of(mirror), sound.assumption.loose(mirror)));
        }
        for (double clear : CLEAR_MM) {
            assumed.add(() -> read(PlanFinding.Kind.CLIPPING, Optional.empty(), sound.assumption.clipped(clear)));
        }
        // each is read by itself, on as many threads as there are; their order stays
        List<Read> reads = assumed.parallelStream()
                .map(Supplier::get)
                .sorted(Comparator.comparingDouble(read -> -read.evidence()))
                .toList();
        Read best = reads.get(0);
        double second = reads.stream()
                .filter(read -> read.fault().kind() != best.fault().kind())
                .mapToDouble(Read::evidence)
                .max()
                .orElseThrow();
        boolean isFault = best.evidence() > sound.evidence + SURE;
        boolean isSure = best.evidence() > second + AHEAD;
        boolean isNearest = mustBeNamed && best.evidence() > sound.evidence;
        return isNearest || isFault && isSure
                ? new Suspicion(Optional.of(best.fault()), false)
                : new Suspicion(Optional.empty(), isFault);
    }

    private Read read(PlanFinding.Kind kind, Optional<Integer> mirror, Assumption assumption) {
        return new Read(new PlanFinding.Fault(kind, mirror), Belief.of(sound.readings, assumption).evidence);
    }

    /** Where the beam meets a card, if that is surely beside its middle by more than is usual. */
    static Optional<Spot> beside(Belief belief, Place place) {
        Expectation expected = Expectation.of(belief, place, 0);
        return expected.spot().fromCentreMm() - expected.radiusMm() > BESIDE_MM
                ? Optional.of(expected.spot())
                : Optional.empty();
    }
}
