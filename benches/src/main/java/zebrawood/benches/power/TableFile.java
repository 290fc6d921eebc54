package zebrawood.benches.power;

import com.fasterxml.jackson.dataformat.csv.CsvFactory;
import com.fasterxml.jackson.dataformat.csv.CsvGenerator;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.core.power.PowerCurve;
import zebrawood.core.power.SettingsTable;
import zebrawood.json.table.CsvCell;
import zebrawood.json.table.DataFile;

/** A file of settings (CSV), turned from one machine's percent into another's. */
public final class TableFile {

    private TableFile() {}

    /**
     * A line that cannot be had.
     *
     * @param number in the file, from 1
     */
    public record Refused(long number, String why) {}

    /**
     * A table turned.
     *
     * @param text all of it, as CSV with the separator of the file; formulas in cells are made harmless
     * @param lines how many settings there are
     * @param refused those that cannot be had, in the order of the file
     */
    public record Converted(String text, int lines, List<Refused> refused) {
        public Converted {
            refused = List.copyOf(refused);
        }
    }

    /**
     * Reads and turns it.
     *
     * @return empty where no head of it names a power
     * @throws IOException where the file cannot be read
     */
    public static Optional<Converted> convert(Path file, PowerCurve from, PowerCurve to) throws IOException {
        char separator = DataFile.read(file, (number, cells) -> false).separator();
        StringWriter text = new StringWriter();
        Turning turning;
        try (CsvGenerator csv = new CsvFactory().createGenerator(text)) {
            csv.enable(CsvGenerator.Feature.STRICT_CHECK_FOR_QUOTING);
            csv.setSchema(CsvSchema.emptySchema().withColumnSeparator(separator));
            turning = new Turning(from, to, csv);
            DataFile.read(file, turning);
        } catch (UncheckedIOException unwritten) {
            throw unwritten.getCause();
        }
        return turning.table.map(table -> new Converted(text.toString(), turning.lines, turning.refused));
    }

    /** Lines as they come: each is turned and written, so that only the text and what was refused are kept. */
    private static final class Turning implements DataFile.Lines {
        private final PowerCurve from;
        private final PowerCurve to;
        private final CsvGenerator csv;
        private final List<Refused> refused = new ArrayList<>();
        private Optional<SettingsTable> table = Optional.empty();
        private int lines;

        Turning(PowerCurve from, PowerCurve to, CsvGenerator csv) {
            this.from = from;
            this.to = to;
            this.csv = csv;
        }

        @Override
        public boolean line(long number, List<String> cells) {
            if (table.isEmpty()) {
                table = SettingsTable.of(cells, from, to);
                if (table.isPresent()) {
                    write(cells, SettingsTable.WHY);
                }
                return table.isPresent();
            }
            SettingsTable.Line turned = table.get().turned(cells);
            if (!turned.why().isEmpty()) {
                refused.add(new Refused(number, turned.why()));
            }
            write(turned.cells(), turned.why());
            lines++;
            return true;
        }

        private void write(List<String> cells, String why) {
            String[] line = new String[cells.size() + 1];
            for (int i = 0; i < cells.size(); i++) {
                line[i] = CsvCell.harmless(cells.get(i));
            }
            line[cells.size()] = why;
            try {
                csv.writeArray(line, 0, line.length);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
