package zebrawood.core.power;

import java.util.OptionalDouble;

/**
 * How long a source has been on.
 *
 * @param hours of this source
 * @param addedH since the last time
 * @param perDayH in a day, on the mean since the last time; absent where nothing was counted before
 */
public record BeamHoursFinding(double hours, double addedH, OptionalDouble perDayH) {}
