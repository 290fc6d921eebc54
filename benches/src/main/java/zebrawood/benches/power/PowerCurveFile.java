package zebrawood.benches.power;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.LinearityReadings.Sample;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.table.DataFile;

/** Percent against watts as a file (CSV): two columns, a line each. */
public final class PowerCurveFile {

    /** more points than that are no curve that somebody measured */
    private static final int MOST = 1_000;

    private PowerCurveFile() {}

    /** As a text. */
    public static String text(List<Sample> curve) {
        StringBuilder text = new StringBuilder("command %,power W\n");
        curve.forEach(each -> text.append(Amount.exact(each.commandPct()))
                .append(',')
                .append(String.format(Locale.ROOT, "%.4g", each.powerW()))
                .append('\n'));
        return text.toString();
    }

    /**
     * Reads one; lines that are no two numbers are left out.
     *
     * @throws IOException where the file cannot be read
     */
    public static List<LinearityReadings.Sample> read(Path file) throws IOException {
        List<LinearityReadings.Sample> points = new ArrayList<>();
        DataFile.read(file, (number, cells) -> {
            if (cells.size() >= 2) {
                OptionalDouble command = number(cells.get(0), Quantity.SHARE);
                OptionalDouble power = number(cells.get(1), Quantity.POWER);
                if (command.isPresent()
                        && power.isPresent()
                        && command.getAsDouble() >= 0
                        && command.getAsDouble() <= 100
                        && power.getAsDouble() >= 0) {
                    points.add(new LinearityReadings.Sample(command.getAsDouble(), power.getAsDouble()));
                }
            }
            return points.size() < MOST;
        });
        return points;
    }

    static OptionalDouble number(String cell, Quantity quantity) {
        try {
            return OptionalDouble.of(
                    Typed.read(cell, quantity, UnitChoice.METRIC).base());
        } catch (UnreadableException noNumber) {
            return OptionalDouble.empty();
        }
    }
}
