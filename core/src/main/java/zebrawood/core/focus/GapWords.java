package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.focus.RampReadings.GapSetting;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** How a gap is set, as the hand does it on this machine. */
final class GapWords {

    /** a calliper on a ring tells no less, mm */
    private static final double LEAST_TURN_MM = 0.05;

    private GapWords() {}

    /** Between which gaps it stays in focus, mm. */
    record InFocus(double fromMm, double toMm) {
        boolean holds(double gapMm) {
            return gapMm >= fromMm && gapMm <= toMm;
        }
    }

    /**
     * Set the gap, in steps of the shop's tool where they reach the focus.
     *
     * @param doubt what is said where it is not known between which gaps it stays in focus
     */
    static Instruction set(double best, Optional<GapSetting> setting, Optional<InFocus> focus, String doubt) {
        OptionalDouble fixed = setting.map(GapSetting::fixedGapMm).orElse(OptionalDouble.empty());
        if (fixed.isPresent()) {
            return turn(fixed.getAsDouble() - best);
        }
        if (setting.flatMap(GapSetting::moves).filter(GapSetting::isLensRing).isPresent()) {
            return Instruction.of(
                            "plate", Said.of("Type the maker's gap on the plate: at it this machine always works."))
                    .byHand(Said.of(
                            "The lens is turned in its ring here, the gap is not set. The marks were best at {0}. With the"
                                    + " maker's gap known, read again: how far to turn is said then.",
                            Amount.mm(best, 2)));
        }
        String moves = setting.flatMap(GapSetting::moves).orElse("bed or head");
        String datum = setting.flatMap(GapSetting::datum).orElse("focus datum");
        OptionalDouble step = setting.map(GapSetting::stepMm).orElse(OptionalDouble.empty());
        double byHand = step.isPresent() ? Math.rint(best / step.getAsDouble()) * step.getAsDouble() : best;
        boolean reaches = focus.map(range -> range.holds(byHand)).orElse(true);
        double set = reaches && byHand > 0 ? byHand : best;
        int decimals = step.isPresent() && reaches ? decimals(step.getAsDouble()) : best > 50 ? 1 : 2;
        List<Amount> amounts = new ArrayList<>(List.of(Amount.mm(set, decimals)));
        String hand = setting.flatMap(GapSetting::tool).isPresent() && reaches
                ? "Move the " + moves + " until the {0} "
                        + setting.flatMap(GapSetting::tool).get() + " just slides under the " + datum + "."
                : "Move the " + moves + " until {0} stand between " + datum + " and surface.";
        if (focus.isPresent()) {
            amounts.add(Amount.mm(focus.get().fromMm(), 1));
            amounts.add(Amount.mm(focus.get().toMm(), 1));
            hand += " Between {1#} and {2} it stays in focus.";
        } else {
            hand += " " + doubt;
        }
        return Instruction.of("gap", Said.of("Set the gap to {0}.", amounts.get(0)))
                .byHand(new Said(hand, amounts));
    }

    /**
     * A lens that is turned in its ring, where the gap is always the same.
     *
     * @param moveMm how far it must go, towards the work where above 0
     */
    static Instruction turn(double moveMm) {
        if (Math.abs(moveMm) < LEAST_TURN_MM) {
            return Instruction.of("lens", Said.of("Leave the lens in its ring: it is sharp at this machine's gap."));
        }
        return Instruction.of(
                        "lens",
                        Said.of(
                                "Turn the lens in its ring until it stands {0} "
                                        + (moveMm > 0 ? "nearer to the work." : "farther from the work."),
                                Amount.mm(Math.abs(moveMm), 2)))
                .byHand(Said.of(
                        "Source off at the key. Measure with a calliper how far the lens or its ring stands out,"
                                + " before and after. Touch no glass. Lock the ring."))
                .expecting(Said.of("Then burn the marks again: they should be best at the gap of this machine."));
    }

    private static int decimals(double step) {
        return step == Math.rint(step) ? 0 : step * 10 == Math.rint(step * 10) ? 1 : 2;
    }

    /**
     * What is done where the best gap is further from the last one than the focus is deep.
     *
     * @param again what is done first: {@code Burn a second line and read its widths}
     * @param rule what the gap is read on: {@code block}
     */
    static Instruction far(double drift, double depth, String again, String rule) {
        return Instruction.of(
                        "lens",
                        Said.of(
                                again + " before you set the gap: it has " + (drift > 0 ? "grown" : "shrunk")
                                        + " by {0} since last time.",
                                Amount.mm(Math.abs(drift), 2)))
                .byHand(Said.of(
                        "That is more than the whole depth of focus, {0}. Was the right lens in, the right datum taken?"
                                + " Look at the lens, its seat and the " + rule + ", then read again.",
                        Amount.mm(depth, 2)));
    }

    /** A best gap in as many digits as it is worth. */
    static Said keyFigure(OptionalDouble best) {
        return best.isPresent()
                ? Said.of("{0}", Amount.mm(best.getAsDouble(), best.getAsDouble() > 50 ? 1 : 2))
                : Said.of("no gap yet");
    }

    /** A best gap with half of its interval, where that is known. */
    static Said withDoubt(double best, OptionalDouble half) {
        return half.isPresent()
                ? Said.of("{0#} ± {1}", Amount.mm(best, 2), Amount.mm(half.getAsDouble(), 2))
                : Said.of("{0}", Amount.mm(best, 2));
    }

    /** How far it has moved, with its sign. */
    static Said moved(double drift) {
        return Said.of(drift < 0 ? "{0}" : "+{0}", Amount.mm(drift, 2));
    }
}
