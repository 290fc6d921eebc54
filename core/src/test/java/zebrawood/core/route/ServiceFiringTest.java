package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Phase;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.ServiceFiring;

/** Covers open, to adjust mirrors: for a limited time, and over only when they are seen to stop the beam again. */
class ServiceFiringTest {

    private static final ServiceFiring TWENTY =
            new ServiceFiring("RV", "LO", 20, List.of("lid"), List.of("eyewear for each"));

    private static Lived begun() {
        return new Lived().gate(1).recorded(2, new Body.ServiceBegun(TWENTY));
    }

    private static Gate after(Lived lived, Duration since) {
        return lived.at(began(lived).plus(since)).gate();
    }

    private static Instant began(Lived lived) {
        return lived.history().gateAndEvents().stream()
                .filter(entry -> entry.body() instanceof Body.ServiceBegun)
                .reduce((earlier, later) -> later)
                .orElseThrow()
                .stamp()
                .at();
    }

    @Test
    void mirrorsMayBeShotUntilTheTimeIsOverAndNothingElse() {
        Gate at19 = after(begun(), Duration.ofSeconds(20 * 60 - 1));
        assertThat(at19.lets(Phase.BEAM)).isTrue();
        assertThat(at19.lets(Phase.FOCUS)).isFalse();
        assertThat(at19.isOpen()).isFalse();
        assertThat(at19.service().orElseThrow().words(ZoneOffset.UTC)).endsWith("until 09:20");

        Gate at20 = after(begun(), Duration.ofMinutes(20));
        assertThat(at20.lets(Phase.BEAM)).isFalse();
        assertThat(at20.service().orElseThrow().running()).isFalse();
        assertThat(at20.service().orElseThrow().words(ZoneOffset.UTC)).contains("left open");
        assertThat(at20.shutBy()).contains("service firing by RV");
    }

    @Test
    void itIsOverWhenItsBarIsLiftedAgainAndTheNextOneCanBegin() {
        Lived lived = begun();
        Bar covers = after(lived, Duration.ofMinutes(1)).inHand().orElseThrow().bar();
        assertThat(ServiceFiring.BARS).contains(covers.id());
        lived.bar(2, covers, true);
        Gate ended = after(lived, Duration.ofMinutes(5));
        assertThat(ended.service()).isEmpty();
        assertThat(ended.isOpen()).isTrue();
        lived.recorded(2, new Body.ServiceBegun(TWENTY));
        assertThat(after(lived, Duration.ofMinutes(6)).lets(Phase.BEAM)).isTrue();
    }

    @Test
    void nothingIsShotWhereACoverWasSeenNotToStopIt() {
        Lived lived = begun();
        Bar covers = after(lived, Duration.ofMinutes(1)).inHand().orElseThrow().bar();
        lived.bar(2, covers, false);
        assertThat(after(lived, Duration.ofMinutes(5)).lets(Phase.BEAM)).isFalse();
    }

    @Test
    void whatHappensMeanwhileEndsTheShooting() {
        Lived knocked = begun().happened(2, Change.KNOCKED);
        assertThat(after(knocked, Duration.ofMinutes(5)).lets(Phase.BEAM)).isFalse();
        Lived moved = begun().happened(2, Change.MOVED);
        assertThat(after(moved, Duration.ofMinutes(5)).lets(Phase.BEAM)).isFalse();
    }

    @Test
    void fromAShutGateNothingBegins() {
        Lived lived = new Lived().recorded(2, new Body.ServiceBegun(TWENTY));
        Gate gate = after(lived, Duration.ofMinutes(1));
        assertThat(gate.lets(Phase.BEAM)).isFalse();
        gate.bars().stream()
                .filter(line -> !ServiceFiring.BARS.contains(line.bar().id()))
                .forEach(line -> lived.bar(2, line.bar(), true));
        assertThat(after(lived, Duration.ofMinutes(5)).lets(Phase.BEAM))
                .as("its covers were never seen to stop the beam")
                .isFalse();
    }

    @Test
    void itIsNotKeptFromOneSecondToTheNextWithinAMinute() {
        Lived lived = new Lived().gate(1).recorded(2, new Body.ServiceBegun(TWENTY));
        Instant over = began(lived).plus(Duration.ofMinutes(20));
        MachineStatuses statuses = new MachineStatuses(new Route(List.of()));
        List<History> shop = List.of(lived.history());
        assertThat(statuses.of(shop, over.minusSeconds(1), ZoneOffset.UTC)
                        .get(0)
                        .gate()
                        .lets(Phase.BEAM))
                .isTrue();
        assertThat(statuses.of(shop, over, ZoneOffset.UTC).get(0).gate().lets(Phase.BEAM))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"0, false", "1, true", "60, true", "61, false"})
    void aTimeIsSetAndNotALongOne(int minutes, boolean taken) {
        List<String> one = List.of("lid");
        if (taken) {
            assertThat(new ServiceFiring("RV", "RV", minutes, one, one).time()).hasMinutes(minutes);
        } else {
            assertThatThrownBy(() -> new ServiceFiring("RV", "RV", minutes, one, one))
                    .isInstanceOf(ReadingException.class)
                    .hasMessageContaining("minutes");
        }
    }
}
