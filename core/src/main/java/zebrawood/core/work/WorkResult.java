package zebrawood.core.work;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Trait;
import zebrawood.core.reading.Checks;

/**
 * What was done and how it came out, failures too. Only the stock and a word for the outcome are needed; what is not
 * known is absent.
 *
 * @param stock what was worked
 * @param setup what the machine was fitted and set to
 * @param recipe what the job asked for
 * @param outcome how it came out
 */
public record WorkResult(Stock stock, Setup setup, Recipe recipe, Outcome outcome) {

    /**
     * @param kind of material, in words
     * @param thicknessMm above 0
     * @param batch batch or supplier's mark
     * @param surfaceClean whether its surface was clean
     * @param under what lay under it
     * @param mirrored whether it was worked from behind, mirrored
     */
    public record Stock(
            String kind,
            OptionalDouble thicknessMm,
            Optional<String> batch,
            Optional<Boolean> surfaceClean,
            Optional<String> under,
            Optional<Boolean> mirrored) {
        public Stock {
            new Checks().text("kind", kind).above("thicknessMm", thicknessMm, 0).done();
        }
    }

    /**
     * @param lens by the shop's name for it
     * @param nozzle in words
     * @param gapMm from the focus datum to the stock, 0 or more
     * @param defocusMm from the best gap, positive when the head is higher
     * @param air assist or gas, in words: off, low, 6 bar nitrogen
     * @param minutesSinceOn since the source was switched on
     */
    public record Setup(
            Optional<String> lens,
            Optional<String> nozzle,
            OptionalDouble gapMm,
            OptionalDouble defocusMm,
            Optional<String> air,
            OptionalDouble minutesSinceOn) {
        public Setup {
            new Checks()
                    .atLeast("gapMm", gapMm, 0)
                    .finite("defocusMm", defocusMm)
                    .atLeast("minutesSinceOn", minutesSinceOn, 0)
                    .done();
        }
    }

    /** Along single lines, or line beside line. */
    public enum Strokes {
        LINE,
        FILL
    }

    /**
     * @param powerPct of full power, 0 to 100
     * @param rateMmMin speed over the stock, above 0
     * @param intervalMm from line to line of a fill
     * @param passes how often, from 1
     * @param pauseS between passes
     * @param frequencyKhz of the pulses, where the source has them
     * @param pulseNs length of a pulse
     * @param wobbleMm diameter of the wobble, 0 or more
     */
    public record Recipe(
            OptionalDouble powerPct,
            OptionalDouble rateMmMin,
            OptionalDouble intervalMm,
            Optional<Strokes> strokes,
            OptionalInt passes,
            OptionalDouble pauseS,
            OptionalDouble frequencyKhz,
            OptionalDouble pulseNs,
            OptionalDouble wobbleMm) {
        public Recipe {
            new Checks()
                    .within("powerPct", powerPct, 0, 100)
                    .above("rateMmMin", rateMmMin, 0)
                    .above("intervalMm", intervalMm, 0)
                    .atLeast("passes", passes, 1)
                    .atLeast("pauseS", pauseS, 0)
                    .above("frequencyKhz", frequencyKhz, 0)
                    .above("pulseNs", pulseNs, 0)
                    .atLeast("wobbleMm", wobbleMm, 0)
                    .done();
        }
    }

    /**
     * @param word how it came out, in a word or a few
     * @param score from 0, nothing to use, to 10, could not be better
     * @param minutes it took
     */
    public record Outcome(String word, OptionalInt score, OptionalDouble minutes) {
        public Outcome {
            new Checks()
                    .text("word", word)
                    .atLeast("score", score, 0)
                    .that(
                            score == null || score.isEmpty() || score.getAsInt() <= 10,
                            "score",
                            "must be a whole number from 0 to 10")
                    .atLeast("minutes", minutes, 0)
                    .done();
        }
    }

    public WorkResult {
        new Checks()
                .present("stock", stock)
                .present("setup", setup)
                .present("recipe", recipe)
                .present("outcome", outcome)
                .done();
    }

    /** What its outcome may depend on, on this family of machine. */
    public List<Trait> traits(Family family) {
        return WorkTraits.of(this, family);
    }
}
