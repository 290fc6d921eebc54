package zebrawood.desktop.demo;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.work.WorkResult;

/** What the shop makes. */
final class Works {

    private Works() {}

    /** Trays of poplar ply, cut on Wren. */
    static WorkResult ply(String word, int score, String batch, String air, double minutesSinceOn) {
        return new WorkResult(
                new WorkResult.Stock(
                        "poplar ply",
                        OptionalDouble.of(4),
                        Optional.of(batch),
                        Optional.of(true),
                        Optional.of("honeycomb"),
                        Optional.empty()),
                new WorkResult.Setup(
                        Optional.of("middle"),
                        Optional.of("3 mm bore"),
                        OptionalDouble.of(6.8),
                        OptionalDouble.of(0),
                        Optional.of(air),
                        OptionalDouble.of(minutesSinceOn)),
                new WorkResult.Recipe(
                        OptionalDouble.of(62),
                        OptionalDouble.of(1200),
                        OptionalDouble.empty(),
                        Optional.of(WorkResult.Strokes.LINE),
                        OptionalInt.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()),
                new WorkResult.Outcome(word, OptionalInt.of(score), OptionalDouble.of(11)));
    }

    /** Serial numbers on anodised tagss, marked on Heron. */
    static WorkResult serial(String word, int score, double minutesSinceOn) {
        return new WorkResult(
                new WorkResult.Stock(
                        "anodised tags",
                        OptionalDouble.of(1.5),
                        Optional.empty(),
                        Optional.of(true),
                        Optional.of("fixture"),
                        Optional.empty()),
                new WorkResult.Setup(
                        Optional.of("field 290"),
                        Optional.empty(),
                        OptionalDouble.of(182.4),
                        OptionalDouble.of(0),
                        Optional.empty(),
                        OptionalDouble.of(minutesSinceOn)),
                new WorkResult.Recipe(
                        OptionalDouble.of(45),
                        OptionalDouble.of(60_000),
                        OptionalDouble.of(0.04),
                        Optional.of(WorkResult.Strokes.FILL),
                        OptionalInt.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.of(40),
                        OptionalDouble.of(100),
                        OptionalDouble.empty()),
                new WorkResult.Outcome(word, OptionalInt.of(score), OptionalDouble.of(3)));
    }
}
