package zebrawood.core.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Trait;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/**
 * What of a work result its outcome depends on, for a family of machine. How much is the trade's rule of thumb, said as
 * a share: power, speed and lens in full, what lay under it by a third. Differences up to half of the stated tolerance
 * are what a careful hand repeats to.
 */
final class WorkTraits {

    /** a twentieth: what repeats from day to day by itself */
    private static final double SHARE = 0.05;

    private final Family family;
    private final List<Trait> traits = new ArrayList<>();

    private WorkTraits(Family family) {
        this.family = family;
    }

    static List<Trait> of(WorkResult result, Family family) {
        WorkTraits traits = new WorkTraits(family);
        traits.stock(result.stock());
        traits.setup(result.setup());
        traits.recipe(result.recipe());
        return traits.traits;
    }

    private boolean pulsed() {
        return family.isGalvo();
    }

    private void stock(WorkResult.Stock stock) {
        word("stock", Optional.of(stock.kind()), 1);
        amount("thickness", stock.thicknessMm(), Quantity.LENGTH, 2, OptionalDouble.empty(), pulsed() ? 0.3 : 0.9);
        word("batch", stock.batch(), 0.65);
        word("surface", stock.surfaceClean().map(clean -> clean ? "clean" : "not clean"), 0.6);
        word("what lay under it", stock.under(), pulsed() ? 0.3 : 0.5);
        word("mirrored", stock.mirrored().map(mirrored -> mirrored ? "yes" : "no"), 0.3);
    }

    private void setup(WorkResult.Setup setup) {
        word("lens", setup.lens(), 1);
        word("nozzle", setup.nozzle(), family == Family.SHEET_FIBRE ? 0.85 : pulsed() ? 0.05 : 0.35);
        amount("gap", setup.gapMm(), Quantity.LENGTH, 2, OptionalDouble.of(0.4), 0.85);
        amount("defocus", setup.defocusMm(), Quantity.LENGTH, 2, OptionalDouble.of(0.4), 0.95);
        word(
                "air",
                setup.air(),
                switch (family) {
                    case SHEET_FIBRE -> 1;
                    case GANTRY_CO2 -> 0.85;
                    case GANTRY_DIODE -> 0.7;
                    default -> 0.15;
                });
        OptionalDouble warm = setup.minutesSinceOn().isPresent()
                ? OptionalDouble.of(Math.min(60, setup.minutesSinceOn().getAsDouble()))
                : OptionalDouble.empty();
        amount(
                "minutes since switched on",
                warm,
                Quantity.MINUTES,
                0,
                OptionalDouble.of(20),
                switch (family) {
                    case GALVO_UV -> 0.5;
                    case GANTRY_CO2 -> 0.45;
                    default -> 0.25;
                });
    }

    private void recipe(WorkResult.Recipe recipe) {
        amount("power", recipe.powerPct(), Quantity.SHARE, 1, OptionalDouble.empty(), 1);
        amount("speed", recipe.rateMmMin(), Quantity.RATE, 0, OptionalDouble.empty(), 1);
        amount("line interval", recipe.intervalMm(), Quantity.LENGTH, 3, OptionalDouble.empty(), 0.85);
        word(
                "line or fill",
                recipe.strokes().map(strokes -> strokes == WorkResult.Strokes.FILL ? "fill" : "line"),
                0.9);
        OptionalDouble passes =
                recipe.passes().isPresent() ? OptionalDouble.of(recipe.passes().getAsInt()) : OptionalDouble.empty();
        amount("passes", passes, Quantity.PLAIN, 0, OptionalDouble.of(0.5), 1);
        amount("pause", recipe.pauseS(), Quantity.SECONDS, 0, OptionalDouble.of(5), 0.3);
        amount("frequency", recipe.frequencyKhz(), Quantity.FREQUENCY, 1, OptionalDouble.empty(), pulsed() ? 0.9 : 0.1);
        amount("pulse length", recipe.pulseNs(), Quantity.PULSE, 0, OptionalDouble.empty(), pulsed() ? 0.9 : 0.1);
        amount("wobble", recipe.wobbleMm(), Quantity.LENGTH, 3, OptionalDouble.of(0.01), 0.85);
    }

    /** A number; its tolerance is a twentieth of it where none is given. */
    private void amount(
            String label,
            OptionalDouble value,
            Quantity quantity,
            int decimals,
            OptionalDouble tolerance,
            double matters) {
        value.ifPresent(number -> traits.add(Trait.amount(
                label,
                Said.of("{0}", new Amount(quantity, number, decimals)),
                number,
                tolerance.orElse(Math.max(1e-9, Math.abs(number) * SHARE)),
                matters)));
    }

    private void word(String label, Optional<String> word, double matters) {
        word.filter(text -> !text.isBlank()).ifPresent(text -> traits.add(Trait.word(label, text.strip(), matters)));
    }
}
