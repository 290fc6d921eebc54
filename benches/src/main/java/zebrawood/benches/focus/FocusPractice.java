package zebrawood.benches.focus;

import java.util.List;
import java.util.SplittableRandom;
import zebrawood.core.picture.Grey;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendPlate;
import zebrawood.core.pretend.PretendSound;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.view.PictureFile;

/** A pretend beam whose best gap nobody knows, a plate burned with it, and the sound of squares being burned. */
final class FocusPractice {

    private static final int WIDE = 2000;
    private static final int HIGH = 640;
    /** share of the picture that the plate is long */
    private static final double LONG = 0.82;

    private static final double SQUARE_S = 2;

    private final Practising practice;
    private final PretendFocus focus;

    /** @param aboutMm near which gap the best one lies */
    FocusPractice(Practising practice, double aboutMm) {
        this.practice = practice;
        SplittableRandom random = practice.random(0);
        focus = new PretendFocus(
                Math.max(0.5, aboutMm + 1.6 * (random.nextDouble() - 0.5)),
                0.16 + 0.14 * random.nextDouble(),
                2 + 1.5 * random.nextDouble(),
                0);
    }

    /** A photo of a plate on which a line was burned. */
    PictureFile plate(double startMm, double runMm, double riseMm) {
        PretendPlate plate = new PretendPlate(LONG * WIDE / runMm, 1.2, 5, 1.5, 0.2, 0.12);
        Grey grey = plate.of(
                WIDE, HIGH, runMm, along -> focus.widthMm(startMm - along * riseMm / runMm), practice.random(1));
        return PictureFile.of(plate.ruled(grey));
    }

    /** A recording of squares being burned, as a WAV. */
    byte[] run(List<Double> gapsMm) {
        return new PretendSound(9, 22_050, 16)
                .of(focus, gapsMm, SQUARE_S, practice.random(2))
                .wav();
    }

    /** How a gap that was found compares with the true one. */
    String came(double foundMm, UnitChoice units) {
        double off = Math.abs(foundMm - focus.bestGapMm());
        return "Truly the best gap is " + Amount.mm(focus.bestGapMm(), 2).text(units) + ": you are "
                + Amount.mm(off, 2).text(units) + " off, and the focus is "
                + Amount.mm(focus.depthMm(), 2).text(units) + " deep.";
    }
}
