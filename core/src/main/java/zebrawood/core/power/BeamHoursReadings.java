package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * How long a beam was on: off a counter, or job by job.
 *
 * @param counterH what the counter of source or controller shows, hours, 0 or more
 * @param counterAtSourceH what that counter showed when this source was fitted; 0 where absent
 * @param jobsMin beam time of each job since the last time, minutes, above 0; instead of a counter
 * @param beforeH beam hours of this source the last time, 0 or more; 0 where absent
 * @param daysSince since the last time, above 0
 * @param source whether it is the same source as last time, the same where absent
 */
public record BeamHoursReadings(
        OptionalDouble counterH,
        OptionalDouble counterAtSourceH,
        List<Double> jobsMin,
        OptionalDouble beforeH,
        OptionalDouble daysSince,
        Optional<Which> source) {

    /** Which source is in. */
    public enum Which {
        SAME,
        /** another one was fitted: its hours begin anew */
        NEW
    }

    public BeamHoursReadings {
        jobsMin = Checks.copy(jobsMin);
        Checks checks = new Checks()
                .atLeast("counterH", counterH, 0)
                .atLeast("counterAtSourceH", counterAtSourceH, 0)
                .atLeast("beforeH", beforeH, 0)
                .above("daysSince", daysSince, 0);
        for (int i = 0; i < jobsMin.size(); i++) {
            checks.above("jobsMin[" + i + "]", jobsMin.get(i), 0);
        }
        List<Double> jobs = jobsMin;
        checks.enough(
                        counterH == null || counterH.isPresent() || !jobs.isEmpty(),
                        "counterH",
                        "type what the counter shows, or the minutes of each job")
                .tie(
                        () -> counterH.isEmpty() || jobs.isEmpty(),
                        "jobsMin",
                        "stand in the counter already: type one of both")
                .tie(
                        () -> counterH.isEmpty() || counterH.getAsDouble() >= counterAtSourceH.orElse(0),
                        "counterH",
                        "is less than when this source was fitted")
                .tie(
                        () -> counterH.isEmpty()
                                || source.equals(Optional.of(Which.NEW))
                                || counterH.getAsDouble() - counterAtSourceH.orElse(0) >= beforeH.orElse(0),
                        "counterH",
                        "is less than last time: read it again, or say that another source is in")
                .done();
    }

    boolean isNew() {
        return source.equals(Optional.of(Which.NEW));
    }
}
