package zebrawood.kit.theme;

import javafx.application.Application;

/** How controls look that nothing else styles. */
public final class Controls {

    private static final String STYLESHEET =
            Controls.class.getResource("controls.css").toExternalForm();

    private Controls() {}

    /**
     * Takes the shipped stylesheet in the place of the toolkit's; on the interface thread, before the first control is
     * made.
     */
    public static void dress() {
        if (!STYLESHEET.equals(Application.getUserAgentStylesheet())) {
            Application.setUserAgentStylesheet(STYLESHEET);
        }
    }
}
