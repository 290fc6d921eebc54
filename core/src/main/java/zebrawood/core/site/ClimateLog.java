package zebrawood.core.site;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import zebrawood.core.machine.ClimateLimits;

/**
 * Takes readings of a climate logger, one after the other, and keeps of each hour its worst: memory grows with the days
 * that are covered, not with the readings. A reading stands for the time until the next, one hour at the most; where
 * the clock was put back, for as long as the reading before it.
 */
public final class ClimateLog {

    /** More days than any logger covers; what comes after them is not taken. */
    public static final int MOST_DAYS = 4_000;

    private static final int HOURS = 24;
    /** hours worth naming; more nobody reads */
    private static final int WORST = 5;

    private static final double HOUR_S = 3600;
    /** % of humidity outside that count as much as 1 °C */
    private static final double PCT_PER_DEGREE = 4;

    private final ClimateLimits limits;
    private final OptionalDouble waterC;
    private final OptionalDouble followC;
    private final SortedMap<LocalDate, Day> days = new TreeMap<>();
    private long readings;
    private long first;
    private long last;
    private double step = HOUR_S;
    private boolean pendingOutside;
    private boolean pendingCondensing;
    private double seconds;
    private double secondsOutside;
    private double secondsCondensing;
    private long dayKnown = Long.MIN_VALUE;
    private Day day = new Day();

    private static final class Day {
        private final ClimateYear.State[] states = new ClimateYear.State[HOURS];
        private final float[] score = new float[HOURS];
        private final float[] temperature = new float[HOURS];
        private final float[] humidity = new float[HOURS];
    }

    /**
     * @param limits what the machine's maker allows
     * @param waterC what its cooling water is set to, °C, where it is set
     * @param followC by how much the water is above the room, °C, where the chiller follows it instead
     */
    public ClimateLog(ClimateLimits limits, OptionalDouble waterC, OptionalDouble followC) {
        this.limits = limits;
        this.waterC = waterC;
        this.followC = followC;
    }

    /**
     * Takes a reading.
     *
     * @param localSecond s since 1970 as the logger's clock showed it
     * @param temperatureC °C, -45..60
     * @param humidityPct %, above 0, up to 100
     * @return whether it was taken: false where too many days are covered already
     */
    public boolean add(long localSecond, double temperatureC, double humidityPct) {
        if (!enter(Math.floorDiv(localSecond, 86_400L))) {
            return false;
        }
        count(localSecond);
        double water =
                followC.isPresent() ? temperatureC + followC.getAsDouble() : waterC.orElse(Double.POSITIVE_INFINITY);
        double wet = HumidAir.dewPointC(temperatureC, humidityPct) - water;
        double score = Math.max(
                Math.max(temperatureC - limits.maxTemperatureC(), limits.minTemperatureC() - temperatureC),
                Math.max(humidityPct - limits.maxHumidityPct(), limits.leastHumidityPct() - humidityPct)
                        / PCT_PER_DEGREE);
        pendingOutside = score > 0;
        pendingCondensing = wet > 0;
        int hour = (int) (Math.floorMod(localSecond, 86_400L) / 3600);
        ClimateYear.State state = wet > 0
                ? ClimateYear.State.CONDENSING
                : score > 0 ? ClimateYear.State.OUTSIDE : ClimateYear.State.INSIDE;
        if (day.states[hour] == null || state.compareTo(day.states[hour]) > 0) {
            day.states[hour] = state;
        }
        float worst = (float) Math.max(score, wet);
        if (day.humidity[hour] == 0 || worst > day.score[hour]) {
            day.score[hour] = worst;
            day.temperature[hour] = (float) temperatureC;
            day.humidity[hour] = (float) humidityPct;
        }
        return true;
    }

    private boolean enter(long epochDay) {
        if (epochDay != dayKnown) {
            LocalDate date = LocalDate.ofEpochDay(epochDay);
            if (days.size() >= MOST_DAYS && !days.containsKey(date)) {
                return false;
            }
            day = days.computeIfAbsent(date, missing -> new Day());
            dayKnown = epochDay;
        }
        return true;
    }

    /** Counts the time for which the reading before this one stood. */
    private void count(long now) {
        if (readings > 0) {
            double since = now - last;
            if (since > 0) {
                step = Math.min(since, HOUR_S);
            }
            stand(since == 0 ? 0 : step);
        } else {
            first = now;
        }
        readings++;
        last = now;
    }

    private void stand(double time) {
        seconds += time;
        secondsOutside += pendingOutside ? time : 0;
        secondsCondensing += pendingCondensing ? time : 0;
    }

    /** What all of it comes to; nothing where nothing was taken. Ends the log. */
    public Optional<ClimateYear> summary() {
        if (readings == 0) {
            return Optional.empty();
        }
        stand(readings == 1 ? HOUR_S : step);
        SortedMap<LocalDate, List<ClimateYear.State>> map = new TreeMap<>();
        List<ClimateYear.Hour> hours = new ArrayList<>();
        List<Float> scores = new ArrayList<>();
        days.forEach((date, of) -> {
            List<ClimateYear.State> states = new ArrayList<>(HOURS);
            for (int hour = 0; hour < HOURS; hour++) {
                states.add(of.states[hour] == null ? ClimateYear.State.UNKNOWN : of.states[hour]);
                if (of.states[hour] != null && of.score[hour] > 0) {
                    keep(hours, scores, date.atTime(hour, 0), of, hour);
                }
            }
            map.put(date, List.copyOf(states));
        });
        Optional<Double> condensing =
                waterC.isPresent() || followC.isPresent() ? Optional.of(secondsCondensing / HOUR_S) : Optional.empty();
        return Optional.of(new ClimateYear(
                readings, at(first), at(last), seconds / HOUR_S, secondsOutside / HOUR_S, condensing, hours, map));
    }

    /** Keeps an hour among the worst, if it is one of them. */
    private static void keep(List<ClimateYear.Hour> hours, List<Float> scores, LocalDateTime at, Day of, int hour) {
        int place = 0;
        while (place < scores.size() && scores.get(place) >= of.score[hour]) {
            place++;
        }
        if (place < WORST) {
            double temperature = of.temperature[hour];
            double humidity = of.humidity[hour];
            scores.add(place, of.score[hour]);
            hours.add(
                    place,
                    new ClimateYear.Hour(
                            at, temperature, humidity, HumidAir.dewPointC(temperature, humidity), of.states[hour]));
            if (scores.size() > WORST) {
                scores.remove(WORST);
                hours.remove(WORST);
            }
        }
    }

    private static LocalDateTime at(long second) {
        return LocalDateTime.ofEpochSecond(second, 0, ZoneOffset.UTC);
    }
}
