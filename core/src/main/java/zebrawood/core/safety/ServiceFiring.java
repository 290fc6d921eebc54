package zebrawood.core.safety;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.reading.Checks;

/**
 * Work with covers open, to adjust mirrors: by a named person, in an area that somebody keeps, at lowest power, for a
 * limited time.
 *
 * @param who initials of who works, and answers for it
 * @param keeps initials of who keeps others out of the area
 * @param minutes after which nothing fires any more, whole, 1 to {@value #MOST_MINUTES}
 * @param open covers that are open, each by its name
 * @param confirmed what was confirmed before, as it was shown
 */
public record ServiceFiring(String who, String keeps, int minutes, List<String> open, List<String> confirmed) {

    /** Longer work is begun anew: somebody looks again. */
    public static final int MOST_MINUTES = 60;

    /** Of the bars of a gate, those that stand again from its beginning: one of them is on every machine. */
    public static final Set<String> BARS = Set.of("interlock", "area");

    public ServiceFiring {
        open = Checks.copy(open);
        confirmed = Checks.copy(confirmed);
        Checks checks = new Checks()
                .text("who", who)
                .text("keeps", keeps)
                .within("minutes", minutes, 1, MOST_MINUTES)
                .entries("open", open, 1)
                .entries("confirmed", confirmed, 1);
        for (int i = 0; i < open.size(); i++) {
            checks.text("open[" + i + "]", open.get(i));
        }
        checks.done();
    }

    /** For how long something may fire. */
    public Duration time() {
        return Duration.ofMinutes(minutes);
    }

    /** What is seen to at its end: every cover that was open. */
    BarTest covers() {
        return new BarTest(
                "shut",
                "Shut again, with every screw and key as it was: " + String.join(", ", open),
                BarTest.Form.TICK,
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    /** What has to be confirmed before it begins on this machine. */
    public static List<String> toConfirm(Plate plate) {
        Optional<String> wavelength = plate.wavelengthNm().isPresent()
                ? Optional.of(FirstLight.wavelength(plate.wavelengthNm().getAsDouble()))
                : Optional.empty();
        return List.of(
                "High voltage and mains stay covered. Nobody reaches behind them.",
                "Everybody in the area wears eyewear marked for " + wavelength.orElse("this wavelength") + ".",
                "Doors are shut and the sign is out. Nothing shiny lies in the beam's way.",
                "The power is set to the lowest that marks.",
                "One person fires, and says so aloud before each pulse. Hands are out of the beam.");
    }
}
