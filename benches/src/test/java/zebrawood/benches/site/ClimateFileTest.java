package zebrawood.benches.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateLog;
import zebrawood.core.site.ClimateYear;

class ClimateFileTest {

    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);
    private static final LocalDateTime BEGIN = LocalDateTime.of(2030, 3, 9, 0, 0);
    private static final List<String> TIMES = List.of(
            "uuuu-MM-dd'T'HH:mm:ss",
            "uuuu-MM-dd HH:mm",
            "uuuu/MM/dd HH:mm:ss",
            "dd.MM.uuuu HH:mm",
            "dd/MM/uuuu HH:mm",
            "M/d/uuuu h:mm a",
            "MM/dd/uuuu HH:mm:ss",
            "dd-MM-uuuu HH:mm",
            "d.M.uu H:mm",
            "uuuu-MM-dd'T'HH:mm:ss'Z'",
            "uuuu-MM-dd'T'HH:mm:ss'+01:00'",
            "uuuu-MM-dd'T'HH:mm:ss.SSS");

    @TempDir
    private Path folder;

    /** How one odd file is written. */
    private record Odd(
            String time,
            char separator,
            Charset charset,
            boolean fahrenheit,
            boolean comma,
            boolean quoted,
            boolean apart,
            String end,
            int preamble,
            long order) {

        String text() {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < preamble; i++) {
                text.append("Logger").append(separator).append("FH ").append(i).append(end);
            }
            List<Integer> columns = new ArrayList<>(List.of(0, 1, 2, 3));
            Collections.shuffle(columns, new Random(order));
            row(
                    text,
                    columns,
                    List.of(
                            apart ? "Datum" + separator + "Uhrzeit" : "Time",
                            fahrenheit ? "Temperature (°F)" : "Temperatur [°C]",
                            "rel. Feuchte %",
                            "Dew point °C"));
            for (int hour = 0; hour < 24 * 30; hour++) {
                LocalDateTime at = BEGIN.plusHours(hour);
                double celsius = hour % 24 == 14 ? 31.5 : 20.5;
                String time =
                        DateTimeFormatter.ofPattern(this.time, Locale.ENGLISH).format(at);
                row(
                        text,
                        columns,
                        List.of(
                                apart ? time.replaceFirst("[ T]", String.valueOf(separator)) : quote(time),
                                number(fahrenheit ? celsius * 1.8 + 32 : celsius),
                                number(hour % 24 == 3 ? 80 : 45),
                                number(9.1)));
            }
            return text.toString();
        }

        private String number(double value) {
            String text = String.format(Locale.ROOT, "%.2f", value);
            return quote(comma ? text.replace('.', ',') : text);
        }

        private String quote(String text) {
            return quoted ? '"' + text + '"' : text;
        }

        private void row(StringBuilder text, List<Integer> columns, List<String> cells) {
            List<String> row = columns.stream().map(cells::get).toList();
            text.append(String.join(String.valueOf(separator), row)).append(end);
        }
    }

    private ClimateFile.Read read(Path file) throws ClimateFile.NoClimate {
        return ClimateFile.read(
                file, new ClimateLog(LIMITS, OptionalDouble.of(18), OptionalDouble.empty()), () -> true);
    }

    private Path file(String text, Charset charset) throws IOException {
        return Files.write(folder.resolve("log.csv"), text.getBytes(charset));
    }

    @Test
    void twoHundredOddFilesAreReadAsTheyWereMeant() throws Exception {
        List<Charset> charsets = List.of(
                StandardCharsets.UTF_8,
                StandardCharsets.UTF_16LE,
                StandardCharsets.UTF_16BE,
                Charset.forName("windows-1252"));
        Random random = new Random(200);
        for (int i = 0; i < 200; i++) {
            boolean comma = random.nextBoolean();
            char separator = ";\t,".charAt(comma ? random.nextInt(2) : random.nextInt(3));
            String time = TIMES.get(i % TIMES.size());
            boolean apart = random.nextInt(4) == 0 && !time.endsWith("a");
            Odd odd = new Odd(
                    time,
                    separator,
                    charsets.get(random.nextInt(4)),
                    random.nextBoolean(),
                    comma,
                    !apart && random.nextBoolean(),
                    apart,
                    random.nextBoolean() ? "\r\n" : "\n",
                    random.nextInt(4),
                    random.nextLong());
            ClimateFile.Read read = read(file(odd.text(), odd.charset()));
            assertThat(read.damaged()).as("%s", odd).isEmpty();
            ClimateYear year = read.year();
            assertThat(year.readings()).as("%s", odd).isEqualTo(720);
            assertThat(year.from()).as("%s", odd).isEqualTo(BEGIN);
            assertThat(year.until()).as("%s", odd).isEqualTo(BEGIN.plusHours(719));
            assertThat(year.hoursOutside()).as("%s", odd).isCloseTo(60, within(1e-6));
            assertThat(year.worst().get(0).temperatureC()).as("%s", odd).isCloseTo(20.5, within(0.01));
        }
    }

    @Test
    void eachDamagedLineIsToldByItsNumberAndSpoilsNoOther() throws Exception {
        List<String> lines = new ArrayList<>(List.of("time,temperature C,humidity %"));
        for (int hour = 0; hour < 100; hour++) {
            lines.add(BEGIN.plusHours(hour) + ",21.0,45");
        }
        lines.set(10, "2030-03-09T");
        lines.set(20, BEGIN.plusHours(19) + ",\"21.0,45");
        lines.set(30, BEGIN.plusHours(29) + ",---,45");
        lines.set(40, BEGIN.plusHours(39) + ",21.0,450");
        lines.set(50, BEGIN.plusHours(49) + ",210,45");
        lines.set(60, "2030-02-30T10:00,21.0,45");
        lines.set(70, "\u0000\u0001..-03-12T10:00,21.0,45");
        ClimateFile.Read read = read(file(String.join("\n", lines), StandardCharsets.UTF_8));
        assertThat(read.damaged())
                .containsExactly(
                        new ClimateFile.Damage(11, "too few columns"),
                        new ClimateFile.Damage(21, "no temperature"),
                        new ClimateFile.Damage(31, "no temperature"),
                        new ClimateFile.Damage(41, "air is never so damp"),
                        new ClimateFile.Damage(51, "air is never so warm"),
                        new ClimateFile.Damage(61, "no time"),
                        new ClimateFile.Damage(71, "no time"));
        assertThat(read.year().readings()).isEqualTo(93);
    }

    @Test
    void whatCanBeReadInTwoWaysOrNotAtAllIsRefusedInWords() throws Exception {
        refused(
                "time,temperature,humidity %\n03/04/2031 10:00,21,45\n03/04/2031 11:00,21,45\n",
                "can be read in two ways");
        refused("21.0,45\n21.1,46\n", "names a column");
        refused("", "names a column");
        refused("time,temperature,humidity %\n", "holds a head but no readings");
        refused(
                "time,temperature,humidity %\n2031-03-14T10:00,70,45\n2031-03-14T11:00,71,45\n",
                "air is never so warm");
        refused(
                "time,temperature,humidity %\n2031-03-14T10:00,52,45\n2031-03-14T11:00,53,45\n",
                "write °F or °C into the head");
        refused("time,temperature °C,rh\n2031-03-14T10:00,21,0.45\n2031-03-14T11:00,21,0.46\n", "give it in %");
        refused(
                "time;temperature °C;rh\n2031-03-14T10:00;21\n2031-03-14T11:00;21\n",
                "2 of 2 lines of log.csv cannot be read; the first is line 2: too few columns");
        refused("x".repeat(5_000_000), "names a column");
        assertThatThrownBy(() -> read(folder))
                .isInstanceOf(ClimateFile.NoClimate.class)
                .hasMessageContaining("is a folder");
        assertThatThrownBy(() -> read(folder.resolve("gone.csv")))
                .isInstanceOf(ClimateFile.NoClimate.class)
                .hasMessageContaining("cannot be read");
    }

    private void refused(String text, String words) throws IOException {
        Path file = file(text, StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(file))
                .as(text.substring(0, Math.min(60, text.length())))
                .isInstanceOf(ClimateFile.NoClimate.class)
                .hasMessageContaining(words);
    }

    @Test
    void whoStopsItGetsNothing() throws Exception {
        String[] lines = new String[10_000];
        Arrays.fill(lines, "2031-03-14T10:00,21,45");
        Path file = file("time,temperature °C,rh\n" + String.join("\n", lines), StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ClimateFile.read(
                        file, new ClimateLog(LIMITS, OptionalDouble.empty(), OptionalDouble.empty()), () -> false))
                .isInstanceOf(CancellationException.class);
    }
}
