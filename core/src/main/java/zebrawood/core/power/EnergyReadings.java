package zebrawood.core.power;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import zebrawood.core.reading.Checks;

/**
 * Settings that came out well, and some of those they are to become.
 *
 * @param from the settings that came out well
 * @param to exactly two of power, speed and interval; the third follows
 */
public record EnergyReadings(From from, To to) {

    /** All of them: W, mm/s, mm, passes (1 where absent), kHz and ns of a pulsed source. */
    public record From(
            double powerW,
            double speedMmS,
            double intervalMm,
            OptionalInt passes,
            OptionalDouble frequencyKHz,
            OptionalDouble pulseNs) {
        public From {
            new Checks()
                    .above("powerW", powerW, 0)
                    .above("speedMmS", speedMmS, 0)
                    .above("intervalMm", intervalMm, 0)
                    .atLeast("passes", passes, 1)
                    .above("frequencyKHz", frequencyKHz, 0)
                    .above("pulseNs", pulseNs, 0)
                    .done();
        }
    }

    /** Two of the first three, and the others as wanted. */
    public record To(
            OptionalDouble powerW,
            OptionalDouble speedMmS,
            OptionalDouble intervalMm,
            OptionalInt passes,
            OptionalDouble frequencyKHz,
            OptionalDouble pulseNs) {
        public To {
            new Checks()
                    .above("powerW", powerW, 0)
                    .above("speedMmS", speedMmS, 0)
                    .above("intervalMm", intervalMm, 0)
                    .atLeast("passes", passes, 1)
                    .above("frequencyKHz", frequencyKHz, 0)
                    .above("pulseNs", pulseNs, 0)
                    .done();
        }

        long given() {
            return Stream.of(powerW, speedMmS, intervalMm)
                    .filter(OptionalDouble::isPresent)
                    .count();
        }
    }

    public EnergyReadings {
        Checks checks = new Checks().present("from", from).present("to", to);
        if (from != null && to != null) {
            boolean known = from.frequencyKHz().isPresent();
            boolean wanted = to.frequencyKHz().isPresent();
            boolean knownPulse = from.pulseNs().isPresent();
            boolean wantedPulse = to.pulseNs().isPresent();
            checks.that(to.given() == 2, "to", "needs exactly two of power, speed and interval: the third follows")
                    .that(known || !wanted, "from.frequencyKHz", "is known on the other side: give it here too")
                    .that(wanted || !known, "to.frequencyKHz", "is known on the other side: give it here too")
                    .that(knownPulse || !wantedPulse, "from.pulseNs", "is known on the other side: give it here too")
                    .that(wantedPulse || !knownPulse, "to.pulseNs", "is known on the other side: give it here too");
        }
        checks.done();
    }
}
