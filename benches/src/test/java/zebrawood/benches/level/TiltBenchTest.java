package zebrawood.benches.level;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.level.HeadTilt;
import zebrawood.core.level.TiltFinding;
import zebrawood.core.level.TiltReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Verdict;
import zebrawood.kit.bench.Stop;
import zebrawood.testsupport.BenchSeat;
import zebrawood.testsupport.Plates;

/** A head on a tower and its bracket: each mount says which way its joint sets. */
class TiltBenchTest {

    private final Stop<TiltReadings, TiltFinding> stop =
            new Stop<>(new HeadTilt(), TiltBench.FIELDS, TiltBench::new, new TiltFigure());

    @Test
    void theJointsOfAStackAreShimmedEachOnItsOwn() {
        try (BenchSeat<TiltReadings, TiltFinding> seat =
                new BenchSeat<>(stop, Plates.bare("Heron", Family.GALVO_FIBRE), Map.of())) {
            String[] gaps = {"180.9", "180", "179.1", "180"};
            for (int i = 0; i < gaps.length; i++) {
                seat.put(TiltBench.gap(i), gaps[i]);
            }
            seat.put("ringMm", "90").put("fieldMm", "110").put("shims", "0.1 0.2 0.5 1");
            String[][] mounts = {{"left", "-50", "0"}, {"right", "50", "0"}, {"low", "0", "-40"}, {"high", "0", "40"}};
            for (int i = 0; i < mounts.length; i++) {
                String at = "mounts[" + i + "].";
                seat.put(at + "name", mounts[i][0])
                        .put(at + "xMm", mounts[i][1])
                        .put(at + "yMm", mounts[i][2]);
                seat.focus(at + "joint").choose(at + "joint", i < 2 ? "left–right" : "front–back");
            }
            seat.until("it is judged", () -> seat.verdict().isPresent());
            assertThat(seat.verdict()).contains(Verdict.ADJUST);
            assertThat(seat.act()).contains("in the joint at left");
            TiltFinding found = seat.finding().orElseThrow();
            assertThat(found.shims()).extracting(TiltFinding.Shim::madeMm).containsExactly(2.0, 0.0, 0.0, 0.0);
            seat.focus("mounts[3].joint").choose("mounts[3].joint", "both ways");
            seat.until("a mount without a joint is told", () -> seat.finding().isEmpty());
        }
    }
}
