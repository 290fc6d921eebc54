package zebrawood.benches.power;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.pretend.PretendSource;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.form.Draft;

/** A pretend tube behind a cap: its ceiling is looked for without driving it over what it bears. */
final class CeilingPractice {

    private static final double FIRMWARE_S = 1_000;

    private final Practising practice;
    private final PretendSource source;

    CeilingPractice(Practising practice) {
        this.practice = practice;
        source = PretendSource.found(practice.random(0));
    }

    static void begin(Practising practice) {
        Map<String, Draft.Text> lent = new HashMap<>();
        for (int i = 0; i < CeilingBench.MOST_READINGS; i++) {
            Draft.put(lent, "samples[" + i + "].commandPct", "");
            Draft.put(lent, "samples[" + i + "].currentMa", "");
        }
        for (String emptied : new String[] {"meter", "ceilingMa", "figureFrom", "recheck.asFoundMa"}) {
            Draft.put(lent, emptied, "");
        }
        Draft.put(lent, CeilingBench.SCHOOL, CeilingBench.CAP);
        Draft.put(lent, "firmwareMaxS", Amount.exact(FIRMWARE_S));
        practice.begin(lent);
        // its data sheet is told, what it does is not
        Map<String, Draft.Text> sheet = new HashMap<>();
        Draft.put(
                sheet,
                CeilingBench.RATED,
                Amount.exact(rated(PretendSource.found(practice.random(0)).ratedMa())));
        practice.make("", sheet);
    }

    private static double rated(double ma) {
        return Math.floor(ma);
    }

    void read(int row, double command) {
        Map<String, Draft.Text> typed = new HashMap<>();
        Draft.put(typed, "samples[" + row + "].commandPct", Amount.exact(command));
        Draft.put(
                typed,
                "samples[" + row + "].currentMa",
                Amount.exact(PretendSource.onMeterMa(source.currentMa(command), practice.random(1 + row))));
        practice.make(practice.made(), typed);
    }

    String came(Optional<CeilingFinding> found, UnitChoice units) {
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
}
