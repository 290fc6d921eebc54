package zebrawood.json.table;

import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.dataformat.csv.CsvFactory;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.SequenceInputStream;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A text of rows and columns, whatever its encoding (UTF-8, UTF-16, Windows-1252) and separator (comma, semicolon,
 * tab). Each line stands for itself: one that is damaged spoils no other. It is read line by line and never held as a
 * whole.
 */
public final class DataFile {

    /** bytes by which an encoding is guessed */
    private static final int LOOKED_AT = 1 << 16;
    /** lines by which separator and head are guessed */
    private static final int LINES_LOOKED_AT = 40;
    /** characters; a longer line is no row of a table */
    private static final int LONGEST_LINE = 1 << 16;

    /** reads quoted cells; alone, without what binds rows to objects, it is there at once */
    private static final CsvFactory CSV = new CsvFactory();

    private DataFile() {}

    /** Takes a line. */
    public interface Lines {
        /**
         * @param number from 1
         * @param cells without quotes and blanks around them
         * @return whether to go on
         */
        boolean line(long number, List<String> cells);
    }

    /** How a file is written: whether numbers have a decimal comma is not known where commas separate. */
    public record Shape(Charset charset, char separator) {}

    /**
     * Reads all lines that are not empty.
     *
     * @throws IOException where the file cannot be read
     */
    public static Shape read(Path file, Lines lines) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] begin = in.readNBytes(LOOKED_AT);
            Charset charset = Encoding.guess(begin);
            char separator = separator(new String(begin, charset));
            CsvSchema quoted = CsvSchema.emptySchema().withColumnSeparator(separator);
            LineReader reader = new LineReader(
                    new InputStreamReader(new SequenceInputStream(new ByteArrayInputStream(begin), in), charset));
            long number = 0;
            for (String line = reader.next(); line != null; line = reader.next()) {
                number++;
                String text = number == 1 && line.startsWith("\uFEFF") ? line.substring(1) : line;
                if (!text.isBlank() && !lines.line(number, cells(text, separator, quoted))) {
                    break;
                }
            }
            return new Shape(charset, separator);
        }
    }

    /**
     * Lines of a text, whatever ends them; one that is longer than any table's is cut, so that no file is read into
     * memory as one line.
     */
    private static final class LineReader {
        private final Reader reader;
        private final char[] buffer = new char[LOOKED_AT];
        private int at;
        private int end;
        private boolean afterReturn;

        LineReader(Reader reader) {
            this.reader = reader;
        }

        /** The next line, null after the last. */
        String next() throws IOException {
            StringBuilder before = null;
            while (true) {
                if (at == end && !fill()) {
                    return before == null ? null : before.toString();
                }
                if (afterReturn && buffer[at] == '\n') {
                    at++;
                    afterReturn = false;
                    continue;
                }
                afterReturn = false;
                int from = at;
                while (at < end && buffer[at] != '\n' && buffer[at] != '\r') {
                    at++;
                }
                boolean ended = at < end;
                if (before == null && ended) {
                    return ended(new String(buffer, from, at - from));
                }
                before = before == null ? new StringBuilder() : before;
                before.append(buffer, from, Math.min(at - from, Math.max(0, LONGEST_LINE - before.length())));
                if (ended) {
                    return ended(before.toString());
                }
            }
        }

        private String ended(String line) {
            afterReturn = buffer[at] == '\r';
            at++;
            return line;
        }

        private boolean fill() throws IOException {
            at = 0;
            end = Math.max(0, reader.read(buffer));
            return end > 0;
        }
    }

    private static List<String> cells(String line, char separator, CsvSchema quoted) {
        if (line.indexOf('"') >= 0) {
            try (CsvParser row = CSV.createParser(line)) {
                row.setSchema(quoted);
                List<String> cells = new ArrayList<>(6);
                for (JsonToken token = row.nextToken();
                        token != null && token != JsonToken.END_ARRAY;
                        token = row.nextToken()) {
                    if (token.isScalarValue()) {
                        cells.add(row.getText().strip());
                    }
                }
                return cells;
            } catch (IOException damaged) {
                // taken as it stands; who reads numbers will not find any
                return split(line, separator);
            }
        }
        return split(line, separator);
    }

    private static List<String> split(String line, char separator) {
        List<String> cells = new ArrayList<>(6);
        int from = 0;
        for (int to = line.indexOf(separator); to >= 0; to = line.indexOf(separator, from)) {
            cells.add(line.substring(from, to).strip());
            from = to + 1;
        }
        cells.add(line.substring(from).strip());
        return cells;
    }

    /** The one that stands in most lines: a semicolon or a tab before a comma, which may be a decimal one. */
    private static char separator(String begin) {
        List<String> lines = begin.lines()
                .filter(line -> !line.isBlank())
                .limit(LINES_LOOKED_AT)
                .toList();
        for (char candidate : new char[] {';', '\t'}) {
            long with =
                    lines.stream().filter(line -> line.indexOf(candidate) >= 0).count();
            if (with * 2 > lines.size()) {
                return candidate;
            }
        }
        return ',';
    }
}
