package zebrawood.benches.focus;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Worksheet;

/** What the other stops of the focus, and the plate, say of the gap on this machine. */
final class GapKnown {

    private GapKnown() {}

    /** How the gap is set here, as far as the plate says. */
    static Optional<RampReadings.GapSetting> setting(BenchPlace place) {
        return place.plate()
                .optics()
                .map(optics -> new RampReadings.GapSetting(
                        optics.focusDatum(),
                        optics.heightMoves(),
                        optics.gapTool(),
                        optics.gapToolStepMm().isPresent() ? optics.gapToolStepMm() : optics.heightStepMm(),
                        optics.heightMoves()
                                        .filter(RampReadings.GapSetting::isLensRing)
                                        .isPresent()
                                ? optics.makersGapMm()
                                : OptionalDouble.empty(),
                        optics.makersGapMm()));
    }

    /** The lenses of the plate by name. */
    static List<String> lenses(BenchPlace place) {
        return place.plate().optics().map(Plate.Optics::lenses).orElse(List.of()).stream()
                .map(Plate.Lens::name)
                .toList();
    }

    /** Which lens is in: what was typed, else the only one of the plate. */
    static Optional<String> lens(BenchPlace place, String typed) {
        return !typed.isBlank()
                ? Optional.of(typed)
                : lenses(place).size() == 1 ? Optional.of(lenses(place).get(0)) : Optional.empty();
    }

    /** Puts the lens into a worksheet whose field for it is empty, where the plate has but one. */
    static void lens(BenchPlace place, Worksheet sheet, String typed) {
        if (typed.isBlank()) {
            lens(place, typed).ifPresent(only -> sheet.word("lens", only));
        }
    }

    /** Whether two readings may have been taken with one lens: where nobody said, they may. */
    static boolean maySame(Optional<String> one, Optional<String> other) {
        return one.isEmpty() || other.isEmpty() || one.equals(other);
    }

    /** The newest ramp of this machine that passed. */
    static Optional<RampFinding> ramp(BenchPlace place) {
        return place.found("focus-ramp", RampFinding.class);
    }

    /** What a ramp told, under the names of fields that ask for it. */
    static Map<String, Amount> fromRamp(BenchPlace place, String depth, String best, String error) {
        Map<String, Amount> known = new HashMap<>();
        ramp(place).ifPresent(ramp -> {
            put(known, depth, ramp.depthOfFocusMm(), 2);
            put(known, best, ramp.bestGapMm(), 3);
            put(known, error, ramp.bestGapStdErrMm(), 3);
        });
        return known;
    }

    private static void put(Map<String, Amount> known, String field, OptionalDouble mm, int decimals) {
        if (!field.isEmpty() && mm.isPresent()) {
            double scale = Math.pow(10, decimals);
            known.put(field, new Amount(Quantity.LENGTH, Math.rint(mm.getAsDouble() * scale) / scale, decimals));
        }
    }

    /** The gap that the maker states. */
    static OptionalDouble makersMm(BenchPlace place) {
        return place.plate().optics().map(Plate.Optics::makersGapMm).orElse(OptionalDouble.empty());
    }
}
