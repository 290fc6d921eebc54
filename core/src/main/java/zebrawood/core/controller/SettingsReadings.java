package zebrawood.core.controller;

import java.util.Optional;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.reading.Checks;

/**
 * The settings as the controller printed them, and what the machine needs.
 *
 * @param settingsText at least one setting line
 * @param baselineText an earlier text to compare with, at least one setting line
 * @param dialect what the numbers mean, {@code dollar-numbers} where absent
 * @param need what the machine needs
 */
public record SettingsReadings(
        String settingsText, Optional<String> baselineText, Optional<String> dialect, ControllerNeed need) {

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
