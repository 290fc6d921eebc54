package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.focus.RampReadings.GapSetting;
import zebrawood.core.reading.Checks;

/**
 * Squares burned at several heights, and how well each came out.
 *
 * @param steps at least three, no gap twice
 * @param better whether a higher or a lower score is the better one
 * @param school by what they were scored
 * @param scoreError one standard error of a score as it is read here, in its own unit; where absent the scatter about
 *     the curve tells it alone
 * @param lastBestGapMm the best gap of the last time, to tell drift
 * @param depthOfFocusMm of the lens, from a ramp: a gap that is surer than a quarter of it needs no next ladder
 * @param setting how the gap is set on this machine, for the instruction
 * @param lens which lens is in, by the shop's name for it
 * @param earlier what other ladders with this lens told since anything was changed
 */
public record LadderReadings(
        List<Step> steps,
        Better better,
        Optional<School> school,
        OptionalDouble scoreError,
        OptionalDouble lastBestGapMm,
        OptionalDouble depthOfFocusMm,
        Optional<GapSetting> setting,
        Optional<String> lens,
        Optional<List<Earlier>> earlier) {

    static final int LEAST_STEPS = 3;

    /** Which score is the better one. */
    public enum Better {
        HIGHER,
        LOWER
    }

    /** By what squares are scored. */
    public enum School {
        /** 0 to 10, or in order */
        EYE,
        /** width of a line, mm */
        WIDTH,
        /** contrast in a photo */
        CONTRAST,
        /** level of the sound, dB */
        SOUND
    }

    /** A square: the gap it was burned at, 0 or more, mm, and its score, any number. */
    public record Step(double gapMm, double score) {
        public Step {
            new Checks().atLeast("gapMm", gapMm, 0).finite("score", score).done();
        }
    }

    /** Another ladder: its best gap, and half of its 95 % interval, mm. */
    public record Earlier(double bestGapMm, double halfWidthMm) {
        public Earlier {
            new Checks()
                    .atLeast("bestGapMm", bestGapMm, 0)
                    .atLeast("halfWidthMm", halfWidthMm, 0)
                    .done();
        }
    }

    public LadderReadings {
        earlier = earlier == null ? Optional.empty() : earlier.map(List::copyOf);
        steps = Checks.copy(steps);
        new Checks()
                .entries("steps", steps, LEAST_STEPS)
                .distinct("steps", steps, "gapMm", Step::gapMm)
                .present("better", better)
                .above("scoreError", scoreError, 0)
                .above("lastBestGapMm", lastBestGapMm, 0)
                .above("depthOfFocusMm", depthOfFocusMm, 0)
                .done();
    }
}
