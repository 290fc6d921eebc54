package zebrawood.core.controller;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.reading.Checks;

/**
 * The settings as the controller printed them, and what the machine needs.
 *
 * @param settingsText at least one setting line
 * @param baselineText an earlier text to compare with, at least one setting line
 * @param dialect what the numbers mean, {@code dollar-numbers} where absent
 * @param need what the machine needs
 * @param cap the most that its tube bears, where that is capped in software
 */
public record SettingsReadings(
        String settingsText,
        Optional<String> baselineText,
        Optional<String> dialect,
        ControllerNeed need,
        Optional<Cap> cap) {

    /**
     * The largest S that a tube bears.
     *
     * @param s above 0
     * @param ofMaxS what the controller took for all of its power when that was measured, above 0; as now where absent
     */
    public record Cap(double s, OptionalDouble ofMaxS) {

        private static final double FINE = 1_000;

        public Cap {
            new Checks().above("s", s, 0).above("ofMaxS", ofMaxS, 0).done();
        }

        /** The same where the controller takes another S for all of its power; rounded down. */
        double at(double maxS) {
            if (ofMaxS.isEmpty()) {
                return s;
            }
            double scaled = s * maxS / ofMaxS.getAsDouble();
            // some scales end at 1: whole numbers would leave nothing of it
            return scaled >= 1 ? Math.floor(scaled + 1e-9) : Math.floor(scaled * FINE + 1e-9) / FINE;
        }
    }

    /** Of a machine whose power no software caps. */
    public SettingsReadings(
            String settingsText, Optional<String> baselineText, Optional<String> dialect, ControllerNeed need) {
        this(settingsText, baselineText, dialect, need, Optional.empty());
    }

    private static final String NO_SETTING =
            "no line such as $32=1 stands in it; ask the controller for its settings ($$) and take all it prints";

    public SettingsReadings {
        new Checks()
                .present("settingsText", settingsText)
                .that(settingsText == null || hasSetting(settingsText), "settingsText", NO_SETTING)
                .that(
                        baselineText == null
                                || baselineText
                                        .map(SettingsReadings::hasSetting)
                                        .orElse(true),
                        "baselineText",
                        NO_SETTING)
                .that(
                        dialect == null
                                || dialect.flatMap(id -> Dialect.find(id)).isPresent()
                                || dialect.isEmpty(),
                        "dialect",
                        "no such dialect; known is " + Dialect.DEFAULT)
                .present("need", need)
                .done();
    }

    private static boolean hasSetting(String text) {
        return SettingsText.holdsSetting(text);
    }

    Dialect dialectOrDefault() {
        return Dialect.find(dialect.orElse(Dialect.DEFAULT)).orElseThrow();
    }
}
