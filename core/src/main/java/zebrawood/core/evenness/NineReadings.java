package zebrawood.core.evenness;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.fit.Points;
import zebrawood.core.reading.Checks;

/**
 * One small test piece burned at several places of the bed in one go: same stock, power, speed and height.
 *
 * @param quantity what was read of each
 * @param places 5 to 25, not in line, no two in one place
 * @param sourceCorner where the beam comes in, at the last fixed mirror; absent where the source rides on the head
 * @param bestGapMm needed with gaps
 * @param depthOfFocusMm needed with gaps
 * @param tolerance difference over the bed that does no harm, in the unit of the quantity
 * @param valueError one standard error of a value, in the unit of the quantity
 */
public record NineReadings(
        Kind quantity,
        List<Place> places,
        Optional<Corner> sourceCorner,
        OptionalDouble bestGapMm,
        OptionalDouble depthOfFocusMm,
        OptionalDouble tolerance,
        OptionalDouble valueError) {

    static final int LEAST_PLACES = 5;
    static final int MOST_PLACES = 25;
    private static final double IN_LINE = 0.01;

    /** What is read of a test piece. */
    public enum Kind {
        /** of a line, mm, above 0 */
        WIDTH(0.01),
        /** 0 to 10, more is better */
        SCORE(0.3),
        /** until it was cut through, whole, 1 or more */
        PASSES(0.3);

        private final double error;

        Kind(double error) {
            this.error = error;
        }

        /** One standard error of a value, where nobody says. */
        public double usualError() {
            return error;
        }

        /** Which way a larger value goes: 1 worse, -1 better. */
        int worse() {
            return this == SCORE ? -1 : 1;
        }

        private boolean holds(double value) {
            return switch (this) {
                case WIDTH -> value > 0;
                case SCORE -> value >= 0 && value <= 10;
                case PASSES -> value >= 1 && value == Math.rint(value);
            };
        }

        private String asks() {
            return switch (this) {
                case WIDTH -> "a width must be above 0";
                case SCORE -> "a score must be 0 to 10";
                case PASSES -> "passes are counted whole, from 1";
            };
        }
    }

    /** Where the beam comes in, mm, any numbers. */
    public record Corner(double xMm, double yMm) {
        public Corner {
            new Checks().finite("xMm", xMm).finite("yMm", yMm).done();
        }
    }

    /**
     * A test piece.
     *
     * @param xMm where on the bed, any number
     * @param yMm where on the bed, any number
     * @param values one or more, repeats at the place
     * @param gapMm there, at all places or at none, 0 or more
     */
    public record Place(String name, double xMm, double yMm, List<Double> values, OptionalDouble gapMm) {
        public Place {
            values = Checks.copy(values);
            Checks checks = new Checks()
                    .text("name", name)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .entries("values", values, 1)
                    .atLeast("gapMm", gapMm, 0);
            for (int i = 0; values != null && i < values.size(); i++) {
                checks.finite("values[" + i + "]", values.get(i));
            }
            checks.done();
        }

        double mean() {
            return values.stream().mapToDouble(value -> value / values.size()).sum();
        }

        private List<Double> spot() {
            return List.of(xMm + 0.0, yMm + 0.0);
        }
    }

    public NineReadings {
        places = Checks.copy(places);
        List<Place> burned = places == null ? List.of() : places;
        boolean gaps = burned.stream().anyMatch(place -> place.gapMm().isPresent());
        Checks checks = new Checks()
                .present("quantity", quantity)
                .entries("places", places, LEAST_PLACES)
                .that(burned.size() <= MOST_PLACES, "places", "at most " + MOST_PLACES + " places are compared")
                .distinct("places", places, "name", Place::name)
                .distinct("places", places, "xMm", Place::spot)
                .above("bestGapMm", bestGapMm, 0)
                .above("depthOfFocusMm", depthOfFocusMm, 0)
                .above("tolerance", tolerance, 0)
                .above("valueError", valueError, 0)
                .enough(!gaps || bestGapMm == null || bestGapMm.isPresent(), "bestGapMm", "is needed with gaps")
                .enough(
                        !gaps || depthOfFocusMm == null || depthOfFocusMm.isPresent(),
                        "depthOfFocusMm",
                        "is needed with gaps");
        for (int i = 0; i < burned.size(); i++) {
            Place place = burned.get(i);
            if (gaps && place.gapMm().isEmpty()) {
                checks.that(false, "places[" + i + "].gapMm", "give a gap at all places or at none");
                break;
            }
        }
        for (int i = 0; quantity != null && i < burned.size(); i++) {
            for (int j = 0; j < burned.get(i).values().size(); j++) {
                checks.that(
                        quantity.holds(burned.get(i).values().get(j)),
                        "places[" + i + "].values[" + j + "]",
                        quantity.asks());
            }
        }
        checks.tie(
                        () -> !Points.inLine(
                                burned.stream().mapToDouble(Place::xMm).toArray(),
                                burned.stream().mapToDouble(Place::yMm).toArray(),
                                IN_LINE),
                        "places",
                        "the places lie in one line: burn beside it too")
                .done();
    }

    boolean hasGaps() {
        return places.get(0).gapMm().isPresent();
    }

    int values() {
        return places.stream().mapToInt(place -> place.values().size()).sum();
    }
}
