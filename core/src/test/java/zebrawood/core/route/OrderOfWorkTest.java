package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;

/** Stops that are made up, to see in which order they are gone through and what shuts one of them. */
class OrderOfWorkTest {

    private static final Card.OnRoute BEAM = Card.OnRoute.in(Phase.BEAM, 10);
    private static final Card.OnRoute FOCUS = Card.OnRoute.in(Phase.FOCUS, 10).after("beam");

    /** A climate by another name, at another place of the Route. */
    private record MadeUp(String id, Card.OnRoute onRoute, boolean applies, SiteClimate climate)
            implements Procedure<ClimateReadings, ClimateFinding> {
        MadeUp(String id, Card.OnRoute onRoute, boolean applies) {
            this(id, onRoute, applies, new SiteClimate());
        }

        @Override
        public Card card() {
            Card card = climate.card();
            return new Card(
                    id,
                    card.version(),
                    id,
                    onRoute,
                    Set.of(Change.KNOCKED),
                    card.hazards(),
                    card.minutes(),
                    card.recheckDays(),
                    card.help());
        }

        @Override
        public Class<ClimateReadings> readingsType() {
            return ClimateReadings.class;
        }

        @Override
        public Class<ClimateFinding> findingType() {
            return ClimateFinding.class;
        }

        @Override
        public boolean appliesTo(Plate plate) {
            return applies;
        }

        @Override
        public Outcome<ClimateFinding> evaluate(ClimateReadings readings) {
            return climate.evaluate(readings);
        }

        @Override
        public Said keyFigure(ClimateFinding finding) {
            return climate.keyFigure(finding);
        }

        @Override
        public List<Evidence> evidence(ClimateFinding finding) {
            return climate.evidence(finding);
        }

        @Override
        public Said judgedBy(ClimateFinding finding) {
            return climate.judgedBy(finding);
        }

        Body reading(double humidity) {
            ClimateReadings readings =
                    new ClimateReadings(21, humidity, new ClimateLimits(10, 32, OptionalDouble.of(10), 75));
            return Body.Measured.of(this, readings, Map.of(), evaluate(readings), UnitChoice.METRIC);
        }
    }

    @Test
    void stopsComeInTheOrderOfTheWorkHoweverTheyAreListed() {
        List<Procedure<?, ?>> all = new ArrayList<>();
        List<String> inOrder = new ArrayList<>();
        for (Phase phase : Phase.values()) {
            for (int order : new int[] {10, 20, 100}) {
                inOrder.add(phase.name() + order);
                all.add(new MadeUp(phase.name() + order, Card.OnRoute.in(phase, order), true));
            }
        }
        Collections.shuffle(all, new Random(12));
        History history = new Lived().history();
        assertThat(new Route(all).status(history, Lived.DAY_0, ZoneOffset.UTC).stops())
                .extracting(stop -> stop.card().id())
                .containsExactlyElementsOf(inOrder);
        assertThat(Phase.values())
                .extracting(Phase::title)
                .containsExactly(
                        "Place",
                        "Services",
                        "First light",
                        "Controller",
                        "Beam",
                        "Focus",
                        "Height",
                        "Power",
                        "Field",
                        "Camera",
                        "Patterns",
                        "Material",
                        "Upkeep");
    }

    @Test
    void aStopIsShutUntilWhatItNeedsHasPassedAndAgainOnceThatIsStale() {
        MadeUp beam = new MadeUp("beam", BEAM, true);
        Lived lived = new Lived();
        assertThat(focus(lived, beam).state()).isEqualTo(StopState.SHUT);
        assertThat(focus(lived, beam).note()).contains("needs beam");
        assertThat(focus(lived, beam).needed()).contains(new StopStatus.Needed("beam", "beam"));

        lived.recorded(1, beam.reading(90));
        assertThat(focus(lived, beam).state())
                .as("it was measured, and it failed")
                .isEqualTo(StopState.SHUT);
        lived.recorded(2, beam.reading(50));
        assertThat(focus(lived, beam).state()).isEqualTo(StopState.OPEN);
        assertThat(focus(lived, beam).needed()).isEqualTo(Optional.empty());
        lived.happened(3, Change.LENS_CHANGED);
        assertThat(focus(lived, beam).state())
                .as("that has nothing to do with it")
                .isEqualTo(StopState.OPEN);
        lived.happened(4, Change.KNOCKED);
        assertThat(focus(lived, beam).note()).contains("needs beam");
        lived.recorded(5, beam.reading(50));
        assertThat(focus(lived, beam).state()).isEqualTo(StopState.OPEN);
    }

    @Test
    void whatAMachineDoesNotHaveIsNotAskedOfIt() {
        assertThat(focus(new Lived(), new MadeUp("beam", BEAM, false)).state()).isEqualTo(StopState.OPEN);
        assertThat(focus(new Lived(), new MadeUp("another", BEAM, true)).state())
                .isEqualTo(StopState.OPEN);
    }

    private static StopStatus focus(Lived lived, MadeUp beam) {
        Route route = new Route(List.of(new MadeUp("focus", FOCUS, true), beam));
        return route.status(lived.history(), Lived.day(6), ZoneOffset.UTC).stop("focus");
    }
}
