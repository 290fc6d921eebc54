package zebrawood.logbook.store;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;

/** A shop to be filled by tests, a day an entry. */
public final class Shop {

    public static final List<Procedure<?, ?>> PROCEDURES =
            List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp());
    public static final Instant BEGAN = Instant.parse("2030-01-01T09:00:00Z");

    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);

    private Shop() {}

    public static Logbook open(Path folder) {
        return Logbook.open(folder, PROCEDURES);
    }

    public static Entry.Stamp day(double day) {
        return new Entry.Stamp(BEGAN.plusSeconds(Math.round(86_400 * day)), ZoneOffset.ofHours(1), "RV", "test");
    }

    public static Plate plate(String name) {
        return new Plate(
                name,
                Family.GALVO_UV,
                Optional.empty(),
                Optional.of("loft"),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(LIMITS),
                Optional.empty(),
                Optional.empty());
    }

    public static void begin(Logbook logbook, String id, String name) {
        logbook.append(id, new Body.PlateSet(plate(name), Map.of("name", name)), day(0));
    }

    public static Body climate(double humidity) {
        return measured(new SiteClimate(), new ClimateReadings(21.4, humidity, LIMITS));
    }

    public static Body ramp(double thinnest) {
        return measured(
                new FocusRamp(),
                new RampReadings(
                        355,
                        185,
                        180,
                        5,
                        Optional.empty(),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.of(thinnest),
                        OptionalDouble.empty(),
                        Optional.empty()));
    }

    /** A line measured along its length, whose gap is fitted. */
    public static Body fitted() {
        return measured(
                new FocusRamp(),
                new RampReadings(
                        355,
                        4.8,
                        200,
                        -5,
                        Optional.empty(),
                        Optional.of(List.of(
                                new RampReadings.Mark(0, 0.261),
                                new RampReadings.Mark(66.7, 0.205),
                                new RampReadings.Mark(133.3, 0.215),
                                new RampReadings.Mark(200, 0.282))),
                        OptionalDouble.of(0.01),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty()));
    }

    private static <R extends Record, F extends Record> Body measured(Procedure<R, F> procedure, R readings) {
        return Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC);
    }

    public static Body.Worked work(String stock, double gap, String word) {
        return new Body.Worked(
                new WorkResult(
                        new WorkResult.Stock(
                                stock,
                                OptionalDouble.of(3),
                                Optional.of("B-17"),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()),
                        new WorkResult.Setup(
                                Optional.of("field 170"),
                                Optional.empty(),
                                OptionalDouble.of(gap),
                                OptionalDouble.empty(),
                                Optional.empty(),
                                OptionalDouble.empty()),
                        new WorkResult.Recipe(
                                OptionalDouble.of(40),
                                OptionalDouble.of(1200),
                                OptionalDouble.empty(),
                                Optional.of(WorkResult.Strokes.FILL),
                                OptionalInt.of(2),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()),
                        new WorkResult.Outcome(word, OptionalInt.of(6), OptionalDouble.empty())),
                Map.of("setup.gapMm", String.valueOf(gap)),
                new TakenAlong(List.of(), List.of("level")));
    }
}
