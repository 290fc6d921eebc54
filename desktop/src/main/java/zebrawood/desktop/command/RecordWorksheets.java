package zebrawood.desktop.command;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.Signs;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.worksheet.Recorder;

/** Worksheets in, findings out, each of them an entry. */
@Command(
        name = "record",
        description = "Answers worksheets as solve does and records an entry for each; a line is answered once its "
                + "entry is safe."
                + " Exit status 2 when any was refused.")
final class RecordWorksheets implements Callable<Integer> {

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    @Parameters(paramLabel = "FILE|-", description = "worksheets, one a line; - for standard input")
    private String file;

    @Option(names = "--machine", required = true, paramLabel = "NAME", description = "the machine's name")
    private String machine;

    @Option(names = "--by", required = true, paramLabel = "INITIALS", description = "who records")
    private String by;

    @Override
    public Integer call() throws IOException {
        if (by.isBlank() || by.length() > Entry.Stamp.LONGEST_BY || !Signs.isPlain(by)) {
            System.err.println("Name who records with --by: initials, up to " + Entry.Stamp.LONGEST_BY
                    + " characters that can be seen.");
            return Exit.REFUSED;
        }
        if (!data.holdsLogbook()) {
            return Exit.REFUSED;
        }
        try (Logbook logbook = Logbook.open(data.folder(), Catalogue.procedures())) {
            Optional<Logbook.MachineName> found = data.findMachine(logbook, machine);
            if (found.isEmpty()) {
                return Exit.WRONG;
            }
            try (InputStream in = file.equals("-") ? System.in : Files.newInputStream(Path.of(file));
                    OutputStream out = new FileOutputStream(FileDescriptor.out)) {
                return new Recorder(
                                                Catalogue.procedures(),
                                                logbook,
                                                found.get().id(),
                                                this::stamp,
                                                Throwable::printStackTrace)
                                        .record(in, out)
                                == 0
                        ? Exit.DONE
                        : Exit.REFUSED;
            }
        }
    }

    private Entry.Stamp stamp() {
        Instant now = today.clock().get();
        return new Entry.Stamp(
                now.truncatedTo(ChronoUnit.MILLIS),
                today.zone().getRules().getOffset(now),
                by.strip().toUpperCase(Locale.ROOT),
                Version.TEXT);
    }
}
