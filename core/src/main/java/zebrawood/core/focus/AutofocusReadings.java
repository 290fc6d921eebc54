package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What a machine's own autofocus came to, several times on several stocks, with one lens.
 *
 * @param kind what it feels or sees with
 * @param stocks at least one
 * @param referenceGapMm the best gap by a ramp or a ladder, 0 or more
 * @param referenceStdErrMm its standard error, 0 where absent
 * @param depthOfFocusMm of the lens
 * @param toleranceMm how well an offset is to be known, a quarter of the depth where absent
 * @param readErrorMm one standard error of a gap as it is read, 0.005 where absent
 * @param lens which one
 */
public record AutofocusReadings(
        Kind kind,
        List<Stock> stocks,
        double referenceGapMm,
        OptionalDouble referenceStdErrMm,
        double depthOfFocusMm,
        OptionalDouble toleranceMm,
        OptionalDouble readErrorMm,
        Optional<String> lens) {

    public static final double READ_ERROR_MM = 0.005;

    /** tries on uneven stock under which nothing can be said of it */
    static final int LEAST_ON_UNEVEN = 3;

    /** What an autofocus feels or sees with. */
    public enum Kind {
        PIN,
        PROBE,
        SENSOR
    }

    /** What a surface is to an autofocus. */
    public enum Surface {
        LIGHT,
        DARK,
        CLEAR,
        UNEVEN
    }

    /**
     * A stock and what each whole try on it came to.
     *
     * @param thicknessMm 0 or more, where it is known: then seeing through it can be told
     * @param gapsMm one or more, three or more on an uneven surface; each 0 or more
     */
    public record Stock(String name, Surface surface, OptionalDouble thicknessMm, List<Double> gapsMm) {
        public Stock {
            gapsMm = Checks.copy(gapsMm);
            Checks checks = new Checks()
                    .text("name", name)
                    .present("surface", surface)
                    .atLeast("thicknessMm", thicknessMm, 0)
                    .entries("gapsMm", gapsMm, surface == Surface.UNEVEN ? LEAST_ON_UNEVEN : 1);
            for (int i = 0; gapsMm != null && i < gapsMm.size(); i++) {
                checks.atLeast("gapsMm[" + i + "]", gapsMm.get(i), 0);
            }
            checks.done();
        }

        int tries() {
            return gapsMm.size();
        }

        double mean() {
            return gapsMm.stream().mapToDouble(gap -> gap / gapsMm.size()).sum();
        }

        /** Sum of squares about its own mean. */
        double squares() {
            double mean = mean();
            return gapsMm.stream()
                    .mapToDouble(gap -> (gap - mean) * (gap - mean))
                    .sum();
        }
    }

    public AutofocusReadings {
        stocks = Checks.copy(stocks);
        new Checks()
                .present("kind", kind)
                .entries("stocks", stocks, 1)
                .distinct("stocks", stocks, "name", Stock::name)
                .atLeast("referenceGapMm", referenceGapMm, 0)
                .atLeast("referenceStdErrMm", referenceStdErrMm, 0)
                .above("depthOfFocusMm", depthOfFocusMm, 0)
                .above("toleranceMm", toleranceMm, 0)
                .above("readErrorMm", readErrorMm, 0)
                .done();
    }
}
