package zebrawood.desktop;

import java.util.List;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.SiteClimate;

/** Everything that can be measured: a line each. */
public final class Catalogue {

    private static final List<Procedure<?, ?>> PROCEDURES =
            List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp());

    private Catalogue() {}

    public static List<Procedure<?, ?>> procedures() {
        return PROCEDURES;
    }
}
