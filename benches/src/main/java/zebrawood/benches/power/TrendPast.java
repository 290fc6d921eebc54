package zebrawood.benches.power;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.power.BeamClock;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.LinearityReadings.With;
import zebrawood.core.power.TrendReadings.Event;
import zebrawood.core.power.TrendReadings.Point;
import zebrawood.core.power.TrendReadings.What;
import zebrawood.core.power.TrendRecord;
import zebrawood.core.procedure.Change;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.MachineRecord;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Worksheet;

/** Tests and events that the Logbook has of a source, put over its beam hours. */
public final class TrendPast {

    private static final String HOURS = "beam-hours";
    private static final String CEILING = "tube-ceiling";
    private static final String MIRRORS = "mirror-plan";

    /** what a trend looks back on */
    public static final List<String> STOPS = List.of(MachineRecord.EVENTS, HOURS, CEILING, PercentBench.ID, MIRRORS);

    private static final Map<What, String> FIELDS = Map.of(
            What.CLEANED, TrendBench.CLEANED,
            What.ALIGNED, TrendBench.ALIGNED,
            What.COOLANT, TrendBench.COOLANT,
            What.REPLACED, TrendBench.REPLACED);

    private TrendPast() {}

    /**
     * What one test came to over the hours.
     *
     * @param test which one, in a few words
     */
    record Found(String test, TrendRecord record) {}

    /** Of the tube's current; as it was found, where it was read before anybody turned anything. */
    static List<Found> current(BenchPlace place) {
        List<TrendRecord.Test> tests = new ArrayList<>();
        for (Entry entry : place.onRecord().of(CEILING)) {
            if (entry.body() instanceof Body.Measured measured
                    && measured.finding() instanceof CeilingFinding finding) {
                OptionalDouble found = finding.found()
                        .map(CeilingFinding.Found::asFoundMa)
                        .filter(OptionalDouble::isPresent)
                        .orElse(finding.currentAt100Ma());
                found.stream().filter(ma -> ma > 0).forEach(ma -> tests.add(new TrendRecord.Test(entry.since(), ma)));
            }
        }
        return found("at 100 %", place, tests).stream().toList();
    }

    /** Of the watts: one for each lens, frequency and pulse length, the newest taken first. */
    static List<Found> watts(BenchPlace place) {
        List<CurvesOnRecord.Kept> all = CurvesOnRecord.all(place);
        List<Found> found = new ArrayList<>();
        for (CurvesOnRecord.Kept kind : CurvesOnRecord.newest(place)) {
            With with = kind.with();
            found(
                            CurvesOnRecord.words(with, place.units()),
                            place,
                            all.stream()
                                    .filter(kept -> CurvesOnRecord.alike(kept.with(), with))
                                    .map(kept -> new TrendRecord.Test(
                                            kept.at(), kept.finding().maximumW()))
                                    .toList())
                    .ifPresent(found::add);
        }
        return found;
    }

    private static Optional<Found> found(String test, BenchPlace place, List<TrendRecord.Test> tests) {
        TrendRecord record = TrendRecord.of(clock(place), tests, done(place));
        return record.history().isEmpty() ? Optional.empty() : Optional.of(new Found(test, record));
    }

    private static BeamClock clock(BenchPlace place) {
        List<Entry> entries = place.onRecord().of(HOURS);
        List<BeamClock.Count> counts = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry.body() instanceof Body.Measured measured
                    && measured.finding() instanceof BeamHoursFinding finding
                    && measured.readings() instanceof BeamHoursReadings readings) {
                counts.add(new BeamClock.Count(
                        entry.since(),
                        finding.hours(),
                        readings.source().equals(Optional.of(BeamHoursReadings.Which.NEW))));
            }
        }
        List<Instant> replaced = done(place).stream()
                .filter(each -> each.what() == What.REPLACED)
                .map(TrendRecord.Done::at)
                .toList();
        return BeamClock.of(counts, replaced);
    }

    private static List<TrendRecord.Done> done(BenchPlace place) {
        List<TrendRecord.Done> done = new ArrayList<>();
        for (Entry entry : place.onRecord().of(MachineRecord.EVENTS)) {
            if (entry.body() instanceof Body.Happened happened) {
                what(happened.change()).ifPresent(what -> done.add(new TrendRecord.Done(entry.since(), what)));
            }
        }
        // mirrors are aligned where a reading passes and the one before it did not; the newest comes first
        List<Entry> mirrors = place.onRecord().of(MIRRORS);
        for (int i = 0; i + 1 < mirrors.size(); i++) {
            if (passed(mirrors.get(i)) && !passed(mirrors.get(i + 1))) {
                done.add(new TrendRecord.Done(mirrors.get(i).since(), What.ALIGNED));
            }
        }
        return done;
    }

    private static boolean passed(Entry entry) {
        return entry.body() instanceof Body.Measured measured
                && measured.verdict().satisfies();
    }

    private static Optional<What> what(Change change) {
        return switch (change) {
            case CLEANED -> Optional.of(What.CLEANED);
            case COOLANT_WORK -> Optional.of(What.COOLANT);
            case SOURCE_CHANGED -> Optional.of(What.REPLACED);
            default -> Optional.empty();
        };
    }

    /**
     * What is typed for it: what stands there already of older hours stays, as far as there are rows.
     *
     * @param draft what stands there
     * @param rows how many there are
     */
    static Map<String, Draft.Text> typed(TrendRecord record, Draft draft, int rows) {
        double from = Math.min(
                record.history().get(0).hours(),
                record.events().stream().mapToDouble(Event::hours).min().orElse(Double.MAX_VALUE));
        Worksheet sheet = Worksheet.of(draft);
        List<Point> all = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            Optional<Double> hours = sheet.aside(TrendBench.hours(row), TrendBench.OF_HOURS);
            Optional<Double> value = sheet.aside(TrendBench.value(row), TrendBench.OF_VALUE);
            if (hours.isPresent() && value.isPresent() && hours.get() >= 0 && hours.get() < from && value.get() > 0) {
                all.add(new Point(hours.get(), value.get()));
            }
        }
        all.addAll(record.history());
        List<Point> kept = all.subList(Math.max(0, all.size() - rows), all.size());
        Map<String, Draft.Text> typed = new HashMap<>();
        for (int row = 0; row < rows; row++) {
            boolean there = row < kept.size();
            Draft.put(typed, TrendBench.hours(row), there ? hours(kept.get(row).hours()) : "");
            Draft.put(
                    typed,
                    TrendBench.value(row),
                    there ? String.format(Locale.ROOT, "%.2f", kept.get(row).value()) : "");
        }
        FIELDS.forEach((what, field) -> {
            String older = draft.text(field)
                    .transform(text -> TrendBench.pieces(text).stream()
                            .filter(piece -> isBefore(piece, from))
                            .collect(Collectors.joining("; ")));
            String newer = record.events().stream()
                    .filter(event -> event.what() == what)
                    .map(event -> hours(event.hours()))
                    .collect(Collectors.joining("; "));
            Draft.put(typed, field, older.isEmpty() ? newer : newer.isEmpty() ? older : older + "; " + newer);
        });
        return typed;
    }

    private static boolean isBefore(String hours, double from) {
        return PowerCurveFile.number(hours, TrendBench.OF_HOURS).orElse(Double.MAX_VALUE) < from;
    }

    private static String hours(double hours) {
        return String.format(Locale.ROOT, "%.2f", hours);
    }
}
