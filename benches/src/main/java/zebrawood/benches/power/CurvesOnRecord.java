package zebrawood.benches.power;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.LinearityReadings;
import zebrawood.core.power.LinearityReadings.With;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;

/** Curves of watts against percent that a machine has on record: each lens, frequency and pulse length has its own. */
final class CurvesOnRecord {

    static final With PLAIN = new With(Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    private CurvesOnRecord() {}

    /** One of them, with when it was taken. */
    record Kept(With with, LinearityFinding finding, Instant at) {

        /** With what it was taken, and on which day. */
        String words(BenchPlace place) {
            LocalDate day = place.workplace().local(at).toLocalDate();
            return CurvesOnRecord.words(with, place.units()) + ", " + day;
        }
    }

    /** All of them, the newest first. */
    static List<Kept> all(BenchPlace place) {
        List<Entry> entries = place.onRecord().of(PercentBench.ID);
        Stream<Entry> known = entries.isEmpty() ? place.newest(PercentBench.ID).stream() : entries.stream();
        return known.flatMap(entry -> kept(entry).stream()).toList();
    }

    /** The newest of each condition, the newest first. */
    static List<Kept> newest(BenchPlace place) {
        List<Kept> newest = new ArrayList<>();
        for (Kept kept : all(place)) {
            if (newest.stream().noneMatch(other -> alike(other.with(), kept.with()))) {
                newest.add(kept);
            }
        }
        return newest;
    }

    /** A curve of another machine of the shop. */
    record OfAnother(String machine, Kept kept) {}

    /** The newest of each of the other machines. */
    static List<OfAnother> elsewhere(BenchPlace place) {
        return place.onRecord().elsewhere().apply(PercentBench.ID).stream()
                .flatMap(other -> kept(other.entry()).stream().map(kept -> new OfAnother(other.machine(), kept)))
                .toList();
    }

    private static Optional<Kept> kept(Entry entry) {
        return entry.body() instanceof Body.Measured measured
                        && measured.finding() instanceof LinearityFinding finding
                        && measured.readings() instanceof LinearityReadings readings
                ? Optional.of(new Kept(readings.with().orElse(PLAIN), finding, entry.since()))
                : Optional.empty();
    }

    /** Whether two conditions are the same. */
    static boolean alike(With one, With other) {
        return lens(one).equals(lens(other))
                && one.frequencyKHz().equals(other.frequencyKHz())
                && one.pulseNs().equals(other.pulseNs());
    }

    private static String lens(With with) {
        return with.lens().orElse("").strip().toLowerCase(Locale.ROOT);
    }

    /** A condition, in a few words. */
    static String words(With with, UnitChoice units) {
        List<String> words = new ArrayList<>();
        with.lens().map(String::strip).filter(lens -> !lens.isEmpty()).ifPresent(lens -> words.add("lens " + lens));
        with.frequencyKHz().ifPresent(at -> words.add(new Amount(Quantity.FREQUENCY, at, 0).text(units)));
        with.pulseNs().ifPresent(at -> words.add(new Amount(Quantity.PULSE, at, 0).text(units)));
        return words.isEmpty() ? "lens not named" : String.join(", ", words);
    }
}
