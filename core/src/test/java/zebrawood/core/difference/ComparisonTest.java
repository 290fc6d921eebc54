package zebrawood.core.difference;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Trait;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;

class ComparisonTest {

    private static final List<Procedure<?, ?>> PROCEDURES = List.of(new SiteClimate());

    private int number;

    private Entry entry(int day, Body body) {
        number++;
        return new Entry(
                new Entry.Place("wren", number, "hash" + number),
                new Entry.Stamp(
                        Instant.parse("2031-01-01T09:00:00Z").plusSeconds(86_400L * day), ZoneOffset.UTC, "LO", "test"),
                body,
                Optional.empty(),
                List.of());
    }

    private static Body plate(Family family) {
        return new Body.PlateSet(
                new Plate(
                        "Wren",
                        family,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                Map.of());
    }

    private static Body climate(double temperature) {
        SiteClimate procedure = new SiteClimate();
        ClimateReadings readings =
                new ClimateReadings(temperature, 45, new ClimateLimits(10, 35, OptionalDouble.of(10), 80));
        return Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC);
    }

    private static Body work(double power, double gap, Optional<String> air) {
        return new Body.Worked(
                new WorkResult(
                        new WorkResult.Stock(
                                "poplar ply",
                                OptionalDouble.of(4),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()),
                        new WorkResult.Setup(
                                Optional.empty(),
                                Optional.empty(),
                                OptionalDouble.of(gap),
                                OptionalDouble.empty(),
                                air,
                                OptionalDouble.empty()),
                        new WorkResult.Recipe(
                                OptionalDouble.of(power),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.empty(),
                                OptionalInt.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()),
                        new WorkResult.Outcome("so", OptionalInt.empty(), OptionalDouble.empty())),
                Map.of(),
                new TakenAlong(List.of(), List.of()));
    }

    @Test
    void theLargeChangeInWhatMattersComesFirstAndSmallOnesAreSaidToo() {
        Entry plate = entry(0, plate(Family.GANTRY_CO2));
        Entry cool = entry(0, climate(19));
        Entry first = entry(1, work(60, 6.8, Optional.of("low")));
        Entry warm = entry(2, climate(20.5));
        Entry second = entry(3, work(61, 6.9, Optional.of("off")));
        Comparison found = Comparison.of(
                new StateOnRecord(second, plate, Map.of("site-climate", warm), List.of()),
                new StateOnRecord(first, plate, Map.of("site-climate", cool), List.of()),
                List.of(),
                PROCEDURES);

        assertThat(found.earlier().at()).as("put in the order of the chain").isEqualTo(first);
        assertThat(found.differences())
                .extracting(Difference::label)
                .startsWith("air")
                .contains("power", "gap", "air temperature");
        Difference air = found.differences().get(0);
        assertThat(air.likelihood()).isGreaterThan(Difference.LIKELY);
        assertThat(air.before().words()).isEqualTo("low");
        assertThat(air.entryAfter()).hasValue(second.number());
        assertThat(found.differences())
                .filteredOn(d -> d.label().equals("power"))
                .singleElement()
                .satisfies(power -> {
                    assertThat(power.why()).isEqualTo("within what repeats");
                    assertThat(power.likelihood()).isLessThan(Difference.SLIGHT);
                });
        assertThat(found.differences())
                .filteredOn(d -> d.label().equals("air temperature"))
                .singleElement()
                .satisfies(warmer -> assertThat(warmer.entryAfter())
                        .as("the entry behind it")
                        .hasValue(warm.number()));
    }

    @Test
    void whatHappenedInBetweenIsSaidAndCountsLessOnceItWasCheckedAgain() {
        Entry plate = entry(0, plate(Family.GANTRY_CO2));
        Entry first = entry(1, work(60, 6.8, Optional.empty()));
        Entry moved = entry(2, new Body.Happened(Change.MOVED, "to the hall"));
        Entry after = entry(3, climate(20));
        Entry second = entry(4, work(60, 6.8, Optional.empty()));
        StateOnRecord before = new StateOnRecord(first, plate, Map.of(), List.of());
        Comparison unchecked = Comparison.of(
                before, new StateOnRecord(second, plate, Map.of(), List.of(moved)), List.of(moved), PROCEDURES);
        Comparison checked = Comparison.of(
                before,
                new StateOnRecord(second, plate, Map.of("site-climate", after), List.of(moved)),
                List.of(moved),
                PROCEDURES);

        assertThat(unchecked.differences()).singleElement().satisfies(d -> {
            assertThat(d.label()).isEqualTo("moved");
            assertThat(d.after().words()).isEqualTo("to the hall");
            assertThat(d.why()).isEqualTo("2 days before");
        });
        assertThat(unchecked.differences().get(0).likelihood())
                .as("as often as a move is behind it")
                .isEqualTo(0.5);
        assertThat(checked.differences().get(0).likelihood())
                .as("less than slight, and still said")
                .isEqualTo(0.15);
        assertThat(checked.differences().get(0).why()).contains("checked again since");
    }

    @Test
    void whatIsNotOnRecordIsSaid() {
        Entry plate = entry(0, plate(Family.GANTRY_CO2));
        Entry same = entry(0, climate(20));
        Entry first = entry(1, work(60, 6.8, Optional.empty()));
        Entry second = entry(40, work(60, 6.8, Optional.of("low")));
        Map<String, Entry> newest = Map.of("site-climate", same);
        Comparison found = Comparison.of(
                new StateOnRecord(first, plate, newest, List.of()),
                new StateOnRecord(second, plate, newest, List.of()),
                List.of(),
                PROCEDURES);

        assertThat(found.differences()).isEmpty();
        assertThat(found.notOnRecord())
                .contains(
                        "Not written at no. 3: air",
                        "Climate: last checked 40 days before, not since",
                        "Cleaning: never recorded");
    }

    @Test
    void aDifferenceWeighsMoreTheFurtherItIsOutOfItsTolerance() {
        Trait power = Trait.amount("power", Said.of("60 %"), 60, 3, 1);
        double before = 0;
        for (double x : new double[] {0.5, 1, 1.5, 2, 4, 100}) {
            double weight = power.weight(Trait.amount("power", Said.of("more"), 60 + 3 * x, 3, 1));
            assertThat(weight).isGreaterThan(before).isLessThanOrEqualTo(1);
            before = weight;
        }
        assertThat(power.weight(Trait.amount("power", Said.of("60 %"), 61.5, 3, 1)))
                .as("half a tolerance hardly counts")
                .isLessThan(0.06);
        assertThat(power.weight(power)).isZero();
    }

    @Test
    void whatAResultDependsOnIsOfItsFamily() {
        Body.Worked low = (Body.Worked) work(60, 6.8, Optional.of("low"));
        assertThat(low.result().traits(Family.SHEET_FIBRE))
                .filteredOn(t -> t.label().equals("air"))
                .singleElement()
                .satisfies(t -> assertThat(t.matters()).isEqualTo(1));
        assertThat(low.result().traits(Family.GALVO_UV))
                .filteredOn(t -> t.label().equals("air"))
                .singleElement()
                .satisfies(t -> assertThat(t.matters()).isLessThan(0.2));
    }

    private static Body cleaned(String surface, String damage, boolean takenOut) {
        return new Body.Happened(Change.CLEANED, "", Optional.of(new Body.Cleaning(surface, "soot", damage, takenOut)));
    }

    @Test
    void aSurfaceThatWentLongWithoutCleaningIsSaidWithItsDays() {
        Entry plate = entry(0, plate(Family.GANTRY_CO2));
        Entry cleaned = entry(1, cleaned("lens", "", false));
        Entry first = entry(2, work(60, 6.8, Optional.empty()));
        Entry second = entry(92, work(60, 6.8, Optional.empty()));
        Comparison found = Comparison.of(
                new StateOnRecord(first, plate, Map.of(), List.of(cleaned)),
                new StateOnRecord(second, plate, Map.of(), List.of(cleaned)),
                List.of(),
                PROCEDURES);

        assertThat(found.differences()).singleElement().satisfies(days -> {
            assertThat(days.label()).isEqualTo("days since cleaned");
            assertThat(days.before().words()).isEqualTo("1 day");
            assertThat(days.after().words()).isEqualTo("91 days");
            assertThat(days.why()).isEqualTo("3 times the smallest change that matters");
        });
        Comparison neverBefore = Comparison.of(
                new StateOnRecord(first, plate, Map.of(), List.of()),
                new StateOnRecord(second, plate, Map.of(), List.of(cleaned)),
                List.of(),
                PROCEDURES);
        assertThat(neverBefore.notOnRecord())
                .contains("Cleaning: none recorded before the earlier one", "Climate: never checked");
    }

    @Test
    void damageAndWhatWasTakenOutOfItsSeatWeighMoreThanACleaning() {
        Entry plate = entry(0, plate(Family.GANTRY_CO2));
        Entry first = entry(1, work(60, 6.8, Optional.empty()));
        Entry cleaned = entry(2, cleaned("mirror 1", "", false));
        Entry takenOut = entry(2, cleaned("lens", "", true));
        Entry damaged = entry(3, cleaned("window", "a burnt spot", false));
        Entry fitted = entry(4, new Body.Happened(Change.PART_FITTED, "belt"));
        Entry mains = entry(4, new Body.Happened(Change.MAINS_WORK, ""));
        Entry source = entry(5, new Body.Happened(Change.SOURCE_CHANGED, "tube"));
        Entry second = entry(5, work(60, 6.8, Optional.empty()));
        Comparison found = Comparison.of(
                new StateOnRecord(first, plate, Map.of(), List.of()),
                new StateOnRecord(second, plate, Map.of(), List.of()),
                List.of(cleaned, takenOut, damaged, fitted, mains, source),
                PROCEDURES);

        assertThat(found.differences())
                .extracting(Difference::label)
                .containsExactly(
                        "source changed",
                        "cleaned window",
                        "cleaned lens",
                        "part fitted",
                        "cleaned mirror 1",
                        "mains work");
        assertThat(found.differences().get(0).why()).isEqualTo("the same day");
        assertThat(found.differences().get(1).after().words())
                .as("what stays is said")
                .isEqualTo("a burnt spot");
        assertThat(found.differences().get(3).why()).isEqualTo("the day before");
        assertThat(found.differences().get(5).after().words()).isEqualTo("since");
    }

    @Test
    void whatChangedOnThePlateIsCompared() {
        Entry before = entry(0, new Body.PlateSet(plated("loft", "glass tube", 80, "nozzle tip", 1000), Map.of()));
        Entry first = entry(1, work(60, 6.8, Optional.empty()));
        Entry after = entry(2, new Body.PlateSet(plated("hall", "glass tube", 90, "lens edge", 480), Map.of()));
        Entry second = entry(3, work(60, 6.8, Optional.empty()));
        Comparison found = Comparison.of(
                new StateOnRecord(first, before, Map.of(), List.of()),
                new StateOnRecord(second, after, Map.of(), List.of()),
                List.of(),
                PROCEDURES);

        assertThat(found.differences())
                .extracting(Difference::label)
                .containsExactlyInAnyOrder("S sent for full power", "rated power", "focus datum", "place");
        assertThat(found.differences().get(0).label())
                .as("what the sender asks for weighs most")
                .isEqualTo("S sent for full power");
        assertThat(found.differences()).allSatisfy(difference -> {
            assertThat(difference.why()).endsWith("by the plate");
            assertThat(difference.entryBefore()).hasValue(before.number());
        });
        Comparison same = Comparison.of(
                new StateOnRecord(first, before, Map.of(), List.of()),
                new StateOnRecord(second, before, Map.of(), List.of()),
                List.of(),
                PROCEDURES);
        assertThat(same.differences()).isEmpty();
    }

    @Test
    void aTwentiethOfTheRatedPowerJustMatters() {
        Map<Double, String> why = Map.of(
                83.0,
                "within what repeats, by the plate",
                83.2,
                "about the smallest change that matters, by the plate",
                86.4,
                "about the smallest change that matters, by the plate",
                86.6,
                "2 times the smallest change that matters, by the plate");
        why.forEach((watts, words) -> {
            Entry before = entry(0, new Body.PlateSet(plated("loft", "glass tube", 80, "nozzle tip", 1000), Map.of()));
            Entry first = entry(1, work(60, 6.8, Optional.empty()));
            Entry after =
                    entry(2, new Body.PlateSet(plated("loft", "glass tube", watts, "nozzle tip", 1000), Map.of()));
            Entry second = entry(3, work(60, 6.8, Optional.empty()));
            Comparison found = Comparison.of(
                    new StateOnRecord(first, before, Map.of(), List.of()),
                    new StateOnRecord(second, after, Map.of(), List.of()),
                    List.of(),
                    PROCEDURES);
            assertThat(found.differences())
                    .singleElement()
                    .satisfies(power -> assertThat(power.why()).isEqualTo(words));
        });
    }

    private static Plate plated(String place, String kind, double watts, String datum, double fullS) {
        ControllerNeed need = new ControllerNeed(
                ControllerNeed.Tool.LASER,
                new ControllerNeed.Travel(700, 500, OptionalDouble.empty()),
                OptionalDouble.empty(),
                Optional.empty(),
                false,
                OptionalDouble.of(fullS),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Plate.Optics optics = new Plate.Optics(
                List.of(),
                Optional.of(datum),
                OptionalDouble.empty(),
                Optional.of("gauge block"),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        return new Plate(
                "Wren",
                Family.GANTRY_CO2,
                Optional.empty(),
                Optional.of(place),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Source(
                        Optional.of(kind),
                        OptionalDouble.of(watts),
                        OptionalDouble.empty(),
                        List.of(10600.0),
                        OptionalDouble.empty())),
                Optional.of(optics),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Control(Plate.ControllerKind.NUMBERED, Optional.of(need))),
                Optional.empty());
    }
}
