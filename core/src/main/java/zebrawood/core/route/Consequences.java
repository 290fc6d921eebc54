package zebrawood.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What differs between how a machine stands and how it would stand, in words. */
final class Consequences {

    private Consequences() {}

    static List<String> between(MachineStatus before, MachineStatus after) {
        List<String> sentences = new ArrayList<>();
        gate(before.gate(), after.gate()).ifPresent(sentences::add);
        for (StopStatus stop : after.stops()) {
            StopState earlier = before.stop(stop.card().id()).state();
            if (stop.state() == StopState.DUE && earlier != StopState.DUE) {
                sentences.add(stop.card().title() + " is to be done again.");
            } else if (stop.state() == StopState.SHUT && earlier != StopState.SHUT) {
                sentences.add(stop.card().title() + " is shut until then.");
            }
        }
        if (after.refocus().isPresent() && !after.refocus().equals(before.refocus())) {
            sentences.add("The gap is to be set again before the next job.");
        } else if (before.refocus().isPresent() && after.refocus().isEmpty()) {
            sentences.add("The gap counts as set again.");
        }
        if (sentences.isEmpty()) {
            sentences.add("Nothing has to be done again. It stands in the logbook.");
        }
        return sentences;
    }

    private static Optional<String> gate(Gate before, Gate after) {
        List<String> back = new ArrayList<>();
        for (int i = 0; i < after.bars().size(); i++) {
            boolean was = before.bars().get(i).answer().isPresent();
            if (was && after.bars().get(i).answer().isEmpty()) {
                back.add(after.bars().get(i).bar().title());
            }
        }
        if (back.isEmpty()) {
            return Optional.empty();
        }
        String shuts = before.isOpen() ? "The first light gate shuts" : "The first light gate goes back";
        return Optional.of(
                back.size() == after.bars().size() || back.size() > 3
                        ? shuts + ": " + (back.size() == after.bars().size() ? "all " : "") + back.size()
                                + " bars are to be lifted again."
                        : shuts + " until it is seen again: "
                                + String.join(
                                        "; ",
                                        back.stream()
                                                .map(title ->
                                                        title.substring(0, 1).toLowerCase(Locale.ROOT)
                                                                + title.substring(1))
                                                .toList())
                                + ".");
    }
}
