package zebrawood.core.procedure;

import java.util.OptionalDouble;

/**
 * How long a source has been on.
 *
 * @param hours when it was counted
 * @param perDayH hours in a day, on the mean; absent where not known
 */
public record BeamTime(double hours, OptionalDouble perDayH) {}
