package zebrawood.logbook.bundle;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.SequenceWriter;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.eyewear.Marking;
import zebrawood.json.RecordWriter;
import zebrawood.json.table.CsvCell;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.OutputFile;
import zebrawood.logbook.store.StoredEntry;

/** Writes a whole logbook as an open bundle: a zip of JSON Lines, CSV and attachments, with their hashes. */
public final class Export {

    private final Logbook logbook;
    private final Map<String, String> names;
    private final List<Bundle.File> files = new ArrayList<>();
    private final Map<String, Entry.Attachment> attachments = new LinkedHashMap<>();
    private final LongConsumer progress;
    private long written;

    private Export(Logbook logbook, LongConsumer progress) {
        this.logbook = logbook;
        this.progress = progress;
        this.names = logbook.machines().stream()
                .collect(Collectors.toMap(Logbook.MachineName::id, Logbook.MachineName::name));
    }

    /**
     * Writes the bundle beside its place first and moves it there when it is whole.
     *
     * @param over whether a file that is there may be written over: the person was asked
     * @param progress hears how many entries are written; what it throws ends the export
     * @throws LogbookException where it may not go there, or where the logbook is not whole
     */
    public static Bundle to(
            Path file, boolean over, Logbook logbook, String program, Instant now, LongConsumer progress)
            throws IOException {
        try {
            return OutputFile.write(file, over, out -> {
                try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
                    return new Export(logbook, progress).write(zip, program, now);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private Bundle write(ZipOutputStream zip, String program, Instant now) throws IOException {
        Logbook.Head head = logbook.head();
        put(zip, "README.txt", out -> {
            try (InputStream words = Export.class.getResourceAsStream("README.txt")) {
                words.transferTo(out);
            }
        });
        put(zip, Bundle.ENTRIES, out -> written = logbook.stored(head.entries(), stored -> entryLine(stored, out)));
        put(
                zip,
                "entries.csv",
                out -> table(out, csv -> {
                    row(
                            csv,
                            List.of(
                                    "position",
                                    "machine",
                                    "number",
                                    "recorded_at",
                                    "zone",
                                    "by",
                                    "stop",
                                    "verdict",
                                    "corrects",
                                    "words",
                                    "hash"));
                    logbook.stored(head.entries(), stored -> row(csv, entryRow(stored)));
                }));
        put(
                zip,
                "attachments.csv",
                out -> table(out, csv -> {
                    row(csv, List.of("sha256", "bytes", "name"));
                    attachments
                            .values()
                            .forEach(file ->
                                    row(csv, List.of(file.sha256(), String.valueOf(file.bytes()), file.name())));
                }));
        zip.setLevel(Deflater.BEST_SPEED);
        for (Entry.Attachment file : attachments.values()) {
            put(zip, Bundle.ATTACHMENTS + file.sha256(), out -> logbook.copyAttachment(file.sha256(), out));
        }
        Bundle bundle = new Bundle(Bundle.FORMAT, program, now.toString(), written, head.hash(), files);
        zip.putNextEntry(new ZipEntry(Bundle.MANIFEST));
        zip.write(RecordWriter.text(bundle).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        return bundle;
    }

    private interface Content {
        void to(OutputStream out) throws IOException;
    }

    private void put(ZipOutputStream zip, String name, Content content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        Counting out = new Counting(zip);
        content.to(out);
        zip.closeEntry();
        files.add(new Bundle.File(name, HexFormat.of().formatHex(out.digest.digest()), out.length));
    }

    private void entryLine(StoredEntry stored, OutputStream out) {
        Entry entry = logbook.read(stored);
        entry.attachments().forEach(file -> attachments.putIfAbsent(file.sha256(), file));
        Bundle.Line line = new Bundle.Line(
                stored.position(),
                entry.place().machineId(),
                entry.number(),
                stored.hash(),
                new String(stored.bytes(), StandardCharsets.UTF_8));
        try {
            out.write(RecordWriter.text(line).getBytes(StandardCharsets.UTF_8));
            out.write('\n');
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        progress.accept(stored.position());
    }

    private interface Rows {
        void to(SequenceWriter csv) throws IOException;
    }

    private static void table(OutputStream out, Rows rows) throws IOException {
        CsvMapper mapper = new CsvMapper();
        mapper.getFactory().disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
        SequenceWriter csv = mapper.writer().writeValues(out);
        rows.to(csv);
        csv.flush();
    }

    private static void row(SequenceWriter csv, List<String> cells) {
        try {
            csv.write(cells.stream().map(CsvCell::harmless).toArray(String[]::new));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<String> entryRow(StoredEntry stored) {
        Entry entry = logbook.read(stored);
        String verdict = entry.body() instanceof Body.Measured measured
                ? measured.verdict().name()
                : entry.body() instanceof Body.Foreign foreign
                        ? foreign.verdict().orElse("")
                        : "";
        return List.of(
                String.valueOf(stored.position()),
                names.getOrDefault(entry.place().machineId(), entry.place().machineId()),
                String.valueOf(entry.number()),
                entry.stamp().at().toString(),
                entry.stamp().zone().getId(),
                entry.stamp().by(),
                entry.body().stop(),
                verdict,
                entry.corrects().map(c -> c.number() + ": " + c.why()).orElse(""),
                words(entry.body()),
                stored.hash());
    }

    /** What an entry says, on one line. */
    private static String words(Body body) {
        if (body instanceof Body.Measured measured) {
            return measured.shown().keyFigure() + ". "
                    + String.join(" ", measured.shown().sentences());
        } else if (body instanceof Body.GateLine line) {
            return line.title()
                    + (line.lifted() ? "" : ": not so")
                    + (line.beside().isEmpty() ? "" : " (" + line.beside() + ")");
        } else if (body instanceof Body.Happened happened) {
            String cleaned = happened.cleaning()
                    .map(c -> " " + c.surface() + (c.residue().isEmpty() ? "" : ", " + c.residue())
                            + (c.damage().isEmpty() ? "" : ", " + c.damage()))
                    .orElse("");
            return happened.change().words() + cleaned + (happened.remark().isEmpty() ? "" : ": " + happened.remark());
        } else if (body instanceof Body.Worked worked) {
            return worked.result().stock().kind() + ": "
                    + worked.result().outcome().word()
                    + (worked.result().outcome().score().isPresent()
                            ? ", " + worked.result().outcome().score().getAsInt() + " of 10"
                            : "");
        } else if (body instanceof Body.PointOpened point) {
            return "open: " + point.what() + (point.who().isEmpty() ? "" : " (" + point.who() + ")")
                    + point.due().map(due -> " by " + due).orElse("");
        } else if (body instanceof Body.PointClosed closed) {
            return "closed no. " + closed.opened() + ": " + closed.how();
        } else if (body instanceof Body.Started started) {
            return started.check().isRight()
                    ? "all right; " + started.check().stays() + " stays"
                    : "not right: "
                            + started.check().wrong().stream()
                                    .map(line -> line.words() + (line.remark().isEmpty() ? "" : " " + line.remark()))
                                    .collect(Collectors.joining("; "));
        } else if (body instanceof Body.ServiceBegun begun) {
            return "service firing by " + begun.service().who() + ", "
                    + begun.service().minutes() + " minutes, open: "
                    + String.join(", ", begun.service().open());
        } else if (body instanceof Body.EyewearSeen seen) {
            return seen.pair().name() + ": " + Marking.words(seen.pair().marks()) + ", "
                    + seen.pair().condition().words();
        }
        return body instanceof Body.PlateSet plate ? plate.plate().line() : ((Body.Foreign) body).json();
    }

    /** Counts and hashes what goes through; closing it closes nothing. */
    private static final class Counting extends FilterOutputStream {
        private final MessageDigest digest;
        private long length;

        Counting(OutputStream out) {
            super(out);
            try {
                digest = MessageDigest.getInstance("SHA-256");
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public void write(int one) throws IOException {
            write(new byte[] {(byte) one}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int from, int count) throws IOException {
            digest.update(bytes, from, count);
            length += count;
            out.write(bytes, from, count);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
