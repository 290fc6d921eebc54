package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.assertj.core.api.recursive.comparison.RecursiveComparisonConfiguration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.site.ClimateReadings;
import zebrawood.json.Binder;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.Worksheet;

/**
 * Whatever a bench is filled with to show an entry, to correct it or to begin again, comes out of its fields as it went
 * in.
 */
class BenchesGiveBackTest {

    /** Numbers that went through text and units, to a billionth. */
    private static final RecursiveComparisonConfiguration NEARLY = RecursiveComparisonConfiguration.builder()
            .withComparatorForType(BenchesGiveBackTest::nearly, Double.class)
            .withComparatorForType(
                    (one, other) -> one.isPresent() != other.isPresent()
                            ? 1
                            : one.isEmpty() ? 0 : nearly(one.getAsDouble(), other.getAsDouble()),
                    OptionalDouble.class)
            .build();

    private static int nearly(Double one, Double other) {
        return Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one)) ? 0 : Double.compare(one, other);
    }

    /**
     * What is judged there comes from the plate of today and from the settings before; the text itself is one field.
     */
    private static final String BY_PLATE = "controller-settings";
    /** Their readings lie where the bench has them, on a ramp, a bed or a ring: worked cases have other places. */
    private static final Set<String> BY_PLACE = Set.of("focus-ramp", "bed-level", "head-tilt", "bed-nine");

    @TempDir
    private Path folder;

    @Test
    void everyEntryOfTheDemoComesOutOfItsBenchAgain() {
        try (Seat seat = Seat.atDemo(folder)) {
            List<String> wrong = new ArrayList<>();
            int tried = 0;
            for (MachineStatus machine :
                    Seat.onScreen(() -> seat.desk.machines().get())) {
                for (Stop<?, ?> stop : stops()) {
                    List<Entry> entries = seat.desk
                            .logbook()
                            .readings(
                                    machine.machineId(), stop.procedure().card().id(), 400);
                    for (Entry entry : entries) {
                        Body.Measured measured = (Body.Measured) entry.body();
                        BenchPlace place = seat.place(
                                machine.plate(), entries.subList(entries.indexOf(entry) + 1, entries.size()));
                        back(place, stop, measured.readings(), measured.asTyped())
                                .ifPresent(why -> wrong.add(machine.plate().name() + ", no. " + entry.number() + ", "
                                        + stop.procedure().card().id() + ": " + why));
                        tried++;
                    }
                }
            }
            assertThat(wrong).isEmpty();
            assertThat(tried).isGreaterThan(150);
        }
    }

    @Test
    void everyWorkedCaseComesOutOfItsBenchAgain() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            Plate wren = Seat.onScreen(() -> seat.desk.machines().get().get(0).plate());
            List<String> wrong = new ArrayList<>();
            int tried = 0;
            for (Stop<?, ?> stop : stops()) {
                if (BY_PLACE.contains(stop.procedure().card().id())) {
                    continue;
                }
                Path cases = Path.of(
                        "src",
                        "test",
                        "resources",
                        "worked-cases",
                        stop.procedure().card().id() + ".json");
                for (JsonNode worked :
                        Files.exists(cases) ? new ObjectMapper().readTree(cases.toFile()) : List.<JsonNode>of()) {
                    if (!worked.at("/expect/error").isMissingNode()) {
                        continue;
                    }
                    Record readings = Binder.bind(
                            (ObjectNode) worked.get("readings"),
                            stop.procedure().readingsType());
                    back(seat.place(plate(wren, readings), List.of()), stop, readings, Map.of())
                            .ifPresent(why -> wrong.add(stop.procedure().card().id() + ", "
                                    + worked.get("name").asText() + ": " + why));
                    tried++;
                }
            }
            assertThat(wrong).isEmpty();
            assertThat(tried).isGreaterThan(50);
        }
    }

    private static List<Stop<?, ?>> stops() {
        return Catalogue.stops().stream()
                .filter(stop -> !stop.procedure().card().id().equals(BY_PLATE))
                .toList();
    }

    private static Plate plate(Plate plate, Record readings) {
        return readings instanceof ClimateReadings climate
                ? new Plate(
                        plate.name(),
                        plate.family(),
                        plate.number(),
                        plate.place(),
                        plate.size(),
                        plate.bed(),
                        plate.source(),
                        plate.optics(),
                        plate.services(),
                        Optional.of(climate.limits()),
                        plate.control(),
                        plate.rhythm())
                : plate;
    }

    /** Why what comes out is not what went in; empty where it is. */
    private static <R extends Record, F extends Record> Optional<String> back(
            BenchPlace place, Stop<R, F> stop, Record readings, Map<String, String> asTyped) {
        R original = stop.procedure().readingsType().cast(readings);
        return Seat.onScreen(() -> {
            Bench<R, F> bench = stop.open(place);
            place.draft().fill(bench.texts(original, asTyped, true));
            Worksheet sheet = Worksheet.of(place.draft());
            bench.assemble(sheet);
            Filled.Bound<R> again = sheet.filled().bind(stop.procedure().readingsType());
            if (again.record().isEmpty()) {
                return Optional.of("refused: " + again.filled().problems()
                        + again.filled().others() + again.filled().missing());
            }
            return differs(stop, original, again.record().get());
        });
    }

    private static <R extends Record, F extends Record> Optional<String> differs(Stop<R, F> stop, R original, R again) {
        try {
            Outcome<F> wanted = stop.procedure().evaluate(original);
            Outcome<F> found = stop.procedure().evaluate(again);
            assertThat(found.verdict()).isEqualTo(wanted.verdict());
            assertThat(found.finding()).usingRecursiveComparison(NEARLY).isEqualTo(wanted.finding());
            return Optional.empty();
        } catch (ReadingException | AssertionError wrong) {
            String why = String.valueOf(wrong.getMessage());
            return Optional.of(why.substring(
                    Math.max(0, why.indexOf("field/property")),
                    Math.min(why.length(), Math.max(0, why.indexOf("field/property")) + 400)));
        }
    }
}
