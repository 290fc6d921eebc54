package zebrawood.core.daily;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.machine.Plate.Part;
import zebrawood.core.machine.Plate.Presence;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopStatus;
import zebrawood.core.units.Days;
import zebrawood.core.units.Said;

/**
 * What is looked at in the half minute before a job: made from how this machine stands today, only what applies to it,
 * and not what an entry of today says already. What changed since the last job comes first.
 *
 * @param asked what is looked at, in order
 * @param known what stands on record of today, so that it is not asked
 */
public record StartOfWork(List<Asked> asked, List<String> known) {

    /** so many changes are asked about one by one; older ones are in the logbook */
    private static final int CHANGES = 4;

    /**
     * One thing to look at.
     *
     * @param id of it
     * @param words what is to be so
     * @param changed whether it is asked because something happened since the last job
     */
    public record Asked(String id, Said words, boolean changed) {}

    public StartOfWork {
        asked = List.copyOf(asked);
        known = List.copyOf(known);
    }

    /** What is looked at on this machine now. */
    public static StartOfWork of(MachineStatus machine, History history, Instant now, ZoneOffset zone) {
        return new Making(machine, history, now.atOffset(zone).toLocalDate()).make();
    }

    private static final class Making {
        private final MachineStatus machine;
        private final History history;
        private final LocalDate today;
        private final Plate plate;
        private final List<Asked> asked = new ArrayList<>();
        private final List<String> known = new ArrayList<>();

        Making(MachineStatus machine, History history, LocalDate today) {
            this.machine = machine;
            this.history = history;
            this.today = today;
            this.plate = machine.plate();
        }

        StartOfWork make() {
            changes();
            points();
            lens();
            water();
            if (plate.family() == Family.SHEET_FIBRE) {
                ask("gas", "The bottle is chained and open, and the gauge holds its pressure with the gas flowing.");
            } else if (plate.presence(Part.AIR) != Presence.NONE) {
                ask("air", "Air comes at the nozzle.");
            }
            unlessToday(
                    "exhaust-duct", "extraction", Said.of("The extraction runs, and a strip of paper clings to it."));
            ask(
                    "bed",
                    plate.family().isGalvo()
                            ? "The table is clean, and nothing shiny lies in the beam's way."
                            : "The bed is clean: no scraps under the work, and air can move there.");
            ask("material", "The material is known, and nothing in it gives chlorine.");
            ask("side", "If this is the back side, the job is mirrored.");
            ask(
                    "area",
                    plate.presence(Part.INTERLOCK) == Presence.FITTED
                            ? "The covers are shut, and the extinguisher is in reach."
                            : "The door is shut, the sign is out, everybody wears the right eyewear, and the "
                                    + "extinguisher is in reach.");
            return new StartOfWork(asked, known);
        }

        private void ask(String id, String words) {
            asked.add(new Asked(id, Said.of(words), false));
        }

        /** What happened since the last job, or since it was last looked over and was right; the newest first. */
        private void changes() {
            int worked = history.daily().worked().map(CountedReading::standsAt).orElse(0);
            int looked = history.daily()
                    .started()
                    .filter(look -> look.entry().body() instanceof Body.Started started
                            && started.check().isRight())
                    .map(CountedReading::standsAt)
                    .orElse(0);
            int last = Math.max(worked, looked);
            history.gateAndEvents().stream()
                    .filter(entry -> entry.body() instanceof Body.Happened && entry.number() > last)
                    .sorted(Comparator.comparingInt(Entry::number).reversed())
                    .limit(CHANGES)
                    .forEach(entry -> {
                        Body.Happened happened = (Body.Happened) entry.body();
                        String remark = happened.remark().isBlank() ? "" : " (" + happened.remark() + ")";
                        asked.add(new Asked(
                                "changed-" + entry.number(),
                                Said.verbatim("Since the last job, " + Days.brief(entry.day(), today) + ": "
                                        + happened.change().words() + remark
                                        + ". It was looked at again and is right."),
                                true));
                    });
        }

        /** What is still open on the machine, the oldest first. */
        private void points() {
            history.openPoints().stream().limit(CHANGES).forEach(entry -> {
                String what = ((Body.PointOpened) entry.body()).what();
                asked.add(new Asked(
                        "point-" + entry.number(),
                        Said.verbatim("Open: " + what + ". This job does not need it, and nobody is hurt by it."),
                        false));
            });
        }

        private void lens() {
            if (plate.optics().map(Plate.Optics::lenses).orElse(List.of()).size() > 1) {
                ask("lens", "The lens of this job is in, clean and seated.");
            } else {
                ask("lens", plate.family().isGalvo() ? "The lens is clean, its cap is off." : "The lens is clean.");
            }
            String datum = plate.optics().flatMap(Plate.Optics::focusDatum).orElse("the focus datum");
            Optional<Said> figure = stop("focus-ramp").flatMap(StopStatus::keyFigure);
            if (figure.isPresent() && !figure.get().amounts().isEmpty()) {
                asked.add(new Asked(
                        "gap",
                        Said.of(
                                "The gap is set for this stock and its riser: best is {0}, measured from " + datum
                                        + ". Gauge and block are out of the way.",
                                figure.get().amounts().get(0)),
                        false));
            } else {
                ask("gap", "The gap is set for this stock and its riser. Gauge and block are out of the way.");
            }
        }

        private void water() {
            if (plate.presence(Part.WATER) == Presence.NONE) {
                return;
            }
            unlessToday(
                    "coolant-setpoint",
                    "water",
                    Said.of(
                            "The water runs, is as warm as it is set, and nothing sweats: no drop on source or hoses."));
        }

        /** Asks, unless a reading of today that passed says it already. */
        private void unlessToday(String stop, String id, Said words) {
            Optional<StopStatus> read = stop(stop)
                    .filter(each -> each.reading()
                            .filter(reading -> reading.verdict().satisfies()
                                    && reading.day().equals(today))
                            .isPresent())
                    .filter(each -> each.note().isEmpty());
            if (read.isPresent()) {
                known.add(read.get().card().title() + " was read today and passed.");
            } else {
                asked.add(new Asked(id, words, false));
            }
        }

        private Optional<StopStatus> stop(String id) {
            return machine.stops().stream()
                    .filter(stop -> stop.card().id().equals(id))
                    .findFirst();
        }
    }
}
