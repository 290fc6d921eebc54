package zebrawood.benches.power;

import java.util.List;
import java.util.Optional;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.power.SafeCommand;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Worksheet;

/**
 * The first reading of a cap, with what it is held to: one reading makes no finding yet, and the second one must be
 * safe all the same.
 */
record FirstOfCap(CeilingReadings.Sample read, double ratedMa, double ceilingMa) {

    /**
     * As it is typed.
     *
     * @param rows that are filled
     * @param ratedOnPlate the most allowed where none is typed
     * @return empty where it is not the only one, or not known whole
     */
    static Optional<FirstOfCap> of(Draft draft, List<Integer> rows, Optional<Double> ratedOnPlate) {
        if (rows.size() != 1) {
            return Optional.empty();
        }
        Worksheet sheet = Worksheet.of(draft);
        Optional<Double> command = sheet.aside("samples[" + rows.get(0) + "].commandPct", Quantity.SHARE)
                .filter(percent -> percent >= 0 && percent <= 100);
        Optional<Double> current = sheet.aside("samples[" + rows.get(0) + "].currentMa", Quantity.CURRENT)
                .filter(ma -> ma >= 0);
        Optional<Double> rated = sheet.aside(CeilingBench.RATED, Quantity.CURRENT)
                .or(() -> ratedOnPlate)
                .filter(ma -> ma > 0);
        if (command.isEmpty() || current.isEmpty() || rated.isEmpty()) {
            return Optional.empty();
        }
        double share = sheet.aside("ceilingFraction", Quantity.PLAIN).orElse(CeilingReadings.FRACTION);
        double ceiling = sheet.aside("ceilingMa", Quantity.CURRENT).orElse(share * rated.get());
        return Optional.of(new FirstOfCap(
                new CeilingReadings.Sample(command.get(), current.get()), rated.get(), Math.min(ceiling, rated.get())));
    }

    /** The command that is safe next, %; below 0 where none is. */
    double next() {
        return SafeCommand.first(read, ratedMa, ceilingMa);
    }

    /** What is said of it. */
    Said said() {
        return SafeCommand.afterFirst(read, ratedMa, ceilingMa);
    }
}
