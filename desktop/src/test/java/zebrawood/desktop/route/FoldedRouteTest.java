package zebrawood.desktop.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.theme.Controls;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Ground;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.Hands;

/** A Route of ten phases and fifty stops, made up for it. */
class FoldedRouteTest {

    private static final List<Phase> PHASES = List.of(
            Phase.PLACE,
            Phase.SERVICES,
            Phase.CONTROLLER,
            Phase.BEAM,
            Phase.FOCUS,
            Phase.HEIGHT,
            Phase.POWER,
            Phase.FIELD,
            Phase.CAMERA,
            Phase.PATTERNS);
    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);

    @TempDir
    Path folder;

    /** A climate by another name, at another place. */
    private record MadeUp(String id, String title, Phase phase, int order, SiteClimate climate)
            implements Procedure<ClimateReadings, ClimateFinding> {
        @Override
        public Card card() {
            Card card = climate.card();
            return new Card(id, 1, title, Card.OnRoute.in(phase, order), Set.of(), card.hazards(), 1, 90, card.help());
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
            return true;
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
    }

    private static List<Procedure<?, ?>> fifty() {
        List<Procedure<?, ?>> stops = new ArrayList<>();
        for (Phase phase : PHASES) {
            for (int i = 1; i <= 5; i++) {
                stops.add(new MadeUp(
                        phase.title().toLowerCase(Locale.ROOT) + "-" + i,
                        phase.title() + " " + i,
                        phase,
                        i * 10,
                        new SiteClimate()));
            }
        }
        return stops;
    }

    /** Before the column alone, as high as the window leaves it. */
    private static final class Column extends Hands<Column> {
        private final RouteColumn column;
        private final Desk desk;
        private final Stage stage;
        private String opened = "";

        Column(Desk desk, double width, double height) {
            this.desk = desk;
            toolkit();
            column = onScreen(() -> {
                Controls.dress();
                Fonts.load();
                Runnable none = () -> {};
                RouteColumn made =
                        new RouteColumn(desk, new RouteColumn.Whole(none, none, none, none, none, none, none));
                made.setMinWidth(width);
                made.setMaxWidth(width);
                return made;
            });
            stage = onScreen(() -> {
                Scene scene = new Scene(column, width, height);
                scene.getStylesheets()
                        .addAll(
                                Ground.LIGHT.stylesheet(),
                                Ground.class.getResource("frame.css").toExternalForm());
                Stage made = new Stage();
                made.setScene(scene);
                made.show();
                made.requestFocus();
                return made;
            });
            until("the column is there", stage::isFocused);
        }

        Column at(String stop) {
            onScreen(() -> {
                column.show(
                        new RouteColumn.Shown(desk.machines().get().get(0), stop, Optional.empty(), Map.of()),
                        wanted -> opened = wanted);
                return null;
            });
            until(
                    "it is laid out",
                    () -> !has("stop-" + stop)
                            || find("stop-" + stop).getBoundsInParent().getHeight() > 0);
            return this;
        }

        ScrollPane scroll() {
            return (ScrollPane) column.getCenter();
        }

        double hidden() {
            return onScreen(() -> scroll().getContent().getBoundsInLocal().getHeight()
                    - scroll().getViewportBounds().getHeight());
        }

        /** Whether the whole of a row is in the part that is seen. */
        boolean seen(String id) {
            return onScreen(() -> {
                Bounds row = find(id).localToScene(find(id).getBoundsInLocal());
                Bounds port = scroll().localToScene(scroll().getBoundsInLocal());
                return row.getMinY() >= port.getMinY() - 1 && row.getMaxY() <= port.getMaxY() + 1;
            });
        }

        @Override
        protected Scene scene() {
            return stage.getScene();
        }

        @Override
        protected Column me() {
            return this;
        }

        @Override
        protected boolean isIdle() {
            return desk.isIdle();
        }

        void close() {
            onScreen(() -> {
                stage.close();
                return null;
            });
        }
    }

    private Desk desk(List<Procedure<?, ?>> stops) {
        Logbook logbook = Logbook.open(folder, stops);
        Plate plate = new Plate(
                "Wren",
                Family.GANTRY_CO2,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(LIMITS),
                Optional.empty(),
                Optional.empty());
        logbook.append("wren", new Body.PlateSet(plate, Map.of()), stamp(0));
        Instant now = Instant.parse("2031-03-14T09:30:00Z");
        return new Desk(folder, logbook, stops, new Desk.Sitting(() -> now, ZoneId.of("UTC+1"), "test"));
    }

    private static Entry.Stamp stamp(int day) {
        return new Entry.Stamp(
                Instant.parse("2031-03-01T09:00:00Z").plusSeconds(86_400L * day), ZoneOffset.UTC, "LO", "test");
    }

    private static void measured(Desk desk, Procedure<?, ?> stop, double humidity, int day) {
        MadeUp made = (MadeUp) stop;
        ClimateReadings readings = new ClimateReadings(21, humidity, LIMITS);
        desk.logbook()
                .append(
                        "wren",
                        Body.Measured.of(made, readings, Map.of(), made.evaluate(readings), UnitChoice.METRIC),
                        stamp(day));
    }

    private static void read(Desk desk) {
        Desk.Reading reading = desk.reading().join();
        Column.onScreen(() -> {
            desk.take(reading);
            return null;
        });
    }

    @Test
    void fiftyStopsStandWithoutScrollingAndScrollToTheOneInHandWhereThereIsLessRoom() throws Exception {
        List<Procedure<?, ?>> stops = fifty();
        Column.toolkit();
        try (Desk desk = desk(stops)) {
            measured(desk, stops.get(5), 50, 1);
            read(desk);
            // a window of 1280 x 800 without its head and foot
            Column large = new Column(desk, 216, 800 - 48 - 28);
            large.at("focus-3");
            large.until("all of it is seen", () -> large.hidden() <= 0.5);
            assertThat(large.seen("stop-focus-3")).isTrue();
            assertThat(large.seen("phase-patterns")).isTrue();
            assertThat(large.has("stop-beam-1")).as("folded").isFalse();
            assertThat(large.says("1 of 5 passed")).isTrue();
            large.press(KeyCode.TAB);
            Column.onScreen(() -> {
                large.find("phase-beam").requestFocus();
                return null;
            });
            large.press(KeyCode.SPACE);
            large.until("another unfolds", () -> large.has("stop-beam-1") && large.focused("phase-beam"));
            assertThat(large.has("stop-focus-3"))
                    .as("the one in hand stays open")
                    .isTrue();
            large.press(KeyCode.SPACE);
            large.until("and folds again", () -> !large.has("stop-beam-1"));
            large.fire("stop-focus-4");
            assertThat(large.opened).isEqualTo("focus-4");
            large.close();

            Column small = new Column(desk, 190, 600 - 48 - 28);
            small.at("patterns-5");
            small.until("it scrolls there", () -> small.hidden() > 0 && small.seen("stop-patterns-5"));
            small.close();
        }
    }

    @Test
    void whatIsDueOrFailedUnfoldsByItselfAndIsCounted() throws Exception {
        List<Procedure<?, ?>> stops = fifty();
        Column.toolkit();
        try (Desk desk = desk(stops)) {
            measured(desk, stops.get(0), 50, -120);
            measured(desk, stops.get(20), 90, 1);
            read(desk);
            Column column = new Column(desk, 216, 724);
            column.at("power-1");
            column.until("they are open", () -> column.has("stop-place-1") && column.has("stop-focus-1"));
            assertThat(column.says("1 due")).isTrue();
            assertThat(column.says("1 failed")).isTrue();
            assertThat(column.has("stop-camera-1")).isFalse();
            column.close();
        }
    }
}
