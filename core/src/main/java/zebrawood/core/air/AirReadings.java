package zebrawood.core.air;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.Limits;

/**
 * An air assist, looked at part by part and tried.
 *
 * @param source where the air comes from
 * @param filterFitted whether a filter that keeps oil and water back sits behind it; not asked of a pump
 * @param hoseSound whether hose and joints are whole and tight
 * @param valveSound whether the valve opens and shuts, where there is one
 * @param onCommand what the job software sends to switch it on
 * @param offCommand what it sends to switch it off
 * @param seenOn whether the air was seen to come on that command
 * @param seenOff whether it was seen to stop on the other
 * @param engraving at the nozzle when engraving
 * @param cutting at the nozzle when cutting
 * @param leastEngravingLMin what keeps the lens clear, l/min, above 0; 2 where absent
 * @param mostEngravingLMin beyond which dust is driven into the work and the lens, l/min, above 0; 8 where absent
 * @param leastCuttingLMin what blows a flame out, l/min, above 0; 15 where absent: the machine's manual decides
 * @param supply the regulator and how hoses are held, where that was looked at
 */
public record AirReadings(
        Source source,
        Optional<Boolean> filterFitted,
        boolean hoseSound,
        Optional<Boolean> valveSound,
        String onCommand,
        String offCommand,
        boolean seenOn,
        boolean seenOff,
        Flow engraving,
        Flow cutting,
        OptionalDouble leastEngravingLMin,
        OptionalDouble mostEngravingLMin,
        OptionalDouble leastCuttingLMin,
        Optional<Supply> supply) {

    /** One of which neither a most is known nor the supply was looked at. */
    public AirReadings(
            Source source,
            Optional<Boolean> filterFitted,
            boolean hoseSound,
            Optional<Boolean> valveSound,
            String onCommand,
            String offCommand,
            boolean seenOn,
            boolean seenOff,
            Flow engraving,
            Flow cutting,
            OptionalDouble leastEngravingLMin,
            OptionalDouble leastCuttingLMin) {
        this(
                source,
                filterFitted,
                hoseSound,
                valveSound,
                onCommand,
                offCommand,
                seenOn,
                seenOff,
                engraving,
                cutting,
                leastEngravingLMin,
                OptionalDouble.empty(),
                leastCuttingLMin,
                Optional.empty());
    }

    /**
     * What drives the air, and what holds the hoses on.
     *
     * @param setBar what the regulator is set to, gauge bar, 0 or more
     * @param ratedBar what the weakest of hose, valve and fittings is rated for, gauge bar, above 0
     * @param locked whether its knob is locked
     * @param held whether every hose is pushed in to its stop, or clamped, and does not come off when pulled
     */
    public record Supply(
            OptionalDouble setBar, OptionalDouble ratedBar, Optional<Boolean> locked, Optional<Boolean> held) {
        public Supply {
            new Checks()
                    .atLeast("setBar", setBar, 0)
                    .above("ratedBar", ratedBar, 0)
                    .done();
        }
    }

    /** Where air comes from. */
    public enum Source {
        PUMP,
        COMPRESSOR
    }

    /** What a hand feels under the nozzle, beam off. */
    public enum Felt {
        NOTHING,
        LIGHT,
        STRONG
    }

    /**
     * Air at the nozzle, read or felt.
     *
     * @param readLMin l/min, at least 0
     * @param felt with the hand, where nothing shows it
     */
    public record Flow(OptionalDouble readLMin, Optional<Felt> felt) {
        public Flow {
            new Checks()
                    .atLeast("readLMin", readLMin, 0)
                    .enough(readLMin.isPresent() || felt.isPresent(), "readLMin", "read it or feel it")
                    .done();
        }

        /** Whether it is no more than is good: as read, or at most as strong as it should feel. */
        boolean keepsTo(double mostLMin, Felt most) {
            return readLMin.isPresent()
                    ? Limits.atMost(readLMin.getAsDouble(), mostLMin)
                    : felt.orElseThrow().compareTo(most) <= 0;
        }

        /** Whether it is as much as is needed: as read, or at least as strong as it should feel. */
        boolean reaches(double leastLMin, Felt least) {
            return readLMin.isPresent()
                    ? Limits.atLeast(readLMin.getAsDouble(), leastLMin)
                    : felt.orElseThrow().compareTo(least) >= 0;
        }
    }

    public AirReadings {
        double least = leastEngravingLMin == null ? 0 : leastEngravingLMin.orElse(0);
        new Checks()
                .present("source", source)
                .text("onCommand", onCommand)
                .text("offCommand", offCommand)
                .present("engraving", engraving)
                .present("cutting", cutting)
                .above("leastEngravingLMin", leastEngravingLMin, 0)
                .above("mostEngravingLMin", mostEngravingLMin, least)
                .above("leastCuttingLMin", leastCuttingLMin, 0)
                .done();
    }
}
