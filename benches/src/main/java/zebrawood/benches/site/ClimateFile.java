package zebrawood.benches.site;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import zebrawood.core.site.ClimateLog;
import zebrawood.core.site.ClimateYear;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.table.DataFile;

/**
 * What a climate logger wrote: a head that names its columns, then a line a reading. Columns may stand in any order,
 * time in one or two of them; temperatures in °C or °F. What cannot be read is told by its line, and nothing is guessed
 * where two readings of a text are possible.
 */
public final class ClimateFile {

    /** lines of title and serial number that loggers put before their head */
    private static final int MOST_PREAMBLE = 60;
    /** damaged lines kept by number; a file with more is no log */
    private static final int MOST_TOLD = 200_000;
    /** no room is so hot on average: such a column is no °C */
    private static final double HOT_C = 45;
    /** characters behind a number that may be a logger's unit */
    private static final int LONGEST_UNIT = 4;

    private static final List<String> TIME =
            List.of("time", "date", "zeit", "datum", "fecha", "hora", "heure", "data", "stamp");
    private static final List<String> HUMIDITY = List.of("humid", "feucht", "humed", "umid", "rh", "r.h", "r.f", "%");
    private static final List<String> TEMPERATURE = List.of("temp", "°c", "°f", "celsius", "fahrenheit", "℃", "℉");
    private static final List<String> DEW = List.of("dew", "tau", "rosée", "rosee", "roc", "rugiada");

    private final Path file;
    private final ClimateLog log;
    private final BooleanSupplier goOn;
    private final List<Damage> damages = new ArrayList<>();
    private Optional<Head> head = Optional.empty();
    private LoggerTime.Order order = LoggerTime.Order.DAY_FIRST;
    private long lines;
    private long damaged;
    private double sumC;
    private double mostPct;
    private boolean tooMany;

    /**
     * What came of it.
     *
     * @param year what the log comes to
     * @param damaged lines that could not be read, each with its number and why
     * @param others how many more there were than are kept
     */
    public record Read(ClimateYear year, List<Damage> damaged, long others) {}

    /** A line that could not be read. */
    public record Damage(long line, String why) {}

    /** Why nothing could be read, in words. */
    public static final class NoClimate extends Exception {
        private static final long serialVersionUID = 1L;

        NoClimate(String why) {
            super(why);
        }
    }

    /** Where the columns are. */
    private record Head(
            OptionalInt date, int time, int temperature, int humidity, boolean fahrenheit, boolean saysUnit) {}

    private ClimateFile(Path file, ClimateLog log, BooleanSupplier goOn) {
        this.file = file;
        this.log = log;
        this.goOn = goOn;
    }

    /**
     * @param goOn asked now and then whether to go on
     * @throws NoClimate where no reading could be had from it
     * @throws CancellationException where it was not to go on
     */
    public static Read read(Path file, ClimateLog log, BooleanSupplier goOn) throws NoClimate {
        return new ClimateFile(file, log, goOn).run();
    }

    private Read run() throws NoClimate {
        if (Files.isDirectory(file)) {
            throw new NoClimate(file.getFileName() + " is a folder; choose the file in it");
        }
        try {
            order = order();
            DataFile.read(file, this::line);
        } catch (IOException unreadable) {
            throw new NoClimate(file.getFileName() + " cannot be read; is it still there, and may you read it?");
        }
        if (head.isEmpty()) {
            throw new NoClimate("No line of " + file.getFileName()
                    + " names a column for the time, one for the temperature and one for the humidity: "
                    + "write such a head into it, as time, temperature °C, humidity %");
        }
        long good = lines - damaged;
        Optional<ClimateYear> year = log.summary();
        if (year.isEmpty() || damaged > good) {
            throw new NoClimate(
                    damages.isEmpty()
                            ? file.getFileName() + " holds a head but no readings"
                            : damaged + " of " + lines + " lines of " + file.getFileName()
                                    + " cannot be read; the first is line "
                                    + damages.get(0).line() + ": "
                                    + damages.get(0).why());
        }
        if (!head.get().saysUnit() && sumC / good > HOT_C) {
            throw new NoClimate("Temperatures of " + Math.round(sumC / good)
                    + " on average: write °F or °C into the head of " + file.getFileName());
        }
        if (mostPct <= 1) {
            throw new NoClimate(
                    "No humidity in " + file.getFileName() + " is above 1: it stands there as a share; give it in %");
        }
        if (tooMany) {
            damages.add(
                    0,
                    new Damage(0, "more than " + ClimateLog.MOST_DAYS + " days: what comes after them was left out"));
        }
        return new Read(year.get(), List.copyOf(damages), Math.max(0, damaged - MOST_TOLD));
    }

    /** Whether days or months come first in dates that could be either; asked of the file before it is read. */
    private LoggerTime.Order order() throws IOException, NoClimate {
        LoggerTime.Ordering ordering = new LoggerTime.Ordering();
        List<Head> found = new ArrayList<>();
        DataFile.read(file, (number, cells) -> {
            if (found.isEmpty()) {
                head(cells).ifPresent(found::add);
                return number < MOST_PREAMBLE;
            }
            ordering.look(time(found.get(0), cells));
            return !ordering.isDecided() && goOn.getAsBoolean();
        });
        endWhereWanted();
        return ordering.order()
                .orElseThrow(() -> new NoClimate("Dates such as " + ordering.example()
                        + " can be read in two ways: save " + file.getFileName() + " with dates as 2031-03-14"));
    }

    private void endWhereWanted() {
        if (!goOn.getAsBoolean()) {
            throw new CancellationException();
        }
    }

    private boolean line(long number, List<String> cells) {
        if (head.isEmpty()) {
            head = head(cells);
            return number < MOST_PREAMBLE || head.isPresent();
        }
        if ((number & 0xfff) == 0) {
            endWhereWanted();
        }
        lines++;
        take(head.get(), cells).ifPresent(why -> {
            damaged++;
            if (damages.size() < MOST_TOLD) {
                damages.add(new Damage(number, why));
            }
        });
        return !tooMany;
    }

    /** Takes a reading; why not, where that cannot be. */
    private Optional<String> take(Head columns, List<String> cells) {
        int needed = Math.max(
                Math.max(columns.time(), columns.date().orElse(0)),
                Math.max(columns.temperature(), columns.humidity()));
        if (cells.size() <= needed) {
            return Optional.of("too few columns");
        }
        Optional<Long> at = LoggerTime.second(time(columns, cells), order);
        if (at.isEmpty()) {
            return Optional.of("no time");
        }
        double celsius = number(
                cells.get(columns.temperature()), Quantity.TEMPERATURE, new UnitChoice(false, columns.fahrenheit()));
        double humidity = number(cells.get(columns.humidity()), Quantity.SHARE, UnitChoice.METRIC);
        if (Double.isNaN(celsius)) {
            return Optional.of("no temperature");
        } else if (Double.isNaN(humidity)) {
            return Optional.of("no humidity");
        } else if (!(celsius >= -45 && celsius <= 60)) {
            return Optional.of("air is never so " + (celsius > 0 ? "warm" : "cold"));
        } else if (!(humidity > 0 && humidity <= 100)) {
            return Optional.of("air is never so " + (humidity > 0 ? "damp" : "dry"));
        }
        sumC += celsius;
        mostPct = Math.max(mostPct, humidity);
        tooMany = !log.add(at.get(), celsius, humidity);
        return Optional.empty();
    }

    private static String time(Head columns, List<String> cells) {
        if (cells.size() <= Math.max(columns.time(), columns.date().orElse(0))) {
            return "";
        }
        String time = cells.get(columns.time());
        return columns.date().isPresent() ? cells.get(columns.date().getAsInt()) + " " + time : time;
    }

    /** Columns by the words above them. */
    private static Optional<Head> head(List<String> cells) {
        int temperature = -1;
        int humidity = -1;
        List<Integer> times = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            String word = cells.get(i).toLowerCase(Locale.ROOT);
            boolean dew = DEW.stream().anyMatch(word::contains);
            if (!dew && humidity < 0 && HUMIDITY.stream().anyMatch(word::contains) && !word.contains("temp")) {
                humidity = i;
            } else if (!dew
                    && temperature < 0
                    && (TEMPERATURE.stream().anyMatch(word::contains)
                            || List.of("t", "c", "f").contains(word))) {
                temperature = i;
            } else if (TIME.stream().anyMatch(word::contains)) {
                times.add(i);
            }
        }
        if (temperature < 0 || humidity < 0 || times.isEmpty()) {
            return Optional.empty();
        }
        String unit = cells.get(temperature).toLowerCase(Locale.ROOT);
        boolean fahrenheit = unit.contains("°f")
                || unit.contains("℉")
                || unit.contains("fahrenheit")
                || unit.matches(".*[\\[(_ ]f[\\])]?$")
                || unit.equals("f");
        boolean celsius = unit.contains("°c")
                || unit.contains("℃")
                || unit.contains("celsius")
                || unit.matches(".*[\\[(_ ]c[\\])]?$")
                || unit.equals("c");
        boolean two = times.size() > 1 && isDayOnly(cells.get(times.get(0)));
        return Optional.of(new Head(
                two ? OptionalInt.of(times.get(0)) : OptionalInt.empty(),
                two ? times.get(1) : times.get(0),
                temperature,
                humidity,
                fahrenheit,
                fahrenheit || celsius));
    }

    /** Whether a column is for the day, with the time of day in the next. */
    private static boolean isDayOnly(String word) {
        String lower = word.toLowerCase(Locale.ROOT);
        return List.of("date", "datum", "fecha", "data", "day", "tag").stream().anyMatch(lower::contains)
                && !lower.contains("time")
                && !lower.contains("zeit")
                && !lower.contains("hora");
    }

    /**
     * A number as one types it, in the unit of its column, or with its own behind it; NaN where it is none, or could be
     * read in two ways.
     */
    private static double number(String cell, Quantity quantity, UnitChoice units) {
        int end = cell.length();
        while (end > 0 && !Character.isDigit(cell.charAt(end - 1)) && cell.charAt(end - 1) != '.') {
            end--;
        }
        if (end == 0) {
            return Double.NaN;
        }
        String unit = cell.substring(end).strip();
        try {
            // a logger's own words behind a number, such as %rH, say no more than the head does
            return Typed.read(
                            unit.isEmpty() || quantity.hasUnit(unit)
                                    ? cell
                                    : unit.length() <= LONGEST_UNIT ? cell.substring(0, end) : "",
                            quantity,
                            units)
                    .base();
        } catch (UnreadableException words) {
            return Double.NaN;
        }
    }
}
