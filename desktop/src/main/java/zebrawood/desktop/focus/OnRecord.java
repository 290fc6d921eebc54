package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusTable;
import zebrawood.core.focus.LadderFinding;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.SweepFinding;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopStatus;

/** What a machine has on record of its best gap. */
final class OnRecord {

    private OnRecord() {}

    /** Of each school the reading whose figure stands. */
    static FocusTable of(MachineStatus machine) {
        List<FocusTable.School> found = new ArrayList<>();
        for (StopStatus stop : machine.stops()) {
            stop.standing().flatMap(reading -> school(stop, reading)).ifPresent(found::add);
        }
        return FocusTable.of(found);
    }

    private static Optional<FocusTable.School> school(StopStatus stop, CountedReading reading) {
        return reading.measured()
                .filter(measured -> measured.isRead())
                .flatMap(measured -> gap(measured.finding()))
                .map(gap -> new FocusTable.School(
                        stop.card().title(),
                        gap.best(),
                        gap.half(),
                        gap.depth(),
                        reading.entry().stamp().at(),
                        stop.changed().map(OnRecord::what)));
    }

    private static String what(Entry happened) {
        return ((Body.Happened) happened.body()).change().words();
    }

    /** A best gap, half of its interval, and the depth of focus, as far as a finding tells them. */
    private record Gap(double best, OptionalDouble half, OptionalDouble depth) {
        static Optional<Gap> of(OptionalDouble best, OptionalDouble half, OptionalDouble depth) {
            return best.isPresent() ? Optional.of(new Gap(best.getAsDouble(), half, depth)) : Optional.empty();
        }
    }

    private static Optional<Gap> gap(Record finding) {
        if (finding instanceof RampFinding ramp) {
            return Gap.of(ramp.workingGapMm(), ramp.workingGapHalfWidthMm(), ramp.depthOfFocusMm());
        } else if (finding instanceof LadderFinding ladder) {
            return Gap.of(ladder.bestGapMm(), ladder.bestGapHalfWidthMm(), OptionalDouble.empty());
        } else if (finding instanceof SweepFinding sweep) {
            OptionalDouble half = sweep.bestGapLowMm().isPresent()
                    ? OptionalDouble.of(sweep.bestGapMm().getAsDouble()
                            - sweep.bestGapLowMm().getAsDouble())
                    : OptionalDouble.empty();
            return Gap.of(sweep.bestGapMm(), half, OptionalDouble.empty());
        }
        return Optional.empty();
    }
}
