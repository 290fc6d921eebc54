package zebrawood.benches.power;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import zebrawood.core.units.Quantity;
import zebrawood.json.table.DataFile;

/** A log of jobs (CSV): how long the beam was on in all of them. */
final class JobLogFile {

    private JobLogFile() {}

    /**
     * What it says.
     *
     * @param jobs how many lines had a time
     * @param minutes of all of them
     * @param leftOut lines without a time that can be read
     */
    record Summed(int jobs, double minutes, int leftOut) {}

    /** Which column holds the times, and how many minutes its unit is; by its head. */
    private record Column(int at, double minutes) {}

    static Summed read(Path file) throws IOException {
        Column[] column = new Column[1];
        int[] counted = new int[2];
        double[] minutes = new double[1];
        DataFile.read(file, (number, cells) -> {
            if (column[0] == null) {
                column[0] = column(cells);
                return true;
            }
            OptionalDouble time = column[0].at() < cells.size()
                    ? PowerCurveFile.number(cells.get(column[0].at()), Quantity.PLAIN)
                    : OptionalDouble.empty();
            if (time.isPresent() && time.getAsDouble() > 0) {
                counted[0]++;
                minutes[0] += time.getAsDouble() * column[0].minutes();
            } else {
                counted[1]++;
            }
            return true;
        });
        return new Summed(counted[0], minutes[0], counted[1]);
    }

    private static Column column(List<String> heads) {
        Column found = null;
        for (int i = 0; i < heads.size(); i++) {
            String head = heads.get(i).toLowerCase(Locale.ROOT);
            boolean time = head.matches(".{0,40}(beam|duration|time|laser on).{0,40}")
                    || head.matches("(minutes|hours|seconds|min|h|s)");
            double minutes = head.matches(".{0,80}(\\bmin|minutes).{0,20}")
                    ? 1
                    : head.matches(".{0,80}(\\bs\\b|\\bsec|seconds).{0,20}")
                            ? 1 / 60.0
                            : head.matches(".{0,80}(\\bh\\b|hours).{0,20}") ? 60 : 0;
            // the time with the beam on counts before the time of the whole job
            if (time && minutes > 0 && (found == null || head.contains("beam"))) {
                found = new Column(i, minutes);
            }
        }
        return found;
    }
}
