package zebrawood.benches.power;

import com.fasterxml.jackson.databind.SequenceWriter;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
        List<Read> read = new ArrayList<>();
        SettingsTable[] table = new SettingsTable[1];
        List<String> heads = new ArrayList<>();
        DataFile.Shape shape = DataFile.read(file, (number, cells) -> {
            if (table[0] != null) {
                read.add(new Read(number, cells));
                return true;
            }
            heads.addAll(cells);
            table[0] = SettingsTable.of(cells, from, to).orElse(null);
            return table[0] != null;
        });
        if (table[0] == null) {
            return Optional.empty();
        }
        heads.add(SettingsTable.WHY);
        // each line stands for itself: all cores turn them
        List<SettingsTable.Line> turned =
                read.parallelStream().map(line -> table[0].turned(line.cells())).toList();
        List<Refused> refused = new ArrayList<>();
        for (int i = 0; i < turned.size(); i++) {
            if (!turned.get(i).why().isEmpty()) {
                refused.add(new Refused(read.get(i).number(), turned.get(i).why()));
            }
        }
        List<String[]> cells = Stream.concat(Stream.of(heads), turned.stream().map(SettingsTable.Line::cells))
                .parallel()
                .map(line -> line.stream().map(CsvCell::harmless).toArray(String[]::new))
                .toList();
        return Optional.of(new Converted(written(cells, shape.separator()), turned.size(), refused));
    }

    /** A line as it stands in the file. */
    private record Read(long number, List<String> cells) {}

    private static String written(List<String[]> lines, char separator) throws IOException {
        StringWriter text = new StringWriter();
        try (SequenceWriter csv = new CsvMapper()
                .writerFor(String[].class)
                .with(CsvSchema.emptySchema().withColumnSeparator(separator))
                .writeValues(text)) {
            csv.writeAll(lines);
        }
        return text.toString();
    }
}
