package zebrawood.core.eyewear;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.reading.Limits;

/** The eyewear of a shop: each pair as it was last recorded, and which is good for which machine. */
public final class Register {

    /** Whether a pair is good for a machine. */
    public enum Fit {
        GOOD,
        /** its marking, or what is known of the machine, does not say: it is asked, never called good */
        ASK,
        NOT
    }

    /** What was found, and why. */
    public record Judged(Fit fit, String why) {}

    /**
     * What a machine asks for.
     *
     * @param machineId its id
     * @param machine its name
     * @param wavelengthsNm all that its plate names, nm
     * @param measuredNm the wavelength for which the density was worked out, nm; absent where it was not
     * @param density the least that is to be marked at that wavelength
     * @param pulsed whether it comes in pulses
     * @param people how many may be in its room; absent where nobody said
     */
    public record Need(
            String machineId,
            String machine,
            List<Double> wavelengthsNm,
            OptionalDouble measuredNm,
            double density,
            boolean pulsed,
            OptionalInt people) {
        public Need {
            wavelengthsNm = List.copyOf(wavelengthsNm);
        }
    }

    private final List<EyewearPair> pairs;

    private Register(List<EyewearPair> pairs) {
        this.pairs = pairs;
    }

    /** @param recorded each time a pair was recorded, the oldest first; the newest of a name counts */
    public static Register of(List<EyewearPair> recorded) {
        Map<String, EyewearPair> newest = new LinkedHashMap<>();
        recorded.forEach(pair -> newest.put(pair.name().strip().toLowerCase(Locale.ROOT), pair));
        return new Register(newest.values().stream()
                .filter(pair -> pair.condition() != EyewearPair.Condition.GONE)
                .sorted(Comparator.comparing(pair -> pair.name().toLowerCase(Locale.ROOT)))
                .toList());
    }

    /** What is there, by name. */
    public List<EyewearPair> pairs() {
        return pairs;
    }

    /** Whether a pair is good for a machine, and why not. */
    public static Judged judge(EyewearPair pair, Need need) {
        if (pair.condition() != EyewearPair.Condition.SOUND) {
            return new Judged(Fit.NOT, pair.condition().words());
        } else if (pair.marks().isEmpty()) {
            return new Judged(Fit.NOT, "no marking to read");
        } else if (pair.window().isPresent() && !pair.window().get().equals(need.machineId())) {
            return new Judged(Fit.NOT, "the window of another machine");
        } else if (need.wavelengthsNm().isEmpty() && need.measuredNm().isEmpty()) {
            return new Judged(Fit.ASK, "wavelength not known");
        }
        List<Double> asked = new ArrayList<>(need.wavelengthsNm());
        need.measuredNm().ifPresent(nm -> {
            if (!asked.contains(nm)) {
                asked.add(nm);
            }
        });
        return asked.stream()
                .map(nm -> judge(pair, need, nm))
                .max(Comparator.comparing(Judged::fit))
                .orElseThrow();
    }

    private static Judged judge(EyewearPair pair, Need need, double nm) {
        List<EyewearPair.Mark> covering =
                pair.marks().stream().filter(mark -> mark.covers(nm)).toList();
        if (covering.isEmpty()) {
            return new Judged(Fit.NOT, "not marked for " + Marking.shown(nm) + " nm");
        } else if (need.measuredNm().isEmpty() || need.measuredNm().getAsDouble() != nm) {
            return new Judged(Fit.ASK, "work out the OD for " + Marking.shown(nm) + " nm");
        }
        List<EyewearPair.Mark> dense = covering.stream()
                .filter(mark -> Limits.atLeast(mark.density(), need.density()))
                .toList();
        if (dense.isEmpty()) {
            double best = covering.stream()
                    .mapToDouble(EyewearPair.Mark::density)
                    .max()
                    .orElseThrow();
            return new Judged(Fit.NOT, "OD " + Marking.shown(best) + ", needs " + Marking.shown(need.density()));
        }
        if (!need.pulsed()
                || dense.stream()
                        .anyMatch(mark -> mark.light()
                                .filter(light -> light == EyewearPair.Light.PULSES)
                                .isPresent())) {
            return new Judged(
                    Fit.GOOD,
                    "OD "
                            + Marking.shown(dense.stream()
                                    .mapToDouble(EyewearPair.Mark::density)
                                    .max()
                                    .orElseThrow()));
        }
        return dense.stream().anyMatch(mark -> mark.light().isEmpty())
                ? new Judged(Fit.ASK, "does not say whether for pulses")
                : new Judged(Fit.NOT, "not for pulses");
    }

    /** How many pairs that somebody can wear are good for a machine. */
    public int good(Need need) {
        return (int) pairs.stream()
                .filter(pair -> pair.window().isEmpty() && judge(pair, need).fit() == Fit.GOOD)
                .count();
    }

    /** How many pairs are missing for everybody in the room; 0 where nobody said how many people may be there. */
    public int missing(Need need) {
        return Math.max(0, need.people().orElse(0) - good(need));
    }

    /** Whether there are enough for everybody in the room, in words. */
    public Judged enough(Need need) {
        int good = good(need);
        String many = good == 1 ? "1 good pair" : good + " good pairs";
        if (need.people().isEmpty()) {
            return new Judged(Fit.ASK, many + "; say how many people may be in the room");
        }
        int people = need.people().getAsInt();
        String who = people == 1 ? "1 person" : people + " people";
        return good >= people
                ? new Judged(Fit.GOOD, many + " for " + who)
                : new Judged(Fit.NOT, many + " for " + who + ": " + missing(need) + " missing");
    }
}
