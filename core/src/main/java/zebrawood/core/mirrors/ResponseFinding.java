package zebrawood.core.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.beam.Spot;

/**
 * How a mount answers its screws.
 *
 * @param mmPerTurn {@code [[xA, xB], [yA, yB]]}, mm a turn; absent where the moves do not span both screws
 * @param conditionNumber of it, in the 2-norm; absent where it is singular
 * @param turnsA turns of screw A that bring the spot to its aim; absent where they are not known well enough
 * @param turnsB turns of screw B
 * @param residualMm root mean square misfit over all coordinates of all moves; absent where nothing was fitted
 * @param distanceMm from the spot to its aim
 * @param spot where the far spot sits
 * @param aim where it should sit
 * @param moves as they were made
 * @param tolerances what it was judged by
 */
public record ResponseFinding(
        Optional<List<List<Double>>> mmPerTurn,
        OptionalDouble conditionNumber,
        OptionalDouble turnsA,
        OptionalDouble turnsB,
        OptionalDouble residualMm,
        double distanceMm,
        Spot spot,
        Spot aim,
        List<ResponseReadings.Move> moves,
        Tolerances tolerances) {

    /** How near is there, mm, and the largest condition number that is followed. */
    public record Tolerances(double spotErrorMm, double conditionNumber) {}

    public ResponseFinding {
        mmPerTurn = mmPerTurn.map(rows -> rows.stream().map(List::copyOf).toList());
        moves = List.copyOf(moves);
    }
}
