package zebrawood.core.power;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Watts off a block.
 *
 * @param powerW of the beam; absent where no warming can be fitted
 * @param halfWidthW half of its 95 % interval
 * @param airC the air, as fitted
 * @param riseC how much warmer it would be without loss to the air
 * @param curve the fitted temperature over time, for the drawing
 * @param temperatures as read, for the drawing
 * @param onS how long the beam was on
 * @param commandPct at which it was fired
 */
public record BlockFinding(
        OptionalDouble powerW,
        OptionalDouble halfWidthW,
        OptionalDouble airC,
        OptionalDouble riseC,
        List<BlockReadings.Temperature> curve,
        List<BlockReadings.Temperature> temperatures,
        double onS,
        OptionalDouble commandPct) {

    public BlockFinding {
        curve = List.copyOf(curve);
        temperatures = List.copyOf(temperatures);
    }
}
