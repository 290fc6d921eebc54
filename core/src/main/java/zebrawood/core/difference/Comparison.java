package zebrawood.core.difference;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Trait;
import zebrawood.core.units.Said;

/**
 * Everything on record that differed between two moments of one machine, the likeliest to matter first, and what was
 * not on record. How likely follows from how much a result depends on it on this family, how large the change is
 * against its tolerance ({@link Trait#weight}), and whether it was checked since.
 *
 * @param earlier the moment that stands first in the chain
 * @param later the other one
 * @param differences the likeliest first
 * @param notOnRecord what cannot be told, in words
 */
public record Comparison(
        StateOnRecord earlier, StateOnRecord later, List<Difference> differences, List<String> notOnRecord) {

    public Comparison {
        differences = List.copyOf(differences);
        notOnRecord = List.copyOf(notOnRecord);
    }

    /**
     * Compares two moments, given in any order.
     *
     * @param between events that stand between them
     */
    public static Comparison of(
            StateOnRecord one, StateOnRecord other, List<Entry> between, List<Procedure<?, ?>> procedures) {
        boolean inOrder = one.at().standsAt() <= other.at().standsAt();
        return new Comparing(inOrder ? one : other, inOrder ? other : one, procedures).run(between);
    }

    /** One comparison being made. */
    private static final class Comparing {
        private final StateOnRecord earlier;
        private final StateOnRecord later;
        private final List<Procedure<?, ?>> procedures;
        private final Family family;
        private final List<Difference> differences = new ArrayList<>();
        private final List<String> notOnRecord = new ArrayList<>();
        private final List<Unchecked> unchecked = new ArrayList<>();
        private final Map<Integer, List<String>> unwritten = new LinkedHashMap<>();

        /** A stop that was not checked between the two, and for how many days. */
        private record Unchecked(String words, long days) {}

        Comparing(StateOnRecord earlier, StateOnRecord later, List<Procedure<?, ?>> procedures) {
            this.earlier = earlier;
            this.later = later;
            this.procedures = procedures;
            this.family = later.plate().family();
        }

        Comparison run(List<Entry> between) {
            if (earlier.at().body() instanceof Body.Worked before && later.at().body() instanceof Body.Worked after) {
                compare(before.result().traits(family), after.result().traits(family), earlier.at(), later.at(), "");
            }
            procedures.stream()
                    .filter(procedure -> procedure.appliesTo(later.plate()))
                    .forEach(this::procedure);
            cleaning();
            plate();
            between.forEach(this::happened);
            differences.sort(Comparator.comparingDouble(Difference::likelihood).reversed());
            return new Comparison(earlier, later, differences, notOnRecord());
        }

        /** One short list: the oldest checks first, then what was not written at each of the two, then cleaning. */
        private List<String> notOnRecord() {
            List<String> list = new ArrayList<>();
            unchecked.stream()
                    .sorted(Comparator.comparingLong(Unchecked::days).reversed())
                    .forEach(each -> list.add(each.words()));
            unwritten.forEach(
                    (number, labels) -> list.add("Not written at no. " + number + ": " + String.join(", ", labels)));
            list.addAll(notOnRecord);
            return list;
        }

        private void compare(List<Trait> before, List<Trait> after, Entry entryBefore, Entry entryAfter, String why) {
            Map<String, Trait> old = new LinkedHashMap<>();
            before.forEach(trait -> old.put(trait.label(), trait));
            for (Trait now : after) {
                Trait was = old.remove(now.label());
                if (was == null) {
                    missing(now.label(), entryBefore);
                } else if (!was.isSameAs(now)) {
                    double likelihood = was.weight(now);
                    differences.add(new Difference(
                            now.label(),
                            was.figure(),
                            now.figure(),
                            join(size(was, now), why),
                            likelihood,
                            OptionalInt.of(entryBefore.number()),
                            OptionalInt.of(entryAfter.number())));
                }
            }
            old.keySet().forEach(label -> missing(label, entryAfter));
        }

        private void missing(String label, Entry entry) {
            unwritten
                    .computeIfAbsent(entry.number(), number -> new ArrayList<>())
                    .add(label);
        }

        private static String size(Trait was, Trait now) {
            if (was.value().isEmpty() || now.value().isEmpty()) {
                return "";
            }
            double x = Math.abs(was.value().getAsDouble() - now.value().getAsDouble())
                    / Math.max(was.tolerance(), now.tolerance());
            return x < 0.75
                    ? "within what repeats"
                    : x < 1.5
                            ? "about the smallest change that matters"
                            : Math.min(99, Math.round(x)) + " times the smallest change that matters";
        }

        private <R extends Record, F extends Record> void procedure(Procedure<R, F> procedure) {
            String id = procedure.card().id();
            String title = procedure.card().title();
            Optional<Entry> before = Optional.ofNullable(earlier.newest().get(id));
            Optional<Entry> after = Optional.ofNullable(later.newest().get(id));
            if (before.isEmpty() || after.isEmpty()) {
                unchecked.add(new Unchecked(
                        title + (after.isEmpty() ? ": never checked" : ": not checked at the earlier time"),
                        after.isEmpty() ? Long.MAX_VALUE : Long.MAX_VALUE - 1));
                return;
            }
            if (before.get().number() == after.get().number()) {
                long days = days(after.get().since(), later.at().since());
                if (days > 0) {
                    unchecked.add(new Unchecked(
                            title + ": last checked " + days + (days == 1 ? " day" : " days") + " before, not since",
                            days));
                }
                return;
            }
            compare(
                    traits(procedure, before.get()),
                    traits(procedure, after.get()),
                    before.get(),
                    after.get(),
                    "checked " + ago(after.get().since(), later.at().since()));
        }

        private <R extends Record, F extends Record> List<Trait> traits(Procedure<R, F> procedure, Entry entry) {
            if (!(entry.body() instanceof Body.Measured measured) || !measured.isRead()) {
                return List.of();
            }
            return procedure.traits(
                    procedure.readingsType().cast(measured.readings()),
                    procedure.findingType().cast(measured.finding()),
                    family);
        }

        /** How long each surface had gone without being cleaned. */
        private void cleaning() {
            Optional<Entry> before = cleaned(earlier);
            Optional<Entry> after = cleaned(later);
            if (before.isEmpty() || after.isEmpty()) {
                notOnRecord.add(
                        after.isEmpty()
                                ? "Cleaning: never recorded"
                                : "Cleaning: none recorded before the earlier one");
                return;
            }
            compare(
                    List.of(sinceCleaned(before.get(), earlier)),
                    List.of(sinceCleaned(after.get(), later)),
                    before.get(),
                    after.get(),
                    "");
        }

        private static Optional<Entry> cleaned(StateOnRecord moment) {
            return moment.happened().stream()
                    .filter(entry ->
                            entry.body() instanceof Body.Happened happened && happened.change() == Change.CLEANED)
                    .findFirst();
        }

        private Trait sinceCleaned(Entry cleaned, StateOnRecord moment) {
            long days = days(cleaned.since(), moment.at().since());
            return Trait.amount(
                    "days since cleaned", Said.of(days + (days == 1 ? " day" : " days")), (double) days, 30, 0.6);
        }

        private void plate() {
            if (earlier.plateEntry().number() != later.plateEntry().number()) {
                compare(
                        plateTraits(earlier.plate()),
                        plateTraits(later.plate()),
                        earlier.plateEntry(),
                        later.plateEntry(),
                        "by the plate");
            }
        }

        private static List<Trait> plateTraits(Plate plate) {
            List<Trait> traits = new ArrayList<>();
            plate.place().ifPresent(place -> traits.add(Trait.word("place", place, 0.2)));
            plate.source().ifPresent(source -> {
                source.kind().ifPresent(kind -> traits.add(Trait.word("source", kind, 0.6)));
                source.ratedPowerW()
                        .ifPresent(power -> traits.add(
                                Trait.amount("rated power", Said.of(power + " W"), power, 0.05 * power, 0.9)));
            });
            plate.optics().ifPresent(optics -> {
                optics.focusDatum().ifPresent(datum -> traits.add(Trait.word("focus datum", datum, 0.5)));
                optics.gapTool().ifPresent(tool -> traits.add(Trait.word("gap tool", tool, 0.3)));
            });
            plate.control()
                    .flatMap(Plate.Control::need)
                    .ifPresent(need -> need.senderMaxS()
                            .ifPresent(full -> traits.add(Trait.amount(
                                    "S sent for full power",
                                    Said.of("S " + Math.round(full)),
                                    full,
                                    0.05 * full,
                                    0.95))));
            return traits;
        }

        /** Something that happened between them; less telling where the stop it makes stale was gone through since. */
        private void happened(Entry entry) {
            Body.Happened happened = (Body.Happened) entry.body();
            boolean seenAgain = procedures.stream()
                    .filter(procedure -> happened.changes().stream()
                            .anyMatch(procedure.card().redoneAfter()::contains))
                    .map(procedure -> later.newest().get(procedure.card().id()))
                    .anyMatch(reading -> reading != null && reading.standsAt() > entry.standsAt());
            String what = happened.change().words()
                    + happened.cleaning()
                            .map(cleaning -> " " + cleaning.surface())
                            .orElse("");
            String remark = happened.cleaning()
                    .map(cleaning -> cleaning.damage().isBlank() ? happened.remark() : cleaning.damage())
                    .orElse(happened.remark());
            differences.add(new Difference(
                    what,
                    Said.of("before"),
                    Said.of(remark.isBlank() ? "since" : remark),
                    join(ago(entry.since(), later.at().since()), seenAgain ? "checked again since" : ""),
                    likelihood(happened) * (seenAgain ? 0.3 : 1),
                    OptionalInt.empty(),
                    OptionalInt.of(entry.number())));
        }

        private static double likelihood(Body.Happened happened) {
            boolean damaged = happened.cleaning()
                    .filter(cleaning -> !cleaning.damage().isBlank())
                    .isPresent();
            return switch (happened.change()) {
                case SOURCE_CHANGED -> 0.95;
                case LENS_CHANGED -> 0.85;
                case CLEANED -> damaged ? 0.9 : happened.changes().contains(Change.LENS_CHANGED) ? 0.7 : 0.35;
                case KNOCKED -> 0.8;
                case PART_FITTED -> 0.55;
                case MOVED -> 0.5;
                case COOLANT_WORK -> 0.35;
                case COVERS_OFF -> 0.2;
                case FIRED_DRY -> 0.9;
                case MAINS_WORK -> 0.15;
                case LEFT_ALONE -> 0.1;
                case NOZZLE_CHANGED -> 0.7;
                case BED_CHANGED -> 0.6;
                case STOCK_CHANGED -> 0.5;
                case GAP_SET -> 0.3;
            };
        }

        private static String ago(Instant then, Instant later) {
            long days = days(then, later);
            return days <= 0 ? "the same day" : days == 1 ? "the day before" : days + " days before";
        }

        private static long days(Instant from, Instant to) {
            return Math.max(0, ChronoUnit.DAYS.between(from, to));
        }

        private static String join(String one, String other) {
            return one.isEmpty() ? other : other.isEmpty() ? one : one + ", " + other;
        }
    }
}
