package zebrawood.core.visit;

import java.util.OptionalInt;
import zebrawood.core.reading.Checks;
import zebrawood.core.site.HumidAir;

/**
 * How long a machine that comes in cold stands before anything is switched on: until its coldest part is two degrees
 * over the dew point of the room. It warms as a body does in still air, a share of what is left each hour: half of it
 * in an hour and a half where it weighs up to 100 kg, in three hours where it is heavier or nobody knows. A rule of
 * thumb; the manual comes first.
 */
public final class Acclimatising {

    private static final double HALF_LIGHT_MIN = 90;
    private static final double HALF_HEAVY_MIN = 180;
    private static final double LIGHT_KG = 100;
    private static final double OVER_DEW_C = 2;
    /** said in quarters of an hour, rounded up */
    private static final int STEP_MIN = 15;
    /** a room in which it takes longer than a day is too damp to begin in */
    private static final int MOST_MIN = 24 * 60;

    private Acclimatising() {}

    /**
     * Minutes, in whole quarters of an hour; 0 where nothing can sweat; empty where a day is not enough: then the room
     * is dried or warmed first.
     *
     * @param cameC how cold it came in, °C, -45..60
     * @param roomC air of the room, °C, -45..60
     * @param humidityPct its relative humidity, above 0, up to 100 %
     * @param massKg of the machine, above 0; 0 or less where nobody knows
     */
    public static OptionalInt minutes(double cameC, double roomC, double humidityPct, double massKg) {
        new Checks()
                .within("cameC", cameC, -45, 60)
                .within("roomC", roomC, -45, 60)
                .within("humidityPct", humidityPct, 0, 100)
                .above("humidityPct", humidityPct, 0)
                .done();
        double enough = HumidAir.dewPointC(roomC, humidityPct) + OVER_DEW_C;
        if (cameC >= enough) {
            return OptionalInt.of(0);
        }
        if (roomC <= enough) {
            return OptionalInt.empty();
        }
        double half = massKg > 0 && massKg <= LIGHT_KG ? HALF_LIGHT_MIN : HALF_HEAVY_MIN;
        double minutes = half * Math.log((roomC - cameC) / (roomC - enough)) / Math.log(2);
        int whole = (int) (Math.ceil(minutes / STEP_MIN) * STEP_MIN);
        return whole > MOST_MIN ? OptionalInt.empty() : OptionalInt.of(whole);
    }
}
