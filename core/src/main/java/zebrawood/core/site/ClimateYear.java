package zebrawood.core.site;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * The air of a room over a long time, as a logger wrote it down.
 *
 * @param readings how many there were
 * @param from the first of them, as the logger's clock showed it
 * @param until the last
 * @param hours for which there is a reading, h
 * @param hoursOutside of these, outside what the machine's maker allows, h
 * @param hoursCondensing of these, with a dew point above the cooling water, h; absent where no water was asked about
 * @param worst the hours furthest outside, the worst first
 * @param days how each hour of each day was, by the worst reading in it
 */
public record ClimateYear(
        long readings,
        LocalDateTime from,
        LocalDateTime until,
        double hours,
        double hoursOutside,
        Optional<Double> hoursCondensing,
        List<Hour> worst,
        SortedMap<LocalDate, List<State>> days) {

    /** How an hour was. */
    public enum State {
        /** nothing was read */
        UNKNOWN,
        INSIDE,
        OUTSIDE,
        /** the dew point was above the cooling water's temperature */
        CONDENSING
    }

    /** An hour by its worst reading: air, °C; relative humidity, %; dew point, °C. */
    public record Hour(LocalDateTime at, double temperatureC, double humidityPct, double dewPointC, State state) {}

    public ClimateYear {
        worst = List.copyOf(worst);
    }
}
