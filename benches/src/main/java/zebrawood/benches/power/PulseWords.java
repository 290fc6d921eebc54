package zebrawood.benches.power;

import zebrawood.core.power.PulseFinding;

/** What a change of pulses does to the mark, in words. */
final class PulseWords {

    /** share by which something must change before it is said */
    private static final double NOTICED = 0.02;

    private PulseWords() {}

    /** Empty where nothing changed that is worth a word. */
    static String change(PulseFinding before, PulseFinding now) {
        StringBuilder said = new StringBuilder();
        add(
                said,
                now.pulseEnergyMj() / before.pulseEnergyMj(),
                "Each pulse hits harder: deeper, rougher.",
                "Each pulse hits less: finer, shallower.");
        add(
                said,
                now.spacingMm() / before.spacingMm(),
                "Spots lie farther apart: less heat in one place.",
                "Spots lie closer: smoother, more heat in one place.");
        if (before.pulseOverlapPct() >= 0 && now.pulseOverlapPct() < 0) {
            said.append(" The line is dotted now.");
        }
        return said.toString().strip();
    }

    private static void add(StringBuilder said, double ratio, String more, String less) {
        if (Math.abs(ratio - 1) > NOTICED) {
            said.append(' ').append(ratio > 1 ? more : less);
        }
    }
}
