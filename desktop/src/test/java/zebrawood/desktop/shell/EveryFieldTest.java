package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;

/**
 * Every field of every bench, on what the demo has on record: units as typed, and whatever else a hand may type into
 * it.
 */
class EveryFieldTest {

    private static final UnitChoice IMPERIAL = new UnitChoice(true, true);
    private static final List<String> NONSENSE = List.of(
            "12 parsecs",
            "--",
            "1e999",
            "NaN",
            "0x10",
            "1,2,3",
            "\u00bd",
            "five",
            "3 mm 4",
            "\u202e12",
            "9".repeat(400),
            "{\"a\":1}",
            "'; drop table entry");

    @TempDir
    private Path folder;

    /** A bench filled with the newest entry of its stop. */
    private interface Trial {
        void on(String where, Bench<?, ?> bench, Draft draft);
    }

    private void eachBench(Trial trial) {
        try (Seat seat = Seat.atDemo(folder)) {
            for (MachineStatus machine :
                    Seat.onScreen(() -> seat.desk.machines().get())) {
                for (Stop<?, ?> stop : Catalogue.stops()) {
                    seat
                            .desk
                            .logbook()
                            .readings(
                                    machine.machineId(), stop.procedure().card().id(), 1)
                            .stream()
                            .findFirst()
                            .ifPresent(entry -> Seat.onScreen(() -> tried(seat, machine, stop, entry, trial)));
                }
            }
        }
    }

    private static <R extends Record, F extends Record> Object tried(
            Seat seat, MachineStatus machine, Stop<R, F> stop, Entry entry, Trial trial) {
        Body.Measured measured = (Body.Measured) entry.body();
        BenchPlace place = seat.place(machine.plate(), List.of());
        Draft draft = place.draft();
        Bench<R, F> bench = stop.open(place);
        draft.fill(bench.texts(stop.procedure().readingsType().cast(measured.readings()), measured.asTyped(), true));
        trial.on(machine.plate().name() + ", " + stop.procedure().card().id(), bench, draft);
        return null;
    }

    private static Filled sheet(Bench<?, ?> bench, Draft draft) {
        Worksheet sheet = Worksheet.of(draft);
        bench.assemble(sheet);
        return sheet.filled();
    }

    /** The text of one field put in place of what is there. */
    private static Filled with(Bench<?, ?> bench, Draft draft, String field, Draft.Text text) {
        Map<String, Draft.Text> before = draft.texts();
        Map<String, Draft.Text> changed = new HashMap<>(before);
        changed.put(field, text);
        draft.fill(changed);
        Filled sheet = sheet(bench, draft);
        draft.fill(before);
        return sheet;
    }

    @Test
    void anAmountIsTheSameInWhateverUnitsItIsTyped() {
        List<String> wrong = new ArrayList<>();
        int[] tried = {0};
        eachBench((where, bench, draft) -> {
            Filled now = sheet(bench, draft);
            for (ReadingField field : bench.fields()) {
                Optional<Double> base = now.understood(field.name());
                if (base.isEmpty() || field.quantity() == Quantity.PLAIN) {
                    continue;
                }
                Amount amount = new Amount(field.quantity(), base.get(), 6);
                for (Draft.Text text : List.of(
                        new Draft.Text(amount.number(IMPERIAL), IMPERIAL),
                        new Draft.Text(amount.text(IMPERIAL), UnitChoice.METRIC),
                        new Draft.Text(amount.text(UnitChoice.METRIC), IMPERIAL),
                        new Draft.Text(amount.number(UnitChoice.METRIC), UnitChoice.METRIC))) {
                    Optional<Double> again =
                            with(bench, draft, field.name(), text).understood(field.name());
                    if (again.isEmpty()
                            || Math.abs(again.get() - base.get()) > 1e-4 * Math.max(1, Math.abs(base.get()))) {
                        wrong.add(where + ", " + field.name() + ": " + text + " is " + again + ", not " + base.get());
                    }
                    tried[0]++;
                }
            }
        });
        assertThat(wrong).isEmpty();
        assertThat(tried[0]).isGreaterThan(500);
    }

    @Test
    void nonsenseIsToldAtItsFieldAndNothingElseIsLost() {
        List<String> wrong = new ArrayList<>();
        int[] told = {0};
        eachBench((where, bench, draft) -> {
            Filled now = sheet(bench, draft);
            for (ReadingField field : bench.fields()) {
                for (String text : NONSENSE) {
                    Filled sheet = with(bench, draft, field.name(), new Draft.Text(text, UnitChoice.METRIC));
                    String problem = sheet.problems().get(field.name());
                    if (problem != null) {
                        told[0]++;
                        if (problem.isBlank() || problem.contains("Exception") || problem.contains("java")) {
                            wrong.add(where + ", " + field.name() + ", " + text + ": " + problem);
                        }
                    }
                    for (ReadingField other : bench.fields()) {
                        if (!other.name().equals(field.name())
                                && !now.understood(other.name()).equals(sheet.understood(other.name()))) {
                            wrong.add(where + ": " + text + " in " + field.name() + " changed what " + other.name()
                                    + " is");
                        }
                    }
                }
            }
        });
        assertThat(wrong).isEmpty();
        assertThat(told[0]).as("most of it is told").isGreaterThan(2_000);
    }
}
