package zebrawood.benches.power;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.pretend.PretendSource;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.form.Draft;

/**
 * A pretend tube, by either school. Behind a cap its ceiling is looked for without driving it over what it bears; one
 * with a control on the panel was sealed, and somebody may have knocked it since.
 */
final class CeilingPractice {

    private static final double FIRMWARE_S = 1_000;
    private static final String DIAL = "dial";
    /** what was done, where the control was turned */
    private static final String TURNED = "turned";
    /** a knocked control stands off by so much of its turn, either way */
    private static final double KNOCKED = 0.06;

    private final Practising practice;
    private final PretendSource source;

    CeilingPractice(Practising practice) {
        this.practice = practice;
        source = PretendSource.found(practice.random(0));
    }

    /** Begins on another tube, by the school that is chosen. */
    static void begin(Practising practice, String school) {
        Map<String, Draft.Text> lent = new HashMap<>();
        for (int i = 0; i < CeilingBench.MOST_READINGS; i++) {
            Draft.put(lent, command(i), "");
            Draft.put(lent, current(i), "");
        }
        for (String emptied :
                new String[] {"meter", "ceilingMa", "ceilingFraction", "figureFrom", CeilingBench.AS_FOUND}) {
            Draft.put(lent, emptied, "");
        }
        boolean cap = school.equals(CeilingBench.CAP);
        Draft.put(lent, CeilingBench.SCHOOL, cap ? CeilingBench.CAP : DIAL);
        Draft.put(lent, "firmwareMaxS", cap ? Amount.exact(FIRMWARE_S) : "");
        practice.begin(lent);
        // its data sheet is told, what it does is not
        Map<String, Draft.Text> sheet = new HashMap<>();
        double rated = rated(PretendSource.found(practice.random(0)).ratedMa());
        Draft.put(sheet, CeilingBench.RATED, Amount.exact(rated));
        practice.make("", sheet);
    }

    private static String command(int row) {
        return "samples[" + row + "].commandPct";
    }

    private static String current(int row) {
        return "samples[" + row + "].currentMa";
    }

    private static double rated(double ma) {
        return Math.floor(ma);
    }

    private double ceilingMa() {
        return CeilingReadings.FRACTION * rated(source.ratedMa());
    }

    /**
     * The next reading behind a cap.
     *
     * @param next the command that is proposed, below 0 where there is none
     */
    List<Node> capStep(int row, double next, Optional<CeilingFinding> found, UnitChoice units) {
        return next < 0
                ? practice.ended(capCame(found, units))
                : practice.step(
                        Optional.empty(),
                        "practice-read",
                        "Read the meter at " + Amount.percent(next, 1).text(units),
                        () -> read(row, next));
    }

    private void read(int row, double command) {
        Map<String, Draft.Text> typed = new HashMap<>();
        Draft.put(typed, command(row), Amount.exact(command));
        Draft.put(typed, current(row), onMeter(source.currentMa(command), 1 + row));
        practice.make(practice.made(), typed);
    }

    private String onMeter(double ma, long purpose) {
        return Amount.exact(PretendSource.onMeterMa(ma, practice.random(purpose)));
    }

    private String capCame(Optional<CeilingFinding> found, UnitChoice units) {
        double over = found.stream()
                .flatMap(each -> each.curve().stream())
                .mapToDouble(each -> source.currentMa(each.commandPct()))
                .max()
                .orElse(0);
        return (over > rated(source.ratedMa())
                        ? "It was driven over what it bears. "
                        : "It was never over what it bears. ")
                + found.flatMap(each ->
                                each.commandAtCeilingPct().stream().boxed().findFirst())
                        .map(command -> "At " + Amount.percent(command, 1).text(units) + " it truly draws "
                                + CeilingFigure.ma(source.currentMa(command), units) + ".")
                        .orElse("It does not reach its ceiling.");
    }

    /** With the control on the panel: read as found, turned as it is said, read again. */
    List<Node> dialStep(boolean asFoundRead, boolean passes, UnitChoice units) {
        if (!asFoundRead) {
            return practice.step(
                    Optional.empty(), "practice-read", "Read the meter at 100 %, as found", this::readAsFound);
        }
        return passes
                ? practice.ended(dialCame(units))
                : practice.step(Optional.empty(), "practice-read", "Turn the control as it says, and read", this::turn);
    }

    /** What the meter showed when it was sealed. */
    double leftMa() {
        return Math.rint(ceilingMa() * 10) / 10;
    }

    /** Where the control was sealed, share of the command. */
    private double sealed() {
        return share(ceilingMa());
    }

    private double share(double ma) {
        double low = 0.01;
        double high = 2;
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            if (source.turned(middle).currentMa(100) > ma) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
    }

    /** One in three stands as it was left. */
    private double knockedBy() {
        return switch (practice.random(3).nextInt(3)) {
            case 0 -> 0;
            case 1 -> -KNOCKED;
            default -> KNOCKED;
        };
    }

    private void readAsFound() {
        double found = source.turned(sealed() * (1 + knockedBy())).currentMa(100);
        Map<String, Draft.Text> typed = new HashMap<>();
        String shown = onMeter(found, 4);
        Draft.put(typed, CeilingBench.AS_FOUND, shown);
        Draft.put(typed, command(0), "100");
        Draft.put(typed, current(0), shown);
        practice.make(practice.made(), typed);
    }

    /** By a hand, in steps of 0.1 %, from below. */
    private void turn() {
        double step = Math.floor(1_000 * sealed()) / 1_000;
        Map<String, Draft.Text> typed = new HashMap<>();
        Draft.put(typed, current(0), onMeter(source.turned(step).currentMa(100), 5));
        practice.make(TURNED, typed);
    }

    private String dialCame(UnitChoice units) {
        double by = knockedBy();
        boolean turned = practice.made().equals(TURNED);
        double left = source.turned(turned ? Math.floor(1_000 * sealed()) / 1_000 : sealed() * (1 + by))
                .currentMa(100);
        return (by == 0
                        ? "Nobody had touched the control."
                        : "The control had been knocked " + (by > 0 ? "up" : "down") + " by "
                                + Amount.percent(100 * KNOCKED, 0).text(units) + ".")
                + " At 100 % the tube truly draws " + CeilingFigure.ma(left, units) + " now.";
    }
}
