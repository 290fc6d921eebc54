package zebrawood.benchmarks;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.MachineStatuses;
import zebrawood.core.route.Route;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;

/** All that a window shows of a logbook, as one hash: how machines stand, every page of the tape, every attachment. */
final class Shown {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    private static final int PAGE = 200;

    private Shown() {}

    static String of(Logbook logbook) {
        MessageDigest digest;
        try {
            digest = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
        MachineStatuses statuses = new MachineStatuses(new Route(Catalogue.procedures()));
        add(digest, statuses.of(logbook.histories(), NOW, ZoneOffset.UTC).toString());
        List<TapeFilter> filters = new ArrayList<>(List.of(TapeFilter.ALL));
        for (Verdict verdict : Verdict.values()) {
            filters.add(new TapeFilter(Optional.empty(), Optional.empty(), Optional.of(verdict)));
        }
        for (Logbook.MachineName machine : logbook.machines()) {
            filters.add(TapeFilter.of(machine.id()));
            add(digest, logbook.findMachine(machine.name()) + " " + logbook.count(Optional.of(machine.id())));
            for (String stop : List.of("site-climate", "focus-ramp", "work", "first-light", "plate")) {
                filters.add(new TapeFilter(Optional.of(machine.id()), Optional.of(stop), Optional.empty()));
            }
        }
        for (TapeFilter filter : filters) {
            pages(logbook, filter, digest);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static void pages(Logbook logbook, TapeFilter filter, MessageDigest digest) {
        long before = Long.MAX_VALUE;
        for (List<TapeLine> page = logbook.tape(filter, before, PAGE);
                !page.isEmpty();
                page = logbook.tape(filter, before, PAGE)) {
            for (TapeLine line : page) {
                add(digest, line.position() + " " + line.corrected() + " " + line.entry());
                for (Entry.Attachment file : line.entry().attachments()) {
                    digest.update(logbook.attachment(file.sha256()));
                }
            }
            before = page.get(page.size() - 1).position();
        }
    }

    private static void add(MessageDigest digest, String text) {
        digest.update(text.getBytes(StandardCharsets.UTF_8));
    }
}
