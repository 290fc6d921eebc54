package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Change;

class RefocusTest {

    private static final Set<Change> CAUSES =
            EnumSet.of(Change.STOCK_CHANGED, Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.BED_CHANGED);

    @ParameterizedTest
    @EnumSource(Change.class)
    void theGapIsSetAgainAfterEveryCauseAndAfterNothingElse(Change change) {
        Lived lived = new Lived().gate(1).ramp(2);
        assertThat(lived.at(2).refocus()).isEmpty();
        lived.happened(3, change);
        assertThat(lived.at(3).refocus().isPresent()).isEqualTo(CAUSES.contains(change));
    }

    @ParameterizedTest
    @EnumSource(names = {"STOCK_CHANGED", "NOZZLE_CHANGED", "BED_CHANGED", "GAP_SET"})
    void whatConcernsTheGapAloneLeavesTheGateAsItIs(Change change) {
        assertThat(change.bars()).isEmpty();
        assertThat(new Lived().gate(1).happened(2, change).at(2).gate().isOpen())
                .isTrue();
    }

    @Test
    void aLensThatCameOutToBeCleanedIsACauseAndOneCleanedInItsSeatIsNone() {
        assertThat(new Lived().gate(1).ramp(2).cleaned(3, true).at(3).refocus()).isPresent();
        assertThat(new Lived().gate(1).ramp(2).cleaned(3, false).at(3).refocus())
                .isEmpty();
    }

    @Test
    void theNewestCauseIsTold() {
        MachineStatus machine = new Lived()
                .gate(1)
                .ramp(2)
                .happened(3, Change.LENS_CHANGED)
                .happened(4, Change.STOCK_CHANGED)
                .at(4);
        assertThat(((Body.Happened) machine.refocus().orElseThrow().body()).change())
                .isEqualTo(Change.STOCK_CHANGED);
    }

    @Test
    void itIsOverOnceTheGapIsSetOrMeasuredAndNeverAskedBeforeItWasSetAtAll() {
        assertThat(new Lived().gate(1).happened(3, Change.STOCK_CHANGED).at(3).refocus())
                .isEmpty();
        Lived lived = new Lived().gate(1).ramp(2).happened(3, Change.BED_CHANGED);
        assertThat(lived.happened(4, Change.GAP_SET).at(4).refocus()).isEmpty();
        assertThat(lived.happened(5, Change.NOZZLE_CHANGED).at(5).refocus()).isPresent();
        assertThat(lived.ramp(6).at(6).refocus()).isEmpty();
    }

    @Test
    void aNewNozzleMakesTheRampStaleAndNewStockDoesNot() {
        assertThat(new Lived()
                        .gate(1)
                        .ramp(2)
                        .happened(3, Change.NOZZLE_CHANGED)
                        .at(3)
                        .stop("focus-ramp")
                        .state())
                .isEqualTo(StopState.DUE);
        assertThat(new Lived()
                        .gate(1)
                        .ramp(2)
                        .happened(3, Change.STOCK_CHANGED)
                        .at(3)
                        .stop("focus-ramp")
                        .state())
                .isEqualTo(StopState.PASSED);
    }
}
