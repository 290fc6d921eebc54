package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusTable;
import zebrawood.core.focus.LadderFinding;
import zebrawood.core.focus.LadderReadings;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.focus.SweepFinding;
import zebrawood.core.focus.SweepReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopStatus;
import zebrawood.logbook.store.Logbook;

/** What a machine has on record of its best gap, lens by lens. */
final class OnRecord {

    /** how far it is looked back for a lens that was in before */
    private static final int MOST = 40;

    private OnRecord() {}

    /**
     * Which lens a reading was taken with, empty where nobody said, and what it found.
     *
     * @param typed whether its depth of focus was typed, not found
     */
    private record Found(String lens, FocusTable.School school, boolean typed) {}

    /**
     * Of each lens and school the newest reading whose figure stands; the lens that is in comes first.
     *
     * @return by the name of the lens; empty where nobody said which one was in, and where nothing was measured
     */
    static Map<String, FocusTable> of(Logbook logbook, String machineId, MachineStatus machine) {
        List<Found> found = new ArrayList<>();
        for (StopStatus stop : machine.stops()) {
            Optional<Found> standing = stop.standing()
                    .flatMap(CountedReading::measured)
                    .flatMap(measured -> found(
                            machine,
                            stop,
                            stop.standing().get().entry(),
                            measured,
                            stop.changed().map(OnRecord::what)));
            standing.ifPresent(it -> {
                found.add(it);
                found.addAll(earlier(logbook, machineId, machine, stop, it.lens()));
            });
        }
        found.sort(Comparator.comparing((Found each) -> each.school().at()).reversed());
        Map<String, List<Found>> byLens = new LinkedHashMap<>();
        for (Found each : found) {
            byLens.computeIfAbsent(each.lens(), lens -> new ArrayList<>()).add(each);
        }
        Map<String, FocusTable> tables = new LinkedHashMap<>();
        byLens.forEach((lens, all) -> tables.put(lens, FocusTable.of(schools(all, !tables.isEmpty()))));
        return tables.isEmpty() ? Map.of("", FocusTable.of(List.of())) : tables;
    }

    /** Of a stop the newest reading with each other lens. */
    private static List<Found> earlier(
            Logbook logbook, String machineId, MachineStatus machine, StopStatus stop, String in) {
        List<Found> others = new ArrayList<>();
        for (Entry entry : logbook.readings(machineId, stop.card().id(), MOST)) {
            Body.Measured measured = (Body.Measured) entry.body();
            if (measured.verdict().satisfies()) {
                found(machine, stop, entry, measured, Optional.empty())
                        .filter(other -> !other.lens().equals(in)
                                && others.stream()
                                        .noneMatch(newer -> newer.lens().equals(other.lens())))
                        .ifPresent(others::add);
            }
        }
        return others;
    }

    /** A depth that was found counts before one that was typed; a lens that is not in now is looked at again. */
    private static List<FocusTable.School> schools(List<Found> found, boolean isOut) {
        boolean told = found.stream()
                .anyMatch(
                        each -> !each.typed() && each.school().depthOfFocusMm().isPresent());
        return found.stream()
                .map(each -> new FocusTable.School(
                        each.school().name(),
                        each.school().bestGapMm(),
                        each.school().halfWidthMm(),
                        told && each.typed()
                                ? OptionalDouble.empty()
                                : each.school().depthOfFocusMm(),
                        each.school().at(),
                        each.school().since().or(() -> isOut ? Optional.of("another lens was in") : Optional.empty())))
                .toList();
    }

    private static Optional<Found> found(
            MachineStatus machine, StopStatus stop, Entry entry, Body.Measured measured, Optional<String> since) {
        if (!measured.isRead()) {
            return Optional.empty();
        }
        return gap(measured)
                .map(gap -> new Found(
                        gap.lens().or(() -> only(machine.plate())).orElse(""),
                        new FocusTable.School(
                                stop.card().title(),
                                gap.best(),
                                gap.half(),
                                gap.depth(),
                                entry.stamp().at(),
                                since),
                        !(measured.finding() instanceof RampFinding)));
    }

    /** The lens of a plate that has but one. */
    private static Optional<String> only(Plate plate) {
        List<Plate.Lens> lenses = plate.optics().map(Plate.Optics::lenses).orElse(List.of());
        return lenses.size() == 1 ? Optional.of(lenses.get(0).name()) : Optional.empty();
    }

    private static String what(Entry happened) {
        return ((Body.Happened) happened.body()).change().words();
    }

    /** A best gap, half of its interval, the depth of focus and the lens, as far as an entry tells them. */
    private record Gap(double best, OptionalDouble half, OptionalDouble depth, Optional<String> lens) {
        static Optional<Gap> of(OptionalDouble best, OptionalDouble half, OptionalDouble depth, Optional<String> lens) {
            return best.isPresent() ? Optional.of(new Gap(best.getAsDouble(), half, depth, lens)) : Optional.empty();
        }
    }

    private static Optional<Gap> gap(Body.Measured measured) {
        if (measured.finding() instanceof RampFinding ramp && measured.readings() instanceof RampReadings read) {
            return Gap.of(ramp.workingGapMm(), ramp.workingGapHalfWidthMm(), ramp.depthOfFocusMm(), read.lens());
        } else if (measured.finding() instanceof LadderFinding ladder
                && measured.readings() instanceof LadderReadings read) {
            return Gap.of(ladder.workingGapMm(), ladder.workingGapHalfWidthMm(), read.depthOfFocusMm(), read.lens());
        } else if (measured.finding() instanceof SweepFinding sweep
                && measured.readings() instanceof SweepReadings read) {
            OptionalDouble half = sweep.bestGapLowMm().isPresent()
                    ? OptionalDouble.of(sweep.bestGapMm().getAsDouble()
                            - sweep.bestGapLowMm().getAsDouble())
                    : OptionalDouble.empty();
            return Gap.of(sweep.bestGapMm(), half, OptionalDouble.of(read.depthOfFocusMm()), read.lens());
        }
        return Optional.empty();
    }
}
