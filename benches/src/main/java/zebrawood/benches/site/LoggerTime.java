package zebrawood.benches.site;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Locale;
import java.util.Optional;

/**
 * Times as loggers write them: {@code 2031-03-14T10:30:00+01:00}, {@code 14.03.2031 10:30}, {@code 3/14/2031 10:30 AM}.
 * What the clock on the wall showed counts; an offset behind it is left out.
 */
final class LoggerTime {

    private static final int GROUPS = 6;
    /** of a year in two digits: no logger is older */
    private static final int CENTURY = 2000;
    /** day, month, year, hour, minute */
    private static final int LEAST = 5;

    private static final String BETWEEN = " .:-/,TtZz+";

    /** What comes first in a date whose year comes last. */
    enum Order {
        DAY_FIRST,
        MONTH_FIRST
    }

    private LoggerTime() {}

    /** s since 1970 of the clock on the wall; nothing where it is no time. */
    static Optional<Long> second(String text, Order order) {
        int[] groups = groups(text);
        int found = groups[GROUPS];
        if (found < LEAST) {
            return Optional.empty();
        }
        boolean yearFirst = groups[0] > 31;
        int year = yearFirst ? groups[0] : groups[2] < 100 ? CENTURY + groups[2] : groups[2];
        boolean dayFirst = order == Order.DAY_FIRST || text.indexOf('.') > 0 && text.indexOf('.') < 3;
        int month = yearFirst ? groups[1] : dayFirst ? groups[1] : groups[0];
        int day = yearFirst ? groups[2] : dayFirst ? groups[0] : groups[1];
        int hour = hour(text, groups[3]);
        int minute = groups[4];
        int second = found > 5 ? groups[5] : 0;
        if (hour < 0 || hour > 23 || minute > 59 || second > 59 || year < 1990 || year > 2100) {
            return Optional.empty();
        }
        if (month < 1
                || month > 12
                || day < 1
                || day > YearMonth.of(year, month).lengthOfMonth()) {
            return Optional.empty();
        }
        return Optional.of(
                LocalDate.of(year, month, day).toEpochDay() * 86_400L + hour * 3600L + minute * 60L + second);
    }

    private static int hour(String text, int hour) {
        char last = Character.toLowerCase(text.charAt(text.length() - 1));
        if (last != 'm') {
            return hour;
        }
        String lower = text.toLowerCase(Locale.ROOT);
        boolean afternoon = lower.endsWith("pm") || lower.endsWith("p.m");
        if (!afternoon && !lower.endsWith("am") || hour < 1 || hour > 12) {
            return -1;
        }
        return hour % 12 + (afternoon ? 12 : 0);
    }

    /** The first six numbers, and at the end how many there are; none where a number is no part of a time. */
    private static int[] groups(String text) {
        int[] groups = new int[GROUPS + 1];
        int found = 0;
        boolean in = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9') {
                if (!in) {
                    found++;
                    in = true;
                }
                if (found <= GROUPS) {
                    groups[found - 1] = Math.min(100_000, groups[found - 1] * 10 + c - '0');
                }
            } else {
                // what follows a sign behind the time of day is an offset
                if (found >= LEAST && (c == '+' || c == '-')) {
                    break;
                } else if (i == 0 || BETWEEN.indexOf(c) < 0 && (found < LEAST || "aApPmM".indexOf(c) < 0)) {
                    return new int[GROUPS + 1];
                }
                in = false;
            }
        }
        groups[GROUPS] = Math.min(found, GROUPS);
        return groups;
    }

    /** Finds out what comes first, from one time after the other. */
    static final class Ordering {
        private boolean dayFirst;
        private boolean monthFirst;
        private boolean plain;
        private String example = "";
        private int first = -1;
        private int second = -1;
        private int firstSteps;
        private int secondSteps;

        void look(String text) {
            int[] groups = groups(text);
            if (groups[GROUPS] < LEAST) {
                return;
            }
            if (groups[0] > 31 || text.indexOf('.') > 0 && text.indexOf('.') < 3) {
                plain = true;
                return;
            }
            example = text;
            dayFirst |= groups[0] > 12 && groups[1] <= 12;
            monthFirst |= groups[1] > 12 && groups[0] <= 12;
            // within a log days change by one, months hardly ever
            firstSteps += first >= 0 && groups[0] == first + 1 && groups[1] == second ? 1 : 0;
            secondSteps += second >= 0 && groups[1] == second + 1 && groups[0] == first ? 1 : 0;
            first = groups[0];
            second = groups[1];
        }

        boolean isDecided() {
            return plain || dayFirst || monthFirst;
        }

        String example() {
            return example;
        }

        /** Nothing where it could be either. */
        Optional<Order> order() {
            if (plain || dayFirst || example.isEmpty()) {
                return Optional.of(Order.DAY_FIRST);
            } else if (monthFirst) {
                return Optional.of(Order.MONTH_FIRST);
            } else if (firstSteps != secondSteps) {
                return Optional.of(firstSteps > secondSteps ? Order.DAY_FIRST : Order.MONTH_FIRST);
            }
            return first == second && first >= 0 ? Optional.of(Order.DAY_FIRST) : Optional.empty();
        }
    }
}
