package zebrawood.benches.site;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import zebrawood.core.site.ClimateYear;
import zebrawood.core.site.ClimateYear.State;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A long time as a map, day against hour: where the air was outside the machine's window, and where the water would
 * have condensed.
 */
public final class YearFigure {

    private static final int HOURS = 24;
    private static final double LEFT = 46;
    private static final double TOP = 34;
    private static final double BOTTOM = 26;
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final double MONTH_LABEL = 30;

    private YearFigure() {}

    public static Figure of(ClimateYear year) {
        return (pen, width, height) -> new Drawing(pen, year, width, height).draw();
    }

    private static final class Drawing {
        private final Pen pen;
        private final ClimateYear year;
        private final double right;
        private final double bottom;
        private final LocalDate first;
        private final long days;
        private final double perDay;
        private final double perHour;

        Drawing(Pen pen, ClimateYear year, double width, double height) {
            this.pen = pen;
            this.year = year;
            right = width - 10;
            bottom = height - BOTTOM;
            first = year.days().firstKey();
            days = ChronoUnit.DAYS.between(first, year.days().lastKey()) + 1;
            perDay = (right - LEFT) / days;
            perHour = (bottom - TOP) / HOURS;
        }

        void draw() {
            legend();
            // many days share a column where the time is long; the worst of them is seen
            int columns = (int) Math.max(1, Math.min(days, (long) (right - LEFT)));
            State[][] map = new State[columns][HOURS];
            for (Map.Entry<LocalDate, List<State>> day : year.days().entrySet()) {
                int column = (int) (ChronoUnit.DAYS.between(first, day.getKey()) * columns / days);
                for (int hour = 0; hour < HOURS; hour++) {
                    State state = day.getValue().get(hour);
                    map[column][hour] = map[column][hour] == null || state.compareTo(map[column][hour]) > 0
                            ? state
                            : map[column][hour];
                }
            }
            double wide = (right - LEFT) / columns;
            for (State state : new State[] {State.INSIDE, State.OUTSIDE, State.CONDENSING}) {
                for (int column = 0; column < columns; column++) {
                    double from = Math.rint(LEFT + column * wide);
                    column(map[column], state, from, Math.max(1, Math.rint(LEFT + (column + 1) * wide) - from));
                }
            }
            axes();
        }

        /** Hours of one column that are in a state, each run of them as one piece. */
        private void column(State[] hours, State state, double x, double wide) {
            for (int from = 0; from < HOURS; from++) {
                if (hours[from] != state) {
                    continue;
                }
                int to = from;
                while (to < HOURS && hours[to] == state) {
                    to++;
                }
                // noon stands in the middle, midnight above and below
                piece(state, x, TOP + from * perHour, wide, (to - from) * perHour);
                from = to;
            }
        }

        private void piece(State state, double x, double y, double wide, double tall) {
            if (state == State.INSIDE && !pen.hatches()) {
                pen.fill(Path.rectangle(x, y, wide, tall), Tone.BAND);
            } else if (state == State.OUTSIDE) {
                // where tints cannot be seen it is half as wide
                pen.fill(
                        Path.rectangle(x, y, pen.hatches() ? wide / 2 : wide, tall),
                        pen.hatches() ? Tone.QUIET : Tone.ADJUST);
            } else if (state == State.CONDENSING) {
                pen.fill(Path.rectangle(x, y, wide, tall), Tone.FAIL);
            }
        }

        private void legend() {
            double x = LEFT;
            for (State state : new State[] {State.INSIDE, State.OUTSIDE, State.CONDENSING}) {
                String words = switch (state) {
                    case INSIDE -> "within the machine's window";
                    case OUTSIDE -> "outside";
                    default -> "water below the dew point";
                };
                if (state == State.CONDENSING && year.hoursCondensing().isEmpty()) {
                    continue;
                }
                piece(state, x, 4, 14, 14);
                pen.stroke(Path.rectangle(x, 4, 14, 14), Stroke.of(Tone.QUIET, 1));
                pen.text(x + 20, 16, words, Lettering.SMALL, Tone.INK);
                x += 44 + pen.textWidth(words, Lettering.SMALL);
            }
        }

        private void axes() {
            pen.stroke(Path.rectangle(LEFT, TOP, right - LEFT, bottom - TOP), Stroke.of(Tone.INK, 1.2));
            for (int hour = 0; hour <= HOURS; hour += 6) {
                double y = TOP + hour * perHour;
                pen.line(LEFT - 4, y, LEFT, y, Stroke.of(Tone.INK, 1));
                pen.text(LEFT - 8, y + 4, hour + ":00", Lettering.CAPTION, Tone.INK, Anchor.END);
            }
            if (days > 45) {
                months();
            } else {
                for (long day = 0; day < days; day += Math.max(1, Math.round(60 / perDay))) {
                    String words = DAY.format(first.plusDays(day));
                    if (LEFT + day * perDay + pen.textWidth(words, Lettering.CAPTION) <= right + 8) {
                        pen.text(LEFT + day * perDay, bottom + 16, words, Lettering.CAPTION, Tone.INK);
                    }
                }
            }
        }

        private void months() {
            double free = LEFT;
            for (LocalDate month = first.withDayOfMonth(1);
                    !month.isAfter(year.days().lastKey());
                    month = month.plusMonths(1)) {
                double x = LEFT + Math.max(0, ChronoUnit.DAYS.between(first, month)) * perDay;
                if (x < free) {
                    continue;
                }
                boolean january = month.getMonthValue() == 1;
                pen.line(x, bottom, x, bottom + 5, Stroke.of(Tone.INK, 1));
                if (x + MONTH_LABEL <= right + 8) {
                    pen.text(
                            x + 2,
                            bottom + 16,
                            january ? String.valueOf(month.getYear()) : MONTH.format(month),
                            Lettering.CAPTION,
                            Tone.INK);
                }
                free = x + MONTH_LABEL;
            }
        }
    }
}
