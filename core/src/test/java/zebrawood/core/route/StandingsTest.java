package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.procedure.Change;
import zebrawood.core.site.SiteClimate;

class StandingsTest {

    @Test
    void whatIsKeptIsWhatWouldBeWorkedOutAnew() {
        Route route = new Route(List.of(new SiteClimate(), new FocusRamp()));
        MachineStatuses standings = new MachineStatuses(route);
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(0);
        History before = lived.history();
        for (int day : new int[] {1, 1, 40, 61, 100, 1}) {
            assertThat(standings.of(List.of(before), Lived.day(day), ZoneOffset.UTC))
                    .containsExactly(route.status(before, Lived.day(day), ZoneOffset.UTC));
        }
        History moved = lived.happened(1, Change.MOVED).history();
        assertThat(standings.of(List.of(moved), Lived.day(1), ZoneOffset.UTC))
                .singleElement()
                .satisfies(status -> assertThat(status.gate().isOpen()).isFalse());
    }
}
