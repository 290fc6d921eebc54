package zebrawood.desktop.demo;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import zebrawood.core.focus.RampPlan;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.Plate;

/**
 * The beam of a machine that is not there: its true caustic, from which widths are drawn as somebody would read them.
 *
 * @param waistMm width of the line at the best gap
 * @param rayleighMm its Rayleigh length
 * @param gapAtStartMm how the ramp is laid
 * @param riseMm how the ramp is laid
 * @param digits decimals to which a width is read
 */
record Beam(double waistMm, double rayleighMm, double gapAtStartMm, double riseMm, int digits) {

    private static final double RUN_MM = 180;

    /** Readings, and the texts as they were typed. */
    record Typed(RampReadings readings, Map<String, String> asTyped) {}

    /**
     * A ramp burned and read.
     *
     * @param bestGapMm where the beam truly is narrowest
     * @param wrongBlockMm how much the gap at the start was misread, 0 where it was not
     */
    Typed ramp(
            Plate plate, double bestGapMm, double wrongBlockMm, OptionalDouble lastBestGapMm, RandomGenerator random) {
        double error = plate.optics().orElseThrow().widthErrorMm().orElseThrow();
        List<String> widths = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double gap = gapAtStartMm - RampPlan.placeMm(i, 9, RUN_MM) * riseMm / RUN_MM;
            double width =
                    waistMm * Math.hypot(1, (gap - bestGapMm) / rayleighMm) + random.nextGaussian() * error * 0.4;
            widths.add(BigDecimal.valueOf(Math.max(waistMm / 2, width))
                    .setScale(digits, RoundingMode.HALF_UP)
                    .toPlainString());
        }
        return typed(plate, gapAtStartMm + wrongBlockMm, widths, lastBestGapMm);
    }

    /** A ramp whose widths were read as these. */
    Typed typed(Plate plate, double gapAtStart, List<String> widths, OptionalDouble lastBestGapMm) {
        Plate.Optics optics = plate.optics().orElseThrow();
        Map<String, String> asTyped = new HashMap<>();
        List<RampReadings.Mark> marks = new ArrayList<>();
        for (int i = 0; i < widths.size(); i++) {
            asTyped.put("marks[" + i + "].widthMm", widths.get(i));
            marks.add(new RampReadings.Mark(
                    RampPlan.placeMm(i, widths.size(), RUN_MM), Double.parseDouble(widths.get(i))));
        }
        String gap = BigDecimal.valueOf(gapAtStart)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
        String rise = BigDecimal.valueOf(riseMm)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
        asTyped.put("gapAtStartMm", gap);
        asTyped.put("riseMm", rise);
        asTyped.put("runMm", "180");
        RampReadings readings = new RampReadings(
                plate.wavelengthNm().orElseThrow(),
                Double.parseDouble(gap),
                RUN_MM,
                Double.parseDouble(rise),
                Optional.empty(),
                Optional.of(marks),
                optics.widthErrorMm(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                lastBestGapMm,
                OptionalDouble.empty(),
                Optional.of(new RampReadings.GapSetting(
                        optics.focusDatum(),
                        optics.heightMoves(),
                        optics.gapTool(),
                        optics.gapToolStepMm(),
                        OptionalDouble.empty(),
                        optics.makersGapMm())),
                Optional.empty(),
                Optional.empty(),
                // the lens that the shop works with
                optics.lenses().stream()
                        .map(Plate.Lens::name)
                        .filter(name ->
                                optics.lenses().size() == 1 || name.equals("middle") || name.startsWith("field"))
                        .findFirst());
        return new Typed(readings, asTyped);
    }
}
