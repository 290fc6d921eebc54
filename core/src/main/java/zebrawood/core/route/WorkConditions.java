package zebrawood.core.route;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;

/** Gathers what goes along with a work result: what is known of the machine at that moment, and what is not. */
public final class WorkConditions {

    /** What one asks for when a result differs, by the stop that answers it. */
    private static final Map<String, String> ASKED = new LinkedHashMap<>();

    static {
        ASKED.put("climate", "site-climate");
        ASKED.put("settings", "controller-settings");
        ASKED.put("focus", "focus-ramp");
        ASKED.put("level", "bed-level");
        ASKED.put("power", "power-trend");
    }

    private WorkConditions() {}

    /** @param machine how it stands now */
    public static TakenAlong of(MachineStatus machine, History history, UnitChoice units) {
        List<TakenAlong.Known> known = new ArrayList<>();
        List<String> missing = new ArrayList<>();
        ASKED.forEach((what, id) -> {
            Optional<StopStatus> stop = machine.stops().stream()
                    .filter(s -> s.card().id().equals(id) && s.reading().isPresent())
                    .findFirst();
            stop.ifPresentOrElse(
                    s -> {
                        known.add(known(
                                what,
                                s.keyFigure().map(said -> said.in(units)).orElse(""),
                                s.standing().orElseThrow().entry()));
                    },
                    () -> missing.add(what));
        });
        newest(history, true)
                .ifPresentOrElse(
                        entry -> known.add(known(
                                "cleaning",
                                ((Body.Happened) entry.body())
                                        .cleaning()
                                        .map(Body.Cleaning::surface)
                                        .orElse("cleaned"),
                                entry)),
                        () -> missing.add("cleaning"));
        newest(history, false)
                .ifPresent(entry -> known.add(
                        known("event", ((Body.Happened) entry.body()).change().words(), entry)));
        return new TakenAlong(known, missing);
    }

    private static Optional<Entry> newest(History history, boolean cleaned) {
        return history.gateAndEvents().stream()
                .filter(entry -> entry.body() instanceof Body.Happened happened
                        && happened.cleaning().isPresent() == cleaned)
                .reduce((earlier, later) -> later);
    }

    private static TakenAlong.Known known(String what, String figure, Entry entry) {
        return new TakenAlong.Known(what, figure, entry.number(), entry.since());
    }
}
