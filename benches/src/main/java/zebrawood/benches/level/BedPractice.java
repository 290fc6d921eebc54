package zebrawood.benches.level;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import zebrawood.core.level.BedFinding;
import zebrawood.core.pretend.PretendBed;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.form.Draft;

/** A pretend bed on four screws: its gauge is read, its screws are turned as said, and at last it tells the truth. */
final class BedPractice {

    private static final double GAUGE_MM = 0.03;
    private static final double TILT_MM = 1.6;
    /** one in so many is twisted, which no screw puts right */
    private static final int TWISTED = 4;

    private static final double TWIST_MM = 1.4;
    /** what a hand turns: eighths of a turn */
    private static final double EIGHTHS = 8;

    private final Practising practice;
    private final double insetMm;
    private final PretendBed bed;
    private final double bedX;
    private final double bedY;

    BedPractice(Practising practice, double bedX, double bedY, double insetMm) {
        this.practice = practice;
        this.insetMm = insetMm;
        this.bedX = bedX;
        this.bedY = bedY;
        SplittableRandom random = practice.random(0);
        double alongX = TILT_MM * (2 * random.nextDouble() - 1);
        double alongY = TILT_MM * (2 * random.nextDouble() - 1);
        boolean twisted = practice.number() % TWISTED == 0;
        PretendBed found =
                new PretendBed(bedX, bedY, List.of(0.0, alongX, alongX + alongY, alongY), twisted ? TWIST_MM : 0, 0, 9);
        List<Double> turned = turned();
        for (int i = 0; i < turned.size(); i++) {
            found = found.lifted(i, turned.get(i));
        }
        bed = found;
    }

    /** Begins: four screws at the corners, gaps read once. */
    static void begin(Practising practice, Draft draft) {
        Map<String, Draft.Text> lent = new HashMap<>();
        for (int i = 0; i < BedPlan.PLACES.size(); i++) {
            Draft.put(lent, BedBench.gap(i), "");
            Draft.put(lent, BedBench.again(i), "");
        }
        for (String usual : List.of(BedBench.SCREWS, BedBench.SCREW_INSET, BedBench.SCHOOL, "fixedScrew")) {
            Draft.put(lent, usual, "");
        }
        if (draft.text(BedBench.PITCH).isBlank()) {
            Draft.put(lent, BedBench.PITCH, "0.8");
        }
        practice.begin(lent);
    }

    /** How far each screw has lifted the bed since it began, mm. */
    private List<Double> turned() {
        List<Double> turned = new ArrayList<>();
        for (String each : practice.made().split(" ")) {
            if (each.matches("-?\\d{1,3}\\.\\d{1,6}")) {
                turned.add(Double.parseDouble(each));
            }
        }
        return turned.size() == PretendBed.CORNERS ? turned : List.of(0.0, 0.0, 0.0, 0.0);
    }

    /** Reads the gauge at these places. */
    void gauge(List<Integer> places) {
        Map<String, Draft.Text> typed = new HashMap<>();
        SplittableRandom random = practice.random(1 + practice.made().hashCode());
        for (int place : places) {
            double gap = bed.gapMm(BedPlan.placeXMm(place, bedX, insetMm), BedPlan.placeYMm(place, bedY, insetMm));
            Draft.put(
                    typed,
                    BedBench.gap(place),
                    String.format(Locale.ROOT, "%.2f", gap + GAUGE_MM * random.nextGaussian()));
        }
        practice.make(practice.made(), typed);
    }

    /** Turns each screw as it is said, in eighths of a turn, and empties the fields: all is read anew. */
    void turn(BedFinding found) {
        StringBuilder made = new StringBuilder();
        List<Double> before = turned();
        for (int i = 0; i < before.size(); i++) {
            BedFinding.Screw screw = found.screws().get(i);
            double pitch = screw.turns() == 0 ? 1 : screw.raiseMm() / screw.turns();
            double by = Math.rint(screw.turns() * EIGHTHS) / EIGHTHS * pitch;
            made.append(i == 0 ? "" : " ").append(String.format(Locale.ROOT, "%.4f", before.get(i) + by));
        }
        Map<String, Draft.Text> emptied = new HashMap<>();
        for (int i = 0; i < BedPlan.PLACES.size(); i++) {
            Draft.put(emptied, BedBench.gap(i), "");
        }
        practice.make(made.toString(), emptied);
    }

    /** What the bed truly is. */
    String came(BedFinding found, UnitChoice units) {
        return "Read: " + Amount.mm(found.rangeMm(), 2).text(units) + ". Truly the gap differs by "
                + Amount.mm(bed.rangeMm(insetMm), 2).text(units) + " over this bed."
                + (bed.twistMm() > 0 ? " It is twisted: screws cannot put that right." : "");
    }
}
