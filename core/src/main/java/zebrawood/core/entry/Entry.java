package zebrawood.core.entry;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;

/**
 * One entry of the logbook.
 *
 * @param place where in which chain it stands
 * @param stamp who, when, with which program
 * @param body what it says
 * @param corrects the entry that it replaces, if it is a correction
 * @param attachments files that belong to it, by hash
 * @param unknown parts of it that this program does not know, by their path: those of a newer program
 */
public record Entry(
        Place place,
        Stamp stamp,
        Body body,
        Optional<Correction> corrects,
        List<Attachment> attachments,
        List<String> unknown) {

    /**
     * Where an entry stands.
     *
     * @param machineId never changes, whatever the machine's name
     * @param number from 1, per machine
     * @param hash SHA-256 of its stored bytes, 64 hex digits
     */
    public record Place(String machineId, int number, String hash) {}

    /**
     * Who and when.
     *
     * @param at time of recording, UTC
     * @param zone the offset where it was recorded
     * @param by initials
     * @param program version of the program
     */
    public record Stamp(Instant at, ZoneOffset zone, String by, String program) {

        /** Characters that initials have at the most. */
        public static final int LONGEST_BY = 16;

        /** Date and time as the clock on the wall showed it. */
        public LocalDateTime local() {
            return LocalDateTime.ofInstant(at, zone);
        }
    }

    /**
     * @param number the entry that it replaces
     * @param standsAt the first entry of that row of corrections: where in the chain this one counts
     * @param since when that first entry was recorded: where in time this one counts
     * @param why in words
     */
    public record Correction(int number, int standsAt, Instant since, String why) {}

    /**
     * @param name file name as it came
     * @param sha256 hash of its bytes, 64 hex digits
     * @param bytes its length
     */
    public record Attachment(String name, String sha256, long bytes) {}

    public Entry {
        attachments = List.copyOf(attachments);
        unknown = List.copyOf(unknown);
    }

    /** An entry that this program made, or knows all of. */
    public Entry(Place place, Stamp stamp, Body body, Optional<Correction> corrects, List<Attachment> attachments) {
        this(place, stamp, body, corrects, attachments, List.of());
    }

    /** Whether this program knows all that it says; what it does not know it must neither judge nor replace. */
    public boolean isWhollyKnown() {
        return unknown.isEmpty()
                && !(body instanceof Body.Foreign)
                && !(body instanceof Body.Measured measured && !measured.isRead());
    }

    public int number() {
        return place.number();
    }

    /** When what it says was so: the time of recording, or of the entry that it corrects. */
    public Instant since() {
        return corrects.map(Correction::since).orElse(stamp.at());
    }

    /** The day on which what it says was so, where it was recorded. */
    public LocalDate day() {
        return since().atOffset(stamp.zone()).toLocalDate();
    }

    /** The number at whose place in time it stands: its own, unless it is a correction. */
    public int standsAt() {
        return corrects.map(Correction::standsAt).orElse(place.number());
    }
}
