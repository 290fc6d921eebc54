package zebrawood.benches.controller;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.controller.SettingsFinding;
import zebrawood.core.controller.SettingsReadings.Cap;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.CeilingReadings;
import zebrawood.kit.bench.BenchPlace;

/** The largest S that a tube bears, where its ceiling is kept in software and is on record. */
public final class CapOnRecord {

    private static final String CEILING = "tube-ceiling";

    /** what is looked back on for it */
    public static final List<String> STOPS = List.of(CEILING);

    private static final int FULL_POWER_S = 30;

    private CapOnRecord() {}

    static Optional<Cap> of(BenchPlace place) {
        List<Entry> ceilings = place.onRecord().of(CEILING);
        if (ceilings.isEmpty()) {
            return Optional.empty();
        }
        // where the newest only proves a cap, the one before it says which; the smaller of both is safe
        boolean proves = measured(ceilings.get(0)).verdict().satisfies();
        OptionalDouble s = ceilings.stream()
                .limit(proves ? 2 : 1)
                .map(CapOnRecord::measured)
                .flatMapToDouble(ceiling -> s(ceiling).stream())
                .filter(each -> each > 0)
                .min();
        return isCap(measured(ceilings.get(0))) && s.isPresent()
                ? Optional.of(new Cap(
                        s.getAsDouble(), fullPower(place, ceilings.get(0).since())))
                : Optional.empty();
    }

    private static Body.Measured measured(Entry entry) {
        return (Body.Measured) entry.body();
    }

    private static boolean isCap(Body.Measured ceiling) {
        return ceiling.finding() instanceof CeilingFinding finding && finding.school() == CeilingReadings.School.CAP;
    }

    private static OptionalDouble s(Body.Measured ceiling) {
        if (!isCap(ceiling)) {
            return OptionalDouble.empty();
        }
        OptionalDouble found = ((CeilingFinding) ceiling.finding()).capS();
        return found.isPresent() || !ceiling.verdict().satisfies()
                ? found
                : ((CeilingReadings) ceiling.readings()).firmwareMaxS();
    }

    /** What the controller took for all of its power when the ceiling was measured. */
    private static OptionalDouble fullPower(BenchPlace place, Instant at) {
        return place.earlier().stream()
                .filter(entry -> !entry.since().isAfter(at))
                .map(CapOnRecord::measured)
                .flatMap(measured -> measured.finding() instanceof SettingsFinding finding
                        ? Stream.of(finding.settings())
                        : Stream.empty())
                .map(settings -> settings.get(FULL_POWER_S))
                .filter(s -> s != null && s > 0)
                .mapToDouble(Double::doubleValue)
                .findFirst();
    }
}
