package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.Limits;

/**
 * The height driven through the focus at a known speed, and when the spot was liveliest.
 *
 * @param sweeps at least two; all by mark, or all by recording
 * @param delayS by how much a moment is marked too late, 0 or more, where it is known; 0 for a recording whose clock
 *     runs with the motion
 * @param delayErrorS one standard error of that delay, 0 or more; 0 where absent
 * @param depthOfFocusMm of the lens
 * @param toleranceMm most play, and how well the best gap is to be known; a quarter of the depth where absent
 * @param approach from which side the height is set later, down where absent
 * @param timeErrorS of one moment, 0.005 where absent
 * @param lens which lens is in, by the shop's name for it
 */
public record SweepReadings(
        List<Sweep> sweeps,
        OptionalDouble delayS,
        OptionalDouble delayErrorS,
        double depthOfFocusMm,
        OptionalDouble toleranceMm,
        Optional<Direction> approach,
        OptionalDouble timeErrorS,
        Optional<String> lens) {

    public static final double TIME_ERROR_S = 0.005;

    static final int LEAST_SWEEPS = 2;
    static final int LEAST_SAMPLES = 9;

    /** Which way the gap goes. */
    public enum Direction {
        /** it shrinks */
        DOWN,
        /** it grows */
        UP
    }

    /** A level at a time since the motion began, s. */
    public record Sample(double tS, double level) {
        public Sample {
            new Checks().atLeast("tS", tS, 0).finite("level", level).done();
        }
    }

    /**
     * One way through the focus.
     *
     * @param startGapMm by the height scale or the counted motion, one scale for all sweeps, 0 or more
     * @param speedMmS above 0
     * @param markedS when it was liveliest, since the motion began; or instead of it {@code samples}
     * @param samples at least nine, their times rising
     */
    public record Sweep(
            Direction direction,
            double startGapMm,
            double speedMmS,
            OptionalDouble markedS,
            Optional<List<Sample>> samples) {
        public Sweep {
            samples = samples == null ? Optional.empty() : samples.map(List::copyOf);
            boolean marked = markedS != null && markedS.isPresent();
            boolean recorded = samples.isPresent();
            Checks checks = new Checks()
                    .present("direction", direction)
                    .atLeast("startGapMm", startGapMm, 0)
                    .above("speedMmS", speedMmS, 0)
                    .enough(marked || recorded, "markedS", "neither a moment nor a recording is given")
                    .above("markedS", markedS, 0)
                    .that(!(marked && recorded), "samples", "a moment is given too; give either it or the recording");
            samples.ifPresent(list -> {
                checks.entries("samples", list, LEAST_SAMPLES);
                for (int i = 1; i < list.size(); i++) {
                    checks.that(
                            list.get(i).tS() > list.get(i - 1).tS(),
                            "samples[" + i + "].tS",
                            "must be later than the one before it");
                }
            });
            checks.done();
        }

        /** The gap by the scale at a time, mm. */
        double gapMm(double seconds) {
            return direction == Direction.DOWN ? startGapMm - speedMmS * seconds : startGapMm + speedMmS * seconds;
        }

        double sign() {
            return direction == Direction.DOWN ? -1 : 1;
        }
    }

    public SweepReadings {
        sweeps = Checks.copy(sweeps);
        List<Sweep> given = sweeps == null ? List.of() : sweeps;
        boolean delayed = delayS != null && delayS.isPresent();
        boolean doubted = delayErrorS != null && delayErrorS.isPresent();
        Checks checks = new Checks()
                .entries("sweeps", sweeps, LEAST_SWEEPS)
                .atLeast("delayS", delayS, 0)
                .atLeast("delayErrorS", delayErrorS, 0)
                .that(delayed || !doubted, "delayErrorS", "belongs to a delay, which is not given")
                .above("depthOfFocusMm", depthOfFocusMm, 0)
                .above("toleranceMm", toleranceMm, 0)
                .above("timeErrorS", timeErrorS, 0);
        for (int i = 0; i < given.size(); i++) {
            Sweep sweep = given.get(i);
            boolean recorded = sweep.samples().isPresent();
            boolean alike = recorded == given.get(0).samples().isPresent();
            checks.that(
                    alike,
                    "sweeps[" + i + "]." + (recorded ? "samples" : "markedS"),
                    "the first sweep was not read like this: read all by mark, or all by recording");
            if (sweep.direction() == Direction.DOWN) {
                strikes(checks, i, sweep);
            }
        }
        checks.done();
    }

    private static void strikes(Checks checks, int i, Sweep sweep) {
        String why = "the gap would be under 0 there: the head would have struck the work";
        sweep.markedS()
                .ifPresent(marked ->
                        checks.that(Limits.atLeast(sweep.gapMm(marked), 0), "sweeps[" + i + "].markedS", why));
        sweep.samples().ifPresent(samples -> {
            for (int j = 0; j < samples.size(); j++) {
                if (!Limits.atLeast(sweep.gapMm(samples.get(j).tS()), 0)) {
                    checks.that(false, "sweeps[" + i + "].samples[" + j + "].tS", why);
                    return;
                }
            }
        });
    }

    double toleranceOrDefaultMm() {
        return toleranceMm.orElse(depthOfFocusMm / 4);
    }
}
